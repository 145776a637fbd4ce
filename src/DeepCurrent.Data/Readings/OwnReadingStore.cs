using DeepCurrent.Core.Goals;
using DeepCurrent.Data.Storage;
using Npgsql;

namespace DeepCurrent.Data.Readings;

/// <summary>Something a reader has read elsewhere, as they tell it.</summary>
/// <param name="ConfirmedBy">The teacher who says so, too.</param>
public sealed record OwnReading(
    OwnReadingId Id,
    string Title,
    string Author,
    DateOnly Day,
    int? Minutes,
    int? Pages,
    bool Finished,
    string Said,
    DateTimeOffset? ConfirmedAt,
    string? ConfirmedBy
);

/// <summary>A full reading.</summary>
public sealed record WordsRead(DateTimeOffset At, int Words, double Seconds);

/// <summary>What readers read in and out of Deep Current.</summary>
public sealed class OwnReadingStore(NpgsqlDataSource db)
{
    private const string RowSql = """
        select o.id, o.title, o.author, o.day, o.minutes, o.pages, o.finished, o.said, o.confirmed_at,
          a.name as confirmed_by
        from own_reading o left join adult a on a.id = o.confirmed_by
        """;

    public Task<IReadOnlyList<OwnReading>> Of(ReaderId readerId) =>
        db.All<OwnReading>(
            $"""
            {RowSql}
            where o.reader_id = @readerId and o.removed_at is null
            order by o.day desc, o.at desc
            limit 200
            """,
            new { readerId }
        );

    /// <summary>Keeps what a reader tells; telling it again changes it, until a teacher has confirmed it.</summary>
    /// <returns>False where it is not this reader's, or confirmed.</returns>
    public async Task<bool> Put(ReaderId readerId, OwnReading told, DateTimeOffset at, bool removed) =>
        await db.Run(
            """
            insert into own_reading (id, reader_id, title, author, day, minutes, pages, finished, said, at, removed_at)
            values (@Id, @readerId, @Title, @Author, @Day, @Minutes, @Pages, @Finished, @Said, @at,
              case when @removed then @at end)
            on conflict (id) do update
            set title = excluded.title, author = excluded.author, day = excluded.day, minutes = excluded.minutes,
              pages = excluded.pages, finished = excluded.finished, said = excluded.said, at = excluded.at,
              removed_at = excluded.removed_at
            where own_reading.reader_id = @readerId and own_reading.confirmed_at is null
            """,
            new
            {
                told.Id,
                readerId,
                told.Title,
                told.Author,
                told.Day,
                told.Minutes,
                told.Pages,
                told.Finished,
                told.Said,
                at,
                removed,
            }
        ) > 0;

    /// <summary>A teacher says that it was read, or takes that back.</summary>
    public async Task<bool> Confirm(ReaderId readerId, OwnReadingId id, AdultId adultId, DateTimeOffset? at) =>
        await db.Run(
            """
            update own_reading
            set confirmed_at = @at, confirmed_by = case when @at is null then null else @adultId end
            where id = @id and reader_id = @readerId and removed_at is null
            """,
            new
            {
                id,
                readerId,
                adultId,
                at,
            }
        ) > 0;

    /// <summary>A reader's full readings since an instant.</summary>
    public Task<IReadOnlyList<WordsRead>> Full(ReaderId readerId, DateTimeOffset since) =>
        db.All<WordsRead>(
            """
            select coalesce(k.handed_in_at, k.changed_at) as at, v.words, k.active_seconds as seconds
            from ticket k join version v on v.id = k.version_id
            where k.reader_id = @readerId and k.full_reading and coalesce(k.handed_in_at, k.changed_at) >= @since
            order by 1
            limit 500
            """,
            new { readerId, since }
        );

    /// <summary>What counts for the word goals of a class's readers, as the class chose: what was told with its
    /// minutes.</summary>
    /// <param name="readerId">One of them alone.</param>
    public Task<IReadOnlyList<OutsideReading>> Counted(ClassId classId, DateOnly since, ReaderId? readerId = null) =>
        db.All<OutsideReading>(
            $"""
            select o.reader_id, o.day, o.minutes, r.depth_mean as depth
            from class c
              join enrolment e on e.class_id = c.id and e.to_day is null
              join reader r on r.id = e.reader_id
              join own_reading o on o.reader_id = r.id
            where c.id = @classId
              and (@readerId::uuid is null or r.id = @readerId)
              and o.removed_at is null
              and o.minutes is not null
              and o.day >= @since
              and (c.outside = {OutsideSql.All} or (c.outside = {OutsideSql.Confirmed} and o.confirmed_at is not null))
            order by o.day, o.id
            limit 20000
            """,
            new
            {
                classId,
                since,
                readerId,
            }
        );
}

/// <summary>Members of the set, as queries name them.</summary>
internal static class OutsideSql
{
    public const string All = $"'{nameof(OutsideCounts.All)}'",
        Confirmed = $"'{nameof(OutsideCounts.Confirmed)}'";
}
