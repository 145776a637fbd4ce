using DeepCurrent.Core.Readings;
using DeepCurrent.Data.Storage;
using Npgsql;

namespace DeepCurrent.Data.Voices;

/// <summary>Something the voice has said.</summary>
public sealed record Sound(string Type, byte[] Bytes);

/// <summary>What the voice has said is kept, so that it is said at once the next time.</summary>
public sealed class SpokenStore(NpgsqlDataSource db)
{
    /// <summary>When each word is said; null where it has not been said yet.</summary>
    public async Task<IReadOnlyList<SpokenWord>?> Words(string key) =>
        await db.Value<string>("select words::text from spoken where key = @key", new { key }) is { } words
            ? Database.FromJson<List<SpokenWord>>(words)
            : null;

    public Task<Sound?> Of(string key) => db.One<Sound>("select type, bytes from spoken where key = @key", new { key });

    /// <summary>Keeps something said; another that says the same has it already.</summary>
    public Task Keep(string key, Sound sound, IReadOnlyList<SpokenWord> words, DateTimeOffset at) =>
        db.Run(
            """
            insert into spoken (key, type, bytes, words, made_at) values (@key, @Type, @Bytes, @words::jsonb, @at)
            on conflict (key) do nothing
            """,
            new
            {
                key,
                sound.Type,
                sound.Bytes,
                words = Database.ToJson(words),
                at,
            }
        );

    /// <summary>Which of some keys have nothing yet.</summary>
    public async Task<IReadOnlyList<string>> Missing(IReadOnlyCollection<string> keys) =>
        await db.All<string>(
            "select x from unnest(@keys) x where not exists (select 1 from spoken s where s.key = x) limit 10000",
            new { keys = keys.ToArray() }
        );

    /// <summary>The pages of the texts that may be read, the newest first.</summary>
    public Task<IReadOnlyList<string>> Pages() =>
        db.All<string>(
            """
            select v.pages::text
            from version v join text t on t.id = v.text_id
            where not v.retired and t.retired_at is null
            order by t.changed_at desc
            limit 5000
            """
        );
}
