namespace DeepCurrent.Core.Schools;

/// <summary>The school days of one school year: weekdays inside a term, less the days off.</summary>
public sealed class SchoolCalendar(
    IReadOnlyList<(DateOnly First, DateOnly Last)> terms,
    IReadOnlyCollection<DateOnly> daysOff
)
{
    private const double DaysPerWeek = 5;

    /// <summary>Days of the week on which there can be school.</summary>
    public static readonly IReadOnlyList<DayOfWeek> Weekdays =
    [
        DayOfWeek.Monday,
        DayOfWeek.Tuesday,
        DayOfWeek.Wednesday,
        DayOfWeek.Thursday,
        DayOfWeek.Friday,
    ];

    public bool IsSchoolDay(DateOnly day) =>
        Weekdays.Contains(day.DayOfWeek) && terms.Any(t => t.First <= day && day <= t.Last) && !daysOff.Contains(day);

    /// <summary>School days from one day to another, both counted; 0 if the second is earlier.</summary>
    public int SchoolDays(DateOnly from, DateOnly to)
    {
        var days = 0;
        for (var day = from; day <= to; day = day.AddDays(1))
            if (IsSchoolDay(day))
                days++;
        return days;
    }

    /// <summary>School weeks (of five school days) after one day, up to another; 0 if the second is not
    /// later.</summary>
    public double SchoolWeeks(DateOnly from, DateOnly to) =>
        to <= from ? 0 : SchoolDays(from.AddDays(1), to) / DaysPerWeek;
}
