using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Grouping;
using DeepCurrent.Core.Questions;

namespace DeepCurrent.Web.Groups;

/// <param name="GroupId">A group that there is.</param>
public sealed record PlaceBody(ReaderId ReaderId, GroupId GroupId);

public sealed record PairBody(ReaderId One, ReaderId Other);

/// <summary>Days on which a reader has something else.</summary>
public sealed record TimesBody(ReaderId ReaderId, IReadOnlyList<DayOfWeek> Days);

/// <summary>What groups of a class keep to.</summary>
/// <param name="Together">Readers who are to be in one group.</param>
/// <param name="Stays">Readers whose group is decided.</param>
/// <param name="NotIn">Groups that readers cannot be in.</param>
/// <param name="LeftOut">Readers who are in no group.</param>
/// <param name="MoveCost">Fathoms that moving a reader costs; 1 where nothing is said.</param>
/// <param name="Strands">Fathoms one percent of difference in strands weighs.</param>
/// <param name="Rate">Fathoms one word a minute weighs.</param>
public sealed record GroupRulesBody(
    int Groups,
    int Smallest,
    int Largest,
    IReadOnlyList<PairBody>? Together = null,
    IReadOnlyList<PairBody>? Apart = null,
    IReadOnlyList<PlaceBody>? Stays = null,
    IReadOnlyList<PlaceBody>? NotIn = null,
    IReadOnlyList<ReaderId>? LeftOut = null,
    double? MoveCost = null,
    double? Strands = null,
    double? Rate = null
)
{
    /// <summary>Days on which readers cannot come: meetings avoid them, and who has no school day in common is in no
    /// group together.</summary>
    public IReadOnlyList<TimesBody>? Cannot { get; init; }

    /// <summary>Weekdays on which nobody meets, because the teacher cannot: planning a week begins with them.</summary>
    public IReadOnlyList<DayOfWeek>? Shut { get; init; }
}

/// <summary>A group as it may be next.</summary>
/// <param name="Id">The group it goes on as; null for a new one.</param>
public sealed record NextGroup(GroupId? Id, string Name, IReadOnlyList<ReaderId> ReaderIds);

/// <summary>A way out of rules that conflict.</summary>
/// <param name="Rules">The same rules with that one change.</param>
public sealed record GroupFixView(Message Sentence, GroupRulesBody Rules);

/// <summary>A proposal, or why there is none.</summary>
/// <param name="Cost">Fathoms: distances to the middles, and moves.</param>
/// <param name="Gap">How much better a plan could at most be, 0 to 1.</param>
/// <param name="Conflict">The fewest rules that cannot be kept together; none where there is a proposal.</param>
public sealed record ProposalView(
    IReadOnlyList<NextGroup> Groups,
    double Cost,
    bool ProvenBest,
    double Gap,
    IReadOnlyList<Message> Conflict,
    IReadOnlyList<GroupFixView> Fixes
);

/// <param name="Level">Fathoms of difference in depth.</param>
/// <param name="Strands">Of strands.</param>
/// <param name="Rate">Of the rate of reading aloud.</param>
public sealed record ApartView(double Level, double Strands, double Rate)
{
    public required double Sum { get; init; }

    public static ApartView Of(Apartness a) => new(a.Depth, a.Strands, a.Rate) { Sum = a.Sum };
}

/// <summary>Why a reader is where they are.</summary>
/// <param name="Group">Its place in the plan, from 0.</param>
/// <param name="Other">The nearest other group's place; −1 with one group.</param>
/// <param name="Turning">Fathoms by which the level would have to change to be as near to the other; null where the level
/// alone cannot.</param>
/// <param name="AtEdge">Hardly nearer to the own group.</param>
/// <param name="Moves">Is in another group now.</param>
/// <param name="Likely">Of a mover, the chance of belonging to the new group rather than to the old one.</param>
/// <param name="Need">The strand with the lowest mastery, where one was asked often enough.</param>
public sealed record PlacementView(
    ReaderId ReaderId,
    int Group,
    ApartView Own,
    int Other,
    ApartView OtherAway,
    double? Turning,
    bool AtEdge,
    bool Moves,
    Probability? Likely,
    Strand? Need,
    WordsPerMinute? Rate
);

/// <summary>What a plan comes to.</summary>
/// <param name="Cost">Fathoms, moves included.</param>
/// <param name="NowCost">What the groups there are come to; null where there are none.</param>
/// <param name="Broken">Rules it does not keep.</param>
public sealed record JudgedView(
    double Cost,
    double? NowCost,
    IReadOnlyList<PlacementView> Placements,
    IReadOnlyList<Message> Broken
);

/// <param name="AdultId">Who meets the group; null for nobody.</param>
public sealed record LeadRequest(AdultId? AdultId);

public sealed record JudgeRequest(GroupRulesBody Rules, IReadOnlyList<NextGroup> Groups);

public sealed record SaveGroupsRequest(IReadOnlyList<Data.Groups.NewGroup> Groups);

public sealed record SavedGroups(ChangeId? ChangeId, Message Summary);
