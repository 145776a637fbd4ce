using DeepCurrent.Core.Roster;

namespace DeepCurrent.Core.Messages;

/// <summary>Numbers of things in sentences.</summary>
public static class Counted
{
    /// <summary>So many of what a roster is made of.</summary>
    public static Message Of(RosterKind kind, int n) =>
        kind switch
        {
            RosterKind.Readers => Readers(n),
            RosterKind.Teachers => $"{n:count} teachers",
            RosterKind.Classes => $"{n:count} classes",
            RosterKind.Enrolments => $"{n:count} enrolments",
            RosterKind.Teaching => $"{n:count} teaching roles",
            _ => throw new ArgumentOutOfRangeException(nameof(kind), kind, "There is no such kind of thing."),
        };

    public static Message Readers(int n) => $"{n:count} readers";
}
