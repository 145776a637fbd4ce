namespace DeepCurrent.Core.Grouping;

/// <summary>When groups that stand are looked at again, and which moves are worth making then.</summary>
public static class LookAgain
{
    /// <summary>Weeks without a change after which groups are looked at again.</summary>
    public const int DueAfter = 3;

    /// <summary>A move is worth making from this probability on that the reader belongs to the other group.</summary>
    public const double Worth = 0.6;

    /// <summary>How long groups have stood, in whole weeks.</summary>
    /// <param name="changed">Days on which readers last came into each group.</param>
    /// <returns>Null while it is too early to look again, or where there are no groups.</returns>
    public static int? Standing(IReadOnlyCollection<DateOnly> changed, DateOnly today)
    {
        if (changed.Count == 0)
            return null;
        var weeks = (today.DayNumber - changed.Max().DayNumber) / 7;
        return weeks >= DueAfter ? weeks : null;
    }

    /// <summary>The moves worth making, the surest first.</summary>
    public static IReadOnlyList<ProposedMove> WorthMaking(IEnumerable<ProposedMove> moves) =>
        [.. moves.Where(m => m.Likely >= Worth).OrderByDescending(m => m.Likely)];
}
