using DeepCurrent.Core.Texts;

namespace DeepCurrent.Core.Questions;

/// <summary>A version as a quiz is checked against it.</summary>
/// <param name="Paragraphs">Headings begin with #.</param>
/// <param name="Depth">Fathoms.</param>
public sealed record CheckedVersion(string Label, IReadOnlyList<string> Paragraphs, double Depth);

/// <summary>What is wrong with a quiz, for its writer.</summary>
/// <param name="At">The question, from 0; null where it is about the whole quiz.</param>
/// <param name="Stops">It cannot be asked like this.</param>
public sealed record QuizFault(int? At, bool Stops, string Sentence);

/// <summary>Looks for the usual faults of comprehension questions.</summary>
/// <remarks>The rules for writing choices follow Haladyna, Downing and Rodriguez (2002), A review of multiple-choice
/// item-writing guidelines, Applied Measurement in Education 15.</remarks>
public static class QuizCheck
{
    private const int LongestReason = 20,
        FewestQuestions = 6,
        MostQuestions = 10,
        FewestStrands = 4,
        LongestStem = 25;
    private const double MuchLonger = 1.2;
    private const int OftenInText = 3;

    /// <summary>All faults, question by question, then those of the whole.</summary>
    public static IReadOnlyList<QuizFault> Faults(
        IReadOnlyList<Question> questions,
        IReadOnlyList<CheckedVersion> versions
    )
    {
        var words = versions.SelectMany(v => v.Paragraphs).SelectMany(CheckWords.All).CountBy(w => w).ToDictionary();
        var shallow = versions.MinBy(v => v.Depth);
        return
        [
            .. questions.SelectMany(
                (q, i) =>
                    Shape(q, i, questions)
                        .Select(s => new QuizFault(i, true, s))
                        .Concat(Taste(q, versions, words, shallow).Select(s => new QuizFault(i, false, s)))
            ),
            .. Whole(questions).Select(s => new QuizFault(null, false, s)),
        ];
    }

    /// <summary>What keeps a question from being asked at all.</summary>
    private static IEnumerable<string> Shape(Question q, int at, IReadOnlyList<Question> all)
    {
        if (string.IsNullOrWhiteSpace(q.Stem))
            yield return "asks nothing yet.";
        var choices = q.Choices;
        foreach (var sentence in OfKind(q))
            yield return sentence;
        if (choices.Where(c => c.Text.Length > 0).GroupBy(c => CheckWords.Same(c.Text)).Any(g => g.Count() > 1))
            yield return "has the same choice twice.";
        if (q.Evidence && (at == 0 || all[at - 1].Evidence || all[at - 1].Guided != q.Guided))
            yield return "asks for the proof of the question before it, but there is none to prove.";
    }

    /// <summary>What a question of its kind lacks.</summary>
    private static IEnumerable<string> OfKind(Question q) =>
        q.Kind switch
        {
            QuestionKind.Single or QuestionKind.Multiple => ToChoose(q),
            QuestionKind.Order => ToOrder(q),
            QuestionKind.Match => ToMatch(q),
            QuestionKind.Short or QuestionKind.Long => q.Rubric is { } rubric
            && rubric.Marks.Count == Rubric.Most + 1
            && !rubric.Marks.Any(string.IsNullOrWhiteSpace)
                ? []
                : ["needs a rubric: what earns 0, 1, 2 and 3 marks."],
            QuestionKind.Sentence when q.Proofs.Values.All(string.IsNullOrWhiteSpace) =>
            [
                "needs the sentence that is to be picked.",
            ],
            _ => [],
        };

    private static IEnumerable<string> ToChoose(Question q)
    {
        if (q.Choices.Count < 2)
            yield return "needs at least two choices.";
        if (q.Choices.Any(c => string.IsNullOrWhiteSpace(c.Text)))
            yield return "has an empty choice.";
        var right = q.Choices.Count(c => c.Right);
        if (q.Kind is QuestionKind.Single && right != 1)
            yield return right == 0 ? "has no right choice." : $"has {right} right choices where one is to be chosen.";
        if (q.Kind is QuestionKind.Multiple && (right < 2 || right == q.Choices.Count))
            yield return "needs at least two right choices and one wrong one.";
    }

