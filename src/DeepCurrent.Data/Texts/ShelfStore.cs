using System.Text;
using Dapper;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.LevelChecks;
using DeepCurrent.Core.Library;
using DeepCurrent.Core.Texts;
using DeepCurrent.Data.Storage;
using Npgsql;

namespace DeepCurrent.Data.Texts;

/// <param name="Instead">Words that are in no text, and what was sought in their place.</param>
/// <param name="Partly">No text has all the words; these have as many of them as any does.</param>
public sealed record FoundTexts(
    FoundWords Words,
    IReadOnlyList<(string Asked, string Instead)> Instead,
    bool Partly = false
);

public sealed record SavedSearch(SavedSearchId Id, string Name, string Query);

/// <summary>What the library's search needs of the database: the cards of all texts, and which texts hold some
/// words.</summary>
public sealed class ShelfStore(NpgsqlDataSource db)
{
    private const int MostFound = 200_000,
        MostRanked = 5_000,
        MostWords = 12;

    private const string CardsSql = """
        select v.text_id, v.id, v.label, v.words, v.depth, v.depth_error from version v
        where not v.retired and (@textId::uuid is null or v.text_id = @textId) order by v.position;
        select t.id, t.school_id, t.owner_id, t.mine, t.retired_at is not null as retired, t.title, t.kind, t.topic,
          t.fiction, t.blurb, t.season, t.changed_at, coalesce(x.patterns, '') as patterns, x.number,
               coalesce(q.n, 0) as questions, coalesce(w.n, 0) as words_to_know
        from text t
        join text_terms x on x.text_id = t.id
        left join (
          select text_id, count(*)::int as n
          from question
          where not retired and place is null and (@textId::uuid is null or text_id = @textId)
          group by text_id) q on q.text_id = t.id
        left join (
          select text_id, count(*)::int as n
          from word
          where @textId::uuid is null or text_id = @textId
          group by text_id) w on w.text_id = t.id
        where @textId::uuid is null or t.id = @textId;
        select distinct v.text_id, s.school_id
        from version_sound s join version v on v.id = s.version_id
        where @textId::uuid is null or v.text_id = @textId
        """;

    /// <summary>The cards of all texts, or of one.</summary>
    public async Task<IReadOnlyList<Card>> Cards(TextId? textId = null)
    {
        await using var c = await db.OpenConnectionAsync();
        await using var all = await c.QueryMultipleAsync(CardsSql, new { textId });
        var versions = (
            await all.ReadAsync<(TextId TextId, VersionId Id, string Label, int Words, double Depth, double Error)>()
        ).ToLookup(v => v.TextId, v => new CardVersion(v.Id, v.Label, v.Words, v.Depth, v.Error));
        var flat = (await all.ReadAsync<Flat>()).ToList();
        var heard = (await all.ReadAsync<(TextId TextId, SchoolId SchoolId)>()).ToLookup(
            h => h.TextId,
            h => h.SchoolId
        );
        return
        [
            .. flat.Select(t => new Card
            {
                Id = t.Id,
                Number = t.Number,
                SchoolId = t.SchoolId,
                OwnerId = t.OwnerId,
                Mine = t.Mine,
                Retired = t.Retired,
                Title = t.Title,
                Kind = t.Kind,
                Topic = t.Topic,
                Fiction = t.Fiction,
                Blurb = t.Blurb,
                Season = t.Season,
                ChangedAt = t.ChangedAt,
                Questions = t.Questions,
                WordsToKnow = t.WordsToKnow,
                HeardIn = [.. heard[t.Id]],
                Patterns = t.Patterns.Split(' ', StringSplitOptions.RemoveEmptyEntries),
                Versions = [.. versions[t.Id]],
            }),
        ];
    }

