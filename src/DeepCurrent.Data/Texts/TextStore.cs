using System.Collections.Concurrent;
using Dapper;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Questions;
using DeepCurrent.Data.Storage;
using Npgsql;

namespace DeepCurrent.Data.Texts;

public sealed record VersionHead(Guid Id, Guid TextId, string Label, int Position, int Words, double Depth, double DepthError);

/// <param name="Used">Tickets handed in by the class that asks.</param>
public sealed record TextRow(Guid Id, string Slug, string Title, string Kind, string Topic, bool Fiction, string Blurb, int Questions, int Used, IReadOnlyList<VersionHead> Versions);

public sealed record Choice(string Text, bool Right, string Reason);

/// <param name="Proofs">The sentence that proves the answer, by version label; "all" where the versions share it.</param>
public sealed record Question(Guid Id, int Position, Strand Strand, string Stem, IReadOnlyList<Choice> Choices, IReadOnlyDictionary<string, string> Proofs)
{
    public Fathoms Difficulty(Fathoms text) => QuestionDifficulty.Default(text, Choices.Count, Strand);

    public string? Proof(string version) => Proofs.GetValueOrDefault(version) ?? Proofs.GetValueOrDefault("all");

    /// <summary>Words a reader has to read before answering.</summary>
    public int Words => Stem.Split(' ').Length + Choices.Sum(c => c.Text.Split(' ').Length);
}

public sealed record Word(string Text, string Part, string Meaning, string Example);

public sealed record NewVersion(Guid Id, string Label, int Position, IReadOnlyList<IReadOnlyList<string>> Pages, int Words, double Depth, double DepthError, string Measure);

public sealed record NewText(Guid Id, Guid? SchoolId, string Slug, string Title, string Kind, string Topic, bool Fiction, string Spelling, string Blurb,
    IReadOnlyList<NewVersion> Versions, IReadOnlyList<Question> Questions, IReadOnlyList<Word> Words);

/// <summary>One version with its pages and how it was measured.</summary>
public sealed record VersionBody(Guid Id, Guid TextId, string Title, string Label, IReadOnlyList<IReadOnlyList<string>> Pages, int Words, double Depth, double DepthError, string Measure);

/// <summary>The library. Texts without a school ship for all schools.</summary>
public sealed class TextStore(NpgsqlDataSource db)
{
    private const int MostKept = 2000;
    private readonly ConcurrentDictionary<Guid, IReadOnlyList<Question>> questions = [];

    public async Task Add(NewText text, DateTimeOffset now)
    {
        await using var c = await db.OpenConnectionAsync();
        await using var t = await c.BeginTransactionAsync();
        await c.ExecuteAsync("""
            insert into text (id, school_id, slug, title, kind, topic, fiction, spelling, blurb, created_at)
            values (@Id, @SchoolId, @Slug, @Title, @Kind, @Topic, @Fiction, @Spelling, @Blurb, @now)
            """, new { text.Id, text.SchoolId, text.Slug, text.Title, text.Kind, text.Topic, text.Fiction, text.Spelling, text.Blurb, now }, t);
        foreach (var v in text.Versions)
            await c.ExecuteAsync("""
                insert into version (id, text_id, label, position, pages, words, depth, depth_error, measure)
                values (@Id, @text, @Label, @Position, @pages::jsonb, @Words, @Depth, @DepthError, @Measure::jsonb)
                """, new { v.Id, text = text.Id, v.Label, v.Position, pages = Database.ToJson(v.Pages), v.Words, v.Depth, v.DepthError, v.Measure }, t);
        foreach (var q in text.Questions)
            await c.ExecuteAsync("insert into question (id, text_id, position, strand, stem, choices, proofs) values (@Id, @text, @Position, @strand, @Stem, @choices::jsonb, @proofs::jsonb)",
                new { q.Id, text = text.Id, q.Position, strand = q.Strand.ToString(), q.Stem, choices = Database.ToJson(q.Choices), proofs = Database.ToJson(q.Proofs) }, t);
        foreach (var (w, i) in text.Words.Select((w, i) => (w, i)))
            await c.ExecuteAsync("insert into word (text_id, position, word, part, meaning, example) values (@id, @i, @Text, @Part, @Meaning, @Example)", new { id = text.Id, i, w.Text, w.Part, w.Meaning, w.Example }, t);
        await t.CommitAsync();
    }

    public async Task<IReadOnlySet<string>> ShippedSlugs()
    {
        await using var c = await db.OpenConnectionAsync();
        return (await c.QueryAsync<string>("select slug from text where school_id is null limit 100000")).ToHashSet();
    }

