using System.Text.Json.Serialization;
using Dapper;
using DeepCurrent.Core.Assignments;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Readings;
using DeepCurrent.Core.Tickets;
using DeepCurrent.Data.Assignments;
using DeepCurrent.Data.Corrections;
using DeepCurrent.Data.Tickets;
using Npgsql;

namespace DeepCurrent.Data.Reports;

/// <summary>One line of who read what, when.</summary>
public sealed record LogRow
{
    public required ReaderId ReaderId { get; init; }

    /// <summary>When it was handed in, or last open.</summary>
    public required DateTimeOffset At { get; init; }

    /// <summary>Null, as what a ticket has, for what was read elsewhere.</summary>
    public required TicketId? TicketId { get; init; }

    public required OwnReadingId? OwnReadingId { get; init; }

    /// <summary>Null where it was no text of the library.</summary>
    public required TextId? TextId { get; init; }

    public required TaskKind? Kind { get; init; }

    public required string Title { get; init; }

    public required string Version { get; init; }

    public required Fathoms? Depth { get; init; }

    /// <summary>Active time, or what the reader says.</summary>
    public required double Seconds { get; init; }

    /// <summary>A full reading; what was read elsewhere is told by its reader, and is none.</summary>
    public required bool Full { get; init; }

    /// <summary>Of a full reading.</summary>
    public required int Words { get; init; }

    public required int KeptWords { get; init; }

    public required Probability? Score { get; init; }

    /// <summary>How each question that was answered went, in the quiz's order, with blanks between.</summary>
    [JsonIgnore]
    public string Marked { get; init; } = "";

    public required RecordId? RecordId { get; init; }

    /// <summary>Of its recording; null where there is none.</summary>
    public required double? SoundSeconds { get; init; }

    /// <summary>The same one by one.</summary>
    [JsonIgnore]
    public IReadOnlyList<AttemptMark> Marks =>
        [.. Marked.Split(' ', StringSplitOptions.RemoveEmptyEntries).Select(Enum.Parse<AttemptMark>)];
}

/// <summary>Who read what, when.</summary>
public sealed class LogStore(NpgsqlDataSource db)
{
    /// <summary>The most that are shown of one span.</summary>
    public const int Most = 2000;

    private static readonly string MarksSql = $"""
        select string_agg(
            case
              when m.first then '{nameof(AttemptMark.RightAtOnce)}'
              when m.ever then '{nameof(AttemptMark.AfterAnotherTry)}'
              else '{nameof(AttemptMark.NotYet)}' end, ' ' order by m.position)
        from (
          select q.position, bool_or(w.correct) filter (where w.round = 1 and w.attempt = 1) as first,
            bool_or(w.correct) as ever
          from answer w join question q on q.id = w.question_id
          where w.ticket_id = k.id and q.place is null and not q.retired
            and not exists ({CorrectionStore.TakenOut})
          group by q.id, q.position) m
        where m.first is not null
        """;

    private static readonly string TicketsSql = $"""
        select k.reader_id, {ReportStore.At} as at, k.id as ticket_id, null::uuid as own_reading_id, v.text_id, y.kind,
          {TaskSql.Title} as title, v.label as version, coalesce(k.version_depth, v.depth) as depth,
          k.active_seconds as seconds, k.full_reading as full,
          case when k.full_reading then v.words else 0 end as words,
          (select count(*)::int from kept_word w where w.ticket_id = k.id and w.removed_at is null) as kept_words,
          k.score, coalesce(({MarksSql}), '') as marked, d.id as record_id, d.sound_seconds
        {ReportStore.From}
          left join lateral (
            select id, sound_seconds
            from running_record
            where ticket_id = k.id and gone_at is null
            order by read_at desc
            limit 1) d on true
        {ReportStore.Within} and (k.opened_at is not null or k.handed_in_at is not null)
        order by at desc, k.id
        limit {Most};
        select id, reader_id, title, day, coalesce(minutes, 0) as minutes
        from own_reading
        where reader_id = any(@readerIds)
          and removed_at is null
          and day between @firstDay and @lastDay
          and @fiction::boolean is null
        order by day desc, id
        limit {Most}
        """;

    /// <summary>The latest first. What was read elsewhere stands at noon of its day, for nobody tells the hour.</summary>
    public async Task<IReadOnlyList<LogRow>> Of(ReportAsked asked)
    {
        await using var c = await db.OpenConnectionAsync();
        await using var all = await c.QueryMultipleAsync(TicketsSql, ReportStore.With(asked));
        var tickets = (await all.ReadAsync<LogRow>()).AsList();
        var own = await all.ReadAsync<OwnFlat>();
        return [.. tickets.Concat(own.Select(o => Elsewhere(o, asked))).OrderByDescending(r => r.At).Take(Most)];
    }

    private static LogRow Elsewhere(OwnFlat o, ReportAsked asked) =>
        new()
        {
            ReaderId = o.ReaderId,
            At = asked.Clock.Begin(o.Day).AddHours(12),
            TicketId = null,
            OwnReadingId = o.Id,
            TextId = null,
            Kind = null,
            Title = o.Title,
            Version = "",
            Depth = null,
            Seconds = o.Minutes * 60,
            Full = false,
            Words = 0,
            KeptWords = 0,
            Score = null,
            RecordId = null,
            SoundSeconds = null,
        };

    private sealed record OwnFlat(OwnReadingId Id, ReaderId ReaderId, string Title, DateOnly Day, int Minutes);
}
