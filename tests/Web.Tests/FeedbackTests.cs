using System.Net;
using System.Text.Json.Nodes;

namespace Web.Tests;

/// <summary>What follows an answer, over HTTP: faulty questions corrected, missed ones tried again, results on a day,
/// comments answered.</summary>
[Collection("application")]
public sealed class FeedbackTests(Harness harness)
{
    private sealed record Given(Person Ana, Room Room, string Assignment, string Text, IReadOnlyList<Person> Readers)
    {
        public string Questions => $"/api/assignments/{Assignment}/questions";
    }

    private static async Task<string> Ticket(Person reader) => (string)(await reader.Get("/api/my/tickets"))[0]!["id"]!;

    private async Task<Given> Done(int readers, string kind = "Single", object? terms = null)
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, readers);
        var text = await Answering.TextWith(ana, kind);
        var body = JsonNode.Parse(System.Text.Json.JsonSerializer.Serialize(terms ?? new { }))!.AsObject();
        body["readerIds"] = new JsonArray([.. room.Readers.Select(r => (JsonNode)r.Id)]);
        body["textId"] = text;
        body["attempts"] = 1;
        body["skipGiven"] = false;
        var made = await ana.Posted($"/api/classes/{room.Id}/assignments", body);
        var all = new List<Person>();
        for (var i = 0; i < readers; i++)
        {
            var reader = await harness.Reader(room, i);
            all.Add(reader);
            var ticket = await Ticket(reader);
            (await reader.Post($"/api/my/tickets/{ticket}/open")).EnsureSuccessStatusCode();
            await Answering.ReadPages(reader, ticket);
            await Answering.HandIn(reader, ticket);
        }
        return new(ana, room, (string)made["assignmentId"]!, text, all);
    }

    private static async Task<JsonNode> Results(Given x) => await x.Ana.Get($"/api/assignments/{x.Assignment}/results");

    private static async Task<JsonNode> TicketOf(Given x, int reader) =>
        await x.Ana.Get($"/api/tickets/{await Ticket(x.Readers[reader])}");

    private static async Task<double> Depth(Given x, int reader) =>
        (double)
            (await x.Ana.Get($"/api/classes/{x.Room.Id}"))["readers"]!
                .AsArray()
                .Single(r => (string)r!["id"]! == x.Room.Readers[reader].Id)!["depth"]!;

    private static async Task MarkAll(Given x, int mark)
    {
        for (var i = 0; i < x.Readers.Count; i++)
        {
            var ticket = await TicketOf(x, i);
            foreach (var answer in ticket["answers"]!.AsArray())
            foreach (var tried in answer!["tries"]!.AsArray().Where(t => t!["correct"] is null))
                await x.Ana.Stored(
                    $"/api/tickets/{(string)ticket["ticket"]!["id"]!}/marks/{(string)tried!["id"]!}",
                    new { points = new[] { mark }, comment = "Say why." }
                );
        }
    }

    [Fact]
    public async Task A_question_taken_out_changes_what_the_preview_says_and_undo_brings_it_all_back()
    {
        var x = await Done(2);
        await MarkAll(x, 3);
        var before = await Results(x);
        var wrong = before["questions"]!
            .AsArray()
            .First(q => (int)q!["notYet"]! > 0 && (string)q["question"]!["kind"]! == "Single")!;
        var question = (string)wrong["question"]!["id"]!;
        var depth = await Depth(x, 0);
        var body = new { id = Guid.NewGuid(), right = (int[]?)null };
        var preview = await x.Ana.Posted($"{x.Questions}/{question}/correction/preview", body);
        ((int)preview["readers"]!).ShouldBe(2);
        var foreseen = preview["changes"]!.AsArray().First(c => (string)c!["readerId"]! == x.Room.Readers[0].Id)!;
        ((double)foreseen["score"]!).ShouldBeGreaterThan((double)foreseen["scoreBefore"]!);
        // Nothing is done by looking.
        (await Depth(x, 0)).ShouldBe(depth);
        (await Results(x))["questions"]!.AsArray().Count.ShouldBe(before["questions"]!.AsArray().Count);

        var made = await x.Ana.Posted($"{x.Questions}/{question}/correction", body);
        (await x.Ana.Posted($"{x.Questions}/{question}/correction", body))["changeIds"]!
            .ToJsonString()
            .ShouldBe(made["changeIds"]!.ToJsonString());
        var after = await Results(x);
        after["questions"]!.AsArray().Select(q => (string)q!["question"]!["id"]!).ShouldNotContain(question);
        ((bool)after["corrections"]!.AsArray().ShouldHaveSingleItem()!["takenOut"]!).ShouldBeTrue();
        ((double)(await TicketOf(x, 0))["ticket"]!["score"]!).ShouldBe((double)foreseen["score"]!, 1e-9);
        (await Depth(x, 0)).ShouldBe((double)foreseen["depth"]!, 0.051);
        (
            await x.Ana.Send(
                HttpMethod.Post,
                $"{x.Questions}/{question}/correction",
                new { id = Guid.NewGuid(), right = (int[]?)null }
            )
        ).StatusCode.ShouldBe(HttpStatusCode.Conflict);

        (await x.Ana.Post($"/api/changes/{made["changeIds"]![0]}/undo")).EnsureSuccessStatusCode();
        (await Depth(x, 0)).ShouldBe(depth, 0.051);
        (await Results(x))["corrections"]!.AsArray().ShouldBeEmpty();
        (await Results(x))["questions"]!.ToJsonString().ShouldBe(before["questions"]!.ToJsonString());
    }

    [Fact]
    public async Task Another_key_scores_who_answered_before_and_who_answers_after()
    {
        var x = await Done(1);
        var question = (await Results(x))["questions"]!
            .AsArray()
            .First(q =>
                (string)q!["question"]!["kind"]! == "Single" && !(bool)q["question"]!["choices"]![0]!["right"]!
            )!;
        var id = (string)question["question"]!["id"]!;
        ((int)question["atOnce"]!).ShouldBe(0);
        var path = $"{x.Questions}/{id}/correction";
        (
            await x.Ana.Send(HttpMethod.Post, path, new { id = Guid.NewGuid(), right = new[] { 99 } })
        ).StatusCode.ShouldBe(HttpStatusCode.UnprocessableEntity);
        // Answering takes the first choice, which is right from now on.
        await x.Ana.Posted(path, new { id = Guid.NewGuid(), right = new[] { 0 } });
        var now = (await Results(x))["questions"]!.AsArray().Single(q => (string)q!["question"]!["id"]! == id)!;
        ((int)now["atOnce"]!).ShouldBe(1);
        var correction = (string)(await Results(x))["corrections"]![0]!["changeId"]!;
        (await x.Ana.Post($"/api/changes/{correction}/undo")).EnsureSuccessStatusCode();
        now = (await Results(x))["questions"]!.AsArray().Single(q => (string)q!["question"]!["id"]! == id)!;
        ((int)now["atOnce"]!).ShouldBe(0);
        (await Results(x))["corrections"]!.AsArray().ShouldBeEmpty();
    }

    /// <summary>The same text done by a reader of another of the teacher's classes.</summary>
    private async Task<Room> DoneElsewhere(Given x)
    {
        var room = await harness.Room(x.Ana, 1);
        await x.Ana.Posted(
            $"/api/classes/{room.Id}/assignments",
            new
            {
                readerIds = new[] { room.Readers[0].Id },
                textId = x.Text,
                attempts = 1,
                skipGiven = false,
            }
        );
        var reader = await harness.Reader(room, 0);
        var ticket = await Ticket(reader);
        (await reader.Post($"/api/my/tickets/{ticket}/open")).EnsureSuccessStatusCode();
        await Answering.ReadPages(reader, ticket);
        await Answering.HandIn(reader, ticket);
        return room;
    }

    private Task<int> Standing(string classId) =>
        harness.Ask<int>(
            "select count(*)::int from question_correction where class_id = $1 and undone_at is null",
            Guid.Parse(classId)
        )!;

    /// <summary>A key by which what the reader answered is right; where it was, by which it is wrong.</summary>
    private static async Task<(int[] Right, Dictionary<string, string> Proofs, bool WasRight)> Turned(
        Given x,
        JsonNode results,
        JsonNode question,
        string kind
    )
    {
        var rights = question["choices"]!.AsArray().Count(c => (string?)c!["text"] is { Length: > 0 });
        var quiz = await x.Ana.Get($"/api/texts/{x.Text}/quiz");
        var proofs = quiz["versions"]!
            .AsArray()
            .ToDictionary(v => (string)v!["label"]!, v => (string)v!["paragraphs"]!.AsArray().Last()![0]!);
        var answers = (await TicketOf(x, 0))["answers"]!.AsArray();
        var answered = answers.Single(a => (string)a!["questionId"]! == (string)question["id"]!)!["tries"]![0]!;
        var wasRight = (bool)answered["correct"]!;
        int[] picks = [.. answered["picks"]!.AsArray().Select(p => (int)p!)];
        int[] right =
            kind == "Sentence" ? []
            : wasRight ? [.. Enumerable.Range(0, rights - 2), rights - 1, rights - 2]
            : picks;
        if (kind == "Sentence" && !wasRight)
            proofs[(string)results["readers"]![0]!["version"]!] = (string)answered["words"]!;
        return (right, proofs, wasRight);
    }

    [Theory]
    [InlineData("Order")]
    [InlineData("Match")]
    [InlineData("Sentence")]
    public async Task A_key_of_any_kind_is_changed_in_several_classes_at_once_and_undone_in_each(string kind)
    {
        var x = await Done(1, kind);
        var other = await DoneElsewhere(x);
        var results = await Results(x);
        var all = results["questions"]!.AsArray().Select(q => q!["question"]!);
        var question = all.First(q => (string)q["kind"]! == kind);
        var id = (string)question["id"]!;
        var (right, proofs, wasRight) = await Turned(x, results, question, kind);
        object Body(params string[] alsoIn) =>
            new
            {
                id = Guid.NewGuid(),
                right,
                proofs = kind == "Sentence" ? proofs : null,
                alsoIn,
            };
        var preview = await x.Ana.Posted($"{x.Questions}/{id}/correction/preview", Body());
        ((int)preview["elsewhere"]!.AsArray().Single(e => (string)e!["classId"]! == other.Id)!["readers"]!).ShouldBe(1);
        var stranger = await harness.Room(await harness.Teacher("ben"), 0);
        var refused = await x.Ana.Post($"{x.Questions}/{id}/correction", Body(stranger.Id));
        refused.StatusCode.ShouldBe(HttpStatusCode.NotFound);
        var body = Body(other.Id);
        var made = await x.Ana.Posted($"{x.Questions}/{id}/correction", body);
        var changes = made["changeIds"]!.AsArray().Select(c => (string)c!).ToList();
        changes.Count.ShouldBe(2);
        var again = await x.Ana.Posted($"{x.Questions}/{id}/correction", body);
        again["changeIds"]!.AsArray().Select(c => (string)c!).ShouldBe(changes);
        var now = (await Results(x))["questions"]!.AsArray().Single(q => (string)q!["question"]!["id"]! == id)!;
        if (kind == "Sentence")
            foreach (var (version, sentence) in proofs)
                ((string)now["question"]!["proofs"]![version]!).ShouldBe(sentence);
        else
            now["question"]!["key"]!.AsArray().Select(k => (int)k!).ShouldBe(right);
        ((int)now["atOnce"]!).ShouldBe(wasRight ? 0 : 1);
        (await Standing(other.Id)).ShouldBe(1);
        // Undone in one class, it stands in the other.
        (await x.Ana.Post($"/api/changes/{changes[0]}/undo")).EnsureSuccessStatusCode();
        (await Standing(x.Room.Id)).ShouldBe(0);
        (await Standing(other.Id)).ShouldBe(1);
        (await x.Ana.Post($"/api/changes/{changes[1]}/undo")).EnsureSuccessStatusCode();
        (await Standing(other.Id)).ShouldBe(0);
    }

    [Fact]
    public async Task Missed_questions_are_asked_again_alone_and_both_tries_are_seen()
    {
        var x = await Done(1, terms: new { results = "WhenReleased" });
        await MarkAll(x, 3);
        var ticket = await Ticket(x.Readers[0]);
        var first = (double)(await TicketOf(x, 0))["ticket"]!["score"]!;
        var missed = (await TicketOf(x, 0))["answers"]!
            .AsArray()
            .Count(a => a!["tries"]!.AsArray().All(t => !(bool)t!["correct"]!));
        missed.ShouldBeGreaterThan(0);
        var steps = $"/api/classes/{x.Room.Id}/tickets";
        object Missed(string deed) =>
            new
            {
                ticketIds = new[] { ticket },
                deed,
                onlyMissed = true,
            };
        await x.Ana.Posted(steps, Missed("SendBack"));
        var work = (await x.Readers[0].Get($"/api/my/tickets/{ticket}"))["questions"]!.AsArray();
        work.Count.ShouldBeInRange(missed, missed * 2);
        work.Count.ShouldBeLessThan((await Results(x))["questions"]!.AsArray().Count);
        (await x.Readers[0].Post($"/api/my/tickets/{ticket}/open")).EnsureSuccessStatusCode();
        await Answering.HandIn(x.Readers[0], ticket);
        await MarkAll(x, 3);
        var released = await x.Ana.Posted(steps, new { ticketIds = new[] { ticket }, deed = "Release" });
        ((int)released["done"]!).ShouldBe(1);
        // The reader sees the whole quiz again, what was right before beside what was tried again.
        (await x.Readers[0].Get($"/api/my/tickets/{ticket}/result"))["lines"]!
            .AsArray()
            .Count.ShouldBe((await Results(x))["questions"]!.AsArray().Count);
        var tries = (await TicketOf(x, 0))["answers"]!.AsArray().Max(a => a!["tries"]!.AsArray().Count);
        tries.ShouldBe(2);
        // The first round is the evidence, whatever came after.
        ((double)(await TicketOf(x, 0))["ticket"]!["score"]!).ShouldBe(first);
        (await x.Ana.Post(steps, Missed("GiveAgain"))).StatusCode.ShouldBe(HttpStatusCode.UnprocessableEntity);
    }

    [Fact]
    public async Task Marked_work_is_released_on_its_day_and_what_is_worth_nothing_stays_out_of_the_gradebook()
    {
        var x = await Done(
            1,
            terms: new
            {
                results = "WhenReleased",
                releasesOn = $"{Harness.Today:yyyy-MM-dd}",
                worth = 0,
            }
        );
        await MarkAll(x, 2);
        await Eventually.Is(
            async () => (JsonNode?)await TicketOf(x, 0),
            ticket => (string)ticket["ticket"]!["state"]! == "Released",
            "released on its day"
        );
        var csv = await (
            await x.Ana.Send(HttpMethod.Get, $"/api/classes/{x.Room.Id}/gradebook/Csv")
        ).Content.ReadAsStringAsync();
        csv.Split("\r\n", StringSplitOptions.RemoveEmptyEntries).ShouldHaveSingleItem();
    }

    [Fact]
    public async Task Scores_go_to_the_district_as_line_items_and_results()
    {
        var x = await Done(2);
        var bytes = await (
            await x.Ana.Send(HttpMethod.Get, $"/api/classes/{x.Room.Id}/gradebook/OneRoster")
        ).Content.ReadAsByteArrayAsync();
        var read = DeepCurrent.Formats.OneRoster.OneRosterResults.Read(bytes);
        read.Items.ShouldHaveSingleItem().Most.ShouldBe(100);
        read.Results.Count.ShouldBe(2);
        read.Results.Select(r => r.ReaderId).ShouldBe(x.Room.Readers.Select(r => r.Id), ignoreOrder: true);
    }

    [Fact]
    public async Task A_comment_is_answered_seen_and_talked_over_and_the_time_on_a_result_is_kept_once()
    {
        var x = await Done(1, "Short");
        var ticket = await Ticket(x.Readers[0]);
        var spell = $"/api/my/tickets/{ticket}/feedback/{Guid.NewGuid()}";
        object Looked(double seconds) => new { seconds, startedAt = DateTimeOffset.UtcNow };
        (await x.Readers[0].Put(spell, Looked(3))).StatusCode.ShouldBe(HttpStatusCode.Conflict);
        await MarkAll(x, 1);
        (await x.Ana.Post($"/api/tickets/{ticket}/release")).EnsureSuccessStatusCode();
        foreach (var seconds in new[] { 10, 25, 20 })
            (await x.Readers[0].Put(spell, Looked(seconds))).EnsureSuccessStatusCode();

        var line = (await x.Readers[0].Get($"/api/my/tickets/{ticket}/result"))["lines"]!
            .AsArray()
            .First(l => (string)l!["comment"]! != "")!;
        var answer = (string)line["answerId"]!;
        var replies = $"/api/my/tickets/{ticket}/comment-replies";
        await x.Readers[0].Stored(replies, new { answerId = answer, words = "Because of the tide?" });
        (await x.Readers[0].Put(replies, new { answerId = Guid.NewGuid(), words = "?" })).StatusCode.ShouldBe(
            HttpStatusCode.NotFound
        );
        (await x.Readers[0].Put(replies, new { answerId = answer, words = new string('x', 1001) })).StatusCode.ShouldBe(
            HttpStatusCode.UnprocessableEntity
        );

        var others = $"/api/classes/{x.Room.Id}/marking/others";
        var waiting = (await x.Ana.Get(others)).AsArray().ShouldHaveSingleItem()!;
        ((string)waiting["kind"]!, (string)waiting["words"]!).ShouldBe(("CommentReply", "Because of the tide?"));
        (await x.Ana.Post($"/api/tickets/{ticket}/feedback/seen")).EnsureSuccessStatusCode();
        (await x.Ana.Get(others)).AsArray().ShouldBeEmpty();

        var over = $"/api/tickets/{ticket}/talked-over/{(string)line["questionId"]!}";
        (await x.Ana.Put(over, new { done = true })).EnsureSuccessStatusCode();
        var none = await x.Ana.Put($"/api/tickets/{ticket}/talked-over/{Guid.NewGuid()}", new { done = true });
        none.StatusCode.ShouldBe(HttpStatusCode.NotFound);
        var used = await x.Ana.Get($"/api/tickets/{ticket}/feedback");
        ((double)used["seconds"]!).ShouldBe(25);
        used["talkedOver"]!.AsArray().ShouldHaveSingleItem();
        used["replies"]!.AsArray().ShouldHaveSingleItem()!["seenAt"].ShouldNotBeNull();
        // Taken away by its reader, it is gone.
        await x.Readers[0].Stored(replies, new { answerId = answer, words = "" });
        (await x.Ana.Get($"/api/tickets/{ticket}/feedback"))["replies"]!.AsArray().ShouldBeEmpty();
    }
}
