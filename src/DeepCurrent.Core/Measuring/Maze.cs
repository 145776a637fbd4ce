using DeepCurrent.Core.Texts;

namespace DeepCurrent.Core.Measuring;

/// <summary>A piece of a maze passage: words as they are, or a choice of three.</summary>
/// <param name="Text">The words; for a choice, what stands between it and the word before.</param>
/// <param name="Choices">Three words in the order they are shown; empty where nothing is to be chosen.</param>
/// <param name="Right">Which of them belongs there.</param>
public sealed record MazePiece(string Text, IReadOnlyList<string> Choices, int Right);

/// <summary>Makes a maze passage of a text: after the first sentence every seventh word is a choice of three.</summary>
/// <remarks>Guthrie, Seifert, Burnham and Caplan (1974), The maze technique to assess, monitor reading comprehension,
/// The Reading Teacher 28; counting: Pierce, McMaster and Deno (2010), The effects of using different procedures to
/// score maze measures.</remarks>
public static class Maze
{
    private const int Every = 7;
    private const double MuchRarer = 1.2;
    private static readonly string[] Classes = ["ing", "ed", "ly", "er", "s"];

    /// <summary>The pieces of a passage, the same every time for the same text and seed.</summary>
    /// <param name="text">Plain text.</param>
    /// <param name="seed">Another number makes another passage of the same words.</param>
    /// <returns>No choices where the text has fewer than eight words after its first sentence.</returns>
    public static IReadOnlyList<MazePiece> Of(string text, int seed = 0)
    {
        var first = Sentences.Of(text) is [var sentence, ..]
            ? text.IndexOf(sentence, StringComparison.Ordinal) + sentence.Length
            : text.Length;
        var inText = TextCounter.Count(text).Vocabulary.Select(w => w.Word).ToHashSet();
        var pieces = new List<MazePiece>();
        int from = 0,
            at = first,
            words = 0;
        while (at < text.Length)
        {
            if (!char.IsLetterOrDigit(text[at]))
            {
                at++;
                continue;
            }
            var end = TextCounter.WordEnd(text, at);
            var word = text[at..end];
            // A name, a number or a word of one letter tells too much or too little: the next word takes its place.
            if (++words >= Every && Fits(word, text, at))
            {
                pieces.Add(Choice(text[from..at], word, inText, seed + pieces.Count));
                (from, words) = (end, 0);
            }
            at = end;
        }
        if (from < text.Length)
            pieces.Add(new(text[from..], [], 0));
        return pieces;
    }

    /// <summary>A reader's score: right choices less half the wrong ones, in a minute.</summary>
    /// <param name="right">Right choices, at least 0.</param>
    /// <param name="wrong">Wrong choices, at least 0; what was not reached counts for nothing.</param>
    /// <param name="time">Time taken, above 0.</param>
    /// <exception cref="ArgumentOutOfRangeException">A count is negative or the time is not above 0.</exception>
    public static double Score(int right, int wrong, TimeSpan time)
    {
        ArgumentOutOfRangeException.ThrowIfNegative(right);
        ArgumentOutOfRangeException.ThrowIfNegative(wrong);
        ArgumentOutOfRangeException.ThrowIfLessThanOrEqual(time, TimeSpan.Zero);
        return (right - wrong / 2.0) / time.TotalMinutes;
    }

    private static bool Fits(string word, string text, int at) =>
        word.Length > 1 && word.All(char.IsLetter) && (char.IsLower(word[0]) || Begins(text, at));

    private static bool Begins(string text, int at)
    {
        for (var i = at - 1; i >= 0; i--)
            if (text[i] is '.' or '!' or '?')
                return true;
            else if (!char.IsWhiteSpace(text[i]) && text[i] is not ('"' or '“' or '‘' or '\''))
                return false;
        return true;
    }

    private static MazePiece Choice(string before, string word, HashSet<string> inText, int seed)
    {
        var key = TextCounter.Key(word);
        var zipf = Lexicon.Find(key)?.Zipf ?? 3;
        var random = new Random(seed * 7919 + key.Aggregate(17, (h, c) => unchecked(h * 31 + c)));
        var likely = Lexicon
            .Familiar.Where(w => !inText.Contains(w.Word) && w.Word[0] != key[0])
            .OrderBy(w =>
                Math.Abs(w.Word.Length - key.Length)
                + Math.Max(0, Math.Abs(w.Zipf - zipf) - MuchRarer) * 2
                + (ClassOf(w.Word) == ClassOf(key) ? 2 : 0)
            )
            .Take(24)
            .ToArray();
        random.Shuffle(likely);
        List<string> choices =
        [
            .. likely
                .DistinctBy(w => w.Word[..Math.Min(3, w.Word.Length)])
                .Take(2)
                .Select(w => char.IsUpper(word[0]) ? char.ToUpperInvariant(w.Word[0]) + w.Word[1..] : w.Word),
        ];
        var right = random.Next(3);
        choices.Insert(right, word);
        return new(before, choices, right);
    }

    /// <summary>A rough part of speech, by the ending: distractors of another one do not fit the sentence.</summary>
    private static string ClassOf(string word) =>
        Array.Find(Classes, c => word.Length > c.Length + 2 && word.EndsWith(c, StringComparison.Ordinal)) ?? "";
}
