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

/// <param name="SchoolId">Null for texts that ship.</param>
/// <param name="Mine">Only its owner sees it.</param>
public sealed record NewText(Guid Id, Guid? SchoolId, string Slug, string Title, string Kind, string Topic, bool Fiction, string Spelling, string Blurb,
    IReadOnlyList<NewVersion> Versions, IReadOnlyList<Question> Questions, IReadOnlyList<Word> Words, Guid? OwnerId = null, bool Mine = false, string Season = "", Guid? CopiedFrom = null);

/// <summary>One version with its pages and how it was measured.</summary>
public sealed record VersionBody(Guid Id, Guid TextId, string Title, string Label, IReadOnlyList<IReadOnlyList<string>> Pages, int Words, double Depth, double DepthError, string Measure);

/// <param name="Revision">0 for a text from before there were revisions.</param>
public sealed record ShippedText(Guid Id, string Slug, int Revision, string? Note);

/// <summary>The library. Texts without a school ship for all schools.</summary>
public sealed class TextStore(NpgsqlDataSource db)
{
    private const int MostKept = 2000;
    private readonly ConcurrentDictionary<Guid, IReadOnlyList<Question>> questions = [];

    /// <summary>Reads a text's questions anew the next time.</summary>
    public void Forget(Guid textId) => questions.TryRemove(textId, out _);

    /// <summary>The texts that ship, by slug, with what was noted of their last revision.</summary>
    public async Task<IReadOnlyDictionary<string, ShippedText>> Shipped()
    {
        await using var c = await db.OpenConnectionAsync();
        return (await c.QueryAsync<ShippedText>("select t.id, t.slug, coalesce(r.revision, 0) as revision, r.note from text t left join text_revision r on r.text_id = t.id and r.revision = t.revision where t.school_id is null limit 100000")).ToDictionary(t => t.Slug);
    }

    /// <summary>Some texts as somebody of a school sees them.</summary>
    /// <param name="ids">Which; null for all that ship.</param>
    public async Task<IReadOnlyList<TextRow>> Some(IReadOnlyCollection<Guid>? ids, Guid schoolId, Guid adultId, Guid? classId)
    {
        await using var c = await db.OpenConnectionAsync();
        await using var all = await c.QueryMultipleAsync("""
            select t.id, t.slug, t.title, t.kind, t.topic, t.fiction, t.blurb,
                   (select count(*)::int from question q where q.text_id = t.id and not q.retired) as questions,
                   (select count(*)::int from assignment a join ticket k on k.assignment_id = a.id where a.text_id = t.id and a.class_id = @classId and k.handed_in_at is not null) as used
            from text t
            where case when @ids::uuid[] is null then t.school_id is null else t.id = any(@ids) and (t.school_id is null or (t.school_id = @schoolId and (not t.mine or t.owner_id = @adultId))) end
            order by t.title
            limit 1000;
            select v.id, v.text_id, v.label, v.position, v.words, v.depth, v.depth_error
            from version v join text t on t.id = v.text_id
            where not v.retired and case when @ids::uuid[] is null then t.school_id is null else t.id = any(@ids) end
            order by v.text_id, v.position
            limit 5000
            """, new { ids = ids?.ToArray(), schoolId, adultId, classId });
        var texts = (await all.ReadAsync<TextFlat>()).ToList();
        var versions = (await all.ReadAsync<VersionHead>()).ToLookup(v => v.TextId);
        return [.. texts.Select(t => new TextRow(t.Id, t.Slug, t.Title, t.Kind, t.Topic, t.Fiction, t.Blurb, t.Questions, t.Used, [.. versions[t.Id]]))];
    }

    public async Task<TextRow?> Find(Guid textId, Guid schoolId, Guid adultId) => (await Some([textId], schoolId, adultId, null)).FirstOrDefault();

    public async Task<IReadOnlyList<VersionHead>> Versions(Guid textId, Guid schoolId)
    {
        await using var c = await db.OpenConnectionAsync();
        return (await c.QueryAsync<VersionHead>("""
            select v.id, v.text_id, v.label, v.position, v.words, v.depth, v.depth_error
            from version v join text t on t.id = v.text_id
            where t.id = @textId and not v.retired and (t.school_id is null or t.school_id = @schoolId)
            order by v.position
            limit 20
            """, new { textId, schoolId })).ToList();
    }

    public async Task<IReadOnlyList<VersionBody>> Bodies(Guid textId)
    {
        await using var c = await db.OpenConnectionAsync();
        return (await c.QueryAsync<VersionFlat>(BodySql + " where v.text_id = @textId and not v.retired order by v.position limit 20", new { textId })).Select(v => v.Body()).ToList();
    }

    public async Task<VersionBody> Body(Guid versionId)
    {
        await using var c = await db.OpenConnectionAsync();
        return (await c.QuerySingleAsync<VersionFlat>(BodySql + " where v.id = @versionId", new { versionId })).Body();
    }

    /// <summary>A text's questions, kept once read until somebody changes the text.</summary>
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
        return (await c.QueryAsync<QuestionFlat>("select id, position, strand, stem, choices::text as choices, proofs::text as proofs from question where text_id = @textId and not retired order by position limit 50", new { textId }))
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
