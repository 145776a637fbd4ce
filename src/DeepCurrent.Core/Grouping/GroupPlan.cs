using DeepCurrent.Core.Depth;

namespace DeepCurrent.Core.Grouping;

/// <summary>A reader to be placed.</summary>
/// <param name="Key">Whatever the caller knows the reader by.</param>
/// <param name="Mastery">Strand mastery in percent, the same strands in the same order for all; may be empty.</param>
public sealed record GroupCandidate(string Key, Fathoms Depth, IReadOnlyList<double> Mastery);

/// <summary>What a plan must keep to.</summary>
/// <param name="Groups">How many groups, at least 1.</param>
/// <param name="Smallest">Fewest readers in a group, at least 1.</param>
/// <param name="Largest">Most readers in a group.</param>
public sealed record GroupRules(int Groups, int Smallest, int Largest)
{
    /// <summary>Why these rules cannot be met by a number of readers, in words; null if they can.</summary>
    public Message? Conflict(int readers)
    {
        if (Groups < 1)
            return $"Ask for at least one group.";
        if (Smallest < 1 || Largest < Smallest)
            return $"Group sizes from {Smallest} to {Largest} do not fit. Set the smallest below the largest.";
        if (readers < Groups * Smallest)
            return $"{Groups:count} groups of at least {Smallest} need {Groups * Smallest} readers. There are {readers}.";
        if (readers > Groups * Largest)
            return $"{Groups:count} groups of at most {Largest} hold {Groups * Largest} readers. There are {readers}.";
        return null;
    }
}

/// <summary>One proposed group, shallow groups first.</summary>
/// <param name="Representative">The reader in the middle: the sum of distances to this one is least.</param>
public sealed record PlannedGroup(IReadOnlyList<GroupCandidate> Readers, GroupCandidate Representative);

/// <summary>A proposal for all readers.</summary>
/// <param name="Cost">Sum of distances to the representatives.</param>
/// <param name="Gap">How much better a plan could at most be, as a share of the cost; 0 if proven best.</param>
public sealed record GroupProposal(IReadOnlyList<PlannedGroup> Groups, double Cost, double Gap);
