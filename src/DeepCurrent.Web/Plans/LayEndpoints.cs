using DeepCurrent.Core.Assignments;
using DeepCurrent.Core.Plans;
using DeepCurrent.Web.Assignments;

namespace DeepCurrent.Web.Plans;

/// <param name="From">Of the first week; any day of it.</param>
public sealed record LookRequest(IReadOnlyList<ReaderId> ReaderIds, DateOnly From);

/// <summary>What becomes of one task of a plan on the days of a class.</summary>
/// <param name="Had">How many of the readers have had it: they do not get it again.</param>
/// <param name="Gone">Its text is not there any more, or has no quiz: it is left out.</param>
public sealed record LaidItem(TaskKind Kind, string Title, DateOnly VisibleFrom, DateOnly? DueOn, int Had, bool Gone);

/// <param name="Revision">Of the plan that was looked at.</param>
/// <param name="Ids">Of the assignments, one for each task of the plan, made by the page.</param>
/// <param name="Draft">Kept, and given later; else each comes on its day.</param>
/// <param name="OneByOne">Each opens when the one before is handed in, and on its day at the earliest.</param>
public sealed record LayRequest(
    int Revision,
    IReadOnlyList<ReaderId> ReaderIds,
    DateOnly From,
    IReadOnlyList<AssignmentId> Ids,
    bool Draft,
    bool OneByOne = false
);

/// <summary>Laying a plan on the days of a class.</summary>
public static class LayEndpoints
{
    public static void Map(RouteGroupBuilder api)
    {
        api.MapPost(
            "/classes/{classId:guid}/plans/{planId:guid}/look",
            (ClassId classId, PlanId planId, LookRequest request, PlanLaying laying) =>
                laying.Look(classId, planId, request)
        );
        api.MapPost(
            "/classes/{classId:guid}/plans/{planId:guid}/lay",
            (ClassId classId, PlanId planId, LayRequest request, PlanLaying laying) =>
                laying.Lay(classId, planId, request)
        );
    }
}
