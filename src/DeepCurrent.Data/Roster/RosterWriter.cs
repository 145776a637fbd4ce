using Dapper;
using DeepCurrent.Core.Access;
using DeepCurrent.Core.Measuring;
using DeepCurrent.Core.Roster;
using DeepCurrent.Data.Adults;
using DeepCurrent.Data.Changes;
using DeepCurrent.Data.Measuring;
using DeepCurrent.Data.Readers;
using DeepCurrent.Data.Schools;
using DeepCurrent.Data.Storage;
using Npgsql;
using NpgsqlTypes;

namespace DeepCurrent.Data.Roster;

/// <summary>Does changes to rosters, each in one transaction with what is needed to take it back.</summary>
public sealed class RosterWriter(NpgsqlDataSource db)
{
    private const int ManySteps = 1_000;

    /// <summary>Makes a change and lists it. Nothing is done if anything it changes is not as it was when the change
    /// was made up.</summary>
    /// <returns>The id to take it back by.</returns>
    /// <exception cref="BuiltOn">Somebody has changed the same things meanwhile.</exception>
    public async Task<ChangeId> Apply(
        ChangeSet steps,
        RosterChange change,
        Yardstick yardstick,
        Func<NpgsqlConnection, NpgsqlTransaction, ChangeId, Task>? with = null,
        Action<double>? done = null
    )
    {
        await using var c = await db.OpenConnectionAsync();
        await using var t = await c.BeginTransactionAsync();
        await Lock(c, change.SchoolId);
        if (await RosterTables.Moved(c, steps) is { Count: > 0 })
            throw new BuiltOn($"Someone else changed this meanwhile. Nothing was saved. Reload and try again.");
        var id = ChangeId.New();
        try
        {
            await Do(c, t, steps, change.SchoolId, yardstick, change.At, done);
        }
        catch (PostgresException e) when (e.SqlState == PostgresErrorCodes.UniqueViolation)
        {
            throw new BuiltOn($"Something with this ID is there already. Nothing changed. Reload and try again.");
        }
        await ChangeParts.Keep(c, t, id, change, steps);
        if (with is not null)
            await with(c, t, id);
        await Tell(c, steps);
        await t.CommitAsync();
        // After a whole school has come in, the planner would go on believing that there is nobody.
        if (steps.Steps >= ManySteps)
            await c.ExecuteAsync("analyze adult, class, class_adult, reader, enrolment");
        return id;
    }

    /// <summary>Takes a change back.</summary>
    /// <exception cref="BuiltOn">Somebody has built on it; the sentence says who and what.</exception>
    /// <param name="allow">Looks at what taking it back does, and refuses what the asker may not do.</param>
    public async Task Undo(
        ChangeId changeId,
        SchoolId schoolId,
        Yardstick yardstick,
        DateTimeOffset now,
        Func<ChangeSet, Task> allow
    )
    {
        await using var c = await db.OpenConnectionAsync();
        await using var t = await c.BeginTransactionAsync();
        await Lock(c, schoolId);
        var bodies = await c.QueryAsync<byte[]>(
            "select body from change_part where change_id = @changeId order by part",
            new { changeId },
            t
        );
        var back = ChangeSet.Joined([.. bodies.Select(ChangeParts.Unpack)]).Inverse();
        await allow(back);
        if (await RosterTables.Moved(c, back) is { Count: > 0 } moved)
            throw new BuiltOn(await BuiltOnSince.Who(c, t, changeId, moved));
        await BuiltOnSince.Removable(c, t, back);
        try
        {
            await Do(c, t, back, schoolId, yardstick, now, null);
        }
        catch (PostgresException e) when (e.SqlState == PostgresErrorCodes.ForeignKeyViolation)
        {
            throw new BuiltOn($"This would remove someone who has done work since. Undo that first.");
        }
        await Tell(c, back);
        await c.ExecuteAsync("update change set undone_at = @now where id = @changeId", new { changeId, now }, t);
        await t.CommitAsync();
    }

