namespace DeepCurrent.Core.Goals;

/// <summary>The comprehension a school aims at in a grade.</summary>
/// <param name="Percent">Mean first-attempt score, 1 to 100.</param>
public sealed record GradeAim(int Grade, int Percent);
