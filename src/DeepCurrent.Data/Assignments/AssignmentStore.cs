using Dapper;
using DeepCurrent.Core.Assignments;
using DeepCurrent.Core.Changes;
using DeepCurrent.Data.Measuring;
using DeepCurrent.Data.Storage;
using DeepCurrent.Data.Tickets;
using Npgsql;

namespace DeepCurrent.Data.Assignments;

/// <summary>Assignments of a class, as a teacher sees them.</summary>
public sealed class AssignmentStore(NpgsqlDataSource db)
{
    /// <summary>What was given of some assignments, by the change that gave it; null where none of them is there
    /// yet.</summary>
    public async Task<GivenBefore?> Given(
        IReadOnlyList<AssignmentId> assignmentIds,
        IReadOnlyCollection<ClassId> classIds
    )
    {
        return await db.First<GivenBefore>(
            """
            select (array_agg(a.id order by array_position(@ids, a.id)))[1] as assignment_id, h.id as change_id, h.summary,
                   sum((select count(*) from ticket k where k.assignment_id = a.id))::int as tickets,
                   count(distinct (
                     select coalesce(y.text_id, y.id)
                     from task y
                     where y.assignment_id = a.id and y.position = 0))::int as texts
            from assignment a
              join class c on c.id = a.class_id
              join change h on h.school_id = c.school_id
                and (h.class_id = a.class_id or h.class_id is null)
                and h.kind = any(@kinds)
                and h.detail -> 'assignmentIds' ? a.id::text
            where a.id = any(@ids) and a.class_id = any(@classIds)
            group by h.id
            """,
            new
            {
                ids = assignmentIds.ToArray(),
                classIds = classIds.ToArray(),
                kinds = new[]
                {
                    nameof(ChangeKind.Assigned),
                    nameof(ChangeKind.AssignedInClasses),
                    nameof(ChangeKind.Drafted),
                },
            }
        );
    }

    /// <summary>Tickets of some assignments, for what is done to all of them.</summary>
    public static async Task<IReadOnlyList<TicketId>> TicketsOf(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        IReadOnlyList<AssignmentId> assignmentIds,
        ClassId classId
    ) =>
        (
            await c.QueryAsync<TicketId>(
                "select id from ticket where assignment_id = any(@ids) and class_id = @classId limit 20000",
                new { ids = assignmentIds.ToArray(), classId },
                t
            )
        ).AsList();

    /// <summary>Texts that are drafted in a class, or lie ahead in it.</summary>
    public async Task<IReadOnlySet<TextId>> Planned(ClassId classId, DateOnly from) =>
        (
            await db.All<TextId>(
                """
                select distinct y.text_id
                from assignment a join task y on y.assignment_id = a.id
                where a.class_id = @classId
                  and y.text_id is not null
                  and not a.chosen
                  and (a.draft or a.visible_from >= @from)
                limit 5000
                """,
                new { classId, from }
            )
        ).ToHashSet();

    /// <summary>What is to be done in some assignments: where the text was swapped, the task that came last.</summary>
    public async Task<IReadOnlyDictionary<AssignmentId, NewTask>> Tasks(IReadOnlyCollection<AssignmentId> ids) =>
        (
            await db.All<TaskFlat>(
                """
                select distinct on (assignment_id) assignment_id, id, kind, text_id, attempts, on_the_way, aloud,
                  locked::text as locked, content::text as content, questions, own::text as own
                from task
                where assignment_id = any(@ids)
                order by assignment_id, position desc
                limit 1000
                """,
                new { ids = ids.ToArray() }
            )
        ).ToDictionary(x => x.AssignmentId, x => x.Task());

    private sealed record TaskFlat(
        AssignmentId AssignmentId,
        TaskId Id,
        TaskKind Kind,
        TextId? TextId,
        int Attempts,
        bool OnTheWay,
        bool Aloud,
        string Locked,
        string? Content,
        QuestionId[]? Questions,
        string Own
    )
    {
        public NewTask Task() =>
            new(
                Id,
                TextId,
                Attempts,
                OnTheWay,
                Aloud,
                Database.FromJson<Dictionary<ReaderId, VersionId>>(Locked),
                Kind,
                ContentOf(Content),
                Questions,
                Database.FromJson<Dictionary<ReaderId, OwnWay>>(Own)
            );
    }

    private static TaskContent? ContentOf(string? json) => json is null ? null : Database.FromJson<TaskContent>(json);

    /// <summary>What is given to groups of a class and can still come in time.</summary>
    public Task<IReadOnlyList<AssignmentRow>> GivenToGroups(ClassId classId, DateOnly today) =>
        db.All<AssignmentRow>(
            $"""
            {RowSql}
            where a.class_id = @classId
              and not a.draft
              and not a.chosen
              and coalesce(a.due_on, a.closes_on, a.visible_from + @longest) >= @today
              and exists (
                select 1
                from aim m
                where m.assignment_id = a.id and m.group_id is not null)
            {RowGroups}
            order by a.visible_from, a.id
            limit 400
            """,
            new
            {
                classId,
                today,
                longest = LongestOpen,
            }
        );

    /// <summary>Days after which what is never due no longer follows a group.</summary>
    private const int LongestOpen = 28;

    /// <summary>Drafts of some texts in a class.</summary>
    public Task<IReadOnlyList<AssignmentRow>> DraftsOf(IReadOnlyCollection<TextId> textIds, ClassId classId) =>
        db.All<AssignmentRow>(
            $"""
            {RowSql}
            where a.class_id = @classId and a.draft and y.text_id = any(@textIds)
            {RowGroups}
            order by a.visible_from, a.id
            limit 100
            """,
            new { textIds = textIds.ToArray(), classId }
        );

