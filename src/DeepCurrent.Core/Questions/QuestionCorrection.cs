namespace DeepCurrent.Core.Questions;

/// <summary>What a class's teacher says of a faulty question: it is asked no more, or another answer is right.</summary>
/// <param name="Right">The picks that are right, from 0: choices; all things in their order; for each thing on the left
/// of a match, the choice whose other half belongs to it. None where a sentence is right; null where the question is
/// taken out.</param>
/// <param name="Proofs">The sentence that is right, by version label, where sentences are picked; else null.</param>
public sealed record QuestionCorrection(
    QuestionId QuestionId,
    IReadOnlyList<int>? Right,
    IReadOnlyDictionary<string, string>? Proofs = null
)
{
    public bool TakenOut => Right is null;

    /// <summary>The question as it is scored now; null where it is taken out.</summary>
    private Question? Applied(Question q) => Right is null ? null : q.Rules.Rekeyed(q, this);

    /// <summary>A quiz with its corrections, in its order.</summary>
    public static IReadOnlyList<Question> Apply(
        IEnumerable<Question> quiz,
        IReadOnlyCollection<QuestionCorrection> corrections
    )
    {
        if (corrections.Count == 0)
            return [.. quiz];
        var of = corrections.ToDictionary(c => c.QuestionId);
        return
        [
            .. quiz.Select(q => of.TryGetValue(q.Id, out var correction) ? correction.Applied(q) : q)
                .OfType<Question>(),
        ];
    }

    /// <summary>Why a question cannot be corrected so; null where it can.</summary>
    /// <param name="versions">Sentences of the text, by version label.</param>
    public Message? Fault(Question q, IReadOnlyDictionary<string, IReadOnlyList<string>> versions) =>
        TakenOut ? null : q.Rules.KeyFault(q, this, versions);

    /// <summary>Questions to try again: those never right, answered or not, each proof together with the question it
    /// proves. What waits for a person is none.</summary>
    /// <param name="asked">In their order; those on the way are none.</param>
    /// <param name="answers">Whether it was right, by question; null while a person has to mark it.</param>
    public static IReadOnlyList<QuestionId> Missed(IReadOnlyList<Question> asked, ILookup<QuestionId, bool?> answers)
    {
        bool NeverRight(Question q) => answers[q.Id].All(right => right is false);
        var quiz = asked.Where(q => !q.OnTheWay).ToList();
        return
        [
            .. quiz.Where(
                    (q, i) => NeverRight(q) || (i + 1 < quiz.Count && quiz[i + 1].Evidence && NeverRight(quiz[i + 1]))
                )
                .Select(q => q.Id),
        ];
    }
}
