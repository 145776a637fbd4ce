using DeepCurrent.Core.Schools;

namespace DeepCurrent.Core.Signals;

/// <summary>Finds signals in what one reader did. Each rule stands alone and says what it saw.</summary>
/// <remarks>The rules are held to few false ones: on simulated ordinary classes at most one new signal for ten readers
/// and week, all kinds together (bench signals).</remarks>
public static class SignalRules
{
    /// <summary>How far back readings are looked at, days.</summary>
    public const int Span = 42;

    private const int QuietDays = 10,
        WeeksBeforeThin = 3,
        SchoolDaysAWeek = 5,
        DaysShown = 15;
    private const double ThinSd = 5;
    private const double UnlikelyChance = 0.15;
    private const int LeastDaysOfGoal = 10;
    private const double DisagreeingSds = 2.6;
    private const int CheckIsNewsFor = 30;

    // Half the range that is said of a level, in standard deviations.
    private const double SaidRange = 1.28;

    /// <summary>All signals of a reader on a day, the gravest first.</summary>
    public static IReadOnlyList<Signal> For(ReaderFacts facts, SchoolCalendar calendar, DateOnly today) =>
        [
            .. new[]
            {
                ReadingRules.OutOfDepth(facts),
                NothingRead(facts, calendar, today),
                ReadingRules.FlickedThrough(facts),
                ReadingRules.TooFast(facts),
                ReadingRules.BackAndForth(facts),
                FeedbackRules.Unread(facts, calendar, today),
                ReadingRules.ReadyToMoveDeeper(facts),
                ThinEvidence(facts, calendar, today),
            }
                .OfType<Signal>()
                .Concat(FeedbackRules.SameStrandMissed(facts))
                .Concat(facts.Goals.Select(g => UnlikelyGoal(facts, g)).OfType<Signal>())
                .Concat(facts.Checks.Select(c => CheckDisagrees(facts, c, today)).OfType<Signal>())
                .OrderBy(s => s.Kind),
        ];

    private static Signal? NothingRead(ReaderFacts facts, SchoolCalendar calendar, DateOnly today)
    {
        var from = facts.LastRead?.AddDays(1) ?? facts.Since;
        var quiet = calendar.SchoolDays(from, today);
        if (quiet < QuietDays)
            return null;
        var shown = Enumerable
            .Range(0, 4 * DaysShown)
            .Select(back => today.AddDays(-back))
            .Where(d => d >= facts.Since && calendar.IsSchoolDay(d))
            .Take(DaysShown)
            .Reverse();
        var read = facts.Readings.Select(r => r.Day).ToHashSet();
        return new(
            SignalKind.NothingRead,
            facts.Reader,
            "",
            $"{from:O}",
            from,
            today,
            null,
            [quiet, facts.Waiting, facts.LastRead is null ? 1 : 0],
            [.. shown.Select(d => new SignalPoint(d, read.Contains(d) || d == facts.LastRead ? 1 : 0))]
        );
    }

    private static Signal? ThinEvidence(ReaderFacts facts, SchoolCalendar calendar, DateOnly today)
    {
        if (
            facts.Sd < ThinSd
            || calendar.SchoolDays(facts.Since, today) < WeeksBeforeThin * SchoolDaysAWeek
            || calendar.SchoolDays(facts.LastRead?.AddDays(1) ?? facts.Since, today) >= QuietDays
        )
            return null;
        return new(
            SignalKind.ThinEvidence,
            facts.Reader,
            "",
            "",
            facts.Since,
            facts.LastRead ?? facts.Since,
            null,
            [SaidRange * facts.Sd],
            [
                new(
                    today,
                    facts.Level.Value,
                    facts.Level.Value - SaidRange * facts.Sd,
                    facts.Level.Value + SaidRange * facts.Sd
                ),
            ]
        );
    }

    private static Signal? UnlikelyGoal(ReaderFacts facts, GoalAhead goal) =>
        goal.Chance > UnlikelyChance || goal.DaysSince < LeastDaysOfGoal || goal.DaysLeft < LeastDaysOfGoal
            ? null
            : new(
                SignalKind.UnlikelyGoal,
                facts.Reader,
                goal.Kind.ToString(),
                goal.Goal.ToString(),
                goal.SetOn,
                facts.LastRead > goal.SetOn ? facts.LastRead.Value : goal.SetOn,
                null,
                [goal.Target, goal.Done, goal.Expected, goal.Chance],
                []
            );

    private static Signal? CheckDisagrees(ReaderFacts facts, CheckDone check, DateOnly today)
    {
        var apart = Math.Abs(check.Found - check.Level);
        var sd = Math.Sqrt(check.FoundSd * check.FoundSd + check.LevelSd * check.LevelSd);
        if (apart <= DisagreeingSds * sd || check.Day < today.AddDays(-CheckIsNewsFor))
            return null;
        SignalPoint Shown(double level, double spread) =>
            new(check.Day, level, level - SaidRange * spread, level + SaidRange * spread);
        return new(
            SignalKind.CheckDisagrees,
            facts.Reader,
            "",
            check.Sitting.ToString(),
            check.Day,
            check.Day,
            check.Name,
            [check.Level.Value, check.Found.Value],
            [Shown(check.Level.Value, check.LevelSd), Shown(check.Found.Value, check.FoundSd)]
        )
        {
            Check = check.Check,
        };
    }
}
