using Dapper;
using DeepCurrent.Core.Depth;
using Npgsql;

namespace DeepCurrent.Data.Measuring;

/// <summary>A level a teacher has set, and what the estimate says beneath it.</summary>
/// <param name="Value">Fathoms.</param>
/// <param name="UntilAt">When it is over; null until the next level check.</param>
/// <param name="By">Who set it; empty where they are no longer known.</param>
/// <param name="EstimateSd">Standard error of the estimate in fathoms.</param>
public sealed record SetLevel(
    LevelSetId Id,
    Fathoms Value,
    DateTimeOffset At,
    DateTimeOffset? UntilAt,
    string Reason,
    string By,
    Fathoms EstimateMean,
    double EstimateSd
);

/// <summary>Levels that teachers set. While one stands it is the reader's level, wherever a level is shown or
/// used.</summary>
public static class SetLevels
{
    /// <summary>Standard error of a level that is what a teacher says, in fathoms: not 0, since forecasts weigh with
    /// it.</summary>
    public const double Sd = 1;

    /// <summary>The level that is set for a reader at a time; null where the estimate counts.</summary>
    public static Task<SetLevel?> Of(NpgsqlConnection c, ReaderId readerId, DateTimeOffset now) =>
        c.QuerySingleOrDefaultAsync<SetLevel?>(
            """
            select s.id, s.value, s.at, s.until_at, s.reason, coalesce(a.name, '') as by,
              coalesce(r.estimate_mean, r.depth_mean) as estimate_mean,
              coalesce(r.estimate_sd, r.depth_sd) as estimate_sd
            from level_set s
              join reader r on r.id = s.reader_id
              left join adult a on a.id = s.adult_id
            where s.reader_id = @readerId and s.ended_at is null and (s.until_at is null or s.until_at > @now)
            """,
            new { readerId, now }
        );

    /// <summary>Sets a level in place of one that stands.</summary>
    /// <returns>The one it takes the place of; null where there was none.</returns>
    public static async Task<LevelSetId?> Set(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        ReaderId readerId,
        LevelSetId id,
        AdultId adultId,
        double value,
        DateTimeOffset? untilAt,
        string reason,
        DateTimeOffset now
    )
    {
        var before = await c.ExecuteScalarAsync<LevelSetId?>(
            "update level_set set ended_at = @now where reader_id = @readerId and ended_at is null returning id",
            new { readerId, now },
            t
        );
        await c.ExecuteAsync(
            """
            insert into level_set (id, reader_id, adult_id, value, at, until_at, reason)
            values (@id, @readerId, @adultId, @value, @now, @untilAt, @reason)
            """,
            new
            {
                id,
                readerId,
                adultId,
                value,
                now,
                untilAt,
                reason,
            },
            t
        );
        return before;
    }

    /// <summary>Ends the level that stands.</summary>
    /// <returns>Which it was; null where there was none.</returns>
    public static Task<LevelSetId?> End(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        ReaderId readerId,
        DateTimeOffset now
    ) =>
        c.ExecuteScalarAsync<LevelSetId?>(
            """
            update level_set
            set ended_at = @now
            where reader_id = @readerId and ended_at is null and (until_at is null or until_at > @now)
            returning id
            """,
            new { readerId, now },
            t
        );

    /// <summary>A level check has been done: what stood until the next one is over. What was set after the check is
    /// not.</summary>
    /// <param name="finished">When the check was done; it may be heard of later.</param>
    public static Task EndByCheck(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        ReaderId readerId,
        DateTimeOffset finished,
        DateTimeOffset now
    ) =>
        c.ExecuteAsync(
            """
            update level_set
            set ended_at = @now
            where reader_id = @readerId and ended_at is null and until_at is null and at <= @finished
            """,
            new
            {
                readerId,
                finished,
                now,
            },
            t
        );

    /// <summary>Takes the setting of a level back, and lets the one before stand again.</summary>
    /// <returns>False where it no longer stands.</returns>
    public static async Task<bool> TakeBack(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        ReaderId readerId,
        LevelSetId id,
        LevelSetId? before
    )
    {
        if (
            await c.ExecuteAsync(
                "delete from level_set where id = @id and reader_id = @readerId and ended_at is null",
                new { id, readerId },
                t
            ) == 0
        )
            return false;
        if (before is { } again)
            await c.ExecuteAsync(
                "update level_set set ended_at = null where id = @again and reader_id = @readerId",
                new { again, readerId },
                t
            );
        return true;
    }

    /// <summary>Lets a level stand again that was ended.</summary>
    /// <returns>False where another has been set since.</returns>
    public static async Task<bool> StandAgain(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        ReaderId readerId,
        LevelSetId id
    ) =>
        await c.ExecuteAsync(
            """
            update level_set set ended_at = null
            where id = @id
              and reader_id = @readerId
              and not exists (select 1 from level_set s where s.reader_id = @readerId and s.ended_at is null)
            """,
            new { id, readerId },
            t
        ) == 1;
}
