using DeepCurrent.Core.AssignmentResults;
using DeepCurrent.Core.Depth;

namespace DeepCurrent.Core.Signals;

/// <summary>Signals in how texts were read: too hard, too easy, too fast, to and fro.</summary>
internal static class ReadingRules
{
    private const int InARow = 3,
        MostInARow = 5,
        LeastTries = 3;

    /// <summary>A run of texts that comes about by chance less often than this stands out.</summary>
    private const double Rare = 0.01;

    private const double BeyondReach = 0.7,
        NotUnderstood = 0.7;
    private const double FlickShare = 0.25;
    private const double FastShare = 0.4;
    private const int LeastFast = 5;
    private const double Below = 0.2,
        FarBelow = 0.3;
    private const double StepBack = 1.5;
    private const int TurnedBack = 3,
        TurnedFarBack = 2,
        LatelyDays = 21;
    private const double OfTypicalGrowth = 0.5;
    private const int DaysAWeek = 7;

    internal static Signal? OutOfDepth(ReaderFacts facts)
    {
        var last = Scored(facts).TakeLast(InARow).ToList();
        if (last.Count < InARow)
            return null;
        var below = last.All(r => r.Score < r.Forecast) && Together(last).AtMost(last.Sum(r => r.Right)) <= Rare;
        var beyond =
            last.All(r => r.Forecast < BeyondReach)
            && last.Sum(r => r.Right) < NotUnderstood * last.Sum(r => r.Tries.Count);
        return below || beyond ? OfScores(SignalKind.OutOfDepth, facts, last) : null;
    }

    internal static Signal? ReadyToMoveDeeper(ReaderFacts facts)
    {
        var scored = Scored(facts);
        for (var n = InARow; n <= MostInARow && n <= scored.Count; n++)
        {
            var last = scored.TakeLast(n).ToList();
            if (last.All(r => r.Score > r.Forecast) && Together(last).AtLeast(last.Sum(r => r.Right)) <= Rare)
                return OfScores(SignalKind.ReadyToMoveDeeper, facts, last);
        }
        return null;
    }

    internal static Signal? FlickedThrough(ReaderFacts facts)
    {
        bool Flicked(AnsweredReading r) => r.Words > 0 && r.Seconds < FlickShare * r.Words / facts.Rate * 60;
        var run = facts.Readings.Reverse().TakeWhile(Flicked).Reverse().ToList();
        if (run.Count == 0)
            return null;
        var last = run[^1];
        return Of(
            SignalKind.FlickedThrough,
            facts,
            run,
            [Math.Round(last.Seconds), last.Words / facts.Rate, last.Words],
            [.. run.Select(r => new SignalPoint(r.Day, r.Seconds, null, r.Words / facts.Rate * 60))]
        );
    }

    internal static Signal? TooFast(ReaderFacts facts)
    {
        var last = facts.Readings.TakeLast(InARow).ToList();
        int fast = last.Sum(r => r.TooFast),
            all = last.Sum(r => r.TooFast + r.Tries.Count);
        if (fast < LeastFast || fast < FastShare * all)
            return null;
        return Of(
            SignalKind.TooFast,
            facts,
            [.. last.Where(r => r.TooFast > 0)],
            [fast, all],
            [.. last.Select(r => new SignalPoint(r.Day, r.TooFast, null, r.TooFast + r.Tries.Count))]
        );
    }

    /// <summary>Counts how often a text was missed and the next one was easier, while the level stood: three times, or
    /// twice lately where it was missed by far.</summary>
    internal static Signal? BackAndForth(ReaderFacts facts)
    {
        var scored = Scored(facts);
        List<AnsweredReading> Turns(double below, DateOnly since) =>
            [
                .. scored
                    .Zip(scored.Skip(1))
                    .Where(x =>
                        x.First.Day >= since
                        && x.First.Score < x.First.Forecast - below
                        && x.First.TextDepth - x.Second.TextDepth >= StepBack
                    )
                    .Select(x => x.First),
            ];
        var turns = Turns(Below, DateOnly.MinValue);
        if (turns.Count < TurnedBack && (turns.Count == 0 || Turns(FarBelow, Lately(scored)).Count < TurnedFarBack))
            return null;
        var weeks = (scored[^1].At - turns[0].At).TotalDays / DaysAWeek;
        var gained = facts.Level - turns[0].Level;
        if (gained >= OfTypicalGrowth * facts.Growth * weeks)
            return null;
        return Of(
            SignalKind.BackAndForth,
            facts,
            turns,
            [turns.Count, gained, Math.Round(weeks)],
            [
                .. scored.Select(r => new SignalPoint(
                    r.Day,
                    r.TextDepth.Value,
                    turns.Contains(r) ? r.TextDepth.Value : null
                )),
            ]
        );
    }

    private static DateOnly Lately(IReadOnlyList<AnsweredReading> scored) => scored[^1].Day.AddDays(-LatelyDays);

    private static List<AnsweredReading> Scored(ReaderFacts facts) =>
        [.. facts.Readings.Where(r => r.Tries.Count >= LeastTries)];

    /// <summary>What several readings were forecast to come to, each by the level at its time.</summary>
    private static ScoreForecast Together(IReadOnlyList<AnsweredReading> readings)
    {
        var level = readings[^1].Level;
        return ScoreForecast.For(
            level,
            Math.Sqrt(readings.Average(r => r.Sd * r.Sd)),
            [
                .. readings.SelectMany(r =>
                    r.Tries.Select(t => t.Asked with { Difficulty = t.Asked.Difficulty + (level - r.Level) })
                ),
            ]
        );
    }

    private static Signal OfScores(SignalKind kind, ReaderFacts facts, IReadOnlyList<AnsweredReading> last) =>
        Of(
            kind,
            facts,
            last,
            [.. last.Select(r => r.Score * 100), last.Average(r => r.TextDepth - r.Level)],
            [.. last.Select(Shown)]
        );

    private static SignalPoint Shown(AnsweredReading r)
    {
        var expected = r.Expected;
        return new(
            r.Day,
            r.Score * 100,
            expected.Low * 100.0 / expected.Questions,
            expected.High * 100.0 / expected.Questions
        );
    }

    internal static Signal Of(
        SignalKind kind,
        ReaderFacts facts,
        IReadOnlyList<AnsweredReading> from,
        IReadOnlyList<double> figures,
        IReadOnlyList<SignalPoint> points
    ) =>
        new(
            kind,
            facts.Reader,
            "",
            from[^1].Ticket.ToString(),
            from[0].Day,
            from[^1].Day,
            from[^1].Title,
            figures,
            points
        )
        {
            Ticket = from[^1].Ticket,
            Tickets = [.. from.Select(r => r.Ticket)],
        };
}
