using DeepCurrent.Core.Depth;

namespace DeepCurrent.Core.Measuring;

/// <summary>One first attempt at one question, as it speaks of the text.</summary>
/// <param name="Offset">Fathoms by which the question is harder than the text is deep.</param>
/// <param name="Guess">Chance to be right by guessing, 0 to below 1.</param>
public readonly record struct TextAnswer(double Offset, double Guess, bool Correct);

/// <summary>One reader's answers on one text.</summary>
/// <param name="Mean">The reader's depth in fathoms before this text was read.</param>
/// <param name="Sd">How sure that was.</param>
public sealed record TextReading(double Mean, double Sd, IReadOnlyList<TextAnswer> Answers);

/// <summary>A text's depth as formulas and readers' answers show it together.</summary>
/// <param name="AnswersAlone">What the answers alone say, fm; null where they say next to nothing.</param>
/// <param name="Weight">The answers' part in the estimate, 0 to 1; the rest is the formulas'.</param>
public sealed record TextEstimate(
    double Mean,
    double Sd,
    double? AnswersAlone,
    double Weight,
    int Readers,
    int Answers
);

/// <summary>Re-estimates the depth of a text from what readers answered: the reader's estimation with the roles
/// swapped.</summary>
/// <remarks>
/// Marginal likelihood of the three-parameter logistic model over readers, by Gauss–Hermite quadrature: Bock and Aitkin
/// (1981), Marginal maximum likelihood estimation of item parameters, Psychometrika 46.
/// A reader's answers on one text hang together, by liking or knowing its subject; that is a normal effect of
/// <see cref="LikingSd"/>.
/// </remarks>
public static class TextEstimator
{
    /// <summary>How far a reader may be deeper or shallower on one text than on others, in fathoms (standard
    /// deviation).</summary>
    public const double LikingSd = 4;

    private const double Step = 0.5,
        Unknown = 0.995;

    // Nodes and weights for the standard normal, 9 points.
    private static readonly (double Z, double Weight)[] Nodes =
    [
        (-4.512745863399783, 2.2345844007746563e-05),
        (-3.20542900285647, 0.0027891413212317675),
        (-2.07684797867783, 0.04991640676521788),
        (-1.02325566378913, 0.2440975028949394),
        (0, 0.4063492063492064),
        (1.02325566378913, 0.2440975028949394),
        (2.07684797867783, 0.04991640676521788),
        (3.20542900285647, 0.0027891413212317675),
        (4.512745863399783, 2.2345844007746563e-05),
    ];

    /// <param name="formulas">Depth by the formulas, fm.</param>
    /// <param name="error">Its error, fm; above 0.</param>
    /// <exception cref="ArgumentOutOfRangeException"><paramref name="error"/> is 0 or less, or a reading's sd is
    /// negative.</exception>
    public static TextEstimate Estimate(Fathoms formulas, double error, IReadOnlyList<TextReading> readings)
    {
        if (!(error > 0))
            throw new ArgumentOutOfRangeException(nameof(error), error, "An error is above 0.");
        if (readings.Any(r => !(r.Sd >= 0)))
            throw new ArgumentOutOfRangeException(nameof(readings), "A reader's sd is 0 or more.");
        var cells = (int)((Fathoms.Deepest - Fathoms.Shallowest) / Step) + 1;
        Span<double> log = stackalloc double[cells];
        for (var i = 0; i < cells; i++)
            log[i] = -0.5 * Square((At(i) - formulas.Value) / error);
        foreach (var reading in readings.Where(r => r.Answers.Count > 0))
        {
            var sd = Math.Sqrt(reading.Sd * reading.Sd + LikingSd * LikingSd);
            for (var i = 0; i < cells; i++)
            {
                var likelihood = 0.0;
                foreach (var (z, weight) in Nodes)
                {
                    var all = weight;
                    foreach (var a in reading.Answers)
                    {
                        var p =
                            a.Guess
                            + (1 - a.Guess)
                                / (1 + Math.Exp(-(reading.Mean + z * sd - At(i) - a.Offset) / Fathoms.PerLogit));
                        all *= a.Correct ? p : 1 - p;
                    }
                    likelihood += all;
                }
                log[i] += Math.Log(Math.Max(likelihood, 1e-300));
            }
        }
        return Summed(log, formulas.Value, error, readings);
    }

    private static TextEstimate Summed(
        ReadOnlySpan<double> log,
        double formulas,
        double error,
        IReadOnlyList<TextReading> readings
    )
    {
        var top = double.NegativeInfinity;
        foreach (var l in log)
            top = Math.Max(top, l);
        double sum = 0,
            mean = 0,
            square = 0;
        for (var i = 0; i < log.Length; i++)
        {
            var p = Math.Exp(log[i] - top);
            sum += p;
            mean += p * At(i);
            square += p * At(i) * At(i);
        }
        mean /= sum;
        var variance = Math.Max(1e-6, square / sum - mean * mean);
        // The share of the estimate's precision that the formulas bring; what is left is the answers'.
        var formulaShare = Math.Clamp(variance / (error * error), 0, 1);
        double? alone = formulaShare > Unknown ? null : (mean - formulaShare * formulas) / (1 - formulaShare);
        return new(
            mean,
            Math.Sqrt(variance),
            alone,
            1 - formulaShare,
            readings.Count(r => r.Answers.Count > 0),
            readings.Sum(r => r.Answers.Count)
        );
    }

    /// <summary>Takes out a shift that all texts share: readers are measured by these texts, so that only differences
    /// between texts can be known from answers.</summary>
    /// <param name="shifts">For each text, how far answers have moved it from the formulas (fm), and their part in
    /// it.</param>
    /// <returns>Fathoms to take from every shift, weighted by its part.</returns>
    public static double CommonShift(IReadOnlyList<(double Shift, double Weight)> shifts) =>
        shifts.Sum(s => s.Weight) is var all and > 0 ? shifts.Sum(s => s.Shift * s.Weight) / all : 0;

    private static double At(int cell) => Fathoms.Shallowest + Step * cell;

    private static double Square(double x) => x * x;
}
