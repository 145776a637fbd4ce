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

    private sealed record Item(string Href, string Type, bool Nav);

    public static DraftFile Read(ZipArchive zip)
    {
        if (Locked(zip))
            throw new Unreadable($"This book is locked by its seller and cannot be read here.");
        var path = Xml(zip.GetEntry("META-INF/container.xml")!)
            .Descendants()
            .FirstOrDefault(e => e.Name.LocalName == "rootfile")
            ?.Attribute("full-path")
            ?.Value;
        if (path is null || zip.GetEntry(path) is not { } opf)
            throw new Unreadable($"This book does not say what is in it.");
        var package = Xml(opf);
        var items = Items(package, path);
        var names = Names(
            zip,
            items.Values.FirstOrDefault(i => i.Nav)?.Href,
            items.Values.FirstOrDefault(i => i.Type == "application/x-dtbncx+xml")?.Href
        );
        var notes = new List<Message>();
        var texts = package
            .Descendants()
            .Where(e => e.Name.LocalName == "itemref")
            .Select(e => items.GetValueOrDefault((string?)e.Attribute("idref") ?? ""))
            .OfType<Item>()
            .Where(item => !item.Nav && item.Type == "application/xhtml+xml")
            .Select(item => Chapter(zip, item, names, notes))
            .OfType<TextDraft>()
            .ToList();
        // Covers and title pages are no chapters, unless there is nothing else.
        if (texts.Exists(t => !Few(t)))
            texts.RemoveAll(Few);
        return texts.Count > 0 ? new(texts, notes) : throw new Unreadable($"This book has no chapter with text.");
    }

    /// <summary>Whether anything but its fonts is enciphered.</summary>
    private static bool Locked(ZipArchive zip) =>
        zip.GetEntry("META-INF/encryption.xml") is { } locks
        && Xml(locks)
            .Descendants()
            .Any(e =>
                e.Name.LocalName == "EncryptionMethod"
                && !((string?)e.Attribute("Algorithm") ?? "").Contains("embedding", StringComparison.Ordinal)
            );

    private static Dictionary<string, Item> Items(XElement package, string path) =>
        package
            .Descendants()
            .Where(e => e.Name.LocalName == "item")
            .Where(e => e.Attribute("id") is not null)
            .GroupBy(e => e.Attribute("id")!.Value)
            .ToDictionary(
                g => g.Key,
                g => new Item(
                    Resolve(path, (string?)g.First().Attribute("href") ?? ""),
                    (string?)g.First().Attribute("media-type") ?? "",
                    ((string?)g.First().Attribute("properties") ?? "").Split(' ').Contains("nav")
                )
            );

    /// <summary>One file of the book as a text; null if it is not there or has no words.</summary>
    private static TextDraft? Chapter(ZipArchive zip, Item item, Dictionary<string, string> names, List<Message> notes)
    {
        if (zip.GetEntry(item.Href) is not { } entry)
            return null;
        var page = Decoding.Read(Pictures.Bytes(entry), out _);
        var file = Path.GetFileNameWithoutExtension(item.Href);
        if (page.Contains("<script", StringComparison.OrdinalIgnoreCase))
            notes.Add($"“{names.GetValueOrDefault(item.Href, file)}” had scripts. They were removed.");
        var draft = Html.Read(page, file, src =>
            zip.GetEntry(Resolve(item.Href, Uri.UnescapeDataString(src))) is { } picture
            && Pictures.Named(picture.Name)
            && picture.Length <= Pictures.Most
                ? Pictures.Bytes(picture)
                : null
        );
        draft = Chapters.Split(draft) is { Texts: [var one] } ? one : draft;
        if (names.TryGetValue(item.Href, out var name))
            draft = draft with { Title = name };
        return draft.Versions[0].Body.Length > 0 ? draft : null;
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
            throw new Unreadable($"This book's list of contents is damaged.");
        }
    }
}
