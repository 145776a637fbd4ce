namespace DeepCurrent.Core.Texts;

/// <summary>Goes through a word from left to right and names the letter–sound patterns it is made of.</summary>
internal static class SoundWalk
{
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

    internal static void Walk(string w, List<string> found)
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
