using System.IO.Compression;
using System.Net;
using System.Text;
using DeepCurrent.Core.Texts;
using DeepCurrent.Formats.Content;
using DeepCurrent.Formats.Qti;

namespace DeepCurrent.Formats.Texts;

/// <summary>A file to give out.</summary>
public sealed record TextFile(string Name, string Type, byte[] Bytes);

/// <summary>Writes a text in open formats.</summary>
public static class TextWriters
{
    /// <summary>The formats there are, by the name they are asked for.</summary>
    public static readonly IReadOnlyList<string> Formats = ["txt", "md", "html", "docx", "epub", "zip", "qti"];

    /// <param name="lead">The picture that stands for the text, where it has one.</param>
    /// <param name="label">The version, for formats that hold one.</param>
    /// <param name="id">What the text is known by, wherever its file goes.</param>
    /// <exception cref="ArgumentException">There is no such format or version.</exception>
    public static TextFile Write(
        TextFolder text,
        IReadOnlyList<DraftPicture> pictures,
        DraftPicture? lead,
        string format,
        string label,
        Guid id,
        DateTimeOffset changed
    )
    {
        var version = text.Versions.FirstOrDefault(v => v.Label == label)
            ?? throw new ArgumentException($"There is no version {label}.", nameof(label));
        return format switch
        {
            "txt" => new(
                $"{text.Slug}.txt",
                "text/plain; charset=utf-8",
                Encoding.UTF8.GetBytes($"{text.Title}\n\n{Plain(version)}\n")
            ),
            "md" => new(
                $"{text.Slug}.md",
                "text/markdown; charset=utf-8",
                Encoding.UTF8.GetBytes($"# {text.Title}\n\n{version.Body}\n")
            ),
            "html" => new(
                $"{text.Slug}.html",
                "text/html; charset=utf-8",
                Encoding.UTF8.GetBytes(HtmlPage(text, version, pictures, lead))
            ),
            "docx" => new(
                $"{text.Slug}.docx",
                "application/vnd.openxmlformats-officedocument.wordprocessingml.document",
                DocxWriter.Write(text, version, pictures)
            ),
            "epub" => new(
                $"{text.Slug}.epub",
                "application/epub+zip",
                EpubWriter.Write(text, version, pictures, lead, id, changed)
            ),
            "zip" => new(
                $"{text.Slug}.zip",
                "application/zip",
                Folder(text, lead is null ? pictures : [.. pictures, lead])
            ),
            "qti" => new($"{text.Slug}-qti.zip", "application/zip", Qti(text)),
            _ => throw new ArgumentException($"There is no format {format}.", nameof(format)),
        };
    }

    private static byte[] Qti(TextFolder text) =>
        QtiWriter.Write(
            new(text.Title, [.. text.Versions.Select(v => new QtiVersion(v.Label, v.Pages))], text.Questions)
        );

    private static string Plain(VersionFile v) =>
        string.Join(
            "\n\n",
            v.Pages.SelectMany(p => p)
                .Select(p =>
                    Paragraphs.PictureOf(p) is { } picture ? $"[{picture.Alt}]"
                    : Paragraphs.IsHeading(p) ? Paragraphs.Said(p)
                    : Paragraphs.Emphasis().Replace(p, "$1$2")
                )
        );

    private static byte[] Folder(TextFolder text, IReadOnlyList<DraftPicture> pictures)
    {
        using var bytes = new MemoryStream();
        using (var zip = new ZipArchive(bytes, ZipArchiveMode.Create, leaveOpen: true))
        {
            foreach (var (name, content) in ContentWriter.Files(text))
                Put(zip, $"{text.Slug}/{name}", Encoding.UTF8.GetBytes(content));
            foreach (var p in pictures)
                Put(zip, $"{text.Slug}/{p.Name}", p.Bytes);
        }
        return bytes.ToArray();
    }

