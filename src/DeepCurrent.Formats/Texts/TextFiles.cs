using System.IO.Compression;
using DeepCurrent.Formats.Content;
using DeepCurrent.Formats.Qti;
using DeepCurrent.Formats.Tables;

namespace DeepCurrent.Formats.Texts;

/// <summary>Reads texts from files: plain text, Markdown, HTML, DOCX, EPUB, a ZIP of content folders, QTI packages.
/// What a file is, its bytes say and not its name alone.</summary>
public static class TextFiles
{
    /// <summary>Bytes a file may have, packed and unpacked.</summary>
    public const long MostPacked = 20 << 20,
        MostUnpacked = 60 << 20;

    /// <exception cref="Unreadable">It holds no text that can be read; the sentence says why.</exception>
    public static DraftFile Read(string name, byte[] bytes)
    {
        var title = Path.GetFileNameWithoutExtension(Path.GetFileName(name.Replace('\\', '/')));
        if (bytes.Length == 0)
            throw new Unreadable($"This file is empty.");
        if (bytes.Length > MostPacked)
            throw new Unreadable($"File over {MostPacked >> 20} MB. Nothing changed. Choose a smaller one.");
        if (bytes is [(byte)'P', (byte)'K', 3, 4, ..] or [(byte)'P', (byte)'K', 5, 6, ..])
            return Archive(title, bytes);
        if (bytes is [0xD0, 0xCF, 0x11, 0xE0, ..])
            throw new Unreadable($"This document is locked or in an old format. Save it as .docx and choose it again.");
        if (bytes is [(byte)'%', (byte)'P', (byte)'D', (byte)'F', ..])
            throw new Unreadable(
                $"A PDF has no reliable order of sentences. Choose the original document, or copy and paste its text."
            );
        var text = Decoded(bytes);
        if (
            name.EndsWith(".htm", StringComparison.OrdinalIgnoreCase)
            || name.EndsWith(".html", StringComparison.OrdinalIgnoreCase)
            || name.EndsWith(".xhtml", StringComparison.OrdinalIgnoreCase)
            || text.TrimStart().StartsWith("<!doctype html", StringComparison.OrdinalIgnoreCase)
            || text.TrimStart().StartsWith("<html", StringComparison.OrdinalIgnoreCase)
        )
            return Chapters.Split(Html.Read(text, title));
        if (string.IsNullOrWhiteSpace(text))
            throw new Unreadable($"This file contains only blanks.");
        return Chapters.Split(TextDraft.Of(title, text.Replace("\r\n", "\n").Replace('\r', '\n').Trim()));
    }

    private static string Decoded(byte[] bytes)
    {
        try
        {
            return Decoding.Read(bytes, out _);
        }
        catch (Unreadable)
        {
            throw new Unreadable($"This file is not text.");
        }
    }

    private static DraftFile Archive(string title, byte[] bytes)
    {
        ZipArchive zip;
        try
        {
            zip = new(new MemoryStream(bytes), ZipArchiveMode.Read);
        }
        catch (InvalidDataException)
        {
            throw new Unreadable($"This archive is damaged or incomplete.");
        }
        using (zip)
        {
            ZipGuard.Check(zip, MostUnpacked);
            if (zip.GetEntry("word/document.xml") is not null)
                return Docx.Read(bytes, title);
            if (zip.GetEntry("META-INF/container.xml") is not null)
                return Epub.Read(zip);
            if (zip.Entries.Any(e => Path.GetFileName(e.FullName) == "text.yaml"))
                return Folders(zip);
            if (zip.GetEntry("imsmanifest.xml") is not null)
                return Package(bytes);
        }
        throw new Unreadable($"This archive has no document, book, content folder or question package.");
    }

    private static DraftFile Package(byte[] bytes)
    {
        var package = QtiReader.Read(new MemoryStream(bytes));
        var texts = package
            .Texts.Where(t => t.Versions.Count > 0)
            .Select(t => new TextDraft(
                t.Title,
                [.. t.Versions.Select(v => new VersionFile(v.Label, 0, Body(v.Pages)))],
                [],
                t.Questions,
                []
            ))
            .ToList();
        if (texts.Count == 0)
            throw new Unreadable($"This package has questions but no text. Open their text and import them there.");
        return new(texts, package.LeftOut);
    }

    /// <summary>Pages as one piece of Markdown.</summary>
    public static string Body(IReadOnlyList<IReadOnlyList<string>> pages) =>
        string.Join("\n\n---\n\n", pages.Select(p => string.Join("\n\n", p)));

    private static DraftFile Folders(ZipArchive zip)
    {
        var texts = new List<TextDraft>();
        var notes = new List<Message>();
        foreach (
            var folder in zip
                .Entries.Where(e => Path.GetFileName(e.FullName) == "text.yaml")
                .Select(e => e.FullName[..^"text.yaml".Length])
                .Order(StringComparer.Ordinal)
        )
        {
            // Only names within the folder count; where an entry says it lies is never used as a path.
            var entries = zip
                .Entries.Where(e =>
                    e.FullName.StartsWith(folder, StringComparison.Ordinal)
                    && e.FullName.Length > folder.Length
                    && !e.FullName[folder.Length..].Contains('/')
                )
                .ToList();
            var slug = folder.TrimEnd('/').Split('/')[^1];
            try
            {
                texts.Add(Folder(slug, entries));
            }
            catch (ContentFault fault)
            {
                notes.Add($"{slug}: {fault.Said}");
            }
        }
        return texts.Count > 0 ? new(texts, notes) : throw new Unreadable(notes[0]);
    }

    private static TextDraft Folder(string slug, IReadOnlyList<ZipArchiveEntry> entries)
    {
        var text = ContentReader.Read(
            slug.Length == 0 ? "text" : slug,
            entries
                .Where(e =>
                    e.Name.EndsWith(".md", StringComparison.Ordinal)
                    || e.Name.EndsWith(".yaml", StringComparison.Ordinal)
                )
                .ToDictionary(e => e.Name, e => Decoding.Read(Pictures.Bytes(e), out _))
        );
        var pictures = entries
            .Where(e => Pictures.Named(e.Name))
            .Select(e => new DraftPicture(e.Name, Pictures.Bytes(e), ""))
            .ToList();
        return new(
            text.Title,
            text.Versions,
            pictures,
            text.Questions,
            text.Words,
            text.Kind,
            text.Topic,
            text.Fiction,
            text.Spelling,
            text.Blurb,
            text.Season
        );
    }
}

/// <summary>Pictures inside archives.</summary>
internal static class Pictures
{
    public const int Most = 4 << 20;

    public static bool Named(string name) =>
        Path.GetExtension(name).ToLowerInvariant() is ".png" or ".jpg" or ".jpeg" or ".gif" or ".webp";

    public static byte[] Bytes(ZipArchiveEntry entry)
    {
        using var stream = ZipGuard.Open(entry, TextFiles.MostUnpacked);
        using var copy = new MemoryStream();
        stream.CopyTo(copy);
        return copy.ToArray();
    }
}
