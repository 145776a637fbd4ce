using Dapper;
using DeepCurrent.Core.Assignments;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Schools;
using DeepCurrent.Core.Tickets;
using DeepCurrent.Data.Storage;
using DeepCurrent.Data.Tickets;
using Npgsql;

namespace DeepCurrent.Data.Assignments;

/// <summary>Whom an assignment is for, as it was said and as it came out.</summary>
/// <param name="Readers">Who has a ticket of it that was not taken back.</param>
public sealed record Meant(IReadOnlyList<Aim> Aims, IReadOnlyList<ReaderId> Readers);

/// <summary>One reader's ticket in a class, for who is where.</summary>
public sealed record PlaceRow
{
    public required TicketId Id { get; init; }

    public required AssignmentId AssignmentId { get; init; }

    public required ReaderId ReaderId { get; init; }

    public required TicketState State { get; init; }

    public required int Round { get; init; }

    public required int Page { get; init; }

    public required int Pages { get; init; }

    /// <summary>Of the version; null, as the forecast, where the task is about no text.</summary>
    public required Fathoms? Depth { get; init; }

    /// <summary>Of the version that was given, where its reader changed it.</summary>
    public required Fathoms? GivenDepth { get; init; }

    public required Probability? Forecast { get; init; }

    /// <summary>Of the round that is running or was last handed in; null while it has none.</summary>
    public required Probability? Score { get; init; }

    /// <summary>Answers of the quiz so far, in this round; words that are known of a list, 1 where something is
    /// written.</summary>
    public required int Answered { get; init; }

    public required int TooFast { get; init; }

    public required DateTimeOffset? OpenedAt { get; init; }

    public required DateTimeOffset? HandedInAt { get; init; }

    /// <summary>The assignment's last day, or the reader's own.</summary>
    public required DateOnly? DueOn { get; init; }

    /// <summary>The reader was reminded and has not opened it since.</summary>
    public required bool Reminded { get; init; }
}

/// <summary>A class's assignments in a stretch of days.</summary>
public sealed class WeekStore(NpgsqlDataSource db)
{
    /// <summary>From the day it is seen to the day it is due; without one, as long as somebody still has it.</summary>
    private static readonly string LiesBetween = $"""
        a.class_id = any(@classIds)
        and not a.chosen
        and a.visible_from <= @to
        and (
          a.due_on >= @from
          or a.visible_from >= @from
          or (
            exists (
              select 1
              from ticket o
              where o.assignment_id = a.id and o.state = any(@open))
            and a.visible_from >= @longAgo))
        """;

    /// <summary>Days after which what nobody finished is no longer in the way.</summary>
    private const int LongAgo = 28;

    private const int MostOfClass = 400;

    /// <summary>What lies in a stretch of days, drafts with it, oldest first.</summary>
    public Task<IReadOnlyList<AssignmentRow>> Between(ClassId classId, DateOnly from, DateOnly to) =>
        Between([classId], from, to);

    /// <summary>What lies in a stretch of days in several classes.</summary>
    public Task<IReadOnlyList<AssignmentRow>> Between(
        IReadOnlyCollection<ClassId> classIds,
        DateOnly from,
        DateOnly to
    ) =>
        db.All<AssignmentRow>(
            $"""
            {AssignmentStore.RowSql}
            where {LiesBetween}
            {AssignmentStore.RowGroups}
            order by a.visible_from, a.assigned_at, a.id
            limit @most
            """,
            Span(classIds, from, to)
        );

    /// <summary>Whom each of them is for.</summary>
    public async Task<IReadOnlyDictionary<AssignmentId, Meant>> MeantBy(IReadOnlyList<AssignmentId> ids)
    {
        var aims = (
            await db.All<(AssignmentId Id, ClassId Class, GroupId? Group, ReaderId? Reader)>(
                """
                select assignment_id, class_id, group_id, reader_id
                from aim
                where assignment_id = any(@ids)
                order by assignment_id, id
                limit 20000
                """,
                new { ids = ids.ToArray() }
            )
        ).ToLookup(m => m.Id, m => new Aim(m.Class, m.Group, m.Reader));
        var readers = (
            await db.All<(AssignmentId Id, ReaderId Reader)>(
                $"""
                select distinct assignment_id, reader_id
                from ticket
                where assignment_id = any(@ids) and state <> {TicketStates.TakenBack}
                limit 40000
                """,
                new { ids = ids.ToArray() }
            )
        ).ToLookup(k => k.Id, k => k.Reader);
        return ids.ToDictionary(id => id, id => new Meant([.. aims[id]], [.. readers[id]]));
    }

    /// <summary>The tickets of what lies in a stretch of days; those that were taken back are among them.</summary>
    public Task<IReadOnlyList<PlaceRow>> Places(ClassId classId, DateOnly from, DateOnly to) =>
        db.All<PlaceRow>(
            $"""
            select k.id, k.assignment_id, k.reader_id, k.state, k.round, k.page,
                   coalesce(jsonb_array_length(v.pages), 0) as pages, v.depth, g.depth as given_depth, k.forecast,
                   (
                     select d.score
                     from round d
                     where d.ticket_id = k.id and d.score is not null
                     order by d.number desc
                     limit 1) as score,
                   coalesce(w.answered, 0) + coalesce((
                     select jsonb_array_length(jsonb_path_query_array(p.practised, '$[*] ? (@.known == true)'))
                       + (p.words <> '')::int
                     from reply p
                     where p.ticket_id = k.id and p.round = k.round), 0) as answered,
                   coalesce(w.too_fast, 0) as too_fast, k.opened_at, k.handed_in_at,
                   coalesce(k.due_on, a.due_on) as due_on, k.reminded_at is not null as reminded
            from assignment a
              join ticket k on k.assignment_id = a.id
              left join version v on v.id = k.version_id
              left join version g on g.id = k.given_version_id
              left join lateral (
                select count(distinct n.question_id)::int as answered,
                  count(*) filter (where n.attempt = 1 and n.too_fast)::int as too_fast
                from answer n
                where n.ticket_id = k.id and n.round = k.round) w on true
            where {LiesBetween} and k.state <> {TicketStates.Planned}
            order by a.visible_from, a.assigned_at, k.id
            limit 8000
            """,
            Span([classId], from, to)
        );

