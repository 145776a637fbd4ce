namespace DeepCurrent.Core.Measuring;

/// <summary>Rules about how a question was answered.</summary>
public static class Answering
{
    private const double WordsPerSecond = 8;

    /// <summary>True for an answer given faster than the question could be read: its words at eight a second, and never
    /// under a second.</summary>
    /// <param name="words">Words of the question and its choices.</param>
    /// <param name="taken">Time from seeing the question to answering.</param>
    public static bool TooFast(int words, TimeSpan taken) => taken.TotalSeconds < Math.Max(1, words / WordsPerSecond);
}
