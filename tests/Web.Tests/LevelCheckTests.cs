using System.Net;
using System.Text.Json.Nodes;
using DeepCurrent.Data.LevelChecks;
using DeepCurrent.Web.LevelChecks;
using Microsoft.Extensions.DependencyInjection;
using Npgsql;

namespace Web.Tests;

/// <summary>Level checks over HTTP: given, taken by readers, judged, given again, and what they do to the
/// level.</summary>
[Collection("application")]
public sealed class LevelCheckTests(Harness harness)
{
    private static readonly object[] Words = [Part("WordReading", 4)],
        Maze = [Part("Maze", 3)],
        Passages = [Part("Passages", 30)];

    private static object Part(
        string part,
        int minutes,
        bool skipUndecoding = false,
        double? skipBelow = null,
        bool skipMastered = false
    ) =>
        new
        {
            part,
            minutes,
            skipBelow,
            skipAbove = (double?)null,
            skipMastered,
            skipUndecoding,
        };

    internal static object Check(
        string[] classes,
        object[]? parts = null,
        int revision = 0,
        bool draft = false,
        string? season = null,
        int mostPassages = 4,
        double sureAt = 2.5,
        string[]? readers = null,
        string[]? form = null,
        bool aPartADay = false,
        DateOnly? closes = null,
        string[]? colleagues = null,
        int[]? grades = null,
        string start = "OwnLevel"
    ) =>
        new
        {
            revision,
            readerTitle = "Reading morning",
            directions = "Take your time.",
            season,
            draft,
            opensOn = (DateOnly?)null,
            closesOn = closes,
            colleagues = colleagues ?? [],
            plan = new
            {
                parts = parts ?? Words,
                start,
                from = 10,
                to = 50,
                timerShown = true,
                mostPassages,
                sureAt,
                aPartADay,
                form = form ?? [],
            },
            @for = new
            {
                classIds = classes,
                groupIds = Array.Empty<string>(),
                readerIds = readers ?? [],
                grades = grades ?? [],
            },
        };

    private sealed record Given(Person Ana, Room Room, string Path, Person Reader, string Sitting);

