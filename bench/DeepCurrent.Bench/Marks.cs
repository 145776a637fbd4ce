using DeepCurrent.Core.Marking;
using DeepCurrent.Core.Questions;
using DeepCurrent.Formats.Content;

/// <summary>Proposed marks against those of people, on the marked answers that ship.</summary>
internal static class Marks
{
    /// <returns>How far they agree on questions the method may have been made with, on others, and on rubrics of several
    /// rows, which it has not seen either; and the answers there are.</returns>
    public static (double Seen, double Held, double Rows, int Answers) Kappas(string content)
    {
        var all = MarkedAnswers.Read(File.ReadAllText(Path.Combine(content, "marked-answers.yaml")));
        var whole = all.Where(q => q.Key.Rubric.Criteria.Count == 1).ToList();
        return (
            Of(whole.Where(q => q.Seen)),
            Of(whole.Where(q => !q.Seen)),
            Of(all.Except(whole)),
            all.Sum(q => q.Answers.Count)
        );
    }

    private static double Of(IEnumerable<MarkedQuestion> questions)
    {
        var these = questions.ToList();
        return Agreement.Kappa(
            [.. these.SelectMany(q => q.Answers.Select(a => (a.Points.Sum(), ProposedMark.For(q.Key, a.Words).Sum)))],
            these.Max(q => q.Key.Rubric.Most)
        );
    }
}
