using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Tickets;
using DeepCurrent.Data.Schools;
using DeepCurrent.Data.Texts;
using DeepCurrent.Data.Tickets;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Tickets;

/// <summary>A choice without its secret: whether it is right stays on the server.</summary>
public sealed record MyQuestion(Guid Id, string Stem, IReadOnlyList<string> Choices, IReadOnlyList<MyAttempt> Attempts, bool MayTry);

/// <param name="Reason">Why this choice is right, or what went wrong.</param>
public sealed record MyAttempt(Guid AnswerId, int Choice, bool Correct, string Reason);

public sealed record MyWord(string Text, string Part, string Meaning, string Example);

public sealed record MyWork(Guid Id, string Title, string State, int Attempts, int Page, string Directions, double Depth, IReadOnlyList<IReadOnlyList<string>> Pages, IReadOnlyList<MyWord> Words, IReadOnlyList<MyQuestion> Questions);

/// <param name="RightChoice">Shown only when the ticket is handed in and the reader has answered.</param>
public sealed record MyResultLine(string Stem, string Mark, string? MyChoice, string? RightChoice, string Reason, string? Proof);

public sealed record MyResult(Guid Id, string Title, double Score, int Right, int Questions, IReadOnlyList<MyResultLine> Lines);

public sealed record SpellRequest(int Page, double Seconds, DateTimeOffset StartedAt);

public sealed record AnswerRequest(Guid QuestionId, int Choice, DateTimeOffset At, int Milliseconds);

/// <summary>The reader's own work. Everything here is about the reader who asks, and safe to send twice.</summary>
public static class MyEndpoints
{
    private const double LongestSpell = 4 * 3600;

    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/my/tickets", (Desk desk, TicketStore tickets) => tickets.Mine(desk.Self()));
        api.MapGet("/my/tickets/{ticketId:guid}", Work);
        api.MapPost("/my/tickets/{ticketId:guid}/open", Open);
        api.MapPut("/my/tickets/{ticketId:guid}/spells/{spellId:guid}", Spend);
        api.MapPut("/my/tickets/{ticketId:guid}/answers/{answerId:guid}", Answer);
        api.MapPost("/my/tickets/{ticketId:guid}/hand-in", HandIn);
        api.MapGet("/my/tickets/{ticketId:guid}/result", Result);
    }

    private static async Task<OpenTicket> Mine(Guid ticketId, Desk desk, TicketStore tickets) => await tickets.Find(ticketId, desk.Self()) ?? throw Refused.NotFound();

    private static async Task<MyWork> Work(Guid ticketId, Desk desk, TicketStore tickets, TextStore texts)
    {
        var ticket = await Mine(ticketId, desk, tickets);
        var body = await texts.Body(ticket.VersionId);
        var answers = (await tickets.Answers(ticketId)).ToLookup(a => a.QuestionId);
        var words = (await texts.Words(ticket.TextId)).Select(w => new MyWord(w.Text, w.Part, w.Meaning, w.Example)).ToList();
        var questions = (await texts.Questions(ticket.TextId)).Select(q => View(q, [.. answers[q.Id].OrderBy(a => a.Attempt)], ticket)).ToList();
        return new(ticket.Id, body.Title, ticket.State, ticket.Attempts, ticket.Page, ticket.Directions, body.Depth, body.Pages, words, questions);
    }

    private static MyQuestion View(Question q, IReadOnlyList<AnswerRow> answers, OpenTicket ticket) => new(q.Id, q.Stem, [.. q.Choices.Select(c => c.Text)],
        [.. answers.Select(a => new MyAttempt(a.Id, a.Choice, a.Correct, q.Choices[a.Choice].Reason))],
        ticket.State is not "released" && TicketLife.MayTry([.. answers.Select(a => a.Correct)], ticket.Attempts));

    private static async Task Open(Guid ticketId, Desk desk, TicketStore tickets) => await tickets.Open(await Mine(ticketId, desk, tickets), desk.Now);

    private static async Task Spend(Guid ticketId, Guid spellId, SpellRequest request, Desk desk, TicketStore tickets)
    {
        var ticket = await Mine(ticketId, desk, tickets);
        if (request.Page is < 0 or > 200 || !(request.Seconds >= 0)) throw Refused.Field("seconds", "This is not a time spent on a page.");
        await tickets.Spend(ticket, spellId, request.Page, Math.Min(request.Seconds, LongestSpell), request.StartedAt > desk.Now ? desk.Now : request.StartedAt);
    }

    private static async Task<MyQuestion> Answer(Guid ticketId, Guid answerId, AnswerRequest request, Desk desk, TicketStore tickets, TextStore texts)
    {
        var ticket = await Mine(ticketId, desk, tickets);
        var outcome = await tickets.Answer(ticketId, desk.Self(), new(answerId, request.QuestionId, request.Choice, request.At, Math.Clamp(request.Milliseconds, 0, 86_400_000)), desk.Now);
        switch (outcome)
        {
            case AnswerOutcome.NoSuchQuestion or AnswerOutcome.NoSuchChoice: throw Refused.NotFound();
            case AnswerOutcome.NoAttemptLeft: throw Refused.Conflict("no-attempt-left", "This question has been answered as often as it may be.");
            case AnswerOutcome.NotOpen: throw Refused.Conflict("not-open", "This text is not open for answers. It may have been handed in already.");
        }
        var question = (await texts.Questions(ticket.TextId)).First(q => q.Id == request.QuestionId);
        return View(question, [.. (await tickets.Answers(ticketId)).Where(a => a.QuestionId == question.Id).OrderBy(a => a.Attempt)], ticket);
    }

    private static async Task<MyResult> HandIn(Guid ticketId, Desk desk, TicketStore tickets, TextStore texts, SchoolStore schools)
    {
        var ticket = await Mine(ticketId, desk, tickets);
        var year = await schools.Year(ticket.SchoolYearId);
        if (await tickets.HandIn(ticketId, ticket.ReaderId, year, (await desk.School()).Chart, desk.Now) is null) throw Refused.Conflict("not-open", "This text cannot be handed in now.");
        return await Result(ticketId, desk, tickets, texts);
    }

    private static async Task<MyResult> Result(Guid ticketId, Desk desk, TicketStore tickets, TextStore texts)
    {
        var ticket = await Mine(ticketId, desk, tickets);
        if (ticket.State is not "released") throw Refused.Conflict("not-released", "The result is not ready yet.");
        var title = (await texts.Body(ticket.VersionId)).Title;
        var answers = (await tickets.Answers(ticketId)).ToLookup(a => a.QuestionId);
        var lines = (await texts.Questions(ticket.TextId)).Select(q => Line(q, [.. answers[q.Id].OrderBy(a => a.Attempt)], ticket.VersionLabel)).ToList();
        return new(ticket.Id, title, ticket.Score ?? 0, lines.Count(l => l.Mark == nameof(AttemptMark.RightAtOnce)), lines.Count, lines);
    }

    private static MyResultLine Line(Question q, IReadOnlyList<AnswerRow> attempts, string version)
    {
        var mark = TicketLife.MarkOf([.. attempts.Select(a => a.Correct)]);
        // What the reader did not answer stays unknown: it may be asked again.
        if (attempts.Count == 0) return new(q.Stem, mark.ToString(), null, null, "", null);
        var last = q.Choices[attempts[^1].Choice];
        return new(q.Stem, mark.ToString(), last.Text, q.Choices.First(c => c.Right).Text, last.Reason, q.Proof(version));
    }
}
