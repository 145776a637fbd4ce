using DeepCurrent.Core.AssignmentResults;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Signals;
using DeepCurrent.Data.Measuring;
using DeepCurrent.Data.Storage;
using DeepCurrent.Data.Tickets;
using Npgsql;

namespace DeepCurrent.Data.Signals;

/// <summary>A text that was handed in, without its answers.</summary>
/// <param name="Level">Of the reader just before.</param>
/// <param name="Seconds">The text was open, and somebody was there.</param>
/// <param name="TooFast">First tries given too fast.</param>
/// <param name="ReleasedAt">Null while the result is not released.</param>
/// <param name="LookedAt">When the reader first looked at it.</param>
public sealed record HandedIn(
    TicketId Id,
    ReaderId ReaderId,
    string Title,
    DateTimeOffset At,
    Fathoms TextDepth,
    Fathoms Level,
    double Sd,
    double Seconds,
    int Words,
    int TooFast,
    DateTimeOffset? ReleasedAt,
    DateTimeOffset? LookedAt
);

/// <param name="Number">Of the question in its quiz, from 1; null where it is asked on the way.</param>
public sealed record TriedRow(
    TicketId TicketId,
    AssignmentId AssignmentId,
    QuestionId QuestionId,
    int? Number,
    Strand? Strand,
    double Difficulty,
    double Guess,
    bool Correct
)
{
    public FirstTry Try => new(QuestionId, Strand, new(new(Difficulty), Guess), Correct);
}

/// <summary>What signals of a class are found in.</summary>
public sealed class SignalFactStore(NpgsqlDataSource db)
{
    private const string Here = """
        select e.reader_id from enrolment e where e.class_id = @classId and e.to_day is null
        """;

    /// <summary>Texts that readers of a class handed in since a time, oldest first.</summary>
    public Task<IReadOnlyList<HandedIn>> HandedIn(ClassId classId, DateTimeOffset since) =>
        db.All<HandedIn>(
            $"""
            select k.id, k.reader_id, t.title, k.handed_in_at as at, coalesce(k.version_depth, v.depth) as text_depth,
              k.before_mean as level, k.before_sd as sd, k.active_seconds as seconds, v.words,
              (
                select count(*)::int
                from answer w
                where w.ticket_id = k.id and w.attempt = 1 and w.too_fast and w.round = 1) as too_fast,
              case when k.state = {TicketStates.Released} then greatest(
                k.handed_in_at, (select max(w.marked_at) from answer w where w.ticket_id = k.id)) end as released_at,
              (select min(f.started_at) from feedback_spell f where f.ticket_id = k.id) as looked_at
            from ticket k join version v on v.id = k.version_id join text t on t.id = v.text_id
            where k.reader_id in ({Here})
              and k.state in ({TicketStates.Done})
              and k.handed_in_at >= @since
              and k.before_mean is not null
            order by k.handed_in_at, k.id
            limit 20000
            """,
            new { classId, since }
        );

    /// <summary>First tries in those texts, as they count for the level.</summary>
    public Task<IReadOnlyList<TriedRow>> Tries(ClassId classId, DateTimeOffset since) =>
        db.All<TriedRow>(
            $"""
            with numbered as (
              select q.id, (row_number() over (partition by q.text_id order by q.position))::int as number
              from question q
              where q.place is null
                and not q.retired
                and q.text_id in (
                  select y.text_id
                  from ticket k join task y on y.id = k.task_id
                  where k.reader_id in ({Here}) and k.handed_in_at >= @since))
            select k.id as ticket_id, k.assignment_id, w.question_id, n.number, v.strand, v.difficulty, v.guess, v.correct
            from evidence v
              join ticket k on k.id = v.ticket_id
              join answer w on w.id = v.id
              left join numbered n on n.id = w.question_id
            where v.reader_id in ({Here})
              and v.kind = {EvidenceKinds.Answer}
              and v.left_out is null
              and k.handed_in_at >= @since
            limit 200000
            """,
            new { classId, since }
        );

    /// <summary>How many texts each reader has that they have not begun.</summary>
    public async Task<IReadOnlyDictionary<ReaderId, int>> Waiting(ClassId classId) =>
        (
            await db.All<(ReaderId Reader, int Count)>(
                $"""
                select k.reader_id, count(*)::int
                from ticket k
                where k.reader_id in ({Here}) and k.state = {TicketStates.Waiting}
                group by k.reader_id
                limit 2000
                """,
                new { classId }
            )
        ).ToDictionary(r => r.Reader, r => r.Count);
}
