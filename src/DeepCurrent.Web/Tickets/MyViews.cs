using DeepCurrent.Core.Assignments;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.OralReading;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Tickets;
using DeepCurrent.Data.OralReading;
using DeepCurrent.Data.Schools;
using DeepCurrent.Data.Texts;
using DeepCurrent.Data.Tickets;
using DeepCurrent.Web.OralReading;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Tickets;

/// <param name="RightAnswer">Shown only when the ticket is handed in and the reader has answered.</param>
/// <param name="Points">Of a written answer.</param>
/// <param name="AnswerId">The last answer; null where there is none.</param>
/// <param name="Comment">What the teacher wrote to it.</param>
/// <param name="Page">Of the proof, from 0; null where the text has none.</param>
public sealed record MyResultLine(
    QuestionId QuestionId,
    string Stem,
    AttemptMark Mark,
    bool Written,
    string? MyAnswer,
    string? RightAnswer,
    string Reason,
    string? Proof,
    GivenMark? Points,
    AnswerId? AnswerId,
    string Comment,
    int? Page
)
{
    /// <summary>Which of the reason and the proof stand there at once.</summary>
    public required FeedbackShown Shown { get; init; }
}

public sealed record MyResult(
    TicketId Id,
    TaskKind Kind,
    TextId TextId,
    string Title,
    bool Talk,
    Probability? Score,
    int Right,
    int Questions,
    IReadOnlyList<MyResultLine> Lines
);

public sealed record TicketAnswer(AnswerId Id, AnswerRequest Answer);

public sealed record TicketAnswers(IReadOnlyList<TicketAnswer> Answers);

/// <param name="Code">Why it was not taken; null where it was.</param>
public sealed record TakenAnswer(AnswerId Id, string? Code, Message? Sentence);

public sealed record SpellRequest(int Page, double Seconds, DateTimeOffset StartedAt);
