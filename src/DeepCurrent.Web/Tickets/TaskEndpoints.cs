using DeepCurrent.Core.Access;
using DeepCurrent.Core.Assignments;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Tickets;
using DeepCurrent.Data.Assignments;
using DeepCurrent.Data.Tickets;
using DeepCurrent.Web.Assignments;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Tickets;

/// <summary>A task without a text, as its reader does it.</summary>
/// <param name="Comment">Of the teacher, who sent it back; empty where it is the first round.</param>
/// <param name="Mark">0 to 3, once the teacher has released it.</param>
/// <param name="Said">What the teacher wrote to the answer, once it is released.</param>
public sealed record MyTask(
    TicketId Id,
    TaskKind Kind,
    TicketState State,
    string Title,
    string Directions,
    string Comment,
    string Prompt,
    string Url,
    IReadOnlyList<MyWord> Words,
    int AtOnce,
    WordPractice By,
    string Written,
    IReadOnlyList<PractisedWord> Practised,
    Probability? Score,
    int? Mark,
    string Said
);

/// <param name="Words">Written so far.</param>
/// <param name="Practised">Words practised so far.</param>
/// <param name="At">By the device's clock.</param>
public sealed record ReplyRequest(string? Words, IReadOnlyList<PractisedWord>? Practised, DateTimeOffset At);

/// <summary>Tasks without a text: what a reader does for them, and what a teacher sees and marks of it.</summary>
public static class TaskEndpoints
{
    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/my/tasks/{ticketId:guid}", Mine);
        api.MapPut("/my/tickets/{ticketId:guid}/reply", Keep);
        api.MapGet("/tickets/{ticketId:guid}/task", AsReader);
        api.MapPut("/tickets/{ticketId:guid}/reply/mark", Mark);
    }

    private static async Task<MyTask> Mine(TicketId ticketId, Desk desk, ReplyStore replies) =>
        View(await replies.Find(ticketId, desk.Self()) ?? throw Refused.NotFound());

    /// <summary>Keeps what the reader has done so far; it is safe to send twice.</summary>
    private static async Task<MyTask> Keep(TicketId ticketId, ReplyRequest request, Desk desk, ReplyStore replies)
    {
        var reader = desk.Self();
        var task = await replies.Find(ticketId, reader) ?? throw Refused.NotFound();
        var words = request.Words?.Trim() ?? "";
        var practised = request.Practised ?? [];
        new Faults()
            .If(words.Length > Response.LongestWords, "words", $"Use {Response.LongestWords} letters or fewer.")
            .If(words.Length > 0 && task.Kind is not TaskKind.Written, "words", $"There is nothing to write here.")
            .If(
                practised.Any(p => p is null) || !Practice.Fits(practised, task.Words),
                "practised",
                $"These are not the words of this list."
            )
            .Refuse();
        var kept = await replies.Keep(ticketId, reader, words, practised, desk.Given(request.At), desk.Now);
        return View(kept ?? throw Refused.Conflict("not-open", $"This is closed. It may be handed in already."));
    }

    /// <summary>What the reader sees, for those who teach them; looking leaves no trace.</summary>
    private static async Task<MyTask> AsReader(
        TicketId ticketId,
        Desk desk,
        AssignmentStore assignments,
        ReplyStore replies
    )
    {
        var (placed, _) = await desk.Ticket(assignments, ticketId, Deed.SeeClass);
        return View(await replies.Find(ticketId, placed.Ticket.ReaderId) ?? throw Refused.NotFound());
    }

    private static async Task<MarkedView> Mark(
        TicketId ticketId,
        MarkRequest request,
        Desk desk,
        AssignmentStore assignments,
        ReplyStore replies
    )
    {
        var (placed, _) = await desk.Ticket(assignments, ticketId, Deed.Mark);
        MarkingEndpoints.Holds(request);
        var state = await replies.Mark(
            ticketId,
            placed.Ticket.ReaderId,
            request.Mark,
            request.Comment?.Trim() ?? "",
            desk.Who.Adult,
            desk.Now
        );
        return new(state ?? throw Refused.Conflict("not-to-mark", $"No written answer to mark here."));
    }

    private static MyTask View(OpenTask task)
    {
        var released = task.State is TicketState.Released;
        return new(
            task.Id,
            task.Kind,
            task.State,
            task.Content.Title,
            task.Directions,
            task.Comment,
            task.Content.Prompt,
            task.Content.Url,
            [.. (task.Content.Words ?? []).Select(w => new MyWord(w.Text, w.Part, w.Meaning, w.Example))],
            task.Content.AtOnce,
            task.Content.By,
            task.Reply.Words,
            task.Reply.Practised,
            released ? task.Reply.Score(task.Kind) : null,
            released ? task.Reply.Mark : null,
            released ? task.Reply.Comment : ""
        );
    }
}
