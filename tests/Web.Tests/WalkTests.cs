using System.Text.Json.Nodes;

namespace Web.Tests;

[Collection("application")]
public sealed class WalkTests(Harness harness)
{
    private async Task<(Person Teacher, Room Room, JsonNode Text)> Prepared(int readers = 2)
    {
        var teacher = await harness.Teacher("ana");
        var text = (await teacher.Get("/api/library?q=barometer"))["rows"]!
            .AsArray()
            .Single(t => (string)t!["title"]! == "How a Barometer Listens")!;
        return (teacher, await harness.Room(teacher, readers), text);
    }

    private static async Task<JsonNode> Assign(Person teacher, Room room, JsonNode text, int attempts = 2) =>
        await teacher.Posted(
            $"/api/classes/{room.Id}/assignments",
            new
            {
                readerIds = room.Readers.Select(r => r.Id),
                textId = (string)text["id"]!,
                dueOn = Harness.Today.AddDays(3),
                attempts,
                directions = "Read it twice.",
                skipGiven = true,
                versions = new { },
            }
        );

    /// <summary>Answers every question, right or wrong as told, and gives back the ticket's id.</summary>
    private static async Task<string> Work(Person teacher, Person reader, JsonNode text, bool right)
    {
        var ticket = (string)(await reader.Get("/api/my/tickets")).AsArray()[0]!["id"]!;
        (await reader.Post($"/api/my/tickets/{ticket}/open")).EnsureSuccessStatusCode();
        var key = (await teacher.Get($"/api/texts/{(string)text["id"]!}"))["questions"]!.AsArray();
        foreach (var q in key)
        {
            var choices = q!["choices"]!.AsArray().Select(c => (bool)c!["right"]!).ToList();
            var answer = new
            {
                questionId = (string)q["id"]!,
                picks = new[] { choices.IndexOf(right) },
                at = DateTimeOffset.UtcNow,
                milliseconds = 20_000,
            };
            var id = Guid.NewGuid();
            (await reader.Put($"/api/my/tickets/{ticket}/answers/{id}", answer)).EnsureSuccessStatusCode();
            // The same answer sent again, as after a lost connection, changes nothing.
            var again = await reader.Stored($"/api/my/tickets/{ticket}/answers/{id}", answer);
            again["attempts"]!.AsArray().Count.ShouldBe(1);
        }
        return ticket;
    }

    [Fact]
    public async Task Right_answers_deepen_and_narrow_the_level_and_are_counted_once()
    {
        var (teacher, room, text) = await Prepared();
        await Assign(teacher, room, text);
        var reader = await harness.Reader(room, 0);
        var ticket = await Work(teacher, reader, text, right: true);
        var result = await reader.Posted($"/api/my/tickets/{ticket}/hand-in");
        ((double)result["score"]!).ShouldBe(1);
        var after = (await teacher.Get($"/api/tickets/{ticket}"))["ticket"]!;
        ((double)after["afterMean"]!).ShouldBeGreaterThan((double)after["beforeMean"]!);
        ((double)after["afterSd"]!).ShouldBeLessThan((double)after["beforeSd"]!);
        // Handing in again gives the same result and moves nothing.
        (await reader.Post($"/api/my/tickets/{ticket}/hand-in")).EnsureSuccessStatusCode();
        var row = (await teacher.Get($"/api/classes/{room.Id}"))["readers"]!
            .AsArray()
            .Single(r => (string)r!["id"]! == room.Readers[0].Id)!;
        ((double)row["depth"]!).ShouldBe((double)after["afterMean"]!, 0.01);
    }

    [Fact]
    public async Task Wrong_answers_make_the_level_shallower()
    {
        var (teacher, room, text) = await Prepared();
        await Assign(teacher, room, text, attempts: 1);
        var reader = await harness.Reader(room, 1);
        var ticket = await Work(teacher, reader, text, right: false);
        (await reader.Post($"/api/my/tickets/{ticket}/hand-in")).EnsureSuccessStatusCode();
        var after = (await teacher.Get($"/api/tickets/{ticket}"))["ticket"]!;
        ((double)after["afterMean"]!).ShouldBeLessThan((double)after["beforeMean"]!);
    }

