using System.Net;
using System.Text.Json.Nodes;

namespace Web.Tests;

/// <summary>What readers say to one another and do together: ratings, recommendations, talk, one answer by several; and
/// what one of them has otherwise than the rest.</summary>
[Collection("application")]
public sealed class SharedReadingTests(Harness harness)
{
    private sealed record Two(Person Ana, Room Room, Person Leo, Person Mia)
    {
        public string Class => $"/api/classes/{Room.Id}";
    }

    private async Task<Two> Readers()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 2);
        return new(ana, room, await harness.Reader(room, 0), await harness.Reader(room, 1));
    }

    private static Task<JsonNode> Assign(Two x, object request) => x.Ana.Posted($"{x.Class}/assignments", request);

    private static async Task<string> TicketOf(Person reader) =>
        (string)(await reader.Get("/api/my/tickets")).AsArray().ShouldHaveSingleItem()!["id"]!;

    private static async Task Read(Person reader, string ticket)
    {
        (await reader.Post($"/api/my/tickets/{ticket}/open")).EnsureSuccessStatusCode();
        (await reader.Post($"/api/my/tickets/{ticket}/hand-in")).EnsureSuccessStatusCode();
    }

    private async Task<string> BothRead(Two x)
    {
        var text = (string)(await x.Ana.Get("/api/library"))["rows"]![0]!["id"]!;
        await Assign(
            x,
            new
            {
                readerIds = x.Room.Readers.Select(r => r.Id),
                textId = text,
                attempts = 2,
                skipGiven = false,
            }
        );
        return text;
    }

    private static object Rated(string liking, string words) =>
        new
        {
            liking,
            words,
            at = DateTimeOffset.UtcNow,
        };

    [Fact]
    public async Task What_a_reader_says_of_a_text_is_seen_by_classmates_once_the_teacher_has_approved_it()
    {
        var x = await Readers();
        var text = await BothRead(x);
        (await x.Leo.Put($"/api/my/ratings/{text}", Rated("Good", ""))).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        await Read(x.Leo, await TicketOf(x.Leo));
        await x.Leo.Stored($"/api/my/ratings/{text}", Rated("Good", "The otter is clever."));
        var waiting = (await x.Ana.Get($"{x.Class}/recommendations")).AsArray().ShouldHaveSingleItem()!;
        ((string)waiting["approval"]!, (string)waiting["words"]!).ShouldBe(("Waiting", "The otter is clever."));
        // Mia's own ticket goes, so that she may choose the text.
        await x.Ana.Posted(
            $"{x.Class}/tickets",
            new { ticketIds = new[] { await TicketOf(x.Mia) }, deed = "TakeBack" }
        );
        await x.Ana.Stored($"{x.Class}/choosing", new { open = true, depth = "Any" });
        (await Said(x.Mia, text)).ShouldBeEmpty();
        await x.Ana.Stored($"{x.Class}/recommendations/{x.Room.Readers[0].Id}/{text}", new { shown = true });
        ((string)(await Said(x.Mia, text)).ShouldHaveSingleItem()!["words"]!).ShouldBe("The otter is clever.");
        // Other words are looked at again; a rating alone is not.
        await x.Leo.Stored($"/api/my/ratings/{text}", Rated("Favourite", "The otter is clever."));
        (await Said(x.Mia, text)).Count.ShouldBe(1);
        await x.Leo.Stored($"/api/my/ratings/{text}", Rated("Favourite", "Ask me about the end!"));
        (await Said(x.Mia, text)).ShouldBeEmpty();
        await x.Ana.Stored($"{x.Class}/recommendations/{x.Room.Readers[0].Id}/{text}", new { shown = false });
        ((string)(await x.Leo.Get("/api/my/ratings"))[0]!["approval"]!).ShouldBe("Kept");
        await x.Leo.Problem(await x.Leo.Put($"/api/my/ratings/{text}", Rated("Good", new('x', 301))), 422);
    }

    private static async Task<JsonArray> Said(Person reader, string text) =>
        (await reader.Get("/api/my/choices"))["offers"]!
            .AsArray()
            .FirstOrDefault(o => (string)o!["textId"]! == text)
            ?["said"]!.AsArray()
        ?? [];

    [Fact]
    public async Task Talk_opens_after_ones_own_answer_and_is_shut_by_the_teacher()
    {
        var x = await Readers();
        var text = await Answering.TextWith(x.Ana, "Short");
        await Assign(
            x,
            new
            {
                readerIds = x.Room.Readers.Select(r => r.Id),
                textId = text,
                attempts = 2,
                skipGiven = false,
                talk = true,
            }
        );
        var (leos, mias) = (await TicketOf(x.Leo), await TicketOf(x.Mia));
        await Answering.Write(x.Leo, leos, "She waits for the tide.");
        (await x.Mia.Get($"/api/my/tickets/{mias}/talk")).AsArray().ShouldBeEmpty("she has not answered");
        await Answering.Write(x.Mia, mias, "She is afraid.");
        var heard = (await x.Mia.Get($"/api/my/tickets/{mias}/talk")).AsArray().ShouldHaveSingleItem()!;
        ((string)heard["words"]!).ShouldBe("She waits for the tide.");
        var assignment = (string)(await x.Leo.Get("/api/my/tickets"))[0]!["assignmentId"]!;
        var all = await x.Ana.Get($"/api/assignments/{assignment}/talk");
        ((bool)all["open"]!, all["answers"]!.AsArray().Count).ShouldBe((true, 2));
        await x.Ana.Stored($"/api/assignments/{assignment}/talk", new { open = false });
        (await x.Mia.Get($"/api/my/tickets/{mias}/talk")).AsArray().ShouldBeEmpty();
        (await x.Leo.Send(HttpMethod.Get, $"/api/my/tickets/{mias}/talk")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }

    private static Task<JsonNode> GiveForSeveral(Two x) =>
        Assign(
            x,
            new
            {
                readerIds = x.Room.Readers.Select(r => r.Id),
                attempts = 1,
                skipGiven = false,
                tasks = new[]
                {
                    new
                    {
                        id = Guid.NewGuid(),
                        kind = "Written",
                        title = "After the storm",
                        prompt = "What would you take?",
                        together = true,
                    },
                },
            }
        );

    [Fact]
    public async Task Several_hand_in_one_answer_and_one_mark_is_everybodys()
    {
        var x = await Readers();
        await GiveForSeveral(x);
        var (leos, mias) = (await TicketOf(x.Leo), await TicketOf(x.Mia));
        (await x.Leo.Post($"/api/my/tickets/{leos}/open")).EnsureSuccessStatusCode();
        var partner = (await x.Leo.Get($"/api/my/tasks/{leos}/partners"))["mayJoin"]!.AsArray().ShouldHaveSingleItem()!;
        ((string)partner["ticketId"]!).ShouldBe(mias);
        await x.Leo.Stored(
            $"/api/my/tickets/{leos}/reply",
            new
            {
                words = "A lamp and a rope.",
                at = DateTimeOffset.UtcNow,
                partners = new[] { mias, Guid.NewGuid().ToString() },
            }
        );
        (await x.Leo.Post($"/api/my/tickets/{leos}/hand-in")).EnsureSuccessStatusCode();
        var hers = await x.Mia.Get($"/api/my/tasks/{mias}");
        var with = (await x.Mia.Get($"/api/my/tasks/{mias}/partners"))["wroteIt"]!.AsArray();
        ((string)hers["written"]!, with.Count).ShouldBe(("A lamp and a rope.", 1));
        (await x.Ana.Get($"{x.Class}/marking")).AsArray().Count.ShouldBe(2);
        await x.Ana.Stored($"/api/tickets/{mias}/reply/mark", new { points = new[] { 3 }, comment = "Good." });
        (await x.Ana.Get($"{x.Class}/marking")).AsArray().ShouldAllBe(k => (int)k!["marked"]! == 1);
    }

    [Fact]
    public async Task Nobody_is_handed_in_who_has_begun_an_answer_of_their_own()
    {
        var x = await Readers();
        await GiveForSeveral(x);
        var (leos, mias) = (await TicketOf(x.Leo), await TicketOf(x.Mia));
        object Words(string words, params string[] partners) =>
            new
            {
                words,
                at = DateTimeOffset.UtcNow,
                partners,
            };
        (await x.Leo.Post($"/api/my/tickets/{leos}/open")).EnsureSuccessStatusCode();
        (await x.Mia.Post($"/api/my/tickets/{mias}/open")).EnsureSuccessStatusCode();
        await x.Leo.Stored($"/api/my/tickets/{leos}/reply", Words("A lamp.", mias));
        await x.Mia.Stored($"/api/my/tickets/{mias}/reply", Words("My own."));
        (await x.Leo.Post($"/api/my/tickets/{leos}/hand-in")).EnsureSuccessStatusCode();
        var hers = await x.Mia.Get($"/api/my/tasks/{mias}");
        ((string)hers["written"]!, (string)hers["state"]!).ShouldBe(("My own.", "UnderWay"));
    }

    [Fact]
    public async Task One_readers_choices_differ_from_the_classs()
    {
        var x = await Readers();
        await x.Ana.Stored($"{x.Class}/choosing", new { open = false });
        await x.Ana.Stored($"/api/readers/{x.Room.Readers[0].Id}/own-choice", new { open = true, format = "Short" });
        ((bool)(await x.Leo.Get("/api/my/choices"))["open"]!).ShouldBeTrue();
        (await x.Leo.Get("/api/my/choices"))["offers"]!.AsArray().ShouldAllBe(o => (int)o!["words"]! <= 250);
        ((bool)(await x.Mia.Get("/api/my/choices"))["open"]!).ShouldBeFalse();
        await x.Ana.Problem(
            await x.Ana.Put($"/api/readers/{x.Room.Readers[0].Id}/own-choice", new { mostOpen = 10 }),
            422
        );
        await x.Ana.Stored($"/api/readers/{x.Room.Readers[0].Id}/own-choice", new { pool = "None" });
        (await x.Leo.Get("/api/my/home"))["pool"].ShouldBeNull();
        (await x.Mia.Get("/api/my/home"))["pool"].ShouldNotBeNull();
    }

    [Fact]
    public async Task One_readers_supports_and_directions_differ_from_the_classs()
    {
        var x = await Readers();
        var text = (string)(await x.Ana.Get("/api/library"))["rows"]![0]!["id"]!;
        await Assign(
            x,
            new
            {
                readerIds = x.Room.Readers.Select(r => r.Id),
                textId = text,
                attempts = 2,
                skipGiven = false,
                directions = "Read it twice.",
                homeDirections = "Léelo dos veces.",
                homeLanguage = "es",
                ways = new[]
                {
                    new
                    {
                        readerIds = new[] { x.Room.Readers[0].Id },
                        way = new
                        {
                            readAloud = true,
                            oneChoice = true,
                            textSize = 2,
                        },
                    },
                },
            }
        );
        var his = await x.Leo.Get($"/api/my/tickets/{await TicketOf(x.Leo)}");
        ((bool)his["supports"]!["readAloud"]!, (int)his["supports"]!["textSize"]!).ShouldBe((true, 2));
        ((string)his["homeDirections"]!, (string)his["homeLanguage"]!).ShouldBe(("Léelo dos veces.", "es"));
        var hers = await x.Mia.Get($"/api/my/tickets/{await TicketOf(x.Mia)}");
        ((bool)hers["supports"]!["readAloud"]!, (int)hers["supports"]!["textSize"]!).ShouldBe((false, 0));
        hers["words"]!.AsArray().ShouldAllBe(w => w!["atHome"] == null, "her home speaks no other language");
    }

    [Fact]
    public async Task Words_to_know_are_said_in_the_language_of_the_home_and_gaps_are_gaps()
    {
        var x = await Readers();
        var text = await BothRead(x);
        await x.Ana.Stored(
            $"{x.Class}/readers/{x.Room.Readers[0].Id}",
            new
            {
                givenName = "Leo",
                familyName = "Vance",
                grade = 4,
                details = new Dictionary<string, string> { ["HomeLanguage"] = "Spanish" },
                supports = new { moreTime = 100 },
            }
        );
        var words = (await x.Leo.Get($"/api/my/tickets/{await TicketOf(x.Leo)}"))["words"]!.AsArray();
        words.ShouldNotBeEmpty(text);
        words.ShouldAllBe(w => ((string)w!["atHome"]!).Length > 0);
        // A kept word says it, too.
        var (first, at) = ((string)words[0]!["text"]!, DateTimeOffset.UtcNow);
        var ticketId = await TicketOf(x.Leo);
        (
            await x.Leo.Send(
                HttpMethod.Put,
                "/api/my/words/kept",
                new
                {
                    ticketId,
                    text = first,
                    kept = true,
                    at,
                }
            )
        ).StatusCode.ShouldBe(HttpStatusCode.OK);
        var kept = (await x.Leo.Get("/api/my/words"))["words"]![0]!;
        ((string)kept["atHome"]!).ShouldBe((string)words[0]!["atHome"]!);
    }

    [Fact]
    public async Task A_guardian_reads_this_weeks_text_with_their_own_child_and_no_other()
    {
        var x = await Readers();
        var home = await harness.Guardian(x.Ana, x.Room.Id, x.Room.Readers[0].Id);
        var child = (await home.Get("/api/guardian/children")).AsArray().ShouldHaveSingleItem()!;
        var together = child["together"].ShouldNotBeNull();
        var text = await home.Get($"/api/guardian/children/{x.Room.Readers[0].Id}/together");
        ((string)text["title"]!).ShouldBe((string)together["title"]!);
        text["pages"]!.AsArray().ShouldNotBeEmpty();
        (
            await home.Send(HttpMethod.Get, $"/api/guardian/children/{x.Room.Readers[1].Id}/together")
        ).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }
}
