using Dapper;
using DeepCurrent.Core.Meetings;
using DeepCurrent.Core.Questions;
using DeepCurrent.Data.Storage;
using Npgsql;

namespace DeepCurrent.Data.Meetings;

/// <summary>A meeting of a group.</summary>
public sealed record MeetingRow
{
    public required MeetingId Id { get; init; }

    public required ClassId ClassId { get; init; }

    public required GroupId GroupId { get; init; }

    /// <summary>Its name.</summary>
    public required string Group { get; init; }

    public required DateOnly Day { get; init; }

    /// <summary>Time of day, 09:20; null where none is said.</summary>
    public required string? StartsAt { get; init; }

    public required int Minutes { get; init; }

    public required TextId? TextId { get; init; }

    /// <summary>Of the text; null without one.</summary>
    public required string? Title { get; init; }

    public required PointKind Point { get; init; }

    public required Strand? Strand { get; init; }

    /// <summary>The point in the teacher's own words; empty where it is the strand alone.</summary>
    public required string Words { get; init; }

    public required DateTimeOffset? BegunAt { get; init; }

    public required DateTimeOffset? EndedAt { get; init; }

    /// <summary>Readers something was noted of.</summary>
    public required int Seen { get; init; }
}

/// <summary>What is planned of a meeting.</summary>
public sealed record MeetingPlanned(
    MeetingId Id,
    GroupId GroupId,
    DateOnly Day,
    string? StartsAt,
    int Minutes,
    TextId? TextId,
    PointKind Point,
    Strand? Strand,
    string Words
);

/// <summary>What was seen of a reader at a meeting.</summary>
/// <param name="Here">False where they were away.</param>
/// <param name="Mark">How it went; null where nothing is said yet.</param>
public sealed record SeenRow(
    ReaderId ReaderId,
    bool Here,
    SeenMark? Mark,
    IReadOnlyList<Observation> Observed,
    string Note,
    DateTimeOffset At
);

/// <summary>Meetings of groups: planned, held, and what was seen.</summary>
public sealed class MeetingStore(NpgsqlDataSource db)
{
    private const string RowSql = """
        select m.id, m.class_id, m.group_id, g.name as "group", m.day, m.starts_at, m.minutes, m.text_id, t.title,
          m.point, m.strand, m.words, m.begun_at, m.ended_at,
          (
            select count(*)::int
            from meeting_seen s
            where s.meeting_id = m.id and s.here and s.mark is not null) as seen
        from meeting m join guided_group g on g.id = m.group_id left join text t on t.id = m.text_id
        """;

    /// <summary>Meetings of a class over days, in their order.</summary>
    public Task<IReadOnlyList<MeetingRow>> Of(ClassId classId, DateOnly from, DateOnly to) =>
        db.All<MeetingRow>(
            $"""
            {RowSql}
            where m.class_id = @classId and m.day between @from and @to and m.removed_at is null
            order by m.day, m.starts_at nulls last, g.position, m.id
            limit 500
            """,
            new
            {
                classId,
                from,
                to,
            }
        );

    /// <summary>One meeting; null where there is none.</summary>
    public Task<MeetingRow?> Find(MeetingId id) =>
        db.One<MeetingRow>($"{RowSql} where m.id = @id and m.removed_at is null", new { id });

    /// <summary>The last meeting of a group before a day that was held.</summary>
    public Task<MeetingRow?> Before(GroupId groupId, DateOnly day) =>
        db.First<MeetingRow>(
            $"""
            {RowSql}
            where m.group_id = @groupId and m.day < @day and m.ended_at is not null and m.removed_at is null
            order by m.day desc, m.ended_at desc
            limit 1
            """,
            new { groupId, day }
        );

    /// <summary>The next meeting of a group after a day that is not held yet.</summary>
    public Task<MeetingRow?> After(GroupId groupId, DateOnly day) =>
        db.First<MeetingRow>(
            $"""
            {RowSql}
            where m.group_id = @groupId and m.day > @day and m.begun_at is null and m.removed_at is null
            order by m.day
            limit 1
            """,
            new { groupId, day }
        );

