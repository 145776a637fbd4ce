using DeepCurrent.Core.Access;
using DeepCurrent.Core.Schools;
using DeepCurrent.Data.Assignments;
using DeepCurrent.Formats.Calendars;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.Print;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Assignments;

/// <param name="MadeAt">Null where there is no link.</param>
public sealed record CalendarView(DateTimeOffset? MadeAt, string? MadeBy);

/// <param name="Link">Shown once; only its hash is kept.</param>
public sealed record CalendarLink(string Link);

/// <summary>Due days in other calendar programs.</summary>
public static class CalendarEndpoints
{
    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/classes/{classId:guid}/calendar", View);
        api.MapPost("/classes/{classId:guid}/calendar", Make);
        api.MapDelete("/classes/{classId:guid}/calendar", Stop);
        // A calendar program signs in nowhere: who has the link sees titles and days, and no names.
        api.MapGet("/calendar/{token}.ics", Read).AllowAnonymous();
    }

    private static async Task<CalendarView> View(
        ClassId classId,
        ReaderId? readerId,
        Giving giving,
        CalendarStore calendars
    )
    {
        await Room(classId, readerId, giving);
        var feed = await calendars.Find(classId, readerId);
        return new(feed?.MadeAt, feed?.MadeBy);
    }

    private static async Task<CalendarLink> Make(
        ClassId classId,
        ReaderId? readerId,
        HttpContext http,
        Desk desk,
        Giving giving,
        CalendarStore calendars
    )
    {
        await Room(classId, readerId, giving);
        var (token, hash) = Secrets.NewToken();
        await calendars.Make(classId, readerId, hash, desk.Who.Adult, desk.Now);
        return new($"{PrintRoom.Address(http)}/api/calendar/{token}.ics");
    }

    private static async Task Stop(ClassId classId, ReaderId? readerId, Giving giving, CalendarStore calendars)
    {
        await Room(classId, readerId, giving);
        await calendars.Stop(classId, readerId);
    }

    /// <summary>The class, if the asker gives its readers work and the reader is one of them.</summary>
    private static async Task Room(ClassId classId, ReaderId? readerId, Giving giving)
    {
        var room = await giving.Class(classId, Deed.Assign);
        if (readerId is { } one)
            _ = Giving.Chosen(room, [one]);
    }

    private static async Task<IResult> Read(string token, HttpContext http, CalendarStore calendars, TimeProvider clock)
    {
        var of = await calendars.Opened(Secrets.HashOf(token)) ?? throw Refused.NotFound();
        var now = clock.GetUtcNow();
        var due = await calendars.Due(of, new SchoolClock(of.TimeZone).DayOf(now));
        var address = PrintRoom.Address(http);
        var days = due.Select(d => new DueDay(
            d.Id.Value,
            d.Title,
            d.DueOn,
            new Uri($"{address}/task/{d.Id}"),
            d.Revision
        ));
        return Results.Text(
            CalendarFile.Write(of.ClassName, http.Request.Host.Host, days, now),
            CalendarFile.MediaType
        );
    }
}
