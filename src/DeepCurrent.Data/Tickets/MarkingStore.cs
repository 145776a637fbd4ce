using Dapper;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Schools;
using DeepCurrent.Core.Tickets;
using DeepCurrent.Data.Assignments;
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
                and w.round = k.round
                and exists (
                  select 1
                  from question q
                  where q.id = w.question_id
                    and q.kind in ({QuestionKinds.Written})
                    and q.place is null
                    and not q.retired)
            where k.class_id = @classId and k.state in ({TicketStates.AtMarking})
            group by k.id, k.reader_id, r.given_name, r.family_name, {TaskSql.Title}
            order by k.handed_in_at
            limit 500
            """,
            new { classId }
        );
    }

    /// <summary>Marks one written answer. Marking again changes the mark, and with it what followed from it.</summary>
    /// <returns>The ticket's state afterwards; null if there is no written answer to mark.</returns>
    public async Task<TicketState?> Mark(
        TicketId ticketId,
        ReaderId readerId,
        AnswerId answerId,
        int mark,
        string comment,
        AdultId adultId,
        YearCalendar year,
        LevelChart chart,
        DateTimeOffset now
    )
    {
        await using var c = await db.OpenConnectionAsync();
        await using var t = await c.BeginTransactionAsync();
        if (
            await TicketStore.Find(c, t, ticketId, readerId, lockRow: true) is not { } ticket
            || !TicketLife.Done(ticket.State)
        )
            return null;
        var changed = await c.ExecuteAsync(
            $"""
            update answer w
            set mark = @mark, comment = @comment, correct = @mark >= @right, marked_by = @adultId, marked_at = @now
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
                comment,
                right = Rubric.Right,
                adultId,
                now,
            },
            t
        );
        if (changed == 0)
            return null;
        var work = await TicketWork.Of(c, t, texts, ticket, await TicketStore.Answers(c, t, ticketId));
        var state = ticket.State;
        if (work.ToMark == 0)
            state = TicketLife.After(state, TicketStep.Marked) ?? state;
        await work.Settle(c, t, year, chart, state, now);
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
