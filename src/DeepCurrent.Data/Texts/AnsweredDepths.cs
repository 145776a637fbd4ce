using Dapper;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.LevelChecks;
using DeepCurrent.Core.Measuring;
using DeepCurrent.Core.Questions;
using DeepCurrent.Data.Measuring;
using DeepCurrent.Data.Tickets;
using Npgsql;

namespace DeepCurrent.Data.Texts;

/// <summary>How deep readers' answers show the texts to be, beside what the formulas say; and how hard the questions
/// and the words.</summary>
public sealed class AnsweredDepths(NpgsqlDataSource db, TextStore texts)
{
    private const int FewestReaders = 5;
    private const long OneAtATime = 7_004;

    private const string ShownSql = """
        update version
        set shown_depth = @shown, shown_error = @Sd, shown_answers = @Answers, shown_readers = @Readers,
          shown_weight = @Weight, shown_alone = @alone,
          depth = coalesce(stated_depth, @shown),
          depth_error = case when stated_depth is null then @Sd else depth_error end
        where id = @id
        """;

    private static readonly string ReadingsSql = $"""
        select k.version_id, k.id as ticket_id, k.before_mean as mean, k.before_sd as sd,
          e.difficulty - k.version_depth as offset_fm, e.guess, e.correct, v.formula_depth, v.formula_error,
          v.text_id
        from ticket k join version v on v.id = k.version_id join evidence e on e.ticket_id = k.id
        where k.before_mean is not null
          and k.version_depth is not null
          and k.state <> {TicketStates.TakenBack}
          and e.kind = {EvidenceKinds.Answer}
          and e.left_out is null
          and not v.retired
        union all
        select s.version_id, s.id, n.before_mean, n.before_sd, e.difficulty - s.text_depth, e.guess, e.correct,
          v.formula_depth, v.formula_error, v.text_id
        from evidence e
          join check_answer a on a.id = e.id
          join stage s on s.id = a.stage_id
          join sitting_part p on p.id = s.part_id
          join sitting n on n.id = p.sitting_id
          join version v on v.id = s.version_id
        where p.part = '{nameof(CheckPart.Passages)}'
          and e.kind = {EvidenceKinds.Answer}
          and e.left_out is null
          and not v.retired
        order by 1, 2
        limit 5000000
        """;

    /// <summary>Works every version out anew that enough readers have answered on. Only one instance does it at a
    /// time.</summary>
    /// <returns>How many versions have a depth from answers now.</returns>
    public async Task<int> Recompute()
    {
        await using var c = await db.OpenConnectionAsync();
        await using var t = await c.BeginTransactionAsync();
        if (!await c.QuerySingleAsync<bool>("select pg_try_advisory_xact_lock(@OneAtATime)", new { OneAtATime }, t))
            return 0;
        // What a reader knew of the questions before is in the depth before the text, so an answer is never its own
        // evidence.
        var rows = (await c.QueryAsync<Row>(ReadingsSql, transaction: t, commandTimeout: 300)).ToList();
        var found = rows.GroupBy(r => r.VersionId)
            .Select(g => (First: g.First(), Readings: ReadingsOf(g)))
            .Where(v => v.Readings.Count >= FewestReaders)
            .Select(v =>
                (v.First, Estimate: TextEstimator.Estimate(v.First.FormulaDepth, v.First.FormulaError, v.Readings))
            )
            .ToList();
        var common = TextEstimator.CommonShift([
            .. found.Select(v => (v.Estimate.Mean - v.First.FormulaDepth.Value, v.Estimate.Weight)),
        ]);
        await c.ExecuteAsync(
            ShownSql,
            found.Select(v => new
            {
                id = v.First.VersionId,
                shown = v.Estimate.Mean - common * v.Estimate.Weight,
                v.Estimate.Sd,
                v.Estimate.Answers,
                v.Estimate.Readers,
                v.Estimate.Weight,
                alone = v.Estimate.AnswersAlone is { } a ? a - common : (double?)null,
            }),
            t
        );
        var asked = await Questions(c, t);
        await Words(c, t);
        var moved = found.Select(v => v.First.TextId).Concat(asked).Distinct().ToArray();
        await c.ExecuteAsync("select pg_notify('text', id::text) from unnest(@moved) id", new { moved }, t);
        await t.CommitAsync();
        foreach (var text in moved)
            texts.Forget(text);
        return found.Count;
    }

