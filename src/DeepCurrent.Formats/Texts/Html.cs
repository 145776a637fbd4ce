using System.Text;
using System.Text.RegularExpressions;
using AngleSharp.Dom;
using AngleSharp.Html.Parser;
using DeepCurrent.Core.Texts;

namespace DeepCurrent.Formats.Texts;

/// <summary>The words of an HTML page as Markdown. Only words, headings, lists, tables and pictures of its own are
/// kept: no scripts, no styles, no links, no forms, nothing from elsewhere.</summary>
internal static partial class Html
{
    private static readonly HashSet<string> Nothing =
    [
        "script",
        "style",
        "noscript",
        "template",
        "iframe",
        "object",
        "embed",
        "form",
        "input",
        "button",
        "select",
        "textarea",
        "svg",
        "math",
        "audio",
        "video",
        "canvas",
        "nav",
        "head",
    ];
    private static readonly HashSet<string> Blocks =
    [
        "p",
        "div",
        "section",
        "article",
        "main",
        "header",
        "footer",
        "aside",
        "figure",
        "figcaption",
        "blockquote",
        "ul",
        "ol",
        "li",
        "table",
        "tr",
        "h1",
        "h2",
        "h3",
        "h4",
        "h5",
        "h6",
        "pre",
        "dl",
        "dt",
        "dd",
        "hr",
        "body",
        "html",
    ];

    /// <param name="pictures">Gives the bytes of a picture by where the page says it is; null where there is
    /// none.</param>
    public static TextDraft Read(string html, string title, Func<string, byte[]?>? pictures = null)
    {
        Untrusted.Html(html);
        var page = new HtmlParser().ParseDocument(html);
        var kept = new Dictionary<string, DraftPicture>();
        var blocks = new List<string>();
        var line = new StringBuilder();
        if (page.Body is { } body)
            Walk(body, blocks, line, (src, alt) => Keep(kept, src, alt, pictures));
        Flush(blocks, line, "");
        var text = string.Join("\n\n", blocks.Where(b => b.Length > 0));
        var name = page.Title is { Length: > 0 } t ? Tidy(t) : title;
        return TextDraft.Of(name.Length > 0 ? name : title, text, [.. kept.Values]);
    }

    private static string? Keep(
        Dictionary<string, DraftPicture> kept,
        string src,
        string alt,
        Func<string, byte[]?>? pictures
    )
    {
        if (pictures is null || src.Length == 0 || src.Contains(':') || pictures(src) is not { } bytes)
            return null;
        var name = $"{Path.GetFileName(src)}";
        kept.TryAdd(name, new(name, bytes, alt));
        return name;
    }

    private static void Walk(INode node, List<string> blocks, StringBuilder line, Func<string, string, string?> picture)
    {
        Untrusted.Tick();
        foreach (var child in node.ChildNodes)
            switch (child)
            {
                case IText t:
                    line.Append(t.Data.Replace("*", "\u2217").Replace(Break, ' '));
                    break;
                case IElement e when Nothing.Contains(e.LocalName) || e.HasAttribute("hidden"):
                    break;
                case IElement { LocalName: "br" }:
                    line.Append(Break);
                    break;
                case IElement { LocalName: "img" } e:
                    Shown(e, blocks, line, picture);
                    break;
                case IElement e when Blocks.Contains(e.LocalName):
                    Block(e, blocks, line, picture);
                    break;
                case IElement { LocalName: "td" or "th" } e:
                    Walk(e, blocks, line, picture);
                    line.Append(" | ");
                    break;
                case IElement { LocalName: "b" or "strong" } e:
                    Marked(e, "**", blocks, line, picture);
                    break;
                case IElement { LocalName: "i" or "em" } e:
                    Marked(e, "*", blocks, line, picture);
                    break;
                case IElement e:
                    Walk(e, blocks, line, picture);
                    break;
            }
    }

    private static void Shown(
        IElement e,
        List<string> blocks,
        StringBuilder line,
        Func<string, string, string?> picture
    )
    {
        var alt = Tidy(e.GetAttribute("alt") ?? "");
        if (picture(e.GetAttribute("src") ?? "", alt) is { } name)
        {
            Flush(blocks, line, "");
            blocks.Add($"![{alt.Replace(']', ')')}]({name})");
        }
    }

    private static void Block(
        IElement e,
        List<string> blocks,
        StringBuilder line,
        Func<string, string, string?> picture
    )
    {
        Flush(blocks, line, "");
        // Two tables after one another stay two.
        if (e.LocalName == "table")
            blocks.Add("");
        Walk(e, blocks, line, picture);
        if (e.LocalName == "tr")
            FlushRow(blocks, line);
        Flush(
            blocks,
            line,
            e.LocalName switch
            {
                ['h', >= '1' and <= '6'] h => $"{new string('#', h[1] - '0')} ",
                "li" => "• ",
                _ => "",
            }
        );
    }

    private static void Marked(
        IElement e,
        string mark,
        List<string> blocks,
        StringBuilder line,
        Func<string, string, string?> picture
    )
    {
        var inner = new StringBuilder();
        Walk(e, blocks, inner, picture);
        var said = Tidy(inner.ToString()).Replace('\n', ' ');
        line.Append(
            said.Length == 0
                ? " "
                : $"{(inner[0] is ' ' ? " " : "")}{mark}{said.Replace("*", "")}{mark}{(inner[^1] is ' ' ? " " : "")}"
        );
    }

    private static void Flush(List<string> blocks, StringBuilder line, string before)
    {
        var text = Tidy(line.ToString()).TrimEnd('|', ' ');
        line.Clear();
        if (text.Length > 0)
            blocks.Add(before + text.TrimStart('#', ' '));
    }

    // The rows of a table are lines of one paragraph.
    private static void FlushRow(List<string> blocks, StringBuilder line)
    {
        var row = Tidy(line.ToString()).Replace('\n', ' ').TrimEnd('|', ' ');
        if (!row.Contains('|') || blocks.Count == 0 || !Paragraphs.IsTable(blocks[^1]))
            return;
        blocks[^1] += "\n" + row;
        line.Clear();
    }

    /// <summary>Words with one space between, in the lines they were broken into.</summary>
    private static string Tidy(string text) =>
        string.Join('\n', text.Split(Break).Select(l => Space().Replace(l, " ").Trim()).Where(l => l.Length > 0));

    // Stands for a line break while words are gathered; in a page it is only space.
    private const char Break = '\u0001';

    [GeneratedRegex(@"[\s\u00a0]+")]
    private static partial Regex Space();
}
