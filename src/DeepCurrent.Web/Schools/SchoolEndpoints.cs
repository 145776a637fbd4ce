using DeepCurrent.Core.Depth;
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

    public required Probability PassingScore { get; init; }

    public required Probability ZoneLow { get; init; }

    public required Probability ZoneHigh { get; init; }

    public required int MinutesADay { get; init; }

    public required int PicturesTo { get; init; }

    public required int CodesTo { get; init; }

    public required bool SurnamesOnCards { get; init; }

    public required bool GuardiansAllowed { get; init; }

    public required string LetterTitle { get; init; }

    public required string LetterBody { get; init; }

    public required IReadOnlyList<string> LetterMarks { get; init; }

    /// <summary>What was seen; a write with another is refused.</summary>
    public required int Version { get; init; }
}

public sealed record SchoolRequest
{
    public required string Name { get; init; }

    public required string TimeZone { get; init; }

    public required double PassingScore { get; init; }

    public required double ZoneLow { get; init; }

    public required double ZoneHigh { get; init; }

    public required int MinutesADay { get; init; }

    public required int PicturesTo { get; init; }

    public required int CodesTo { get; init; }

    public required bool SurnamesOnCards { get; init; }

    public required bool GuardiansAllowed { get; init; }

    public required string LetterTitle { get; init; }

    public required string LetterBody { get; init; }

    public required int Version { get; init; }
}

public sealed record ChartRow(string Label, string SchoolYear, string Ages, Fathoms Depth, IReadOnlyList<string> Own);

public sealed record ChartRequest(IReadOnlyList<string> OwnColumns, IReadOnlyList<ChartRow> Rows, int Version);