    /// <summary>Plans meetings of groups of a class, or changes them; one that was removed is there again.</summary>
    /// <returns>How many; groups of other classes, and meetings of theirs, are left alone.</returns>
    public async Task<int> Plan(ClassId classId, IReadOnlyList<MeetingPlanned> meetings, AdultId by, DateTimeOffset now)
    {
        await using var c = await db.OpenConnectionAsync();
        await using var t = await c.BeginTransactionAsync();
        var done = 0;
        foreach (var m in meetings)
            done += await c.ExecuteAsync(
                """
                insert into meeting (
                  id, class_id, group_id, day, starts_at, minutes, text_id, point, strand, words, made_by, made_at)
                select @Id, @classId, g.id, @Day, @StartsAt, @Minutes, @TextId, @point, @strand, @Words, @by, @now
                from guided_group g
                where g.id = @GroupId and g.class_id = @classId
                on conflict (id) do update
                set group_id = excluded.group_id, day = excluded.day, starts_at = excluded.starts_at,
                  minutes = excluded.minutes, text_id = excluded.text_id, point = excluded.point,
                  strand = excluded.strand, words = excluded.words, removed_at = null
                where meeting.class_id = excluded.class_id
                """,
                new
                {
                    m.Id,
                    classId,
                    m.GroupId,
                    m.Day,
                    m.StartsAt,
                    m.Minutes,
                    m.TextId,
                    point = m.Point.ToString(),
                    strand = m.Strand?.ToString(),
                    m.Words,
                    by,
                    now,
                },
                t
            );
        await t.CommitAsync();
        return done;
    }

    public Task Remove(MeetingId id, DateTimeOffset now) =>
        db.Run("update meeting set removed_at = @now where id = @id", new { id, now });

    /// <summary>It has begun, or ended; said again, the first time stands. One that ends has begun.</summary>
    public Task Time(MeetingId id, bool ended, DateTimeOffset now) =>
        db.Run(
            """
            update meeting
            set begun_at = coalesce(begun_at, @now), ended_at = case when @ended then coalesce(ended_at, @now) end
            where id = @id
            """,
            new
            {
                id,
                ended,
                now,
            }
        );

    /// <summary>What was seen at a meeting, by reader.</summary>
    public async Task<IReadOnlyDictionary<ReaderId, SeenRow>> Seen(MeetingId id) =>
        (
            await db.All<(
                ReaderId Reader,
                bool Here,
                SeenMark? Mark,
                string[] Observed,
                string Note,
                DateTimeOffset At
            )>(
                "select reader_id, here, mark, observed, note, at from meeting_seen where meeting_id = @id limit 200",
                new { id }
            )
        )
            .Select(r => new SeenRow(
                r.Reader,
                r.Here,
                r.Mark,
                [.. r.Observed.Select(Enum.Parse<Observation>)],
                r.Note,
                r.At
            ))
            .ToDictionary(r => r.ReaderId);

    /// <summary>Keeps what was seen of one reader.</summary>
    public Task See(MeetingId id, SeenRow seen, AdultId by) =>
        db.Run(
            """
            insert into meeting_seen (meeting_id, reader_id, here, mark, observed, note, by_adult, at)
            values (@id, @ReaderId, @Here, @mark, @observed, @Note, @by, @At)
            on conflict (meeting_id, reader_id) do update
            set here = excluded.here, mark = excluded.mark, observed = excluded.observed, note = excluded.note,
              by_adult = excluded.by_adult, at = excluded.at
            """,
            new
            {
                id,
                seen.ReaderId,
                seen.Here,
                mark = seen.Mark?.ToString(),
                observed = seen.Observed.Select(o => o.ToString()).ToArray(),
                seen.Note,
                by,
                seen.At,
            }
        );

    /// <summary>Kept words that were not known when they were last asked, by reader.</summary>
    public async Task<IReadOnlyDictionary<ReaderId, int>> WordsMissed(ClassId classId) =>
        (
            await db.All<(ReaderId Reader, int Count)>(
                """
                select w.reader_id, count(*)::int
                from kept_word w join enrolment e on e.reader_id = w.reader_id and e.class_id = @classId and e.to_day is null
                where w.removed_at is null and (w.tries -> -1 ->> 'right')::boolean is false
                group by w.reader_id
                limit 2000
                """,
                new { classId }
            )
        ).ToDictionary(r => r.Reader, r => r.Count);

    /// <summary>Whether something may be noted of a reader at a meeting: they are in its group, or in its class.</summary>
    public Task<bool> MayBeSeen(MeetingRow m, ReaderId readerId) =>
        db.Value<bool>(
            """
            select exists (select 1 from group_member where group_id = @GroupId and reader_id = @readerId)
              or exists (
                select 1 from enrolment where class_id = @ClassId and reader_id = @readerId and to_day is null)
            """,
            new
            {
                m.GroupId,
                m.ClassId,
                readerId,
            }
        );
}
