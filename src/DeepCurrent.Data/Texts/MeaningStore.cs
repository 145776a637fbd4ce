using DeepCurrent.Core.Messages;
using DeepCurrent.Data.Storage;
using Npgsql;

namespace DeepCurrent.Data.Texts;

/// <summary>What a word means in a home's language.</summary>
public sealed record WordMeaning(string Word, string Part, string Meaning);

/// <summary>What words to know mean in the languages of homes, as it ships.</summary>
public sealed class MeaningStore(NpgsqlDataSource db)
{
    /// <summary>Keeps what ships in one language; what does not ship any more goes.</summary>
    public Task Put(Language language, IReadOnlyList<WordMeaning> meanings) =>
        db.Run(
            """
            delete from word_meaning where language = @code and (word, part) not in (
              select * from unnest(@words, @parts));
            insert into word_meaning (language, word, part, meaning)
            select @code, * from unnest(@words, @parts, @meanings)
            on conflict (language, word, part) do update set meaning = excluded.meaning
            where word_meaning.meaning <> excluded.meaning
            """,
            new
            {
                code = language.Code(),
                words = meanings.Select(m => m.Word).ToArray(),
                parts = meanings.Select(m => m.Part).ToArray(),
                meanings = meanings.Select(m => m.Meaning).ToArray(),
            }
        );

    /// <summary>What some words mean, by word and part of speech; those nobody has translated are left out.</summary>
    public async Task<IReadOnlyDictionary<(string Word, string Part), string>> Of(
        Language language,
        IReadOnlyCollection<Word> words
    ) =>
        (
            await db.All<WordMeaning>(
                """
                select word, part, meaning
                from word_meaning
                where language = @code and word = any(@words)
                limit 500
                """,
                new { code = language.Code(), words = words.Select(w => w.Text).ToArray() }
            )
        ).ToDictionary(m => (m.Word, m.Part), m => m.Meaning);
}
