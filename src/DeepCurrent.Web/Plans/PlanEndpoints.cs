using DeepCurrent.Core.Access;
using DeepCurrent.Core.Assignments;
using DeepCurrent.Core.Plans;
using DeepCurrent.Core.Schools;
using DeepCurrent.Data.Assignments;
using DeepCurrent.Data.Papers;
using DeepCurrent.Data.Plans;
using DeepCurrent.Web.Assignments;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.LevelChecks;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Plans;

/// <param name="Day">From 0 for Monday.</param>
/// <param name="Days">How many days later it is due; null where it never is.</param>
/// <param name="Papers">How many go with it.</param>
public sealed record PlanLine(int Week, int Day, int? Days, TaskKind Kind, string Title, TextId? TextId, int Papers);

/// <param name="InOrder">Each task in its week; else all are there from the first day.</param>
public sealed record SavedPlanView(
    PlanId Id,
    string Name,
    string? Owner,
    bool Own,
    bool Mine,
    bool InOrder,
    bool MayChange,
    int Revision,
    DateTimeOffset ChangedAt,
    int Weeks,
    IReadOnlyList<PlanLine> Items
);

/// <summary>A plan made of what lies in a class's weeks.</summary>
/// <param name="Monday">Of the first week.</param>
public sealed record NewPlanRequest(
    PlanId Id,
    string Name,
    bool Mine,
    bool InOrder,
    DateOnly Monday,
    IReadOnlyList<AssignmentId> AssignmentIds,
    IReadOnlyList<CheckId>? CheckIds = null
);

/// <summary>An item as it is now, in another place.</summary>
/// <param name="At">Its place before, from 0.</param>
public sealed record MovedItem(int At, int Week, int Day, int? Days);

/// <param name="Revision">The one the change began from.</param>
/// <param name="Items">Those that stay, in their order.</param>
public sealed record SavedPlanRequest(
    int Revision,
    string Name,
    bool Mine,
    bool InOrder,
    IReadOnlyList<MovedItem> Items
);

