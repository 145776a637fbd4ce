using System.Net;
using System.Text;
using System.Text.Json.Nodes;
using SkiaSharp;

namespace Web.Tests;

/// <summary>Texts from files and into files: looked at first, taken in whole, given out to those who may see
/// them.</summary>
[Collection("application")]
public sealed class BringTests(Harness harness)
{
    private const string Story =
        "The keeper climbed the stairs at dusk. He lit the lamp and wound the clock. Far out, a ship turned "
        + "its bow towards the harbour, and nobody but the gulls saw it come.";

    private static object File(string name, string text) =>
        new { name, file = Convert.ToBase64String(Encoding.UTF8.GetBytes(text)) };

    private static object Taking(string name, string text, params object[] texts) =>
        new
        {
            name,
            file = Convert.ToBase64String(Encoding.UTF8.GetBytes(text)),
            mine = false,
            texts,
        };

    private static object One(int number = 0, string title = "Lamp", string topic = "Sea") =>
        new
        {
            number,
            title,
            kind = "story",
            topic,
            fiction = true,
        };

    [Fact]
    public async Task What_is_brought_in_twice_by_a_request_that_was_repeated_is_there_once()
    {
        var ana = await harness.Teacher("ana");
        var (id, title) = (Guid.NewGuid(), $"Once {Guid.NewGuid():N}");
        var taking = Taking(
            "x.md",
            $"# {title}\n\n{Story}",
            new
            {
                number = 0,
                title,
                kind = "story",
                topic = "Sea",
                fiction = true,
                id,
            }
        );
        foreach (var _ in new[] { 1, 2 })
            ((string)(await ana.Posted("/api/texts/bring", taking))[0]!["id"]!).ShouldBe($"{id}");
        (await ana.Get($"/api/library?q={title}"))["rows"]!
            .AsArray()
            .Count(r => (string)r!["title"]! == title)
            .ShouldBe(1);
    }

    [Fact]
    public async Task Nothing_is_kept_before_it_is_taken_in()
    {
        var ana = await harness.Teacher("ana");
        var title = $"Beacon {Guid.NewGuid():N}";
        var file = $"# {title}\n\n{Story}\n\n# Second\n\n{Story}";
        var seen = await ana.Posted("/api/texts/read", File("x.md", file));
        seen["texts"]!.AsArray().Select(t => (string)t!["title"]!).ShouldBe([title, "Second"]);
        ((double)seen["texts"]![0]!["depth"]!).ShouldBeInRange(10, 45);
        ((string)seen["texts"]![0]!["kind"]!).ShouldBe("report", "two sentences of action and nobody named");
        (await ana.Get($"/api/library?q={title}"))["rows"]!
            .AsArray()
            .Where(r => (string)r!["title"]! == title)
            .ShouldBeEmpty();
        var made = (await ana.Posted("/api/texts/bring", Taking("x.md", file, One(1, title)))).AsArray();
        made.Count.ShouldBe(1);
        var view = await ana.Get($"/api/texts/{(string)made[0]!["id"]!}");
        (
            string.Concat(
                view["versions"]![0]!["pages"]!.AsArray().SelectMany(p => p!.AsArray()).Select(p => (string)p!)
            ),
            (bool)view["mine"]!
        ).ShouldBe((Story, false));
    }

    [Fact]
    public async Task What_cannot_be_taken_is_said_and_none_of_it_is_kept()
    {
        var ana = await harness.Teacher("ana");
        var title = $"Half {Guid.NewGuid():N}";
        var file =
            $"# A\n\n{Story}\n\n# B\n\nDer Leuchtturmwärter stieg am Abend die Treppe hinauf und zündete die "
            + "Lampe an, während draußen ein Schiff vorbeifuhr.";
        (
            await ana.Problem(
                await ana.Post("/api/texts/bring", Taking("x.md", file, One(0, title), One(1, title + " B"))),
                422
            )
        )
            .ToJsonString()
            .ShouldContain("Only English");
        (await ana.Problem(await ana.Post("/api/texts/bring", Taking("x.md", file, One(7))), 422))
            .ToJsonString()
            .ShouldContain("not in the file");
        (await ana.Problem(await ana.Post("/api/texts/bring", Taking("x.md", file, One(0, title, ""))), 422))
            .ToJsonString()
            .ShouldContain("Enter a topic");
        (await ana.Problem(await ana.Post("/api/texts/read", File("x.zip", "PK\u0003\u0004")), 422))
            .ToJsonString()
            .ShouldContain("damaged");
        (await ana.Get($"/api/library?q={title}"))["rows"]!
            .AsArray()
            .Where(r => (string)r!["title"]! == title)
            .ShouldBeEmpty();
    }

    /// <summary>A folder with a text that has two pictures, of which one is none.</summary>
    private static string Pictured()
    {
        using var bitmap = new SKBitmap(30, 20);
        bitmap.Erase(SKColors.SandyBrown);
        var zip = new MemoryStream();
        using (
            var archive = new System.IO.Compression.ZipArchive(
                zip,
                System.IO.Compression.ZipArchiveMode.Create,
                leaveOpen: true
            )
        )
            foreach (
                var (name, bytes) in new[]
                {
                    ("t/text.yaml", "title: Pictured\nkind: report\ntopic: Sea\n"u8.ToArray()),
                    (
                        "t/a.md",
                        Encoding.UTF8.GetBytes($"---\ntarget: 20\n---\n\n{Story}\n\n![](mill.png)\n\n![](other.png)")
                    ),
                    ("t/mill.png", bitmap.Encode(SKEncodedImageFormat.Png, 90).ToArray()),
                    ("t/other.png", "<svg/>"u8.ToArray()),
                }
            )
            {
                using var entry = archive.CreateEntry(name).Open();
                entry.Write(bytes);
            }
        return Convert.ToBase64String(zip.ToArray());
    }

