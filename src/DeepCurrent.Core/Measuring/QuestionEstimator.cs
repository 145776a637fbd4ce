using DeepCurrent.Core.Depth;

namespace DeepCurrent.Core.Measuring;

/// <summary>One first attempt at one question, as it speaks of the question.</summary>
/// <param name="Mean">The reader's depth before it, fm.</param>
/// <param name="Sd">How sure that was.</param>
/// <param name="Thought">How hard the question was thought to be there, fm.</param>
/// <param name="Guess">Chance to be right by guessing, 0 to below 1.</param>
public readonly record struct QuestionAnswer(double Mean, double Sd, double Thought, double Guess, bool Correct);

/// <summary>How much harder a question is than was thought, as readers' answers show.</summary>
/// <param name="Harder">Fathoms; below 0 it is easier.</param>
public sealed record QuestionEstimate(double Harder, double Sd, int Answers);

/// <summary>Re-estimates how hard single questions are: the text's re-estimation, one question at a time.</summary>
/// <remarks>Bock and Aitkin (1981), as <see cref="TextEstimator"/>; the strand's default is the prior, so that few
/// answers move little.</remarks>
public static class QuestionEstimator
{
    /// <summary>Fewer answers than this say nothing of a question.</summary>
    public const int FewestAnswers = 30;

    /// <summary>How far a question may lie from its strand's default, fm (sd).</summary>
    public const double StrandSd = 5;

    // The texts' scale is long enough on both sides of its middle for any shift.
    private const double Middle = 40;

    /// <summary>The shift of one question; null where there are too few answers.</summary>
    /// <param name="sd">How far such a question may lie from where it is thought to be, fm.</param>
    public static QuestionEstimate? Estimate(IReadOnlyCollection<QuestionAnswer> answers, double sd = StrandSd)
    {
        if (answers.Count < FewestAnswers)
            return null;
        var found = TextEstimator.Estimate(
            new Fathoms(Middle),
            sd,
            [.. answers.Select(a => new TextReading(a.Mean - a.Thought + Middle, a.Sd, [new(0, a.Guess, a.Correct)]))]
        );
        return new(found.Mean - Middle, found.Sd, answers.Count);
    }

    /// <summary>The shifts of questions without what they share. Of one text's questions that is the text's, and moves
    /// its depth; of all words of a part it would be a drift of the scale.</summary>
    public static IReadOnlyList<QuestionEstimate> WithoutCommon(IReadOnlyList<QuestionEstimate> together)
    {
        var common = TextEstimator.CommonShift([.. together.Select(q => (q.Harder, 1 / (q.Sd * q.Sd)))]);
        return [.. together.Select(q => q with { Harder = q.Harder - common })];
    }
}
