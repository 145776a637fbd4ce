using Dapper;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Reports;
using DeepCurrent.Core.Schools;
using DeepCurrent.Data.Corrections;
using DeepCurrent.Data.Storage;
using DeepCurrent.Data.Tickets;
using Npgsql;

namespace DeepCurrent.Data.Reports;

/// <summary>Whose reading, and when.</summary>
/// <param name="ReaderIds">The readers that are looked at.</param>
/// <param name="From">The first instant that counts.</param>
/// <param name="Until">The first that does not.</param>
/// <param name="Clock">The school's own.</param>
/// <param name="Fiction">Stories alone, or facts alone; null for both.</param>
public sealed record ReportAsked(
    IReadOnlyCollection<ReaderId> ReaderIds,
    DateTimeOffset From,
    DateTimeOffset Until,
    DateOnly FirstDay,
    DateOnly LastDay,
    SchoolClock Clock,
    bool? Fiction
);

/// <summary>A text that was read in full.</summary>
public sealed record ReadDepth(ReaderId ReaderId, Fathoms Depth);

/// <summary>A level on a day.</summary>
public sealed record LevelOn(ReaderId ReaderId, Fathoms Mean, double Sd);

/// <summary>A question over all assignments of a span, at the first try.</summary>
public sealed record MissedQuestion
{
    public required QuestionId QuestionId { get; init; }

    public required TextId TextId { get; init; }

    public required string Title { get; init; }

    public required string Stem { get; init; }

    public required Strand Strand { get; init; }

    public required QuestionKind Kind { get; init; }

    public required int Asked { get; init; }

    public required int AtOnce { get; init; }

    public required int Later { get; init; }

    public required ReaderId[] MissedBy { get; init; }

    public required DateTimeOffset Last { get; init; }
}

/// <summary>A text over a span.</summary>
public sealed record TextRead
{
    public required TextId TextId { get; init; }

    public required string Title { get; init; }

    public required bool Fiction { get; init; }

    public required Fathoms Shallowest { get; init; }

    public required Fathoms Deepest { get; init; }

    public required int Readers { get; init; }

    public required int Readings { get; init; }

    public required int Openings { get; init; }

    public required int Words { get; init; }

    public required double Seconds { get; init; }

    public required Probability? Score { get; init; }

    public required Probability? Forecast { get; init; }

    public required DateTimeOffset Last { get; init; }
}

/// <summary>What readers read and answered in a span.</summary>
public sealed class ReportStore(NpgsqlDataSource db)
{
    private const int Most = 100_000;

    /// <summary>When a text counts as read: as it was handed in, or where it was not, as it was last open.</summary>
    internal const string At = "coalesce(k.handed_in_at, k.changed_at)";

    internal const string From = """
        from ticket k
          join task y on y.id = k.task_id
          join version v on v.id = k.version_id
          join text t on t.id = v.text_id
        """;

    internal static readonly string Within = $"""
        where k.reader_id = any(@readerIds)
          and k.state <> {TicketStates.TakenBack}
          and {At} >= @from
          and {At} < @until
          and (@fiction::boolean is null or t.fiction = @fiction)
        """;

    /// <summary>Tickets of the readers within the span, with the version that was read.</summary>
    internal static readonly string Those = $"""
        {From}
        {Within}
        """;

    /// <summary>Each question that a reader answered in a quiz handed in within the span: whether it was right at once,
    /// or at a later try. Tries that were too fast are none. Right answers at later tries are few and have an index of
    /// their own.</summary>
    internal static readonly string Firsts = $"""
        select k.reader_id, k.id as ticket_id, k.handed_in_at as at, q.id, q.text_id, q.stem, q.strand, q.kind,
          w.correct as first,
          not w.correct
            and exists (
              select 1
              from answer a
              where a.ticket_id = k.id
                and a.question_id = q.id
                and a.correct
                and not a.too_fast
                and (a.round > 1 or a.attempt > 1)) as later
        from ticket k
          join answer w on w.ticket_id = k.id and w.round = 1 and w.attempt = 1
          join question q on q.id = w.question_id
        where k.reader_id = any(@readerIds)
          and k.state <> {TicketStates.TakenBack}
          and k.handed_in_at >= @from
          and k.handed_in_at < @until
          and (
            @fiction::boolean is null
            or exists (select 1 from text t where t.id = q.text_id and t.fiction = @fiction))
          and q.place is null
          and not q.retired
          and (k.class_id, q.id) not in ({CorrectionStore.AllTakenOut})
          and w.correct is not null
          and not w.too_fast
        """;

    private static readonly string SumsSql = $"""
        select k.reader_id, count(*) filter (where k.full_reading)::int as readings,
          count(*) filter (where k.opened_at is not null and not k.full_reading)::int as openings,
          coalesce(sum(v.words) filter (where k.full_reading), 0)::int as words,
          coalesce(sum(k.active_seconds) filter (where k.full_reading), 0) as seconds,
          count(*) filter (where k.score is not null and k.handed_in_at is not null)::int as quizzes
        {Those}
        group by k.reader_id
        limit {Most};
        select x.reader_id, x.strand, count(*) filter (where x.first)::int as at_once,
          count(*) filter (where x.later)::int as later, count(*)::int as asked
        from ({Firsts}) x
        group by x.reader_id, x.strand
        limit {Most};
        select reader_id, count(*)::int as times, coalesce(sum(minutes), 0)::int as minutes
        from own_reading
        where reader_id = any(@readerIds)
          and removed_at is null
          and day between @firstDay and @lastDay
          and @fiction::boolean is null
        group by reader_id
        limit {Most}
        """;

