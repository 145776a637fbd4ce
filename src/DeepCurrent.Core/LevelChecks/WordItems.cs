using DeepCurrent.Core.Measuring;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Texts;

namespace DeepCurrent.Core.LevelChecks;

/// <summary>A word with a meaning, as readers are asked for it.</summary>
public sealed record MeaningWord(string Word, string Part, string Meaning);

/// <summary>Makes the questions of the two word parts.</summary>
/// <remarks>
/// Word reading is the orthographic choice task: which of three letter strings that sound much alike is the word
/// (Olson, Forsberg, Wise and Rack 1994, Measurement of word recognition, orthographic, and phonological skills).
/// How hard a word is comes from how often it is used, the strongest single thing known of it (Brysbaert, Mandera and
/// Keuleers 2018, The word frequency effect in word processing), how long it is, and whether lists of familiar words
/// hold it.
/// The lines are our own, laid so that the words of the shipped texts lie about where their texts do; thirty answers to
/// a word say more, and move it.
/// </remarks>
public static class WordItems
{
    /// <summary>How far a word may lie from its line, fm (sd).</summary>
    public const double LineSd = 8;

    private const double RareZipf = 2;
    private const int NearestMeanings = 12;

    private const int Spellings = 3,
        Meanings = 4,
        LongestWord = 12,
        NearestWords = 40;

    /// <summary>Depth at which a word is usually read, fm.</summary>
    public static double ReadingDepth(string word, double zipf, bool familiar) =>
        Math.Clamp(60 - 11 * zipf + 4 * (word.Length - 4) - (familiar ? 6 : 0), -15, 80);

    /// <summary>Depth at which a word is usually understood, fm.</summary>
    public static double MeaningDepth(double zipf, bool familiar) =>
        Math.Clamp(75 - 12 * zipf - (familiar ? 8 : 0), -15, 85);

    /// <summary>How hard a word's question is thought to be before answers say more, fm.</summary>
    /// <param name="part">Word reading or word meaning.</param>
    /// <exception cref="ArgumentOutOfRangeException">The part asks for no single words.</exception>
    public static double Thought(CheckPart part, string word) =>
        part switch
        {
            CheckPart.WordReading => Difficulty(
                Lexicon.Find(word) is { } f
                    ? ReadingDepth(word, f.Zipf, f.DaleChall)
                    : ReadingDepth(word, RareZipf, familiar: false),
                Spellings
            ),
            CheckPart.WordMeaning => Difficulty(Depth(word), Meanings) + QuestionDifficulty.Offset(Strand.WordMeaning),
            _ => throw new ArgumentOutOfRangeException(nameof(part), part, "This part asks for no single words."),
        };

    /// <summary>Words to read, as near as there are to a depth, from which the misspelt ones can be told.</summary>
    /// <param name="at">Where the reader is thought to be, fm.</param>
    /// <param name="seen">Words the reader has had in this check.</param>
    /// <param name="seed">The same words and places every time for the same seed.</param>
    /// <param name="shown">Fathoms by which answers show words to be harder than they were thought to be.</param>
    public static IReadOnlyList<CheckItem> Reading(
        double at,
        IReadOnlySet<string> seen,
        int count,
        int seed,
        IReadOnlyDictionary<string, double>? shown = null
    )
    {
        var random = new Random(seed);
        var near = Pool
            .Value.Where(w => !seen.Contains(w.Word))
            .Select(w => (w.Word, Depth: w.Depth + Shift(shown, w.Word)))
            .OrderBy(w => Math.Abs(w.Depth - at))
            .Take(NearestWords)
            .ToArray();
        random.Shuffle(near);
        var items = new List<CheckItem>();
        foreach (var (word, depth) in near)
        {
            var wrong = Misspellings(word).ToArray();
            if (wrong.Length < Spellings - 1)
                continue;
            random.Shuffle(wrong);
            var right = random.Next(Spellings);
            List<string> choices = [.. wrong.Take(Spellings - 1)];
            choices.Insert(right, word);
            items.Add(CheckItem.Choosing(word, "", choices, right, Difficulty(depth, Spellings), 1.0 / Spellings));
            if (items.Count == count)
                break;
        }
        return items;
    }

