namespace DeepCurrent.Core.LevelChecks;

/// <summary>What a level check is aimed at.</summary>
public enum AimKind
{
    Class,
    Group,
    Reader,
    Grade,
}

/// <summary>Whom a level check is for.</summary>
/// <param name="Key">An id; a grade as a number.</param>
public sealed record CheckAim(AimKind Kind, string Key);
