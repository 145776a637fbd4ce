using DeepCurrent.Core.Depth;

namespace DeepCurrent.Core.Measuring;

/// <summary>What one piece of evidence did to a level.</summary>
/// <param name="Before">What was known just before it, growth and drift until then included.</param>
/// <param name="After">What was known with it.</param>
public sealed record EvidenceEffect(Evidence Piece, DepthEstimate Before, DepthEstimate After)
{
    /// <summary>Fathoms by which it moved the level; above 0 is deeper.</summary>
    public double Moved => After.Mean - Before.Mean;
}

/// <summary>Something a teacher could do, and how sure the level would then be.</summary>
/// <param name="Sd">Expected standard deviation afterwards, fm.</param>
public sealed record SurerBy(EvidenceSource What, double Sd);

/// <summary>Explains a level: what each piece of evidence did to it, and what would make it surer.</summary>
public static class EvidenceAccount
{
    private const int QuizQuestions = 7,
        CheckQuestions = 24,
        Choices = 4;

    /// <summary>The effect of each piece of evidence, in order of time; the last one's After is where
    /// <see cref="ReaderEstimator.Run"/> arrives with the same evidence at the same time.</summary>
    /// <inheritdoc cref="ReaderEstimator.Run" path="/exception"/>
    public static IReadOnlyList<EvidenceEffect> Effects(Prior prior, IEnumerable<Evidence> evidence, Movement movement)
    {
        var effects = new List<EvidenceEffect>();
        ReaderEstimator.Walk(
            prior,
            evidence,
            movement,
            DateTimeOffset.MaxValue,
            (piece, before, after) => effects.Add(new(piece, before, after)),
            withBefore: true
        );
        return effects;
    }

    /// <summary>What would make a level surer, the surest first.</summary>
    /// <param name="sd">Of the level as it is, fm; above 0.</param>
    /// <remarks>Expected information of a text that fits (questions of four choices, 80 % forecast right; Birnbaum
    /// 1968), added to what is known as the normal distribution it nearly is.</remarks>
    public static IReadOnlyList<SurerBy> Surer(double sd)
    {
        if (!(sd > 0))
            throw new ArgumentOutOfRangeException(nameof(sd), sd, "A standard deviation is above 0.");
        var one = AnswerModel.Information(Forecast.AtSameDepth, 1.0 / Choices);
        return
        [
            new(EvidenceSource.LevelCheck, With(sd, CheckQuestions * one)),
            new(
                EvidenceSource.RunningRecord,
                With(sd, 1 / (ReaderEstimator.RunningRecordSd * ReaderEstimator.RunningRecordSd))
            ),
            new(EvidenceSource.Quiz, With(sd, QuizQuestions * one)),
        ];
    }

    private static double With(double sd, double information) => 1 / Math.Sqrt(1 / (sd * sd) + information);
}
