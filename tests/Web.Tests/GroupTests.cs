using System.Net;
using System.Text.Json.Nodes;

namespace Web.Tests;

/// <summary>Groups over HTTP: rules that stay, proposals and conflicts, groups that go on when readers move.</summary>
[Collection("application")]
public sealed class GroupTests(Harness harness)
{
    private static JsonNode Rules(int groups, int smallest, int largest, object? more = null)
    {
        var rules = JsonNode.Parse(System.Text.Json.JsonSerializer.Serialize(more ?? new { }))!.AsObject();
        (rules["groups"], rules["smallest"], rules["largest"]) = (groups, smallest, largest);
        return rules;
    }

    private static async Task<JsonNode> Saved(Person ana, Room room, params (string Name, int[] Readers)[] groups) =>
        await ana.Stored(
            $"/api/classes/{room.Id}/groups",
            new
            {
                groups = groups.Select(g => new
                {
                    name = g.Name,
                    readerIds = g.Readers.Select(i => room.Readers[i].Id),
                }),
            }
        );

    private static async Task<List<(string Id, string Name, HashSet<string> Readers)>> Now(Person ana, Room room) =>
        [
            .. (await ana.Get($"/api/classes/{room.Id}"))["groups"]!
                .AsArray()
                .Select(g =>
                    (
                        (string)g!["id"]!,
                        (string)g["name"]!,
                        g["readerIds"]!.AsArray().Select(r => (string)r!).ToHashSet()
                    )
                ),
        ];

