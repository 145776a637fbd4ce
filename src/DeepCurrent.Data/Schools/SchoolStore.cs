using Dapper;
using DeepCurrent.Core.Access;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Goals;
using DeepCurrent.Core.Readings;
using DeepCurrent.Core.Schools;
using DeepCurrent.Data.Adults;
using DeepCurrent.Data.Storage;
using Npgsql;

namespace DeepCurrent.Data.Schools;

/// <param name="Readers">Readers enrolled today.</param>
/// <param name="Role">The asker's part in the class.</param>
public sealed record ClassHead(ClassId Id, string Name, string Code, Part Role, bool Closed, int Readers);

/// <summary>A class, and the asker's part in it; the part is null where they have none.</summary>
public sealed record ClassPlace(
    ClassId Id,
    SchoolId SchoolId,
    YearId SchoolYearId,
    string Name,
    string Code,
    Part Part,
    bool AssistantsPrint,
    int? Grade,
    PoolShown Pool,
    OutsideCounts Outside
);

/// <summary>Schools, their adults, years and classes.</summary>
public sealed class SchoolStore(NpgsqlDataSource db)
{
    public async Task<bool> Any()
    {
        return await db.Value<bool>("select exists (select 1 from school)");
    }

    public async Task<IReadOnlyList<School>> All()
    {
        return await db.All<School>(
            """
            select id, name, time_zone, understood_from, zone_low, zone_high, minutes_a_day, pictures_to, codes_to,
              surnames_on_cards, guardians_allowed, level_chart::text as own_chart, level_system,
              letters::text, aims::text as aims, version
            from school
            order by id
            limit 5000
            """
        );
    }

    public async Task<School> Get(SchoolId schoolId)
    {
        return await db.Single<School>(
            """
            select id, name, time_zone, understood_from, zone_low, zone_high, minutes_a_day, pictures_to, codes_to,
              surnames_on_cards, guardians_allowed, level_chart::text as own_chart, level_system,
              letters::text, aims::text as aims, version
            from school
            where id = @schoolId
            """,
            new { schoolId }
        );
    }

    /// <summary>Makes the school with its first teacher and year; false if there is a school already.</summary>
    public async Task<bool> Create(School school, Adult first, YearCalendar year, DateTimeOffset now, bool onlyIfNone)
    {
        await using var c = await db.OpenConnectionAsync();
        await using var t = await c.BeginTransactionAsync();
        if (onlyIfNone)
        {
            await c.ExecuteAsync("lock table school in exclusive mode", transaction: t);
            if (await c.ExecuteScalarAsync<bool>("select exists (select 1 from school)", transaction: t))
                return false;
        }
        await c.ExecuteAsync(
            """
            insert into school (id, name, time_zone, understood_from, zone_low, zone_high, minutes_a_day, created_at)
            values (@Id, @Name, @TimeZone, @UnderstoodFrom, @ZoneLow, @ZoneHigh, @MinutesADay, @now)
            """,
            new
            {
                school.Id,
                school.Name,
                school.TimeZone,
                school.UnderstoodFrom,
                school.ZoneLow,
                school.ZoneHigh,
                school.MinutesADay,
                now,
            },
            t
        );
        await AdultStore.Add(c, t, first);
        await YearStore.Add(c, t, school.Id, year);
        await t.CommitAsync();
        return true;
    }

    /// <summary>Writes a school's name and choices; false if somebody has changed them meanwhile.</summary>
    /// <param name="school">As it is to be, with the version that was seen.</param>
    public async Task<bool> Change(School school)
    {
        return await db.Run(
                """
                update school
                set name = @Name, time_zone = @TimeZone, understood_from = @UnderstoodFrom, zone_low = @ZoneLow,
                  zone_high = @ZoneHigh, minutes_a_day = @MinutesADay, pictures_to = @PicturesTo, codes_to = @CodesTo,
                  surnames_on_cards = @SurnamesOnCards, guardians_allowed = @GuardiansAllowed,
                  level_chart = @OwnChart::jsonb, level_system = @LevelSystem,
                  letters = @Letters::jsonb, aims = @Aims::jsonb, version = version + 1
                where id = @Id and version = @Version
                """,
                school
            ) == 1;
    }

