using System.Net;
using System.Text.Json.Nodes;

namespace Web.Tests;

/// <summary>Texts that teachers bring: measured, changed, shared, copied, stated, retired, brought back.</summary>
[Collection("application")]
public sealed class OwnTextTests(Harness harness)
{
    private const string Story =
        "# The lamp\n\nThe keeper climbed the stairs at dusk. He lit the lamp and wound the clock. Far out, a "
        + "ship turned its bow towards the harbour. The wind rose in the night. He sat by the window and "
        + "listened to the sea. In the morning the ship lay safe beside the quay, and the captain came up with a "
        + "basket of oranges.\n\nNobody had sent for them. The keeper laughed for the first time that winter. He "
        + "put one orange on the sill, where the sun could find it, and ate the others slowly, one each day, "
        + "until the ice was gone from the harbour and the gulls came back.";

    private static object Text(
        string title = "The lamp",
        int revision = 0,
        bool mine = true,
        string body = Story,
        string? note = null,
        Guid? id = null
    ) =>
        new
        {
            id,
            revision,
            title,
            kind = "story",
            topic = "Sea",
            fiction = true,
            spelling = "British",
            blurb = "A keeper and a ship.",
            season = title.StartsWith("Oranges", StringComparison.Ordinal) ? "Winter" : "",
            mine,
            note,
            versions = new[]
            {
                new
                {
                    id = (string?)null,
                    label = "a",
                    body,
                },
            },
            words = new[]
            {
                new
                {
                    text = "dusk",
                    part = "noun",
                    meaning = "the time when it gets dark",
                    example = "We go home at dusk.",
                },
            },
        };

    private static async Task<string> Made(Person who, string title, bool mine = true) =>
        (string)(await who.Posted("/api/texts", Text(title, mine: mine)))["id"]!;

    [Fact]
    public async Task A_text_that_is_sent_again_is_the_same_text_with_what_was_written_since()
    {
        var ana = await harness.Teacher("ana");
        var id = Guid.NewGuid();
        var title = $"Twice {id:N}";
        Task<HttpResponseMessage> Send(string body, Person who) =>
            who.Post("/api/texts", Text(title, body: body, id: id));
        (await Send(Story, ana)).EnsureSuccessStatusCode();
        var version = (string)(await ana.Get($"/api/texts/{id}"))["versions"]![0]!["id"]!;
        var again = await ana.Json(await Send(Story, ana));
        ((string)again["id"]!, (int)again["revision"]!).ShouldBe(($"{id}", 1), "the same words are the same text");
        // The answer did not arrive, and one more sentence was written before sending again.
        ((int)(await ana.Json(await Send(Story + "\n\nNobody spoke for a while.", ana)))["revision"]!).ShouldBe(2);
        var now = await ana.Get($"/api/texts/{id}");
        ((string)now["versions"]![0]!["id"]!).ShouldBe(version, "work that was done on it stays with it");
        now.ToJsonString().ShouldContain("Nobody spoke for a while.");
        (await ana.Get($"/api/library?q={title}"))["rows"]!
            .AsArray()
            .Count(r => (string)r!["title"]! == title)
            .ShouldBe(1);
        (await Send(Story, await harness.Teacher("cleo"))).StatusCode.ShouldBe(HttpStatusCode.Conflict);
        var copy = new { id = Guid.NewGuid() };
        foreach (var _ in new[] { 1, 2 })
            ((string)(await ana.Posted($"/api/texts/{id}/copy", copy))["id"]!).ShouldBe($"{copy.id}");
    }

    [Fact]
    public async Task A_text_is_measured_paged_and_found_by_its_words_at_once()
    {
        var ana = await harness.Teacher("ana");
        var id = (string)
            (await ana.Posted("/api/texts", Text("Oranges in winter", body: Story + "\n\n" + Story)))["id"]!;
        var view = await ana.Get($"/api/texts/{id}");
        ((double)view["versions"]![0]!["depth"]!).ShouldBeInRange(10, 45);
        view["versions"]![0]!["pages"]!
            .AsArray()
            .Count.ShouldBeGreaterThan(1, "it has no page marks, so pages are made");
        ((string)view["versions"]![0]!["pages"]![0]![0]!).ShouldBe("# The lamp");
        (await ana.Get("/api/library?q=basket+of+oranges"))["rows"]!
            .AsArray()
            .Select(r => (string)r!["id"]!)
            .ShouldContain(id);
        (await ana.Get("/api/library?season=Winter"))["rows"]!
            .AsArray()
            .Select(r => (string)r!["title"]!)
            .ShouldAllBe(title => title == "Oranges in winter");
    }

