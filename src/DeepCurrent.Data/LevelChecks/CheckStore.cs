using Dapper;
using DeepCurrent.Core.Access;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.LevelChecks;
using DeepCurrent.Core.OralReading;
using DeepCurrent.Core.Schools;
using DeepCurrent.Data.Groups;
using DeepCurrent.Data.Storage;
using Npgsql;

namespace DeepCurrent.Data.LevelChecks;

public sealed record NewCheck
{
    public required CheckId Id { get; init; }

    public required SchoolId SchoolId { get; init; }

    public required YearId SchoolYearId { get; init; }

    /// <summary>autumn, winter or spring for a benchmark window; null for a check in between.</summary>
    public required Season? Season { get; init; }

    public required Message Name { get; init; }

    public required string ReaderTitle { get; init; }

    public required string Directions { get; init; }

    public required CheckPlan Plan { get; init; }

    public required bool Draft { get; init; }

    public required DateOnly? OpensOn { get; init; }

    public required DateOnly? ClosesOn { get; init; }

    public required AdultId MadeBy { get; init; }

    public required DateTimeOffset At { get; init; }

    /// <summary>The revision that was changed; 0 for a new one.</summary>
    public required int Revision { get; init; }
}

public sealed record LevelCheck
{
    public required CheckId Id { get; init; }

    public required SchoolId SchoolId { get; init; }

    public required YearId SchoolYearId { get; init; }

    public required Season? Season { get; init; }

    public required Message Name { get; init; }

    public required string ReaderTitle { get; init; }

    public required string Directions { get; init; }

    public required CheckPlan Plan { get; init; }

    public required bool Draft { get; init; }

    public required DateOnly? OpensOn { get; init; }

    public required DateOnly? ClosesOn { get; init; }

    public required DateTimeOffset? ClosedAt { get; init; }

    public required bool Gone { get; init; }

    public required AdultId MadeBy { get; init; }

    public required string By { get; init; }

    public required DateTimeOffset MadeAt { get; init; }

    public required int Revision { get; init; }

    /// <summary>Nothing can be answered any more.</summary>
    public bool Over(DateOnly today) => ClosedAt is not null || Gone || ClosesOn < today;

    /// <summary>When its time was up; null while nobody has said when.</summary>
    public DateTimeOffset? EndedAt(SchoolClock clock) =>
        ClosesOn is { } last && clock.End(last) is var end && !(ClosedAt < end) ? end : ClosedAt;
}

/// <summary>One line of a list of checks.</summary>
public sealed record CheckRow
{
    public required CheckId Id { get; init; }

    public required Season? Season { get; init; }

    public required Message Name { get; init; }

    public required string ReaderTitle { get; init; }

    public required bool Draft { get; init; }

    public required DateOnly? OpensOn { get; init; }

    public required DateOnly? ClosesOn { get; init; }

    public required DateTimeOffset? ClosedAt { get; init; }

    public required string By { get; init; }

    public required AdultId MadeBy { get; init; }

    public required DateTimeOffset MadeAt { get; init; }

    public required int Readers { get; init; }

    /// <summary>Readers with nothing left to do.</summary>
    public required int Finished { get; init; }

    /// <summary>Readers who are in it.</summary>
    public required int Open { get; init; }
}

/// <summary>A version that can be a passage of a fixed form.</summary>
public sealed record FormPassage(VersionId VersionId, string Title, Fathoms Depth, int Words, int Questions);

/// <summary>Readers from whom a check was taken back.</summary>
public sealed record CheckTakenBack(CheckId CheckId, IReadOnlyList<ReaderId> ReaderIds);

/// <summary>A reader a check is given to.</summary>
public sealed record CheckReader(ReaderId ReaderId, ClassId? ClassId, int Grade, Fathoms Mean, double Sd);

public sealed record PartRow
{
    public required CheckPartId Id { get; init; }

    public required SittingId SittingId { get; init; }

    public required CheckPart Part { get; init; }

    public required int Round { get; init; }

    public required int Position { get; init; }

