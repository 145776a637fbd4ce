namespace DeepCurrent.Core.Absences;

/// <summary>Days on which a reader was, or will be, not at school; both count.</summary>
/// <param name="Reason">In a teacher's words; may be empty.</param>
public sealed record Absence(AbsenceId Id, DateOnly From, DateOnly To, string Reason)
{
    /// <summary>No absence is longer, in days.</summary>
    public const int Longest = 200;

    /// <summary>Why it cannot be kept; null where it can.</summary>
    public Message? Fault =>
        To < From ? (Message)$"Choose a last day that is not before the first."
        : To.DayNumber - From.DayNumber >= Longest ? (Message)$"Choose {Longest} days or fewer."
        : null;

    /// <summary>Every day of some absences, once.</summary>
    public static IReadOnlySet<DateOnly> DaysOf(IEnumerable<Absence> absences) =>
        absences
            .SelectMany(a => Enumerable.Range(0, a.To.DayNumber - a.From.DayNumber + 1).Select(a.From.AddDays))
            .ToHashSet();
}
