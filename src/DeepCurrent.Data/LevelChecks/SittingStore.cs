using Dapper;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.LevelChecks;
using DeepCurrent.Core.Measuring;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Roster;
using DeepCurrent.Core.Schools;
using DeepCurrent.Core.Tickets;
using DeepCurrent.Data.Measuring;
using DeepCurrent.Data.Roster;
using DeepCurrent.Data.Storage;
using DeepCurrent.Data.Texts;
using Npgsql;

namespace DeepCurrent.Data.LevelChecks;

/// <summary>A check as its reader sees it in a list.</summary>
/// <param name="Left">Parts that are still to be done.</param>
public sealed record MyCheck(SittingId Id, string Title, DateOnly? ClosesOn, bool Begun, int Left);

/// <summary>One answer as it is sent.</summary>
/// <param name="Picks">Places, as they were shown.</param>
public sealed record SentAnswer(AnswerId Id, int Item, IReadOnlyList<int> Picks, DateTimeOffset At, int Milliseconds);

public sealed record StageAnswer(
    AnswerId Id,
    int Item,
    IReadOnlyList<int> Picks,
    bool Correct,
    bool TooFast,
    DateTimeOffset At
);

/// <summary>What was put to the reader at once, with the right answers; they do not leave the server.</summary>
public sealed record Stage(
    StageId Id,
    int Position,
    string Title,
    Fathoms? TextDepth,
    IReadOnlyList<IReadOnlyList<string>> Pages,
    IReadOnlyList<CheckItem> Items,
    IReadOnlyList<StageAnswer> Answers,
    double Seconds,
    DateTimeOffset ServedAt,
    bool Done
)
{
    /// <summary>The last that was heard of the reader's work on it.</summary>
    public DateTimeOffset LastContact => Answers.Select(a => a.At).Append(ServedAt).Max();
}

/// <param name="Refused">Answers that were given after the check had ended, and are not taken.</param>
public sealed record KeptStage(Sitting Sitting, int Refused);

/// <summary>A reader's own copy of a level check, as far as it is.</summary>
/// <param name="Now">The part that is under way, or the one that comes next; null when all is done.</param>
/// <param name="Stage">What is put to the reader; null before a part is begun.</param>
/// <param name="Spent">Seconds spent in the part before this stage.</param>
/// <param name="Limit">Seconds the part may take.</param>
/// <param name="Tomorrow">The next part opens on another day.</param>
public sealed record Sitting(
    SittingId Id,
    ReaderId ReaderId,
    ClassId? ClassId,
    LevelCheck Check,
    Supports Supports,
    IReadOnlyList<PartRow> Parts,
    PartRow? Now,
    Stage? Stage,
    double Spent,
    double Limit,
    bool Tomorrow
);

