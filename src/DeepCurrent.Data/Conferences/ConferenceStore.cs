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

    /// <summary>What somebody is called.</summary>
    public async Task<string> NameOf(AdultId adultId) =>
        await db.Value<string>("select name from adult where id = @adultId", new { adultId }) ?? "";
}
