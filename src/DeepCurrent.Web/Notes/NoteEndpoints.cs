using DeepCurrent.Core.Access;
using DeepCurrent.Data.Assignments;
using DeepCurrent.Data.Notes;
using DeepCurrent.Data.Storage;
using DeepCurrent.Data.Tickets;
using DeepCurrent.Web.Assignments;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;
using DeepCurrent.Web.Tickets;

namespace DeepCurrent.Web.Notes;

/// <param name="Page">From 0.</param>
/// <param name="Quote">The passage, as it stands in the text.</param>
/// <param name="Words">Empty where the passage is only marked.</param>
/// <param name="At">By the device's clock.</param>
public sealed record NoteRequest(int Page, string? Quote, string? Words, bool Removed, DateTimeOffset At);

/// <param name="Words">Empty takes an answer away.</param>
public sealed record NoteAnswerRequest(string? Words);

/// <summary>What readers mark and write in a text, and what their teachers answer.</summary>
public static class NoteEndpoints
{
    private const int LongestQuote = 800;
    private const int LongestWords = 2000;
    private const int MostPages = 200;

    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/my/tickets/{ticketId:guid}/notes", Mine);
        api.MapPut("/my/tickets/{ticketId:guid}/notes/{noteId:guid}", Put);
        api.MapPost("/my/notes/{noteId:guid}/seen", Seen);
        api.MapPut("/my/notes/{noteId:guid}/reply", Reply);
        api.MapGet("/tickets/{ticketId:guid}/notes", OfTicket);
        api.MapPut("/notes/{noteId:guid}/answer", Answer);
    }

    private static async Task<IReadOnlyList<Note>> Mine(
        TicketId ticketId,
        Desk desk,
        TicketStore tickets,
        NoteStore notes
    )
    {
        await MyEndpoints.Mine(ticketId, desk, tickets);
        return await notes.OfTicket(ticketId);
    }

    private static async Task<IReadOnlyList<Note>> Put(
        TicketId ticketId,
        NoteId noteId,
        NoteRequest request,
        Desk desk,
        TicketStore tickets,
        NoteStore notes,
        Notices notices
    )
    {
        var ticket = await MyEndpoints.Mine(ticketId, desk, tickets);
        var quote = request.Quote?.Trim() ?? "";
        var words = request.Words?.Trim() ?? "";
        new Faults()
            .If(request.Page is < 0 or > MostPages, "page", $"The text has no such page.")
            .If(quote.Length is 0 or > LongestQuote, "quote", $"Choose a shorter passage.")
            .If(words.Length > LongestWords, "words", $"Use {LongestWords} letters or fewer.")
            .Refuse();
        if (
            !await notes.Put(
                ticket.ReaderId,
                ticketId,
                noteId,
                (request.Page, quote, words, desk.Given(request.At), request.Removed)
            )
        )
            throw Refused.Conflict("too-many", $"A text can have {NoteStore.MostOfTicket} notes. Remove one first.");
        notices.Changed(ticket.ClassId);
        return await notes.OfTicket(ticketId);
    }

    private static async Task Seen(NoteId noteId, Desk desk, NoteStore notes)
    {
        if (!await notes.Seen(desk.Self(), noteId, desk.Now))
            throw Refused.NotFound();
    }

    /// <summary>What the reader says to the teacher's answer.</summary>
    private static async Task<IReadOnlyList<Note>> Reply(
        NoteId noteId,
        NoteAnswerRequest request,
        Desk desk,
        TicketStore tickets,
        NoteStore notes,
        Notices notices
    )
    {
        var reader = desk.Self();
        var words = request.Words?.Trim() ?? "";
        new Faults().If(words.Length > LongestWords, "words", $"Use {LongestWords} letters or fewer.").Refuse();
        var ticketId = await notes.Reply(reader, noteId, words, desk.Now) ?? throw Refused.NotFound();
        notices.Changed((await MyEndpoints.Mine(ticketId, desk, tickets)).ClassId);
        return await notes.OfTicket(ticketId);
    }

    private static async Task<IReadOnlyList<Note>> OfTicket(
        TicketId ticketId,
        Desk desk,
        AssignmentStore assignments,
        NoteStore notes
    )
    {
        await desk.Ticket(assignments, ticketId, Deed.SeeClass);
        return await notes.OfTicket(ticketId);
    }

    private static async Task<IReadOnlyList<Note>> Answer(
        NoteId noteId,
        NoteAnswerRequest request,
        Desk desk,
        AssignmentStore assignments,
        NoteStore notes,
        Notices notices
    )
    {
        var ticketId = await notes.TicketOf(noteId) ?? throw Refused.NotFound();
        var (ticket, _) = await desk.Ticket(assignments, ticketId, Deed.Mark);
        var words = request.Words?.Trim() ?? "";
        new Faults().If(words.Length > LongestWords, "words", $"Use {LongestWords} letters or fewer.").Refuse();
        await notes.Answer(noteId, words, desk.Who.Adult, desk.Now);
        notices.Changed(ticket.ClassId);
        return await notes.OfTicket(ticketId);
    }
}
