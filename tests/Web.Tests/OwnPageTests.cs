using System.Net;

namespace Web.Tests;

/// <summary>What is a reader's own: notes, kept words, what was read elsewhere, and the home that shows them.</summary>
[Collection("application")]
public sealed class OwnPageTests(Harness harness)
{
    private sealed record Given(Person Ana, Room Room, Person Leo, string Ticket);

    private async Task<Given> Begun()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 2);
        var text = (string)(await ana.Get("/api/library"))["rows"]![0]!["id"]!;
        await ana.Posted(
            $"/api/classes/{room.Id}/assignments",
            new
            {
                readerIds = room.Readers.Select(r => r.Id),
                textId = text,
                attempts = 2,
                skipGiven = false,
            }
        );
        var leo = await harness.Reader(room, 0);
        var ticket = (string)(await leo.Get("/api/my/tickets")).AsArray().Single()!["id"]!;
        return new(ana, room, leo, ticket);
    }

    private static async Task<HttpStatusCode> Status(Person who, HttpMethod method, string path, object? body = null) =>
        (await who.Send(method, path, body)).StatusCode;

    private static async Task Done(Person who, string path, object body) =>
        (await who.Put(path, body)).EnsureSuccessStatusCode();

    private static object Note(string words, bool removed = false) =>
        new
        {
            page = 1,
            quote = "The sea is our clock.",
            words,
            removed,
            at = DateTimeOffset.UtcNow,
        };

    [Fact]
    public async Task A_note_is_answered_and_the_answer_stands_on_the_home_until_it_was_seen()
    {
        var (ana, _, leo, ticket) = await Begun();
        var note = Guid.NewGuid();
        var address = $"/api/my/tickets/{ticket}/notes/{note}";
        await leo.Stored(address, Note("Why a clock?"));
        await leo.Stored(address, Note("Why is it a clock?"));
        var seen = (await ana.Get($"/api/tickets/{ticket}/notes")).AsArray().ShouldHaveSingleItem()!;
        ((string)seen["words"]!).ShouldBe("Why is it a clock?");
        await ana.Stored($"/api/notes/{note}/answer", new { words = "When does she grind?" });
        var answered = (await leo.Get("/api/my/home"))["answered"]!.AsArray().ShouldHaveSingleItem()!;
        ((string)answered["answer"]!).ShouldBe("When does she grind?");
        ((int)answered["page"]!).ShouldBe(1);
        (await leo.Send(HttpMethod.Post, $"/api/my/notes/{note}/seen")).EnsureSuccessStatusCode();
        (await leo.Get("/api/my/home"))["answered"]!.AsArray().ShouldBeEmpty();
        // What was answered stays as it was answered.
        await leo.Stored(address, Note("Something else"));
        ((string)(await leo.Get($"/api/my/tickets/{ticket}/notes"))[0]!["words"]!).ShouldBe("Why is it a clock?");
        await leo.Stored(address, Note("", removed: true));
        (await ana.Get($"/api/tickets/{ticket}/notes")).AsArray().ShouldBeEmpty();
    }

    [Fact]
    public async Task Notes_are_their_readers_and_nobody_elses()
    {
        var (_, room, leo, ticket) = await Begun();
        var note = Guid.NewGuid();
        await leo.Stored($"/api/my/tickets/{ticket}/notes/{note}", Note("Mine"));
        var mia = await harness.Reader(room, 1);
        var hers = (string)(await mia.Get("/api/my/tickets")).AsArray().Single()!["id"]!;
        (await Status(mia, HttpMethod.Get, $"/api/my/tickets/{ticket}/notes")).ShouldBe(HttpStatusCode.NotFound);
        (await Status(mia, HttpMethod.Put, $"/api/my/tickets/{hers}/notes/{note}", Note("Stolen"))).ShouldBe(
            HttpStatusCode.Conflict
        );
        (await Status(mia, HttpMethod.Post, $"/api/my/notes/{note}/seen")).ShouldBe(HttpStatusCode.NotFound);
        var ben = await harness.Teacher("ben");
        (await Status(ben, HttpMethod.Put, $"/api/notes/{note}/answer", new { words = "x" })).ShouldBe(
            HttpStatusCode.NotFound
        );
        ((string)(await leo.Get($"/api/my/tickets/{ticket}/notes"))[0]!["words"]!).ShouldBe("Mine");
    }

    [Fact]
    public async Task A_note_has_a_passage_and_an_end()
    {
        var (_, _, leo, ticket) = await Begun();
        var address = $"/api/my/tickets/{ticket}/notes/{Guid.NewGuid()}";
        var at = DateTimeOffset.UtcNow;
        static string Long(int letters) => new('x', letters);
        object Note(int page, string quote, string words) =>
            new
            {
                page,
                quote,
                words,
                removed = false,
                at,
            };
        foreach (
            var wrong in new[]
            {
                Note(0, " ", "x"),
                Note(-1, "x", "x"),
                Note(0, Long(900), ""),
                Note(0, "x", Long(3000)),
            }
        )
            (await Status(leo, HttpMethod.Put, address, wrong)).ShouldBe(HttpStatusCode.UnprocessableEntity);
    }

    [Fact]
    public async Task A_word_is_kept_practised_and_let_go_and_its_tries_count_once()
    {
        var (_, _, leo, ticket) = await Begun();
        var word = (string)(await leo.Get($"/api/my/tickets/{ticket}"))["words"]![0]!["text"]!;
        var at = DateTimeOffset.UtcNow;
        Task<HttpStatusCode> Keep(string text, bool kept = true) =>
            Status(
                leo,
                HttpMethod.Put,
                "/api/my/words/kept",
                new
                {
                    ticketId = ticket,
                    text,
                    kept,
                    at,
                }
            );

        (await Keep(word)).ShouldBe(HttpStatusCode.OK);
        (await Keep(word)).ShouldBe(HttpStatusCode.OK);
        (await Keep("no such word")).ShouldBe(HttpStatusCode.NotFound);
        var kept = (await leo.Get("/api/my/words"))["words"]!.AsArray().ShouldHaveSingleItem()!;
        ((bool)kept["due"]!).ShouldBeTrue();
        ((int)(await leo.Get("/api/my/home"))["words"]!["due"]!).ShouldBe(1);
        var tries = new { text = word, tries = new[] { new { at = at.AddSeconds(-5), right = true } } };
        await Done(leo, "/api/my/words/tries", tries);
        await Done(leo, "/api/my/words/tries", tries);
        kept = (await leo.Get("/api/my/words"))["words"]![0]!;
        ((int)kept["steps"]!).ShouldBe(1);
        ((bool)kept["due"]!).ShouldBeFalse();
        (await Keep(word, kept: false)).ShouldBe(HttpStatusCode.OK);
        (await leo.Get("/api/my/words"))["words"]!.AsArray().ShouldBeEmpty();
        (await Keep(word)).ShouldBe(HttpStatusCode.OK);
        ((int)(await leo.Get("/api/my/words"))["words"]![0]!["steps"]!).ShouldBe(1, "its tries stay");
    }

    [Fact]
    public async Task A_book_on_paper_is_told_confirmed_and_then_stands()
    {
        var (ana, room, leo, _) = await Begun();
        var id = Guid.NewGuid();
        var today = DateOnly.FromDateTime(DateTime.UtcNow);
        object Told(string title, DateOnly day, int? minutes = 20) =>
            new
            {
                title,
                author = "",
                day,
                minutes,
                pages = 12,
                finished = true,
                said = "Good",
                removed = false,
            };
        await Done(leo, $"/api/my/readings/{id}", Told("The Salt Road", today));
        (await Status(leo, HttpMethod.Put, $"/api/my/readings/{Guid.NewGuid()}", Told("", today))).ShouldBe(
            HttpStatusCode.UnprocessableEntity
        );
        (await Status(leo, HttpMethod.Put, $"/api/my/readings/{id}", Told("x", today.AddDays(9)))).ShouldBe(
            HttpStatusCode.UnprocessableEntity
        );
        (await Status(leo, HttpMethod.Put, $"/api/my/readings/{id}", Told("x", today, 0))).ShouldBe(
            HttpStatusCode.UnprocessableEntity
        );
        var of = $"/api/readers/{room.Readers[0].Id}/own-readings";
        await ana.Stored($"{of}/{id}/confirmed", new { confirmed = true });
        (await Status(leo, HttpMethod.Put, $"/api/my/readings/{id}", Told("Another", today))).ShouldBe(
            HttpStatusCode.Conflict
        );
        ((string)(await ana.Get(of))[0]!["title"]!).ShouldBe("The Salt Road");
        await ana.Stored($"{of}/{id}/confirmed", new { confirmed = false });
        await Done(leo, $"/api/my/readings/{id}", Told("Another", today));
        ((string)(await leo.Get("/api/my/readings"))[0]!["title"]!).ShouldBe("Another");
    }

    [Fact]
    public async Task A_class_shows_a_pool_of_ones_own_the_classes_both_or_none()
    {
        var (ana, room, leo, _) = await Begun();
        async Task<System.Text.Json.Nodes.JsonNode?> Shown(string pool)
        {
            await Done(ana, $"/api/classes/{room.Id}/pool", new { pool });
            return (await leo.Get("/api/my/home"))["pool"];
        }

        (await Shown("None")).ShouldBeNull();
        var own = (await Shown("Own"))!;
        own["mine"]!.AsArray().ShouldBeEmpty("nothing has been understood yet");
        own["ours"].ShouldBeNull();
        ((int)(await Shown("Shared"))!["ours"]!).ShouldBe(0);
        (await Shown("Both"))!["mine"].ShouldNotBeNull();
        (await Status(ana, HttpMethod.Put, $"/api/classes/{room.Id}/pool", new { pool = "Ocean" })).ShouldBe(
            HttpStatusCode.UnprocessableEntity
        );
    }

    [Fact]
    public async Task Seconds_are_an_opening_and_minutes_a_reading_and_the_week_counts_readings_alone()
    {
        var (_, _, leo, ticket) = await Begun();
        await Answering.ReadPages(leo, ticket, 2);
        (await leo.Get("/api/my/home"))["days"]!.AsArray().ShouldBeEmpty();
        await Answering.ReadPages(leo, ticket);
        var day = (await leo.Get("/api/my/home"))["days"]!.AsArray().ShouldHaveSingleItem()!;
        ((int)day["words"]!).ShouldBeGreaterThan(50);
    }
}
