using System.Text.RegularExpressions;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Texts;

namespace DeepCurrent.Formats.Content;

/// <summary>A text as its content folder describes it: text.yaml, quiz.yaml, and one Markdown file a version.</summary>
public sealed record TextFolder(
    string Slug,
    string Title,
    string Kind,
    string Topic,
    bool Fiction,
    string Spelling,
    string Blurb,
    string Season,
    IReadOnlyList<VersionFile> Versions,
    IReadOnlyList<Question> Questions,
    IReadOnlyList<WordFile> Words
);

/// <param name="Target">Depth the writer aimed at, fm.</param>
/// <param name="Body">Markdown: paragraphs, headings, and --- between pages.</param>
public sealed record VersionFile(string Label, double Target, string Body)
{
    /// <summary>The version as a quiz is checked against it.</summary>
    public CheckedVersion Checked() =>
        new(Label, [.. Pages.SelectMany(p => p)], TextMeasurer.Measure(Prose).Depth.Value);

    /// <summary>The words a reader reads: no marks of Markdown.</summary>
    public string PlainText =>
        string.Join(
            "\n\n",
            Pages.SelectMany(p => p).Where(p => !Paragraphs.IsPicture(p)).Select(p => Paragraphs.Said(p))
        );

    /// <summary>What is measured: the words without headings and tables, which are no sentences. A text that is mostly
    /// a table is measured as it is.</summary>
    public string Prose
    {
        get
        {
            var pages = Pages;
            string all = string.Join("\n\n", pages.SelectMany(p => p).Where(Paragraphs.IsProse)),
                running = Paragraphs.Running(pages);
            return 2 * running.Length < all.Length ? all : running;
        }
    }

    /// <summary>Pages of paragraphs; a heading is a paragraph that begins with #. Lines stay as they are written:
    /// verse, tables.</summary>
    public IReadOnlyList<IReadOnlyList<string>> Pages =>
        [.. Body.Replace("\r", "").Split("\n---\n").Select(Parts).Where(p => p.Count > 0)];

    private static IReadOnlyList<string> Parts(string page) =>
        [.. Heading.Replace(page, "$1\n\n").Split("\n\n").Select(Lines).Where(p => p.Length > 0)];

    // Longer lines than those of verse were wrapped by an editor, and are one line; Markdown's own signs for a break
    // always break.
    private const int LongestOfVerse = 64;

    private static string Lines(string paragraph)
    {
        var written = paragraph.Trim('\n').Split('\n').Where(l => l.Trim().Length > 0).ToArray();
        var broken = Array.Exists(written, l => l.EndsWith("  ", StringComparison.Ordinal) || l.EndsWith('\\'));
        var lines = written.Select(l => l.TrimEnd(' ', '\t', '\\')).ToArray();
        if (
            !broken
            && lines.Length > 1
            && lines[..^1].Any(l => l.Length > LongestOfVerse)
            && !Paragraphs.IsTable(string.Join('\n', lines))
        )
            return string.Join(' ', lines.Select(l => l.Trim()));
        // A line that is set in far, as verse does, stays so; a stray space before a paragraph goes.
        return lines.Length > 1 || (lines.Length == 1 && lines[0].StartsWith("    ", StringComparison.Ordinal))
            ? string.Join('\n', lines)
            : string.Concat(lines).Trim();
    }

    /// <summary>A heading stands alone, whether or not a blank line follows it.</summary>
    private static readonly Regex Heading = new(@"^(#+ [^\n]*)\n", RegexOptions.Multiline);
}

public sealed record WordFile(string Word, string PartOfSpeech, string Meaning, string Example);

/// <summary>A content folder that cannot be read, in words for its writer.</summary>
public sealed class ContentFault(Message message) : Exception(message.ToString())
{
    public Message Said { get; } = message;
}
