using DeepCurrent.Core.Reports;
using DeepCurrent.Core.Schools;
using DeepCurrent.Web.Hosting;

namespace DeepCurrent.Web.Reports;

/// <summary>The days a report is asked for.</summary>
/// <param name="Before">What it is held against; null where there was nothing before.</param>
public sealed record ReportDays(ReportSpan Span, ReportSpan? Before, SpansView View)
{
    private const int LongestDays = 800;

    /// <param name="from">The first day, where the span is any.</param>
    /// <param name="to">The last day, or today.</param>
    public static ReportDays Of(SpanKind kind, DateOnly? from, DateOnly? to, DateOnly today, YearCalendar year)
    {
        var last = to ?? today;
        new Faults()
            .If(kind is SpanKind.Any && from is null, "from", $"Enter a first day.")
            .If(from > last, "from", $"Choose a first day that is not after the last.")
            .If(
                from is { } first && last.DayNumber - first.DayNumber >= LongestDays,
                "from",
                $"Choose {LongestDays} days or fewer."
            )
            .Refuse();
        var span =
            kind is SpanKind.Any && from is { } any ? new ReportSpan(any, last) : ReportSpan.UpTo(last, kind, year);
        var before = span.Before(kind, year);
        return new(
            span,
            before,
            new(
                kind,
                SpanView.Of(span),
                SpanView.OrNone(before),
                SpanView.OrNone(span.Earlier(kind, year)),
                SpanView.OrNone(span.Later(kind, year, today))
            )
        );
    }
}
