using Dapper;
using DeepCurrent.Core.Goals;
using Npgsql;

namespace DeepCurrent.Data.Schools;

public sealed record School(Guid Id, string Name, string TimeZone, double PassingScore, double ZoneLow, double ZoneHigh, int MinutesADay);

public sealed record Adult(Guid Id, Guid SchoolId, string Name, string UserName, string PasswordHash, Guid Stamp);

public sealed record Term(Guid Id, Guid SchoolYearId, string Name, DateOnly FirstDay, DateOnly LastDay);

/// <param name="Readers">Readers enrolled today.</param>
public sealed record ClassHead(Guid Id, string Name, string Code, int Readers);

/// <summary>A class, and how the adult who asks stands to it.</summary>
public sealed record ClassPlace(Guid Id, Guid SchoolId, Guid SchoolYearId, string Name, string Code, bool OwnClass);

/// <summary>A school year with its terms and days off.</summary>
public sealed record YearCalendar(Guid Id, DateOnly FirstDay, DateOnly LastDay, IReadOnlyList<Term> Terms, IReadOnlyList<DateOnly> DaysOff)
{
    public SchoolCalendar Calendar { get; } = new([.. Terms.Select(t => (t.FirstDay, t.LastDay))], DaysOff.ToHashSet());

    /// <summary>The term a day is in, or the last that began before it, or the first.</summary>
    public Term? TermOn(DateOnly day) => Terms.LastOrDefault(t => t.FirstDay <= day) ?? (Terms.Count > 0 ? Terms[0] : null);

    /// <summary>Share of the school year gone on a day, 0 to 1.</summary>
    public double Gone(DateOnly day) => Math.Clamp((day.DayNumber - FirstDay.DayNumber) / (double)(LastDay.DayNumber - FirstDay.DayNumber), 0, 1);
}

/// <summary>Schools, their adults, years and classes.</summary>
public sealed class SchoolStore(NpgsqlDataSource db)
{
    public async Task<bool> Any()
    {
        await using var c = await db.OpenConnectionAsync();
        return await c.ExecuteScalarAsync<bool>("select exists (select 1 from school)");
    }

    public async Task<School> Get(Guid schoolId)
    {
        await using var c = await db.OpenConnectionAsync();
        return await c.QuerySingleAsync<School>("select id, name, time_zone, passing_score, zone_low, zone_high, minutes_a_day from school where id = @schoolId", new { schoolId });
    }

    /// <summary>Makes the school with its first teacher and year; false if there is a school already.</summary>
    public async Task<bool> Create(School school, Adult first, YearCalendar year, DateTimeOffset now, bool onlyIfNone)
    {
        await using var c = await db.OpenConnectionAsync();
        await using var t = await c.BeginTransactionAsync();
        if (onlyIfNone)
        {
            await c.ExecuteAsync("lock table school in exclusive mode", transaction: t);
            if (await c.ExecuteScalarAsync<bool>("select exists (select 1 from school)", transaction: t)) return false;
        }
        await c.ExecuteAsync("""
            insert into school (id, name, time_zone, passing_score, zone_low, zone_high, minutes_a_day, created_at)
            values (@Id, @Name, @TimeZone, @PassingScore, @ZoneLow, @ZoneHigh, @MinutesADay, @now)
            """, new { school.Id, school.Name, school.TimeZone, school.PassingScore, school.ZoneLow, school.ZoneHigh, school.MinutesADay, now }, t);
        await AddAdult(c, t, first);
        await c.ExecuteAsync("insert into school_year (id, school_id, name, first_day, last_day) values (@Id, @school, @name, @FirstDay, @LastDay)",
            new { year.Id, school = school.Id, name = $"{year.FirstDay.Year}–{year.LastDay.Year}", year.FirstDay, year.LastDay }, t);
        foreach (var term in year.Terms)
            await c.ExecuteAsync("insert into term (id, school_year_id, name, first_day, last_day) values (@Id, @SchoolYearId, @Name, @FirstDay, @LastDay)", term, t);
        foreach (var day in year.DaysOff)
            await c.ExecuteAsync("insert into day_off (school_year_id, day) values (@Id, @day)", new { year.Id, day }, t);
        await t.CommitAsync();
        return true;
    }

