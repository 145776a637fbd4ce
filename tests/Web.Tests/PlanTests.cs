using System.Text.Json.Nodes;
using DeepCurrent.Web.Assignments;
using Microsoft.Extensions.DependencyInjection;

namespace Web.Tests;

/// <summary>Planning a class's reading and mending what was given: drafts, days, rounds, another text.</summary>
[Collection("application")]
public sealed class PlanTests(Harness harness)
{
    private static DateOnly Today => Harness.Today;

    private async Task<string> Text(Person ana, string words = "mill+that+waits") =>
        (string)(await ana.Get($"/api/library?q={words}"))["rows"]![0]!["id"]!;

    private async Task<(Person Ana, Room Room, string Assignment)> Given(
        int readers = 2,
        bool draft = false,
        DateOnly? from = null,
        DateOnly? due = null
    )
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, readers);
        var made = await ana.Posted(
            $"/api/classes/{room.Id}/assignments",
            new
            {
                readerIds = room.Readers.Select(r => r.Id),
                textId = await Text(ana),
                attempts = 2,
                skipGiven = true,
                visibleFrom = from,
                dueOn = due,
                draft,
            }
        );
        return (ana, room, (string)made["assignmentId"]!);
    }

    private static async Task<JsonArray> Plates(Person p, Room room) =>
        (await p.Get($"/api/classes/{room.Id}/week?from={Today:yyyy-MM-dd}&to={Today.AddDays(20):yyyy-MM-dd}"))[
            "plates"
        ]!.AsArray();

    private static async Task<List<string>> Tickets(Person ana, string assignment) =>
        [.. (await ana.Get($"/api/assignments/{assignment}"))["tickets"]!.AsArray().Select(k => (string)k!["id"]!)];

    private static Task<JsonNode> Step(
        Person ana,
        Room room,
        string deed,
        IEnumerable<string> tickets,
        string? comment = null
    ) =>
        ana.Posted(
            $"/api/classes/{room.Id}/tickets",
            new
            {
                ticketIds = tickets,
                deed,
                comment,
            }
        );

    private static Task<JsonNode> Undo(Person p, JsonNode done) => p.Posted($"/api/changes/{done["changeId"]}/undo");

    private static async Task<JsonArray> Mine(Person reader) => (await reader.Get("/api/my/tickets")).AsArray();

    [Fact]
    public async Task A_draft_is_seen_by_colleagues_only_until_it_is_given_and_giving_is_undone_whole()
    {
        var (ana, room, draft) = await Given(draft: true, due: Today.AddDays(4));
        var reader = await harness.Reader(room, 0);
        (await Mine(reader)).ShouldBeEmpty();
        var plate = (await Plates(ana, room)).ShouldHaveSingleItem()!;
        ((bool)plate["assignment"]!["draft"]!).ShouldBeTrue();
        ((string)plate["row"]!["kind"]!).ShouldBe("Everybody");
        plate["readers"]!.AsArray().Count.ShouldBe(2);

        var given = await ana.Posted($"/api/classes/{room.Id}/drafts/give", new { assignmentIds = new[] { draft } });
        ((int)given["done"]!).ShouldBe(1);
        (await Mine(reader)).Count.ShouldBe(1);
        (
            await ana.Code(
                await ana.Post($"/api/classes/{room.Id}/drafts/give", new { assignmentIds = new[] { draft } }),
                409
            )
        ).ShouldBe("given");

        await Undo(ana, given);
        (await Mine(reader)).ShouldBeEmpty();
        ((bool)(await Plates(ana, room))[0]!["assignment"]!["draft"]!).ShouldBeTrue();
    }

    [Fact]
    public async Task Drafts_that_readers_have_begun_are_not_drafts_again()
    {
        var (ana, room, draft) = await Given(draft: true);
        var given = await ana.Posted($"/api/classes/{room.Id}/drafts/give", new { assignmentIds = new[] { draft } });
        var reader = await harness.Reader(room, 0);
        var ticket = (string)(await Mine(reader))[0]!["id"]!;
        await reader.Post($"/api/my/tickets/{ticket}/open", new { at = DateTimeOffset.UtcNow });
        (await ana.Code(await ana.Post($"/api/changes/{given["changeId"]}/undo"), 409)).ShouldBe("built-on");
        (await Mine(reader)).Count.ShouldBe(1);
    }

    [Fact]
    public async Task A_draft_is_given_to_who_is_in_the_class_then()
    {
        var (ana, room, draft) = await Given(draft: true);
        var added = await ana.Posted(
            $"/api/classes/{room.Id}/readers",
            new
            {
                givenName = "Late",
                familyName = "Comer",
                grade = 4,
                level = 30,
            }
        );
        await ana.Posted($"/api/classes/{room.Id}/drafts/give", new { assignmentIds = new[] { draft } });
        (await ana.Get($"/api/assignments/{draft}"))["tickets"]!
            .AsArray()
            .Select(k => (string)k!["readerId"]!)
            .ShouldContain((string)added["id"]!, "everybody was meant");
    }

    private static Task<JsonNode> Grouped(Person ana, Room room, params (string Name, string[] Readers)[] groups) =>
        ana.Stored(
            $"/api/classes/{room.Id}/groups",
            new { groups = groups.Select(g => new { name = g.Name, readerIds = g.Readers }) }
        );

    [Fact]
    public async Task A_draft_for_a_group_follows_its_readers_and_a_group_that_is_gone_is_said()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 5);
        var ids = room.Readers.Select(r => r.Id).ToArray();
        Task<JsonNode> Group(string name, params string[] readers) =>
            Grouped(ana, room, (name, readers), ("Rest", [.. ids.Except(readers)]));
        async Task<IEnumerable<string>> Meant(string assignment) =>
            (await Plates(ana, room)).Single(p => (string)p!["assignment"]!["id"]! == assignment)!["readers"]!
                .AsArray()
                .Select(r => (string)r!);

        await Group("Mill", ids[0], ids[1]);
        var draft = (string)
            (
                await ana.Posted(
                    $"/api/classes/{room.Id}/assignments",
                    new
                    {
                        readerIds = new[] { ids[0], ids[1] },
                        textId = await Text(ana),
                        attempts = 2,
                        skipGiven = true,
                        draft = true,
                    }
                )
            )["assignmentId"]!;
        (await Meant(draft)).ShouldBe([ids[0], ids[1]], ignoreOrder: true);
        var regrouped = await Group("Mill", ids[1], ids[2], ids[3]);
        (await Meant(draft)).ShouldBe([ids[1], ids[2], ids[3]], ignoreOrder: true);
        await Undo(ana, regrouped);
        (await Meant(draft)).ShouldBe([ids[0], ids[1]], ignoreOrder: true);

        await Group("Quay", ids[0], ids[1]);
        (await Meant(draft)).ShouldBeEmpty("that group is gone, and nobody is put in its place");
        var given = await ana.Post($"/api/classes/{room.Id}/drafts/give", new { assignmentIds = new[] { draft } });
        (await ana.Problem(given, 422))["fields"]!["assignmentIds"].ShouldNotBeNull();
    }

    [Fact]
    public async Task What_is_visible_later_waits_for_its_day_and_a_day_that_is_moved_shows_it()
    {
        var (ana, room, assignment) = await Given(from: Today.AddDays(2), due: Today.AddDays(5));
        var reader = await harness.Reader(room, 0);
        (await Mine(reader)).ShouldBeEmpty();
        var row = (await ana.Get($"/api/assignments/{assignment}"))["assignment"]!;
        ((int)row["planned"]!).ShouldBe(2);
        var terms = new
        {
            visibleFrom = Today,
            dueOn = Today.AddDays(5),
            heading = "",
            directions = "Read it twice.",
            note = "",
            revision = (int)row["revision"]!,
        };
        var changed = await ana.Stored($"/api/assignments/{assignment}", terms);
        ((string)(await Mine(reader)).ShouldHaveSingleItem()!["directions"]!).ShouldBe("Read it twice.");
        (
            await ana.Code(await ana.Put($"/api/assignments/{assignment}", terms with { directions = "Once." }), 409)
        ).ShouldBe("changed", "somebody who saw it as it was does not write over it");
        await Undo(ana, changed);
        (await Mine(reader)).ShouldBeEmpty();
    }

    [Fact]
    public async Task What_is_restored_before_its_day_waits_for_it()
    {
        var (ana, room, assignment) = await Given(from: Today.AddDays(2));
        var tickets = await Tickets(ana, assignment);
        await Step(ana, room, "TakeBack", tickets);
        await Step(ana, room, "Restore", tickets);
        (await Mine(await harness.Reader(room, 0))).ShouldBeEmpty();
        ((int)(await ana.Get($"/api/assignments/{assignment}"))["assignment"]!["planned"]!).ShouldBe(2);
    }

    [Fact]
    public async Task The_day_comes_by_itself()
    {
        var (_, room, assignment) = await Given(from: Today.AddDays(2));
        var reader = await harness.Reader(room, 0);
        await harness.Ask<object>(
            "update assignment set visible_from = current_date - 1 where id = $1",
            Guid.Parse(assignment)
        );
        await harness.Services.GetRequiredService<Showing>().Do(CancellationToken.None);
        (await Mine(reader)).Count.ShouldBe(1);
    }

    [Fact]
    public async Task Days_that_cannot_be_are_refused_by_field()
    {
        var (ana, _, assignment) = await Given();
        async Task<JsonNode> Fields(DateOnly from, DateOnly? due, string heading = "") =>
            (
                await ana.Problem(
                    await ana.Put(
                        $"/api/assignments/{assignment}",
                        new
                        {
                            visibleFrom = from,
                            dueOn = due,
                            heading,
                            directions = "",
                            note = "",
                            revision = 1,
                        }
                    ),
                    422
                )
            )["fields"]!;
        (await Fields(Today.AddDays(3), Today.AddDays(2)))["dueOn"].ShouldNotBeNull();
        (await Fields(Today.AddDays(-9), Today.AddDays(-2)))["dueOn"].ShouldNotBeNull();
        (await Fields(Today, null, new string('h', 61)))["heading"].ShouldNotBeNull();
    }

    [Fact]
    public async Task A_week_is_copied_as_drafts_once_and_the_copies_are_discarded_and_come_back()
    {
        var (ana, room, assignment) = await Given(due: Today.AddDays(2));
        var copies = new { copies = new[] { new { assignmentId = assignment, id = Guid.NewGuid() } }, days = 7 };
        var copied = await ana.Posted($"/api/classes/{room.Id}/drafts/copy", copies);
        await ana.Posted($"/api/classes/{room.Id}/drafts/copy", copies);
        var drafts = (await Plates(ana, room)).Where(p => (bool)p!["assignment"]!["draft"]!).ToList();
        var id = (string)drafts.ShouldHaveSingleItem()!["assignment"]!["id"]!;
        var discarded = await ana.Posted(
            $"/api/classes/{room.Id}/drafts/discard",
            new { assignmentIds = new[] { id } }
        );
        (await Plates(ana, room)).Count.ShouldBe(1);
        await Undo(ana, discarded);
        (await Plates(ana, room)).Count.ShouldBe(2);
        await Undo(ana, copied);
        (await Plates(ana, room)).Count.ShouldBe(1);
        (
            await ana.Code(
                await ana.Post($"/api/classes/{room.Id}/drafts/discard", new { assignmentIds = new[] { assignment } }),
                409
            )
        ).ShouldBe("given", "what was given is no draft");
    }

    [Fact]
    public async Task Taken_back_from_one_it_is_gone_for_them_only_and_can_be_restored()
    {
        var (ana, room, assignment) = await Given();
        var tickets = await Tickets(ana, assignment);
        var reader = await harness.Reader(room, 0);
        var mine = (string)(await Mine(reader))[0]!["id"]!;
        var taken = await Step(ana, room, "TakeBack", [mine]);
        (await Mine(reader)).ShouldBeEmpty();
        (await Mine(await harness.Reader(room, 1))).Count.ShouldBe(1);
        (
            await ana.Code(
                await ana.Post(
                    $"/api/classes/{room.Id}/tickets",
                    new { ticketIds = new[] { mine }, deed = "TakeBack" }
                ),
                409
            )
        ).ShouldBe("state");
        await Step(ana, room, "Restore", [mine]);
        (await Mine(reader)).Count.ShouldBe(1);
        // The state is what it was before, so the first change can be undone no more.
        (await ana.Code(await ana.Post($"/api/changes/{taken["changeId"]}/undo"), 409)).ShouldBe("built-on");
        ((int)(await Step(ana, room, "TakeBack", tickets))["done"]!).ShouldBe(2);
    }

    [Fact]
    public async Task Sent_back_a_ticket_begins_another_round_and_the_first_stays_the_evidence()
    {
        var (ana, room, _) = await Given();
        var reader = await harness.Reader(room, 0);
        var ticket = (string)(await Mine(reader))[0]!["id"]!;
        await Answering.HandIn(reader, ticket);
        var evidence = await Evidence(ticket);
        evidence.ShouldBeGreaterThan(0);
        var score = await harness.Ask<double>("select score from ticket where id = $1", Guid.Parse(ticket));
        (
            await ana.Problem(
                await ana.Post(
                    $"/api/classes/{room.Id}/tickets",
                    new { ticketIds = new[] { ticket }, deed = "SendBack" }
                ),
                422
            )
        )["fields"]!
            ["comment"]
            .ShouldNotBeNull();
        await Step(ana, room, "SendBack", [ticket], "Read page 2 again.");

        var back = (await Mine(reader)).ShouldHaveSingleItem()!;
        ((string)back["state"]!).ShouldBe("SentBack");
        ((string)back["comment"]!).ShouldBe("Read page 2 again.");
        ((int)back["answered"]!).ShouldBe(0);
        (await reader.Get($"/api/my/tickets/{ticket}"))["questions"]![0]!["attempts"]!.AsArray().ShouldBeEmpty();
        await Answering.HandIn(reader, ticket);

        (await Evidence(ticket)).ShouldBe(evidence, "who answers again knows the questions");
        (await harness.Ask<double>("select score from ticket where id = $1", Guid.Parse(ticket))).ShouldBe(score);
        (
            await harness.Ask<long>("select count(distinct round) from answer where ticket_id = $1", Guid.Parse(ticket))
        ).ShouldBe(2, "both rounds are kept");
        (
            await harness.Ask<long>(
                "select count(*) from round where ticket_id = $1 and handed_in_at is not null",
                Guid.Parse(ticket)
            )
        ).ShouldBe(2);
        ((string)(await Mine(reader))[0]!["state"]!).ShouldBe("Released");
    }

    private Task<long> Evidence(string ticket) =>
        harness.Ask<long>("select count(*) from evidence where ticket_id = $1", Guid.Parse(ticket));

    [Fact]
    public async Task Given_again_and_taken_back_a_ticket_is_where_it_was_and_undo_takes_the_round_away()
    {
        var (ana, room, _) = await Given();
        var reader = await harness.Reader(room, 0);
        var ticket = (string)(await Mine(reader))[0]!["id"]!;
        await Answering.HandIn(reader, ticket);
        var again = await Step(ana, room, "GiveAgain", [ticket]);
        ((string)(await Mine(reader))[0]!["state"]!).ShouldBe("Waiting");
        await Step(ana, room, "TakeBack", [ticket]);
        ((string)(await Mine(reader))[0]!["state"]!).ShouldBe("Released", "what was handed in is not taken back");
        (await ana.Code(await ana.Post($"/api/changes/{again["changeId"]}/undo"), 409)).ShouldBe("built-on");
        var once = await Step(ana, room, "GiveAgain", [ticket]);
        await Undo(ana, once);
        ((string)(await Mine(reader))[0]!["state"]!).ShouldBe("Released");
    }

    [Fact]
    public async Task Another_text_takes_the_place_of_a_wrong_one_for_who_has_not_begun()
    {
        var (ana, room, assignment) = await Given();
        var (one, other) = (await harness.Reader(room, 0), await harness.Reader(room, 1));
        var begun = (string)(await Mine(one))[0]!["id"]!;
        await one.Post($"/api/my/tickets/{begun}/open", new { at = DateTimeOffset.UtcNow });
        var swapped = await ana.Posted(
            $"/api/assignments/{assignment}/swap",
            new
            {
                taskId = Guid.NewGuid(),
                textId = await Text(ana, "ferry+cat"),
                begunToo = false,
            }
        );
        ((string)(await Mine(one)).ShouldHaveSingleItem()!["title"]!).ShouldBe("The Mill That Waits");
        ((string)(await Mine(other)).ShouldHaveSingleItem()!["title"]!).ShouldBe("The Ferry Cat");
        await Undo(ana, swapped);
        ((string)(await Mine(other)).ShouldHaveSingleItem()!["title"]!).ShouldBe("The Mill That Waits");
    }

    [Fact]
    public async Task Who_is_where_has_a_line_for_each_ticket_with_its_state_and_round()
    {
        var (ana, room, assignment) = await Given(due: Today.AddDays(1));
        var reader = await harness.Reader(room, 0);
        var ticket = (string)(await Mine(reader))[0]!["id"]!;
        await Answering.HandIn(reader, ticket);
        var places = (await ana.Get($"/api/classes/{room.Id}/places"))["places"]!.AsArray();
        places.Count.ShouldBe(2);
        var mine = places.Single(k => (string)k!["id"]! == ticket)!;
        ((string)mine["assignmentId"]!).ShouldBe(assignment);
        ((int)mine["answered"]!).ShouldBeGreaterThan(0);
        (
            await ana.Problem(
                await ana.Send(HttpMethod.Get, $"/api/classes/{room.Id}/places?from=2026-11-23&to=2026-11-20"),
                422
            )
        )["fields"]!
            ["to"]
            .ShouldNotBeNull();
    }

    [Fact]
    public async Task What_was_handed_in_last_stands_first_whatever_its_score()
    {
        var (ana, room, _) = await Given();
        var reader = await harness.Reader(room, 0);
        var earlier = (string)(await Mine(reader))[0]!["id"]!;
        await Answering.HandIn(reader, earlier);
        await ana.Posted(
            $"/api/classes/{room.Id}/assignments",
            new
            {
                readerIds = new[] { room.Readers[0].Id },
                textId = await Text(ana, "ferry+cat"),
                attempts = 1,
                skipGiven = true,
            }
        );
        var later = (string)(await Mine(reader)).Single(k => (string)k!["state"]! == "Waiting")!["id"]!;
        await Answering.HandIn(reader, later);
        foreach (var (first, second) in new[] { (0.2, 0.9), (0.9, 0.2) })
        {
            await Score(later, first);
            await Score(earlier, second);
            (await Mine(reader)).Select(k => (string)k!["id"]!).ShouldBe([later, earlier]);
        }
        Task<object?> Score(string ticket, double score) =>
            harness.Ask<object>("update round set score = $2 where ticket_id = $1", Guid.Parse(ticket), score);
    }

    [Fact]
    public async Task A_text_of_ones_own_choosing_has_rounds_like_any_other()
    {
        var (ana, room, _) = await Given(draft: true);
        (
            await ana.Put(
                $"/api/classes/{room.Id}/choosing",
                new
                {
                    open = true,
                    depth = "WithinReach",
                    mostOpen = 3,
                }
            )
        ).EnsureSuccessStatusCode();
        var reader = await harness.Reader(room, 0);
        var offer = (string)(await reader.Get("/api/my/choices"))["offers"]![0]!["textId"]!;
        var ticket = (string)(await reader.Stored($"/api/my/choices/{offer}"))["ticketId"]!;
        await Answering.HandIn(reader, ticket);
        (await harness.Ask<long>("select count(*) from round where ticket_id = $1", Guid.Parse(ticket))).ShouldBe(1);
        var state = (string)(await Mine(reader))[0]!["state"]!;
        if (state == "Released")
            ((double)(await reader.Get($"/api/my/tickets/{ticket}/result"))["score"]!).ShouldBe(
                await harness.Ask<double>("select score from ticket where id = $1", Guid.Parse(ticket))
            );
        await Step(ana, room, "GiveAgain", [ticket]);
        ((int)(await Mine(reader))[0]!["round"]!).ShouldBe(2);
    }

    [Fact]
    public async Task Of_two_who_give_a_draft_at_once_one_does()
    {
        var (ana, room, draft) = await Given(draft: true);
        var answers = await Task.WhenAll(
            Enumerable
                .Range(0, 4)
                .Select(_ => ana.Post($"/api/classes/{room.Id}/drafts/give", new { assignmentIds = new[] { draft } }))
        );
        answers.Count(a => a.IsSuccessStatusCode).ShouldBe(1);
        answers.Count(a => (int)a.StatusCode == 409).ShouldBe(3);
        (await Tickets(ana, draft)).Count.ShouldBe(2);
    }

    [Fact]
    public async Task Who_looks_hears_of_a_day_that_was_moved_and_of_its_undo()
    {
        var (ana, room, assignment) = await Given(draft: true);
        using var line = await ana.Watch(room.Id);
        var changed = await ana.Stored(
            $"/api/assignments/{assignment}",
            new
            {
                visibleFrom = Today.AddDays(1),
                dueOn = (DateOnly?)null,
                heading = "",
                directions = "",
                note = "",
                revision = 1,
            }
        );
        await line.Hear();
        await Undo(ana, changed);
        await line.Hear();
    }

    /// <summary>A draft of each text that was suggested for a group.</summary>
    private static IEnumerable<object> DraftsOf(JsonNode group, DateOnly from) =>
        group["texts"]!
            .AsArray()
            .Select(t => new
            {
                id = Guid.NewGuid(),
                textId = (string)t!["textId"]!,
                readerIds = group["readerIds"]!.AsArray().Select(r => (string)r!),
                visibleFrom = from,
                dueOn = from.AddDays(2),
            });

    [Fact]
    public async Task Texts_are_suggested_for_groups_and_drafted_in_one_step()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 4);
        string[] ids = [.. room.Readers.Select(r => r.Id)];
        (await ana.Get($"/api/classes/{room.Id}/week/suggestions")).AsArray().ShouldBeEmpty("there are no groups yet");
        await Grouped(ana, room, ("Kelp", ids[..2]), ("Mill", ids[2..]));
        var found = (await ana.Get($"/api/classes/{room.Id}/week/suggestions?each=3")).AsArray();
        found.Count.ShouldBe(2);
        var texts = found.SelectMany(g => g!["texts"]!.AsArray()).ToList();
        texts.Count.ShouldBe(6);
        texts.Select(t => (string)t!["textId"]!).Distinct().Count().ShouldBe(6);

        object Drafts(DateOnly from) => new { attempts = 2, drafts = found.SelectMany(g => DraftsOf(g!, from)) };
        var made = await ana.Posted($"/api/classes/{room.Id}/drafts", Drafts(Today));
        ((int)made["done"]!).ShouldBe(6);
        (await Plates(ana, room)).Count.ShouldBe(6);
        var after = (await ana.Get($"/api/classes/{room.Id}/week/suggestions?each=3"))
            .AsArray()
            .SelectMany(g => g!["texts"]!.AsArray())
            .Select(t => (string)t!["textId"]!);
        after
            .Intersect(texts.Select(t => (string)t!["textId"]!))
            .ShouldBeEmpty("what is planned is not suggested again");
        await Undo(ana, made);
        (await Plates(ana, room)).ShouldBeEmpty();
        ((int)(await ana.Post($"/api/classes/{room.Id}/drafts", Drafts(Today.AddDays(-5)))).StatusCode).ShouldBe(422);
        (await Plates(ana, room)).ShouldBeEmpty("all or nothing");
    }
}
