using DeepCurrent.Core.Texts;

namespace DeepCurrent.Core.OralReading;

/// <summary>A word of a passage, and the ways in which it may be said.</summary>
/// <param name="Shown">As it stands in the text, without the marks around it.</param>
/// <param name="Start">Where it begins in the text, in characters.</param>
/// <param name="Readings">Each a list of spoken words, all of them right. The first is the word as it is written, where
/// it is one.</param>
/// <param name="Apart">Ways to say a contraction as two words, which is one error.</param>
/// <param name="Begins">A sentence begins with it.</param>
public sealed record PassageWord(
    string Shown,
    int Start,
    IReadOnlyList<string[]> Readings,
    IReadOnlyList<string[]> Apart,
    bool Begins
)
{
    /// <summary>The word as one spoken word, for telling how like a misreading is.</summary>
    public string Key => Readings[0] is [var only] ? only : string.Concat(Readings[0]);
}

/// <summary>How written words are said: case and marks do not matter, numbers are words, contractions are
/// known.</summary>
public static class SpokenForms
{
    private static readonly string[] Small =
    [
        "zero",
        "one",
        "two",
        "three",
        "four",
        "five",
        "six",
        "seven",
        "eight",
        "nine",
        "ten",
        "eleven",
        "twelve",
        "thirteen",
        "fourteen",
        "fifteen",
        "sixteen",
        "seventeen",
        "eighteen",
        "nineteen",
    ];
    private static readonly string[] Tens =
    [
        "",
        "",
        "twenty",
        "thirty",
        "forty",
        "fifty",
        "sixty",
        "seventy",
        "eighty",
        "ninety",
    ];
    private static readonly (long Size, string Name)[] Large =
    [
        (1_000_000_000, "billion"),
        (1_000_000, "million"),
        (1000, "thousand"),
    ];

    private static readonly Dictionary<string, string> Ordinals = new()
    {
        ["one"] = "first",
        ["two"] = "second",
        ["three"] = "third",
        ["five"] = "fifth",
        ["eight"] = "eighth",
        ["nine"] = "ninth",
        ["twelve"] = "twelfth",
    };

    private static readonly Dictionary<string, string> Titles = new()
    {
        ["mr"] = "mister",
        ["mrs"] = "missus",
        ["dr"] = "doctor",
        ["prof"] = "professor",
        ["capt"] = "captain",
        ["st"] = "saint",
    };

    private static readonly Dictionary<string, string[]> Endings = new()
    {
        ["'m"] = ["am"],
        ["'re"] = ["are"],
        ["'ve"] = ["have"],
        ["'ll"] = ["will", "shall"],
        ["'d"] = ["would", "had"],
        ["'s"] = ["is", "has", "us"],
        ["n't"] = ["not"],
    };

    private static readonly Dictionary<string, string> Uneven = new()
    {
        ["won't"] = "will",
        ["can't"] = "can",
        ["shan't"] = "shall",
    };

    /// <summary>The words of a passage in order, as running records count them.</summary>
    public static IReadOnlyList<PassageWord> Of(string text)
    {
        var words = new List<PassageWord>();
        var begins = true;
        for (var at = 0; at < text.Length; )
        {
            if (!char.IsLetterOrDigit(text[at]))
            {
                begins |= text[at] is '.' or '!' or '?' or '"' or '“' or '‘' or ':' or '\n';
                at++;
                continue;
            }
            var end = TextCounter.WordEnd(text, at);
            words.Add(Word(text[at..end], at, begins));
            (at, begins) = (end, false);
        }
        return words;
    }

    private static PassageWord Word(string shown, int at, bool begins)
    {
        var key = Key(shown);
        if (char.IsAsciiDigit(key[0]))
            return new(shown, at, Numbers(key), [], begins);
        List<string[]> readings =
        [
            [key],
        ];
        if (Titles.TryGetValue(key, out var title))
            readings.Add([title]);
        if (key.Contains('-'))
        {
            readings.Add(key.Split('-', StringSplitOptions.RemoveEmptyEntries));
            readings.Add([key.Replace("-", "")]);
        }
        if (key.Contains('.'))
        {
            readings.Add([key.Replace(".", "")]);
            readings.Add(key.Split('.', StringSplitOptions.RemoveEmptyEntries));
        }
        return new(shown, at, readings, Apart(key), begins);
    }

    private static readonly HashSet<string> Hesitations =
    [
        "um",
        "umm",
        "uhm",
        "uh",
        "uhh",
        "er",
        "err",
        "erm",
        "mm",
        "mmm",
        "mhm",
        "hm",
        "hmm",
        "eh",
        "ehm",
    ];

    /// <summary>Whether a heard word is only a sound made while thinking.</summary>
    /// <param name="own">Words of the text: what stands there is read and not hummed.</param>
    public static bool Hesitates(string word, IReadOnlySet<string> own) =>
        Heard(word) is [var only] && Hesitations.Contains(only) && !own.Contains(only);

