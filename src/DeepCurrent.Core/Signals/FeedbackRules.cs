using DeepCurrent.Core.AssignmentResults;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Schools;

namespace DeepCurrent.Core.Signals;

/// <summary>Signals in what becomes of feedback: missed again after it, or never read.</summary>
internal static class FeedbackRules
{
    private const int LeastOfStrand = 6,
        LeastOfOthers = 10,
        AgainMissed = 2;
    private const double Weak = 0.6,
        Rare = 0.005;
    private const int InARow = 3,
        LeastMisses = 2,
        DaysToRead = 3;

    /// <summary>Strands that are missed more than the reader's others and the level let expect, also after feedback on them
    /// was read; the most missed first.</summary>
    internal static IEnumerable<Signal> SameStrandMissed(ReaderFacts facts) =>
        facts
            .Readings.SelectMany(r => r.Tries.Where(t => t.Strand is not null).Select(t => (Reading: r, Try: t)))
            .GroupBy(x => x.Try.Strand!.Value)
            .OrderBy(g => g.Count(x => x.Try.Right) / (double)g.Count())
            .ThenBy(g => g.Key)
            .Select(g => Missed(facts, g.Key, [.. g]))
            .OfType<Signal>();

    private static Signal? Missed(
        ReaderFacts facts,
        Strand strand,
        IReadOnlyList<(AnsweredReading Reading, FirstTry Try)> tries
    )
    {
        var right = tries.Count(x => x.Try.Right);
        var others = facts.Readings.SelectMany(r => r.Tries).Where(t => t.Strand != strand).ToList();
        if (tries.Count < LeastOfStrand || others.Count < LeastOfOthers || right >= Weak * tries.Count)
            return null;
        if (right / (double)tries.Count >= others.Count(t => t.Right) / (double)others.Count)
            return null;
        var read = facts.Readings.Where(r =>
            r.LookedAt is not null && r.Tries.Any(t => t.Strand == strand && !t.Right)
        );
        var since = read.Select(r => r.LookedAt!.Value).DefaultIfEmpty(DateTimeOffset.MaxValue).Min();
        var again = tries.Where(x => x.Reading.At > since && !x.Try.Right).ToList();
        if (again.Count < AgainMissed || Expected(facts, tries).AtMost(right) > Rare)
            return null;
        return ReadingRules.Of(
            SignalKind.SameStrandMissed,
            facts,
            [.. tries.Where(x => !x.Try.Right).Select(x => x.Reading).Distinct()],
            [right, tries.Count, others.Count(t => t.Right), others.Count, again.Count],
            []
        ) with
        {
            About = strand.ToString(),
            Strand = strand,
        };
    }

    private static ScoreForecast Expected(
        ReaderFacts facts,
        IReadOnlyList<(AnsweredReading Reading, FirstTry Try)> tries
    ) =>
        ScoreForecast.For(
            facts.Level,
            facts.Sd,
            [
                .. tries.Select(x =>
                    x.Try.Asked with
                    {
                        Difficulty = x.Try.Asked.Difficulty + (facts.Level - x.Reading.Level),
                    }
                ),
            ]
        );

    internal static Signal? Unread(ReaderFacts facts, SchoolCalendar calendar, DateOnly today)
    {
        var last = facts
            .Readings.Where(r => r.Missed >= LeastMisses && r.ReleasedAt is not null)
            .OrderBy(r => r.ReleasedAt)
            .TakeLast(InARow)
            .ToList();
        if (
            last.Count < InARow
            || last.Any(r => r.LookedAt is not null)
            || calendar.SchoolDays(last[^1].Day.AddDays(1), today) < DaysToRead
        )
            return null;
        return ReadingRules.Of(
            SignalKind.FeedbackUnread,
            facts,
            last,
            [last.Count, last.Sum(r => r.Missed)],
            [.. last.Select(r => new SignalPoint(r.Day, r.Missed, null, r.Tries.Count))]
        );
    }
}
