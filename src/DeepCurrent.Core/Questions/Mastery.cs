using MathNet.Numerics.Distributions;

namespace DeepCurrent.Core.Questions;

/// <summary>Share of a strand's questions a reader gets right at the first try, and how sure that is.</summary>
/// <param name="Low">5th percentile.</param>
/// <param name="High">95th percentile.</param>
public sealed record MasteryEstimate(int Right, int Asked, double Mean, double Low, double High);

/// <summary>Strand mastery as a beta-binomial posterior.</summary>
public static class Mastery
{
    /// <summary>How far back answers count: what a reader missed half a year ago says little of now.</summary>
    public static readonly TimeSpan Span = TimeSpan.FromDays(84);

    // Worth four questions of which three were right: what a reader on fitting texts shows on average.
    private const double PriorRight = 3,
        PriorWrong = 1;

    /// <param name="right">First attempts that were right, 0 to <paramref name="asked"/>.</param>
    /// <param name="asked">First attempts.</param>
    /// <exception cref="ArgumentOutOfRangeException"><paramref name="right"/> is negative or above
    /// <paramref name="asked"/>.</exception>
    /// <remarks>Gelman et al. (2013), Bayesian Data Analysis, section 2.4.</remarks>
    public static MasteryEstimate Estimate(int right, int asked)
    {
        if (right < 0 || right > asked)
            throw new ArgumentOutOfRangeException(
                nameof(right),
                right,
                "Right answers lie between 0 and the answers given."
            );
        double a = PriorRight + right,
            b = PriorWrong + asked - right;
        return new(right, asked, a / (a + b), Beta.InvCDF(a, b, 0.05), Beta.InvCDF(a, b, 0.95));
    }

    /// <summary>Every strand by a reader's first attempts, in the strands' order; one that was not asked rests on what
    /// readers show on average.</summary>
    public static IReadOnlyList<(Strand Strand, MasteryEstimate Mastery)> OfStrands(
        IEnumerable<(Strand Strand, bool Right)> attempts
    )
    {
        var by = attempts.ToLookup(a => a.Strand, a => a.Right);
        return [.. Enum.GetValues<Strand>().Select(s => (s, Estimate(by[s].Count(right => right), by[s].Count())))];
    }
}
