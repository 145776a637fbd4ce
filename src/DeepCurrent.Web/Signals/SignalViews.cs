using DeepCurrent.Core.Goals;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Signals;
using DeepCurrent.Data.Signals;

namespace DeepCurrent.Web.Signals;

/// <param name="ReaderId">Null where it is about the class.</param>
/// <param name="Title">Of the text or check.</param>
/// <param name="First">Day of the first evidence.</param>
/// <param name="Figures">What is said of it; see the kind.</param>
/// <param name="Points">What is drawn of it.</param>
/// <param name="Until">First day on which one that is put off is new again.</param>
/// <param name="Step">What to do about it.</param>
public sealed record SignalView(
    SignalId Id,
    SignalKind Kind,
    ReaderId? ReaderId,
    string? Title,
    DateOnly First,
    DateOnly Last,
    IReadOnlyList<double> Figures,
    IReadOnlyList<SignalPoint> Points,
    SignalState State,
    DateOnly? Until,
    SignalStep Step
)
{
    public required Strand? Strand { get; init; }

    /// <summary>The kind of goal it is about, for that kind of signal.</summary>
    public required GoalKind? Goal { get; init; }

    /// <summary>The ticket that its step is about.</summary>
    public required TicketId? TicketId { get; init; }

    public required AssignmentId? AssignmentId { get; init; }

    /// <summary>The question it is about, with its assignment.</summary>
    public required QuestionId? QuestionId { get; init; }

    /// <summary>The level check whose passages can be given again; null where there is none.</summary>
    public required CheckId? CheckId { get; init; }

    public static SignalView Of(KeptSignal kept)
    {
        var s = kept.Signal;
        return new(
            kept.Id,
            s.Kind,
            s.Reader,
            s.Title,
            s.First,
            s.Last,
            s.Figures,
            s.Points,
            kept.State,
            kept.Until,
            SignalSteps.Of(s.Kind)
        )
        {
            Strand = s.Strand,
            Goal = Enum.TryParse<GoalKind>(s.About, out var goal) ? goal : null,
            TicketId = s.Ticket,
            AssignmentId = s.Assignment,
            QuestionId =
                s.Assignment is not null && Core.QuestionId.TryParse(s.About, null, out var question) ? question : null,
            CheckId = s.Check,
        };
    }

    /// <summary>Those that ask to be looked at: neither put off nor done, the gravest first.</summary>
    public static IReadOnlyList<SignalView> Open(IEnumerable<KeptSignal> kept) =>
        [
            .. kept.Where(k => k.State is SignalState.New or SignalState.Seen)
                .OrderBy(k => k.Signal.Kind)
                .ThenByDescending(k => k.Signal.Last)
                .Select(Of),
        ];
}

/// <summary>The signals of a class.</summary>
/// <param name="UpTo">When the evidence was looked through.</param>
/// <param name="Open">New and seen, the gravest first.</param>
/// <param name="PutOff">Those that wait for a day, the next first.</param>
/// <param name="Resolved">Of this term, latest first.</param>
public sealed record SignalsView(
    DateTimeOffset UpTo,
    IReadOnlyList<SignalView> Open,
    IReadOnlyList<SignalView> PutOff,
    IReadOnlyList<EndedSignal> Resolved
);

/// <param name="Until">For putting off: a day from tomorrow on.</param>
public sealed record SignalRequest(IReadOnlyList<SignalId> Ids, SignalDeed Deed, DateOnly? Until = null);

public sealed record SignalsDone(int Done);
