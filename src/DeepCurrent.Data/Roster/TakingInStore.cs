using Dapper;
using DeepCurrent.Data.Storage;
using Npgsql;

namespace DeepCurrent.Data.Roster;

/// <summary>A request for a reader who is in somebody else's class.</summary>
/// <param name="Class">The class they are asked into.</param>
/// <param name="From">The classes they are in, in words.</param>
public sealed record TakingIn(
    TakingInId Id,
    ReaderId ReaderId,
    string GivenName,
    string FamilyName,
    ClassId ClassId,
    string Class,
    string From,
    string AskedBy,
    DateTimeOffset AskedAt
);

/// <summary>Requests to take readers in, and the answers.</summary>
public sealed class TakingInStore(NpgsqlDataSource db)
{
    private const string Select = """
        select q.id, q.reader_id, r.given_name, r.family_name, q.class_id, c.name as class,
               coalesce(
                 (
                   select string_agg(k.name, ', ' order by k.name, k.id)
                   from enrolment e join class k on k.id = e.class_id
                   where e.reader_id = r.id and e.to_day is null and not k.closed),
                 '') as "from",
               a.name as asked_by, q.asked_at
        from taking_in q
          join reader r on r.id = q.reader_id
          join class c on c.id = q.class_id
          join adult a on a.id = q.asked_by
        where q.decided_at is null
        """;

    /// <summary>Asks for readers; who is asked for already is asked for once.</summary>
    public async Task Ask(IReadOnlyCollection<ReaderId> readerIds, ClassId classId, AdultId askedBy, DateTimeOffset now)
    {
        await db.Run(
            """
            insert into taking_in (id, reader_id, class_id, asked_by, asked_at)
            select gen_random_uuid(), r, @classId, @askedBy, @now from unnest(@readers) r
            on conflict (reader_id, class_id) where decided_at is null do nothing
            """,
            new
            {
                readers = readerIds.ToArray(),
                classId,
                askedBy,
                now,
            }
        );
    }

    /// <summary>Requests for readers of a class, which its teachers answer.</summary>
    public async Task<IReadOnlyList<TakingIn>> ForReadersOf(ClassId classId)
    {
        return await db.All<TakingIn>(
            $"{Select} and exists (select 1 from enrolment e where e.reader_id = q.reader_id and e.class_id "
                + "= @classId and e.to_day is null) order by q.asked_at limit 200",
            new { classId }
        );
    }

    /// <summary>Requests a class has made and that wait for an answer.</summary>
    public async Task<IReadOnlyList<TakingIn>> Of(ClassId classId)
    {
        return await db.All<TakingIn>(
            $"{Select} and q.class_id = @classId order by q.asked_at limit 200",
            new { classId }
        );
    }

    public async Task<IReadOnlyList<TakingIn>> OfSchool(SchoolId schoolId)
    {
        return await db.All<TakingIn>(
            $"{Select} and c.school_id = @schoolId order by q.asked_at limit 500",
            new { schoolId }
        );
    }

    /// <summary>An open request of a school, with the classes its reader is in.</summary>
    public async Task<(TakingIn Request, IReadOnlyList<ClassId> ReaderIsIn)?> Find(TakingInId id, SchoolId schoolId)
    {
        await using var c = await db.OpenConnectionAsync();
        if (
            await c.QuerySingleOrDefaultAsync<TakingIn>(
                $"{Select} and q.id = @id and c.school_id = @schoolId and r.school_id = @schoolId",
                new { id, schoolId }
            )
            is not { } found
        )
            return null;
        return (
            found,
            (
                await c.QueryAsync<ClassId>(
                    """
                    select e.class_id
                    from enrolment e join class k on k.id = e.class_id
                    where e.reader_id = @ReaderId and e.to_day is null and not k.closed
                    limit 50
                    """,
                    new { found.ReaderId }
                )
            ).ToList()
        );
    }

    /// <summary>Answers a request, inside the caller's transaction where there is one; false if it was answered
    /// meanwhile.</summary>
    public async Task<bool> Decide(TakingInId id, bool accepted, AdultId by, DateTimeOffset now)
    {
        await using var c = await db.OpenConnectionAsync();
        return await Decide(c, null, id, accepted, by, now);
    }

    public static async Task<bool> Decide(
        NpgsqlConnection c,
        NpgsqlTransaction? t,
        TakingInId id,
        bool accepted,
        AdultId by,
        DateTimeOffset now
    ) =>
        await c.ExecuteAsync(
            """
            update taking_in
            set decided_at = @now, decided_by = @by, accepted = @accepted
            where id = @id and decided_at is null
            """,
            new
            {
                id,
                accepted,
                by,
                now,
            },
            t
        ) == 1;
}
