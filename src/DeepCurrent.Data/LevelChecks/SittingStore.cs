using Dapper;
using DeepCurrent.Core.LevelChecks;
using DeepCurrent.Core.Measuring;
using DeepCurrent.Core.Roster;
using DeepCurrent.Core.Schools;
using DeepCurrent.Core.Tickets;
using DeepCurrent.Data.Measuring;
using DeepCurrent.Data.Roster;
using DeepCurrent.Data.Storage;
using DeepCurrent.Data.Texts;
using Npgsql;

namespace DeepCurrent.Data.LevelChecks;

/// <summary>A level check on the reader's side: parts begun, answers kept, stages chosen, parts finished.</summary>
public sealed class SittingStore(NpgsqlDataSource db, TextStore texts, Notices notices)
{
    private readonly StageStore stages = new(new PassagePool(texts));

    /// <summary>Checks that are open to a reader, the one that closes first on top.</summary>
    public async Task<IReadOnlyList<MyCheck>> Mine(ReaderId readerId, SchoolId schoolId, DateOnly today)
    {
        return await db.All<MyCheck>(
            $"""
            select s.id, k.reader_title as title, k.closes_on, bool_or(p.started_at is not null) as begun,
              count(*) filter (where p.state in ({PartStates.Left}))::int as left
            from sitting s join level_check k on k.id = s.check_id join sitting_part p on p.sitting_id = s.id
            where s.reader_id = @readerId
              and k.school_id = @schoolId
              and s.taken_back_at is null
              and not k.draft
              and k.gone_at is null
              and k.closed_at is null
              and coalesce(k.opens_on, @today) <= @today
              and coalesce(k.closes_on, @today) >= @today
            group by s.id, k.id
            having bool_or(p.state in ({PartStates.Left}))
            order by k.closes_on nulls last, k.made_at
            limit 20
            """,
            new
            {
                readerId,
                schoolId,
                today,
            }
        );
    }

    public async Task<Sitting?> Find(SittingId sittingId, ReaderId readerId, SchoolId schoolId, Moment at)
    {
        await using var c = await db.OpenConnectionAsync();
        await using var t = await c.BeginTransactionAsync();
        return await Load(c, t, sittingId, readerId, schoolId, at, lockRow: false);
    }

    /// <summary>Begins the part that comes next. Doing it again changes nothing.</summary>
    /// <returns>Null where the check is not open to the reader.</returns>
    public async Task<Sitting?> Begin(
        SittingId sittingId,
        ReaderId readerId,
        SchoolId schoolId,
        Yardstick yardstick,
        Moment at
    )
    {
        var now = at.Now;
        await using var c = await db.OpenConnectionAsync();
        await using var t = await c.BeginTransactionAsync();
        if (await Load(c, t, sittingId, readerId, schoolId, at, lockRow: true) is not { } s || s.Check.Over(at.Today))
            return null;
        if (s.Now is { State: PartState.Waiting } && !s.Tomorrow)
        {
            await PartWriter.Spare(c, t, s, yardstick, now);
            s = (await Load(c, t, sittingId, readerId, schoolId, at, lockRow: true))!;
            if (s.Now is { State: PartState.Waiting } part && !s.Tomorrow)
            {
                await c.ExecuteAsync(
                    $"update sitting_part set state = '{nameof(PartState.UnderWay)}', started_at = @now where id = @Id",
                    new { part.Id, now },
                    t
                );
                if (!await stages.Begin(c, t, s, part, schoolId, yardstick, now))
                    await PartWriter.Finish(c, t, s, part, PartRules.NothingFits, yardstick, now);
            }
        }
        var after = await Load(c, t, sittingId, readerId, schoolId, at, lockRow: false);
        await t.CommitAsync();
        Changed(after);
        return after;
    }

