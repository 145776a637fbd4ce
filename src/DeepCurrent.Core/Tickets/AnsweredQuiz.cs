using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Measuring;
using DeepCurrent.Core.Questions;

namespace DeepCurrent.Core.Tickets;

/// <summary>One attempt at a question.</summary>
/// <param name="Attempt">1 for the first.</param>
/// <param name="Correct">Null while it waits for a person.</param>
/// <param name="TooFast">It came faster than the question can be read.</param>
public sealed record Attempted(
    AnswerId Id,
    QuestionId QuestionId,
    int Attempt,
    bool? Correct,
    bool TooFast,
    DateTimeOffset At
);

/// <summary>What a first attempt says about its reader's level.</summary>
/// <param name="Difficulty">The question's, on the version that was read.</param>
/// <param name="Guess">Chance to be right without reading.</param>
/// <param name="LeftOut">Why it does not count; null if it does.</param>
public sealed record AnswerPiece(
    AnswerId Id,
    DateTimeOffset At,
    Fathoms Difficulty,
    Probability Guess,
    bool? Correct,
    Strand Strand,
    string? LeftOut
);

/// <summary>A quiz with one reader's attempts: what is still to mark, its score, and what it is evidence of.</summary>
public sealed class AnsweredQuiz
{
    private readonly IReadOnlyList<Question> asked;
    private readonly ILookup<QuestionId, Attempted> attempts;
    private readonly bool closed;

    /// <param name="quiz">The text's questions in their order; those on the way only help and do not count.</param>
    /// <param name="attempts">In any order. Those at a question that was taken out of the quiz say nothing any
    /// more.</param>
    /// <param name="closed">Handed in by its last day: what was not answered is not wrong.</param>
    public AnsweredQuiz(IEnumerable<Question> quiz, IEnumerable<Attempted> attempts, bool closed = false)
    {
        this.closed = closed;
        asked = [.. quiz.Where(q => !q.OnTheWay)];
        this.attempts = attempts.OrderBy(a => a.Attempt).ToLookup(a => a.QuestionId);
    }

    /// <summary>Whether a question asks for a sentence, so that the text's sentences have to be known.</summary>
    public bool AsksForSentences => asked.Any(q => q.Rules.PicksSentences);

    /// <summary>Questions whose answers wait for a person.</summary>
    public int ToMark => asked.Count(q => q.Kind.Written() && attempts[q.Id].Any(a => a.Correct is null));

    /// <summary>Share of the questions right at the first attempt, 0 to 1, of those that were answered where it closed;
    /// null while a person has to mark, where nothing is asked, and where nothing was answered.</summary>
    public Probability? Score =>
        ToMark == 0 && asked.Any(Answered)
            ? new(
                TicketLife.Score([
                    .. asked
                        .Where(q => !closed || Answered(q))
                        .Select(q => TicketLife.MarkOf([.. attempts[q.Id].Select(Right)])),
                ])
            )
            : null;

    private bool Answered(Question q) => attempts[q.Id].Any();

    /// <summary>First attempts that are marked, as evidence.</summary>
    /// <param name="depth">Of the version that was read.</param>
    /// <param name="sentences">Sentences of that version; 0 where no question asks for one.</param>
    public IReadOnlyList<AnswerPiece> Pieces(Fathoms depth, int sentences) =>
        [
            .. asked.SelectMany(
                (q, i) =>
                    attempts[q.Id]
                        .Where(a => a is { Attempt: 1, Correct: not null })
                        .Select(a => new AnswerPiece(
                            a.Id,
                            a.At,
                            q.Difficulty(depth, sentences),
                            new(q.Guess(sentences)),
                            a.Correct,
                            q.Strand,
                            Why(a, q, i)
                        ))
            ),
        ];

    private string? Why(Attempted a, Question q, int at) =>
        a.TooFast ? LeftOut.TooFast
        : q.Evidence && at > 0 && attempts[asked[at - 1].Id].FirstOrDefault() is { } before && !Right(before)
            ? LeftOut.RestsOnWrong
        : null;

    private static bool Right(Attempted a) => a.Correct ?? false;
}
