using Dapper;
using DeepCurrent.Core.Access;
using DeepCurrent.Core.LevelChecks;
using DeepCurrent.Core.OralReading;
using DeepCurrent.Data.Groups;
using DeepCurrent.Data.Storage;
using Npgsql;

namespace DeepCurrent.Data.LevelChecks;

/// <summary>Writes level checks, inside the transactions that list them: keeps, gives, takes back.</summary>
public static class CheckWriter
{
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
