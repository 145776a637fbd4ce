using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Questions.Kinds;
using DeepCurrent.Core.Tickets;
using DeepCurrent.Data.Texts;
using DeepCurrent.Data.Tickets;

namespace DeepCurrent.Web.Tickets;

/// <summary>A question as its reader sees it: whether a choice is right, and which order is, stay on the
/// server.</summary>
/// <param name="Choices">What can be chosen, put in order, or stands on the left.</param>
/// <param name="Rights">What stands on the right of a match.</param>
/// <param name="Wanted">How many choices to choose.</param>
/// <param name="After">For a question on the way: the paragraph (from 1, headings counted) it comes after.</param>
public sealed record MyQuestion(
    QuestionId Id,
    QuestionKind Kind,
    string Stem,
    IReadOnlyList<string> Choices,
    IReadOnlyList<string> Rights,
    int Wanted,
    bool Evidence,
    int? After,
    IReadOnlyList<MyAttempt> Attempts,
    bool MayTry
);

/// <param name="Picks">In the places the reader saw.</param>
/// <param name="Correct">Null until a person has marked it.</param>
/// <param name="Fitting">How many parts of it were right.</param>
/// <param name="Reason">Why this is right, or what went wrong.</param>
public sealed record MyAttempt(
    AnswerId AnswerId,
    IReadOnlyList<int> Picks,
    string Words,
    bool? Correct,
    int Fitting,
    int Of,
    string Reason
);

/// <param name="Picks">In the places the reader saw.</param>
public sealed record AnswerRequest(
    QuestionId QuestionId,
    IReadOnlyList<int>? Picks,
    string? Words,
    DateTimeOffset At,
    int Milliseconds
);

/// <summary>The questions of one ticket, translated between the places a reader sees and the places the quiz
/// keeps.</summary>
public sealed class QuestionSheet(
    OpenTicket ticket,
    IReadOnlyList<Question> questions,
    IReadOnlyList<AnswerRow> answers,
    IReadOnlyList<string> sentences
)
{
    // What was answered before the ticket came back is kept, and is not asked about; where only some questions were
    // asked again, the others stand as they were.
    private readonly ILookup<QuestionId, AnswerRow> answers = ticket
        .Counted(answers)
        .OrderBy(a => a.Attempt)
        .ToLookup(a => a.QuestionId);

    public static async Task<QuestionSheet> Of(OpenTicket ticket, TextStore texts, TicketStore tickets) =>
        await Of(ticket, texts, await tickets.Answers(ticket.Id));

    /// <param name="only">The one question that is wanted; null for all.</param>
    public static async Task<QuestionSheet> Of(
        OpenTicket ticket,
        TextStore texts,
        IReadOnlyList<AnswerRow> answers,
        QuestionId? only = null
    )
    {
        // While some are tried again, the others are not shown.
        var open = TicketLife.Open(ticket.State);
        var questions = ticket
            .Asked(await texts.Questions(ticket.TextId))
            .Where(q => (!open || ticket.Now(q.Id)) && (only is null || q.Id == only))
            .ToList();
        var sentences = questions.Exists(q => q.Rules.PicksSentences) ? await texts.Sentences(ticket.VersionId) : [];
        return new(ticket, questions, answers, sentences);
    }

    /// <summary>Something is answered in this round.</summary>
    public bool Answered { get; } = answers.Any(a => a.Round == ticket.Round);

    public IReadOnlyList<Question> Questions => questions;

    public IReadOnlyList<AnswerRow> AnswersTo(Question q) => [.. answers[q.Id]];

    public MyQuestion View(Question q)
    {
        var given = AnswersTo(q);
        var shown = Shown(ticket.Id, q);
        List<int> places = [.. shown.Places];
        return new(
            q.Id,
            q.Kind,
            q.Stem,
            shown.Choices,
            shown.Rights,
            q.Wanted,
            q.Evidence,
            q.OnTheWay ? q.Place(ticket.VersionLabel) ?? 1 : null,
            [.. given.Select(a => Attempt(q, a, places))],
            TicketLife.Open(ticket.State) && TicketLife.MayTry([.. given.Select(a => a.Right)], ticket.Tries(q))
        );
    }

    /// <summary>What was answered, in the quiz's own places.</summary>
    public static Response Kept(TicketId ticketId, Question q, AnswerRequest request)
    {
        var order = Shown(ticketId, q).Places;
        return new(
            [
                .. (request.Picks ?? [])
                    .Take(100)
                    .Select(p =>
                        order is [] ? p
                        : p >= 0 && p < order.Count ? order[p]
                        : -1
                    ),
            ],
            request.Words?.Trim() ?? ""
        );
    }

    /// <summary>The right answer in words; null where a person decides.</summary>
    public string? RightSaid(Question q) =>
        Scoring.RightOne(q, sentences, ticket.VersionLabel) is { } right ? q.Rules.Said(q, right) : null;

    /// <param name="places">For each place the reader picks from, the place the quiz keeps it in.</param>
    private MyAttempt Attempt(Question q, AnswerRow a, List<int> places)
    {
        // A question that was changed since may no longer have what was picked.
        if (!Scoring.Answers(q, a.Response, sentences))
            return new(a.Id, [], a.Response.Words, ticket.Held ? null : a.Correct, 0, 0, "");
        if (ticket.Held)
            return new(a.Id, Shown(a, places), a.Response.Words, null, 0, 0, "");
        var scored = Scoring.Score(q, a.Response, sentences, ticket.VersionLabel);
        return new(
            a.Id,
            Shown(a, places),
            a.Response.Words,
            a.Correct,
            scored.Fitting,
            scored.Of,
            a.Correct is { } c ? Scoring.Reason(q, a.Response, c) : ""
        );
    }

    /// <summary>What was picked, in the places the reader saw.</summary>
    private static IReadOnlyList<int> Shown(AnswerRow a, List<int> places) =>
        places is [] ? a.Response.Picks : [.. a.Response.Picks.Select(p => places.IndexOf(p))];

    private static Shown Shown(TicketId ticketId, Question q) => q.Rules.Shown(q, ticketId.Value);
}
