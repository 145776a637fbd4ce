using Dapper;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.WordLists;
using DeepCurrent.Data.Storage;
using Npgsql;

namespace DeepCurrent.Data.WordLists;

/// <param name="Mine">Only its owner sees it.</param>
public sealed record WordListRow(
    WordListId Id,
    AdultId? OwnerId,
    string? Owner,
    string Name,
    bool Mine,
    int Revision,
    DateTimeOffset ChangedAt,
    IReadOnlyList<ListedWord> Words
);

/// <summary>A text of the library that has a word among those to know.</summary>
/// <param name="Depth">Of its shallowest version.</param>
public sealed record WordPlace(string Word, string Topic, Fathoms Depth);

/// <summary>Word lists of a teacher's own, or the school's.</summary>
public sealed class WordListStore(NpgsqlDataSource db)
{
    private const string RowSql = """
        select d.id, d.owner_id, a.name as owner, d.name, d.mine, d.revision, d.changed_at, d.words::text as words
        from word_list d left join adult a on a.id = d.owner_id
        where d.school_id = @schoolId and (not d.mine or d.owner_id = @adultId)
        """;

    public async Task<IReadOnlyList<WordListRow>> All(SchoolId schoolId, AdultId adultId)
    {
        return await db.All<WordListRow>(RowSql + " order by d.name, d.id limit 1000", new { schoolId, adultId });
    }

    /// <summary>The texts a school has that have some words among those to know, by the word in small letters.</summary>
    public async Task<ILookup<string, WordPlace>> Places(SchoolId schoolId, IReadOnlyCollection<string> words) =>
        (
            await db.All<WordPlace>(
                """
                select lower(w.word) as word, t.topic, min(v.depth) as depth
                from word w
                  join text t on t.id = w.text_id
                  join version v on v.text_id = t.id and not v.retired
                where lower(w.word) = any(@words) and (t.school_id is null or t.school_id = @schoolId) and t.retired_at is null
                group by w.word, t.id, t.topic
                limit 20000
                """,
                new { schoolId, words = words.Select(w => w.ToLowerInvariant()).Distinct().ToArray() }
            )
        ).ToLookup(p => p.Word);

    public async Task<WordListRow?> Find(WordListId id, SchoolId schoolId, AdultId adultId)
    {
        return await db.One<WordListRow>(
            RowSql + " and d.id = @id",
            new
            {
                id,
                schoolId,
                adultId,
            }
        );
    }

    /// <summary>Makes a word list, or changes it if its revision is still the one the change began from.</summary>
    /// <param name="revision">0 for a new list.</param>
    /// <returns>The new revision; null if somebody else has changed it since.</returns>
    public async Task<int?> Keep(
        WordListId id,
        SchoolId schoolId,
        AdultId ownerId,
        string name,
        bool mine,
        IReadOnlyList<ListedWord> words,
        int revision,
        DateTimeOffset now
    )
    {
        return await db.Value<int?>(
            """
            insert into word_list (id, school_id, owner_id, name, mine, words, changed_at)
            values (@id, @schoolId, @ownerId, @name, @mine, @words::jsonb, @now)
            on conflict (id) do update
            set name = excluded.name, mine = excluded.mine, words = excluded.words, changed_at = excluded.changed_at,
              revision = word_list.revision + 1
              where word_list.school_id = excluded.school_id and word_list.revision = @revision
            returning revision
            """,
            new
            {
                id,
                schoolId,
                ownerId,
                name,
                mine,
                words = Database.ToJson(words),
                revision,
                now,
            }
        );
    }

    public async Task Remove(WordListId id, SchoolId schoolId)
    {
        await db.Run("delete from word_list where id = @id and school_id = @schoolId", new { id, schoolId });
    }
}
