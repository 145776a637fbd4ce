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
    /// <summary>The most that a pool shows; the newest.</summary>
    public const int Most = 40;

    public static bool HasOwn(this PoolShown pool) => pool is PoolShown.Own or PoolShown.Both;

    public static bool HasShared(this PoolShown pool) => pool is PoolShown.Shared or PoolShown.Both;
}
