using System.IO.Compression;
using System.Text;
using CsCheck;
using DeepCurrent.Core.Questions;
using DeepCurrent.Formats;
using DeepCurrent.Formats.Content;
using DeepCurrent.Formats.Texts;
using SkiaSharp;

namespace Formats.Tests;

/// <summary>Texts in files: what goes out comes back, and what is hostile or broken is said plainly.</summary>
public sealed class TextFileTests
{
    private static Gen<T> Of<T>(params T[] values) => Gen.Int[0, values.Length - 1].Select(i => values[i]);

    private static readonly Gen<string> Paragraph = Of(
        "The tide fell & rose.",
        "“Wait,” said the *old* miller.",
        "It was 5 < 6 metres. **Deep** water!",
        "## Low water",
        "Zoë and Nuño ran home; nobody saw.",
        "She had 'two' \"boats\".",
        "The tide comes in,\nthe *tide* goes out,\nand nobody minds.",
        "Day | Wind\nMonday | 4 **knots**\nTuesday | 9 knots"
    );

    private static readonly Gen<TextFolder> AnyText = Gen.Select(
            Gen.Int[1, 99],
            Paragraph.Array[1, 5].Array[1, 3],
            Gen.Int[1, 3],
            QtiTests.AnyQuestion.Array[0, 4]
        )
        .Select(
            (n, pages, versions, questions) =>
                new TextFolder(
                    $"text-{n}",
                    $"The mill & the tide {n}",
                    "story",
                    "Sea: \"deep\" #1",
                    n % 2 == 0,
                    "British",
                    "A blurb: with 'marks' & <signs>.",
                    n % 3 == 0 ? "Autumn" : "",
                    [
                        .. Enumerable
                            .Range(0, versions)
                            .Select(v => new VersionFile(((char)('a' + v)).ToString(), 10 + v, TextFiles.Body(pages))),
                    ],
                    [.. questions.Select((q, i) => q with { Position = i })],
                    [new("mill", "noun", "a place: where grain is ground", "The mill # turns.")]
                )
        );

    private static TextDraft Back(TextFolder text, string format) =>
        TextFiles.Read($"x.{format}", Write(text, format).Bytes).Texts.ShouldHaveSingleItem();

    private static TextFile Write(TextFolder text, string format) =>
        TextWriters.Write(text, [], null, format, "a", Guid.NewGuid(), DateTimeOffset.UnixEpoch);

    private static string Json(object value) => System.Text.Json.JsonSerializer.Serialize(value);

    [Fact]
    public void A_content_folder_comes_back_whole() =>
        AnyText.Sample(
            text =>
            {
                var back = Back(text, "zip");
                Json(
                        new
                        {
                            back.Title,
                            back.Kind,
                            back.Topic,
                            back.Fiction,
                            back.Spelling,
                            back.Blurb,
                            back.Season,
                            Versions = back.Versions.Select(v => (v.Label, v.Target, v.Body).ToString()),
                            back.Questions,
                            back.Words,
                        }
                    )
                    .ShouldBe(
                        Json(
                            new
                            {
                                text.Title,
                                text.Kind,
                                text.Topic,
                                Fiction = (bool?)text.Fiction,
                                text.Spelling,
                                text.Blurb,
                                text.Season,
                                Versions = text.Versions.Select(v => (v.Label, v.Target, v.Body).ToString()),
                                text.Questions,
                                text.Words,
                            }
                        )
                    );
            },
            iter: 200
        );

    [Theory]
    [InlineData("md"), InlineData("html"), InlineData("docx"), InlineData("epub")]
    public void Words_and_headings_come_back_from_every_format(string format) =>
        AnyText.Sample(
            text =>
            {
                var back = Back(text, format);
                back.Title.ShouldBe(text.Title);
                string Words(string body) =>
                    string.Join(
                        '|',
                        new VersionFile("", 0, body)
                            .Pages.SelectMany(p => p)
                            .Select(p => p.Replace("## ", "# ").Replace("# ", ""))
                    );
                // The words to know follow the text in a book.
                Words(back.Versions[0].Body).ShouldStartWith(Words(text.Versions[0].Body));
                new VersionFile("", 0, back.Versions[0].Body)
                    .Pages.SelectMany(p => p)
                    .Count(p => p.StartsWith('#'))
                    .ShouldBeGreaterThanOrEqualTo(
                        text.Versions[0].Pages.SelectMany(p => p).Count(p => p.StartsWith('#'))
                    );
            },
            iter: 50
        );

