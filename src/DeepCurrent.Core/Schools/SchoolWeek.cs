namespace DeepCurrent.Core.Schools;

/// <summary>Weeks as schools have them: from Monday.</summary>
public static class SchoolWeek
{
    private const int Days = 7;

    /// <summary>The Monday of the week a day is in.</summary>
    public static DateOnly Monday(DateOnly day) => day.AddDays(-Weekday(day));

    /// <summary>The day itself, or of a weekend the Monday after.</summary>
    public static DateOnly FirstWeekday(DateOnly day) =>
        day.DayOfWeek is DayOfWeek.Saturday or DayOfWeek.Sunday ? day.AddDays(Days - Weekday(day)) : day;

    /// <summary>From 0, for Monday.</summary>
    private static int Weekday(DateOnly day) => ((int)day.DayOfWeek + Days - 1) % Days;
}
