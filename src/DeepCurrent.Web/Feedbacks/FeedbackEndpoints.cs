using DeepCurrent.Core.Access;
using DeepCurrent.Core.Tickets;
using DeepCurrent.Data.Assignments;
using DeepCurrent.Data.Feedbacks;
using DeepCurrent.Data.Storage;
using DeepCurrent.Data.Tickets;
using DeepCurrent.Web.Assignments;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;
using DeepCurrent.Web.Tickets;

namespace DeepCurrent.Web.Feedbacks;

public sealed record FeedbackSpell(double Seconds, DateTimeOffset StartedAt);

/// <param name="AnswerId">Whose comment it answers; null for the comment on a written task.</param>
/// <param name="Words">Empty takes it away.</param>
public sealed record CommentReplyRequest(AnswerId? AnswerId, string? Words);

public sealed record TalkedOverRequest(bool Done);

/// <summary>What becomes of feedback: readers look at it and answer, adults go through it with them.</summary>
public static class FeedbackEndpoints
{
    private const double LongestSpell = 4 * 3600;
    private const int LongestReply = 1000;

    public static void Map(RouteGroupBuilder api)
    {
        api.MapPut("/my/tickets/{ticketId:guid}/feedback/{spellId:guid}", Spend);
        api.MapGet("/my/tickets/{ticketId:guid}/comment-replies", Mine);
        api.MapPut("/my/tickets/{ticketId:guid}/comment-replies", Reply);
        api.MapGet("/tickets/{ticketId:guid}/feedback", Of);
        api.MapPost("/tickets/{ticketId:guid}/feedback/seen", Seen);
        api.MapPut("/tickets/{ticketId:guid}/talked-over/{questionId:guid}", TalkedOver);
        api.MapGet("/classes/{classId:guid}/marking/others", Waiting);
    }

    /// <summary>How long the reader had the result before them.</summary>
    private static async Task Spend(
        TicketId ticketId,
        SpellId spellId,
        FeedbackSpell request,
        Desk desk,
        ReplyStore replies,
        TicketStore tickets,
        FeedbackStore feedback
    )
    {
        await Released(ticketId, desk, replies, tickets);
        if (!(request.Seconds >= 0))
            throw Refused.Field("seconds", $"The time on a page is not valid.");
        await feedback.Spend(ticketId, spellId, Math.Min(request.Seconds, LongestSpell), desk.Given(request.StartedAt));
    }

    private static async Task<IReadOnlyList<CommentReply>> Mine(
        TicketId ticketId,
        Desk desk,
        ReplyStore replies,
        TicketStore tickets,
        FeedbackStore feedback
    )
    {
        await Released(ticketId, desk, replies, tickets);
        return await feedback.Replies(ticketId);
    }

    private static async Task<IReadOnlyList<CommentReply>> Reply(
        TicketId ticketId,
        CommentReplyRequest request,
        Desk desk,
        ReplyStore replies,
        TicketStore tickets,
        FeedbackStore feedback,
        Notices notices
    )
    {
        var classId = await Released(ticketId, desk, replies, tickets);
        var words = request.Words?.Trim() ?? "";
        new Faults().If(words.Length > LongestReply, "words", $"Use {LongestReply} letters or fewer.").Refuse();
        if (!await feedback.Reply(ticketId, request.AnswerId, words, desk.Now))
            throw Refused.NotFound();
        notices.Changed(classId);
        return await feedback.Replies(ticketId);
    }

    /// <summary>The class of a ticket of the reader's own whose result they see.</summary>
    private static async Task<ClassId> Released(TicketId ticketId, Desk desk, ReplyStore replies, TicketStore tickets)
    {
        var (state, classId) =
            await replies.Find(ticketId, desk.Self()) is { } task ? (task.State, task.ClassId)
            : await MyEndpoints.Mine(ticketId, desk, tickets) is var ticket ? (ticket.State, ticket.ClassId)
            : throw Refused.NotFound();
        return state is TicketState.Released
            ? classId
            : throw Refused.Conflict("not-released", $"The result is not ready yet.");
    }

    private static async Task<FeedbackUse> Of(
        TicketId ticketId,
        Desk desk,
        AssignmentStore assignments,
        FeedbackStore feedback
    )
    {
        await desk.Ticket(assignments, ticketId, Deed.SeeClass);
        return await feedback.Of(ticketId);
    }

    private static async Task Seen(
        TicketId ticketId,
        Desk desk,
        AssignmentStore assignments,
        FeedbackStore feedback,
        Notices notices
    )
    {
        var (placed, _) = await desk.Ticket(assignments, ticketId, Deed.Mark);
        await feedback.Seen(ticketId, desk.Now);
        notices.Changed(placed.ClassId);
    }

    private static async Task TalkedOver(
        TicketId ticketId,
        QuestionId questionId,
        TalkedOverRequest request,
        Desk desk,
        AssignmentStore assignments,
        FeedbackStore feedback
    )
    {
        await desk.Ticket(assignments, ticketId, Deed.TakeRecords);
        if (!await feedback.TalkedOver(ticketId, questionId, request.Done, desk.Who.Adult, desk.Now))
            throw Refused.NotFound();
    }

    private static async Task<IReadOnlyList<WaitingRow>> Waiting(ClassId classId, Desk desk, FeedbackStore feedback)
    {
        await desk.Class(classId, Deed.SeeClass);
        return await feedback.Waiting(classId);
    }
}
