using MathNet.Numerics.Distributions;

namespace DeepCurrent.Core.Goals;

/// <summary>One school week of a reader.</summary>
/// <param name="Days">School days the reader was there, above 0.</param>
/// <param name="Words">Words read and understood.</param>
public sealed record WeekRead(double Days, double Words);

/// <summary>What an average week of the class is like.</summary>
/// <param name="Words">In five school days.</param>
/// <param name="Sd">Of single weeks of single readers around it.</param>
public sealed record ClassWeek(double Words, double Sd)
{
    /// <summary>Part of the school's minutes a day that readers of whom nothing is known are thought to read.</summary>
    private const double Unknown = 0.25;

    /// <summary>The class's average week, from all weeks of its readers.</summary>
    /// <param name="most">Words a week that the school's minutes a day come to.</param>
    public static ClassWeek Of(IEnumerable<WeekOfReading> weeks, double most)
    {
        var rates = weeks.Where(w => w.Days > 0).Select(w => w.Words / w.Days * 5).ToList();
        var mean = rates.DefaultIfEmpty(0).Average();
        if (mean <= 0)
            return new(most * Unknown, most * Unknown);
        var spread = rates.Average(r => (r - mean) * (r - mean));
        return new(mean, Math.Max(Math.Sqrt(spread), mean / 4));
    }
}

/// <summary>Quizzes of one school week.</summary>
/// <param name="Days">School days the reader was there, above 0.</param>
/// <param name="Scores">First-attempt scores, 0 to 1.</param>
public sealed record WeekScored(double Days, IReadOnlyList<double> Scores);

/// <summary>Where a reader will stand at the end of a term, as far as it can be foretold: in the goal's own unit.</summary>
/// <param name="Low">5th percentile.</param>
/// <param name="High">95th percentile.</param>
/// <param name="Reaches">Chance to come to a value or beyond it, 0 to 1.</param>
/// <param name="At">The value that is reached with a chance; of words, what is read already where no whole word more is as
/// likely.</param>
public sealed record EndForecast(
    double Low,
    double Middle,
    double High,
    Func<double, double> Reaches,
    Func<double, double> At
);

/// <summary>Foretells the end of a term from a reader's own school weeks.</summary>
/// <remarks>
/// Words: a normal-normal model of a reader's usual day, shrunk towards the class's (Efron and Morris 1975, Data analysis
/// using Stein's estimator), recent weeks counting more; what is to come varies from week to week, by how little is known of
/// the usual day, and because habits change. The sum of what is to come is never negative and leans to the right: a gamma
/// distribution of the same mean and variance. Comprehension: the mean over quizzes so far and to come, these with the noise
/// of their few questions and of texts. Depth: normal, with growth and drift.
/// </remarks>
public static class GoalForecast
{
    private const double DaysPerWeek = 5;

    /// <summary>Fewer words than this beyond what is read are none.</summary>
    private const double LeastWords = 0.5;

    /// <summary>Of the variance of single weeks in a class, the part that lies between readers.</summary>
    private const double BetweenShare = 0.5;

    /// <summary>How many weeks of a reader's own the class's week-to-week noise is worth.</summary>
    private const double NoiseWorth = 4;

    /// <summary>A week so long ago counts half.</summary>
    private const double HalfLife = 6;

    /// <summary>By how much of itself a habit changes within a week (sd).</summary>
    private const double HabitDrift = 0.06;

    /// <summary>Beyond the noise of its questions, one quiz's score lies so far off (sd): the text, the day.</summary>
    private const double QuizSd = 0.10;

    private const double UsualScore = 0.78,
        UsualScoreSd = 0.12,
        UsualQuizzesADay = 0.2;

    /// <summary>Words at the end of the term.</summary>
    /// <param name="soFar">This term's, at least 0.</param>
    /// <param name="weeks">Oldest first; none where the reader is new.</param>
    /// <param name="schoolDaysLeft">At least 0.</param>
    public static EndForecast Words(
        double soFar,
        IReadOnlyList<WeekRead> weeks,
        ClassWeek classWeek,
        double schoolDaysLeft
    )
    {
        if (schoolDaysLeft <= 0)
            return Certain(soFar);
        var (usual, unsure, noise) = Usual(weeks, classWeek);
        double left = schoolDaysLeft / DaysPerWeek,
            drift = HabitDrift * usual;
        var mean = Math.Max(usual * left, 1e-6);
        var variance = left * left * (unsure + drift * drift * left / 3) + left * noise;
        var toCome = new Gamma(mean * mean / variance, mean / variance);
        return new(
            soFar + toCome.InverseCumulativeDistribution(0.05),
            soFar + toCome.InverseCumulativeDistribution(0.5),
            soFar + toCome.InverseCumulativeDistribution(0.95),
            target => target <= soFar ? 1 : 1 - toCome.CumulativeDistribution(target - soFar),
            chance =>
                toCome.InverseCumulativeDistribution(1 - chance) is >= LeastWords and var more ? soFar + more : soFar
        );
    }

