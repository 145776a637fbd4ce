using Dapper;
using DeepCurrent.Core.Measuring;
using Npgsql;

namespace DeepCurrent.Data.Texts;

/// <summary>How deep readers' answers show the texts to be, beside what the formulas say.</summary>
public sealed class AnsweredDepths(NpgsqlDataSource db, TextStore texts)
{
    private const int FewestReaders = 5;
    private const long OneAtATime = 7_004;

    /// <summary>Works every version out anew that enough readers have answered on. Only one instance does it at a time.</summary>
    /// <returns>How many versions have a depth from answers now.</returns>
    public async Task<int> Recompute()
    {
        await using var c = await db.OpenConnectionAsync();
        await using var t = await c.BeginTransactionAsync();
        if (!await c.QuerySingleAsync<bool>("select pg_try_advisory_xact_lock(@OneAtATime)", new { OneAtATime }, t)) return 0;
        // What a reader knew of the questions before is in the depth before the text, so an answer is never its own evidence.
        var rows = (await c.QueryAsync<Row>("""
            select k.version_id, k.id as ticket_id, k.before_mean as mean, k.before_sd as sd, e.difficulty - k.version_depth as offset_fm, e.guess, e.correct, v.formula_depth, v.formula_error, v.text_id
            from ticket k join version v on v.id = k.version_id join evidence e on e.ticket_id = k.id
            where k.before_mean is not null and k.version_depth is not null and k.state <> 'withdrawn' and e.kind = 'answer' and e.left_out is null and not v.retired
            order by k.version_id, k.id
            limit 5000000
            """, transaction: t, commandTimeout: 300)).ToList();
        var found = rows.GroupBy(r => r.VersionId).Select(g => (First: g.First(), Readings: g.GroupBy(r => r.TicketId).Select(k => new TextReading(k.First().Mean, k.First().Sd, [.. k.Select(a => new TextAnswer(a.OffsetFm, a.Guess, a.Correct))])).ToList()))
            .Where(v => v.Readings.Count >= FewestReaders).Select(v => (v.First, Estimate: TextEstimator.Estimate(new(v.First.FormulaDepth), v.First.FormulaError, v.Readings))).ToList();
        var common = TextEstimator.CommonShift([.. found.Select(v => (v.Estimate.Mean - v.First.FormulaDepth, v.Estimate.Weight))]);
        await c.ExecuteAsync("""
            update version set shown_depth = @shown, shown_error = @Sd, shown_answers = @Answers, shown_readers = @Readers, shown_weight = @Weight, shown_alone = @alone,
              depth = coalesce(stated_depth, @shown), depth_error = case when stated_depth is null then @Sd else depth_error end
            where id = @id
            """, found.Select(v => new { id = v.First.VersionId, shown = v.Estimate.Mean - common * v.Estimate.Weight, v.Estimate.Sd, v.Estimate.Answers, v.Estimate.Readers, v.Estimate.Weight, alone = v.Estimate.AnswersAlone is { } a ? a - common : (double?)null }), t);
        var moved = found.Select(v => v.First.TextId).Distinct().ToArray();
        await c.ExecuteAsync("select pg_notify('text', id::text) from unnest(@moved) id", new { moved }, t);
        await t.CommitAsync();
        foreach (var text in moved) texts.Forget(text);
        return found.Count;
    }

    private sealed record Row(Guid VersionId, Guid TicketId, double Mean, double Sd, double OffsetFm, double Guess, bool Correct, double FormulaDepth, double FormulaError, Guid TextId);
}
