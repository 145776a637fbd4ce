using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Measuring;

namespace DeepCurrent.Core.AssignmentResults;

/// <summary>A question as one reader meets it.</summary>
/// <param name="Guess">Chance to be right by guessing, 0 to below 0.98.</param>
public readonly record struct AskedQuestion(Fathoms Difficulty, double Guess);

/// <summary>How a score stands to what was forecast.</summary>
public enum AgainstForecast
{
    Above,
    As,
    Below,
}

/// <summary>What a reader was forecast to get right of a quiz at the first try.</summary>
/// <param name="Questions">How many were asked.</param>
/// <param name="Expected">Of them, on average, right at once.</param>
/// <param name="Low">10th percentile of how many are right.</param>
/// <param name="High">90th percentile.</param>
public sealed record ScoreForecast(int Questions, double Expected, int Low, int High)
{
    /// <summary>Half of what lies outside the interval.</summary>
    private const double Tail = 0.1;

    /// <summary>What one quiz's answers share beyond the reader's level: the day, the subject, the text's own error,
    /// fm (sd).</summary>
    private const double SharedSd = 2.5;

    private const int Steps = 25;
    private const double Reaching = 3;

    private IReadOnlyList<double> Chances { get; init; } = [];

    /// <summary>As a share, 0 to 1.</summary>
    public Probability Share => new(Questions == 0 ? 0 : Math.Clamp(Expected / Questions, 0, 1));

    /// <summary>The forecast for a reader of whom the level is known so far.</summary>
    /// <param name="sd">Of the reader's depth, fm.</param>
    /// <remarks>The number right is a sum of unequal chances (Poisson-binomial; Lord and Wingersky 1984), mixed over the
    /// reader's level and what the quiz's answers share.</remarks>
    public static ScoreForecast For(Fathoms reader, double sd, IReadOnlyList<AskedQuestion> asked)
    {
        var spread = Math.Sqrt(sd * sd + SharedSd * SharedSd);
        var chances = new double[asked.Count + 1];
        var weights = 0.0;
        for (var step = 0; step < Steps; step++)
        {
            var z = Reaching * (2.0 * step / (Steps - 1) - 1);
            var weight = Math.Exp(-z * z / 2);
            weights += weight;
            var at = Scores(reader + spread * z, asked);
            for (var k = 0; k < at.Length; k++)
                chances[k] += weight * at[k];
        }
        for (var k = 0; k < chances.Length; k++)
            chances[k] /= weights;
        var expected = chances.Select((p, k) => p * k).Sum();
        return new(asked.Count, expected, Quantile(chances, Tail), Quantile(chances, 1 - Tail)) { Chances = chances };
    }

    /// <summary>Chance of at most so many right, 0 to 1.</summary>
    public double AtMost(int right) => Math.Min(1, Chances.Take(right + 1).Sum());

    /// <summary>Chance of at least so many right, 0 to 1.</summary>
    public double AtLeast(int right) => Math.Min(1, Chances.Skip(right).Sum());

    /// <summary>Where a score stands. Within one question of what was expected it is as forecast, however sure that
    /// was.</summary>
    /// <param name="right">Questions right at once, of those that were asked.</param>
    public AgainstForecast Place(int right) =>
        Math.Abs(right - Expected) <= 1 ? AgainstForecast.As
        : right > High ? AgainstForecast.Above
        : right < Low ? AgainstForecast.Below
        : AgainstForecast.As;

    private static double[] Scores(Fathoms reader, IReadOnlyList<AskedQuestion> asked)
    {
        var chances = new double[asked.Count + 1];
        chances[0] = 1;
        for (var q = 0; q < asked.Count; q++)
        {
            var right = AnswerModel.Right(reader - asked[q].Difficulty, asked[q].Guess);
            for (var k = q + 1; k > 0; k--)
                chances[k] = chances[k] * (1 - right) + chances[k - 1] * right;
            chances[0] *= 1 - right;
        }
        return chances;
    }

    private static int Quantile(double[] chances, double below)
    {
        var sum = 0.0;
        for (var k = 0; k < chances.Length; k++)
        {
            sum += chances[k];
            if (sum >= below)
                return k;
        }
        return chances.Length - 1;
    }
}
