using DeepCurrent.Core.Depth;

namespace DeepCurrent.Core.Goals;

/// <summary>What a goal of a term is about.</summary>
public enum GoalKind
{
    /// <summary>Mean first-attempt score, percent.</summary>
    Comprehension,

    /// <summary>Words of texts that were read and understood.</summary>
    Words,

    /// <summary>Depth at the end of the term, fathoms.</summary>
    Depth,
}

/// <summary>What can be asked for in a goal of a kind.</summary>
public static class GoalKindRules
{
    /// <summary>The least and the most a goal can ask for, in the kind's own unit.</summary>
    public static (double Least, double Most) Bounds(this GoalKind kind) =>
        kind switch
        {
            GoalKind.Words => (1, 1_000_000),
            GoalKind.Comprehension => (1, 100),
            GoalKind.Depth => (Fathoms.Shallowest, Fathoms.Deepest),
            _ => throw Unknown(kind),
        };

    /// <summary>What is said of a goal outside its bounds.</summary>
    public static Message Fault(this GoalKind kind) =>
        kind switch
        {
            GoalKind.Words => $"Enter 1 to 1,000,000 words.",
            GoalKind.Comprehension => $"Enter 1 to 100%.",
            GoalKind.Depth => $"Enter a depth from −20 to 100 fm.",
            _ => throw Unknown(kind),
        };

    internal static ArgumentOutOfRangeException Unknown(GoalKind kind) =>
        new(nameof(kind), kind, "There is no such kind of goal.");
}
