using DeepCurrent.Data.Storage;
using Npgsql;

namespace DeepCurrent.Data.HomeMessages;

/// <summary>An answer from home.</summary>
/// <param name="By">Null where they have gone.</param>
/// <param name="SeenAt">When a teacher saw it.</param>
public sealed record HomeAnswer(HomeAnswerId Id, string Words, string? By, DateTimeOffset At, DateTimeOffset? SeenAt);

/// <summary>A message to a reader's family, with what was answered.</summary>
/// <param name="By">Null where they have gone.</param>
public sealed record HomeMessage(
    HomeMessageId Id,
    string Words,
    string? By,
    DateTimeOffset At,
    IReadOnlyList<HomeAnswer> Answers
);

/// <summary>Messages between school and home.</summary>
public sealed class HomeMessageStore(NpgsqlDataSource db)
{
    /// <summary>Most answers of one guardian to one message.</summary>
    public const int MostAnswers = 20;

    private const string RowSql = """
        select m.id, m.words, a.name as "by", m.written_at as at,
          coalesce(
            (
              select jsonb_agg(
                jsonb_build_object('id', w.id, 'words', w.words, 'by', g.name, 'at', w.answered_at, 'seenAt', w.seen_at)
                order by w.answered_at, w.id)
              from home_answer w left join adult g on g.id = w.answered_by
              where w.message_id = m.id and (@guardian::uuid is null or w.answered_by = @guardian)),
            '[]')::text as answers
        from home_message m left join adult a on a.id = m.written_by
        where m.reader_id = @readerId and m.removed_at is null
        order by m.written_at desc, m.id
        limit 50
        """;

    /// <summary>A reader's messages, the latest first, with every answer: a teacher's view.</summary>
    public Task<IReadOnlyList<HomeMessage>> Of(ReaderId readerId) => Of(readerId, null);

    /// <summary>The same for one guardian: their own answers only. Two homes of a child do not read each other.</summary>
    public Task<IReadOnlyList<HomeMessage>> Of(ReaderId readerId, AdultId? guardian) =>
        db.All<HomeMessage>(RowSql, new { readerId, guardian });

    /// <summary>Keeps a message; the same again changes nothing, with other words it is changed as long as nobody has
    /// answered. One that was removed is there again.</summary>
    /// <returns>False where it is another reader's, or was answered as it stood.</returns>
    public async Task<bool> Put(ReaderId readerId, HomeMessageId id, string words, AdultId by, DateTimeOffset now) =>
        await db.Run(
            """
            insert into home_message (id, reader_id, words, written_by, written_at)
            values (@id, @readerId, @words, @by, @now)
            on conflict (id) do update
            set words = excluded.words, removed_at = null
            where home_message.reader_id = @readerId
              and (
                home_message.words = excluded.words
                or not exists (select 1 from home_answer w where w.message_id = home_message.id))
            """,
            new
            {
                readerId,
                id,
                words,
                by,
                now,
            }
        ) > 0;

    /// <returns>False where there is none.</returns>
    public async Task<bool> Remove(ReaderId readerId, HomeMessageId id, DateTimeOffset now) =>
        await db.Run(
            """
            update home_message
            set removed_at = coalesce(removed_at, @now)
            where id = @id and reader_id = @readerId
            """,
            new
            {
                readerId,
                id,
                now,
            }
        ) > 0;

    /// <summary>Keeps what a guardian answers; the same again changes nothing.</summary>
    /// <returns>False where there is no such message of this child's, or they have answered it often enough.</returns>
    public async Task<bool> Answer(
        ReaderId readerId,
        (HomeMessageId Message, HomeAnswerId Id) of,
        string words,
        AdultId by,
        DateTimeOffset now
    ) =>
        await db.Run(
            """
            insert into home_answer (id, message_id, reader_id, words, answered_by, answered_at)
            select @Id, m.id, m.reader_id, @words, @by, @now
            from home_message m
            where m.id = @Message
              and m.reader_id = @readerId
              and m.removed_at is null
              and (
                select count(*) from home_answer w where w.message_id = m.id and w.answered_by = @by and w.id <> @Id)
                < @MostAnswers
            on conflict (id) do update
            set words = home_answer.words
            where home_answer.answered_by = @by
            """,
            new
            {
                readerId,
                of.Message,
                of.Id,
                words,
                by,
                now,
                MostAnswers,
            }
        ) > 0;

    /// <summary>A teacher has seen what was answered.</summary>
    public Task Seen(ReaderId readerId, DateTimeOffset now) =>
        db.Run(
            "update home_answer set seen_at = @now where reader_id = @readerId and seen_at is null",
            new { readerId, now }
        );
}
