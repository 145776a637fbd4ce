using Dapper;
using DeepCurrent.Core.Assignments;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Tickets;
using DeepCurrent.Data.Assignments;
using DeepCurrent.Data.Storage;
using Npgsql;

namespace DeepCurrent.Data.Tickets;

/// <summary>A ticket of a task without a text, ready to be worked on.</summary>
public sealed record OpenTask
{
    public required TicketId Id { get; init; }

    public required ReaderId ReaderId { get; init; }

    public required ClassId ClassId { get; init; }

    public required YearId SchoolYearId { get; init; }

    public required TaskKind Kind { get; init; }

    public required TaskContent Content { get; init; }

    public required TicketState State { get; init; }

    public required ResultsShown Results { get; init; }

    public required string Directions { get; init; }

    /// <summary>Of the teacher, who sent it back; empty where it is the first round.</summary>
    public required string Comment { get; init; }

    public required int Round { get; init; }

    public required Reply Reply { get; init; }

    /// <summary>Words of its list.</summary>
    public int Words => Content.Words?.Count ?? 0;
}

/// <summary>A reply in a round that may be over.</summary>
public sealed record RoundReply(int Round, DateTimeOffset At, Reply Reply);

/// <summary>Tasks without a text, as their readers do them: what they wrote and practised, handing in, marks.</summary>
public sealed class ReplyStore(NpgsqlDataSource db, Notices notices)
{
    private static readonly string OpenSql = $"""
        select k.id, k.reader_id, k.class_id, c.school_year_id, y.kind, y.content::text as content,
          {TaskSql.AtOnce} as at_once, {TaskSql.By} as "by", k.state,
          a.results, a.directions, coalesce(d.comment, '') as comment, k.round, p.words, p.practised::text as practised, p.mark,
          p.comment as said
        from ticket k
          join assignment a on a.id = k.assignment_id
          join task y on y.id = k.task_id
          join class c on c.id = k.class_id
          left join round d on d.ticket_id = k.id and d.number = k.round
          left join reply p on p.ticket_id = k.id and p.round = k.round
        where k.state in ({TicketStates.Seen}) and y.content is not null
        """;

    private sealed record Flat(
        TicketId Id,
        ReaderId ReaderId,
        ClassId ClassId,
        YearId SchoolYearId,
        TaskKind Kind,
        string Content,
        int? AtOnce,
        WordPractice? By,
        TicketState State,
        ResultsShown Results,
        string Directions,
        string Comment,
        int Round,
        string? Words,
        string? Practised,
        int? Mark,
        string? Said
    )
    {
        public OpenTask Task()
        {
            var given = Database.FromJson<TaskContent>(Content);
            return new()
            {
                Id = Id,
                ReaderId = ReaderId,
                ClassId = ClassId,
                SchoolYearId = SchoolYearId,
                Kind = Kind,
                Content = given with { AtOnce = AtOnce ?? given.AtOnce, By = By ?? given.By },
                State = State,
                Results = Results,
                Directions = Directions,
                Comment = Comment,
                Round = Round,
                Reply = Words is null ? Reply.None : ReplyOf(Words, Practised!, Mark, Said!),
            };
        }
    }

    private static Reply ReplyOf(string words, string practised, int? mark, string comment) =>
        new(words, Database.FromJson<List<PractisedWord>>(practised), mark, comment);

    public async Task<OpenTask?> Find(TicketId ticketId, ReaderId readerId)
    {
        await using var c = await db.OpenConnectionAsync();
        return await Find(c, null, ticketId, readerId, lockRow: false);
    }

    private static async Task<OpenTask?> Find(
        NpgsqlConnection c,
        NpgsqlTransaction? t,
        TicketId ticketId,
        ReaderId readerId,
        bool lockRow
    ) =>
        (
            await c.QuerySingleOrDefaultAsync<Flat>(
                $"{OpenSql} and k.id = @ticketId and k.reader_id = @readerId {(lockRow ? "for update of k" : "")}",
                new { ticketId, readerId },
                t
            )
        )?.Task();

    /// <summary>Replies of a ticket in all its rounds, the latest first.</summary>
    public async Task<IReadOnlyList<RoundReply>> Of(TicketId ticketId) =>
        [
            .. (
                await db.All<(int Round, DateTimeOffset At, string Words, string Practised, int? Mark, string Comment)>(
                    """
                    select round, at, words, practised::text, mark, comment
                    from reply
                    where ticket_id = @ticketId
                    order by round desc
                    limit 20
                    """,
                    new { ticketId }
                )
            ).Select(p => new RoundReply(p.Round, p.At, ReplyOf(p.Words, p.Practised, p.Mark, p.Comment))),
        ];

