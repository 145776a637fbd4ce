using DeepCurrent.Data.Storage;
using DeepCurrent.Data.Tickets;
using Npgsql;

namespace DeepCurrent.Data.Notes;

/// <summary>A passage that a reader marked, with what they wrote and what was answered.</summary>
/// <param name="Page">From 0.</param>
/// <param name="Words">Empty where the passage is only marked.</param>
/// <param name="Answer">Empty until a teacher answers.</param>
/// <param name="Reply">What the reader says to the answer; empty for nothing.</param>
public sealed record Note(
    NoteId Id,
    TicketId TicketId,
    string Title,
    int Page,
    string Quote,
    string Words,
    DateTimeOffset At,
    string Answer,
    string? AnsweredBy,
    DateTimeOffset? AnsweredAt,
    DateTimeOffset? AnswerSeenAt,
    string Reply
);

/// <summary>Readers' notes in texts.</summary>
public sealed class NoteStore(NpgsqlDataSource db)
{
    /// <summary>Most notes of one reader in one text.</summary>
    public const int MostOfTicket = 100;

    private const string RowSql = """
        select n.id, n.ticket_id, t.title, n.page, n.quote, n.words, n.at, n.answer, a.name as answered_by, n.answered_at,
          n.answer_seen_at, n.reply
        from note n
          join ticket k on k.id = n.ticket_id
          join version v on v.id = k.version_id
          join text t on t.id = v.text_id
          left join adult a on a.id = n.answered_by
        """;

    public Task<IReadOnlyList<Note>> OfTicket(TicketId ticketId) =>
        db.All<Note>(
            $"""
            {RowSql}
            where n.ticket_id = @ticketId and n.removed_at is null
            order by n.page, n.at
            limit {MostOfTicket}
            """,
            new { ticketId }
        );

    /// <summary>Answers that a reader has not looked at yet, newest first.</summary>
    public Task<IReadOnlyList<Note>> Unseen(ReaderId readerId) =>
        db.All<Note>(
            $"""
            {RowSql}
            where n.reader_id = @readerId
              and n.removed_at is null
              and n.answer <> ''
              and n.answer_seen_at is null
              and k.state in ({TicketStates.Seen})
            order by n.answered_at desc
            limit 5
            """,
            new { readerId }
        );

    /// <summary>Keeps a note; the same again changes nothing, with other words it is changed. One that was answered
    /// stays as it was answered.</summary>
    /// <returns>False where the reader has no such ticket, or there are too many.</returns>
    public async Task<bool> Put(
        ReaderId readerId,
        TicketId ticketId,
        NoteId id,
        (int Page, string Quote, string Words, DateTimeOffset At, bool Removed) note
    ) =>
        await db.Run(
            $"""
            insert into note (id, reader_id, ticket_id, page, quote, words, at, removed_at)
            select @id, k.reader_id, k.id, @Page, @Quote, @Words, @At, case when @Removed then @At end
            from ticket k
            where k.id = @ticketId
              and k.reader_id = @readerId
              and k.state in ({TicketStates.Seen})
              and (select count(*) from note o where o.ticket_id = k.id and o.removed_at is null and o.id <> @id)
                < {MostOfTicket}
            on conflict (id) do update
            set words = case when note.answer = '' then excluded.words else note.words end,
              removed_at = excluded.removed_at
            where note.reader_id = @readerId and note.ticket_id = @ticketId
            """,
            new
            {
                readerId,
                ticketId,
                id,
                note.Page,
                note.Quote,
                note.Words,
                note.At,
                note.Removed,
            }
        ) > 0;

    /// <summary>The ticket of a note that stands; null where there is none.</summary>
    public Task<TicketId?> TicketOf(NoteId id) =>
        db.Value<TicketId?>("select ticket_id from note where id = @id and removed_at is null", new { id });

    /// <summary>Answers a note; empty takes the answer away. A new answer is new to its reader.</summary>
    public Task Answer(NoteId id, string answer, AdultId by, DateTimeOffset at) =>
        db.Run(
            """
            update note
            set answer = @answer, answered_by = @by, answered_at = @at, answer_seen_at = null
            where id = @id and answer <> @answer
            """,
            new
            {
                id,
                answer,
                by,
                at,
            }
        );

    /// <summary>Its reader says something to the answer, and has seen it. Saying it again changes it; an empty one is
    /// taken away.</summary>
    /// <returns>The ticket; null where nothing of this reader's was answered.</returns>
    public Task<TicketId?> Reply(ReaderId readerId, NoteId id, string words, DateTimeOffset at) =>
        db.Value<TicketId?>(
            """
            update note
            set reply = @words, replied_at = @at, answer_seen_at = coalesce(answer_seen_at, @at)
            where id = @id and reader_id = @readerId and answer <> '' and removed_at is null
            returning ticket_id
            """,
            new
            {
                id,
                readerId,
                words,
                at,
            }
        );

    /// <summary>Its reader has looked at the answer.</summary>
    public async Task<bool> Seen(ReaderId readerId, NoteId id, DateTimeOffset at) =>
        await db.Run(
            """
            update note
            set answer_seen_at = coalesce(answer_seen_at, @at)
            where id = @id and reader_id = @readerId and answer <> ''
            """,
            new
            {
                id,
                readerId,
                at,
            }
        ) > 0;
}
