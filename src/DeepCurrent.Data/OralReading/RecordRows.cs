using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Measuring;
using DeepCurrent.Core.OralReading;
using DeepCurrent.Data.Schools;
using DeepCurrent.Data.Texts;

namespace DeepCurrent.Data.OralReading;

/// <summary>How a question that was asked aloud was answered.</summary>
public sealed record OralAnswer(QuestionId QuestionId, bool Right);

/// <summary>What a teacher has put on a running record.</summary>
/// <param name="Seconds">0 while it is not timed.</param>
/// <param name="LastWord">The last word read, where the reader stopped early.</param>
/// <param name="Retelling">Points by part.</param>
public sealed record SheetData(
    IReadOnlyList<SheetMark> Marks,
    double Seconds,
    int? LastWord,
    int Pauses,
    IReadOnlyDictionary<string, int> Retelling,
    IReadOnlyList<OralAnswer> Answers,
    string Note
)
{
    public static readonly SheetData Blank = new([], 0, null, 0, new Dictionary<string, int>(), [], "");
}

public sealed record RunningRecord
{
    public required RecordId Id { get; init; }

    public required ReaderId ReaderId { get; init; }

    public required VersionId? VersionId { get; init; }

    public required TextId? TextId { get; init; }

    public required TicketId? TicketId { get; init; }

    public required string Title { get; init; }

    public required string Body { get; init; }

    public required Fathoms TextDepth { get; init; }

    public required bool Fiction { get; init; }

    public required bool Done { get; init; }

    public required DateTimeOffset MadeAt { get; init; }

    public required DateTimeOffset ReadAt { get; init; }

    public required SheetData Sheet { get; init; }

    public required int Revision { get; init; }

    public required bool Gone { get; init; }

    public required double? SoundSeconds { get; init; }

    /// <summary>What the listening device heard.</summary>
    public required IReadOnlyList<HeardWord>? Heard { get; init; }

    /// <summary>Null where there is nothing to listen to.</summary>
    public required ListeningState? Listening { get; init; }

    /// <summary>Why it failed.</summary>
    public required Message? ListenNote { get; init; }

    public required string? By { get; init; }
}

/// <summary>A new record; the same id again changes nothing.</summary>
public sealed record NewRecord(
    RecordId Id,
    ReaderId ReaderId,
    VersionId? VersionId,
    TextId? TextId,
    TicketId? TicketId,
    AdultId? AdultId,
    string Title,
    string Body,
    Fathoms TextDepth,
    bool Fiction,
    DateTimeOffset At
);