    private sealed record Known(string Word, string Part, string Meaning, double Depth);

    /// <summary>Meanings of other words of the same part of speech, about as deep, no two alike.</summary>
    private static List<string> WrongMeanings(IReadOnlyList<Known> known, Known word, Random random)
    {
        var wrong = known
            .Where(w =>
                w.Part == word.Part
                && w.Word != word.Word
                && !Alike(w.Meaning, word.Meaning)
                && !w.Meaning.Contains(word.Word, StringComparison.OrdinalIgnoreCase)
            )
            .OrderBy(w => Math.Abs(w.Depth - word.Depth))
            .Take(NearestMeanings)
            .Select(w => w.Meaning)
            .ToArray();
        random.Shuffle(wrong);
        List<string> choices = [];
        foreach (var meaning in wrong)
            if (choices.Count < Meanings - 1 && !choices.Exists(c => Alike(c, meaning)))
                choices.Add(meaning);
        return choices;
    }

    /// <summary>Words whose meaning is asked for, as near as there are to a depth; the wrong meanings are those of
    /// other words of the same part of speech.</summary>
    /// <param name="words">Words with meanings to take from.</param>
    /// <inheritdoc cref="Reading"/>
    public static IReadOnlyList<CheckItem> Meaning(
        IReadOnlyList<MeaningWord> words,
        double at,
        IReadOnlySet<string> seen,
        int count,
        int seed,
        IReadOnlyDictionary<string, double>? shown = null
    )
    {
        var random = new Random(seed);
        var known = words
            .DistinctBy(w => w.Word.ToLowerInvariant())
            .Select(w => new Known(w.Word, w.Part, w.Meaning, Depth(w.Word) + Shift(shown, w.Word)))
            .ToList();
        var near = known
            .Where(w => !seen.Contains(w.Word))
            .OrderBy(w => Math.Abs(w.Depth - at))
            .Take(Math.Max(count * 2, NearestWords / 2))
            .ToArray();
        random.Shuffle(near);
        var items = new List<CheckItem>();
        foreach (var word in near)
        {
            var choices = WrongMeanings(known, word, random);
            if (choices.Count < Meanings - 1)
                continue;
            var right = random.Next(Meanings);
            choices.Insert(right, word.Meaning);
            items.Add(
                CheckItem.Choosing(
                    word.Word,
                    word.Word,
                    choices,
                    right,
                    Difficulty(word.Depth, Meanings) + QuestionDifficulty.Offset(Strand.WordMeaning),
                    1.0 / Meanings,
                    nameof(Strand.WordMeaning)
                )
            );
            if (items.Count == count)
                break;
        }
        return items;
    }

    /// <summary>Ways to misspell a word that could be read like it, none of which is a word.</summary>
    public static IReadOnlyList<string> Misspellings(string word)
    {
        var found = new List<string>();
        foreach (var (from, to) in Swaps)
            for (
                var i = word.IndexOf(from, StringComparison.Ordinal);
                i >= 0;
                i = word.IndexOf(from, i + 1, StringComparison.Ordinal)
            )
            {
                var made = word[..i] + to + word[(i + from.Length)..];
                if (made != word && Lexicon.Find(made) is null && !found.Contains(made) && Readable(made))
                    found.Add(made);
            }
        return found;
    }

    private static double Difficulty(double depth, int choices) =>
        QuestionDifficulty.Default(new(depth), 1.0 / choices, Strand.Structure).Value;

    private static double Depth(string word)
    {
        var facts = Lexicon.Find(TextCounter.Key(word));
        return MeaningDepth(facts?.Zipf is > 0 and var zipf ? zipf : RareZipf, facts?.DaleChall ?? false);
    }

