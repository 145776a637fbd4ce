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

/// <summary>How a question that was asked aloud was answered.</summary>
public sealed record OralAnswer(QuestionId QuestionId, bool Right);

/// <summary>What a teacher has put on a running record.</summary>
/// <param name="Seconds">0 while it is not timed.</param>
/// <param name="LastWord">The last word read, where the reader stopped early.</param>
/// <param name="Retelling">Points by part.</param>
public sealed record SheetData(
    IReadOnlyList<SheetMark> Marks,
    double Seconds,
    int? LastWord,
    int Pauses,
    IReadOnlyDictionary<string, int> Retelling,
    IReadOnlyList<OralAnswer> Answers,
    string Note
)
{
    public static readonly SheetData Blank = new([], 0, null, 0, new Dictionary<string, int>(), [], "");
}

public sealed record RunningRecord
{
    public required RecordId Id { get; init; }

    public required ReaderId ReaderId { get; init; }

    public required VersionId? VersionId { get; init; }

    public required TextId? TextId { get; init; }

    public required TicketId? TicketId { get; init; }

    public required string Title { get; init; }

    public required string Body { get; init; }

    public required Fathoms TextDepth { get; init; }

    public required bool Fiction { get; init; }

    public required bool Done { get; init; }

    public required DateTimeOffset MadeAt { get; init; }

    public required DateTimeOffset ReadAt { get; init; }

    public required SheetData Sheet { get; init; }

    public required int Revision { get; init; }

    public required bool Gone { get; init; }

    public required double? SoundSeconds { get; init; }

    /// <summary>What the listening device heard.</summary>
    public required IReadOnlyList<HeardWord>? Heard { get; init; }

    /// <summary>Null where there is nothing to listen to.</summary>
    public required ListeningState? Listening { get; init; }

    /// <summary>Why it failed.</summary>
    public required Message? ListenNote { get; init; }

    public required string? By { get; init; }
}

/// <summary>A new record; the same id again changes nothing.</summary>
public sealed record NewRecord(
    RecordId Id,
    ReaderId ReaderId,
    VersionId? VersionId,
    TextId? TextId,
    TicketId? TicketId,
    AdultId? AdultId,
    string Title,
    string Body,
    Fathoms TextDepth,
    bool Fiction,
    DateTimeOffset At
);

/// <summary>A recording that waits for a person.</summary>
public sealed record RecordingRow(
    RecordId Id,
    ReaderId ReaderId,
    string GivenName,
    string FamilyName,
    string Title,
    DateTimeOffset ReadAt,
    double Seconds,
    ListeningState? Listening
);

/// <summary>A recording a reader has made of a text.</summary>
/// <param name="Marked">It cannot be made again.</param>
public sealed record MyRecording(RecordId Id, double Seconds, bool Marked);

/// <summary>A recording that the listening device is to hear.</summary>
public sealed record ToHear(RecordId Id, string Body, byte[] Sound, string Type, double Seconds);

/// <summary>Running records of readers, their recordings, and the evidence they are.</summary>
public sealed class RunningRecordStore(NpgsqlDataSource db)
{
    private const string Columns = """
        k.id, k.reader_id, k.version_id, k.text_id, k.ticket_id, k.title, k.body, k.text_depth, k.fiction, k.done,
        k.made_at, k.read_at, k.sheet, k.revision, k.gone_at is not null as gone, k.sound_seconds, k.heard, k.listening,
        k.listen_note, a.name as "by"
        from running_record k left join adult a on a.id = k.adult_id
        """;

    private sealed record Flat
    {
        public required RecordId Id { get; init; }

        public required ReaderId ReaderId { get; init; }

        public required VersionId? VersionId { get; init; }

        public required TextId? TextId { get; init; }

        public required TicketId? TicketId { get; init; }

        public required string Title { get; init; }

        public required string Body { get; init; }

        public required Fathoms TextDepth { get; init; }

        public required bool Fiction { get; init; }

        public required bool Done { get; init; }

        public required DateTimeOffset MadeAt { get; init; }

        public required DateTimeOffset ReadAt { get; init; }

        public required string Sheet { get; init; }

        public required int Revision { get; init; }

        public required bool Gone { get; init; }

        public required double? SoundSeconds { get; init; }

        public required string? Heard { get; init; }

        public required ListeningState? Listening { get; init; }

        public required Message? ListenNote { get; init; }

        public required string? By { get; init; }

        public RunningRecord Open() =>
            new()
            {
                Id = Id,
                ReaderId = ReaderId,
                VersionId = VersionId,
                TextId = TextId,
                TicketId = TicketId,
                Title = Title,
                Body = Body,
                TextDepth = TextDepth,
                Fiction = Fiction,
                Done = Done,
                MadeAt = MadeAt,
                ReadAt = ReadAt,
                Sheet = Database.FromJson<SheetData>(Sheet),
                Revision = Revision,
                Gone = Gone,
                SoundSeconds = SoundSeconds,
                Heard = Heard is null ? null : Database.FromJson<List<HeardWord>>(Heard),
                Listening = Listening,
                ListenNote = ListenNote,
                By = By,
            };
    }

    /// <summary>A reader's records, the latest first; those that were thrown away are left out.</summary>
    public async Task<IReadOnlyList<RunningRecord>> Of(ReaderId readerId)
    {
        return
        [
            .. (
                await db.All<Flat>(
                    $"""
                    select {Columns}
                    where k.reader_id = @readerId and k.gone_at is null
                    order by k.read_at desc, k.id
                    limit 300
                    """,
                    new { readerId }
                )
            ).Select(r => r.Open()),
        ];
    }