/// <summary>Plans of one's own, and the school's.</summary>
public static class PlanEndpoints
{
    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/plans", async (Desk desk, PlanStore plans) =>
        {
            desk.Library();
            return (await plans.All(desk.Who.SchoolId, desk.Who.Adult)).Select(p => View(p, desk)).ToList();
        });
        api.MapPost("/classes/{classId:guid}/plans", Make);
        api.MapPut("/plans/{planId:guid}", Change);
        api.MapDelete("/plans/{planId:guid}", Delete).Produces(StatusCodes.Status204NoContent);
        api.MapPost("/plans/{planId:guid}/restore", Restore);
    }

    private static async Task<SavedPlanView> Make(
        ClassId classId,
        NewPlanRequest request,
        Desk desk,
        AssignmentStore assignments,
        PaperStore papers,
        PlannedChecks planned,
        PlanStore plans
    )
    {
        await desk.Class(classId, Deed.Assign);
        if (await plans.Find(request.Id, desk.Who.SchoolId, desk.Who.Adult) is { } made)
            return View(made, desk);
        var ids = request.AssignmentIds.Distinct().ToList();
        var checkIds = (request.CheckIds ?? []).Distinct().ToList();
        if (ids.Count + checkIds.Count > Plan.MostItems)
            throw Refused.Field("items", $"Choose 1 to {Plan.MostItems} tasks.");
        var rows = await assignments.InClass(ids, classId);
        if (
            rows.Count < ids.Count
            || rows.Any(r => r.Chosen || SchoolWeek.FirstWeekday(r.VisibleFrom) < request.Monday)
        )
            throw Refused.NotFound();
        var tasks = await assignments.Tasks(ids);
        var found = rows.OrderBy(r => r.VisibleFrom)
            .ThenBy(r => r.DueOn)
            .Select(r => (r.Id, Item: ItemOf(r, tasks[r.Id], request.Monday)))
            // The same text for two groups is one task of a plan.
            .DistinctBy(x => (x.Item.Week, x.Item.Kind, x.Item.TextId, x.Item.Title))
            .ToList();
        var copies = await papers.CopyForPlan(request.Id, [.. found.Select(x => x.Id)]);
        var items = found.ConvertAll(x => x.Item with { Papers = [.. copies[x.Id]] });
        foreach (var id in checkIds)
            items.Add(await planned.Item(id, request.Monday));
        items = [.. items.OrderBy(i => (i.Week, i.Day))];
        return await Keep(
            new(request.Id, desk.Who.Adult, null, request.Name, request.Mine, request.InOrder, 0, desk.Now, items),
            desk,
            plans
        );
    }

    private static PlanItem ItemOf(AssignmentRow row, NewTask task, DateOnly monday) =>
        Plan.ItemOf(
            monday,
            MendEndpoints.TermsOf(row),
            task.Kind,
            row.Title,
            task.TextId,
            task.Content,
            (task.Attempts, task.OnTheWay, task.Aloud)
        );

    private static async Task<SavedPlanView> Change(PlanId planId, SavedPlanRequest request, Desk desk, PlanStore plans)
    {
        desk.Library();
        var before = await Changeable(planId, desk, plans);
        if (request.Items.Any(i => i.At < 0 || i.At >= before.Items.Count))
            throw Refused.Conflict("stale", $"Someone else changed this plan. Reload it to see the changes.");
        return await Keep(
            before with
            {
                Name = request.Name,
                // Whoever leads the school may put a colleague's plan right, but not hide it.
                Mine = request.Mine && before.OwnerId == desk.Who.Adult,
                InOrder = request.InOrder,
                Revision = request.Revision,
                ChangedAt = desk.Now,
                Items =
                [
                    .. request.Items.Select(i => before.Items[i.At] with { Week = i.Week, Day = i.Day, Days = i.Days }),
                ],
            },
            desk,
            plans
        );
    }

    private static async Task<SavedPlanView> Keep(PlanRow plan, Desk desk, PlanStore plans)
    {
        var tidy = plan with { Name = plan.Name?.Trim() ?? "" };
        new Faults().Of(Plan.Faults(tidy.Name, tidy.Items)).Refuse();
        if (!await plans.Keep(tidy, desk.Who.SchoolId))
            throw Refused.Conflict("stale", $"Someone else changed this plan. Reload it to see the changes.");
        return View(await plans.Find(tidy.Id, desk.Who.SchoolId, desk.Who.Adult) ?? throw Refused.NotFound(), desk);
    }

    private static async Task<IResult> Delete(PlanId planId, Desk desk, PlanStore plans)
    {
        desk.Library();
        var plan = await Changeable(planId, desk, plans);
        await plans.SetDeleted(plan.Id, desk.Who.SchoolId, desk.Now);
        return Results.NoContent();
    }

    private static async Task<SavedPlanView> Restore(PlanId planId, Desk desk, PlanStore plans)
    {
        desk.Library();
        var plan = await Changeable(planId, desk, plans);
        await plans.SetDeleted(plan.Id, desk.Who.SchoolId, null);
        return View(plan, desk);
    }

    private static async Task<PlanRow> Changeable(PlanId planId, Desk desk, PlanStore plans)
    {
        var plan = await plans.Find(planId, desk.Who.SchoolId, desk.Who.Adult) ?? throw Refused.NotFound();
        return MayChange(plan, desk) ? plan : throw Refused.NotFound();
    }

    private static bool MayChange(PlanRow plan, Desk desk) => desk.May(Deed.ChangeText, plan.OwnerId == desk.Who.Adult);

    private static SavedPlanView View(PlanRow p, Desk desk) =>
        new(
            p.Id,
            p.Name,
            p.Owner,
            p.OwnerId == desk.Who.Adult,
            p.Mine,
            p.InOrder,
            MayChange(p, desk),
            p.Revision,
            p.ChangedAt,
            p.Items.Select(i => i.Week + 1).DefaultIfEmpty(0).Max(),
            [.. p.Items.Select(i => new PlanLine(i.Week, i.Day, i.Days, i.Kind, i.Title, i.TextId, i.Papers.Count))]
        );
}
