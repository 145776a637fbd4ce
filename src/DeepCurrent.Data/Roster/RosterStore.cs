using Dapper;
using DeepCurrent.Core.Access;
using DeepCurrent.Core.Roster;
using DeepCurrent.Data.Measuring;
using DeepCurrent.Data.Storage;
using Npgsql;

namespace DeepCurrent.Data.Roster;

/// <summary>Reads a school's roster as the rules see it.</summary>
public sealed class RosterStore(NpgsqlDataSource db)
{
    private const string AdultColumns = "id, source_id, name, user_name, mail, lead, left_school, post, source";
    private const string ClassColumns =
        "id, source_id, school_year_id, name, code, first_day, last_day, closed, source, grade";
    private const string ReaderColumns =
        "id, source_id, given_name, family_name, user_name, grade, details, guardian_mail, secret_kind, "
        + "secret, supports::text, left_school, source";

    /// <summary>The whole roster, without stated levels. Goes through rows as they come, for schools of any
    /// size.</summary>
    public async Task<RosterState> Load(SchoolId schoolId)
    {
        await using var c = await db.OpenConnectionAsync();
        var state = new RosterState();
        await Read(
            c,
            $"select {AdultColumns} from adult where school_id = $1 and kind = '{nameof(AdultKind.Staff)}'",
            schoolId,
            r => Put(state.Adults, RosterRows.Adult(r))
        );
        await Read(c, $"select {ClassColumns} from class where school_id = $1", schoolId, r =>
            Put(state.Classes, RosterRows.Class(r))
        );
        await Read(c, $"select {ReaderColumns} from reader where school_id = $1", schoolId, r =>
            Put(state.Readers, RosterRows.Reader(r))
        );
        await Read(
            c,
            """
            select a.id, a.class_id, a.adult_id, a.role
            from class_adult a join class c on c.id = a.class_id
            where c.school_id = $1
            """,
            schoolId,
            r => Put(state.Teachings, RosterRows.Taught(r))
        );
        await Read(
            c,
            """
            select e.id, e.source_id, e.class_id, e.reader_id, e.from_day, e.to_day, e.source
            from enrolment e join class c on c.id = e.class_id
            where c.school_id = $1
            """,
            schoolId,
            r => Put(state.Enrolments, RosterRows.Enrolled(r))
        );
        return state;
    }

    /// <summary>As much of a school's roster as a list of readers can mean: its classes, the readers who are in the
    /// list's class or whom a row names, and what is known of them.</summary>
    /// <param name="means">Whether some row means a reader: by id, id at the source, given and family name.</param>
    public async Task<RosterState> LoadFor(
        SchoolId schoolId,
        ClassId classId,
        Func<ReaderId, string?, string, string, bool> means
    )
    {
        await using var c = await db.OpenConnectionAsync();
        var state = new RosterState();
        var ids = await Meant(c, schoolId, classId, means);
        await Read(c, $"select {ClassColumns} from class where school_id = $1", schoolId, r =>
            Put(state.Classes, RosterRows.Class(r))
        );
        await Read(
            c,
            $"select {ReaderColumns} from reader where school_id = $1 and id = any($2)",
            schoolId,
            r => Put(state.Readers, RosterRows.Reader(r)),
            ids
        );
        await Read(
            c,
            """
            select e.id, e.source_id, e.class_id, e.reader_id, e.from_day, e.to_day, e.source
            from enrolment e join class c on c.id = e.class_id
            where c.school_id = $1 and e.reader_id = any($2)
            """,
            schoolId,
            r => Put(state.Enrolments, RosterRows.Enrolled(r)),
            ids
        );
        await Read(
            c,
            $"""
            select e.id, e.reader_id, e.value, e.at
            from evidence e join reader r on r.id = e.reader_id
            where r.school_id = $1 and r.id = any($2) and e.kind = {EvidenceKinds.Level}
            """,
            schoolId,
            r => Put(state.Levels, RosterRows.Level(r)),
            ids
        );
        return state;
    }

    private static async Task<ReaderId[]> Meant(
        NpgsqlConnection c,
        SchoolId schoolId,
        ClassId classId,
        Func<ReaderId, string?, string, string, bool> means
    )
    {
        var meant = (
            await c.QueryAsync<ReaderId>(
                "select reader_id from enrolment where class_id = @classId and to_day is null",
                new { classId }
            )
        ).ToHashSet();
        await Read(c, "select id, source_id, given_name, family_name from reader where school_id = $1", schoolId, r =>
        {
            if (means(ReaderId.From(r.GetGuid(0)), RosterRows.Text(r, 1), r.GetString(2), r.GetString(3)))
                meant.Add(ReaderId.From(r.GetGuid(0)));
        });
        return [.. meant];
    }

    public async Task<RosterReader?> Reader(ReaderId id, SchoolId schoolId)
    {
        await using var c = await db.OpenConnectionAsync();
        return await One(
            c,
            null,
            $"select {ReaderColumns} from reader where id = $1 and school_id = $2",
            id.Value,
            schoolId,
            RosterRows.Reader
        );
    }

    public async Task<IReadOnlyList<RosterReader>> Readers(IReadOnlyCollection<ReaderId> ids, SchoolId schoolId)
    {
        await using var c = await db.OpenConnectionAsync();
        await using var q = new NpgsqlCommand(
            $"select {ReaderColumns} from reader where id = any($1) and school_id = $2",
            c
        )
        {
            Parameters =
            {
                new() { Value = ids.Select(id => id.Value).ToArray() },
                new() { Value = schoolId.Value },
            },
        };
        await using var r = await q.ExecuteReaderAsync();
        var found = new List<RosterReader>();
        while (await r.ReadAsync())
            found.Add(RosterRows.Reader(r));
        return found;
    }

