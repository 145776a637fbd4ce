using System.Globalization;
using System.Net;
using System.Text.Json.Nodes;

namespace Web.Tests;

/// <summary>What a guardian sees of a child's reading, over HTTP.</summary>
[Collection("application")]
public sealed class GuardianTests(Harness harness)
{
    [Fact]
    public async Task A_week_is_seen_day_by_day_and_answers_only_once_they_are_released()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 2);
        var guardian = await harness.Guardian(ana, room.Id, room.Readers[0].Id);
        async Task<JsonNode> Child() =>
            (await guardian.Get("/api/guardian/children")).AsArray().ShouldHaveSingleItem()!;
        var before = await Child();
        before["week"]!["days"]!.AsArray().Select(d => (int)d!["words"]!).ShouldBe([0, 0, 0, 0, 0, 0, 0]);
        before["next"]!.AsArray().ShouldBeEmpty();
        before["atHome"].ShouldBeNull();
        var (ticket, text) = await HandedIn(ana, room);
        var held = await Child();
        held["week"]!["days"]!.AsArray().Sum(d => (int)d!["words"]!).ShouldBeGreaterThan(0);
        ((double)held["week"]!["minutes"]!).ShouldBeGreaterThan(0);
        held["well"]!.AsArray().Concat(held["next"]!.AsArray()).ShouldBeEmpty();
        var title = (string)(await ana.Get($"/api/texts/{text}"))["title"]!;
        ((string)held["likes"]!["now"]!["title"]!).ShouldBe(title);
        foreach (var answer in (await ana.Get($"/api/tickets/{ticket}"))["answers"]!.AsArray())
        foreach (var tried in answer!["tries"]!.AsArray().Where(t => t!["correct"] is null))
            await ana.Stored($"/api/tickets/{ticket}/marks/{(string)tried!["id"]!}", new { points = new[] { 3 } });
        await ana.Posted($"/api/classes/{room.Id}/tickets", new { ticketIds = new[] { ticket }, deed = "Release" });
        // Answers that come faster than reading say nothing: what is known is what counts.
        var counted = await harness.Ask<long>(
            """
            select count(distinct q.strand)
            from answer w join question q on q.id = w.question_id
            where w.ticket_id = $1 and not w.too_fast and q.place is null
            group by q.strand
            having count(*) >= 3
            """,
            Guid.Parse(ticket)
        );
        var seen = await Child();
        var strands = seen["well"]!.AsArray().Concat(seen["next"]!.AsArray()).ToList();
        (strands.Count > 0).ShouldBe(counted > 0);
        (seen["atHome"] is not null).ShouldBe(counted > 0);
        // Nothing of measuring leaves: no fathoms, no chances, no course.
        foreach (var word in new[] { "depth", "chance", "course", "sd" })
            seen.ToJsonString().ShouldNotContain($"\"{word}\"");
    }

    [Fact]
    public async Task Earlier_weeks_are_whole_weeks_with_what_was_finished_in_them()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 2);
        var guardian = await harness.Guardian(ana, room.Id, room.Readers[0].Id);
        var (ticket, _) = await HandedIn(ana, room);
        var id = room.Readers[0].Id;
        var week = (await guardian.Get("/api/guardian/children"))[0]!["week"]!;
        var monday = DateOnly.Parse((string)week["monday"]!, CultureInfo.InvariantCulture);
        string At(DateOnly day) => $"/api/guardian/children/{id}/weeks/{day:yyyy-MM-dd}";
        var now = await guardian.Get(At(monday));
        now["week"]!.ToJsonString().ShouldBe(week.ToJsonString());
        now["finished"]!.AsArray().Count.ShouldBe(1);
        await harness.Ask<string>(
            "update ticket set handed_in_at = handed_in_at - interval '7 days' where id = $1 returning id::text",
            Guid.Parse(ticket)
        );
        (await guardian.Get(At(monday)))["finished"]!.AsArray().ShouldBeEmpty();
        (await guardian.Get(At(monday.AddDays(-7))))["finished"]!.AsArray().Count.ShouldBe(1);
        foreach (var none in new[] { monday.AddDays(1), monday.AddDays(7), monday.AddDays(-7 * 53) })
            (await guardian.Send(HttpMethod.Get, At(none))).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        (
            await guardian.Send(
                HttpMethod.Get,
                At(monday).Replace($"{id}", $"{room.Readers[1].Id}", StringComparison.Ordinal)
            )
        ).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }

    [Fact]
    public async Task A_message_is_answered_from_home_seen_by_its_teacher_and_by_no_other_home()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 2);
        var child = room.Readers[0].Id;
        var mother = await harness.Guardian(ana, room.Id, child);
        var father = await harness.Guardian(ana, room.Id, child);
        var message = Guid.NewGuid();
        var at = $"/api/readers/{child}/home-messages/{message}";
        (await ana.Send(HttpMethod.Put, at, new { words = "  " })).StatusCode.ShouldBe(
            HttpStatusCode.UnprocessableEntity
        );
        await ana.Stored(at, new { words = "He read well." });
        await ana.Stored(at, new { words = " He read very well. " });
        async Task<JsonNode> Seen(Person by) => (await by.Get("/api/guardian/children"))[0]!["messages"]!;
        ((string)(await Seen(mother))[0]!["words"]!).ShouldBe("He read very well.");
        var answer = $"/api/guardian/children/{child}/messages/{message}/answers/{Guid.NewGuid()}";
        await mother.Stored(answer, new { words = "Thank you <b>" });
        await mother.Stored(answer, new { words = "Thank you <b>" });
        ((string)(await Seen(mother))[0]!["answers"]!.AsArray().ShouldHaveSingleItem()!["words"]!).ShouldBe(
            "Thank you <b>"
        );
        (await Seen(father))[0]!["answers"]!.AsArray().ShouldBeEmpty();
        // Somebody else's answer is not written over by its id.
        (await father.Send(HttpMethod.Put, answer, new { words = "Not mine" })).StatusCode.ShouldBe(
            HttpStatusCode.Conflict
        );
        async Task<int> Waiting() =>
            (await ana.Get($"/api/classes/{room.Id}/marking/others"))
                .AsArray()
                .Count(w => (string)w!["kind"]! == "HomeAnswer");
        (await Waiting()).ShouldBe(1);
        (await ana.Send(HttpMethod.Put, at, new { words = "Changed" })).StatusCode.ShouldBe(HttpStatusCode.Conflict);
        (await ana.Post($"/api/readers/{child}/home-messages/seen")).EnsureSuccessStatusCode();
        (await Waiting()).ShouldBe(0);
        (await Seen(mother))[0]!["answers"]![0]!["seenAt"].ShouldNotBeNull();
        var elsewhere = answer.Replace($"{child}", $"{room.Readers[1].Id}", StringComparison.Ordinal);
        (await mother.Send(HttpMethod.Put, elsewhere, new { words = "x" })).StatusCode.ShouldBe(
            HttpStatusCode.NotFound
        );
    }

    [Fact]
    public async Task A_message_that_is_removed_is_answered_no_more_until_it_is_there_again()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 1);
        var child = room.Readers[0].Id;
        var mother = await harness.Guardian(ana, room.Id, child);
        var message = Guid.NewGuid();
        var at = $"/api/readers/{child}/home-messages/{message}";
        var answer = $"/api/guardian/children/{child}/messages/{message}/answers/{Guid.NewGuid()}";
        async Task<JsonNode> Seen(Person by) => (await by.Get("/api/guardian/children"))[0]!["messages"]!;
        await ana.Stored(at, new { words = "He read very well." });
        (await ana.Send(HttpMethod.Delete, at)).EnsureSuccessStatusCode();
        (await Seen(mother)).AsArray().ShouldBeEmpty();
        (await mother.Send(HttpMethod.Put, answer, new { words = "Again" })).StatusCode.ShouldBe(
            HttpStatusCode.Conflict
        );
        await ana.Stored(at, new { words = "He read very well." });
        (await Seen(mother)).AsArray().Count.ShouldBe(1);
    }

    /// <summary>The first reader of a class reads a text and hands its answers in; results wait for their
    /// release.</summary>
    private async Task<(string Ticket, string Text)> HandedIn(Person ana, Room room)
    {
        var text = await Answering.TextWith(ana, "Single");
        await ana.Posted(
            $"/api/classes/{room.Id}/assignments",
            new
            {
                readerIds = new[] { room.Readers[0].Id },
                textId = text,
                attempts = 1,
                skipGiven = false,
                results = "WhenReleased",
            }
        );
        var reader = await harness.Reader(room, 0);
        var ticket = (string)(await reader.Get("/api/my/tickets"))[0]!["id"]!;
        (await reader.Post($"/api/my/tickets/{ticket}/open")).EnsureSuccessStatusCode();
        await Answering.ReadPages(reader, ticket);
        await Answering.HandIn(reader, ticket);
        return (ticket, text);
    }
}
