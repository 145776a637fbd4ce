using System.Collections.Concurrent;
using Dapper;
using DeepCurrent.Core.Questions;
using DeepCurrent.Data.Storage;
using Npgsql;

namespace DeepCurrent.Data.Texts;

/// <summary>The library. Texts without a school ship for all schools.</summary>
public sealed class TextStore(NpgsqlDataSource db)
{
    private const int MostKept = 2000;
    private readonly ConcurrentDictionary<TextId, IReadOnlyList<Question>> questions = [];

    /// <summary>Reads a text's questions anew the next time.</summary>
    public void Forget(TextId textId) => questions.TryRemove(textId, out _);

    /// <summary>Reads every text's questions anew, since notices may have been missed.</summary>
    public void Forget() => questions.Clear();

    /// <summary>The texts that ship, by slug, with what was noted of their last revision.</summary>
    public async Task<IReadOnlyDictionary<string, ShippedText>> Shipped()
    {
        return (
            await db.All<ShippedText>(
                """
                select t.id, t.slug, coalesce(r.revision, 0) as revision, r.note
                from text t left join text_revision r on r.text_id = t.id and r.revision = t.revision
                where t.school_id is null
                limit 100000
                """
            )
        ).ToDictionary(t => t.Slug);
    }

    private const string SomeSql = """
        select t.id, t.slug, t.title, t.kind, t.topic, t.fiction, t.blurb,
               (
                 select count(*)::int from question q where q.text_id = t.id and not q.retired and q.place is null
               ) as questions,
               (
                 select count(*)::int
                 from question q
                 where q.text_id = t.id and not q.retired and q.place is not null) as on_the_way,
               (
                 select count(*)::int
                 from task y join ticket k on k.task_id = y.id
                 where y.text_id = t.id and k.class_id = @classId and k.handed_in_at is not null) as used
        from text t
        where case
          when @ids::uuid[] is null then t.school_id is null
          else t.id = any(@ids)
            and (t.school_id is null or (t.school_id = @schoolId and (not t.mine or t.owner_id = @adultId)))
          end
        order by t.title, t.id
        limit 1000;
        select v.id, v.text_id, v.label, v.position, v.words, v.depth, v.depth_error
        from version v join text t on t.id = v.text_id
        where not v.retired and case when @ids::uuid[] is null then t.school_id is null else t.id = any(@ids) end
        order by v.text_id, v.position
        limit 5000
        """;

    /// <summary>Some texts as somebody of a school sees them.</summary>
    /// <param name="ids">Which; null for all that ship.</param>
    public async Task<IReadOnlyList<TextRow>> Some(
        IReadOnlyCollection<TextId>? ids,
        SchoolId schoolId,
        AdultId adultId,
        ClassId? classId
    )
    {
        await using var c = await db.OpenConnectionAsync();
        await using var all = await c.QueryMultipleAsync(
            SomeSql,
            new
            {
                ids = ids?.ToArray(),
                schoolId,
                adultId,
                classId,
            }
        );
        var texts = (await all.ReadAsync<TextFlat>()).ToList();
        var versions = (await all.ReadAsync<VersionHead>()).ToLookup(v => v.TextId);
        return
        [
            .. texts.Select(t => new TextRow(
                t.Id,
                t.Slug,
                t.Title,
                t.Kind,
                t.Topic,
                t.Fiction,
                t.Blurb,
                t.Questions,
                t.OnTheWay,
                t.Used,
                [.. versions[t.Id]]
            )),
        ];
    }

    /// <summary>Whose a text is, for whoever may see it.</summary>
    public async Task<TextOwning?> Owning(TextId textId, SchoolId schoolId, AdultId adultId)
    {
        return await db.First<TextOwning>(
            """
            select t.id, t.slug, t.school_id, t.owner_id, a.name as owner, t.mine, t.retired_at, t.revision, t.spelling,
              t.season, t.copied_from, t.changed_at
            from text t left join adult a on a.id = t.owner_id
            where t.id = @textId
              and (t.school_id is null or (t.school_id = @schoolId and (not t.mine or t.owner_id = @adultId)))
            """,
            new
            {
                textId,
                schoolId,
                adultId,
            }
        );
    }

    /// <summary>A text with everything it has, as it can be saved.</summary>
    public async Task<NewText?> Whole(TextId textId, SchoolId schoolId, AdultId adultId)
    {
        if (
            await Find(textId, schoolId, adultId) is not { } head
            || await Owning(textId, schoolId, adultId) is not { } own
        )
            return null;
        var versions = (await Bodies(textId))
            .Select(
                (v, i) => new NewVersion(v.Id, v.Label, i, v.Pages, v.Words, v.FormulaDepth, v.FormulaError, v.Measure)
            )
            .ToList();
        return new()
        {
            Id = head.Id,
            SchoolId = own.SchoolId,
            Slug = head.Slug,
            Title = head.Title,
            Kind = head.Kind,
            Topic = head.Topic,
            Fiction = head.Fiction,
            Spelling = own.Spelling,
            Blurb = head.Blurb,
            Versions = versions,
            Questions = await Questions(textId),
            Words = await Words(textId),
            OwnerId = own.OwnerId,
            Mine = own.Mine,
            Season = own.Season,
            CopiedFrom = own.CopiedFrom,
        };
    }