    /// <summary>The latest finished record of each of some readers, where there is one since an instant.</summary>
    public async Task<IReadOnlyDictionary<ReaderId, RunningRecord>> Latest(
        IReadOnlyCollection<ReaderId> readerIds,
        DateTimeOffset since
    ) => (
            await db.All<Flat>(
                $"""
                select distinct on (k.reader_id) {Columns}
                where k.reader_id = any(@readerIds) and k.gone_at is null and k.done and k.read_at >= @since
                order by k.reader_id, k.read_at desc, k.id
                """,
                new { readerIds = readerIds.ToArray(), since }
            )
        ).Select(r => r.Open()).ToDictionary(r => r.ReaderId);

    public async Task<RunningRecord?> Find(RecordId id, ReaderId readerId)
    {
        return (
            await db.One<Flat>($"select {Columns} where k.id = @id and k.reader_id = @readerId", new { id, readerId })
        )?.Open();
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
        await DepthKeeper.Insert(
            c,
            t,
            record.ReaderId,
            [.. evidence.Select(e => e with { LeftOut = e.LeftOut ?? left })],
            adultId
        );
        await DepthKeeper.Recompute(c, t, record.ReaderId, year, chart, now);
    }

    /// <summary>Keeps a recording, and asks for it to be listened to where there is a device. A later one takes the
    /// place of an earlier one until the record is done.</summary>
    /// <returns>False if the record is done.</returns>
    public async Task<bool> KeepSound(RecordId id, ReaderId readerId, Sound sound, double seconds, bool listen)
    {
        return await db.Run(
                $"""
                update running_record
                set sound = @Bytes, sound_type = @Type, sound_seconds = @seconds, heard = null,
                  listening = case when @listen then '{nameof(ListeningState.Waiting)}' end, listen_note = null
                where id = @id and reader_id = @readerId and not done and gone_at is null
                """,
                new
                {
                    id,
                    readerId,
                    sound.Bytes,
                    sound.Type,
                    seconds,
                    listen,
                }
            ) > 0;
    }

    public async Task<Sound?> SoundOf(RecordId id, ReaderId readerId)
    {
        return await db.One<Sound>(
            """
            select sound_type as type, sound as bytes
            from running_record
            where id = @id and reader_id = @readerId and sound is not null
            """,
            new { id, readerId }
        );
    }

    /// <summary>The recording a reader made for a ticket, if any.</summary>
    public async Task<MyRecording?> OfTicket(TicketId ticketId, ReaderId readerId)
    {
        return await db.First<MyRecording>(
            """
            select id, sound_seconds as seconds, done as marked
            from running_record
            where ticket_id = @ticketId and reader_id = @readerId and sound_type is not null and gone_at is null
            order by made_at desc
            limit 1
            """,
            new { ticketId, readerId }
        );
    }

    /// <summary>Recordings of a class that nobody has marked yet, oldest first.</summary>
    public async Task<IReadOnlyList<RecordingRow>> ToMark(ClassId classId)
    {
        return await db.All<RecordingRow>(
            """
            select k.id, k.reader_id, r.given_name, r.family_name, k.title, k.read_at, k.sound_seconds as seconds,
              k.listening
            from enrolment e join running_record k on k.reader_id = e.reader_id join reader r on r.id = k.reader_id
            where e.class_id = @classId
              and e.to_day is null
              and not k.done
              and k.gone_at is null
              and k.sound_type is not null
            order by k.read_at limit 300
            """,
            new { classId }
        );
    }

    /// <summary>Asks for a recording to be listened to again.</summary>
    public async Task<bool> ListenAgain(RecordId id, ReaderId readerId)
    {
        return await db.Run(
                $"""
                update running_record
                set listening = '{nameof(ListeningState.Waiting)}', heard = null, listen_note = null
                where id = @id
                  and reader_id = @readerId
                  and sound is not null
                  and (listening is null or listening in ({ListeningStates.Over}))
                """,
                new { id, readerId }
            ) > 0;
    }

    /// <summary>Takes the next recording to listen to; one whose listener has vanished is taken again after a
    /// while.</summary>
    public async Task<ToHear?> Take(DateTimeOffset now)
    {
        return await db.One<ToHear>(
            $"""
            update running_record set listening = '{nameof(ListeningState.Listening)}', listen_from = @now
            where id = (
              select id
              from running_record
              where listening = '{nameof(ListeningState.Waiting)}'
                or (
                  listening = '{nameof(ListeningState.Listening)}'
                    and listen_from < @now - interval '5 minutes')
              order by made_at
              limit 1
              for update skip locked)
            returning id, body, sound, sound_type as type, sound_seconds as seconds
            """,
            new { now }
        );
    }

    /// <summary>Keeps what was heard, or why nothing was.</summary>
    public async Task Heard(RecordId id, IReadOnlyList<HeardWord>? heard, Message? note)
    {
        await db.Run(
            $"""
            with k as (
              update running_record
              set heard = @words::jsonb, listen_note = @note::jsonb,
                listening =
                  case
                    when @words::jsonb is null then '{nameof(ListeningState.Failed)}'
                    else '{nameof(ListeningState.Heard)}'
                  end
              where id = @id and listening = '{nameof(ListeningState.Listening)}'
              returning reader_id)
            select pg_notify('ticket', e.class_id::text)
            from k join enrolment e on e.reader_id = k.reader_id
            where e.to_day is null
            """,
            new
            {
                id,
                words = heard is null ? null : Database.ToJson(heard),
                note,
            }
        );
    }
}
