namespace DeepCurrent.Core.Questions.Kinds;

/// <summary>Choose one, or several; how many is said.</summary>
internal sealed class Choosing(bool several) : KindRules
{
    private const int LongestReason = 20;

    public override bool Spoken => !several;

    public override bool GivesReasons => true;

    public override int Wanted(Question q) => several ? q.Choices.Count(c => c.Right) : 1;

    public override double Guess(Question q, int sentences) =>
        several
            ? Ways(Wanted(q), Wanted(q)) / Ways(q.Choices.Count, Wanted(q))
            : QuestionDifficulty.Guess(Math.Max(2, q.Choices.Count));

    public override IEnumerable<int> Right(Question q, IReadOnlyList<string> sentences, string version) =>
        Enumerable.Range(0, q.Choices.Count).Where(i => q.Choices[i].Right);

    public override int Fitting(Question q, Response r, IReadOnlyList<string> sentences, string version) =>
        r.Picks.Count(p => q.Choices[p].Right);

    public override string Reason(Question q, Response r, bool right)
    {
        var said = r
            .Picks.Select(p => q.Choices[p])
            .Where(c => c.Right == right)
            .Select(c => c.Reason)
            .Where(x => x.Length > 0);
        return right ? string.Join(' ', said.Distinct()) : said.FirstOrDefault("");
    }

    public override Choice? Kept(Choice c) => c with { Match = null };

    /// <summary>What was said of a choice that changed sides is not said any more.</summary>
    public override Question Rekeyed(Question q, QuestionCorrection by) =>
        q with
        {
            Choices =
            [
                .. q.Choices.Select(
                    (c, i) => c.Right == by.Right!.Contains(i) ? c : c with { Right = !c.Right, Reason = "" }
                ),
            ],
        };

    public override Message? KeyFault(
        Question q,
        QuestionCorrection by,
        IReadOnlyDictionary<string, IReadOnlyList<string>> versions
    )
    {
        var chosen = by.Right!.Distinct().Order().ToList();
        if (chosen.Any(i => i < 0 || i >= q.Choices.Count) || chosen.Count == q.Choices.Count)
            return $"Leave at least one choice wrong.";
        if (chosen.Count == 0)
            return $"Choose at least one right answer.";
        if (several && chosen.Count != q.Wanted)
            return $"Readers chose {q.Wanted:count} answers. Mark as many right.";
        return chosen.SequenceEqual(Right(q, [], "")) ? Same : null;
    }

    public override IEnumerable<Message> Lacks(Question q)
    {
        if (q.Choices.Count < 2)
            yield return $"needs at least two choices.";
        foreach (var fault in Empty(q))
            yield return fault;
        var right = q.Choices.Count(c => c.Right);
        if (!several && right != 1)
            yield return right == 0
                ? (Message)$"has no right choice."
                : $"has {right:count} right choices. Mark one only.";
        if (several && (right < 2 || right == q.Choices.Count))
            yield return $"needs at least two right choices and one wrong one.";
    }

    public override IEnumerable<Message> Faults(Question q, IReadOnlyDictionary<string, int> words)
    {
        if (!several)
            foreach (var fault in Choices.Faults(q, words))
                yield return fault;
        foreach (var c in q.Choices)
            if (string.IsNullOrWhiteSpace(c.Reason))
                yield return $"has no reason for “{c.Text}”.";
            else if (c.Reason.Split(' ').Length > LongestReason)
                yield return $"has a reason of over {LongestReason} words for “{c.Text}”.";
    }
}
