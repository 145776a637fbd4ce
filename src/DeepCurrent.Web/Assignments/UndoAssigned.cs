using DeepCurrent.Core.Access;
using DeepCurrent.Data.Assignments;
using DeepCurrent.Web.Changes;

namespace DeepCurrent.Web.Assignments;

/// <summary>What was given at once.</summary>
internal sealed record Assigned(IReadOnlyList<Guid> AssignmentIds);

internal sealed class UndoAssigned : IUndo
{
    public const string Name = "assigned";

    public string Kind => Name;

    public Deed Deed => Deed.Assign;

    public async Task<string> Undo(UndoAt at)
    {
        var taken = await AssignmentStore.Withdraw(at.C, at.T, at.Detail<Assigned>().AssignmentIds, at.Change.ClassId!.Value, at.Now);
        return taken == 0 ? throw UndoAt.BuiltOn("Everybody has handed this in already, so nothing is taken back.") : $"Taken back from {taken} {(taken == 1 ? "reader" : "readers")}. What was handed in is kept.";
    }
}