    public required PartState State { get; init; }

    public required string Note { get; init; }

    public required PartFlag Flag { get; init; }

    public required int Answered { get; init; }

    public required int Asked { get; init; }

    public required int Correct { get; init; }

    public required int TooFast { get; init; }

    public required double Seconds { get; init; }

    public required double? Score { get; init; }

    public required DateTimeOffset? StartedAt { get; init; }

    public required DateTimeOffset? FinishedAt { get; init; }

    public required double Moved { get; init; }

    /// <summary>Share of the answers that were right; null before there is one.</summary>
    public double? ShareRight => Answered == 0 ? null : Correct / (double)Answered;
}

public sealed record SittingRow
{
    public required SittingId Id { get; init; }

    public required ReaderId ReaderId { get; init; }

    public required string GivenName { get; init; }

    public required string FamilyName { get; init; }

    public required int Grade { get; init; }

    public required ClassId? ClassId { get; init; }

    public required string? Class { get; init; }

    public required Fathoms BeforeMean { get; init; }

    public required double BeforeSd { get; init; }

    public required Fathoms? AfterMean { get; init; }

    public required double? AfterSd { get; init; }

    public required DateTimeOffset ChangedAt { get; init; }

    public required int Late { get; init; }

    public IReadOnlyList<PartRow> Parts { get; init; } = [];

    /// <summary>Fathoms by which the check moved the level.</summary>
    public double Moved => Parts.Sum(p => p.Moved);
}

/// <summary>Level checks as teachers give and watch them.</summary>
public sealed class CheckStore(NpgsqlDataSource db)
{
    private const string Columns =
        "k.id, k.school_id, k.school_year_id, k.season, k.name::text as name, k.reader_title, k.directions, "
        + "k.plan::text as plan, k.draft, k.opens_on, k.closes_on, k.closed_at, k.gone_at is not null as gone, "
        + "k.made_by, a.name as \"by\", k.made_at, k.revision from level_check k join adult a on a.id = k.made_by";

    private sealed record Flat
    {
        public required CheckId Id { get; init; }

        public required SchoolId SchoolId { get; init; }

        public required YearId SchoolYearId { get; init; }

        public required Season? Season { get; init; }

        public required Message Name { get; init; }

        public required string ReaderTitle { get; init; }

        public required string Directions { get; init; }

        public required string Plan { get; init; }

        public required bool Draft { get; init; }

        public required DateOnly? OpensOn { get; init; }

        public required DateOnly? ClosesOn { get; init; }

        public required DateTimeOffset? ClosedAt { get; init; }

        public required bool Gone { get; init; }

        public required AdultId MadeBy { get; init; }

        public required string By { get; init; }

        public required DateTimeOffset MadeAt { get; init; }

        public required int Revision { get; init; }

        public LevelCheck Open() =>
            new()
            {
                Id = Id,
                SchoolId = SchoolId,
                SchoolYearId = SchoolYearId,
                Season = Season,
                Name = Name,
                ReaderTitle = ReaderTitle,
                Directions = Directions,
                Plan = Database.FromJson<CheckPlan>(Plan),
                Draft = Draft,
                OpensOn = OpensOn,
                ClosesOn = ClosesOn,
                ClosedAt = ClosedAt,
                Gone = Gone,
                MadeBy = MadeBy,
                By = By,
                MadeAt = MadeAt,
                Revision = Revision,
            };
    }

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
        (
            await c.QuerySingleOrDefaultAsync<Flat>(
                $"select {Columns} where k.id = @checkId and k.school_id = @schoolId",
                new { checkId, schoolId },
                t
            )
        )?.Open();

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

