using System.Globalization;
using System.IO.Compression;
using System.Net;
using System.Text;
using DeepCurrent.Formats.Content;

namespace DeepCurrent.Formats.Texts;

/// <summary>Writes one version of a text as an EPUB 3 book of one chapter, with its words to know at the end.</summary>
/// <remarks>W3C, EPUB 3.3; EPUB Accessibility 1.1 for the metadata.</remarks>
internal static class EpubWriter
{
    private const string Container =
        "<container version=\"1.0\" "
        + "xmlns=\"urn:oasis:names:tc:opendocument:xmlns:container\"><rootfiles><rootfile "
        + "full-path=\"book/package.opf\" "
        + "media-type=\"application/oebps-package+xml\"/></rootfiles></container>";

    private const string Style =
        "body { font-family: serif; line-height: 1.6; margin: 1em; } img { max-width: 100%; } dt { "
        + "font-weight: bold; }";

    public static byte[] Write(
        TextFolder text,
        VersionFile version,
        IReadOnlyList<DraftPicture> pictures,
        DraftPicture? lead,
        Guid id,
        DateTimeOffset changed
    )
    {
        var used = pictures
            .Where(p => version.Body.Contains($"]({p.Name})", StringComparison.Ordinal))
            .Select((p, i) => (Picture: p, Href: $"picture-{i + 1}{Path.GetExtension(p.Name).ToLowerInvariant()}"))
            .ToList();
        var leadHref = lead is null ? null : $"lead{Path.GetExtension(lead.Name)}";
        using var bytes = new MemoryStream();
        using (var zip = new ZipArchive(bytes, ZipArchiveMode.Create, leaveOpen: true))
        {
            // First and unpacked, so that a reader knows the book by its first bytes.
            TextWriters.Put(zip, "mimetype", "application/epub+zip"u8.ToArray(), CompressionLevel.NoCompression);
            Put(zip, "META-INF/container.xml", Container);
            Put(zip, "book/package.opf", Package(text, used.Select(u => u.Href), leadHref, id, changed));
            Put(
                zip,
                "book/contents.xhtml",
                Page(
                    "Contents",
                    "<nav epub:type=\"toc\"><h1>Contents</h1><ol><li><a "
                        + $"href=\"text.xhtml\">{Safe(text.Title)}</a></li></ol></nav>"
                )
            );
            Put(
                zip,
                "book/text.xhtml",
                Page(
                    text.Title,
                    $"<section epub:type=\"chapter\"><h1>{Safe(text.Title)}</h1>\n"
                        + (lead is null ? "" : TextWriters.Lead(leadHref!, lead.Alt))
                        + $"{TextWriters.Blocks(version, n => used.FirstOrDefault(u => u.Picture.Name == n).Href)}"
                        + $"</section>\n{Glossary(text)}"
                )
            );
            Put(zip, "book/book.css", Style);
            foreach (var (picture, href) in used)
                TextWriters.Put(zip, $"book/{href}", picture.Bytes);
            if (lead is not null)
                TextWriters.Put(zip, $"book/{leadHref}", lead.Bytes);
        }
        return bytes.ToArray();
    }

    private static string Glossary(TextFolder text)
    {
        var meanings = string.Concat(text.Words.Select(w => $"<dt>{Safe(w.Word)}</dt><dd>{Safe(w.Meaning)}</dd>"));
        return text.Words.Count == 0
            ? ""
            : $"<section epub:type=\"glossary\"><h2>Words to know</h2><dl>{meanings}</dl></section>\n";
    }

    private static string Package(
        TextFolder text,
        IEnumerable<string> pictures,
        string? lead,
        Guid id,
        DateTimeOffset changed
    )
    {
        var blurb = text.Blurb.Length > 0 ? $"<dc:description>{Safe(text.Blurb)}</dc:description>" : "";
        var topic = text.Topic.Length > 0 ? $"<dc:subject>{Safe(text.Topic)}</dc:subject>" : "";
        var modified = changed.UtcDateTime.ToString("yyyy-MM-ddTHH:mm:ssZ", CultureInfo.InvariantCulture);
        var items = pictures.Select(
            (p, i) => $"<item id=\"picture-{i + 1}\" href=\"{p}\" media-type=\"{TextWriters.TypeOf(p)}\"/>"
        );
        var cover = lead is null
            ? ""
            : $"<item id=\"lead\" href=\"{lead}\" media-type=\"{TextWriters.TypeOf(lead)}\" properties=\"cover-image\"/>";
        return $"""
            <package xmlns="http://www.idpf.org/2007/opf" version="3.0" unique-identifier="id" xml:lang="en">
            <metadata xmlns:dc="http://purl.org/dc/elements/1.1/">
            <dc:identifier id="id">urn:uuid:{id}</dc:identifier>
            <dc:title>{Safe(text.Title)}</dc:title><dc:language>en</dc:language>{blurb}{topic}
            <meta property="dcterms:modified">{modified}</meta>
            <meta property="schema:accessMode">textual</meta>
            <meta property="schema:accessModeSufficient">textual</meta>
            <meta property="schema:accessibilityFeature">structuralNavigation</meta>
            <meta property="schema:accessibilityFeature">alternativeText</meta>
            <meta property="schema:accessibilityHazard">none</meta>
            <meta property="schema:accessibilitySummary">Text with headings; pictures have alternative text.</meta>
            </metadata>
            <manifest>
            <item id="contents" href="contents.xhtml" media-type="application/xhtml+xml" properties="nav"/>
            <item id="text" href="text.xhtml" media-type="application/xhtml+xml"/>
            <item id="css" href="book.css" media-type="text/css"/>{string.Concat(items)}{cover}
            </manifest><spine><itemref idref="text"/></spine></package>
            """;
    }

    private static string Page(string title, string body) =>
        "<html xmlns=\"http://www.w3.org/1999/xhtml\" xmlns:epub=\"http://www.idpf.org/2007/ops\" lang=\"en\" "
        + $"xml:lang=\"en\"><head><title>{Safe(title)}</title><link rel=\"stylesheet\" type=\"text/css\" "
        + $"href=\"book.css\"/></head><body>\n{body}\n</body></html>\n";

    private static void Put(ZipArchive zip, string path, string xml) =>
        TextWriters.Put(
            zip,
            path,
            Encoding.UTF8.GetBytes(
                path.EndsWith(".css", StringComparison.Ordinal)
                    ? xml
                    : "<?xml version=\"1.0\" encoding=\"utf-8\"?>\n"
                        + $"{(path.EndsWith(".xhtml", StringComparison.Ordinal) ? "<!DOCTYPE html>\n" : "")}{xml}"
            )
        );

    private static string Safe(string text) => WebUtility.HtmlEncode(text);
}
