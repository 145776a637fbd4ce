using Dapper;
using DeepCurrent.Core.Papers;
using DeepCurrent.Core.Tickets;
using DeepCurrent.Data.Storage;
using DeepCurrent.Data.Tickets;
using Npgsql;

namespace DeepCurrent.Data.Papers;

/// <summary>Papers that go with assignments, and readers' copies of them.</summary>
public sealed class PaperStore(NpgsqlDataSource db, Notices notices)
{
    private const string RowSql = """
        select p.id, p.assignment_id, p.name, p.kind, p.each_own, length(p.bytes) as size, a.name as "by", p.added_at
        from paper p left join adult a on a.id = p.added_by
        """;

    public Task<IReadOnlyList<PaperRow>> Of(AssignmentId assignmentId, SchoolId schoolId) =>
        db.All<PaperRow>(
            $"""
            {RowSql}
            where p.assignment_id = @assignmentId and p.school_id = @schoolId and p.removed_at is null
            order by p.added_at, p.id
            limit 50
            """,
            new { assignmentId, schoolId }
        );

    /// <summary>A paper that goes with an assignment of a school, also one that was removed; null if there is
    /// none.</summary>
    public Task<PaperRow?> Find(PaperId id, SchoolId schoolId) =>
        db.One<PaperRow>(
            $"{RowSql} where p.id = @id and p.school_id = @schoolId and p.assignment_id is not null",
            new { id, schoolId }
        );

    /// <summary>Those of some papers that an adult added and that go with nothing yet.</summary>
    public async Task<IReadOnlySet<PaperId>> Beforehand(
        IReadOnlyCollection<PaperId> ids,
        SchoolId schoolId,
        AdultId adultId
    ) =>
        (
            await db.All<PaperId>(
                """
                select id
                from paper
                where id = any(@ids)
                  and school_id = @schoolId
                  and added_by = @adultId
                  and assignment_id is null
                  and plan_id is null
                limit 100
                """,
                new
                {
                    ids = ids.ToArray(),
                    schoolId,
                    adultId,
                }
            )
        ).ToHashSet();

    /// <summary>Adds a paper; the same once more changes nothing.</summary>
    public Task Add(NewPaper paper) =>
        db.Run(
            """
            insert into paper (id, school_id, assignment_id, name, kind, bytes, each_own, added_by, added_at)
            values (@Id, @SchoolId, @AssignmentId, @Name, @kind, @Bytes, @EachOwn, @AddedBy, @AddedAt)
            on conflict (id) do nothing
            """,
            new
            {
                paper.Id,
                paper.SchoolId,
                paper.AssignmentId,
                paper.Name,
                kind = paper.Kind.ToString(),
                paper.Bytes,
                paper.EachOwn,
                paper.AddedBy,
                paper.AddedAt,
            }
        );

    /// <summary>Removes a paper, or restores it; what readers drew on it is kept.</summary>
    /// <param name="at">When it was removed; null restores it.</param>
    public Task SetRemoved(PaperId id, DateTimeOffset? at) =>
        db.Run("update paper set removed_at = @at where id = @id", new { id, at });

    /// <summary>The papers of assignments go with their copies, too; a copy that has papers keeps those.</summary>
    public static Task Copy(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        IReadOnlyCollection<(AssignmentId From, AssignmentId To)> copies
    ) =>
        c.ExecuteAsync(
            """
            insert into paper (id, school_id, assignment_id, name, kind, bytes, each_own, added_by, added_at)
            select gen_random_uuid(), p.school_id, x.copy, p.name, p.kind, p.bytes, p.each_own, p.added_by, p.added_at
            from unnest(@from, @to) x (assignment_id, copy)
              join paper p on p.assignment_id = x.assignment_id
            where p.removed_at is null
              and not exists (select 1 from paper o where o.assignment_id = x.copy)
            """,
            new { from = copies.Select(x => x.From).ToArray(), to = copies.Select(x => x.To).ToArray() },
            t
        );

    /// <summary>Forgets what an adult added beforehand and gave with nothing for a while.</summary>
    /// <param name="before">What was added earlier goes.</param>
    /// <returns>How many are left.</returns>
    public Task<int> ForgetBeforehand(AdultId adultId, DateTimeOffset before) =>
        db.Value<int>(
            """
            with gone as (
              delete from paper
              where added_by = @adultId and assignment_id is null and plan_id is null and added_at < @before)
            select count(*)::int
            from paper
            where added_by = @adultId and assignment_id is null and plan_id is null and added_at >= @before
            """,
            new { adultId, before }
        );

    /// <summary>Forgets papers that were there beforehand, once they go with what they were for.</summary>
    public static Task Forget(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        SchoolId schoolId,
        IReadOnlyCollection<PaperId> ids
    ) =>
        c.ExecuteAsync(
            """
            delete from paper
            where id = any(@ids) and school_id = @schoolId and assignment_id is null and plan_id is null
            """,
            new { ids = ids.ToArray(), schoolId },
            t
        );

    /// <summary>Papers that are there beforehand go with assignments: a copy of each with each.</summary>
    /// <param name="schoolId">Whose they are.</param>
    public static Task Place(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        SchoolId schoolId,
        IReadOnlyCollection<(PaperId Paper, AssignmentId To)> places
    ) =>
        c.ExecuteAsync(
            """
            insert into paper (id, school_id, assignment_id, name, kind, bytes, each_own, added_by, added_at)
            select gen_random_uuid(), p.school_id, x.assignment_id, p.name, p.kind, p.bytes, p.each_own, p.added_by,
              p.added_at
            from unnest(@papers, @to) x (paper_id, assignment_id)
              join paper p on p.id = x.paper_id
            where p.school_id = @schoolId and p.assignment_id is null and p.removed_at is null
            """,
            new
            {
                schoolId,
                papers = places.Select(x => x.Paper).ToArray(),
                to = places.Select(x => x.To).ToArray(),
            },
            t
        );

