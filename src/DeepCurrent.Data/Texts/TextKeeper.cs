using Dapper;
using DeepCurrent.Data.Storage;
using Npgsql;

namespace DeepCurrent.Data.Texts;

/// <summary>Somebody has changed the text meanwhile.</summary>
/// <param name="revision">The revision it has now.</param>
public sealed class TextMoved(int revision) : Exception("Someone else changed this text meanwhile.")
{
    public int Revision => revision;
}

/// <summary>Puts texts into the library and changes them. Every change is a revision that can be looked at and come
/// back to.</summary>
public sealed class TextKeeper(NpgsqlDataSource db, TextStore texts)
{
    /// <summary>Adds a text, or changes one; what it no longer has is kept for the work that was done on it.</summary>
    /// <param name="text">The text as it shall be.</param>
    /// <param name="expected">The revision that was changed; 0 for a new text.</param>
    /// <param name="adultId">Who does it; null for texts that ship.</param>
    /// <exception cref="TextMoved">The text has another revision by now.</exception>
    public async Task<int> Save(NewText text, int expected, AdultId? adultId, Message note, DateTimeOffset now)
    {
        await using var c = await db.OpenConnectionAsync();
        await using var t = await c.BeginTransactionAsync();
        var revision = await c.QueryFirstOrDefaultAsync<int?>(
            """
            select coalesce((select max(r.revision) from text_revision r where r.text_id = t.id), 0)
            from text t
            where t.id = @Id
            for update
            """,
            new { text.Id },
            t
        ) ?? 0;
        if (revision != expected)
            throw new TextMoved(revision);
        await Head(c, t, text, revision + 1, now);
        await Versions(c, t, text);
        await Questions(c, t, text);
        await Words(c, t, text);
        await c.ExecuteAsync(
            """
            insert into text_revision (text_id, revision, at, adult_id, note, body)
            values (@Id, @revision, @now, @adultId, @note::jsonb, @body::jsonb)
            """,
            new
            {
                text.Id,
                revision = revision + 1,
                now,
                adultId,
                note,
                body = Database.ToJson(text),
            },
            t
        );
        await TextIndex.Index(c, t, text);
        await Tell(c, t, text.Id);
        await t.CommitAsync();
        texts.Forget(text.Id);
        return revision + 1;
    }

    /// <summary>Takes a text out of use, or back into it. Work on it goes on.</summary>
    public async Task Retire(TextId textId, bool retired, DateTimeOffset now)
    {
        await using var c = await db.OpenConnectionAsync();
        await using var t = await c.BeginTransactionAsync();
        await c.ExecuteAsync(
            "update text set retired_at = case when @retired then @now end, changed_at = @now where id = @textId",
            new
            {
                textId,
                retired,
                now,
            },
            t
        );
        await Tell(c, t, textId);
        await t.CommitAsync();
    }

    /// <summary>States a version's depth, or takes the statement back.</summary>
    public async Task State(
        TextId textId,
        VersionId versionId,
        double? depth,
        string? reason,
        AdultId adultId,
        DateTimeOffset now
    )
    {
        await using var c = await db.OpenConnectionAsync();
        await using var t = await c.BeginTransactionAsync();
        await c.ExecuteAsync(
            """
            update version
            set stated_depth = @depth, stated_reason = @reason,
              stated_by = case when @depth::float8 is null then null else @adultId end,
              stated_at = case when @depth::float8 is null then null else @now end,
              depth = coalesce(@depth, shown_depth, formula_depth),
              depth_error = case when @depth::float8 is not null then 2 else coalesce(shown_error, formula_error) end
            where id = @versionId and text_id = @textId
            """,
            new
            {
                textId,
                versionId,
                depth,
                reason,
                adultId,
                now,
            },
            t
        );
        await Tell(c, t, textId);
        await t.CommitAsync();
        texts.Forget(textId);
    }

    private static Task Head(NpgsqlConnection c, NpgsqlTransaction t, NewText x, int revision, DateTimeOffset now) =>
        c.ExecuteAsync(
            """
            insert into text (
              id, school_id, owner_id, mine, slug, title, kind, topic, fiction, spelling, blurb, season, copied_from,
              revision, created_at, changed_at)
            values (
              @Id, @SchoolId, @OwnerId, @Mine, @Slug, @Title, @Kind, @Topic, @Fiction, @Spelling, @Blurb, @Season,
              @CopiedFrom, @revision, @now, @now)
            on conflict (id) do update
            set mine = @Mine, title = @Title, kind = @Kind, topic = @Topic, fiction = @Fiction, spelling = @Spelling,
              blurb = @Blurb, season = @Season, revision = @revision, changed_at = @now
            """,
            new
            {
                x.Id,
                x.SchoolId,
                x.OwnerId,
                x.Mine,
                x.Slug,
                x.Title,
                x.Kind,
                x.Topic,
                x.Fiction,
                x.Spelling,
                x.Blurb,
                x.Season,
                x.CopiedFrom,
                revision,
                now,
            },
            t
        );

