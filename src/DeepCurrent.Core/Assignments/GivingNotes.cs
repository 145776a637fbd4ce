using System.Text.RegularExpressions;
using DeepCurrent.Core.Schools;

namespace DeepCurrent.Core.Assignments;

/// <summary>A group as it is named to a teacher.</summary>
public sealed record NamedGroup(string Name, IReadOnlyList<ReaderId> Readers);

/// <summary>What stands out before something is given. Nothing of it is wrong; each may be what is wanted.</summary>
public static partial class GivingNotes
{
    private const int LongStretch = 21;

    /// <summary>What is unusual about its days.</summary>
    public static IEnumerable<Message> Days(AssignmentTerms terms, DateOnly today, SchoolCalendar calendar)
    {
        if (terms.VisibleFrom != today && !calendar.IsSchoolDay(terms.VisibleFrom))
            yield return $"The day readers first see it is not a school day.";
        if (terms.DueOn is not { } due)
            yield break;
        if (!calendar.IsSchoolDay(due))
            yield return $"The due day is not a school day.";
        if (due == terms.VisibleFrom)
            yield return $"It is due on the day readers first see it.";
        if (due.DayNumber - terms.VisibleFrom.DayNumber > LongStretch)
            yield return $"Readers have more than three weeks for it.";
    }

    /// <summary>Groups of which most readers are meant, but not all.</summary>
    public static IEnumerable<Message> Incomplete(
        IReadOnlyCollection<ReaderId> chosen,
        IEnumerable<NamedGroup> groups
    ) =>
        groups
            .Select(g => (g.Name, All: g.Readers.Count, Missing: g.Readers.Count(r => !chosen.Contains(r))))
            .Where(g => g.Missing > 0 && 2 * g.Missing < g.All)
            .Select(g => (Message)$"{g.Name} is not complete: {Counted.Readers(g.Missing)} left out.");

    /// <summary>Texts that are planned for other readers of the class.</summary>
    /// <param name="planned">Titles with whom the draft is for.</param>
    public static IEnumerable<Message> Planned(IEnumerable<(string Title, Message For)> planned) =>
        planned.Distinct().Select(p => (Message)$"“{p.Title}” is planned for {p.For}.");

    /// <summary>Words that tell classmates a level, in what readers see.</summary>
    public static IEnumerable<Message> LevelsSaid(IEnumerable<string> titles, AssignmentTerms terms)
    {
        foreach (var title in titles.Where(SaysLevel))
            yield return $"The title “{title}” names a level that classmates can read.";
        if (SaysLevel(terms.Heading) || SaysLevel(terms.Directions))
            yield return $"The heading or directions name a level that classmates can read.";
    }

    /// <summary>Whether words name a reading level: a number with a unit of depth, or a level or grade with a
    /// number.</summary>
    public static bool SaysLevel(string words) => Level().IsMatch(words);

    [GeneratedRegex(
        @"\b(level|grade|depth)\s*\d|\d\s*(fm|fathoms?)\b",
        RegexOptions.IgnoreCase | RegexOptions.CultureInvariant
    )]
    private static partial Regex Level();
}
