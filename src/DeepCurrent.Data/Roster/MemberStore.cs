using Dapper;
using DeepCurrent.Core.Access;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Roster;
using DeepCurrent.Data.Schools;
using DeepCurrent.Data.Storage;
using Npgsql;

namespace DeepCurrent.Data.Roster;

/// <summary>A reader on the roster of a class, with what is needed to sign in.</summary>
public sealed record Member
{
    public required ReaderId Id { get; init; }

    public required string GivenName { get; init; }

    public required string FamilyName { get; init; }

    public required string UserName { get; init; }

    public required int Grade { get; init; }

    public required ReaderDetails Details { get; init; }

    public required string? GuardianMail { get; init; }

    public required SecretKind SecretKind { get; init; }

    public required string Supports { get; init; }

    public required bool FromSource { get; init; }

    public required bool LeftSchool { get; init; }

    public required DateTimeOffset? SignedInAt { get; init; }

    /// <summary>First day in the class.</summary>
    public required DateOnly Since { get; init; }

    /// <summary>Last day, for somebody who was in it.</summary>
    public required DateOnly? Until { get; init; }

    /// <summary>Guardians who have registered.</summary>
    public required int Guardians { get; init; }
}

public sealed record ClassAdultRow(AdultId AdultId, string Name, Part Role, bool LeftSchool);

public sealed record JoiningRow(JoiningId Id, string GivenName, string FamilyName, DateTimeOffset AskedAt);

/// <summary>A reader of the school as a search shows them.</summary>
/// <param name="Asks">They are in others' classes only, so that taking them in has to be asked for.</param>
public sealed record Found(
    ReaderId Id,
    string GivenName,
    string FamilyName,
    string UserName,
    int Grade,
    bool LeftSchool,
    string Classes,
    bool Asks
);

/// <summary>A reader as the school lead's list shows them.</summary>
public sealed record SchoolReader(
    ReaderId Id,
    string GivenName,
    string FamilyName,
    string UserName,
    int Grade,
    Fathoms Depth,
    bool LevelSet,
    string Classes,
    SecretKind SecretKind,
    DateTimeOffset? SignedInAt,
    bool LeftSchool,
    int Guardians
);

/// <summary>Where a reader has been.</summary>
public sealed record Stay(
    ClassId ClassId,
    string ClassName,
    string YearName,
    string SchoolName,
    DateOnly From,
    DateOnly? To
);

/// <summary>Rosters of classes and of the school, for people to look at.</summary>
public sealed class MemberStore(NpgsqlDataSource db)
{
    public async Task<IReadOnlyList<Member>> Of(ClassId classId)
    {
        return await db.All<Member>(
            """
            select r.id, r.given_name, r.family_name, r.user_name, r.grade, r.details::text as details, r.guardian_mail,
              r.secret_kind, r.supports::text as supports, r.source_id is not null as from_source, r.left_school,
                   r.signed_in_at, e.since, e.until,
                   (
                     select count(*)::int from guardianship g where g.reader_id = r.id and g.ended_at is null
                   ) as guardians
            from (
              select reader_id, max(from_day) as since,
                case when bool_or(to_day is null) then null else max(to_day) end as until
              from enrolment
              where class_id = @classId
              group by reader_id) e
            join reader r on r.id = e.reader_id
            where r.merged_into is null
            order by e.until is not null, r.given_name, r.family_name, r.id
            limit 2000
            """,
            new { classId }
        );
    }

    public async Task<IReadOnlyList<ClassAdultRow>> Adults(ClassId classId)
    {
        return await db.All<ClassAdultRow>(
            $"""
            select a.id as adult_id, a.name, p.role, a.left_school
            from class_adult p join adult a on a.id = p.adult_id
            where p.class_id = @classId
            order by {ClassParts.ByRank("p.role")}, a.name, a.id
            limit 100
            """,
            new { classId }
        );
    }

    private const string FindSql = """
        select r.id, r.given_name, r.family_name, r.user_name, r.grade, r.left_school,
               coalesce(
                 (
                   select string_agg(k.name, ', ' order by k.name, k.id)
                   from enrolment e join class k on k.id = e.class_id
                   where e.reader_id = r.id and e.to_day is null and not k.closed),
                 '') as classes,
               coalesce(
                 (
                   select not bool_or(e.class_id = any(@own))
                   from enrolment e join class k on k.id = e.class_id
                   where e.reader_id = r.id and e.to_day is null and not k.closed),
                 false) as asks
        from reader r
        where r.school_id = @schoolId and r.merged_into is null
          and not exists (
            select 1
            from unnest(@words) w
            where lower(r.given_name || ' ' || r.family_name || ' ' || r.user_name) !~~ (w || '%')
              and lower(r.given_name || ' ' || r.family_name || ' ' || r.user_name) !~~ ('% ' || w || '%'))
          and (@grade is null or r.grade = @grade)
          and (
            @classId is null
              or exists (select 1 from enrolment e where e.reader_id = r.id and e.class_id = @classId))
          and (
            @notIn is null
              or not exists (
                select 1 from enrolment e where e.reader_id = r.id and e.class_id = @notIn and e.to_day is null)
          )
        order by r.left_school, r.given_name, r.family_name, r.id
        limit 100
        """;

