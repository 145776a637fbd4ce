using Dapper;
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
