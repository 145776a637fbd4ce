using DeepCurrent.Core.Questions;
using DeepCurrent.Formats.Content;

namespace DeepCurrent.Formats.Texts;

/// <summary>A picture that came with a text.</summary>
/// <param name="Name">As the text names it: ![alt](name).</param>
/// <param name="Alt">What it shows, for those who do not see it; empty where the file does not say.</param>
public sealed record DraftPicture(string Name, byte[] Bytes, string Alt);

/// <summary>A text as a file holds it, before a teacher takes it in.</summary>
/// <param name="Versions">Markdown; one for files that know of no versions.</param>
public sealed record TextDraft(
    string Title,
    IReadOnlyList<VersionFile> Versions,
    IReadOnlyList<DraftPicture> Pictures,
    IReadOnlyList<Question> Questions,
    IReadOnlyList<WordFile> Words,
    string Kind = "",
    string Topic = "",
    bool? Fiction = null,
    string Spelling = "",
    string Blurb = "",
    string Season = ""
)
{
    public static TextDraft Of(string title, string body, IReadOnlyList<DraftPicture>? pictures = null) =>
        new(title, [new("a", 0, body)], pictures ?? [], [], []);
}

/// <param name="Notes">What was found in the file and left out, a sentence each.</param>
public sealed record DraftFile(IReadOnlyList<TextDraft> Texts, IReadOnlyList<Message> Notes);
