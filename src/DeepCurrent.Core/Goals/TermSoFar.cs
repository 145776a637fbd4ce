using DeepCurrent.Core.Schools;

namespace DeepCurrent.Core.Goals;

/// <summary>One text that a reader handed in.</summary>
/// <param name="Score">First-attempt score, 0 to 1.</param>
/// <param name="Words">Words of the version that was read.</param>
public sealed record ReadingDone(DateTimeOffset At, double Score, double Words);

/// <summary>What a suggestion rests on.</summary>
/// <param name="Weeks">The reader's weeks of the term so far, oldest first.</param>
/// <param name="ClassWeekly">Words an average reader of the class reads in a week.</param>
/// <param name="MostWeekly">Words a week that the school's minutes a day would come to at this reader's level.</param>
public sealed record GoalFacts(IReadOnlyList<WeekOfReading> Weeks, double ClassWeekly, double MostWeekly);

/// <summary>A term as it stands on a day: what is gone of it, what is left, and how goals stand by it.</summary>
public sealed class TermSoFar
{
    private readonly YearCalendar year;
    private readonly Term term;
    private readonly DateOnly today;
    private readonly int allDays;

    public TermSoFar(YearCalendar year, Term term, DateOnly today)
    {
        (this.year, this.term, this.today) = (year, term, today);
        allDays = year.Calendar.SchoolDays(term.FirstDay, term.LastDay);
        DaysLeft = year.Calendar.SchoolDays(today.AddDays(1), term.LastDay);
    }

    /// <summary>School days to come.</summary>
    public int DaysLeft { get; }

    private double WeeksLeft => DaysLeft / 5.0;

    /// <summary>Share of the term's school days gone, 0 to 1; all of a term without any.</summary>
    private double Gone => allDays == 0 ? 1 : (allDays - DaysLeft) / (double)allDays;

    /// <summary>One reader's weeks of the term so far, by the school's own days; at least one.</summary>
    /// <param name="understoodFrom">Score from which a text's words count, 0 to 1.</param>
    public IReadOnlyList<WeekOfReading> Weeks(IEnumerable<ReadingDone> readings, double understoodFrom)
    {
        var weeks = Math.Max(1, WeekOf(today < term.LastDay ? today : term.LastDay) + 1);
        var byWeek = readings
            .Select(r => (Reading: r, Day: year.Clock.DayOf(r.At)))
            .Where(r => r.Day >= term.FirstDay)
            .ToLookup(r => WeekOf(r.Day), r => r.Reading);
        return
        [
            .. Enumerable
                .Range(0, weeks)
                .Select(w => new WeekOfReading(
                    byWeek[w].Where(r => r.Score >= understoodFrom).Sum(r => r.Words),
                    [.. byWeek[w].Select(r => r.Score)]
                )),
        ];
    }

    private int WeekOf(DateOnly day) => (day.DayNumber - term.FirstDay.DayNumber) / 7;

    /// <summary>How a goal stands.</summary>
    public GoalStanding Standing(GoalKind kind, double target, IReadOnlyList<WeekOfReading> weeks) =>
        kind switch
        {
            GoalKind.Words => GoalRules.Words(target, weeks, WeeksLeft, Gone),
            GoalKind.Comprehension => GoalRules.Comprehension(target, weeks, WeeksLeft),
            _ => throw GoalKindRules.Unknown(kind),
        };

    /// <summary>A goal to suggest, in the kind's own unit.</summary>
    public double Suggest(GoalKind kind, GoalFacts facts)
    {
        var done = facts.Weeks.Sum(w => w.Words);
        return kind switch
        {
            GoalKind.Words => GoalRules.SuggestWords(
                done,
                done > 0 ? facts.Weeks.Average(w => w.Words) : facts.ClassWeekly / 2,
                facts.MostWeekly,
                WeeksLeft
            ),
            GoalKind.Comprehension => GoalRules.SuggestComprehension([.. facts.Weeks.SelectMany(w => w.Scores)]),
            _ => throw GoalKindRules.Unknown(kind),
        };
    }

    /// <summary>What the weeks so far come to, in the kind's own unit; null where nothing was read that says it.</summary>
    public static double? SoFar(GoalKind kind, IReadOnlyList<WeekOfReading> weeks)
    {
        var scores = weeks.SelectMany(w => w.Scores).ToList();
        return kind switch
        {
            GoalKind.Words => weeks.Sum(w => w.Words),
            GoalKind.Comprehension => scores.Count == 0 ? null : scores.Average() * 100,
            _ => throw GoalKindRules.Unknown(kind),
        };
    }
}
