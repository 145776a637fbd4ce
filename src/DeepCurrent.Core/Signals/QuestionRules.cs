namespace DeepCurrent.Core.Signals;

/// <summary>One question of an assignment, as a class answered it at the first try.</summary>
/// <param name="Number">In its quiz, from 1.</param>
public sealed record QuestionAnswered(
    AssignmentId Assignment,
    QuestionId Question,
    int Number,
    string Title,
    IReadOnlyList<AnswerInQuiz> Answers
);

/// <param name="Others">Share right at once of the reader's other questions of this quiz, 0 to 1.</param>
public sealed record AnswerInQuiz(DateOnly Day, bool Right, double Others);

/// <summary>Signals in questions that most of a class missed.</summary>
public static class QuestionRules
{
    private const int LeastAnswers = 6;
    private const double Missed = 0.6,
        Rare = 0.002;

    /// <summary>Questions missed far more than the rest of their quiz, by their assignment.</summary>
    public static IEnumerable<Signal> For(IEnumerable<QuestionAnswered> questions) =>
        questions.Select(Of).OfType<Signal>();

    private static Signal? Of(QuestionAnswered q)
    {
        int all = q.Answers.Count,
            right = q.Answers.Count(a => a.Right);
        if (all < LeastAnswers || all - right < Missed * all || AtMost(q.Answers, right) > Rare)
            return null;
        var better = q.Answers.OrderByDescending(a => a.Others).Take(all / 2).ToList();
        return new(
            SignalKind.QuestionMissed,
            null,
            q.Question.ToString(),
            $"{all - right}",
            q.Answers.Min(a => a.Day),
            q.Answers.Max(a => a.Day),
            q.Title,
            [all - right, all, better.Count(a => !a.Right), better.Count, q.Number],
            []
        )
        {
            Assignment = q.Assignment,
        };
    }

    /// <summary>Chance of at most so many right if each reader answered it as their other questions (Poisson-binomial).</summary>
    private static double AtMost(IReadOnlyList<AnswerInQuiz> answers, int right)
    {
        var chances = new double[answers.Count + 1];
        chances[0] = 1;
        for (var i = 0; i < answers.Count; i++)
        {
            // Nobody is sure to be right, or wrong.
            var p = Math.Clamp(answers[i].Others, 0.1, 0.9);
            for (var k = i + 1; k > 0; k--)
                chances[k] = chances[k] * (1 - p) + chances[k - 1] * p;
            chances[0] *= 1 - p;
        }
        return chances.Take(right + 1).Sum();
    }
}
