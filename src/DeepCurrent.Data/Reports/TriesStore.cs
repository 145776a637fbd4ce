using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Tickets;
using DeepCurrent.Data.Storage;
using Npgsql;

namespace DeepCurrent.Data.Reports;

/// <summary>Which first tries of a report are meant; null for all of them.</summary>
public sealed record TriesAsked(Strand? Strand, QuestionId? QuestionId);

/// <summary>How one reader's one question went.</summary>
public sealed record TryLine
{
    public required ReaderId ReaderId { get; init; }

    public required TicketId TicketId { get; init; }

    public required DateTimeOffset At { get; init; }

    public required QuestionId QuestionId { get; init; }

    public required TextId TextId { get; init; }

    public required string Title { get; init; }

    public required string Stem { get; init; }

    public required Strand Strand { get; init; }

    public required AttemptMark Mark { get; init; }
}

/// <summary>What was read and answered on one day at the school.</summary>
/// <param name="Words">Of full readings, as the seconds.</param>
/// <param name="AtOnce">First tries that were right.</param>
/// <param name="Asked">First tries.</param>
public sealed record DayRead(DateOnly Day, int Readings, int Words, double Seconds, int AtOnce, int Asked);

/// <summary>First tries one by one, and what was read day by day.</summary>
public sealed class TriesStore(NpgsqlDataSource db)
{
    /// <summary>The most that are shown of one span.</summary>
    public const int Most = 2000;

    /// <summary>The latest first.</summary>
    public Task<IReadOnlyList<TryLine>> Of(ReportAsked asked, TriesAsked which) =>
        db.All<TryLine>(
            $"""
            select x.reader_id, x.ticket_id, x.at, x.id as question_id, x.text_id, t.title, x.stem, x.strand,
              case
                when x.first then '{nameof(AttemptMark.RightAtOnce)}'
                when x.later then '{nameof(AttemptMark.AfterAnotherTry)}'
                else '{nameof(AttemptMark.NotYet)}' end as mark
            from ({ReportStore.Firsts}) x join text t on t.id = x.text_id
            where (@strand::text is null or x.strand = @strand)
              and (@questionId::uuid is null or x.id = @questionId)
            order by x.at desc, x.reader_id, x.id
            limit {Most}
            """,
            new
            {
                readerIds = asked.ReaderIds.ToArray(),
                asked.From,
                asked.Until,
                asked.Fiction,
                strand = which.Strand?.ToString(),
                which.QuestionId,
            }
        );

    /// <summary>Days on which something was read or answered, in order.</summary>
    public async Task<IReadOnlyList<DayRead>> ByDay(ReportAsked asked)
    {
        var days = asked.LastDay.DayNumber - asked.FirstDay.DayNumber + 1;
        var rows = await db.All<Flat>(
            $"""
            select coalesce(r.nth, a.nth) as nth, coalesce(r.readings, 0) as readings, coalesce(r.words, 0) as words,
              coalesce(r.seconds, 0) as seconds, coalesce(a.at_once, 0) as at_once, coalesce(a.asked, 0) as asked
            from (
                select width_bucket({ReportStore.At}, @begins) as nth, count(*)::int as readings,
                  sum(v.words)::int as words, sum(k.active_seconds) as seconds
                {ReportStore.Those} and k.full_reading
                group by 1) r
              full join (
                select width_bucket(x.at, @begins) as nth, count(*) filter (where x.first)::int as at_once,
                  count(*)::int as asked
                from ({ReportStore.Firsts}) x
                group by 1) a on a.nth = r.nth
            order by 1
            """,
            new
            {
                readerIds = asked.ReaderIds.ToArray(),
                asked.From,
                asked.Until,
                asked.Fiction,
                begins = Enumerable.Range(0, days).Select(n => asked.Clock.Begin(asked.FirstDay.AddDays(n))).ToArray(),
            }
        );
        return
        [
            .. rows.Select(r => new DayRead(
                asked.FirstDay.AddDays(r.Nth - 1),
                r.Readings,
                r.Words,
                r.Seconds,
                r.AtOnce,
                r.Asked
            )),
        ];
    }

    /// <param name="Nth">Of the span's days, from 1.</param>
    private sealed record Flat(int Nth, int Readings, int Words, double Seconds, int AtOnce, int Asked);
}