    /// <summary>Sums by reader; those who did nothing are not there.</summary>
    public async Task<IReadOnlyDictionary<ReaderId, ReportSums>> Sums(ReportAsked asked)
    {
        await using var c = await db.OpenConnectionAsync();
        await using var all = await c.QueryMultipleAsync(SumsSql, With(asked));
        var read = (await all.ReadAsync<ReadFlat>()).ToDictionary(r => r.ReaderId);
        var tries = (await all.ReadAsync<TriesFlat>()).ToLookup(t => t.ReaderId);
        var outside = (await all.ReadAsync<OutsideFlat>()).ToDictionary(o => o.ReaderId);
        return asked
            .ReaderIds.Where(id => read.ContainsKey(id) || tries.Contains(id) || outside.ContainsKey(id))
            .ToDictionary(id => id, id => Of(read.GetValueOrDefault(id), tries[id], outside.GetValueOrDefault(id)));
    }

    private static ReportSums Of(ReadFlat? read, IEnumerable<TriesFlat> tries, OutsideFlat? outside) =>
        new(
            read?.Readings ?? 0,
            read?.Openings ?? 0,
            read?.Words ?? 0,
            read?.Seconds ?? 0,
            read?.Quizzes ?? 0,
            outside?.Times ?? 0,
            outside?.Minutes ?? 0,
            [
                .. tries
                    .OrderBy(t => t.Strand)
                    .Select(t => new StrandTries(t.Strand, t.AtOnce, t.Later, t.Asked - t.AtOnce - t.Later)),
            ]
        );

    private sealed record ReadFlat(
        ReaderId ReaderId,
        int Readings,
        int Openings,
        int Words,
        double Seconds,
        int Quizzes
    );

    private sealed record TriesFlat(ReaderId ReaderId, Strand Strand, int AtOnce, int Later, int Asked);

    private sealed record OutsideFlat(ReaderId ReaderId, int Times, int Minutes);

    /// <summary>Depths of the texts that were read in full.</summary>
    public Task<IReadOnlyList<ReadDepth>> Depths(ReportAsked asked) =>
        db.All<ReadDepth>(
            $"""
            select k.reader_id, coalesce(k.version_depth, v.depth) as depth
            {Those} and k.full_reading
            order by k.reader_id, depth
            limit {Most}
            """,
            With(asked)
        );

    /// <summary>Levels as they were at the end of a day; whoever had none by then is not there.</summary>
    public Task<IReadOnlyList<LevelOn>> Levels(IReadOnlyCollection<ReaderId> readerIds, DateOnly day) =>
        db.All<LevelOn>(
            """
            select r.id as reader_id, d.mean, d.sd
            from unnest(@readerIds) r (id)
              join lateral (
                select mean, sd
                from depth_day
                where reader_id = r.id and day <= @day
                order by day desc
                limit 1) d on true
            """,
            new { readerIds = readerIds.ToArray(), day }
        );

    /// <summary>The same, each reader's on days of their own: a level for each pair that has one.</summary>
    public async Task<IReadOnlyDictionary<(ReaderId Reader, DateOnly Day), Fathoms>> Levels(
        IReadOnlyCollection<(ReaderId Reader, DateOnly Day)> asked
    ) =>
        (
            await db.All<(ReaderId Reader, DateOnly Day, Fathoms Mean)>(
                """
                select r.id, r.day, d.mean
                from unnest(@readers, @days) r (id, day)
                  join lateral (
                    select mean
                    from depth_day
                    where reader_id = r.id and day <= r.day
                    order by day desc
                    limit 1) d on true
                """,
                new { readers = asked.Select(a => a.Reader).ToArray(), days = asked.Select(a => a.Day).ToArray() }
            )
        ).ToDictionary(l => (l.Reader, l.Day), l => l.Mean);

    /// <summary>Questions at the first try, those missed by most first.</summary>
    public Task<IReadOnlyList<MissedQuestion>> Questions(ReportAsked asked) =>
        db.All<MissedQuestion>(
            $"""
            select x.id as question_id, x.text_id, t.title, x.stem, x.strand, x.kind, count(*)::int as asked,
              count(*) filter (where x.first)::int as at_once,
              count(*) filter (where x.later)::int as later,
              array(select unnest(array_agg(distinct x.reader_id) filter (where not x.first))) as missed_by, max(x.at) as last
            from ({Firsts}) x join text t on t.id = x.text_id
            group by x.id, x.text_id, t.title, x.stem, x.strand, x.kind
            order by count(*) filter (where not x.first) desc, avg(x.first::int), t.title, x.id
            limit 300
            """,
            With(asked)
        );

    /// <summary>Texts that were read, those read by most first.</summary>
    public Task<IReadOnlyList<TextRead>> Texts(ReportAsked asked) =>
        db.All<TextRead>(
            $"""
            select t.id as text_id, t.title, t.fiction, min(coalesce(k.version_depth, v.depth)) as shallowest,
              max(coalesce(k.version_depth, v.depth)) as deepest,
              count(distinct k.reader_id) filter (where k.full_reading)::int as readers,
              count(*) filter (where k.full_reading)::int as readings,
              count(*) filter (where k.opened_at is not null and not k.full_reading)::int as openings,
              coalesce(sum(v.words) filter (where k.full_reading), 0)::int as words,
              coalesce(sum(k.active_seconds) filter (where k.full_reading), 0) as seconds, avg(k.score) as score,
              avg(k.forecast) filter (where k.score is not null) as forecast, max({At}) as last
            {Those} and k.opened_at is not null
            group by t.id, t.title, t.fiction
            order by readings desc, t.title
            limit 1000
            """,
            With(asked)
        );

    internal static object With(ReportAsked asked) =>
        new
        {
            readerIds = asked.ReaderIds.ToArray(),
            asked.From,
            asked.Until,
            asked.FirstDay,
            asked.LastDay,
            asked.Fiction,
        };
}
