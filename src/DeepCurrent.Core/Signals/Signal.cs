using DeepCurrent.Core.Questions;

namespace DeepCurrent.Core.Signals;

/// <summary>One thing in the picture of what a signal rests on.</summary>
/// <param name="Day">When it was.</param>
/// <param name="Value">In the kind's own unit; see <see cref="Signal"/>.</param>
/// <param name="Low">Lower end of what was expected, where something was.</param>
/// <param name="High">Upper end of it.</param>
public sealed record SignalPoint(DateOnly Day, double Value, double? Low = null, double? High = null);

/// <summary>A signal, and what it rests on.</summary>
/// <remarks>
/// Figures and points by kind. Texts too hard, or ready for deeper ones: points are scores in percent between the ends of
/// their forecasts. Flicked through: seconds open, minutes it takes, words. Too fast: fast first tries, all first tries.
/// Strand: right, asked, right of the other strands, asked of them; misses after feedback. Back and forth: times turned
/// back, change of level in fm; points are depths of texts, Low where one was missed. Nothing read: school days, texts that
/// wait, 1 where they have never read; points are the last school days, 1 where something was read. Goal: target, what
/// there is, what is expected; chance. Feedback: points are missed questions of each result. Check: level, check. Question:
/// missed, answered, missed by the better half, all of the better half. Thin: half the range of the level, fm.
/// </remarks>
/// <param name="Reader">Null where it is about the class.</param>
/// <param name="About">Tells signals of one kind and reader apart: a strand, a kind of goal, a question; else empty.</param>
/// <param name="Mark">What it rests on, shortly: as long as it is the same, there is no new evidence.</param>
/// <param name="First">Day of the first evidence.</param>
/// <param name="Last">Day of the last.</param>
/// <param name="Title">Of the text or check it is about.</param>
public sealed record Signal(
    SignalKind Kind,
    ReaderId? Reader,
    string About,
    string Mark,
    DateOnly First,
    DateOnly Last,
    string? Title,
    IReadOnlyList<double> Figures,
    IReadOnlyList<SignalPoint> Points
)
{
    public Strand? Strand { get; init; }

    /// <summary>The ticket that the suggested step is about.</summary>
    public TicketId? Ticket { get; init; }

    /// <summary>Every ticket it rests on, oldest first.</summary>
    public IReadOnlyList<TicketId> Tickets { get; init; } = [];

    /// <summary>The assignment whose question it is about.</summary>
    public AssignmentId? Assignment { get; init; }

    /// <summary>The level check whose passages can be given again.</summary>
    public CheckId? Check { get; init; }
}