    [Fact]
    public void A_package_of_questions_brings_its_text_along()
    {
        var q = new Question(
            default,
            0,
            Strand.Infer,
            "Why?",
            [new("a", true, "x"), new("b", false, "y")],
            new Dictionary<string, string> { ["all"] = "The tide fell." }
        );
        var text = new TextFolder(
            "t",
            "Tide",
            "story",
            "Sea",
            true,
            "British",
            "",
            "",
            [new("a", 0, "The tide fell.")],
            [q],
            []
        );
        var back = Back(text, "qti");
        (back.Title, back.Versions[0].Body, Json(back.Questions[0])).ShouldBe(("Tide", "The tide fell.", Json(q)));
    }

    [Fact]
    public void Chapters_of_a_document_are_texts()
    {
        var file = TextFiles.Read(
            "book.md",
            Encoding.UTF8.GetBytes("# One\n\nIt rained.\n\n## Inside\n\nWe sat.\n\n# Two\n\nIt stopped.")
        );
        file.Texts.Select(t => (t.Title, t.Versions[0].Body))
            .ShouldBe([("One", "It rained.\n\n## Inside\n\nWe sat."), ("Two", "It stopped.")]);
        TextFiles
            .Read("tale.md", Encoding.UTF8.GetBytes("# The tale\n\nOnce."))
            .Texts.Single()
            .Title.ShouldBe("The tale");
        TextFiles.Read("tale.txt", Encoding.UTF8.GetBytes("Once upon a tide.")).Texts.Single().Title.ShouldBe("tale");
    }

    [Fact]
    public void A_page_gives_its_words_and_nothing_that_runs_or_leads_elsewhere()
    {
        const string page =
            "<html><head><title>Tides &amp; time</title><style>p{}</style></head><body "
            + "onload='x()'><nav>Menu</nav><h1>Tides</h1><script>alert(1)</script><p>The <b>moon</b> pulls.<img "
            + "src='https://elsewhere.example/x.png' alt='x' "
            + "onerror='y()'></p><ul><li>Spring</li><li>Neap</li></ul><iframe src='//evil'></iframe><p "
            + "hidden>secret</p><form><input value='z'></form><a href='javascript:x()'>Read on</a></body></html>";
        var body = TextFiles.Read("x.html", Encoding.UTF8.GetBytes(page)).Texts.Single().Versions[0].Body;
        body.ShouldBe("The **moon** pulls.\n\n• Spring\n\n• Neap\n\nRead on");
    }

    [Fact]
    public void A_book_is_read_chapter_by_chapter_with_its_pictures()
    {
        var picture = Png(40, 20);
        string Page(string body) =>
            $"<html xmlns='http://www.w3.org/1999/xhtml'><head><title>x</title></head><body>{body}</body></html>";
        var words = string.Join(' ', Enumerable.Repeat("The tide fell again.", 8));
        var book = QtiTests.Zip(
            (
                "META-INF/container.xml",
                "<container xmlns='urn:oasis:names:tc:opendocument:xmlns:container'><rootfiles><rootfile "
                    + "full-path='O/p.opf'/></rootfiles></container>"
            ),
            (
                "O/p.opf",
                "<package xmlns='http://www.idpf.org/2007/opf'><manifest><item id='n' href='nav.xhtml' "
                    + "media-type='application/xhtml+xml' properties='nav'/><item id='c1' href='c/1.xhtml' "
                    + "media-type='application/xhtml+xml'/><item id='c2' href='c/2.xhtml' "
                    + "media-type='application/xhtml+xml'/><item id='t' href='c/t.xhtml' "
                    + "media-type='application/xhtml+xml'/></manifest><spine><itemref idref='t'/><itemref "
                    + "idref='c2'/><itemref idref='c1'/></spine></package>"
            ),
            (
                "O/nav.xhtml",
                Page(
                    "<nav><ol><li><a href='c/1.xhtml'>Ebb</a></li><li><a href='c/2.xhtml#top'>Flow</a></li></ol></nav>"
                )
            ),
            ("O/c/1.xhtml", Page($"<h1>Chapter</h1><p>{words}</p><img src='../i/mill.png' alt='A mill'/>")),
            ("O/c/2.xhtml", Page($"<script>x()</script><p>{words}</p><img src='../../../../etc/passwd' alt='no'/>")),
            ("O/c/t.xhtml", Page("<p>Cover</p>"))
        );
        using (var zip = new ZipArchive(book, ZipArchiveMode.Update, leaveOpen: true))
        {
            using var s = zip.CreateEntry("O/i/mill.png").Open();
            s.Write(picture);
        }
        var file = TextFiles.Read("b.epub", book.ToArray());
        file.Texts.Select(t => t.Title).ShouldBe(["Flow", "Ebb"], "the spine's order, the contents' names, no cover");
        file.Notes.Single().ToString().ShouldBe("“Flow” had scripts. They were removed.");
        file.Texts[1].Versions[0].Body.ShouldEndWith("![A mill](mill.png)");
        file.Texts[1].Pictures.Single().Bytes.ShouldBe(picture);
        file.Texts[0].Pictures.ShouldBeEmpty();
    }

