using DeepCurrent.Core.Access;
using DeepCurrent.Core.Changes;
using DeepCurrent.Data.Goals;
using DeepCurrent.Web.Changes;

namespace DeepCurrent.Web.Goals;

internal sealed class UndoGoalMet() : Undoes<CalledMet>(ChangeKind.GoalMet, Deed.SetGoals)
{
    protected override async Task<Message> Undo(UndoAt at, CalledMet did) =>
        await GoalStore.CallMissed(at.C, at.T, did.Id)
            ? (Message)$"The goal stands as missed again."
            : throw UndoAt.BuiltOn($"This goal is not called met any more.");
}