    /// <summary>Schools in which something is planned for readers, with what time it is there.</summary>
    public Task<IReadOnlyList<(SchoolId School, SchoolClock Clock)>> Planning() =>
        SchoolsWith($"k.state = {TicketStates.Planned}");

    /// <summary>Schools in which something closes that readers still have, with what time it is there.</summary>
    public Task<IReadOnlyList<(SchoolId School, SchoolClock Clock)>> ClosingSchools() =>
        SchoolsWith("a.closes_on is not null and k.state = any(@waits)");

    /// <summary>Schools with marked work that has a day on which it is released, with what time it is there.</summary>
    public Task<IReadOnlyList<(SchoolId School, SchoolClock Clock)>> Releasing() =>
        SchoolsWith($"a.releases_on is not null and k.state = {TicketStates.Marked}");

    /// <summary>Releases what is marked and whose day has come.</summary>
    public async Task Release(SchoolId schoolId, DateOnly today, DateTimeOffset now)
    {
        await using var c = await db.OpenConnectionAsync();
        await using var t = await c.BeginTransactionAsync();
        var released = await c.QueryAsync<ClassId>(
            $"""
            update ticket k
            set state = {TicketStates.Released}, changed_at = @now
            from assignment a, class s
            where a.id = k.assignment_id
              and s.id = k.class_id
              and s.school_id = @schoolId
              and a.releases_on <= @today
              and k.state = {TicketStates.Marked}
            returning k.class_id
            """,
            new
            {
                schoolId,
                today,
                now,
            },
            t
        );
        foreach (var classId in released.Distinct())
            await c.Tell(t, "ticket", classId);
        await t.CommitAsync();
    }

    private async Task<IReadOnlyList<(SchoolId School, SchoolClock Clock)>> SchoolsWith(string ticket)
    {
        var schools = await db.All<(SchoolId Id, string TimeZone)>(
            $"""
            select s.id, s.time_zone
            from school s
            where exists (
              select 1
              from class c
                join ticket k on k.class_id = c.id
                join assignment a on a.id = k.assignment_id
              where c.school_id = s.id and {ticket})
            limit 10000
            """,
            new { waits = TicketStates.Waits }
        );
        return [.. schools.Select(s => (s.Id, new SchoolClock(s.TimeZone)))];
    }

    /// <summary>What its reader still has though its last day has passed.</summary>
    /// <param name="today">The school's.</param>
    public Task<IReadOnlyList<(TicketId Ticket, ReaderId Reader, ClassId Class)>> ToClose(
        SchoolId schoolId,
        DateOnly today
    ) =>
        db.All<(TicketId, ReaderId, ClassId)>(
            """
            select k.id, k.reader_id, k.class_id
            from assignment a
              join ticket k on k.assignment_id = a.id
              join class c on c.id = k.class_id
            where a.closes_on < @today
              and c.school_id = @schoolId
              and k.state = any(@waits)
              and (k.due_on is null or k.due_on < @today)
            order by k.id
            limit 500
            """,
            new
            {
                schoolId,
                today,
                waits = TicketStates.Waits,
            }
        );

    /// <summary>How many readers of each assignment have not handed it in though it was due for them.</summary>
    /// <param name="today">The school's.</param>
    public async Task<IReadOnlyDictionary<AssignmentId, int>> Late(IReadOnlyList<AssignmentId> ids, DateOnly today) =>
        (
            await db.All<(AssignmentId Id, int Late)>(
                """
                select a.id, count(*)::int
                from assignment a join ticket k on k.assignment_id = a.id
                where a.id = any(@ids) and k.state = any(@open) and coalesce(k.due_on, a.due_on) < @today
                group by a.id
                limit 1000
                """,
                new
                {
                    ids = ids.ToArray(),
                    today,
                    open = TicketStates.Open,
                }
            )
        ).ToDictionary(x => x.Id, x => x.Late);

    /// <summary>Shows what has become visible: planned tickets wait for their readers from the day on.</summary>
    /// <param name="today">The school's.</param>
    public async Task Show(SchoolId schoolId, DateOnly today, DateTimeOffset now)
    {
        await using var c = await db.OpenConnectionAsync();
        await using var t = await c.BeginTransactionAsync();
        await TicketShowing.InSchool(c, t, schoolId, today, now);
        await t.CommitAsync();
    }

    private static object Span(IReadOnlyCollection<ClassId> classIds, DateOnly from, DateOnly to) =>
        new
        {
            classIds = classIds.ToArray(),
            most = MostOfClass * classIds.Count,
            from,
            to,
            open = TicketStates.Open,
            longAgo = from.AddDays(-LongAgo),
        };
}