    [Theory]
    [
        InlineData("", "is empty"),
        InlineData("   \n ", "only blanks"),
        InlineData("%PDF-1.7 x", "PDF"),
        InlineData("a\0b", "not text"),
        InlineData("PK\u0003\u0004 broken", "damaged")
    ]
    public void What_cannot_be_read_is_said(string content, string sentence) =>
        Should
            .Throw<Unreadable>(() => TextFiles.Read("x.txt", Encoding.Latin1.GetBytes(content)))
            .Message.ShouldContain(sentence);

    [Fact]
    public void Archives_that_are_no_texts_bombs_and_tricks_are_refused()
    {
        Should
            .Throw<Unreadable>(() => TextFiles.Read("x.zip", QtiTests.Zip(("readme", "hello")).ToArray()))
            .Message.ShouldContain("no document, book");
        Should
            .Throw<Unreadable>(() =>
                TextFiles.Read("x.epub", QtiTests.Zip(("META-INF/container.xml", new string(' ', 70 << 20))).ToArray())
            )
            .Message.ShouldContain("far larger inside");
        Should
            .Throw<Unreadable>(() =>
                TextFiles.Read("x.docx", QtiTests.Zip(("word/document.xml", "<w:nothing/>")).ToArray())
            )
            .Message.ShouldContain("has no text");
        Should.Throw<Unreadable>(() => TextFiles.Read("x.zip", QtiTests.Zip(("a/text.yaml", "title: [")).ToArray()));
        var tricky = QtiTests.Zip(
            ("../../a/text.yaml", "title: T\nkind: story\ntopic: Sea\n"),
            ("../../a/a.md", "---\ntarget: 3\n---\n\nThe tide fell.")
        );
        TextFiles.Read("x.zip", tricky.ToArray()).Texts.Single().Title.ShouldBe("T", "a path is only a name");
        Should
            .Throw<Unreadable>(() => TextFiles.Read("x.txt", new byte[(20 << 20) + 1]))
            .Message.ShouldContain("20 MB");
    }

    [Theory]
    [InlineData("docx"), InlineData("epub"), InlineData("zip")]
    public void Pictures_go_out_with_their_words_and_come_back(string format)
    {
        var picture = new DraftPicture("mill.png", Png(40, 20), "");
        var text = new TextFolder(
            "t",
            "Mill",
            "report",
            "Sea",
            false,
            "British",
            "",
            "",
            [new("a", 0, "The tide fell.\n\n![A mill at low tide](mill.png)\n\nThe wheel stood still.")],
            [],
            []
        );
        var back = TextFiles
            .Read(
                $"x.{format}",
                TextWriters.Write(text, [picture], null, format, "a", Guid.NewGuid(), DateTimeOffset.UnixEpoch).Bytes
            )
            .Texts.ShouldHaveSingleItem();
        back.Versions[0].Body.ShouldContain("![A mill at low tide](");
        back.Pictures.ShouldHaveSingleItem().Bytes.ShouldBe(picture.Bytes);
    }

    [Fact]
    public void A_picture_is_drawn_anew_and_anything_else_is_none()
    {
        var clean = PictureCleaner.Clean([.. Png(2000, 1000), .. "<script>"u8])!.Value;
        using var shown = SKBitmap.Decode(clean.Bytes);
        (shown.Width, shown.Height).ShouldBe((1600, 800));
        Encoding.Latin1.GetString(clean.Bytes).ShouldNotContain("<script>");
        PictureCleaner.Clean("<svg onload='x()'/>"u8.ToArray()).ShouldBeNull();
        PictureCleaner.Clean([]).ShouldBeNull();
    }

    private static byte[] Png(int width, int height)
    {
        using var bitmap = new SKBitmap(width, height);
        bitmap.Erase(SKColors.Teal);
        return bitmap.Encode(SKEncodedImageFormat.Png, 90).ToArray();
    }
}
