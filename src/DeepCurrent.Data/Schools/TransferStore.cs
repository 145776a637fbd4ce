using Dapper;
using DeepCurrent.Core.Changes;
using DeepCurrent.Data.Changes;
using DeepCurrent.Data.Storage;
using Npgsql;

namespace DeepCurrent.Data.Schools;

/// <summary>A reader on the way from one school to another.</summary>
public sealed record Transfer(
    TransferId Id,
    ReaderId ReaderId,
    string Name,
    int Grade,
    SchoolId FromSchoolId,
    string FromSchool,
    SchoolId ToSchoolId,
    string ToSchool,
    string AskedBy,
    DateTimeOffset AskedAt
);

/// <summary>Readers who change schools: the one school offers, the other takes. History goes along.</summary>
public sealed class TransferStore(NpgsqlDataSource db)
{
    public async Task<IReadOnlyList<(SchoolId Id, string Name)>> OtherSchools(SchoolId schoolId)
    {
        return await db.All<(SchoolId, string)>(
            "select id, name from school where id <> @schoolId order by name, id limit 500",
            new { schoolId }
        );
    }

    public async Task<IReadOnlyList<Transfer>> Open(SchoolId schoolId)
    {
        return await db.All<Transfer>(
            """
            select x.id, x.reader_id, trim(r.given_name || ' ' || r.family_name) as name, r.grade, x.from_school_id,
              f.name as from_school, x.to_school_id, t.name as to_school, a.name as asked_by, x.asked_at
            from transfer x
              join reader r on r.id = x.reader_id
              join school f on f.id = x.from_school_id
              join school t on t.id = x.to_school_id
              join adult a on a.id = x.asked_by
            where x.decided_at is null and (x.from_school_id = @schoolId or x.to_school_id = @schoolId)
            order by x.asked_at
            limit 500
            """,
            new { schoolId }
        );
    }

    /// <summary>Offers a reader; the same offer again is the same. False if another school has been offered them
    /// already or there is no such school.</summary>
    public async Task<bool> Ask(
        TransferId id,
        ReaderId readerId,
        SchoolId from,
        SchoolId to,
        AdultId adultId,
        DateTimeOffset at
    )
    {
        await using var c = await db.OpenConnectionAsync();
        await c.ExecuteAsync(
            """
            insert into transfer (id, reader_id, from_school_id, to_school_id, asked_by, asked_at)
            select @id, @readerId, @from, s.id, @adultId, @at from school s where s.id = @to and s.id <> @from
            on conflict (reader_id) where decided_at is null do nothing
            """,
            new
            {
                id,
                readerId,
                from,
                to,
                adultId,
                at,
            }
        );
        return await c.ExecuteScalarAsync<bool>(
            """
            select exists (
              select 1
              from transfer
              where reader_id = @readerId and from_school_id = @from and to_school_id = @to and decided_at is null)
            """,
            new
            {
                readerId,
                from,
                to,
            }
        );
    }

    private sealed record Offered(ReaderId ReaderId, SchoolId From, SchoolId To);

    /// <summary>Takes or declines an offer (or, for the school that made it, takes it back).</summary>
    /// <param name="userName">The reader's user name at the new school.</param>
    public async Task<bool> Decide(
        TransferId id,
        SchoolId schoolId,
        AdultId adultId,
        bool take,
        Func<IReadOnlySet<string>, string, string> userName,
        DateOnly today,
        DateTimeOffset now
    )
    {
        await using var c = await db.OpenConnectionAsync();
        await using var t = await c.BeginTransactionAsync();
        var found = await c.QuerySingleOrDefaultAsync<Offered>(
            """
            select reader_id, from_school_id as "from", to_school_id as "to"
            from transfer
            where id = @id
              and decided_at is null
              and (to_school_id = @schoolId or (from_school_id = @schoolId and not @take))
            for update
            """,
            new
            {
                id,
                schoolId,
                take,
            },
            t
        );
        if (found is null)
            return false;
        await c.ExecuteAsync(
            "update transfer set decided_at = @now, taken = @take where id = @id",
            new
            {
                id,
                now,
                take,
            },
            t
        );
        if (take)
            await Move(c, t, found, userName, today, now);
        await List(c, t, id, found, adultId, schoolId, take, now);
        await t.CommitAsync();
        return true;
    }

    private static async Task Move(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        Offered found,
        Func<IReadOnlySet<string>, string, string> userName,
        DateOnly today,
        DateTimeOffset now
    )
    {
        var taken = (
            await c.QueryAsync<string>("select user_name from reader where school_id = @To", new { found.To }, t)
        ).ToHashSet();
        var had = await c.QuerySingleAsync<string>(
            "select user_name from reader where id = @ReaderId",
            new { found.ReaderId },
            t
        );
        await c.ExecuteAsync(
            """
            update enrolment set to_day = greatest(from_day, @today) where reader_id = @ReaderId and to_day is null;
            with gone as (
              delete from group_member m
              using guided_group g
              where g.id = m.group_id and m.reader_id = @ReaderId and g.closed_at is null
              returning m.group_id, m.joined_at)
            insert into group_stay (id, group_id, reader_id, from_at, to_at)
            select gen_random_uuid(), group_id, @ReaderId, joined_at, @now from gone;
            update reader
            set school_id = @To, moved_from = @From, source_id = null, source = '', user_name = @name,
              left_school = false
            where id = @ReaderId;
            update guardian_code set taken_back_at = @now where reader_id = @ReaderId and taken_back_at is null
            """,
            new
            {
                found.ReaderId,
                found.From,
                found.To,
                today,
                now,
                name = userName(taken, had),
            },
            t
        );
    }

    /// <summary>Each school's log tells its own side.</summary>
    private static async Task List(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        TransferId id,
        Offered found,
        AdultId adultId,
        SchoolId schoolId,
        bool take,
        DateTimeOffset now
    )
    {
        var (name, from, to, by) = await c.QuerySingleAsync<(string, string, string, AdultId)>(
            """
            select trim(r.given_name || ' ' || r.family_name), f.name, s.name, x.asked_by
            from transfer x
              join reader r on r.id = x.reader_id
              join school f on f.id = x.from_school_id
              join school s on s.id = x.to_school_id
            where x.id = @id
            """,
            new { id },
            t
        );
        await Tell(found.From, by, take ? (Message)$"{name} has moved to {to}" : $"{name} has not moved to {to}");
        await Tell(
            found.To,
            schoolId == found.To ? adultId : by,
            take ? (Message)$"{name} has come from {from}" : $"{name} has not come from {from}"
        );

        async Task Tell(SchoolId school, AdultId adult, Message summary)
        {
            var whose = new ChangeBy(school, null, adult, now);
            var change = await ChangeStore.Add(c, t, whose, ChangeKind.Transferred, summary, found);
            await c.ExecuteAsync(
                "insert into change_reader (change_id, reader_id) values (@change, @ReaderId)",
                new { change, found.ReaderId },
                t
            );
        }
    }
}
