namespace DeepCurrent.Core.Texts;

/// <summary>One letter–sound pattern as early readers are taught it.</summary>
/// <param name="Key">Its letters, such as "sh" or "a-e".</param>
/// <param name="Stage">Which patterns are usually taught before it, from 1.</param>
/// <param name="Example">A word that has it.</param>
public sealed record SoundPattern(string Key, string Name, int Stage, string Example);

/// <param name="Words">Words of the text with the pattern, commonest first.</param>
public sealed record PatternUse(SoundPattern Pattern, int Times, IReadOnlyList<string> Words);

/// <summary>A word that a set of patterns does not open, and which patterns it still needs; none for words that are not
/// said as they are spelt.</summary>
public sealed record PatternBreak(string Word, int Times, IReadOnlyList<string> Needs);

/// <summary>Letter–sound patterns in texts meant for decoding practice: which occur, and which words break those taught
/// so far.</summary>
/// <remarks>The order follows the common ground of systematic phonics sequences: single letters, doubled letters,
/// digraphs, clusters, final e, vowel teams, vowels with r, endings. See National Reading Panel (2000), chapter 2, part
/// II.</remarks>
public static class LetterSounds
{
    private static SoundPattern P(string key, string name, int stage, string example) => new(key, name, stage, example);

    /// <summary>Fathoms up to which a text is read by letters and sounds, so that its patterns matter.</summary>
    public const double DeepestOfUse = 25;

    /// <summary>All patterns in teaching order.</summary>
    public static readonly IReadOnlyList<SoundPattern> All =
    [
        P("a", "short a", 1, "cat"),
        P("e", "short e", 1, "net"),
        P("i", "short i", 1, "tin"),
        P("o", "short o", 1, "pot"),
        P("u", "short u", 1, "mud"),
        P("ck", "ck", 2, "duck"),
        P("ff", "ff", 2, "cliff"),
        P("ll", "ll", 2, "shell"),
        P("ss", "ss", 2, "moss"),
        P("zz", "zz", 2, "buzz"),
        P("sh", "sh", 3, "ship"),
        P("ch", "ch", 3, "chip"),
        P("th", "th", 3, "thin"),
        P("ng", "ng and nk", 3, "ring"),
        P("wh", "wh", 3, "when"),
        P("qu", "qu", 3, "quick"),
        P("cluster-first", "two consonants first", 4, "stop"),
        P("cluster-last", "two consonants last", 4, "hand"),
        P("a-e", "a with final e", 5, "lake"),
        P("i-e", "i with final e", 5, "tide"),
        P("o-e", "o with final e", 5, "rope"),
        P("u-e", "u with final e", 5, "tune"),
        P("e-e", "e with final e", 5, "these"),
        P("ai", "ai", 6, "rain"),
        P("ay", "ay", 6, "bay"),
        P("ee", "ee", 6, "feet"),
        P("ea", "ea", 6, "sea"),
        P("oa", "oa", 6, "boat"),
        P("ow", "ow", 6, "snow"),
        P("oo", "oo", 6, "moon"),
        P("ou", "ou", 6, "out"),
        P("oi", "oi", 6, "coin"),
        P("oy", "oy", 6, "boy"),
        P("igh", "igh", 6, "night"),
        P("ie", "ie", 6, "pie"),
        P("ue", "ue", 6, "blue"),
        P("ew", "ew", 6, "crew"),
        P("au", "au", 6, "haul"),
        P("aw", "aw", 6, "claw"),
        P("open", "vowel at the end", 6, "go"),
        P("ar", "ar", 7, "car"),
        P("or", "or", 7, "port"),
        P("er", "er", 7, "her"),
        P("ir", "ir", 7, "bird"),
        P("ur", "ur", 7, "turn"),
        P("air", "air", 7, "hair"),
        P("are", "are", 7, "care"),
        P("ear", "ear", 7, "near"),
        P("ore", "ore", 7, "shore"),
        P("y", "y as a vowel", 8, "funny"),
        P("soft-c", "soft c", 8, "ice"),
        P("soft-g", "soft g", 8, "cage"),
        P("ph", "ph", 8, "dolphin"),
        P("kn", "silent k, w, b", 8, "knot"),
        P("le", "le at the end", 8, "little"),
        P("two-syllables", "two syllables", 9, "rabbit"),
        P("three-syllables", "three or more syllables", 9, "limpet pool keeper"),
    ];

