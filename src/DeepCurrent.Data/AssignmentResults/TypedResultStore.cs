using Dapper;
using DeepCurrent.Core.AssignmentResults;
using DeepCurrent.Data.Storage;
using Npgsql;

namespace DeepCurrent.Data.AssignmentResults;

/// <summary>A typed result of one ticket; none where it is taken away.</summary>
public sealed record TypedOf(TicketId TicketId, double? Points, int? Of);

/// <summary>Results from elsewhere.</summary>
public sealed class TypedResultStore(NpgsqlDataSource db)
{
    /// <param name="classId">The class that asks: its own tickets alone are told.</param>
    public async Task<IReadOnlyDictionary<TicketId, TypedResult>> Of(AssignmentId assignmentId, ClassId classId) =>
        (
            await db.All<(TicketId Id, double Points, int Of)>(
                """
                select x.ticket_id, x.points, x.of_points
                from typed_result x join ticket k on k.id = x.ticket_id
                where k.assignment_id = @assignmentId and k.class_id = @classId
                limit 2000
                """,
                new { assignmentId, classId }
            )
        ).ToDictionary(x => x.Id, x => new TypedResult(x.Points, x.Of));

    private const string PutSql = """
        delete from typed_result where ticket_id = any(@gone);
        insert into typed_result (ticket_id, points, of_points, typed_by, typed_at)
        select id, points, of_points, @by, @now
        from unnest(@ids, @points, @of) x (id, points, of_points)
        on conflict (ticket_id) do update
        set points = excluded.points, of_points = excluded.of_points, typed_by = excluded.typed_by,
          typed_at = excluded.typed_at
        """;

    /// <summary>Writes results down, or takes them away.</summary>
    /// <returns>What stood there before, of those of this class's assignment alone.</returns>
    public static async Task<IReadOnlyList<TypedOf>> Put(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        AssignmentId assignmentId,
        ClassId classId,
        IReadOnlyCollection<TypedOf> results,
        AdultId by,
        DateTimeOffset now
    )
    {
        var before = (
            await c.QueryAsync<TypedOf>(
                """
                select k.id as ticket_id, x.points, x.of_points as of
                from ticket k left join typed_result x on x.ticket_id = k.id
                where k.assignment_id = @assignmentId and k.class_id = @classId and k.id = any(@ids)
                order by k.id
                for update of k
                """,
                new
                {
                    assignmentId,
                    classId,
                    ids = results.Select(r => r.TicketId).ToArray(),
                },
                t
            )
        ).AsList();
        var here = before.Select(b => b.TicketId).ToHashSet();
        var (typed, gone) = (
            results.Where(r => here.Contains(r.TicketId) && r.Points is not null).ToList(),
            results.Where(r => here.Contains(r.TicketId) && r.Points is null).ToList()
        );
        await c.ExecuteAsync(
            PutSql,
            new
            {
                gone = gone.Select(r => r.TicketId).ToArray(),
                ids = typed.Select(r => r.TicketId).ToArray(),
                points = typed.Select(r => r.Points!.Value).ToArray(),
                of = typed.Select(r => r.Of!.Value).ToArray(),
                by,
                now,
            },
            t
        );
        await c.Tell(t, "ticket", classId);
        return before;
    }
}
