using Dapper;
using DeepCurrent.Core.Assignments;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Tickets;
using DeepCurrent.Data.Assignments;
using DeepCurrent.Data.Storage;
using Npgsql;

namespace DeepCurrent.Data.Tickets;

/// <summary>Marks of what was written for tasks without a text.</summary>
public sealed class ReplyMarker(NpgsqlDataSource db)
{
    /// <summary>Marks what was written, for all who handed it in together. Marking again changes the mark.</summary>
    /// <returns>The ticket's state afterwards; null where there is nothing to mark.</returns>
    public async Task<TicketState?> Mark(
        TicketId ticketId,
        ReaderId readerId,
        GivenMark mark,
        string comment,
        AdultId by,
        DateTimeOffset now
    )
    {
        await using var c = await db.OpenConnectionAsync();
        await using var t = await c.BeginTransactionAsync();
        var task = await ReplyRows.Find(c, t, ticketId, readerId, lockRow: true);
        if (task is not { Kind: TaskKind.Written, Reply.Begun: true } || !TicketLife.Done(task.State))
            return null;
        var state = await Mark(c, t, task, mark, comment, by, now);
        foreach (var (id, reader) in await JointReplies.Others(c, t, task))
        {
            var theirs = await ReplyRows.Find(c, t, id, reader, lockRow: true);
            if (theirs is not null && theirs.Reply.Words == task.Reply.Words && TicketLife.Done(theirs.State))
                await Mark(c, t, theirs, mark, comment, by, now);
        }
        await c.Tell(t, "ticket", task.ClassId);
        await t.CommitAsync();
        return state;
    }

    /// <summary>Takes the mark of what was written away again, for all who handed it in together; not once its reader has
    /// seen it.</summary>
    /// <returns>The ticket's state afterwards; null where there is no mark to take away.</returns>
    public async Task<TicketState?> Unmark(TicketId ticketId, ReaderId readerId, DateTimeOffset now)
    {
        await using var c = await db.OpenConnectionAsync();
        await using var t = await c.BeginTransactionAsync();
        var task = await ReplyRows.Find(c, t, ticketId, readerId, lockRow: true);
        if (task is not { State: TicketState.Marked, Reply.Mark: not null })
            return null;
        await Unmark(c, t, task, now);
        foreach (var (id, reader) in await JointReplies.Others(c, t, task))
            if (await ReplyRows.Find(c, t, id, reader, lockRow: true) is { State: TicketState.Marked } theirs)
                await Unmark(c, t, theirs, now);
        await c.Tell(t, "ticket", task.ClassId);
        await t.CommitAsync();
        return TicketState.ToMark;
    }

    private static async Task Unmark(NpgsqlConnection c, NpgsqlTransaction t, OpenTask task, DateTimeOffset now)
    {
        await c.ExecuteAsync(
            """
            update reply
            set mark = null, comment = '', marked_by = null, marked_at = null
            where ticket_id = @Id and round = @Round;
            update ticket set state = @toMark, changed_at = @now where id = @Id
            """,
            new
            {
                task.Id,
                task.Round,
                toMark = nameof(TicketState.ToMark),
                now,
            },
            t
        );
        await ReplyRows.Score(c, t, task.Id, task.Round, null);
    }

    private static async Task<TicketState> Mark(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        OpenTask task,
        GivenMark mark,
        string comment,
        AdultId by,
        DateTimeOffset now
    )
    {
        await c.ExecuteAsync(
            """
            update reply
            set mark = @mark::jsonb, comment = @comment, marked_by = @by, marked_at = @now
            where ticket_id = @Id and round = @Round
            """,
            new
            {
                task.Id,
                task.Round,
                mark,
                comment,
                by,
                now,
            },
            t
        );
        var state = TicketLife.After(task.State, TicketStep.Marked) ?? task.State;
        await c.ExecuteAsync(
            "update ticket set state = @state, changed_at = @now where id = @Id",
            new
            {
                task.Id,
                state = state.ToString(),
                now,
            },
            t
        );
        await ReplyRows.Score(c, t, task.Id, task.Round, (task.Reply with { Mark = mark }).Score(task.Kind));
        return state;
    }
}