    /// <summary>Readers of the school whose name has all the words asked for, at its beginning or after a
    /// space.</summary>
    /// <param name="own">The asker's classes; null for whoever needs to ask nobody.</param>
    public async Task<IReadOnlyList<Found>> Find(
        SchoolId schoolId,
        string asked,
        int? grade,
        ClassId? classId,
        ClassId? notIn,
        IReadOnlySet<ClassId>? own
    )
    {
        var words = asked
            .ToLowerInvariant()
            .Split(' ', StringSplitOptions.RemoveEmptyEntries)
            .Take(4)
            .Select(w => w.Replace("\\", "\\\\").Replace("%", "\\%").Replace("_", "\\_"))
            .ToArray();
        return (
            await db.All<Found>(
                FindSql,
                new
                {
                    schoolId,
                    words,
                    grade,
                    classId,
                    notIn,
                    own = own?.ToArray(),
                }
            )
        ).ToList();
    }

    public async Task<IReadOnlyList<SchoolReader>> OfSchool(SchoolId schoolId)
    {
        return await db.All<SchoolReader>(
            """
            select r.id, r.given_name, r.family_name, r.user_name, r.grade,
              round(r.depth_mean::numeric, 1)::double precision as depth, r.estimate_mean is not null as level_set,
              coalesce(k.names, '') as classes, r.secret_kind, r.signed_in_at, r.left_school,
              coalesce(g.n, 0)::int as guardians
            from reader r
            left join (
              select e.reader_id, string_agg(c.name, ', ' order by c.name, c.id) as names
              from enrolment e join class c on c.id = e.class_id
              where c.school_id = @schoolId and e.to_day is null and not c.closed
              group by e.reader_id) k on k.reader_id = r.id
            left join (
              select w.reader_id, count(*) as n
              from guardianship w join reader x on x.id = w.reader_id
              where x.school_id = @schoolId and w.ended_at is null
              group by w.reader_id) g on g.reader_id = r.id
            where r.school_id = @schoolId and r.merged_into is null
            order by r.left_school, r.given_name, r.family_name, r.id
            limit 20000
            """,
            new { schoolId }
        );
    }

    public async Task<IReadOnlyList<Stay>> Stays(ReaderId readerId)
    {
        return await db.All<Stay>(
            """
            select c.id as class_id, c.name as class_name, y.name as year_name, s.name as school_name,
              e.from_day as "from", e.to_day as "to"
            from enrolment e
              join class c on c.id = e.class_id
              join school_year y on y.id = c.school_year_id
              join school s on s.id = c.school_id
            where e.reader_id = @readerId
            order by e.from_day desc, e.to_day desc nulls first
            limit 200
            """,
            new { readerId }
        );
    }

    public async Task<IReadOnlyList<JoiningRow>> Joinings(ClassId classId)
    {
        return await db.All<JoiningRow>(
            """
            select id, given_name, family_name, asked_at
            from joining
            where class_id = @classId and decided_at is null
            order by asked_at
            limit 200
            """,
            new { classId }
        );
    }

    /// <summary>Asks to join; false if so many are waiting already that somebody is playing.</summary>
    public async Task<bool> Ask(JoiningId id, ClassId classId, string given, string family, DateTimeOffset at, int most)
    {
        return await db.Value<bool>(
            """
            with made as (
              insert into joining (id, class_id, given_name, family_name, asked_at)
              select @id, @classId, @given, @family, @at
              where (select count(*) from joining where class_id = @classId and decided_at is null) < @most
              on conflict (id) do nothing
              returning id)
            select exists (select 1 from made) or exists (select 1 from joining where id = @id and class_id = @classId)
            """,
            new
            {
                id,
                classId,
                given,
                family,
                at,
                most,
            }
        );
    }

    public async Task<JoiningRow?> Decide(JoiningId id, ClassId classId, ReaderId? readerId, DateTimeOffset at)
    {
        return await db.One<JoiningRow>(
            """
            update joining
            set decided_at = @at, reader_id = @readerId
            where id = @id and class_id = @classId and decided_at is null
            returning id, given_name, family_name, asked_at
            """,
            new
            {
                id,
                classId,
                readerId,
                at,
            }
        );
    }

    /// <summary>A list somebody was typing, with when it was kept.</summary>
    public async Task<(string Rows, DateTimeOffset SavedAt)?> Draft(ClassId classId, AdultId adultId)
    {
        var row = await db.One<(string? Rows, DateTimeOffset SavedAt)>(
            "select rows::text, saved_at from list_draft where class_id = @classId and adult_id = @adultId",
            new { classId, adultId }
        );
        return row.Rows is null ? null : (row.Rows, row.SavedAt);
    }

    public async Task KeepDraft(ClassId classId, AdultId adultId, string? rows, DateTimeOffset at)
    {
        await db.Run(
            rows is null
                ? "delete from list_draft where class_id = @classId and adult_id = @adultId"
                : """
                insert into list_draft (class_id, adult_id, rows, saved_at)
                values (@classId, @adultId, @rows::jsonb, @at)
                on conflict (class_id, adult_id) do update set rows = excluded.rows, saved_at = excluded.saved_at
                """,
            new
            {
                classId,
                adultId,
                rows,
                at,
            }
        );
    }
}
