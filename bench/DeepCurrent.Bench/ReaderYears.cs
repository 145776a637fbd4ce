using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Measuring;

/// <summary>School years of simulated readers: how well their levels are found, against the best that can be done with
/// the evidence given.</summary>
internal static class ReaderYears
{
    private const int Weeks = 38,
        QuizQuestions = 7;
    private const double Guess = 0.25;
    private static readonly DateTimeOffset Start = new(2026, 9, 1, 0, 0, 0, TimeSpan.Zero);
    private static readonly (string Name, int From, int To)[] Bands =
    [
        ("K to 2", 0, 2),
        ("3 to 5", 3, 5),
        ("6 to 8", 6, 8),
        ("9 to 12", 9, 12),
    ];

    /// <param name="Covered">Share of intervals that hold the truth.</param>
    /// <param name="OverBound">Root mean square error over the bound.</param>
    internal sealed record Found(string Band, double Covered, double OverBound, double Bias, double Rmse);

    /// <param name="wrong">How wrong the questions' difficulties are, fm (standard deviation).</param>
    public static IReadOnlyList<Found> Run(int readers, double wrong, int seed)
    {
        var all = Bands
            .SelectMany(
                (b, i) =>
                    Enumerable.Range(0, readers / Bands.Length).Select(k => (Band: i, Seed: seed + 100_000 * i + k))
            )
            .AsParallel()
            .AsOrdered()
            .Select(x => (x.Band, Year: One(Bands[x.Band], wrong, new(x.Seed))))
            .ToList();
        return
        [
            .. all.GroupBy(x => x.Band)
                .Select(g =>
                {
                    var years = g.Select(x => x.Year).ToList();
                    var rmse = Math.Sqrt(years.Average(y => y.Off * y.Off));
                    return new Found(
                        Bands[g.Key].Name,
                        years.Average(y => y.Covered ? 1.0 : 0),
                        rmse / Math.Sqrt(years.Average(y => y.Bound)),
                        years.Average(y => y.Off),
                        rmse
                    );
                }),
        ];
    }

    /// <summary>A year of one reader, who grows as the model says, by the chart and with chance, and does quizzes most
    /// weeks and a running record now and then.</summary>
    /// <returns>What the estimate is off by at the end, and the recursive Bayesian Cramér–Rao bound of its variance
    /// (Tichavský, Muravchik and Nehorai 1998).</returns>
    private static (double Off, bool Covered, double Bound) One(
        (string Name, int From, int To) band,
        double wrong,
        Random random
    )
    {
        var chart = LevelChart.Default;
        var grade = random.Next(band.From, band.To + 1);
        var prior = new Prior(chart.Typical(grade, 0), ReaderEstimator.PriorSd, Start);
        var depth = prior.Mean.Value + prior.Sd * Draw.Normal(random);
        var known = 1 / (prior.Sd * prior.Sd);
        var evidence = new List<Evidence>();
        for (var week = 1; week <= Weeks; week++)
        {
            depth += chart.GrowthPerWeek(new(depth)) + Math.Sqrt(ReaderEstimator.DriftPerWeek) * Draw.Normal(random);
            known = 1 / (1 / known + ReaderEstimator.DriftPerWeek);
            var at = Start.AddDays(7 * week);
            if (random.NextDouble() < 0.6)
            {
                known += Quiz(evidence, at, depth, wrong, random);
            }
            if (week % 12 == 1)
            {
                const int words = 400;
                var text = depth + 3 * Draw.Normal(random);
                evidence.Add(
                    new RunningRecordEvidence(
                        at.AddHours(1),
                        new(text),
                        words,
                        Errors(random, words, RunningRecordModel.WordRight(depth - text))
                    )
                );
                known += 1 / (ReaderEstimator.RunningRecordSd * ReaderEstimator.RunningRecordSd);
            }
        }
        var movement = new Movement(
            d => chart.GrowthPerWeek(d),
            ReaderEstimator.DriftPerWeek,
            (from, to) => (to - from).TotalDays / 7
        );
        var found = ReaderEstimator.Run(prior, evidence, movement, Start.AddDays(7 * Weeks).AddHours(2)).Now;
        return (found.Mean.Value - depth, depth >= found.Low.Value && depth <= found.High.Value, 1 / known);
    }

    /// <returns>What the quiz says, in 1/fm².</returns>
    private static double Quiz(List<Evidence> evidence, DateTimeOffset at, double depth, double wrong, Random random)
    {
        var said = 0.0;
        var text = depth + 5 * Draw.Normal(random);
        for (var q = 0; q < QuizQuestions; q++)
        {
            var believed = text - AnswerModel.Ease(0.8, Guess) + 3 * Draw.Normal(random);
            var chance = Chance(depth - believed - wrong * Draw.Normal(random));
            evidence.Add(new AnswerEvidence(at.AddMinutes(q), new(believed), Guess, random.NextDouble() < chance));
            said += AnswerModel.Information(Chance(depth - believed), Guess);
        }
        return said;
    }

    /// <summary>Readers whose whole evidence is reckoned again, a second.</summary>
    public static double Recomputed(int readers, int pieces)
    {
        var random = new Random(11);
        var evidence = Enumerable
            .Range(0, pieces)
            .Select(i =>
                (Evidence)
                    new AnswerEvidence(
                        Start.AddHours(24 * i),
                        new(20 + 20 * random.NextDouble()),
                        Guess,
                        random.NextDouble() < 0.8
                    )
            )
            .ToList();
        var movement = new Movement(
            d => LevelChart.Default.GrowthPerWeek(d),
            ReaderEstimator.DriftPerWeek,
            (from, to) => (to - from).TotalDays / 7
        );
        var clock = System.Diagnostics.Stopwatch.StartNew();
        Parallel.For(0, readers, _ =>
            ReaderEstimator.Run(new(new(30), 8, Start), evidence, movement, Start.AddDays(pieces + 1))
        );
        return readers / clock.Elapsed.TotalSeconds;
    }

    private static double Chance(double above) => AnswerModel.Right(above, Guess);

    /// <summary>Errors in bunches, by an urn: each error makes the next likelier (Pólya).</summary>
    private static int Errors(Random random, int words, double right)
    {
        double wrongs = RunningRecordModel.Concentration * (1 - right),
            all = RunningRecordModel.Concentration;
        var errors = 0;
        for (var i = 0; i < words; i++, all++)
            if (random.NextDouble() < wrongs / all)
            {
                errors++;
                wrongs++;
            }
        return errors;
    }
}
