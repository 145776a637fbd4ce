using Dapper;
using DeepCurrent.Core.Access;
using DeepCurrent.Data.Storage;
using Npgsql;

namespace DeepCurrent.Data.Looks;

/// <summary>Somebody looked at, took out or deleted something.</summary>
public sealed record Look(DateTimeOffset At, string? By, LookKind What, string? Reader, Message Note);

/// <summary>Who looked at or took out what.</summary>
public sealed class LookStore(NpgsqlDataSource db)
{
    public async Task Add(
        SchoolId schoolId,
        AdultId adultId,
        DateTimeOffset at,
        LookKind what,
        ReaderId? readerId,
        Message note
    )
    {
        await db.Run(
            """
            insert into looked (school_id, adult_id, at, what, reader_id, note)
            values (@schoolId, @adultId, @at, @what, @readerId, @note::jsonb)
            """,
            new
            {
                schoolId,
                adultId,
                at,
                what = what.ToString(),
                readerId,
                note,
            }
        );
    }

    /// <summary>Notes that a reader was looked at; the same person's next looks within the hour are not listed
    /// again.</summary>
    public async Task Seen(SchoolId schoolId, AdultId adultId, DateTimeOffset at, ReaderId readerId)
    {
        await db.Run(
            $"""
            insert into looked (school_id, adult_id, at, what, reader_id)
            select @schoolId, @adultId, @at, '{nameof(LookKind.ReaderSeen)}', @readerId
            where not exists (
              select 1
              from looked
              where reader_id = @readerId
                and adult_id = @adultId
                and what = '{nameof(LookKind.ReaderSeen)}'
                and at > @at - interval '1 hour')
            """,
            new
            {
                schoolId,
                adultId,
                at,
                readerId,
            }
        );
    }

    public async Task<IReadOnlyList<Look>> Of(SchoolId schoolId)
    {
        return await db.All<Look>(
            """
            select l.at, a.name as "by", l.what, trim(r.given_name || ' ' || r.family_name) as reader, l.note
            from looked l left join adult a on a.id = l.adult_id left join reader r on r.id = l.reader_id
            where l.school_id = @schoolId
            order by l.at desc
            limit 500
            """,
            new { schoolId }
        );
    }
}
