using DeepCurrent.Core.Assignments;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Tickets;
using DeepCurrent.Data.Assignments;
using DeepCurrent.Data.Storage;
using DeepCurrent.Data.Tickets;
using Npgsql;

namespace DeepCurrent.Data.Gradebooks;

/// <summary>One ticket of a gradebook.</summary>
public sealed record GradebookRow
{
    public required ClassId ClassId { get; init; }

    public required ReaderId ReaderId { get; init; }

    public required string GivenName { get; init; }

    public required string FamilyName { get; init; }

    public required string UserName { get; init; }

    public required TicketId TicketId { get; init; }

    public required TaskId TaskId { get; init; }

    public required string Task { get; init; }

    public required TaskKind Kind { get; init; }

    public required DateTimeOffset AssignedAt { get; init; }

    public required DateOnly? DueOn { get; init; }

    public required TicketState State { get; init; }

    public required Probability? First { get; init; }

    public required Probability? Best { get; init; }

    public required Probability? Latest { get; init; }

    /// <summary>Rounds handed in.</summary>
    public required int Attempts { get; init; }

    /// <summary>Points of a full score.</summary>
    public required int Worth { get; init; }

    /// <summary>The reader's and the class's ids in the roster they came from; their own where they came from
    /// none.</summary>
    public required string ReaderSource { get; init; }

    public required string ClassSource { get; init; }

    public required double ActiveSeconds { get; init; }

    public required bool Full { get; init; }

    public required DateTimeOffset? HandedInAt { get; init; }
}

/// <summary>An answer, for whoever keeps them elsewhere: how it went, not what was said.</summary>
public sealed record GradebookAnswer(
    AnswerId Id,
    TicketId TicketId,
    QuestionId QuestionId,
    QuestionKind Kind,
    string Stem,
    int Attempt,
    bool? Correct,
    DateTimeOffset At,
    int Milliseconds
);

/// <summary>Scores of classes, as gradebooks take them.</summary>
public sealed class GradebookStore(NpgsqlDataSource db)
{
    private const int Most = 200_000;

    /// <summary>Tickets of some classes that readers have seen, by class, reader and day.</summary>
    /// <param name="from">The first instant at which they can have been handed in, or given where they were not.</param>
    public Task<IReadOnlyList<GradebookRow>> Of(
        IReadOnlyCollection<ClassId> classIds,
        DateTimeOffset from,
        DateTimeOffset until
    ) =>
        db.All<GradebookRow>(
            $"""
            select k.class_id, k.reader_id, r.given_name, r.family_name, r.user_name, k.id as ticket_id, k.task_id,
              {TaskSql.Title} as task, y.kind, a.assigned_at, coalesce(k.due_on, a.due_on) as due_on, k.state,
              d.first, d.best, d.latest, d.attempts, k.active_seconds, k.full_reading as full, k.handed_in_at, a.worth,
              coalesce(r.source_id, r.id::text) as reader_source, coalesce(c.source_id, c.id::text) as class_source
            from ticket k
              join assignment a on a.id = k.assignment_id
              join task y on y.id = k.task_id
              join reader r on r.id = k.reader_id
              join class c on c.id = k.class_id
              left join text t on t.id = y.text_id
              left join lateral (
                select points / of_points as share from typed_result where ticket_id = k.id) z on true
              left join lateral (
                select coalesce(max(score) filter (where number = 1), z.share) as first, coalesce(max(score), z.share) as best,
                  coalesce((array_agg(score order by number desc) filter (where score is not null))[1], z.share)
                    as latest,
                  count(handed_in_at)::int as attempts
                from round
                where ticket_id = k.id) d on true
            where k.class_id = any(@classIds)
              and (k.state in ({TicketStates.Seen}) or z.share is not null)
              and a.worth > 0
              and coalesce(k.handed_in_at, a.assigned_at) >= @from
              and coalesce(k.handed_in_at, a.assigned_at) < @until
            order by k.class_id, r.given_name, r.family_name, k.reader_id, a.assigned_at, k.id
            limit {Most}
            """,
            new
            {
                classIds = classIds.ToArray(),
                from,
                until,
            }
        );

    /// <summary>Answers of a class's readers within a span, in order of time.</summary>
    public Task<IReadOnlyList<GradebookAnswer>> Answers(ClassId classId, DateTimeOffset from, DateTimeOffset until) =>
        db.All<GradebookAnswer>(
            $"""
            select w.id, w.ticket_id, w.question_id, q.kind, q.stem, w.attempt, w.correct, w.at, w.milliseconds
            from ticket k
              join answer w on w.ticket_id = k.id
              join question q on q.id = w.question_id
            where k.class_id = @classId
              and k.state in ({TicketStates.Seen})
              and k.handed_in_at >= @from
              and k.handed_in_at < @until
            order by w.at, w.id
            limit {Most}
            """,
            new
            {
                classId,
                from,
                until,
            }
        );
}
