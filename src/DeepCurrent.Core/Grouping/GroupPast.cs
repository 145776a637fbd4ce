using DeepCurrent.Core.Reports;

namespace DeepCurrent.Core.Grouping;

/// <summary>A reader's time in a group, and what became of it.</summary>
/// <param name="To">Null while it goes on.</param>
/// <param name="Change">Fathoms from the level as it began to the level as it ended, or now; null where one of them is not
/// known.</param>
/// <param name="Held">The group's meetings that were held meanwhile.</param>
/// <param name="Here">Those the reader was at.</param>
public sealed record GroupStay(
    ReaderId ReaderId,
    GroupId GroupId,
    string Group,
    DateTimeOffset From,
    DateTimeOffset? To,
    double? Change,
    int Held,
    int Here
);

/// <summary>What became of a group: over all who were in it.</summary>
/// <param name="From">When the first reader came.</param>
/// <param name="To">When the last one left; null while there is one.</param>
/// <param name="Readers">Who was in it at any time.</param>
/// <param name="Held">Meetings that were held.</param>
/// <param name="Change">Change of level of its readers while they were in it, fm; null of fewer than two.</param>
public sealed record GroupPast(
    GroupId GroupId,
    string Group,
    DateTimeOffset From,
    DateTimeOffset? To,
    int Readers,
    int Held,
    MeanRange? Change
)
{
    /// <summary>Groups with those that go on first, then the latest.</summary>
    /// <param name="held">Meetings that were held, by group.</param>
    public static IReadOnlyList<GroupPast> Of(IEnumerable<GroupStay> stays, IReadOnlyDictionary<GroupId, int> held) =>
        [
            .. stays
                .GroupBy(s => s.GroupId)
                .Select(g => new GroupPast(
                    g.Key,
                    g.First().Group,
                    g.Min(s => s.From),
                    g.Any(s => s.To is null) ? null : g.Max(s => s.To),
                    g.Select(s => s.ReaderId).Distinct().Count(),
                    held.GetValueOrDefault(g.Key),
                    // A reader who came twice is one reader, with all that changed.
                    MeanRange.Of([
                        .. g.GroupBy(s => s.ReaderId)
                            .Where(r => r.All(s => s.Change is not null))
                            .Select(r => r.Sum(s => s.Change!.Value)),
                    ])
                ))
                .OrderBy(g => g.To is not null)
                .ThenByDescending(g => g.To)
                .ThenBy(g => g.Group, StringComparer.CurrentCulture),
        ];
}
