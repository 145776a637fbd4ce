using Dapper;
using DeepCurrent.Core.Assignments;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Tickets;
using DeepCurrent.Data.Assignments;
using DeepCurrent.Data.Storage;
using Npgsql;

namespace DeepCurrent.Data.Tickets;

/// <summary>A reply in a round that may be over.</summary>
public sealed record RoundReply(int Round, DateTimeOffset At, Reply Reply);

/// <summary>Tasks without a text, as their readers do them: what they wrote and practised, and handing in.</summary>
public sealed class ReplyStore(NpgsqlDataSource db, Notices notices)
{
    public async Task<OpenTask?> Find(TicketId ticketId, ReaderId readerId)
    {
        await using var c = await db.OpenConnectionAsync();
        return await ReplyRows.Find(c, null, ticketId, readerId, lockRow: false);
    }

    /// <summary>Replies of a ticket in all its rounds, the latest first.</summary>
    public async Task<IReadOnlyList<RoundReply>> Of(TicketId ticketId) =>
        [
            .. (
                await db.All<ReplyFlat>(
                    """
                    select round, at, words, practised::text as practised, mark, comment
                    from reply
                    where ticket_id = @ticketId
                    order by round desc
                    limit 20
                    """,
                    new { ticketId }
                )
            ).Select(p => new RoundReply(p.Round, p.At, ReplyRows.ReplyOf(p.Words, p.Practised, p.Mark, p.Comment))),
        ];

    private sealed record ReplyFlat(
        int Round,
        DateTimeOffset At,
        string Words,
        string Practised,
        GivenMark? Mark,
        string Comment
    );

    /// <summary>Keeps what a reader has written or practised so far. What is older than what is kept changes no words,
    /// and takes no practice away.</summary>
    /// <param name="partners">Tickets of those who hand in the same answer; null where nothing is said of it.</param>
    /// <param name="at">When it was done; it may be heard of later.</param>
    /// <returns>The task as it is now; null where it is not this reader's, or can no longer be worked on.</returns>
    public async Task<OpenTask?> Keep(
        TicketId ticketId,
        ReaderId readerId,
        string words,
        IReadOnlyList<PractisedWord> practised,
        IReadOnlyList<TicketId>? partners,
        DateTimeOffset at,
        DateTimeOffset now
    )
    {
        await using var c = await db.OpenConnectionAsync();
        await using var t = await c.BeginTransactionAsync();
        var task = await ReplyRows.Find(c, t, ticketId, readerId, lockRow: true);
        if (task is null || !TicketLife.Open(task.State))
            return null;
        var joined = Practice.Joined(task.Reply.Practised, practised);
        await c.ExecuteAsync(
            """
            insert into reply (ticket_id, round, words, practised, partners, at, received_at)
            values (@Id, @Round, @words, @practised::jsonb, @partners, @at, @now)
            on conflict (ticket_id, round) do update
            set words = case when reply.at <= excluded.at then excluded.words else reply.words end,
              practised = excluded.practised,
              partners = case when reply.at <= excluded.at then excluded.partners else reply.partners end,
              at = greatest(reply.at, excluded.at), received_at = excluded.received_at
            """,
            new
            {
                task.Id,
                task.Round,
                words,
                partners = (task.Content.Together ? partners ?? task.Partners : []).ToArray(),
                practised = Database.ToJson(joined),
                at,
                now,
            },
            t
        );
        var kept = await ReplyRows.Find(c, t, ticketId, readerId, lockRow: false);
        await t.CommitAsync();
        notices.Changed(task.ClassId);
        return kept;
    }

    /// <summary>Hands a task in. Doing it again changes nothing.</summary>
    /// <param name="given">When the reader handed it in; it may be heard of later.</param>
    /// <returns>The task as it is afterwards, as it was where it cannot be handed in; null if it is not this
    /// reader's.</returns>
    public async Task<OpenTask?> HandIn(TicketId ticketId, ReaderId readerId, DateTimeOffset given, DateTimeOffset now)
    {
        await using var c = await db.OpenConnectionAsync();
        await using var t = await c.BeginTransactionAsync();
        var task = await ReplyRows.Find(c, t, ticketId, readerId, lockRow: true);
        if (task is null || task.Reply.Lacks(task.Kind, task.Words) is not null)
            return task;
        var handed = await ReplyRows.HandIn(c, t, task, given, now);
        await JointReplies.HandIn(c, t, task, given, now);
        await t.CommitAsync();
        await TicketStore.ShowExtra(c, task.SchoolYearId, task.ReaderId, now);
        notices.Changed(task.ClassId);
        return handed;
    }

    /// <summary>Hands in what is there when its last day has passed.</summary>
    /// <returns>False where nothing is there, or it is not such a task.</returns>
    public async Task<bool> Close(TicketId ticketId, ReaderId readerId, DateTimeOffset now)
    {
        await using var c = await db.OpenConnectionAsync();
        await using var t = await c.BeginTransactionAsync();
        var task = await ReplyRows.Find(c, t, ticketId, readerId, lockRow: true);
        if (task is not { State: TicketState.UnderWay, Reply.Begun: true })
            return false;
        await c.ExecuteAsync(
            "update round set closed = true where ticket_id = @Id and number = @Round",
            new { task.Id, task.Round },
            t
        );
        await ReplyRows.HandIn(c, t, task, now, now);
        await JointReplies.HandIn(c, t, task, now, now);
        await t.CommitAsync();
        notices.Changed(task.ClassId);
        return true;
    }
}
