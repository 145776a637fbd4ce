using Dapper;
using DeepCurrent.Core.Assignments;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Tickets;
using DeepCurrent.Data.Assignments;
using DeepCurrent.Data.Storage;
using Npgsql;

namespace DeepCurrent.Data.Tickets;

/// <summary>One written answer that several readers hand in: who can join, who wrote it, and handing it in for all.</summary>
public sealed class JointReplies(NpgsqlDataSource db)
{
    /// <summary>Those who have the same task and have not written anything: whom a reader can hand in with.</summary>
    public async Task<IReadOnlyList<(TicketId Id, ReaderId ReaderId)>> MayJoin(TicketId ticketId, ReaderId readerId) =>
        await db.All<(TicketId, ReaderId)>(
            $"""
            select k.id, k.reader_id
            from ticket mine
              join ticket k on k.task_id = mine.task_id and k.id <> mine.id and k.class_id = mine.class_id
              join task y on y.id = mine.task_id
              left join reply p on p.ticket_id = k.id and p.round = k.round
            where mine.id = @ticketId
              and mine.reader_id = @readerId
              and (y.content ->> 'together')::boolean
              and k.state = any(@open)
              and coalesce(p.words, '') = ''
            limit 200
            """,
            new
            {
                ticketId,
                readerId,
                open = TicketStates.Open,
            }
        );

    /// <summary>The readers who handed one answer in together, the one of a ticket left out.</summary>
    public async Task<IReadOnlyList<ReaderId>> WroteWith(TicketId ticketId) =>
        await db.All<ReaderId>(
            """
            select k.reader_id
            from reply mine
              join reply p on p.ticket_id <> mine.ticket_id
                and (p.written_with = mine.ticket_id
                  or p.ticket_id = mine.written_with
                  or p.written_with = mine.written_with)
              join ticket k on k.id = p.ticket_id
            where mine.ticket_id = @ticketId
            group by k.reader_id
            limit 20
            """,
            new { ticketId }
        );

    /// <summary>Hands the same answer in for those its writer named, unless they have begun one of their own.</summary>
    /// <param name="task">As it was before it was handed in; what was in already is left alone.</param>
    internal static async Task HandIn(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        OpenTask task,
        DateTimeOffset given,
        DateTimeOffset now
    )
    {
        if (task.Partners.Count == 0 || TicketLife.Done(task.State))
            return;
        foreach (var (id, readerId) in await Named(c, t, task))
        {
            var theirs = await ReplyRows.Find(c, t, id, readerId, lockRow: true);
            if (theirs is null || theirs.Reply.Begun || !TicketLife.Open(theirs.State))
                continue;
            await Write(c, t, theirs, task, given, now);
            await ReplyRows.HandIn(c, t, theirs with { State = TicketState.UnderWay, Reply = task.Reply }, given, now);
        }
    }

    private static async Task<List<(TicketId Id, ReaderId ReaderId)>> Named(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        OpenTask task
    ) =>
        (
            await c.QueryAsync<(TicketId, ReaderId)>(
                """
                select k.id, k.reader_id
                from ticket k join ticket mine on mine.task_id = k.task_id
                where mine.id = @Id and k.id = any(@partners) and k.id <> @Id
                order by k.id
                limit 10
                """,
                new { task.Id, partners = task.Partners.ToArray() },
                t
            )
        ).AsList();

    private static Task Write(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        OpenTask theirs,
        OpenTask task,
        DateTimeOffset given,
        DateTimeOffset now
    ) =>
        c.ExecuteAsync(
            """
            insert into reply (ticket_id, round, words, written_with, at, received_at)
            values (@Id, @Round, @Words, @with, @given, @now)
            on conflict (ticket_id, round) do update
            set words = excluded.words, written_with = excluded.written_with, at = excluded.at,
              received_at = excluded.received_at;
            update ticket set opened_at = coalesce(opened_at, @given) where id = @Id
            """,
            new
            {
                theirs.Id,
                theirs.Round,
                task.Reply.Words,
                with = task.Id,
                given,
                now,
            },
            t
        );

    /// <summary>The other tickets that hold the same answer, of one hand-in by several.</summary>
    internal static async Task<List<(TicketId Id, ReaderId ReaderId)>> Others(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        OpenTask task
    ) =>
        (
            await c.QueryAsync<(TicketId, ReaderId)>(
                """
                select k.id, k.reader_id
                from reply p join ticket k on k.id = p.ticket_id and k.round = p.round
                where (p.written_with = @writer or p.ticket_id = @writer) and k.id <> @Id
                order by k.id
                """,
                new { task.Id, writer = task.WrittenWith ?? task.Id },
                t
            )
        ).AsList();
}
