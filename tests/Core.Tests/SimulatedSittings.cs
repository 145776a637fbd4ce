using DeepCurrent.Core.Readings;

namespace Core.Tests;

/// <summary>What a simulated reader truly did with a text.</summary>
public enum SittingTruth
{
    Read,
    Skimmed,
    LeftOpen,
    ClickedThrough,
}

/// <summary>One simulated sitting over a text, and what is seen of it.</summary>
public sealed record SimulatedSitting(
    SittingTruth Truth,
    IReadOnlyList<int> PageWords,
    IReadOnlyList<PageSpell> Spells,
    double SupposedRate,
    QuizTried Quiz
);

/// <summary>Sittings of known truth: rates are not what they are supposed to be, pages are turned back, devices lie
/// open, questions are guessed.</summary>
public static class SimulatedSittings
{
    private static readonly DateTimeOffset Start = new(2026, 11, 2, 9, 0, 0, TimeSpan.Zero);

    public static IReadOnlyList<SimulatedSitting> Many(int count, int seed)
    {
        var random = new Random(seed);
        return [.. Enumerable.Range(0, count).Select(i => One((SittingTruth)(i % 4), random))];
    }

    private static SimulatedSitting One(SittingTruth truth, Random random)
    {
        var pages = 1 + random.Next(6);
        var pageWords = Enumerable.Range(0, pages).Select(_ => 35 + random.Next(120)).ToList();
        var rate = 60 + 160 * random.NextDouble();
        var supposed = rate * Math.Exp(0.2 * Normal(random));
        var at = Start;
        var spells = new List<PageSpell>();
        void Spell(int page, double seconds)
        {
            spells.Add(new(page, seconds, at));
            at = at.AddSeconds(seconds + 1);
        }

        double Takes(int page) => 60 * pageWords[page] / rate;
        switch (truth)
        {
            case SittingTruth.Read:
                for (var p = 0; p < pages; p++)
                    Read(p, Takes(p), Spell, random);
                break;
            case SittingTruth.Skimmed:
                for (var p = 0; p < pages; p++)
                    Spell(p, Takes(p) / (4 + 4 * random.NextDouble()));
                break;
            case SittingTruth.LeftOpen:
                var until = (int)(pages * 0.5 * random.NextDouble());
                for (var p = 0; p < until; p++)
                    Spell(p, Takes(p));
                Spell(until, 900 + 6000 * random.NextDouble());
                break;
            case SittingTruth.ClickedThrough:
                for (var p = 0; p < pages; p++)
                    Spell(p, 0.5 + 2.5 * random.NextDouble());
                break;
            default:
                throw new ArgumentOutOfRangeException(nameof(truth), truth, null);
        }

        return new(truth, pageWords, spells, supposed, Quiz(truth, at, random));
    }

    /// <summary>A page as it is read: now and then with a look back, or with the device put down and taken up
    /// again.</summary>
    private static void Read(int page, double seconds, Action<int, double> spell, Random random)
    {
        spell(page, seconds * (0.8 + 0.5 * random.NextDouble()));
        if (page > 0 && random.NextDouble() < 0.1)
            spell(page - 1, 3 + 8 * random.NextDouble());
        if (random.NextDouble() < 0.05)
            spell(page, 300 + 900 * random.NextDouble());
    }

    private static QuizTried Quiz(SittingTruth truth, DateTimeOffset at, Random random)
    {
        // Three texts in ten have no quiz, or it is not begun; who leaves a text open answers nothing.
        if (truth is SittingTruth.LeftOpen || random.NextDouble() < 0.3)
            return QuizTried.None;
        var (right, hasty) = truth switch
        {
            SittingTruth.Read => (0.8, 0.05),
            SittingTruth.Skimmed => (0.45, 0.2),
            _ => (0.25, 0.9),
        };
        var asked = 4 + random.Next(5);
        return new(asked, Times(asked, right, random), Times(asked, hasty, random), at.AddMinutes(3));
    }

    private static int Times(int n, double chance, Random random) =>
        Enumerable.Range(0, n).Count(_ => random.NextDouble() < chance);

    private static double Normal(Random random) =>
        Math.Sqrt(-2 * Math.Log(1 - random.NextDouble())) * Math.Cos(2 * Math.PI * random.NextDouble());

    /// <summary>Share of sittings of each kind that are judged as what they truly were.</summary>
    public static IReadOnlyDictionary<SittingTruth, double> ToldApart(IEnumerable<SimulatedSitting> sittings) =>
        sittings
            .GroupBy(s => s.Truth)
            .ToDictionary(
                g => g.Key,
                g =>
                    g.Average(s =>
                        FullReading.Judge(s.PageWords, s.Spells, s.SupposedRate, s.Quiz).Full
                        == (s.Truth is SittingTruth.Read)
                            ? 1.0
                            : 0
                    )
            );
}
