using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Texts;
using DeepCurrent.Data.Texts;
using DeepCurrent.Formats.Texts;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Texts;

/// <param name="File">Its bytes, in base64.</param>
public sealed record FileRequest(string Name, byte[] File);

/// <param name="Alt">What it shows, as the file says; empty where it does not.</param>
/// <param name="Bytes">As it will be kept; null for what is no picture that can be shown.</param>
public sealed record DraftPictureView(string Name, string Alt, string? Type, byte[]? Bytes);

/// <summary>A text in a file, before it is taken in.</summary>
public sealed record DraftTextView
{
    public required int Number { get; init; }

    public required string Title { get; init; }

    public required string Kind { get; init; }

    public required string Topic { get; init; }

    /// <summary>The file does not say its kind; it was guessed from the text.</summary>
    public required bool KindGuessed { get; init; }

    /// <summary>The file does not say its topic; it was guessed from the words.</summary>
    public required bool TopicGuessed { get; init; }

    public required bool Fiction { get; init; }

    public required string Start { get; init; }

    public required int Words { get; init; }

    public required int Versions { get; init; }

    public required int Questions { get; init; }

    /// <summary>Of its shallowest version; null where it cannot be measured.</summary>
    public required Fathoms? Depth { get; init; }

    public required double? DepthError { get; init; }

    public required Message? LevelName { get; init; }

    public required IReadOnlyList<RemarkView> Remarks { get; init; }

    public required IReadOnlyList<SuggestedWord> SuggestedWords { get; init; }

    public required IReadOnlyList<DraftPictureView> Pictures { get; init; }
}

public sealed record DraftFileView(IReadOnlyList<DraftTextView> Texts, IReadOnlyList<Message> Notes);

/// <param name="Number">Which text of the file.</param>
/// <param name="Alts">What each picture shows, by its name; a picture without words is not taken in.</param>
/// <param name="Words">Words to know besides those the file brings.</param>
public sealed record TakenText(
    int Number,
    string Title,
    string Kind,
    string Topic,
    bool Fiction,
    IReadOnlyDictionary<string, string>? Alts,
    IReadOnlyList<Word>? Words,
    TextId? Id = null
);

/// <param name="Mine">Only I see them.</param>
public sealed record BringRequest(string Name, byte[] File, bool Mine, IReadOnlyList<TakenText> Texts);

public sealed record BroughtText(TextId Id, string Title, IReadOnlyList<Message> Warnings);
