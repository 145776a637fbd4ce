namespace DeepCurrent.Core.Assignments;

/// <summary>Whom an assignment is for: everybody of a class, or a group of it, or one of its readers.</summary>
/// <param name="GroupId">Null for everybody, and for one reader.</param>
/// <param name="ReaderId">Null for everybody, and for a group.</param>
public sealed record Aim(ClassId ClassId, GroupId? GroupId = null, ReaderId? ReaderId = null);

/// <summary>Who is meant by aims on a day.</summary>
public static class Aims
{
    /// <summary>The readers of a class that are meant, each once, in the roster's order. Who has left since is left
    /// out, and so is a group that is gone: nobody is put in its place.</summary>
    /// <param name="roster">The class's readers on that day.</param>
    /// <param name="groups">The class's groups on that day.</param>
    public static IReadOnlyList<ReaderId> Readers(
        IEnumerable<Aim> aims,
        ClassId classId,
        IReadOnlyList<ReaderId> roster,
        IReadOnlyDictionary<GroupId, IReadOnlyList<ReaderId>> groups
    )
    {
        var meant = new HashSet<ReaderId>();
        foreach (var aim in aims.Where(a => a.ClassId == classId))
            meant.UnionWith(
                aim.ReaderId is { } reader ? [reader]
                : aim.GroupId is { } group ? groups.GetValueOrDefault(group, [])
                : roster
            );
        return [.. roster.Where(meant.Contains)];
    }

    /// <summary>What was meant when those readers were chosen: everybody where it is the whole class, a group where it
    /// is just that group, else each of them. What is meant for a group follows its readers.</summary>
    public static IReadOnlyList<Aim> Of(
        ClassId classId,
        IReadOnlyCollection<ReaderId> chosen,
        IReadOnlyList<ReaderId> roster,
        IReadOnlyDictionary<GroupId, IReadOnlyList<ReaderId>> groups
    )
    {
        if (roster.Count > 1 && roster.All(chosen.Contains))
            return [new(classId)];
        var group = groups.FirstOrDefault(g =>
            g.Value.Count > 1 && g.Value.Count == chosen.Count && g.Value.All(chosen.Contains)
        );
        return group.Value is null
            ? [.. chosen.Distinct().Select(r => new Aim(classId, ReaderId: r))]
            : [new(classId, group.Key)];
    }
}
