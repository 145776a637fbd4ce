using DeepCurrent.Core.Depth;

namespace DeepCurrent.Core.Measuring;

/// <summary>Where one piece of evidence, by itself, would put a reader: the marks beside the picture of a level. The
/// estimate weighs all of them together; these only show what each says.</summary>
public static class Placement
{
    // A score of all or nothing is no place on the scale; a little is taken off both ends.
    private const double Least = 0.1,
        Most = 0.95;

    /// <summary>By pieces that belong together: a level or a running record by itself, answers all at once.</summary>
    /// <exception cref="ArgumentException">There are none.</exception>
    public static Fathoms Of(IReadOnlyList<Evidence> pieces) =>
        pieces switch
        {
            [LevelEvidence level, ..] => level.Value,
            [RunningRecordEvidence record, ..] => OfRecord(record),
            _ => OfAnswers([.. pieces.OfType<AnswerEvidence>()]),
        };

    /// <summary>By a quiz on a text.</summary>
    /// <param name="score">First-attempt score, 0 to 1.</param>
    public static Fathoms OfScore(Fathoms text, double score) =>
        Forecast.TextDepthFor(text, Forecast.AtSameDepth)
        + Fathoms.PerLogit * (Logit(score) - Logit(Forecast.AtSameDepth));

    /// <summary>By a text that was read aloud.</summary>
    public static Fathoms OfRecord(RunningRecordEvidence record) =>
        record.TextDepth + RunningRecordModel.Shift(record.Words, record.Errors);

    /// <summary>By answers: their mean difficulty, moved by the share that was right beyond guessing.</summary>
    /// <exception cref="ArgumentException">There are none.</exception>
    public static Fathoms OfAnswers(IReadOnlyList<AnswerEvidence> answers)
    {
        if (answers.Count == 0)
            throw new ArgumentException("Nothing was answered.", nameof(answers));
        var guess = answers.Average(a => a.Guess);
        var known = (answers.Count(a => a.Correct) / (double)answers.Count - guess) / (1 - guess);
        return new Fathoms(answers.Average(a => a.Difficulty.Value)) + Fathoms.PerLogit * Logit(known);
    }

    private static double Logit(double share)
    {
        var p = Math.Clamp(share, Least, Most);
        return Math.Log(p / (1 - p));
    }
}