    private static IEnumerable<string> ToOrder(Question q)
    {
        if (q.Choices.Count < 3)
            yield return "needs at least three things to put in order.";
        if (q.Choices.Any(c => string.IsNullOrWhiteSpace(c.Text)))
            yield return "has an empty choice.";
    }

    private static IEnumerable<string> ToMatch(Question q)
    {
        if (q.Lefts < 2 || q.Choices.Any(c => c.Text.Length > 0 && string.IsNullOrWhiteSpace(c.Match)))
            yield return "needs at least two pairs with both halves.";
        var halves = q
            .Choices.Where(c => !string.IsNullOrEmpty(c.Match))
            .Select(c => CheckWords.Same(c.Match!))
            .ToList();
        if (halves.Distinct().Count() < halves.Count)
            yield return "has the same right half twice.";
    }

    /// <summary>What makes a question worse than it could be.</summary>
    private static IEnumerable<string> Taste(
        Question q,
        IReadOnlyList<CheckedVersion> versions,
        Dictionary<string, int> words,
        CheckedVersion? shallow
    )
    {
        if (CheckWords.Denies(q.Stem))
            yield return "asks what is not so: readers miss the “not”. Ask what is so.";
        if (q.Choices.FirstOrDefault(c => CheckWords.SumsUp(c.Text)) is { } sum)
            yield return $"“{sum.Text}” is no choice of its own.";
        if (q.Stem.Length > 0 && q.Stem.Split(' ').Length > LongestStem)
            yield return $"is over {LongestStem} words long.";
        if (q.Kind is QuestionKind.Single)
            foreach (var fault in Choosing(q, words))
                yield return fault;
        foreach (var fault in Lacks(q))
            yield return fault;
        foreach (var v in versions)
            if (Missing(q, v) is { } missing)
                yield return missing;
        if (shallow is not null && Hard(q, words, shallow.Depth) is { } hard)
            yield return $"“{hard}” is harder than the text and does not stand in it.";
    }

    /// <summary>Reasons and sample answers that are not there, or too long.</summary>
    private static IEnumerable<string> Lacks(Question q)
    {
        if (q.Kind is QuestionKind.Single or QuestionKind.Multiple)
            foreach (var c in q.Choices)
                if (string.IsNullOrWhiteSpace(c.Reason))
                    yield return $"choice “{c.Text}” has no reason.";
                else if (c.Reason.Split(' ').Length > LongestReason)
                    yield return $"the reason of “{c.Text}” is over {LongestReason} words.";
        if (q.Written && (q.Rubric?.Samples.Count(s => s.Length > 0) ?? 0) < 2)
            yield return "has fewer than two sample answers.";
    }

    /// <summary>A word of the question that is too rare for the text and does not stand in it.</summary>
    private static string? Hard(Question q, Dictionary<string, int> words, double depth) =>
        q
            .Choices.Select(c => c.Text)
            .Append(q.Stem)
            .SelectMany(CheckWords.Keys)
            .Distinct()
            .Where(w => !words.ContainsKey(CheckWords.Stem(w)))
            .FirstOrDefault(w => CheckWords.Rare(w, Rarest(depth)));

    /// <summary>How rarely a word may be heard (Zipf) before it is too hard for a text of that depth: 4.2 at 10 fm, a
    /// third less every 10 fm deeper.</summary>
    private static double Rarest(double depth) => 4.2 - 0.035 * (depth - 10);

    private static string? Missing(Question q, CheckedVersion v)
    {
        if (q.Place(v.Label) is { } place && (place < 1 || place > v.Paragraphs.Count))
            return $"stands after paragraph {place}, which version {v.Label} does not have.";
        var text = string.Join('\n', v.Paragraphs);
        return q.Proof(v.Label) is { Length: > 0 } proof
            ? Paragraphs.Holds(text, proof)
                ? null
                : $"its proof is not a sentence of version {v.Label}."
            : q.Written
                ? null
                : $"says nowhere which sentence of version {v.Label} proves it.";
    }

