using DeepCurrent.Core.Texts;
using Npgsql;
using NpgsqlTypes;

/// <summary>Fills a library with texts made of the words that ship, each as often as it is used, so that a search has
/// as much to go through as in life.</summary>
internal static class LibraryTexts
{
    private static readonly string[] Kinds =
    [
        "story",
        "report",
        "letter",
        "diary",
        "play",
        "poem",
        "explanation",
        "argument",
        "interview",
        "how-to",
        "biography",
        "data",
    ];
    private static readonly string[] Topics =
    [
        "Sea",
        "Weather",
        "Animals",
        "Space",
        "Music",
        "Food",
        "Sport",
        "Tools",
        "History",
        "School",
        "Numbers",
        "Family",
    ];

    private static readonly string[] FromMade =
    [
        """
            insert into text (id, slug, title, kind, topic, fiction, spelling, blurb, created_at, changed_at)
            select id, 'bench-' || id, title, kind, topic, fiction, 'British', blurb, now(), now()
            from made
            """,
        """
            insert into version (
              id, text_id, label, position, pages, words, depth, depth_error, formula_depth, formula_error, measure)
            select gen_random_uuid(), id, 'a', 0, '[]', words, depth, 3, depth, 3, '{}'
            from made
            """,
        """
            insert into version (
              id, text_id, label, position, pages, words, depth, depth_error, formula_depth, formula_error, measure)
            select gen_random_uuid(), id, 'b', 1, '[]', words, depth + 9, 3, depth + 9, 3, '{}'
            from made
            where fiction
            """,
        """
            insert into text_terms (text_id, head, terms)
            select id, h, h || setweight(to_tsvector('english', body), 'D')
            from (
              select id, body,
                setweight(to_tsvector('english', title), 'A') || setweight(
                  to_tsvector('english', topic || ' ' || kind), 'B'
                ) || setweight(to_tsvector('english', blurb), 'C') as h
              from made) x
            """,
    ];

    public static void Fill(string connection, string content, int texts)
    {
        var vocabulary = Vocabulary(content);
        var random = new Random(1906);
        // A rank of one over its place, as words have in any language.
        string Word() => vocabulary[(int)(vocabulary.Length * Math.Pow(random.NextDouble(), 1.6))];
        string Words(int n) => string.Join(' ', Enumerable.Range(0, n).Select(_ => Word()));
        using var db = new NpgsqlConnection(connection);
        db.Open();
        Run(
            db,
            """
            create temp table made (
              id uuid, title text, kind text, topic text, fiction boolean, blurb text, body text, depth float8,
              words int)
            """
        );
        using (var w = db.BeginBinaryImport("copy made from stdin (format binary)"))
        {
            for (var i = 0; i < texts; i++)
            {
                w.StartRow();
                w.Write(Guid.CreateVersion7(), NpgsqlDbType.Uuid);
                w.Write($"{Words(3)} {i}");
                w.Write(Kinds[random.Next(Kinds.Length)]);
                w.Write(Topics[random.Next(Topics.Length)]);
                w.Write(random.Next(2) == 0);
                w.Write(Words(10));
                w.Write(Words(150));
                w.Write(2 + 60 * random.NextDouble());
                w.Write(150, NpgsqlDbType.Integer);
            }
            w.Complete();
        }
        foreach (var sql in FromMade)
            Run(db, sql);
        Run(db, "analyze");
    }

    private static string[] Vocabulary(string content) =>
        TextCounter
            .Count(
                string.Join(
                    "\n\n",
                    Directory
                        .EnumerateFiles(content, "*.md", SearchOption.AllDirectories)
                        .Order()
                        .Select(File.ReadAllText)
                )
            )
            .Vocabulary.Where(w => w.Word.All(char.IsAsciiLetter))
            .Select(w => w.Word)
            .ToArray();

    private static void Run(NpgsqlConnection db, string sql)
    {
        using var q = new NpgsqlCommand(sql, db) { CommandTimeout = 600 };
        q.ExecuteNonQuery();
    }
}
