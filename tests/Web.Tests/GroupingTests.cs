using System.Net;
using System.Text.Json.Nodes;

namespace Web.Tests;

/// <summary>Several groupings of the same readers side by side, and groups across classes.</summary>
[Collection("application")]
public sealed class GroupingTests(Harness harness)
{
    private static object Rules(int groups, int smallest, int largest) =>
        new
        {
            groups,
            smallest,
            largest,
        };

    private static Task<JsonNode> Made(Person ana, string classId, string id, string name, params string[] others) =>
        ana.Stored($"/api/classes/{classId}/groupings/{id}", new { name, others });

    private static Task<JsonNode> Saved(
        Person ana,
        string classId,
        string? grouping,
        params (string Name, string[] Readers)[] groups
    ) =>
        ana.Stored(
            $"/api/classes/{classId}/groups{(grouping is null ? "" : $"?grouping={grouping}")}",
            new { groups = groups.Select(g => new { name = g.Name, readerIds = g.Readers }) }
        );

    private static async Task<List<(string Name, int Readers, string? Grouping)>> Groups(
        Person ana,
        string classId,
        string which
    ) =>
        [
            .. (await ana.Get($"/api/classes/{classId}"))[which]!
                .AsArray()
                .Select(g => ((string)g!["name"]!, g["readerIds"]!.AsArray().Count, (string?)g["grouping"])),
        ];

    private static string[] Ids(Room room, params int[] places) => [.. places.Select(i => room.Readers[i].Id)];

