using DeepCurrent.Core.Access;
using DeepCurrent.Data.Roster;
using DeepCurrent.Web.Changes;

namespace DeepCurrent.Web.Schools;

internal sealed class UndoMerged : IUndo
{
    public string Kind => "merged";

    public Deed Deed => Deed.ChangeRoster;

    public async Task<string> Undo(UndoAt at) =>
        await MergeStore.Undo(at.C, at.T, at.Detail<Merged>(), at.Yardstick, at.Now) ? "They are two readers again." : throw UndoAt.BuiltOn("One of the two has been merged again since. Undo that first.");
}
