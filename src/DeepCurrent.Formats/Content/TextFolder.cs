using DeepCurrent.Core.Questions;

namespace DeepCurrent.Formats.Content;

/// <summary>A text as its content folder describes it: text.yaml, quiz.yaml, and one Markdown file a version.</summary>
public sealed record TextFolder(string Slug, string Title, string Kind, string Topic, bool Fiction, string Spelling, string Blurb, IReadOnlyList<VersionFile> Versions, IReadOnlyList<QuestionFile> Questions, IReadOnlyList<WordFile> Words);

/// <param name="Target">Depth the writer aimed at, fm.</param>
/// <param name="Body">Markdown: paragraphs, headings, and --- between pages.</param>
public sealed record VersionFile(string Label, double Target, string Body)
{
    /// <summary>The words a reader reads: no marks of Markdown.</summary>
    public string PlainText => string.Join("\n\n", Pages.SelectMany(p => p).Select(p => p.TrimStart('#', ' ')));

    /// <summary>Pages of paragraphs; a heading is a paragraph that begins with #.</summary>
    public IReadOnlyList<IReadOnlyList<string>> Pages =>
        [.. Body.Replace("\r", "").Split("\n---\n").Select(page => (IReadOnlyList<string>)[.. page.Split("\n\n").Select(p => p.Trim().Replace('\n', ' ')).Where(p => p.Length > 0)]).Where(p => p.Count > 0)];
}

/// <param name="Proof">The sentence of each version that proves the answer, by version label; "all" where they share it.</param>
public sealed record QuestionFile(Strand Strand, string Stem, IReadOnlyList<ChoiceFile> Choices, IReadOnlyDictionary<string, string> Proof);

/// <param name="Reason">Why it is right, or what went wrong.</param>
public sealed record ChoiceFile(string Text, bool Right, string Reason);

public sealed record WordFile(string Word, string PartOfSpeech, string Meaning, string Example);

/// <summary>A content folder that cannot be read, in words for its writer.</summary>
public sealed class ContentFault(string message) : Exception(message);
