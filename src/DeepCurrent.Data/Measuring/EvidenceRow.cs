using DeepCurrent.Core.Measuring;
using DeepCurrent.Core.Questions;

namespace DeepCurrent.Data.Measuring;

/// <summary>One piece of evidence as it is kept: made by the factory of its kind, which asks for what that kind
/// needs.</summary>
public sealed record EvidenceRow
{
    public required EvidenceId Id { get; init; }

    public required DateTimeOffset At { get; init; }

    public required EvidenceKind Kind { get; init; }

    /// <summary>Of an answer: the question's, in fathoms.</summary>
    public double? Difficulty { get; init; }

    /// <summary>Of an answer: the chance to be right without reading.</summary>
    public double? Guess { get; init; }

    public bool? Correct { get; init; }

    /// <summary>Of a level, in fathoms.</summary>
    public double? Value { get; init; }

    /// <summary>Of a level: how sure it is, in fathoms.</summary>
    public double? Sd { get; init; }

    /// <summary>What was read, in fathoms.</summary>
    public double? TextDepth { get; init; }

    public int? Words { get; init; }

    public int? Errors { get; init; }

    public Strand? Strand { get; init; }

    public TicketId? TicketId { get; init; }

    public RecordId? RecordId { get; init; }

    /// <summary>The part of a level check it comes from.</summary>
    public CheckPartId? PartId { get; init; }

    /// <summary>Why it does not count; null if it does.</summary>
    public string? LeftOut { get; init; }

    public string Note { get; init; } = "";

    /// <summary>The first attempt at a question.</summary>
    /// <param name="right">Null where a person has not marked it yet.</param>
    public static EvidenceRow Answer(
        EvidenceId id,
        DateTimeOffset at,
        double difficulty,
        double guess,
        bool? right,
        Strand? strand
    ) =>
        new()
        {
            Id = id,
            At = at,
            Kind = EvidenceKind.Answer,
            Difficulty = difficulty,
            Guess = guess,
            Correct = right,
            Strand = strand,
        };

    /// <summary>A level that somebody states, or that was measured elsewhere.</summary>
    public static EvidenceRow Level(EvidenceId id, DateTimeOffset at, double value, double sd) =>
        new()
        {
            Id = id,
            At = at,
            Kind = EvidenceKind.Level,
            Value = value,
            Sd = sd,
        };

    /// <summary>A text read aloud, with what went wrong.</summary>
    public static EvidenceRow RunningRecord(
        EvidenceId id,
        DateTimeOffset at,
        double textDepth,
        int words,
        int errors
    ) =>
        new()
        {
            Id = id,
            At = at,
            Kind = EvidenceKind.RunningRecord,
            TextDepth = textDepth,
            Words = words,
            Errors = errors,
        };

    /// <summary>The piece for the estimate.</summary>
    /// <exception cref="InvalidOperationException">It has not been marked.</exception>
    public Evidence Piece() =>
        Kind switch
        {
            EvidenceKind.Answer => new AnswerEvidence(At, new(Difficulty!.Value), Guess!.Value, Correct!.Value),
            EvidenceKind.Level => new LevelEvidence(At, new(Value!.Value), Sd!.Value),
            EvidenceKind.RunningRecord => new RunningRecordEvidence(
                At,
                new(TextDepth!.Value),
                Words!.Value,
                Errors!.Value
            ),
            _ => throw new InvalidOperationException($"{Kind} is no kind of evidence."),
        };
}
