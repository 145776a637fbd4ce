using System.Text.Json.Nodes;

namespace Web.Tests;

/// <summary>One assignment, done otherwise by some; several, one after another; another version at the reader's
/// wish.</summary>
[Collection("application")]
public sealed class WayTests(Harness harness)
{
    private static async Task<string> Text(Person ana, string words) =>
        (string)(await ana.Get($"/api/library?q={words}"))["rows"]![0]!["id"]!;

    private static async Task<JsonNode> Given(Person ana, Room room, object more)
    {
        var request = JsonNode.Parse(System.Text.Json.JsonSerializer.Serialize(more))!.AsObject();
        request["readerIds"] ??= new JsonArray([.. room.Readers.Select(r => (JsonNode)r.Id)]);
        request["attempts"] ??= 2;
        request["skipGiven"] = true;
        return await ana.Posted($"/api/classes/{room.Id}/assignments", request);
    }

    private static async Task<JsonNode[]> Mine(Person reader) => [.. (await reader.Get("/api/my/tickets")).AsArray()!];

    [Fact]
    public async Task Tries_and_days_can_be_others_for_one_reader_and_stay_with_a_draft()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 2);
        var own = Harness.Today.AddDays(9);
        var way = new
        {
            attempts = 1,
            onTheWay = false,
            aloud = true,
            dueOn = own,
        };
        var ways = new[] { new { readerIds = new[] { room.Readers[1].Id }, way } };
        var given = await Given(
            ana,
            room,
            new
            {
                textId = await Text(ana, "mill+that+waits"),
                dueOn = Harness.Today.AddDays(2),
                draft = true,
                ways,
            }
        );
        await ana.Posted(
            $"/api/classes/{room.Id}/drafts/give",
            new { assignmentIds = new[] { (string)given["assignmentId"]! } }
        );

        var usual = await harness.Reader(room, 0);
        var other = await harness.Reader(room, 1);
        var (first, second) = ((await Mine(usual)).Single(), (await Mine(other)).Single());
        ((string)first["dueOn"]!, (string)second["dueOn"]!).ShouldBe(
            (Harness.Today.AddDays(2).ToString("O"), own.ToString("O"))
        );
        ((bool)first["aloud"]!, (bool)second["aloud"]!).ShouldBe((false, true));
        ((int)(await usual.Get($"/api/my/tickets/{first["id"]}"))["attempts"]!).ShouldBe(2);
        var work = await other.Get($"/api/my/tickets/{second["id"]}");
        ((int)work["attempts"]!).ShouldBe(1);
        work["onTheWay"]!.AsArray().ShouldBeEmpty();
    }

    [Fact]
    public async Task A_way_that_cannot_be_is_refused_and_nothing_is_given()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 2);
        var text = await Text(ana, "mill+that+waits");
        async Task<HttpResponseMessage> Try(object way, params string[] ids) =>
            await ana.Post(
                $"/api/classes/{room.Id}/assignments",
                new
                {
                    readerIds = room.Readers.Select(r => r.Id),
                    textId = text,
                    attempts = 2,
                    skipGiven = true,
                    dueOn = Harness.Today.AddDays(2),
                    ways = ids.Select(id => new { readerIds = new[] { id }, way }),
                }
            );
        var (a, b) = (room.Readers[0].Id, (await harness.Room(ana, 1)).Readers[0].Id);
        await ana.Problem(await Try(new { attempts = 7 }, a), 422);
        await ana.Problem(await Try(new { dueOn = Harness.Today.AddDays(-1) }, a), 422);
        await ana.Problem(await Try(new { attempts = 1 }, a, a), 422);
        await ana.Problem(await Try(null!, a), 422);
        (await Try(new { attempts = 1 }, b)).StatusCode.ShouldBe(System.Net.HttpStatusCode.NotFound);
        (await ana.Get($"/api/classes/{room.Id}/week"))["plates"]!.AsArray().ShouldBeEmpty();
    }

    [Fact]
    public async Task One_after_another_each_opens_when_the_one_before_is_handed_in_or_taken_back()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 1);
        string[] titles = ["mill+that+waits", "fork", "barometer"];
        var ids = titles.Select(_ => Guid.NewGuid().ToString()).ToArray();
        var texts = new List<object>();
        foreach (var (title, id) in titles.Zip(ids))
            texts.Add(new { id, textId = await Text(ana, title) });
        await Given(ana, room, new { texts, inOrder = true });
        var reader = await harness.Reader(room, 0);
        var first = (await Mine(reader)).ShouldHaveSingleItem();
        ((string)first["assignmentId"]!).ShouldBe(ids[0]);

        await Answering.HandIn(reader, (string)first["id"]!);
        (await Open(reader)).ShouldBe([ids[1]]);

        // What stands in line keeps its turn when its days are changed.
        await Redate(ana, ids[2], Harness.Today.AddDays(6));
        (await Open(reader)).ShouldBe([ids[1]]);

        var tickets = (await ana.Get($"/api/assignments/{ids[1]}"))["tickets"]!.AsArray();
        await ana.Posted(
            $"/api/classes/{room.Id}/tickets",
            new { ticketIds = tickets.Select(k => (string)k!["id"]!), deed = "TakeBack" }
        );
        await Eventually.Is<string[]>(
            async () => await Open(reader),
            open => open.SequenceEqual([ids[2]]),
            "the last one is open"
        );

        await CopiesKeepTheirTurns(ana, room, ids);

        static async Task<string[]> Open(Person reader) =>
            [
                .. (await Mine(reader))
                    .Where(k => (string)k["state"]! == "Waiting")
                    .Select(k => (string)k["assignmentId"]!),
            ];
    }

    private static async Task CopiesKeepTheirTurns(Person ana, Room room, IEnumerable<string> ids)
    {
        var copies = ids.Select(id => new { assignmentId = id, id = Guid.NewGuid().ToString() }).ToArray();
        await ana.Posted($"/api/classes/{room.Id}/drafts/copy", new { copies, days = 7 });
        var plates = (
            await ana.Get($"/api/classes/{room.Id}/week?from={Harness.Today:O}&to={Harness.Today.AddDays(20):O}")
        )["plates"]!;
        var turns = plates
            .AsArray()
            .Where(p => (bool)p!["assignment"]!["draft"]!)
            .Select(p => p!["assignment"]!)
            .ToList();
        turns.Select(a => (string)a["turnOf"]!).Distinct().ShouldBe([copies[0].id]);
        turns.OrderBy(a => (int)a["turn"]!).Select(a => (string)a["id"]!).ShouldBe(copies.Select(c => c.id));
    }

    /// <summary>Gives an assignment another due day, and takes its words away.</summary>
    internal static async Task Redate(Person ana, string assignment, DateOnly dueOn)
    {
        var row = (await ana.Get($"/api/assignments/{assignment}"))["assignment"]!;
        await ana.Stored(
            $"/api/assignments/{assignment}",
            new
            {
                visibleFrom = Harness.Today,
                dueOn,
                heading = "",
                directions = "",
                note = "",
                revision = (int)row["revision"]!,
            }
        );
    }

    [Fact]
    public async Task What_comes_back_before_its_turn_waits_for_it()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 1);
        var ids = new[] { Guid.NewGuid().ToString(), Guid.NewGuid().ToString() };
        var texts = new[]
        {
            new { id = ids[0], textId = await Text(ana, "mill+that+waits") },
            new { id = ids[1], textId = await Text(ana, "fork") },
        };
        await Given(ana, room, new { texts, inOrder = true });
        var reader = await harness.Reader(room, 0);
        async Task Do(int of, string deed)
        {
            var tickets = (await ana.Get($"/api/assignments/{ids[of]}"))["tickets"]!.AsArray();
            await ana.Posted(
                $"/api/classes/{room.Id}/tickets",
                new { ticketIds = tickets.Select(k => (string)k!["id"]!), deed }
            );
        }
        async Task<string[]> Seen() => [.. (await Mine(reader)).Select(k => (string)k["assignmentId"]!)];

        await Do(1, "TakeBack");
        await Do(1, "Restore");
        (await Seen()).ShouldBe([ids[0]]);
        // At once, and not when somebody looks the next time.
        await Do(0, "TakeBack");
        (await Seen()).ShouldBe([ids[1]]);
    }

    [Fact]
    public async Task A_reader_changes_to_a_version_within_reach_where_that_is_allowed_until_something_is_answered()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 1);
        var reader = await harness.Reader(room, 0);
        var text = await Near(ana, room.Readers[0].Id);
        var closed = await Given(ana, room, new { textId = await Text(ana, "mill+that+waits") });
        var kept = (string)(await Mine(reader)).Single()["id"]!;
        (await reader.Get($"/api/my/tickets/{kept}/versions")).AsArray().ShouldBeEmpty();
        closed["changeId"].ShouldNotBeNull();

        var given = await Given(ana, room, new { textId = text.Id, mayChange = true });
        var ticket = (string)
            (await Mine(reader)).Single(k => (string)k["assignmentId"]! == (string)given["assignmentId"]!)["id"]!;
        var versions = (await reader.Get($"/api/my/tickets/{ticket}/versions")).AsArray();
        versions.ShouldNotBeEmpty();
        var wanted = (string)versions[0]!["versionId"]!;
        var before = (double)(await reader.Get($"/api/my/tickets/{ticket}"))["depth"]!;
        (await reader.Post($"/api/my/tickets/{ticket}/version", new { versionId = text.TooDeep })).StatusCode.ShouldBe(
            System.Net.HttpStatusCode.NotFound,
            "it is too deep"
        );
        var work = await reader.Posted($"/api/my/tickets/{ticket}/version", new { versionId = wanted });
        ((double)work["depth"]!).ShouldNotBe(before);
        await reader.Posted($"/api/my/tickets/{ticket}/version", new { versionId = wanted });
        var place = (await ana.Get($"/api/classes/{room.Id}/places"))["places"]!
            .AsArray()
            .Single(k => (string)k!["id"]! == ticket)!;
        ((double)place["givenDepth"]!, (double)place["depth"]!).ShouldBe((before, (double)work["depth"]!));

        await Answering.HandIn(reader, ticket);
        (await reader.Get($"/api/my/tickets/{ticket}/versions")).AsArray().ShouldBeEmpty();
    }

    /// <summary>A text with two versions near each other, and its reader set between them.</summary>
    private async Task<(string Id, string TooDeep)> Near(Person ana, string readerId)
    {
        foreach (var row in (await ana.Get("/api/library"))["rows"]!.AsArray())
        {
            var versions = (await ana.Get($"/api/texts/{row!["id"]}"))["versions"]!
                .AsArray()
                .Select(v => (Id: (string)v!["id"]!, Depth: (double)v["depth"]!))
                .OrderBy(v => v.Depth)
                .ToList();
            var near = versions
                .Zip(versions.Skip(1))
                .FirstOrDefault(p => p.Second.Depth - p.First.Depth is > 1 and < 12.4);
            if (near.First.Id is null || versions[^1].Depth < near.Second.Depth + 12)
                continue;
            await harness.Ask<object>(
                "update reader set depth_mean = $2 where id = $1",
                Guid.Parse(readerId),
                near.Second.Depth - 4.9
            );
            return ((string)row["id"]!, versions[^1].Id);
        }
        throw new InvalidOperationException("The library has no such text.");
    }

    [Fact]
    public async Task Words_are_asked_otherwise_for_one_reader()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 2);
        var list = Guid.NewGuid().ToString();
        await ana.Stored(
            $"/api/word-lists/{list}",
            new
            {
                name = "Sea words",
                words = "tide mill rope".Split(' ').Select(w => new { text = w, meaning = $"a {w}" }),
            }
        );
        var task = new
        {
            id = Guid.NewGuid(),
            kind = "Words",
            title = "Sea words",
            wordListId = list,
            atOnce = 3,
        };
        var way = new { readerIds = new[] { room.Readers[1].Id }, way = new { atOnce = 2, by = "Sound" } };
        await Given(ana, room, new { tasks = new[] { task }, ways = new[] { way } });
        var said = new List<(int, string)>();
        foreach (var i in new[] { 0, 1 })
        {
            var reader = await harness.Reader(room, i);
            var his = await reader.Get($"/api/my/tasks/{(await Mine(reader)).Single()["id"]}");
            said.Add(((int)his["atOnce"]!, (string)his["by"]!));
        }
        said.ShouldBe([(3, "Meaning"), (2, "Sound")]);
    }

    [Fact]
    public async Task Several_classes_stand_side_by_side_for_who_sees_all_of_them()
    {
        var ana = await harness.Teacher("ana");
        var (one, two) = (await harness.Room(ana, 1), await harness.Room(ana, 1));
        await Given(ana, two, new { textId = await Text(ana, "mill+that+waits"), dueOn = Harness.Today.AddDays(2) });
        var span = $"from={Harness.Today:O}&to={Harness.Today.AddDays(6):O}";
        var side = (await ana.Get($"/api/assignments/classes?classId={one.Id}&classId={two.Id}&{span}")).AsArray();
        side.Select(c => (string)c!["classId"]!).ShouldBe([one.Id, two.Id]);
        side.Select(c => c!["plates"]!.AsArray().Count).ShouldBe([0, 1]);
        var (stranger, _, _) = await harness.OwnSchool();
        await stranger.Code(
            await stranger.Send(HttpMethod.Get, $"/api/assignments/classes?classId={two.Id}&{span}"),
            404
        );
        await ana.Problem(await ana.Send(HttpMethod.Get, $"/api/assignments/classes?{span}"), 422);
    }
}