    /// <summary>Texts that hold all of the words: by their stems, the last also by its beginning, words in quotation
    /// marks side by side. Where none does, those that hold most of them. A word that is in no text and is no English
    /// word is taken for the nearest that is.</summary>
    /// <returns>Null if there was no word to look for.</returns>
    public async Task<FoundTexts?> Find(string asked)
    {
        var parts = Parts(asked);
        if (parts.Count == 0)
            return null;
        await using var c = await db.OpenConnectionAsync();
        var instead = await Meant(c, [.. parts.SelectMany(p => p).Distinct()]);
        var queries = parts.Select((p, i) => QueryOf(p, instead, i == parts.Count - 1)).ToArray();
        var query = string.Join(" & ", queries);
        IReadOnlyList<(string, string)> said = [.. instead.Select(i => (i.Key, i.Value))];
        // The planner takes reading a long document for as cheap as reading a number, and would read them all.
        await using var t = await c.BeginTransactionAsync();
        await c.ExecuteAsync("set local enable_seqscan = off; set local jit = off", null, t);
        var numbers = await c.QuerySingleAsync<int[]>(
            """
            select coalesce(array_agg(x.number), '{}')
            from (select number from text_terms where terms @@ to_tsquery('english', @query) limit @MostFound) x
            """,
            new { query, MostFound },
            t
        );
        if (numbers.Length == 0 && queries.Length > 1)
            return await Most(c, t, queries) is { } most ? new(most, said, Partly: true) : new(new([], null), said);
        // Ranks are worked out only where there are few enough to be looked through in order.
        var ranks = numbers.Length is 0 or > MostRanked
            ? null
            : (
                await c.QueryAsync<(int Number, float Rank)>(
                    """
                    select number, ts_rank(head, q, 1) * 8 + ts_rank(terms, q, 1)
                    from text_terms, to_tsquery('english', @query) q
                    where terms @@ q
                    """,
                    new { query },
                    t
                )
            ).ToDictionary(r => r.Number, r => r.Rank);
        return new(new(numbers, ranks is null ? null : [.. numbers.Select(n => ranks.GetValueOrDefault(n))]), said);
    }

    /// <summary>One word, or several side by side; the last one that is being typed also by its beginning.</summary>
    private static string QueryOf(IReadOnlyList<string> words, Dictionary<string, string> instead, bool last)
    {
        var meant = words.Select(w => instead.GetValueOrDefault(w, w)).ToList();
        if (meant.Count > 1)
            return $"({string.Join(" <-> ", meant)})";
        var begins = last && words[0].Length > 1 && !instead.ContainsKey(words[0]);
        return begins ? $"{meant[0]}:*" : meant[0];
    }

    /// <summary>What misspelt words were meant to be. A word of English is never exchanged, whether a text has it or
    /// not.</summary>
    private static async Task<Dictionary<string, string>> Meant(NpgsqlConnection c, string[] words)
    {
        var instead = new Dictionary<string, string>();
        var strange = words.Where(w => Lexicon.Find(w) is null).ToArray();
        if (strange.Length == 0)
            return instead;
        var unknown = await c.QueryAsync<string>(
            """
            select w from unnest(@strange) w
            where not exists (select 1 from search_word s where s.word = w)
              and not exists (select 1 from search_word s where s.word like w || '%')
              and numnode(to_tsquery('english', w)) > 0
            """,
            new { strange }
        );
        foreach (var word in unknown.ToList())
            if (
                await c.QueryFirstOrDefaultAsync<string>(
                    """
                    select word
                    from search_word
                    where word % @word
                    order by similarity(word, @word) desc, texts desc
                    limit 1
                    """,
                    new { word }
                ) is
                { } near
            )
                instead[word] = near;
        return instead;
    }

    /// <summary>Texts that hold as many of the words as any does.</summary>
    private static async Task<FoundWords?> Most(NpgsqlConnection c, NpgsqlTransaction t, string[] queries)
    {
        var met = (
            await c.QueryAsync<(int Number, long Met, float Rank)>(
                """
                select x.number, count(*) as met,
                  sum(ts_rank(x.head, q.q, 1) * 8 + ts_rank(x.terms, q.q, 1))::real as rank
                from (select to_tsquery('english', w) as q from unnest(@queries) w) q
                  join text_terms x on x.terms @@ q.q
                where numnode(q.q) > 0
                group by x.number
                order by met desc, rank desc
                limit @MostRanked
                """,
                new { queries, MostRanked },
                t
            )
        ).ToList();
        if (met.Count == 0)
            return null;
        var best = met.Where(m => m.Met == met[0].Met).ToList();
        return new([.. best.Select(m => m.Number)], [.. best.Select(m => m.Rank)]);
    }

