using System.Text.Json;
using DeepCurrent.Core.Access;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Roster;
using DeepCurrent.Data.Roster;
using DeepCurrent.Data.Schools;
using DeepCurrent.Formats;
using DeepCurrent.Formats.Tables;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Roster;

/// <summary>Many readers at once: typed, pasted or from a file, in one grid.</summary>
public static class ListEndpoints
{
    private const long LargestFile = 20 << 20,
        LargestRows = 4 << 20;

    public static void Map(RouteGroupBuilder api)
    {
        api.MapPost("/classes/{classId:guid}/list/read", Read).TakesFile(LargestFile);
        api.MapPost("/classes/{classId:guid}/list/check", Check)
            .WithMetadata(new Microsoft.AspNetCore.Mvc.RequestSizeLimitAttribute(LargestRows));
        api.MapPost("/classes/{classId:guid}/list/apply", Apply)
            .WithMetadata(new Microsoft.AspNetCore.Mvc.RequestSizeLimitAttribute(LargestRows));
        api.MapGet("/classes/{classId:guid}/list/draft", Draft);
        api.MapPut("/classes/{classId:guid}/list/draft", KeepDraft)
            .WithMetadata(new Microsoft.AspNetCore.Mvc.RequestSizeLimitAttribute(LargestRows));
        api.MapGet("/list-template.xlsx", Template).Produces<byte[]>(contentType: Xlsx);
    }

    internal const string Xlsx = "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet";

    /// <summary>Reads a file or pasted text into rows. Nothing is kept.</summary>
    /// <param name="fields">What the columns hold, where the asker has said so.</param>
    private static async Task<ReadListView> Read(
        ClassId classId,
        string? fields,
        bool? heading,
        HttpRequest request,
        Desk desk
    )
    {
        await desk.Class(classId, Deed.ChangeRoster);
        using var body = new MemoryStream();
        await request.Body.CopyToAsync(body);
        if (body.Length == 0)
            throw Refused.Field("file", $"This file is empty.");
        var table = await Untrusted.Read(() => TableFile.Read(body.ToArray()), request.HttpContext.RequestAborted);
        var chart = (await desk.School()).Chart;
        var found = ListColumns.Recognise(table.Rows, chart);
        var width = ListColumns.Width(table.Rows);
        if (fields is not null)
            found = Chosen(found, fields, heading, width);
        var headings = Enumerable
            .Range(0, width)
            .Select(c => found.Heading < 0 ? "" : table.Rows[found.Heading].ElementAtOrDefault(c) ?? "")
            .ToList();
        return new(
            table.Kind,
            table.Notes,
            found.Heading >= 0,
            headings,
            found.Fields,
            [.. Enumerable.Range(0, width).Select(c => found.Samples(table.Rows, c))],
            found.LevelSystem(table.Rows),
            [.. found.Rows(table.Rows).Select(View)]
        );
    }

    private static ListRowView View(ListRow r) =>
        new(r.SourceId, r.GivenName, r.FamilyName, r.Grade, r.Level, r.Class, r.GuardianMail, r.Details, null);

    /// <summary>The columns as somebody has chosen them.</summary>
    private static ListColumns Chosen(ListColumns found, string fields, bool? heading, int width) =>
        new(
            heading == false ? -1 : Math.Max(found.Heading, heading == true ? 0 : -1),
            [
                .. fields
                    .Split(',')
                    .Select(f => Enum.TryParse<ListField>(f, ignoreCase: true, out var field) ? field : ListField.None)
                    .Concat(Enumerable.Repeat(ListField.None, width))
                    .Take(width),
            ]
        );

    private static async Task<CheckedListView> Check(
        ClassId classId,
        ListRequest request,
        Desk desk,
        RosterDesk roster,
        RosterStore rosters,
        SchoolStore schools
    )
    {
        var (result, _) = await Reconcile(classId, request, desk, roster, rosters, schools, pretend: true);
        return View(result, Consent.TakenIn(result.Change, await roster.InOtherHands(result.Change)).Count);
    }

    private static async Task<AppliedListView> Apply(
        ClassId classId,
        ListRequest request,
        Desk desk,
        RosterDesk roster,
        RosterStore rosters,
        SchoolStore schools,
        MemberStore members,
        Secrets secrets
    )
    {
        var (result, place) = await Reconcile(classId, request, desk, roster, rosters, schools, pretend: false);
        var (allowed, asked) = await roster.AskFor(result.Change, classId);
        var done = View(result, asked);
        var parts = new (int N, Message Said)[]
        {
            (done.New, $"{done.New} added"),
            (done.Joins, $"{done.Joins} joined"),
            (done.Changed, $"{done.Changed} changed"),
        }
            .Where(p => p.N > 0)
            .Select(p => p.Said);
        var change = await roster.Apply(allowed, classId, $"Saved a list of readers in {place.Name}: {parts}");
        // What is left to be put right is what is left of the draft, whatever becomes of the page that asked.
        var kept = request.Rows.Where((_, i) => result.Rows[i].Fate is RowFate.Question or RowFate.Stopped).ToList();
        await members.KeepDraft(
            classId,
            desk.Who.Adult,
            kept.Count == 0 ? null : JsonSerializer.Serialize(kept, JsonSerializerOptions.Web),
            desk.Now
        );
        return new(
            change,
            done,
            [
                .. result
                    .Change.Readers.Where(s => s.Before is null)
                    .Select(s => s.After!)
                    .Select(r => new SignInRow(
                        r.Id,
                        r.GivenName,
                        r.FamilyName,
                        r.UserName,
                        r.SecretKind,
                        secrets.Open(r.Secret)
                    )),
            ]
        );
    }

