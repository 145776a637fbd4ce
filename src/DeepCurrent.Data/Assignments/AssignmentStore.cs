using Dapper;
using DeepCurrent.Core.Changes;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Tickets;
using DeepCurrent.Data.Measuring;
using DeepCurrent.Data.Storage;
using DeepCurrent.Data.Tickets;
using Npgsql;

namespace DeepCurrent.Data.Assignments;

public sealed record NewTicket(TicketId Id, ReaderId ReaderId, VersionId VersionId, Probability Forecast);

/// <summary>Assignments that were given together.</summary>
/// <param name="AssignmentId">The first of them.</param>
public sealed record GivenBefore(AssignmentId AssignmentId, ChangeId ChangeId, int Tickets, int Texts);

public sealed record NewAssignment(
    AssignmentId Id,
    ClassId ClassId,
    TextId TextId,
    AdultId AssignedBy,
    DateTimeOffset AssignedAt,
    DateOnly? DueOn,
    int Attempts,
    string Directions,
    IReadOnlyList<NewTicket> Tickets,
    bool OnTheWay = true,
    bool Aloud = false
);

public sealed record AssignmentRow
{
    public required AssignmentId Id { get; init; }

    public required ClassId ClassId { get; init; }

    public required TextId TextId { get; init; }

    public required string Title { get; init; }

    public required DateTimeOffset AssignedAt { get; init; }

    public required DateOnly? DueOn { get; init; }

    public required int Attempts { get; init; }

    public required string Directions { get; init; }

    public required int Tickets { get; init; }

    public required int Waiting { get; init; }

    public required int UnderWay { get; init; }

    public required int Done { get; init; }

    public required int ToMark { get; init; }

    /// <summary>When the text was last changed, if that was after it was given.</summary>
    public required DateTimeOffset? CorrectedAt { get; init; }

    public required Probability? MeanScore { get; init; }

    /// <summary>Readers took it themselves; nobody gave it.</summary>
    public required bool Chosen { get; init; }
}

public sealed record TicketRow
{
    public required TicketId Id { get; init; }

    public required ReaderId ReaderId { get; init; }

    public required string GivenName { get; init; }

    public required string FamilyName { get; init; }

    public required string Version { get; init; }

    public required Fathoms VersionDepth { get; init; }

    public required TicketState State { get; init; }

    public required Probability Forecast { get; init; }

    public required int Page { get; init; }

    public required int Pages { get; init; }

    public required Probability? Score { get; init; }

    public required double Seconds { get; init; }

    public required DateTimeOffset? OpenedAt { get; init; }

    public required DateTimeOffset? HandedInAt { get; init; }

    public required Fathoms? BeforeMean { get; init; }

    public required double? BeforeSd { get; init; }

    public required Fathoms? AfterMean { get; init; }

    public required double? AfterSd { get; init; }
}

/// <summary>A ticket with the class and the text it is of.</summary>
public sealed record PlacedTicket(TicketRow Ticket, ClassId ClassId, TextId TextId, string Title, DateOnly? DueOn);

/// <summary>A text's use in a class, for the chart.</summary>
/// <param name="Depth">Mean depth of the versions given.</param>
public sealed record TextInUse(TextId TextId, string Title, Fathoms Depth, int Readers);

/// <summary>Assignments of a class, as a teacher sees them.</summary>
public sealed class AssignmentStore(NpgsqlDataSource db)
{
    /// <summary>Gives a text, inside the transaction that lists it. The same once more changes nothing.</summary>
    /// <returns>False where it has been given before, by the same request.</returns>
    public static async Task<bool> Add(NpgsqlConnection c, NpgsqlTransaction t, NewAssignment a)
    {
        var added = await c.ExecuteAsync(
            """
            insert into assignment (
              id, class_id, text_id, assigned_by, assigned_at, due_on, attempts, directions, on_the_way, aloud)
            values (@Id, @ClassId, @TextId, @AssignedBy, @AssignedAt, @DueOn, @Attempts, @Directions, @OnTheWay, @Aloud)
            on conflict (id) do nothing
            """,
            a,
            t
        );
        if (added == 0)
            return false;
        await c.ExecuteAsync(
            """
            insert into ticket (id, assignment_id, reader_id, version_id, state, forecast, changed_at)
            values (@Id, @assignment, @ReaderId, @VersionId, @waiting, @Forecast, @at)
            """,
            a.Tickets.Select(k => new
            {
                k.Id,
                assignment = a.Id,
                k.ReaderId,
                k.VersionId,
                k.Forecast,
                waiting = nameof(TicketState.Waiting),
                at = a.AssignedAt,
            }),
            t
        );
        await c.Tell(t, "ticket", a.ClassId);
        return true;
    }

