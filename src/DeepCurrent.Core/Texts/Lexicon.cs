using System.Reflection;

namespace DeepCurrent.Core.Texts;

/// <summary>What is known of a word: syllables as pronounced (0 = not in the dictionary), whether lists of familiar
/// words hold it, and how often it is used.</summary>
/// <param name="Zipf">log10 of uses per thousand million words of film and television speech; 0 = not counted.</param>
/// <param name="Capital">Mostly written with a capital, as names are.</param>
public readonly record struct WordFacts(byte Syllables, bool DaleChall, bool Spache, float Zipf, bool Capital);

/// <summary>The English words that ship: pronunciations, familiar-word lists and frequencies, joined in one
/// table.</summary>
/// <remarks>
/// CMU Pronouncing Dictionary; Chall and Dale (1995); Spache (1974, revised); Brysbaert and New (2009).
/// Where each comes from and under which licence: docs/word-lists.md.
/// </remarks>
public static class Lexicon
{
    private static readonly Lazy<Dictionary<string, WordFacts>> Words = new(Load);

    /// <summary>Facts of a word in lower case with straight apostrophes, or null.</summary>
    public static WordFacts? Find(ReadOnlySpan<char> word) =>
        Words.Value.GetAlternateLookup<ReadOnlySpan<char>>().TryGetValue(word, out var facts) ? facts : null;

    /// <summary>The words of the familiar-word lists that are also in use, shortest first, then by the alphabet: words
    /// any child may be shown.</summary>
    public static IReadOnlyList<(string Word, float Zipf)> Familiar => FamiliarWords.Value;

    /// <summary>Words that never stand alone before a child, though texts may use them: they ship as a list of their
    /// own.</summary>
    public static IReadOnlySet<string> NeverUsed => NeverUsedWords.Value;

    private static readonly Lazy<HashSet<string>> NeverUsedWords = new(() =>
    {
        using var lines = new StreamReader(Open("never-used.txt"));
        return
        [
            .. lines
                .ReadToEnd()
                .Split('\n')
                .Where(l => !l.StartsWith('#'))
                .SelectMany(l => l.Split((char[]?)null, StringSplitOptions.RemoveEmptyEntries)),
        ];
    });

    private static bool Shown(string word) => word.All(char.IsAsciiLetterLower) && !NeverUsed.Contains(word);

    /// <summary>Words in use that any child may be shown, with their facts, by the alphabet.</summary>
    public static IReadOnlyList<(string Word, WordFacts Facts)> Common => CommonWords.Value;

    private static readonly Lazy<IReadOnlyList<(string Word, WordFacts Facts)>> CommonWords = new(() =>
        [
            .. Words
                .Value.Where(w =>
                    w.Value is { Syllables: > 0, Zipf: > 2 } && (w.Value.DaleChall || w.Value.Spache) && Shown(w.Key)
                )
                .Select(w => (w.Key, w.Value))
                .OrderBy(w => w.Key, StringComparer.Ordinal),
        ]
    );

    private static readonly Lazy<IReadOnlyList<(string Word, float Zipf)>> FamiliarWords = new(() =>
        [
            .. Words
                .Value.Where(w => w.Value is { DaleChall: true, Zipf: > 2 } && Shown(w.Key))
                .Select(w => (w.Key, w.Value.Zipf))
                .OrderBy(w => w.Key.Length)
                .ThenBy(w => w.Key, StringComparer.Ordinal),
        ]
    );

    private static Stream Open(string name) =>
        Assembly.GetExecutingAssembly().GetManifestResourceStream(name)
        ?? throw new InvalidOperationException($"The word list {name} is missing from the assembly.");

    private static Dictionary<string, WordFacts> Load()
    {
        using var stream = Open("words.txt");
        var bytes = new byte[stream.Length];
        stream.ReadExactly(bytes);
        var words = new Dictionary<string, WordFacts>(140_000);
        Span<char> name = stackalloc char[64];
        for (var at = 0; at < bytes.Length; )
        {
            var length = 0;
            while (bytes[at] != ' ')
                name[length++] = (char)bytes[at++];
            at++;
            int syllables = Number(bytes, ref at),
                lists = Number(bytes, ref at),
                zipf = Number(bytes, ref at);
            words.Add(
                new string(name[..length]),
                new((byte)syllables, (lists & 1) != 0, (lists & 2) != 0, zipf / 10f, (lists & 4) != 0)
            );
        }
        return words;
    }

    private static int Number(byte[] bytes, ref int at)
    {
        var value = 0;
        while (bytes[at] >= '0')
            value = value * 10 + bytes[at++] - '0';
        at++;
        return value;
    }
}
