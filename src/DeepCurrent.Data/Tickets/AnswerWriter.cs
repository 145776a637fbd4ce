using Dapper;
using DeepCurrent.Core.Measuring;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Tickets;
using DeepCurrent.Data.Storage;
using DeepCurrent.Data.Texts;
using Npgsql;

namespace DeepCurrent.Data.Tickets;

/// <summary>What a reader sends for one question.</summary>
/// <param name="Id">Made by the client: the same answer sent twice is kept once.</param>
/// <param name="Said">What was answered, in the quiz's own places.</param>
public sealed record NewAnswer(
    AnswerId Id,
    QuestionId QuestionId,
    Func<Question, Response> Said,
    DateTimeOffset At,
    int Milliseconds
);

/// <summary>Why an answer was not kept.</summary>
public enum AnswerOutcome
{
    Kept,
    KeptBefore,
    NoSuchQuestion,
    NoAnswer,
    NoAttemptLeft,
    NotOpen,
}

/// <param name="Outcomes">Of each answer, in the order they were sent.</param>
/// <param name="Ticket">Null where there is none such of the reader's.</param>
/// <param name="Answers">All answers of the ticket by now.</param>
public sealed record AnswersKept(
    IReadOnlyList<AnswerOutcome> Outcomes,
    OpenTicket? Ticket,
    IReadOnlyList<AnswerRow> Answers
);

/// <summary>Keeps readers' answers. Answers that come while others are being written go into the next transaction
/// together, so a school that answers at once costs few commits, and each holds its connection for
/// milliseconds.</summary>
public sealed class AnswerWriter
{
    private const int Most = 64,
        Writers = 2;

    private readonly NpgsqlDataSource db;
    private readonly TextStore texts;
    private readonly Notices notices;
    private readonly Together<Sent, AnswersKept> together;

    public AnswerWriter(NpgsqlDataSource db, TextStore texts, Notices notices)
    {
        (this.db, this.texts, this.notices) = (db, texts, notices);
        together = new(Writers, Most, Write);
    }

    private sealed record Sent(
        TicketId TicketId,
        ReaderId ReaderId,
        IReadOnlyList<NewAnswer> Answers,
        DateTimeOffset Now
    );

    /// <summary>One answer that is to be written.</summary>
    private sealed record Row(TicketId TicketId, AnswerRow Answer, bool Begins);

    /// <summary>Keeps answers to one ticket, in order. Safe to repeat; attempts beyond those allowed are
    /// refused.</summary>
    public async Task<AnswersKept> Keep(
        TicketId ticketId,
        ReaderId readerId,
        IReadOnlyList<NewAnswer> answers,
        DateTimeOffset now
    )
    {
        try
        {
            return await together.Do(new(ticketId, readerId, answers, now));
        }
        catch (PostgresException e)
            when (e.SqlState is PostgresErrorCodes.UniqueViolation or PostgresErrorCodes.ForeignKeyViolation)
        {
            return new([.. answers.Select(_ => AnswerOutcome.NoSuchQuestion)], null, []);
        }
    }

    private async Task<IReadOnlyList<AnswersKept>> Write(IReadOnlyList<Sent> sent)
    {
        await using var c = await db.OpenConnectionAsync();
        await using var t = await c.BeginTransactionAsync();
        var tickets = await TicketStore.Lock(c, t, [.. sent.Select(s => (s.TicketId, s.ReaderId))]);
        var answers = (await TicketStore.Answers(c, t, tickets.Keys)).ToDictionary(g => g.Key, g => g.ToList());
        var rows = new List<Row>();
        var done = new List<AnswersKept>();
        foreach (var s in sent)
        {
            if (!tickets.TryGetValue(s.TicketId, out var ticket) || ticket.ReaderId != s.ReaderId)
            {
                done.Add(new([.. s.Answers.Select(_ => AnswerOutcome.NotOpen)], null, []));
                continue;
            }
            if (!answers.TryGetValue(ticket.Id, out var have))
                answers[ticket.Id] = have = [];
            var outcomes = new List<AnswerOutcome>();
            foreach (var given in s.Answers)
                outcomes.Add(await Judge(c, t, ticket, have, given, s.Now, rows));
            done.Add(new(outcomes, ticket, [.. have]));
        }
        if (rows.Count > 0)
            await Insert(c, t, rows);
        await t.CommitAsync();
        foreach (var kept in done.Where(k => k.Outcomes.Contains(AnswerOutcome.Kept)))
            notices.Changed(kept.Ticket!.ClassId);
        return done;
    }

