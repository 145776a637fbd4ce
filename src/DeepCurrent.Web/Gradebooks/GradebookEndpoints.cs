using DeepCurrent.Core.Access;
using DeepCurrent.Core.Roster;
using DeepCurrent.Core.Schools;
using DeepCurrent.Data.Gradebooks;
using DeepCurrent.Data.Looks;
using DeepCurrent.Data.Schools;
using DeepCurrent.Formats.Gradebooks;
using DeepCurrent.Formats.OneRoster;
using DeepCurrent.Formats.Tables;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.Roster;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Gradebooks;

/// <summary>What a gradebook is written as.</summary>
public enum GradebookForm
{
    /// <summary>One class.</summary>
    Csv,

    /// <summary>A sheet a class.</summary>
    Xlsx,

    /// <summary>A CSV a class.</summary>
    Zip,

    /// <summary>One class's readings and answers as xAPI statements.</summary>
    Xapi,

    /// <summary>Line items and results for the district's gradebook, as OneRoster 1.2 has them.</summary>
    OneRoster,
}

/// <summary>Scores as files.</summary>
public static class GradebookEndpoints
{
    private const int MostClasses = 60,
        LongestDays = 800;

    public static void Map(RouteGroupBuilder api) =>
        api.MapGet("/classes/{classId:guid}/gradebook/{gradebook}", Export);

    /// <param name="gradebook">What it is written as.</param>
    /// <param name="also">Ids of other classes, with commas between.</param>
    /// <param name="from">The first day; the school year's where nothing is said.</param>
    /// <param name="to">The last day, or today.</param>
    private static async Task<IResult> Export(
        ClassId classId,
        GradebookForm gradebook,
        string? also,
        DateOnly? from,
        DateOnly? to,
        Desk desk,
        SchoolStore schools,
        GradebookStore store,
        LookStore looks,
        IHttpContextAccessor http
    )
    {
        var first = await desk.Class(classId, Deed.SeeClass);
        var last = to ?? await desk.Today();
        var since = from ?? (await schools.Year(first.SchoolYearId)).FirstDay;
        var ids = ClassesOf(classId, also);
        Check(ids.Count, gradebook, since, last);
        var places = new List<ClassPlace>();
        foreach (var id in ids)
            places.Add(await desk.Class(id, Deed.SeeClass));
        var clock = await desk.Clock();
        var span = (From: clock.Begin(since), Until: clock.End(last));
        var rows = await store.Of(ids, span.From, span.Until);
        var told =
            places.Count == 1
                ? (Message)$"{places[0].Name}, {since} to {last}"
                : $"{places.Count:count} classes, {since} to {last}";
        await looks.Add(desk.Who.SchoolId, desk.Who.Adult, desk.Now, LookKind.GradebookExported, null, told);
        var name = $"Gradebook {(places.Count == 1 ? places[0].Name : $"{places.Count} classes")} {last:yyyy-MM-dd}";
        if (gradebook is GradebookForm.Xapi)
            return Results.File(
                await Statements(http.HttpContext!, desk, ids[0], rows, store, span),
                "application/json",
                $"{name}.json"
            );
        if (gradebook is GradebookForm.OneRoster)
            return Results.File(
                OneRosterResults.Write(ForDistrict(desk.Who.SchoolId, first.SchoolYearId, rows, clock, last)),
                "application/zip",
                $"{name}.zip"
            );
        var classes = places.ConvertAll(p => new GradebookClass(
            p.Name,
            [.. rows.Where(r => r.ClassId == p.Id).Select(r => Line(r, clock))]
        ));
        return FileOf(gradebook, classes, name);
    }

    private static void Check(int classes, GradebookForm gradebook, DateOnly since, DateOnly last) =>
        new Faults()
            .If(classes > MostClasses, "also", $"Choose {MostClasses} classes or fewer.")
            .If(
                classes > 1 && gradebook is GradebookForm.Csv or GradebookForm.Xapi,
                "also",
                $"Choose one class, or another kind of file."
            )
            .If(since > last, "from", $"Choose a first day that is not after the last.")
            .If(last.DayNumber - since.DayNumber >= LongestDays, "from", $"Choose {LongestDays} days or fewer.")
            .Refuse();

    /// <summary>The class that was asked for, and those named beside it.</summary>
    private static List<ClassId> ClassesOf(ClassId classId, string? also) =>
        (also ?? "")
            .Split(',', StringSplitOptions.RemoveEmptyEntries)
            .Select(text => Ids.TryParse<ClassId>(text, out var id) ? id : throw Refused.NotFound())
            .Prepend(classId)
            .Distinct()
            .ToList();