    /// <param name="alt">What the picture shows, in words.</param>
    private static object Bringing(string file, string alt) =>
        new
        {
            name = "x.zip",
            file,
            mine = false,
            texts = new[]
            {
                new
                {
                    number = 0,
                    title = "Pictured",
                    kind = "report",
                    topic = "Sea",
                    fiction = false,
                    alts = new Dictionary<string, string> { ["mill.png"] = alt, ["other.png"] = "x" },
                },
            },
        };

    [Fact]
    public async Task Pictures_need_words_are_drawn_anew_and_stay_in_the_school()
    {
        var ana = await harness.Teacher("ana");
        var file = Pictured();
        var without = (await ana.Posted("/api/texts/bring", Bringing(file, "")))[0]!;
        without["warnings"]!
            .AsArray()
            .Select(w => w!.Said())
            .ShouldBe([
                "Skipped the picture mill.png: it has no description.",
                "Skipped other.png: it is not a picture that can be shown.",
            ]);
        var id = (string)(await ana.Posted("/api/texts/bring", Bringing(file, "A mill [at low tide]")))[0]!["id"]!;
        var picture = (string)(await ana.Get($"/api/texts/{id}"))["versions"]![0]!["pages"]![0]![1]!;
        picture.ShouldStartWith("![A mill (at low tide)](");
        var path = $"/api/pictures/{picture.Split("](")[1].TrimEnd(')')}";
        var shown = await ana.Send(HttpMethod.Get, path);
        shown.Content.Headers.ContentType!.MediaType.ShouldBe("image/png");
        (await (await harness.Teacher("cleo")).Send(HttpMethod.Get, path)).StatusCode.ShouldBe(
            HttpStatusCode.NotFound,
            "another school"
        );
        var room = await harness.Room(ana, 1);
        (await (await harness.Reader(room, 0)).Send(HttpMethod.Get, path)).StatusCode.ShouldBe(HttpStatusCode.OK);
        var book = await (
            await ana.Send(HttpMethod.Get, $"/api/texts/{id}/file?format=epub")
        ).Content.ReadAsByteArrayAsync();
        new System.IO.Compression.ZipArchive(new MemoryStream(book))
            .Entries.Select(e => e.FullName)
            .ShouldContain("book/picture-1.png");
    }

    [Theory]
    [
        InlineData("txt", "text/plain"),
        InlineData("md", "text/markdown"),
        InlineData("html", "text/html"),
        InlineData("docx", "application/vnd.openxmlformats-officedocument.wordprocessingml.document"),
        InlineData("epub", "application/epub+zip"),
        InlineData("zip", "application/zip"),
        InlineData("qti", "application/zip")
    ]
    public async Task A_text_goes_out_in_every_format_to_those_who_see_it(string format, string type)
    {
        var ana = await harness.Teacher("ana");
        var id = (string)
            (
                await ana.Posted(
                    "/api/texts/bring",
                    new
                    {
                        name = "x.txt",
                        file = Convert.ToBase64String(Encoding.UTF8.GetBytes(Story)),
                        mine = true,
                        texts = new[] { One() },
                    }
                )
            )[0]!["id"]!;
        var file = await ana.Send(HttpMethod.Get, $"/api/texts/{id}/file?format={format}");
        file.Content.Headers.ContentType!.MediaType.ShouldBe(type);
        file.Content.Headers.ContentDisposition!.DispositionType.ShouldBe("attachment");
        (
            await (await harness.Teacher("ben")).Send(HttpMethod.Get, $"/api/texts/{id}/file?format={format}")
        ).StatusCode.ShouldBe(HttpStatusCode.NotFound, "it is hers alone");
        (await ana.Send(HttpMethod.Get, $"/api/texts/{id}/file?format=exe")).StatusCode.ShouldBe(
            HttpStatusCode.UnprocessableEntity
        );
    }

    [Fact]
    public async Task A_maze_passage_is_drafted_anew_each_time_it_is_asked_for()
    {
        var ana = await harness.Teacher("ana");
        var id = (string)
            (
                await ana.Posted(
                    "/api/texts/bring",
                    Taking("x.txt", string.Join(' ', Enumerable.Repeat(Story, 3)), One())
                )
            )[0]!["id"]!;
        var version = (string)(await ana.Get($"/api/texts/{id}"))["versions"]![0]!["id"]!;
        var path = $"/api/texts/{id}/versions/{version}/maze";
        var maze = (await ana.Get(path))["pieces"]!.AsArray();
        maze.Count(p => p!["choices"]!.AsArray().Count == 3).ShouldBeGreaterThan(8);
        maze.ToJsonString().ShouldBe((await ana.Get(path))["pieces"]!.ToJsonString());
        maze.ToJsonString().ShouldNotBe((await ana.Get($"{path}?draft=1"))["pieces"]!.ToJsonString());
        (await ana.Send(HttpMethod.Get, $"/api/texts/{id}/versions/{Guid.NewGuid()}/maze")).StatusCode.ShouldBe(
            HttpStatusCode.NotFound
        );
    }
}
