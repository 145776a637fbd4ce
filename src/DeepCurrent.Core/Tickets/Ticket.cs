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
    Withdrawn,
}

/// <summary>What happens to a ticket.</summary>
public enum TicketStep
{
    BecomesVisible,
    Opened,
    HandedIn,
    ScoredWhole,
    NeedsPerson,
    Marked,
    Released,
    SentBack,
    Withdrawn,
    Restored,
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
            (TicketState.HandedIn, TicketStep.NeedsPerson) => TicketState.ToMark,
            (TicketState.ToMark, TicketStep.Marked) => TicketState.Marked,
            (TicketState.Marked, TicketStep.Released) => TicketState.Released,
            (
                TicketState.HandedIn
                    or TicketState.ToMark
                    or TicketState.Marked
                    or TicketState.Released,
                TicketStep.SentBack
            ) => TicketState.SentBack,
            (not TicketState.Withdrawn, TicketStep.Withdrawn) => TicketState.Withdrawn,
            (TicketState.Withdrawn, TicketStep.Restored) => TicketState.Waiting,
            _ => null,
        };

    /// <summary>The name a state is stored and sent under.</summary>
    public static string Name(TicketState state) =>
        state switch
        {
            TicketState.UnderWay => "under way",
            TicketState.HandedIn => "handed in",
            TicketState.ToMark => "to mark",
            TicketState.SentBack => "sent back",
            _ => state.ToString().ToLowerInvariant(),
        };

    /// <summary>The state with a given name.</summary>
    /// <exception cref="ArgumentException">There is no such state.</exception>
    public static TicketState Parse(string name) =>
        Enum.GetValues<TicketState>().Cast<TicketState?>().FirstOrDefault(s => Name(s!.Value) == name)
        ?? throw new ArgumentException($"No ticket state is called {name}.", nameof(name));

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
