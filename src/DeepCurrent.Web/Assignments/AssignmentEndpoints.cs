using DeepCurrent.Core.Access;
using DeepCurrent.Core.Assignments;
using DeepCurrent.Core.Changes;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Schools;
using DeepCurrent.Core.Tickets;
using DeepCurrent.Data.Assignments;
using DeepCurrent.Data.Changes;
using DeepCurrent.Data.Readers;
using DeepCurrent.Data.Schools;
using DeepCurrent.Data.Texts;
using DeepCurrent.Data.Tickets;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;
using DeepCurrent.Web.Tickets;

namespace DeepCurrent.Web.Assignments;

/// <param name="Correct">Null for a written answer that nobody has marked.</param>
/// <param name="Mark">Of a written answer; null where nobody has marked it.</param>
public sealed record TryView(
    AnswerId Id,
    IReadOnlyList<int> Picks,
    string Words,
    bool? Correct,
    GivenMark? Mark,
    string Comment
);

public sealed record AnswerView(QuestionId QuestionId, IReadOnlyList<TryView> Tries, AttemptMark Mark, bool TooFast);

/// <param name="Late">Answers given before the text was due and heard of after it.</param>
/// <param name="SetAside">What the reader did and could not be taken.</param>
/// <param name="Content">What the task is about where that is no text.</param>
/// <param name="Replies">What the reader did for it, the latest round first.</param>
public sealed record TicketView(
    TicketRow Ticket,
    ClassId ClassId,
    TaskKind Kind,
    TaskContent? Content,
    IReadOnlyList<RoundReply> Replies,
    TextId? TextId,
    string Title,
    bool MayMark,
    IReadOnlyList<Texts.QuestionView> Questions,
    IReadOnlyList<AnswerView> Answers,
    int Late,
    IReadOnlyList<SetAsideView> SetAside
);

/// <param name="Together">What was given in the same act in the class, without itself.</param>
public sealed record AssignmentView(
    AssignmentRow Assignment,
    IReadOnlyList<TicketRow> Tickets,
    IReadOnlyList<AssignmentRow> Together
);

/// <summary>What was given to a class's readers, and what became of it.</summary>
public static class AssignmentEndpoints
{
    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/classes/{classId:guid}/assignments", All);
        api.MapGet("/assignments/{assignmentId:guid}", View);
        api.MapGet("/tickets/{ticketId:guid}", Ticket);
    }

    /// <param name="q">Part of the title or the heading.</param>
    /// <param name="from">How many to leave out first.</param>
    private static async Task<AssignmentPage> All(
        ClassId classId,
        string? q,
        AssignmentsShown? shown,
        AssignmentsOrder? order,
        int? from,
        Desk desk,
        AssignmentPages pages
    )
    {
        await desk.Class(classId, Deed.SeeClass);
        return await pages.Of(
            classId,
            new(
                q?.Trim() ?? "",
                shown ?? AssignmentsShown.Everything,
                order ?? AssignmentsOrder.Latest,
                Math.Max(0, from ?? 0)
            )
        );
    }

    private static async Task<AssignmentView> View(AssignmentId assignmentId, Desk desk, AssignmentStore assignments)
    {
        var (assignment, _) = await desk.Assignment(assignments, assignmentId, Deed.SeeClass);
        return new(assignment, await assignments.Tickets(assignmentId), await assignments.Together(assignment));
    }

    private static async Task<TicketView> Ticket(
        TicketId ticketId,
        Desk desk,
        AssignmentStore assignments,
        TextStore texts,
        TicketStore tickets,
        ReplyStore replies,
        SetAsideStore aside
    )
    {
        var (placed, place) = await desk.Ticket(assignments, ticketId, Deed.SeeClass);
        var given = await tickets.Answers(ticketId);
        var answers = given.ToLookup(a => a.QuestionId);
        DateTimeOffset? end = placed.DueOn is { } last ? (await desk.Clock()).End(last) : null;
        // Questions on the way are shown where they were answered; the quiz is shown whole.
        var ticket = await tickets.Find(ticketId, placed.Ticket.ReaderId);
        var asked = placed.TextId is { } textId ? await texts.Questions(textId) : [];
        var now = ticket?.Asked(asked) ?? asked;
        var questions = now.Concat(asked.ExceptBy(now.Select(q => q.Id), q => q.Id))
            .Where(q => answers[q.Id].Any() || (!q.OnTheWay && now.Contains(q)))
            .OrderBy(q => q.Position)
            .ToList();
        var mayMark = desk.May(Deed.Mark, place);
        return new(
            placed.Ticket,
            placed.ClassId,
            placed.Kind,
            placed.Content,
            placed.Content is null ? [] : await replies.Of(ticketId),
            placed.TextId,
            placed.Title,
            mayMark,
            [.. questions.Select(Texts.QuestionView.Of)],
            [.. questions.Select(q => Shown(q, [.. answers[q.Id].OrderBy(a => a.Attempt)]))],
            given.Count(a => GivenTime.Late(a.At, a.ReceivedAt, end)),
            [.. (await aside.Of(ticketId.Value)).Select(SetAsideView.Of)]
        );
    }

    private static AnswerView Shown(Question q, IReadOnlyList<AnswerRow> attempts) =>
        new(
            q.Id,
            [
                .. attempts.Select(a => new TryView(
                    a.Id,
                    a.Response.Picks,
                    a.Response.Words,
                    a.Correct,
                    a.Mark,
                    a.Comment
                )),
            ],
            TicketLife.MarkOf([.. attempts.Select(a => a.Right)]),
            attempts.Count > 0 && attempts[0].TooFast
        );
}
