namespace DeepCurrent.Core.Questions.Kinds;

/// <summary>Write an answer, which a person marks by a rubric.</summary>
internal sealed class Writing : KindRules
{
    public override bool Written => true;

    public override bool Spoken => true;

    public override double Guess(Question q, int sentences) => 0;

    public override IEnumerable<int> Offered(Question q, IReadOnlyList<string> sentences) => [];

    public override bool Answers(Question q, Response r, IReadOnlyList<string> sentences) =>
        r.Picks.Count == 0 && !string.IsNullOrWhiteSpace(r.Words) && r.Words.Length <= Response.LongestWords;

    public override IEnumerable<int> Right(Question q, IReadOnlyList<string> sentences, string version) => [];

    public override int Fitting(Question q, Response r, IReadOnlyList<string> sentences, string version) => 0;

    public override string Said(Question q, Response r) => r.Words;

    public override Choice? Kept(Choice c) => null;

    public override Message? KeyFault(
        Question q,
        QuestionCorrection by,
        IReadOnlyDictionary<string, IReadOnlyList<string>> versions
    ) => $"The key of this kind of question cannot be changed here. Take the question out.";

    public override IEnumerable<Message> Lacks(Question q) => (q.Rubric ?? new([], [])).Lacks is { } lack ? [lack] : [];

    public override IEnumerable<Message> Faults(Question q, IReadOnlyDictionary<string, int> words) =>
        q.Rubric is null || q.Rubric.Samples.Count(s => s.Length > 0) < 2
            ? [$"has fewer than two sample answers."]
            : [];
}
