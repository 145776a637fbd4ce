using DeepCurrent.Core.Marking;
using DeepCurrent.Core.Questions;

namespace DeepCurrent.Formats.Content;

/// <summary>A written question with answers that people have marked.</summary>
/// <param name="Seen">Whether the method of proposing may have been made by looking at it.</param>
public sealed record MarkedQuestion(
    AnswerKey Key,
    bool Seen,
    IReadOnlyList<(string Words, IReadOnlyList<int> Points)> Answers
);

/// <summary>Reads marked-answers.yaml.</summary>
public static class MarkedAnswers
{
    public static IReadOnlyList<MarkedQuestion> Read(string yaml)
    {
        var entries = ContentReader.Parse<List<Entry>>(yaml, "marked-answers.yaml");
        return
        [
            .. entries.Select(e => new MarkedQuestion(
                new(e.Ask, CriterionEntry.Rubric(e.Rubric, e.Criteria, e.Samples)!, e.Proof),
                e.Seen,
                [.. e.Answers.Select(a => (a.Words, a.Points ?? [a.Mark]))]
            )),
        ];
    }

    private sealed class Entry
    {
        public string Ask { get; set; } = "";
        public bool Seen { get; set; }
        public List<string>? Rubric { get; set; }
        public List<CriterionEntry>? Criteria { get; set; }
        public List<string> Samples { get; set; } = [];
        public string? Proof { get; set; }
        public List<Answer> Answers { get; set; } = [];
    }

    private sealed class Answer
    {
        public int Mark { get; set; }
        public List<int>? Points { get; set; }
        public string Words { get; set; } = "";
    }
}
