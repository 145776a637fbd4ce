namespace DeepCurrent.Core.Questions.Kinds;

/// <summary>Put together what belongs together. A choice without a left half belongs to nothing.</summary>
internal sealed class Matching : KindRules
{
    public override int Wanted(Question q) => q.Lefts;

    public override double Guess(Question q, int sentences) => 1 / Ways(q.Rights, q.Lefts);

    public override Shown Shown(Question q, Guid copy)
    {
        int[] rights = [.. Offered(q, [])],
            shown = [.. Scoring.Shuffled(copy, q.Id, rights.Length).Select(i => rights[i])];
        return new([.. Lefts(q).Select(i => q.Choices[i].Text)], [.. shown.Select(i => q.Choices[i].Match!)], shown);
    }

    public override IEnumerable<int> Offered(Question q, IReadOnlyList<string> sentences) =>
        Enumerable.Range(0, q.Choices.Count).Where(i => !string.IsNullOrEmpty(q.Choices[i].Match));

    public override IEnumerable<int> Right(Question q, IReadOnlyList<string> sentences, string version) =>
        q.Key ?? Lefts(q);

    public override int Fitting(Question q, Response r, IReadOnlyList<string> sentences, string version) =>
        r.Picks.Zip(Right(q, sentences, version)).Count(x => q.Choices[x.First].Match == q.Choices[x.Second].Match);

    protected override string Half(Choice c) => c.Match ?? "";

    public override bool IsRight(IReadOnlyList<string> things, IReadOnlyList<int> right, IReadOnlyList<int> picks) =>
        ReadsAs(things, right, picks);

    public override string Said(Question q, Response r) =>
        string.Join("; ", Lefts(q).Zip(r.Picks).Select(x => $"{q.Choices[x.First].Text} – {At(q, x.Second)?.Match}"));

    public override Choice? Kept(Choice c) => c with { Right = false };

    public override IEnumerable<Message> Lacks(Question q)
    {
        if (q.Lefts < 2 || Lefts(q).Any(i => string.IsNullOrWhiteSpace(q.Choices[i].Match)))
            yield return $"needs at least two pairs with both halves.";
        List<string> halves = [.. Offered(q, []).Select(i => CheckWords.Same(q.Choices[i].Match!))];
        if (halves.Distinct().Count() < halves.Count)
            yield return $"has the same right half twice.";
    }

    private static IEnumerable<int> Lefts(Question q) =>
        Enumerable.Range(0, q.Choices.Count).Where(i => q.Choices[i].Text.Length > 0);
}