    private static IEnumerable<string> Choosing(Question q, Dictionary<string, int> words)
    {
        if (q.Choices.Count == 2)
            yield return "has only two choices: every second guess is right.";
        if (q.Choices.Count(c => c.Right) != 1)
            yield break;
        var right = q.Choices.First(c => c.Right);
        var wrong = q.Choices.Where(c => !c.Right).ToList();
        foreach (var fault in Overlapping(q))
            yield return fault;
        if (Echo(q, right, wrong, words) is { } echo)
            yield return $"can be answered without the text: only the right choice says “{echo}” again.";
        if (
            CheckWords.Article(q.Stem) is { } vowel
            && CheckWords.StartsWithVowel(right.Text) == vowel
            && wrong.All(c => CheckWords.StartsWithVowel(c.Text) != vowel)
        )
            yield return "its last word, a or an, fits the right choice only.";
        if (wrong.All(c => CheckWords.Absolute(c.Text)) && !CheckWords.Absolute(right.Text))
            yield return "every wrong choice says always, never, all or none: readers know what that means.";
        if (AtAGlance(right, wrong, words))
            yield return "can be answered by a glance: only the right choice speaks of what the text speaks of.";
    }

    /// <summary>Whether the right choice has the text's own words only, and each wrong one none of them.</summary>
    private static bool AtAGlance(Choice right, IReadOnlyList<Choice> wrong, Dictionary<string, int> words) =>
        CheckWords.Content(right.Text) is { Count: > 0 } said
        && said.All(words.ContainsKey)
        && wrong.Count > 1
        && wrong.All(c => CheckWords.Content(c.Text) is { Count: > 1 } content && !content.Any(words.ContainsKey));

    private static IEnumerable<string> Overlapping(Question q)
    {
        foreach (var (a, b) in q.Choices.SelectMany((a, i) => q.Choices.Skip(i + 1).Select(b => (a, b))))
            if (CheckWords.Overlap(a.Text, b.Text))
                yield return a.Right || b.Right
                    ? $"two choices can be right: “{a.Text}” and “{b.Text}” overlap."
                    : $"“{a.Text}” and “{b.Text}” overlap: if one were right, so would be the other.";
    }

    /// <summary>A word of the stem that only the right choice says again; null where there is none.</summary>
    private static string? Echo(Question q, Choice right, IReadOnlyList<Choice> wrong, Dictionary<string, int> words)
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

    /// <summary>The right choice is longer than every other by more than a fifth.</summary>
    public static bool GivenAway(Question q) =>
        q.Choices.Where(c => c.Right).Select(c => c.Text.Length).DefaultIfEmpty().Max()
        > MuchLonger * q.Choices.Where(c => !c.Right).Select(c => c.Text.Length).DefaultIfEmpty().Max();

    private static IEnumerable<string> Whole(IReadOnlyList<Question> all)
    {
        var quiz = all.Where(q => !q.Guided).ToList();
        var single = quiz.Where(q => q.Kind is QuestionKind.Single).ToList();
        if (quiz.Count is < FewestQuestions or > MostQuestions)
            yield return $"The quiz has {quiz.Count} questions, not {FewestQuestions} to {MostQuestions}.";
        if (quiz.Count == 0)
            yield break;
        if (quiz.Select(q => q.Strand).Distinct().Count() < FewestStrands)
            yield return "The questions cover fewer than four strands.";
        if (quiz.Count(q => q.Strand == Strand.Retrieve) * 3 > quiz.Count)
            yield return "More than a third of the questions only retrieve.";
        if (single.Count(GivenAway) * 4 > single.Count)
            yield return "The right choice is much the longest in more than a quarter of the questions.";
        if (
            single.Count > 3
            && single.GroupBy(q => q.Choices.ToList().FindIndex(c => c.Right)).Any(g => g.Count() * 2 > single.Count)
        )
            yield return "More than half of the right choices stand in the same place.";
    }
}
