using DeepCurrent.Core.Depth;

namespace DeepCurrent.Core.Texts;

/// <summary>What keeps a text from being measured, or the measure from meaning much.</summary>
public enum TextDoubt
{
    Empty,
    OtherLanguage,
    OtherScript,
    Short,
    NoSentenceMarks,
    EndlessSentence,
    Verse,
    Table,
    Beyond,
}

/// <param name="Stops">The text is not measured at all.</param>
/// <param name="Sentence">What it is, for a teacher.</param>
public sealed record TextRemark(TextDoubt Doubt, bool Stops, Message Sentence);

/// <summary>Looks whether a text is English prose, for which alone the formulas were made.</summary>
public static class TextSense
{
    private const double LeastKnown = 0.6,
        LeastGlue = 0.12,
        MostForeignLetters = 0.2;
    private const int EndlessWords = 120,
        FewWords = 20,
        LeastToTell = 10;

    // The commonest words that carry no subject: a quarter to a half of any English prose, next to nothing of other
    // languages.
    private static readonly HashSet<string> Glue = new(StringComparer.Ordinal)
    {
        "the",
        "of",
        "and",
        "a",
        "to",
        "in",
        "is",
        "was",
        "it",
        "that",
        "he",
        "she",
        "for",
        "on",
        "are",
        "as",
        "with",
        "his",
        "her",
        "they",
        "at",
        "be",
        "this",
        "have",
        "from",
        "or",
        "had",
        "by",
        "but",
        "not",
        "what",
        "all",
        "were",
        "we",
        "when",
        "your",
        "can",
        "there",
        "an",
        "which",
        "their",
        "if",
        "you",
        "i",
        "my",
        "up",
        "out",
        "then",
        "no",
        "so",
    };

    /// <summary>What is to be said of a text before it is measured; nothing for ordinary prose.</summary>
    /// <param name="text">Plain text.</param>
    public static IReadOnlyList<TextRemark> Remarks(string text)
    {
        var counts = TextCounter.Count(text);
        if (counts.Words == 0)
            return [new(TextDoubt.Empty, true, $"No words found.")];
        int letters = text.Count(char.IsLetter),
            foreign = text.Count(c => c > 0x24f && char.IsLetter(c));
        if (letters > 0 && foreign > letters * MostForeignLetters)
            return
            [
                new(
                    TextDoubt.OtherScript,
                    true,
                    foreign > letters * 0.8
                        ? (Message)$"This is not in Latin letters. Only English can be measured."
                        : $"Much of this is not in Latin letters. Remove that part to measure the English."
                ),
            ];
        var named = counts.Vocabulary.Where(w => !w.Name).ToList();
        int all = named.Sum(w => w.Times),
            known = named.Where(w => w.Zipf > 0 || !w.Unfamiliar).Sum(w => w.Times),
            glue = named.Where(w => Glue.Contains(w.Word)).Sum(w => w.Times);
        if (
            all >= LeastToTell
            && (known < all * LeastKnown || (glue < all * LeastGlue && known < all * 0.85))
            && !MostlyTable(LinesOf(text))
        )
            return
            [
                new(
                    TextDoubt.OtherLanguage,
                    true,
                    $"Only {100 * known / all}% of the words are English. Only English can be measured."
                ),
            ];
        return [.. Doubts(text, counts)];
    }

    private static List<string> LinesOf(string text) =>
        [.. text.Split('\n').Select(l => l.Trim()).Where(l => l.Length > 0)];

    private static bool MostlyTable(List<string> lines) =>
        lines.Count(l => l.Count(c => c is '|' or '\t') >= 2) * 2 > lines.Count;

    private static IEnumerable<TextRemark> Doubts(string text, TextCounts counts)
    {
        if (counts.Words < TextMeasurer.ShortText)
            yield return new(
                TextDoubt.Short,
                false,
                counts.Words < FewWords
                    ? (Message)$"{counts.Words:count} words are too few to say much about depth."
                    : $"Under 100 words: depth is approximate."
            );
        var depth = TextMeasurer.DepthOf(counts, LevelChart.Default).Value;
        if (!new Fathoms(depth).OnScale)
            yield return new(
                TextDoubt.Beyond,
                false,
                depth > 0
                    ? (Message)$"The formulas give more than 100 fm, where the scale ends. 100 fm is used."
                    : $"The formulas give less than −20 fm, where the scale starts. −20 fm is used."
            );
        if (OfForm(text, counts) is { } form)
            yield return form;
    }

    /// <summary>What is no prose in sentences.</summary>
    private static TextRemark? OfForm(string text, TextCounts counts)
    {
        var longest = counts.PerSentence.Max(s => s.Words);
        var lines = LinesOf(text);
        if (MostlyTable(lines))
            return new(
                TextDoubt.Table,
                false,
                $"This is mostly a table. The formulas need sentences, so this depth says little. Overrule it."
            );
        if (
            lines.Count >= 6
            && lines.Count(l => l.Split(' ').Length <= 9 && l[^1] is not ('.' or '!' or '?' or '”' or '"')) * 2
                > lines.Count
        )
            return new(
                TextDoubt.Verse,
                false,
                $"Short lines, as in a poem. The formulas need prose, so this depth says little. Overrule it."
            );
        if (counts.Words >= FewWords && counts.Sentences == 1 && text.AsSpan().IndexOfAny('.', '!', '?') < 0)
            return new(
                TextDoubt.NoSentenceMarks,
                false,
                $"No full stops, so all of it counts as one sentence. Add them for a true depth."
            );
        if (longest > EndlessWords)
            return new(TextDoubt.EndlessSentence, false, $"One sentence has {longest} words. Is a full stop missing?");
        return null;
    }
}