    private static async Task<(ListResult Result, ClassPlace Place)> Reconcile(
        ClassId classId,
        ListRequest request,
        Desk desk,
        RosterDesk roster,
        RosterStore rosters,
        SchoolStore schools,
        bool pretend
    )
    {
        var place = await desk.Class(classId, Deed.ChangeRoster);
        var rows = request.Rows ?? [];
        if (rows.Count > TableFile.MostRows)
            throw Refused.Field("rows", $"A list can have {TableFile.MostRows} rows at most.");
        List<ListRow> list = [.. rows.Select(Row)];
        var meant = new ListMeaning(list);
        var state = await rosters.LoadFor(place.SchoolId, classId, meant.Holds);
        var school = await desk.School();
        var mine = (await schools.Classes(desk.Who.Adult))
            .Where(c => Parts.Teaches(c.Role))
            .Select(c => c.Id)
            .ToHashSet();
        var classes = state
            .Classes.Values.Where(c => !c.Closed && (desk.Who.Lead || mine.Contains(c.Id)))
            .GroupBy(c => Names.Tidy(c.Name).ToLowerInvariant())
            .Where(g => g.Count() == 1)
            .ToDictionary(g => g.Key, g => g.First().Id);
        var grades = state
            .Enrolments.Values.Where(e => e.ClassId == classId && e.To is null)
            .Select(e => state.Readers[e.ReaderId].Grade)
            .Order()
            .ToList();
        var frame = new ListFrame(
            classId,
            classes,
            grades.Count > 0 ? grades[grades.Count / 2] : 3,
            LevelLabels.Systems(school.Chart).Contains(request.LevelSystem) ? request.LevelSystem : LevelLabels.Unsaid,
            school.Chart,
            await desk.Today(),
            desk.Now
        );
        var result = ListReconciler.Reconcile(state, list, frame, await roster.Makers(pretend));
        return (result, place);
    }

    private static ListRow Row(ListRowView r, int i) =>
        new(
            i + 1,
            r.SourceId,
            r.GivenName,
            r.FamilyName,
            r.Grade,
            r.Level,
            r.Class,
            r.GuardianMail,
            r.Details ?? ReaderDetails.None,
            r.SameAs
        );

    /// <param name="asked">Readers in other hands, who are asked for and do not join yet.</param>
    private static CheckedListView View(ListResult result, int asked)
    {
        int Of(RowFate fate) => result.Rows.Count(r => r.Fate == fate);
        return new(
            [
                .. result.Rows.Select(r => new CheckedRowView(
                    r.Fate,
                    [.. r.Problems.Select(p => new CellProblemView(p.Column, p.Reason, p.Stops))],
                    [.. r.Twins.Select(t => new TwinView(t.ReaderId, t.Name, t.Grade, t.Where))]
                )),
            ],
            Of(RowFate.New),
            Math.Max(0, Of(RowFate.Joins) - asked),
            Of(RowFate.Changed),
            Of(RowFate.Unchanged),
            Of(RowFate.Question) + Of(RowFate.Stopped),
            asked
        );
    }

    private static async Task<DraftView> Draft(ClassId classId, Desk desk, MemberStore members)
    {
        await desk.Class(classId, Deed.ChangeRoster);
        return await members.Draft(classId, desk.Who.Adult) is { } kept
            ? new(JsonSerializer.Deserialize<List<ListRowView>>(kept.Rows, JsonSerializerOptions.Web)!, kept.SavedAt)
            : new([], null);
    }

    private static async Task<DraftView> KeepDraft(ClassId classId, ListRequest request, Desk desk, MemberStore members)
    {
        await desk.Class(classId, Deed.ChangeRoster);
        var rows = request.Rows ?? [];
        if (rows.Count > TableFile.MostRows)
            throw Refused.Field("rows", $"A list can have {TableFile.MostRows} rows at most.");
        await members.KeepDraft(
            classId,
            desk.Who.Adult,
            rows.Count == 0 ? null : JsonSerializer.Serialize(rows, JsonSerializerOptions.Web),
            desk.Now
        );
        return new([], desk.Now);
    }

    private static async Task<IResult> Template(Desk desk)
    {
        desk.Library(Deed.FindReaders);
        var school = await desk.School();
        var row = school.Chart.Rows[Math.Min(4, school.Chart.Rows.Count - 1)];
        var file = TableFile.WriteXlsx(
            "Readers",
            [.. ListColumns.Template.Select(t => t.Heading)],
            [
                [
                    "Wren",
                    "Example",
                    row.GradeLabel,
                    $"{row.Depth.Value:0.#} fm",
                    "",
                    "wren.guardian@example.org",
                    .. Enum.GetValues<ReaderDetail>().Select(d => d == ReaderDetail.HomeLanguage ? "Welsh" : ""),
                    "1001",
                ],
            ],
            [
                "Enter one reader per row over the example. Only the name is required.",
                "Grade: K to 12, or a label of the school's level chart.",
                "Level: fathoms (31 fm), a grade (grade 3), a school year (Year 4), an age (age 8), or one of "
                    + "the school's own labels.",
                "Class: empty for the class you add to, or the name of another of your classes.",
                "ID: your own number for the reader (optional). With it, a changed name is still recognised.",
            ]
        );
        return Results.File(file, Xlsx, "readers-template.xlsx");
    }
}
