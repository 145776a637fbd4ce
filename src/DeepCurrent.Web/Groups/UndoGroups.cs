using DeepCurrent.Core.Access;
using DeepCurrent.Core.Changes;
using DeepCurrent.Data.Groups;
using DeepCurrent.Web.Assignments;
using DeepCurrent.Web.Changes;

namespace DeepCurrent.Web.Groups;

internal sealed class UndoGroups() : Undoes<Regrouping>(ChangeKind.Groups, Deed.FormGroups)
{
    protected override IReadOnlyList<ClassId> Elsewhere(Regrouping did) =>
        [.. (did.Elsewhere ?? []).Select(e => e.ClassId)];

    protected override async Task<Message> Undo(UndoAt at, Regrouping did)
    {
        var classId = at.Change.ClassId!.Value;
        if (!await GroupWriter.Undo(at.C, at.T, classId, did))
            throw UndoAt.BuiltOn($"The groups were changed again since. Undo that first.");
        if (did.Followed is { Any: true } followed)
            await Following.Undo(at.C, at.T, classId, followed, at.Now);
        foreach (var there in did.Elsewhere ?? [])
            await Following.Undo(at.C, at.T, there.ClassId, there.Followed, at.Now);
        return $"Restored the earlier groups.";
    }
}