    internal static void Put(
        ZipArchive zip,
        string path,
        byte[] content,
        CompressionLevel level = CompressionLevel.Optimal
    )
    {
        using var stream = zip.CreateEntry(path, level).Open();
        stream.Write(content);
    }

    private static string HtmlPage(
        TextFolder text,
        VersionFile v,
        IReadOnlyList<DraftPicture> pictures,
        DraftPicture? lead
    )
    {
        var title = WebUtility.HtmlEncode(text.Title);
        string DataOf(DraftPicture p) => $"data:{TypeOf(p.Name)};base64,{Convert.ToBase64String(p.Bytes)}";
        string? Data(string name) => pictures.FirstOrDefault(p => p.Name == name) is { } p ? DataOf(p) : null;
        return $"<!doctype html>\n<html lang=\"en\"><head><meta charset=\"utf-8\"><title>{title}</title></head><body>\n"
            + $"<h1>{title}</h1>\n{(lead is null ? "" : Lead(DataOf(lead), lead.Alt))}{Blocks(v, Data)}</body></html>\n";
    }

    /// <summary>The picture that stands for a text, above it.</summary>
    internal static string Lead(string source, string shows) =>
        $"<p><img src=\"{source}\" alt=\"{WebUtility.HtmlEncode(shows)}\" width=\"480\" /></p>\n";

    private static readonly (string Ending, string Type)[] Types =
    [
        (".png", "image/png"),
        (".jpg", "image/jpeg"),
        (".svg", "image/svg+xml"),
    ];

    internal static string TypeOf(string name) =>
        Types.FirstOrDefault(t => name.EndsWith(t.Ending, StringComparison.OrdinalIgnoreCase)).Type ?? "image/jpeg";

    /// <summary>How the file of a picture ends.</summary>
    public static string EndingOf(string type) => Types.FirstOrDefault(t => t.Type == type).Ending ?? ".jpg";

    /// <summary>The paragraphs of a version as well-formed HTML; headings begin one level below the title.</summary>
    internal static string Blocks(VersionFile v, Func<string, string?> picture)
    {
        var html = new StringBuilder();
        foreach (var p in v.Pages.SelectMany(p => p))
            if (Paragraphs.PictureOf(p) is { } shown)
            {
                if (picture(shown.Name) is { } src)
                    html.Append($"<p><img src=\"{src}\" alt=\"{WebUtility.HtmlEncode(shown.Alt)}\" /></p>\n");
            }
            else if (Paragraphs.IsHeading(p))
                html.Append($"<h2>{Inline(p.TrimStart('#', ' '))}</h2>\n");
            else if (Paragraphs.IsTable(p))
                html.Append(Table(Paragraphs.Rows(p)));
            else
                html.Append($"<p>{string.Join("<br />\n", p.Split('\n').Select(Line))}</p>\n");
        return html.ToString();
    }

    // Verse that is set in keeps its place.
    private static string Line(string line) =>
        string.Concat(Enumerable.Repeat("&#160;", line.Length - line.TrimStart(' ').Length))
        + Inline(line.TrimStart(' '));

    private static string Table(IReadOnlyList<IReadOnlyList<string>> rows)
    {
        var head = Paragraphs.HasHead(rows);
        string Cell(string text, bool heads) => heads ? $"<th>{Inline(text)}</th>" : $"<td>{Inline(text)}</td>";
        var lines = rows.Select((row, i) => $"<tr>{string.Concat(row.Select(c => Cell(c, i == 0 && head)))}</tr>\n");
        return $"<table>\n{string.Concat(lines)}</table>\n";
    }

    private static string Inline(string text) =>
        Paragraphs
            .Emphasis()
            .Replace(WebUtility.HtmlEncode(text), m =>
                m.Groups[1].Success ? $"<strong>{m.Groups[1].Value}</strong>" : $"<em>{m.Groups[2].Value}</em>"
            );
}
