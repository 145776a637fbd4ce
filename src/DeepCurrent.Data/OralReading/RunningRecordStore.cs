using Dapper;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Measuring;
using DeepCurrent.Core.OralReading;
using DeepCurrent.Core.Schools;
using DeepCurrent.Data.Measuring;
using DeepCurrent.Data.Schools;
using DeepCurrent.Data.Storage;
using DeepCurrent.Data.Texts;
using Npgsql;

namespace DeepCurrent.Data.OralReading;

/// <summary>Running records of readers, their recordings, and the evidence they are.</summary>
public sealed class RunningRecordStore(NpgsqlDataSource db)
{
    private const string Columns = """
        k.id, k.reader_id, k.version_id, k.text_id, k.ticket_id, k.title, k.body, k.text_depth, k.fiction, k.done,
        k.made_at, k.read_at, k.sheet, k.revision, k.gone_at is not null as gone, k.sound_seconds, k.heard, k.listening,
        k.listen_note, a.name as "by"
        from running_record k left join adult a on a.id = k.adult_id
        """;

    /// <summary>A reader's records, the latest first; those that were thrown away are left out.</summary>
    public async Task<IReadOnlyList<RunningRecord>> Of(ReaderId readerId)
    {
        return await db.All<RunningRecord>(
            $"""
            select {Columns}
            where k.reader_id = @readerId and k.gone_at is null
            order by k.read_at desc, k.id
            limit 300
            """,
            new { readerId }
        );
    }

    /// <summary>The latest finished record of each of some readers, where there is one since an instant.</summary>
    public async Task<IReadOnlyDictionary<ReaderId, RunningRecord>> Latest(
        IReadOnlyCollection<ReaderId> readerIds,
        DateTimeOffset since
    ) =>
        (
            await db.All<RunningRecord>(
                $"""
                select distinct on (k.reader_id) {Columns}
                where k.reader_id = any(@readerIds) and k.gone_at is null and k.done and k.read_at >= @since
                order by k.reader_id, k.read_at desc, k.id
                """,
                new { readerIds = readerIds.ToArray(), since }
            )
        ).ToDictionary(r => r.ReaderId);

    public async Task<RunningRecord?> Find(RecordId id, ReaderId readerId)
    {
        return await db.One<RunningRecord>(
            $"select {Columns} where k.id = @id and k.reader_id = @readerId",
            new { id, readerId }
        );
    }

    /// <summary>Begins a record.</summary>
    /// <returns>False if the id is another reader's.</returns>
    public async Task<bool> Begin(NewRecord r)
    {
        await using var c = await db.OpenConnectionAsync();
        await c.ExecuteAsync(
            """
            insert into running_record (
              id, reader_id, version_id, text_id, ticket_id, adult_id, title, body, text_depth, fiction, made_at,
              read_at, sheet)
            values (
              @Id, @ReaderId, @VersionId, @TextId, @TicketId, @AdultId, @Title, @Body, @TextDepth, @Fiction, @At, @At,
              @sheet::jsonb)
            on conflict (id) do nothing
            """,
            new
            {
                r.Id,
                r.ReaderId,
                r.VersionId,
                r.TextId,
                r.TicketId,
                r.AdultId,
                r.Title,
                r.Body,
                r.TextDepth,
                r.Fiction,
                r.At,
                sheet = Database.ToJson(SheetData.Blank),
            }
        );
        return await c.QuerySingleAsync<bool>(
            "select reader_id = @ReaderId from running_record where id = @Id",
            new { r.Id, r.ReaderId }
        );
    }

    /// <summary>Keeps a sheet, and makes it evidence again if the record is done.</summary>
    /// <returns>The new revision; null if somebody else has changed it meanwhile.</returns>
    public async Task<int?> Keep(
        RunningRecord record,
        SheetData sheet,
        DateTimeOffset readAt,
        int revision,
        bool done,
        AdultId adultId,
        IReadOnlyList<EvidenceRow> evidence,
        YearCalendar year,
        LevelChart chart,
        DateTimeOffset now
    )
    {
        await using var c = await db.OpenConnectionAsync();
        await using var t = await c.BeginTransactionAsync();
        var next = await c.QuerySingleOrDefaultAsync<int?>(
            """
            update running_record
            set sheet = @sheet::jsonb, read_at = @readAt, done = @done, adult_id = coalesce(adult_id, @adultId),
              revision = revision + 1
            where id = @Id and reader_id = @ReaderId and revision = @revision and gone_at is null
            returning revision
            """,
            new
            {
                record.Id,
                record.ReaderId,
                sheet = Database.ToJson(sheet),
                readAt,
                done,
                adultId,
                revision,
            },
            t
        );
        if (next is null)
            return null;
        if (done || record.Done)
            await Weigh(c, t, record, evidence, adultId, year, chart, now);
        await t.CommitAsync();
        return next;
    }

    /// <summary>Throws a record away, or brings it back; its evidence goes and comes with it.</summary>
    public async Task Discard(
        RunningRecord record,
        bool gone,
        AdultId adultId,
        IReadOnlyList<EvidenceRow> evidence,
        YearCalendar year,
        LevelChart chart,
        DateTimeOffset now
    )
    {
        await using var c = await db.OpenConnectionAsync();
        await using var t = await c.BeginTransactionAsync();
        await c.ExecuteAsync(
            """
            update running_record
            set gone_at = case when @gone then @now end, revision = revision + 1
            where id = @Id and reader_id = @ReaderId
            """,
            new
            {
                record.Id,
                record.ReaderId,
                gone,
                now,
            },
            t
        );
        if (record.Done)
            await Weigh(c, t, record, gone ? [] : evidence, adultId, year, chart, now);
        await t.CommitAsync();
    }

    /// <summary>Puts a record's evidence in place of what was there; what a teacher left out stays left out.</summary>
    private static async Task Weigh(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        RunningRecord record,
        IReadOnlyList<EvidenceRow> evidence,
        AdultId adultId,
        YearCalendar year,
        LevelChart chart,
        DateTimeOffset now
    )
    {
        await c.ExecuteAsync("select 1 from reader where id = @ReaderId for update", new { record.ReaderId }, t);
        var left = await c.QueryFirstOrDefaultAsync<string?>(
            "select left_out from evidence where record_id = @Id and starts_with(left_out, @TeacherMark) limit 1",
            new { record.Id, LeftOut.TeacherMark },
            t
        );
        await c.ExecuteAsync("delete from evidence where record_id = @Id", new { record.Id }, t);
        await EvidenceWriter.Insert(
            c,
            t,
            record.ReaderId,
            [.. evidence.Select(e => e with { LeftOut = e.LeftOut ?? left })],
            adultId
        );
        await DepthKeeper.Recompute(c, t, record.ReaderId, year, chart, now);
    }
}