    private static IResult FileOf(GradebookForm gradebook, List<GradebookClass> classes, string name) =>
        gradebook switch
        {
            GradebookForm.Csv => Results.File(Gradebook.Csv(classes[0]), "text/csv", $"{name}.csv"),
            GradebookForm.Zip => Results.File(Gradebook.Zip(classes), "application/zip", $"{name}.zip"),
            _ => Results.File(Gradebook.Xlsx(classes), ListEndpoints.Xlsx, $"{name}.xlsx"),
        };

    private static GradebookLine Line(GradebookRow r, SchoolClock clock) =>
        new(
            r.GivenName,
            r.FamilyName,
            r.UserName,
            r.Task,
            CsvFiles.Word(r.Kind),
            clock.DayOf(r.AssignedAt),
            r.DueOn,
            CsvFiles.Word(r.State),
            r.First?.Value,
            r.Best?.Value,
            r.Latest?.Value,
            r.Attempts
        )
        {
            Minutes = r.ActiveSeconds / 60,
            Worth = r.Worth,
        };

    private static ResultsFile ForDistrict(
        SchoolId school,
        YearId year,
        IReadOnlyList<GradebookRow> rows,
        SchoolClock clock,
        DateOnly on
    ) =>
        new(
            OneRosterWriter.CodeOf(school),
            [
                .. rows.DistinctBy(r => (r.TaskId, r.ClassId))
                    .Select(r => new LineItem(
                        $"{r.TaskId}-{r.ClassId}",
                        r.Task,
                        clock.DayOf(r.AssignedAt),
                        r.DueOn,
                        r.ClassSource,
                        $"{school}",
                        $"{year}",
                        r.Worth
                    )),
            ],
            [.. rows.Select(r => Result(r, clock, on))]
        );

    private static ItemResult Result(GradebookRow r, SchoolClock clock, DateOnly on)
    {
        var done = r.HandedInAt is { } at ? clock.DayOf(at) : on;
        var status =
            r.HandedInAt is null ? ScoreStatus.NotSubmitted
            : r.Latest is null ? ScoreStatus.Submitted
            : ScoreStatus.FullyGraded;
        return new(
            $"{r.TicketId}",
            $"{r.TaskId}-{r.ClassId}",
            r.ReaderSource,
            status,
            r.Latest is { } share ? Math.Round(share.Value * r.Worth, 2) : null,
            done,
            r.DueOn < done,
            r.ClassSource
        );
    }

    private static async Task<byte[]> Statements(
        HttpContext http,
        Desk desk,
        ClassId classId,
        IReadOnlyList<GradebookRow> rows,
        GradebookStore store,
        (DateTimeOffset From, DateTimeOffset Until) span
    )
    {
        var home = $"{http.Request.Scheme}://{http.Request.Host}/schools/{desk.Who.SchoolId}";
        var tickets = rows.ToDictionary(r => r.TicketId);
        var answers = await store.Answers(classId, span.From, span.Until);
        var deeds = rows.SelectMany(Deeds)
            .Concat(
                answers
                    .Where(a => tickets.ContainsKey(a.TicketId))
                    .Select(a => new ReaderDeed(
                        a.Id.Value,
                        DeedKind.Answered,
                        $"{tickets[a.TicketId].ReaderId}",
                        $"questions/{a.QuestionId}",
                        a.Stem,
                        $"tasks/{tickets[a.TicketId].TaskId}",
                        null,
                        a.Correct,
                        TimeSpan.FromMilliseconds(a.Milliseconds),
                        a.At
                    ))
            );
        return Xapi.Write(home, "en", deeds.OrderBy(d => d.At));
    }

    private static IEnumerable<ReaderDeed> Deeds(GradebookRow r)
    {
        if (r.HandedInAt is not { } at)
            yield break;
        var took = TimeSpan.FromSeconds(r.ActiveSeconds);
        ReaderDeed Done(Guid id, DeedKind kind, double? share, TimeSpan? time) =>
            new(id, kind, $"{r.ReaderId}", $"tasks/{r.TaskId}", r.Task, null, share, null, time, at);
        if (r.Full)
            yield return Done(Twin(r.TicketId.Value), DeedKind.Read, null, took);
        yield return Done(r.TicketId.Value, DeedKind.HandedIn, r.First?.Value, r.Full ? null : took);
    }

    /// <summary>A second id that belongs to a ticket: always the same, and no other's.</summary>
    private static Guid Twin(Guid id)
    {
        var bytes = id.ToByteArray();
        bytes[^1] ^= 1;
        return new(bytes);
    }
}
