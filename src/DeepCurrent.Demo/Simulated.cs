using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Goals;
using DeepCurrent.Core.LevelChecks;
using DeepCurrent.Core.Measuring;
using DeepCurrent.Core.Questions;
using DeepCurrent.Data.Texts;

namespace DeepCurrent.Demo;

/// <summary>A text as the simulation sees it.</summary>
internal sealed record SimulatedText(TextRow Row, IReadOnlyList<Question> Questions)
{
    public VersionHead Best(Fathoms reader) =>
        Row.Versions[Forecast.BestVersion(reader, [.. Row.Versions.Select(v => v.Depth)])];
}

/// <summary>A reader with a true depth, strengths and habits that only the simulation knows.</summary>
internal sealed class SimulatedReader
{
    private const int TypicalSentences = 20;
    private readonly double pace;
    private readonly Dictionary<Strand, double> strengths;

    /// <param name="dice">Of this reader alone: what another does, or when, changes nothing here.</param>
    public SimulatedReader(ReaderId id, string name, double depth, Random dice)
    {
        (Id, Name, Depth, Dice) = (id, name, depth, dice);
        pace = 0.6 + 1.2 * Dice.NextDouble();
        Hurries = Dice.NextDouble() < 0.06;
        strengths = Enum.GetValues<Strand>().ToDictionary(s => s, _ => 3 * Normal.Draw(Dice));
        // Some readers find what the text says and miss what it means.
        if (Dice.NextDouble() < 0.3)
            strengths[Strand.Infer] -= 12;
    }

    public ReaderId Id { get; }

    public Random Dice { get; }

    public string Name { get; }

    public double Depth { get; private set; }

    public bool Hurries { get; }

    public HashSet<TextId> Seen { get; } = [];

    public double Rate => GoalRules.SilentRate(new(Depth), LevelChart.Default);

    public void Grow(LevelChart chart) => Depth += pace * chart.GrowthPerWeek(new(Depth)) + 0.3 * Normal.Draw(Dice);

    /// <summary>The unread text whose best version is forecast nearest to 80 %; none if nothing is near
    /// enough.</summary>
    public SimulatedText? NextText(IEnumerable<SimulatedText> library, Fathoms estimate) =>
        library
            .Where(t => !Seen.Contains(t.Row.Id))
            .Select(t =>
                (
                    t,
                    Miss: Math.Abs(
                        Forecast.Comprehension(estimate, t.Best(estimate).Depth).Value - Forecast.AtSameDepth
                    )
                )
            )
            .Where(x => x.Miss < 0.16)
            .OrderBy(x => x.Miss + 0.05 * Dice.NextDouble())
            .Select(x => x.t)
            .FirstOrDefault();

    /// <summary>Whether the reader is right in a level check, by dice of its own.</summary>
    public bool AnswersCheck(CheckItem item, Random dice)
    {
        var ability =
            Depth + (Enum.TryParse<Strand>(item.Strand, out var strand) ? strengths[strand] : 0) - (Hurries ? 9 : 0);
        return dice.NextDouble()
            < item.Guess + (1 - item.Guess) / (1 + Math.Exp(-(ability - item.Difficulty) / Fathoms.PerLogit));
    }

    public bool Answers(Question q, Fathoms text, int attempt)
    {
        var ability = Depth + strengths[q.Strand] + (attempt > 0 ? 6 : 0) - (Hurries ? 9 : 0);
        var guess = q.Guess(TypicalSentences);
        return Dice.NextDouble() < AnswerModel.Right(ability - q.Difficulty(text, TypicalSentences).Value, guess);
    }
}

/// <summary>What a simulated reader answers.</summary>
internal static class SimulatedAnswer
{
    public static Response To(Question q, bool right, IReadOnlyList<string> sentences, string version, Random random)
    {
        if (q.Written)
            return new(
                [],
                q.Rubric is { Samples: [var good, ..] samples }
                    ? right
                        ? good
                        : samples[^1]
                    : "I think it was the tide."
            );
        if (Scoring.RightOne(q, sentences, version) is not { } best)
            return new([0]);
        if (right)
            return best;
        int[] places = [.. q.Rules.Offered(q, sentences)];
        for (var k = 0; k < 50; k++)
        {
            random.Shuffle(places);
            Response guess = new([.. places.Take(best.Picks.Count)]);
            if (Scoring.Score(q, guess, sentences, version).Right == false)
                return guess;
        }
        return best;
    }
}

internal static class Normal
{
    public static double Draw(Random random) =>
        Math.Sqrt(-2 * Math.Log(1 - random.NextDouble())) * Math.Cos(2 * Math.PI * random.NextDouble());

    public static double Quantile(double p) => MathNet.Numerics.Distributions.Normal.InvCDF(0, 1, p);
}
