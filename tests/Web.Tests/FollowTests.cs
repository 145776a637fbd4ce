using System.Text.Json.Nodes;

namespace Web.Tests;

/// <summary>What is out already and changes: groups that are formed anew, other versions, results that wait.</summary>
[Collection("application")]
public sealed class FollowTests(Harness harness)
{
    private static Task<JsonNode> Group(Person ana, Room room, params int[][] groups) =>
        ana.Stored(
            $"/api/classes/{room.Id}/groups",
            new
            {
                groups = groups.Select(
                    (who, i) => new { name = $"Group {i}", readerIds = who.Select(r => room.Readers[r].Id).ToArray() }
                ),
            }
        );

    private static async Task<string> Text(Person ana, string words) =>
        (string)(await ana.Get($"/api/library?q={words}"))["rows"]![0]!["id"]!;

    private static async Task<string> Given(Person ana, Room room, int[] readers, object? more = null)
    {
        var request = JsonNode.Parse(System.Text.Json.JsonSerializer.Serialize(more ?? new { }))!.AsObject();
        request["readerIds"] = new JsonArray([.. readers.Select(r => (JsonNode)room.Readers[r].Id)]);
        request["textId"] ??= await Text(ana, "mill+that+waits");
        request["attempts"] = 2;
        request["skipGiven"] = true;
        return (string)(await ana.Posted($"/api/classes/{room.Id}/assignments", request))["assignmentId"]!;
    }

    private static async Task<string[]> States(Person ana, Room room, string assignment)
    {
        var tickets = (await ana.Get($"/api/assignments/{assignment}"))["tickets"]!.AsArray();
        return
        [
            .. room.Readers.Select(r =>
                (string?)tickets.SingleOrDefault(k => (string)k!["readerId"]! == r.Id)?["state"] ?? "-"
            ),
        ];
    }

