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

    private static readonly string[] Teams =
    [
        "igh",
        "air",
        "are",
        "ear",
        "ore",
        "ai",
        "ay",
        "ee",
        "ea",
        "oa",
        "ow",
        "oo",
        "ou",
        "oi",
        "oy",
        "ie",
        "ue",
        "ew",
        "au",
        "aw",
        "ar",
        "or",
        "er",
        "ir",
        "ur",
    ];
    private static readonly string[] Pairs = ["ck", "ff", "ll", "ss", "zz", "sh", "ch", "th", "ng", "wh", "qu", "ph"];

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
        Walk(letters[..^ending], found);
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

    private static void Walk(string w, List<string> found)
    {
        w = Trimmed(w, found, out var finalE);
        for (var i = 0; i < w.Length; )
            i = Next(w, i, finalE, found);
    }

    /// <summary>A word without what stands for itself at its ends: a final le, silent letters.</summary>
    /// <param name="finalE">Where the vowel of a vowel, one consonant and final e stands; −1 where there is
    /// none.</param>
    private static string Trimmed(string w, List<string> found, out int finalE)
    {
        finalE = FinalE(w);
        if (w.Length > 3 && w.EndsWith("le", StringComparison.Ordinal) && !Vowel(w[^3]))
        {
            found.Add("le");
            w = w[..^2];
            finalE = -1;
        }
        if (
            w.StartsWith("kn", StringComparison.Ordinal)
            || w.StartsWith("wr", StringComparison.Ordinal)
            || w.StartsWith("gn", StringComparison.Ordinal)
        )
        {
            found.Add("kn");
            w = w[1..];
            finalE--;
        }
        if (w.EndsWith("mb", StringComparison.Ordinal))
        {
            found.Add("kn");
            w = w[..^1];
        }
        return w;
    }

    /// <summary>Adds the pattern at a place.</summary>
    /// <returns>The place after it.</returns>
    private static int Next(string w, int i, int finalE, List<string> found)
    {
        var rest = w.AsSpan(i);
        if (finalE == i && i + 2 < w.Length)
        {
            found.Add($"{w[i]}-e");
            Soft(w, i + 1, found);
            // The vowel, the consonant, and the silent e itself.
            return i + 3;
        }
        if ((Longest(Teams, rest) ?? Longest(Pairs, rest)) is { } together)
        {
            found.Add(together);
            return i + together.Length;
        }
        if (rest.StartsWith("nk"))
        {
            found.Add("ng");
            return i + 2;
        }
        if (w[i] == 'y' || Vowel(w[i]))
        {
            Single(w, i, found);
            return i + 1;
        }
        Soft(w, i, found);
        return Consonants(w, i, found);
    }

    /// <summary>A vowel by itself; y at the beginning is a consonant, and e at the end is silent.</summary>
    private static void Single(string w, int i, List<string> found)
    {
        var last = i == w.Length - 1;
        if (w[i] == 'y')
        {
            if (i > 0)
                found.Add("y");
        }
        else if (!(w[i] == 'e' && last && w.Length > 2))
            found.Add(last ? "open" : w[i].ToString());
    }

    /// <summary>Where the vowel of a vowel, one consonant and final e stands; −1 if the word does not end so.</summary>
    private static int FinalE(string w)
    {
        var end = w.EndsWith("es", StringComparison.Ordinal) && w.Length > 4 ? w.Length - 1 : w.Length;
        if (end < 3 || w[end - 1] != 'e' || Vowel(w[end - 2]) || !Vowel(w[end - 3]) || w[end - 2] is 'r' or 'x' or 'w')
            return -1;
        return end >= 4 && Vowel(w[end - 4]) ? -1 : end - 3;
    }

    private static int Consonants(string w, int i, List<string> found)
    {
        var end = i + 1;
        while (end < w.Length && !Vowel(w[end]) && w[end] != 'y' && Longest(Pairs, w.AsSpan(end)) is null)
            end++;
        // Between vowels two consonants belong to two syllables; a doubled letter is one sound; a final s is an ending.
        var sounds = end - i - (end == w.Length && w[^1] == 's' && end - i > 1 ? 1 : 0);
        if (sounds > 1 && w[i] != w[i + 1])
        {
            if (i == 0)
                found.Add("cluster-first");
            else if (end == w.Length || (end == w.Length - 1 && w[end] == 'e'))
                found.Add("cluster-last");
        }
        return end;
    }

    private static void Soft(string w, int i, List<string> found)
    {
        if (i + 1 >= w.Length || w[i + 1] is not ('e' or 'i' or 'y'))
            return;
        if (w[i] == 'c')
            found.Add("soft-c");
        // At the beginning g stays hard in the words first readers meet: get, gift, girl.
        if (w[i] == 'g' && i > 0 && w[i + 1] == 'e')
            found.Add("soft-g");
    }

    private static string? Longest(string[] patterns, ReadOnlySpan<char> rest)
    {
        foreach (var p in patterns)
            if (rest.StartsWith(p))
                return p;
        return null;
    }

    private static bool Vowel(char c) => c is 'a' or 'e' or 'i' or 'o' or 'u';
}
