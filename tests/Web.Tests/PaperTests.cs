using System.Net;
using System.Text.Json.Nodes;

namespace Web.Tests;

/// <summary>Papers of a teacher's own: who sees them, and what readers draw on their copies.</summary>
[Collection("application")]
public sealed class PaperTests(Harness harness)
{
    private static readonly byte[] Pdf = [.. "%PDF-1.4\n%%EOF\n"u8];

    private static object Stroke(Guid id, bool gone = false) =>
        new
        {
            id,
            page = 0,
            pen = "Fine",
            points = new[] { 0.1, 0.2, 0.3, 0.4 },
            gone,
        };

    private async Task<(Person Ana, Room Room, string Assignment)> Given()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 2);
        var given = await ana.Posted(
            $"/api/classes/{room.Id}/assignments",
            new
            {
                readerIds = room.Readers.Select(r => r.Id),
                textId = (string)(await ana.Get("/api/library?q=mill+that+waits"))["rows"]![0]!["id"]!,
                attempts = 2,
                skipGiven = true,
            }
        );
        return (ana, room, (string)given["assignmentId"]!);
    }

    private static async Task<string> Ticket(Person reader) => (string)(await reader.Get("/api/my/tickets"))[0]!["id"]!;

    private static async Task<HttpResponseMessage> Add(
        Person ana,
        string assignment,
        Guid id,
        byte[] file,
        string name
    ) =>
        await ana.Send(
            HttpMethod.Put,
            $"/api/assignments/{assignment}/papers/{id}?name={Uri.EscapeDataString(name)}&each=true",
            file
        );

    private static object OffThePage(Guid id) =>
        new
        {
            id,
            page = 0,
            pen = "Fine",
            points = new[] { 0.1, 7 },
        };

    [Fact]
    public async Task A_paper_is_looked_at_drawn_on_by_two_devices_removed_and_restored()
    {
        var (ana, room, assignment) = await Given();
        var id = Guid.NewGuid();
        (await Add(ana, assignment, id, Pdf, "Map of the mill")).EnsureSuccessStatusCode();
        (await Add(ana, assignment, id, Pdf, "Map of the mill")).EnsureSuccessStatusCode();
        (await ana.Get($"/api/assignments/{assignment}/papers")).AsArray().Count.ShouldBe(1);

        var reader = await harness.Reader(room, 0);
        var ticket = await Ticket(reader);
        var mine = (await reader.Get($"/api/my/tickets/{ticket}/papers")).AsArray().Single()!;
        ((string)mine["name"]!, (bool)mine["eachOwn"]!).ShouldBe(("Map of the mill", true));
        (await reader.Raw($"/api/my/tickets/{ticket}/papers/{id}/file")).ShouldBe(Pdf);

        var (one, two) = (Guid.NewGuid(), Guid.NewGuid());
        var path = $"/api/my/tickets/{ticket}/papers/{id}/strokes";
        await reader.Stored(path, new { strokes = new[] { Stroke(one) } });
        (await reader.Stored(path, new { strokes = new[] { Stroke(two), Stroke(one, gone: true) } }))
            .AsArray()
            .Count.ShouldBe(2);
        await reader.Stored(path, new { strokes = new[] { Stroke(one) } });
        var seen = (await ana.Get($"/api/tickets/{ticket}/papers"))[0]!["strokes"]!.AsArray();
        seen.Where(s => !(bool)s!["gone"]!).Select(s => (Guid)s!["id"]!).ShouldBe([two]);
        await reader.Problem(await reader.Put(path, new { strokes = new[] { OffThePage(one) } }), 422);

        var other = await harness.Reader(room, 1);
        await other.Code(await other.Send(HttpMethod.Get, $"/api/my/tickets/{ticket}/papers"), 404);
        (await other.Put(path, new { strokes = new[] { Stroke(one) } })).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        (await other.Get($"/api/my/tickets/{await Ticket(other)}/papers"))[0]!["strokes"]!.AsArray().ShouldBeEmpty();

        (await ana.Send(HttpMethod.Delete, $"/api/papers/{id}")).EnsureSuccessStatusCode();
        (await reader.Get($"/api/my/tickets/{ticket}/papers")).AsArray().ShouldBeEmpty();
        await ana.Post($"/api/papers/{id}/restore");
        (await ana.Get($"/api/tickets/{ticket}/papers"))[0]!["strokes"]!.AsArray().Count.ShouldBe(2);
        await Answering.HandIn(reader, ticket);
        await reader.Code(await reader.Put(path, new { strokes = new[] { Stroke(Guid.NewGuid()) } }), 409);
    }

    [Fact]
    public async Task Only_papers_are_taken_five_at_most_and_they_go_with_a_copy()
    {
        var (ana, room, assignment) = await Given();
        await ana.Problem(await Add(ana, assignment, Guid.NewGuid(), [.. "<html>"u8], "Page"), 422);
        await ana.Problem(await Add(ana, assignment, Guid.NewGuid(), Pdf, " "), 422);
        for (var i = 0; i < 5; i++)
            (await Add(ana, assignment, Guid.NewGuid(), Pdf, $"Paper {i}")).EnsureSuccessStatusCode();
        await ana.Problem(await Add(ana, assignment, Guid.NewGuid(), Pdf, "One more"), 422);
        var copy = Guid.NewGuid();
        await ana.Posted(
            $"/api/classes/{room.Id}/drafts/copy",
            new { copies = new[] { new { assignmentId = assignment, id = copy } }, days = 7 }
        );
        (await ana.Get($"/api/assignments/{copy}/papers")).AsArray().Count.ShouldBe(5);
        var (stranger, _, _) = await harness.OwnSchool();
        (await Add(stranger, assignment, Guid.NewGuid(), Pdf, "Mine")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }

    private static async Task<Guid> Beforehand(Person ana, Room room, byte[] file, string name)
    {
        var id = Guid.NewGuid();
        var path = $"/api/classes/{room.Id}/papers/{id}?name={Uri.EscapeDataString(name)}&each=true";
        (await ana.Send(HttpMethod.Put, path, file)).EnsureSuccessStatusCode();
        return id;
    }

    private static object TwoTexts(Room room, string[] texts, params object[] papers) =>
        new
        {
            readerIds = room.Readers.Select(r => r.Id),
            texts = texts.Select(t => new { id = Guid.NewGuid(), textId = t }),
            attempts = 2,
            skipGiven = false,
            papers,
        };

    [Fact]
    public async Task Papers_added_beforehand_go_with_all_that_is_given_or_with_one_text_and_with_a_plan()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 1);
        var texts = (await ana.Get("/api/library"))["rows"]!.AsArray().Take(2).Select(r => (string)r!["id"]!).ToArray();
        var map = await Beforehand(ana, room, Pdf, "Map");
        var sheet = await Beforehand(ana, room, Pdf, "Sheet");
        var given = await ana.Posted(
            $"/api/classes/{room.Id}/assignments",
            TwoTexts(room, texts, new { id = map }, new { id = sheet, textId = texts[1] })
        );
        var first = (string)given["assignmentId"]!;
        var second = (string)(await ana.Get($"/api/assignments/{first}"))["together"]![0]!["id"]!;
        (await Names(ana, first)).ShouldBe(["Map"]);
        (await Names(ana, second)).ShouldBe(["Map", "Sheet"]);
        await Planned(ana, room, first, second);
    }

    private static async Task<string[]> Names(Person ana, string assignment) =>
        [
            .. (await ana.Get($"/api/assignments/{assignment}/papers"))
                .AsArray()
                .Select(p => (string)p!["name"]!)
                .Order(),
        ];

    /// <summary>A plan keeps papers of its own: what becomes of the assignment's is nothing to it.</summary>
    private async Task Planned(Person ana, Room room, string first, string second)
    {
        var monday = DateOnly.Parse(
            (string)(await ana.Get($"/api/assignments/{first}"))["assignment"]!["visibleFrom"]!
        );
        monday = monday.AddDays(-(((int)monday.DayOfWeek + 6) % 7));
        var plan = await ana.Posted(
            $"/api/classes/{room.Id}/plans",
            new
            {
                id = Guid.NewGuid(),
                name = "With papers",
                mine = true,
                inOrder = true,
                monday,
                assignmentIds = new[] { second },
            }
        );
        ((int)plan["items"]![0]!["papers"]!).ShouldBe(2);
        var paper = (string)(await ana.Get($"/api/assignments/{second}/papers"))[0]!["id"]!;
        (await ana.Send(HttpMethod.Delete, $"/api/papers/{paper}")).EnsureSuccessStatusCode();
        var other = await harness.Room(ana, 1);
        var laid = Guid.NewGuid();
        await ana.Posted(
            $"/api/classes/{other.Id}/plans/{plan["id"]}/lay",
            new
            {
                readerIds = new[] { other.Readers[0].Id },
                from = monday.AddDays(14),
                revision = (int)plan["revision"]!,
                ids = new[] { laid },
                draft = true,
            }
        );
        (await Names(ana, laid.ToString())).ShouldBe(["Map", "Sheet"]);
    }

    [Fact]
    public async Task Nothing_is_given_with_a_paper_of_somebody_else_or_with_six()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 1);
        var ben = await harness.Teacher("ben");
        var texts = (await ana.Get("/api/library"))["rows"]!.AsArray().Take(1).Select(r => (string)r!["id"]!).ToArray();
        var path = $"/api/classes/{room.Id}/assignments";
        var bens = await Beforehand(ben, await harness.Room(ben, 1), Pdf, "Ben's");
        (await ana.Post(path, TwoTexts(room, texts, new { id = bens }))).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        var six = new List<object>();
        for (var i = 0; i < 6; i++)
            six.Add(new { id = await Beforehand(ana, room, Pdf, $"Paper {i}") });
        await ana.Problem(await ana.Post(path, TwoTexts(room, texts, [.. six])), 422);
        var page = await ana.Send(
            HttpMethod.Put,
            $"/api/classes/{room.Id}/papers/{Guid.NewGuid()}?name=Page",
            (byte[])[.. "<html>"u8]
        );
        await ana.Problem(page, 422);
        (await ana.Get(path))["rows"]!.AsArray().ShouldBeEmpty();
    }

    [Fact]
    public async Task Papers_that_go_with_nothing_are_bounded()
    {
        var (lead, _, _) = await harness.OwnSchool();
        var room = await harness.Room(lead, 1);
        for (var i = 0; i < 20; i++)
            await Beforehand(lead, room, Pdf, $"Paper {i}");
        var more = await lead.Send(HttpMethod.Put, $"/api/classes/{room.Id}/papers/{Guid.NewGuid()}?name=More", Pdf);
        await lead.Problem(more, 422);
    }
}
