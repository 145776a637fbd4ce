using DeepCurrent.Core.Depth;

namespace DeepCurrent.Core.Measuring;

/// <summary>How likely an answer is right: a logistic curve between guessing and slipping.</summary>
/// <remarks>Barton, M. A. and Lord, F. M. (1981), An upper asymptote for the three-parameter logistic item-response
/// model.</remarks>
public static class AnswerModel
{
    /// <summary>Share of easy questions that anybody answers right: everybody slips.</summary>
    public const double Unslipped = 0.98;

    /// <summary>Chance to answer right.</summary>
    /// <param name="above">Reader's depth less the question's difficulty, fm.</param>
    /// <param name="guess">Chance to be right by guessing, 0 to below 0.98.</param>
    public static double Right(double above, double guess) =>
        guess + (Unslipped - guess) / (1 + Math.Exp(-above / Fathoms.PerLogit));

    /// <summary>Fathoms by which a question is easier than its text for a reader who answers a given share right: with
    /// it, a reader at the text's depth answers that share.</summary>
    /// <param name="share">Above <paramref name="guess"/> and below 0.98.</param>
    public static double Ease(double share, double guess) =>
        Fathoms.PerLogit * Math.Log((share - guess) / (Unslipped - share));

    /// <summary>Fisher information about a reader's depth of one answer, in 1/fm².</summary>
    /// <param name="right">Chance to answer right, between <paramref name="guess"/> and 0.98.</param>
    public static double Information(double right, double guess)
    {
        if (right >= Unslipped)
            return 0;
        var slope = (right - guess) * (Unslipped - right) / (Unslipped - guess) / Fathoms.PerLogit;
        return slope * slope / (right * (1 - right));
    }
}