    /// <summary>Keeps answers, and goes on to what comes next when a stage is done. Safe to repeat; what comes after a
    /// stage is done is not kept.</summary>
    /// <param name="seconds">Time the stage has been open, as the reader's page says.</param>
    /// <returns>Null where the check is not open to the reader.</returns>
    public async Task<KeptStage?> Keep(
        SittingId sittingId,
        ReaderId readerId,
        SchoolId schoolId,
        StageId stageId,
        IReadOnlyList<SentAnswer> answers,
        double seconds,
        bool done,
        Yardstick yardstick,
        Moment at
    )
    {
        var now = at.Now;
        await using var c = await db.OpenConnectionAsync();
        await using var t = await c.BeginTransactionAsync();
        if (await Load(c, t, sittingId, readerId, schoolId, at, lockRow: true) is not { } s)
            return null;
        if (s.Check.Over(at.Today))
            return await KeepLate(c, t, s, stageId, answers, seconds, yardstick, at);
        if (s is { Now: { State: PartState.UnderWay } part, Stage: { } stage } && stage.Id == stageId)
        {
            await PartWriter.Write(c, t, part, stage, answers, seconds, now);
            if (done)
            {
                await c.ExecuteAsync("update stage set done_at = @now where id = @stageId", new { stageId, now }, t);
                s = (await Load(c, t, sittingId, readerId, schoolId, at, lockRow: true))!;
                if (!await stages.GoesOn(c, t, s, part, schoolId, yardstick, now))
                {
                    await PartWriter.Finish(c, t, s, part, "", yardstick, now);
                    await PartWriter.Spare(
                        c,
                        t,
                        (await Load(c, t, sittingId, readerId, schoolId, at, lockRow: true))!,
                        yardstick,
                        now
                    );
                }
            }
        }
        var after = await Load(c, t, sittingId, readerId, schoolId, at, lockRow: false);
        await t.CommitAsync();
        if (done)
            Changed(after);
        return new(after!, 0);
    }

    /// <summary>Keeps what was answered before the check ended and is heard of after it, and judges the part anew that
    /// was cut off.</summary>
    /// <returns>Null where nothing of it was given in time.</returns>
    private async Task<KeptStage?> KeepLate(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        Sitting s,
        StageId stageId,
        IReadOnlyList<SentAnswer> answers,
        double seconds,
        Yardstick yardstick,
        Moment at
    )
    {
        var partId = await c.ExecuteScalarAsync<CheckPartId?>(
            "select part_id from stage where id = @stageId",
            new { stageId },
            t
        );
        if (
            s.Parts.FirstOrDefault(p => p.Id == partId) is not { } part
            || part is not ({ State: PartState.UnderWay } or { State: PartState.Done, Note: PartRules.CutOff })
        )
            return null;
        var stage = (await StageStore.Of(c, t, part.Id)).Single(x => x.Id == stageId);
        var end = s.Check.EndedAt(yardstick.Year.Clock);
        var known = stage.Answers.Select(a => a.Item).ToHashSet();
        var given = answers.Where(a => !known.Contains(a.Item)).ToList();
        var inTime = given.Where(a => GivenTime.After(a.At, stage.LastContact) <= end).ToList();
        if (given.Count > 0 && inTime.Count == 0)
            return null;
        if (inTime.Count > 0)
        {
            await PartWriter.Write(
                c,
                t,
                part,
                stage,
                inTime,
                Math.Min(seconds, (end!.Value - stage.ServedAt).TotalSeconds),
                at.Now
            );
            if (part.State is PartState.Done)
                await PartWriter.Finish(c, t, s, part, PartRules.CutOff, yardstick, at.Now);
        }
        var after = await Load(c, t, s.Id, s.ReaderId, s.Check.SchoolId, at, lockRow: false);
        await t.CommitAsync();
        Changed(after);
        return new(after!, given.Count - inTime.Count);
    }

    private void Changed(Sitting? s)
    {
        if (s?.ClassId is { } classId)
            notices.Changed(classId);
    }

    /// <summary>Ends a check: what readers are in the middle of counts as far as it is.</summary>
    public async Task Close(LevelCheck check, Yardstick yardstick, DateTimeOffset now)
    {
        await using var c = await db.OpenConnectionAsync();
        var open = (
            await c.QueryAsync<(SittingId Sitting, ReaderId Reader)>(
                $"""
                select distinct s.id, s.reader_id
                from sitting s join sitting_part p on p.sitting_id = s.id
                where s.check_id = @Id and s.taken_back_at is null and p.state = '{nameof(PartState.UnderWay)}'
                limit 20000
                """,
                new { check.Id }
            )
        ).ToList();
        foreach (var (sitting, reader) in open)
        {
            await using var t = await c.BeginTransactionAsync();
            var s = (await Load(c, t, sitting, reader, check.SchoolId, null, lockRow: true))!;
            if (s.Now is { State: PartState.UnderWay } part)
                await PartWriter.Finish(c, t, s, part, PartRules.CutOff, yardstick, now);
            await t.CommitAsync();
        }
        await c.ExecuteAsync(
            "update level_check set closed_at = coalesce(closed_at, @now), revision = revision + 1 where id = @Id",
            new { check.Id, now }
        );
        await CheckWriter.Tell(c, null, check.Id);
    }