    [Fact]
    public async Task A_group_goes_on_when_readers_move_and_undo_brings_everybody_back()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 6);
        await Saved(ana, room, ("Kelp", [0, 1, 2]), ("Ferry", [3, 4, 5]));
        var first = await Now(ana, room);
        var saved = await Saved(ana, room, ("Kelp", [0, 1, 3]), ("Mill", [2, 4, 5]));
        var second = await Now(ana, room);
        second.Single(g => g.Name == "Kelp").Id.ShouldBe(first.Single(g => g.Name == "Kelp").Id);
        var past = await ana.Get($"/api/classes/{room.Id}/groups/past");
        var stays = past["stays"]!.AsArray().Where(s => s!["to"] is not null).ToList();
        stays.Count(s => (string)s!["group"]! == "Kelp").ShouldBe(1);
        stays.Count(s => (string)s!["group"]! == "Ferry").ShouldBe(3);
        past["stays"]!.AsArray().Count(s => s!["to"] is null).ShouldBe(6);
        past["groups"]!
            .AsArray()
            .Select(g => ((string)g!["group"]!, (int)g["readers"]!))
            .ShouldBe([("Kelp", 4), ("Mill", 3), ("Ferry", 3)]);
        (await ana.Post($"/api/changes/{(string)saved["changeId"]!}/undo")).EnsureSuccessStatusCode();
        var back = await Now(ana, room);
        back.Select(g => (g.Id, g.Name)).ShouldBe(first.Select(g => (g.Id, g.Name)));
        back.ShouldAllBe(g => g.Readers.SetEquals(first.Single(f => f.Id == g.Id).Readers));
        (await ana.Get($"/api/classes/{room.Id}/groups/past"))["stays"]!
            .AsArray()
            .Where(s => s!["to"] is not null)
            .ShouldBeEmpty();
    }

    [Fact]
    public async Task A_group_keeps_its_work_under_another_name_and_what_was_changed_since_is_not_undone()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 4);
        await Saved(ana, room, ("Kelp", [0, 1]), ("Ferry", [2, 3]));
        var kelp = (await Now(ana, room)).Single(g => g.Name == "Kelp");
        var renamed = await ana.Stored(
            $"/api/classes/{room.Id}/groups",
            new
            {
                groups = new object[]
                {
                    new
                    {
                        id = kelp.Id,
                        name = "Bladder wrack",
                        readerIds = kelp.Readers,
                    },
                    new { name = "Ferry", readerIds = new[] { room.Readers[2].Id } },
                },
            }
        );
        (await Now(ana, room)).Single(g => g.Name == "Bladder wrack").Id.ShouldBe(kelp.Id);
        await Saved(ana, room, ("Ferry", [0, 1, 2, 3]));
        (await ana.Post($"/api/changes/{(string)renamed["changeId"]!}/undo")).StatusCode.ShouldBe(
            HttpStatusCode.Conflict
        );
    }

    [Fact]
    public async Task Rules_stay_with_the_class_and_a_proposal_keeps_to_them()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 8);
        await Saved(ana, room, ("Kelp", [0, 1, 2, 3]), ("Ferry", [4, 5, 6, 7]));
        var groups = await Now(ana, room);
        string Id(int i) => room.Readers[i].Id;
        var rules = Rules(
            2,
            3,
            4,
            new
            {
                together = new[] { new { one = Id(0), other = Id(7) } },
                apart = new[] { new { one = Id(1), other = Id(2) } },
                stays = new[] { new { readerId = Id(4), groupId = groups[0].Id } },
                leftOut = new[] { Id(5) },
            }
        );
        var address = $"/api/classes/{room.Id}/groups";
        await ana.Put($"{address}/rules", rules);
        (await ana.Get($"{address}/rules"))["apart"]!.AsArray().Count.ShouldBe(1);
        var plan = await ana.Posted($"{address}/proposal", rules);
        ((bool)plan["provenBest"]!).ShouldBeTrue();
        var placed = plan["groups"]!
            .AsArray()
            .SelectMany((g, i) => g!["readerIds"]!.AsArray().Select(r => ((string)r!, i)))
            .ToDictionary(x => x.Item1, x => x.i);
        placed.ContainsKey(Id(5)).ShouldBeFalse();
        placed[Id(0)].ShouldBe(placed[Id(7)]);
        placed[Id(1)].ShouldNotBe(placed[Id(2)]);
        placed[Id(4)].ShouldBe(0);
        plan["groups"]!.AsArray().Select(g => (string)g!["id"]!).ShouldBe(groups.Select(g => g.Id));
        var judged = await ana.Posted($"{address}/judgement", new { rules, groups = plan["groups"] });
        ((double)judged["cost"]!).ShouldBe((double)plan["cost"]!, 1e-6);
        judged["broken"]!.AsArray().ShouldBeEmpty();
        judged["placements"]!.AsArray().Count.ShouldBe(7);
        foreach (var p in judged["placements"]!.AsArray())
        {
            AddsUp(p!["own"]!);
            ((bool)p["moves"]!).ShouldBe(!groups[(int)p["group"]!].Readers.Contains((string)p["readerId"]!));
        }
    }

    private static void AddsUp(JsonNode reason) =>
        ((double)reason["level"]! + (double)reason["strands"]! + (double)reason["rate"]!).ShouldBe(
            (double)reason["sum"]!,
            1e-6
        );

    [Fact]
    public async Task Rules_that_conflict_are_named_with_what_would_free_them()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 6);
        string Id(int i) => room.Readers[i].Id;
        var rules = Rules(
            2,
            1,
            6,
            new
            {
                apart = new[]
                {
                    new { one = Id(0), other = Id(1) },
                    new { one = Id(1), other = Id(2) },
                    new { one = Id(0), other = Id(2) },
                    new { one = Id(3), other = Id(4) },
                },
            }
        );
        var address = $"/api/classes/{room.Id}/groups/proposal";
        var answer = await ana.Posted(address, rules);
        answer["groups"]!.AsArray().ShouldBeEmpty();
        answer["conflict"]!.AsArray().Count.ShouldBe(4);
        var fixes = answer["fixes"]!.AsArray();
        fixes.Count.ShouldBe(4);
        foreach (var fix in fixes)
            (await ana.Posted(address, fix!["rules"]!))["groups"]!.AsArray().ShouldNotBeEmpty();
    }

    [Fact]
    public async Task What_is_no_rule_is_refused_and_nobody_else_proposes_or_sees_it()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 3);
        var address = $"/api/classes/{room.Id}/groups";
        foreach (var rules in new[] { Rules(0, 1, 3), Rules(13, 1, 3), Rules(2, 3, 2), Rules(2, 0, 2) })
            (await ana.Problem(await ana.Put($"{address}/rules", rules), 422))["fields"]!["groups"].ShouldNotBeNull();
        (await ana.Problem(await ana.Put($"{address}/rules", Rules(1, 1, 3, new { moveCost = 99 })), 422))["fields"]!
            ["moveCost"]
            .ShouldNotBeNull();
        // A rule about somebody who is not in the class rests.
        var gone = Rules(
            1,
            1,
            3,
            new { together = new[] { new { one = Guid.NewGuid(), other = room.Readers[0].Id } } }
        );
        (await ana.Posted($"{address}/proposal", gone))["groups"]!.AsArray().ShouldHaveSingleItem();
        foreach (var who in new[] { await harness.Teacher("ben"), await harness.Teacher("cleo") })
        {
            (await who.Send(HttpMethod.Get, $"{address}/rules")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
            (await who.Send(HttpMethod.Get, $"{address}/stays")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
            (await who.Put($"{address}/rules", Rules(1, 1, 3))).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        }
    }

    [Fact]
    public async Task A_group_is_met_by_somebody_of_the_class_and_goes_on_so_when_readers_come_and_go()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 4);
        async Task Form(int readers) =>
            await ana.Stored(
                $"/api/classes/{room.Id}/groups",
                new
                {
                    groups = new[] { new { name = "Kelp", readerIds = room.Readers.Take(readers).Select(r => r.Id) } },
                }
            );
        async Task<JsonNode> Group() => (await ana.Get($"/api/classes/{room.Id}"))["groups"]![0]!;
        await Form(2);
        (await Group())["leader"].ShouldBeNull();
        var leaders = (await ana.Get($"/api/classes/{room.Id}/groups/leaders")).AsArray();
        var her = (string)leaders.ShouldHaveSingleItem()!["id"]!;
        var address = $"/api/classes/{room.Id}/groups/{(string)(await Group())["id"]!}/leader";
        (await ana.Put(address, new { adultId = her })).EnsureSuccessStatusCode();
        ((string)(await Group())["leader"]!["id"]!).ShouldBe(her);
        await Form(4);
        ((string)(await Group())["leader"]!["id"]!).ShouldBe(her);
        (await ana.Put(address, new { adultId = Guid.NewGuid() })).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        (await ana.Put(address, new { adultId = (string?)null })).EnsureSuccessStatusCode();
        (await Group())["leader"].ShouldBeNull();
    }

    [Fact]
    public async Task Groups_that_have_stood_for_weeks_are_looked_at_again_and_who_belongs_elsewhere_is_named()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 6);
        var ids = room.Readers.Select(r => r.Id).ToList();
        // The shallowest sits with the deepest ones.
        await ana.Stored(
            $"/api/classes/{room.Id}/groups",
            new
            {
                groups = new[]
                {
                    new { name = "Kelp", readerIds = new[] { ids[1], ids[2] } },
                    new { name = "Mill", readerIds = new[] { ids[0], ids[3], ids[4], ids[5] } },
                },
            }
        );
        await ana.Stored($"/api/classes/{room.Id}/groups/rules", Rules(2, 2, 4));
        await harness.Ask<object>("update reader set depth_mean = 10 where id = $1 returning 1", Guid.Parse(ids[0]));
        await harness.Ask<object>(
            "update reader set depth_mean = 40 where id = any($1) returning 1",
            new[] { ids[3], ids[4], ids[5] }.Select(Guid.Parse).ToArray()
        );
        (await ana.Get($"/api/classes/{room.Id}/groups/again"))["weeks"].ShouldBeNull();
        await harness.Ask<object>(
            """
            update group_member m set joined_at = now() - interval '30 days'
            from guided_group g where g.id = m.group_id and g.class_id = $1 returning 1
            """,
            Guid.Parse(room.Id)
        );
        var again = await ana.Get($"/api/classes/{room.Id}/groups/again");
        ((int)again["weeks"]!).ShouldBe(4);
        var move = again["moves"]!.AsArray().ShouldHaveSingleItem()!;
        ((string)move["readerId"]!, (string)move["to"]!).ShouldBe((ids[0], "Kelp"));
        again["proposal"]!["groups"]!.AsArray().Count.ShouldBe(2);
    }
}
