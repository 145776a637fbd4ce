using DeepCurrent.Core.Access;
using DeepCurrent.Data.Assignments;
using DeepCurrent.Data.Readers;
using DeepCurrent.Data.Storage;
using DeepCurrent.Data.Talks;
using DeepCurrent.Data.Tickets;
using DeepCurrent.Web.Assignments;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Talks;

/// <summary>What a classmate wrote.</summary>
/// <param name="QuestionId">Null where it answers the prompt of a task without a text.</param>
/// <param name="Name">As the class calls them.</param>
public sealed record TalkedView(QuestionId? QuestionId, string Name, string Words);

/// <param name="Open">Readers see one another's answers.</param>
public sealed record TalkView(bool Open, IReadOnlyList<SaidAnswer> Answers);

public sealed record TalkRequest(bool Open);

/// <summary>Written answers that are open for talk: readers see one another's when they have answered; their teacher sees
/// all, and can shut it.</summary>
public static class TalkEndpoints
{
    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/my/tickets/{ticketId:guid}/talk", Mine);
        api.MapGet("/assignments/{assignmentId:guid}/talk", Of);
        api.MapPut("/assignments/{assignmentId:guid}/talk", Set);
    }

    /// <summary>What others wrote; nothing for whoever has not answered, or where there is no talk.</summary>
    private static async Task<IReadOnlyList<TalkedView>> Mine(
        TicketId ticketId,
        Desk desk,
        TicketStore tickets,
        ReplyStore replies,
        TalkStore talks,
        ClassmateNames names
    )
    {
        var reader = desk.Self();
        if (await tickets.Find(ticketId, reader) is null && await replies.Find(ticketId, reader) is null)
            throw Refused.NotFound();
        var said = await talks.ForReader(ticketId, reader);
        if (said.Count == 0)
            return [];
        var called = await names.Of(reader, await desk.Today());
        return
        [
            .. said.Select(s => new TalkedView(
                s.QuestionId,
                called.GetValueOrDefault(s.ReaderId, s.GivenName),
                s.Words
            )),
        ];
    }

    private static async Task<TalkView> Of(
        AssignmentId assignmentId,
        Desk desk,
        AssignmentStore assignments,
        TalkStore talks
    )
    {
        var (row, _) = await desk.Assignment(assignments, assignmentId, Deed.SeeClass);
        return new(row.Talk, await talks.Of(assignmentId));
    }

    private static async Task<TalkView> Set(
        AssignmentId assignmentId,
        TalkRequest request,
        Desk desk,
        AssignmentStore assignments,
        TalkStore talks,
        Notices notices
    )
    {
        var (row, _) = await desk.Assignment(assignments, assignmentId, Deed.Assign);
        await talks.Set(assignmentId, request.Open);
        notices.Changed(row.ClassId);
        return new(request.Open, await talks.Of(assignmentId));
    }
}