    private static async Task Do(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        ChangeSet s,
        SchoolId schoolId,
        Yardstick yardstick,
        DateTimeOffset now,
        Action<double>? done
    )
    {
        await RosterTables.Levels.Remove(c, s.Levels);
        await RosterTables.Enrolments.Remove(c, s.Enrolments);
        await RosterTables.Teachings.Remove(c, s.Teachings);
        await RosterTables.Readers.Remove(c, s.Readers);
        await RosterTables.Classes.Remove(c, s.Classes);
        await RosterTables.Adults.Remove(c, s.Adults);
        await (RosterTables.Adults with { Fixed = [("school_id", NpgsqlDbType.Uuid, _ => schoolId)] }).Put(c, s.Adults);
        await (
            RosterTables.Classes with
            {
                Fixed =
                [
                    ("school_id", NpgsqlDbType.Uuid, _ => schoolId),
                    ("created_at", NpgsqlDbType.TimestampTz, _ => now.ToUniversalTime()),
                ],
            }
        ).Put(c, s.Classes);
        done?.Invoke(0.05);
        var starts = new Starts(yardstick, now, s.Levels);
        await (RosterTables.Readers with { Fixed = starts.Columns(schoolId) }).Put(c, s.Readers);
        done?.Invoke(0.35);
        await RosterTables.Teachings.Put(c, s.Teachings);
        await RosterTables.Enrolments.Put(c, s.Enrolments);
        done?.Invoke(0.8);
        await RosterTables.Levels.Put(c, s.Levels);
        await SessionStore.EndAll(c, t, Ended(s), now);
        await Depths(c, t, s, starts, yardstick, now);
    }

    /// <summary>Where those who are new begin, and where those whose stated level changed are now.</summary>
    private static async Task Depths(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        ChangeSet s,
        Starts starts,
        Yardstick yardstick,
        DateTimeOffset now
    )
    {
        var added = s.Readers.Where(r => r.Before is null).ToDictionary(r => r.Thing.Id, r => r.After!);
        await StepTable<StatedLevel>.Copy(
            c,
            "copy depth_day (reader_id, day, mean, sd, low, high) from stdin (format binary)",
            s.Levels.Where(l => l.After is not null && added.ContainsKey(l.After.ReaderId))
                .Select(l => l.After!)
                .DistinctBy(l => l.ReaderId),
            async (level, w) =>
            {
                var e = starts.Of(added[level.ReaderId]);
                await w.WriteRowAsync(
                    default,
                    level.ReaderId.Value,
                    yardstick.Year.Clock.DayOf(now),
                    e.Mean.Value,
                    e.Sd,
                    e.Low.Value,
                    e.High.Value
                );
            }
        );
        foreach (
            var reader in s
                .Levels.Select(l => l.Thing.ReaderId)
                .Distinct()
                .Where(id => !added.ContainsKey(id))
                .Except(s.Readers.Where(r => r.After is null).Select(r => r.Thing.Id))
        )
            await DepthKeeper.Recompute(c, t, reader, yardstick.Year, yardstick.Chart, now);
    }

    /// <summary>People whose sessions end: they have left, have another secret, or may do other things than
    /// before.</summary>
    private static IReadOnlyCollection<Guid> Ended(ChangeSet s) =>
        [
            .. s
                .Readers.Where(r =>
                    r is { Before: { } b, After: { } a } && (a.Secret != b.Secret || (a.Left && !b.Left))
                )
                .Select(r => r.Thing.Id.Value),
            .. s
                .Adults.Where(r =>
                    r is { Before: { } b, After: { } a }
                    && (a.Lead != b.Lead || a.Post != b.Post || (a.Left && !b.Left))
                )
                .Select(r => r.Thing.Id.Value),
        ];

    // One roster change at a time in a school; readers at work are not held up by it.
    private static Task Lock(NpgsqlConnection c, SchoolId schoolId) =>
        c.ExecuteAsync("select pg_advisory_xact_lock(hashtextextended(@key, 0))", new { key = $"roster {schoolId}" });

    private static Task Tell(NpgsqlConnection c, ChangeSet s)
    {
        var classes = s
            .Enrolments.Select(e => (e.After ?? e.Before)!.ClassId)
            .Concat(s.Classes.Select(x => x.Thing.Id))
            .Concat(s.Teachings.Select(x => (x.After ?? x.Before)!.ClassId))
            .Distinct()
            .Take(200)
            .Select(id => id.ToString())
            .ToArray();
        return c.ExecuteAsync("select pg_notify('ticket', x) from unnest(@classes) x", new { classes });
    }
}
