namespace DeepCurrent.Core.Meetings;

/// <summary>A group whose meetings are planned.</summary>
/// <param name="Need">How much it needs its teacher, 0 or more; only its share of all counts.</param>
/// <param name="Held">Days on which it meets already.</param>
public sealed record GroupToMeet(GroupId Group, double Need, IReadOnlyList<DateOnly> Held)
{
    /// <summary>How many of the group cannot come, by day; none on days that are not named.</summary>
    public IReadOnlyDictionary<DateOnly, int> Missing { get; init; } = new Dictionary<DateOnly, int>();
}

/// <summary>A meeting on a day.</summary>
public sealed record MeetingOn(GroupId Group, DateOnly Day);

/// <summary>Spreads the meetings a teacher can hold over a week: every group once before any twice, then by need, a group at
/// most once a day, on days when most can come, and its days apart.</summary>
public static class MeetingWeek
{
    /// <param name="groups">In the order in which they are shown.</param>
    /// <param name="days">Days that are open, in order.</param>
    /// <param name="wanted">Meetings in all, with those that are held already.</param>
    /// <param name="aDay">Most meetings on one day.</param>
    /// <returns>Those to be added, by day; fewer where the days are full.</returns>
    /// <exception cref="ArgumentOutOfRangeException"><paramref name="wanted"/> or <paramref name="aDay"/> is
    /// negative.</exception>
    public static IReadOnlyList<MeetingOn> Plan(
        IReadOnlyList<GroupToMeet> groups,
        IReadOnlyList<DateOnly> days,
        int wanted,
        int aDay
    )
    {
        ArgumentOutOfRangeException.ThrowIfNegative(wanted);
        ArgumentOutOfRangeException.ThrowIfNegative(aDay);
        var load = days.ToDictionary(d => d, d => groups.Sum(g => g.Held.Count(h => h == d)));
        var mine = groups.ToDictionary(g => g.Group, g => g.Held.ToList());
        var made = new List<MeetingOn>();
        for (var left = wanted - groups.Sum(g => g.Held.Count); left > 0; left--)
        {
            var next = groups
                .Where(g => days.Any(d => load[d] < aDay && !mine[g.Group].Contains(d)))
                // Webster's method: the next meeting goes to whoever is furthest below their share.
                .OrderBy(g => mine[g.Group].Count > 0)
                .ThenByDescending(g => g.Need / (2 * mine[g.Group].Count + 1))
                .FirstOrDefault();
            if (next is null)
                break;
            var day = days.Where(d => load[d] < aDay && !mine[next.Group].Contains(d))
                .OrderBy(d => next.Missing.GetValueOrDefault(d))
                .ThenByDescending(d => Apart(d, mine[next.Group]))
                .ThenBy(d => load[d])
                .ThenBy(d => d)
                .First();
            load[day]++;
            mine[next.Group].Add(day);
            made.Add(new(next.Group, day));
        }
        return [.. made.OrderBy(m => m.Day)];
    }

    private static int Apart(DateOnly day, IReadOnlyList<DateOnly> others) =>
        others.Count == 0 ? 0 : others.Min(o => Math.Abs(o.DayNumber - day.DayNumber));
}
