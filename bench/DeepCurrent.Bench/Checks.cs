using DeepCurrent.Core.Depth;
using DeepCurrent.Core.LevelChecks;
using DeepCurrent.Core.Measuring;

/// <summary>Level checks of simulated readers: passages chosen for each, against the same passages in a fixed order.</summary>
internal static class Checks
{
    private const double Wanted = 3.5, Guess = 0.25;
    private const int QuestionsEach = 10, Bank = 60, Readers = 1000, ShareOfReaders = 90;

    /// <param name="Reached">Share of readers whose level is sure enough after at most four passages.</param>
    /// <param name="Chosen">Questions nine readers of ten need, passages chosen.</param>
    /// <param name="Fixed">Questions nine readers of ten need, passages in a fixed order.</param>
    internal sealed record Found(double Reached, int Chosen, int Fixed);

    public static Found Run(int seed)
    {
        var random = new Random(seed);
        // Passages from 0 to 66 fm, each with questions of several strands.
        var bank = Enumerable.Range(0, Bank).Select(i => 66.0 * i / (Bank - 1)).Select(d => new CheckPassage(Guid.NewGuid(), d, [.. Enumerable.Range(0, QuestionsEach).Select(q => new PassageQuestion(d - 10 * Math.Log((0.8 - Guess) / 0.2) - 4 + q % 5 * 2, Guess))], 0)).ToList();
        List<int> chosen = [], fix = [];
        for (var r = 0; r < Readers; r++)
        {
            var grade = random.Next(1, 9);
            // Within the range of the grade: what is typical, give or take what readers differ by.
            var typical = LevelChart.Default.Typical(grade, 0.5).Value;
            var depth = typical + ReaderEstimator.PriorSd * Draw.Normal(random);
            // A form for the grade: passages around what is typical for it, from easy to hard and back.
            var form = bank.OrderBy(p => Math.Abs(p.Depth - typical)).Take(12).ToList();
            chosen.Add(Questions(depth, typical, random, (known, seen) => PassageChoice.Next(known, bank, seen, new())));
            fix.Add(Questions(depth, typical, random, (_, seen) => form.Find(p => !seen.Contains(p.Id))));
        }
        return new(chosen.Count(q => q <= 4 * QuestionsEach) / (double)Readers, At(chosen), At(fix));
    }

    private static int At(List<int> questions) => questions.Order().ElementAt(questions.Count * ShareOfReaders / 100);

    /// <summary>Questions until the level is sure enough; a passage that was begun is finished.</summary>
    private static int Questions(double depth, double typical, Random random, Func<DepthDistribution, IReadOnlySet<Guid>, CheckPassage?> next)
    {
        var known = DepthDistribution.Normal(typical, ReaderEstimator.PriorSd);
        // The starting level that a teacher typed.
        known.TimesNormal(depth + ReaderEstimator.StartingLevelSd * Draw.Normal(random), ReaderEstimator.StartingLevelSd);
        var seen = new HashSet<Guid>();
        var asked = 0;
        while (known.Estimate(default).Sd > Wanted && next(known, seen) is { } passage)
        {
            seen.Add(passage.Id);
            foreach (var q in passage.Questions)
                known.TimesAnswer(q.Difficulty, q.Guess, random.NextDouble() < q.Guess + (1 - q.Guess) / (1 + Math.Exp(-(depth - q.Difficulty) / Fathoms.PerLogit)));
            asked += passage.Questions.Count;
        }
        return asked;
    }
}
