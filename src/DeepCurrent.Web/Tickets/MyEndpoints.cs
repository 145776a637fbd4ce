using DeepCurrent.Core.Assignments;
using DeepCurrent.Core.OralReading;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Texts;
using DeepCurrent.Core.Tickets;
using DeepCurrent.Data.OralReading;
using DeepCurrent.Data.Schools;
using DeepCurrent.Data.Storage;
using DeepCurrent.Data.Texts;
using DeepCurrent.Data.Tickets;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.OralReading;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Tickets;

/// <summary>The reader's own work. Everything here is about the reader who asks, and safe to send twice.</summary>
public static class MyEndpoints
{
    private const double LongestSpell = 4 * 3600;
    private const int MostAtOnce = 200;

    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/my/tickets", (Desk desk, TicketStore tickets) => tickets.Mine(desk.Self()));
        api.MapGet("/my/tickets/{ticketId:guid}", Work);
        api.MapGet("/my/tickets/{ticketId:guid}/sound", Listen);
        api.MapPut("/my/tickets/{ticketId:guid}/recording/{recordId:guid}", Record)
            .TakesFile(RecordingEndpoints.LargestSound);
        api.MapGet("/my/tickets/{ticketId:guid}/recording", Hear);
        api.MapPost("/my/tickets/{ticketId:guid}/open", Open);
        api.MapPut("/my/tickets/{ticketId:guid}/spells/{spellId:guid}", Spend);
        api.MapPut("/my/tickets/{ticketId:guid}/answers/{answerId:guid}", Answer);
        api.MapPost("/my/tickets/{ticketId:guid}/answers", AnswerMany);
        api.MapPost("/my/tickets/{ticketId:guid}/hand-in", HandIn);
        api.MapGet("/my/tickets/{ticketId:guid}/result", Result);
    }

    internal static async Task<OpenTicket> Mine(TicketId ticketId, Desk desk, TicketStore tickets) =>
        await tickets.Find(ticketId, desk.Self()) ?? throw Refused.NotFound();

    private static async Task<MyWork> Work(TicketId ticketId, Desk desk, TicketStore tickets, WorkSheet sheets) =>
        await sheets.Of(await Mine(ticketId, desk, tickets), desk.Who.SchoolId);

    private static async Task<IResult> Listen(TicketId ticketId, Desk desk, TicketStore tickets, ReadingStore readings)
    {
        var ticket = await Mine(ticketId, desk, tickets);
        var sound = await readings.SoundOf(ticket.VersionId, desk.Who.SchoolId) ?? throw Refused.NotFound();
        return Results.File(sound.Bytes, sound.Type, enableRangeProcessing: true);
    }

    /// <summary>Keeps the reader's recording of a text that is to be read aloud; a later one takes its place until it
    /// has been marked.</summary>
    /// <param name="seconds">How long it is, as the recorder says.</param>
    private static async Task<MyRecording> Record(
        TicketId ticketId,
        RecordId recordId,
        double? seconds,
        HttpRequest request,
        Desk desk,
        TicketStore tickets,
        TextStore texts,
        RunningRecordStore records,
        RecordingStore recordings,
        IListener listener,
        Notices notices
    )
    {
        var ticket = await Mine(ticketId, desk, tickets);
        if (!ticket.Aloud && ticket.Kind is not TaskKind.Recording)
            throw Refused.Conflict("not-aloud", $"This text is not for recording.");
        var body = await texts.Body(ticket.VersionId);
        var id = await recordings.OfTicket(ticketId, ticket.ReaderId) is { Marked: false } before
            ? before.Id
            : recordId;
        if (
            !await records.Begin(
                new(
                    id,
                    ticket.ReaderId,
                    ticket.VersionId,
                    ticket.TextId,
                    ticketId,
                    null,
                    body.Title,
                    RecordSheet.Body(body.Pages),
                    ticket.VersionDepth,
                    body.Fiction,
                    desk.Now
                )
            )
        )
            throw Refused.NotFound();
        await RecordingEndpoints.KeepSound(id, ticket.ReaderId, seconds, request, recordings, listener);
        notices.Changed(ticket.ClassId);
        return (await recordings.OfTicket(ticketId, ticket.ReaderId))!;
    }

    private static async Task<IResult> Hear(
        TicketId ticketId,
        Desk desk,
        TicketStore tickets,
        RecordingStore recordings
    )
    {
        var ticket = await Mine(ticketId, desk, tickets);
        var recording = await recordings.OfTicket(ticketId, ticket.ReaderId) ?? throw Refused.NotFound();
        var sound = await recordings.SoundOf(recording.Id, ticket.ReaderId) ?? throw Refused.NotFound();
        return Results.File(sound.Bytes, sound.Type, enableRangeProcessing: true);
    }

    private static async Task Open(
        TicketId ticketId,
        DateTimeOffset? at,
        Desk desk,
        TicketStore tickets,
        ReplyStore replies
    )
    {
        var (classId, state) = await replies.Find(ticketId, desk.Self()) is { } task
            ? (task.ClassId, task.State)
            : Placed(await Mine(ticketId, desk, tickets));
        await tickets.Open(ticketId, classId, state, desk.Given(at ?? desk.Now), desk.Now);
    }

    private static (ClassId, TicketState) Placed(OpenTicket ticket) => (ticket.ClassId, ticket.State);

    private static async Task Spend(
        TicketId ticketId,
        SpellId spellId,
        SpellRequest request,
        Desk desk,
        TicketStore tickets
    )
    {
        var ticket = await Mine(ticketId, desk, tickets);
        if (request.Page is < 0 or > 200 || !(request.Seconds >= 0))
            throw Refused.Field("seconds", $"The time on a page is not valid.");
        await tickets.Spend(
            ticket,
            spellId,
            request.Page,
            Math.Min(request.Seconds, LongestSpell),
            desk.Given(request.StartedAt),
            (await desk.School()).Chart
        );
    }

    /// <returns>The question as it stands now; nothing where its text has been changed since and asks it no more. What
    /// was
    /// answered is kept all the same.</returns>
    private static async Task<MyQuestion?> Answer(
        TicketId ticketId,
        AnswerId answerId,
        AnswerRequest request,
        Desk desk,
        AnswerWriter writer,
        TextStore texts
    )
    {
        var kept = await writer.Keep(ticketId, desk.Self(), [New(ticketId, answerId, request, desk)], desk.Now);
        if (Refusal(kept, kept.Outcomes[0]) is { } refused)
            throw refused;
        var sheet = await QuestionSheet.Of(kept.Ticket!, texts, kept.Answers, only: request.QuestionId);
        return sheet.Questions is [var question] ? sheet.View(question) : null;
    }

    /// <summary>Keeps several answers to one text, in order: what a device kept while it had no network.</summary>
    private static async Task<IReadOnlyList<TakenAnswer>> AnswerMany(
        TicketId ticketId,
        TicketAnswers request,
        Desk desk,
        TicketStore tickets,
        AnswerWriter writer
    )
    {
        var ticket = await Mine(ticketId, desk, tickets);
        if (request.Answers is not { Count: > 0 and <= MostAtOnce } sent)
            throw Refused.Field("answers", $"Send 1 to {MostAtOnce} answers at once.");
        var kept = await writer.Keep(
            ticketId,
            ticket.ReaderId,
            [.. sent.Select(a => New(ticketId, a.Id, a.Answer, desk))],
            desk.Now
        );
        return
        [
            .. sent.Zip(kept.Outcomes, (a, outcome) =>
                Refusal(kept, outcome) is { } refused
                    ? new TakenAnswer(a.Id, refused.Code, refused.Said)
                    : new TakenAnswer(a.Id, null, null)
            ),
        ];
    }

    private static NewAnswer New(TicketId ticketId, AnswerId answerId, AnswerRequest request, Desk desk)
    {
        if (request.Words?.Length > Response.LongestWords)
            throw Refused.Field("words", $"Use {Response.LongestWords} letters or fewer.");
        return new(
            answerId,
            request.QuestionId,
            q => QuestionSheet.Kept(ticketId, q, request),
            desk.Given(request.At),
            Math.Clamp(request.Milliseconds, 0, 86_400_000)
        );
    }

    private static Refused? Refusal(AnswersKept kept, AnswerOutcome outcome) =>
        outcome switch
        {
            AnswerOutcome.NotOpen when kept.Ticket is null => Refused.NotFound(),
            AnswerOutcome.NoSuchQuestion => Refused.NotFound(),
            AnswerOutcome.NoAnswer => Refused.Field(
                "picks",
                $"This answer does not fit the question. Reload and try again."
            ),
            AnswerOutcome.NoAttemptLeft => Refused.Conflict("no-attempt-left", $"You have used all your tries."),
            AnswerOutcome.NotOpen => Refused.Conflict("not-open", $"This text is closed. It may be handed in already."),
            _ => null,
        };

    /// <param name="at">When it was done, by the device's clock.</param>
    /// <returns>The result; nothing while a person has to mark it first.</returns>
    private static async Task<MyResult?> HandIn(
        TicketId ticketId,
        DateTimeOffset? at,
        Desk desk,
        TicketStore tickets,
        TextStore texts,
        ReplyStore replies
    )
    {
        if (await replies.HandIn(ticketId, desk.Self(), desk.Given(at ?? desk.Now), desk.Now) is { } task)
            return TicketLife.Done(task.State) ? null : throw NotYet(task);
        var ticket = await tickets.HandIn(
            ticketId,
            desk.Self(),
            (await desk.School()).Chart,
            desk.Given(at ?? desk.Now),
            desk.Now
        ) ?? throw Refused.NotFound();
        if (!TicketLife.Done(ticket.State))
            throw Refused.Conflict("not-open", $"This text cannot be handed in now.");
        return ticket.State is TicketState.Released ? await ResultOf(ticket, tickets, texts) : null;
    }

    /// <summary>Why a task without a text is not handed in.</summary>
    private static Refused NotYet(OpenTask task) =>
        task.Reply.Lacks(task.Kind, task.Words) is { } lacks
            ? Refused.Conflict("not-done", lacks)
            : Refused.Conflict("not-open", $"This cannot be handed in now.");

    private static async Task<MyResult> Result(TicketId ticketId, Desk desk, TicketStore tickets, TextStore texts)
    {
        var ticket = await Mine(ticketId, desk, tickets);
        if (ticket.State is not TicketState.Released)
            throw Refused.Conflict("not-released", $"The result is not ready yet.");
        return await ResultOf(ticket, tickets, texts);
    }

    private static async Task<MyResult> ResultOf(OpenTicket ticket, TicketStore tickets, TextStore texts)
    {
        var body = await texts.Body(ticket.VersionId);
        var sheet = await QuestionSheet.Of(ticket, texts, tickets);
        var pages = body.Pages.Select(page => string.Join(' ', page.Select(Paragraphs.Said))).ToList();
        var lines = sheet
            .Questions.Where(q => !q.OnTheWay)
            .Select(q => Line(q, sheet, ticket.VersionLabel))
            .Select(l => l with { Page = l.Proof is { } proof ? PageOf(pages, proof) : null })
            .ToList();
        var shown = Feedback.Within(
            body.Words,
            [
                .. lines.Select(l => new FeedbackLine(
                    l.Mark,
                    WordsIn(l.Stem) + WordsIn(l.MyAnswer) + WordsIn(l.RightAnswer),
                    WordsIn(l.Reason),
                    WordsIn(l.Proof)
                )),
            ]
        );
        return new(
            ticket.Id,
            ticket.Kind,
            ticket.TextId,
            body.Title,
            ticket.Talk,
            ticket.Score,
            lines.Count(l => l.Mark is AttemptMark.RightAtOnce),
            lines.Count,
            [.. lines.Zip(shown, (l, s) => l with { Shown = s })]
        );
    }

    private static int WordsIn(string? said) =>
        said?.Split((char[]?)null, StringSplitOptions.RemoveEmptyEntries).Length ?? 0;

    private static int? PageOf(List<string> pages, string proof)
    {
        var bare = proof.Trim('"', '“', '”', ' ');
        var at = pages.FindIndex(p => p.Contains(bare, StringComparison.Ordinal));
        return at < 0 ? null : at;
    }

    private static readonly FeedbackShown Nothing = new(Reason: false, Proof: false);

    private static MyResultLine Line(Question q, QuestionSheet sheet, string version)
    {
        var attempts = sheet.AnswersTo(q);
        var mark = TicketLife.MarkOf([.. attempts.Select(a => a.Right)]);
        // What the reader did not answer stays unknown: it may be asked again.
        if (attempts.Count == 0)
            return new(q.Id, q.Stem, mark, q.Written, null, null, "", null, null, null, "", null) { Shown = Nothing };
        var last = attempts[^1];
        return new(
            q.Id,
            q.Stem,
            mark,
            q.Written,
            q.Rules.Said(q, last.Response),
            sheet.RightSaid(q),
            sheet.View(q).Attempts[^1].Reason,
            q.Proof(version) is { } proof ? Paragraphs.Said(proof) : null,
            last.Mark,
            last.Id,
            last.Comment,
            null
        )
        {
            Shown = Nothing,
        };
    }
}
