using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Goals;
using DeepCurrent.Core.Roster;
using DeepCurrent.Core.Schools;
using DeepCurrent.Data.Adults;
using DeepCurrent.Data.Looks;
using DeepCurrent.Data.Roster;
using DeepCurrent.Data.Schools;
using DeepCurrent.Data.Storage;
using DeepCurrent.Formats.Print;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Schools;

/// <summary>The school's own choices.</summary>
public sealed record SchoolView
{
    public required string Name { get; init; }

    public required string TimeZone { get; init; }

    public required Probability UnderstoodFrom { get; init; }

    public required Probability ZoneLow { get; init; }

    public required Probability ZoneHigh { get; init; }

    public required int MinutesADay { get; init; }

    public required int PicturesTo { get; init; }

    public required int CodesTo { get; init; }

    public required bool SurnamesOnCards { get; init; }

    public required bool GuardiansAllowed { get; init; }

    /// <summary>Comprehension aimed at by grade.</summary>
    public required IReadOnlyList<GradeAim> Aims { get; init; }

    /// <summary>The label system levels are named in.</summary>
    public required string LevelSystem { get; init; }

    /// <summary>One in each language the product speaks.</summary>
    public required IReadOnlyList<SchoolLetter> Letters { get; init; }

    /// <summary>The label systems levels can be named in.</summary>
    public required IReadOnlyList<string> LevelSystems { get; init; }

    public required IReadOnlyList<string> LetterMarks { get; init; }

    /// <summary>What was seen; a write with another is refused.</summary>
    public required int Version { get; init; }
}

public sealed record SchoolRequest
{
    public required string Name { get; init; }

    public required string TimeZone { get; init; }

    public required double UnderstoodFrom { get; init; }

    public required double ZoneLow { get; init; }

    public required double ZoneHigh { get; init; }

    public required int MinutesADay { get; init; }

    public required int PicturesTo { get; init; }

    public required int CodesTo { get; init; }

    public required bool SurnamesOnCards { get; init; }

    public required bool GuardiansAllowed { get; init; }

    /// <summary>Comprehension aimed at by grade.</summary>
    public required IReadOnlyList<GradeAim> Aims { get; init; }

    /// <summary>The label system levels are named in.</summary>
    public required string LevelSystem { get; init; }

    /// <summary>One in each language the product speaks.</summary>
    public required IReadOnlyList<SchoolLetter> Letters { get; init; }

    public required int Version { get; init; }
}

public sealed record ChartRow(string Label, string SchoolYear, string Ages, Fathoms Depth, IReadOnlyList<string> Own);

public sealed record ChartRequest(IReadOnlyList<string> OwnColumns, IReadOnlyList<ChartRow> Rows, int Version);

/// <param name="Sentences">What would change, for people.</param>
public sealed record ChartEffect(int Readers, IReadOnlyList<Message> Sentences);

public sealed record ChartView(IReadOnlyList<string> OwnColumns, IReadOnlyList<ChartRow> Rows, bool Usual, int Version);