    private const string VersionSql = """
        insert into version (
          id, text_id, label, position, pages, words, depth, depth_error, formula_depth, formula_error, measure)
        values (
          @Id, @text, @Label, @Position, @pages::jsonb, @Words, @Depth, @DepthError, @Depth, @DepthError,
          @Measure::jsonb)
        on conflict (id) do update
        set label = @Label, position = @Position, pages = @pages::jsonb, words = @Words,
          measure = @Measure::jsonb, formula_depth = @Depth, formula_error = @DepthError, retired = false,
          shown_depth = case when version.pages = @pages::jsonb then version.shown_depth end,
          shown_error = case when version.pages = @pages::jsonb then version.shown_error end,
          shown_answers = case when version.pages = @pages::jsonb then version.shown_answers else 0 end,
          shown_readers = case when version.pages = @pages::jsonb then version.shown_readers else 0 end,
          shown_weight = case when version.pages = @pages::jsonb then version.shown_weight end,
          shown_alone = case when version.pages = @pages::jsonb then version.shown_alone end,
          depth = coalesce(
            version.stated_depth, case when version.pages = @pages::jsonb then version.shown_depth end, @Depth),
          depth_error = case
            when version.stated_depth is not null then version.depth_error
            when version.pages = @pages::jsonb then coalesce(version.shown_error, @DepthError)
            else @DepthError
            end
        where version.text_id = @text
        """;

    private static async Task Versions(NpgsqlConnection c, NpgsqlTransaction t, NewText x)
    {
        await c.ExecuteAsync(
            "update version set retired = true where text_id = @Id and id <> all(@ids)",
            new { x.Id, ids = x.Versions.Select(v => v.Id).ToArray() },
            t
        );
        // A depth that a person stated stays; what readers showed of an earlier wording does not.
        foreach (var v in x.Versions)
            await c.ExecuteAsync(
                VersionSql,
                new
                {
                    v.Id,
                    text = x.Id,
                    v.Label,
                    v.Position,
                    pages = Database.ToJson(v.Pages),
                    v.Words,
                    v.Depth,
                    v.DepthError,
                    v.Measure,
                },
                t
            );
        await c.ExecuteAsync(
            """
            delete from version v
            where v.text_id = @Id and v.retired and not exists (select 1 from ticket k where k.version_id = v.id)
            """,
            new { x.Id },
            t
        );
    }

    private const string QuestionSql = """
        insert into question (
          id, text_id, position, strand, stem, choices, proofs, kind, evidence, harder, place, rubric)
        values (
          @Id, @text, @Position, @strand, @Stem, @choices::jsonb, @proofs::jsonb, @kind, @Evidence, @Offset,
          @place::jsonb, @rubric::jsonb)
        on conflict (id) do update
        set position = @Position, strand = @strand, stem = @Stem, choices = @choices::jsonb,
          proofs = @proofs::jsonb, retired = false,
          kind = @kind, evidence = @Evidence, harder = @Offset, place = @place::jsonb, rubric = @rubric::jsonb,
          shown_harder = case
            when question.stem = @Stem
              and question.choices = @choices::jsonb
              and question.strand = @strand then question.shown_harder
            end
        where question.text_id = @text
        """;

    private static async Task Questions(NpgsqlConnection c, NpgsqlTransaction t, NewText x)
    {
        await c.ExecuteAsync(
            "update question set retired = true where text_id = @Id and id <> all(@ids)",
            new { x.Id, ids = x.Questions.Select(q => q.Id).ToArray() },
            t
        );
        foreach (var q in x.Questions)
            await c.ExecuteAsync(
                QuestionSql,
                new
                {
                    q.Id,
                    text = x.Id,
                    q.Position,
                    strand = q.Strand.ToString(),
                    q.Stem,
                    choices = Database.ToJson(q.Choices),
                    proofs = Database.ToJson(q.Proofs),
                    kind = q.Kind.ToString(),
                    q.Evidence,
                    q.Offset,
                    place = q.OnTheWay ? Database.ToJson(q.After) : null,
                    rubric = q.Rubric is null ? null : Database.ToJson(q.Rubric),
                },
                t
            );
        await c.ExecuteAsync(
            """
            delete from question q
            where q.text_id = @Id and q.retired and not exists (select 1 from answer a where a.question_id = q.id)
            """,
            new { x.Id },
            t
        );
    }

    private static async Task Words(NpgsqlConnection c, NpgsqlTransaction t, NewText x)
    {
        await c.ExecuteAsync("delete from word where text_id = @Id", new { x.Id }, t);
        foreach (var (w, i) in x.Words.Select((w, i) => (w, i)))
            await c.ExecuteAsync(
                """
                insert into word (text_id, position, word, part, meaning, example)
                values (@id, @i, @Text, @Part, @Meaning, @Example)
                """,
                new
                {
                    id = x.Id,
                    i,
                    w.Text,
                    w.Part,
                    w.Meaning,
                    w.Example,
                },
                t
            );
    }

    private static Task Tell(NpgsqlConnection c, NpgsqlTransaction t, TextId id) => c.Tell(t, "text", id);
}