    public async Task<RosterClass?> Class(ClassId id, SchoolId schoolId)
    {
        await using var c = await db.OpenConnectionAsync();
        return await One(
            c,
            null,
            $"select {ClassColumns} from class where id = $1 and school_id = $2",
            id.Value,
            schoolId,
            RosterRows.Class
        );
    }

    /// <summary>Where readers are now, in classes that are open.</summary>
    public async Task<IReadOnlyList<Enrolment>> OpenEnrolments(
        IReadOnlyCollection<ReaderId> readerIds,
        SchoolId schoolId
    )
    {
        var found = new List<Enrolment>();
        await using var c = await db.OpenConnectionAsync();
        await using var q = new NpgsqlCommand(
            """
            select e.id, e.source_id, e.class_id, e.reader_id, e.from_day, e.to_day, e.source
            from enrolment e
              join class k on k.id = e.class_id
            where e.reader_id = any($1) and e.to_day is null and not k.closed and k.school_id = $2
            """,
            c
        )
        {
            Parameters =
            {
                new() { Value = readerIds.Select(id => id.Value).ToArray() },
                new() { Value = schoolId.Value },
            },
        };
        await using var r = await q.ExecuteReaderAsync();
        while (await r.ReadAsync())
            found.Add(RosterRows.Enrolled(r));
        return found;
    }

    public async Task<RosterAdult?> Adult(AdultId id, SchoolId schoolId)
    {
        await using var c = await db.OpenConnectionAsync();
        return await One(
            c,
            null,
            $"select {AdultColumns} from adult where id = $1 and school_id = $2 and kind = '{nameof(AdultKind.Staff)}'",
            id.Value,
            schoolId,
            RosterRows.Adult
        );
    }

    /// <summary>Enrolments of some readers, ended ones too.</summary>
    public async Task<IReadOnlyList<Enrolment>> Enrolments(IReadOnlyCollection<ReaderId> readerIds)
    {
        return await db.All<Enrolment>(
            "select id, source_id, class_id, reader_id, from_day as \"from\", to_day as \"to\", source "
                + "from enrolment where reader_id = any(@readerIds) order by from_day, id limit 100000",
            new { readerIds = readerIds.ToArray() }
        );
    }

    public async Task<IReadOnlyList<Teaching>> Teachings(ClassId classId)
    {
        return await db.All<Teaching>(
            "select id, class_id, adult_id, role from class_adult where class_id = @classId limit 200",
            new { classId }
        );
    }

    /// <summary>Names of some of a school's readers.</summary>
    public Task<IReadOnlyList<(ReaderId Id, string Name)>> Named(IEnumerable<ReaderId> ids, SchoolId schoolId) =>
        Named(ids, schoolId, "select id, trim(given_name || ' ' || family_name) from reader");

    /// <summary>Names of some of a school's classes.</summary>
    public Task<IReadOnlyList<(ClassId Id, string Name)>> Named(IEnumerable<ClassId> ids, SchoolId schoolId) =>
        Named(ids, schoolId, "select id, name from class");

    private async Task<IReadOnlyList<(TId Id, string Name)>> Named<TId>(
        IEnumerable<TId> ids,
        SchoolId schoolId,
        string select
    )
    {
        return await db.All<(TId, string)>(
            $"{select} where id = any(@ids) and school_id = @schoolId",
            new { ids = ids.Distinct().ToArray(), schoolId }
        );
    }

    /// <summary>Every name that is taken: readers' in this school, adults' everywhere.</summary>
    public async Task<(HashSet<string> Readers, HashSet<string> Adults, HashSet<string> Codes)> Taken(SchoolId schoolId)
    {
        await using var c = await db.OpenConnectionAsync();
        return (
            (
                await c.QueryAsync<string>("select user_name from reader where school_id = @schoolId", new { schoolId })
            ).ToHashSet(),
            (await c.QueryAsync<string>("select lower(user_name) from adult")).ToHashSet(),
            (await c.QueryAsync<string>("select code from class")).ToHashSet()
        );
    }

    internal static async Task<T?> One<T>(
        NpgsqlConnection c,
        NpgsqlTransaction? t,
        string sql,
        Guid id,
        SchoolId schoolId,
        Func<NpgsqlDataReader, T> make
    )
        where T : class
    {
        await using var q = new NpgsqlCommand(sql, c, t)
        {
            Parameters =
            {
                new() { Value = id },
                new() { Value = schoolId.Value },
            },
        };
        await using var r = await q.ExecuteReaderAsync();
        return await r.ReadAsync() ? make(r) : null;
    }

    private static async Task Read(
        NpgsqlConnection c,
        string sql,
        SchoolId schoolId,
        Action<NpgsqlDataReader> take,
        ReaderId[]? ids = null
    )
    {
        await using var q = new NpgsqlCommand(sql, c) { Parameters = { new() { Value = schoolId.Value } } };
        if (ids is not null)
            q.Parameters.Add(new() { Value = ids.Select(id => id.Value).ToArray() });
        await using var r = await q.ExecuteReaderAsync();
        while (await r.ReadAsync())
            take(r);
    }

    private static void Put<TId, T>(Dictionary<TId, T> things, T thing)
        where TId : struct, IId<TId>
        where T : IRosterThing<TId> => things[thing.Id] = thing;
}