    /// <summary>Keeps what a reader has written or practised so far. What is older than what is kept changes no words,
    /// and takes no practice away.</summary>
    /// <param name="at">When it was done; it may be heard of later.</param>
    /// <returns>The task as it is now; null where it is not this reader's, or can no longer be worked on.</returns>
    public async Task<OpenTask?> Keep(
        TicketId ticketId,
        ReaderId readerId,
        string words,
        IReadOnlyList<PractisedWord> practised,
        DateTimeOffset at,
        DateTimeOffset now
    )
    {
        await using var c = await db.OpenConnectionAsync();
        await using var t = await c.BeginTransactionAsync();
        var task = await Find(c, t, ticketId, readerId, lockRow: true);
        if (task is null || !TicketLife.Open(task.State))
            return null;
        var joined = Practice.Joined(task.Reply.Practised, practised);
        await c.ExecuteAsync(
            """
            insert into reply (ticket_id, round, words, practised, at, received_at)
            values (@Id, @Round, @words, @practised::jsonb, @at, @now)
            on conflict (ticket_id, round) do update
            set words = case when reply.at <= excluded.at then excluded.words else reply.words end,
              practised = excluded.practised, at = greatest(reply.at, excluded.at), received_at = excluded.received_at
            """,
            new
            {
                task.Id,
                task.Round,
                words,
                practised = Database.ToJson(joined),
                at,
                now,
            },
            t
        );
        var kept = await Find(c, t, ticketId, readerId, lockRow: false);
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
        var task = await Find(c, t, ticketId, readerId, lockRow: true);
        if (task is null || task.Reply.Lacks(task.Kind, task.Words) is not null)
            return task;
        var handed = await HandIn(c, t, task, given, now);
        await t.CommitAsync();
        await TicketStore.ShowExtra(c, task.SchoolYearId, task.ReaderId, now);
        notices.Changed(task.ClassId);
        return handed;
    }

    private static async Task<OpenTask> HandIn(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        OpenTask task,
        DateTimeOffset given,
        DateTimeOffset now
    )
    {
        if (TicketLife.Done(task.State) || TicketLife.After(task.State, TicketStep.HandedIn) is not { } handedIn)
            return task;
        var step = TicketLife.AfterHandingIn(task.Kind is TaskKind.Written, task.Results);
        var state = TicketLife.After(handedIn, step)!.Value;
        await c.ExecuteAsync(
            """
            update ticket
            set state = @state, handed_in_at = coalesce(handed_in_at, @given), received_at = coalesce(received_at, @now),
              changed_at = @now
            where id = @Id;
            update round
            set handed_in_at = coalesce(handed_in_at, @given)
            where ticket_id = @Id and number = @Round
            """,
            new
            {
                task.Id,
                task.Round,
                state = state.ToString(),
                given,
                now,
            },
            t
        );
        await Score(c, t, task.Id, task.Round, task.Reply.Score(task.Kind));
        return task with { State = state };
    }

    /// <summary>The ticket's own score is that of the first round.</summary>
    private static Task Score(NpgsqlConnection c, NpgsqlTransaction t, TicketId id, int round, Probability? score) =>
        c.ExecuteAsync(
            """
            update ticket set score = @score where id = @id and round = 1;
            update round set score = @score where ticket_id = @id and number = @round
            """,
            new
            {
                id,
                round,
                score,
            },
            t
        );

    /// <summary>Marks what was written. Marking again changes the mark.</summary>
    /// <returns>The ticket's state afterwards; null where there is nothing to mark.</returns>
    public async Task<TicketState?> Mark(
        TicketId ticketId,
        ReaderId readerId,
        int mark,
        string comment,
        AdultId by,
        DateTimeOffset now
    )
    {
        await using var c = await db.OpenConnectionAsync();
        await using var t = await c.BeginTransactionAsync();
        var task = await Find(c, t, ticketId, readerId, lockRow: true);
        if (task is not { Kind: TaskKind.Written, Reply.Begun: true } || !TicketLife.Done(task.State))
            return null;
        await c.ExecuteAsync(
            """
            update reply
            set mark = @mark, comment = @comment, marked_by = @by, marked_at = @now
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
        await Score(c, t, task.Id, task.Round, (task.Reply with { Mark = mark }).Score(task.Kind));
        await c.Tell(t, "ticket", task.ClassId);
        await t.CommitAsync();
        return state;
    }

    /// <summary>Hands in what is there when its last day has passed.</summary>
    /// <returns>False where nothing is there, or it is not such a task.</returns>
    public async Task<bool> Close(TicketId ticketId, ReaderId readerId, DateTimeOffset now)
    {
        await using var c = await db.OpenConnectionAsync();
        await using var t = await c.BeginTransactionAsync();
        var task = await Find(c, t, ticketId, readerId, lockRow: true);
        if (task is not { State: TicketState.UnderWay, Reply.Begun: true })
            return false;
        await c.ExecuteAsync(
            "update round set closed = true where ticket_id = @Id and number = @Round",
            new { task.Id, task.Round },
            t
        );
        await HandIn(c, t, task, now, now);
        await t.CommitAsync();
        notices.Changed(task.ClassId);
        return true;
    }
}
