using Dapper;
using DeepCurrent.Core.Assignments;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Tickets;
using DeepCurrent.Data.Storage;
using DeepCurrent.Data.Tickets;
using Npgsql;

namespace DeepCurrent.Data.Assignments;

/// <summary>A task for one reader.</summary>
/// <param name="VersionId">Null, as the forecast, where the task is about no text.</param>
public sealed record NewTicket(TicketId Id, ReaderId ReaderId, VersionId? VersionId, Probability? Forecast);

/// <summary>One thing to do within an assignment, and how.</summary>
/// <param name="TextId">Null where it is about no text.</param>
/// <param name="Locked">Versions chosen by the teacher, by reader; the others get the one that fits.</param>
/// <param name="Content">What it is about where that is no text.</param>
/// <param name="Questions">Those of the text's quiz that are asked; null for all.</param>
/// <param name="Own">How single readers do it otherwise.</param>
public sealed record NewTask(
    TaskId Id,
    TextId? TextId,
    int Attempts,
    bool OnTheWay = true,
    bool Aloud = false,
    IReadOnlyDictionary<ReaderId, VersionId>? Locked = null,
    TaskKind Kind = TaskKind.Text,
    TaskContent? Content = null,
    IReadOnlyList<QuestionId>? Questions = null,
    IReadOnlyDictionary<ReaderId, OwnWay>? Own = null
);

/// <summary>Something that is given in one act; a draft has no tickets yet.</summary>
public sealed record NewAssignment
{
    public required AssignmentId Id { get; init; }

    public required ClassId ClassId { get; init; }

    public required AdultId AssignedBy { get; init; }

    public required DateTimeOffset AssignedAt { get; init; }

    public required AssignmentTerms Terms { get; init; }

    public required NewTask Task { get; init; }

    public required IReadOnlyList<Aim> Aims { get; init; }

    /// <summary>Null where it can be done in any order.</summary>
    public Turn? Turn { get; init; }

    /// <summary>The first of what is given in the same act; null where it is given alone.</summary>
    public AssignmentId? Act { get; init; }

    public IReadOnlyList<NewTicket> Tickets { get; init; } = [];
}

/// <summary>Writes assignments, inside the transactions that list them.</summary>
public static class AssignmentWriter
{
    private const string AimsSql = """
        insert into aim (id, assignment_id, class_id, group_id, reader_id)
        select gen_random_uuid(), @id, class_id, group_id, reader_id
        from unnest(@classes, @groups, @readers) x (class_id, group_id, reader_id)
        """;

    /// <summary>Gives a task, or keeps it as a draft where there are no tickets. The same once more changes
    /// nothing.</summary>
    /// <param name="today">The school's.</param>
    /// <returns>False where it has been given before, by the same request.</returns>
    public static async Task<bool> Add(NpgsqlConnection c, NpgsqlTransaction t, NewAssignment a, DateOnly today)
    {
        var added = await c.ExecuteAsync(
            $"""
            insert into assignment (
              id, class_id, assigned_by, assigned_at, draft, turn_of, turn, act, {TermsSql.Columns})
            values (@Id, @ClassId, @AssignedBy, @AssignedAt, @draft, @turnOf, @turn, @act, {TermsSql.Values})
            on conflict (id) do nothing
            """,
            TermsSql.With(
                a.Terms,
                new
                {
                    a.Id,
                    a.ClassId,
                    a.AssignedBy,
                    a.AssignedAt,
                    draft = a.Tickets.Count == 0,
                    turnOf = a.Turn?.Of,
                    turn = a.Turn?.Nth,
                    act = a.Act ?? a.Id,
                }
            ),
            t
        );
        if (added == 0)
            return false;
        await AddTask(c, t, a.Id, a.Task);
        await c.ExecuteAsync(
            AimsSql,
            new
            {
                id = a.Id,
                classes = a.Aims.Select(m => m.ClassId).ToArray(),
                groups = a.Aims.Select(m => m.GroupId).ToArray(),
                readers = a.Aims.Select(m => m.ReaderId).ToArray(),
            },
            t
        );
        await AddTickets(c, t, a.ClassId, a.Task.Id, a.Tickets, a.Terms, today, a.AssignedBy, a.AssignedAt);
        await Tell(c, t, a.ClassId);
        return true;
    }

