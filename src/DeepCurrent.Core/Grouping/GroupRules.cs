namespace DeepCurrent.Core.Grouping;

/// <summary>Two readers, by key.</summary>
public readonly record struct ReaderPair(string One, string Other);

/// <summary>A reader and a group, by its number from 0.</summary>
public readonly record struct InGroup(string Reader, int Group);

/// <summary>What a grouping must keep to, and what it should cost.</summary>
/// <param name="Groups">How many groups, at least 1.</param>
/// <param name="Smallest">Fewest readers in a group, at least 1.</param>
/// <param name="Largest">Most readers in a group.</param>
public sealed record GroupRules(int Groups, int Smallest, int Largest)
{
    /// <summary>Readers who are to be in one group.</summary>
    public IReadOnlyList<ReaderPair> Together { get; init; } = [];

    /// <summary>Readers who are not to be in one group.</summary>
    public IReadOnlyList<ReaderPair> Apart { get; init; } = [];

    /// <summary>Readers whose group is decided.</summary>
    public IReadOnlyList<InGroup> Fixed { get; init; } = [];

    /// <summary>Groups that readers cannot be in: they have something else when it meets.</summary>
    public IReadOnlyList<InGroup> Barred { get; init; } = [];

    /// <summary>Where readers are now. A group that is none of the new ones, by its number, is one they leave in any
    /// case.</summary>
    public IReadOnlyList<InGroup> Current { get; init; } = [];

    /// <summary>Fathoms it costs to move a reader from the current group.</summary>
    public double MoveCost { get; init; } = 1;

    public GroupWeights Weights { get; init; } = GroupWeights.Usual;

    /// <summary>Groups are told apart by their number, not only by who is in them.</summary>
    public bool Numbered => Current.Count + Fixed.Count + Barred.Count > 0;
}

/// <summary>One proposed group.</summary>
/// <param name="Readers">Shallowest first.</param>
/// <param name="Representative">The reader in the middle: the sum of distances to this one is least.</param>
public sealed record PlannedGroup(IReadOnlyList<GroupCandidate> Readers, GroupCandidate Representative);

/// <summary>A reader who changes groups.</summary>
/// <param name="Likely">Probability, over the reader's own distribution, of being nearer to the middle of the new group
/// than to that of the old one; 1 where the old one is gone.</param>
public sealed record ProposedMove(string Reader, int From, int To, double Likely);

/// <summary>A proposal for all readers.</summary>
/// <param name="Groups">By their numbers; where nothing numbers them, shallow groups first.</param>
/// <param name="Cost">Sum of distances to the representatives, and of what moves cost.</param>
/// <param name="Bound">No grouping that keeps to the rules costs less.</param>
/// <param name="Proven">There is none better.</param>
public sealed record GroupProposal(
    IReadOnlyList<PlannedGroup> Groups,
    double Cost,
    double Bound,
    bool Proven,
    IReadOnlyList<ProposedMove> Moves
)
{
    /// <summary>How much better a plan could at most be, as a share of the cost; 0 if proven best.</summary>
    public double Gap => Cost <= 0 ? 0 : Math.Max(0, (Cost - Bound) / Cost);
}

/// <summary>A proposal, or the smallest set of rules that cannot all be kept.</summary>
public sealed record GroupAnswer(GroupProposal? Proposal, IReadOnlyList<GroupRule> Conflict);