/// <param name="Sentences">What would change, for people.</param>
public sealed record ChartEffect(int Readers, IReadOnlyList<string> Sentences);

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

    private static SchoolView View(School s)
    {
        var letter = s.Letter is null ? LetterWords.Usual : Database.FromJson<LetterWords>(s.Letter);
        return new()
        {
            Name = s.Name,
            TimeZone = s.TimeZone,
            PassingScore = new(s.PassingScore),
            ZoneLow = new(s.ZoneLow),
            ZoneHigh = new(s.ZoneHigh),
            MinutesADay = s.MinutesADay,
            PicturesTo = s.PicturesTo,
            CodesTo = s.CodesTo,
            SurnamesOnCards = s.SurnamesOnCards,
            GuardiansAllowed = s.GuardiansAllowed,
            LetterTitle = letter.Title,
            LetterBody = letter.Body,
            LetterMarks = LetterWords.Marks,
            Version = s.Version,
        };
    }

    private static async Task<SchoolView> Change(SchoolRequest r, Desk desk, SchoolStore schools)
    {
        var school = await desk.Lead();
        var name = Names.Tidy(r.Name);
        var letter = new LetterWords((r.LetterTitle ?? "").Trim(), (r.LetterBody ?? "").Trim());
        Check(r, name, letter);
        var next = school with
        {
            Name = name,
            TimeZone = r.TimeZone!,
            PassingScore = r.PassingScore,
            ZoneLow = r.ZoneLow,
            ZoneHigh = r.ZoneHigh,
            MinutesADay = r.MinutesADay,
            PicturesTo = r.PicturesTo,
            CodesTo = r.CodesTo,
            SurnamesOnCards = r.SurnamesOnCards,
            GuardiansAllowed = r.GuardiansAllowed,
            Letter = letter == LetterWords.Usual ? null : Database.ToJson(letter),
            Version = r.Version,
        };
        await Write(schools, next);
        return View(next with { Version = r.Version + 1 });
    }

    private static void Check(SchoolRequest r, string name, LetterWords letter) =>
        new Faults()
            .If(name.Length is 0 or > 120, "name", "Give the school a name of at most 120 letters.")
            .If(!SchoolClock.Knows(r.TimeZone), "timeZone", "This is not a time zone, such as Europe/London.")
            .If(r.PassingScore is not (> 0 and < 1), "passingScore", "The passing score lies between 1 and 99 percent.")
            .If(
                !(0 < r.ZoneLow && r.ZoneLow < r.ZoneHigh && r.ZoneHigh < 1),
                "zoneLow",
                "The lower cut point must be below the upper, both between 1 and 99 percent."
            )
            .If(r.MinutesADay is < 1 or > 240, "minutesADay", "Choose 1 to 240 minutes.")
            .If(
                r.PicturesTo is < -1 or > Grades.Highest || r.CodesTo < r.PicturesTo || r.CodesTo > Grades.Highest,
                "codesTo",
                "Codes come after pictures: choose a grade at or above the last that uses pictures."
            )
            .If(
                letter.Title.Length is 0 or > LetterWords.LongestTitle,
                "letterTitle",
                $"Give the letter a title of at most {LetterWords.LongestTitle} letters."
            )
            .If(
                letter.Body.Length is 0 or > LetterWords.LongestBody,
                "letterBody",
                $"Write a letter of at most {LetterWords.LongestBody:N0} letters."
            )
            .If(
                !letter.Body.Contains("{code}", StringComparison.Ordinal),
                "letterBody",
                "The letter needs {code}: without it nobody can register."
            )
            .Refuse();

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
                $"The end of grade {p.Second.GradeLabel} moves from {p.First.Depth.Value:0.#} to "
                + $"{p.Second.Depth.Value:0.#} fm."
            )
            .ToList();
        List<string> sentences = [.. rows];
        if (rows.Count > 0)
        {
            sentences.Add(
                other == 0
                    ? "No reader falls into another grade."
                    : $"{other} of {depths.Count} readers fall into another grade than before. Their depth does "
                        + "not change."
            );
            sentences.Add(
                "New readers start from the new chart, and growth and goals are reckoned with it from the next "
                    + "reading on."
            );
        }
        foreach (var gone in school.Chart.OwnColumns.Except(next.OwnColumns))
            sentences.Add($"The column “{gone}” goes away with its labels.");
        foreach (var added in next.OwnColumns.Except(school.Chart.OwnColumns))
            sentences.Add($"The column “{added}” is shown wherever a level is chosen.");
        if (sentences.Count == 0)
            sentences.Add("Only labels change, or nothing at all.");
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
            throw Refused.Field("rows", "Depths lie between −20 and 100 fm.");
        try
        {
            return new LevelChart(rows, columns);
        }
        catch (ArgumentException)
        {
            throw Refused.Field("rows", "Each grade must be deeper than the one before it.");
        }
    }

    private static void CheckColumns(ChartRequest r, IReadOnlyList<string> columns) =>
        new Faults()
            .If(
                columns.Count > MostColumns
                    || columns.Any(c => c.Length is 0 or > LongestLabel)
                    || columns.Distinct(StringComparer.OrdinalIgnoreCase).Count() < columns.Count,
                "ownColumns",
                $"At most {MostColumns} columns, each with a name of its own of at most {LongestLabel} letters."
            )
            .If(
                columns.Any(c => LevelLabels.Systems(LevelChart.Default).Contains(c, StringComparer.OrdinalIgnoreCase)),
                "ownColumns",
                "This name is one of the usual systems. Choose another."
            )
            .If(
                r.Rows is not { Count: Grades.Highest + 1 },
                "rows",
                "The chart has one row for each grade from K to 12."
            )
            .Refuse();

    private static string Label(string? text) =>
        Names.Tidy(text) is { Length: <= LongestLabel } label
            ? label
            : throw Refused.Field("rows", $"A label has at most {LongestLabel} letters.");

    private static async Task Write(SchoolStore schools, School next)
    {
        if (!await schools.Change(next))
            throw Refused.Conflict(
                "stale",
                "Somebody has changed the school's choices meanwhile. Load the page again and repeat what you did."
            );
    }
}