    [Fact]
    public async Task The_words_that_break_what_was_taught_are_named()
    {
        var ana = await harness.Teacher("ana");
        async Task<JsonNode> Measured(params string[] taught) =>
            await ana.Posted(
                "/api/texts/measure",
                new { text = "The cat sat on the mat. A ship came in the rain, and the cat ran to the dock.", taught }
            );
        (await Measured())["breaks"]!.AsArray().ShouldBeEmpty("nothing was said to be taught");
        var patterns = (await Measured("x"))["patterns"]!.AsArray().Select(p => (string)p!["key"]!).ToArray();
        (await Measured(patterns))["breaks"]!.AsArray().ShouldBeEmpty("all of it is taught");
        (await Measured([.. patterns.Where(p => p != "sh")]))["breaks"]!
            .AsArray()
            .Select(b => (string)b!["word"]!)
            .ShouldBe(["ship"]);
    }

    [Fact]
    public async Task Nobody_else_sees_what_is_mine_and_colleagues_see_what_is_shared()
    {
        var ana = await harness.Teacher("ana");
        var ben = await harness.Teacher("ben");
        string mine = await Made(ana, "Hidden lamp"),
            shared = await Made(ana, "Shared lamp", mine: false);
        (await ben.Send(HttpMethod.Get, $"/api/texts/{mine}")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        (await ben.Send(HttpMethod.Get, $"/api/texts/{mine}/revisions")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        (await ben.Post($"/api/texts/{mine}/copy", new { })).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        (await ben.Get("/api/library?q=lamp"))["rows"]!.AsArray().Select(r => (string)r!["id"]!).ShouldNotContain(mine);
        (await ben.Get("/api/library?q=lamp"))["rows"]!.AsArray().Select(r => (string)r!["id"]!).ShouldContain(shared);
        (await ben.Code(await ben.Put($"/api/texts/{shared}", Text("Taken", 1)), 409)).ShouldBe("not-yours");
        (await (await harness.Teacher("cleo")).Send(HttpMethod.Get, $"/api/texts/{shared}")).StatusCode.ShouldBe(
            HttpStatusCode.NotFound,
            "another school"
        );
    }

    [Fact]
    public async Task A_change_is_a_revision_and_a_stale_one_is_refused()
    {
        var ana = await harness.Teacher("ana");
        var id = await Made(ana, "Lamp with history");
        var changed = await ana.Stored(
            $"/api/texts/{id}",
            Text("Lamp with a past", 1, body: Story.Replace("oranges", "lemons"), note: "Lemons")
        );
        ((int)changed["revision"]!).ShouldBe(2);
        (await ana.Code(await ana.Put($"/api/texts/{id}", Text("Lost", 1)), 409)).ShouldBe("stale");
        var revisions = (await ana.Get($"/api/texts/{id}/revisions")).AsArray();
        revisions.Select(r => r!["note"]!.Said()).ShouldBe(["Lemons", "Created"]);
        (await ana.Post($"/api/texts/{id}/revisions/1/restore")).EnsureSuccessStatusCode();
        var back = await ana.Get($"/api/texts/{id}");
        ((string)back["title"]!).ShouldBe("Lamp with history");
        ((int)back["revision"]!).ShouldBe(3);
        back["versions"]!.ToJsonString().ShouldContain("oranges");
    }

    [Fact]
    public async Task What_ships_is_copied_to_change_it_with_its_quiz_and_words()
    {
        var ana = await harness.Teacher("ana");
        var ships = (string)(await ana.Get("/api/library?q=barometer&whose=Shipped"))["rows"]![0]!["id"]!;
        (await ana.Code(await ana.Put($"/api/texts/{ships}", Text(revision: 1)), 409)).ShouldBe("ships");
        (await ana.Post($"/api/texts/{ships}/retire", new { retired = true })).StatusCode.ShouldBe(
            HttpStatusCode.Conflict
        );
        var copy = (string)(await ana.Posted($"/api/texts/{ships}/copy", new { }))["id"]!;
        JsonNode original = await ana.Get($"/api/texts/{ships}"),
            copied = await ana.Get($"/api/texts/{copy}");
        copied["questions"]!
            .AsArray()
            .Select(q => (string)q!["stem"]!)
            .ShouldBe(original["questions"]!.AsArray().Select(q => (string)q!["stem"]!));
        copied["questions"]!
            .AsArray()
            .Select(q => (string)q!["id"]!)
            .ShouldNotContain((string)original["questions"]![0]!["id"]!);
        ((bool)copied["mayChange"]!).ShouldBeTrue();
    }

    [Fact]
    public async Task A_stated_depth_counts_until_it_is_taken_back_and_both_stay_visible()
    {
        var ana = await harness.Teacher("ana");
        var id = await Made(ana, "Lamp of stated depth");
        var version = (await ana.Get($"/api/texts/{id}"))["versions"]![0]!;
        var formulas = (double)version["depth"]!;
        var at = $"/api/texts/{id}/versions/{version["id"]}/depth";
        (await ana.Put(at, new { depth = 44.5, reason = "" })).StatusCode.ShouldBe(HttpStatusCode.UnprocessableEntity);
        (await ana.Put(at, new { depth = 400, reason = "too much" })).StatusCode.ShouldBe(
            HttpStatusCode.UnprocessableEntity
        );
        (await ana.Put(at, new { depth = 44.5, reason = "It leans on things left unsaid." })).EnsureSuccessStatusCode();
        var stated = (await ana.Get($"/api/texts/{id}"))["versions"]![0]!;
        ((double)stated["depth"]!).ShouldBe(44.5);
        ((double)stated["formulaDepth"]!).ShouldBe(formulas, 1e-9);
        ((string)stated["stated"]!["reason"]!).ShouldStartWith("It leans");
        (
            await ana.Put($"/api/texts/{id}/versions/{Guid.NewGuid()}/depth", new { depth = 30, reason = "x" })
        ).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        (await ana.Put(at, new { depth = (double?)null, reason = (string?)null })).EnsureSuccessStatusCode();
        ((double)(await ana.Get($"/api/texts/{id}"))["versions"]![0]!["depth"]!).ShouldBe(formulas, 1e-9);
    }

    [Fact]
    public async Task A_retired_text_is_found_only_among_the_retired_and_comes_back()
    {
        var ana = await harness.Teacher("ana");
        var id = await Made(ana, "Lamp that goes out");
        async Task<bool> Found(string more) =>
            (await ana.Get($"/api/library?q=%22goes+out%22{more}"))["rows"]!
                .AsArray()
                .Any(r => (string)r!["id"]! == id);
        (await ana.Post($"/api/texts/{id}/retire", new { retired = true })).EnsureSuccessStatusCode();
        (await Found("")).ShouldBeFalse();
        (await Found("&retired=true")).ShouldBeTrue();
        (await ana.Post($"/api/texts/{id}/retire", new { retired = false })).EnsureSuccessStatusCode();
        (await Found("")).ShouldBeTrue();
    }

    [Fact]
    public async Task A_text_without_questions_cannot_be_given_yet()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 1);
        var problem = await ana.Problem(
            await ana.Post(
                $"/api/classes/{room.Id}/assignments",
                new
                {
                    readerIds = room.Readers.Select(r => r.Id),
                    textId = await Made(ana, "Lamp without a quiz"),
                    attempts = 2,
                    skipGiven = false,
                    dueOn = (DateOnly?)null,
                    directions = "",
                    versions = new { },
                }
            ),
            422
        );
        ((string)problem["title"]!).ShouldContain("has no quiz yet");
    }

