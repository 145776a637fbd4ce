using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Questions;
using DeepCurrent.Data.Storage;

namespace DeepCurrent.Data.Texts;

public sealed record VersionHead(
    VersionId Id,
    TextId TextId,
    string Label,
    int Position,
    int Words,
    Fathoms Depth,
    double DepthError
);

/// <param name="OnTheWay">Questions between its paragraphs.</param>
/// <param name="Used">Tickets handed in by the class that asks.</param>
public sealed record TextRow(
    TextId Id,
    string Slug,
    string Title,
    string Kind,
    string Topic,
    bool Fiction,
    string Blurb,
    int Questions,
    int OnTheWay,
    int Used,
    IReadOnlyList<VersionHead> Versions
);

public sealed record Word(string Text, string Part, string Meaning, string Example);

public sealed record NewVersion(
    VersionId Id,
    string Label,
    int Position,
    IReadOnlyList<IReadOnlyList<string>> Pages,
    int Words,
    Fathoms Depth,
    double DepthError,
    string Measure
);

public sealed record NewText
{
    public required TextId Id { get; init; }

    /// <summary>Null for texts that ship.</summary>
    public required SchoolId? SchoolId { get; init; }

    public required string Slug { get; init; }

    public required string Title { get; init; }

    public required string Kind { get; init; }

    public required string Topic { get; init; }

    public required bool Fiction { get; init; }

    public required string Spelling { get; init; }

    public required string Blurb { get; init; }

    public required IReadOnlyList<NewVersion> Versions { get; init; }

    public required IReadOnlyList<Question> Questions { get; init; }

    public required IReadOnlyList<Word> Words { get; init; }

    public AdultId? OwnerId { get; init; }

    /// <summary>Only its owner sees it.</summary>
    public bool Mine { get; init; }

    public string Season { get; init; } = "";

    public TextId? CopiedFrom { get; init; }
}

/// <summary>One version with its pages and how it was measured.</summary>
public sealed record VersionBody
{
    public required VersionId Id { get; init; }

    public required TextId TextId { get; init; }

    public required string Title { get; init; }

    public required bool Fiction { get; init; }

    public required string Label { get; init; }

    public required IReadOnlyList<IReadOnlyList<string>> Pages { get; init; }

    public required int Words { get; init; }

    /// <summary>What counts; the formulas' own say is beside it.</summary>
    public required Fathoms Depth { get; init; }

    public required double DepthError { get; init; }

    public required string Measure { get; init; }

    public required Fathoms FormulaDepth { get; init; }

    public required double FormulaError { get; init; }

    public required StatedDepth? Stated { get; init; }

    public required ShownDepth? Shown { get; init; }
}

/// <summary>A depth to which readers' answers have moved the formulas'.</summary>
/// <param name="Alone">What the answers alone say; null where they say next to nothing.</param>
/// <param name="Weight">The answers' part in it, 0 to 1.</param>
public sealed record ShownDepth(Fathoms Depth, double Error, Fathoms? Alone, double Weight, int Readers, int Answers);

/// <summary>A depth that a person has set by hand.</summary>
public sealed record StatedDepth(Fathoms Depth, string Reason, string? By, DateTimeOffset At);

/// <param name="Owner">The name of whoever made it; null for texts that ship.</param>
public sealed record TextOwning(
    TextId Id,
    string Slug,
    SchoolId? SchoolId,
    AdultId? OwnerId,
    string? Owner,
    bool Mine,
    DateTimeOffset? RetiredAt,
    int Revision,
    string Spelling,
    string Season,
    TextId? CopiedFrom,
    DateTimeOffset ChangedAt
);

public sealed record TextRevision(int Revision, DateTimeOffset At, string? By, Message Note, NewText Text);

/// <param name="Revision">0 for a text from before there were revisions.</param>
public sealed record ShippedText(TextId Id, string Slug, int Revision, Message? Note);