    [Fact]
    public async Task Groupings_stand_side_by_side_and_each_is_changed_ended_and_brought_back_alone()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 6);
        var words = Guid.NewGuid().ToString();
        await Saved(ana, room.Id, null, ("Kelp", Ids(room, 0, 1, 2)), ("Ferry", Ids(room, 3, 4, 5)));
        await Made(ana, room.Id, words, "Word work");
        await Made(ana, room.Id, words, "Word work");
        (await ana.Get($"/api/classes/{room.Id}/groupings")).AsArray().Count.ShouldBe(1, "sent twice it is one");
        var saved = await Saved(ana, room.Id, words, ("Sounds", Ids(room, 0, 3)), ("Endings", Ids(room, 1, 2, 4)));
        (await Groups(ana, room.Id, "groups")).ShouldBe([("Kelp", 3, null), ("Ferry", 3, null)]);
        (await Groups(ana, room.Id, "otherGroups")).ShouldBe([("Sounds", 2, words), ("Endings", 3, words)]);
        // Guided reading is regrouped, and word work stays.
        await Saved(ana, room.Id, null, ("Kelp", Ids(room, 0, 1, 2, 3)), ("Ferry", Ids(room, 4, 5)));
        (await Groups(ana, room.Id, "otherGroups")).ShouldBe([("Sounds", 2, words), ("Endings", 3, words)]);
        var ended = await ana.Posted($"/api/classes/{room.Id}/groupings/{words}/end", new { });
        (await Groups(ana, room.Id, "otherGroups")).ShouldBeEmpty();
        (await ana.Get($"/api/classes/{room.Id}/groupings")).AsArray().ShouldBeEmpty();
        (await Groups(ana, room.Id, "groups")).Count.ShouldBe(2);
        (await ana.Post($"/api/changes/{(string)ended["changeId"]!}/undo")).EnsureSuccessStatusCode();
        (await Groups(ana, room.Id, "otherGroups")).ShouldBe([("Sounds", 2, words), ("Endings", 3, words)]);
        (await ana.Post($"/api/changes/{(string)saved["changeId"]!}/undo")).EnsureSuccessStatusCode();
        (await Groups(ana, room.Id, "otherGroups")).ShouldBeEmpty();
        (await Groups(ana, room.Id, "groups")).ShouldBe([("Kelp", 4, null), ("Ferry", 2, null)]);
    }

    [Fact]
    public async Task Each_grouping_has_its_rules_and_its_proposal_and_no_name_is_there_twice()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 6);
        var words = Guid.NewGuid().ToString();
        await Made(ana, room.Id, words, "Word work");
        await Saved(ana, room.Id, null, ("Kelp", Ids(room, 0, 1, 2)), ("Ferry", Ids(room, 3, 4, 5)));
        await ana.Stored($"/api/classes/{room.Id}/groups/rules?grouping={words}", Rules(3, 2, 2));
        ((int)(await ana.Get($"/api/classes/{room.Id}/groups/rules?grouping={words}"))["groups"]!).ShouldBe(3);
        ((int)(await ana.Get($"/api/classes/{room.Id}/groups/rules"))["groups"]!).ShouldBe(2);
        var proposal = await ana.Posted($"/api/classes/{room.Id}/groups/proposal?grouping={words}", Rules(3, 2, 2));
        var names = proposal["groups"]!.AsArray().Select(g => (string)g!["name"]!).ToList();
        names.Count.ShouldBe(3);
        names.ShouldNotContain("Kelp");
        names.ShouldNotContain("Ferry");
        var twice = await ana.Send(
            HttpMethod.Put,
            $"/api/classes/{room.Id}/groups?grouping={words}",
            new { groups = new[] { new { name = "kelp ", readerIds = Ids(room, 0, 1) } } }
        );
        twice.StatusCode.ShouldBe(HttpStatusCode.UnprocessableEntity);
        foreach (var name in new[] { "", new string('x', 41), "WORD WORK" })
            (
                await ana.Send(
                    HttpMethod.Put,
                    $"/api/classes/{room.Id}/groupings/{Guid.NewGuid()}",
                    new { name, others = Array.Empty<string>() }
                )
            ).StatusCode.ShouldBe(HttpStatusCode.UnprocessableEntity, name);
        (
            await ana.Send(
                HttpMethod.Put,
                $"/api/classes/{room.Id}/groups?grouping={Guid.NewGuid()}",
                new { groups = new[] { new { name = "None", readerIds = Ids(room, 0, 1) } } }
            )
        ).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }

    [Fact]
    public async Task A_grouping_takes_in_readers_of_another_class_of_ones_own_and_of_no_other()
    {
        var ana = await harness.Teacher("ana");
        var (one, two) = (await harness.Room(ana, 3), await harness.Room(ana, 3));
        var ben = await harness.Teacher("ben");
        var bens = await harness.Room(ben, 2);
        var club = Guid.NewGuid().ToString();
        (
            await ana.Send(
                HttpMethod.Put,
                $"/api/classes/{one.Id}/groupings/{club}",
                new { name = "Book club", others = new[] { bens.Id } }
            )
        ).StatusCode.ShouldBe(HttpStatusCode.NotFound, "another's class");
        await Made(ana, one.Id, club, "Book club", two.Id);
        var proposal = await ana.Posted($"/api/classes/{one.Id}/groups/proposal?grouping={club}", Rules(2, 3, 3));
        proposal["groups"]!.AsArray().Sum(g => g!["readerIds"]!.AsArray().Count).ShouldBe(6, "both classes");
        string[] mixed = [.. Ids(one, 0, 1), .. Ids(two, 0)];
        await Saved(ana, one.Id, club, ("Storms", mixed));
        (await Groups(ana, one.Id, "otherGroups")).ShouldBe([("Storms", 2, club)], "its readers of this class");
        (await Groups(ana, two.Id, "otherGroups")).ShouldBe([("Storms", 1, club)]);
        (
            await ana.Send(
                HttpMethod.Put,
                $"/api/classes/{one.Id}/groups?grouping={club}",
                new { groups = new[] { new { name = "Storms", readerIds = Ids(bens, 0) } } }
            )
        ).StatusCode.ShouldBe(HttpStatusCode.NotFound, "a reader of another's class");
        // A meeting has all of the group.
        var meeting = Guid.NewGuid().ToString();
        var group = (string)(await ana.Get($"/api/classes/{one.Id}"))["otherGroups"]![0]!["id"]!;
        await ana.Stored(
            $"/api/classes/{one.Id}/meetings",
            new { meetings = new[] { MeetingTests.Planned(meeting, group, MeetingTests.SchoolDay(0)) } }
        );
        (await ana.Get($"/api/meetings/{meeting}"))["readers"]!.AsArray().Count.ShouldBe(3);
    }

    [Fact]
    public async Task Whoever_teaches_one_of_its_classes_alone_neither_saves_nor_ends_a_grouping_nor_undoes_either()
    {
        var ana = await harness.Teacher("ana");
        var (one, two) = (await harness.Room(ana, 3), await harness.Room(ana, 3));
        var ben = await harness.Teacher("ben");
        var benId = (string)(await ben.Get("/api/session"))["id"]!;
        (
            await ana.Put($"/api/classes/{one.Id}/adults", new { adultId = benId, role = "CoTeacher" })
        ).EnsureSuccessStatusCode();
        var club = Guid.NewGuid().ToString();
        await Made(ana, one.Id, club, "Book club", two.Id);
        string[] mixed = [.. Ids(one, 0, 1), .. Ids(two, 0)];
        var saved = await Saved(ana, one.Id, club, ("Storms", mixed));
        var again = new { groups = new[] { new { name = "Calms", readerIds = Ids(one, 0, 1) } } };
        (await ben.Put($"/api/classes/{one.Id}/groups?grouping={club}", again)).StatusCode.ShouldBe(
            HttpStatusCode.NotFound
        );
        (await ben.Post($"/api/changes/{(string)saved["changeId"]!}/undo")).StatusCode.ShouldBe(
            HttpStatusCode.NotFound
        );
        (await ben.Post($"/api/classes/{one.Id}/groupings/{club}/end", new { })).StatusCode.ShouldBe(
            HttpStatusCode.NotFound
        );
        var ended = await ana.Posted($"/api/classes/{one.Id}/groupings/{club}/end", new { });
        (await ben.Post($"/api/changes/{(string)ended["changeId"]!}/undo")).StatusCode.ShouldBe(
            HttpStatusCode.NotFound
        );
        (await ana.Post($"/api/changes/{(string)ended["changeId"]!}/undo")).EnsureSuccessStatusCode();
        (await Groups(ana, two.Id, "otherGroups")).ShouldBe([("Storms", 1, club)]);
    }
}