    /// <summary>The library as a school sees it.</summary>
    public async Task<IReadOnlyList<TextRow>> All(Guid schoolId, Guid? classId)
    {
        await using var c = await db.OpenConnectionAsync();
        await using var all = await c.QueryMultipleAsync("""
            select t.id, t.slug, t.title, t.kind, t.topic, t.fiction, t.blurb,
                   (select count(*)::int from question q where q.text_id = t.id) as questions,
                   (select count(*)::int from assignment a join ticket k on k.assignment_id = a.id where a.text_id = t.id and a.class_id = @classId and k.handed_in_at is not null) as used
            from text t
            where t.school_id is null or t.school_id = @schoolId
            order by t.title
            limit 1000;
            select v.id, v.text_id, v.label, v.position, v.words, v.depth, v.depth_error
            from version v join text t on t.id = v.text_id
            where t.school_id is null or t.school_id = @schoolId
            order by v.text_id, v.position
            limit 5000
            """, new { schoolId, classId });
        var texts = (await all.ReadAsync<TextFlat>()).ToList();
        var versions = (await all.ReadAsync<VersionHead>()).ToLookup(v => v.TextId);
        return [.. texts.Select(t => new TextRow(t.Id, t.Slug, t.Title, t.Kind, t.Topic, t.Fiction, t.Blurb, t.Questions, t.Used, [.. versions[t.Id]]))];
    }

    public async Task<TextRow?> Find(Guid textId, Guid schoolId) => (await All(schoolId, null)).FirstOrDefault(t => t.Id == textId);

    public async Task<IReadOnlyList<VersionHead>> Versions(Guid textId, Guid schoolId)
    {
        await using var c = await db.OpenConnectionAsync();
        return (await c.QueryAsync<VersionHead>("""
            select v.id, v.text_id, v.label, v.position, v.words, v.depth, v.depth_error
            from version v join text t on t.id = v.text_id
            where t.id = @textId and (t.school_id is null or t.school_id = @schoolId)
            order by v.position
            limit 20
            """, new { textId, schoolId })).ToList();
    }

    public async Task<IReadOnlyList<VersionBody>> Bodies(Guid textId)
    {
        await using var c = await db.OpenConnectionAsync();
        return (await c.QueryAsync<VersionFlat>(BodySql + " where v.text_id = @textId order by v.position limit 20", new { textId })).Select(v => v.Body()).ToList();
    }

    public async Task<VersionBody> Body(Guid versionId)
    {
        await using var c = await db.OpenConnectionAsync();
        return (await c.QuerySingleAsync<VersionFlat>(BodySql + " where v.id = @versionId", new { versionId })).Body();
    }

    /// <summary>A text's questions. They never change under the same text, so they are kept once read.</summary>
    public async Task<IReadOnlyList<Question>> Questions(Guid textId)
    {
        if (questions.TryGetValue(textId, out var kept)) return kept;
        var read = await ReadQuestions(textId);
        if (questions.Count > MostKept) questions.Clear();
        return questions[textId] = read;
    }

    private async Task<IReadOnlyList<Question>> ReadQuestions(Guid textId)
    {
        await using var c = await db.OpenConnectionAsync();
        return (await c.QueryAsync<QuestionFlat>("select id, position, strand, stem, choices::text as choices, proofs::text as proofs from question where text_id = @textId order by position limit 50", new { textId }))
            .Select(q => new Question(q.Id, q.Position, Enum.Parse<Strand>(q.Strand), q.Stem, Database.FromJson<List<Choice>>(q.Choices), Database.FromJson<Dictionary<string, string>>(q.Proofs))).ToList();
    }

    public async Task<IReadOnlyList<Word>> Words(Guid textId)
    {
        await using var c = await db.OpenConnectionAsync();
        return (await c.QueryAsync<Word>("select word as text, part, meaning, example from word where text_id = @textId order by position limit 50", new { textId })).ToList();
    }

    private const string BodySql = "select v.id, v.text_id, t.title, v.label, v.pages::text as pages, v.words, v.depth, v.depth_error, v.measure::text as measure from version v join text t on t.id = v.text_id";

    private sealed record TextFlat(Guid Id, string Slug, string Title, string Kind, string Topic, bool Fiction, string Blurb, int Questions, int Used);

    private sealed record VersionFlat(Guid Id, Guid TextId, string Title, string Label, string Pages, int Words, double Depth, double DepthError, string Measure)
    {
        public VersionBody Body() => new(Id, TextId, Title, Label, Database.FromJson<List<List<string>>>(Pages), Words, Depth, DepthError, Measure);
    }

    private sealed record QuestionFlat(Guid Id, int Position, string Strand, string Stem, string Choices, string Proofs);
}
