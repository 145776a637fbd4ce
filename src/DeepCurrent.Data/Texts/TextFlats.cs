using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Questions;
using DeepCurrent.Data.Storage;

namespace DeepCurrent.Data.Texts;

internal sealed record TextFlat(
    TextId Id,
    string Slug,
    string Title,
    string Kind,
    string Topic,
    bool Fiction,
    string Blurb,
    int Questions,
    int OnTheWay,
    int Used
);

internal sealed record VersionFlat
{
    public required VersionId Id { get; init; }

    public required TextId TextId { get; init; }

    public required string Title { get; init; }

    public required bool Fiction { get; init; }

    public required string Label { get; init; }

    public required string Pages { get; init; }

    public required int Words { get; init; }

    public required Fathoms Depth { get; init; }

    public required double DepthError { get; init; }

    public required string Measure { get; init; }

    public required Fathoms FormulaDepth { get; init; }

    public required double FormulaError { get; init; }

    public required Fathoms? StatedDepth { get; init; }

    public required string? StatedReason { get; init; }

    public required string? StatedBy { get; init; }

    public required DateTimeOffset? StatedAt { get; init; }

    public required Fathoms? ShownDepth { get; init; }

    public required double? ShownError { get; init; }

    public required Fathoms? ShownAlone { get; init; }

    public required double? ShownWeight { get; init; }

    public required int ShownReaders { get; init; }

    public required int ShownAnswers { get; init; }

    public VersionBody Body() =>
        new()
        {
            Id = Id,
            TextId = TextId,
            Title = Title,
            Fiction = Fiction,
            Label = Label,
            Pages = Database.FromJson<List<List<string>>>(Pages),
            Words = Words,
            Depth = Depth,
            DepthError = DepthError,
            Measure = Measure,
            FormulaDepth = FormulaDepth,
            FormulaError = FormulaError,
            Stated = StatedDepth is { } d ? new(d, StatedReason ?? "", StatedBy, StatedAt ?? default) : null,
            Shown = ShownDepth is { } shown
                ? new(shown, ShownError ?? 0, ShownAlone, ShownWeight ?? 0, ShownReaders, ShownAnswers)
                : null,
        };
}

internal sealed record QuestionFlat(
    QuestionId Id,
    int Position,
    string Strand,
    string Stem,
    string Choices,
    string Proofs,
    string Kind,
    bool Evidence,
    double Harder,
    string? Place,
    string? Rubric,
    double Shown
)
{
    public Question Question() =>
        new(
            Id,
            Position,
            Enum.Parse<Strand>(Strand),
            Stem,
            Database.FromJson<List<Choice>>(Choices),
            Database.FromJson<Dictionary<string, string>>(Proofs),
            Enum.Parse<QuestionKind>(Kind),
            Evidence,
            Harder,
            Place is null ? null : Database.FromJson<Dictionary<string, int>>(Place),
            Rubric is null ? null : Database.FromJson<Rubric>(Rubric)
        )
        {
            Shown = Shown,
        };
}