    /// <summary>The words of a usual week of five days, how unsure that is (variance), and the variance of weeks around
    /// it.</summary>
    private static (double Usual, double Unsure, double Noise) Usual(IReadOnlyList<WeekRead> weeks, ClassWeek classWeek)
    {
        var all = classWeek.Sd * classWeek.Sd;
        double between = Math.Max(BetweenShare * all, 1e-6),
            noise = Math.Max((1 - BetweenShare) * all, 1e-6);
        if (weeks.Count == 0)
            return (classWeek.Words, between, noise);
        var rates = weeks.Select(w => w.Words / w.Days * DaysPerWeek).ToList();
        var weights = weeks
            .Select((w, i) => w.Days / DaysPerWeek * Math.Pow(0.5, (weeks.Count - 1 - i) / HalfLife))
            .ToList();
        double sum = weights.Sum(),
            mean = rates.Zip(weights, (r, w) => r * w).Sum() / sum;
        var spread = rates.Zip(weights, (r, w) => w * (r - mean) * (r - mean)).Sum();
        noise = (NoiseWorth * noise + spread) / (NoiseWorth + Math.Max(0, sum - 1));
        var known = sum * sum / weights.Sum(w => w * w) / noise;
        var unsure = 1 / (1 / between + known);
        return ((mean * known + classWeek.Words / between) * unsure, unsure, noise);
    }

    /// <summary>Mean first-attempt score in percent at the end of the term.</summary>
    /// <param name="weeks">Of the term so far.</param>
    /// <param name="questions">Of a usual quiz, above 0.</param>
    public static EndForecast Comprehension(IReadOnlyList<WeekScored> weeks, double questions, double schoolDaysLeft)
    {
        var scores = weeks.SelectMany(w => w.Scores).ToList();
        double done = scores.Count,
            days = weeks.Sum(w => w.Days);
        var toCome = (done + UsualQuizzesADay * DaysPerWeek) / (days + DaysPerWeek) * Math.Max(0, schoolDaysLeft);
        double sum = scores.Sum(),
            noise = UsualScore * (1 - UsualScore) / questions + QuizSd * QuizSd,
            prior = UsualScoreSd * UsualScoreSd,
            unsure = 1 / (1 / prior + done / noise),
            usual = (UsualScore / prior + sum / noise) * unsure;
        if (done + toCome <= 0)
            return Normal(100 * UsualScore, 100 * UsualScoreSd);
        var mean = (sum + toCome * usual) / (done + toCome);
        var variance = (toCome * toCome * unsure + toCome * noise) / ((done + toCome) * (done + toCome));
        return Normal(100 * mean, 100 * Math.Sqrt(variance));
    }

    /// <summary>Depth at the end of the term, in fathoms.</summary>
    /// <param name="growth">Fathoms a week.</param>
    /// <param name="drift">Variance a week, fm², at least 0.</param>
    public static EndForecast Depth(double mean, double sd, double growth, double drift, double schoolDaysLeft)
    {
        var weeks = Math.Max(0, schoolDaysLeft) / DaysPerWeek;
        return Normal(mean + growth * weeks, Math.Sqrt(sd * sd + drift * weeks));
    }

    private static EndForecast Certain(double value) =>
        new(value, value, value, target => value >= target ? 1 : 0, _ => value);

    private static EndForecast Normal(double mean, double sd)
    {
        if (sd <= 0)
            return Certain(mean);
        var end = new Normal(mean, sd);
        return new(
            end.InverseCumulativeDistribution(0.05),
            mean,
            end.InverseCumulativeDistribution(0.95),
            target => 1 - end.CumulativeDistribution(target),
            chance => end.InverseCumulativeDistribution(1 - chance)
        );
    }
}
