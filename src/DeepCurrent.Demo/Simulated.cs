using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Goals;
using DeepCurrent.Core.Questions;
using DeepCurrent.Data.Texts;

namespace DeepCurrent.Demo;

/// <summary>A text as the simulation sees it.</summary>
internal sealed record SimulatedText(TextRow Row, IReadOnlyList<Question> Questions)
{
    public VersionHead Best(Fathoms reader) => Row.Versions[Forecast.BestVersion(reader, [.. Row.Versions.Select(v => new Fathoms(v.Depth))])];
}

/// <summary>A reader with a true depth, strengths and habits that only the simulation knows.</summary>
internal sealed class SimulatedReader
{
    private readonly Random random;
    private readonly double pace;
    private readonly Dictionary<Strand, double> strengths;

    public SimulatedReader(Guid id, string name, double depth, Random random)
    {
        (Id, Name, Depth, this.random) = (id, name, depth, random);
        pace = 0.6 + 1.2 * random.NextDouble();
        Hurries = random.NextDouble() < 0.06;
        strengths = Enum.GetValues<Strand>().ToDictionary(s => s, _ => 3 * Normal.Draw(random));
        // Some readers find what the text says and miss what it means.
        if (random.NextDouble() < 0.3) strengths[Strand.Infer] -= 12;
    }

    public Guid Id { get; }

    public string Name { get; }

    public double Depth { get; private set; }

    public bool Hurries { get; }

    public HashSet<Guid> Seen { get; } = [];

    public double Rate => GoalRules.SilentRate(new(Depth), LevelChart.Default);

    public void Grow(LevelChart chart) => Depth += pace * chart.GrowthPerWeek(new(Depth)) + 0.3 * Normal.Draw(random);

    /// <summary>The unread text whose best version is forecast nearest to 80 %; none if nothing is near enough.</summary>
    public SimulatedText? NextText(IEnumerable<SimulatedText> library, Fathoms estimate) => library.Where(t => !Seen.Contains(t.Row.Id))
        .Select(t => (t, Miss: Math.Abs(Forecast.Comprehension(estimate, new(t.Best(estimate).Depth)).Value - Forecast.AtSameDepth)))
        .Where(x => x.Miss < 0.16).OrderBy(x => x.Miss + 0.05 * random.NextDouble()).Select(x => x.t).FirstOrDefault();

    public bool Answers(Question q, Fathoms text, int attempt)
    {
        var ability = Depth + strengths[q.Strand] + (attempt > 0 ? 6 : 0) - (Hurries ? 9 : 0);
        var guess = QuestionDifficulty.Guess(q.Choices.Count);
        return random.NextDouble() < guess + (1 - guess) / (1 + Math.Exp(-(ability - q.Difficulty(text).Value) / Fathoms.PerLogit));
    }
}

internal static class Normal
{
    public static double Draw(Random random) => Math.Sqrt(-2 * Math.Log(1 - random.NextDouble())) * Math.Cos(2 * Math.PI * random.NextDouble());

    public static double Quantile(double p) => MathNet.Numerics.Distributions.Normal.InvCDF(0, 1, p);
}
