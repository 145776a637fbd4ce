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
}
