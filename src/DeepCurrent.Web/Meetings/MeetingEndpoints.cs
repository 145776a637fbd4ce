using System.Text.RegularExpressions;
using DeepCurrent.Core.Access;
using DeepCurrent.Core.Meetings;
using DeepCurrent.Core.Roster;
using DeepCurrent.Core.Schools;
using DeepCurrent.Data.Meetings;
using DeepCurrent.Data.Readers;
using DeepCurrent.Data.Schools;
using DeepCurrent.Data.Texts;
using DeepCurrent.Web.Groups;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.OralReading;
using DeepCurrent.Web.SignIn;
using DeepCurrent.Web.Texts;

namespace DeepCurrent.Web.Meetings;

/// <summary>Meetings of groups: a week of them, each with a point, and what is seen at one.</summary>
public static partial class MeetingEndpoints
{
    private const int Most = 60,
        MostADay = 12,
        LongestWords = 200,
        LongestNote = 1000,
        LongestSaid = 60,
        DaysAWeek = 7;
    private const long LargestSaid = 2 << 20;

    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/classes/{classId:guid}/meetings", Week);
        api.MapPut("/classes/{classId:guid}/meetings", Plan);
        api.MapPost("/classes/{classId:guid}/meetings/proposal", Propose);
        api.MapGet("/meetings/{meetingId:guid}", View);
        api.MapPost("/meetings/{meetingId:guid}/dictation", Dictate).TakesFile(LargestSaid);
        api.MapDelete("/meetings/{meetingId:guid}", Remove).Produces(StatusCodes.Status204NoContent);
        api.MapPost("/meetings/{meetingId:guid}/begin", (MeetingId meetingId, Desk d, MeetingDesk m, MeetingStore s) =>
                Time(meetingId, ended: false, d, m, s)
            )
            .Produces(StatusCodes.Status204NoContent);
        api.MapPost("/meetings/{meetingId:guid}/end", (MeetingId meetingId, Desk d, MeetingDesk m, MeetingStore s) =>
                Time(meetingId, ended: true, d, m, s)
            )
            .Produces(StatusCodes.Status204NoContent);
        api.MapPut("/meetings/{meetingId:guid}/readers/{readerId:guid}", See).Produces(StatusCodes.Status204NoContent);
    }

    private static async Task<MeetingWeekView> Week(
        ClassId classId,
        DateOnly? monday,
        Desk desk,
        MeetingDesk groups,
        MeetingStore meetings,
        SchoolStore schools
    )
    {
        var place = await desk.Class(classId, Deed.SeeClass);
        var first = SchoolWeek.Monday(monday ?? await desk.Today());
        var year = await schools.Year(place.SchoolYearId);
        return new(
            first,
            Open(year, first, []),
            await groups.Groups(classId, Deed.SeeClass),
            await meetings.Of(classId, first, first.AddDays(DaysAWeek - 1))
        );
    }

    private static IReadOnlyList<DateOnly> Open(YearCalendar year, DateOnly monday, IReadOnlyList<DateOnly> shut) =>
        [
            .. Enumerable
                .Range(0, DaysAWeek)
                .Select(monday.AddDays)
                .Where(d => year.Calendar.IsSchoolDay(d) && !shut.Contains(d)),
        ];

    private static async Task<IReadOnlyList<ProposedMeeting>> Propose(
        ClassId classId,
        PlanMeetingsRequest request,
        Desk desk,
        MeetingDesk groups,
        GroupDesk forming,
        MeetingStore meetings,
        SchoolStore schools
    )
    {
        var place = await desk.Class(classId, Deed.FormGroups);
        new Faults()
            .If(request.Wanted is < 1 or > Most, "wanted", $"Enter 1 to {Most} meetings.")
            .If(request.ADay is < 1 or > MostADay, "aDay", $"Enter 1 to {MostADay} a day.")
            .Refuse();
        var monday = SchoolWeek.Monday(request.Monday);
        var year = await schools.Year(place.SchoolYearId);
        var of = await groups.Groups(classId, Deed.FormGroups);
        var planned = (await meetings.Of(classId, monday, monday.AddDays(DaysAWeek - 1))).ToLookup(m => m.GroupId);
        var today = await desk.Today();
        var cannot = await forming.Cannot(classId);
        IReadOnlyList<ReaderId> Missing(MeetingGroupView g, DateOnly day) =>
            [.. g.ReaderIds.Where(r => cannot[r].Contains(day.DayOfWeek))];
        List<DateOnly> open = [.. Open(year, monday, request.Shut).Where(d => d >= today)];
        var plan = MeetingWeek.Plan(
            [
                .. of.Select(g => new GroupToMeet(g.GroupId, g.Need, [.. planned[g.GroupId].Select(m => m.Day)])
                {
                    Missing = open.ToDictionary(d => d, d => Missing(g, d).Count),
                }),
            ],
            open,
            request.Wanted,
            request.ADay
        );
        var points = of.ToDictionary(g => g.GroupId, g => g.Points);
        var turn = of.ToDictionary(g => g.GroupId, g => planned[g.GroupId].Count());
        return
        [
            .. plan.Select(m => new ProposedMeeting(
                m.Group,
                m.Day,
                points[m.Group] is { Count: > 0 } all ? all[turn[m.Group]++ % all.Count] : null,
                Missing(of.First(g => g.GroupId == m.Group), m.Day)
            )),
        ];
    }

    private static async Task<MeetingWeekView> Plan(
        ClassId classId,
        MeetingsRequest request,
        Desk desk,
        MeetingDesk groups,
        MeetingStore meetings,
        SchoolStore schools,
        TextStore texts
    )
    {
        var place = await desk.Class(classId, Deed.FormGroups);
        var year = await schools.Year(place.SchoolYearId);
        var faults = new Faults();
        faults.If(request.Meetings is not { Count: > 0 and <= Most }, "meetings", $"Choose 1 to {Most} meetings.");
        foreach (var m in request.Meetings)
        {
            faults.If(!year.Calendar.IsSchoolDay(m.Day), "day", $"Choose a school day.");
            faults.If(m.StartsAt is { } at && !Clock().IsMatch(at), "startsAt", $"Enter a time, such as 09:20.");
            faults.If(m.Minutes is < 5 or > 180, "minutes", $"Enter 5 to 180 minutes.");
            faults.If(m.Words.Length > LongestWords, "words", $"Use {LongestWords} letters or fewer.");
        }
        faults.Refuse();
        var titles = request.Meetings.Select(m => m.TextId).OfType<TextId>().Distinct().ToList();
        if (titles.Count > 0 && (await texts.Some(titles, desk.Who.SchoolId, default, null)).Count < titles.Count)
            throw Refused.NotFound();
        if (await meetings.Plan(classId, request.Meetings, desk.Who.Adult, desk.Now) < request.Meetings.Count)
            throw Refused.NotFound();
        return await Week(classId, request.Meetings[0].Day, desk, groups, meetings, schools);
    }

    private static async Task<MeetingView> View(
        MeetingId meetingId,
        MeetingDesk of,
        MeetingStore meetings,
        ReaderStore readers,
        Desk desk,
        IListener listener
    )
    {
        var m = await of.Meeting(meetingId, Deed.SeeClass);
        var seen = await meetings.Seen(meetingId);
        var (group, everybody) = await of.Room(m);
        var own = (await readers.Roster(m.ClassId, await desk.Moment())).Select(r => r.Id).ToHashSet();
        var roster = everybody.ToDictionary(r => r.Id);
        // Who has left the group since and was seen is there, too.
        List<ReaderId> here =
        [
            .. (group?.ReaderIds ?? []).Union(seen.Keys).Where(roster.ContainsKey).OrderBy(r => roster[r].GivenName),
        ];
        var (pages, ask) = await of.Text(m, [.. here.Select(r => roster[r].Depth)]);
        var before = await meetings.Before(m.GroupId, m.Day);
        return new(
            m,
            here,
            [.. seen.Values],
            pages,
            ask,
            TeachingPoints.Phrases(m.Point),
            before,
            before is null ? [] : [.. (await meetings.Seen(before.Id)).Values],
            await of.Next(m, seen.Values, group)
        )
        {
            Listens = listener.Ready,
            Guests = [.. here.Where(r => !own.Contains(r)).Select(r => new MeetingGuest(r, roster[r].GivenName))],
        };
    }

    /// <summary>Turns a note that was said into words, which the one who said it looks over; the sound is not
    /// kept.</summary>
    private static async Task<DictatedView> Dictate(
        MeetingId meetingId,
        double? seconds,
        HttpRequest request,
        MeetingDesk of,
        IListener listener,
        CancellationToken stop
    )
    {
        await of.Meeting(meetingId, Deed.TakeRecords);
        new Faults()
            .If(!(seconds is > 0 and <= LongestSaid), "seconds", $"Say a note of at most {LongestSaid} seconds.")
            .Refuse();
        if (!listener.Ready)
            throw Refused.Conflict("no-listener", $"No listening device is set up. Type the note.");
        try
        {
            return new(await listener.Dictate(await ReadingEndpoints.Sent(request), seconds!.Value, stop));
        }
        catch (NotHeard e)
        {
            throw Refused.Conflict("not-heard", e.Said);
        }
    }

    private static async Task<IResult> Remove(MeetingId meetingId, Desk desk, MeetingDesk of, MeetingStore meetings)
    {
        await of.Meeting(meetingId, Deed.FormGroups);
        await meetings.Remove(meetingId, desk.Now);
        return Results.NoContent();
    }

    private static async Task<IResult> Time(
        MeetingId meetingId,
        bool ended,
        Desk desk,
        MeetingDesk of,
        MeetingStore meetings
    )
    {
        await of.Meeting(meetingId, Deed.TakeRecords);
        await meetings.Time(meetingId, ended, desk.Now);
        return Results.NoContent();
    }

    private static async Task<IResult> See(
        MeetingId meetingId,
        ReaderId readerId,
        SeeRequest request,
        Desk desk,
        MeetingDesk of,
        MeetingStore meetings
    )
    {
        var m = await of.Meeting(meetingId, Deed.TakeRecords);
        new Faults().If(request.Note.Length > LongestNote, "note", $"Use {LongestNote} letters or fewer.").Refuse();
        if (!await meetings.MayBeSeen(m, readerId))
            throw Refused.NotFound();
        await meetings.See(
            meetingId,
            new(readerId, request.Here, request.Mark, [.. request.Observed.Distinct()], request.Note.Trim(), desk.Now),
            desk.Who.Adult
        );
        return Results.NoContent();
    }

    [GeneratedRegex("^([01][0-9]|2[0-3]):[0-5][0-9]$")]
    private static partial Regex Clock();
}
