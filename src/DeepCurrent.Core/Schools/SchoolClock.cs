namespace DeepCurrent.Core.Schools;

/// <summary>What time it is at a school.</summary>
/// <param name="Now">The instant, in UTC.</param>
/// <param name="Today">The day it is there.</param>
/// <param name="DayBegan">When that day began there, in UTC.</param>
public readonly record struct Moment(DateTimeOffset Now, DateOnly Today, DateTimeOffset DayBegan);

/// <summary>Turns instants into a school's own days and back. The only place that reckons with time zones.</summary>
public sealed class SchoolClock
{
    private readonly TimeZoneInfo zone;

    /// <param name="timeZone">IANA name, such as Europe/London.</param>
    /// <exception cref="TimeZoneNotFoundException">There is no such zone.</exception>
    public SchoolClock(string timeZone) => zone = TimeZoneInfo.FindSystemTimeZoneById(timeZone);

    public static bool Knows(string? timeZone) => TimeZoneInfo.TryFindSystemTimeZoneById(timeZone ?? "", out _);

    /// <summary>The school's day at an instant.</summary>
    public DateOnly DayOf(DateTimeOffset at) => DateOnly.FromDateTime(TimeZoneInfo.ConvertTime(at, zone).DateTime);

    /// <summary>When a day begins at the school, in UTC. Where midnight is skipped by a change of clocks, the first
    /// instant after it.</summary>
    public DateTimeOffset Begin(DateOnly day)
    {
        var midnight = day.ToDateTime(TimeOnly.MinValue);
        while (zone.IsInvalidTime(midnight))
            midnight = midnight.AddMinutes(15);
        // Of two midnights of one day the earlier begins it.
        var offset = zone.IsAmbiguousTime(midnight)
            ? zone.GetAmbiguousTimeOffsets(midnight).Max()
            : zone.GetUtcOffset(midnight);
        return new DateTimeOffset(midnight, offset).ToUniversalTime();
    }

    /// <summary>The first instant after a day at the school, in UTC.</summary>
    public DateTimeOffset End(DateOnly day) => Begin(day.AddDays(1));

    public Moment At(DateTimeOffset now) => DayOf(now) is var today ? new(now, today, Begin(today)) : default;
}
