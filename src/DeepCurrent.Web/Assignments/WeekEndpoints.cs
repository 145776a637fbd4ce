using DeepCurrent.Core.Access;
using DeepCurrent.Core.Assignments;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Schools;
using DeepCurrent.Data.Assignments;
using DeepCurrent.Data.Schools;
using DeepCurrent.Data.Texts;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Assignments;

/// <param name="Off">Not a school day.</param>
public sealed record WeekDay(DateOnly Day, bool Off);

/// <summary>How a text fits its readers as they are today: how many have it within reach, find it easy, find it too
/// deep.</summary>
public sealed record FitCount(int Within, int Easy, int TooDeep);

/// <summary>An assignment as it lies in the week.</summary>
/// <param name="Readers">Who has it, or is to have it.</param>
/// <param name="Late">Readers who have not handed it in though it was due.</param>
/// <param name="Had">Of a draft, readers who have or had its text already; they do not get it again.</param>
public sealed record WeekPlate(
    AssignmentRow Assignment,
    WeekRow Row,
    IReadOnlyList<ReaderId> Readers,
    int Late,
    int Had,
    FitCount Fit
);

public sealed record WeekGroup(GroupId Id, string Name, IReadOnlyList<ReaderId> ReaderIds, GroupingId? Grouping);

/// <summary>A class's school days with what is given and what is prepared.</summary>
public sealed record WeekView(
    DateOnly Today,
    IReadOnlyList<WeekDay> Days,
    IReadOnlyList<WeekGroup> Groups,
    IReadOnlyList<WeekPlate> Plates,
    bool MayAssign
);

/// <summary>Who is where in a stretch of days.</summary>
public sealed record PlacesView(
    DateOnly Today,
    IReadOnlyList<WeekGroup> Groups,
    IReadOnlyList<WeekPlate> Plates,
    IReadOnlyList<PlaceRow> Places,
    bool MayAssign
);

/// <summary>The week, and who is where in it.</summary>
public static class WeekEndpoints
{
    private const int MostDays = 35;

    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/classes/{classId:guid}/week", Week);
        api.MapGet("/classes/{classId:guid}/places", Places);
    }

    /// <param name="from">The first day; this week's Monday if it is not said.</param>
    private static async Task<WeekView> Week(
        ClassId classId,
        DateOnly? from,
        DateOnly? to,
        Desk desk,
        Giving giving,
        SchoolStore schools,
        TextStore texts,
        WeekStore weeks,
        GivenStore earlier
    )
    {
        var room = await giving.Class(classId, Deed.SeeClass);
        var calendar = (await schools.Year(room.Place.SchoolYearId)).Calendar;
        var today = await desk.Today();
        var (first, last) = Span(from, to, today);
        return new(
            today,
            [.. Days(first, last).Select(day => new WeekDay(day, !calendar.IsSchoolDay(day)))],
            GroupsOf(room),
            await Plates(
                room,
                await weeks.Between(classId, first, last),
                today,
                await desk.School(),
                texts,
                weeks,
                earlier
            ),
            desk.May(Deed.Assign, room.Place)
        );
    }

    private static async Task<PlacesView> Places(
        ClassId classId,
        DateOnly? from,
        DateOnly? to,
        Desk desk,
        Giving giving,
        TextStore texts,
        WeekStore weeks,
        GivenStore earlier
    )
    {
        var room = await giving.Class(classId, Deed.SeeClass);
        var today = await desk.Today();
        var (first, last) = Span(from, to, today);
        var given = (await weeks.Between(classId, first, last)).Where(a => !a.Draft).ToList();
        return new(
            today,
            GroupsOf(room),
            await Plates(room, given, today, await desk.School(), texts, weeks, earlier),
            await weeks.Places(classId, first, last),
            desk.May(Deed.Assign, room.Place)
        );
    }

    /// <summary>The days that are asked for; where none are, this week.</summary>
    internal static (DateOnly First, DateOnly Last) Span(DateOnly? from, DateOnly? to, DateOnly today)
    {
        var first = from ?? SchoolWeek.Monday(today);
        var last = to ?? first.AddDays(6);
        new Faults()
            .If(last < first, "to", $"The last day is before the first.")
            .If(last.DayNumber - first.DayNumber >= MostDays, "to", $"Choose {MostDays} days or fewer.")
            .Refuse();
        return (first, last);
    }

    /// <summary>Monday to Friday.</summary>
    private static IEnumerable<DateOnly> Days(DateOnly from, DateOnly to) =>
        Enumerable
            .Range(0, to.DayNumber - from.DayNumber + 1)
            .Select(from.AddDays)
            .Where(day => day.DayOfWeek is not (DayOfWeek.Saturday or DayOfWeek.Sunday));

    private static IReadOnlyList<WeekGroup> GroupsOf(GivingClass room) =>
        [.. room.InOrder.Select(g => new WeekGroup(g.Id, g.Name, g.ReaderIds, g.Grouping))];

    private static async Task<IReadOnlyList<WeekPlate>> Plates(
        GivingClass room,
        IReadOnlyList<AssignmentRow> assignments,
        DateOnly today,
        School school,
        TextStore texts,
        WeekStore weeks,
        GivenStore earlier
    )
    {
        var meant = await weeks.MeantBy([.. assignments.Select(a => a.Id)]);
        var late = await weeks.Late([.. assignments.Select(a => a.Id)], today);
        var depths = room.Roster.ToDictionary(r => r.Id, r => r.Depth);
        var cuts = new ZoneCuts(school.ZoneLow, school.ZoneHigh);
        var versions = await texts.Versions(TextsOf(assignments), room.Place.SchoolId);
        var had = await earlier.Given(TextsOf(assignments.Where(a => a.Draft)), [.. room.Roster.Select(r => r.Id)]);
        return [.. assignments.Select(Plate)];

        WeekPlate Plate(AssignmentRow a)
        {
            var who = a.Draft ? [.. room.Meant(meant[a.Id].Aims).Select(r => r.Id)] : meant[a.Id].Readers;
            return new(
                a,
                WeekRow.Of(meant[a.Id].Aims, who, room.Groups, room.Roster.Count),
                who,
                late.GetValueOrDefault(a.Id),
                a is { Draft: true, TextId: { } drafted } ? who.Count(r => had.ContainsKey((drafted, r))) : 0,
                Count(
                    who.Where(depths.ContainsKey).Select(r => depths[r]),
                    a.TextId is { } text ? [.. versions[text].Select(v => v.Depth)] : [],
                    cuts
                )
            );
        }
    }

    private static IReadOnlyList<TextId> TextsOf(IEnumerable<AssignmentRow> assignments) =>
        [.. assignments.Select(a => a.TextId).OfType<TextId>().Distinct()];

    private static FitCount Count(IEnumerable<Fathoms> readers, IReadOnlyList<Fathoms> versions, ZoneCuts cuts)
    {
        if (versions.Count == 0)
            return new(0, 0, 0);
        var zones = readers
            .Select(depth =>
                Forecast.ZoneOf(Forecast.Comprehension(depth, versions[Forecast.BestVersion(depth, versions)]), cuts)
            )
            .CountBy(zone => zone)
            .ToDictionary();
        return new(
            zones.GetValueOrDefault(Zone.Instructional),
            zones.GetValueOrDefault(Zone.Independent),
            zones.GetValueOrDefault(Zone.Frustration)
        );
    }
}
