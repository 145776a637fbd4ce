namespace DeepCurrent.Core.Schools;

/// <summary>A part of a school year that goals are set for; both days count.</summary>
public sealed record Term(TermId Id, YearId SchoolYearId, string Name, DateOnly FirstDay, DateOnly LastDay);

/// <summary>A school year with its terms and days off.</summary>
/// <param name="Clock">The school's own: it says what day it is there.</param>
public sealed record YearCalendar(
    YearId Id,
    string Name,
    DateOnly FirstDay,
    DateOnly LastDay,
    IReadOnlyList<Term> Terms,
    IReadOnlyList<DateOnly> DaysOff,
    SchoolClock Clock
)
{
    public SchoolCalendar Calendar { get; } = new([.. Terms.Select(t => (t.FirstDay, t.LastDay))], DaysOff.ToHashSet());

    /// <summary>The year of somebody who is not at school on some days: for them these are days off.</summary>
    public YearCalendar Without(IReadOnlySet<DateOnly> days) =>
        days.Count == 0 ? this : new(Id, Name, FirstDay, LastDay, Terms, [.. DaysOff.Union(days)], Clock);

    /// <summary>School weeks between two instants, by the school's own days.</summary>
    public double SchoolWeeks(DateTimeOffset from, DateTimeOffset to) =>
        Calendar.SchoolWeeks(Clock.DayOf(from), Clock.DayOf(to));

    /// <summary>The term a day is in, or the last that began before it, or the first.</summary>
    public Term? TermOn(DateOnly day) =>
        Terms.LastOrDefault(t => t.FirstDay <= day) ?? (Terms.Count > 0 ? Terms[0] : null);

    /// <summary>Three terms of equal length, until the school sets its own.</summary>
    public static IReadOnlyList<Term> Thirds(YearId yearId, DateOnly first, DateOnly last)
    {
        var days = last.DayNumber - first.DayNumber + 1;
        return
        [
            .. Enumerable
                .Range(0, 3)
                .Select(i => new Term(
                    TermId.New(),
                    yearId,
                    $"Term {i + 1}",
                    first.AddDays(days * i / 3),
                    first.AddDays(days * (i + 1) / 3 - 1)
                )),
        ];
    }

    /// <summary>Share of the school year gone on a day, 0 to 1.</summary>
    public double Gone(DateOnly day) =>
        Math.Clamp((day.DayNumber - FirstDay.DayNumber) / (double)(LastDay.DayNumber - FirstDay.DayNumber), 0, 1);
}
