using Dapper;
using DeepCurrent.Core.LevelChecks;
using DeepCurrent.Core.Measuring;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Tickets;
using DeepCurrent.Data.Measuring;
using DeepCurrent.Data.Roster;
using DeepCurrent.Data.Storage;
using Npgsql;

namespace DeepCurrent.Data.LevelChecks;

/// <summary>What is done in a part of a sitting: answers kept, parts passed over, finished and judged.</summary>
internal static class PartWriter
{
    private static readonly TimeSpan Lag = TimeSpan.FromSeconds(10);

    public static async Task Write(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        PartRow part,
        Stage stage,
        IReadOnlyList<SentAnswer> answers,
        double seconds,
        DateTimeOffset now
    )
    {
        var sentences = stage.Items.Any(i => i.Kind.PicksSentences()) ? Scoring.SentencesOf(stage.Pages).Count : 0;
        var kept = answers
            .Where(a => a.Item >= 0 && a.Item < stage.Items.Count && stage.Items[a.Item].Answers(a.Picks, sentences))
            .DistinctBy(a => a.Item)
            .DistinctBy(a => a.Id)
            .ToList();
        // In a maze passage a choice may be changed until the passage is done; elsewhere the first answer stays.
        var change =
            part.Part is CheckPart.Maze
                ? "do update set picks = excluded.picks, correct = excluded.correct, at = excluded.at"
                : "do nothing";
        await c.ExecuteAsync(
            $"""
            insert into check_answer (id, stage_id, item, picks, correct, too_fast, at, received_at, milliseconds)
            select @Id, @stageId, @Item, @picks, @correct, @tooFast, @at, @now, @ms
            where not exists (
              select 1 from check_answer x where x.id = @Id and (x.stage_id, x.item) <> (@stageId, @Item))
            on conflict (stage_id, item) {change}
            """,
            kept.Select(a => new
            {
                a.Id,
                stageId = stage.Id,
                a.Item,
                picks = a.Picks.ToArray(),
                correct = stage.Items[a.Item].IsRight(a.Picks),
                tooFast = Answering.TooFast(stage.Items[a.Item].Words, TimeSpan.FromMilliseconds(a.Milliseconds)),
                at = GivenTime.After(a.At, stage.LastContact),
                now,
                ms = Math.Clamp(a.Milliseconds, 0, 86_400_000),
            }),
            t
        );
        await Spend(c, t, part, stage, seconds, now);
    }

    /// <summary>How long a stage has taken, and with it its part.</summary>
    private static Task Spend(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        PartRow part,
        Stage stage,
        double seconds,
        DateTimeOffset now
    ) =>
        c.ExecuteAsync(
            """
            update stage
            set seconds = greatest(seconds, @seconds)
            where id = @Id;
            update sitting_part
            set seconds = (select sum(x.seconds) from stage x where x.part_id = @partId),
              answered = (
                select count(*) from check_answer a join stage x on x.id = a.stage_id where x.part_id = @partId)
            where id = @partId
            """,
            new
            {
                stage.Id,
                partId = part.Id,
                seconds = Math.Clamp(seconds, 0, Math.Max(0, (now - stage.ServedAt + Lag).TotalSeconds)),
            },
            t
        );

    /// <summary>Finishes a part: judges it, makes it evidence, and works the level out anew.</summary>
    public static async Task Finish(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        Sitting s,
        PartRow part,
        string note,
        Yardstick yardstick,
        DateTimeOffset now
    )
    {
        var given = await StageStore.Of(c, t, part.Id);
        var flag = await Judge(c, t, part, given, note, now);
        // Measured with and without the part at the same moment: what else has happened since the check was given is
        // not its doing.
        var own = await DepthKeeper.Without(c, t, s.ReaderId, part.Id, yardstick.Year, yardstick.Chart, now);
        await EvidenceWriter.Replace(
            c,
            t,
            s.ReaderId,
            part.Id,
            CheckEvidence.Of(s.Check, part, given, flag, own.Mean, now)
        );
        if (given.Any(x => x.Answers.Count > 0))
            await SetLevels.EndByCheck(c, t, s.ReaderId, part.FinishedAt ?? now, now);
        var after = await DepthKeeper.Recompute(c, t, s.ReaderId, yardstick.Year, yardstick.Chart, now);
        await c.ExecuteAsync(
            """
            update sitting_part set moved = @moved where id = @partId;
            update sitting set after_mean = @Mean, after_sd = @Sd, changed_at = @now where id = @Id
            """,
            new
            {
                s.Id,
                partId = part.Id,
                moved = after.Mean - own.Mean,
                after.Mean,
                after.Sd,
                now,
            },
            t
        );
    }

