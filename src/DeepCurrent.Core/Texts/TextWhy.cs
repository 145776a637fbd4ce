using DeepCurrent.Core.Depth;

namespace DeepCurrent.Core.Texts;

/// <summary>One sentence, and what the text's depth owes to it.</summary>
/// <param name="Start">Index of its first word in the text's characters.</param>
/// <param name="End">Index just after its last word.</param>
/// <param name="Adds">Fathoms by which the text would be shallower without it; negative for a sentence that makes the
/// text easier.</param>
public sealed record SentenceWhy(int Start, int End, int Words, double Adds);

/// <summary>One word that is not familiar, and what the text's depth owes to it.</summary>
/// <param name="Zipf">How often it is used in speech, as a power of ten per thousand million words; 0 = not
/// counted.</param>
/// <param name="Adds">Fathoms by which the text would be shallower with a familiar word of as many syllables
/// instead.</param>
/// <param name="At">Where it stands: start and end in the text's characters, one pair after the other.</param>
public sealed record WordWhy(string Word, int Times, int Syllables, double Zipf, double Adds, IReadOnlyList<int> At);

/// <param name="DialogueShare">Share of the words that stand between quotation marks, 0 to 1.</param>
public sealed record TextWhy(IReadOnlyList<SentenceWhy> Sentences, IReadOnlyList<WordWhy> Words, double DialogueShare);

/// <summary>Says which sentences and words make a text as deep as it is.</summary>
public static class TextReasons
{
    /// <summary>Every sentence and every unfamiliar word with its effect, worked out by leaving each out in
    /// turn.</summary>
    /// <exception cref="ArgumentException">The text has no words.</exception>
    public static TextWhy Explain(string text, LevelChart? chart = null)
    {
        var counts = TextCounter.Count(text);
        if (counts.Words == 0)
            throw new ArgumentException("There are no words to measure.", nameof(text));
        chart ??= LevelChart.Default;
        var whole = TextMeasurer.DepthOf(counts, chart).Value;
        var sentences = counts
            .PerSentence.Select(s => new SentenceWhy(
                s.Start,
                s.End,
                s.Words,
                counts.Sentences == 1 ? 0 : Tidy(whole - TextMeasurer.DepthOf(Without(counts, s), chart).Value)
            ))
            .ToList();
        var places = Places(text, counts);
        var words = counts
            .Vocabulary.Where(w => w.Unfamiliar && !w.Name)
            .Select(w => new WordWhy(
                w.Word,
                w.Times,
                w.Syllables,
                w.Zipf,
                Tidy(whole - TextMeasurer.DepthOf(Easier(counts, w), chart).Value),
                places[w.Word]
            ))
            .OrderByDescending(w => w.Adds)
            .ThenBy(w => w.Zipf)
            .ToList();
        return new(sentences, words, DialogueShare(text));
    }

    /// <summary>The depth if sentences were longer or shorter, or unfamiliar words more or fewer, with all else as it
    /// is.</summary>
    /// <param name="sentenceLength">1 = as it is, 0.5 = half as long; 0.25 to 4.</param>
    /// <param name="unfamiliar">1 = as it is, 0 = none left; 0 to 4.</param>
    /// <exception cref="ArgumentOutOfRangeException">A factor lies outside its range.</exception>
    public static Fathoms WhatIf(TextCounts counts, double sentenceLength, double unfamiliar, LevelChart? chart = null)
    {
        if (!(sentenceLength is >= 0.25 and <= 4))
            throw new ArgumentOutOfRangeException(
                nameof(sentenceLength),
                sentenceLength,
                "Sentences can be a quarter to four times as long."
            );
        if (!(unfamiliar is >= 0 and <= 4))
            throw new ArgumentOutOfRangeException(
                nameof(unfamiliar),
                unfamiliar,
                "There can be none to four times as many unfamiliar words."
            );
        int Times(int n) => (int)Math.Round(n * unfamiliar);
        return TextMeasurer.DepthOf(
            counts with
            {
                Sentences = Math.Clamp((int)Math.Round(counts.Sentences / sentenceLength), 1, counts.Words),
                DaleChallUnfamiliar = Math.Min(counts.Words, Times(counts.DaleChallUnfamiliar)),
                SpacheUnfamiliar = Math.Min(counts.Words, Times(counts.SpacheUnfamiliar)),
            },
            chart ?? LevelChart.Default
        );
    }

    private static TextCounts Without(TextCounts c, SentenceCounts s) =>
        c with
        {
            Words = c.Words - s.Words,
            Sentences = c.Sentences - 1,
            Syllables = c.Syllables - s.Syllables,
            Letters = c.Letters - s.Letters,
            Characters = c.Characters - s.Characters,
            Polysyllables = c.Polysyllables - s.Long,
            DaleChallUnfamiliar = c.DaleChallUnfamiliar - s.Unfamiliar,
            SpacheUnfamiliar = c.SpacheUnfamiliar - s.NewToSpache,
        };

    private static TextCounts Easier(TextCounts c, DistinctWord w) =>
        c with
        {
            DaleChallUnfamiliar = c.DaleChallUnfamiliar - w.Times,
            SpacheUnfamiliar = c.SpacheUnfamiliar - (w.NotSpache ? 1 : 0),
        };

    private static double Tidy(double fathoms) => Math.Round(fathoms, 2);

    private static Dictionary<string, List<int>> Places(string text, TextCounts counts)
    {
        var places = counts
            .Vocabulary.Where(w => w.Unfamiliar && !w.Name)
            .ToDictionary(w => w.Word, _ => new List<int>());
        for (var at = 0; at < text.Length; )
        {
            if (!char.IsLetterOrDigit(text[at]))
            {
                at++;
                continue;
            }
            var end = TextCounter.WordEnd(text, at);
            if (places.TryGetValue(TextCounter.Key(text.AsSpan(at, end - at)), out var list))
            {
                list.Add(at);
                list.Add(end);
            }
            at = end;
        }
        return places;
    }

    /// <summary>Share of the words that are spoken, by the quotation marks around them. A paragraph ends a quotation
    /// that was not closed.</summary>
    public static double DialogueShare(string text)
    {
        int words = 0,
            spoken = 0;
        var inside = false;
        for (var at = 0; at < text.Length; )
        {
            var c = text[at];
            if (char.IsLetterOrDigit(c))
            {
                at = TextCounter.WordEnd(text, at);
                words++;
                if (inside)
                    spoken++;
                continue;
            }
            if (c == '“')
                inside = true;
            else if (c == '”')
                inside = false;
            else if (c == '"')
                inside = !inside;
            // A single mark opens before a word and closes after one; between letters it is an apostrophe, which
            // WordEnd has taken already.
            else if (c == '‘')
                inside = true;
            else if (c == '’' && at > 0 && text[at - 1] is '.' or ',' or '!' or '?' or '…')
                inside = false;
            else if (c == '\n' && at + 1 < text.Length && text[at + 1] == '\n')
                inside = false;
            at++;
        }
        return words == 0 ? 0 : (double)spoken / words;
    }
}
