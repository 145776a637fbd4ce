using DeepCurrent.Core.Depth;
using static MathNet.Numerics.SpecialFunctions;

namespace DeepCurrent.Core.Measuring;

/// <summary>What errors in reading aloud say of a reader's depth.</summary>
/// <remarks>
/// Errors among a text's words are beta-binomial (Skellam 1948), since they come in bunches: 95 % of the words right at
/// the text's depth, with an
/// error of about 5 fm from 100 words. At both ends a record says only one thing: hardly an error on an easy text is
/// "at least this deep", and a
/// poor reading of a hard one "at most this deep", however easy or hard the text was.
/// </remarks>
public static class RunningRecordModel
{
    /// <summary>How much alike a reader's words are: the smaller, the more errors come in bunches.</summary>
    public const double Concentration = 96;

    private const double AtDepth = 2.944,
        Below = 0.10,
        Above = 0.16,
        Fluent = 0.98,
        Poor = 0.90;

    /// <summary>Chance that a word is read right.</summary>
    /// <param name="above">Reader's depth less the text's, fm.</param>
    public static double WordRight(double above) =>
        1 / (1 + Math.Exp(-(AtDepth + Below * Math.Min(above, 0) + Above * Math.Max(above, 0))));

    /// <summary>Likelihood of a record for a reader of each depth, as its logarithm, on the grid of
    /// <see cref="DepthDistribution"/>.</summary>
    /// <param name="words">Words of the passage, at least 1.</param>
    /// <param name="errors">Miscues that count, at least 0; more than words count as all.</param>
    /// <exception cref="ArgumentOutOfRangeException">A number is out of its range.</exception>
    public static double[] LogLikelihood(Fathoms text, int words, int errors)
    {
        if (words < 1)
            throw new ArgumentOutOfRangeException(nameof(words), words, "A passage has at least one word.");
        if (errors < 0)
            throw new ArgumentOutOfRangeException(nameof(errors), errors, "There cannot be less than no error.");
        errors = Math.Min(errors, words);
        var cells = new double[DepthDistribution.Cells];
        for (var i = 0; i < cells.Length; i++)
            cells[i] = Log(words, errors, WordRight(DepthDistribution.DepthOf(i) - text.Value));
        var accuracy = (words - errors) / (double)words;
        var best = Array.IndexOf(cells, cells.Max());
        if (accuracy >= Fluent)
            cells.AsSpan(best).Fill(cells[best]);
        if (accuracy < Poor)
            cells.AsSpan(0, best).Fill(cells[best]);
        return cells;
    }

    /// <summary>The depth at which a record is likeliest, from the text's, within 30 fm below and 15 above: where it
    /// stands as a mark.</summary>
    public static double Shift(int words, int errors)
    {
        errors = Math.Min(errors, words);
        return Enumerable.Range(-60, 91).Select(i => i / 2.0).MaxBy(x => Log(words, errors, WordRight(x)));
    }

    // Beta-binomial without what does not depend on the depth.
    private static double Log(int words, int errors, double right)
    {
        double wrongs = Concentration * (1 - right),
            rights = Concentration * right;
        return GammaLn(wrongs + errors) - GammaLn(wrongs) + GammaLn(rights + words - errors) - GammaLn(rights);
    }
}
