using System.Text.Json.Nodes;

namespace Web.Tests;

/// <summary>What readers choose for themselves, and wordLists of one's own, over real HTTP.</summary>
[Collection("application")]
public sealed class ChoosingTests(Harness harness)
{
    private static Task<HttpResponseMessage> Rules(Person who, Room room, object rules) =>
        who.Put($"/api/classes/{room.Id}/choosing", rules);

    private static string Text(JsonNode choices, int i) => (string)choices["offers"]![i]!["textId"]!;

    [Fact]
    public async Task A_reader_chooses_within_the_rules_puts_back_and_chooses_again()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 1);
        var reader = await harness.Reader(room, 0);
        ((bool)(await reader.Get("/api/my/choices"))["open"]!).ShouldBeFalse();
        var rules = await ana.Json(await Rules(ana, room, new { open = true, mostOpen = 1 }));
        ((int)rules["fewest"]!).ShouldBeGreaterThan(0);
        var choices = await reader.Get("/api/my/choices");
        ((int)choices["left"]!).ShouldBe(1);
        choices["offers"]!.AsArray().ShouldAllBe(o => (string)o!["zone"]! == "Instructional");
        var (first, second) = (Text(choices, 0), Text(choices, 1));
        var ticket = (string)(await reader.Stored($"/api/my/choices/{first}"))["ticketId"]!;
        // Asked twice, it is the same ticket.
        ((string)(await reader.Stored($"/api/my/choices/{first}"))["ticketId"]!).ShouldBe(ticket);
        (await reader.Code(await reader.Put($"/api/my/choices/{second}"), 409)).ShouldBe("enough-open");
        var mine = (await reader.Get("/api/my/tickets"))[0]!;
        ((string)mine["id"]!, (bool)mine["chosen"]!).ShouldBe((ticket, true));
        (await reader.Send(HttpMethod.Delete, $"/api/my/choices/{ticket}")).EnsureSuccessStatusCode();
        (await reader.Get("/api/my/tickets")).AsArray().ShouldBeEmpty();
        ((string)(await reader.Stored($"/api/my/choices/{first}"))["ticketId"]!).ShouldBe(ticket);
        // The teacher sees it as what it is.
        var row = (await ana.Get($"/api/classes/{room.Id}/assignments"))["rows"]!.AsArray().Single()!;
        ((bool)row["chosen"]!, (int)row["tickets"]!).ShouldBe((true, 1));
    }

    [Fact]
    public async Task What_was_chosen_is_handed_in_like_what_was_given()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 1);
        var reader = await harness.Reader(room, 0);
        await ana.Json(await Rules(ana, room, new { open = true }));
        var ticket = (string)
            (await reader.Stored($"/api/my/choices/{Text(await reader.Get("/api/my/choices"), 0)}"))["ticketId"]!;
        (await reader.Post($"/api/my/tickets/{ticket}/open")).EnsureSuccessStatusCode();
        (await reader.Post($"/api/my/tickets/{ticket}/hand-in")).EnsureSuccessStatusCode();
        (await reader.Send(HttpMethod.Delete, $"/api/my/choices/{ticket}")).StatusCode.ShouldBe(
            System.Net.HttpStatusCode.NotFound
        );
        ((int)(await reader.Get("/api/my/choices"))["left"]!).ShouldBe(2);
    }

    [Fact]
    public async Task Only_what_the_rules_allow_can_be_taken()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 1);
        var reader = await harness.Reader(room, 0);
        await ana.Json(await Rules(ana, room, new { open = true, fiction = true }));
        var stories = (await reader.Get("/api/my/choices"))["offers"]!
            .AsArray()
            .Select(o => (string)o!["textId"]!)
            .ToHashSet();
        await ana.Json(
            await Rules(
                ana,
                room,
                new
                {
                    open = true,
                    fiction = false,
                    without = new[] { "Animals", "No such topic" },
                }
            )
        );
        var reports = (await reader.Get("/api/my/choices"))["offers"]!.AsArray();
        reports.ShouldNotContain(o => (string)o!["topic"]! == "Animals");
        reports.ShouldNotContain(o => stories.Contains((string)o!["textId"]!));
        (await reader.Put($"/api/my/choices/{stories.First()}")).StatusCode.ShouldBe(
            System.Net.HttpStatusCode.NotFound
        );
        (await ana.Problem(await Rules(ana, room, new { open = true, mostOpen = 10 }), 422))
            .ToJsonString()
            .ShouldContain("1 to 9");
        (await ana.Get($"/api/classes/{room.Id}/choosing"))["without"]!
            .AsArray()
            .Select(w => (string)w!)
            .ShouldBe(["Animals"]);
    }

    [Fact]
    public async Task Two_taps_at_once_do_not_pass_the_limit()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 1);
        var reader = await harness.Reader(room, 0);
        await ana.Json(await Rules(ana, room, new { open = true, mostOpen = 1 }));
        var choices = await reader.Get("/api/my/choices");
        var both = await Task.WhenAll(
            Enumerable.Range(0, 4).Select(i => reader.Put($"/api/my/choices/{Text(choices, i)}"))
        );
        both.Count(r => r.IsSuccessStatusCode).ShouldBe(1);
    }

    private static object WordListOf(
        int revision,
        bool mine = false,
        string name = "Sea words",
        params string[] words
    ) =>
        new
        {
            revision,
            name,
            mine,
            words = words.Select(w => new
            {
                text = w,
                part = "noun",
                meaning = $"what {w} is",
                example = "",
            }),
        };

    [Fact]
    public async Task A_word_list_is_made_changed_and_kept_from_those_who_may_not_see_it()
    {
        var (ana, ben) = (await harness.Teacher("ana"), await harness.Teacher("ben"));
        var id = Guid.NewGuid();
        var made = await ben.Stored(
            $"/api/word-lists/{id}",
            WordListOf(0, true, "Sea words", [.. Enumerable.Range(0, 21).Select(i => $"word{i}")])
        );
        made["rounds"]!.AsArray().Select(n => (int)n!).ShouldBe([7, 7, 7]);
        (await ana.Get("/api/word-lists")).AsArray().ShouldNotContain(d => (string)d!["id"]! == id.ToString());
        (await ana.Put($"/api/word-lists/{id}", WordListOf(1, false, "Taken", "tide"))).StatusCode.ShouldBe(
            System.Net.HttpStatusCode.NotFound
        );
        await ben.Stored($"/api/word-lists/{id}", WordListOf(1, false, "Sea words", "tide", "boat"));
        (await ben.Code(await ben.Put($"/api/word-lists/{id}", WordListOf(1, false, "Late", "tide")), 409)).ShouldBe(
            "stale"
        );
        // Ana leads the school: she may put it right, but not hide it.
        var seen = (await ana.Get("/api/word-lists")).AsArray().Single(d => (string)d!["id"]! == id.ToString())!;
        ((bool)seen["mayChange"]!).ShouldBeTrue();
        (
            (bool)(await ana.Stored($"/api/word-lists/{id}", WordListOf(2, true, "Better", "tide")))["mine"]!
        ).ShouldBeFalse();
        var cleo = await harness.Teacher("cleo");
        (
            await cleo.Put($"/api/word-lists/{id}", WordListOf(0, false, "Stolen", "tide"))
        ).IsSuccessStatusCode.ShouldBeFalse();
        (await cleo.Send(HttpMethod.Delete, $"/api/word-lists/{id}")).StatusCode.ShouldBe(
            System.Net.HttpStatusCode.NotFound
        );
        (await ben.Send(HttpMethod.Delete, $"/api/word-lists/{id}")).EnsureSuccessStatusCode();
        (await ben.Get("/api/word-lists")).AsArray().ShouldNotContain(d => (string)d!["id"]! == id.ToString());
    }

    [Fact]
    public async Task A_bad_word_list_is_refused_in_words()
    {
        var ana = await harness.Teacher("ana");
        (await ana.Problem(await ana.Put($"/api/word-lists/{Guid.NewGuid()}", WordListOf(0)), 422))
            .ToJsonString()
            .ShouldContain("at least one word");
        (await ana.Problem(await ana.Put($"/api/word-lists/{Guid.NewGuid()}", WordListOf(0, false, " ", "tide")), 422))
            .ToJsonString()
            .ShouldContain("name");
        (
            await ana.Problem(
                await ana.Put($"/api/word-lists/{Guid.NewGuid()}", WordListOf(0, false, "Twice", "tide", "Tide")),
                422
            )
        )
            .ToJsonString()
            .ShouldContain("words[1]");
    }
}
