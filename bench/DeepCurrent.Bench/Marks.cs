using DeepCurrent.Core.Marking;
using DeepCurrent.Core.Questions;
using DeepCurrent.Formats.Content;

/// <summary>Proposed marks against those of people, on the marked answers that ship.</summary>
internal static class Marks
{
    public static (double Seen, double Held, int Answers) Kappas(string content)
    {
        var all = MarkedAnswers.Read(File.ReadAllText(Path.Combine(content, "marked-answers.yaml")));
        return (Of(all.Where(q => q.Seen)), Of(all.Where(q => !q.Seen)), all.Sum(q => q.Answers.Count));
    }

    private static double Of(IEnumerable<MarkedQuestion> questions) =>
        Agreement.Kappa(
            [.. questions.SelectMany(q => q.Answers.Select(a => (a.Mark, ProposedMark.For(q.Key, a.Words).Mark)))],
            Rubric.Most
        );
}
