using DeepCurrent.Data.Storage;
using DeepCurrent.Data.Tickets;
using Npgsql;

namespace DeepCurrent.Data.Feedbacks;

/// <summary>What a reader said to a comment.</summary>
/// <param name="AnswerId">Null where the comment is on a written task.</param>
/// <param name="SeenAt">When a teacher saw it.</param>
public sealed record CommentReply(AnswerId? AnswerId, string Words, DateTimeOffset At, DateTimeOffset? SeenAt);

/// <summary>A missed question that was gone through with its reader.</summary>
/// <param name="By">Null where they have gone.</param>
public sealed record TalkedOver(QuestionId QuestionId, string? By, DateTimeOffset At);

/// <summary>What became of the feedback on one ticket.</summary>
/// <param name="Seconds">How long the reader had the result before them.</param>
/// <param name="LastAt">When they last looked; null where they have not.</param>
public sealed record FeedbackUse(
    double Seconds,
    DateTimeOffset? LastAt,
    IReadOnlyList<CommentReply> Replies,
    IReadOnlyList<TalkedOver> TalkedOver
);

/// <summary>Something that waits for a person and is no mark.</summary>
public enum WaitingKind
{
    /// <summary>A reader's note in a text, not answered.</summary>
    Note,

    /// <summary>A reader's answer to a comment, not seen.</summary>
    CommentReply,

    /// <summary>An answer from home, not seen.</summary>
    HomeAnswer,

    /// <summary>Someone asks to join the class.</summary>
    Joining,
}

/// <param name="Name">Given name of the reader, or the name that asks to join.</param>
/// <param name="Title">Of the text or task; empty for what is about none.</param>
/// <param name="Words">What was written; a passage where a note has no words.</param>
public sealed record WaitingRow(
    WaitingKind Kind,
    Guid Id,
    ReaderId? ReaderId,
    string Name,
    TicketId? TicketId,
    string Title,
    string Words,
    DateTimeOffset At
);

/// <summary>Whether and how feedback is used: time on it, answers to comments, what was talked over.</summary>
public sealed class FeedbackStore(NpgsqlDataSource db)
{
    /// <summary>Keeps how long a result was looked at. Sent again with more seconds, it is lengthened.</summary>
    public Task Spend(TicketId ticketId, SpellId spellId, double seconds, DateTimeOffset startedAt) =>
        db.Run(
            """
            insert into feedback_spell (id, ticket_id, seconds, started_at)
            values (@spellId, @ticketId, @seconds, @startedAt)
            on conflict (id) do update
            set seconds = greatest(feedback_spell.seconds, excluded.seconds)
            where feedback_spell.ticket_id = excluded.ticket_id
            """,
            new
            {
                ticketId,
                spellId,
                seconds,
                startedAt,
            }
        );

    /// <summary>Keeps what a reader says to a comment; empty takes it away.</summary>
    /// <returns>False where there is no such comment on this ticket.</returns>
    public Task<bool> Reply(TicketId ticketId, AnswerId? answerId, string words, DateTimeOffset at) =>
        db.Value<bool>(
            """
            with commented as (
              select @ticketId::uuid as ticket_id, @answerId::uuid as answer_id
              where exists (
                select 1 from answer where id = @answerId and ticket_id = @ticketId and comment <> ''
                union all
                select 1 from reply where ticket_id = @ticketId and @answerId::uuid is null and comment <> '')
            ), gone as (
              delete from comment_reply r
              using commented m
              where r.ticket_id = m.ticket_id and r.answer_id is not distinct from m.answer_id and @words = ''
            ), kept as (
              insert into comment_reply (ticket_id, answer_id, words, at)
              select ticket_id, answer_id, @words, @at
              from commented
              where @words <> ''
              on conflict (ticket_id, answer_id) do update
              set words = excluded.words, at = excluded.at, seen_at = null
              where comment_reply.words <> excluded.words
            )
            select exists (select 1 from commented)
            """,
            new
            {
                ticketId,
                answerId,
                words,
                at,
            }
        );

