using Dapper;
using DeepCurrent.Core.Assignments;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Tickets;
using DeepCurrent.Data.Measuring;
using DeepCurrent.Data.Storage;
using DeepCurrent.Data.Tickets;
using Npgsql;

namespace DeepCurrent.Data.Assignments;

/// <summary>What readers were given before, and what they made of it.</summary>
public sealed class GivenStore(NpgsqlDataSource db)
{
    /// <summary>Texts that readers have or had, by reader.</summary>
    public async Task<ILookup<ReaderId, TextId>> HadBy(IReadOnlyCollection<ReaderId> readerIds) =>
        (
            await db.All<(ReaderId Reader, TextId Text)>(
                $"""
                select distinct k.reader_id, y.text_id
                from ticket k join task y on y.id = k.task_id
                where k.reader_id = any(@readerIds)
                  and y.text_id is not null
                  and k.state not in ({TicketStates.TakenBack}, {TicketStates.Closed})
                union
                select n.reader_id, s.text_id
                from stage s join sitting_part p on p.id = s.part_id join sitting n on n.id = p.sitting_id
                where n.reader_id = any(@readerIds) and s.text_id is not null
                limit 200000
                """,
                new { readerIds = readerIds.ToArray() }
            )
        ).ToLookup(x => x.Reader, x => x.Text);

    /// <summary>Which readers had which of some texts before, and how.</summary>
    public async Task<IReadOnlyDictionary<(TextId, ReaderId), EarlierReading>> Given(
        IReadOnlyCollection<TextId> textIds,
        IReadOnlyCollection<ReaderId> readerIds
    )
    {
        return (
            await db.All<(TextId Text, ReaderId Reader, string? State)>(
                $"""
                select distinct on (text_id, reader_id) text_id, reader_id, state
                from (
                  select y.text_id, k.reader_id, k.state, a.assigned_at as at
                  from ticket k
                    join assignment a on a.id = k.assignment_id
                    join task y on y.id = k.task_id
                  where y.text_id = any(@textIds)
                    and k.reader_id = any(@readerIds)
                    and k.state not in ({TicketStates.TakenBack}, {TicketStates.Closed})
                  union all
                  select s.text_id, n.reader_id, null, s.served_at
                  from stage s join sitting_part p on p.id = s.part_id join sitting n on n.id = p.sitting_id
                  where s.text_id = any(@textIds) and n.reader_id = any(@readerIds)
                ) had
                order by text_id, reader_id, at desc
                limit 40000
                """,
                new { textIds = textIds.ToArray(), readerIds = readerIds.ToArray() }
            )
        ).ToDictionary(
            x => (x.Text, x.Reader),
            x => x.State is null ? EarlierReading.InLevelCheck : EarlierReadings.Of(Enum.Parse<TicketState>(x.State))
        );
    }

    public async Task<IReadOnlyList<TextInUse>> InUse(ClassId classId, DateTimeOffset since)
    {
        return await db.All<TextInUse>(
            $"""
            select y.text_id, t.title, avg(v.depth) as depth, count(distinct k.reader_id)::int as readers
            from assignment a
              join ticket k on k.assignment_id = a.id
              join task y on y.id = k.task_id
              join text t on t.id = y.text_id
              join version v on v.id = k.version_id
            where k.class_id = @classId and a.assigned_at >= @since and k.state in ({TicketStates.Seen})
            group by y.text_id, t.title
            order by max(a.assigned_at) desc
            limit 14
            """,
            new { classId, since }
        );
    }

    /// <summary>Finished and open readings of one reader, latest first.</summary>
    public async Task<IReadOnlyList<HistoryRow>> History(ReaderId readerId)
    {
        await using var c = await db.OpenConnectionAsync();
        var tickets = (
            await c.QueryAsync<TicketRow>(
                $"""
                {AssignmentStore.TicketSql}
                where k.reader_id = @readerId and k.state <> {TicketStates.TakenBack}
                order by coalesce(k.handed_in_at, 'infinity') desc, k.changed_at desc
                limit 200
                """,
                new { readerId }
            )
        ).ToList();
        var heads = (
            await c.QueryAsync<(TicketId Id, string Title, DateTimeOffset AssignedAt, DateOnly? DueOn)>(
                $"""
                select k.id, {TaskSql.Title}, a.assigned_at, coalesce(k.due_on, a.due_on)
                from ticket k
                  join assignment a on a.id = k.assignment_id
                  join task y on y.id = k.task_id
                  left join text t on t.id = y.text_id
                where k.reader_id = @readerId
                limit 2000
                """,
                new { readerId }
            )
        ).ToDictionary(h => h.Id);
        return
        [
            .. tickets.Select(k => new HistoryRow(k, heads[k.Id].Title, heads[k.Id].AssignedAt, heads[k.Id].DueOn)),
        ];
    }

    /// <summary>Words of the version of each of a reader's tickets.</summary>
    public async Task<IReadOnlyDictionary<TicketId, int>> WordsOf(ReaderId readerId)
    {
        return (
            await db.All<(TicketId Id, int Words)>(
                """
                select k.id, v.words
                from ticket k join version v on v.id = k.version_id
                where k.reader_id = @readerId and k.full_reading
                limit 5000
                """,
                new { readerId }
            )
        ).ToDictionary(x => x.Id, x => x.Words);
    }

    /// <summary>First attempts of a reader by strand since a time: right and asked. Answers given too fast are left
    /// out.</summary>
    public async Task<IReadOnlyList<StrandCount>> Strands(ClassId classId, DateTimeOffset since)
    {
        return await db.All<StrandCount>(
            $"""
            select v.reader_id, v.strand, count(*) filter (where v.correct)::int as right, count(*)::int as asked
            from enrolment e
              join evidence v on v.reader_id = e.reader_id
            where e.class_id = @classId
              and e.to_day is null
              and v.kind = {EvidenceKinds.Answer}
              and v.left_out is null
              and v.strand is not null
              and v.at >= @since
            group by v.reader_id, v.strand
            limit 10000
            """,
            new { classId, since }
        );
    }

    /// <summary>Readings handed in by a class's readers since a time, oldest first.</summary>
    public async Task<IReadOnlyList<ClassReading>> Readings(ClassId classId, DateTimeOffset since)
    {
        return await db.All<ClassReading>(
            $"""
            select k.reader_id, t.title, k.handed_in_at as at, k.score, k.forecast,
                   case when k.full_reading then v.words else 0 end as words, k.active_seconds as seconds,
                   coalesce(k.version_depth, v.depth) as depth
            from enrolment e
              join ticket k on k.reader_id = e.reader_id
              join task y on y.id = k.task_id
              join version v on v.id = k.version_id
              join text t on t.id = v.text_id
            where e.class_id = @classId
              and e.to_day is null
              and k.state = {TicketStates.Released}
              and k.score is not null
              and k.handed_in_at >= @since
            order by k.handed_in_at
            limit 20000
            """,
            new { classId, since }
        );
    }
}
