using Dapper;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Measuring;
using DeepCurrent.Core.Schools;
using DeepCurrent.Data.Schools;
using DeepCurrent.Data.Storage;
using Npgsql;

namespace DeepCurrent.Data.Measuring;

public sealed record DepthDay(DateOnly Day, Fathoms Mean, double Sd, Fathoms Low, Fathoms High);

/// <summary>Keeps evidence, and each reader's depth current with it.</summary>
public sealed class DepthKeeper(NpgsqlDataSource db)
{
    internal const string Columns =
        "id, at, kind, difficulty, guess, correct, value, sd, text_depth, words, errors, strand, ticket_id, "
        + "left_out, note, record_id, part_id";

    public async Task<IReadOnlyList<EvidenceRow>> Evidence(ReaderId readerId)
    {
        return await db.All<EvidenceRow>(
            $"select {Columns} from evidence where reader_id = @readerId order by at, id limit 20000",
            new { readerId }
        );
    }

    public async Task<IReadOnlyList<DepthDay>> Days(ReaderId readerId)
    {
        return await db.All<DepthDay>(
            "select day, mean, sd, low, high from depth_day where reader_id = @readerId order by day limit 5000",
            new { readerId }
        );
    }

    /// <summary>What each piece of a reader's evidence that counts did to the level.</summary>
    /// <param name="evidence">All of it, in order of time.</param>
    public async Task<IReadOnlyList<(EvidenceRow Row, EvidenceEffect Effect)>> Effects(
        ReaderId readerId,
        IReadOnlyList<EvidenceRow> evidence,
        YearCalendar year,
        LevelChart chart
    )
    {
        var (mean, sd, at) = await db.Single<(double, double, DateTimeOffset)>(
            "select prior_mean, prior_sd, prior_at from reader where id = @readerId",
            new { readerId }
        );
        var rows = evidence.Where(e => e.LeftOut is null).ToList();
        var effects = EvidenceAccount.Effects(
            new(new(mean), sd, at),
            rows.Select(r => Piece(r, at)),
            Growing(year, chart)
        );
        return [.. rows.Zip(effects)];
    }

    /// <summary>Adds a stated level or a running record and recomputes.</summary>
    public async Task<DepthEstimate> Add(
        ReaderId readerId,
        EvidenceRow row,
        AdultId? adultId,
        YearCalendar year,
        LevelChart chart,
        DateTimeOffset now
    )
    {
        await using var c = await db.OpenConnectionAsync();
        await using var t = await c.BeginTransactionAsync();
        await EvidenceWriter.Insert(c, t, readerId, [row], adultId);
        var estimate = await Recompute(c, t, readerId, year, chart, now);
        await t.CommitAsync();
        return estimate;
    }

    /// <summary>Runs all of a reader's evidence again and keeps the result, inside the caller's transaction. The
    /// reader's row is locked, so that two hand-ins do not overwrite one another.</summary>
    public static async Task<DepthEstimate> Recompute(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        ReaderId readerId,
        YearCalendar year,
        LevelChart chart,
        DateTimeOffset now
    )
    {
        var trail = await Trail(c, t, readerId, year, chart, now);
        var days = trail.Steps.GroupBy(s => year.Clock.DayOf(s.At)).Select(g => (Day: g.Key, Last: g.Last())).ToList();
        await c.ExecuteAsync(
            """
            delete from depth_day where reader_id = @readerId;
            insert into depth_day (reader_id, day, mean, sd, low, high)
            select @readerId, * from unnest(@days, @means, @sds, @lows, @highs)
            """,
            new
            {
                readerId,
                days = days.Select(d => d.Day).ToArray(),
                means = days.Select(d => d.Last.Mean).ToArray(),
                sds = days.Select(d => d.Last.Sd).ToArray(),
                lows = days.Select(d => d.Last.Low).ToArray(),
                highs = days.Select(d => d.Last.High).ToArray(),
            },
            t
        );
        await Keep(c, t, readerId, trail.Now, now);
        return trail.Now;
    }

