namespace DeepCurrent.Core.Readings;

/// <summary>One stretch of a page being open and looked at.</summary>
/// <param name="Page">From 0.</param>
/// <param name="Seconds">For which it was open, not yet shortened where it stood still.</param>
/// <param name="StartedAt">When it was opened, by the device's clock.</param>
public sealed record PageSpell(int Page, double Seconds, DateTimeOffset StartedAt);

/// <summary>What a reader did with the questions of a text, at the first attempt.</summary>
/// <param name="Answered">Questions with a first attempt that is marked.</param>
/// <param name="Right">Of those, right at once.</param>
/// <param name="TooFast">Of those, answered faster than the question can be read.</param>
/// <param name="Last">When the last was answered, or the text handed in; null where neither happened.</param>
public sealed record QuizTried(int Answered, int Right, int TooFast, DateTimeOffset? Last)
{
    public static QuizTried None { get; } = new(0, 0, 0, null);
}

/// <summary>What an opening of a text came to.</summary>
/// <param name="ActiveSeconds">Time somebody can have read: what stood still is cut.</param>
/// <param name="Share">Share of the words that were open long enough to be read, 0 to 1.</param>
/// <param name="Full">A reading, and not only an opening.</param>
public sealed record ReadingJudged(double ActiveSeconds, double Share, bool Full);

/// <summary>Tells readings from openings. Every figure of words, texts and minutes goes by this one rule.</summary>
/// <remarks>Who reads at twice their usual rate still reads; beyond that it is skimming (Carver, R. P. (1992), Reading
/// rate: theory, research, and practical implications. Journal of Reading 36, 84–95). The shares were chosen on
/// simulated sittings of known truth; the bench prints how many of others are told apart.</remarks>
public static class FullReading
{
    /// <summary>A page that stands still for so many times what it takes is looked at by nobody.</summary>
    private const double StillFactor = 3;

    private const double ShortestStill = 60;
    private const double FastestReading = 2;
    private const double EnoughOfText = 0.8;
    private const double PassedFrom = 2.0 / 3;
    private const double RealFrom = 0.5;

    /// <summary>Passing a quiz shows reading only where the text was open long enough to look for answers.</summary>
    private const double LookedAtFrom = 0.35;

    private const int FewestQuestions = 3;

    /// <summary>The longest that a page counts at a stretch, in seconds.</summary>
    /// <param name="words">Of the page.</param>
    /// <param name="wordsPerMinute">The reader's silent rate, above 0.</param>
    /// <exception cref="ArgumentOutOfRangeException">The rate is not above 0.</exception>
    public static double StandsStillAfter(int words, double wordsPerMinute)
    {
        ArgumentOutOfRangeException.ThrowIfNegativeOrZero(wordsPerMinute);
        return Math.Max(ShortestStill, StillFactor * 60 * words / wordsPerMinute);
    }

    /// <summary>Judges what one reader did with one text.</summary>
    /// <param name="pageWords">Words of each page.</param>
    /// <param name="spells">In any order; those of pages that are not there are left out.</param>
    /// <param name="wordsPerMinute">The reader's silent rate, above 0.</param>
    /// <exception cref="ArgumentOutOfRangeException">The rate is not above 0.</exception>
    public static ReadingJudged Judge(
        IReadOnlyList<int> pageWords,
        IReadOnlyCollection<PageSpell> spells,
        double wordsPerMinute,
        QuizTried quiz
    )
    {
        ArgumentOutOfRangeException.ThrowIfNegativeOrZero(wordsPerMinute);
        var known = spells.Where(s => s.Page >= 0 && s.Page < pageWords.Count).ToList();
        var active = known.Sum(Active);
        var inView = new double[pageWords.Count];
        foreach (var s in known)
            if (!LeftOpen(s))
                inView[s.Page] += Active(s);
        var all = pageWords.Sum();
        var share =
            all == 0 ? 0 : pageWords.Select((words, page) => Math.Min(words, Readable(inView[page]))).Sum() / all;
        return new(active, share, share >= EnoughOfText || (Passed(quiz) && share >= LookedAtFrom));

        double Active(PageSpell s) => Math.Clamp(s.Seconds, 0, StandsStillAfter(pageWords[s.Page], wordsPerMinute));
        double Readable(double seconds) => seconds / 60 * wordsPerMinute * FastestReading;
        // A page that stood still counts only where its reader came back from it: to another page, or to the questions.
        bool LeftOpen(PageSpell s) =>
            s.Seconds > StandsStillAfter(pageWords[s.Page], wordsPerMinute)
            && !known.Any(o => o.StartedAt > s.StartedAt)
            && (quiz.Last is not { } last || last <= s.StartedAt);
    }

    private static bool Passed(QuizTried quiz) =>
        quiz.Answered >= FewestQuestions
        && quiz.Right >= PassedFrom * quiz.Answered
        && quiz.Answered - quiz.TooFast >= RealFrom * quiz.Answered;
}
