namespace DeepCurrent.Core.Assignments;

/// <summary>Where an assignment lies in the week.</summary>
public enum WeekRowKind
{
    /// <summary>Everybody of the class, or readers of several groups.</summary>
    Everybody,
    Group,

    /// <summary>Few readers, or those who are in no group.</summary>
    Single,
}

/// <param name="GroupId">Only of a group's row.</param>
public sealed record WeekRow(WeekRowKind Kind, GroupId? GroupId = null)
{
    /// <summary>The row for readers who were meant by name: their group's where all of them are in one, unless it is a
    /// reader alone; else everybody's where they are at least half of the class; else single readers'.</summary>
    /// <param name="aims">What was said when it was given.</param>
    /// <param name="readers">Who has it, or is to have it.</param>
    /// <param name="groups">The class's groups today.</param>
    /// <param name="roster">How many readers the class has.</param>
    public static WeekRow Of(
        IReadOnlyList<Aim> aims,
        IReadOnlyCollection<ReaderId> readers,
        IReadOnlyDictionary<GroupId, IReadOnlyList<ReaderId>> groups,
        int roster
    )
    {
        if (aims.Any(a => a is { GroupId: null, ReaderId: null }))
            return new(WeekRowKind.Everybody);
        if (aims is [{ GroupId: { } only }] && groups.ContainsKey(only))
            return new(WeekRowKind.Group, only);
        var inOne = groups.Where(g => readers.All(g.Value.Contains)).Select(g => g.Key).ToList();
        if (readers.Count > 1 && inOne.Count > 0)
            return new(WeekRowKind.Group, inOne[0]);
        return new(readers.Count > 1 && 2 * readers.Count >= roster ? WeekRowKind.Everybody : WeekRowKind.Single);
    }
}