/// <summary>The school lead's choices: policies, letter and level chart; mail, looks and the list of readers.</summary>
public static class SchoolEndpoints
{
    private const int MostColumns = 4,
        LongestLabel = 24;

    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/school", async (Desk desk) => View(await desk.Lead()));
        api.MapPut("/school", Change);
        api.MapGet("/school/level-chart", async (Desk desk) => ChartOf(await desk.Lead()));
        api.MapPost("/school/level-chart/effect", Effect);
        api.MapPut("/school/level-chart", PutChart);
        api.MapGet("/school/readers", async (Desk desk, MemberStore members) =>
        {
            await desk.Lead();
            return await members.OfSchool(desk.Who.SchoolId);
        });
        api.MapGet("/school/classes", async (Desk desk, ClassListStore classes) =>
        {
            await desk.Lead();
            return await classes.Of(desk.Who.SchoolId);
        });
        api.MapGet("/school/mail", async (Desk desk, AdultStore adults) =>
        {
            await desk.Lead();
            return await adults.Outbox(desk.Who.SchoolId);
        });
        api.MapGet("/school/looks", async (Desk desk, LookStore looks) =>
        {
            await desk.Lead();
            return await looks.Of(desk.Who.SchoolId);
        });
    }

    private static SchoolView View(School s) =>
        new()
        {
            Name = s.Name,
            TimeZone = s.TimeZone,
            UnderstoodFrom = new(s.UnderstoodFrom),
            ZoneLow = new(s.ZoneLow),
            ZoneHigh = new(s.ZoneHigh),
            MinutesADay = s.MinutesADay,
            PicturesTo = s.PicturesTo,
            CodesTo = s.CodesTo,
            SurnamesOnCards = s.SurnamesOnCards,
            GuardiansAllowed = s.GuardiansAllowed,
            Aims = s.Aims,
            LevelSystem = s.NamedIn,
            LevelSystems = LevelLabels.Systems(s.Chart),
            Letters = SchoolLetters.All(s),
            LetterMarks = LetterWords.Marks,
            Version = s.Version,
        };

    private static async Task<SchoolView> Change(SchoolRequest r, Desk desk, SchoolStore schools)
    {
        var school = await desk.Lead();
        var name = Names.Tidy(r.Name);
        Check(r, name, school);
        var next = school with
        {
            Name = name,
            TimeZone = r.TimeZone!,
            UnderstoodFrom = r.UnderstoodFrom,
            ZoneLow = r.ZoneLow,
            ZoneHigh = r.ZoneHigh,
            MinutesADay = r.MinutesADay,
            PicturesTo = r.PicturesTo,
            CodesTo = r.CodesTo,
            SurnamesOnCards = r.SurnamesOnCards,
            GuardiansAllowed = r.GuardiansAllowed,
            Aims = r.Aims,
            LevelSystem = r.LevelSystem,
            Letters = SchoolLetters.Kept(r.Letters),
            Version = r.Version,
        };
        await Write(schools, next);
        return View(next with { Version = r.Version + 1 });
    }

    private static void Check(SchoolRequest r, string name, School school)
    {
        var faults = new Faults()
            .If(name.Length is 0 or > 120, "name", $"Enter a school name of 120 letters or fewer.")
            .If(!SchoolClock.Knows(r.TimeZone), "timeZone", $"This is not a time zone, such as Europe/London.")
            .If(
                r.Aims.Any(a => a.Grade is < 0 or > 12 || a.Percent is < 1 or > 100)
                    || r.Aims.DistinctBy(a => a.Grade).Count() < r.Aims.Count,
                "aims",
                $"Enter 1 to 100% for each grade, once."
            )
            .If(r.UnderstoodFrom is not (> 0 and < 1), "understoodFrom", $"Enter 1 to 99%.")
            .If(
                !(0 < r.ZoneLow && r.ZoneLow < r.ZoneHigh && r.ZoneHigh < 1),
                "zoneLow",
                $"Enter 1 to 99%, the lower one below the upper."
            )
            .If(r.MinutesADay is < 1 or > 240, "minutesADay", $"Choose 1 to 240 minutes.")
            .If(
                r.PicturesTo is < -1 or > Grades.Highest || r.CodesTo < r.PicturesTo || r.CodesTo > Grades.Highest,
                "codesTo",
                $"Codes come after pictures. Choose a grade at or above the last one with pictures."
            )
            .If(
                !LevelLabels.Systems(school.Chart).Contains(r.LevelSystem),
                "levelSystem",
                $"Choose one of the school’s labels."
            );
        SchoolLetters.Check(faults, r.Letters).Refuse();
    }

    private static ChartView ChartOf(School school) =>
        new(
            school.Chart.OwnColumns,
            [.. school.Chart.Rows.Select(r => new ChartRow(r.GradeLabel, r.SchoolYear, r.Ages, r.Depth, r.Own))],
            school.OwnChart is null,
            school.Version
        );

    private static async Task<ChartEffect> Effect(ChartRequest request, Desk desk, SchoolStore schools)
    {
        var school = await desk.Lead();
        var next = Read(request);
        var depths = await schools.Depths(school.Id);
        var other = depths.Count(d => school.Chart.GradeLabel(new(d)) != next.GradeLabel(new(d)));
        var rows = school
            .Chart.Rows.Zip(next.Rows)
            .Where(p => p.First.Depth != p.Second.Depth)
            .Select(p =>
                (Message)
                    $"The end of grade {p.Second.GradeLabel} moves from {p.First.Depth.Value:0.#} to {p.Second.Depth.Value:0.#} fm."
            )
            .ToList();
        List<Message> sentences = [.. rows];
        if (rows.Count > 0)
        {
            sentences.Add(
                other == 0
                    ? (Message)$"No reader’s level gets another grade."
                    : $"{other} of {depths.Count:count} readers get another grade than before. Their depth does not change."
            );
            sentences.Add($"New readers start from the new chart. Growth and goals use it from the next reading.");
        }
        foreach (var gone in school.Chart.OwnColumns.Except(next.OwnColumns))
            sentences.Add($"The column “{gone}” and its labels are removed.");
        foreach (var added in next.OwnColumns.Except(school.Chart.OwnColumns))
            sentences.Add($"The column “{added}” appears wherever a level is chosen.");
        if (sentences.Count == 0)
            sentences.Add($"No depth changes.");
        return new(other, sentences);
    }

    private static async Task<ChartView> PutChart(ChartRequest request, Desk desk, SchoolStore schools)
    {
        var school = await desk.Lead();
        var next = school with { OwnChart = Read(request), Version = request.Version };
        await Write(schools, next);
        return ChartOf(next with { Version = request.Version + 1 });
    }

    private static LevelChart Read(ChartRequest r)
    {
        var columns = (r.OwnColumns ?? []).Select(c => Names.Tidy(c)).ToList();
        CheckColumns(r, columns);
        var rows = r
            .Rows.Select(
                (row, i) =>
                    new LevelRow(
                        i,
                        Label(row.Label),
                        Label(row.SchoolYear),
                        Label(row.Ages),
                        new(Math.Round(row.Depth.Value, 2)),
                        [.. columns.Select((_, c) => Label(row.Own.ElementAtOrDefault(c)))]
                    )
            )
            .ToList();
        if (rows.Any(x => !x.Depth.OnScale))
            throw Refused.Field("rows", $"Enter depths from −20 to 100 fm.");
        try
        {
            return new LevelChart(rows, columns);
        }
        catch (ArgumentException)
        {
            throw Refused.Field("rows", $"Each grade must be deeper than the one before.");
        }
    }

    private static void CheckColumns(ChartRequest r, IReadOnlyList<string> columns) =>
        new Faults()
            .If(
                columns.Count > MostColumns
                    || columns.Any(c => c.Length is 0 or > LongestLabel)
                    || columns.Distinct(StringComparer.OrdinalIgnoreCase).Count() < columns.Count,
                "ownColumns",
                $"Use at most {MostColumns} columns, each with its own name of {LongestLabel} letters or fewer."
            )
            .If(
                columns.Any(c => LevelLabels.Systems(LevelChart.Default).Contains(c, StringComparer.OrdinalIgnoreCase)),
                "ownColumns",
                $"This name is already in use. Choose another."
            )
            .If(
                r.Rows is not { Count: Grades.Highest + 1 },
                "rows",
                $"The chart has one row for each grade from K to 12."
            )
            .Refuse();

    private static string Label(string? text) =>
        Names.Tidy(text) is { Length: <= LongestLabel } label
            ? label
            : throw Refused.Field("rows", $"Use {LongestLabel} letters or fewer.");

    private static async Task Write(SchoolStore schools, School next)
    {
        if (!await schools.Change(next))
            throw Refused.Conflict("stale", $"Someone else changed these choices. Reload the page and try again.");
    }
}
