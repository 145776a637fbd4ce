using DeepCurrent.Core.Questions;

namespace DeepCurrent.Core.Library;

/// <summary>What a guardian asks once a text was read together, and one answer to it.</summary>
public sealed record AskAtHome(string Question, string Answer)
{
    /// <summary>The last question on the way that has one right choice. A question of the quiz is never taken: its
    /// answer would be known before the quiz is given.</summary>
    /// <param name="questions">All of the text's.</param>
    /// <param name="version">Label of the version that is read.</param>
    /// <returns>Null where the version has none.</returns>
    public static AskAtHome? Of(IEnumerable<Question> questions, string version) =>
        questions
            .Where(q => q.OnTheWay && q.Kind is QuestionKind.Single && q.Place(version) is not null)
            .OrderBy(q => q.Place(version))
            .Select(q => new AskAtHome(q.Stem, q.Choices.FirstOrDefault(c => c.Right)?.Text ?? ""))
            .LastOrDefault(a => a.Answer.Length > 0);
}
