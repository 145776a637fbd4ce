using Dapper;
using DeepCurrent.Core.Changes;
using DeepCurrent.Data.Adults;
using DeepCurrent.Data.Changes;
using DeepCurrent.Data.Measuring;
using DeepCurrent.Data.Readers;
using Npgsql;

namespace DeepCurrent.Data.Roster;

/// <summary>What a merge moved, so that it can be taken back.</summary>
/// <param name="Kept">The reader who stays.</param>
/// <param name="Other">The one whose history went along.</param>
/// <param name="Moved">Keys of what went along, by table.</param>
public sealed record Merged(
    ReaderId Kept,
    ReaderId Other,
    bool OtherHadLeft,
    IReadOnlyList<EnrolmentId> EndedEnrolments,
    IReadOnlyDictionary<string, IReadOnlyList<string>> Moved
);

/// <summary>Makes one reader of two who are the same child, and two again.</summary>
public sealed class MergeStore(NpgsqlDataSource db)
{
    private static IEnumerable<ReaderThing> Moving => ReaderThings.All.Where(x => x.Merge is OnMerge.Moves);

    /// <summary>Moves everything of <paramref name="other"/> to <paramref name="kept"/>. What both have stays where it
    /// is.</summary>
    /// <param name="today">The school's day, on which the other's time in a class of both ends.</param>
    public async Task<ChangeId> Merge(
        ReaderId kept,
        ReaderId other,
        RosterChange change,
        Yardstick yardstick,
        DateOnly today
    )
    {
        await using var c = await db.OpenConnectionAsync();
        await using var t = await c.BeginTransactionAsync();
        var had = await c.ExecuteScalarAsync<bool>(
            "select left_school from reader where id = @other for no key update",
            new { other },
            t
        );
        var ended = await EndedInBoth(c, t, kept, other, today);
        var moved = await Moved(c, t, kept, other);
        await c.ExecuteAsync(
            "update reader set left_school = true, merged_into = @kept where id = @other",
            new { kept, other },
            t
        );
        await SessionStore.EndAll(c, t, [other.Value], change.At);
        await DepthKeeper.Recompute(c, t, kept, yardstick.Year, yardstick.Chart, change.At);
        var id = await ChangeStore.Add(
            c,
            t,
            new(change.SchoolId, change.ClassId, change.AdultId, change.At),
            ChangeKind.Merged,
            change.Summary,
            new Merged(kept, other, had, ended, moved)
        );
        await c.ExecuteAsync(
            "insert into change_reader (change_id, reader_id) values (@id, @kept), (@id, @other)",
            new
            {
                id,
                kept,
                other,
            },
            t
        );
        await t.CommitAsync();
        return id;
    }

    /// <summary>Ends the other's time in the classes both are in.</summary>
    private static async Task<IReadOnlyList<EnrolmentId>> EndedInBoth(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        ReaderId kept,
        ReaderId other,
        DateOnly today
    ) =>
        (
            await c.QueryAsync<EnrolmentId>(
                """
                update enrolment e set to_day = greatest(e.from_day, @today)
                where e.reader_id = @other
                  and e.to_day is null
                  and exists (
                    select 1 from enrolment m where m.class_id = e.class_id and m.reader_id = @kept and m.to_day is null
                  )
                returning id
                """,
                new
                {
                    kept,
                    other,
                    today,
                },
                t
            )
        ).ToList();

    /// <summary>Moves what the other has and the one who is kept has not.</summary>
    /// <returns>What was moved, by table.</returns>
    private static async Task<Dictionary<string, IReadOnlyList<string>>> Moved(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        ReaderId kept,
        ReaderId other
    )
    {
        var moved = new Dictionary<string, IReadOnlyList<string>>();
        foreach (var x in Moving)
        {
            var twin = x.Twin is null
                ? ""
                : $" and not exists (select 1 from {x.Table} m where m.reader_id = @kept and {x.Twin})";
            moved[x.Table] = (
                await c.QueryAsync<string>(
                    $"""
                    update {x.Table} x
                    set reader_id = @kept
                    where x.reader_id = @other{twin}{(x.Only is null ? "" : $" and {x.Only}")}
                    returning x.{x.Key}::text
                    """,
                    new { kept, other },
                    t
                )
            ).ToList();
        }
        return moved;
    }

    /// <summary>Makes two readers of them again; what was done since stays with the one who was kept. False if it has
    /// been taken back or merged further.</summary>
    public static async Task<bool> Undo(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        Merged m,
        Yardstick yardstick,
        DateTimeOffset now
    )
    {
        if (
            m.Moved is null
            || await c.ExecuteAsync(
                """
                update reader
                set left_school = @OtherHadLeft, merged_into = null
                where id = @Other and merged_into = @Kept
                """,
                new
                {
                    m.OtherHadLeft,
                    m.Other,
                    m.Kept,
                },
                t
            ) == 0
        )
            return false;
        foreach (var x in Moving.Where(x => m.Moved.ContainsKey(x.Table)))
            await c.ExecuteAsync(
                $"update {x.Table} set reader_id = @Other where reader_id = @Kept and {x.Key}::text = any(@keys)",
                new
                {
                    m.Other,
                    m.Kept,
                    keys = m.Moved[x.Table].ToArray(),
                },
                t
            );
        await c.ExecuteAsync(
            "update enrolment set to_day = null where id = any(@ended) and reader_id = @Other",
            new { ended = m.EndedEnrolments.ToArray(), m.Other },
            t
        );
        foreach (var reader in new[] { m.Kept, m.Other })
            await DepthKeeper.Recompute(c, t, reader, yardstick.Year, yardstick.Chart, now);
        return true;
    }
}
