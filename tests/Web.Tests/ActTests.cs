using System.Text.Json.Nodes;

namespace Web.Tests;

/// <summary>What was given in one act: it is known to belong together, and is changed and copied together.</summary>
[Collection("application")]
public sealed class ActTests(Harness harness)
{
    private static async Task<JsonNode[]> Given(Person ana, Room room)
    {
        var texts = (await ana.Get("/api/library"))["rows"]!.AsArray().Take(2).Select(r => (string)r!["id"]!);
        var ids = texts.Select(t => (Id: Guid.NewGuid(), Text: t)).ToList();
        await ana.Posted(
            $"/api/classes/{room.Id}/assignments",
            new
            {
                readerIds = room.Readers.Select(r => r.Id),
                texts = ids.Select(x => new { id = x.Id, textId = x.Text }),
                tasks = new[]
                {
                    new
                    {
                        id = Guid.NewGuid(),
                        kind = "Written",
                        title = "After reading",
                        prompt = "What do both have in common?",
                    },
                },
                dueOn = Harness.Today.AddDays(9),
                attempts = 2,
                skipGiven = false,
            }
        );
        var one = await One(ana, ids[0].Id.ToString());
        return [one["assignment"]!, .. one["together"]!.AsArray().OfType<JsonNode>()];
    }

    private static Task<JsonNode> One(Person ana, string id) => ana.Get($"/api/assignments/{id}");

    private static Task<HttpResponseMessage> Change(
        Person ana,
        JsonNode a,
        DateOnly due,
        string directions,
        bool together = true
    ) =>
        ana.Put(
            $"/api/assignments/{a["id"]}",
            new
            {
                visibleFrom = (string)a["visibleFrom"]!,
                dueOn = due,
                heading = (string)a["heading"]!,
                directions,
                note = (string)a["note"]!,
                revision = (int)a["revision"]!,
                together,
            }
        );

    private static async Task<(string Due, string Directions)[]> Terms(Person ana, JsonNode[] all)
    {
        var found = new List<(string, string)>();
        foreach (var a in all)
        {
            var now = (await One(ana, (string)a["id"]!))["assignment"]!;
            found.Add(((string)now["dueOn"]!, (string)now["directions"]!));
        }
        return [.. found];
    }

    [Fact]
    public async Task What_is_changed_is_changed_for_all_of_an_act_and_undone_for_all()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 2);
        var all = await Given(ana, room);
        all.Length.ShouldBe(3);
        // One of them has directions of its own, which stay where only the day is changed.
        await ana.Json(await Change(ana, all[1], Harness.Today.AddDays(9), "By yourself.", together: false));
        var (before, day) = ($"{Harness.Today.AddDays(9):yyyy-MM-dd}", $"{Harness.Today.AddDays(11):yyyy-MM-dd}");
        var done = await ana.Json(await Change(ana, all[0], Harness.Today.AddDays(11), ""));
        (await Terms(ana, all)).ShouldBe([(day, ""), (day, "By yourself."), (day, "")]);
        await ana.Posted($"/api/changes/{done["changeId"]}/undo");
        (await Terms(ana, all)).ShouldBe([(before, ""), (before, "By yourself."), (before, "")]);

        // Somebody else was quicker with the one that is changed: nothing of it is done.
        (await ana.Code(await Change(ana, all[0], Harness.Today.AddDays(12), "Late."), 409)).ShouldBe("changed");
        (await Terms(ana, all)).ShouldBe([(before, ""), (before, "By yourself."), (before, "")]);
    }

    [Fact]
    public async Task Readers_know_what_belongs_together_and_a_copy_of_an_act_is_an_act()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 1);
        var all = await Given(ana, room);
        var reader = await harness.Reader(room, 0);
        var mine = (await reader.Get("/api/my/tickets")).AsArray();
        mine.Count.ShouldBe(3);
        mine.Select(k => (string)k!["act"]!).Distinct().ShouldBe([(string)all[0]["act"]!]);

        var copies = all.Select(a => (From: (string)a["id"]!, To: Guid.NewGuid().ToString())).ToList();
        await ana.Posted(
            $"/api/classes/{room.Id}/drafts/copy",
            new { copies = copies.Select(x => new { assignmentId = x.From, id = x.To }), days = 14 }
        );
        (await One(ana, copies[1].To))["together"]!
            .AsArray()
            .Select(o => (string)o!["id"]!)
            .ShouldBe([copies[0].To, copies[2].To], ignoreOrder: true);
        // A reader's own choice stands alone.
        (await One(ana, (string)all[0]["id"]!))["together"]!.AsArray().Count.ShouldBe(2);
    }
}
