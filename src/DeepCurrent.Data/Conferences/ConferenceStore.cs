using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Roster;
using DeepCurrent.Data.Storage;
using Npgsql;

namespace DeepCurrent.Data.Conferences;

/// <summary>A reader of a class, for a conference.</summary>
/// <param name="SixWeeks">Change of the level in six weeks, fm; null where there was none to compare with.</param>
/// <param name="HomeLanguage">As the roster says it.</param>
public sealed record ConferenceReader(
    ReaderId Id,
    string GivenName,
    string FamilyName,
    Fathoms Depth,
    double? SixWeeks,
    string? HomeLanguage
);

/// <summary>A level on a day, with its range.</summary>
public sealed record ConferenceDay(ReaderId ReaderId, DateOnly Day, Fathoms Mean, Fathoms Low, Fathoms High);

/// <summary>What a teacher wrote about a reader for the conference page.</summary>
/// <param name="By">Null where who wrote it is gone.</param>
public sealed record ConferenceWords(ReaderId ReaderId, string Words, string? By, DateTimeOffset WrittenAt);

/// <summary>What conference pages show of readers.</summary>
public sealed class ConferenceStore(NpgsqlDataSource db)
{
    public Task<IReadOnlyList<ConferenceReader>> Readers(ClassId classId, DateOnly today) =>
        db.All<ConferenceReader>(
            $"""
            select r.id, r.given_name, r.family_name, r.depth_mean as depth,
              coalesce(r.estimate_mean, r.depth_mean) - (
                select d.mean
                from depth_day d
                where d.reader_id = r.id and d.day <= @today - 42
                order by d.day desc
                limit 1) as six_weeks,
              r.details ->> '{nameof(ReaderDetail.HomeLanguage)}' as home_language
            from enrolment e join reader r on r.id = e.reader_id
            where e.class_id = @classId and e.to_day is null
            order by r.given_name, r.family_name, r.id
            limit 500
            """,
            new { classId, today }
        );

    public Task<IReadOnlyList<ConferenceDay>> Trails(IReadOnlyCollection<ReaderId> readerIds, DateOnly since) =>
        db.All<ConferenceDay>(
            """
            select reader_id, day, mean, low, high
            from depth_day
            where reader_id = any(@readerIds) and day >= @since
            order by reader_id, day
            limit 200000
            """,
            new { readerIds = readerIds.ToArray(), since }
        );

    /// <summary>What teachers of a class have written about its readers for conferences.</summary>
    public Task<IReadOnlyList<ConferenceWords>> Words(ClassId classId) =>
        db.All<ConferenceWords>(
            """
            select w.reader_id, w.words, a.name as "by", w.written_at
            from conference_words w left join adult a on a.id = w.written_by
            where w.class_id = @classId
            limit 500
            """,
            new { classId }
        );

    /// <summary>Keeps what a teacher wrote about a reader; nothing written takes it away. The last who wrote
    /// counts.</summary>
    public Task Write(ClassId classId, ReaderId readerId, string words, AdultId by, DateTimeOffset now) =>
        db.Run(
            """
            delete from conference_words where reader_id = @readerId and class_id = @classId and @words = '';
            insert into conference_words (reader_id, class_id, words, written_by, written_at)
            select @readerId, @classId, @words, @by, @now
            where @words <> ''
            on conflict (reader_id, class_id) do update
            set words = excluded.words, written_by = excluded.written_by, written_at = excluded.written_at
            """,
            new
            {
                classId,
                readerId,
                words,
                by,
                now,
            }
        );

    /// <summary>What somebody is called.</summary>
    public async Task<string> NameOf(AdultId adultId) =>
        await db.Value<string>("select name from adult where id = @adultId", new { adultId }) ?? "";
}