    private const string SaveSql = """
        insert into level_check (
          id, school_id, school_year_id, season, name, reader_title, directions, plan, draft, opens_on,
          closes_on, made_by, made_at)
        values (
          @Id, @SchoolId, @SchoolYearId, @season, @name::jsonb, @ReaderTitle, @Directions, @plan::jsonb, @Draft,
          @OpensOn, @ClosesOn, @MadeBy, @At)
        on conflict (id) do update
        set season = @season, name = @name::jsonb, reader_title = @ReaderTitle, directions = @Directions,
          plan = @plan::jsonb, draft = @Draft, opens_on = @OpensOn, closes_on = @ClosesOn,
          revision = level_check.revision + 1
        where level_check.revision = @Revision and level_check.school_id = @SchoolId and level_check.gone_at is null
        """;

    private const string AimsSql = $"""
        delete from check_aim where check_id = @Id;
        insert into check_aim (check_id, kind, key) select @Id, * from unnest(@kinds, @keys);
        delete from check_colleague where check_id = @Id;
        insert into check_colleague (check_id, adult_id)
        select @Id, a.id
        from adult a
        where a.id = any(@colleagues)
          and a.school_id = @SchoolId
          and a.kind = '{nameof(AdultKind.Staff)}'
          and not a.left_school
        """;

    /// <summary>Keeps a check. The same once more changes nothing but the revision.</summary>
    /// <returns>False if somebody else has changed it meanwhile.</returns>
    public static async Task<bool> Save(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        NewCheck check,
        IReadOnlyList<CheckAim> aims,
        IReadOnlyList<AdultId> colleagues
    )
    {
        var saved = await c.ExecuteAsync(
            SaveSql,
            new
            {
                check.Id,
                check.SchoolId,
                check.SchoolYearId,
                season = check.Season?.ToString(),
                name = Database.ToJson(check.Name),
                check.ReaderTitle,
                check.Directions,
                plan = Database.ToJson(check.Plan),
                check.Draft,
                check.OpensOn,
                check.ClosesOn,
                check.MadeBy,
                check.At,
                check.Revision,
            },
            t
        );
        if (saved == 0)
            return false;
        await c.ExecuteAsync(
            AimsSql,
            new
            {
                check.Id,
                check.SchoolId,
                kinds = aims.Select(a => a.Kind.ToString()).ToArray(),
                keys = aims.Select(a => a.Key).ToArray(),
                colleagues = colleagues.ToArray(),
            },
            t
        );
        return true;
    }

