namespace DeepCurrent.Core.Questions.Kinds;

/// <summary>Pick the sentence of the text that shows it. Of several that prove it, each is enough.</summary>
internal sealed class PickingSentence : KindRules
{
    public override bool PicksSentences => true;

    public override int Wanted(int rights) => 1;

    public override double Guess(Question q, int sentences) => 1.0 / Math.Max(2, sentences);

    public override Shown Shown(Question q, Guid copy) => new([], [], []);

    public override IEnumerable<int> Offered(Question q, IReadOnlyList<string> sentences) =>
        Enumerable.Range(0, sentences.Count);

    public override IEnumerable<int> Right(Question q, IReadOnlyList<string> sentences, string version) =>
        Offered(q, sentences).Where(i => Scoring.Proves(sentences[i], q.Proof(version)));

    public override int Fitting(Question q, Response r, IReadOnlyList<string> sentences, string version) =>
        r.Picks.Count(p => Scoring.Proves(sentences[p], q.Proof(version)));

    public override bool IsRight(IReadOnlyList<string> things, IReadOnlyList<int> right, IReadOnlyList<int> picks) =>
        picks.All(right.Contains);

    public override string Said(Question q, Response r) => r.Words;

    public override Choice? Kept(Choice c) => null;

    public override Question Rekeyed(Question q, QuestionCorrection by) =>
        q with
        {
            Proofs = (by.Proofs ?? q.Proofs)
                .Concat(q.Proofs)
                .DistinctBy(p => p.Key)
                .ToDictionary(p => p.Key, p => p.Value),
        };

    public override Message? KeyFault(
        Question q,
        QuestionCorrection by,
        IReadOnlyDictionary<string, IReadOnlyList<string>> versions
    )
    {
        var proofs = by.Proofs ?? new Dictionary<string, string>();
        if (
            proofs.Count == 0
            || proofs.Any(p => !versions.TryGetValue(p.Key, out var from) || !from.Any(s => Scoring.Proves(s, p.Value)))
        )
            return $"Choose a sentence of the text.";
        return proofs.All(p => q.Proof(p.Key) == p.Value) ? Same : null;
    }

    public override IEnumerable<Message> Lacks(Question q) =>
        q.Proofs.Values.All(string.IsNullOrWhiteSpace) ? [$"needs its right sentence."] : [];
}
