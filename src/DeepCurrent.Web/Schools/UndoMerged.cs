using DeepCurrent.Core.Access;
using DeepCurrent.Core.Changes;
using DeepCurrent.Data.Roster;
using DeepCurrent.Web.Changes;

namespace DeepCurrent.Web.Schools;

internal sealed class UndoMerged() : Undoes<Merged>(ChangeKind.Merged, Deed.ChangeRoster)
{
    protected override async Task<Message> Undo(UndoAt at, Merged did) =>
        await MergeStore.Undo(at.C, at.T, did, at.Yardstick, at.Now)
            ? (Message)$"Separated the two readers."
            : throw UndoAt.BuiltOn($"One of the two has been merged again since. Undo that first.");
}
