using DeepCurrent.Core.Schools;

namespace DeepCurrent.Core.Reports;

/// <summary>What a report's days are.</summary>
public enum SpanKind
{
    Day,
    Week,
    Month,
    Term,

    /// <summary>From any day to any other.</summary>
    Any,
}

/// <summary>The days of a report; both count.</summary>
/// <exception cref="ArgumentException">It ends before it begins.</exception>
public sealed record ReportSpan
{
    public ReportSpan(DateOnly from, DateOnly to)
    {
        if (to < from)
            throw new ArgumentException("A span ends on the day it begins, or later.", nameof(to));
        (From, To) = (from, to);
    }

    public DateOnly From { get; }

    public DateOnly To { get; }

    /// <summary>How many days.</summary>
    public int Days => To.DayNumber - From.DayNumber + 1;

    /// <summary>The span a day lies in, up to that day and no further.</summary>
    /// <param name="kind">For <see cref="SpanKind.Any"/> the last four weeks.</param>
    public static ReportSpan UpTo(DateOnly day, SpanKind kind, YearCalendar year) =>
        kind switch
        {
            SpanKind.Day => new(day, day),
            SpanKind.Week => new(Monday(day), day),
            SpanKind.Month => new(new(day.Year, day.Month, 1), day),
            SpanKind.Term when year.TermOn(day) is { } term && term.FirstDay <= day => new(
                term.FirstDay,
                day < term.LastDay ? day : term.LastDay
            ),
            _ => new(day.AddDays(-27), day),
        };

    /// <summary>What a span is held against: as much of the one before. A day has the school day before, a week the week
    /// before up to the same weekday, a month the month before up to the same date, a term the one before up to as many
    /// days; any other span the days right before it.</summary>
    /// <returns>Null where there was none: before the year's first term, or its first school day.</returns>
    public ReportSpan? Before(SpanKind kind, YearCalendar year) =>
        kind switch
        {
            SpanKind.Day => DayBefore(year),
            SpanKind.Week => new(From.AddDays(-7), To.AddDays(-7)),
            SpanKind.Month => MonthBefore(),
            SpanKind.Term => TermBefore(year),
            _ => new(From.AddDays(-Days), From.AddDays(-1)),
        };

    /// <summary>The whole span before, for who goes back; null where there was none.</summary>
    public ReportSpan? Earlier(SpanKind kind, YearCalendar year) =>
        kind switch
        {
            SpanKind.Day => DayBefore(year),
            SpanKind.Week => new(From.AddDays(-7), From.AddDays(-1)),
            SpanKind.Month => new(FirstOfMonth(From).AddMonths(-1), FirstOfMonth(From).AddDays(-1)),
            SpanKind.Term => year.Terms.Where(t => t.LastDay < From).MaxBy(t => t.LastDay) is { } term
                ? new(term.FirstDay, term.LastDay)
                : null,
            _ => Before(kind, year),
        };

    /// <summary>The span after, for who goes forward, up to today; null where this one reaches today.</summary>
    public ReportSpan? Later(SpanKind kind, YearCalendar year, DateOnly today)
    {
        var next = kind switch
        {
            SpanKind.Day => DayAfter(year, today),
            SpanKind.Week => new(From.AddDays(7), From.AddDays(13)),
            SpanKind.Month => new(FirstOfMonth(From).AddMonths(1), FirstOfMonth(From).AddMonths(2).AddDays(-1)),
            SpanKind.Term => year.Terms.Where(t => t.FirstDay > To).MinBy(t => t.FirstDay) is { } term
                ? new(term.FirstDay, term.LastDay)
                : null,
            _ => new ReportSpan(To.AddDays(1), To.AddDays(Days)),
        };
        return next is null || next.From > today ? null
            : next.To > today ? new(next.From, today)
            : next;
    }

    private ReportSpan? DayAfter(YearCalendar year, DateOnly today)
    {
        for (var day = From.AddDays(1); day < today; day = day.AddDays(1))
            if (year.Calendar.IsSchoolDay(day))
                return new(day, day);
        return From < today ? new(today, today) : null;
    }

    private ReportSpan? DayBefore(YearCalendar year)
    {
        for (var day = From.AddDays(-1); day >= year.FirstDay; day = day.AddDays(-1))
            if (year.Calendar.IsSchoolDay(day))
                return new(day, day);
        return null;
    }

    private ReportSpan MonthBefore()
    {
        var first = FirstOfMonth(From).AddMonths(-1);
        var last = first.AddMonths(1).AddDays(-1);
        var whole = To == FirstOfMonth(To).AddMonths(1).AddDays(-1);
        return new(first, whole || To.Day > last.Day ? last : new(first.Year, first.Month, To.Day));
    }

    private ReportSpan? TermBefore(YearCalendar year)
    {
        var before = year.Terms.Where(t => t.LastDay < From).MaxBy(t => t.LastDay);
        if (before is null)
            return null;
        var last = before.FirstDay.AddDays(Days - 1);
        return new(before.FirstDay, last < before.LastDay ? last : before.LastDay);
    }

    private static DateOnly FirstOfMonth(DateOnly day) => new(day.Year, day.Month, 1);

    private static DateOnly Monday(DateOnly day) => day.AddDays(-(((int)day.DayOfWeek + 6) % 7));
}
