using DeepCurrent.Data.Questions;
using DeepCurrent.Data.Storage;
using DeepCurrent.Data.Tickets;
using Npgsql;

namespace DeepCurrent.Data.Talks;

/// <summary>What somebody wrote, where written answers are open for talk.</summary>
/// <param name="QuestionId">Null where it answers the prompt of a task without a text.</param>
public sealed record SaidAnswer(
    QuestionId? QuestionId,
    string Stem,
    TicketId TicketId,
    ReaderId ReaderId,
    string GivenName,
    string FamilyName,
    string Words,
    DateTimeOffset At
);

/// <summary>Written answers that are open for talk.</summary>
public sealed class TalkStore(NpgsqlDataSource db)
{
    private static readonly string AnswersSql = $"""
        select w.question_id, q.stem, k.id as ticket_id, k.reader_id, r.given_name, r.family_name,
          w.response ->> 'words' as words, w.at
        from ticket k
          join reader r on r.id = k.reader_id
          join answer w on w.ticket_id = k.id and w.round = k.round
          join question q on q.id = w.question_id and q.kind in ({QuestionKinds.Written}) and not q.retired
        where k.state in ({TicketStates.Seen})
        """;

    private static readonly string RepliesSql = $"""
        select null::uuid as question_id, y.content ->> 'prompt' as stem, k.id as ticket_id, k.reader_id, r.given_name,
          r.family_name, p.words, p.at
        from ticket k
          join reader r on r.id = k.reader_id
          join task y on y.id = k.task_id
          join reply p on p.ticket_id = k.id and p.round = k.round and p.written_with is null and p.words <> ''
        where k.state in ({TicketStates.Done})
        """;

    private const int Most = 300;

    /// <summary>What the others wrote to what a reader has answered; nothing where there is no talk.</summary>
    public Task<IReadOnlyList<SaidAnswer>> ForReader(TicketId ticketId, ReaderId readerId) =>
        db.All<SaidAnswer>(
            $"""
            with mine as (
              select k.id, k.task_id, k.state, k.reader_id
              from ticket k join assignment a on a.id = k.assignment_id
              where k.id = @ticketId and k.reader_id = @readerId and a.talk and k.state in ({TicketStates.Seen})
            )
            ({AnswersSql}
              and k.task_id = (select task_id from mine)
              and k.reader_id <> @readerId
              and exists (
                select 1
                from answer o
                where o.ticket_id = (select id from mine) and o.question_id = w.question_id))
            union all
            ({RepliesSql}
              and k.task_id = (select task_id from mine)
              and k.reader_id <> @readerId
              and exists (select 1 from mine where state in ({TicketStates.Done})))
            order by at
            limit {Most}
            """,
            new { ticketId, readerId }
        );

    /// <summary>All that was written for an assignment.</summary>
    public Task<IReadOnlyList<SaidAnswer>> Of(AssignmentId assignmentId) =>
        db.All<SaidAnswer>(
            $"""
            ({AnswersSql} and k.assignment_id = @assignmentId)
            union all
            ({RepliesSql} and k.assignment_id = @assignmentId)
            order by stem, at
            limit {Most}
            """,
            new { assignmentId }
        );

    /// <summary>Opens the answers for talk, or shuts it.</summary>
    public Task Set(AssignmentId assignmentId, bool open) =>
        db.Run(
            """
            update assignment
            set talk = @open, revision = revision + 1
            where id = @assignmentId and talk <> @open
            """,
            new { assignmentId, open }
        );
}