    /// <summary>Depths of the school's readers, to see what a change of the level chart does.</summary>
    public async Task<IReadOnlyList<double>> Depths(SchoolId schoolId)
    {
        return await db.All<double>(
            "select depth_mean from reader where school_id = @schoolId and not left_school limit 100000",
            new { schoolId }
        );
    }

    public async Task<YearCalendar?> CurrentYear(SchoolId schoolId, DateOnly today)
    {
        await using var c = await db.OpenConnectionAsync();
        var id = await c.ExecuteScalarAsync<YearId?>(
            """
            select id
            from school_year
            where school_id = @schoolId and first_day <= @today
            order by first_day desc
            limit 1
            """,
            new { schoolId, today }
        );
        return id is { } year ? await Year(c, year) : null;
    }

    public async Task<YearCalendar> Year(YearId yearId)
    {
        await using var c = await db.OpenConnectionAsync();
        return await Year(c, yearId);
    }

    internal static async Task<YearCalendar> Year(NpgsqlConnection c, YearId yearId)
    {
        await using var all = await c.QueryMultipleAsync(
            """
            select y.name, y.first_day, y.last_day, s.time_zone
            from school_year y join school s on s.id = y.school_id
            where y.id = @yearId;
            select id, school_year_id, name, first_day, last_day
            from term
            where school_year_id = @yearId
            order by first_day
            limit 20;
            select day from day_off where school_year_id = @yearId order by day limit 400
            """,
            new { yearId }
        );
        var (name, first, last, zone) = await all.ReadSingleAsync<(string, DateOnly, DateOnly, string)>();
        var terms = (await all.ReadAsync<Term>()).ToList();
        return new(yearId, name, first, last, terms, (await all.ReadAsync<DateOnly>()).ToList(), new(zone));
    }

    public async Task<IReadOnlyList<ClassHead>> Classes(AdultId adultId)
    {
        return await db.All<ClassHead>(
            """
            select c.id, c.name, c.code, a.role, c.closed,
              (select count(*)::int from enrolment e where e.class_id = c.id and e.to_day is null) as readers
            from class_adult a join class c on c.id = a.class_id
            where a.adult_id = @adultId
            order by c.closed, c.name, c.id
            limit 100
            """,
            new { adultId }
        );
    }

    /// <summary>Where a class stands to an adult; null if it is not in the adult's school.</summary>
    public async Task<ClassPlace?> Place(ClassId classId, SchoolId schoolId, AdultId adultId)
    {
        return await db.One<ClassPlace>(
            $"""
            select c.id, c.school_id, c.school_year_id, c.name, c.code, coalesce(a.role, {ClassParts.None}) as part,
              c.assistants_print, c.grade, c.pool, c.outside
            from class c left join class_adult a on a.class_id = c.id and a.adult_id = @adultId
            where c.id = @classId and c.school_id = @schoolId
            """,
            new
            {
                classId,
                schoolId,
                adultId,
            }
        );
    }

    public Task CountOutside(ClassId classId, OutsideCounts outside) =>
        db.Run(
            "update class set outside = @outside where id = @classId",
            new { classId, outside = outside.ToString() }
        );

    public Task ShowPool(ClassId classId, PoolShown pool) =>
        db.Run("update class set pool = @pool where id = @classId", new { classId, pool = pool.ToString() });

    public async Task LetAssistantsPrint(ClassId classId, bool allowed)
    {
        await db.Run("update class set assistants_print = @allowed where id = @classId", new { classId, allowed });
    }

    public async Task<(ClassId Id, string Name)?> ClassByCode(string code)
    {
        var row = await db.One<(ClassId Id, string Name)>(
            "select id, name from class where code = upper(@code) and not closed",
            new { code }
        );
        return row.Id == default ? null : row;
    }
}
