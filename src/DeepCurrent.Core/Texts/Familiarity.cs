namespace DeepCurrent.Core.Texts;

/// <summary>Whether a word counts as familiar: listed, or a regular inflection of a listed word, as the formulas' own
/// rules say.</summary>
/// <remarks>Chall and Dale (1995), Readability Revisited, counting rules; Spache (1974), Good Reading for Poor
/// Readers.</remarks>
public static class Familiarity
{
    private static readonly string[] VerbAndNounEndings =
    [
        "'s",
        "s'",
        "s",
        "es",
        "d",
        "ed",
        "ing",
        "er",
        "est",
        "r",
        "st",
        "n't",
        "'ll",
        "'d",
        "'ve",
        "'re",
    ];

    /// <summary>Familiar in the new Dale–Chall list of 3,000 words; adverbs in -ly of a listed word count.</summary>
    public static bool DaleChall(ReadOnlySpan<char> word) => Listed(word, daleChall: true);

    /// <summary>Familiar in the revised Spache list; adverbs in -ly do not count unless listed.</summary>
    public static bool Spache(ReadOnlySpan<char> word) => Listed(word, daleChall: false);

    private static bool Listed(ReadOnlySpan<char> word, bool daleChall)
    {
        if (word.IsEmpty || On(word, daleChall) || char.IsAsciiDigit(word[0]))
            return true;
        var hyphen = word.IndexOf('-');
        if (hyphen > 0)
            return Listed(word[..hyphen], daleChall) && Listed(word[(hyphen + 1)..], daleChall);
        foreach (var ending in VerbAndNounEndings)
            if (
                word.EndsWith(ending)
                && word.Length - ending.Length >= 2
                && Stem(word[..^ending.Length], ending, daleChall)
            )
                return true;
        return Respelt(word, daleChall);
    }

    /// <summary>Known under an ending before which the word is spelt otherwise.</summary>
    private static bool Respelt(ReadOnlySpan<char> word, bool daleChall)
    {
        return EndsFrom(word, "ies", "y", daleChall)
            || EndsFrom(word, "ied", "y", daleChall)
            || EndsFrom(word, "ier", "y", daleChall)
            || EndsFrom(word, "iest", "y", daleChall)
            || EndsFrom(word, "ves", "f", daleChall)
            || (daleChall && ((word.EndsWith("ly") && Listed(word[..^2], true)) || EndsFrom(word, "ily", "y", true)));
    }

    private static bool Stem(ReadOnlySpan<char> stem, string ending, bool daleChall)
    {
        if (On(stem, daleChall))
            return true;
        if (ending is not ("ed" or "ing" or "er" or "est"))
            return false;
        if (stem.Length > 2 && stem[^1] == stem[^2] && On(stem[..^1], daleChall))
            return true;
        return WithE(stem, daleChall);
    }

    private static bool WithE(ReadOnlySpan<char> stem, bool daleChall)
    {
        if (stem.Length > 40)
            return false;
        Span<char> whole = stackalloc char[stem.Length + 1];
        stem.CopyTo(whole);
        whole[^1] = 'e';
        return On(whole, daleChall);
    }

    private static bool EndsFrom(ReadOnlySpan<char> word, string ending, string instead, bool daleChall)
    {
        if (!word.EndsWith(ending) || word.Length - ending.Length < 2 || word.Length > 40)
            return false;
        Span<char> whole = stackalloc char[word.Length - ending.Length + instead.Length];
        word[..^ending.Length].CopyTo(whole);
        instead.CopyTo(whole[(word.Length - ending.Length)..]);
        return On(whole, daleChall);
    }

    private static bool On(ReadOnlySpan<char> word, bool daleChall) =>
        Lexicon.Find(word) is { } facts && (daleChall ? facts.DaleChall : facts.Spache);
}
