using DeepCurrent.Core.Depth;

namespace DeepCurrent.Core.LevelChecks;

/// <summary>Depths of many readers, as a school may see them.</summary>
/// <param name="Readers">How many there are.</param>
/// <param name="Low">A tenth lie below; null where there are too few readers to show.</param>
/// <param name="Quarter">A quarter lie below.</param>
/// <param name="Middle">Half lie below.</param>
/// <param name="ThreeQuarters">Three quarters lie below.</param>
/// <param name="High">Nine tenths lie below.</param>
public sealed record DepthSpread(
    int Readers,
    Fathoms? Low,
    Fathoms? Quarter,
    Fathoms? Middle,
    Fathoms? ThreeQuarters,
    Fathoms? High
);

/// <summary>Pictures of a benchmark window.</summary>
public static class WindowPicture
{
    /// <summary>Fewer readers than this are not shown: each could be told.</summary>
    public const int FewestShown = 5;

    /// <summary>How depths are spread; figures only from <see cref="FewestShown"/> readers on.</summary>
    /// <param name="depths">In any order.</param>
    /// <remarks>Quantiles between the sorted values (Hyndman and Fan 1996, Sample quantiles in statistical packages,
    /// type 7).</remarks>
    public static DepthSpread Spread(IReadOnlyCollection<Fathoms> depths)
    {
        if (depths.Count < FewestShown)
            return new(depths.Count, null, null, null, null, null);
        double[] sorted = [.. depths.Select(d => d.Value).Order()];
        return new(depths.Count, At(sorted, 0.1), At(sorted, 0.25), At(sorted, 0.5), At(sorted, 0.75), At(sorted, 0.9));
    }

    private static Fathoms At(double[] sorted, double share)
    {
        var at = share * (sorted.Length - 1);
        var below = (int)at;
        return new(
            below + 1 < sorted.Length
                ? sorted[below] + (at - below) * (sorted[below + 1] - sorted[below])
                : sorted[below]
        );
    }
}