    /// <summary>Copies the papers of assignments for a plan.</summary>
    /// <returns>By the assignment they were copied from.</returns>
    public async Task<ILookup<AssignmentId, PaperId>> CopyForPlan(
        PlanId planId,
        IReadOnlyCollection<AssignmentId> assignmentIds
    ) =>
        (
            await db.All<(AssignmentId From, PaperId Paper)>(
                """
                with wanted as (
                  select gen_random_uuid() as copy, p.*
                  from paper p
                  where p.assignment_id = any(@ids) and p.removed_at is null
                  limit 500),
                kept as (
                  insert into paper (id, school_id, plan_id, name, kind, bytes, each_own, added_by, added_at)
                  select copy, school_id, @planId, name, kind, bytes, each_own, added_by, added_at
                  from wanted
                  returning id)
                select w.assignment_id, w.copy
                from wanted w join kept k on k.id = w.copy
                order by w.added_at, w.id
                """,
                new { planId, ids = assignmentIds.ToArray() }
            )
        ).ToLookup(x => x.From, x => x.Paper);

    public Task<PaperFile?> File(PaperId id) =>
        db.One<PaperFile>("select kind, bytes from paper where id = @id and removed_at is null", new { id });

    private sealed record Flat(PaperId Id, string Name, PaperKind Kind, bool EachOwn, string Strokes)
    {
        public PaperCopy Copy() => new(Id, Name, Kind, EachOwn, Database.FromJson<List<Stroke>>(Strokes));
    }

    /// <summary>The papers that go with a ticket, with what its reader drew in this round.</summary>
    public async Task<IReadOnlyList<PaperCopy>> Copies(TicketId ticketId) =>
        [
            .. (
                await db.All<Flat>(
                    """
                    select p.id, p.name, p.kind, p.each_own, coalesce(m.strokes, '[]')::text as strokes
                    from ticket k
                      join paper p on p.assignment_id = k.assignment_id
                      left join paper_copy m on m.paper_id = p.id and m.ticket_id = k.id and m.round = k.round
                    where k.id = @ticketId and p.removed_at is null
                    order by p.added_at, p.id
                    limit 50
                    """,
                    new { ticketId }
                )
            ).Select(f => f.Copy()),
        ];

    /// <summary>Whether a reader sees a ticket, which is their own.</summary>
    public async Task<bool> Sees(ReaderId readerId, TicketId ticketId) =>
        await db.Value<bool?>(
            $"select true from ticket where id = @ticketId and reader_id = @readerId and state in ({TicketStates.Seen})",
            new { readerId, ticketId }
        ) == true;

    /// <summary>Whether a reader sees a paper: it goes with a ticket of theirs that they see.</summary>
    public async Task<bool> Has(ReaderId readerId, TicketId ticketId, PaperId id) =>
        await db.Value<bool?>(
            $"""
            select true
            from ticket k join paper p on p.assignment_id = k.assignment_id
            where k.id = @ticketId
              and k.reader_id = @readerId
              and p.id = @id
              and p.removed_at is null
              and k.state in ({TicketStates.Seen})
            """,
            new
            {
                readerId,
                ticketId,
                id,
            }
        ) == true;

    private sealed record Open(ClassId ClassId, TicketState State, int Round);

    private const string OpenCopySql = """
        select k.class_id, k.state, k.round
        from ticket k join paper p on p.assignment_id = k.assignment_id
        where k.id = @ticketId
          and k.reader_id = @readerId
          and p.id = @paperId
          and p.each_own
          and p.removed_at is null
        for update of k
        """;

    private const string CopySql = """
        select strokes::text
        from paper_copy
        where ticket_id = @ticketId and paper_id = @paperId and round = @Round
        """;

    private const string KeepCopySql = """
        insert into paper_copy (ticket_id, paper_id, round, strokes, at)
        values (@ticketId, @paperId, @Round, @strokes::jsonb, @at)
        on conflict (ticket_id, paper_id, round) do update set strokes = excluded.strokes, at = excluded.at
        """;

    /// <summary>Keeps what a reader drew, joined with what is there; safe to send twice.</summary>
    /// <returns>All of it; null where nothing can be drawn any more.</returns>
    public async Task<IReadOnlyList<Stroke>?> Draw(
        TicketId ticketId,
        ReaderId readerId,
        PaperId paperId,
        IReadOnlyList<Stroke> strokes,
        DateTimeOffset at
    )
    {
        await using var c = await db.OpenConnectionAsync();
        await using var t = await c.BeginTransactionAsync();
        var open = await c.QuerySingleOrDefaultAsync<Open>(
            OpenCopySql,
            new
            {
                ticketId,
                readerId,
                paperId,
            },
            t
        );
        if (open is null || !TicketLife.Open(open.State))
            return null;
        var key = new
        {
            ticketId,
            paperId,
            open.Round,
        };
        var before = await c.ExecuteScalarAsync<string?>(CopySql, key, t);
        var all = Paper.Joined(before is null ? [] : Database.FromJson<List<Stroke>>(before), strokes);
        await c.ExecuteAsync(
            KeepCopySql,
            new
            {
                ticketId,
                paperId,
                open.Round,
                strokes = Database.ToJson(all),
                at,
            },
            t
        );
        await t.CommitAsync();
        notices.Changed(open.ClassId);
        return all;
    }
}
