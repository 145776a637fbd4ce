using DeepCurrent.Core.Depth;

namespace DeepCurrent.Core.Grouping;

/// <summary>A reader to be placed.</summary>
/// <param name="Key">Whatever the caller knows the reader by; no two have the same.</param>
/// <param name="Sd">How sure the depth is, fm, at least 0.</param>
/// <param name="Mastery">Strand mastery in percent, the same strands in the same order for all; null where nothing is
/// known. May be empty.</param>
/// <param name="Rate">Words correct per minute; null where it was not measured.</param>
public sealed record GroupCandidate(
    string Key,
    Fathoms Depth,
    IReadOnlyList<double?> Mastery,
    double Sd = 0,
    WordsPerMinute? Rate = null
);

/// <summary>What each part of a distance weighs, in fathoms.</summary>
/// <param name="Depth">One fathom of depth.</param>
/// <param name="Strands">One percent of mean difference in strand mastery.</param>
/// <param name="Rate">One word a minute.</param>
public sealed record GroupWeights(double Depth = 1, double Strands = 0.2, double Rate = 0.1)
{
    public static readonly GroupWeights Usual = new();
}

/// <summary>How far two readers are apart, in parts that add up; all in fathoms. What is unknown for one of them is
/// 0.</summary>
public sealed record Apartness(double Depth, double Strands, double Rate)
{
    public double Sum => Depth + Strands + Rate;

    public static Apartness Of(GroupCandidate a, GroupCandidate b, GroupWeights weights)
    {
        double strands = 0;
        var known = 0;
        for (var i = 0; i < Math.Min(a.Mastery.Count, b.Mastery.Count); i++)
            if (a.Mastery[i] is { } one && b.Mastery[i] is { } other)
            {
                strands += Math.Abs(one - other);
                known++;
            }
        return new(
            weights.Depth * Math.Abs(a.Depth - b.Depth),
            known == 0 ? 0 : weights.Strands * strands / known,
            a.Rate is { } rate && b.Rate is { } rateOther ? weights.Rate * Math.Abs(rate.Value - rateOther.Value) : 0
        );
    }
}