    /// <summary>A heard word as words to compare: lower case, no marks, numbers as words.</summary>
    /// <returns>Nothing where there is neither a letter nor a digit.</returns>
    public static IReadOnlyList<string> Heard(string word)
    {
        var heard = new List<string>();
        for (var at = 0; at < word.Length; )
        {
            if (!char.IsLetterOrDigit(word[at]))
            {
                at++;
                continue;
            }
            var end = TextCounter.WordEnd(word, at);
            var key = Key(word[at..end]);
            if (char.IsAsciiDigit(key[0]))
                heard.AddRange(Numbers(key)[0]);
            else
                heard.Add(key);
            at = end;
        }
        return heard;
    }

    /// <summary>The two words of a contraction, in all the ways that make sense; none for another word.</summary>
    public static IReadOnlyList<string[]> Apart(string key)
    {
        if (key is "cannot")
            return
            [
                ["can", "not"],
            ];
        if (Uneven.TryGetValue(key, out var stem))
            return
            [
                [stem, "not"],
            ];
        foreach (var (ending, said) in Endings)
            if (key.Length > ending.Length && key.EndsWith(ending, StringComparison.Ordinal))
                return [.. said.Select(s => new[] { key[..^ending.Length], s })];
        return [];
    }

    private static string Key(string word) => word.ToLowerInvariant().Replace('’', '\'').Replace('‑', '-').TrimEnd('.');

    /// <summary>The ways to say what is written with digits: as a number, as a year, digit by digit; ordinals and
    /// decimals.</summary>
    private static IReadOnlyList<string[]> Numbers(string key)
    {
        var plain = key.Replace(",", "");
        var ordinal =
            plain.Length > 2 && plain[^2..] is "st" or "nd" or "rd" or "th" && plain[..^2].All(char.IsAsciiDigit);
        if (ordinal)
            plain = plain[..^2];
        var parts = plain.Split('.');
        if (parts.Length > 2 || parts.Any(p => p.Length is 0 or > 12 || !p.All(char.IsAsciiDigit)))
            return
            [
                [key],
                [.. Mixed(key)],
            ];
        var number = long.Parse(parts[0], System.Globalization.CultureInfo.InvariantCulture);
        if (parts.Length == 2)
            return
            [
                [.. Cardinal(number, and: true), "point", .. parts[1].Select(d => Small[d - '0'])],
            ];
        if (ordinal)
            return [Ordinal(Cardinal(number, and: true)), Ordinal(Cardinal(number, and: false))];
        List<string[]> all =
        [
            [.. Cardinal(number, and: true)],
            [.. Cardinal(number, and: false)],
            [.. parts[0].Select(d => Small[d - '0'])],
            [.. parts[0].Select(d => d == '0' ? "oh" : Small[d - '0'])],
        ];
        if (all[0] is ["one", "hundred" or "thousand" or "million", ..])
            all.Add(["a", .. all[0][1..]]);
        if (parts[0].Length == 4 && number is >= 1100 and <= 2099)
            all.Add(Year((int)number));
        return [.. all.DistinctBy(a => string.Join(' ', a))];
    }

    /// <summary>Letters and numbers in one word, as in 4b.</summary>
    private static IEnumerable<string> Mixed(string key)
    {
        for (var at = 0; at < key.Length; )
        {
            var end = at;
            while (end < key.Length && char.IsAsciiDigit(key[end]) == char.IsAsciiDigit(key[at]))
                end++;
            var part = key[at..end].Trim('-', '.', ',');
            if (part.Length is > 0 and < 13 && char.IsAsciiDigit(part[0]))
                foreach (
                    var word in Cardinal(long.Parse(part, System.Globalization.CultureInfo.InvariantCulture), and: true)
                )
                    yield return word;
            else if (part.Length > 0)
                yield return part;
            at = end;
        }
    }

    private static string[] Year(int year) =>
        (year / 100, year % 100) switch
        {
            (20, < 10 and > 0) => ["two", "thousand", "and", Small[year % 100]],
            (var century, 0) => [.. Cardinal(century, and: false), "hundred"],
            (var century, < 10) => [.. Cardinal(century, and: false), "oh", Small[year % 100]],
            var (century, rest) => [.. Cardinal(century, and: false), .. Cardinal(rest, and: false)],
        };

    private static string[] Ordinal(IReadOnlyList<string> words)
    {
        var last = words[^1];
        return
        [
            .. words.SkipLast(1),
            Ordinals.TryGetValue(last, out var uneven) ? uneven
            : last.EndsWith('y') ? last[..^1] + "ieth"
            : last + "th",
        ];
    }

    private static IReadOnlyList<string> Cardinal(long n, bool and)
    {
        if (n < 20)
            return [Small[n]];
        if (n < 100)
            return n % 10 == 0 ? [Tens[n / 10]] : [Tens[n / 10], Small[n % 10]];
        if (n < 1000)
            return n % 100 == 0
                ? [Small[n / 100], "hundred"]
                : [Small[n / 100], "hundred", .. and ? ["and"] : Array.Empty<string>(), .. Cardinal(n % 100, and)];
        foreach (var (size, name) in Large)
            if (n >= size)
                return n % size == 0
                    ? [.. Cardinal(n / size, and), name]
                    :
                    [
                        .. Cardinal(n / size, and),
                        name,
                        .. and && n % size < 100 ? ["and"] : Array.Empty<string>(),
                        .. Cardinal(n % size, and),
                    ];
        throw new ArgumentOutOfRangeException(nameof(n));
    }
}
