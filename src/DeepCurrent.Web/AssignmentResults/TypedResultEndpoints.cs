using DeepCurrent.Core.Access;
using DeepCurrent.Core.AssignmentResults;
using DeepCurrent.Core.Changes;
using DeepCurrent.Data.AssignmentResults;
using DeepCurrent.Data.Assignments;
using DeepCurrent.Data.Changes;
using DeepCurrent.Data.Texts;
using DeepCurrent.Web.Assignments;
using DeepCurrent.Web.Changes;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.Roster;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.AssignmentResults;

/// <param name="Points">Null to take the result away.</param>
public sealed record TypedRequest(TicketId TicketId, double? Points);

/// <param name="Of">The most points there were.</param>
/// <param name="Results">Those that change; the others stay.</param>
public sealed record TypedResultsRequest(int Of, IReadOnlyList<TypedRequest> Results);

public sealed record TypedResultsSaved(ChangeId ChangeId, Message Summary);

/// <summary>Results that came from elsewhere, typed or pasted, for tasks that nothing here scores.</summary>
public static class TypedResultEndpoints
{
    private const int Most = 2000;

    public static void Map(RouteGroupBuilder api) => api.MapPut("/assignments/{assignmentId:guid}/typed-results", Put);

    private static async Task<TypedResultsSaved> Put(
        AssignmentId assignmentId,
        TypedResultsRequest request,
        Desk desk,
        AssignmentStore assignments,
        TextStore texts,
        ChangeStore changes
    )
    {
        var (row, _) = await desk.Assignment(assignments, assignmentId, Deed.Mark);
        var asked = await ResultEndpoints.Asked(row, assignments, texts);
        if (!TypedResult.For(row.Kind, asked.Any(q => !q.OnTheWay)))
            throw Refused.Conflict("scored-here", $"Results of this task come from its answers.");
        var results = request.Results ?? [];
        var faults = new Faults().If(results.Count is 0 or > Most, "results", $"Enter at least one result.");
        foreach (var r in results)
            faults.Of($"{r.TicketId}", TypedResult.Fault(r.Points ?? 0, request.Of));
        faults.Refuse();
        var made = await changes.DoIn(row.ClassId, desk, ChangeKind.ResultsTyped, async (c, t) =>
        {
            var before = await TypedResultStore.Put(
                c,
                t,
                assignmentId,
                row.ClassId,
                [.. results.DistinctBy(r => r.TicketId).Select(r => new TypedOf(r.TicketId, r.Points, request.Of))],
                desk.Who.Adult,
                desk.Now
            );
            return before.Count == 0
                ? throw Refused.NotFound()
                : new(
                    new Typed(assignmentId, before, request.Of, [.. results.DistinctBy(r => r.TicketId)]),
                    $"Saved results of “{row.Title}” for {Counted.Readers(before.Count)}."
                );
        });
        return new(made!.Id, made.Summary);
    }
}

/// <param name="Before">What stood there.</param>
/// <param name="After">What was typed, of so many points.</param>
internal sealed record Typed(
    AssignmentId AssignmentId,
    IReadOnlyList<TypedOf> Before,
    int Of,
    IReadOnlyList<TypedRequest> After
);

/// <summary>Results are what they were, but for those that somebody has changed since.</summary>
internal sealed class UndoTyped(TypedResultStore store) : Undoes<Typed>(ChangeKind.ResultsTyped, Deed.Mark)
{
    protected override async Task<Message> Undo(UndoAt at, Typed did)
    {
        var classId = at.Change.ClassId!.Value;
        var now = await store.Of(did.AssignmentId, classId);
        var typed = did.After.ToDictionary(a => a.TicketId, a => a.Points);
        bool Stands(TypedOf b) =>
            now.TryGetValue(b.TicketId, out var stands)
                ? stands.Points == typed.GetValueOrDefault(b.TicketId) && stands.Of == did.Of
                : typed.GetValueOrDefault(b.TicketId) is null;
        IReadOnlyList<TypedOf> back = [.. did.Before.Where(Stands)];
        if (back.Count == 0)
            throw UndoAt.BuiltOn($"These results have been changed since.");
        await TypedResultStore.Put(at.C, at.T, did.AssignmentId, classId, back, at.Change.AdultId, at.Now);
        return back.Count == did.Before.Count
            ? (Message)$"The results are as they were."
            : $"The results are as they were, but for those changed since.";
    }
}
