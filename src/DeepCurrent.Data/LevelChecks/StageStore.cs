using Dapper;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.LevelChecks;
using DeepCurrent.Core.Measuring;
using DeepCurrent.Data.Measuring;
using DeepCurrent.Data.Roster;
using DeepCurrent.Data.Storage;
using Npgsql;

namespace DeepCurrent.Data.LevelChecks;

/// <summary>What is put to a reader at once in a part: words, a maze passage, a passage with its questions; each chosen
/// for what is known by then.</summary>
internal sealed class StageStore(PassagePool pool)
{
    /// <summary>Puts the next stage of a part to the reader, if there is one.</summary>
    public async Task<bool> GoesOn(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        Sitting s,
        PartRow part,
        SchoolId schoolId,
        Yardstick yardstick,
        DateTimeOffset now
    )
    {
        var stages = await Of(c, t, part.Id);
        var left = TimeSpan.FromSeconds(s.Limit - stages.Sum(x => x.Seconds));
        if (left <= TimeSpan.Zero)
            return false;
        if (
            part.Part is CheckPart.Maze
            || (part.Part is CheckPart.WordReading or CheckPart.WordMeaning && stages.Count >= CheckPlan.WordStages)
        )
            return false;
        var known = await Known(c, t, s, stages, yardstick, now);
        if (
            part.Part is CheckPart.Passages
            && s.Check.Plan.Form.Count == 0
            && PassageChoice.End(known.Estimate(now).Sd, stages.Count, left, s.Check.Plan.Limits) is not CheckEnd.GoesOn
        )
            return false;
        return await Serve(c, t, s, part, stages, known, schoolId, now);
    }

    /// <summary>Puts the first stage of a part to the reader.</summary>
    /// <returns>False where nothing is there that fits.</returns>
    public async Task<bool> Begin(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        Sitting s,
        PartRow part,
        SchoolId schoolId,
        Yardstick yardstick,
        DateTimeOffset now
    ) => await Serve(c, t, s, part, [], await Known(c, t, s, [], yardstick, now), schoolId, now);

    private async Task<bool> Serve(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        Sitting s,
        PartRow part,
        IReadOnlyList<Stage> stages,
        DepthDistribution known,
        SchoolId schoolId,
        DateTimeOffset now
    )
    {
        var position = stages.Count;
        var seen = stages.SelectMany(x => x.Items).Select(i => i.Key).ToHashSet();
        // The same reader in the same place has the same words; a further round has others.
        var seed = NamedId.Seed(s.Check.Id.Value, $"{s.ReaderId} {part.Part} {part.Round} {position}");
        async Task<IReadOnlyDictionary<string, double>> Shown() => await PassagePool.Shown(c, t, part.Part);
        var next = part.Part switch
        {
            CheckPart.WordReading => NewStage.OfWords(
                WordItems.Reading(known.Mean, seen, CheckPlan.WordsAStage, seed, await Shown())
            ),
            CheckPart.WordMeaning => NewStage.OfWords(
                WordItems.Meaning(
                    await PassagePool.Words(c, t, schoolId),
                    known.Mean,
                    seen,
                    CheckPlan.WordsAStage,
                    seed,
                    await Shown()
                )
            ),
            CheckPart.Maze => await PassagePool.MazeVersion(c, t, s.ReaderId, schoolId, new(known.Mean)) is { } version
                ? await PassagePool.MazeOf(c, t, version, schoolId)
                : null,
            _ => await Passage(c, t, s, part, known, position, schoolId),
        };
        if (next is not { Items.Count: > 0 })
            return false;
        await Put(c, t, part.Id, position, next, now);
        return true;
    }

