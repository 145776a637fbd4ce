using Dapper;
using DeepCurrent.Core.Assignments;
using DeepCurrent.Core.Tickets;
using DeepCurrent.Data.Storage;
using Npgsql;

namespace DeepCurrent.Data.Tickets;

/// <summary>A ticket that a teacher moved on, and what is needed to move it back.</summary>
/// <param name="Was">The round before the step.</param>
/// <param name="Round">The round after it.</param>
public sealed record TicketMoved(TicketId Id, ReaderId ReaderId, TicketState From, TicketState To, int Was, int Round);

/// <summary>A step that somebody takes with tickets.</summary>
/// <param name="By">Null where nobody did: its last day passed.</param>
/// <param name="Today">The school's.</param>
/// <param name="Comment">To the readers, of a round that begins with it.</param>
/// <param name="Only">Questions asked in the round that begins, by ticket; null for all. Tickets without any are left
/// as they are.</param>
public sealed record TicketAct(
    TicketStep Step,
    AdultId? By,
    DateTimeOffset At,
    DateOnly Today,
    string Comment = "",
    IReadOnlyDictionary<TicketId, IReadOnlyList<QuestionId>>? Only = null
);

/// <summary>What teachers do with tickets that are out: take back, bring back, send back, give again. Each stands in the
/// transaction that lists it.</summary>
public static class TicketMover
{
    /// <summary>Kinds of tasks in which there is nothing for a person to mark.</summary>
    private static readonly string[] Unmarked =
    [
        nameof(TaskKind.Recording),
        nameof(TaskKind.Words),
        nameof(TaskKind.Link),
    ];

    private const string ToMoveSql = """
        select k.id, k.reader_id, k.state, k.round, d.last, d.done,
          k.score is not null or y.kind = any(@unmarked) as marked, a.visible_from,
          coalesce(a.turn > 0, false) or a.need = @extra as in_line
        from ticket k
          join assignment a on a.id = k.assignment_id
          join task y on y.id = k.task_id
          join lateral (
            select max(number) as last, max(number) filter (where handed_in_at is not null) as done
            from round
            where ticket_id = k.id) d on true
        where k.id = any(@ids) and k.class_id = @classId
        order by k.id
        for update of k
        """;

    /// <summary>Takes a step with those tickets of a class whose life allows it; the others stay as they are.</summary>
    public static async Task<IReadOnlyList<TicketMoved>> Move(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        IReadOnlyCollection<TicketId> ids,
        ClassId classId,
        TicketAct act
    )
    {
        if (act.Only is { } only)
            ids = [.. ids.Where(id => only.GetValueOrDefault(id) is { Count: > 0 })];
        var moved = (
            await c.QueryAsync<Row>(
                ToMoveSql,
                new
                {
                    ids = ids.ToArray(),
                    classId,
                    unmarked = Unmarked,
                    extra = nameof(Need.Extra),
                },
                t
            )
        ).Select(k => k.Moved(act)).OfType<TicketMoved>().ToList();
        if (moved.Count == 0)
            return moved;
        await Put(c, t, [.. moved.Select(m => (m.Id, m.To, m.Round))], act.At);
        await Begin(c, t, moved, act);
        await c.Tell(t, "ticket", classId);
        return moved;
    }

    /// <summary>Begins a round where the step begins one, with the questions that are asked in it.</summary>
    private static async Task Begin(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        IReadOnlyList<TicketMoved> moved,
        TicketAct act
    )
    {
        if (TicketLife.Begun(act.Step) is { } how)
            await c.ExecuteAsync(
                """
                insert into round (ticket_id, number, begun, begun_at, begun_by, comment)
                select id, number, @how, @At, @By, @Comment
                from unnest(@ids, @rounds) x (id, number)
                """,
                new
                {
                    how = how.ToString(),
                    act.At,
                    act.By,
                    act.Comment,
                    ids = moved.Select(m => m.Id).ToArray(),
                    rounds = moved.Select(m => m.Round).ToArray(),
                },
                t
            );
        if (act.Only is not null)
            await c.ExecuteAsync(
                "update round set questions = @questions where ticket_id = @Id and number = @Round",
                moved.Select(m => new
                {
                    m.Id,
                    m.Round,
                    questions = act.Only[m.Id].ToArray(),
                }),
                t
            );
    }