    /// <summary>Common words that are not said as they are spelt, or are needed before their patterns are taught. They
    /// are learned whole.</summary>
    public static readonly IReadOnlySet<string> LearnedWhole = new HashSet<string>(StringComparer.Ordinal)
    {
        "a",
        "the",
        "i",
        "to",
        "of",
        "was",
        "were",
        "said",
        "is",
        "as",
        "his",
        "has",
        "he",
        "she",
        "we",
        "me",
        "be",
        "my",
        "by",
        "no",
        "go",
        "so",
        "do",
        "you",
        "your",
        "they",
        "their",
        "there",
        "are",
        "all",
        "one",
        "once",
        "two",
        "who",
        "what",
        "where",
        "when",
        "why",
        "come",
        "came",
        "some",
        "done",
        "gone",
        "have",
        "give",
        "live",
        "love",
        "put",
        "pull",
        "push",
        "full",
        "any",
        "many",
        "says",
        "been",
        "could",
        "would",
        "should",
        "people",
        "water",
        "want",
        "wash",
        "her",
        "here",
        "our",
        "out",
        "oh",
        "mr",
        "mrs",
        "eye",
        "eyes",
        "friend",
        "great",
        "again",
        "water",
        "because",
        "laugh",
        "through",
        "both",
        "only",
        "old",
        "cold",
        "told",
        "find",
        "kind",
        "mind",
        "child",
        "walk",
        "talk",
        "half",
        "sure",
        "does",
        "door",
        "floor",
        "poor",
        "move",
        "prove",
        "hour",
        "whole",
        "into",
        "ask",
        "for",
        "from",
        "look",
        "like",
        "little",
        "down",
        "now",
        "saw",
    };

    private static readonly Dictionary<string, SoundPattern> ByKey = All.ToDictionary(p => p.Key);

    /// <summary>The patterns a word has, by its spelling, in the order they stand.</summary>
    /// <param name="word">Lower case.</param>
    public static IReadOnlyList<SoundPattern> Of(string word)
    {
        var found = new List<string>();
        var bare = word.EndsWith("'s", StringComparison.Ordinal) ? word[..^2] : word;
        var letters = new string([.. bare.Where(c => c is >= 'a' and <= 'z')]);
        if (letters.Length == 0)
            return [];
        var ending = letters.Length > 4 && letters.EndsWith("ing", StringComparison.Ordinal) ? 3 : 0;
        SoundWalk.Walk(letters[..^ending], found);
        if (ending > 0)
            found.AddRange(["i", "ng"]);
        // A final s after a consonant is an ending that every reader hears; it needs no pattern of its own.
        var syllables = Syllables.Count(bare);
        if (syllables == 2)
            found.Add("two-syllables");
        if (syllables > 2)
            found.Add("three-syllables");
        return [.. found.Distinct().Select(k => ByKey[k])];
    }

    /// <summary>The patterns of a text with the words that have them, in teaching order.</summary>
    public static IReadOnlyList<PatternUse> Uses(string text)
    {
        var words = Words(text)
            .Where(w => !LearnedWhole.Contains(w.Word))
            .Select(w => (w.Word, w.Times, Keys: Of(w.Word).Select(p => p.Key).ToHashSet()))
            .ToList();
        return
        [
            .. All.Select(p =>
                    (
                        Pattern: p,
                        Having: words
                            .Where(w => w.Keys.Contains(p.Key))
                            .OrderByDescending(w => w.Times)
                            .ThenBy(w => w.Word, StringComparer.Ordinal)
                            .ToList()
                    )
                )
                .Where(x => x.Having.Count > 0)
                .Select(x => new PatternUse(
                    x.Pattern,
                    x.Having.Sum(w => w.Times),
                    [.. x.Having.Select(w => w.Word).Take(12)]
                )),
        ];
    }

    /// <summary>Words of a text that the patterns taught so far do not open, commonest first.</summary>
    /// <param name="taught">Keys of patterns; words learned whole need none.</param>
    /// <param name="known">Further words the readers know.</param>
    /// <exception cref="ArgumentException">There is no pattern of one of the keys.</exception>
    public static IReadOnlyList<PatternBreak> Breaks(
        string text,
        IReadOnlySet<string> taught,
        IReadOnlySet<string>? known = null
    )
    {
        if (taught.FirstOrDefault(k => !ByKey.ContainsKey(k)) is { } unknown)
            throw new ArgumentException($"There is no pattern {unknown}.", nameof(taught));
        return
        [
            .. Words(text)
                .Where(w => !LearnedWhole.Contains(w.Word) && known?.Contains(w.Word) != true)
                .Select(w => new PatternBreak(
                    w.Word,
                    w.Times,
                    [.. Of(w.Word).Select(p => p.Key).Where(k => !taught.Contains(k))]
                ))
                .Where(b => b.Needs.Count > 0)
                .OrderByDescending(b => b.Times)
                .ThenBy(b => b.Word, StringComparer.Ordinal),
        ];
    }

    private static IEnumerable<(string Word, int Times)> Words(string text) =>
        TextCounter.Count(text).Vocabulary.Where(w => w.Word.Any(char.IsAsciiLetter)).Select(w => (w.Word, w.Times));
}
