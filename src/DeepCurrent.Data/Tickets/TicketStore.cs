using Dapper;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Measuring;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Tickets;
using DeepCurrent.Data.Measuring;
using DeepCurrent.Data.Schools;
using DeepCurrent.Data.Texts;
using Npgsql;

namespace DeepCurrent.Data.Tickets;

/// <summary>A ticket as its reader sees it in a list.</summary>
public sealed record MyTicket(Guid Id, string Title, string Blurb, int Words, int Pages, int Page, int Questions, int Answered, string State, DateOnly? DueOn, string Directions, double? Score, DateTimeOffset? HandedInAt);

/// <summary>One ticket, ready to be worked on.</summary>
public sealed record OpenTicket(Guid Id, Guid ReaderId, Guid TextId, Guid VersionId, string State, int Attempts, int Page, double? Score, string Directions, Guid ClassId, Guid SchoolYearId, double VersionDepth, string VersionLabel);

public sealed record AnswerRow(Guid Id, Guid QuestionId, int Attempt, int Choice, bool Correct, DateTimeOffset At, int Milliseconds, bool Rushed);

/// <summary>What a reader sends for one question.</summary>
/// <param name="Id">Made by the client: the same answer sent twice is kept once.</param>
public sealed record NewAnswer(Guid Id, Guid QuestionId, int Choice, DateTimeOffset At, int Milliseconds);

/// <summary>Why an answer was not kept.</summary>
public enum AnswerOutcome { Kept, KeptBefore, NoSuchQuestion, NoSuchChoice, NoAttemptLeft, NotOpen }

/// <summary>The reader's side: their tickets, the time they spend, their answers, handing in.</summary>
public sealed class TicketStore(NpgsqlDataSource db, TextStore texts)
{
    public async Task<IReadOnlyList<MyTicket>> Mine(Guid readerId)
    {
        await using var c = await db.OpenConnectionAsync();
        return (await c.QueryAsync<MyTicket>("""
            select k.id, t.title, t.blurb, v.words, jsonb_array_length(v.pages) as pages, k.page,
                   (select count(*)::int from question q where q.text_id = t.id) as questions,
                   (select count(distinct w.question_id)::int from answer w where w.ticket_id = k.id) as answered,
                   k.state, a.due_on, a.directions, k.score, k.handed_in_at
            from ticket k join assignment a on a.id = k.assignment_id join text t on t.id = a.text_id join version v on v.id = k.version_id
            where k.reader_id = @readerId and k.state not in ('planned', 'withdrawn')
            order by k.handed_in_at desc nulls first, a.due_on nulls last, a.assigned_at
            limit 200
            """, new { readerId })).ToList();
    }

    public async Task<OpenTicket?> Find(Guid ticketId, Guid readerId)
    {
        await using var c = await db.OpenConnectionAsync();
        return await Find(c, null, ticketId, readerId, lockRow: false);
    }

    private static Task<OpenTicket?> Find(NpgsqlConnection c, NpgsqlTransaction? t, Guid ticketId, Guid readerId, bool lockRow) => c.QuerySingleOrDefaultAsync<OpenTicket>("""
        select k.id, k.reader_id, a.text_id, k.version_id, k.state, a.attempts, k.page, k.score, a.directions, a.class_id, c.school_year_id, v.depth as version_depth, v.label as version_label
        from ticket k join assignment a on a.id = k.assignment_id join class c on c.id = a.class_id join version v on v.id = k.version_id
        where k.id = @ticketId and k.reader_id = @readerId and k.state not in ('planned', 'withdrawn')
        """ + (lockRow ? " for update of k" : ""), new { ticketId, readerId }, t)!;

    public async Task<IReadOnlyList<AnswerRow>> Answers(Guid ticketId)
    {
        await using var c = await db.OpenConnectionAsync();
        return await Answers(c, null, ticketId);
    }

    private static async Task<IReadOnlyList<AnswerRow>> Answers(NpgsqlConnection c, NpgsqlTransaction? t, Guid ticketId) => (await c.QueryAsync<AnswerRow>(
        "select id, question_id, attempt, choice, correct, at, milliseconds, rushed from answer where ticket_id = @ticketId order by at, attempt limit 200", new { ticketId }, t)).ToList();

    public async Task Open(OpenTicket ticket, DateTimeOffset now)
    {
        if (TicketLife.After(TicketLife.Parse(ticket.State), TicketStep.Opened) is not { } next) return;
        await using var c = await db.OpenConnectionAsync();
        await c.ExecuteAsync("""
            update ticket set state = @state, opened_at = coalesce(opened_at, @now), changed_at = @now where id = @Id and state in ('waiting', 'sent back');
            select pg_notify('ticket', @class)
            """, new { ticket.Id, state = TicketLife.Name(next), now, @class = ticket.ClassId.ToString() });
    }

    /// <summary>Keeps how long a page was open. The spell's id is the client's: sending it again with more seconds lengthens it, never adds a second one.</summary>
    public async Task Spend(OpenTicket ticket, Guid spellId, int page, double seconds, DateTimeOffset startedAt)
    {
        await using var c = await db.OpenConnectionAsync();
        await c.ExecuteAsync("""
            insert into spell (id, ticket_id, page, seconds, started_at) values (@spellId, @Id, @page, @seconds, @startedAt)
            on conflict (id) do update set seconds = greatest(spell.seconds, excluded.seconds) where spell.ticket_id = excluded.ticket_id;
            update ticket set page = greatest(page, @page) where id = @Id and handed_in_at is null
            """, new { spellId, ticket.Id, page, seconds, startedAt });
    }

