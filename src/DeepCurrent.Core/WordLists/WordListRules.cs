namespace DeepCurrent.Core.WordLists;

/// <summary>A word to practise.</summary>
/// <param name="Meaning">In words that are easier than the word.</param>
/// <param name="Example">A sentence that uses it; may be empty.</param>
public sealed record ListedWord(string Text, string Part, string Meaning, string Example);

/// <summary>What a word list may hold, and how it is practised: a few words at a time.</summary>
public static class WordListRules
{
    /// <summary>Words that are practised at once, at most.</summary>
    public const int AtOnce = 10;
    public const int MostWords = 200,
        LongestWord = 60,
        LongestMeaning = 300;

    /// <summary>The rounds in which a word list is practised: as few as can be, and as even as can be.</summary>
    /// <param name="words">In the order in which they are practised.</param>
    /// <returns>Each of 1 to <see cref="AtOnce"/> words; none for an empty list.</returns>
    public static IReadOnlyList<IReadOnlyList<T>> Rounds<T>(IReadOnlyList<T> words)
    {
        var rounds = (words.Count + AtOnce - 1) / AtOnce;
        return
        [
            .. Enumerable
                .Range(0, rounds)
                .Select(r =>
                    words
                        .Skip(words.Count * r / rounds)
                        .Take(words.Count * (r + 1) / rounds - words.Count * r / rounds)
                        .ToList()
                ),
        ];
    }

    /// <summary>What is wrong with a word list's words: a sentence for whoever writes it, and the word's place; the first
    /// fault only, or null.</summary>
    public static (int At, Message Sentence)? Fault(IReadOnlyList<ListedWord> words)
    {
        if (words.Count == 0)
            return (0, $"Add at least one word.");
        if (words.Count > MostWords)
            return (MostWords, $"A word list holds {MostWords} words at most. Split it in two.");
        for (var i = 0; i < words.Count; i++)
        {
            var w = words[i];
            if (w.Text.Length == 0)
                return (i, $"Enter a word.");
            if (w.Text.Length > LongestWord)
                return (i, $"Use {LongestWord} letters or fewer.");
            if (w.Meaning.Length == 0)
                return (i, $"Enter the meaning of “{w.Text}”.");
            if (w.Meaning.Length > LongestMeaning || w.Example.Length > LongestMeaning || w.Part.Length > LongestWord)
                return (i, $"Use {LongestMeaning} letters or fewer for the meaning and example of “{w.Text}”.");
            if (
                words
                    .Take(i)
                    .Any(o =>
                        string.Equals(o.Text, w.Text, StringComparison.OrdinalIgnoreCase)
                        && string.Equals(o.Part, w.Part, StringComparison.OrdinalIgnoreCase)
                    )
            )
                return (i, $"“{w.Text}” is in the list twice.");
        }
        return null;
    }
}