    /// <summary>Shows readers whose turn it is after something was taken back or restored. Whoever puts something else in
    /// its place shows it first.</summary>
    public static Task ShowNext(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        IEnumerable<TicketMoved> moved,
        TicketAct act
    ) => TicketShowing.Of(c, t, [.. moved.Select(m => m.ReaderId).Distinct()], act.Today, act.At);

    /// <summary>Opens again what was closed: the assignment goes on after all.</summary>
    internal static Task Reopen(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        AssignmentId assignmentId,
        DateTimeOffset at
    ) =>
        c.ExecuteAsync(
            $"""
            update ticket
            set state = {TicketStates.Waiting}, changed_at = @at
            where assignment_id = @assignmentId and state = {TicketStates.Closed}
            """,
            new { assignmentId, at },
            t
        );

    /// <summary>Moves tickets back to where they were, except those that have moved on or been worked on since.</summary>
    /// <returns>How many.</returns>
    public static async Task<int> Back(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        IReadOnlyCollection<TicketMoved> moved,
        TicketStep step,
        ClassId classId,
        DateTimeOffset now
    )
    {
        var begun = TicketLife.Begun(step) is not null;
        var untouched = (
            await c.QueryAsync<TicketId>(
                """
                select k.id
                from ticket k join unnest(@ids, @states, @rounds) x (id, state, round) on x.id = k.id
                where k.state = x.state
                  and k.round = x.round
                  and not (
                    @begun
                    and (
                      exists (select 1 from answer w where w.ticket_id = k.id and w.round = k.round)
                      or exists (select 1 from reply p where p.ticket_id = k.id and p.round = k.round)))
                order by k.id
                for update of k
                """,
                new
                {
                    ids = moved.Select(m => m.Id).ToArray(),
                    states = moved.Select(m => m.To.ToString()).ToArray(),
                    rounds = moved.Select(m => m.Round).ToArray(),
                    begun,
                },
                t
            )
        ).ToHashSet();
        var back = moved.Where(m => untouched.Contains(m.Id)).ToList();
        if (begun)
            await c.ExecuteAsync(
                """
                delete from round d
                using unnest(@ids, @rounds) x (id, number)
                where d.ticket_id = x.id and d.number = x.number
                """,
                new { ids = back.Select(m => m.Id).ToArray(), rounds = back.Select(m => m.Round).ToArray() },
                t
            );
        await Put(c, t, [.. back.Select(m => (m.Id, m.From, m.Was))], now);
        await c.Tell(t, "ticket", classId);
        return back.Count;
    }

    private sealed record Row(
        TicketId Id,
        ReaderId ReaderId,
        TicketState State,
        int Round,
        int Last,
        int? Done,
        bool Marked,
        DateOnly VisibleFrom,
        bool InLine
    )
    {
        /// <summary>The ticket after a step; null where it cannot be taken.</summary>
        public TicketMoved? Moved(TicketAct act)
        {
            if (TicketLife.After(State, act.Step, Round, Marked) is not { } to)
                return null;
            if (TicketLife.Begun(act.Step) is not null)
                return Last < TicketLife.MostRounds ? new(Id, ReaderId, State, to, Round, Last + 1) : null;
            // What comes back before its day, or before its turn, waits for it.
            if (act.Step is TicketStep.Restored && (InLine || VisibleFrom > act.Today))
                to = TicketState.Planned;
            return new(Id, ReaderId, State, to, Round, TicketLife.Done(to) ? Done ?? Round : Round);
        }
    }

    private static Task Put(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        IReadOnlyList<(TicketId Id, TicketState State, int Round)> tickets,
        DateTimeOffset now
    ) =>
        c.ExecuteAsync(
            """
            update ticket k
            set state = x.state, round = x.round, page = case when k.round < x.round then 0 else k.page end,
              changed_at = @now
            from unnest(@ids, @states, @rounds) x (id, state, round)
            where k.id = x.id
            """,
            new
            {
                ids = tickets.Select(k => k.Id).ToArray(),
                states = tickets.Select(k => k.State.ToString()).ToArray(),
                rounds = tickets.Select(k => k.Round).ToArray(),
                now,
            },
            t
        );
}
