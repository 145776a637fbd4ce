using DeepCurrent.Core.Access;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Grouping;
using DeepCurrent.Core.Schools;
using DeepCurrent.Data.Groups;
using DeepCurrent.Data.Readers;
using DeepCurrent.Data.Reports;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Groups;

/// <param name="Stays">Who is and was where, latest first.</param>
public sealed record GroupPastView(IReadOnlyList<GroupPast> Groups, IReadOnlyList<GroupStay> Stays);

/// <summary>What became of groups: who was where when, how often they met, and how levels changed meanwhile.</summary>
public static class PastEndpoints
{
    public static void Map(RouteGroupBuilder api) => api.MapGet("/classes/{classId:guid}/groups/past", Past);

    private static async Task<GroupPastView> Past(
        ClassId classId,
        Desk desk,
        GroupStore groups,
        ReaderStore readers,
        ReportStore reports
    )
    {
        await desk.Class(classId, Deed.SeeClass);
        var clock = await desk.Clock();
        var stays = await groups.Stays(classId);
        var now = (await readers.Roster(classId, await desk.Moment())).ToDictionary(r => r.Id, r => r.Depth);
        var levels = await reports.Levels([
            .. stays.SelectMany(s => Days(s, clock).Select(day => (s.ReaderId, day))).Distinct(),
        ]);
        double? Change(GroupStay s)
        {
            if (!levels.TryGetValue((s.ReaderId, clock.DayOf(s.From)), out var before))
                return null;
            if (s.To is { } to)
                return levels.TryGetValue((s.ReaderId, clock.DayOf(to)), out var after) ? after - before : null;
            return now.TryGetValue(s.ReaderId, out var today) ? today - before : null;
        }
        IReadOnlyList<GroupStay> told = [.. stays.Select(s => s with { Change = Change(s) })];
        return new(GroupPast.Of(told, await groups.Held(classId)), told);
    }

    private static IEnumerable<DateOnly> Days(GroupStay s, SchoolClock clock) =>
        s.To is { } to ? [clock.DayOf(s.From), clock.DayOf(to)] : [clock.DayOf(s.From)];
}
