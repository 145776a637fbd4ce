using DeepCurrent.Core.Depth;
using DeepCurrent.Core.LevelChecks;
using DeepCurrent.Core.Roster;

namespace DeepCurrent.Data.LevelChecks;

/// <summary>A check as its reader sees it in a list.</summary>
/// <param name="Left">Parts that are still to be done.</param>
public sealed record MyCheck(SittingId Id, string Title, DateOnly? ClosesOn, bool Begun, int Left);

/// <summary>One answer as it is sent.</summary>
/// <param name="Picks">Places, as they were shown.</param>
public sealed record SentAnswer(AnswerId Id, int Item, IReadOnlyList<int> Picks, DateTimeOffset At, int Milliseconds);

public sealed record StageAnswer(
    AnswerId Id,
    int Item,
    IReadOnlyList<int> Picks,
    bool Correct,
    bool TooFast,
    DateTimeOffset At
);

/// <summary>What was put to the reader at once, with the right answers; they do not leave the server.</summary>
public sealed record Stage(
    StageId Id,
    int Position,
    string Title,
    Fathoms? TextDepth,
    IReadOnlyList<IReadOnlyList<string>> Pages,
    IReadOnlyList<CheckItem> Items,
    IReadOnlyList<StageAnswer> Answers,
    double Seconds,
    DateTimeOffset ServedAt,
    bool Done
)
{
    /// <summary>The last that was heard of the reader's work on it.</summary>
    public DateTimeOffset LastContact => Answers.Select(a => a.At).Append(ServedAt).Max();
}

/// <param name="Refused">Answers that were given after the check had ended, and are not taken.</param>
public sealed record KeptStage(Sitting Sitting, int Refused);

/// <summary>A reader's own copy of a level check, as far as it is.</summary>
/// <param name="Now">The part that is under way, or the one that comes next; null when all is done.</param>
/// <param name="Stage">What is put to the reader; null before a part is begun.</param>
/// <param name="Spent">Seconds spent in the part before this stage.</param>
/// <param name="Limit">Seconds the part may take.</param>
/// <param name="Tomorrow">The next part opens on another day.</param>
public sealed record Sitting(
    SittingId Id,
    ReaderId ReaderId,
    ClassId? ClassId,
    LevelCheck Check,
    Supports Supports,
    IReadOnlyList<PartRow> Parts,
    PartRow? Now,
    Stage? Stage,
    double Spent,
    double Limit,
    bool Tomorrow
);
