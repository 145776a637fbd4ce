namespace DeepCurrent.Core.Readings;

/// <summary>When a word of a text is said.</summary>
/// <param name="At">Where it begins in what is said, in UTF-16 letters from 0.</param>
/// <param name="Start">Seconds from the beginning of the sound.</param>
public sealed record SpokenWord(int At, double Start);
