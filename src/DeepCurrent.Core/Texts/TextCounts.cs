namespace DeepCurrent.Core.Texts;

/// <summary>What one sentence adds to the counts.</summary>
/// <param name="Start">Index of the sentence's first word in the text's characters.</param>
/// <param name="End">Index just after its last word.</param>
/// <param name="Words">Words; hyphenated words, contractions and numbers are one word each.</param>
/// <param name="Unfamiliar">Words not familiar by the new Dale–Chall rules.</param>
/// <param name="NewToSpache">Words not familiar by the Spache rules that the text had not used before.</param>
public readonly record struct SentenceCounts(
    int Start,
    int End,
    int Words,
    int Syllables,
    int Letters,
    int Characters,
    int Long,
    int Unfamiliar,
    int NewToSpache
)
{
    /// <summary>Sentences these counts stand for: 1, more where a long text's sentences are kept together.</summary>
    public int Sentences { get; init; } = 1;
}

/// <summary>One distinct word of a text.</summary>
/// <param name="Word">Lower case, straight apostrophes.</param>
/// <param name="Times">Times it is used.</param>
/// <param name="Name">Used as a name: capitalised where a sentence does not begin.</param>
public readonly record struct DistinctWord(
    string Word,
    int Times,
    int Syllables,
    bool Unfamiliar,
    bool NotSpache,
    float Zipf,
    bool Name
);

/// <summary>Everything that is counted in a text before any formula is worked out.</summary>
public sealed record TextCounts(
    int Words,
    int Sentences,
    int Syllables,
    int Letters,
    int Characters,
    int DistinctWords,
    int Polysyllables,
    int FogComplex,
    int DaleChallUnfamiliar,
    int SpacheUnfamiliar,
    IReadOnlyList<SentenceCounts> PerSentence,
    IReadOnlyList<DistinctWord> Vocabulary
);
