using Dapper;
using DeepCurrent.Core.Access;
using DeepCurrent.Core.LevelChecks;
using DeepCurrent.Core.OralReading;
using DeepCurrent.Data.Groups;
using DeepCurrent.Data.Storage;
using Npgsql;

namespace DeepCurrent.Data.LevelChecks;

/// <summary>Level checks as teachers give and watch them.</summary>
public sealed class CheckStore(NpgsqlDataSource db)
{
    private const string Columns =
        "k.id, k.school_id, k.school_year_id, k.season, k.name::text as name, k.reader_title, k.directions, "
        + "k.plan::text as plan, k.draft, k.opens_on, k.closes_on, k.closed_at, k.gone_at is not null as gone, "
        + "k.made_by, a.name as \"by\", k.made_at, k.revision from level_check k join adult a on a.id = k.made_by";

    public async Task<LevelCheck?> Find(CheckId checkId, SchoolId schoolId)
    {
        await using var c = await db.OpenConnectionAsync();
        return await Find(c, null, checkId, schoolId);
    }

    internal static async Task<LevelCheck?> Find(
        NpgsqlConnection c,
        NpgsqlTransaction? t,
        CheckId checkId,
        SchoolId schoolId
    ) =>
        await c.QuerySingleOrDefaultAsync<LevelCheck>(
            $"select {Columns} where k.id = @checkId and k.school_id = @schoolId",
            new { checkId, schoolId },
            t
        );

    public async Task<IReadOnlyList<CheckAim>> Aims(CheckId checkId)
    {
        return await db.All<CheckAim>(
            "select kind, key from check_aim where check_id = @checkId order by kind, key limit 2000",
            new { checkId }
        );
    }

    public async Task<IReadOnlyList<(AdultId Id, string Name)>> Colleagues(CheckId checkId)
    {
        return await db.All<(AdultId, string)>(
            """
            select a.id, a.name
            from check_colleague l join adult a on a.id = l.adult_id
            where l.check_id = @checkId
            order by a.name, a.id
            limit 100
            """,
            new { checkId }
        );
    }

    /// <summary>The classes through which readers have a check, and those it is meant for.</summary>
    public async Task<IReadOnlyList<ClassId>> Classes(CheckId checkId)
    {
        return await db.All<ClassId>(
            $"""
            select distinct class_id
            from sitting
            where check_id = @checkId and class_id is not null
            union select key::uuid
            from check_aim
            where check_id = @checkId and kind = '{nameof(AimKind.Class)}'
            limit 2000
            """,
            new { checkId }
        );
    }

    /// <summary>The readers some aims mean, each once, with the class they are reached through.</summary>
    /// <param name="inClass">The class it is given in, for readers who are in several.</param>
    public async Task<IReadOnlyList<CheckReader>> Meant(
        IReadOnlyList<CheckAim> aims,
        SchoolId schoolId,
        YearId yearId,
        ClassId? inClass = null
    )
    {
        T[] Keys<T>(AimKind kind)
            where T : struct, IId<T> =>
            [
                .. aims.Where(a => a.Kind == kind)
                    .Select(a => Ids.TryParse<T>(a.Key, out var id) ? id : (T?)null)
                    .OfType<T>(),
            ];
        return await db.All<CheckReader>(
            $"""
            select distinct on (r.id) r.id as reader_id, k.id as class_id, r.grade, r.depth_mean as mean,
              r.depth_sd as sd
            from reader r
              join enrolment e on e.reader_id = r.id and e.to_day is null
              join class k on k.id = e.class_id and not k.closed
            where r.school_id = @schoolId and k.school_id = @schoolId and not r.left_school
              and (k.id = any(@classes)
                or r.id = any(@readers)
                or (r.grade = any(@grades) and k.school_year_id = @yearId)
                or exists (
                  select 1
                  from group_member m join guided_group g on g.id = m.group_id
                  where m.reader_id = r.id and g.id = any(@groups) and g.closed_at is null and {GroupStore.OfClass(
                "k.id"
            )}))
            order by r.id, k.id = any(@classes) desc, k.id is not distinct from @inClass desc, k.id
            limit 20000
            """,
            new
            {
                schoolId,
                yearId,
                inClass,
                classes = Keys<ClassId>(AimKind.Class),
                readers = Keys<ReaderId>(AimKind.Reader),
                groups = Keys<GroupId>(AimKind.Group),
                grades = aims.Where(a => a.Kind is AimKind.Grade)
                    .Select(a => int.Parse(a.Key, System.Globalization.CultureInfo.InvariantCulture))
                    .ToArray(),
            }
        );
    }

    /// <summary>Texts a fixed form can be made of, by depth.</summary>
    public async Task<IReadOnlyList<FormPassage>> Passages(SchoolId schoolId)
    {
        return await db.All<FormPassage>(
            $"""
            select v.id as version_id, t.title, v.depth, v.words, q.n as questions
            from version v join text t on t.id = v.text_id
              join lateral (
                select count(*)::int as n from question q where q.text_id = t.id and {PassagePool.AskedOf}
              ) q on q.n >= {PassagePool.FewestQuestions}
            where not v.retired
              and t.retired_at is null
              and (t.school_id is null or (t.school_id = @schoolId and not t.mine))
            order by v.depth
            limit 500
            """,
            new { schoolId }
        );
    }

