namespace DeepCurrent.Core.AssignmentResults;

/// <summary>What readers' first attempts say of one question.</summary>
/// <param name="Answered">Readers who answered it.</param>
/// <param name="Proportion">Share of those who answered that were right, 0 to 1; null where nobody answered.</param>
/// <param name="PointBiserial">How it goes with the rest of the quiz, −1 to 1; null where one of the two does not
/// vary.</param>
public sealed record QuestionFigures(int Answered, double? Proportion, double? PointBiserial);

/// <summary>How well a quiz told its readers apart, in words.</summary>
public enum Reliability
{
    /// <summary>Too few readers, or too few questions, to say.</summary>
    NotClaimed,
    Hardly,
    ALittle,
    Well,
}

/// <summary>A quiz by its readers' first attempts: classical test theory.</summary>
/// <remarks>
/// A reader's score is how many questions were right; what was not answered is not right, and who answered nothing is no
/// reader of the quiz. Point-biserial: the correlation of a question with the score on the other questions, over those
/// who answered it (Henrysson 1963, Correction of item–total correlations in item analysis). KR-20: Kuder and Richardson
/// (1937), with the variance over the readers there are, as the formula has it; standard error of measurement: sd times
/// the root of 1 − KR-20 (Lord and Novick 1968, Statistical theories of mental test scores).
/// </remarks>
public sealed class QuizFigures
{
    /// <summary>Under this many readers nothing is said of how a quiz tells them apart.</summary>
    public const int FewestReaders = 8;

    private const double WellFrom = 0.7,
        ALittleFrom = 0.4;

    /// <summary>Readers who answered something.</summary>
    public required int Readers { get; init; }

    public required IReadOnlyList<QuestionFigures> Questions { get; init; }

    /// <summary>Of the scores, in questions; null without readers.</summary>
    public required double? Mean { get; init; }

    /// <summary>Of the scores, in questions, over the readers there are; null without readers.</summary>
    public required double? Sd { get; init; }

    /// <summary>At most 1; null under two questions and where all scores are the same.</summary>
    public required double? Kr20 { get; init; }

    /// <summary>Of one score, in questions; null where there is no KR-20.</summary>
    public double? StandardError => Kr20 is { } kr ? Sd * Math.Sqrt(1 - kr) : null;

    public Reliability Reliability =>
        Readers < FewestReaders || Kr20 is not { } kr ? Reliability.NotClaimed
        : kr >= WellFrom ? Reliability.Well
        : kr >= ALittleFrom ? Reliability.ALittle
        : Reliability.Hardly;

    /// <summary>Figures of a quiz.</summary>
    /// <param name="answers">A row a reader, a column a question: whether the first attempt was right, null where there
    /// was none.</param>
    /// <exception cref="ArgumentException">The rows differ in length.</exception>
    public static QuizFigures Of(IReadOnlyList<IReadOnlyList<bool?>> answers)
    {
        var questions = answers.Count == 0 ? 0 : answers[0].Count;
        if (answers.Any(row => row.Count != questions))
            throw new ArgumentException("Every reader has a place for every question.", nameof(answers));
        var rows = answers.Where(row => row.Any(a => a is not null)).ToList();
        var scores = rows.Select(row => (double)row.Count(a => a is true)).ToList();
        var variance = Variance(scores);
        return new()
        {
            Readers = rows.Count,
            Questions = [.. Enumerable.Range(0, questions).Select(q => Question(rows, scores, q))],
            Mean = rows.Count == 0 ? null : scores.Average(),
            Sd = rows.Count == 0 ? null : Math.Sqrt(variance),
            Kr20 = questions < 2 || variance <= 0 ? null : Kr(rows, questions, variance),
        };
    }

    private static QuestionFigures Question(
        IReadOnlyList<IReadOnlyList<bool?>> rows,
        IReadOnlyList<double> scores,
        int q
    )
    {
        var asked = Enumerable.Range(0, rows.Count).Where(r => rows[r][q] is not null).ToList();
        var right = asked.Select(r => rows[r][q] is true ? 1.0 : 0.0).ToList();
        var rest = asked.Select((r, i) => scores[r] - right[i]).ToList();
        return new(asked.Count, asked.Count == 0 ? null : right.Average(), Correlation(right, rest));
    }

    private static double Kr(IReadOnlyList<IReadOnlyList<bool?>> rows, int questions, double variance)
    {
        var within = Enumerable
            .Range(0, questions)
            .Select(q => rows.Count(row => row[q] is true) / (double)rows.Count)
            .Sum(p => p * (1 - p));
        return questions / (questions - 1.0) * (1 - within / variance);
    }

    private static double? Correlation(IReadOnlyList<double> x, IReadOnlyList<double> y)
    {
        var (vx, vy) = (Variance(x), Variance(y));
        if (vx <= 0 || vy <= 0)
            return null;
        var (mx, my) = (x.Average(), y.Average());
        var together = x.Zip(y, (a, b) => (a - mx) * (b - my)).Average();
        return Math.Clamp(together / Math.Sqrt(vx * vy), -1, 1);
    }

    private static double Variance(IReadOnlyList<double> all)
    {
        if (all.Count == 0)
            return 0;
        var mean = all.Average();
        return all.Average(x => (x - mean) * (x - mean));
    }

    /// <summary>The wrong choice that was taken most: the first of those taken alike; null where none was.</summary>
    /// <param name="taken">Choices that were taken, from 0.</param>
    /// <param name="right">Whether a choice is right.</param>
    public static int? CommonWrong(IEnumerable<int> taken, Func<int, bool> right) =>
        taken
            .Where(c => !right(c))
            .CountBy(c => c)
            .OrderByDescending(c => c.Value)
            .ThenBy(c => c.Key)
            .Select(c => (int?)c.Key)
            .FirstOrDefault();
}
