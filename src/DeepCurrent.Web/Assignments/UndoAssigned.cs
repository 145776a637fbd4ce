using DeepCurrent.Core.Access;
using DeepCurrent.Core.Changes;
using DeepCurrent.Data.Assignments;
using DeepCurrent.Web.Changes;
using DeepCurrent.Web.Hosting;

namespace DeepCurrent.Web.Assignments;

/// <summary>What was given at once.</summary>
internal sealed record Assigned(IReadOnlyList<AssignmentId> AssignmentIds);

internal sealed class UndoAssigned() : Undoes<Assigned>(ChangeKind.Assigned, Deed.Assign)
{
    protected override async Task<Message> Undo(UndoAt at, Assigned did)
    {
        var taken = await AssignmentStore.TakeBack(at.C, at.T, did.AssignmentIds, at.Change.ClassId!.Value, at.Now);
        return taken == 0
            ? throw UndoAt.BuiltOn($"Everyone has handed this in, so nothing was taken back.")
            : (Message)$"Taken back from {Counted.Readers(taken)}. What was handed in is kept.";
    }
}