    /// <summary>Words alone, and words in quotation marks together; only letters and figures, at most twelve.</summary>
    private static List<List<string>> Parts(string asked)
    {
        var parts = new List<List<string>>();
        var inQuotes = asked.Split('"', '“', '”');
        for (var i = 0; i < inQuotes.Length; i++)
        {
            var words = inQuotes[i]
                .ToLowerInvariant()
                .Split((char[]?)null, StringSplitOptions.RemoveEmptyEntries)
                .Select(Bare)
                .Where(w => w.Length > 0)
                .ToList();
            if (i % 2 == 1 && i < inQuotes.Length - 1 && words.Count > 1)
                parts.Add(words);
            else
                parts.AddRange(words.Select(w => new List<string> { w }));
        }
        return [.. parts.Take(MostWords)];
    }

    private static string Bare(string word)
    {
        var bare = new StringBuilder();
        foreach (var c in word.Replace("’s", "").Replace("'s", ""))
            if (char.IsLetterOrDigit(c))
                bare.Append(c);
        return bare.Length > 40 ? bare.ToString(0, 40) : bare.ToString();
    }

    /// <summary>Texts a class has read, with how many times: handed in, or read in a level check.</summary>
    public async Task<IReadOnlyDictionary<TextId, int>> ReadHere(ClassId classId)
    {
        return (
            await db.All<(TextId, int)>(
                $"""
                select text_id, count(*)::int
                from (
                  select y.text_id
                  from ticket k join task y on y.id = k.task_id
                  where k.class_id = @classId and k.handed_in_at is not null
                  union all
                  select s.text_id
                  from sitting n join sitting_part p on p.sitting_id = n.id join stage s on s.part_id = p.id
                  where n.class_id = @classId
                    and p.part = '{nameof(CheckPart.Passages)}'
                    and s.done_at is not null
                    and s.text_id is not null
                ) had
                group by text_id
                limit 20000
                """,
                new { classId }
            )
        ).ToDictionary(x => x.Item1, x => x.Item2);
    }

    /// <summary>Texts a school has given, with how many times.</summary>
    public async Task<IReadOnlyDictionary<TextId, int>> Used(SchoolId schoolId)
    {
        return (
            await db.All<(TextId, int)>(
                """
                select y.text_id, count(*)::int
                from assignment a join class s on s.id = a.class_id join task y on y.assignment_id = a.id
                where s.school_id = @schoolId and not a.draft
                group by y.text_id
                limit 50000
                """,
                new { schoolId }
            )
        ).ToDictionary(x => x.Item1, x => x.Item2);
    }

    public async Task<IReadOnlyList<SavedSearch>> Saved(AdultId adultId)
    {
        return await db.All<SavedSearch>(
            "select id, name, query from saved_search where adult_id = @adultId order by name, id limit 100",
            new { adultId }
        );
    }

    public async Task<SavedSearch> Save(AdultId adultId, string name, string query, DateTimeOffset now)
    {
        return await db.Single<SavedSearch>(
            """
            insert into saved_search (id, adult_id, name, query, created_at) values (@id, @adultId, @name, @query, @now)
            on conflict (adult_id, name) do update set query = excluded.query returning id, name, query
            """,
            new
            {
                id = SavedSearchId.New(),
                adultId,
                name,
                query,
                now,
            }
        );
    }

    public async Task<bool> Forget(SavedSearchId id, AdultId adultId)
    {
        return await db.Run("delete from saved_search where id = @id and adult_id = @adultId", new { id, adultId }) > 0;
    }

    private sealed record Flat
    {
        public required TextId Id { get; init; }

        public required SchoolId? SchoolId { get; init; }

        public required AdultId? OwnerId { get; init; }

        public required bool Mine { get; init; }

        public required bool Retired { get; init; }

        public required string Title { get; init; }

        public required string Kind { get; init; }

        public required string Topic { get; init; }

        public required bool Fiction { get; init; }

        public required string Blurb { get; init; }

        public required string Season { get; init; }

        public required DateTimeOffset ChangedAt { get; init; }

        public required string Patterns { get; init; }

        public required int Number { get; init; }

        public required int Questions { get; init; }

        public required int WordsToKnow { get; init; }
    }
}
