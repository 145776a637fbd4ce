using System.Text.Json.Serialization;
using Dapper;
using DeepCurrent.Core.Goals;
using DeepCurrent.Data.Storage;
using Npgsql;

namespace DeepCurrent.Data.Goals;

public sealed record GoalRow(
    GoalId Id,
    ReaderId ReaderId,
    GoalKind Kind,
    double Target,
    DateTimeOffset SetAt,
    string Reason
);

/// <param name="Replaces">The goal this one takes the place of, if any.</param>
public sealed record GoalChange(
    ReaderId ReaderId,
    [property: JsonConverter(typeof(JsonStringEnumConverter))] GoalKind Kind,
    GoalId Id,
    GoalId? Replaces
);

/// <summary>Term goals. A changed goal keeps the earlier one, its date and the reason.</summary>
public sealed class GoalStore(NpgsqlDataSource db)
{
    public async Task<IReadOnlyList<GoalRow>> Of(ClassId classId, TermId termId)
    {
        return await db.All<GoalRow>(
            """
            select g.id, g.reader_id, g.kind, g.target, g.set_at, g.reason
            from goal g join enrolment e on e.reader_id = g.reader_id and e.class_id = @classId and e.to_day is null
            where g.term_id = @termId and g.replaced_at is null
            limit 2000
            """,
            new { classId, termId }
        );
    }

    public async Task<IReadOnlyList<GoalRow>> OfReader(ReaderId readerId, TermId termId)
    {
        return await db.All<GoalRow>(
            """
            select id, reader_id, kind, target, set_at, reason
            from goal
            where reader_id = @readerId and term_id = @termId and replaced_at is null
            limit 10
            """,
            new { readerId, termId }
        );
    }

    private const string StandingSql = """
        select id, target
        from goal
        where reader_id = @readerId and term_id = @termId and kind = @kind and replaced_at is null
        for update
        """;

    public static async Task<IReadOnlyList<GoalChange>> Set(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        TermId termId,
        IEnumerable<(ReaderId ReaderId, GoalKind Kind, double Target)> goals,
        string reason,
        AdultId adultId,
        DateTimeOffset now
    )
    {
        var made = new List<GoalChange>();
        foreach (var (readerId, kind, target) in goals)
        {
            var old = await c.QuerySingleOrDefaultAsync<(GoalId Id, double Target)?>(
                StandingSql,
                new
                {
                    readerId,
                    termId,
                    kind = kind.ToString(),
                },
                t
            );
            if (old?.Target == target)
                continue;
            var id = GoalId.New();
            if (old is { } earlier)
                await c.ExecuteAsync("update goal set replaced_at = @now where id = @Id", new { now, earlier.Id }, t);
            await c.ExecuteAsync(
                """
                insert into goal (id, reader_id, term_id, kind, target, reason, set_by, set_at)
                values (@id, @readerId, @termId, @kind, @target, @reason, @adultId, @now)
                """,
                new
                {
                    id,
                    readerId,
                    termId,
                    kind = kind.ToString(),
                    target,
                    reason,
                    adultId,
                    now,
                },
                t
            );
            made.Add(new(readerId, kind, id, old?.Id));
        }
        return made;
    }

    /// <summary>Takes goals back and puts those they replaced in their place; those changed again since are left
    /// alone.</summary>
    public static async Task<int> Undo(NpgsqlConnection c, NpgsqlTransaction t, IReadOnlyList<GoalChange> changes)
    {
        var undone = 0;
        foreach (var change in changes)
        {
            var n = await c.ExecuteAsync(
                "delete from goal where id = @Id and replaced_at is null",
                new { change.Id },
                t
            );
            if (n == 1 && change.Replaces is { } earlier)
                await c.ExecuteAsync("update goal set replaced_at = null where id = @earlier", new { earlier }, t);
            undone += n;
        }
        return undone;
    }
}
