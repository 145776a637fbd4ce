using DeepCurrent.Core.Access;
using DeepCurrent.Core.Changes;
using DeepCurrent.Core.Goals;
using DeepCurrent.Data.Changes;
using DeepCurrent.Data.Goals;
using DeepCurrent.Data.Schools;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Goals;

/// <summary>A goal of a term that is over, to be called met.</summary>
public sealed record CallMetRequest(TermId TermId, ReaderId ReaderId, GoalKind Kind, string? Reason);

/// <summary>Goals that were just missed, called met for two weeks after their term.</summary>
public static class MetEndpoints
{
    private const int LongestReason = 200;

    public static void Map(RouteGroupBuilder api) => api.MapPost("/classes/{classId:guid}/goals/met", CallMet);

    private static async Task<SetGoalsView> CallMet(
        ClassId classId,
        CallMetRequest request,
        Desk desk,
        SchoolStore schools,
        GoalStore goals,
        GoalBook book,
        ChangeStore changes
    )
    {
        var place = await desk.Class(classId, Deed.SetGoals);
        var reason = request.Reason?.Trim() ?? "";
        new Faults()
            .If(reason.Length is 0 or > LongestReason, "reason", $"Say why, in {LongestReason} letters or fewer.")
            .Refuse();
        var year = await schools.Year(place.SchoolYearId);
        var term = year.Terms.FirstOrDefault(t => t.Id == request.TermId) ?? throw Refused.NotFound();
        var goal = (await goals.Of(classId, term.Id)).FirstOrDefault(g =>
            g.ReaderId == request.ReaderId && g.Kind == request.Kind
        ) ?? throw Refused.NotFound();
        var of = await book.Of(classId, await desk.School(), year, term);
        if (
            !of.Facts.TryGetValue(request.ReaderId, out var facts)
            || !of.For(request.ReaderId).MayCallMet(goal.Kind, goal.Target, facts)
        )
            throw Refused.Conflict(
                "not-near",
                $"Only a near miss can be called met, in the {GoalRules.DaysToCallMet} days after its term."
            );
        var change = await changes.Do(
            new(desk.Who.SchoolId, classId, desk.Who.Adult, desk.Now),
            ChangeKind.GoalMet,
            async (c, t) =>
                await GoalStore.CallMet(c, t, goal.Id, reason, desk.Who.Adult, desk.Now)
                    ? new(new CalledMet(goal.Id), $"Called a goal met: {reason}")
                    : null
        );
        return new(change?.Id, change is null ? 0 : 1);
    }
}
