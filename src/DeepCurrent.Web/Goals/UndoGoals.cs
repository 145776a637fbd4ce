using DeepCurrent.Core.Access;
using DeepCurrent.Core.Changes;
using DeepCurrent.Data.Goals;
using DeepCurrent.Web.Changes;

namespace DeepCurrent.Web.Goals;

internal sealed class UndoGoals() : Undoes<List<GoalChange>>(ChangeKind.Goals, Deed.SetGoals)
{
    protected override async Task<Message> Undo(UndoAt at, List<GoalChange> did) =>
        await GoalStore.Undo(at.C, at.T, did) > 0
            ? (Message)$"Restored the earlier goals."
            : throw UndoAt.BuiltOn($"These goals were changed again since. Undo that first.");
}