    /// <summary>Opens a check again that was ended.</summary>
    public async Task Reopen(CheckId checkId, DateOnly today)
    {
        await using var c = await db.OpenConnectionAsync();
        await Reopen(c, null, checkId, today);
    }

    public static async Task Reopen(NpgsqlConnection c, NpgsqlTransaction? t, CheckId checkId, DateOnly today)
    {
        await c.ExecuteAsync(
            """
            update level_check
            set closed_at = null, closes_on = case when closes_on < @today then null else closes_on end,
              revision = revision + 1
            where id = @checkId
            """,
            new { checkId, today },
            t
        );
        await CheckWriter.Tell(c, t, checkId);
    }

    /// <summary>Checks whose last day has passed.</summary>
    public async Task<IReadOnlyList<(CheckId Id, SchoolId SchoolId)>> ToClose(DateOnly today)
    {
        return await db.All<(CheckId, SchoolId)>(
            """
            select id, school_id
            from level_check
            where closed_at is null and not draft and gone_at is null and closes_on < @today
            limit 500
            """,
            new { today }
        );
    }

    private static async Task<Sitting?> Load(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        SittingId sittingId,
        ReaderId readerId,
        SchoolId schoolId,
        Moment? at,
        bool lockRow
    )
    {
        var head = await c.QuerySingleOrDefaultAsync<(CheckId CheckId, string Supports, ClassId? ClassId)>(
            $"""
            select s.check_id, r.supports::text, s.class_id from sitting s join reader r on r.id = s.reader_id
            where s.id = @sittingId and s.reader_id = @readerId and s.taken_back_at is null {(
                lockRow ? "for update of s" : ""
            )}
            """,
            new { sittingId, readerId },
            t
        );
        if (
            head.CheckId == default
            || await CheckStore.Find(c, t, head.CheckId, schoolId) is not { Draft: false, Gone: false } check
            || check.OpensOn > at?.Today
        )
            return null;
        var supports = Database.FromJson<Supports>(head.Supports);
        var parts = await Parts(c, t, sittingId);
        var now = parts.Find(p => p.State is PartState.UnderWay) ?? parts.Find(p => p.State is PartState.Waiting);
        var given = now is { State: PartState.UnderWay } ? await StageStore.Of(c, t, now.Id) : [];
        var open = given.Count > 0 && !given[^1].Done ? given[^1] : null;
        var tomorrow =
            check.Plan.APartADay
            && now is { State: PartState.Waiting }
            && parts.Exists(p => p.State is PartState.Done && p.FinishedAt >= at?.DayBegan);
        return new(
            sittingId,
            readerId,
            head.ClassId,
            check,
            supports,
            parts,
            now,
            open,
            given.Where(x => x != open).Sum(x => x.Seconds),
            now is null ? 0 : Limit(check.Plan, now.Part, supports),
            tomorrow
        );
    }

    private static async Task<List<PartRow>> Parts(NpgsqlConnection c, NpgsqlTransaction t, SittingId sittingId) =>
        [
            .. (
                await c.QueryAsync<PartRow>(
                    """
                    select id, sitting_id, part, round, position, state, note, flag, answered, asked, correct, too_fast,
                      seconds, score, started_at, finished_at, moved
                    from sitting_part
                    where sitting_id = @sittingId
                    order by round, position
                    limit 100
                    """,
                    new { sittingId },
                    t
                )
            ),
        ];

    private static double Limit(CheckPlan plan, CheckPart part, Supports supports) =>
        plan.Of(part) is { } p ? PartRules.Limit(p, Math.Max(100, supports.MoreTime)).TotalSeconds : 0;
}
