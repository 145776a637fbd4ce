using System.Text.RegularExpressions;
using DeepCurrent.Core.Texts;

namespace DeepCurrent.Core.Questions;

/// <summary>How questions and choices are compared, word by word.</summary>
internal static partial class CheckWords
{
    private const double VeryCommon = 5.6;
    private static readonly string[] Endings = ["'s", "ings", "ing", "ed", "es", "s"];

    /// <summary>Every word of a text, with regular endings taken off.</summary>
    public static IEnumerable<string> All(string text) => Keys(text).Select(Stem);

    /// <summary>Every word of a text, as it is looked up.</summary>
    public static IEnumerable<string> Keys(string text)
    {
        var at = 0;
        while (at < text.Length)
        {
            if (!char.IsLetter(text[at]))
            {
                at++;
                continue;
            }
            var end = TextCounter.WordEnd(text, at);
            yield return TextCounter.Key(text.AsSpan(at, end - at));
            at = end;
        }
    }

    /// <summary>The words of a choice that carry its meaning: not the very common ones.</summary>
    public static HashSet<string> Content(string text) =>
        [.. Keys(text).Where(w => w.Length > 2 && (Lexicon.Find(w)?.Zipf ?? 0) < VeryCommon).Select(Stem)];

    /// <summary>How two texts are compared for being the same.</summary>
    public static string Same(string text) =>
        string.Join(' ', All(text).Concat(Figures().Matches(text).Select(m => m.Value)));

    /// <summary>Words for speaking about texts, which readers learn as such.</summary>
    private static readonly HashSet<string> AboutTexts =
    [
        "text",
        "paragraph",
        "heading",
        "headings",
        "section",
        "title",
        "author",
        "writer",
        "narrator",
        "introduce",
        "introduces",
        "contrast",
        "contrasts",
        "argue",
        "argues",
        "chapter",
        "verse",
        "stanza",
        "diary",
        "poem",
        "speech",
    ];

    /// <summary>Neither familiar nor often heard, and no word for speaking about texts.</summary>
    public static bool Rare(string word, double zipf) =>
        word.Length > 3
        && !AboutTexts.Contains(word)
        && !AboutTexts.Contains(Stem(word))
        && !Familiarity.DaleChall(word)
        && Lexicon.Find(word) is { } known
        && Math.Max(known.Zipf, Lexicon.Find(word.Replace("our", "or", StringComparison.Ordinal))?.Zipf ?? 0) < zipf;

    public static bool Denies(string stem) => NotSo().IsMatch(Said().Replace(stem, ""));

    public static bool SumsUp(string choice) => AllOrNone().IsMatch(choice);

    public static bool Absolute(string choice) => Always().IsMatch(choice);

    /// <summary>True if one says what the other says and more, or their ranges of numbers meet.</summary>
    public static bool Overlap(string a, string b)
    {
        if (Range(a) is { } x && Range(b) is { } y)
            return x.From <= y.To && y.From <= x.To;
        List<string> first = [.. All(a)],
            second = [.. All(b)];
        if (first.Count > second.Count)
            (first, second) = (second, first);
        return first.Count > 1
            && first.Count < second.Count
            && Content(a).Count > 0
            && second.Take(first.Count).SequenceEqual(first)
            && second[first.Count] is "and" or "or" or "with";
    }

    /// <summary>Whether a stem ends with "an" (true) or "a" (false).</summary>
    public static bool? Article(string stem) =>
        LastArticle().Match(stem) is { Success: true } m ? m.Groups[1].Value.Length == 2 : null;

    public static bool StartsWithVowel(string text) =>
        text.TrimStart('"', '“', ' ') is { Length: > 0 } t
        && "aeiou".Contains(char.ToLowerInvariant(t[0]), StringComparison.Ordinal);

    public static string Stem(string word)
    {
        foreach (var ending in Endings)
            if (
                word.Length - ending.Length > 2
                && word.EndsWith(ending, StringComparison.Ordinal)
                && (ending != "es" || word[^3] is 's' or 'x' or 'z' or 'h' or 'o')
            )
                return word[..^ending.Length];
        return word;
    }

    private static (double From, double To)? Range(string text) =>
        Numbers().Match(text) is { Success: true } m
            ? (
                double.Parse(m.Groups[1].Value, System.Globalization.CultureInfo.InvariantCulture),
                double.Parse(m.Groups[2].Value, System.Globalization.CultureInfo.InvariantCulture)
            )
            : null;

    [GeneratedRegex(
        @"(?i)^\s*(which|what|who|where|when)\b[^?]*\b(is|are|was|were|does|do|did|would|could)\s+not\b|\bexcept\b",
        RegexOptions.None
    )]
    private static partial Regex NotSo();

    [GeneratedRegex(
        @"\b(all|none|both|neither|any) of (the )?(above|these|them)( (is|are)\b.*)?[.!]?\s*$"
            + @"|\b(all|none) of the (answers|choices)\b|^\s*(both )?[a-d] (and|or) [a-d]\s*$",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex AllOrNone();

    [GeneratedRegex(@"\b(always|never|all|none|nobody|everybody|every)\b", RegexOptions.IgnoreCase)]
    private static partial Regex Always();

    [GeneratedRegex("[\"“][^\"”]*[\"”]")]
    private static partial Regex Said();

    [GeneratedRegex(@"\b(an?)\s*[:.…_]*\s*$", RegexOptions.IgnoreCase)]
    private static partial Regex LastArticle();

    [GeneratedRegex(@"\d+(?:[.,:]\d+)*")]
    private static partial Regex Figures();

    [GeneratedRegex(@"(\d+(?:\.\d+)?)\s*(?:to|–|-|and)\s*(\d+(?:\.\d+)?)")]
    private static partial Regex Numbers();
}
