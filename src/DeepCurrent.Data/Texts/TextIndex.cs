using Dapper;
using DeepCurrent.Core.Texts;
using DeepCurrent.Data.Storage;
using Npgsql;

namespace DeepCurrent.Data.Texts;

/// <summary>What a text is found by: its words, as they are written and as they are looked for.</summary>
internal static class TextIndex
{
    private static readonly char[] WordEnds = ['\'', '-'];

    private const string TermsSql = """
        with h as (
          select setweight(
            to_tsvector('english', @Title), 'A'
          ) || setweight(to_tsvector('english', @about), 'B') || setweight(to_tsvector('english', @Blurb),
          'C') as head
        )
        insert into text_terms (text_id, head, terms, patterns)
        select @Id, head, head || setweight(to_tsvector('english', @body), 'D'), @patterns
        from h
        on conflict (text_id) do update
        set head = excluded.head, terms = excluded.terms, patterns = excluded.patterns
        """;

    private const string WordsSql = """
        insert into search_word (word, texts)
        select w, 1
        from unnest(@words) w
        order by w
        on conflict (word) do update
        set texts = search_word.texts + @more
        where @more > 0
        """;

    /// <summary>Makes the text findable: title before topic and words to know, those before the description, that
    /// before the text itself.</summary>
    internal static async Task Index(NpgsqlConnection c, NpgsqlTransaction t, NewText x)
    {
        var body = string.Join("\n\n", x.Versions.SelectMany(v => v.Pages).SelectMany(p => p));
        var shallow = x.Versions.MinBy(v => v.Depth);
        var patterns =
            shallow is null || shallow.Depth.Value > LetterSounds.DeepestOfUse
                ? ""
                : string.Join(
                    ' ',
                    LetterSounds.Uses(string.Join("\n\n", shallow.Pages.SelectMany(p => p))).Select(u => u.Pattern.Key)
                );
        var words = TextCounter
            .Count(
                $"{x.Title}\n\n{x.Topic}\n\n{x.Kind}\n\n{x.Season}\n\n{x.Blurb}\n\n"
                    + $"{string.Join("\n\n", x.Words.Select(w => w.Text))}\n\n{body}"
            )
            .Vocabulary.Select(w => w.Word)
            .SelectMany(w => w.Split(WordEnds))
            .Where(w => w.Length is > 2 and < 40)
            .Distinct()
            .ToArray();
        var known =
            await c.QueryFirstOrDefaultAsync<int>("select 1 from text_terms where text_id = @Id", new { x.Id }, t) == 1;
        await c.ExecuteAsync(
            TermsSql,
            new
            {
                x.Id,
                x.Title,
                about = $"{x.Topic} {x.Kind} {x.Season} {string.Join(' ', x.Words.Select(w => w.Text))}",
                x.Blurb,
                body,
                patterns,
            },
            t
        );
        // In one order, so that two texts that come in at once do not wait for each other.
        await c.ExecuteAsync(WordsSql, new { words, more = known ? 0 : 1 }, t);
    }
}
