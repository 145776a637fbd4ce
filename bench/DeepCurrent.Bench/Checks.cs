using DeepCurrent.Core.Depth;
using DeepCurrent.Core.LevelChecks;
using DeepCurrent.Core.Measuring;
using DeepCurrent.Core.Questions;

/// <summary>Level checks of simulated readers: passages chosen for each, against the same passages in a fixed
/// order.</summary>
internal static class Checks
{
    private const double Wanted = 3.5,
        Guess = 0.25;
    private const int QuestionsEach = 10,
        Bank = 60,
        Readers = 1000,
        ShareOfReaders = 90,
        MostPassages = 4;

    /// <param name="Reached">Share of readers whose level is sure enough after at most four passages.</param>
    /// <param name="Chosen">Questions nine readers of ten need, passages chosen.</param>
    /// <param name="Fixed">Questions nine readers of ten need, passages in a fixed order.</param>
    internal sealed record Found(double Reached, int Chosen, int Fixed);

    /// <summary>A bank of passages from 0 to 66 fm, each with questions of several strands.</summary>
    public static IReadOnlyList<CheckPassage> Even() =>
        Enumerable
            .Range(0, Bank)
            .Select(i => 66.0 * i / (Bank - 1))
            .Select(d => new CheckPassage(
                VersionId.New(),
                d,
                [
                    .. Enumerable
                        .Range(0, QuestionsEach)
                        .Select(q => new PassageQuestion(
                            d - 10 * Math.Log((0.8 - Guess) / 0.2) - 4 + q % 5 * 2,
                            Guess
                        )),
                ],
                0
            ))
            .ToList();

    /// <param name="words">Words whose meaning is asked for before the passages.</param>
    public static Found Run(int seed, IReadOnlyList<CheckPassage> bank, int words = 0)
    {
        var random = new Random(seed);
        List<Taken> chosen = [],
            fix = [];
        for (var r = 0; r < Readers; r++)
        {
            var grade = random.Next(1, 9);
            // Within the range of the grade: what is typical, give or take what readers differ by.
            var typical = LevelChart.Default.Typical(grade, 0.5).Value;
            var depth = typical + ReaderEstimator.PriorSd * Draw.Normal(random);
            // A form for the grade: passages around what is typical for it, from easy to hard and back.
            var form = bank.OrderBy(p => Math.Abs(p.Depth - typical)).Take(12).ToList();
            chosen.Add(
                Questions(depth, typical, words, random, (known, seen) => PassageChoice.Next(known, bank, seen, new()))
            );
            fix.Add(
                Questions(depth, typical, words, random, (_, seen) => form.FirstOrDefault(p => !seen.Contains(p.Id)))
            );
        }
        return new(chosen.Count(t => t.Passages <= MostPassages && t.Sure) / (double)Readers, At(chosen), At(fix));
    }

    private static int At(List<Taken> taken) =>
        taken.Select(t => t.Questions).Order().ElementAt(taken.Count * ShareOfReaders / 100);

    private readonly record struct Taken(int Questions, int Passages, bool Sure);

    /// <summary>Questions until the level is sure enough; a passage that was begun is finished.</summary>
    private static Taken Questions(
        double depth,
        double typical,
        int words,
        Random random,
        Func<DepthDistribution, IReadOnlySet<VersionId>, CheckPassage?> next
    )
    {
        var known = DepthDistribution.Normal(typical, ReaderEstimator.PriorSd);
        // The starting level that a teacher typed.
        known.TimesNormal(
            depth + ReaderEstimator.StartingLevelSd * Draw.Normal(random),
            ReaderEstimator.StartingLevelSd
        );
        bool Right(double difficulty) =>
            random.NextDouble() < Guess + (1 - Guess) / (1 + Math.Exp(-(depth - difficulty) / Fathoms.PerLogit));
        for (var w = 0; w < words; w++)
        {
            var difficulty = QuestionDifficulty.Default(new(known.Mean), Guess, Strand.WordMeaning).Value;
            known.TimesAnswer(difficulty, Guess, Right(difficulty));
        }
        var seen = new HashSet<VersionId>();
        var asked = 0;
        while (known.Estimate(default).Sd > Wanted && next(known, seen) is { } passage)
        {
            seen.Add(passage.Id);
            foreach (var q in passage.Questions)
                known.TimesAnswer(
                    q.Difficulty,
                    q.Guess,
                    random.NextDouble()
                        < q.Guess + (1 - q.Guess) / (1 + Math.Exp(-(depth - q.Difficulty) / Fathoms.PerLogit))
                );
            asked += passage.Questions.Count;
        }
        return new(asked, seen.Count, known.Estimate(default).Sd <= Wanted);
    }
}