    private static Task Put(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        CheckPartId partId,
        int position,
        NewStage next,
        DateTimeOffset now
    ) =>
        c.ExecuteAsync(
            """
            insert into stage (id, part_id, position, version_id, text_id, title, text_depth, pages, items, served_at)
            values (
              gen_random_uuid(), @partId, @position, @VersionId, @TextId, @Title, @TextDepth, @pages::jsonb,
              @items::jsonb, @now)
            on conflict (part_id, position) do nothing
            """,
            new
            {
                partId,
                position,
                next.VersionId,
                next.TextId,
                next.Title,
                next.TextDepth,
                pages = next.Pages is null ? null : Database.ToJson(next.Pages),
                items = Database.ToJson(next.Items),
                now,
            },
            t
        );

    private async Task<NewStage?> Passage(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        Sitting s,
        PartRow part,
        DepthDistribution known,
        int position,
        SchoolId schoolId
    )
    {
        var plan = s.Check.Plan;
        if (plan.Form.Count > 0)
            return position < plan.Form.Count ? await pool.Passage(c, t, plan.Form[position], part.Id) : null;
        var passages = await pool.Near(c, t, s.ReaderId, schoolId, new(known.Mean), plan.Limits);
        return PassageChoice.Next(known, passages, new HashSet<VersionId>(), plan.Limits) is { } best
            ? await pool.Passage(c, t, best.Id, part.Id)
            : null;
    }

    /// <summary>What is known of the reader in this part: what the check starts from, with what was answered.</summary>
    private static async Task<DepthDistribution> Known(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        Sitting s,
        IReadOnlyList<Stage> stages,
        Yardstick yardstick,
        DateTimeOffset now
    )
    {
        // Parts that are finished are evidence already, and in the reader's own level.
        var own = (await DepthKeeper.Trail(c, t, s.ReaderId, yardstick.Year, yardstick.Chart, now)).Now;
        var begin = CheckMeasure.Begin(s.Check.Plan, own.Mean, own.Sd);
        return CheckMeasure.After(begin, Answered(stages));
    }

    private static IEnumerable<CheckAnswer> Answered(IEnumerable<Stage> stages) =>
        stages.SelectMany(x =>
            x.Answers.Select(a => new CheckAnswer(
                x.Items[a.Item].Difficulty,
                x.Items[a.Item].Guess,
                a.Correct,
                a.TooFast
            ))
        );

    private sealed record StageFlat(
        StageId Id,
        int Position,
        string Title,
        Fathoms? TextDepth,
        string? Pages,
        string Items,
        double Seconds,
        DateTimeOffset ServedAt,
        DateTimeOffset? DoneAt
    );

    private sealed record AnswerFlat(
        StageId StageId,
        int Item,
        Array Picks,
        bool Correct,
        bool TooFast,
        AnswerId Id,
        DateTimeOffset At
    );

    /// <summary>The stages of a part so far, with their answers.</summary>
    public static async Task<IReadOnlyList<Stage>> Of(NpgsqlConnection c, NpgsqlTransaction t, CheckPartId partId)
    {
        await using var all = await c.QueryMultipleAsync(
            """
            select id, position, title, text_depth, pages::text as pages, items::text as items, seconds, served_at,
              done_at
            from stage
            where part_id = @partId
            order by position
            limit 20;
            select a.stage_id, a.item, a.picks, a.correct, a.too_fast, a.id, a.at
            from check_answer a join stage s on s.id = a.stage_id
            where s.part_id = @partId
            order by a.at, a.item
            limit 2000
            """,
            new { partId },
            t
        );
        var stages = (await all.ReadAsync<StageFlat>()).ToList();
        var answers = (await all.ReadAsync<AnswerFlat>()).ToLookup(a => a.StageId);
        return
        [
            .. stages.Select(s => new Stage(
                s.Id,
                s.Position,
                s.Title,
                s.TextDepth,
                s.Pages is null ? [] : Database.FromJson<List<List<string>>>(s.Pages),
                Database.FromJson<List<CheckItem>>(s.Items),
                [
                    .. answers[s.Id]
                        .Select(a => new StageAnswer(a.Id, a.Item, (int[])a.Picks, a.Correct, a.TooFast, a.At)),
                ],
                s.Seconds,
                s.ServedAt,
                s.DoneAt is not null
            )),
        ];
    }
}
