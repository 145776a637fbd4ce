using System.Text.Json.Serialization;
using DeepCurrent.Core.Assignments;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Tickets;
using DeepCurrent.Data.Assignments;
using DeepCurrent.Data.Corrections;
using DeepCurrent.Data.Questions;
using DeepCurrent.Data.Storage;
using DeepCurrent.Data.Tickets;
using Npgsql;

namespace DeepCurrent.Data.Marking;

/// <summary>A written answer of a ticket that waits for a person, or waits to be released.</summary>
public sealed record QueuedAnswer
{
    public required TicketId TicketId { get; init; }

    public required ReaderId ReaderId { get; init; }

    public required string GivenName { get; init; }

    public required TaskId TaskId { get; init; }

    /// <summary>Null where it answers the prompt of a task without a text.</summary>
    public required AnswerId? AnswerId { get; init; }

    public required QuestionId? QuestionId { get; init; }

    public required TextId? TextId { get; init; }

    /// <summary>Of the text, or of the task.</summary>
    public required string Title { get; init; }

    /// <summary>Of a task without a text; empty else.</summary>
    public required string Prompt { get; init; }

    /// <summary>Of that task, as it is kept; null for the usual marks.</summary>
    public required string? RubricKept { get; init; }

    [JsonIgnore]
    public Rubric? Rubric => RubricKept is null ? null : Database.FromJson<Rubric>(RubricKept);

    /// <summary>The label of the version that was read; empty where there is none.</summary>
    public required string Version { get; init; }

    public required string Words { get; init; }

    public required DateTimeOffset HandedInAt { get; init; }

    public required TicketState State { get; init; }

    public required int Round { get; init; }

    /// <summary>Null while it waits.</summary>
    public required GivenMark? Mark { get; init; }

    public required string Comment { get; init; }

    /// <summary>The ticket of whoever wrote it for several; null where it is the reader's own.</summary>
    public required TicketId? WrittenWith { get; init; }
}

/// <summary>What the same reader wrote in a round before.</summary>
/// <param name="QuestionId">Null for the prompt of a task without a text.</param>
/// <param name="SentBack">What the teacher wrote with it when the next round began.</param>
public sealed record EarlierAnswer(
    TicketId TicketId,
    QuestionId? QuestionId,
    int Round,
    string Words,
    DateTimeOffset At,
    GivenMark? Mark,
    string SentBack
);

/// <summary>Everything written that waits for a person in a class.</summary>
public sealed class QueueStore(NpgsqlDataSource db)
{
    private const int Most = 1000;

    private static readonly string HeadSql = $"""
        k.id as ticket_id, k.reader_id, r.given_name, k.task_id, y.text_id,
          {TaskSql.Title} as title, coalesce(y.content ->> 'prompt', '') as prompt,
          nullif(y.content -> 'rubric', 'null')::text as rubric_kept, coalesce(v.label, '') as version,
          k.handed_in_at, k.state, k.round
        """;

    private static readonly string FromSql = $"""
        from ticket k
          join task y on y.id = k.task_id
          join reader r on r.id = k.reader_id
          left join text t on t.id = y.text_id
          left join version v on v.id = k.version_id
        """;

    /// <summary>Answers of tickets that are to be marked or released, oldest first.</summary>
    public Task<IReadOnlyList<QueuedAnswer>> Of(ClassId classId) =>
        db.All<QueuedAnswer>(
            $"""
            (select {HeadSql}, w.id as answer_id, w.question_id, w.response ->> 'words' as words, w.mark, w.comment,
              null::uuid as written_with
            {FromSql}
              join answer w on w.ticket_id = k.id and {TicketRounds.Counts}
              join question q on q.id = w.question_id
                and q.kind in ({QuestionKinds.Written})
                and q.place is null
                and not q.retired
                and not exists ({CorrectionStore.TakenOut})
            where k.class_id = @classId and k.state in ({TicketStates.AtMarking}))
            union all
            (select {HeadSql}, null::uuid as answer_id, null::uuid as question_id, p.words, p.mark, p.comment,
              p.written_with
            {FromSql}
              join reply p on p.ticket_id = k.id and p.round = k.round
            where k.class_id = @classId
              and k.state in ({TicketStates.AtMarking})
              and y.kind = '{nameof(TaskKind.Written)}')
            order by handed_in_at, ticket_id, question_id
            limit {Most}
            """,
            new { classId }
        );

    /// <summary>What the readers of some tickets wrote in rounds before.</summary>
    public Task<IReadOnlyList<EarlierAnswer>> Earlier(IReadOnlyCollection<TicketId> tickets) =>
        db.All<EarlierAnswer>(
            $"""
            (select w.ticket_id, w.question_id, w.round, w.response ->> 'words' as words, w.at, w.mark,
              coalesce(n.comment, '') as sent_back
            from answer w
              join ticket k on k.id = w.ticket_id and w.round < k.round
              join question q on q.id = w.question_id and q.kind in ({QuestionKinds.Written})
              left join round n on n.ticket_id = w.ticket_id and n.number = w.round + 1
            where w.ticket_id = any(@tickets))
            union all
            (select p.ticket_id, null::uuid, p.round, p.words, p.at, p.mark, coalesce(n.comment, '')
            from reply p
              join ticket k on k.id = p.ticket_id and p.round < k.round
              left join round n on n.ticket_id = p.ticket_id and n.number = p.round + 1
            where p.ticket_id = any(@tickets))
            order by round desc
            limit {Most}
            """,
            new { tickets = tickets.ToArray() }
        );

    /// <summary>Comments somebody keeps to use again, in their order.</summary>
    public async Task<IReadOnlyList<string>> Kept(AdultId adultId) =>
        Database.FromJson<List<string>>(
            await db.Value<string>("select kept_comments::text from adult where id = @adultId", new { adultId }) ?? "[]"
        );

    public Task Keep(AdultId adultId, IReadOnlyList<string> comments) =>
        db.Run(
            "update adult set kept_comments = @comments::jsonb where id = @adultId",
            new { adultId, comments = Database.ToJson(comments) }
        );
}
