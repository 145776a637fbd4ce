using Dapper;
using DeepCurrent.Core.KeptWords;
using DeepCurrent.Data.Storage;
using Npgsql;

namespace DeepCurrent.Data.KeptWords;

/// <summary>A word that a reader keeps, with every try.</summary>
/// <param name="Title">Of the text it was kept from; null where that is gone.</param>
public sealed record KeptWord(
    string Text,
    string Part,
    string Meaning,
    string Example,
    string? Title,
    DateTimeOffset KeptAt,
    IReadOnlyList<WordTry> Tries
);

/// <summary>Words that readers keep to practise.</summary>
public sealed class KeptWordStore(NpgsqlDataSource db)
{
    private const int MostTries = 200;

    private sealed record Flat(
        string Text,
        string Part,
        string Meaning,
        string Example,
        string? Title,
        DateTimeOffset KeptAt,
        string Tries
    )
    {
        public KeptWord Word() =>
            new(Text, Part, Meaning, Example, Title, KeptAt, Database.FromJson<List<WordTry>>(Tries));
    }

    public async Task<IReadOnlyList<KeptWord>> Of(ReaderId readerId) =>
        [
            .. (
                await db.All<Flat>(
                    """
                    select w.text, coalesce(d.part, '') as part, w.meaning, w.example, t.title, w.kept_at,
                      w.tries::text as tries
                    from kept_word w
                      left join ticket k on k.id = w.ticket_id
                      left join version v on v.id = k.version_id
                      left join text t on t.id = v.text_id
                      left join lateral (
                        select part from word where text_id = v.text_id and word = w.text order by position limit 1
                      ) d on true
                    where w.reader_id = @readerId and w.removed_at is null
                    order by w.kept_at, w.text
                    limit 500
                    """,
                    new { readerId }
                )
            ).Select(f => f.Word()),
        ];

    /// <summary>Keeps a word of the text a ticket has. One that was let go comes back with its tries.</summary>
    /// <returns>False where the text has no such word.</returns>
    public async Task<bool> Keep(ReaderId readerId, TicketId ticketId, string text, DateTimeOffset at) =>
        await db.Run(
            """
            insert into kept_word (id, reader_id, ticket_id, text, meaning, example, kept_at)
            select gen_random_uuid(), k.reader_id, k.id, w.word, w.meaning, w.example, @at
            from ticket k join version v on v.id = k.version_id join word w on w.text_id = v.text_id
            where k.id = @ticketId and k.reader_id = @readerId and w.word = @text
            limit 1
            on conflict (reader_id, text) do update set removed_at = null
            """,
            new
            {
                readerId,
                ticketId,
                text,
                at,
            }
        ) > 0;

    /// <summary>Lets a word go; its tries stay.</summary>
    public Task LetGo(ReaderId readerId, string text, DateTimeOffset at) =>
        db.Run(
            "update kept_word set removed_at = @at where reader_id = @readerId and text = @text and removed_at is null",
            new
            {
                readerId,
                text,
                at,
            }
        );

    /// <summary>Adds tries at a word; the same try once more changes nothing.</summary>
    /// <returns>False where the reader has never kept it.</returns>
    public async Task<bool> Try(ReaderId readerId, string text, IReadOnlyList<WordTry> tries)
    {
        await using var c = await db.OpenConnectionAsync();
        await using var t = await c.BeginTransactionAsync();
        var before = await c.ExecuteScalarAsync<string?>(
            "select tries::text from kept_word where reader_id = @readerId and text = @text for update",
            new { readerId, text },
            t
        );
        if (before is null)
            return false;
        var all = Database
            .FromJson<List<WordTry>>(before)
            .Concat(tries)
            .GroupBy(x => x.At)
            .Select(g => g.First())
            .OrderBy(x => x.At)
            .TakeLast(MostTries)
            .ToList();
        await c.ExecuteAsync(
            "update kept_word set tries = @tries::jsonb where reader_id = @readerId and text = @text",
            new
            {
                readerId,
                text,
                tries = Database.ToJson(all),
            },
            t
        );
        await t.CommitAsync();
        return true;
    }
}
