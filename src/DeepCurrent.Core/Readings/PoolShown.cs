namespace DeepCurrent.Core.Readings;

/// <summary>Which tide pools the readers of a class see: one thing comes into a pool for each text that was understood,
/// never for speed or rank, and nothing is ever lost from it.</summary>
public enum PoolShown
{
    None,
    Own,
    Shared,
    Both,
}

public static class Pools
{
    /// <summary>The most things that a pool shows: what a reader understands in a year has room.</summary>
    public const int Most = 160;

    private const int SmallClass = 6;

    /// <summary>How many things live in a class's pool, so that it grows all year and not for a month.</summary>
    /// <param name="texts">Texts its readers have understood, each for each; at least 0.</param>
    /// <param name="readers">In the class; at least 0.</param>
    /// <returns>One for each text where readers are six or fewer, in a class twice as large one for every two, and so on;
    /// never more than <see cref="Most"/>.</returns>
    public static int Together(int texts, int readers) =>
        Math.Min(Most, (int)Math.Ceiling(texts * (double)SmallClass / Math.Max(SmallClass, readers)));

    public static bool HasOwn(this PoolShown pool) => pool is PoolShown.Own or PoolShown.Both;

    public static bool HasShared(this PoolShown pool) => pool is PoolShown.Shared or PoolShown.Both;
}