    /// <summary>Every revision of a text, the newest first.</summary>
    public async Task<IReadOnlyList<TextRevision>> Revisions(TextId textId)
    {
        return
        [
            .. (
                await db.All<(int Revision, DateTimeOffset At, string? By, Message Note, string Body)>(
                    """
                    select r.revision, r.at, a.name, r.note, r.body::text
                    from text_revision r left join adult a on a.id = r.adult_id
                    where r.text_id = @textId
                    order by r.revision desc
                    limit 50
                    """,
                    new { textId }
                )
            ).Select(r => new TextRevision(r.Revision, r.At, r.By, r.Note, Database.FromJson<NewText>(r.Body))),
        ];
    }

    public async Task<TextRow?> Find(TextId textId, SchoolId schoolId, AdultId adultId) =>
        await Some([textId], schoolId, adultId, null) is [var found, ..] ? found : null;

    public async Task<IReadOnlyList<VersionHead>> Versions(TextId textId, SchoolId schoolId) =>
        [.. (await Versions([textId], schoolId))[textId]];

    /// <summary>The versions of several texts, each text's in their order.</summary>
    public async Task<ILookup<TextId, VersionHead>> Versions(IReadOnlyCollection<TextId> textIds, SchoolId schoolId) =>
        (
            await db.All<VersionHead>(
                """
                select v.id, v.text_id, v.label, v.position, v.words, v.depth, v.depth_error
                from version v join text t on t.id = v.text_id
                where t.id = any(@textIds) and not v.retired and (t.school_id is null or t.school_id = @schoolId)
                order by v.text_id, v.position
                limit 8000
                """,
                new { textIds = textIds.ToArray(), schoolId }
            )
        ).ToLookup(v => v.TextId);

    public async Task<IReadOnlyList<VersionBody>> Bodies(TextId textId)
    {
        return (
            await db.All<VersionFlat>(
                BodySql + " where v.text_id = @textId and not v.retired order by v.position limit 20",
                new { textId }
            )
        )
            .Select(v => v.Body())
            .ToList();
    }

    public async Task<VersionBody> Body(VersionId versionId)
    {
        await using var c = await db.OpenConnectionAsync();
        return await Body(c, null, versionId);
    }

    /// <summary>The same on a connection that is open: who holds one waits for no second.</summary>
    internal static async Task<VersionBody> Body(NpgsqlConnection c, NpgsqlTransaction? t, VersionId versionId) =>
        (await c.QuerySingleAsync<VersionFlat>(BodySql + " where v.id = @versionId", new { versionId }, t)).Body();

    /// <summary>A text's questions, kept once read until somebody changes the text.</summary>
    public async Task<IReadOnlyList<Question>> Questions(TextId textId)
    {
        if (questions.TryGetValue(textId, out var kept))
            return kept;
        await using var c = await db.OpenConnectionAsync();
        return await Questions(c, null, textId);
    }

    /// <inheritdoc cref="Questions(TextId)"/>
    internal async Task<IReadOnlyList<Question>> Questions(NpgsqlConnection c, NpgsqlTransaction? t, TextId textId)
    {
        if (questions.TryGetValue(textId, out var kept))
            return kept;
        var read = (
            await c.QueryAsync<QuestionFlat>(
                """
                select id, position, strand, stem, choices::text as choices, proofs::text as proofs, kind, evidence,
                  harder, place::text as place, rubric::text as rubric, coalesce(shown_harder, 0) as shown
                from question
                where text_id = @textId and not retired
                order by position
                limit 100
                """,
                new { textId },
                t
            )
        ).Select(q => q.Question()).ToList();
        if (questions.Count > MostKept)
            questions.Clear();
        return questions[textId] = read;
    }

    /// <summary>The sentences of a version, as pick-the-sentence questions number them.</summary>
    public async Task<IReadOnlyList<string>> Sentences(VersionId versionId) =>
        Scoring.SentencesOf((await Body(versionId)).Pages);

    /// <inheritdoc cref="Sentences(TextId)"/>
    internal static async Task<IReadOnlyList<string>> Sentences(
        NpgsqlConnection c,
        NpgsqlTransaction? t,
        VersionId versionId
    ) => Scoring.SentencesOf((await Body(c, t, versionId)).Pages);

    public async Task<IReadOnlyList<Word>> Words(TextId textId)
    {
        return await db.All<Word>(
            """
            select word as text, part, meaning, example from word where text_id = @textId order by position limit 50
            """,
            new { textId }
        );
    }

    private const string BodySql = """
        select v.id, v.text_id, t.title, t.fiction, v.label, v.pages::text as pages, v.words, v.depth, v.depth_error,
          v.measure::text as measure, v.formula_depth, v.formula_error, v.stated_depth, v.stated_reason,
          a.name as stated_by, v.stated_at, v.shown_depth, v.shown_error, v.shown_alone, v.shown_weight,
          v.shown_readers, v.shown_answers
        from version v join text t on t.id = v.text_id left join adult a on a.id = v.stated_by
        """;
}