    private async Task<AnswerOutcome> Judge(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        OpenTicket ticket,
        List<AnswerRow> have,
        NewAnswer given,
        DateTimeOffset now,
        List<Row> rows
    )
    {
        if (have.Exists(a => a.Id == given.Id))
            return AnswerOutcome.KeptBefore;
        // Without a network an answer can be the first that is heard of a text.
        if (TicketLife.After(ticket.State, TicketStep.Opened) is not TicketState.UnderWay)
            return AnswerOutcome.NotOpen;
        var asked = ticket.Asked(await texts.Questions(c, t, ticket.TextId));
        if (asked.FirstOrDefault(q => q.Id == given.QuestionId && ticket.Now(q.Id)) is not { } question)
            return AnswerOutcome.NoSuchQuestion;
        var sentences = question.Rules.PicksSentences ? await TextStore.Sentences(c, t, ticket.VersionId) : [];
        var said = given.Said(question);
        if (!Scoring.Answers(question, said, sentences))
            return AnswerOutcome.NoAnswer;
        var attempts = have.Where(a => a.QuestionId == given.QuestionId && a.Round == ticket.Round)
            .OrderBy(a => a.Attempt)
            .Select(a => a.Right)
            .ToList();
        // What is written is not scored here, so there is nothing to try again.
        if (!TicketLife.MayTry(attempts, ticket.Tries(question)))
            return AnswerOutcome.NoAttemptLeft;
        var response = question.Rules.PicksSentences ? said with { Words = sentences[said.Picks[0]] } : said;
        var right = Scoring.Score(question, response, sentences, ticket.VersionLabel).Right;
        var tooFast = Answering.TooFast(question.Words, TimeSpan.FromMilliseconds(given.Milliseconds));
        var row = new AnswerRow(
            given.Id,
            given.QuestionId,
            attempts.Count + 1,
            response,
            right,
            GivenTime.After(given.At, TicketStore.LastContact(have)),
            given.Milliseconds,
            tooFast,
            null,
            "",
            now,
            ticket.Round
        );
        have.Add(row);
        rows.Add(new(ticket.Id, row, ticket.State is not TicketState.UnderWay));
        return AnswerOutcome.Kept;
    }

    private const string InsertSql = """
        insert into answer (
          id, ticket_id, question_id, round, attempt, response, correct, at, received_at, milliseconds, too_fast)
        select id, ticket_id, question_id, round, attempt, response::jsonb, correct, at, received_at, milliseconds,
          too_fast
        from unnest(
          @ids, @tickets, @questions, @rounds, @attempts, @responses, @corrects, @ats, @receiveds, @times, @tooFasts)
          x (id, ticket_id, question_id, round, attempt, response, correct, at, received_at, milliseconds, too_fast)
        """;

    private static async Task Insert(NpgsqlConnection c, NpgsqlTransaction t, List<Row> rows)
    {
        var a = rows.ConvertAll(r => r.Answer);
        await c.ExecuteAsync(
            InsertSql,
            new
            {
                ids = a.Select(x => x.Id).ToArray(),
                tickets = rows.Select(r => r.TicketId).ToArray(),
                questions = a.Select(x => x.QuestionId).ToArray(),
                rounds = a.Select(x => x.Round).ToArray(),
                attempts = a.Select(x => x.Attempt).ToArray(),
                responses = a.Select(x => Database.ToJson(x.Response)).ToArray(),
                corrects = a.Select(x => x.Correct).ToArray(),
                ats = a.Select(x => x.At.UtcDateTime).ToArray(),
                receiveds = a.Select(x => x.ReceivedAt.UtcDateTime).ToArray(),
                times = a.Select(x => x.Milliseconds).ToArray(),
                tooFasts = a.Select(x => x.TooFast).ToArray(),
            },
            t
        );
        var begun = rows.Where(r => r.Begins).DistinctBy(r => r.TicketId).ToList();
        if (begun.Count == 0)
            return;
        await c.ExecuteAsync(
            """
            update ticket k set state = @underWay, opened_at = coalesce(k.opened_at, x.at), changed_at = x.now
            from unnest(@tickets, @ats, @nows) x (id, at, now)
            where k.id = x.id and k.state <> @underWay
            """,
            new
            {
                underWay = nameof(TicketState.UnderWay),
                tickets = begun.Select(r => r.TicketId).ToArray(),
                ats = begun.Select(r => r.Answer.At.UtcDateTime).ToArray(),
                nows = begun.Select(r => r.Answer.ReceivedAt.UtcDateTime).ToArray(),
            },
            t
        );
    }
}