    private static List<TextReading> ReadingsOf(IEnumerable<Row> version) =>
        [
            .. version
                .GroupBy(r => r.TicketId)
                .Select(k => new TextReading(
                    k.First().Mean.Value,
                    k.First().Sd,
                    [.. k.Select(a => new TextAnswer(a.OffsetFm, a.Guess, a.Correct))]
                )),
        ];

    private static readonly string QuestionsSql = $"""
        with answered as (
          select w.question_id, k.before_mean as mean, k.before_sd as sd, k.version_depth as depth, e.guess,
            e.correct
          from evidence e join answer w on w.id = e.id join ticket k on k.id = w.ticket_id
          where e.kind = {EvidenceKinds.Answer}
            and e.left_out is null
            and k.before_mean is not null
            and k.version_depth is not null
            and k.state <> {TicketStates.TakenBack}
          union all
          select (s.items -> a.item ->> 'key')::uuid, n.before_mean, n.before_sd, s.text_depth, e.guess,
            e.correct
          from evidence e
            join check_answer a on a.id = e.id
            join stage s on s.id = a.stage_id
            join sitting_part p on p.id = s.part_id
            join sitting n on n.id = p.sitting_id
          where p.part = '{nameof(CheckPart.Passages)}' and e.kind = {EvidenceKinds.Answer} and e.left_out is null
        ), counted as (select *, count(*) over (partition by question_id) as answers
        from answered
        where guess < 0.8)
        select q.id as question_id, q.text_id, q.strand, q.harder, d.mean, d.sd, d.depth, d.guess, d.correct
        from counted d join question q on q.id = d.question_id
        where not q.retired and d.answers >= {QuestionEstimator.FewestAnswers}
        order by q.text_id, q.id
        limit 5000000
        """;

    /// <summary>Works out anew how hard every question is that enough readers have answered.</summary>
    /// <returns>The texts whose questions have moved.</returns>
    private static async Task<IReadOnlyList<TextId>> Questions(NpgsqlConnection c, NpgsqlTransaction t)
    {
        // What a question was thought to be is worked out without what answers have shown before: or it would be
        // counted twice.
        var answers = (await c.QueryAsync<Answered>(QuestionsSql, transaction: t, commandTimeout: 300)).ToList();
        var shifts = answers.GroupBy(a => a.TextId).SelectMany(Shifts).ToList();
        await c.ExecuteAsync(
            """
            update question set shown_harder = @Harder, shown_harder_sd = @Sd, shown_answers = @Answers where id = @id
            """,
            shifts.Select(s => new
            {
                id = s.First,
                s.Second.Harder,
                s.Second.Sd,
                s.Second.Answers,
            }),
            t
        );
        return [.. answers.Select(a => a.TextId).Distinct()];
    }

    /// <summary>How much harder each question of a text is than was thought, without what they share.</summary>
    private static IEnumerable<(QuestionId First, QuestionEstimate Second)> Shifts(IEnumerable<Answered> text)
    {
        var questions = text.GroupBy(a => a.QuestionId)
            .Select(q =>
                (
                    Id: q.Key,
                    Found: QuestionEstimator.Estimate([
                        .. q.Select(a => new QuestionAnswer(
                            a.Mean.Value,
                            a.Sd,
                            QuestionDifficulty.Default(a.Depth, a.Guess, a.Strand, a.Harder).Value,
                            a.Guess,
                            a.Correct
                        )),
                    ])!
                )
            )
            .ToList();
        return questions.Select(q => q.Id).Zip(QuestionEstimator.WithoutCommon([.. questions.Select(q => q.Found)]));
    }

