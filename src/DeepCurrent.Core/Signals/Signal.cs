using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Questions;

namespace DeepCurrent.Core.Signals;

/// <summary>What the data say a teacher should look at.</summary>
public enum SignalKind
{
    OutOfDepth,
    ReadyToMoveDeeper,
    FlickedThrough,
    SameStrandMissed,
    NothingRead,
}

/// <summary>One finished reading, as signals look at it.</summary>
/// <param name="Score">First-attempt score, 0 to 1.</param>
/// <param name="Forecast">Comprehension forecast when it was given, 0 to 1.</param>
/// <param name="Seconds">Time the text was open.</param>
/// <param name="Words">Words of the text.</param>
public sealed record FinishedReading(
    string Title,
    DateTimeOffset At,
    double Score,
    double Forecast,
    double Seconds,
    int Words
);

/// <summary>A signal: its kind and the figures that gave rise to it.</summary>
/// <param name="Strand">The strand that is missed, for that kind.</param>
/// <param name="Figures">What is shown as evidence: scores in percent; right and asked; seconds open and minutes
/// expected; or school days.</param>
public sealed record Signal(
    SignalKind Kind,
    DateTimeOffset At,
    Strand? Strand,
    string? Title,
    IReadOnlyList<double> Figures
);

/// <summary>Finds signals in one reader's recent work. Each rule stands alone and says what it saw.</summary>
public static class SignalRules
{
    private const int InARow = 3;
    private const double TooLow = 0.60,
        DeepScore = 0.90;
    private const int StrandAsked = 5;
    private const double StrandMean = 0.55;
    private const double FlickShare = 0.25;

    /// <param name="readings">Finished readings, oldest first.</param>
    /// <param name="strands">First attempts by strand over the last six weeks.</param>
    /// <param name="rate">The reader's silent rate, words a minute.</param>
    /// <param name="schoolDaysQuiet">School days since anything was read.</param>
    /// <param name="quietLimit">School days without reading that are worth a look.</param>
    public static IReadOnlyList<Signal> For(
        IReadOnlyList<FinishedReading> readings,
        IReadOnlyDictionary<Strand, (int Right, int Asked)> strands,
        double rate,
        int schoolDaysQuiet,
        DateTimeOffset now,
        int quietLimit = 10
    )
    {
        var found = new List<Signal>();
        var last = readings.TakeLast(InARow).ToList();
        if (last.Count == InARow && last.All(r => r.Score < TooLow))
            found.Add(OfScores(SignalKind.OutOfDepth, last));
        if (last.Count == InARow && last.Average(r => r.Score) >= DeepScore && last.All(r => r.Score >= 0.8))
            found.Add(OfScores(SignalKind.ReadyToMoveDeeper, last));
        if (last.Count > 0 && last[^1] is { Words: > 0 } r && r.Seconds < FlickShare * r.Words / rate * 60)
            found.Add(
                new(
                    SignalKind.FlickedThrough,
                    r.At,
                    null,
                    r.Title,
                    [Math.Round(r.Seconds), Math.Round(r.Words / rate, 1), r.Words]
                )
            );
        // The one most missed first, whatever order they came in.
        foreach (
            var (strand, (right, asked)) in strands
                .OrderBy(s => s.Value.Right / (double)s.Value.Asked)
                .ThenBy(s => s.Key)
        )
            if (asked >= StrandAsked && right < StrandMean * asked)
                found.Add(new(SignalKind.SameStrandMissed, now, strand, null, [right, asked]));
        if (schoolDaysQuiet >= quietLimit)
            found.Add(new(SignalKind.NothingRead, now, null, null, [schoolDaysQuiet]));
        return found;
    }

    private static Signal OfScores(SignalKind kind, IReadOnlyList<FinishedReading> last) =>
        new(kind, last[^1].At, null, last[^1].Title, [.. last.Select(r => Math.Round(r.Score * 100))]);
}