    /// <summary>What was given of some assignments, by the change that gave it; null where none of them is there
    /// yet.</summary>
    public async Task<GivenBefore?> Given(IReadOnlyList<AssignmentId> assignmentIds, ClassId classId)
    {
        return await db.First<GivenBefore>(
            """
            select (array_agg(a.id order by array_position(@ids, a.id)))[1] as assignment_id, h.id as change_id,
                   sum((select count(*) from ticket k where k.assignment_id = a.id))::int as tickets,
                   count(*)::int as texts
            from assignment a
              join change h on h.class_id = a.class_id
                and h.kind = @kind
                and h.detail -> 'assignmentIds' ? a.id::text
            where a.id = any(@ids) and a.class_id = @classId
            group by h.id
            """,
            new
            {
                ids = assignmentIds.ToArray(),
                classId,
                kind = nameof(ChangeKind.Assigned),
            }
        );
    }

    /// <summary>Takes tickets back from their readers; what was done on them is kept. Only tickets not handed in are
    /// taken.</summary>
    /// <returns>How many were taken back.</returns>
    public static async Task<int> TakeBack(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        IReadOnlyList<AssignmentId> assignmentIds,
        ClassId classId,
        DateTimeOffset at
    )
    {
        var n = await c.ExecuteAsync(
            """
            update ticket k
            set state = @takenBack, changed_at = @at
            from assignment a
            where a.id = k.assignment_id
              and a.id = any(@ids)
              and a.class_id = @classId
              and k.state = any(@from)
            """,
            new
            {
                ids = assignmentIds.ToArray(),
                classId,
                at,
                takenBack = nameof(TicketState.TakenBack),
                from = TicketStates.From(TicketStep.TakenBack),
            },
            t
        );
        await c.Tell(t, "ticket", classId);
        return n;
    }

    public async Task<IReadOnlyList<AssignmentRow>> Of(ClassId classId)
    {
        return (
            await db.All<AssignmentRow>(
                RowSql + " where a.class_id = @classId group by a.id, t.title order by a.assigned_at desc limit 200",
                new { classId }
            )
        )
            .Where(a => a.Tickets > 0)
            .ToList();
    }

