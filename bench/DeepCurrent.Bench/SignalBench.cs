using Core.Tests;

/// <summary>Signals of simulated classes: how seldom they cry wolf, and how many readers in trouble they find.</summary>
internal static class SignalBench
{
    private const int Classes = 60,
        OfTrouble = 100;

    public static void Run(Action<string, string, string> row)
    {
        var ordinary = Enumerable
            .Range(0, Classes)
            .AsParallel()
            .Select(s => SimulatedClass.Run(s, Trouble.None))
            .ToList();
        var rate = 10.0 * ordinary.Sum(r => r.New) / ordinary.Sum(r => r.Weeks);
        var kinds = ordinary
            .SelectMany(r => r.Kinds)
            .GroupBy(k => k.Key)
            .OrderByDescending(g => g.Sum(k => k.Value))
            .Select(g => $"{g.Key} {10.0 * g.Sum(k => k.Value) / ordinary.Sum(r => r.Weeks):0.00}");
        row(
            $"New signals per ten readers and week, {Classes} ordinary classes of 24 over 12 weeks",
            $"{rate:0.00} ({string.Join(", ", kinds)})",
            "at most 1"
        );
        foreach (var trouble in Enum.GetValues<Trouble>().Where(t => t is not Trouble.None))
        {
            var found = Enumerable
                .Range(1000, OfTrouble)
                .AsParallel()
                .Count(s => SimulatedClass.Run(s, trouble).Found is true);
            row($"Readers found within three weeks: {trouble}", $"{100.0 * found / OfTrouble:0} of 100", "90");
        }
    }
}
