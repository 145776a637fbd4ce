using Dapper;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Schools;
using DeepCurrent.Core.Tickets;
using DeepCurrent.Data.Assignments;
using DeepCurrent.Data.Corrections;
using DeepCurrent.Data.Questions;
using DeepCurrent.Data.Schools;
using DeepCurrent.Data.Storage;
using DeepCurrent.Data.Texts;
using Npgsql;

namespace DeepCurrent.Data.Tickets;

/// <summary>A ticket whose written answers wait for a person.</summary>
public sealed record ToMarkRow(
    TicketId TicketId,
    ReaderId ReaderId,
    string GivenName,
    string FamilyName,
    string Title,
    DateTimeOffset HandedInAt,
    TicketState State,
    int Written,
    int Marked
);

/// <summary>Written answers: what waits, marks, and releasing what is marked.</summary>
public sealed class MarkingStore(NpgsqlDataSource db, TextStore texts)
{
    /// <summary>What waits in a class, oldest first.</summary>
    public async Task<IReadOnlyList<ToMarkRow>> Waiting(ClassId classId)
    {
        return await db.All<ToMarkRow>(
            $"""
            select k.id as ticket_id, k.reader_id, r.given_name, r.family_name, {TaskSql.Title} as title, k.handed_in_at,
                   k.state, (count(w.id) + count(p.ticket_id))::int as written,
                   (count(w.mark) + count(p.mark))::int as marked
            from ticket k
              join task y on y.id = k.task_id
              join reader r on r.id = k.reader_id
              left join text t on t.id = y.text_id
              left join reply p on p.ticket_id = k.id and p.round = k.round
              left join answer w on w.ticket_id = k.id
                and {TicketRounds.Counts}
                and exists (
                  select 1
                  from question q
                  where q.id = w.question_id
                    and q.kind in ({QuestionKinds.Written})
                    and q.place is null
                    and not q.retired
                    and not exists ({CorrectionStore.TakenOut}))
            where k.class_id = @classId and k.state in ({TicketStates.AtMarking})
            group by k.id, k.reader_id, r.given_name, r.family_name, {TaskSql.Title}
            order by k.handed_in_at
            limit 500
            """,
            new { classId }
        );
    }

    /// <summary>The rubric a written answer is marked by; null where there is no such answer.</summary>
    public async Task<Rubric?> RubricOf(TicketId ticketId, AnswerId answerId)
    {
        var found = await db.One<(bool Found, string? Rubric)?>(
            $"""
            select true, q.rubric::text
            from answer w join question q on q.id = w.question_id
            where w.id = @answerId and w.ticket_id = @ticketId and q.kind in ({QuestionKinds.Written})
            """,
            new { ticketId, answerId }
        );
        return found is null ? null
            : found.Value.Rubric is { } kept ? Database.FromJson<Rubric>(kept)
            : Rubric.Usual;
    }

    /// <summary>Marks one written answer. Marking again changes the mark, and with it what followed from it.</summary>
    /// <returns>The ticket's state afterwards; null if there is no written answer to mark.</returns>
    public Task<TicketState?> Mark(
        TicketId ticketId,
        ReaderId readerId,
        AnswerId answerId,
        GivenMark mark,
        string comment,
        AdultId adultId,
        YearCalendar year,
        LevelChart chart,
        DateTimeOffset now
    ) =>
        Change(
            (ticketId, readerId),
            TicketLife.Done,
            $"""
            update answer w
            set mark = @mark::jsonb, comment = @comment, correct = @right, marked_by = @adultId, marked_at = @now
            from question q
            where q.id = w.question_id
              and w.id = @answerId
              and w.ticket_id = @ticketId
              and q.kind in ({QuestionKinds.Written})
            """,
            new
            {
                answerId,
                ticketId,
                mark,
                right = mark.Right,
                comment,
                adultId,
                now,
            },
            (year, chart, now)
        );

    /// <summary>Takes a mark away again, with what followed from it; not once its reader has seen it.</summary>
    /// <returns>The ticket's state afterwards; null where there is no mark to take away.</returns>
    public Task<TicketState?> Unmark(
        TicketId ticketId,
        ReaderId readerId,
        AnswerId answerId,
        YearCalendar year,
        LevelChart chart,
        DateTimeOffset now
    ) =>
        Change(
            (ticketId, readerId),
            TicketLife.AtMarking,
            """
            with gone as (
              delete from evidence e
              using answer w
              where w.id = @answerId and w.ticket_id = @ticketId and w.mark is not null and e.id = w.id
            )
            update answer
            set mark = null, comment = '', correct = null, marked_by = null, marked_at = null
            where id = @answerId and ticket_id = @ticketId and mark is not null
            """,
            new { answerId, ticketId },
            (year, chart, now)
        );

    /// <summary>Changes a mark of a ticket by a command, and settles the ticket by what is still to be marked.</summary>
    /// <param name="may">The states in which it may be changed.</param>
    /// <returns>The ticket's state afterwards; null where the command changed nothing.</returns>
    private async Task<TicketState?> Change(
        (TicketId Ticket, ReaderId Reader) of,
        Func<TicketState, bool> may,
        string command,
        object values,
        (YearCalendar Year, LevelChart Chart, DateTimeOffset Now) at
    )
    {
        await using var c = await db.OpenConnectionAsync();
        await using var t = await c.BeginTransactionAsync();
        if (
            await TicketStore.Find(c, t, of.Ticket, of.Reader, lockRow: true) is not { } ticket
            || !may(ticket.State)
            || await c.ExecuteAsync(command, values, t) == 0
        )
            return null;
        var work = await TicketWork.Of(c, t, texts, ticket, await TicketStore.Answers(c, t, of.Ticket));
        var step = work.ToMark == 0 ? TicketStep.Marked : TicketStep.Unmarked;
        var state = TicketLife.After(ticket.State, step) ?? ticket.State;
        await work.Settle(c, t, at.Year, at.Chart, state, at.Now);
        await c.Tell(t, "ticket", ticket.ClassId);
        await t.CommitAsync();
        return state;
    }

    /// <summary>Lets the reader see the result. Doing it again changes nothing.</summary>
    /// <returns>False while something is still to be marked.</returns>
    public async Task<bool> Release(TicketId ticketId, ClassId classId, DateTimeOffset now)
    {
        await using var c = await db.OpenConnectionAsync();
        var released = await c.ExecuteAsync(
            """
            update ticket
            set state = @released, changed_at = case when state = @released then changed_at else @now end
            where id = @ticketId and (state = any(@from) or state = @released)
            """,
            new
            {
                ticketId,
                now,
                released = nameof(TicketState.Released),
                from = TicketStates.From(TicketStep.Released),
            }
        );
        await c.Tell(null, "ticket", classId);
        return released > 0;
    }
}