/// <summary>A level check on the reader's side: parts begun, answers kept, stages chosen, parts finished.</summary>
public sealed class SittingStore(NpgsqlDataSource db, TextStore texts, Notices notices)
{
    private readonly StageStore stages = new(new PassagePool(texts));
    private static readonly TimeSpan Lag = TimeSpan.FromSeconds(10);

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
            await Spare(c, t, s, yardstick, now);
            s = (await Load(c, t, sittingId, readerId, schoolId, at, lockRow: true))!;
            if (s.Now is { State: PartState.Waiting } part && !s.Tomorrow)
            {
                await c.ExecuteAsync(
                    $"update sitting_part set state = '{nameof(PartState.UnderWay)}', started_at = @now where id = @Id",
                    new { part.Id, now },
                    t
                );
                if (!await stages.Begin(c, t, s, part, schoolId, yardstick, now))
                    await Finish(c, t, s, part, PartRules.NothingFits, yardstick, now);
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
            await Write(c, t, part, stage, answers, seconds, now);
            if (done)
            {
                await c.ExecuteAsync("update stage set done_at = @now where id = @stageId", new { stageId, now }, t);
                s = (await Load(c, t, sittingId, readerId, schoolId, at, lockRow: true))!;
                if (!await stages.GoesOn(c, t, s, part, schoolId, yardstick, now))
                {
                    await Finish(c, t, s, part, "", yardstick, now);
                    await Spare(
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
            await Write(
                c,
                t,
                part,
                stage,
                inTime,
                Math.Min(seconds, (end!.Value - stage.ServedAt).TotalSeconds),
                at.Now
            );
            if (part.State is PartState.Done)
                await Finish(c, t, s, part, PartRules.CutOff, yardstick, at.Now);
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
                await Finish(c, t, s, part, PartRules.CutOff, yardstick, now);
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

    private static async Task Write(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        PartRow part,
        Stage stage,
        IReadOnlyList<SentAnswer> answers,
        double seconds,
        DateTimeOffset now
    )
    {
        var sentences = stage.Items.Any(i => i.Kind.PicksSentences()) ? Scoring.SentencesOf(stage.Pages).Count : 0;
        var kept = answers
            .Where(a => a.Item >= 0 && a.Item < stage.Items.Count && stage.Items[a.Item].Answers(a.Picks, sentences))
            .DistinctBy(a => a.Item)
            .DistinctBy(a => a.Id)
            .ToList();
        // In a maze passage a choice may be changed until the passage is done; elsewhere the first answer stays.
        var change =
            part.Part is CheckPart.Maze
                ? "do update set picks = excluded.picks, correct = excluded.correct, at = excluded.at"
                : "do nothing";
        await c.ExecuteAsync(
            $"""
            insert into check_answer (id, stage_id, item, picks, correct, too_fast, at, received_at, milliseconds)
            select @Id, @stageId, @Item, @picks, @correct, @tooFast, @at, @now, @ms
            where not exists (
              select 1 from check_answer x where x.id = @Id and (x.stage_id, x.item) <> (@stageId, @Item))
            on conflict (stage_id, item) {change}
            """,
            kept.Select(a => new
            {
                a.Id,
                stageId = stage.Id,
                a.Item,
                picks = a.Picks.ToArray(),
                correct = stage.Items[a.Item].IsRight(a.Picks),
                tooFast = Answering.TooFast(stage.Items[a.Item].Words, TimeSpan.FromMilliseconds(a.Milliseconds)),
                at = GivenTime.After(a.At, stage.LastContact),
                now,
                ms = Math.Clamp(a.Milliseconds, 0, 86_400_000),
            }),
            t
        );
        await Spend(c, t, part, stage, seconds, now);
    }

    /// <summary>How long a stage has taken, and with it its part.</summary>
    private static Task Spend(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        PartRow part,
        Stage stage,
        double seconds,
        DateTimeOffset now
    ) =>
        c.ExecuteAsync(
            """
            update stage
            set seconds = greatest(seconds, @seconds)
            where id = @Id;
            update sitting_part
            set seconds = (select sum(x.seconds) from stage x where x.part_id = @partId),
              answered = (
                select count(*) from check_answer a join stage x on x.id = a.stage_id where x.part_id = @partId)
            where id = @partId
            """,
            new
            {
                stage.Id,
                partId = part.Id,
                seconds = Math.Clamp(seconds, 0, Math.Max(0, (now - stage.ServedAt + Lag).TotalSeconds)),
            },
            t
        );

    /// <summary>Finishes a part: judges it, makes it evidence, and works the level out anew.</summary>
    private static async Task Finish(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        Sitting s,
        PartRow part,
        string note,
        Yardstick yardstick,
        DateTimeOffset now
    )
    {
        var given = await StageStore.Of(c, t, part.Id);
        var flag = await Judge(c, t, part, given, note, now);
        // Measured with and without the part at the same moment: what else has happened since the check was given is
        // not its doing.
        var own = await DepthKeeper.Without(c, t, s.ReaderId, part.Id, yardstick.Year, yardstick.Chart, now);
        await DepthKeeper.Replace(
            c,
            t,
            s.ReaderId,
            part.Id,
            CheckEvidence.Of(s.Check, part, given, flag, own.Mean, now)
        );
        if (given.Any(x => x.Answers.Count > 0))
            await SetLevels.EndByCheck(c, t, s.ReaderId, part.FinishedAt ?? now, now);
        var after = await DepthKeeper.Recompute(c, t, s.ReaderId, yardstick.Year, yardstick.Chart, now);
        await c.ExecuteAsync(
            """
            update sitting_part set moved = @moved where id = @partId;
            update sitting set after_mean = @Mean, after_sd = @Sd, changed_at = @now where id = @Id
            """,
            new
            {
                s.Id,
                partId = part.Id,
                moved = after.Mean - own.Mean,
                after.Mean,
                after.Sd,
                now,
            },
            t
        );
    }

    /// <summary>Counts a part, and says whether what was done stands for what the reader can do.</summary>
    private static async Task<PartFlag> Judge(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        PartRow part,
        IReadOnlyList<Stage> given,
        string note,
        DateTimeOffset now
    )
    {
        var answers = given.SelectMany(x => x.Answers).Select(a => new PartAnswer(a.Correct, a.TooFast)).ToList();
        var asked = part.Part is CheckPart.Maze ? answers.Count : given.Sum(x => x.Items.Count);
        var flag = note == PartRules.NothingFits ? PartFlag.Fine : PartRules.Judge(asked, answers);
        var seconds = given.Sum(x => x.Seconds);
        var right = answers.Count(a => a.Correct);
        double? score =
            part.Part is CheckPart.Maze && seconds > 0
                ? Maze.Score(right, answers.Count - right, TimeSpan.FromSeconds(Math.Max(1, seconds)))
                : null;
        await c.ExecuteAsync(
            $"""
            update stage set done_at = coalesce(done_at, @now) where part_id = @Id;
            update sitting_part
            set state = '{nameof(PartState.Done)}', flag = @flag, note = @note,
              answered = @answered, asked = @asked, correct = @right,
              too_fast = @tooFast, seconds = @seconds, score = @score, finished_at = coalesce(finished_at, @now)
            where id = @Id
            """,
            new
            {
                part.Id,
                flag = flag.ToString(),
                note,
                answered = answers.Count,
                asked,
                right,
                tooFast = answers.Count(a => a.TooFast),
                seconds,
                score,
                now,
            },
            t
        );
        return flag;
    }

    /// <summary>Passes over parts that this reader is spared.</summary>
    private static async Task Spare(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        Sitting s,
        Yardstick yardstick,
        DateTimeOffset now
    )
    {
        var depth = (await DepthKeeper.Trail(c, t, s.ReaderId, yardstick.Year, yardstick.Chart, now)).Now.Mean.Value;
        var mastered = await Mastered(c, t, s);
        var words = s
            .Parts.LastOrDefault(p => p is { Part: CheckPart.WordReading, State: PartState.Done, Flag: PartFlag.Fine })
            ?.ShareRight;
        foreach (var part in s.Parts.Where(p => p.State is PartState.Waiting && p.Round == 1).OrderBy(p => p.Position))
        {
            if (
                s.Check.Plan.Of(part.Part) is not { } plan
                || PartRules.Spared(plan, new(depth, mastered.Contains(part.Part), words)) is not { } why
            )
                break;
            await c.ExecuteAsync(
                $"""
                update sitting_part
                set state = '{nameof(PartState.Skipped)}', note = @why, finished_at = @now
                where id = @Id
                """,
                new
                {
                    part.Id,
                    why,
                    now,
                },
                t
            );
        }
    }

    /// <summary>Parts mastered in another check of the school year.</summary>
    private static async Task<HashSet<CheckPart>> Mastered(NpgsqlConnection c, NpgsqlTransaction t, Sitting s)
    {
        return (
            await c.QueryAsync<PartFlat>(
                $"""
                select p.id, p.sitting_id, p.part, p.round, p.position, p.state, p.note, p.flag, p.answered, p.asked,
                  p.correct, p.too_fast, p.seconds, p.score, p.started_at, p.finished_at, p.moved
                from sitting_part p join sitting n on n.id = p.sitting_id join level_check k on k.id = n.check_id
                where n.reader_id = @ReaderId
                  and n.id <> @Id
                  and k.school_year_id = @SchoolYearId
                  and p.state = '{nameof(PartState.Done)}'
                limit 500
                """,
                new
                {
                    s.ReaderId,
                    s.Id,
                    s.Check.SchoolYearId,
                },
                t
            )
        ).Select(p => p.Row()).Where(p => PartRules.Mastered(p.Flag, p.ShareRight)).Select(p => p.Part).ToHashSet();
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
                await c.QueryAsync<PartFlat>(
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
            ).Select(p => p.Row()),
        ];

    private static double Limit(CheckPlan plan, CheckPart part, Supports supports) =>
        plan.Of(part) is { } p ? PartRules.Limit(p, Math.Max(100, supports.MoreTime)).TotalSeconds : 0;
}
