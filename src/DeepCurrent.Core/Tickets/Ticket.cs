using DeepCurrent.Core.Assignments;

namespace DeepCurrent.Core.Tickets;

/// <summary>Where one reader's copy of an assignment stands.</summary>
public enum TicketState
{
    Planned,
    Waiting,
    UnderWay,
    HandedIn,
    ToMark,
    Marked,
    Released,
    SentBack,
    TakenBack,

    /// <summary>Its last day passed and nothing had been answered.</summary>
    Closed,
}

/// <summary>What happens to a ticket.</summary>
public enum TicketStep
{
    BecomesVisible,
    Opened,
    HandedIn,
    ScoredWhole,

    /// <summary>Scored whole, and kept until its teacher releases it.</summary>
    Held,
    NeedsPerson,
    Marked,

    /// <summary>A mark was taken away again.</summary>
    Unmarked,
    Released,
    SentBack,
    GivenAgain,
    TakenBack,
    Restored,
    Closed,

    /// <summary>It goes on after all.</summary>
    Reopened,
}

/// <summary>How a round of a ticket began.</summary>
public enum RoundBegun
{
    Given,
    SentBack,
    GivenAgain,
}

/// <summary>How the attempts at one question went.</summary>
public enum AttemptMark
{
    RightAtOnce,
    AfterAnotherTry,
    NotYet,
    Unanswered,
}

/// <summary>The life of a ticket.</summary>
public static class TicketLife
{
    /// <summary>The state after a step, or null where the step cannot happen in that state.</summary>
    public static TicketState? After(TicketState state, TicketStep step) =>
        (state, step) switch
        {
            (TicketState.Planned, TicketStep.BecomesVisible) => TicketState.Waiting,
            (TicketState.Waiting or TicketState.SentBack, TicketStep.Opened) => TicketState.UnderWay,
            (TicketState.UnderWay, TicketStep.Opened) => TicketState.UnderWay,
            (TicketState.UnderWay, TicketStep.HandedIn) => TicketState.HandedIn,
            (TicketState.HandedIn, TicketStep.ScoredWhole) => TicketState.Released,
            (TicketState.HandedIn, TicketStep.Held) => TicketState.Marked,
            (TicketState.HandedIn, TicketStep.NeedsPerson) => TicketState.ToMark,
            (TicketState.ToMark, TicketStep.Marked) => TicketState.Marked,
            (TicketState.Marked, TicketStep.Unmarked) => TicketState.ToMark,
            (TicketState.Marked, TicketStep.Released) => TicketState.Released,
            (
                TicketState.HandedIn
                    or TicketState.ToMark
                    or TicketState.Marked
                    or TicketState.Released,
                TicketStep.SentBack
            ) => TicketState.SentBack,
            (
                TicketState.HandedIn
                    or TicketState.ToMark
                    or TicketState.Marked
                    or TicketState.Released,
                TicketStep.GivenAgain
            ) => TicketState.Waiting,
            (TicketState.Planned or TicketState.Waiting or TicketState.UnderWay, TicketStep.TakenBack) =>
                TicketState.TakenBack,
            (TicketState.TakenBack, TicketStep.Restored) => TicketState.Waiting,
            (TicketState.Closed, TicketStep.Reopened) => TicketState.Waiting,
            (
                TicketState.Planned
                    or TicketState.Waiting
                    or TicketState.UnderWay
                    or TicketState.SentBack,
                TicketStep.Closed
            ) => TicketState.Closed,
            _ => null,
        };

    /// <summary>The states in which a step can happen; what asks the database to take it names these.</summary>
    public static IReadOnlyList<TicketState> From(TicketStep step) =>
        [.. Enum.GetValues<TicketState>().Where(s => After(s, step) is not null)];

    /// <summary>The state after a step in a later round. Taking back and closing end that round only: what was handed in
    /// before stays, and so the ticket is where it was then.</summary>
    /// <param name="marked">Whether the round before has all its marks.</param>
    public static TicketState? After(TicketState state, TicketStep step, int round, bool marked) =>
        round == 1 || step is not (TicketStep.TakenBack or TicketStep.Closed) ? After(state, step)
        : Open(state) || state is TicketState.Planned ? (marked ? TicketState.Released : TicketState.ToMark)
        : null;

    /// <summary>How the round begins that a step begins: what was done before stays, and questions can be answered
    /// anew. Null where it begins none.</summary>
    public static RoundBegun? Begun(TicketStep step) =>
        step switch
        {
            TicketStep.SentBack => RoundBegun.SentBack,
            TicketStep.GivenAgain => RoundBegun.GivenAgain,
            _ => null,
        };

    /// <summary>Most rounds of one ticket.</summary>
    public const int MostRounds = 20;

    /// <summary>The step after it was handed in.</summary>
    /// <param name="toMark">A person has to mark something first.</param>
    public static TicketStep AfterHandingIn(bool toMark, ResultsShown results) =>
        toMark ? TicketStep.NeedsPerson
        : results is ResultsShown.WhenReleased ? TicketStep.Held
        : TicketStep.ScoredWhole;

    /// <summary>Whether its reader sees it.</summary>
    public static bool Seen(TicketState state) =>
        state is not (TicketState.Planned or TicketState.TakenBack or TicketState.Closed);

    /// <summary>Whether its reader may still read and answer.</summary>
    public static bool Open(TicketState state) =>
        state is TicketState.Waiting or TicketState.UnderWay or TicketState.SentBack;

    /// <summary>Whether it has been handed in and counts.</summary>
    public static bool Done(TicketState state) => Seen(state) && !Open(state);

    /// <summary>Whether a person has to do something before its reader sees the result.</summary>
    public static bool AtMarking(TicketState state) => state is TicketState.ToMark or TicketState.Marked;

    /// <summary>Tide mark of a question.</summary>
    /// <param name="attempts">Whether each attempt was right, in order.</param>
    public static AttemptMark MarkOf(IReadOnlyList<bool> attempts) =>
        attempts.Count == 0 ? AttemptMark.Unanswered
        : attempts[0] ? AttemptMark.RightAtOnce
        : attempts.Any(a => a) ? AttemptMark.AfterAnotherTry
        : AttemptMark.NotYet;

    /// <summary>True if a reader may try a question again: not yet right, and attempts left.</summary>
    /// <param name="allowed">Attempts the teacher allowed, 1 to 3.</param>
    public static bool MayTry(IReadOnlyList<bool> attempts, int allowed) =>
        attempts.Count < allowed && !attempts.Contains(true);

    /// <summary>Score of a quiz: share of its questions right at the first attempt. Unanswered questions are not right,
    /// but are never evidence.</summary>
    /// <exception cref="ArgumentException">The quiz has no questions.</exception>
    public static double Score(IReadOnlyList<AttemptMark> marks) =>
        marks.Count == 0
            ? throw new ArgumentException("A quiz has at least one question.", nameof(marks))
            : marks.Count(m => m == AttemptMark.RightAtOnce) / (double)marks.Count;
}
