using System.Net;
using System.Text.Json.Nodes;
using DeepCurrent.Core.Measuring;
using DeepCurrent.Data.Measuring;
using DeepCurrent.Data.Texts;
using Microsoft.Extensions.DependencyInjection;

namespace Web.Tests;

/// <summary>Quizzes that teachers write, of every kind of question, and what becomes of the answers.</summary>
[Collection("application")]
public sealed class QuizTests(Harness harness)
{
    private const string Story =
        "# The lamp\n\nThe keeper climbed the stairs at dusk. He lit the lamp and wound the clock. Far out, a "
        + "ship turned its bow towards the harbour.\n\nThe wind rose in the night. He sat by the window and "
        + "listened to the sea. In the morning the ship lay safe beside the quay, and the captain came up with a "
        + "basket of oranges.";

    private static object Choice(string text, bool right = false, string? match = null) =>
        new
        {
            text,
            right,
            reason = right ? "Well read."
            : match is null ? "Look again at the start."
            : "",
            match,
        };

    private static object Ask(
        string kind,
        string stem,
        object[]? choices = null,
        string proof = "He lit the lamp and wound the clock.",
        bool evidence = false,
        object? after = null,
        object? rubric = null,
        string strand = "Infer"
    ) =>
        new
        {
            id = (string?)null,
            kind,
            strand,
            stem,
            choices = choices ?? [],
            proofs = new Dictionary<string, string> { ["a"] = proof },
            evidence,
            offset = 0.0,
            after,
            rubric,
        };

    private static object[] Quiz() =>
        [
            Ask(
                "Single",
                "What did the keeper light?",
                [Choice("the lamp", true), Choice("the stairs"), Choice("the ship")]
            ),
            Ask("Sentence", "Which sentence shows it?", evidence: true),
            Ask(
                "Multiple",
                "What came to the quay?",
                [Choice("the ship", true), Choice("the clock"), Choice("the captain", true)]
            ),
            Ask(
                "Order",
                "What happened first, next and last?",
                [Choice("He climbed."), Choice("The wind rose."), Choice("The captain came.")]
            ),
            Ask(
                "Match",
                "What belongs together?",
                [Choice("lamp", match: "lit"), Choice("clock", match: "wound"), Choice("", match: "eaten")]
            ),
            Ask(
                "Short",
                "Why did the captain bring oranges?",
                rubric: new
                {
                    criteria = new[]
                    {
                        new
                        {
                            name = "",
                            marks = new[]
                            {
                                "Nothing.",
                                "Oranges only.",
                                "He is grateful.",
                                "He is grateful for the light.",
                            },
                        },
                    },
                    samples = new[] { "He says thank you for the light.", "He likes oranges." },
                }
            ),
            Ask(
                "Single",
                "What will the ship do?",
                [Choice("come in", true), Choice("sink"), Choice("wait")],
                after: new { a = 2 }
            ),
        ];

    internal static async Task<(string Id, JsonNode Key)> Written(
        Person who,
        object[]? questions = null,
        bool fiction = true,
        bool mine = false
    )
    {
        var text = new
        {
            revision = 0,
            title = "A lamp with a quiz",
            kind = "story",
            topic = "Sea",
            fiction,
            spelling = "British",
            blurb = "",
            season = "",
            mine,
            versions = new[]
            {
                new
                {
                    id = (string?)null,
                    label = "a",
                    body = Story,
                },
            },
            words = Array.Empty<object>(),
        };
        var id = (string)(await who.Posted("/api/texts", text))["id"]!;
        await who.Stored($"/api/texts/{id}/quiz", new { revision = 1, questions = questions ?? Quiz() });
        return (id, (await who.Get($"/api/texts/{id}/quiz"))["questions"]!);
    }

