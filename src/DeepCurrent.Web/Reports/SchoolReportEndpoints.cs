using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Reports;
using DeepCurrent.Core.Schools;
using DeepCurrent.Data.Reports;
using DeepCurrent.Data.Schools;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Reports;

/// <summary>What a school's report puts together.</summary>
public enum SchoolPart
{
    Grade,
    Class,
}

/// <summary>A grade or class over the span.</summary>
/// <param name="Grade">Null where it is a class.</param>
/// <param name="ClassName">Null where it is a grade.</param>
public sealed record SchoolGroupView(int? Grade, string? ClassName, SchoolFigures Figures);

/// <summary>A school over a span.</summary>
/// <param name="SchoolWeeks">Of the span, in fives of school days.</param>
/// <param name="All">Every reader once.</param>
public sealed record SchoolReportView(
    SpansView Spans,
    double SchoolWeeks,
    IReadOnlyList<SchoolGroupView> Groups,
    SchoolFigures All,
    IReadOnlyList<LibraryBand> Library
);

/// <summary>The whole school over days, weeks and terms, for who leads it: small groups are withheld.</summary>
public static class SchoolReportEndpoints
{
    public static void Map(RouteGroupBuilder api) => api.MapGet("/school/reports", Report);

    /// <param name="kind">What the days are; a term where nothing is said.</param>
    /// <param name="by">By grade where nothing is said.</param>
    private static async Task<SchoolReportView> Report(
        SpanKind? kind,
        DateOnly? from,
        DateOnly? to,
        SchoolPart? by,
        Desk desk,
        SchoolStore schools,
        SchoolReportStore store,
        ReportStore reports
    )
    {
        var school = await desk.Lead();
        var today = await desk.Today();
        var year = await schools.CurrentYear(school.Id, today)
            ?? throw Refused.Conflict("no-year", $"No school year yet. Add one under Years.");
        var days = ReportDays.Of(kind ?? SpanKind.Term, from, to, today, year);
        var readers = await store.Readers(school.Id, days.Span.From, days.Span.To);
        var room = new SchoolRoom(
            school,
            year.Calendar,
            await desk.Clock(),
            [.. readers.Select(r => r.Id)],
            store,
            reports
        );
        var (now, readings) = await room.Over(days.Span);
        var parts = await Parts(by ?? SchoolPart.Grade, school.Id, readers, store);
        var (groups, all) = SchoolReport.Of(
            [.. parts.Select(p => p.Readers)],
            now,
            days.Before is { } before ? (await room.Over(before)).Span : null
        );
        return new(
            days.View,
            now.SchoolWeeks,
            [.. parts.Zip(groups, (p, g) => new SchoolGroupView(p.Grade, p.ClassName, g))],
            all,
            LibraryBand.Of(
                await store.Library(school.Id, readings),
                [.. now.Readers.Values.Select(r => r.After).OfType<Fathoms>()]
            )
        );
    }

    private static async Task<IReadOnlyList<(int? Grade, string? ClassName, IReadOnlySet<ReaderId> Readers)>> Parts(
        SchoolPart by,
        SchoolId schoolId,
        IReadOnlyList<EnrolledReader> readers,
        SchoolReportStore store
    )
    {
        if (by is SchoolPart.Grade)
            return
            [
                .. readers
                    .GroupBy(r => r.Grade)
                    .OrderBy(g => g.Key)
                    .Select(g => ((int?)g.Key, (string?)null, (IReadOnlySet<ReaderId>)g.Select(r => r.Id).ToHashSet())),
            ];
        var names = await store.Classes(schoolId);
        return
        [
            .. readers
                .SelectMany(r => r.ClassIds.Select(c => (ClassId: c, r.Id)))
                .GroupBy(x => x.ClassId)
                .OrderBy(g => names[g.Key], StringComparer.CurrentCulture)
                .Select(g =>
                    ((int?)null, (string?)names[g.Key], (IReadOnlySet<ReaderId>)g.Select(x => x.Id).ToHashSet())
                ),
        ];
    }
}

/// <summary>Some readers of a school, over one span or another.</summary>
internal sealed record SchoolRoom(
    School School,
    SchoolCalendar Calendar,
    SchoolClock Clock,
    IReadOnlyCollection<ReaderId> Readers,
    SchoolReportStore Store,
    ReportStore Reports
)
{
    private ReportAsked Asked(ReportSpan span) =>
        new(Readers, Clock.Begin(span.From), Clock.End(span.To), span.From, span.To, Clock, null);

    public async Task<(SchoolSpan Span, IReadOnlyDictionary<VersionId, int> Readings)> Over(ReportSpan span)
    {
        var before = span.From.AddDays(-1);
        var read = await Store.Read(Asked(span));
        var first = (await Reports.Levels(Readers, before)).ToDictionary(l => l.ReaderId, l => l.Mean);
        var last = (await Reports.Levels(Readers, span.To)).ToDictionary(l => l.ReaderId, l => l.Mean);
        var over = new SchoolSpan(
            Readers.ToDictionary(
                id => id,
                id =>
                    (read.ByReader.GetValueOrDefault(id) ?? new(0, 0, null, null, null)) with
                    {
                        Before = first.TryGetValue(id, out var from) ? from : null,
                        After = last.TryGetValue(id, out var to) ? to : null,
                    }
            ),
            Calendar.SchoolWeeks(before, span.To),
            School.Chart
        );
        return (over, read.Readings);
    }
}
