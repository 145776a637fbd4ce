namespace DeepCurrent.Core.Questions.Kinds;

/// <summary>What the choices of a question give away, where one of them is right.</summary>
/// <remarks>Haladyna, Downing and Rodriguez (2002), A review of multiple-choice item-writing guidelines, Applied
/// Measurement in Education 15.</remarks>
internal static class Choices
{
    private const int OftenInText = 3;

    /// <summary>What makes it worse than it could be.</summary>
    public static IEnumerable<Message> Faults(Question q, IReadOnlyDictionary<string, int> words)
    {
        if (q.Choices.Count == 2)
            yield return $"has only two choices, so half of all guesses are right.";
        if (q.Choices.Count(c => c.Right) != 1)
            yield break;
        var right = q.Choices.First(c => c.Right);
        var wrong = q.Choices.Where(c => !c.Right).ToList();
        foreach (var fault in Overlapping(q))
            yield return fault;
        if (Echo(q, right, wrong, words) is { } echo)
            yield return $"can be answered without the text: only the right choice repeats “{echo}”.";
        if (
            CheckWords.Article(q.Stem) is { } vowel
            && CheckWords.StartsWithVowel(right.Text) == vowel
            && wrong.All(c => CheckWords.StartsWithVowel(c.Text) != vowel)
        )
            yield return $"ends in “a” or “an”, which fits only the right choice.";
        if (wrong.All(c => CheckWords.Absolute(c.Text)) && !CheckWords.Absolute(right.Text))
            yield return $"has “always”, “never”, “all” or “none” in every wrong choice, which gives the answer away.";
        if (AtAGlance(right, wrong, words))
            yield return $"can be answered at a glance: only the right choice uses words from the text.";
    }

    /// <summary>Whether the right choice has the text's own words only, and each wrong one none of them.</summary>
    private static bool AtAGlance(Choice right, IReadOnlyList<Choice> wrong, IReadOnlyDictionary<string, int> words) =>
        CheckWords.Content(right.Text) is { Count: > 0 } said
        && said.All(words.ContainsKey)
        && wrong.Count > 1
        && wrong.All(c => CheckWords.Content(c.Text) is { Count: > 1 } content && !content.Any(words.ContainsKey));

    private static IEnumerable<Message> Overlapping(Question q)
    {
        foreach (var (a, b) in q.Choices.SelectMany((a, i) => q.Choices.Skip(i + 1).Select(b => (a, b))))
            if (CheckWords.Overlap(a.Text, b.Text))
                yield return a.Right || b.Right
                    ? (Message)$"has two choices that can be right: “{a.Text}” and “{b.Text}” overlap."
                    : $"has choices that overlap: if “{a.Text}” is right, so is “{b.Text}”.";
    }

    /// <summary>A word of the stem that only the right choice says again; null where there is none.</summary>
    private static string? Echo(
        Question q,
        Choice right,
        IReadOnlyList<Choice> wrong,
        IReadOnlyDictionary<string, int> words
    )
    {
        var stem = CheckWords.Content(q.Stem);
        var said = CheckWords.Content(right.Text);
        if (said.Count > 3 || wrong.Any(c => CheckWords.Content(c.Text).Overlaps(stem)))
            return null;
        return said.Intersect(stem)
            .FirstOrDefault(w =>
                words.GetValueOrDefault(w) < OftenInText
                && !right.Text.Contains(char.ToUpperInvariant(w[0]) + w[1..], StringComparison.Ordinal)
            );
    }
}
