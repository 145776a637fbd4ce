using System.Net;
using System.Text.Json.Nodes;
using Microsoft.Extensions.Configuration;

namespace Web.Tests;

/// <summary>Running records: taken by hand, from a recording, and as evidence.</summary>
[Collection("application")]
public sealed class RunningRecordTests(Harness harness)
{
    private static readonly byte[] Wave =
    [
        .. "RIFF"u8,
        36,
        0,
        0,
        0,
        .. "WAVEfmt "u8,
        16,
        0,
        0,
        0,
        1,
        0,
        1,
        0,
        64,
        31,
        0,
        0,
        64,
        31,
        0,
        0,
        1,
        0,
        8,
        0,
        .. "data"u8,
        0,
        0,
        0,
        0,
    ];

    private sealed record Taken(Person Ana, Room Room, string Path, JsonNode View)
    {
        public string Reader => Room.Readers[0].Id;

        public int Words => View["words"]!.AsArray().Count;
    }

    private async Task<Taken> Begin(string? id = null)
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 2);
        var text = (string)(await ana.Get("/api/library?sort=Depth"))["rows"]![20]!["id"]!;
        var version = (string)(await ana.Get($"/api/texts/{text}"))["versions"]![0]!["id"]!;
        var path = $"/api/readers/{room.Readers[0].Id}/records/{id ?? Guid.NewGuid().ToString()}";
        await ana.Stored(path, new { textId = text, versionId = version });
        return new(ana, room, path, await ana.Stored(path, new { textId = text, versionId = version }));
    }

    private static object Mark(int index, string kind, string heard = "", string used = "") =>
        new
        {
            index,
            kind,
            heard,
            used,
            span = 1,
            doubt = false,
        };

    private static Task<HttpResponseMessage> Keep(
        Taken k,
        int revision,
        object[] marks,
        double seconds = 60,
        bool done = false,
        int? lastWord = null,
        object? retelling = null,
        object[]? answers = null
    ) =>
        k.Ana.Put(
            $"{k.Path}/sheet",
            new
            {
                revision,
                marks,
                seconds,
                lastWord,
                pauses = 0,
                retelling,
                answers,
                note = "",
                done,
            }
        );

    private static async Task<double> Depth(Taken k) =>
        (double)(await k.Ana.Get($"/api/readers/{k.Reader}/evidence"))["depth"]!;

    [Fact]
    public async Task A_record_is_marked_finished_and_moves_the_level_and_opened_again_it_does_not()
    {
        var k = await Begin();
        ((int)k.View["revision"]!, (bool)k.View["done"]!).ShouldBe((1, false), "begun twice is begun once");
        var before = await Depth(k);
        var open = await k.Ana.Json(
            await Keep(
                k,
                1,
                [Mark(0, "Substitution", "A", "MV"), Mark(3, "SelfCorrection", "so"), Mark(-1, "Insertion", "well")]
            )
        );
        var f = open["figures"]!;
        (
            (int)f["errors"]!,
            (int)f["selfCorrections"]!,
            (double)f["selfCorrectionRatio"]!,
            (int)open["sources"]!["errorsVisual"]!
        ).ShouldBe((2, 1, 3, 1));
        ((double)f["wordsCorrectPerMinute"]!).ShouldBe(k.Words - 1, 0.01);
        (await Depth(k)).ShouldBe(before, 0.001, "what is not finished is no evidence");

        var question = (string)k.View["questions"]![0]!["id"]!;
        var done = await k.Ana.Json(
            await Keep(
                k,
                2,
                [.. Enumerable.Range(0, k.Words / 4).Select(i => Mark(i * 2, "Omission"))],
                done: true,
                retelling: new Dictionary<string, int> { [(string)k.View["parts"]![0]!] = 2 },
                answers: [new { questionId = question, right = false }]
            )
        );
        ((string)done["figures"]!["zone"]!, (double)done["figures"]!["retelling"]!).ShouldBe(("Frustration", 1));
        (await Depth(k)).ShouldBeLessThan(before - 1);
        var pieces = (await k.Ana.Get($"/api/readers/{k.Reader}/evidence"))["pieces"]!.AsArray();
        pieces.Count(p => (string)p!["what"]! == "RunningRecord").ShouldBe(1);
        pieces.First(p => (string)p!["what"]! == "RunningRecord")!["note"]!
            .Said()
            .ShouldContain((string)k.View["title"]!);

        await OpenedAgain(k, before);
    }

    private static async Task OpenedAgain(Taken k, double before)
    {
        await k.Ana.Json(await Keep(k, 3, [], done: false));
        (await Depth(k)).ShouldBe(before, 0.001);
        (await k.Ana.Problem(await Keep(k, 3, []), 409)).ToJsonString().ShouldContain("elsewhere");
    }

    [Fact]
    public async Task A_record_is_thrown_away_with_its_evidence_and_brought_back_with_it()
    {
        var k = await Begin();
        var before = await Depth(k);
        await k.Ana.Json(await Keep(k, 1, [], done: true));
        var with = await Depth(k);
        Math.Abs(with - before).ShouldBeGreaterThan(0.05);
        await k.Ana.Posted($"{k.Path}/discard", new { gone = true });
        (await Depth(k)).ShouldBe(before, 0.001);
        (await k.Ana.Get($"/api/readers/{k.Reader}/records"))["records"]!.AsArray().ShouldBeEmpty();
        await k.Ana.Posted($"{k.Path}/discard", new { gone = false });
        (await Depth(k)).ShouldBe(with, 0.001);
    }

    [Fact]
    public async Task What_cannot_be_is_refused_and_what_was_kept_stays()
    {
        var k = await Begin();
        await k.Ana.Json(await Keep(k, 1, [Mark(2, "Told")]));
        foreach (
            var marks in new[]
            {
                [Mark(k.Words, "Told")],
                [Mark(1, "Wrong")],
                [Mark(1, "Told"), Mark(1, "Omission")],
                [Mark(1, "Correct")],
                new[] { Mark(1, "Told", used: "X") },
            }
        )
            (await Keep(k, 2, marks)).StatusCode.ShouldBe(HttpStatusCode.UnprocessableEntity);
        (await Keep(k, 2, [], seconds: -1)).StatusCode.ShouldBe(HttpStatusCode.UnprocessableEntity);
        (await Keep(k, 2, [], lastWord: k.Words)).StatusCode.ShouldBe(HttpStatusCode.UnprocessableEntity);
        (await Keep(k, 2, [], answers: [new { questionId = Guid.NewGuid(), right = true }])).StatusCode.ShouldBe(
            HttpStatusCode.UnprocessableEntity
        );
        (await Keep(k, 2, [], retelling: new Dictionary<string, int> { ["nothing"] = 1 })).StatusCode.ShouldBe(
            HttpStatusCode.UnprocessableEntity
        );
        (await k.Ana.Get(k.Path))["sheet"]!["marks"]!.AsArray().Count.ShouldBe(1);
        var other = k.Path.Replace(k.Reader, k.Room.Readers[1].Id);
        (
            await k.Ana.Put(
                other,
                new
                {
                    textId = (string)k.View["textId"]!,
                    versionId = (string)
                        (await k.Ana.Get($"/api/texts/{(string)k.View["textId"]!}"))["versions"]![0]!["id"]!,
                }
            )
        ).StatusCode.ShouldBe(HttpStatusCode.NotFound, "the id is another reader's record");
    }

    [Fact]
    public async Task A_text_that_changed_since_leaves_the_record_as_it_was_read()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 1);
        const string Words = "The dust lay thick on the loft floor. A moth flew up. Nobody had been here for years.";
        var text = (string)(await ana.Posted("/api/texts", Loft(0, new { label = "a", body = Words })))["id"]!;
        var version = (string)(await ana.Get($"/api/texts/{text}"))["versions"]![0]!["id"]!;
        var path = $"/api/readers/{room.Readers[0].Id}/records/{Guid.NewGuid()}";
        var first = await ana.Stored(path, new { textId = text, versionId = version });
        ((bool)first["textChanged"]!).ShouldBeFalse();
        var thin = Words.Replace("thick", "thin", StringComparison.Ordinal);
        var changed = new
        {
            id = version,
            label = "a",
            body = thin,
        };
        (await ana.Put($"/api/texts/{text}", Loft(1, changed))).EnsureSuccessStatusCode();
        var later = await ana.Get(path);
        ((bool)later["textChanged"]!, (string)later["body"]!).ShouldBe((true, (string)first["body"]!));
    }

    /// <summary>A text of the teacher's own, of one version.</summary>
    private static object Loft(int revision, object version) =>
        new
        {
            revision,
            title = "The Loft",
            kind = "story",
            topic = "Home",
            fiction = true,
            spelling = "British",
            blurb = "",
            season = "",
            mine = false,
            versions = new[] { version },
            words = Array.Empty<object>(),
        };

    [Fact]
    public async Task A_finished_record_is_printed_and_words_to_practise_are_gathered()
    {
        var k = await Begin();
        var body = (string)k.View["body"]!;
        string Word(int i) =>
            body.Substring((int)k.View["words"]![i]!["start"]!, (int)k.View["words"]![i]!["length"]!)
                .ToLowerInvariant();
        var at = Enumerable.Range(1, 30).First(i => !(bool)k.View["words"]![i]!["name"]! && Word(i).Length > 3);
        await k.Ana.Json(await Keep(k, 1, [Mark(at, "Substitution", "thing")], done: true));
        var all = await k.Ana.Get($"/api/readers/{k.Reader}/records");
        ((string)all["practice"]![0]!["word"]!, (string)all["practice"]![0]!["said"]![0]!).ShouldBe(
            (Word(at), "thing")
        );
        ((bool)all["mayTake"]!).ShouldBeTrue();
        var pdf = await k.Ana.Send(HttpMethod.Get, $"{k.Path}/record.pdf");
        pdf.Content.Headers.ContentType!.MediaType.ShouldBe("application/pdf");
        using var paper = UglyToad.PdfPig.PdfDocument.Open(await pdf.Content.ReadAsByteArrayAsync());
        paper.GetPage(1).Text.ShouldContain("accuracy");
    }

    private static Task<JsonNode> Until(Taken k, Func<JsonNode, bool> so) =>
        Eventually.Is<JsonNode>(async () => await k.Ana.Get(k.Path), so, "the record as it should be");

    private static Task<HttpResponseMessage> Sound(Taken k, string seconds = "12") =>
        k.Ana.Put($"{k.Path}/sound?seconds={seconds}", Wave);

    [Fact]
    public async Task A_recording_is_heard_and_comes_back_as_a_draft()
    {
        var id = Guid.NewGuid().ToString();
        File.WriteAllText(
            Path.Combine(harness.Known, id + ".json"),
            """[{"word":"wrongness","start":0.1,"end":0.9,"confidence":0.3}]"""
        );
        var k = await Begin(id);
        await k.Ana.Json(await Sound(k));
        var heard = await Until(k, v => (string?)v["listening"] == "Heard");
        var draft = heard["draft"]!;
        ((double)draft["sure"]!, draft["marks"]!.AsArray().Any(m => (bool)m!["doubt"]!)).ShouldBe((0.3, true));
        heard["sheet"]!["marks"]!.AsArray().ShouldBeEmpty("a draft is not a mark until a teacher takes it");
        (await (await k.Ana.Send(HttpMethod.Get, $"{k.Path}/sound")).Content.ReadAsByteArrayAsync()).ShouldBe(Wave);
    }

    [Theory]
    [InlineData("failing", "has failed"), InlineData("slow", "too long"), InlineData("nonsense", "unusable answer")]
    public async Task A_device_in_a_bad_mood_leaves_the_teacher_with_everything(string mood, string said)
    {
        var k = await Begin();
        await k.Ana.Json(await Keep(k, 1, [Mark(2, "Told")]));
        var settings = (IConfiguration)harness.Device.Configuration;
        settings["Listener:Mood"] = mood;
        try
        {
            await k.Ana.Json(await Sound(k));
            var failed = await Until(k, v => (string?)v["listening"] == "Failed");
            failed["listenNote"]!.Said().ShouldContain(said);
            failed["sheet"]!["marks"]!.AsArray().Count.ShouldBe(1);
        }
        finally
        {
            settings["Listener:Mood"] = null;
        }
        await k.Ana.Posted($"{k.Path}/listen");
        ((string?)(await Until(k, v => (string?)v["listening"] == "Heard"))["listening"]).ShouldBe("Heard");
    }

    [Theory]
    [
        InlineData("0", "Nothing was recorded"),
        InlineData("7200", "30 minutes at most"),
        InlineData("0.4", "Nothing was recorded")
    ]
    public async Task A_recording_of_no_time_or_of_hours_is_refused_plainly(string seconds, string said)
    {
        var k = await Begin();
        (await k.Ana.Problem(await Sound(k, seconds), 422)).ToJsonString().ShouldContain(said);
    }

    [Fact]
    public async Task A_recording_of_a_text_of_the_teachers_own_is_retold_by_what_kind_of_text_it_is()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 1);
        var (text, _) = await QuizTests.Written(ana, fiction: false, mine: true);
        var wanted = new
        {
            readerIds = room.Readers.Select(r => r.Id),
            textId = text,
            attempts = 1,
            skipGiven = false,
            directions = "",
            aloud = true,
        };
        var given = await ana.Posted($"/api/classes/{room.Id}/assignments", wanted);
        var ticket = (string)(await ana.Get($"/api/assignments/{given["assignmentId"]}"))["tickets"]![0]!["id"]!;
        var id = Guid.NewGuid();
        var reader = await harness.Reader(room, 0);
        await reader.Stored($"/api/my/tickets/{ticket}/recording/{id}?seconds=9", Wave);
        var record = await ana.Get($"/api/readers/{room.Readers[0].Id}/records/{id}");
        record["parts"]!
            .AsArray()
            .Select(p => (string)p!)
            .ShouldBe(DeepCurrent.Core.OralReading.Retelling.Parts(fiction: false));
    }

    /// <summary>Marks a record as read without a fault.</summary>
    private static async Task Finish(Person ana, string path)
    {
        var sheet = new
        {
            revision = (int)(await ana.Get(path))["revision"]!,
            marks = Array.Empty<object>(),
            seconds = 14,
            pauses = 0,
            done = true,
        };
        await ana.Stored($"{path}/sheet", sheet);
    }

    /// <returns>The ticket.</returns>
    private static async Task<string> Give(Person ana, Room room, string text, bool aloud)
    {
        var wanted = new
        {
            readerIds = room.Readers.Select(r => r.Id),
            textId = text,
            attempts = 1,
            skipGiven = false,
            dueOn = (DateOnly?)null,
            directions = "",
            versions = new { },
            aloud,
        };
        var given = await ana.Posted($"/api/classes/{room.Id}/assignments", wanted);
        return (string)(await ana.Get($"/api/assignments/{given["assignmentId"]}"))["tickets"]![0]!["id"]!;
    }

    [Fact]
    public async Task A_reader_records_a_text_given_to_be_read_aloud_and_the_teacher_finds_it()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 1);
        var text = (string)(await ana.Get("/api/library?sort=Depth"))["rows"]![25]!["id"]!;
        Task<string> Given(bool aloud) => Give(ana, room, text, aloud);
        var reader = await harness.Reader(room, 0);
        (
            await reader.Put($"/api/my/tickets/{await Given(false)}/recording/{Guid.NewGuid()}?seconds=9", Wave)
        ).StatusCode.ShouldBe(HttpStatusCode.Conflict);
        var ticket = await Given(true);
        ((bool)(await reader.Get($"/api/my/tickets/{ticket}"))["aloud"]!).ShouldBeTrue();
        var id = Guid.NewGuid();
        foreach (var _ in new[] { 1, 2 })
            await reader.Stored($"/api/my/tickets/{ticket}/recording/{id}?seconds=9", Wave);
        var again = await reader.Stored($"/api/my/tickets/{ticket}/recording/{Guid.NewGuid()}?seconds=14", Wave);
        ((string)again["id"]!, (double)again["seconds"]!).ShouldBe(
            (id.ToString(), 14),
            "a later recording takes the place of an earlier one"
        );
        (
            await (
                await reader.Send(HttpMethod.Get, $"/api/my/tickets/{ticket}/recording")
            ).Content.ReadAsByteArrayAsync()
        ).ShouldBe(Wave);
        var waiting = (await ana.Get($"/api/classes/{room.Id}/recordings")).AsArray();
        ((string)waiting.Single()!["id"]!).ShouldBe(id.ToString());

        await Finish(ana, $"/api/readers/{room.Readers[0].Id}/records/{id}");
        (
            await reader.Put($"/api/my/tickets/{ticket}/recording/{id}?seconds=9", Wave)
        ).IsSuccessStatusCode.ShouldBeFalse("what is marked stays as it is");
        (await ana.Get($"/api/classes/{room.Id}/recordings")).AsArray().ShouldBeEmpty();
    }
}