    /// <summary>Adds a task after those there are.</summary>
    public static Task AddTask(NpgsqlConnection c, NpgsqlTransaction t, AssignmentId assignmentId, NewTask task) =>
        c.ExecuteAsync(
            """
            insert into task (
              id, assignment_id, position, kind, text_id, attempts, on_the_way, aloud, locked, content, questions, own)
            select @Id, @assignmentId, coalesce(max(position) + 1, 0), @kind, @TextId, @Attempts, @OnTheWay, @Aloud,
              @locked::jsonb, @content::jsonb, @questions, @own::jsonb
            from task
            where assignment_id = @assignmentId
            """,
            new
            {
                task.Id,
                assignmentId,
                kind = task.Kind.ToString(),
                task.TextId,
                task.Attempts,
                task.OnTheWay,
                task.Aloud,
                locked = Database.ToJson(task.Locked ?? new Dictionary<ReaderId, VersionId>()),
                content = task.Content is null ? null : Database.ToJson(task.Content),
                questions = task.Questions?.ToArray(),
                own = Database.ToJson(task.Own ?? new Dictionary<ReaderId, OwnWay>()),
            },
            t
        );

    /// <summary>Gives a task to readers: each begins its first round.</summary>
    public static async Task AddTickets(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        ClassId classId,
        TaskId taskId,
        IReadOnlyList<NewTicket> tickets,
        AssignmentTerms terms,
        DateOnly today,
        AdultId by,
        DateTimeOffset at
    )
    {
        // What stands in line is planned first, and shown to those for whom it is its turn.
        var given = (
            await c.QueryAsync<(TicketId Id, bool Planned)>(
                $"""
                insert into ticket (
                  id, assignment_id, task_id, class_id, reader_id, version_id, state, forecast, changed_at, due_on)
                select x.id, y.assignment_id, y.id, @classId, x.reader_id, x.version_id,
                  case when a.turn > 0 then {TicketStates.Planned} else @begins end,
                  x.forecast, @at,
                  case
                    when (y.own -> x.reader_id::text ->> 'dueOn')::date >= @today
                    then (y.own -> x.reader_id::text ->> 'dueOn')::date
                  end
                from unnest(@ids, @readers, @versions, @forecasts) x (id, reader_id, version_id, forecast)
                  join task y on y.id = @taskId
                  join assignment a on a.id = y.assignment_id
                on conflict (task_id, reader_id) do nothing
                returning id, state = {TicketStates.Planned}
                """,
                new
                {
                    classId,
                    taskId,
                    ids = tickets.Select(k => k.Id).ToArray(),
                    readers = tickets.Select(k => k.ReaderId).ToArray(),
                    versions = tickets.Select(k => k.VersionId).ToArray(),
                    forecasts = tickets.Select(k => k.Forecast?.Value).ToArray(),
                    begins = terms.Begins(today).ToString(),
                    at,
                    today,
                },
                t
            )
        ).AsList();
        await TicketRounds.First(c, t, [.. given.Select(g => g.Id)], by, at);
        if (terms.VisibleFrom <= today && given.Any(g => g.Planned))
            await TicketShowing.OfTask(c, t, taskId, today, at);
    }

    /// <summary>Makes a draft what is given, or gives what is a draft.</summary>
    /// <returns>False where it is so already: somebody else was first.</returns>
    public static async Task<bool> SetDraft(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        AssignmentId assignmentId,
        bool draft,
        DateTimeOffset at
    ) =>
        await c.ExecuteAsync(
            """
            update assignment
            set draft = @draft, assigned_at = @at, revision = revision + 1
            where id = @assignmentId and draft <> @draft
            """,
            new
            {
                assignmentId,
                draft,
                at,
            },
            t
        ) > 0;

    /// <summary>Says to whoever looks that something of a class's assignments is otherwise now.</summary>
    public static Task Tell(NpgsqlConnection c, NpgsqlTransaction t, ClassId classId) => c.Tell(t, "ticket", classId);

