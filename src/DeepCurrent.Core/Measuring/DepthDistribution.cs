namespace DeepCurrent.Core.Measuring;

/// <summary>A reader's depth as a probability over a grid from −20 to 100 fm in steps of 0.5.</summary>
public sealed class DepthDistribution
{
    public const double Lowest = -20,
        Step = 0.5;
    public const int Cells = 241;

    private readonly double[] share = new double[Cells];
    private readonly double[] spare = new double[Cells];

    private DepthDistribution() { }

    /// <summary>A normal distribution cut to the grid.</summary>
    /// <param name="mean">Fathoms.</param>
    /// <param name="sd">Fathoms, above 0.</param>
    /// <exception cref="ArgumentOutOfRangeException">The sd is not above 0, or the mean is not a number.</exception>
    public static DepthDistribution Normal(double mean, double sd)
    {
        if (!double.IsFinite(mean))
            throw new ArgumentOutOfRangeException(nameof(mean), mean, "The mean must be a number.");
        if (!(sd > 0) || !double.IsFinite(sd))
            throw new ArgumentOutOfRangeException(nameof(sd), sd, "The standard deviation must be above 0.");
        var d = new DepthDistribution();
        Array.Fill(d.share, 1.0 / Cells);
        d.TimesNormal(mean, sd);
        return d;
    }

    /// <summary>Probability of a cell.</summary>
    /// <param name="cell">0 to <see cref="Cells"/> − 1.</param>
    public double ShareOf(int cell) => share[cell];

    public static double DepthOf(int cell) => Lowest + cell * Step;

    /// <summary>Bayes with the answer to one question (logistic between guessing and slipping, one slope for
    /// all).</summary>
    /// <param name="difficulty">Fathoms.</param>
    /// <param name="guess">0 to below 1.</param>
    /// <remarks><see cref="AnswerModel"/>.</remarks>
    public void TimesAnswer(double difficulty, double guess, bool correct)
    {
        // exp falls by a fixed factor from cell to cell, so one exponential serves the whole grid.
        var odds = Math.Exp(-(Lowest - difficulty) / Depth.Fathoms.PerLogit);
        var factor = Math.Exp(-Step / Depth.Fathoms.PerLogit);
        double total = 0;
        for (var i = 0; i < Cells; i++)
        {
            var right = guess + (AnswerModel.Unslipped - guess) / (1 + odds);
            total += share[i] *= correct ? right : 1 - right;
            odds *= factor;
        }
        Scale(total);
    }

    /// <summary>Bayes with a likelihood that is given for each cell, as its logarithm.</summary>
    public void Times(ReadOnlySpan<double> log)
    {
        double best = double.NegativeInfinity,
            total = 0;
        for (var i = 0; i < Cells; i++)
            best = Math.Max(best, spare[i] = Math.Log(share[i]) + log[i]);
        for (var i = 0; i < Cells; i++)
            total += share[i] = Math.Exp(spare[i] - best);
        Scale(total);
    }

    /// <summary>Bayes with a normal likelihood.</summary>
    public void TimesNormal(double centre, double sd)
    {
        // Weights are taken relative to the best cell, so that a statement far off the grid does not vanish into
        // rounding.
        double best = double.NegativeInfinity,
            total = 0;
        for (var i = 0; i < Cells; i++)
        {
            var z = (DepthOf(i) - centre) / sd;
            spare[i] = Math.Log(share[i]) - z * z / 2;
            best = Math.Max(best, spare[i]);
        }
        for (var i = 0; i < Cells; i++)
            total += share[i] = Math.Exp(spare[i] - best);
        Scale(total);
    }

    /// <summary>Moves the distribution by a mean and widens it by a variance.</summary>
    /// <param name="shift">Fathoms.</param>
    /// <param name="variance">fm², at least 0.</param>
    /// <remarks>
    /// Wide kernels are a sampled normal; those narrower than a cell are the three-point kernel with the same mean and
    /// variance, so that many small steps add up
    /// exactly. What would leave the grid stays on its last cell.
    /// </remarks>
    public void Move(double shift, double variance)
    {
        if (shift == 0 && variance == 0)
            return;
        var whole = (int)Math.Round(shift / Step);
        var rest = shift - whole * Step;
        if (variance >= Step * Step)
            Convolve(Sampled(rest, variance), whole);
        else
        {
            double spread = (variance + rest * rest) / (2 * Step * Step),
                lean = rest / (2 * Step);
            Convolve([spread - lean, 1 - 2 * spread, spread + lean], whole);
        }
    }

    private static double[] Sampled(double mean, double variance)
    {
        var half = (int)Math.Ceiling(6 * Math.Sqrt(variance) / Step) + 1;
        var kernel = new double[2 * half + 1];
        for (var k = -half; k <= half; k++)
            kernel[k + half] = Math.Exp(-Math.Pow(k * Step - mean, 2) / (2 * variance));
        var total = kernel.Sum();
        for (var k = 0; k < kernel.Length; k++)
            kernel[k] /= total;
        return kernel;
    }

    private void Convolve(ReadOnlySpan<double> kernel, int whole)
    {
        Array.Clear(spare);
        var half = kernel.Length / 2;
        for (var i = 0; i < Cells; i++)
        {
            if (share[i] == 0)
                continue;
            for (var k = 0; k < kernel.Length; k++)
                spare[Math.Clamp(i + whole + k - half, 0, Cells - 1)] += share[i] * kernel[k];
        }
        double total = 0;
        for (var i = 0; i < Cells; i++)
            total += share[i] = Math.Max(0, spare[i]);
        Scale(total);
    }

    private void Scale(double total)
    {
        if (!(total > 0))
            throw new InvalidOperationException(
                "The evidence contradicts everything known; nothing is left of the distribution."
            );
        var by = 1 / total;
        for (var i = 0; i < Cells; i++)
            share[i] *= by;
    }

    public double Mean
    {
        get
        {
            double sum = 0;
            for (var i = 0; i < Cells; i++)
                sum += share[i] * DepthOf(i);
            return sum;
        }
    }

    public DepthEstimate Estimate(DateTimeOffset at)
    {
        double mean = Mean,
            variance = 0;
        for (var i = 0; i < Cells; i++)
            variance += share[i] * (DepthOf(i) - mean) * (DepthOf(i) - mean);
        return new(at, new(mean), Math.Sqrt(variance), new(Percentile(0.05)), new(Percentile(0.95)));
    }

    /// <summary>The depth below which a given share of the distribution lies; each cell is spread evenly over its
    /// width.</summary>
    public double Percentile(double p)
    {
        double below = 0;
        for (var i = 0; i < Cells; i++)
        {
            if (below + share[i] >= p && share[i] > 0)
                return DepthOf(i) - Step / 2 + Step * (p - below) / share[i];
            below += share[i];
        }
        return DepthOf(Cells - 1);
    }
}
