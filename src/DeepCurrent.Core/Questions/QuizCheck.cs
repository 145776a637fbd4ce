using DeepCurrent.Core.Texts;

namespace DeepCurrent.Core.Questions;

/// <summary>A version as a quiz is checked against it.</summary>
/// <param name="Paragraphs">Headings begin with #.</param>
/// <param name="Depth">Fathoms.</param>
public sealed record CheckedVersion(string Label, IReadOnlyList<string> Paragraphs, double Depth);

/// <summary>What is wrong with a quiz, for its writer.</summary>
/// <param name="At">The question, from 0; null where it is about the whole quiz.</param>
/// <param name="Stops">It cannot be asked like this.</param>
public sealed record QuizFault(int? At, bool Stops, Message Sentence);

/// <summary>Looks for the usual faults of comprehension questions.</summary>
/// <remarks>The rules for writing choices follow Haladyna, Downing and Rodriguez (2002), A review of multiple-choice
/// item-writing guidelines, Applied Measurement in Education 15.</remarks>
public static class QuizCheck
{
    private const int FewestQuestions = 6,
        MostQuestions = 10,
        FewestStrands = 4,
        LongestStem = 25;
    private const double MuchLonger = 1.2;

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
    private static IEnumerable<Message> Shape(Question q, int at, IReadOnlyList<Question> all)
    {
        if (string.IsNullOrWhiteSpace(q.Stem))
            yield return $"has no question yet.";
        var choices = q.Choices;
        foreach (var sentence in q.Rules.Lacks(q))
            yield return sentence;
        if (choices.Where(c => c.Text.Length > 0).GroupBy(c => CheckWords.Same(c.Text)).Any(g => g.Count() > 1))
            yield return $"has the same choice twice.";
        if (q.Evidence && (at == 0 || all[at - 1].Evidence || all[at - 1].OnTheWay != q.OnTheWay))
            yield return $"asks for proof of the previous question, but there is none.";
    }

    /// <summary>What makes a question worse than it could be.</summary>
    private static IEnumerable<Message> Taste(
        Question q,
        IReadOnlyList<CheckedVersion> versions,
        Dictionary<string, int> words,
        CheckedVersion? shallow
    )
    {
        if (CheckWords.Denies(q.Stem))
            yield return $"asks a negative, which readers miss. Ask it positively.";
        if (q.Choices.FirstOrDefault(c => CheckWords.SumsUp(c.Text)) is { } sum)
            yield return $"has “{sum.Text}”, which is not a choice of its own.";
        if (q.Stem.Length > 0 && q.Stem.Split(' ').Length > LongestStem)
            yield return $"is over {LongestStem} words.";
        foreach (var fault in q.Rules.Faults(q, words))
            yield return fault;
        foreach (var v in versions)
            if (Missing(q, v) is { } missing)
                yield return missing;
        if (shallow is not null && Hard(q, words, shallow.Depth) is { } hard)
            yield return $"uses “{hard}”, which is harder than the text and not in it.";
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

    private static Message? Missing(Question q, CheckedVersion v)
    {
        if (q.Place(v.Label) is { } place && (place < 1 || place > v.Paragraphs.Count))
            return $"comes after paragraph {place}, which version {v.Label} does not have.";
        var text = string.Join('\n', v.Paragraphs);
        return q.Proof(v.Label) is { Length: > 0 } proof
            ? Paragraphs.Holds(text, proof)
                ? null
                : (Message)$"has a proof that is not in version {v.Label}."
            : q.Written
                ? null
                : (Message)$"has no proof in version {v.Label}.";
    }

    /// <summary>The right choice is longer than every other by more than a fifth.</summary>
    public static bool GivenAway(Question q) =>
        q.Choices.Where(c => c.Right).Select(c => c.Text.Length).DefaultIfEmpty().Max()
        > MuchLonger * q.Choices.Where(c => !c.Right).Select(c => c.Text.Length).DefaultIfEmpty().Max();

    private static IEnumerable<Message> Whole(IReadOnlyList<Question> all)
    {
        var quiz = all.Where(q => !q.OnTheWay).ToList();
        var single = quiz.Where(q => q.Kind is QuestionKind.Single).ToList();
        if (quiz.Count is < FewestQuestions or > MostQuestions)
            yield return $"The quiz has {quiz.Count:count} questions. Use {FewestQuestions} to {MostQuestions}.";
        if (quiz.Count == 0)
            yield break;
        if (quiz.Select(q => q.Strand).Distinct().Count() < FewestStrands)
            yield return $"The questions cover fewer than four strands.";
        if (quiz.Count(q => q.Strand == Strand.Retrieve) * 3 > quiz.Count)
            yield return $"More than a third of the questions are retrieve questions.";
        if (single.Count(GivenAway) * 4 > single.Count)
            yield return $"The right choice is clearly the longest in more than a quarter of the questions.";
        if (
            single.Count > 3
            && single.GroupBy(q => q.Choices.ToList().FindIndex(c => c.Right)).Any(g => g.Count() * 2 > single.Count)
        )
            yield return $"More than half of the right choices are in the same place.";
    }
}
