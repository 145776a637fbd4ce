using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Schools;

namespace DeepCurrent.Core.Goals;

/// <summary>One text that a reader handed in, or something read elsewhere.</summary>
/// <param name="Score">First-attempt score, 0 to 1; null where nothing was asked: its words count, and no score.</param>
/// <param name="Words">Words of the version that was read.</param>
public sealed record ReadingDone(DateTimeOffset At, double? Score, double Words);

/// <summary>What the end of a term is foretold from, for one reader.</summary>
/// <param name="Weeks">The reader's weeks of the term so far, oldest first.</param>
/// <param name="Recent">School weeks of the last while, in this term or before, oldest first.</param>
/// <param name="ClassWeek">What an average week of the class is like.</param>
/// <param name="Questions">Of a usual quiz.</param>
/// <param name="Depth">Today's.</param>
/// <param name="Sd">How sure that is, fm.</param>
/// <param name="Growth">Fathoms a week that readers at this depth grow.</param>
/// <param name="Drift">Variance a week, fm².</param>
public sealed record GoalFacts(
    IReadOnlyList<WeekOfReading> Weeks,
    IReadOnlyList<WeekOfReading> Recent,
    ClassWeek ClassWeek,
    double Questions,
    Fathoms Depth,
    double Sd,
    double Growth,
    double Drift
);

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
        var next = today.AddDays(1);
        DaysLeft = year.Calendar.SchoolDays(next > term.FirstDay ? next : term.FirstDay, term.LastDay);
    }

    /// <summary>School days to come.</summary>
    public int DaysLeft { get; }

    /// <summary>Its last day is over, and its goals stand as they are.</summary>
    public bool Closed => today > term.LastDay;

    /// <summary>Share of the term's school days gone, 0 to 1; all of a term without any.</summary>
    private double Gone => allDays == 0 ? 1 : (allDays - DaysLeft) / (double)allDays;

    /// <summary>One reader's weeks of the term so far, by the school's own days; at least one.</summary>
    /// <param name="understoodFrom">Score from which a text's words count, 0 to 1.</param>
    public IReadOnlyList<WeekOfReading> Weeks(IEnumerable<ReadingDone> readings, double understoodFrom)
    {
        var last = today < term.LastDay ? today : term.LastDay;
        return Weeks(readings, understoodFrom, term.FirstDay, last < term.FirstDay ? term.FirstDay : last);
    }

    /// <summary>School weeks lately, the running one with the days it has had; weeks without school are none.</summary>
    /// <param name="from">The first day that counts, such as the reader's first in the class.</param>
    public IReadOnlyList<WeekOfReading> Recent(
        IEnumerable<ReadingDone> readings,
        double understoodFrom,
        DateOnly from
    ) => from > today ? [] : [.. Weeks(readings, understoodFrom, from, today).Where(w => w.Days > 0)];

    private IReadOnlyList<WeekOfReading> Weeks(
        IEnumerable<ReadingDone> readings,
        double understoodFrom,
        DateOnly from,
        DateOnly to
    )
    {
        int WeekOf(DateOnly day) => (day.DayNumber - from.DayNumber) / 7;
        var byWeek = readings
            .Select(r => (Reading: r, Day: year.Clock.DayOf(r.At)))
            .Where(r => r.Day >= from)
            .ToLookup(r => WeekOf(r.Day), r => r.Reading);
        return
        [
            .. Enumerable
                .Range(0, WeekOf(to) + 1)
                .Select(w =>
                {
                    var first = from.AddDays(7 * w);
                    var end = first.AddDays(6) < to ? first.AddDays(6) : to;
                    return new WeekOfReading(
                        byWeek[w].Where(r => r.Score is null || r.Score >= understoodFrom).Sum(r => r.Words),
                        [.. byWeek[w].Select(r => r.Score).OfType<double>()],
                        year.Calendar.SchoolDays(first, end)
                    );
                }),
        ];
    }

    /// <summary>Where the reader will stand at the end of the term, in the kind's own unit.</summary>
    public EndForecast End(GoalKind kind, GoalFacts facts) =>
        kind switch
        {
            GoalKind.Words => GoalForecast.Words(
                facts.Weeks.Sum(w => w.Words),
                [.. facts.Recent.Select(w => new WeekRead(w.Days, w.Words))],
                facts.ClassWeek,
                DaysLeft
            ),
            GoalKind.Comprehension => GoalForecast.Comprehension(
                [.. facts.Weeks.Where(w => w.Days > 0).Select(w => new WeekScored(w.Days, w.Scores))],
                facts.Questions,
                DaysLeft
            ),
            GoalKind.Depth => GoalForecast.Depth(facts.Depth.Value, facts.Sd, facts.Growth, facts.Drift, DaysLeft),
            _ => throw GoalKindRules.Unknown(kind),
        };

    /// <summary>How a goal stands.</summary>
    /// <param name="met">A teacher has called it met.</param>
    public GoalStanding Standing(GoalKind kind, double target, GoalFacts facts, bool met = false)
    {
        var done = SoFar(kind, facts) ?? 0;
        // A sum that is there stays; a mean or a level is reached when the term is over.
        var reached = met || (done >= target && (kind is GoalKind.Words || Closed));
        var chance =
            reached ? 1
            : Closed ? GoalRules.Said(0)
            : GoalRules.Said(End(kind, facts).Reaches(target));
        var due = kind is GoalKind.Words ? target * Gone : target;
        return new(done, due, target, chance, GoalRules.CourseOf(reached, chance));
    }

    /// <summary>Whether a teacher may call a goal met that was just missed.</summary>
    public bool MayCallMet(GoalKind kind, double target, GoalFacts facts) =>
        GoalRules.MayCallMet(kind, SoFar(kind, facts) ?? 0, target, term.LastDay, today);

    /// <summary>The goal that is reached with a chance, in the kind's own unit, as people would set it.</summary>
    /// <param name="likely">Above 0 and below 1.</param>
    public double Suggest(GoalKind kind, GoalFacts facts, double likely = GoalRules.UsualLikely) =>
        GoalRules.Rounded(kind, End(kind, facts).At(likely));

    /// <summary>What there is so far, in the kind's own unit; null where nothing was read that says it.</summary>
    public static double? SoFar(GoalKind kind, GoalFacts facts) =>
        kind is GoalKind.Depth ? facts.Depth.Value : SoFar(kind, facts.Weeks);

    /// <summary>What the weeks so far come to, in the kind's own unit; null where nothing was read that says it.</summary>
    public static double? SoFar(GoalKind kind, IReadOnlyList<WeekOfReading> weeks)
    {
        var scores = weeks.SelectMany(w => w.Scores).ToList();
        return kind switch
        {
            GoalKind.Words => weeks.Sum(w => w.Words),
            GoalKind.Comprehension => scores.Count == 0 ? null : scores.Average() * 100,
            _ => null,
        };
    }
}
