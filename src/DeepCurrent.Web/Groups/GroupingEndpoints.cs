using DeepCurrent.Core.Access;
using DeepCurrent.Data.Groups;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Groups;

/// <summary>A way to group the class beside guided reading.</summary>
/// <param name="Others">Other classes whose readers it takes in.</param>
public sealed record GroupingView(GroupingId Id, string Name, IReadOnlyList<ClassId> Others);

/// <param name="Others">Other classes in which the asker may form groups.</param>
public sealed record GroupingRequest(string? Name, IReadOnlyList<ClassId>? Others);

/// <summary>The groupings of a class, and saving the groups of each.</summary>
public static class GroupingEndpoints
{
    private const int LongestName = 40,
        MostGroupings = 12,
        MostOthers = 7;

    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/classes/{classId:guid}/groupings", All);
        api.MapPut("/classes/{classId:guid}/groupings/{groupingId:guid}", Put);
        api.MapPost(
            "/classes/{classId:guid}/groupings/{groupingId:guid}/end",
            (ClassId classId, GroupingId groupingId, GroupSaving saving) => saving.End(classId, groupingId)
        );
        api.MapPut(
            "/classes/{classId:guid}/groups",
            (ClassId classId, GroupingId? grouping, SaveGroupsRequest request, GroupSaving saving) =>
                saving.Save(classId, grouping, request)
        );
    }

    private static async Task<IReadOnlyList<GroupingView>> All(ClassId classId, Desk desk, GroupingStore groupings)
    {
        await desk.Class(classId, Deed.SeeClass);
        return [.. (await groupings.Of(classId)).Select(View)];
    }

    private static async Task<GroupingView> Put(
        ClassId classId,
        GroupingId groupingId,
        GroupingRequest request,
        Desk desk,
        GroupingStore groupings
    )
    {
        await desk.Class(classId, Deed.FormGroups);
        var name = request.Name?.Trim() ?? "";
        var others = (request.Others ?? []).Where(c => c != classId).Distinct().ToList();
        var there = (await groupings.Of(classId)).Where(g => g.Id != groupingId).ToList();
        new Faults()
            .If(name.Length is 0 or > LongestName, "name", $"Enter a name of 40 letters or fewer.")
            .If(
                there.Exists(g => string.Equals(g.Name, name, StringComparison.OrdinalIgnoreCase)),
                "name",
                $"A grouping has this name. Choose another."
            )
            .If(there.Count >= MostGroupings, "name", $"Use {MostGroupings} groupings or fewer.")
            .If(others.Count > MostOthers, "others", $"Choose {MostOthers} other classes or fewer.")
            .Refuse();
        foreach (var other in others)
            await desk.Class(other, Deed.FormGroups);
        var grouping = new GroupingRow(groupingId, classId, name, others);
        return await groupings.Put(grouping, desk.Now) ? View(grouping) : throw Refused.NotFound();
    }

    private static GroupingView View(GroupingRow g) => new(g.Id, g.Name, g.Others);
}