    /// <summary>An assignment of a school; null if it is not in that school.</summary>
    public async Task<AssignmentRow?> Find(AssignmentId id, SchoolId schoolId)
    {
        return await db.One<AssignmentRow>(
            $"{RowSql} join class c on c.id = a.class_id where a.id = @id and c.school_id = @schoolId {RowGroups}",
            new { id, schoolId }
        );
    }

    /// <summary>What was given in the same act in the same class, without itself.</summary>
    public Task<IReadOnlyList<AssignmentRow>> Together(AssignmentRow row) =>
        db.All<AssignmentRow>(
            $"""
            {RowSql}
            where a.act = @Act and a.class_id = @ClassId and a.id <> @Id
            {RowGroups}
            order by a.turn, a.id
            limit 40
            """,
            new
            {
                row.Act,
                row.ClassId,
                row.Id,
            }
        );

    /// <summary>Those of some assignments that are in a class.</summary>
    public Task<IReadOnlyList<AssignmentRow>> InClass(IReadOnlyCollection<AssignmentId> ids, ClassId classId) =>
        db.All<AssignmentRow>(
            $"{RowSql} where a.id = any(@ids) and a.class_id = @classId {RowGroups} limit 1000",
            new { ids = ids.ToArray(), classId }
        );

    public async Task<IReadOnlyList<TicketRow>> Tickets(AssignmentId assignmentId)
    {
        return await db.All<TicketRow>(
            TicketSql + " where k.assignment_id = @assignmentId order by r.given_name, r.family_name, r.id limit 1000",
            new { assignmentId }
        );
    }

    /// <summary>A ticket and the class it belongs to; null if it is not in that school.</summary>
    public async Task<PlacedTicket?> Ticket(TicketId ticketId, SchoolId schoolId)
    {
        await using var c = await db.OpenConnectionAsync();
        var place = await c.QuerySingleOrDefaultAsync<PlaceFlat>(
            $"""
            select k.class_id, y.kind, y.text_id, y.content::text as content, {TaskSql.Title} as title,
              coalesce(k.due_on, a.due_on) as due_on
            from ticket k
              join assignment a on a.id = k.assignment_id
              join task y on y.id = k.task_id
              left join text t on t.id = y.text_id
              join class c on c.id = k.class_id
            where k.id = @ticketId and c.school_id = @schoolId
            """,
            new { ticketId, schoolId }
        );
        if (place is null)
            return null;
        return new(
            await c.QuerySingleAsync<TicketRow>(TicketSql + " where k.id = @ticketId", new { ticketId }),
            place.ClassId,
            place.Kind,
            place.TextId,
            ContentOf(place.Content),
            place.Title,
            place.DueOn
        );
    }

    private sealed record PlaceFlat(
        ClassId ClassId,
        TaskKind Kind,
        TextId? TextId,
        string? Content,
        string Title,
        DateOnly? DueOn
    );

    internal static readonly string RowSql = $"""
        select a.id, a.class_id, y.id as task_id, y.kind, y.text_id, {TaskSql.Title} as title, a.assigned_at,
               p.name as "by", a.draft,
               a.visible_from, a.due_on, a.closes_on, a.need, a.place, a.results, a.may_change, a.talk, a.turn_of,
               a.turn, a.act,
               a.heading, a.directions, a.note, a.home_directions, a.home_language,
               a.releases_on, a.worth, a.revision, y.attempts, y.on_the_way, y.aloud,
               count(k.id) filter (where k.state <> {TicketStates.TakenBack})::int as tickets,
               count(k.id) filter (where k.state = {TicketStates.Planned})::int as planned,
               count(k.id) filter (where k.state = {TicketStates.Waiting})::int as waiting,
               count(k.id) filter (where k.state = {TicketStates.SentBack})::int as sent_back,
               count(k.id) filter (where k.state = {TicketStates.UnderWay})::int as under_way,
               count(k.id) filter (where k.state in ({TicketStates.Done}))::int as done,
               count(k.id) filter (where k.state in ({TicketStates.AtMarking}))::int as to_mark,
               (
                 select max(r.at)
                 from text_revision r
                 where r.text_id = y.text_id and r.revision > 1 and r.at > a.assigned_at) as corrected_at,
               count(k.id) filter (where k.state = {TicketStates.Closed})::int as closed, avg(k.score) as mean_score,
               a.chosen
        from assignment a
          join lateral (select * from task where assignment_id = a.id order by position desc limit 1) y on true
          left join text t on t.id = y.text_id
          left join adult p on p.id = a.assigned_by
          left join ticket k on k.assignment_id = a.id
        """;

    internal const string RowGroups =
        "group by a.id, y.id, y.kind, y.text_id, y.content, y.attempts, y.on_the_way, y.aloud, t.title, p.name";

    internal const string TicketSql = """
        select k.id, k.reader_id, y.kind, r.given_name, r.family_name, v.label as version, v.depth as version_depth, k.state,
          k.forecast, k.page, coalesce(jsonb_array_length(v.pages), 0) as pages,
               k.score, k.active_seconds as seconds,
               k.opened_at, k.handed_in_at, k.before_mean, k.before_sd, k.after_mean, k.after_sd
        from ticket k
          join reader r on r.id = k.reader_id
          join task y on y.id = k.task_id
          left join version v on v.id = k.version_id
        """;
}
