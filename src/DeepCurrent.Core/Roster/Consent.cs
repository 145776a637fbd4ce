namespace DeepCurrent.Core.Roster;

/// <summary>Whose hands readers are in. Taking in a reader who is in somebody else's needs that person, or whoever
/// leads the school.</summary>
public static class Consent
{
    /// <summary>Readers whom a change takes into a class, or changes in any way, though they are in classes of others
    /// and in none of the asker's.</summary>
    /// <param name="change">What is to be done.</param>
    /// <param name="enrolments">Where the readers it touches are now, in classes that are open.</param>
    /// <param name="own">Classes in which the asker may change the roster.</param>
    public static IReadOnlySet<ReaderId> Missing(
        ChangeSet change,
        IEnumerable<Enrolment> enrolments,
        IReadOnlySet<ClassId> own
    )
    {
        var touched = change.TouchedReaders();
        return enrolments
            .Where(e => e.To is null && touched.Contains(e.ReaderId))
            .GroupBy(e => e.ReaderId)
            .Where(g => !g.Any(e => own.Contains(e.ClassId)))
            .Select(g => g.Key)
            .ToHashSet();
    }

    /// <summary>The same change without anything that touches some readers.</summary>
    public static ChangeSet Without(ChangeSet change, IReadOnlySet<ReaderId> readers) =>
        readers.Count == 0
            ? change
            : change with
            {
                Readers = [.. change.Readers.Where(s => !readers.Contains(s.Thing.Id))],
                Enrolments = [.. change.Enrolments.Where(s => !readers.Contains(s.Thing.ReaderId))],
                Levels = [.. change.Levels.Where(s => !readers.Contains(s.Thing.ReaderId))],
            };

    /// <summary>Of some readers, those whom a change takes into a class.</summary>
    public static IReadOnlyList<ReaderId> TakenIn(ChangeSet change, IReadOnlySet<ReaderId> readers) =>
        [
            .. change
                .Enrolments.Where(s =>
                    s.After is { To: null } && s.Before is not { To: null } && readers.Contains(s.After.ReaderId)
                )
                .Select(s => s.After!.ReaderId)
                .Distinct(),
        ];
}