    private async Task<(Person Reader, string Ticket, JsonNode Work)> Given(
        Person teacher,
        Room room,
        string text,
        bool onTheWay = true,
        int reader = 0
    )
    {
        await teacher.Posted(
            $"/api/classes/{room.Id}/assignments",
            new
            {
                readerIds = new[] { room.Readers[reader].Id },
                textId = text,
                attempts = 2,
                directions = "",
                skipGiven = false,
                onTheWay,
            }
        );
        var who = await harness.Reader(room, reader);
        var ticket = (string)(await who.Get("/api/my/tickets")).AsArray()[0]!["id"]!;
        (await who.Post($"/api/my/tickets/{ticket}/open")).EnsureSuccessStatusCode();
        return (who, ticket, await who.Get($"/api/my/tickets/{ticket}"));
    }

    private static Task<HttpResponseMessage> Answer(
        Person who,
        string ticket,
        JsonNode q,
        int[] picks,
        string words = "",
        Guid? id = null
    ) =>
        who.Put(
            $"/api/my/tickets/{ticket}/answers/{id ?? Guid.NewGuid()}",
            new
            {
                questionId = (string)q["id"]!,
                picks,
                words,
                at = DateTimeOffset.UtcNow,
                milliseconds = 20_000,
            }
        );

    /// <summary>The places where a reader sees some texts.</summary>
    private static int[] Places(JsonNode shown, params string[] texts) =>
        [.. texts.Select(x => shown.AsArray().Select(s => (string)s!).ToList().IndexOf(x))];

