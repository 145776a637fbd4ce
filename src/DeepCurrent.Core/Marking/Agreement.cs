namespace DeepCurrent.Core.Marking;

/// <summary>How far two markers agree.</summary>
public static class Agreement
{
    /// <summary>Quadratic weighted kappa (Cohen 1968): 1 for full agreement, 0 for what chance would give.</summary>
    /// <param name="most">The highest mark; marks are 0 to it.</param>
    /// <exception cref="ArgumentException">There is no pair, or a mark is none.</exception>
    public static double Kappa(IReadOnlyList<(int One, int Other)> pairs, int most)
    {
        if (pairs.Count == 0 || pairs.Any(p => p.One < 0 || p.One > most || p.Other < 0 || p.Other > most))
            throw new ArgumentException($"Marks are 0 to {most}, and there is at least one pair.", nameof(pairs));
        double Far(int i, int j) => Math.Pow(i - j, 2);
        var seen = pairs.Sum(p => Far(p.One, p.Other)) / pairs.Count;
        var chance = pairs.Sum(p => pairs.Sum(q => Far(p.One, q.Other))) / Math.Pow(pairs.Count, 2);
        return chance == 0 ? 1 : 1 - seen / chance;
    }
}
