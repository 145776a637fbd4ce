using System.Text.Json.Serialization;
using Dapper;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Goals;
using DeepCurrent.Data.Storage;
using Npgsql;

namespace DeepCurrent.Data.Goals;

/// <param name="MetReason">Why it was called met; null where it was not.</param>
public sealed record GoalRow(
    GoalId Id,
    ReaderId ReaderId,
    GoalKind Kind,
    double Target,
    DateTimeOffset SetAt,
    string Reason,
    string? MetReason
);

/// <summary>A goal that another took the place of.</summary>
/// <param name="By">Null where they have gone.</param>
public sealed record EarlierGoal(
    ReaderId ReaderId,
    GoalKind Kind,
    double Target,
    DateTimeOffset SetAt,
    string Reason,
    string? By
);

public sealed record DepthOfDay(ReaderId ReaderId, DateOnly Day, Fathoms Depth);

/// <summary>A goal that was called met.</summary>
public sealed record CalledMet(GoalId Id);

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
            select g.id, g.reader_id, g.kind, g.target, g.set_at, g.reason, g.met_reason
            from goal g join enrolment e on e.reader_id = g.reader_id and e.class_id = @classId and e.to_day is null
            where g.term_id = @termId and g.replaced_at is null
            limit 2000
            """,
            new { classId, termId }
        );
    }

    /// <summary>Goals of a class's term that were changed since, latest first.</summary>
    public Task<IReadOnlyList<EarlierGoal>> Earlier(ClassId classId, TermId termId) =>
        db.All<EarlierGoal>(
            """
            select g.reader_id, g.kind, g.target, g.set_at, g.reason, a.name as "by"
            from goal g
              join enrolment e on e.reader_id = g.reader_id and e.class_id = @classId and e.to_day is null
              left join adult a on a.id = g.set_by
            where g.term_id = @termId and g.replaced_at is not null
            order by g.set_at desc
            limit 2000
            """,
            new { classId, termId }
        );

    /// <summary>The class a reader is in, the one entered last where there are several.</summary>
    public Task<ClassId?> ClassOf(ReaderId readerId, YearId yearId) =>
        db.Value<ClassId?>(
            """
            select e.class_id
            from enrolment e join class c on c.id = e.class_id
            where e.reader_id = @readerId and e.to_day is null and c.school_year_id = @yearId and not c.closed
            order by e.from_day desc, e.class_id
            limit 1
            """,
            new { readerId, yearId }
        );

    /// <summary>Depths of a class's readers day by day, since a day.</summary>
    public Task<IReadOnlyList<DepthOfDay>> Depths(ClassId classId, DateOnly from) =>
        db.All<DepthOfDay>(
            """
            select d.reader_id, d.day, d.mean as depth
            from enrolment e join depth_day d on d.reader_id = e.reader_id
            where e.class_id = @classId and e.to_day is null and d.day >= @from
            order by d.reader_id, d.day
            limit 20000
            """,
            new { classId, from }
        );

    public async Task<IReadOnlyList<GoalRow>> OfReader(ReaderId readerId, TermId termId)
    {
        return await db.All<GoalRow>(
            """
            select id, reader_id, kind, target, set_at, reason, met_reason
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

    /// <summary>Calls a goal met that was just missed.</summary>
    /// <returns>False where it was called so already, or another has taken its place.</returns>
    public static async Task<bool> CallMet(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        GoalId id,
        string reason,
        AdultId by,
        DateTimeOffset now
    ) =>
        await c.ExecuteAsync(
            """
            update goal
            set met_reason = @reason, met_by = @by, met_at = @now
            where id = @id and met_at is null and replaced_at is null
            """,
            new
            {
                id,
                reason,
                by,
                now,
            },
            t
        ) > 0;

    /// <summary>Takes back that a goal was called met.</summary>
    public static async Task<bool> CallMissed(NpgsqlConnection c, NpgsqlTransaction t, GoalId id) =>
        await c.ExecuteAsync(
            "update goal set met_reason = null, met_by = null, met_at = null where id = @id and met_at is not null",
            new { id },
            t
        ) > 0;

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