    /// <summary>Counts a part, and says whether what was done stands for what the reader can do.</summary>
    private static async Task<PartFlag> Judge(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        PartRow part,
        IReadOnlyList<Stage> given,
        string note,
        DateTimeOffset now
    )
    {
        var answers = given.SelectMany(x => x.Answers).Select(a => new PartAnswer(a.Correct, a.TooFast)).ToList();
        var asked = part.Part is CheckPart.Maze ? answers.Count : given.Sum(x => x.Items.Count);
        var flag = note == PartRules.NothingFits ? PartFlag.Fine : PartRules.Judge(asked, answers);
        var seconds = given.Sum(x => x.Seconds);
        var right = answers.Count(a => a.Correct);
        double? score =
            part.Part is CheckPart.Maze && seconds > 0
                ? Maze.Score(right, answers.Count - right, TimeSpan.FromSeconds(Math.Max(1, seconds)))
                : null;
        await c.ExecuteAsync(
            $"""
            update stage set done_at = coalesce(done_at, @now) where part_id = @Id;
            update sitting_part
            set state = '{nameof(PartState.Done)}', flag = @flag, note = @note,
              answered = @answered, asked = @asked, correct = @right,
              too_fast = @tooFast, seconds = @seconds, score = @score, finished_at = coalesce(finished_at, @now)
            where id = @Id
            """,
            new
            {
                part.Id,
                flag = flag.ToString(),
                note,
                answered = answers.Count,
                asked,
                right,
                tooFast = answers.Count(a => a.TooFast),
                seconds,
                score,
                now,
            },
            t
        );
        return flag;
    }

    /// <summary>Passes over parts that this reader is spared.</summary>
    public static async Task Spare(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        Sitting s,
        Yardstick yardstick,
        DateTimeOffset now
    )
    {
        var depth = (await DepthKeeper.Trail(c, t, s.ReaderId, yardstick.Year, yardstick.Chart, now)).Now.Mean.Value;
        var mastered = await Mastered(c, t, s);
        var words = s
            .Parts.LastOrDefault(p => p is { Part: CheckPart.WordReading, State: PartState.Done, Flag: PartFlag.Fine })
            ?.ShareRight;
        foreach (var part in s.Parts.Where(p => p.State is PartState.Waiting && p.Round == 1).OrderBy(p => p.Position))
        {
            if (
                s.Check.Plan.Of(part.Part) is not { } plan
                || PartRules.Spared(plan, new(depth, mastered.Contains(part.Part), words)) is not { } why
            )
                break;
            await c.ExecuteAsync(
                $"""
                update sitting_part
                set state = '{nameof(PartState.Skipped)}', note = @why, finished_at = @now
                where id = @Id
                """,
                new
                {
                    part.Id,
                    why,
                    now,
                },
                t
            );
        }
    }

    /// <summary>Parts mastered in another check of the school year.</summary>
    private static async Task<HashSet<CheckPart>> Mastered(NpgsqlConnection c, NpgsqlTransaction t, Sitting s)
    {
        return (
            await c.QueryAsync<PartRow>(
                $"""
                select p.id, p.sitting_id, p.part, p.round, p.position, p.state, p.note, p.flag, p.answered, p.asked,
                  p.correct, p.too_fast, p.seconds, p.score, p.started_at, p.finished_at, p.moved
                from sitting_part p join sitting n on n.id = p.sitting_id join level_check k on k.id = n.check_id
                where n.reader_id = @ReaderId
                  and n.id <> @Id
                  and k.school_year_id = @SchoolYearId
                  and p.state = '{nameof(PartState.Done)}'
                limit 500
                """,
                new
                {
                    s.ReaderId,
                    s.Id,
                    s.Check.SchoolYearId,
                },
                t
            )
        ).Where(p => PartRules.Mastered(p.Flag, p.ShareRight)).Select(p => p.Part).ToHashSet();
    }
}
