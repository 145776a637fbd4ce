using DeepCurrent.Core.Access;
using DeepCurrent.Core.Changes;
using DeepCurrent.Data.Roster;
using DeepCurrent.Web.Changes;

namespace DeepCurrent.Web.Schools;

internal sealed class UndoMerged() : Undoes<Merged>(ChangeKind.Merged, Deed.ChangeRoster)
{
    protected override async Task<string> Undo(UndoAt at, Merged did) =>
        await MergeStore.Undo(at.C, at.T, did, at.Yardstick, at.Now)
            ? "They are two readers again."
            : throw UndoAt.BuiltOn("One of the two has been merged again since. Undo that first.");
}