    [Fact]
    public async Task No_answer_leaves_the_server_before_the_reader_has_answered()
    {
        var (teacher, room, text) = await Prepared();
        await Assign(teacher, room, text);
        var reader = await harness.Reader(room, 0);
        var ticket = (string)(await reader.Get("/api/my/tickets")).AsArray()[0]!["id"]!;
        (await reader.Post($"/api/my/tickets/{ticket}/open")).EnsureSuccessStatusCode();
        var key = (await teacher.Get($"/api/texts/{(string)text["id"]!}"))["questions"]!.AsArray();
        var sent = (await reader.Get($"/api/my/tickets/{ticket}")).ToJsonString();
        sent.ShouldNotContain("\"right\"");
        foreach (var c in key.SelectMany(q => q!["choices"]!.AsArray()))
            sent.ShouldNotContain((string)c!["reason"]!);
        await reader.Problem(await reader.Send(HttpMethod.Get, $"/api/my/tickets/{ticket}/result"), 409);
        // A wrong answer tells why it is wrong, and not which is right.
        var q = key[0]!;
        var wrong = q["choices"]!.AsArray().Select(c => (bool)c!["right"]!).ToList().IndexOf(false);
        var said = (
            await reader.Stored(
                $"/api/my/tickets/{ticket}/answers/{Guid.NewGuid()}",
                new
                {
                    questionId = (string)q["id"]!,
                    picks = new[] { wrong },
                    at = DateTimeOffset.UtcNow,
                    milliseconds = 9000,
                }
            )
        ).ToJsonString();
        said.ShouldContain((string)q["choices"]![wrong]!["reason"]!);
        said.ShouldNotContain((string)q["choices"]!.AsArray().Single(c => (bool)c!["right"]!)!["reason"]!);
    }

    [Fact]
    public async Task Attempts_end_and_a_too_fast_answer_is_kept_but_left_out()
    {
        var (teacher, room, text) = await Prepared();
        await Assign(teacher, room, text, attempts: 1);
        var reader = await harness.Reader(room, 0);
        var ticket = (string)(await reader.Get("/api/my/tickets")).AsArray()[0]!["id"]!;
        (await reader.Post($"/api/my/tickets/{ticket}/open")).EnsureSuccessStatusCode();
        var q = (await teacher.Get($"/api/texts/{(string)text["id"]!}"))["questions"]![0]!;
        var answer = new
        {
            questionId = (string)q["id"]!,
            picks = new[] { 0 },
            at = DateTimeOffset.UtcNow.AddDays(9),
            milliseconds = 200,
        };
        (await reader.Put($"/api/my/tickets/{ticket}/answers/{Guid.NewGuid()}", answer)).EnsureSuccessStatusCode();
        (
            await reader.Code(await reader.Put($"/api/my/tickets/{ticket}/answers/{Guid.NewGuid()}", answer), 409)
        ).ShouldBe("no-attempt-left");
        (await reader.Post($"/api/my/tickets/{ticket}/hand-in")).EnsureSuccessStatusCode();
        var seen = await teacher.Get($"/api/tickets/{ticket}");
        ((bool)seen["answers"]![0]!["tooFast"]!).ShouldBeTrue();
        ((double)seen["ticket"]!["afterMean"]!).ShouldBe((double)seen["ticket"]!["beforeMean"]!, 1e-6);
        (
            await reader.Code(await reader.Put($"/api/my/tickets/{ticket}/answers/{Guid.NewGuid()}", answer), 409)
        ).ShouldBe("not-open");
    }

    [Fact]
    public async Task Who_is_given_one_more_try_has_it()
    {
        var (teacher, room, text) = await Prepared();
        await Assign(teacher, room, text, attempts: 3);
        var supports = new
        {
            readAloud = false,
            hideTimer = false,
            moreTime = 100,
            textSize = 0,
            oneChoice = false,
            retry = true,
        };
        await teacher.Posted(
            $"/api/classes/{room.Id}/bulk",
            new { readerIds = new[] { room.Readers[0].Id }, supports }
        );
        var q = (await teacher.Get($"/api/texts/{(string)text["id"]!}"))["questions"]!
            .AsArray()
            .First(x => (string)x!["kind"]! == "Single")!;
        var wrong = q["choices"]!.AsArray().ToList().FindIndex(c => !(bool)c!["right"]!);
        foreach (var (i, tries) in new[] { (0, 4), (1, 3) })
        {
            var reader = await harness.Reader(room, i);
            var ticket = (string)(await reader.Get("/api/my/tickets")).AsArray()[0]!["id"]!;
            (await reader.Post($"/api/my/tickets/{ticket}/open")).EnsureSuccessStatusCode();
            Task<HttpResponseMessage> Try() =>
                reader.Put(
                    $"/api/my/tickets/{ticket}/answers/{Guid.NewGuid()}",
                    new
                    {
                        questionId = (string)q["id"]!,
                        picks = new[] { wrong },
                        at = DateTimeOffset.UtcNow,
                        milliseconds = 20_000,
                    }
                );
            for (var n = 1; n <= tries; n++)
                ((bool)(await reader.Json(await Try()))["mayTry"]!).ShouldBe(n < tries, $"try {n} of {tries}");
            (await reader.Code(await Try(), 409)).ShouldBe("no-attempt-left");
        }
    }

