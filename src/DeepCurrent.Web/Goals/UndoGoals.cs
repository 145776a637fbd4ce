using DeepCurrent.Core.Access;
using DeepCurrent.Data.Goals;
using DeepCurrent.Web.Changes;

namespace DeepCurrent.Web.Goals;

internal sealed class UndoGoals : IUndo
{
    public const string Name = "goals";

    public string Kind => Name;

    public Deed Deed => Deed.SetGoals;

    public async Task<string> Undo(UndoAt at) =>
        await GoalStore.Undo(at.C, at.T, at.Detail<List<GoalChange>>()) > 0 ? "The goals are as they were before." : throw UndoAt.BuiltOn("These goals have been changed again since.");
}
