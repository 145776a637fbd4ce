using DeepCurrent.Core.AssignmentResults;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Goals;
using DeepCurrent.Core.Questions;

namespace DeepCurrent.Core.Signals;

/// <summary>A first try at a question.</summary>
public sealed record FirstTry(QuestionId Question, Strand? Strand, AskedQuestion Asked, bool Right);

/// <summary>A text that was read and answered, as signals look at it.</summary>
public sealed record AnsweredReading
{
    public required TicketId Ticket { get; init; }

    public required string Title { get; init; }

    /// <summary>Handed in.</summary>
    public required DateTimeOffset At { get; init; }

    public required DateOnly Day { get; init; }

    /// <summary>Of the version that was read.</summary>
    public required Fathoms TextDepth { get; init; }

    /// <summary>The reader's level just before.</summary>
    public required Fathoms Level { get; init; }

    /// <summary>How sure that was, fm.</summary>
    public required double Sd { get; init; }

    /// <summary>The text was open, and somebody was there.</summary>
    public required double Seconds { get; init; }

    public required int Words { get; init; }

    /// <summary>First tries that say something; those given too fast are not among them.</summary>
    public required IReadOnlyList<FirstTry> Tries { get; init; }

    /// <summary>First tries given too fast to have been read.</summary>
    public required int TooFast { get; init; }

    /// <summary>When the reader could see the result; null while it is not released.</summary>
    public DateTimeOffset? ReleasedAt { get; init; }

    /// <summary>When the reader first looked at the result.</summary>
    public DateTimeOffset? LookedAt { get; init; }

    public int Right => Tries.Count(t => t.Right);

    public int Missed => Tries.Count - Right;

    /// <summary>Share right at once, 0 to 1; 0 where nothing says.</summary>
    public double Score => Tries.Count == 0 ? 0 : Right / (double)Tries.Count;

    /// <summary>What the text was forecast to be understood, 0 to 1.</summary>
    public double Forecast => Depth.Forecast.Comprehension(Level, TextDepth).Value;

    /// <summary>What was forecast of these questions.</summary>
    public ScoreForecast Expected => ScoreForecast.For(Level, Sd, [.. Tries.Select(t => t.Asked)]);
}

/// <summary>A goal of the running term, as signals look at it.</summary>
/// <param name="Goal">Tells it from one that was set later.</param>
/// <param name="Done">What there is, in the kind's own unit.</param>
/// <param name="Expected">What there will be at the term's end if the reader goes on like this.</param>
/// <param name="DaysSince">School days since it was set.</param>
/// <param name="DaysLeft">School days of the term to come.</param>
public sealed record GoalAhead(
    GoalId Goal,
    GoalKind Kind,
    double Target,
    double Done,
    double Expected,
    double Chance,
    DateOnly SetOn,
    int DaysSince,
    int DaysLeft
);

/// <summary>A level check that is done, beside the level before it.</summary>
/// <param name="Check">Null where it has no passages that could be given again.</param>
/// <param name="Level">From reading alone.</param>
/// <param name="LevelSd">How sure that was, fm.</param>
/// <param name="Found">What the check alone says.</param>
/// <param name="FoundSd">How sure that is, fm.</param>
public sealed record CheckDone(
    SittingId Sitting,
    CheckId? Check,
    string Name,
    DateOnly Day,
    Fathoms Level,
    double LevelSd,
    Fathoms Found,
    double FoundSd
);

/// <summary>What signals of one reader are found in.</summary>
public sealed record ReaderFacts
{
    public required ReaderId Reader { get; init; }

    /// <summary>Of the last six weeks, oldest first; none without questions.</summary>
    public required IReadOnlyList<AnsweredReading> Readings { get; init; }

    public required Fathoms Level { get; init; }

    /// <summary>How sure that is, fm.</summary>
    public required double Sd { get; init; }

    /// <summary>Typical growth at this level, fm a school week.</summary>
    public required double Growth { get; init; }

    /// <summary>Silent reading rate, words a minute.</summary>
    public required double Rate { get; init; }

    /// <summary>First day in the class.</summary>
    public required DateOnly Since { get; init; }

    /// <summary>The last day something was read; null where nothing ever was.</summary>
    public required DateOnly? LastRead { get; init; }

    /// <summary>Texts that are given and not begun.</summary>
    public required int Waiting { get; init; }

    public IReadOnlyList<GoalAhead> Goals { get; init; } = [];

    public IReadOnlyList<CheckDone> Checks { get; init; } = [];
}
