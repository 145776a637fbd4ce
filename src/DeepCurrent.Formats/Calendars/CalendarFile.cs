using Ical.Net;
using Ical.Net.CalendarComponents;
using Ical.Net.DataTypes;
using Ical.Net.Serialization;

namespace DeepCurrent.Formats.Calendars;

/// <summary>Something that is due on a day.</summary>
/// <param name="Id">The same each time, so that a calendar program moves it instead of adding another.</param>
/// <param name="Link">Where it is done; null for nowhere.</param>
/// <param name="Changes">How often it has been changed.</param>
public sealed record DueDay(Guid Id, string Title, DateOnly Day, Uri? Link, int Changes);

/// <summary>A calendar as other programs read it: iCalendar (RFC 5545).</summary>
public static class CalendarFile
{
    public const string MediaType = "text/calendar; charset=utf-8";

    /// <param name="name">What a calendar program calls it.</param>
    /// <param name="host">Of the server, which makes the events' names the only ones of their kind.</param>
    public static string Write(string name, string host, IEnumerable<DueDay> days, DateTimeOffset now)
    {
        var calendar = new Calendar { ProductId = "-//Deep Current//Due days//EN", Method = "PUBLISH" };
        calendar.AddProperty("X-WR-CALNAME", name);
        foreach (var day in days)
            calendar.Events.Add(
                new CalendarEvent
                {
                    Uid = $"{day.Id}@{host}",
                    Summary = day.Title,
                    DtStamp = new CalDateTime(now.UtcDateTime, "UTC"),
                    Start = new CalDateTime(day.Day),
                    End = new CalDateTime(day.Day.AddDays(1)),
                    Sequence = day.Changes,
                    Url = day.Link,
                    Transparency = TransparencyType.Transparent,
                }
            );
        return new CalendarSerializer().SerializeToString(calendar) ?? "";
    }
}
