using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Reports;
using DeepCurrent.Data.Storage;
using DeepCurrent.Data.Tickets;
using Npgsql;

namespace DeepCurrent.Data.Reports;

/// <summary>A reader who was enrolled at a school within a span.</summary>
/// <param name="ClassIds">The classes they were in then.</param>
public sealed record EnrolledReader(ReaderId Id, int Grade, ClassId[] ClassIds);

/// <summary>What some readers did in a span.</summary>
/// <param name="ByReader">Full readings and quizzes; those who did nothing are not there.</param>
/// <param name="Readings">Full readings by version.</param>
public sealed record SchoolWork(
    IReadOnlyDictionary<ReaderId, SchoolReading> ByReader,
    IReadOnlyDictionary<VersionId, int> Readings
);

/// <summary>What a school's readers read in a span, and how its library is used.</summary>
public sealed class SchoolReportStore(NpgsqlDataSource db)
{
    private const int Most = 50_000;

    public Task<IReadOnlyList<EnrolledReader>> Readers(SchoolId schoolId, DateOnly from, DateOnly to) =>
        db.All<EnrolledReader>(
            $"""
            select r.id, r.grade, array_agg(distinct c.id) as class_ids
            from reader r
              join enrolment e on e.reader_id = r.id
              join class c on c.id = e.class_id
            where r.school_id = @schoolId
              and c.school_id = @schoolId
              and e.from_day <= @to
              and (e.to_day is null or e.to_day > @from)
            group by r.id, r.grade
            limit {Most}
            """,
            new
            {
                schoolId,
                from,
                to,
            }
        );

    /// <summary>The names of a school's classes.</summary>
    public async Task<IReadOnlyDictionary<ClassId, string>> Classes(SchoolId schoolId) =>
        (
            await db.All<(ClassId Id, string Name)>(
                $"select id, name from class where school_id = @schoolId limit {Most}",
                new { schoolId }
            )
        ).ToDictionary(c => c.Id, c => c.Name);

    /// <summary>What readers of a school did in a span, gone through once for both.</summary>
    public async Task<SchoolWork> Read(ReportAsked asked)
    {
        var rows = await db.All<Flat>(
            $"""
            select k.reader_id, k.version_id, count(*) filter (where k.full_reading)::int as readings,
              coalesce(sum(v.words) filter (where k.full_reading), 0)::int as words,
              coalesce(sum(k.active_seconds) filter (where k.full_reading), 0) as seconds,
              avg(k.score) filter (where k.handed_in_at is not null) as first_try
            from ticket k join version v on v.id = k.version_id
            where k.reader_id = any(@readerIds)
              and k.state <> {TicketStates.TakenBack}
              and {ReportStore.At} >= @from
              and {ReportStore.At} < @until
            group by grouping sets ((k.reader_id), (k.version_id))
            limit {Most}
            """,
            new
            {
                readerIds = asked.ReaderIds.ToArray(),
                asked.From,
                asked.Until,
            }
        );
        return new(
            rows.Where(r => r.ReaderId is not null)
                .ToDictionary(
                    r => r.ReaderId!.Value,
                    r => new SchoolReading(r.Words, r.Seconds, r.FirstTry, null, null)
                ),
            rows.Where(r => r.VersionId is not null).ToDictionary(r => r.VersionId!.Value, r => r.Readings)
        );
    }

    private sealed record Flat(
        ReaderId? ReaderId,
        VersionId? VersionId,
        int Readings,
        int Words,
        double Seconds,
        Probability? FirstTry
    );

    /// <summary>Every version a school can give, and how often it was read in full.</summary>
    /// <param name="readings">By version.</param>
    public async Task<IReadOnlyList<VersionUse>> Library(
        SchoolId schoolId,
        IReadOnlyDictionary<VersionId, int> readings
    ) =>
        [
            .. (
                await db.All<(VersionId Id, Fathoms Depth)>(
                    $"""
                    select v.id, v.depth
                    from version v join text t on t.id = v.text_id
                    where (t.school_id is null or t.school_id = @schoolId) and t.retired_at is null and not v.retired
                    limit {Most}
                    """,
                    new { schoolId }
                )
            ).Select(v => new VersionUse(v.Depth, readings.GetValueOrDefault(v.Id))),
        ];
}