    /// <summary>A teacher has seen what the reader said.</summary>
    public Task Seen(TicketId ticketId, DateTimeOffset at) =>
        db.Run(
            "update comment_reply set seen_at = @at where ticket_id = @ticketId and seen_at is null",
            new { ticketId, at }
        );

    /// <summary>Ticks a missed question as talked over, or takes the tick away.</summary>
    /// <returns>False where the ticket has no answer to the question.</returns>
    public Task<bool> TalkedOver(TicketId ticketId, QuestionId questionId, bool done, AdultId by, DateTimeOffset at) =>
        db.Value<bool>(
            """
            with answered as (
              select 1 from answer where ticket_id = @ticketId and question_id = @questionId limit 1
            ), ticked as (
              insert into talked_over (ticket_id, question_id, by_adult, at)
              select @ticketId, @questionId, @by, @at from answered where @done
              on conflict do nothing
            ), gone as (
              delete from talked_over where ticket_id = @ticketId and question_id = @questionId and not @done
            )
            select exists (select 1 from answered)
            """,
            new
            {
                ticketId,
                questionId,
                done,
                by,
                at,
            }
        );

    public async Task<FeedbackUse> Of(TicketId ticketId)
    {
        var spent = await db.One<Spent>(
            """
            select coalesce(sum(seconds), 0) as seconds, max(started_at) as last_at
            from feedback_spell
            where ticket_id = @ticketId
            """,
            new { ticketId }
        );
        return new(
            spent?.Seconds ?? 0,
            spent?.LastAt,
            await Replies(ticketId),
            await db.All<TalkedOver>(
                """
                select o.question_id, a.name as "by", o.at
                from talked_over o left join adult a on a.id = o.by_adult
                where o.ticket_id = @ticketId
                order by o.at
                limit 200
                """,
                new { ticketId }
            )
        );
    }

    private sealed record Spent(double Seconds, DateTimeOffset? LastAt);

    /// <summary>What a reader said to the comments on a ticket.</summary>
    public Task<IReadOnlyList<CommentReply>> Replies(TicketId ticketId) =>
        db.All<CommentReply>(
            """
            select answer_id, words, at, seen_at
            from comment_reply
            where ticket_id = @ticketId
            order by at
            limit 200
            """,
            new { ticketId }
        );

    /// <summary>What waits in a class for a person and is no mark, oldest first.</summary>
    public Task<IReadOnlyList<WaitingRow>> Waiting(ClassId classId) =>
        db.All<WaitingRow>(
            $"""
            (select '{nameof(WaitingKind.Note)}' as kind, n.id, n.reader_id, r.given_name as name, n.ticket_id, t.title,
              coalesce(nullif(n.words, ''), n.quote) as words, n.at
            from note n
              join ticket k on k.id = n.ticket_id
              join reader r on r.id = n.reader_id
              join version v on v.id = k.version_id
              join text t on t.id = v.text_id
            where k.class_id = @classId
              and n.removed_at is null
              and n.words <> ''
              and n.answer = ''
              and k.state in ({TicketStates.Seen}))
            union all
            (select '{nameof(WaitingKind.CommentReply)}', coalesce(c.answer_id, c.ticket_id), k.reader_id, r.given_name,
              k.id, coalesce(t.title, y.content ->> 'title', ''), c.words, c.at
            from comment_reply c
              join ticket k on k.id = c.ticket_id
              join reader r on r.id = k.reader_id
              join task y on y.id = k.task_id
              left join text t on t.id = y.text_id
            where k.class_id = @classId and c.seen_at is null)
            union all
            (select '{nameof(WaitingKind.HomeAnswer)}', h.id, h.reader_id, r.given_name, null::uuid, '', h.words,
              h.answered_at
            from home_answer h
              join home_message m on m.id = h.message_id and m.removed_at is null
              join enrolment e on e.reader_id = h.reader_id and e.class_id = @classId and e.to_day is null
              join reader r on r.id = h.reader_id
            where h.seen_at is null)
            union all
            (select '{nameof(WaitingKind.Joining)}', j.id, null::uuid, j.given_name || ' ' || j.family_name, null::uuid,
              '', '', j.asked_at
            from joining j
            where j.class_id = @classId and j.decided_at is null)
            order by at
            limit 300
            """,
            new { classId }
        );
}
