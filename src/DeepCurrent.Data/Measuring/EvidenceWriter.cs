using Dapper;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Measuring;
using DeepCurrent.Core.Schools;
using DeepCurrent.Data.Schools;
using DeepCurrent.Data.Storage;
using Npgsql;

namespace DeepCurrent.Data.Measuring;

/// <summary>A piece of evidence and why it was left out before; null if it counted.</summary>
public sealed record LeftOutBefore(EvidenceId Id, string? Before);

/// <summary>Writes evidence, leaves it out and takes it away, and has the reader's depth follow.</summary>
public static class EvidenceWriter
{
    /// <summary>Leaves pieces of evidence out, or takes them in again, and recomputes. What was left out by rule is not
    /// changed.</summary>
    /// <param name="reason">Null to take in again.</param>
    /// <returns>The pieces that changed, and the reason each had before.</returns>
    public static async Task<IReadOnlyList<LeftOutBefore>> LeaveOut(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        ReaderId readerId,
        IReadOnlyList<EvidenceId> ids,
        string? reason,
        YearCalendar year,
        LevelChart chart,
        DateTimeOffset now
    )
    {
        await Lock(c, t, readerId);
        var wanted = reason is null ? null : LeftOut.ByTeacher(reason);
        var before = (
            await c.QueryAsync<LeftOutBefore>(
                """
                select id, left_out as before from evidence
                where reader_id = @readerId
                  and id = any(@ids)
                  and left_out is distinct from @wanted
                  and (left_out is null or starts_with(left_out, @TeacherMark))
                """,
                new
                {
                    readerId,
                    ids = ids.ToArray(),
                    wanted,
                    LeftOut.TeacherMark,
                },
                t
            )
        ).ToList();
        await c.ExecuteAsync(
            "update evidence set left_out = @wanted where reader_id = @readerId and id = any(@changed)",
            new
            {
                readerId,
                changed = before.Select(b => b.Id).ToArray(),
                wanted,
            },
            t
        );
        if (before.Count > 0)
            await DepthKeeper.Recompute(c, t, readerId, year, chart, now);
        return before;
    }

    /// <summary>Puts reasons back as they were.</summary>
    public static async Task<int> Restore(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        ReaderId readerId,
        IReadOnlyList<LeftOutBefore> before,
        YearCalendar year,
        LevelChart chart,
        DateTimeOffset now
    )
    {
        await Lock(c, t, readerId);
        var restored = await c.ExecuteAsync(
            """
            update evidence e set left_out = b.reason
            from unnest(@ids, @reasons) b (id, reason)
            where e.id = b.id and e.reader_id = @readerId
            """,
            new
            {
                readerId,
                ids = before.Select(b => b.Id).ToArray(),
                reasons = before.Select(b => b.Before).ToArray(),
            },
            t
        );
        if (restored > 0)
            await DepthKeeper.Recompute(c, t, readerId, year, chart, now);
        return restored;
    }

    /// <summary>Takes a stated level away for good and recomputes.</summary>
    public static async Task<bool> Remove(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        ReaderId readerId,
        EvidenceId evidenceId,
        YearCalendar year,
        LevelChart chart,
        DateTimeOffset now
    )
    {
        await Lock(c, t, readerId);
        if (
            await c.ExecuteAsync(
                $"""
                delete from evidence
                where id = @evidenceId and reader_id = @readerId and kind = {EvidenceKinds.Level} and part_id is null
                """,
                new { evidenceId, readerId },
                t
            ) == 0
        )
            return false;
        await DepthKeeper.Recompute(c, t, readerId, year, chart, now);
        return true;
    }

    private static Task Lock(NpgsqlConnection c, NpgsqlTransaction t, ReaderId readerId) =>
        c.ExecuteAsync("select 1 from reader where id = @readerId for update", new { readerId }, t);

    /// <summary>Writes evidence inside the caller's transaction; a row that is there already is left as it
    /// is.</summary>
    public static Task<int> Insert(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        ReaderId readerId,
        IReadOnlyList<EvidenceRow> rows,
        AdultId? adultId
    ) =>
        c.ExecuteAsync(
            $"""
            insert into evidence (reader_id, adult_id, {DepthKeeper.Columns})
            values (
              @readerId, @adultId, @Id, @At, @kind, @Difficulty, @Guess, @Correct, @Value, @Sd, @TextDepth, @Words,
              @Errors, @strand, @TicketId, @LeftOut, @Note::jsonb, @RecordId, @PartId)
            on conflict (id) do nothing
            """,
            rows.Select(r => new
            {
                readerId,
                adultId,
                r.Id,
                r.At,
                kind = r.Kind.ToString(),
                r.Difficulty,
                r.Guess,
                r.Correct,
                r.Value,
                r.Sd,
                r.TextDepth,
                r.Words,
                r.Errors,
                strand = r.Strand?.ToString(),
                r.TicketId,
                r.LeftOut,
                r.Note,
                r.RecordId,
                r.PartId,
            }),
            t
        );

    /// <summary>Writes the evidence of a part of a level check in place of what it was before; what a teacher has left
    /// out stays out.</summary>
    public static async Task Replace(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        ReaderId readerId,
        CheckPartId partId,
        IReadOnlyList<EvidenceRow> rows
    )
    {
        var before = (
            await c.QueryAsync<LeftOutBefore>(
                """
                delete from evidence where part_id = @partId and reader_id = @readerId returning id, left_out as before
                """,
                new { partId, readerId },
                t
            )
        ).ToDictionary(b => b.Id, b => b.Before);
        string? Kept(EvidenceRow r) =>
            before.GetValueOrDefault(r.Id) is { } kept && LeftOut.ReasonOfTeacher(kept) is not null ? kept : r.LeftOut;
        await Insert(c, t, readerId, [.. rows.Select(r => r with { LeftOut = Kept(r) })], null);
    }
}