    /// <summary>An assignment of a school; null if it is not in that school.</summary>
    public async Task<AssignmentRow?> Find(AssignmentId id, SchoolId schoolId)
    {
        return await db.One<AssignmentRow>(
            RowSql
                + " join class c on c.id = a.class_id where a.id = @id and c.school_id = @schoolId group by "
                + "a.id, t.title",
            new { id, schoolId }
        );
    }

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
        var place = await c.QuerySingleOrDefaultAsync<(ClassId ClassId, TextId TextId, string Title, DateOnly? DueOn)>(
            """
            select a.class_id, a.text_id, t.title, a.due_on
            from ticket k
              join assignment a on a.id = k.assignment_id
              join text t on t.id = a.text_id
              join class c on c.id = a.class_id
            where k.id = @ticketId and c.school_id = @schoolId
            """,
            new { ticketId, schoolId }
        );
        if (place.ClassId == default)
            return null;
        return new(
            await c.QuerySingleAsync<TicketRow>(TicketSql + " where k.id = @ticketId", new { ticketId }),
            place.ClassId,
            place.TextId,
            place.Title,
            place.DueOn
        );
    }

    /// <summary>Readers who had a text before, and how.</summary>
    public async Task<IReadOnlyDictionary<ReaderId, EarlierReading>> Given(TextId textId, ReaderId[] readerIds)
    {
        return (
            await db.All<(ReaderId Reader, string? State)>(
                $"""
                select distinct on (reader_id) reader_id, state
                from (
                  select k.reader_id, k.state, a.assigned_at as at
                  from ticket k join assignment a on a.id = k.assignment_id
                  where a.text_id = @textId and k.reader_id = any(@readerIds) and k.state <> {TicketStates.TakenBack}
                  union all
                  select n.reader_id, null, s.served_at
                  from stage s join sitting_part p on p.id = s.part_id join sitting n on n.id = p.sitting_id
                  where s.text_id = @textId and n.reader_id = any(@readerIds)
                ) had
                order by reader_id, at desc
                limit 1000
                """,
                new { textId, readerIds }
            )
        ).ToDictionary(
            x => x.Reader,
            x => x.State is null ? EarlierReading.InLevelCheck : EarlierReadings.Of(Enum.Parse<TicketState>(x.State))
        );
    }

    public async Task<IReadOnlyList<TextInUse>> InUse(ClassId classId, DateTimeOffset since)
    {
        return await db.All<TextInUse>(
            $"""
            select a.text_id, t.title, avg(v.depth) as depth, count(distinct k.reader_id)::int as readers
            from assignment a
              join text t on t.id = a.text_id
              join ticket k on k.assignment_id = a.id
              join version v on v.id = k.version_id
            where a.class_id = @classId and a.assigned_at >= @since and k.state <> {TicketStates.TakenBack}
            group by a.text_id, t.title
            order by max(a.assigned_at) desc
            limit 14
            """,
            new { classId, since }
        );
    }

    /// <summary>Finished and open readings of one reader, latest first.</summary>
    public async Task<IReadOnlyList<HistoryRow>> History(ReaderId readerId)
    {
        await using var c = await db.OpenConnectionAsync();
        var tickets = (
            await c.QueryAsync<TicketRow>(
                $"""
                {TicketSql}
                where k.reader_id = @readerId and k.state <> {TicketStates.TakenBack}
                order by coalesce(k.handed_in_at, 'infinity') desc, k.changed_at desc
                limit 200
                """,
                new { readerId }
            )
        ).ToList();
        var heads = (
            await c.QueryAsync<(TicketId Id, string Title, DateTimeOffset AssignedAt, DateOnly? DueOn)>(
                """
                select k.id, t.title, a.assigned_at, a.due_on
                from ticket k join assignment a on a.id = k.assignment_id join text t on t.id = a.text_id
                where k.reader_id = @readerId
                limit 2000
                """,
                new { readerId }
            )
        ).ToDictionary(h => h.Id);
        return
        [
            .. tickets.Select(k => new HistoryRow(k, heads[k.Id].Title, heads[k.Id].AssignedAt, heads[k.Id].DueOn)),
        ];
    }

    /// <summary>Words of the version of each of a reader's tickets.</summary>
    public async Task<IReadOnlyDictionary<TicketId, int>> WordsOf(ReaderId readerId)
    {
        return (
            await db.All<(TicketId Id, int Words)>(
                """
                select k.id, v.words
                from ticket k join version v on v.id = k.version_id
                where k.reader_id = @readerId
                limit 5000
                """,
                new { readerId }
            )
        ).ToDictionary(x => x.Id, x => x.Words);
    }

    /// <summary>First attempts of a reader by strand since a time: right and asked. Answers given too fast are left
    /// out.</summary>
    public async Task<IReadOnlyList<StrandCount>> Strands(ClassId classId, DateTimeOffset since)
    {
        return await db.All<StrandCount>(
            $"""
            select v.reader_id, v.strand, count(*) filter (where v.correct)::int as right, count(*)::int as asked
            from enrolment e
              join evidence v on v.reader_id = e.reader_id
            where e.class_id = @classId
              and e.to_day is null
              and v.kind = {EvidenceKinds.Answer}
              and v.left_out is null
              and v.strand is not null
              and v.at >= @since
            group by v.reader_id, v.strand
            limit 10000
            """,
            new { classId, since }
        );
    }

    /// <summary>Readings handed in by a class's readers since a time, oldest first.</summary>
    public async Task<IReadOnlyList<ClassReading>> Readings(ClassId classId, DateTimeOffset since)
    {
        return await db.All<ClassReading>(
            $"""
            select k.reader_id, t.title, k.handed_in_at as at, k.score, k.forecast, v.words,
                   coalesce((select sum(s.seconds) from spell s where s.ticket_id = k.id), 0) as seconds
            from enrolment e
              join ticket k on k.reader_id = e.reader_id
              join assignment a on a.id = k.assignment_id
              join text t on t.id = a.text_id
              join version v on v.id = k.version_id
            where e.class_id = @classId
              and e.to_day is null
              and k.state = {TicketStates.Released}
              and k.score is not null
              and k.handed_in_at >= @since
            order by k.handed_in_at
            limit 20000
            """,
            new { classId, since }
        );
    }

    private static readonly string RowSql = $"""
        select a.id, a.class_id, a.text_id, t.title, a.assigned_at, a.due_on, a.attempts, a.directions,
               count(k.id) filter (where k.state <> {TicketStates.TakenBack})::int as tickets,
               count(k.id) filter (where k.state = {TicketStates.Waiting})::int as waiting,
               count(k.id) filter (where k.state = {TicketStates.UnderWay})::int as under_way,
               count(k.id) filter (where k.handed_in_at is not null and k.state <> {TicketStates.TakenBack})::int as done,
               count(k.id) filter (where k.state in ({TicketStates.AtMarking}))::int as to_mark,
               (
                 select max(r.at)
                 from text_revision r
                 where r.text_id = a.text_id and r.revision > 1 and r.at > a.assigned_at) as corrected_at,
               avg(k.score) as mean_score, a.chosen
        from assignment a join text t on t.id = a.text_id left join ticket k on k.assignment_id = a.id
        """;

    private const string TicketSql = """
        select k.id, k.reader_id, r.given_name, r.family_name, v.label as version, v.depth as version_depth, k.state,
          k.forecast, k.page, jsonb_array_length(v.pages) as pages,
               k.score, coalesce((select sum(s.seconds) from spell s where s.ticket_id = k.id), 0) as seconds,
               k.opened_at, k.handed_in_at, k.before_mean, k.before_sd, k.after_mean, k.after_sd
        from ticket k join reader r on r.id = k.reader_id join version v on v.id = k.version_id
        """;
}

/// <summary>First attempts of one reader at questions of one strand.</summary>
public sealed record StrandCount(ReaderId ReaderId, Strand Strand, int Right, int Asked);

/// <summary>A ticket in its reader's history.</summary>
public sealed record HistoryRow(TicketRow Ticket, string Title, DateTimeOffset AssignedAt, DateOnly? DueOn);

public sealed record ClassReading(
    ReaderId ReaderId,
    string Title,
    DateTimeOffset At,
    Probability Score,
    Probability Forecast,
    int Words,
    double Seconds
);
