using System.Net;
using System.Text.Json.Nodes;

namespace Web.Tests;

/// <summary>The marking queue: what waits, question by question, with proposals; marking, taking a mark away, comments
/// that are kept.</summary>
[Collection("application")]
public sealed class QueueTests(Harness harness)
{
    private sealed record Given(Person Ana, Room Room, IReadOnlyList<Person> Readers, IReadOnlyList<string> Tickets);

    private async Task<Given> Answered(params string[] words)
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, words.Length);
        await ana.Posted(
            $"/api/classes/{room.Id}/assignments",
            new
            {
                readerIds = room.Readers.Select(r => r.Id),
                textId = await Answering.TextWith(ana, "Short"),
                attempts = 1,
                skipGiven = false,
            }
        );
        var readers = new List<Person>();
        var tickets = new List<string>();
        foreach (var (said, i) in words.Select((w, i) => (w, i)))
        {
            var reader = await harness.Reader(room, i);
            var ticket = (string)(await reader.Get("/api/my/tickets"))[0]!["id"]!;
            await Write(reader, ticket, said);
            readers.Add(reader);
            tickets.Add(ticket);
        }
        return new(ana, room, readers, tickets);
    }

    private static async Task Write(Person reader, string ticket, string words)
    {
        (await reader.Post($"/api/my/tickets/{ticket}/open")).EnsureSuccessStatusCode();
        await Answering.Write(reader, ticket, words);
        (await reader.Post($"/api/my/tickets/{ticket}/hand-in")).EnsureSuccessStatusCode();
    }

    private static async Task<JsonNode> Only(Given x) =>
        (await x.Ana.Get($"/api/classes/{x.Room.Id}/marking/queue")).AsArray().ShouldHaveSingleItem()!;

    [Fact]
    public async Task One_question_has_all_its_answers_oldest_first_each_with_a_proposal()
    {
        var x = await Answered("idk", "🐟 <b>fish</b>", new string('x', 4000));
        var question = await Only(x);
        ((string)question["stem"]!).ShouldNotBeEmpty();
        question["rubric"]!["criteria"]![0]!["marks"]!.AsArray().Count.ShouldBe(4);
        var answers = question["answers"]!.AsArray();
        answers.Select(a => (string)a!["ticketId"]!).ShouldBe(x.Tickets);
        answers.ShouldAllBe(a => a!["mark"] == null && ((string)a["proof"]!).Length > 0);
        ((int)answers[0]!["proposal"]!["points"]![0]!).ShouldBe(0);
        // Nothing is marked by a proposal.
        (await x.Ana.Get($"/api/tickets/{x.Tickets[0]}"))["score"].ShouldBeNull();
    }

    [Fact]
    public async Task A_mark_is_given_taken_away_and_given_again_and_evidence_goes_with_it()
    {
        var x = await Answered("We are to imagine it ourselves.");
        var answer = (await Only(x))["answers"]![0]!;
        var address = $"/api/tickets/{x.Tickets[0]}/marks/{(string)answer["answerId"]!}";
        var before = (await x.Ana.Get($"/api/readers/{x.Room.Readers[0].Id}/evidence"))["pieces"]!.AsArray().Count;
        ((string)(await x.Ana.Stored(address, new { points = new[] { 3 }, comment = "Yes." }))["state"]!).ShouldBe(
            "Marked"
        );
        ((int)(await Only(x))["answers"]![0]!["mark"]!["points"]![0]!).ShouldBe(3);
        (await x.Ana.Send(HttpMethod.Delete, address)).EnsureSuccessStatusCode();
        var again = (await Only(x))["answers"]![0]!;
        (again["mark"], (string)again["state"]!).ShouldBe((null, "ToMark"));
        (await x.Ana.Get($"/api/readers/{x.Room.Readers[0].Id}/evidence"))["pieces"]!.AsArray().Count.ShouldBe(before);
        await x.Ana.Stored(address, new { points = new[] { 1 }, comment = "" });
        await x.Ana.Posted($"/api/tickets/{x.Tickets[0]}/release");
        (await x.Ana.Get($"/api/classes/{x.Room.Id}/marking/queue")).AsArray().ShouldBeEmpty();
        (await x.Ana.Code(await x.Ana.Send(HttpMethod.Delete, address), 409)).ShouldBe("not-to-unmark");
    }

    [Fact]
    public async Task Sent_back_the_earlier_answer_lies_behind_the_new_one()
    {
        var x = await Answered("It is a surprise.");
        await x.Ana.Posted(
            $"/api/classes/{x.Room.Id}/tickets",
            new
            {
                ticketIds = x.Tickets,
                deed = "SendBack",
                comment = "Say why.",
            }
        );
        await Write(x.Readers[0], x.Tickets[0], "It is a surprise, because the letter is private.");
        var earlier = (await Only(x))["answers"]![0]!["earlier"]!.AsArray().ShouldHaveSingleItem()!;
        ((string)earlier["words"]!, (string)earlier["sentBack"]!).ShouldBe(("It is a surprise.", "Say why."));
    }

    [Fact]
    public async Task Comments_are_kept_by_whoever_marks_and_by_nobody_else()
    {
        var ana = await harness.Teacher("ana");
        await ana.Stored("/api/me/kept-comments", new { comments = new[] { " Say why. ", "Say why.", "" } });
        (await ana.Get("/api/me/kept-comments"))["comments"]!.AsArray().Select(c => (string)c!).ShouldBe(["Say why."]);
        (await (await harness.Teacher("ben")).Get("/api/me/kept-comments"))["comments"]!.AsArray().ShouldBeEmpty();
        await ana.Problem(
            await ana.Put("/api/me/kept-comments", new { comments = Enumerable.Range(0, 10).Select(i => $"{i}") }),
            422
        );
        var room = await harness.Room(ana, 1);
        var reader = await harness.Reader(room, 0);
        (await reader.Send(HttpMethod.Get, "/api/me/kept-comments")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }
}