    /// <summary>Writes a reader's level: the estimate, or what a teacher has set while that stands, with the estimate
    /// beneath.</summary>
    private static Task Keep(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        ReaderId readerId,
        DepthEstimate estimate,
        DateTimeOffset now
    ) =>
        c.ExecuteAsync(
            """
            update reader r
            set depth_mean = coalesce(s.value, @Mean), depth_sd = case when s.id is null then @Sd else @SetSd end,
              depth_at = @At,
                depth_low = coalesce(s.value - 1.645 * @SetSd, @Low),
                depth_high = coalesce(s.value + 1.645 * @SetSd, @High),
                estimate_mean = case when s.id is null then null else @Mean end,
                estimate_sd = case when s.id is null then null else @Sd end
            from (select) one
              left join level_set s on s.reader_id = @readerId
                and s.ended_at is null
                and (s.until_at is null or s.until_at > @now)
            where r.id = @readerId
            """,
            new
            {
                readerId,
                estimate.Mean,
                estimate.Sd,
                estimate.Low,
                estimate.High,
                estimate.At,
                SetSd = SetLevels.Sd,
                now,
            },
            t
        );

    /// <summary>Readers of a school whose level was last reckoned before a time; growth and drift have gone on
    /// since.</summary>
    public async Task<IReadOnlyList<ReaderId>> Behind(SchoolId schoolId, DateTimeOffset since, int most)
    {
        return await db.All<ReaderId>(
            """
            select id
            from reader
            where school_id = @schoolId and not left_school and merged_into is null and depth_at < @since
            order by depth_at
            limit @most
            """,
            new
            {
                schoolId,
                since,
                most,
            }
        );
    }

    /// <summary>Lets growth and drift run on to now for one reader, as all evidence has it. Days of the trail stay what
    /// they were.</summary>
    public async Task RunOn(ReaderId readerId, YearCalendar year, LevelChart chart, DateTimeOffset now)
    {
        await using var c = await db.OpenConnectionAsync();
        await using var t = await c.BeginTransactionAsync();
        var trail = await Trail(c, t, readerId, year, chart, now);
        await Keep(c, t, readerId, trail.Now, now);
        await t.CommitAsync();
    }

    /// <summary>The level a teacher has set, where one stands.</summary>
    public async Task<SetLevel?> Set(ReaderId readerId, DateTimeOffset now)
    {
        await using var c = await db.OpenConnectionAsync();
        return await SetLevels.Of(c, readerId, now);
    }

    /// <summary>The estimate as it would stand without a part of a level check.</summary>
    public static async Task<DepthEstimate> Without(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        ReaderId readerId,
        CheckPartId partId,
        YearCalendar year,
        LevelChart chart,
        DateTimeOffset now
    ) => (await Trail(c, t, readerId, year, chart, now, partId)).Now;

    /// <summary>The estimate as it stands, without keeping it.</summary>
    public static async Task<DepthTrail> Trail(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        ReaderId readerId,
        YearCalendar year,
        LevelChart chart,
        DateTimeOffset now,
        CheckPartId? without = null
    )
    {
        var (mean, sd, at) = await c.QuerySingleAsync<(double, double, DateTimeOffset)>(
            "select prior_mean, prior_sd, prior_at from reader where id = @readerId for no key update",
            new { readerId },
            t
        );
        var rows = await c.QueryAsync<EvidenceRow>(
            $"""
            select {Columns}
            from evidence
            where reader_id = @readerId
              and left_out is null
              and (@without::uuid is null or part_id is distinct from @without)
            order by at, id
            limit 20000
            """,
            new { readerId, without },
            t
        );
        return ReaderEstimator.Run(new(new(mean), sd, at), rows.Select(r => Piece(r, at)), Growing(year, chart), now);
    }

    private static Movement Growing(YearCalendar year, LevelChart chart) =>
        new(d => chart.GrowthPerWeek(d), ReaderEstimator.DriftPerWeek, year.SchoolWeeks);

    /// <summary>A piece for the estimate. One that is older than the reader is here, given elsewhere or without a
    /// network, counts from the beginning.</summary>
    private static Evidence Piece(EvidenceRow r, DateTimeOffset from) =>
        (r.At < from ? r with { At = from } : r).Piece();
}
