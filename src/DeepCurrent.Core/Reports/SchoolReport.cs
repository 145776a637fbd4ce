using DeepCurrent.Core.Depth;

namespace DeepCurrent.Core.Reports;

/// <summary>What is told of the readers of a school over a span.</summary>
public enum SchoolMeasure
{
    /// <summary>Words of full readings in a school week.</summary>
    Words,

    /// <summary>Active minutes of full readings in a school week.</summary>
    Minutes,

    /// <summary>Score of quizzes at the first try, in percent.</summary>
    FirstTry,

    /// <summary>How far levels moved, in fathoms; above 0 is deeper.</summary>
    Growth,

    /// <summary>Growth beyond what is typical at the reader's level in as many school weeks, in fathoms.</summary>
    AgainstTypical,
}

/// <summary>What one reader of a school read and answered in a span.</summary>
/// <param name="Words">Of full readings.</param>
/// <param name="Seconds">Active time of full readings.</param>
/// <param name="FirstTry">Mean score of quizzes at the first try; null without a quiz.</param>
/// <param name="Before">Level on the day before the span; null where none was known.</param>
/// <param name="After">Level at its end.</param>
public sealed record SchoolReading(int Words, double Seconds, Probability? FirstTry, Fathoms? Before, Fathoms? After);

/// <summary>The readers of a school over a span.</summary>
/// <param name="Readers">Those who did nothing are in it, too.</param>
/// <param name="SchoolWeeks">School weeks of the span; 0 in holidays, when nothing is said a week.</param>
/// <param name="Chart">Says what growth is typical.</param>
public sealed record SchoolSpan(
    IReadOnlyDictionary<ReaderId, SchoolReading> Readers,
    double SchoolWeeks,
    LevelChart Chart
)
{
    /// <summary>One reader's figure; null where there is none.</summary>
    public double? Of(SchoolMeasure measure, ReaderId id) =>
        Readers.TryGetValue(id, out var r)
            ? measure switch
            {
                SchoolMeasure.Words => AWeek(r.Words),
                SchoolMeasure.Minutes => AWeek(r.Seconds / 60),
                SchoolMeasure.FirstTry => r.FirstTry?.Value * 100,
                SchoolMeasure.Growth => r.After - r.Before,
                SchoolMeasure.AgainstTypical => r is { After: { } after, Before: { } before }
                    ? after - before - Chart.GrowthPerWeek(before) * SchoolWeeks
                    : null,
                _ => throw new ArgumentOutOfRangeException(nameof(measure), measure, "There is no such measure."),
            }
            : null;

    private double? AWeek(double all) => SchoolWeeks > 0 ? all / SchoolWeeks : null;
}

/// <summary>One measure of a grade or class.</summary>
/// <param name="Now">Mean over its readers; null where too few have a figure.</param>
/// <param name="Before">The same over the span before.</param>
/// <param name="Change">Between the two, reader by reader, of those with both.</param>
/// <param name="AgainstRest">Against all other readers of the school.</param>
public sealed record MeasureFigures(
    SchoolMeasure Measure,
    MeanRange? Now,
    MeanRange? Before,
    MeanRange? Change,
    MeanRange? AgainstRest
);

/// <summary>A grade or class over a span.</summary>
/// <param name="Withheld">Too few readers, or what would give away the figures of too few: nothing is told.</param>
/// <param name="Measures">In their order; empty where they are withheld.</param>
public sealed record SchoolFigures(int Readers, bool Withheld, IReadOnlyList<MeasureFigures> Measures);

/// <summary>A school over a span, by grade or class.</summary>
public static class SchoolReport
{
    /// <summary>Of fewer readers nothing is told.</summary>
    public const int Fewest = 5;

    /// <param name="groups">The readers of each grade or class.</param>
    /// <param name="before">The span before; null where there was none.</param>
    /// <returns>The groups in their order, and the whole school.</returns>
    public static (IReadOnlyList<SchoolFigures> Groups, SchoolFigures All) Of(
        IReadOnlyList<IReadOnlySet<ReaderId>> groups,
        SchoolSpan now,
        SchoolSpan? before
    )
    {
        var withheld = Withheld([.. groups.Select(g => g.Count)]);
        HashSet<ReaderId> all = [.. groups.SelectMany(g => g)];
        return (
            [.. groups.Select((g, i) => Figures(g, withheld[i], all, now, before))],
            Figures(all, all.Count < Fewest, all, now, before)
        );
    }

