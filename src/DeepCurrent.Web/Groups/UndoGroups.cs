using DeepCurrent.Core.Access;
using DeepCurrent.Data.Groups;
using DeepCurrent.Web.Changes;

namespace DeepCurrent.Web.Groups;

internal sealed class UndoGroups : IUndo
{
    public const string Name = "groups";

    public string Kind => Name;

    public Deed Deed => Deed.FormGroups;

    public async Task<string> Undo(UndoAt at) =>
        await GroupStore.Undo(at.C, at.T, at.Change.ClassId!.Value, at.Detail<Regrouping>()) ? "The groups are as they were before." : throw UndoAt.BuiltOn("The groups have been changed again since. Undo that first.");
}