    /// <summary>Keeps one answer. Safe to repeat; attempts beyond those allowed are refused.</summary>
    public async Task<AnswerOutcome> Answer(Guid ticketId, Guid readerId, NewAnswer given, DateTimeOffset now)
    {
        await using var c = await db.OpenConnectionAsync();
        await using var t = await c.BeginTransactionAsync();
        var ticket = await Find(c, t, ticketId, readerId, lockRow: true);
        if (ticket is null) return AnswerOutcome.NotOpen;
        var answers = await Answers(c, t, ticketId);
        if (answers.Any(a => a.Id == given.Id)) return AnswerOutcome.KeptBefore;
        if (ticket.State is not "under way") return AnswerOutcome.NotOpen;
        if ((await texts.Questions(ticket.TextId)).FirstOrDefault(q => q.Id == given.QuestionId) is not { } question) return AnswerOutcome.NoSuchQuestion;
        if (given.Choice < 0 || given.Choice >= question.Choices.Count) return AnswerOutcome.NoSuchChoice;
        var attempts = answers.Where(a => a.QuestionId == given.QuestionId).OrderBy(a => a.Attempt).Select(a => a.Correct).ToList();
        if (!TicketLife.MayTry(attempts, ticket.Attempts)) return AnswerOutcome.NoAttemptLeft;
        var at = given.At > now ? now : given.At < now.AddDays(-30) ? now : given.At;
        await c.ExecuteAsync("""
            insert into answer (id, ticket_id, question_id, attempt, choice, correct, at, milliseconds, rushed)
            values (@Id, @ticketId, @QuestionId, @attempt, @Choice, @correct, @at, @Milliseconds, @rushed)
            """, new
        {
            given.Id, ticketId, given.QuestionId, attempt = attempts.Count + 1, given.Choice, correct = question.Choices[given.Choice].Right, at, given.Milliseconds,
            rushed = Answering.Rushed(question.Words, TimeSpan.FromMilliseconds(given.Milliseconds)),
        }, t);
        await c.ExecuteAsync("select pg_notify('ticket', @class)", new { @class = ticket.ClassId.ToString() }, t);
        await t.CommitAsync();
        return AnswerOutcome.Kept;
    }

    /// <summary>Hands a ticket in: scores it, turns first attempts into evidence, moves the reader's depth. Doing it again changes nothing.</summary>
    /// <returns>The ticket's state afterwards, or null if it cannot be handed in.</returns>
    public async Task<string?> HandIn(Guid ticketId, Guid readerId, YearCalendar year, LevelChart chart, DateTimeOffset now)
    {
        await using var c = await db.OpenConnectionAsync();
        await using var t = await c.BeginTransactionAsync();
        var ticket = await Find(c, t, ticketId, readerId, lockRow: true);
        if (ticket is null) return null;
        if (ticket.State is "released") return ticket.State;
        if (TicketLife.After(TicketLife.Parse(ticket.State), TicketStep.HandedIn) is not { } handedIn) return null;
        var done = TicketLife.After(handedIn, TicketStep.ScoredWhole)!.Value;
        var questions = await texts.Questions(ticket.TextId);
        var answers = await Answers(c, t, ticketId);
        var marks = questions.Select(q => TicketLife.MarkOf([.. answers.Where(a => a.QuestionId == q.Id).OrderBy(a => a.Attempt).Select(a => a.Correct)])).ToList();
        var before = (await DepthKeeper.Trail(c, t, readerId, year, chart, now)).Now;
        // A question that was taken out of the quiz meanwhile says nothing any more.
        var asked = questions.ToDictionary(q => q.Id);
        await DepthKeeper.Insert(c, t, readerId, [.. answers.Where(a => a.Attempt == 1 && asked.ContainsKey(a.QuestionId)).Select(a => Piece(a, asked[a.QuestionId], ticket))], null);
        var after = await DepthKeeper.Recompute(c, t, readerId, year, chart, now);
        await c.ExecuteAsync("""
            update ticket set state = @state, handed_in_at = @now, changed_at = @now, score = @score, before_mean = @bm, before_sd = @bs, after_mean = @am, after_sd = @asd where id = @ticketId;
            select pg_notify('ticket', @class)
            """, new { ticketId, state = TicketLife.Name(done), now, score = TicketLife.Score(marks), bm = before.Mean, bs = before.Sd, am = after.Mean, asd = after.Sd, @class = ticket.ClassId.ToString() }, t);
        await t.CommitAsync();
        return TicketLife.Name(done);
    }

    private static EvidenceRow Piece(AnswerRow a, Question q, OpenTicket ticket) => new(a.Id, a.At, "answer", q.Difficulty(new(ticket.VersionDepth)).Value, QuestionDifficulty.Guess(q.Choices.Count),
        a.Correct, null, null, null, null, null, q.Strand.ToString(), ticket.Id, a.Rushed ? "rushed" : null, "");
}