    private async Task<Given> Give(
        object[] parts,
        int readers = 1,
        int mostPassages = 4,
        double sureAt = 2.5,
        string[]? form = null,
        bool aPartADay = false,
        string? season = null
    )
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, readers);
        var path = $"/api/checks/{Guid.NewGuid()}";
        await ana.Stored(
            path,
            Check(
                [room.Id],
                parts,
                mostPassages: mostPassages,
                sureAt: sureAt,
                form: form,
                aPartADay: aPartADay,
                season: season
            )
        );
        var reader = await harness.Reader(room, 0);
        return new(ana, room, path, reader, (string)(await reader.Get("/api/my/checks"))[0]!["id"]!);
    }

    private static async Task<JsonNode> Begin(Given g) => await g.Reader.Posted($"/api/my/checks/{g.Sitting}/begin");

    private static Task<HttpResponseMessage> Send(
        Given g,
        JsonNode view,
        IEnumerable<object> answers,
        bool done,
        double seconds = 60
    ) =>
        g.Reader.Put(
            $"/api/my/checks/{g.Sitting}/stages/{view["stage"]!["id"]}",
            new
            {
                answers = answers.ToArray(),
                seconds,
                done,
            }
        );

    private static object Answer(int item, int[] picks, int ms = 20_000, string? id = null) =>
        new
        {
            id = id ?? Guid.NewGuid().ToString(),
            item,
            picks,
            at = DateTimeOffset.UtcNow,
            milliseconds = ms,
        };

    private static int[] Wrong(int[] right) => right is [var one] ? [(one + 1) % 3] : [.. right.Reverse()];

    /// <summary>What is right, which only the database knows.</summary>
    private async Task<int[][]> Right(JsonNode view)
    {
        await using var c = await harness.Services.GetRequiredService<NpgsqlDataSource>().OpenConnectionAsync();
        await using var q = new NpgsqlCommand("select items::text from stage where id = $1", c)
        {
            Parameters = { new() { Value = Guid.Parse((string)view["stage"]!["id"]!) } },
        };
        return
        [
            .. JsonNode
                .Parse((string)(await q.ExecuteScalarAsync())!)!
                .AsArray()
                .Select(i =>
                    ((string)i!["kind"]! == "Sentence" ? i["right"]!.AsArray().Take(1) : i["right"]!.AsArray())
                        .Select(p => (int)p!)
                        .ToArray()
                ),
        ];
    }

    /// <summary>Goes through a check to its end.</summary>
    private async Task<JsonNode> Finish(Given g, bool right, int ms = 20_000, Func<JsonNode, bool>? until = null)
    {
        var view = await Begin(g);
        for (var stages = 0; stages < 40 && view["now"] is not null; stages++)
        {
            if (until?.Invoke(view) == true)
                return view;
            if (view["stage"] is null)
            {
                view = await Begin(g);
                continue;
            }
            var rights = await Right(view);
            view = await g.Reader.Json(
                await Send(g, view, rights.Select((r, i) => Answer(i, right ? r : Wrong(r), ms)), done: true)
            );
        }
        return view;
    }

    private static async Task<JsonNode> Row(Given g) => (await g.Ana.Get(g.Path))["sittings"]![0]!;

    private static async Task<double> Depth(Given g) =>
        (double)(await g.Ana.Get($"/api/readers/{g.Room.Readers[0].Id}/evidence"))["depth"]!;

    [Fact]
    public async Task A_check_is_given_taken_and_moves_the_level()
    {
        var g = await Give([.. Words, Part("WordMeaning", 6), .. Maze, .. Passages]);
        var before = await Depth(g);
        var end = await Finish(g, right: true);
        end["now"].ShouldBeNull();
        (await g.Reader.Get("/api/my/checks")).AsArray().ShouldBeEmpty();
        var row = await Row(g);
        var parts = row["parts"]!.AsArray();
        parts.Select(p => (string)p!["state"]!).ShouldAllBe(s => s == "Done");
        parts.Select(p => (string)p!["flag"]!).ShouldAllBe(f => f == "Fine");
        ((int)parts[0]!["asked"]!, (int)parts[1]!["asked"]!).ShouldBe((15, 15));
        ((double)parts[2]!["score"]!).ShouldBeGreaterThan(1);
        (await Depth(g)).ShouldBeGreaterThan(before + 2);
        ((double)row["after"]!).ShouldBe(await Depth(g), 0.05);
        var pieces = (await g.Ana.Get($"/api/readers/{g.Room.Readers[0].Id}/evidence"))["pieces"]!
            .AsArray()
            .Where(p => (string)p!["what"]! == "LevelCheck")
            .ToList();
        pieces.Count.ShouldBe(3, "words, meanings and passages speak of the level; a maze passage does not");
        pieces.ShouldContain(p => p!["note"]!.Said().Contains("15 of 15"));
        pieces.ShouldAllBe(p => p!["note"]!.Said().StartsWith("Level check "), "each says which check it is of");
        var marks = (await g.Ana.Get($"/api/readers/{g.Room.Readers[0].Id}"))["marks"]!
            .AsArray()
            .Where(m => (string)m!["what"]! == "LevelCheck")
            .ToList();
        marks.Count.ShouldBe(3, "each part that speaks of the level is a mark on the trail");
        marks.ShouldAllBe(m => (double)m!["place"]! > before - 5);
    }

    [Fact]
    public async Task Passages_are_chosen_for_the_reader_and_end_when_the_level_is_sure()
    {
        var g = await Give(Passages, mostPassages: 8, sureAt: 5.5);
        var first = await Begin(g);
        first["stage"]!["items"]!.AsArray().Count.ShouldBeGreaterThan(3);
        ((double)first["stage"]!["depth"]!).ShouldBeInRange(15, 55, "near the reader");
        first.ToJsonString().ShouldNotContain("\"right\"");
        first.ToJsonString().ShouldNotContain("difficulty");
        await Finish(g, right: true);
        await using var c = await harness.Services.GetRequiredService<NpgsqlDataSource>().OpenConnectionAsync();
        await using var q = new NpgsqlCommand(
            """
            select count(*), count(distinct text_id)
            from stage s join sitting_part p on p.id = s.part_id
            where p.sitting_id = $1
            """,
            c
        )
        {
            Parameters = { new() { Value = Guid.Parse(g.Sitting) } },
        };
        await using var r = await q.ExecuteReaderAsync();
        await r.ReadAsync();
        var (stages, texts) = (r.GetInt64(0), r.GetInt64(1));
        stages.ShouldBeLessThan(8);
        texts.ShouldBe(stages, "no text twice");
    }

    private const string AsksSql =
            """
                select v.id
                from version v join question q on q.text_id = v.text_id join text t on t.id = v.text_id
                where q.kind = $1 and not q.evidence and q.place is null and not v.retired and not q.retired
                  and t.school_id is null and t.retired_at is null
                order by v.id
                limit 1
                """,
        CorrectSql =
            """
                select a.correct
                from check_answer a join stage s on s.id = a.stage_id join sitting_part p on p.id = s.part_id
                where p.sitting_id = $1 and a.item = $2
                """;

    [Fact]
    public async Task Questions_of_every_kind_that_needs_no_person_are_asked_and_right_only_when_all_of_it_is()
    {
        foreach (var kind in new[] { "Order", "Match", "Sentence", "Multiple" })
        {
            if (await harness.Ask<Guid?>(AsksSql, kind) is not { } version)
                continue;
            var g = await Give(Passages, form: [version.ToString()]);
            var view = await Begin(g);
            var items = view["stage"]!["items"]!.AsArray();
            var at = items.ToList().FindIndex(i => (string)i!["kind"]! == kind);
            var right = (await Right(view))[at];
            right.Length.ShouldBe((int)items[at]!["wanted"]!);
            if (kind is "Order")
                right.ShouldNotBe(Enumerable.Range(0, right.Length), "they do not stand in their order");
            if (kind is "Sentence")
                view["stage"]!["sentences"]!.AsArray().ShouldNotBeEmpty();
            view = await g.Reader.Json(await Send(g, view, [Answer(at, [.. right, 0]), Answer(at, [-1])], done: false));
            view["stage"]!["answers"]!.AsArray().ShouldBeEmpty("these are no answers to it");
            await g.Reader.Json(await Send(g, view, [Answer(at, right), Answer(at == 0 ? 1 : 0, [0])], done: true));
            (await harness.Ask<bool>(CorrectSql, Guid.Parse(g.Sitting), at)).ShouldBeTrue(kind);
        }
    }

    [Fact]
    public async Task A_passage_that_was_read_in_a_check_counts_as_had_when_it_is_given_again()
    {
        var g = await Give(Passages, mostPassages: 1);
        var view = await Begin(g);
        var title = (string)view["stage"]!["title"]!;
        var text = (string)
            (await g.Ana.Get($"/api/library?classId={g.Room.Id}&q={Uri.EscapeDataString($"\"{title}\"")}"))["rows"]!
                .AsArray()
                .First(r => (string)r!["title"]! == title)!["id"]!;
        await Finish(g, right: true);
        var fit = (
            await g.Ana.Posted(
                $"/api/classes/{g.Room.Id}/fit",
                new { readerIds = new[] { g.Room.Readers[0].Id }, textIds = new[] { text } }
            )
        )[0]!;
        ((string)fit["before"]!).ShouldBe("InLevelCheck");
        (
            await g.Ana.Problem(
                await g.Ana.Post(
                    $"/api/classes/{g.Room.Id}/assignments",
                    new
                    {
                        readerIds = new[] { g.Room.Readers[0].Id },
                        textId = text,
                        attempts = 2,
                        directions = "",
                        skipGiven = true,
                        versions = new { },
                    }
                ),
                422
            )
        )["fields"]!["readerIds"].ShouldNotBeNull();
        var row = (await g.Ana.Get($"/api/library?classId={g.Room.Id}&q={Uri.EscapeDataString($"\"{title}\"")}"))[
            "rows"
        ]!
            .AsArray()
            .First(r => (string)r!["id"]! == text)!;
        ((int)row["readHere"]!).ShouldBe(1);
    }

    [Fact]
    public async Task The_same_answer_sent_twice_is_kept_once_and_the_first_one_counts()
    {
        var g = await Give(Words);
        var view = await Begin(g);
        (await Begin(g))["stage"]!["id"]!
            .ToJsonString()
            .ShouldBe(view["stage"]!["id"]!.ToJsonString(), "begun twice is begun once");
        var rights = await Right(view);
        var id = Guid.NewGuid().ToString();
        await g.Reader.Json(await Send(g, view, [Answer(0, rights[0], id: id)], done: false));
        await g.Reader.Json(await Send(g, view, [Answer(0, rights[0], id: id)], done: false));
        var kept = await g.Reader.Json(
            await Send(g, view, [Answer(0, Wrong(rights[0])), Answer(99, [0]), Answer(1, [77])], done: false)
        );
        kept["stage"]!["answers"]!
            .AsArray()
            .Count.ShouldBe(1, "a second answer, and answers to what there is not, change nothing");
        kept["stage"]!["answers"]![0]!["picks"]!.AsArray().Select(p => (int)p!).ShouldBe(rights[0]);
        kept = await g.Reader.Json(await Send(g, view, [Answer(2, [0], id: id)], done: false));
        kept["stage"]!["answers"]!.AsArray().Count.ShouldBe(1, "an id is one answer's");
        var next = await g.Reader.Json(await Send(g, view, [], done: true));
        ((int)next["stage"]!["place"]!).ShouldBe(2);
        var late = await g.Reader.Json(await Send(g, view, [Answer(2, [0])], done: true));
        ((int)late["stage"]!["place"]!).ShouldBe(2, "what is sent once more for a stage that is done changes nothing");
        (
            await g.Reader.Put(
                $"/api/my/checks/{g.Sitting}/stages/{view["stage"]!["id"]}",
                new
                {
                    answers = Array.Empty<object>(),
                    seconds = double.MaxValue,
                    done = true,
                }
            )
        ).StatusCode.ShouldBe(HttpStatusCode.UnprocessableEntity);
    }

    [Fact]
    public async Task A_too_fast_part_is_left_out_of_the_level_and_given_again_in_one_step_which_is_undone()
    {
        var g = await Give([.. Words, Part("WordMeaning", 6)], readers: 2);
        var before = await Depth(g);
        await Finish(g, right: false, ms: 50);
        (await Depth(g)).ShouldBe(before, 0.02);
        (await g.Ana.Get($"/api/readers/{g.Room.Readers[0].Id}"))["marks"]!
            .AsArray()
            .Count(m => (bool)m!["leftOut"]!)
            .ShouldBe(2);
        var row = await Row(g);
        ((string)row["parts"]![0]!["flag"]!, (int)row["again"]!).ShouldBe(("TooFast", 2));
        var again = await g.Ana.Posted($"{g.Path}/again", new { });
        again["sentence"]!.Said().ShouldContain("2 parts");
        ((int)(await g.Reader.Get("/api/my/checks"))[0]!["left"]!).ShouldBe(2);
        await g.Ana.Posted($"/api/changes/{again["changeId"]}/undo");
        (await g.Reader.Get("/api/my/checks")).AsArray().ShouldBeEmpty();
        (await g.Ana.Post($"{g.Path}/again", new { readerIds = new[] { g.Room.Readers[1].Id } })).StatusCode.ShouldBe(
            HttpStatusCode.Conflict,
            "who has not begun has still time"
        );
        await g.Ana.Posted($"{g.Path}/again", new { readerIds = new[] { g.Room.Readers[0].Id } });
        await Finish(g, right: true);
        row = await Row(g);
        ((string)row["parts"]![0]!["flag"]!, (int)row["parts"]![0]!["rounds"]!, (int)row["again"]!).ShouldBe(
            ("Fine", 2, 0)
        );
        (await Depth(g)).ShouldBeGreaterThan(before);
        // What was done well is given again only where it is asked for by name.
        var first = new[] { g.Room.Readers[0].Id };
        (await g.Ana.Post($"{g.Path}/again", new { readerIds = first })).StatusCode.ShouldBe(HttpStatusCode.Conflict);
        var more = await g.Ana.Posted($"{g.Path}/again", new { readerIds = first, part = "WordMeaning" });
        more["sentence"]!.Said().ShouldContain("1 part");
        ((int)(await g.Reader.Get("/api/my/checks"))[0]!["left"]!).ShouldBe(1);
    }

    [Fact]
    public async Task Too_few_answers_are_thin_and_a_check_that_ends_counts_what_was_done()
    {
        var g = await Give([.. Words, .. Passages], readers: 2);
        var view = await Begin(g);
        await g.Reader.Json(await Send(g, view, [Answer(0, [0])], done: false));
        await g.Ana.Posted($"{g.Path}/close", new { closed = true });
        (await g.Reader.Problem(await Send(g, view, [Answer(1, [0])], done: false), 409))["title"]!
            .ToJsonString()
            .ShouldContain("saved");
        var rows = (await g.Ana.Get(g.Path))["sittings"]!.AsArray();
        rows[0]!["parts"]!.AsArray().Select(p => (string)p!["flag"]!).ShouldBe(["Thin", "Missing"]);
        rows[1]!["parts"]!.AsArray().Select(p => (string)p!["flag"]!).ShouldBe(["Missing", "Missing"]);
        var again = await g.Ana.Posted($"{g.Path}/again", new { });
        again["sentence"]!.Said().ShouldContain("4 parts");
        ((bool)(await g.Ana.Get(g.Path))["over"]!).ShouldBeFalse("it is open for them again");
        ((int)(await g.Reader.Get("/api/my/checks"))[0]!["left"]!).ShouldBe(2);
    }

    [Fact]
    public async Task Readers_who_do_not_decode_are_spared_the_passages_and_who_is_shallow_is_spared_a_part()
    {
        var g = await Give([
            .. Words,
            Part("WordMeaning", 6, skipBelow: 90),
            Part("Passages", 30, skipUndecoding: true),
        ]);
        await Finish(g, right: false);
        var parts = (await Row(g))["parts"]!.AsArray();
        parts.Select(p => (string)p!["state"]!).ShouldBe(["Done", "Skipped", "Skipped"]);
        parts.Select(p => p!["note"]!.Said()).ShouldBe(["", "shallower than 90 fm", "not yet decoding"]);
    }

    [Fact]
    public async Task Who_mastered_a_part_this_year_is_spared_it()
    {
        var g = await Give(Words);
        await Finish(g, right: true);
        var path = $"/api/checks/{Guid.NewGuid()}";
        await g.Ana.Stored(path, Check([g.Room.Id], [Part("WordReading", 4, skipMastered: true), .. Maze]));
        var sitting = (string)(await g.Reader.Get("/api/my/checks"))[0]!["id"]!;
        var view = await Begin(g with { Sitting = sitting });
        ((string)view["now"]!).ShouldBe("Maze");
        (await Row(g with { Path = path }))["parts"]![0]!["note"]!.Said().ShouldBe("mastered before");
    }

    [Fact]
    public async Task A_maze_choice_may_be_changed_until_the_passage_is_done()
    {
        var g = await Give(Maze);
        var view = await Begin(g);
        var rights = await Right(view);
        view["stage"]!["pages"]![0]!.AsArray().Count.ShouldBeGreaterThanOrEqualTo(rights.Length);
        await g.Reader.Json(await Send(g, view, [Answer(0, Wrong(rights[0]))], done: false));
        await g.Reader.Json(
            await Send(g, view, [Answer(0, rights[0]), Answer(1, Wrong(rights[1]))], done: true, seconds: 5)
        );
        var part = (await Row(g))["parts"]![0]!;
        ((int)part["correct"]!, (int)part["answered"]!).ShouldBe((1, 2));
        ((double)part["score"]!).ShouldBeInRange(0.4, 31);
    }

    [Fact]
    public async Task A_fixed_form_is_read_in_its_order_by_everybody()
    {
        var ana = await harness.Teacher("ana");
        var form = (await ana.Get("/api/checks/choices"))["passages"]!
            .AsArray()
            .Where(p => (double)p!["depth"]! is > 20 and < 40)
            .Take(2)
            .ToList();
        var g = await Give(Passages, form: [.. form.Select(p => (string)p!["versionId"]!)]);
        var view = await Begin(g);
        ((string)view["stage"]!["title"]!).ShouldBe((string)form[0]!["title"]!);
        view = await g.Reader.Json(await Send(g, view, [Answer(0, [0])], done: true));
        ((string)view["stage"]!["title"]!).ShouldBe((string)form[1]!["title"]!);
        view = await g.Reader.Json(await Send(g, view, [Answer(0, [0])], done: true));
        view["now"].ShouldBeNull();
    }

    [Fact]
    public async Task A_part_a_day_waits_for_tomorrow_and_more_time_is_given_to_whom_it_is_due()
    {
        var g = await Give([.. Words, .. Maze], aPartADay: true);
        (
            await g.Ana.Post(
                $"/api/classes/{g.Room.Id}/bulk",
                new
                {
                    readerIds = new[] { g.Room.Readers[0].Id },
                    supports = new
                    {
                        readAloud = false,
                        hideTimer = true,
                        moreTime = 200,
                        textSize = 0,
                        oneChoice = false,
                        retry = false,
                    },
                }
            )
        ).EnsureSuccessStatusCode();
        var view = await Begin(g);
        ((double)view["left"]!, (bool)view["timerShown"]!).ShouldBe((480, false));
        while ((string?)view["now"] == "WordReading")
            view = await g.Reader.Json(await Send(g, view, [], done: true));
        ((bool)view["tomorrow"]!, (string)view["now"]!).ShouldBe((true, "Maze"));
        (await Begin(g))["stage"].ShouldBeNull();
    }

    [Fact]
    public async Task A_draft_is_seen_by_no_reader_and_what_cannot_be_is_refused()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 1);
        var path = $"/api/checks/{Guid.NewGuid()}";
        var reader = await harness.Reader(room, 0);
        await ana.Stored(path, Check([room.Id], draft: true));
        (await reader.Get("/api/my/checks")).AsArray().ShouldBeEmpty();
        (await ana.Get($"/api/classes/{room.Id}/checks"))
            .AsArray()
            .Count(k => path.EndsWith((string)k!["id"]!, StringComparison.Ordinal))
            .ShouldBe(1);
        (await ana.Put(path, Check([room.Id]))).StatusCode.ShouldBe(
            HttpStatusCode.Conflict,
            "another one of the same id"
        );
        var given = await ana.Stored(path, Check([room.Id], revision: 1));
        (await reader.Get("/api/my/checks")).AsArray().Count.ShouldBe(1);
        async Task Bad(object check, string word) =>
            (await ana.Problem(await ana.Put($"/api/checks/{Guid.NewGuid()}", check), 422))
                .ToJsonString()
                .ShouldContain(word);
        await Bad(Check([room.Id], parts: []), "at least one part");
        await Bad(Check([room.Id], mostPassages: 20), "passages");
        await Bad(Check([room.Id], start: "7"), "value is not allowed here");
        await Bad(Check([room.Id], season: "monsoon"), "value is not allowed here");
        await Bad(Check([room.Id], closes: Harness.Today.AddDays(-2)), "passed");
        await Bad(Check([room.Id], form: [Guid.NewGuid().ToString()]), "fixed form");
        await Bad(Check([]), "No one would take it");
        (await ana.Put($"/api/checks/{Guid.NewGuid()}", Check([Guid.NewGuid().ToString()]))).StatusCode.ShouldBe(
            HttpStatusCode.NotFound
        );
        await ana.Posted($"/api/changes/{given["changeId"]}/undo");
        (await reader.Get("/api/my/checks")).AsArray().ShouldBeEmpty();
    }

    [Fact]
    public async Task The_plan_stays_once_somebody_has_begun_and_readers_can_be_added_and_taken_off()
    {
        var g = await Give(Maze, readers: 2);
        await g.Ana.Stored(g.Path, Check([g.Room.Id], Words, revision: 1));
        (await Row(g))["parts"]!
            .AsArray()
            .Select(p => (string)p!["part"]!)
            .ShouldBe(["WordReading"], "nobody had begun");
        await Begin(g);
        (await g.Ana.Problem(await g.Ana.Put(g.Path, Check([g.Room.Id], Maze, revision: 2)), 409))
            .ToJsonString()
            .ShouldContain("begun");
        await g.Ana.Stored(g.Path, Check([g.Room.Id], Words, revision: 2));
        var taken = await g.Ana.Posted($"{g.Path}/take-back", new { readerIds = new[] { g.Room.Readers[0].Id } });
        (await g.Reader.Get("/api/my/checks")).AsArray().ShouldBeEmpty();
        (await g.Reader.Send(HttpMethod.Get, $"/api/my/checks/{g.Sitting}")).StatusCode.ShouldBe(
            HttpStatusCode.NotFound
        );
        await g.Ana.Posted($"/api/changes/{taken["changeId"]}/undo");
        ((bool)(await g.Reader.Get("/api/my/checks"))[0]!["begun"]!).ShouldBeTrue();
    }

    [Fact]
    public async Task A_colleague_who_is_let_in_watches_and_gives_again_and_another_finds_nothing()
    {
        var g = await Give(Words);
        var ben = await harness.Teacher("ben");
        (await ben.Send(HttpMethod.Get, g.Path)).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        var benId = (string)
            (await g.Ana.Get("/api/checks/choices"))["colleagues"]!
                .AsArray()
                .Single(a => (string)a!["name"]! == "Ben")!["id"]!;
        await g.Ana.Stored(g.Path, Check([g.Room.Id], Words, revision: 1, colleagues: [benId]));
        (await ben.Get(g.Path))["sittings"]!.AsArray().Count.ShouldBe(1);
        await Finish(g, right: false, ms: 10);
        await ben.Posted($"{g.Path}/again", new { });
        (await ben.Put(g.Path, Check([], Words, revision: 2, readers: []))).StatusCode.ShouldBe(
            HttpStatusCode.NotFound,
            "it is not theirs to change"
        );
        (await ben.Post($"{g.Path}/discard", new { gone = true })).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }

    [Fact]
    public async Task Answers_given_before_a_check_ended_and_sent_after_it_are_taken_and_later_ones_are_not()
    {
        var g = await Give(Words);
        var view = await Begin(g);
        var rights = await Right(view);
        var before = DateTimeOffset.UtcNow;
        // Begun ten minutes ago, as if they had passed: the reader answers without a network.
        await harness.Ask<Guid>(
            "update stage set served_at = now() - interval '10 minutes' where id = $1 returning id",
            Guid.Parse((string)view["stage"]!["id"]!)
        );
        (await g.Ana.Post($"{g.Path}/close", new { closed = true })).EnsureSuccessStatusCode();
        ((string)(await Row(g))["parts"]![0]!["flag"]!).ShouldBe("Thin");
        object At(int item, DateTimeOffset at) =>
            new
            {
                id = Guid.NewGuid(),
                item,
                picks = rights[item],
                at,
                milliseconds = 20_000,
            };
        var inTime = Enumerable.Range(0, rights.Length - 2).Select(i => At(i, before.AddMinutes(-5).AddSeconds(i)));
        var tooLate = new[]
        {
            At(rights.Length - 2, DateTimeOffset.UtcNow.AddMinutes(1)),
            At(rights.Length - 1, DateTimeOffset.UtcNow.AddMinutes(1)),
        };
        var kept = await g.Reader.Json(await Send(g, view, inTime.Concat(tooLate), done: true));
        ((int)kept["refused"]!).ShouldBe(2);
        kept["now"].ShouldBeNull("the check is over all the same");
        var row = await Row(g);
        ((int)row["parts"]![0]!["answered"]!, (int)row["late"]!, (string)row["parts"]![0]!["flag"]!).ShouldBe(
            (rights.Length - 2, rights.Length - 2, "Fine")
        );
        var level = await Depth(g);
        ((double)row["after"]!).ShouldBe(level, 0.05);
        // The same again is the same; what was only given afterwards is refused.
        await g.Reader.Json(await Send(g, view, inTime, done: true));
        (await Depth(g)).ShouldBe(level);
        (await g.Reader.Code(await Send(g, view, tooLate, done: true), 409)).ShouldBe("over");
    }

    [Fact]
    public async Task A_check_is_credited_only_with_what_it_moved()
    {
        var g = await Give(Words);
        // Between giving and taking, a teacher judges: that is not the check's doing.
        await g.Ana.Posted(
            $"/api/classes/{g.Room.Id}/readers/{g.Room.Readers[0].Id}/levels",
            new
            {
                level = "60",
                system = "fm",
                sd = 2,
                reason = "reads at home",
            }
        );
        var before = await Depth(g);
        await Finish(g, right: true);
        var row = await Row(g);
        var after = await Depth(g);
        ((double)row["moved"]!).ShouldBe(after - before, 0.05);
        ((double)row["before"]!).ShouldBe(before, 0.05);
        Math.Abs((double)row["moved"]!).ShouldBeLessThan(8);
    }

    [Fact]
    public async Task A_check_whose_last_day_has_passed_is_ended_by_itself()
    {
        var g = await Give(Words);
        var view = await Begin(g);
        await g.Reader.Json(await Send(g, view, (await Right(view)).Select((r, i) => Answer(i, r)), done: false));
        await using (var c = await harness.Services.GetRequiredService<NpgsqlDataSource>().OpenConnectionAsync())
        {
            await using var q = new NpgsqlCommand(
                "update level_check set closes_on = current_date - 2 where id = $1",
                c
            )
            {
                Parameters = { new() { Value = Guid.Parse(g.Path.Split('/')[^1]) } },
            };
            await q.ExecuteNonQueryAsync();
        }
        (await g.Reader.Get("/api/my/checks")).AsArray().ShouldBeEmpty();
        (await Row(g))["parts"]![0]!["flag"]!.ToJsonString().ShouldContain("Missing");
        await harness.Services.GetRequiredService<ChecksClosing>().Close();
        var part = (await Row(g))["parts"]![0]!;
        ((string)part["state"]!, (string)part["flag"]!, (int)part["correct"]!).ShouldBe(("Done", "Fine", 5));
    }

    [Fact]
    public async Task The_lead_sees_a_window_by_grade_with_small_groups_hidden()
    {
        var g = await Give(Words, readers: 2, season: "Winter");
        await Finish(g, right: true);
        var window = (await g.Ana.Get("/api/school/windows")).AsArray().Single(w => (string)w!["season"]! == "Winter")!;
        var grade = window["grades"]!.AsArray().Single(x => (int)x!["grade"]! == 4)!;
        ((int)grade["given"]!).ShouldBeGreaterThanOrEqualTo(2);
        ((int)grade["finished"]!).ShouldBeGreaterThanOrEqualTo(1);
        if ((int)grade["now"]!["readers"]! < 5)
            grade["now"]!["middle"].ShouldBeNull();
        (await (await harness.Teacher("ben")).Send(HttpMethod.Get, "/api/school/windows")).StatusCode.ShouldBe(
            HttpStatusCode.NotFound
        );
        var grades = $"/api/checks/{Guid.NewGuid()}";
        await g.Ana.Stored(grades, Check([], grades: [4], draft: true));
        (
            await (await harness.Teacher("ben")).Put($"/api/checks/{Guid.NewGuid()}", Check([], grades: [4]))
        ).StatusCode.ShouldBe(HttpStatusCode.NotFound, "whole grades are the lead's");
    }

    [Fact]
    public async Task A_readers_record_holds_the_checks_and_a_deleted_reader_takes_them_along()
    {
        var g = await Give(Words);
        await Finish(g, right: true);
        var record = await g.Ana.Get($"/api/readers/{g.Room.Readers[0].Id}/record.json");
        record["levelChecks"]!.AsArray().Single()!["parts"]![0]!["stages"]!.AsArray().Count.ShouldBe(3);
        Task<long> Left() => harness.Ask<long>("select count(*) from sitting where id = $1", Guid.Parse(g.Sitting));
        (await Left()).ShouldBe(1);
        (
            await g.Ana.Post($"/api/readers/{g.Room.Readers[0].Id}/delete", new { name = "Reader0 Test" })
        ).EnsureSuccessStatusCode();
        (await Left()).ShouldBe(0);
    }

    [Fact]
    public async Task Answers_to_a_word_show_how_hard_it_is()
    {
        var g = await Give(Words);
        await Finish(g, right: true);
        Task<object?> Ask(string sql) => harness.Ask<object>(sql, Guid.Parse(g.Sitting));
        const string Part = "(select p.id from sitting_part p where p.sitting_id = $1)",
            First = $"(select s.id from stage s where s.part_id = {Part} order by position limit 1)";
        var words = (
            (string)
                (
                    await Ask(
                        $"""
                        select string_agg(i ->> 'key', ' ' order by n)
                        from stage, jsonb_array_elements(items) with ordinality x(i, n)
                        where id = {First}
                        """
                    )
                )!
        ).Split(' ');
        // As if forty readers had been asked the same two words: the first was missed by all, the second by none.
        await Ask(
            $"""
            update stage
            set items = (select jsonb_agg(items -> (k % 2)) from generate_series(0, 79) k)
            where id = {First}
            """
        );
        await Ask($"delete from check_answer where stage_id = {First}");
        await Ask(
            $"""
            insert into check_answer (id, stage_id, item, picks, correct, too_fast, at, received_at, milliseconds)
            select gen_random_uuid(), {First}, k, array[0], k % 2 = 1, false, now(), now(), 9000
            from generate_series(0, 79) k
            """
        );
        await harness.Services.GetRequiredService<DeepCurrent.Data.Texts.AnsweredDepths>().Recompute();
        Task<double> Harder(string word) =>
            harness.Ask<double>("select harder from word_depth where part = 'WordReading' and word = $1", word);
        (await Harder(words[0])).ShouldBeGreaterThan(3);
        (await Harder(words[1])).ShouldBeLessThan(-1);
        (await Ask("select count(*) from word_depth where $1::uuid is not null and answers < 30")).ShouldBe(0L);
    }

    [Fact]
    public async Task More_readers_than_there_are_connections_begin_at_once()
    {
        var g = await Give(Passages, readers: 45);
        var readers = await Task.WhenAll(Enumerable.Range(0, 45).Select(i => harness.Reader(g.Room, i)));
        var begun = await Task.WhenAll(
            readers.Select(async r =>
            {
                var sitting = (string)(await r.Get("/api/my/checks"))[0]!["id"]!;
                return await r.Posted($"/api/my/checks/{sitting}/begin");
            })
        );
        begun.ShouldAllBe(v => v["stage"]!["items"]!.AsArray().Count > 3);
    }
}
