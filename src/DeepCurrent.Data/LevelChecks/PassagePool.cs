using Dapper;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.LevelChecks;
using DeepCurrent.Core.Measuring;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Texts;
using DeepCurrent.Data.Questions;
using DeepCurrent.Data.Storage;
using DeepCurrent.Data.Texts;
using Npgsql;

namespace DeepCurrent.Data.LevelChecks;

/// <summary>Texts as level checks put them to readers.</summary>
internal sealed class PassagePool(TextStore texts)
{
    /// <summary>A passage needs this many questions that a level check asks.</summary>
    public const int FewestQuestions = 4;

    /// <summary>What <see cref="CheckItem.Asks"/> says, of a row of questions q.</summary>
    public static readonly string AskedOf =
        $"not q.retired and q.place is null and not q.evidence and q.kind not in ({QuestionKinds.Written})";

    private const int FewestMazeWords = 60,
        MostCandidates = 150;
    private static readonly string Asked =
        $"t.id in (select q.text_id from question q where {AskedOf} group by q.text_id having count(*) >= "
        + $"{FewestQuestions})";

    private sealed record Candidate(VersionId Id, TextId TextId, Fathoms Depth, int Sentences, int Given);

    /// <summary>Passages near a depth that a reader has not had.</summary>
    /// <param name="limits">The band they come from.</param>
    public async Task<IReadOnlyList<CheckPassage>> Near(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        ReaderId readerId,
        SchoolId schoolId,
        Fathoms depth,
        CheckLimits limits
    )
    {
        var near = await Candidates(c, t, readerId, schoolId, depth, new(limits.From), new(limits.To), Asked);
        var passages = new List<CheckPassage>();
        foreach (var v in near)
            passages.Add(
                new(
                    v.Id,
                    v.Depth.Value,
                    [
                        .. (await Questions(c, t, v.TextId)).Select(q => new PassageQuestion(
                            q.Difficulty(v.Depth, v.Sentences).Value,
                            q.Guess(v.Sentences)
                        )),
                    ],
                    v.Given
                )
            );
        return passages;
    }

    /// <summary>The version nearest to a depth that a reader has not had and that is long enough for a maze
    /// passage.</summary>
    public static async Task<VersionId?> MazeVersion(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        ReaderId readerId,
        SchoolId schoolId,
        Fathoms depth
    ) =>
        (await Candidates(c, t, readerId, schoolId, depth, new(-100), new(200), $"v.words >= {FewestMazeWords}"))
            .FirstOrDefault()
            ?.Id;

    private static async Task<List<Candidate>> Candidates(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        ReaderId readerId,
        SchoolId schoolId,
        Fathoms depth,
        Fathoms from,
        Fathoms to,
        string which
    ) =>
        (
            await c.QueryAsync<Candidate>(
                $"""
                select v.id, v.text_id, v.depth, coalesce((v.measure ->> 'sentences')::int, 0) as sentences,
                  (select count(*)::int from stage s where s.version_id = v.id) as given
                from version v join text t on t.id = v.text_id
                where not v.retired
                  and t.retired_at is null
                  and (t.school_id is null or (t.school_id = @schoolId and not t.mine))
                  and v.depth between @from and @to and {which}
                  and not exists (
                    select 1
                    from ticket k join task y on y.id = k.task_id
                    where k.reader_id = @readerId and y.text_id = t.id)
                  and not exists (
                    select 1
                    from stage s join sitting_part p on p.id = s.part_id join sitting n on n.id = p.sitting_id
                    where n.reader_id = @readerId and s.text_id = t.id)
                order by abs(v.depth - @depth), v.id
                limit {MostCandidates}
                """,
                new
                {
                    readerId,
                    schoolId,
                    depth,
                    from,
                    to,
                },
                t
            )
        ).ToList();

    /// <summary>Questions of a text that a level check asks.</summary>
    private async Task<IReadOnlyList<Question>> Questions(NpgsqlConnection c, NpgsqlTransaction t, TextId textId) =>
        [.. (await texts.Questions(c, t, textId)).Where(CheckItem.Asks)];

    /// <summary>A passage with its questions.</summary>
    /// <param name="copy">Whose copy it is.</param>
    public async Task<NewStage> Passage(NpgsqlConnection c, NpgsqlTransaction t, VersionId versionId, CheckPartId copy)
    {
        var v = await TextStore.Body(c, t, versionId);
        var sentences = Scoring.SentencesOf(v.Pages);
        return new(
            versionId,
            v.TextId,
            v.Title,
            v.Depth,
            v.Pages,
            [
                .. (await Questions(c, t, v.TextId))
                    .Select(q => CheckItem.Of(q, v.Depth, sentences, v.Label, copy.Value))
                    .OfType<CheckItem>(),
            ]
        );
    }

    /// <summary>A maze passage: what the school has accepted, or one made now.</summary>
    public static async Task<NewStage> MazeOf(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        VersionId versionId,
        SchoolId schoolId
    )
    {
        var v = await TextStore.Body(c, t, versionId);
        var kept = await c.QuerySingleOrDefaultAsync<string?>(
            "select pieces::text from maze where version_id = @versionId and school_id = @schoolId",
            new { versionId, schoolId },
            t
        );
        var pieces = kept is null ? Maze.Of(Paragraphs.Running(v.Pages)) : Database.FromJson<List<MazePiece>>(kept);
        const double Guess = 1.0 / 3;
        var items = pieces
            .Where(p => p.Choices.Count > 0)
            .Select(
                (p, i) =>
                    CheckItem.Choosing(
                        i.ToString(System.Globalization.CultureInfo.InvariantCulture),
                        "",
                        p.Choices,
                        p.Right,
                        v.Depth.Value,
                        Guess
                    )
            )
            .ToList();
        return new(
            versionId,
            v.TextId,
            v.Title,
            v.Depth,
            [
                [.. pieces.Select(p => p.Text)],
            ],
            items
        );
    }

    /// <summary>Fathoms by which answers have shown words of a part to be harder than was thought.</summary>
    public static async Task<IReadOnlyDictionary<string, double>> Shown(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        CheckPart part
    ) =>
        (
            await c.QueryAsync<(string Word, double Harder)>(
                "select word, harder from word_depth where part = @part limit 50000",
                new { part = part.ToString() },
                t
            )
        ).ToDictionary(w => w.Word, w => w.Harder);

    /// <summary>Words with meanings that word-meaning questions are made of.</summary>
    public static async Task<IReadOnlyList<MeaningWord>> Words(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        SchoolId schoolId
    ) =>
        (
            await c.QueryAsync<MeaningWord>(
                """
                select w.word, w.part, w.meaning from word w join text t on t.id = w.text_id
                where t.retired_at is null
                  and (t.school_id is null or (t.school_id = @schoolId and not t.mine))
                  and position(' ' in w.word) = 0
                order by t.id, w.position
                limit 5000
                """,
                new { schoolId },
                t
            )
        ).ToList();
}

/// <summary>A stage before it is put to a reader.</summary>
internal sealed record NewStage(
    VersionId? VersionId,
    TextId? TextId,
    string Title,
    Fathoms? TextDepth,
    IReadOnlyList<IReadOnlyList<string>>? Pages,
    IReadOnlyList<CheckItem> Items
)
{
    public static NewStage OfWords(IReadOnlyList<CheckItem> items) => new(null, null, "", null, null, items);
}