    private static double Shift(IReadOnlyDictionary<string, double>? shown, string word) =>
        shown?.GetValueOrDefault(word) ?? 0;

    private static bool Alike(string a, string b)
    {
        var first = a.ToLowerInvariant().Split(' ').Where(w => w.Length > 3).ToHashSet();
        return b.ToLowerInvariant().Split(' ').Count(w => w.Length > 3 && first.Contains(w)) >= 2;
    }

    /// <summary>Could be an English word to look at: letters stand where English lets them stand.</summary>
    private static bool Readable(string word) =>
        word.Length >= 2
        && word[0] != word[1]
        && word.Any(c => "aeiouy".Contains(c))
        && !"aiuj".Contains(word[^1])
        && !word.EndsWith("ea", StringComparison.Ordinal)
        && (word[^1] != word[^2] || "lsfze".Contains(word[^1]))
        && Enumerable.Range(1, word.Length - 1).All(i => !Doubled(word, i) && !ThreeVowels(word, i));

    private static bool Vowel(char c) => "aeiou".Contains(c);

    /// <summary>A letter twice where English has it once: two of a, i or u, or two before another consonant.</summary>
    private static bool Doubled(string word, int i) =>
        word[i] == word[i - 1]
        && ("aiu".Contains(word[i]) || (!Vowel(word[i]) && i + 1 < word.Length && !"aeiouy".Contains(word[i + 1])));

    private static bool ThreeVowels(string word, int i) =>
        i > 1 && Vowel(word[i]) && Vowel(word[i - 1]) && Vowel(word[i - 2]);

    // Letters that stand for the same or nearly the same sound.
    private static readonly (string From, string To)[] Swaps =
    [
        ("ai", "ay"),
        ("ay", "ai"),
        ("ea", "ee"),
        ("ee", "ea"),
        ("oa", "ow"),
        ("ow", "ou"),
        ("ou", "ow"),
        ("oo", "ew"),
        ("ew", "oo"),
        ("igh", "ie"),
        ("ie", "ei"),
        ("ei", "ie"),
        ("ck", "k"),
        ("ph", "f"),
        ("tch", "ch"),
        ("dge", "j"),
        ("qu", "kw"),
        ("kn", "n"),
        ("wr", "r"),
        ("wh", "w"),
        ("tion", "shun"),
        ("sion", "zhun"),
        ("ture", "cher"),
        ("ous", "us"),
        ("er", "ur"),
        ("ir", "er"),
        ("ur", "er"),
        ("or", "aw"),
        ("ar", "ah"),
        ("au", "aw"),
        ("aw", "or"),
        ("oy", "oi"),
        ("oi", "oy"),
        ("le", "el"),
        ("al", "el"),
        ("ll", "l"),
        ("tt", "t"),
        ("ss", "s"),
        ("pp", "p"),
        ("rr", "r"),
        ("mm", "m"),
        ("nn", "n"),
        ("ff", "f"),
        ("dd", "d"),
        ("bb", "b"),
        ("gg", "g"),
        ("c", "k"),
        ("k", "c"),
        ("s", "z"),
        ("z", "s"),
        ("x", "cks"),
        ("j", "g"),
        ("f", "ph"),
        ("y", "ie"),
        ("i", "y"),
        ("e", "ea"),
        ("a", "e"),
        ("e", "i"),
        ("o", "u"),
        ("u", "o"),
        ("n", "nn"),
        ("t", "tt"),
        ("p", "pp"),
        ("m", "mm"),
        ("l", "ll"),
        ("g", "gg"),
        ("b", "bb"),
        ("d", "dd"),
    ];

    private static readonly Lazy<IReadOnlyList<(string Word, double Depth)>> Pool = new(() =>
        [
            .. Lexicon
                .Common.Where(w => w.Word.Length is >= 2 and <= LongestWord)
                .Select(w => (w.Word, ReadingDepth(w.Word, w.Facts.Zipf, w.Facts.DaleChall))),
        ]
    );
}
