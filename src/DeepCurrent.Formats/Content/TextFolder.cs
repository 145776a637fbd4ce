using System.Text.RegularExpressions;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Texts;

namespace DeepCurrent.Formats.Content;

/// <summary>A text as its content folder describes it: text.yaml, quiz.yaml, and one Markdown file a version.</summary>
public sealed record TextFolder(string Slug, string Title, string Kind, string Topic, bool Fiction, string Spelling, string Blurb, string Season, IReadOnlyList<VersionFile> Versions, IReadOnlyList<Question> Questions, IReadOnlyList<WordFile> Words);

/// <param name="Target">Depth the writer aimed at, fm.</param>
/// <param name="Body">Markdown: paragraphs, headings, and --- between pages.</param>
public sealed record VersionFile(string Label, double Target, string Body)
{
    /// <summary>The version as a quiz is checked against it.</summary>
    public CheckedVersion Checked() => new(Label, [.. Pages.SelectMany(p => p)], TextMeasurer.Measure(Prose).Depth.Value);

    /// <summary>The words a reader reads: no marks of Markdown.</summary>
    public string PlainText => string.Join("\n\n", Pages.SelectMany(p => p).Where(p => !Paragraphs.IsPicture(p)).Select(p => p.TrimStart('#', ' ')));

    /// <summary>What is measured: the words without headings, which are no sentences.</summary>
    public string Prose => string.Join("\n\n", Pages.SelectMany(p => p).Where(Paragraphs.IsProse));

    /// <summary>Pages of paragraphs; a heading is a paragraph that begins with #.</summary>
    public IReadOnlyList<IReadOnlyList<string>> Pages =>
        [.. Body.Replace("\r", "").Split("\n---\n").Select(Parts).Where(p => p.Count > 0)];

    private static IReadOnlyList<string> Parts(string page) =>
        [.. Heading.Replace(page, "$1\n\n").Split("\n\n").Select(p => p.Trim().Replace('\n', ' ')).Where(p => p.Length > 0)];

    /// <summary>A heading stands alone, whether or not a blank line follows it.</summary>
    private static readonly Regex Heading = new(@"^(#+ [^\n]*)\n", RegexOptions.Multiline);
}

public sealed record WordFile(string Word, string PartOfSpeech, string Meaning, string Example);

/// <summary>A content folder that cannot be read, in words for its writer.</summary>
public sealed class ContentFault(string message) : Exception(message);
