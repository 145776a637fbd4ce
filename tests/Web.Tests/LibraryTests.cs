using System.Net;
using System.Text.Json.Nodes;

namespace Web.Tests;

/// <summary>Finding texts over HTTP: words, filters, whose, and searches that are kept.</summary>
[Collection("application")]
public sealed class LibraryTests(Harness harness)
{
    private static string[] Titles(JsonNode answer) => [.. answer["rows"]!.AsArray().Select(r => (string)r!["title"]!)];

    [Theory]
    [InlineData("tides", "Two Kinds of Tide")]
    [InlineData("tide", "Two Kinds of Tide")]
    [InlineData("baromet", "How a Barometer Listens")]
    [InlineData("barommeter", "How a Barometer Listens")]
    [InlineData("\"ferry cat\"", "The Ferry Cat")]
    public async Task Words_are_found_by_stem_beginning_and_in_spite_of_a_slip(string words, string title)
    {
        var ana = await harness.Teacher("ana");
        Titles(await ana.Get($"/api/library?q={Uri.EscapeDataString(words)}"))[0].ShouldBe(title);
    }

    [Fact]
    public async Task A_kind_and_a_season_are_found_by_their_names_and_no_english_word_is_taken_for_another()
    {
        var ana = await harness.Teacher("ana");
        foreach (var kind in new[] { "story", "poem" })
        {
            var answer = await ana.Get($"/api/library?q={kind}");
            answer["instead"]!.AsArray().ShouldBeEmpty();
            answer["rows"]!
                .AsArray()
                .Count(r => (string)r!["kind"]! == kind)
                .ShouldBe((int)(await ana.Get($"/api/library?kind={kind}"))["all"]!, "every one of the kind is there");
        }
        var none = await ana.Get("/api/library?q=xylophone");
        ((int)none["all"]!).ShouldBe(0);
        none["instead"]!.AsArray().ShouldBeEmpty();
    }

    [Fact]
    public async Task Where_no_text_has_all_the_words_the_best_have_most_of_them()
    {
        var ana = await harness.Teacher("ana");
        ((bool)(await ana.Get("/api/library?q=barometer%20listens"))["partly"]!).ShouldBeFalse();
        var partly = await ana.Get("/api/library?q=barometer%20listens%20xylophone");
        ((bool)partly["partly"]!).ShouldBeTrue();
        partly["rows"]!.AsArray().Select(r => (string)r!["title"]!).ShouldContain("How a Barometer Listens");
        ((int)(await ana.Get("/api/library?q=xylophone%20trombone"))["all"]!).ShouldBe(0);
    }

    [Fact]
    public async Task What_was_sought_in_place_of_a_slip_is_said()
    {
        var ana = await harness.Teacher("ana");
        var answer = await ana.Get("/api/library?q=barommeter");
        ((string)answer["instead"]![0]!["asked"]!).ShouldBe("barommeter");
        ((string)answer["instead"]![0]!["instead"]!).ShouldBe("barometer");
    }

    [Theory]
    [InlineData("zzxqy")]
    [InlineData("the")]
    [InlineData("& | ! ( ) :* <->")]
    [InlineData("'; drop table text; --")]
    [InlineData("\"\"")]
    public async Task Odd_words_are_answered(string words)
    {
        var ana = await harness.Teacher("ana");
        (await ana.Send(HttpMethod.Get, $"/api/library?q={Uri.EscapeDataString(words)}")).StatusCode.ShouldBe(
            HttpStatusCode.OK
        );
    }

    [Fact]
    public async Task Counts_and_fits_are_for_the_class_that_asks()
    {
        var ana = await harness.Teacher("ana");
        var room = await harness.Room(ana, 3);
        var answer = await ana.Get($"/api/library?classId={room.Id}&fiction=true&sort=Fit");
        ((int)answer["for"]!).ShouldBe(3);
        answer["rows"]!.AsArray().ShouldAllBe(r => (bool)r!["fiction"]! && (int)r["fits"]! <= 3);
        var fiction = answer["facets"]!.AsArray().Single(f => (string)f!["name"]! == "fiction")!["values"]!.AsArray();
        fiction
            .Sum(v => (int)v!["count"]!)
            .ShouldBeGreaterThan((int)answer["all"]!, "what the filter leaves out is still counted beside it");
    }

    [Fact]
    public async Task A_search_is_kept_under_its_name_and_forgotten_by_its_owner_only()
    {
        var ana = await harness.Teacher("ana");
        var other = await harness.Teacher("ben");
        var kept = await ana.Posted(
            "/api/library/searches",
            new { name = "Sea stories", query = "q=sea&fiction=true" }
        );
        (
            await ana.Post("/api/library/searches", new { name = "Sea stories", query = "q=sea" })
        ).EnsureSuccessStatusCode();
        (await ana.Get("/api/library/searches")).AsArray().Single(k => (string)k!["name"]! == "Sea stories")!["query"]!
            .ToString()
            .ShouldBe("q=sea", "the same name again keeps the newer search");
        (await other.Get("/api/library/searches")).AsArray().ShouldBeEmpty();
        (await other.Send(HttpMethod.Delete, $"/api/library/searches/{kept["id"]}")).StatusCode.ShouldBe(
            HttpStatusCode.NotFound
        );
        (await ana.Send(HttpMethod.Delete, $"/api/library/searches/{kept["id"]}")).EnsureSuccessStatusCode();
        (await ana.Post("/api/library/searches", new { name = " ", query = "" })).StatusCode.ShouldBe(
            HttpStatusCode.UnprocessableEntity
        );
    }

    [Fact]
    public async Task A_text_is_shown_by_its_ids()
    {
        var ana = await harness.Teacher("ana");
        var first = (await ana.Get("/api/library"))["rows"]![0]!["id"]!.ToString();
        (await ana.Get($"/api/texts?ids={first},{Guid.NewGuid()}")).AsArray().Count.ShouldBe(1);
        (await ana.Send(HttpMethod.Get, "/api/texts?ids=x")).StatusCode.ShouldBe(HttpStatusCode.UnprocessableEntity);
    }
}