    [Fact]
    public async Task Assigning_is_undone_once_and_what_was_handed_in_is_kept()
    {
        var (teacher, room, text) = await Prepared();
        var made = await Assign(teacher, room, text);
        var done = await harness.Reader(room, 0);
        var ticket = await Work(teacher, done, text, right: true);
        (await done.Post($"/api/my/tickets/{ticket}/hand-in")).EnsureSuccessStatusCode();
        var undo = $"/api/changes/{(string)made["changeId"]!}/undo";
        (await teacher.Posted(undo))["sentence"]!
            .Said()
            .ShouldBe("Taken back from 1 reader. What was handed in is kept.");
        (await teacher.Code(await teacher.Post(undo), 409)).ShouldBe("undone");
        (await (await harness.Reader(room, 1)).Get("/api/my/tickets")).AsArray().ShouldBeEmpty();
        (await done.Get("/api/my/tickets")).AsArray().Count.ShouldBe(1);
    }

    [Fact]
    public async Task A_text_is_not_given_twice_unless_asked()
    {
        var (teacher, room, text) = await Prepared();
        await Assign(teacher, room, text);
        var body = new
        {
            readerIds = room.Readers.Select(r => r.Id),
            textId = (string)text["id"]!,
            attempts = 2,
            skipGiven = true,
            dueOn = (DateOnly?)null,
            directions = "",
            versions = new { },
        };
        (await teacher.Problem(await teacher.Post($"/api/classes/{room.Id}/assignments", body), 422))["fields"]!
            ["readerIds"]
            .ShouldNotBeNull();
        (
            await teacher.Post($"/api/classes/{room.Id}/assignments", body with { skipGiven = false })
        ).EnsureSuccessStatusCode();
    }

    [Fact]
    public async Task Goals_keep_what_they_replace_and_undo_brings_it_back()
    {
        var (teacher, room, _) = await Prepared();
        var id = room.Readers[0].Id;
        async Task<JsonNode> Set(double words) =>
            await teacher.Stored(
                $"/api/classes/{room.Id}/goals",
                new
                {
                    targets = new[]
                    {
                        new
                        {
                            readerId = id,
                            kind = "Comprehension",
                            target = 80.0,
                        },
                        new
                        {
                            readerId = id,
                            kind = "Words",
                            target = words,
                        },
                    },
                    reason = "",
                }
            );
        async Task<double> Now() =>
            (double)
                (await teacher.Get($"/api/classes/{room.Id}/goals"))["lines"]!
                    .AsArray()
                    .Single(l => (string)l!["readerId"]! == id)!["kinds"]!
                    .AsArray()
                    .Single(g => (string)g!["kind"]! == "Words")!["goal"]!["target"]!;
        await Set(5000);
        var second = await Set(7000);
        ((int)second["changed"]!).ShouldBe(1);
        (await Now()).ShouldBe(7000);
        (await teacher.Post($"/api/changes/{(string)second["changeId"]!}/undo")).EnsureSuccessStatusCode();
        (await Now()).ShouldBe(5000);
    }

    [Fact]
    public async Task A_level_goal_may_lie_below_nought()
    {
        var (teacher, room, _) = await Prepared();
        var goal = new
        {
            readerId = room.Readers[0].Id,
            kind = "Depth",
            target = -4.5,
        };
        await teacher.Stored($"/api/classes/{room.Id}/goals", new { targets = new[] { goal }, reason = "" });
        (await teacher.Get($"/api/classes/{room.Id}/goals"))["lines"]!
            .AsArray()
            .SelectMany(l => l!["kinds"]!.AsArray())
            .Select(k => (double?)k!["goal"]?["target"])
            .ShouldContain(-4.5);
    }