    private static readonly string WordsSql = $"""
        with answered as (
          select p.part, s.items -> a.item ->> 'key' as word, n.before_mean as mean, n.before_sd as sd,
            (s.items -> a.item ->> 'guess')::double precision as guess, a.correct
          from check_answer a
            join stage s on s.id = a.stage_id
            join sitting_part p on p.id = s.part_id
            join sitting n on n.id = p.sitting_id
          where p.part in ('{nameof(CheckPart.WordReading)}', '{nameof(CheckPart.WordMeaning)}')
            and p.state = '{nameof(PartState.Done)}'
            and p.flag = '{nameof(PartFlag.Fine)}'
            and not a.too_fast
            and n.taken_back_at is null
            and not exists (
              select 1
              from evidence e
              where e.part_id = p.id
                and (p.part = '{nameof(CheckPart.WordReading)}' or e.id = a.id)
                and e.left_out is not null)
        ), counted as (select *, count(*) over (partition by part, word) as answers from answered)
        select part, word, mean, sd, guess, correct
        from counted
        where answers >= {QuestionEstimator.FewestAnswers}
        order by part, word
        limit 5000000
        """;

    /// <summary>Works out anew how hard every word of level checks is that enough readers have answered.</summary>
    private static async Task Words(NpgsqlConnection c, NpgsqlTransaction t)
    {
        var answers = (await c.QueryAsync<WordAnswer>(WordsSql, transaction: t, commandTimeout: 300)).ToList();
        foreach (var part in answers.GroupBy(a => a.Part))
        {
            var kind = Enum.Parse<CheckPart>(part.Key);
            var words = part.GroupBy(a => a.Word).Select(w => (Word: w.Key, Found: Found(kind, w))).ToList();
            await c.ExecuteAsync(
                """
                insert into word_depth (part, word, harder, sd, answers)
                values (@part, @word, @Harder, @Sd, @Answers)
                on conflict (part, word) do update
                set harder = excluded.harder, sd = excluded.sd, answers = excluded.answers
                """,
                words
                    .Zip(QuestionEstimator.WithoutCommon([.. words.Select(w => w.Found)]))
                    .Select(w => new
                    {
                        part = part.Key,
                        word = w.First.Word,
                        w.Second.Harder,
                        w.Second.Sd,
                        w.Second.Answers,
                    }),
                t
            );
        }
    }

    private static QuestionEstimate Found(CheckPart kind, IEnumerable<WordAnswer> answers)
    {
        // Reading words and understanding texts are two skills: what is known of the one says less of the other.
        var apart = kind is CheckPart.WordReading ? PartRules.OtherSkillSd : 0;
        return QuestionEstimator.Estimate(
            [
                .. answers.Select(a => new QuestionAnswer(
                    a.Mean.Value,
                    Math.Sqrt(a.Sd * a.Sd + apart * apart),
                    WordItems.Thought(kind, a.Word),
                    a.Guess,
                    a.Correct
                )),
            ],
            WordItems.LineSd
        )!;
    }

    private sealed record WordAnswer(string Part, string Word, Fathoms Mean, double Sd, double Guess, bool Correct);

    private sealed record Answered(
        QuestionId QuestionId,
        TextId TextId,
        Strand Strand,
        double Harder,
        Fathoms Mean,
        double Sd,
        Fathoms Depth,
        double Guess,
        bool Correct
    );

    private sealed record Row(
        VersionId VersionId,
        TicketId TicketId,
        Fathoms Mean,
        double Sd,
        double OffsetFm,
        double Guess,
        bool Correct,
        Fathoms FormulaDepth,
        double FormulaError,
        TextId TextId
    );
}