    [Fact]
    public async Task Work_of_a_group_that_is_not_begun_follows_its_readers_and_comes_back_with_them()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 4);
        await Group(ana, room, [0, 1], [2, 3]);
        var assignment = await Given(ana, room, [0, 1], new { dueOn = Harness.Today.AddDays(3) });
        var begun = await harness.Reader(room, 0);
        var ticket = (string)(await begun.Get("/api/my/tickets"))[0]!["id"]!;
        (await begun.Post($"/api/my/tickets/{ticket}/open")).EnsureSuccessStatusCode();

        var saved = await Group(ana, room, [2], [0, 1, 3]);
        (await States(ana, room, assignment)).ShouldBe(["UnderWay", "TakenBack", "Waiting", "-"]);
        saved["summary"]!.ToJsonString().ShouldContain("followed");
        var again = await Group(ana, room, [1, 2], [0, 3]);
        (await States(ana, room, assignment)).ShouldBe(["UnderWay", "Waiting", "Waiting", "-"]);

        await ana.Posted($"/api/changes/{again["changeId"]}/undo");
        await ana.Posted($"/api/changes/{saved["changeId"]}/undo");
        (await States(ana, room, assignment)).ShouldBe(["UnderWay", "Waiting", "-", "-"]);
    }

    [Fact]
    public async Task What_was_due_before_and_what_a_group_had_that_is_gone_stay_as_they_are()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 4);
        await Group(ana, room, [0, 1], [2, 3]);
        var late = await Given(ana, room, [0, 1], new { dueOn = Harness.Today });
        await harness.Ask<object>(
            "update assignment set visible_from = current_date - 9, due_on = current_date - 2 where id = $1",
            Guid.Parse(late)
        );
        var other = await Given(
            ana,
            room,
            [2, 3],
            new { textId = await Text(ana, "fork"), dueOn = Harness.Today.AddDays(3) }
        );
        await Group(ana, room, [0, 2, 3, 1]);
        (await States(ana, room, late)).ShouldBe(["Waiting", "Waiting", "-", "-"]);
        (await States(ana, room, other)).ShouldBe(["-", "-", "Waiting", "Waiting"]);
    }

    [Fact]
    public async Task A_reader_gets_another_version_until_something_is_answered()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 1);
        var assignment = await Given(ana, room, [0]);
        var text = await Text(ana, "mill+that+waits");
        var fit = (
            await ana.Posted(
                $"/api/classes/{room.Id}/fit",
                new { readerIds = new[] { room.Readers[0].Id }, textIds = new[] { text } }
            )
        )[0]!;
        var other = fit["versions"]!.AsArray().First(v => (string)v!["versionId"]! != (string)fit["versionId"]!)!;
        var ticket = (string)(await ana.Get($"/api/assignments/{assignment}"))["tickets"]![0]!["id"]!;
        object To(JsonNode version) => new { versionId = (string)version["versionId"]! };

        var done = await ana.Posted($"/api/tickets/{ticket}/version", To(other));
        var now = (await ana.Get($"/api/tickets/{ticket}"))["ticket"]!;
        ((double)now["forecast"]!).ShouldBe((int)other["forecast"]! / 100.0, 1e-9);
        (await ana.Code(await ana.Post($"/api/tickets/{ticket}/version", To(other)), 409)).ShouldBe("begun");
        await ana.Posted($"/api/changes/{done["changeId"]}/undo");
        ((double)(await ana.Get($"/api/tickets/{ticket}"))["ticket"]!["forecast"]!).ShouldBe(
            (int)fit["forecast"]! / 100.0,
            1e-9
        );

        var reader = await harness.Reader(room, 0);
        await Answering.HandIn(reader, ticket);
        (await ana.Code(await ana.Post($"/api/tickets/{ticket}/version", To(other)), 409)).ShouldBe("begun");
        await ana.Problem(await ana.Post($"/api/tickets/{ticket}/version", new { versionId = Guid.NewGuid() }), 404);
    }

    [Fact]
    public async Task Who_sees_results_when_they_are_released_sees_nothing_of_them_before()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 1);
        var assignment = await Given(ana, room, [0], new { results = "WhenReleased" });
        var reader = await harness.Reader(room, 0);
        var ticket = (string)(await reader.Get("/api/my/tickets"))[0]!["id"]!;
        var question = (await reader.Get($"/api/my/tickets/{ticket}"))["questions"]!
            .AsArray()
            .First(q => (string)q!["kind"]! is not ("Short" or "Long"))!;
        var said = await reader.Stored(
            $"/api/my/tickets/{ticket}/answers/{Guid.NewGuid()}",
            Answering.To(question, DateTimeOffset.UtcNow)
        );
        said["attempts"]![0]!["correct"].ShouldBeNull();
        ((string)said["attempts"]![0]!["reason"]!).ShouldBe("");
        ((bool)said["mayTry"]!).ShouldBeFalse("another try would say that it was wrong");
        var left = (await reader.Get($"/api/my/tickets/{ticket}"))["questions"]!.AsArray();
        foreach (var q in left.Where(q => (bool)q!["mayTry"]!))
            await reader.Stored(
                $"/api/my/tickets/{ticket}/answers/{Guid.NewGuid()}",
                Answering.To(q!, DateTimeOffset.UtcNow)
            );
        (await reader.Post($"/api/my/tickets/{ticket}/hand-in")).EnsureSuccessStatusCode();
        foreach (var answer in (await ana.Get($"/api/tickets/{ticket}"))["answers"]!.AsArray())
        foreach (var t in answer!["tries"]!.AsArray().Where(t => t!["correct"] is null))
            await ana.Stored($"/api/tickets/{ticket}/marks/{t!["id"]}", new { points = new[] { 3 } });
        (await States(ana, room, assignment)).ShouldBe(["Marked"]);
        var mine = (await reader.Get("/api/my/tickets"))[0]!;
        mine["score"].ShouldBeNull();
        (await reader.Code(await reader.Send(HttpMethod.Get, $"/api/my/tickets/{ticket}/result"), 409)).ShouldBe(
            "not-released"
        );
        await ana.Posted($"/api/classes/{room.Id}/tickets", new { ticketIds = new[] { ticket }, deed = "Release" });
        (await reader.Get("/api/my/tickets"))[0]!["score"].ShouldNotBeNull();
    }

    [Fact]
    public async Task Results_that_wait_are_seen_when_they_are_released_for_all_at_once_and_undone()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 1);
        var words = new
        {
            id = Guid.NewGuid(),
            kind = "Link",
            title = "The tide table",
            url = "https://tides.example",
        };
        var made = await ana.Posted(
            $"/api/classes/{room.Id}/assignments",
            new
            {
                readerIds = new[] { room.Readers[0].Id },
                attempts = 1,
                skipGiven = true,
                results = "WhenReleased",
                tasks = new[] { words },
            }
        );
        var reader = await harness.Reader(room, 0);
        var ticket = (string)(await reader.Get("/api/my/tickets"))[0]!["id"]!;
        (await reader.Post($"/api/my/tickets/{ticket}/open")).EnsureSuccessStatusCode();
        (await reader.Post($"/api/my/tickets/{ticket}/hand-in")).EnsureSuccessStatusCode();
        (await States(ana, room, (string)made["assignmentId"]!)).ShouldBe(["Marked"]);
        var act = new { ticketIds = new[] { ticket }, deed = "Release" };
        var released = await ana.Posted($"/api/classes/{room.Id}/tickets", act);
        (await States(ana, room, (string)made["assignmentId"]!)).ShouldBe(["Released"]);
        await ana.Posted($"/api/changes/{released["changeId"]}/undo");
        (await States(ana, room, (string)made["assignmentId"]!)).ShouldBe(["Marked"]);
    }
}
