using System.Text.RegularExpressions;
using DeepCurrent.Core.Texts;

namespace DeepCurrent.Core.Marking;

/// <summary>One word that means something.</summary>
/// <param name="Word">As it stands.</param>
/// <param name="Stem">Without its ending, so that forms of one word are alike.</param>
/// <param name="Weight">How much it tells, from 0.3 for the commonest to 3 for rare ones.</param>
public readonly record struct AnswerWord(string Word, string Stem, double Weight);

/// <summary>The words of an answer, as far as they mean something.</summary>
public static partial class AnswerWords
{
    private const double Unknown = 3,
        Commonest = 7.2,
        Least = 0.3,
        Scale = 1.6;

    private static readonly HashSet<string> Empty =
    [
        .. (
            "a an the this that these those i you he she it we they me him her us them my your his its our their is are "
            + "was were be been being am do does did done have has had having will would shall should can could may might "
            + "must and or but if as of at by for with about to from in on into onto than then there here when where who "
            + "whom which what why how not no nor so too very just also because since s t don says say said thing things "
            + "something somebody someone anybody everybody everyone says tell tells really "
            + "like only one answer know main gives go goes get gets got"
        ).Split(' '),
    ];

    private static readonly string[] Endings = ["ingly", "edly", "ness", "ing", "ed", "ly", "es", "er", "s"];

    /// <summary>The words of a text that mean something, in their order.</summary>
    public static IReadOnlyList<AnswerWord> Of(string text) =>
        [
            .. Word()
                .Matches(text.Length > Longest ? text[..Longest] : text)
                .Select(m => m.Value)
                .Select(w => (Word: w, Small: w.ToLowerInvariant().Replace('’', '\'')))
                .Where(w => !Empty.Contains(w.Small))
                .Select(w => new AnswerWord(w.Word, Stem(w.Small), WeightOf(w.Small))),
        ];

    private const int Longest = 20_000;

    /// <summary>Whether a text gives a reason or a condition.</summary>
    public static bool GivesReason(string text) => Reasons().IsMatch(text);

    /// <summary>How many reasons or conditions a text gives, as far as its small words tell.</summary>
    public static int CountReasons(string text) => Reasons().Count(text);

    /// <summary>A word without its ending. Rough on purpose: what matters is that forms of one word meet.</summary>
    /// <param name="word">In small letters.</param>
    public static string Stem(string word)
    {
        var bare = word.EndsWith("'s", StringComparison.Ordinal) ? word[..^2] : word;
        if (bare.Length > 4 && bare.EndsWith("ies", StringComparison.Ordinal))
            return bare[..^3] + "i";
        foreach (var ending in Endings)
        {
            if (bare.Length - ending.Length < 3 || !bare.EndsWith(ending, StringComparison.Ordinal))
                continue;
            var stem = bare[..^ending.Length];
            return Tidy(stem.Length > 3 && stem[^1] == stem[^2] && stem[^1] is not ('l' or 's') ? stem[..^1] : stem);
        }
        return Tidy(bare);
    }

    private static string Tidy(string stem) =>
        stem.Length > 3 && stem[^1] == 'e' ? stem[..^1]
        : stem.Length > 2 && stem[^1] == 'y' ? stem[..^1] + "i"
        : stem;

    private static double WeightOf(string word) =>
        Lexicon.Find(word) is { Zipf: > 0 } facts
            ? Math.Clamp((Commonest - facts.Zipf) / Scale, Least, Unknown)
            : Unknown / 2;

    [GeneratedRegex(@"\p{L}+(?:['’]\p{L}+)?")]
    private static partial Regex Word();

    [GeneratedRegex(
        @"\b(because|since|so that|so|that is why|therefore|if|until|till|in order to|what matters|means? that)\b",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex Reasons();
}
