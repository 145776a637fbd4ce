using Dapper;
using DeepCurrent.Core.Tickets;
using DeepCurrent.Data.Storage;
using Npgsql;

namespace DeepCurrent.Data.Tickets;

/// <summary>A reader's own last day for a ticket, as it was.</summary>
/// <param name="Before">Null where it was the assignment's.</param>
public sealed record OwnDay(TicketId Id, DateOnly? Before);

/// <summary>What is said about single readers' tickets: another day, a reminder. Each stands in the transaction that lists
/// it.</summary>
public static class TicketDays
{
    /// <summary>Gives readers a day of their own for what they still have; what had closed opens again until
    /// then.</summary>
    /// <param name="day">Null for the assignment's.</param>
    /// <returns>Those whose day is another now, each as it was.</returns>
    public static async Task<IReadOnlyList<OwnDay>> Set(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        IReadOnlyCollection<TicketId> ids,
        ClassId classId,
        DateOnly? day,
        DateTimeOffset at
    )
    {
        var before = (
            await c.QueryAsync<OwnDay>(
                """
                select id, due_on as before
                from ticket
                where id = any(@ids) and class_id = @classId and state = any(@waits) and due_on is distinct from @day
                order by id
                for update
                """,
                new
                {
                    ids = ids.ToArray(),
                    classId,
                    day,
                    waits = TicketStates.Waits.Append(nameof(TicketState.Closed)).ToArray(),
                },
                t
            )
        ).AsList();
        await Put(c, t, [.. before.Select(b => (b.Id, day))]);
        if (day is not null)
            await c.ExecuteAsync(
                $"""
                update ticket
                set state = {TicketStates.Waiting}, changed_at = @at
                where id = any(@ids) and state = {TicketStates.Closed}
                """,
                new { ids = before.Select(b => b.Id).ToArray(), at },
                t
            );
        return before;
    }

    /// <summary>Puts days back that are still as they were set.</summary>
    /// <returns>How many.</returns>
    public static async Task<int> Back(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        IReadOnlyList<OwnDay> before,
        DateOnly? day
    )
    {
        var same = (
            await c.QueryAsync<TicketId>(
                "select id from ticket where id = any(@ids) and due_on is not distinct from @day order by id for update",
                new { ids = before.Select(b => b.Id).ToArray(), day },
                t
            )
        ).ToHashSet();
        await Put(c, t, [.. before.Where(b => same.Contains(b.Id)).Select(b => (b.Id, b.Before))]);
        return same.Count;
    }

    private static Task Put(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        IReadOnlyList<(TicketId Id, DateOnly? Day)> days
    ) =>
        c.ExecuteAsync(
            """
            update ticket k
            set due_on = x.day
            from unnest(@ids, @days) x (id, day)
            where k.id = x.id
            """,
            new { ids = days.Select(d => d.Id).ToArray(), days = days.Select(d => d.Day).ToArray() },
            t
        );

    /// <summary>Reminds readers of what they still have; they see it until they open it.</summary>
    /// <returns>Those who were not reminded already.</returns>
    public static async Task<IReadOnlyList<TicketId>> Remind(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        IReadOnlyCollection<TicketId> ids,
        ClassId classId,
        DateTimeOffset at
    ) =>
        (
            await c.QueryAsync<TicketId>(
                """
                update ticket
                set reminded_at = @at
                where id = any(@ids) and class_id = @classId and state = any(@open) and reminded_at is null
                returning id
                """,
                new
                {
                    ids = ids.ToArray(),
                    classId,
                    at,
                    open = TicketStates.Open,
                },
                t
            )
        ).AsList();

    /// <summary>Takes reminders back that have not been seen to.</summary>
    public static Task<int> Unremind(NpgsqlConnection c, NpgsqlTransaction t, IReadOnlyCollection<TicketId> ids) =>
        c.ExecuteAsync(
            "update ticket set reminded_at = null where id = any(@ids) and reminded_at is not null",
            new { ids = ids.ToArray() },
            t
        );
}