    [Fact]
    public async Task Every_kind_is_asked_answered_and_scored_and_what_is_written_waits_for_a_mark()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 1);
        var (id, _) = await Written(ana);
        var (reader, ticket, work) = await Given(ana, room, id);
        var q = work["questions"]!.AsArray();
        q.Select(x => (string)x!["kind"]!).ShouldBe(["Single", "Sentence", "Multiple", "Order", "Match", "Short"]);
        ((int)work["onTheWay"]![0]!["after"]!).ShouldBe(2);
        work["sentences"]!.AsArray().Count.ShouldBe(3, "a heading and two paragraphs");
        foreach (var secret in new[] { "Well read.", "\"right\"", "grateful", "proof" })
            work.ToJsonString().ShouldNotContain(secret);
        Places(q[3]!["choices"]!, "He climbed.", "The wind rose.", "The captain came.")
            .ShouldNotBe([0, 1, 2], "the right order is not shown");

        await AnswerAll(reader, ticket, work);

        (await reader.Post($"/api/my/tickets/{ticket}/hand-in")).EnsureSuccessStatusCode();
        (await reader.Code(await reader.Send(HttpMethod.Get, $"/api/my/tickets/{ticket}/result"), 409)).ShouldBe(
            "not-released"
        );
        (await ana.Code(await ana.Post($"/api/tickets/{ticket}/release"), 409)).ShouldBe("not-marked");
        (await ana.Get($"/api/classes/{room.Id}/marking"))
            .AsArray()
            .Select(k => (string)k!["ticketId"]!)
            .ShouldBe([ticket]);
    }

    [Fact]
    public async Task What_is_written_is_marked_released_and_may_be_marked_otherwise_after_all()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 1);
        var (id, _) = await Written(ana);
        var (reader, ticket, work) = await Given(ana, room, id);
        await AnswerAll(reader, ticket, work);
        await reader.Posted($"/api/my/tickets/{ticket}/hand-in");
        var seen = await ana.Get($"/api/tickets/{ticket}");
        ((string)seen["ticket"]!["state"]!).ShouldBe("ToMark");
        var level = (double)seen["ticket"]!["afterMean"]!;
        var written = (string)seen["answers"]![5]!["tries"]![0]!["id"]!;
        (
            (string)
                (
                    await ana.Stored(
                        $"/api/tickets/{ticket}/marks/{written}",
                        new { points = new[] { 3 }, comment = "Just so." }
                    )
                )["state"]!
        ).ShouldBe("Marked");
        (await ana.Post($"/api/tickets/{ticket}/release")).EnsureSuccessStatusCode();
        ((double)(await ana.Get($"/api/tickets/{ticket}"))["ticket"]!["afterMean"]!).ShouldBeGreaterThan(
            level,
            "a good written answer is evidence too"
        );
        var result = await reader.Get($"/api/my/tickets/{ticket}/result");
        string[] marks = [.. result["lines"]!.AsArray().Select(l => (string)l!["mark"]!)];
        const string Once = "RightAtOnce",
            Later = "AfterAnotherTry";
        marks.ShouldBe([Once, Once, Later, Later, Once, Once]);
        ((double)result["score"]!).ShouldBe(4.0 / 6, 1e-9, "questions on the way count for nothing");
        ((string)result["lines"]![5]!["comment"]!).ShouldBe("Just so.");
        (await ana.Get($"/api/classes/{room.Id}/marking")).AsArray().ShouldBeEmpty();

        // A mark that is changed after all changes score and level.
        await ana.Stored($"/api/tickets/{ticket}/marks/{written}", new { points = new[] { 0 }, comment = "" });
        var changed = await ana.Get($"/api/tickets/{ticket}");
        ((double)changed["ticket"]!["score"]!).ShouldBe(3.0 / 6, 1e-9);
        ((double)changed["ticket"]!["afterMean"]!).ShouldBeLessThan(level);
    }

    /// <summary>Answers one question of every kind, some at the second try, and the one on the way.</summary>
    private static async Task AnswerAll(Person reader, string ticket, JsonNode work)
    {
        var q = work["questions"]!.AsArray();
        async Task<JsonNode> Try(int i, int[] picks, string words = "") =>
            (await reader.Json(await Answer(reader, ticket, q[i]!, picks, words)))["attempts"]!.AsArray()[^1]!;
        ((bool)(await Try(0, [0]))["correct"]!).ShouldBeTrue();
        ((bool)(await Try(1, [1]))["correct"]!).ShouldBeTrue();
        ((bool)(await Try(2, [0, 1]))["correct"]!).ShouldBeFalse();
        var second = await Try(2, [2, 0]);
        ((bool)second["correct"]!).ShouldBeTrue();
        var wrongOrder = await Try(3, Places(q[3]!["choices"]!, "The captain came.", "The wind rose.", "He climbed."));
        ((int)wrongOrder["fitting"]!, (int)wrongOrder["of"]!).ShouldBe((1, 3));
        (
            (bool)
                (await Try(3, Places(q[3]!["choices"]!, "He climbed.", "The wind rose.", "The captain came.")))[
                    "correct"
                ]!
        ).ShouldBeTrue();
        ((bool)(await Try(4, Places(q[4]!["rights"]!, "lit", "wound")))["correct"]!).ShouldBeTrue();
        (await Try(5, [], "Because he is glad of the light."))["correct"].ShouldBeNull();
        (await reader.Code(await Answer(reader, ticket, q[5]!, [], "Another."), 409)).ShouldBe("no-attempt-left");
        (await Answer(reader, ticket, work["onTheWay"]![0]!, [1])).EnsureSuccessStatusCode();
    }

    [Fact]
    public async Task The_proof_of_a_missed_question_says_nothing_about_the_level()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 1);
        var (id, _) = await Written(ana, [.. Quiz().Take(2)]);
        var (reader, ticket, work) = await Given(ana, room, id);
        await Answer(reader, ticket, work["questions"]![0]!, [1]);
        await Answer(reader, ticket, work["questions"]![1]!, [0]);
        await reader.Posted($"/api/my/tickets/{ticket}/hand-in");
        var evidence = await harness
            .Services.GetRequiredService<DepthKeeper>()
            .Evidence(ReaderId.From(Guid.Parse(room.Readers[0].Id)));
        evidence
            .Where(e => e.Kind is EvidenceKind.Answer)
            .OrderBy(e => e.At)
            .Select(e => e.LeftOut)
            .ShouldBe([null, LeftOut.RestsOnWrong]);
    }

    [Fact]
    public async Task What_is_no_answer_is_refused_and_questions_on_the_way_can_be_left_out()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 1);
        var (id, _) = await Written(ana);
        var (reader, ticket, work) = await Given(ana, room, id, onTheWay: false);
        work["onTheWay"]!.AsArray().ShouldBeEmpty();
        var q = work["questions"]!;
        foreach (
            var (i, picks, words) in new[]
            {
                (0, new[] { 7 }, ""),
                (0, [-1], ""),
                (0, [0, 1], ""),
                (1, [99], ""),
                (2, [0], ""),
                (3, [0, 1], ""),
                (3, [0, 0, 1], ""),
                (4, [0], ""),
                (5, [], " "),
                (5, [], new string('x', 5000)),
            }
        )
            (await Answer(reader, ticket, q[i]!, picks, words)).StatusCode.ShouldBe(
                HttpStatusCode.UnprocessableEntity,
                $"{q[i]!["kind"]} {string.Join(',', picks)}"
            );
        var onTheWay = (await ana.Get($"/api/texts/{id}/quiz"))["questions"]![6]!;
        (await Answer(reader, ticket, onTheWay, [0])).StatusCode.ShouldBe(HttpStatusCode.NotFound, "it was not asked");
    }

    [Fact]
    public async Task A_quiz_with_faults_that_stop_is_refused_and_others_are_told()
    {
        var ana = await harness.Teacher("ana");
        var (id, key) = await Written(ana);
        var two = Ask(
            "Single",
            "What burns?",
            [Choice("the lamp", true), Choice("the sea", true), Choice("all of the above")]
        );
        var check = (await ana.Posted($"/api/texts/{id}/quiz/check", new { revision = 2, questions = new[] { two } }))[
            "faults"
        ]!.AsArray();
        check
            .Where(f => (bool)f!["stops"]!)
            .Select(f => f!["sentence"]!.Said())
            .ShouldBe(["has 2 right choices. Mark one only."]);
        check
            .Select(f => f!["sentence"]!.Said())
            .ShouldContain("has “all of the above”, which is not a choice of its own.");
        (
            await ana.Problem(
                await ana.Put($"/api/texts/{id}/quiz", new { revision = 2, questions = new[] { two } }),
                422
            )
        )
            .ToJsonString()
            .ShouldContain("Question 1: has 2 right choices");
        (
            await ana.Code(await ana.Put($"/api/texts/{id}/quiz", new { revision = 1, questions = Quiz() }), 409)
        ).ShouldBe("stale");
        (
            await ana.Put($"/api/texts/{id}/quiz", new { revision = 2, questions = Enumerable.Repeat(Quiz()[0], 41) })
        ).StatusCode.ShouldBe(HttpStatusCode.UnprocessableEntity);
        (await ana.Get($"/api/texts/{id}/quiz"))["questions"]!
            .ToJsonString()
            .ShouldBe(key.ToJsonString(), "nothing was lost");
        var shipped = (string)(await ana.Get("/api/library?q=barometer"))["rows"]![0]!["id"]!;
        (
            await ana.Code(await ana.Put($"/api/texts/{shipped}/quiz", new { revision = 1, questions = Quiz() }), 409)
        ).ShouldBe("ships");
    }

    [Fact]
    public async Task Answers_stay_readable_when_their_question_changes()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 1);
        var (id, key) = await Written(ana, [.. Quiz().Take(1)]);
        var (reader, ticket, work) = await Given(ana, room, id);
        await Answer(reader, ticket, work["questions"]![0]!, [2]);
        var fewer = key.DeepClone();
        fewer[0]!["choices"]!.AsArray().RemoveAt(2);
        (await ana.Put($"/api/texts/{id}/quiz", new { revision = 2, questions = fewer })).EnsureSuccessStatusCode();
        (await reader.Get($"/api/my/tickets/{ticket}"))["questions"]![0]!["attempts"]!
            .AsArray()
            .Count.ShouldBe(1, "the question kept its id");
        (await ana.Get($"/api/tickets/{ticket}"))["answers"]![0]!["tries"]![0]!["picks"]!
            .ToJsonString()
            .ShouldBe("[2]");
    }

    [Fact]
    public async Task A_proof_follows_its_version_when_that_is_renamed()
    {
        var ana = await harness.Teacher("ana");
        var (id, _) = await Written(ana, [.. Quiz().Take(1)]);
        var text = await ana.Get($"/api/texts/{id}");
        (
            await ana.Put(
                $"/api/texts/{id}",
                new
                {
                    revision = 2,
                    title = "A lamp with a quiz",
                    kind = "story",
                    topic = "Sea",
                    fiction = true,
                    spelling = "British",
                    blurb = "",
                    season = "",
                    mine = false,
                    versions = new[]
                    {
                        new
                        {
                            id = (string)text["versions"]![0]!["id"]!,
                            label = "first",
                            body = Story,
                        },
                    },
                    words = Array.Empty<object>(),
                }
            )
        ).EnsureSuccessStatusCode();
        (await ana.Get($"/api/texts/{id}/quiz"))["questions"]![0]!["proofs"]!.ToJsonString().ShouldContain("first");
    }

    [Fact]
    public async Task An_answer_sent_again_to_a_question_that_is_gone_since_is_taken_and_kept_once()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 1);
        var (id, key) = await Written(ana, [Quiz()[0], Quiz()[2]]);
        var (reader, ticket, work) = await Given(ana, room, id);
        var answer = Guid.NewGuid();
        var asked = work["questions"]![0]!;
        (await Answer(reader, ticket, asked, [2], id: answer)).EnsureSuccessStatusCode();
        var rest = new JsonArray(key[1]!.DeepClone());
        (await ana.Put($"/api/texts/{id}/quiz", new { revision = 2, questions = rest })).EnsureSuccessStatusCode();

        var again = await Answer(reader, ticket, asked, [2], id: answer);

        ((int)again.StatusCode).ShouldBeInRange(200, 204);
        (await again.Content.ReadAsStringAsync()).ShouldBeOneOf("", "null");
        (await reader.Get($"/api/my/tickets/{ticket}"))["questions"]!.AsArray().Count.ShouldBe(1);
        (await harness.Ask<long>("select count(*) from answer where id = $1", answer)).ShouldBe(1);
    }

    [Fact]
    public async Task Answers_move_a_text_s_depth_once_enough_have_read_it_and_the_page_says_how_they_did()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 6);
        var (id, _) = await Written(ana, [.. Quiz().Take(1), .. Quiz().Skip(2).Take(3)]);
        var formulas = (double)(await ana.Get($"/api/texts/{id}"))["versions"]![0]!["depth"]!;
        for (var r = 0; r < 6; r++)
        {
            var (reader, ticket, work) = await Given(ana, room, id, reader: r);
            var q = work["questions"]!;
            await Answer(reader, ticket, q[0]!, [1]);
            await Answer(reader, ticket, q[1]!, [0, 1]);
            await Answer(
                reader,
                ticket,
                q[2]!,
                Places(q[2]!["choices"]!, "The captain came.", "The wind rose.", "He climbed.")
            );
            await Answer(reader, ticket, q[3]!, Places(q[3]!["rights"]!, "wound", "lit"));
            await reader.Posted($"/api/my/tickets/{ticket}/hand-in");
            if (r == 3)
            {
                await harness.Services.GetRequiredService<AnsweredDepths>().Recompute();
                (await ana.Get($"/api/texts/{id}"))["versions"]![0]!["shown"].ShouldBeNull("four readers are too few");
            }
        }
        await harness.Services.GetRequiredService<AnsweredDepths>().Recompute();
        var version = (await ana.Get($"/api/texts/{id}"))["versions"]![0]!;
        ((double)version["formulaDepth"]!).ShouldBe(formulas);
        ((int)version["shown"]!["readers"]!, (int)version["shown"]!["answers"]!).ShouldBe((6, 24));
        ((double)version["shown"]!["alone"]!).ShouldBeGreaterThan(formulas, "everything was wrong");
        ((double)version["shown"]!["weight"]!).ShouldBeInRange(0.05, 0.95);
        var use = await ana.Get($"/api/texts/{id}/use?classId={room.Id}");
        ((int)use["class"]!["handedIn"]!, (double)use["class"]!["score"]!).ShouldBe((6, 0));
        var first = use["class"]!["questions"]!.AsArray().Single(q => (string?)q!["wrong"] is not null)!;
        ((string)first["wrong"]!, (int)first["wrongTimes"]!).ShouldBe(("the stairs", 6));
        ((int)use["school"]!["readers"]!).ShouldBe(6);
        var other = await harness.Room(ana, 1);
        ((int)(await ana.Get($"/api/texts/{id}/use?classId={other.Id}"))["class"]!["given"]!).ShouldBe(0);
    }

    [Fact]
    public async Task A_question_that_thirty_missed_is_harder_than_was_thought_and_new_words_in_it_begin_anew()
    {
        var ana = await harness.Teacher("ana");
        const int Readers = 31;
        var room = await harness.Room(ana, Readers);
        object[] lit = [Choice("the lamp", true), Choice("the stairs"), Choice("the ship")],
            came = [Choice("the ship", true), Choice("the clock"), Choice("the horse")];
        var (id, _) = await Written(
            ana,
            [Ask("Single", "What did the keeper light?", lit), Ask("Single", "What came to the quay?", came)]
        );
        for (var r = 0; r < Readers; r++)
        {
            var (reader, ticket, work) = await Given(ana, room, id, reader: r);
            await Answer(reader, ticket, work["questions"]![0]!, [1]);
            await Answer(reader, ticket, work["questions"]![1]!, [0]);
            await reader.Posted($"/api/my/tickets/{ticket}/hand-in");
        }
        await harness.Services.GetRequiredService<AnsweredDepths>().Recompute();
        async Task<List<double?>> Harder() =>
            [
                .. (await ana.Get($"/api/texts/{id}/use?classId={room.Id}"))["class"]!["questions"]!
                    .AsArray()
                    .Select(q => (double?)q!["harder"])
                    .Order(),
            ];
        var shown = await Harder();
        shown[1]!.Value.ShouldBeGreaterThan(2);
        shown[0]!.Value.ShouldBeLessThan(0, "what both share is the text's");
        await harness.Services.GetRequiredService<AnsweredDepths>().Recompute();
        (await Harder())[1]!.Value.ShouldBe(shown[1]!.Value, 0.01, "the same answers do not count twice");
        var quiz = (await ana.Get($"/api/texts/{id}/quiz"))["questions"]!;
        quiz.ToJsonString().ShouldNotContain("shown", Case.Insensitive);
        quiz[0]!["stem"] = "What did the keeper light that night?";
        (await ana.Put($"/api/texts/{id}/quiz", new { revision = 2, questions = quiz })).EnsureSuccessStatusCode();
        (await Harder()).Count(h => h is null).ShouldBe(1);
    }

    [Fact]
    public async Task An_assignment_says_when_its_text_was_corrected_afterwards_and_only_then()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 1);
        var (id, key) = await Written(ana);
        await Given(ana, room, id);
        JsonNode? Corrected(JsonNode all) => all[0]!["correctedAt"];
        Corrected((await ana.Get($"/api/classes/{room.Id}/assignments"))["rows"]!)
            .ShouldBeNull("its quiz was written before it was given");
        (await ana.Put($"/api/texts/{id}/quiz", new { revision = 2, questions = key })).EnsureSuccessStatusCode();
        Corrected((await ana.Get($"/api/classes/{room.Id}/assignments"))["rows"]!).ShouldNotBeNull();
    }
}