    [Theory]
    [InlineData("", "title", "story", "versions[0].body")]
    [InlineData(Story, "", "story", "title")]
    [InlineData(Story, "T", "", "kind")]
    [InlineData(
        "Der alte Fährmann wartete am Ufer, bis die Flut kam, und dann ruderte er über den Fluss zu seiner "
            + "Frau und den Kindern.",
        "T",
        "story",
        "versions[0].body"
    )]
    public async Task What_does_not_hold_is_said_by_field(string body, string title, string kind, string field)
    {
        var ana = await harness.Teacher("ana");
        var problem = await ana.Problem(
            await ana.Post(
                "/api/texts",
                new
                {
                    revision = 0,
                    title,
                    kind,
                    topic = "Sea",
                    fiction = true,
                    spelling = "British",
                    blurb = "",
                    season = "",
                    mine = true,
                    note = (string?)null,
                    versions = new[]
                    {
                        new
                        {
                            id = (string?)null,
                            label = "a",
                            body,
                        },
                    },
                    words = Array.Empty<object>(),
                }
            ),
            422
        );
        problem["fields"]!.AsObject().Select(f => f.Key).ShouldBe([field]);
    }

    [Theory]
    [InlineData("", "Empty")]
    [InlineData("We ran all day.", "Short")]
    [InlineData("Старый паромщик ждал на берегу.", "OtherScript")]
    public async Task What_cannot_be_measured_is_answered_with_a_sentence(string text, string doubt)
    {
        var ana = await harness.Teacher("ana");
        (await ana.Posted("/api/texts/measure", new { text }))["remarks"]!
            .AsArray()
            .Select(r => (string)r!["doubt"]!)
            .ShouldContain(doubt);
    }

    [Fact]
    public async Task What_if_answers_and_refuses_what_is_out_of_range()
    {
        var ana = await harness.Teacher("ana");
        var m = await ana.Posted(
            "/api/texts/measure",
            new
            {
                text = Story,
                sentenceLength = 2.0,
                unfamiliar = 1.0,
            }
        );
        ((double)m["ifChanged"]!).ShouldBeGreaterThan((double)m["depth"]!);
        (await ana.Post("/api/texts/measure", new { text = Story, sentenceLength = 0.0 })).StatusCode.ShouldBe(
            HttpStatusCode.UnprocessableEntity
        );
    }
}