    /// <summary>Which groups of readers are not told of: those of fewer than <see cref="Fewest"/>, and where these are
    /// together so few that the rest gives them away, the smallest of the others with them.</summary>
    public static IReadOnlyList<bool> Withheld(IReadOnlyList<int> sizes)
    {
        var withheld = sizes.Select(n => n < Fewest).ToArray();
        while (sizes.Where((_, i) => withheld[i]).Sum() is > 0 and < Fewest && withheld.Contains(false))
            withheld[Enumerable.Range(0, sizes.Count).Where(i => !withheld[i]).MinBy(i => sizes[i])] = true;
        return withheld;
    }

    private static SchoolFigures Figures(
        IReadOnlySet<ReaderId> group,
        bool withheld,
        IReadOnlySet<ReaderId> all,
        SchoolSpan now,
        SchoolSpan? before
    ) =>
        new(
            group.Count,
            withheld,
            withheld ? [] : [.. Enum.GetValues<SchoolMeasure>().Select(m => Measure(m, group, all, now, before))]
        );

    private static MeasureFigures Measure(
        SchoolMeasure measure,
        IReadOnlySet<ReaderId> group,
        IReadOnlySet<ReaderId> all,
        SchoolSpan now,
        SchoolSpan? before
    )
    {
        var mean = Told(group.Select(id => now.Of(measure, id)));
        var rest = Told(all.Where(id => !group.Contains(id)).Select(id => now.Of(measure, id)));
        return new(
            measure,
            mean,
            Told(group.Select(id => before?.Of(measure, id))),
            Told(group.Select(id => now.Of(measure, id) - before?.Of(measure, id))),
            mean is null || rest is null ? null : mean.Less(rest)
        );
    }

    private static MeanRange? Told(IEnumerable<double?> figures)
    {
        var known = figures.OfType<double>().ToList();
        return known.Count < Fewest ? null : MeanRange.Of(known);
    }
}

/// <summary>A version of the library and how often it was read in full.</summary>
public readonly record struct VersionUse(Fathoms Depth, int Readings);

/// <summary>Ten fathoms of the library.</summary>
/// <param name="From">The shallowest; null for the first band, which has no end upwards.</param>
/// <param name="To">Up to here and not to it; null for the last.</param>
/// <param name="Versions">In the library.</param>
/// <param name="Read">Of them, those read in full at least once.</param>
/// <param name="Readings">Full readings.</param>
/// <param name="Readers">Whose level lies here; null where they are too few to tell of.</param>
public sealed record LibraryBand(double? From, double? To, int Versions, int Read, int Readings, int? Readers)
{
    private const double Width = 10,
        First = 10,
        Last = 60;

    /// <summary>The library in bands of ten fathoms, from the shallowest.</summary>
    /// <param name="levels">Of the readers.</param>
    public static IReadOnlyList<LibraryBand> Of(
        IReadOnlyCollection<VersionUse> versions,
        IReadOnlyCollection<Fathoms> levels
    ) =>
        [
            .. Enumerable
                .Range(0, (int)((Last - First) / Width) + 2)
                .Select(i => (From: First + (i - 1) * Width, To: First + i * Width))
                .Select(b => (From: b.From < First ? (double?)null : b.From, To: b.From >= Last ? (double?)null : b.To))
                .Select(b =>
                {
                    bool In(Fathoms depth) =>
                        (b.From is null || depth.Value >= b.From) && (b.To is null || depth.Value < b.To);
                    var these = versions.Where(v => In(v.Depth)).ToList();
                    var readers = levels.Count(In);
                    return new LibraryBand(
                        b.From,
                        b.To,
                        these.Count,
                        these.Count(v => v.Readings > 0),
                        these.Sum(v => v.Readings),
                        readers is > 0 and < SchoolReport.Fewest ? null : readers
                    );
                }),
        ];
}
