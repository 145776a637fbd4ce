using System.IO.Compression;
using System.Xml;
using System.Xml.Linq;
using DeepCurrent.Formats.Tables;

namespace DeepCurrent.Formats.Texts;

/// <summary>Reads the chapters of an EPUB book in their order. Scripts, styles, outside links and fonts are left
/// out.</summary>
/// <remarks>W3C, EPUB 3.3: container, package document, navigation document.</remarks>
internal static class Epub
{
    private const int FewestWords = 20;

    public static DraftFile Read(ZipArchive zip)
    {
        if (
            zip.GetEntry("META-INF/encryption.xml") is { } locks
            && Xml(locks)
                .Descendants()
                .Any(e =>
                    e.Name.LocalName == "EncryptionMethod"
                    && !((string?)e.Attribute("Algorithm") ?? "").Contains("embedding", StringComparison.Ordinal)
                )
        )
            throw new Unreadable("This book is locked by its seller and cannot be read here.");
        var path = Xml(zip.GetEntry("META-INF/container.xml")!)
            .Descendants()
            .FirstOrDefault(e => e.Name.LocalName == "rootfile")
            ?.Attribute("full-path")
            ?.Value;
        if (path is null || zip.GetEntry(path) is not { } opf)
            throw new Unreadable("This book says nowhere what is in it.");
        var package = Xml(opf);
        var items = package
            .Descendants()
            .Where(e => e.Name.LocalName == "item")
            .Where(e => e.Attribute("id") is not null)
            .GroupBy(e => e.Attribute("id")!.Value)
            .ToDictionary(
                g => g.Key,
                g =>
                    (
                        Href: Resolve(path, (string?)g.First().Attribute("href") ?? ""),
                        Type: (string?)g.First().Attribute("media-type") ?? "",
                        Nav: ((string?)g.First().Attribute("properties") ?? "").Split(' ').Contains("nav")
                    )
            );
        var names = Names(
            zip,
            items.Values.FirstOrDefault(i => i.Nav).Href,
            items.Values.FirstOrDefault(i => i.Type == "application/x-dtbncx+xml").Href
        );
        var notes = new List<string>();
        var texts = new List<TextDraft>();
        foreach (
            var id in package
                .Descendants()
                .Where(e => e.Name.LocalName == "itemref")
                .Select(e => (string?)e.Attribute("idref") ?? "")
        )
        {
            if (
                !items.TryGetValue(id, out var item)
                || item.Nav
                || item.Type != "application/xhtml+xml"
                || zip.GetEntry(item.Href) is not { } entry
            )
                continue;
            var page = Decoding.Read(Pictures.Bytes(entry), out _);
            if (page.Contains("<script", StringComparison.OrdinalIgnoreCase))
                notes.Add(
                    $"“{names.GetValueOrDefault(item.Href, Path.GetFileNameWithoutExtension(item.Href))}” had "
                        + "scripts. They were left out."
                );
            var draft = Html.Read(page, Path.GetFileNameWithoutExtension(item.Href), src =>
                zip.GetEntry(Resolve(item.Href, Uri.UnescapeDataString(src))) is { } picture
                && Pictures.Named(picture.Name)
                && picture.Length <= Pictures.Most
                    ? Pictures.Bytes(picture)
                    : null
            );
            draft = Chapters.Split(draft) is { Texts: [var one] } ? one : draft;
            if (names.TryGetValue(item.Href, out var name))
                draft = draft with { Title = name };
            if (draft.Versions[0].Body.Length > 0)
                texts.Add(draft);
        }
        // Covers and title pages are no chapters, unless there is nothing else.
        if (texts.Exists(t => !Few(t)))
            texts.RemoveAll(Few);
        return texts.Count > 0 ? new(texts, notes) : throw new Unreadable("This book has no chapter with text in it.");
    }

    private static bool Few(TextDraft text) => text.Versions[0].Body.Split(' ').Length < FewestWords;

    /// <summary>Chapter names by file, as the book's own list of contents gives them.</summary>
    private static Dictionary<string, string> Names(ZipArchive zip, string? nav, string? ncx)
    {
        var names = new Dictionary<string, string>();
        if (nav is not null && zip.GetEntry(nav) is { } contents)
            foreach (var a in Xml(contents).Descendants().Where(e => e.Name.LocalName == "a"))
                names.TryAdd(Resolve(nav, ((string?)a.Attribute("href") ?? "").Split('#')[0]), Tidy(a.Value));
        else if (ncx is not null && zip.GetEntry(ncx) is { } old)
            foreach (var p in Xml(old).Descendants().Where(e => e.Name.LocalName == "navPoint"))
                names.TryAdd(
                    Resolve(
                        ncx,
                        (
                            (string?)p.Elements().FirstOrDefault(e => e.Name.LocalName == "content")?.Attribute("src")
                            ?? ""
                        ).Split('#')[0]
                    ),
                    Tidy(p.Elements().FirstOrDefault(e => e.Name.LocalName == "navLabel")?.Value ?? "")
                );
        return names;
    }

    private static string Tidy(string text) =>
        string.Join(' ', text.Split((char[]?)null, StringSplitOptions.RemoveEmptyEntries));

    /// <summary>A place in the archive, seen from another; never outside it.</summary>
    private static string Resolve(string from, string href)
    {
        var parts = new List<string>(from.Split('/')[..^1]);
        foreach (var part in Uri.UnescapeDataString(href).Split('/'))
            if (part == "..")
            {
                if (parts.Count > 0)
                    parts.RemoveAt(parts.Count - 1);
            }
            else if (part is not ("." or ""))
                parts.Add(part);
        return string.Join('/', parts);
    }

    private static XElement Xml(ZipArchiveEntry entry)
    {
        try
        {
            using var stream = ZipGuard.Open(entry, TextFiles.MostUnpacked);
            // Old books name a DTD; it is passed over and nothing it says is looked up.
            using var reader = XmlReader.Create(
                stream,
                new()
                {
                    DtdProcessing = DtdProcessing.Ignore,
                    XmlResolver = null,
                    MaxCharactersInDocument = TextFiles.MostUnpacked,
                }
            );
            return XElement.Load(reader);
        }
        catch (XmlException)
        {
            throw new Unreadable("This book's list of contents is damaged.");
        }
    }
}