    /// <summary>The class of a group that is open; null for one that is not.</summary>
    public async Task<ClassId?> ClassOfGroup(GroupId groupId)
    {
        return await db.One<ClassId?>(
            "select class_id from guided_group where id = @groupId and closed_at is null",
            new { groupId }
        );
    }

    /// <summary>Checks that a class's readers have, and those somebody has made for it or was let in to.</summary>
    public async Task<IReadOnlyList<CheckRow>> Of(ClassId classId, AdultId adultId)
    {
        return await db.All<CheckRow>(
            Rows(
                $"""
                exists (select 1 from sitting s where s.check_id = k.id and s.class_id = @classId)
                  or exists (
                    select 1
                    from check_aim m
                    where m.check_id = k.id and m.kind = '{nameof(AimKind.Class)}' and m.key = @classId::text)
                  or exists (select 1 from check_colleague l where l.check_id = k.id and l.adult_id = @adultId)
                  or (
                    k.draft
                      and k.made_by = @adultId
                      and not exists (
                        select 1
                        from check_aim m
                        where m.check_id = k.id and m.kind = '{nameof(AimKind.Class)}')
                      and (
                        not exists (
                          select 1
                          from check_aim m
                          where m.check_id = k.id and m.kind = '{nameof(AimKind.Reader)}')
                        or exists (
                          select 1
                          from enrolment e join check_aim m on m.key = e.reader_id::text
                          where e.class_id = @classId
                            and e.to_day is null
                            and m.check_id = k.id
                            and m.kind = '{nameof(AimKind.Reader)}')))
                """
            ),
            new { classId, adultId }
        );
    }

    public async Task<IReadOnlyList<CheckRow>> OfSchool(SchoolId schoolId)
    {
        return await db.All<CheckRow>(Rows("k.school_id = @schoolId"), new { schoolId });
    }

    private static string Rows(string which) =>
        $"""
            select k.id, k.season, k.name::text as name, k.reader_title, k.draft, k.opens_on, k.closes_on, k.closed_at,
              a.name as "by", k.made_by, k.made_at,
              count(s.id)::int as readers, count(s.id) filter (where not p.left_over)::int as finished,
              count(s.id) filter (where p.begun and p.left_over)::int as open
            from level_check k join adult a on a.id = k.made_by
              left join sitting s on s.check_id = k.id and s.taken_back_at is null
              left join lateral (
                select bool_or(p.state in ({PartStates.Left})) as left_over,
                  bool_or(p.started_at is not null) as begun
                from sitting_part p
                where p.sitting_id = s.id) p on true
            where k.gone_at is null and ({which})
            group by k.id, a.name
            order by k.made_at desc
            limit 300
            """;

    /// <summary>Who sits a check, and how far they are.</summary>
    /// <param name="classes">Only readers who have it through one of these classes; null for all.</param>
    public async Task<IReadOnlyList<SittingRow>> Sittings(CheckId checkId, IReadOnlyCollection<ClassId>? classes)
    {
        await using var c = await db.OpenConnectionAsync();
        await using var all = await c.QueryMultipleAsync(
            """
            select s.id, s.reader_id, r.given_name, r.family_name, s.grade, s.class_id, k.name as class, s.before_mean,
              s.before_sd, s.after_mean, s.after_sd, s.changed_at,
                   (
                     select count(*)::int
                     from check_answer a join stage g on g.id = a.stage_id join sitting_part p on p.id = g.part_id
                     where p.sitting_id = s.id and a.received_at > p.finished_at) as late
            from sitting s join reader r on r.id = s.reader_id left join class k on k.id = s.class_id
            where s.check_id = @checkId
              and s.taken_back_at is null
              and (@classes::uuid[] is null or s.class_id = any(@classes))
            order by k.name, r.family_name, r.given_name, r.id
            limit 20000;
            select p.id, p.sitting_id, p.part, p.round, p.position, p.state, p.note, p.flag, p.answered, p.asked,
              p.correct, p.too_fast, p.seconds, p.score, p.started_at, p.finished_at, p.moved
            from sitting_part p join sitting s on s.id = p.sitting_id
            where s.check_id = @checkId
              and s.taken_back_at is null
              and (@classes::uuid[] is null or s.class_id = any(@classes))
            order by p.position, p.round
            limit 200000
            """,
            new { checkId, classes = classes?.ToArray() }
        );
        var rows = (await all.ReadAsync<SittingRow>()).ToList();
        var parts = (await all.ReadAsync<PartRow>()).ToLookup(p => p.SittingId);
        return [.. rows.Select(r => r with { Parts = [.. parts[r.Id]] })];
    }

    /// <summary>Takes a check back from everybody, or gives it back; what was done is kept.</summary>
    public async Task Discard(CheckId checkId, bool gone, DateTimeOffset now)
    {
        await using var c = await db.OpenConnectionAsync();
        await c.ExecuteAsync(
            """
            update level_check set gone_at = case when @gone then @now end, revision = revision + 1 where id = @checkId
            """,
            new
            {
                checkId,
                gone,
                now,
            }
        );
        await CheckWriter.Tell(c, null, checkId);
    }
}