    /// <summary>Changes when it is seen and due and what is said with it. What is not seen any more waits again, unless
    /// its reader has begun.</summary>
    /// <returns>False where somebody changed it since that revision.</returns>
    public static async Task<bool> SetTerms(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        AssignmentId assignmentId,
        AssignmentTerms terms,
        int revision,
        DateOnly today,
        DateTimeOffset at
    )
    {
        var changed = await c.ExecuteAsync(
            $"""
            update assignment
            set {TermsSql.Sets}, revision = revision + 1
            where id = @assignmentId and revision = @revision
            """,
            TermsSql.With(terms, new { assignmentId, revision }),
            t
        );
        if (changed == 0)
            return false;
        await c.ExecuteAsync(
            $"""
            update ticket k
            set state = x.begins, changed_at = @at
            from (
              select case when turn > 0 then {TicketStates.Planned} else @begins end as begins
              from assignment
              where id = @assignmentId) x
            where k.assignment_id = @assignmentId
              and k.state = any(@unopened)
              and k.state <> x.begins
              and k.opened_at is null
            """,
            new
            {
                assignmentId,
                begins = terms.Begins(today).ToString(),
                unopened = new[] { nameof(TicketState.Planned), nameof(TicketState.Waiting) },
                at,
            },
            t
        );
        if (!terms.Closed(today))
            await TicketMover.Reopen(c, t, assignmentId, at);
        await TicketShowing.Of(c, t, assignmentId, today, at);
        return true;
    }

    /// <summary>Deletes drafts; what was given stays.</summary>
    /// <returns>How many there were.</returns>
    public static Task<int> Discard(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        IReadOnlyList<AssignmentId> ids,
        ClassId classId
    ) =>
        c.ExecuteAsync(
            "delete from assignment where id = any(@ids) and class_id = @classId and draft",
            new { ids = ids.ToArray(), classId },
            t
        );

    /// <summary>Deletes tickets on which nothing has been done.</summary>
    /// <returns>How many others there are: on those something was done.</returns>
    public static async Task<int> DeleteUntouched(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        IReadOnlyList<AssignmentId> assignmentIds,
        TaskId? taskId = null
    )
    {
        await c.ExecuteAsync(
            """
            delete from ticket
            where assignment_id = any(@ids) and (@task::uuid is null or task_id = @task) and opened_at is null
            """,
            new { ids = assignmentIds.ToArray(), task = taskId },
            t
        );
        return await c.ExecuteScalarAsync<int>(
            """
            select count(*)::int
            from ticket
            where assignment_id = any(@ids) and (@task::uuid is null or task_id = @task)
            """,
            new { ids = assignmentIds.ToArray(), task = taskId },
            t
        );
    }

    /// <summary>Deletes those of some tickets that nobody has opened.</summary>
    public static Task DeleteUnopened(NpgsqlConnection c, NpgsqlTransaction t, IReadOnlyList<TicketId> ids) =>
        c.ExecuteAsync("delete from ticket where id = any(@ids) and opened_at is null", new { ids = ids.ToArray() }, t);

    /// <summary>Takes a task out again that has no tickets.</summary>
    public static Task DropTask(NpgsqlConnection c, NpgsqlTransaction t, TaskId taskId) =>
        c.ExecuteAsync("delete from task where id = @taskId", new { taskId }, t);

    /// <summary>Puts terms back that are still as a change left them.</summary>
    /// <returns>False where they are not.</returns>
    public static async Task<bool> PutBack(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        AssignmentId assignmentId,
        AssignmentTerms before,
        AssignmentTerms after,
        DateOnly today,
        DateTimeOffset at
    )
    {
        var revision = await c.QuerySingleOrDefaultAsync<int?>(
            $"""
            select revision
            from assignment
            where id = @assignmentId and ({TermsSql.Columns}) is not distinct from ({TermsSql.Values})
            for update
            """,
            TermsSql.With(after, new { assignmentId }),
            t
        );
        return revision is { } now && await SetTerms(c, t, assignmentId, before, now, today, at);
    }
}
