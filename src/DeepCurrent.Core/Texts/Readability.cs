namespace DeepCurrent.Core.Texts;

/// <summary>The published readability formulas. All take counts of at least one word and one sentence.</summary>
public static class Readability
{
    /// <summary>Reading ease; higher is easier, 0 to 100 for ordinary prose, without bounds.</summary>
    /// <remarks>Flesch, R. (1948), A new readability yardstick. Journal of Applied Psychology 32, 221–233.</remarks>
    public static double FleschReadingEase(TextCounts c) =>
        206.835 - 1.015 * PerSentence(c) - 84.6 * c.Syllables / c.Words;

    /// <summary>School grade.</summary>
    /// <remarks>Kincaid, J. P., Fishburne, R. P., Rogers, R. L. and Chissom, B. S. (1975), Derivation of new
    /// readability formulas for Navy enlisted personnel.</remarks>
    public static double FleschKincaidGrade(TextCounts c) =>
        0.39 * PerSentence(c) + 11.8 * c.Syllables / c.Words - 15.59;

    /// <summary>School grade, from characters (letters and digits).</summary>
    /// <remarks>Smith, E. A. and Senter, R. J. (1967), Automated Readability Index; constants as refitted by Kincaid et
    /// al. (1975).</remarks>
    public static double AutomatedReadabilityIndex(TextCounts c) =>
        4.71 * c.Characters / c.Words + 0.5 * PerSentence(c) - 21.43;

    /// <summary>School grade, from letters per 100 words and sentences per 100 words.</summary>
    /// <remarks>Coleman, M. and Liau, T. L. (1975), A computer readability formula designed for machine scoring.
    /// Journal of Applied Psychology 60, 283–284.</remarks>
    public static double ColemanLiauIndex(TextCounts c) =>
        0.0588 * (100.0 * c.Letters / c.Words) - 0.296 * (100.0 * c.Sentences / c.Words) - 15.8;

    /// <summary>Years of schooling, from long sentences and words of three syllables or more.</summary>
    /// <remarks>Gunning, R. (1952), The Technique of Clear Writing.</remarks>
    public static double GunningFog(TextCounts c) => 0.4 * (PerSentence(c) + 100.0 * c.FogComplex / c.Words);

    /// <summary>School grade for full understanding; made for samples of 30 sentences.</summary>
    /// <remarks>McLaughlin, G. H. (1969), SMOG grading: a new readability formula. Journal of Reading 12,
    /// 639–646.</remarks>
    public static double Smog(TextCounts c) => 1.0430 * Math.Sqrt(c.Polysyllables * 30.0 / c.Sentences) + 3.1291;

    /// <summary>School grade, valid to about grade 4; each unfamiliar word is counted once.</summary>
    /// <remarks>Spache, G. (1974), Good Reading for Poor Readers, revised formula.</remarks>
    public static double Spache(TextCounts c) =>
        0.121 * PerSentence(c) + 0.082 * (100.0 * c.SpacheUnfamiliar / c.Words) + 0.659;

    /// <summary>Raw score from the share of words outside the new list of 3,000 and sentence length; see
    /// <see cref="DaleChallGrade"/>.</summary>
    /// <remarks>Dale, E. and Chall, J. S. (1948), A formula for predicting readability, with the list and counting
    /// rules of Chall and Dale (1995), Readability Revisited.</remarks>
    public static double DaleChall(TextCounts c)
    {
        var share = 100.0 * c.DaleChallUnfamiliar / c.Words;
        return 0.1579 * share + 0.0496 * PerSentence(c) + (share > 5 ? 3.6365 : 0);
    }

    /// <summary>A Dale–Chall score as one grade: the middle of its band, joined by straight lines.</summary>
    public static double DaleChallGrade(double score) =>
        score switch
        {
            < 5.5 => Math.Max(0, 5.5 - (5.5 - score) * 1.5),
            < 8.5 => 5.5 + (score - 5.5) * 2,
            _ => 11.5 + (score - 8.5) * 2.5,
        };

    private static double PerSentence(TextCounts c) => (double)c.Words / c.Sentences;
}
