using DeepCurrent.Core.Depth;
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
    public Fathoms? Difficulty { get; init; }

    /// <summary>Of an answer: the chance to be right without reading.</summary>
    public Probability? Guess { get; init; }

    public bool? Correct { get; init; }

    /// <summary>Of a level, in fathoms.</summary>
    public Fathoms? Value { get; init; }

    /// <summary>Of a level: how sure it is, in fathoms.</summary>
    public double? Sd { get; init; }

    /// <summary>What was read, in fathoms.</summary>
    public Fathoms? TextDepth { get; init; }

    public int? Words { get; init; }

    public int? Errors { get; init; }

    public Strand? Strand { get; init; }

    public TicketId? TicketId { get; init; }

    public RecordId? RecordId { get; init; }

    /// <summary>The part of a level check it comes from.</summary>
    public CheckPartId? PartId { get; init; }

    /// <summary>Why it does not count; null if it does.</summary>
    public string? LeftOut { get; init; }

    public Message Note { get; init; } = Message.Nothing;

    /// <summary>The level check this comes from: its evidence is noted as "check: what".</summary>
    public Message NotedCheck =>
        Note.Values switch
        {
            [{ Message: { } check }, ..] => check,
            [{ Text: { } typed }, ..] => Message.Verbatim(typed),
            _ => Message.Nothing,
        };

    /// <summary>What of the level check this is: a passage, the maze, word meaning.</summary>
    public Message NotedPart =>
        Note.Values switch
        {
            [.., { Message: { } part }] => part,
            [.., { Text: { } title }] => Message.Verbatim(title),
            _ => Message.Nothing,
        };

    /// <summary>The first attempt at a question.</summary>
    /// <param name="right">Null where a person has not marked it yet.</param>
    public static EvidenceRow Answer(
        EvidenceId id,
        DateTimeOffset at,
        Fathoms difficulty,
        Probability guess,
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
    public static EvidenceRow Level(EvidenceId id, DateTimeOffset at, Fathoms value, double sd) =>
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
        Fathoms textDepth,
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
            EvidenceKind.Answer => new AnswerEvidence(At, Difficulty!.Value, Guess!.Value.Value, Correct!.Value),
            EvidenceKind.Level => new LevelEvidence(At, Value!.Value, Sd!.Value),
            EvidenceKind.RunningRecord => new RunningRecordEvidence(At, TextDepth!.Value, Words!.Value, Errors!.Value),
            _ => throw new InvalidOperationException($"{Kind} is no kind of evidence."),
        };
}
