namespace DeepCurrent.Core.Texts;

/// <summary>Counts syllables: from the pronouncing dictionary where it has the word, otherwise by rule.</summary>
public static class Syllables
{
    /// <summary>Syllables of one word, at least 1. Numbers are counted as they are read aloud.</summary>
    /// <param name="word">Lower case, straight apostrophes; may hold hyphens, which split it into parts.</param>
    /// <exception cref="ArgumentException">The word is empty.</exception>
    public static int Count(ReadOnlySpan<char> word)
    {
        if (word.IsEmpty)
            throw new ArgumentException("There is no word.", nameof(word));
        if (Lexicon.Find(word) is { Syllables: > 0 } known)
            return known.Syllables;
        var hyphen = word.IndexOf('-');
        if (hyphen > 0 && hyphen < word.Length - 1)
            return Count(word[..hyphen]) + Count(word[(hyphen + 1)..]);
        if (char.IsAsciiDigit(word[0]))
            return OfNumber(word);
        if (word.Length > 2 && word[^2] == '\'' && word[^1] == 's')
            return Count(word[..^2]) + (Hisses(word[..^2]) ? 1 : 0);
        if (word.Length > 3 && word[^1] == 's' && word[^2] != 's' && Lexicon.Find(word[..^1]) is { Syllables: > 0 } one)
            return one.Syllables + (Hisses(word[..^1]) ? 1 : 0);
        return ByRule(word);
    }

    private static bool Hisses(ReadOnlySpan<char> stem) =>
        stem.EndsWith("s")
        || stem.EndsWith("x")
        || stem.EndsWith("z")
        || stem.EndsWith("ch")
        || stem.EndsWith("sh")
        || stem.EndsWith("ce")
        || stem.EndsWith("ge")
        || stem.EndsWith("se")
        || stem.EndsWith("ze");

    /// <summary>Vowel groups, less silent endings, plus vowel pairs that are spoken apart.</summary>
    private static int ByRule(ReadOnlySpan<char> word)
    {
        var count = 0;
        var inGroup = false;
        for (var i = 0; i < word.Length; i++)
        {
            var vowel = IsVowel(word[i]) && !(word[i] == 'y' && i == 0 && word.Length > 1);
            if (vowel && (!inGroup || (i > 0 && Apart(word, i))))
                count++;
            inGroup = vowel;
        }
        return count > 1 && SilentEnding(word) ? count - 1 : Math.Max(1, count);
    }

    /// <summary>Whether the last vowel is only written: lake, lakes, baked; not little, littles, faces, wanted.</summary>
    private static bool SilentEnding(ReadOnlySpan<char> word)
    {
        var l = word.Length;
        if (l > 2 && word[^1] == 'e')
            return !IsVowel(word[^2]) && !(word[^2] == 'l' && !IsVowel(word[^3]));
        if (l <= 3 || IsVowel(word[^3]) || (word[^3] == 'l' && !IsVowel(word[^4])))
            return false;
        return word.EndsWith("es") ? !Hisses(word[..^1]) : word.EndsWith("ed") && word[^3] is not ('t' or 'd');
    }

    private static bool Apart(ReadOnlySpan<char> word, int i) =>
        (word[i - 1], word[i]) switch
        {
            ('i', 'a') => !(i > 1 && word[i - 2] is 'c' or 't' or 's'),
            ('i', 'o') => !(i > 1 && word[i - 2] is 't' or 's' or 'c' or 'g' or 'x'),
            ('e', 'o') or ('u', 'a') => i > 1 && word[i - 2] is not ('q' or 'g'),
            ('i', 'u') or ('y', 'i') or ('y', 'a') => true,
            _ => false,
        };

    private static bool IsVowel(char c) =>
        c is 'a' or 'e' or 'i' or 'o' or 'u' or 'y' or 'é' or 'è' or 'á' or 'ö' or 'ü' or 'ä' or 'ø' or 'å';

    private static readonly int[] Ones = [2, 1, 1, 1, 1, 1, 1, 2, 1, 1, 1, 3, 1, 2, 2, 2, 2, 3, 2, 2];
    private static readonly int[] Tens = [0, 0, 2, 2, 2, 2, 2, 3, 2, 2];

    private static int OfNumber(ReadOnlySpan<char> token)
    {
        long value = 0;
        var digits = 0;
        var rest = 0;
        foreach (var c in token)
        {
            if (char.IsAsciiDigit(c) && digits < 15)
            {
                value = value * 10 + (c - '0');
                digits++;
            }
            else if (c == '.')
                rest++;
        }
        return digits == 0 ? 1 : Spoken(value) + rest;
    }

    private static int Spoken(long n) =>
        n switch
        {
            < 20 => Ones[n],
            < 100 => Tens[n / 10] + (n % 10 == 0 ? 0 : Ones[n % 10]),
            < 1000 => Ones[n / 100] + 2 + (n % 100 == 0 ? 0 : Spoken(n % 100)),
            < 1_000_000 => Spoken(n / 1000) + 2 + (n % 1000 == 0 ? 0 : Spoken(n % 1000)),
            _ => Spoken(n / 1_000_000) + 2 + (n % 1_000_000 == 0 ? 0 : Spoken(n % 1_000_000)),
        };
}