    /// <summary>The readers some aims mean, each once, with the class they are reached through.</summary>
    public async Task<IReadOnlyList<CheckReader>> Meant(IReadOnlyList<CheckAim> aims, SchoolId schoolId, YearId yearId)
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
            order by r.id, k.id = any(@classes) desc, k.id
            limit 20000
            """,
            new
            {
                schoolId,
                yearId,
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

    private const string GiveSql = """
        insert into sitting (
          id, check_id, reader_id, class_id, grade, made_at, before_mean, before_sd, changed_at)
        select gen_random_uuid(), @checkId, r.id, r.class_id, d.grade, @now, r.mean, r.sd, @now
        from unnest(@readers, @classes, @means, @sds) r (id, class_id, mean, sd) join reader d on d.id = r.id
        on conflict (check_id, reader_id) do update
        set taken_back_at = null, changed_at = @now
        where sitting.taken_back_at is not null
        returning reader_id
        """;

    private const string PartsSql = $"""
        delete from sitting_part p
        using sitting s
        where s.id = p.sitting_id
          and s.check_id = @checkId
          and p.state = '{nameof(PartState.Waiting)}'
          and p.part <> all(@parts);
        insert into sitting_part (id, sitting_id, part, round, position, state)
        select gen_random_uuid(), s.id, p.part, 1, p.position, '{nameof(PartState.Waiting)}'
        from sitting s cross join unnest(@parts, @positions) p (part, position)
        where s.check_id = @checkId and s.taken_back_at is null
        on conflict (sitting_id, part, round) do nothing
        """;

    /// <summary>Gives a check to readers; who has it already keeps what was done, and who had it taken back has it
    /// again.</summary>
    /// <returns>Those who have it now and had not before.</returns>
    public static async Task<IReadOnlyList<ReaderId>> Give(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        CheckId checkId,
        CheckPlan plan,
        IReadOnlyList<CheckReader> readers,
        DateTimeOffset now
    )
    {
        var given = (
            await c.QueryAsync<ReaderId>(
                GiveSql,
                new
                {
                    checkId,
                    now,
                    readers = readers.Select(r => r.ReaderId).ToArray(),
                    classes = readers.Select(r => r.ClassId).ToArray(),
                    means = readers.Select(r => r.Mean).ToArray(),
                    sds = readers.Select(r => r.Sd).ToArray(),
                },
                t
            )
        ).ToList();
        // Until somebody begins, the plan may change, and what is no longer in it goes.
        await c.ExecuteAsync(
            PartsSql,
            new
            {
                checkId,
                parts = plan.Parts.Select(p => p.Part.ToString()).ToArray(),
                positions = plan.Parts.Select((_, i) => i).ToArray(),
            },
            t
        );
        await Tell(c, t, checkId);
        return given;
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
        var parts = (await all.ReadAsync<PartFlat>()).Select(p => p.Row()).ToLookup(p => p.SittingId);
        return [.. rows.Select(r => r with { Parts = [.. parts[r.Id]] })];
    }

    /// <summary>Gives parts once more, each as a further round.</summary>
    /// <returns>The new parts.</returns>
    public static async Task<IReadOnlyList<CheckPartId>> Again(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        CheckId checkId,
        IReadOnlyList<CheckPartId> partIds,
        DateTimeOffset now
    )
    {
        var made = (
            await c.QueryAsync<CheckPartId>(
                $"""
                insert into sitting_part (id, sitting_id, part, round, position, state)
                select gen_random_uuid(), p.sitting_id, p.part, p.round + 1, p.position, '{nameof(PartState.Waiting)}'
                from sitting_part p join sitting s on s.id = p.sitting_id
                where p.id = any(@partIds) and s.check_id = @checkId and s.taken_back_at is null
                on conflict (sitting_id, part, round) do nothing
                returning id
                """,
                new { checkId, partIds = partIds.ToArray() },
                t
            )
        ).ToList();
        // What was never begun does not stand in the way of its next round.
        await c.ExecuteAsync(
            $"""
            update sitting_part
            set state = '{nameof(PartState.Skipped)}', note = '{PartRules.GivenAgain}', finished_at = @now
            where id = any(@partIds) and state in ({PartStates.Left})
            """,
            new { partIds = partIds.ToArray(), now },
            t
        );
        await Tell(c, t, checkId);
        return made;
    }

    /// <summary>Takes rounds back that nobody has begun.</summary>
    public static async Task<int> UndoAgain(NpgsqlConnection c, NpgsqlTransaction t, IReadOnlyList<CheckPartId> made)
    {
        return await c.ExecuteAsync(
            $"""
            update sitting_part o
            set state =
                case
                  when o.started_at is null then '{nameof(PartState.Waiting)}'
                  else '{nameof(PartState.UnderWay)}'
                end,
              note = '', finished_at = null
            from sitting_part n
            where n.id = any(@made)
              and n.state = '{nameof(PartState.Waiting)}'
              and o.sitting_id = n.sitting_id
              and o.part = n.part
              and o.round = n.round - 1
              and o.note = '{PartRules.GivenAgain}';
            delete from sitting_part where id = any(@made) and state = '{nameof(PartState.Waiting)}'
            """,
            new { made = made.ToArray() },
            t
        );
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
        await Tell(c, null, checkId);
    }

    /// <summary>Takes a check back that nobody has any more.</summary>
    public static Task<int> DiscardEmpty(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        CheckId checkId,
        DateTimeOffset now
    ) =>
        c.ExecuteAsync(
            """
            update level_check k set gone_at = @now, revision = revision + 1
            where k.id = @checkId
              and k.gone_at is null
              and not exists (select 1 from sitting s where s.check_id = k.id and s.taken_back_at is null)
            """,
            new { checkId, now },
            t
        );

    /// <summary>Makes a draft what is given.</summary>
    /// <returns>False where it is given already, or gone.</returns>
    public static async Task<bool> SetGiven(NpgsqlConnection c, NpgsqlTransaction t, CheckId checkId) =>
        await c.ExecuteAsync(
            """
            update level_check
            set draft = false, revision = revision + 1
            where id = @checkId and draft and gone_at is null
            """,
            new { checkId },
            t
        ) > 0;

    /// <summary>Makes a check a draft again that nobody has started.</summary>
    /// <returns>False where somebody has.</returns>
    public static async Task<bool> SetDraft(NpgsqlConnection c, NpgsqlTransaction t, CheckId checkId)
    {
        var changed = await c.ExecuteAsync(
            """
            update level_check k
            set draft = true, revision = revision + 1
            where k.id = @checkId
              and not exists (
                select 1
                from sitting s join sitting_part p on p.sitting_id = s.id
                where s.check_id = k.id and p.started_at is not null)
            """,
            new { checkId },
            t
        );
        if (changed == 0)
            return false;
        await c.ExecuteAsync("delete from sitting where check_id = @checkId", new { checkId }, t);
        await Tell(c, t, checkId);
        return true;
    }

    /// <summary>Takes a check back from some readers.</summary>
    public static async Task<int> TakeBack(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        CheckId checkId,
        IReadOnlyList<ReaderId> readerIds,
        DateTimeOffset now
    )
    {
        var taken = await c.ExecuteAsync(
            """
            update sitting
            set taken_back_at = @now
            where check_id = @checkId and reader_id = any(@readerIds) and taken_back_at is null
            """,
            new
            {
                checkId,
                readerIds = readerIds.ToArray(),
                now,
            },
            t
        );
        await Tell(c, t, checkId);
        return taken;
    }

    /// <summary>Gives a check back to readers it was taken from.</summary>
    public static async Task<bool> GiveBack(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        CheckTakenBack taken,
        DateTimeOffset now
    )
    {
        var back = await c.ExecuteAsync(
            """
            update sitting
            set taken_back_at = null, changed_at = @now
            where check_id = @CheckId and reader_id = any(@readers) and taken_back_at is not null
            """,
            new
            {
                taken.CheckId,
                readers = taken.ReaderIds.ToArray(),
                now,
            },
            t
        );
        await Tell(c, t, taken.CheckId);
        return back > 0;
    }

    /// <summary>Tells the pages of every class that has the check.</summary>
    internal static Task Tell(NpgsqlConnection c, NpgsqlTransaction? t, CheckId checkId) =>
        c.ExecuteAsync(
            """
            select pg_notify('ticket', class_id::text)
            from (select distinct class_id from sitting where check_id = @checkId and class_id is not null limit 1000) s
            """,
            new { checkId },
            t
        );
}

/// <summary>A part as it is kept.</summary>
internal sealed record PartFlat
{
    public required CheckPartId Id { get; init; }

    public required SittingId SittingId { get; init; }

    public required string Part { get; init; }

    public required int Round { get; init; }

    public required int Position { get; init; }

    public required string State { get; init; }

    public required string Note { get; init; }

    public required string Flag { get; init; }

    public required int Answered { get; init; }

    public required int Asked { get; init; }

    public required int Correct { get; init; }

    public required int TooFast { get; init; }

    public required double Seconds { get; init; }

    public required double? Score { get; init; }

    public required DateTimeOffset? StartedAt { get; init; }

    public required DateTimeOffset? FinishedAt { get; init; }

    public required double Moved { get; init; }

    public PartRow Row() =>
        new()
        {
            Id = Id,
            SittingId = SittingId,
            Part = Enum.Parse<CheckPart>(Part),
            Round = Round,
            Position = Position,
            State = Enum.Parse<PartState>(State),
            Note = Note,
            Flag = Enum.Parse<PartFlag>(Flag),
            Answered = Answered,
            Asked = Asked,
            Correct = Correct,
            TooFast = TooFast,
            Seconds = Seconds,
            Score = Score,
            StartedAt = StartedAt,
            FinishedAt = FinishedAt,
            Moved = Moved,
        };
}
