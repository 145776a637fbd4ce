namespace DeepCurrent.Core.Questions.Kinds;

/// <summary>Put in order. The choices are kept in the right order.</summary>
internal sealed class Ordering : KindRules
{
    public override int Wanted(Question q) => q.Choices.Count;

    public override double Guess(Question q, int sentences) => 1 / Ways(q.Choices.Count, q.Choices.Count);

    public override Shown Shown(Question q, Guid copy)
    {
        var order = Scoring.Shuffled(copy, q.Id, q.Choices.Count);
        return new([.. order.Select(i => q.Choices[i].Text)], [], order);
    }

    public override IEnumerable<int> Right(Question q, IReadOnlyList<string> sentences, string version) =>
        q.Key ?? [.. Enumerable.Range(0, q.Choices.Count)];

    public override int Fitting(Question q, Response r, IReadOnlyList<string> sentences, string version) =>
        r.Picks.Zip(Right(q, sentences, version)).Count(x => q.Choices[x.First].Text == q.Choices[x.Second].Text);

    public override bool IsRight(IReadOnlyList<string> things, IReadOnlyList<int> right, IReadOnlyList<int> picks) =>
        ReadsAs(things, right, picks);

    public override string Said(Question q, Response r) => string.Join(" → ", r.Picks.Select(p => At(q, p)?.Text));

    public override IEnumerable<Message> Lacks(Question q)
    {
        if (q.Choices.Count < 3)
            yield return $"needs at least three things to put in order.";
        foreach (var fault in Empty(q))
            yield return fault;
    }
}
