using System.Text;
using DocumentFormat.OpenXml;
using DocumentFormat.OpenXml.Packaging;
using DocumentFormat.OpenXml.Wordprocessing;
using Drawing = DocumentFormat.OpenXml.Drawing;

namespace DeepCurrent.Formats.Texts;

/// <summary>Reads the words, headings, lists, tables and pictures of a DOCX document. Macros, fields, comments and what
/// was struck out are left.</summary>
internal static class Docx
{
    public static DraftFile Read(byte[] bytes, string title)
    {
        try
        {
            using var document = WordprocessingDocument.Open(new MemoryStream(bytes), isEditable: false);
            if (document.MainDocumentPart is not { Document.Body: { } body } main)
                throw new Unreadable($"This document has no text.");
            var notes = new List<Message>();
            if (main.VbaProjectPart is not null)
                notes.Add($"The document has macros. They were removed and not run.");
            var pictures = new Dictionary<string, DraftPicture>();
            var blocks = new List<string>();
            var titled = body.Elements<Paragraph>()
                .Any(p => StyleOf(p, main).Equals("Title", StringComparison.OrdinalIgnoreCase));
            foreach (var element in body.ChildElements)
                Block(element, main, titled, blocks, pictures);
            var text = string.Join("\n\n", blocks.Where(b => b.Length > 0));
            if (text.Length == 0)
                throw new Unreadable($"This document has no text.");
            var name = document.PackageProperties.Title is { Length: > 0 } said ? said.Trim() : title;
            var split = Chapters.Split(TextDraft.Of(name, text, [.. pictures.Values]));
            return split with { Notes = notes };
        }
        catch (Exception e)
            when (e
                    is OpenXmlPackageException
                        or FileFormatException
                        or System.Xml.XmlException
                        or InvalidDataException
                        or InvalidOperationException
            )
        {
            throw new Unreadable($"This document is damaged and cannot be opened.");
        }
    }

    private static void Block(
        OpenXmlElement element,
        MainDocumentPart main,
        bool titled,
        List<string> blocks,
        Dictionary<string, DraftPicture> pictures
    )
    {
        Untrusted.Tick();
        switch (element)
        {
            case Paragraph p:
                var before = Before(p, main, titled);
                if (Words(p) is { Length: > 0 } words)
                    blocks.Add(before + words);
                foreach (var blip in p.Descendants<Drawing.Blip>())
                    Picture(blip, p, main, blocks, pictures);
                if (p.Descendants<Break>().Any(b => b.Type?.Value == BreakValues.Page))
                    blocks.Add("---");
                break;
            case Table t:
                blocks.Add(
                    string.Join(
                        '\n',
                        t.Elements<TableRow>()
                            .Select(row =>
                                string.Join(
                                    " | ",
                                    row.Elements<TableCell>()
                                        .Select(c =>
                                            string.Join(' ', c.Descendants<Paragraph>().Select(Words))
                                                .Replace('\n', ' ')
                                        )
                                )
                            )
                    )
                );
                break;
            case SdtBlock s when s.SdtContentBlock is { } inner:
                foreach (var child in inner.ChildElements)
                    Block(child, main, titled, blocks, pictures);
                break;
        }
    }

    private static string StyleOf(Paragraph p, MainDocumentPart main)
    {
        var style = p.ParagraphProperties?.ParagraphStyleId?.Val?.Value ?? "";
        return main.StyleDefinitionsPart?.Styles?.Elements<Style>()
            .FirstOrDefault(s => s.StyleId == style)
            ?.StyleName?.Val?.Value
            ?? style;
    }

    /// <param name="titled">The document has a title of its own, so that its headings stand below it.</param>
    private static string Before(Paragraph p, MainDocumentPart main, bool titled)
    {
        var name = StyleOf(p, main);
        if (name.Equals("Title", StringComparison.OrdinalIgnoreCase))
            return "# ";
        if (
            name.StartsWith("heading ", StringComparison.OrdinalIgnoreCase)
            && name.Length > 8
            && char.IsAsciiDigit(name[8])
        )
            return $"{new string('#', Math.Clamp(name[8] - '0' + (titled ? 1 : 0), 1, 6))} ";
        return p.ParagraphProperties?.NumberingProperties is not null ? "• " : "";
    }

    private static string Words(Paragraph p)
    {
        var text = new StringBuilder();
        foreach (var run in p.Descendants<Run>().Where(r => r.Ancestors<DeletedRun>().FirstOrDefault() is null))
        {
            var said = string.Concat(
                run.ChildElements.Select(c =>
                    c switch
                    {
                        Text t => t.Text.Replace("*", "∗"),
                        Break { Type: null } or CarriageReturn => "\n",
                        TabChar or Break => " ",
                        NoBreakHyphen => "-",
                        _ => "",
                    }
                )
            );
            if (said.Length == 0)
                continue;
            var mark =
                On(run.RunProperties?.Bold) ? "**"
                : On(run.RunProperties?.Italic) ? "*"
                : "";
            text.Append(
                mark.Length == 0 || string.IsNullOrWhiteSpace(said)
                    ? said
                    : $"{said[..^said.TrimStart().Length]}{mark}{said.Trim()}{mark}{said[said.TrimEnd().Length..]}"
            );
        }
        var lines = text.ToString()
            .Replace("****", "")
            .Split('\n')
            .Select(l => string.Join(' ', l.Split((char[]?)null, StringSplitOptions.RemoveEmptyEntries)));
        return string.Join('\n', lines.Where(l => l.Length > 0)).TrimStart('#', ' ');
    }

    private static bool On(OnOffType? value) => value is not null && (value.Val is null || value.Val.Value);

    private static void Picture(
        Drawing.Blip blip,
        Paragraph p,
        MainDocumentPart main,
        List<string> blocks,
        Dictionary<string, DraftPicture> pictures
    )
    {
        if (
            blip.Embed?.Value is not { } id
            || main.Parts.FirstOrDefault(x => x.RelationshipId == id) is not { OpenXmlPart: ImagePart part }
        )
            return;
        using var stream = part.GetStream();
        using var copy = new MemoryStream();
        stream.CopyTo(copy);
        var name = Path.GetFileName(part.Uri.ToString());
        var alt = (
            p.Descendants<DocumentFormat.OpenXml.Drawing.Wordprocessing.DocProperties>()
                .FirstOrDefault()
                ?.Description?.Value
            ?? ""
        )
            .Replace(']', ')')
            .Replace('\n', ' ')
            .Trim();
        pictures.TryAdd(name, new(name, copy.ToArray(), alt));
        blocks.Add($"![{alt}]({name})");
    }
}
