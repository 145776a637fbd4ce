using Dapper;
using DeepCurrent.Core.Tickets;
using DeepCurrent.Data.Storage;
using Npgsql;

namespace DeepCurrent.Data.Tickets;

/// <summary>A ticket that a teacher moved on, and what is needed to move it back.</summary>
/// <param name="Was">The round before the step.</param>
/// <param name="Round">The round after it.</param>
public sealed record TicketMoved(TicketId Id, ReaderId ReaderId, TicketState From, TicketState To, int Was, int Round);

/// <summary>What teachers do with tickets that are out: take back, bring back, send back, give again. Each stands in the
/// transaction that lists it.</summary>
public static class TicketMover
{
    /// <summary>Takes a step with those tickets of a class whose life allows it; the others stay as they are.</summary>
    /// <param name="comment">To the readers, of a round that begins with it.</param>
    public static async Task<IReadOnlyList<TicketMoved>> Move(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        IReadOnlyCollection<TicketId> ids,
        ClassId classId,
        TicketStep step,
        AdultId by,
        string comment,
        DateTimeOffset now
    )
    {
        var begun = TicketLife.Begun(step);
        var moved = (
            await c.QueryAsync<(
                TicketId Id,
                ReaderId Reader,
                TicketState State,
                int Round,
                int Last,
                int? Done,
                bool Marked
            )>(
                """
                select k.id, k.reader_id, k.state, k.round, d.last, d.done, k.score is not null
                from ticket k
                  join lateral (
                    select max(number) as last, max(number) filter (where handed_in_at is not null) as done
                    from round
                    where ticket_id = k.id) d on true
                where k.id = any(@ids) and k.class_id = @classId
                order by k.id
                for update of k
                """,
                new { ids = ids.ToArray(), classId },
                t
            )
        )
            .Select(k => (Ticket: k, To: TicketLife.After(k.State, step, k.Round, k.Marked)))
            .Where(x => x.To is not null && (begun is null || x.Ticket.Last < TicketLife.MostRounds))
            .Select(x => new TicketMoved(
                x.Ticket.Id,
                x.Ticket.Reader,
                x.Ticket.State,
                x.To!.Value,
                x.Ticket.Round,
                begun is not null ? x.Ticket.Last + 1
                    : TicketLife.Done(x.To.Value) ? x.Ticket.Done ?? x.Ticket.Round
                    : x.Ticket.Round
            ))
            .ToList();
        if (moved.Count == 0)
            return moved;
        await Put(c, t, [.. moved.Select(m => (m.Id, m.To, m.Round))], now);
        if (begun is { } how)
            await c.ExecuteAsync(
                """
                insert into round (ticket_id, number, begun, begun_at, begun_by, comment)
                select id, number, @how, @now, @by, @comment
                from unnest(@ids, @rounds) x (id, number)
                """,
                new
                {
                    how = how.ToString(),
                    now,
                    by,
                    comment,
                    ids = moved.Select(m => m.Id).ToArray(),
                    rounds = moved.Select(m => m.Round).ToArray(),
                },
                t
            );
        await c.Tell(t, "ticket", classId);
        return moved;
    }

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
                    @begun and exists (select 1 from answer w where w.ticket_id = k.id and w.round = k.round))
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