    public async Task AddAdult(Adult adult)
    {
        await using var c = await db.OpenConnectionAsync();
        await AddAdult(c, null, adult);
    }

    private static Task AddAdult(NpgsqlConnection c, NpgsqlTransaction? t, Adult adult) => c.ExecuteAsync(
        "insert into adult (id, school_id, name, user_name, password_hash, stamp) values (@Id, @SchoolId, @Name, @UserName, @PasswordHash, @Stamp)", adult, t);

    public async Task<Adult?> FindAdult(string userName)
    {
        await using var c = await db.OpenConnectionAsync();
        return await c.QuerySingleOrDefaultAsync<Adult>("select id, school_id, name, user_name, password_hash, stamp from adult where lower(user_name) = lower(@userName)", new { userName });
    }

    public async Task<YearCalendar?> CurrentYear(Guid schoolId, DateOnly today)
    {
        await using var c = await db.OpenConnectionAsync();
        var id = await c.ExecuteScalarAsync<Guid?>("select id from school_year where school_id = @schoolId and first_day <= @today order by first_day desc limit 1", new { schoolId, today });
        return id is { } year ? await Year(c, year) : null;
    }

    public async Task<YearCalendar> Year(Guid yearId)
    {
        await using var c = await db.OpenConnectionAsync();
        return await Year(c, yearId);
    }

    private static async Task<YearCalendar> Year(NpgsqlConnection c, Guid yearId)
    {
        await using var all = await c.QueryMultipleAsync("""
            select first_day, last_day from school_year where id = @yearId;
            select id, school_year_id, name, first_day, last_day from term where school_year_id = @yearId order by first_day limit 20;
            select day from day_off where school_year_id = @yearId order by day limit 400
            """, new { yearId });
        var (first, last) = await all.ReadSingleAsync<(DateOnly, DateOnly)>();
        var terms = (await all.ReadAsync<Term>()).ToList();
        return new(yearId, first, last, terms, (await all.ReadAsync<DateOnly>()).ToList());
    }

    public async Task AddClass(Guid id, Guid schoolId, Guid yearId, string name, string code, Guid adultId, DateTimeOffset now)
    {
        await using var c = await db.OpenConnectionAsync();
        await c.ExecuteAsync("""
            with made as (insert into class (id, school_id, school_year_id, name, code, created_at) values (@id, @schoolId, @yearId, @name, @code, @now) returning id)
            insert into class_adult (class_id, adult_id, role) select id, @adultId, 'teacher' from made
            """, new { id, schoolId, yearId, name, code, adultId, now });
    }

    public async Task AddToClass(Guid classId, Guid adultId, string role)
    {
        await using var c = await db.OpenConnectionAsync();
        await c.ExecuteAsync("insert into class_adult (class_id, adult_id, role) values (@classId, @adultId, @role) on conflict do nothing", new { classId, adultId, role });
    }

    public async Task<IReadOnlyList<ClassHead>> Classes(Guid adultId)
    {
        await using var c = await db.OpenConnectionAsync();
        return (await c.QueryAsync<ClassHead>("""
            select c.id, c.name, c.code, (select count(*)::int from enrolment e where e.class_id = c.id and e.to_day is null) as readers
            from class_adult a join class c on c.id = a.class_id
            where a.adult_id = @adultId
            order by c.name
            limit 50
            """, new { adultId })).ToList();
    }

    /// <summary>Where a class stands to an adult; null if it is not in the adult's school.</summary>
    public async Task<ClassPlace?> Place(Guid classId, Guid schoolId, Guid adultId)
    {
        await using var c = await db.OpenConnectionAsync();
        return await c.QuerySingleOrDefaultAsync<ClassPlace>("""
            select c.id, c.school_id, c.school_year_id, c.name, c.code, exists (select 1 from class_adult a where a.class_id = c.id and a.adult_id = @adultId) as own_class
            from class c
            where c.id = @classId and c.school_id = @schoolId
            """, new { classId, schoolId, adultId });
    }

    public async Task<(Guid Id, string Name)?> ClassByCode(string code)
    {
        await using var c = await db.OpenConnectionAsync();
        var row = await c.QuerySingleOrDefaultAsync<(Guid Id, string Name)>("select id, name from class where code = upper(@code)", new { code });
        return row.Id == Guid.Empty ? null : row;
    }
}
