using DeepCurrent.Core.Schools;

namespace DeepCurrent.Core.Grouping;

/// <summary>On which days of the week readers can come to a group.</summary>
public static class SharedDays
{
    /// <summary>Pairs of readers who can never come on one day, so that no group can meet with both.</summary>
    /// <param name="cannot">Readers, by key, with the days on which they have something else.</param>
    public static IEnumerable<ReaderPair> None(
        IReadOnlyList<(string Reader, IReadOnlyCollection<DayOfWeek> Days)> cannot
    ) =>
        cannot.SelectMany(
            (one, i) =>
                cannot
                    .Skip(i + 1)
                    .Where(other => !SchoolCalendar.Weekdays.Except(one.Days).Except(other.Days).Any())
                    .Select(other => new ReaderPair(one.Reader, other.Reader))
        );
}
