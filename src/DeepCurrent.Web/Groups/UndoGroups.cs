using DeepCurrent.Core.Access;
using DeepCurrent.Core.Changes;
using DeepCurrent.Data.Groups;
using DeepCurrent.Web.Changes;

namespace DeepCurrent.Web.Groups;

internal sealed class UndoGroups() : Undoes<Regrouping>(ChangeKind.Groups, Deed.FormGroups)
{
    protected override async Task<Message> Undo(UndoAt at, Regrouping did) =>
        await GroupStore.Undo(at.C, at.T, at.Change.ClassId!.Value, did)
            ? (Message)$"Restored the earlier groups."
            : throw UndoAt.BuiltOn($"The groups were changed again since. Undo that first.");
}
