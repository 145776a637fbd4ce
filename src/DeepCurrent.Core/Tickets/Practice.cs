using DeepCurrent.Core.Depth;

namespace DeepCurrent.Core.Tickets;

/// <summary>How a word of a list went.</summary>
/// <param name="Word">Its place in the list, from 0.</param>
/// <param name="Tries">How often its reader has tried it, from 1.</param>
/// <param name="Known">It has been right.</param>
public sealed record PractisedWord(int Word, int Tries, bool Known);

/// <summary>Practising the words of a list: each comes until it has been right, a missed one again after the others of
/// its round.</summary>
public static class Practice
{
    private const int MostTries = 100;

    /// <summary>Whether this is what practising some words can come to: each at most once, tried at least once.</summary>
    public static bool Fits(IReadOnlyList<PractisedWord> words, int count) =>
        words.Count <= count
        && words.All(w => w.Word >= 0 && w.Word < count && w.Tries is >= 1 and <= MostTries)
        && words.Select(w => w.Word).Distinct().Count() == words.Count;

    /// <summary>Whether every word has been right.</summary>
    public static bool Whole(IReadOnlyList<PractisedWord> words, int count) => words.Count(w => w.Known) == count;

    /// <summary>Share of the words that were right at the first try, 0 to 1; of those that were tried. Null where none
    /// were.</summary>
    public static Probability? Score(IReadOnlyList<PractisedWord> words) =>
        words.Count == 0 ? null : new(words.Count(w => w is { Known: true, Tries: 1 }) / (double)words.Count);

    /// <summary>What two devices have of the same practice, put together: nothing that was done is lost.</summary>
    public static IReadOnlyList<PractisedWord> Joined(
        IReadOnlyList<PractisedWord> one,
        IReadOnlyList<PractisedWord> other
    ) =>
        [
            .. one.Concat(other)
                .GroupBy(w => w.Word)
                .Select(g => new PractisedWord(g.Key, g.Max(w => w.Tries), g.Any(w => w.Known)))
                .OrderBy(w => w.Word),
        ];
}