    [Theory]
    [InlineData("Words", 0, "Enter 1 to 1,000,000 words")]
    [InlineData("Words", 1_000_001, "Enter 1 to 1,000,000 words")]
    [InlineData("Comprehension", 101, "Enter 1 to 100%")]
    public async Task A_goal_outside_its_bounds_is_refused_beside_its_reader(string kind, double target, string named)
    {
        var (teacher, room, _) = await Prepared();
        var id = room.Readers[0].Id;
        async Task<JsonNode> Refused(params double[] targets) =>
            (
                await teacher.Problem(
                    await teacher.Put(
                        $"/api/classes/{room.Id}/goals",
                        new
                        {
                            targets = targets.Select(t => new
                            {
                                readerId = id,
                                kind,
                                target = t,
                            }),
                            reason = "",
                        }
                    ),
                    422
                )
            )["fields"]!;
        (await Refused(target))[$"{kind}.{id}"]!.Said().ShouldStartWith(named);
        (await Refused(50, 60))["targets"]!.Said().ShouldBe("Set one goal of each kind for a reader.");
    }

    [Fact]
    public async Task What_a_group_is_proposed_for_is_what_the_readers_sheet_shows()
    {
        var (teacher, room, text) = await Prepared(readers: 3);
        await Assign(teacher, room, text, attempts: 1);
        var reader = await harness.Reader(room, 0);
        var ticket = await Work(teacher, reader, text, right: false);
        (await reader.Post($"/api/my/tickets/{ticket}/hand-in")).EnsureSuccessStatusCode();
        var plan = await teacher.Posted(
            $"/api/classes/{room.Id}/groups/proposal",
            new
            {
                groups = 1,
                smallest = 1,
                largest = 3,
            }
        );
        var judged = await teacher.Posted(
            $"/api/classes/{room.Id}/groups/judgement",
            new
            {
                rules = new
                {
                    groups = 1,
                    smallest = 1,
                    largest = 3,
                },
                groups = plan["groups"],
            }
        );
        var place = judged["placements"]!.AsArray().Single(r => (string)r!["readerId"]! == room.Readers[0].Id)!;
        var sheet = (await teacher.Get($"/api/readers/{room.Readers[0].Id}"))["strands"]!
            .AsArray()
            .Where(s => (int)s!["asked"]! >= 3)
            .ToList();
        ((string?)place["need"]).ShouldBe(
            sheet.Count == 0 ? null : (string)sheet.MinBy(s => (double)s!["mean"]!)!["strand"]!
        );
    }

    [Fact]
    public async Task Groups_are_proposed_saved_and_taken_back()
    {
        var (teacher, room, _) = await Prepared(readers: 6);
        var plan = await teacher.Posted(
            $"/api/classes/{room.Id}/groups/proposal",
            new
            {
                groups = 2,
                smallest = 3,
                largest = 3,
            }
        );
        ((bool)plan["provenBest"]!).ShouldBeTrue();
        var groups = plan["groups"]!
            .AsArray()
            .Select(g => new
            {
                name = (string)g!["name"]!,
                readerIds = g["readerIds"]!.AsArray().Select(r => (string)r!).ToArray(),
            })
            .ToArray();
        groups.ShouldAllBe(g => g.readerIds.Length == 3);
        var saved = await teacher.Stored($"/api/classes/{room.Id}/groups", new { groups });
        (await teacher.Get($"/api/classes/{room.Id}"))["groups"]!.AsArray().Count.ShouldBe(2);
        (
            await teacher.Problem(
                await teacher.Put($"/api/classes/{room.Id}/groups", new { groups = new[] { groups[0], groups[0] } }),
                422
            )
        )["fields"]!
            ["groups"]
            .ShouldNotBeNull();
        (await teacher.Post($"/api/changes/{(string)saved["changeId"]!}/undo")).EnsureSuccessStatusCode();
        (await teacher.Get($"/api/classes/{room.Id}"))["groups"]!.AsArray().ShouldBeEmpty();
    }

    [Fact]
    public async Task Time_on_a_page_is_kept_once_however_often_it_is_sent()
    {
        var (teacher, room, text) = await Prepared();
        await Assign(teacher, room, text);
        var reader = await harness.Reader(room, 0);
        var ticket = (string)(await reader.Get("/api/my/tickets")).AsArray()[0]!["id"]!;
        var spell = Guid.NewGuid();
        foreach (var seconds in new[] { 10, 25, 25, 20 })
            (
                await reader.Put(
                    $"/api/my/tickets/{ticket}/spells/{spell}",
                    new
                    {
                        page = 1,
                        seconds,
                        startedAt = DateTimeOffset.UtcNow,
                    }
                )
            ).EnsureSuccessStatusCode();
        ((double)(await teacher.Get($"/api/tickets/{ticket}"))["ticket"]!["seconds"]!).ShouldBe(25);
    }
}
