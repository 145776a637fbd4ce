using Dapper;
using DeepCurrent.Core.Access;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Roster;
using DeepCurrent.Core.Schools;
using DeepCurrent.Data.Schools;
using DeepCurrent.Data.Storage;
using DeepCurrent.Data.Tickets;
using Npgsql;

namespace DeepCurrent.Data.Readers;

/// <summary>One row of a class: a reader with depth, trend, group and last work.</summary>
public sealed record RosterRow
{
    public required ReaderId Id { get; init; }

    public required string GivenName { get; init; }

    public required string FamilyName { get; init; }

    public required int Grade { get; init; }

    public required Fathoms Depth { get; init; }

    public required double Sd { get; init; }

    public required Fathoms Low { get; init; }

    public required Fathoms High { get; init; }

    /// <summary>Change of the estimate in six weeks, fm, whatever level is set above it; null where there is no earlier
    /// one.</summary>
    public required double? SixWeeks { get; init; }

    public required string? Group { get; init; }

    /// <summary>Mean first-attempt score of the last six weeks, 0 to 1.</summary>
    public required Probability? FirstTry { get; init; }

    public required DateTimeOffset? LastRead { get; init; }

    public required int Readings { get; init; }

    /// <summary>First day in the class.</summary>
    public required DateOnly Since { get; init; }

    /// <summary>The level is what a teacher has set, not what was estimated.</summary>
    public required bool LevelSet { get; init; }
}

public sealed record ReaderHead
{
    public required ReaderId Id { get; init; }

    public required SchoolId SchoolId { get; init; }

    public required string GivenName { get; init; }

    public required string FamilyName { get; init; }

    public required string UserName { get; init; }

    public required int Grade { get; init; }

    public required SecretKind SecretKind { get; init; }

    public required string Secret { get; init; }

    public required Fathoms Depth { get; init; }

    public required double Sd { get; init; }

    public required Fathoms Low { get; init; }

    public required Fathoms High { get; init; }

    public required DateTimeOffset DepthAt { get; init; }

    public required string? Group { get; init; }

    public required Part Part { get; init; }

    public required bool AssistantsPrint { get; init; }
}

/// <summary>A reader on the page where a class signs in.</summary>
/// <param name="Name">As told apart from classmates of the same name.</param>
/// <param name="SecretKind">Pictures, Code or Password.</param>
public sealed record Tile(ReaderId Id, string Name, SecretKind SecretKind, string Picture);

/// <summary>A reader as signing in needs it.</summary>
public sealed record SignInReader(
    ReaderId Id,
    SchoolId SchoolId,
    string GivenName,
    SecretKind SecretKind,
    string Secret,
    ClassId ClassId
);

/// <summary>Readers and the roster.</summary>
public sealed class ReaderStore(NpgsqlDataSource db)
{
    public async Task<IReadOnlyList<RosterRow>> Roster(ClassId classId, Moment at)
    {
        return await db.All<RosterRow>(
            $"""
            select r.id, r.given_name, r.family_name, r.grade, r.depth_mean as depth, r.depth_sd as sd,
              r.depth_low as low, r.depth_high as high,
              coalesce(r.estimate_mean, r.depth_mean) - before.mean as six_weeks, g.name as "group",
              w.first_try, w.last_read, coalesce(w.readings, 0)::int as readings, e.from_day as since,
              r.estimate_mean is not null as level_set
            from enrolment e
              join reader r on r.id = e.reader_id
              left join lateral (
                select d.mean
                from depth_day d
                where d.reader_id = r.id and d.day <= @Today - 42
                order by d.day desc
                limit 1) before on true
              left join lateral (
                select avg(t.score) filter (where t.handed_in_at > @Now - interval '42 days') as first_try,
                  max(t.handed_in_at) as last_read, count(*) as readings
                from ticket t
                where t.reader_id = r.id and t.version_id is not null and t.state = {TicketStates.Released}) w on true
              left join lateral (
                select g.name
                from group_member m join guided_group g on g.id = m.group_id
                where m.reader_id = r.id
                  and g.class_id = e.class_id
                  and g.grouping_id is null
                  and g.closed_at is null
                order by g.position
                limit 1) g on true
            where e.class_id = @classId and e.to_day is null
            order by r.depth_mean, r.given_name, r.family_name, r.id
            limit 500
            """,
            new
            {
                classId,
                at.Now,
                at.Today,
            }
        );
    }

    /// <summary>A reader of a school; null if there is none such in this school.</summary>
    public async Task<ReaderHead?> Find(ReaderId readerId, SchoolId schoolId, AdultId adultId)
    {
        return await db.One<ReaderHead>(
            $"""
            select r.id, r.school_id, r.given_name, r.family_name, r.user_name, r.grade, r.secret_kind, r.secret,
                   r.depth_mean as depth, r.depth_sd as sd, r.depth_low as low, r.depth_high as high, r.depth_at,
                   (
                     select g.name
                     from group_member m join guided_group g on g.id = m.group_id
                     where m.reader_id = r.id and g.closed_at is null
                     order by g.grouping_id is not null, g.formed_at desc
                     limit 1) as "group",
                   coalesce(
                     (
                       select a.role
                       from enrolment e join class_adult a on a.class_id = e.class_id
                       where e.reader_id = r.id and e.to_day is null and a.adult_id = @adultId
                       order by {ClassParts.ByRank("a.role")}
                       limit 1),
                     {ClassParts.None}) as part,
                   exists (
                     select 1
                     from enrolment e join class_adult a on a.class_id = e.class_id join class k on k.id = e.class_id
                     where e.reader_id = r.id and e.to_day is null and a.adult_id = @adultId and k.assistants_print
                   ) as assistants_print
            from reader r
            where r.id = @readerId and r.school_id = @schoolId
            """,
            new
            {
                readerId,
                schoolId,
                adultId,
            }
        );
    }

    public async Task<IReadOnlyList<Tile>> Tiles(ClassId classId, IReadOnlyDictionary<ReaderId, string> pictures)
    {
        var rows = await db.All<(ReaderId Id, string Given, string Family, SecretKind Kind)>(
            """
            select r.id, r.given_name, r.family_name, r.secret_kind from enrolment e join reader r on r.id = e.reader_id
            where e.class_id = @classId and e.to_day is null and not r.left_school
            order by r.given_name, r.family_name, r.id
            limit 500
            """,
            new { classId }
        );
        var called = CalledNames.Of(rows.Select(r => (r.Id, r.Given, r.Family)));
        return [.. rows.Select(r => new Tile(r.Id, called[r.Id], r.Kind, pictures[r.Id]))];
    }

    public async Task<SignInReader?> InClass(ReaderId readerId, string code)
    {
        return await db.One<SignInReader>(
            """
            select r.id, r.school_id, r.given_name, r.secret_kind, r.secret, c.id as class_id
            from reader r join enrolment e on e.reader_id = r.id and e.to_day is null join class c on c.id = e.class_id
            where r.id = @readerId and c.code = upper(@code) and not c.closed and not r.left_school
            """,
            new { readerId, code }
        );
    }
}
