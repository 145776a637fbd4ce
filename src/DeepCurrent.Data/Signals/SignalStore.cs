using Dapper;
using DeepCurrent.Core;
using DeepCurrent.Core.Signals;
using DeepCurrent.Data.Storage;
using Npgsql;

namespace DeepCurrent.Data.Signals;

/// <summary>A class whose signals are to be looked through.</summary>
public sealed record ToLook(ClassId ClassId, SchoolId SchoolId, YearId YearId);

/// <summary>One that ended, or was called done.</summary>
/// <param name="At">When.</param>
/// <param name="By">Who called it done; null where nobody did, or they have gone.</param>
/// <param name="Stands">The evidence still says it: it can be taken up again.</param>
public sealed record EndedSignal(
    SignalId Id,
    SignalKind Kind,
    ReaderId? ReaderId,
    SignalEnd How,
    DateTimeOffset At,
    string? By,
    bool Stands
);

/// <summary>Signals as they are kept: found once, changed with the evidence, ended with it or by a person.</summary>
public sealed class SignalStore(NpgsqlDataSource db)
{
    /// <summary>One that is over comes back as it was within this time, where nothing is new.</summary>
    private static readonly TimeSpan Remembered = TimeSpan.FromDays(120);

    private const string KeptSql = """
        select id, found::text as found, state, until, step_at, found_at, ended_at is not null as over
        from signal
        where class_id = @classId and (ended_at is null or ended_at >= @since::timestamptz)
        order by found_at, id
        limit 5000
        """;

    private sealed record Row(
        SignalId Id,
        string Found,
        SignalState State,
        DateOnly? Until,
        DateTimeOffset? StepAt,
        DateTimeOffset FoundAt,
        bool Over
    )
    {
        public KeptSignal Kept() => new(Id, Database.FromJson<Signal>(Found), State, Until, StepAt, FoundAt, Over);
    }

    /// <summary>Those that stand.</summary>
    public async Task<IReadOnlyList<KeptSignal>> Kept(ClassId classId) =>
        [.. (await db.All<Row>(KeptSql, new { classId, since = (DateTimeOffset?)null })).Select(r => r.Kept())];

    /// <summary>Whether a class has been looked through since anything in it changed, and today.</summary>
    public Task<bool> Fresh(ClassId classId, DateTimeOffset dayBegan, DateTimeOffset since) =>
        db.Value<bool>(
            """
            select coalesce(c.signals_at >= @dayBegan and c.signals_at >= @since, false)
              and not exists (select 1 from ticket k where k.class_id = c.id and k.changed_at >= c.signals_at)
            from class c
            where c.id = @classId
            """,
            new
            {
                classId,
                dayBegan,
                since,
            }
        );

    /// <summary>Open classes that nobody has looked through since a time, the longest ago first.</summary>
    public Task<IReadOnlyList<ToLook>> NotSince(DateTimeOffset since) =>
        db.All<ToLook>(
            """
            select id as class_id, school_id, school_year_id as year_id
            from class
            where not closed and (signals_at is null or signals_at < @since)
            order by signals_at nulls first
            limit 50
            """,
            new { since }
        );

    /// <summary>Holds what is found against what is kept, and keeps what comes of it.</summary>
    /// <returns>Those that stand.</returns>
    public async Task<IReadOnlyList<KeptSignal>> Look(
        ClassId classId,
        IReadOnlyList<Signal> found,
        DateOnly today,
        DateTimeOffset now
    )
    {
        await using var c = await db.OpenConnectionAsync();
        await using var t = await c.BeginTransactionAsync();
        // Two who look at once would find the same twice.
        await c.ExecuteAsync("update class set signals_at = @now where id = @classId", new { classId, now }, t);
        // Held: what a person says of one meanwhile comes after this, and stays.
        var kept = (await c.QueryAsync<Row>($"{KeptSql} for update", new { classId, since = now - Remembered }, t))
            .Select(r => r.Kept())
            .ToList();
        var turns = SignalLife.Look(kept, found, today);
        foreach (var s in turns.Opened)
            await Open(c, t, classId, s, now);
        foreach (var k in turns.Changed)
            await Change(c, t, k);
        foreach (var (k, how) in turns.Ended)
            await c.ExecuteAsync(
                "update signal set ended_at = @now, ended = @how where id = @Id",
                new
                {
                    k.Id,
                    now,
                    how = how.ToString(),
                },
                t
            );
        await t.CommitAsync();
        return await Kept(classId);
    }

    private static Task Open(NpgsqlConnection c, NpgsqlTransaction t, ClassId classId, Signal s, DateTimeOffset now) =>
        c.ExecuteAsync(
            $"""
            insert into signal (id, class_id, reader_id, kind, about, found, found_at, state)
            values (@id, @classId, @Reader, @kind, @About, @found::jsonb, @now, {SignalStates.New})
            """,
            new
            {
                id = SignalId.New(),
                classId,
                s.Reader,
                kind = s.Kind.ToString(),
                s.About,
                found = Database.ToJson(s),
                now,
            },
            t
        );

    private static Task Change(NpgsqlConnection c, NpgsqlTransaction t, KeptSignal k) =>
        c.ExecuteAsync(
            """
            update signal
            set found = @found::jsonb, state = @state, until = @Until, step_at = @StepAt, ended_at = null, ended = null
            where id = @Id
            """,
            new
            {
                k.Id,
                found = Database.ToJson(k.Signal),
                state = k.State.ToString(),
                k.Until,
                k.StepAt,
            },
            t
        );

    /// <summary>Puts signals of a class into a state.</summary>
    /// <returns>How many there were.</returns>
    public Task<int> Do(
        ClassId classId,
        IReadOnlyCollection<SignalId> ids,
        SignalDeed deed,
        DateOnly? until,
        AdultId by,
        DateTimeOffset now
    )
    {
        var (state, day) = SignalLife.After(deed, until);
        return db.Run(
            $"""
            update signal
            set state = @state, until = @day, said_by = @by, said_at = @now,
              step_at = case when @step then @now when @state = {SignalStates.New} then null else step_at end
            where class_id = @classId and id = any(@ids) and ended_at is null
            """,
            new
            {
                classId,
                ids = ids.Select(i => i.Value).ToArray(),
                state = state.ToString(),
                day,
                by,
                now,
                step = deed is SignalDeed.Step,
            }
        );
    }

    /// <summary>Those that ended or were called done since a time, latest first.</summary>
    public Task<IReadOnlyList<EndedSignal>> Ended(ClassId classId, DateTimeOffset since) =>
        db.All<EndedSignal>(
            $"""
            select s.id, s.kind, s.reader_id, coalesce(s.ended, {SignalStates.EndedAsDone}) as how,
              coalesce(s.ended_at, s.said_at) as at, case when s.state = {SignalStates.Done} then a.name end as "by",
              s.ended_at is null as stands
            from signal s left join adult a on a.id = s.said_by
            where s.class_id = @classId
              and (s.ended_at >= @since or s.ended_at is null and s.state = {SignalStates.Done} and s.said_at >= @since)
            order by 5 desc
            limit 500
            """,
            new { classId, since }
        );
}
