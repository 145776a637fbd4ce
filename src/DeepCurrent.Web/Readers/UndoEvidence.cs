using DeepCurrent.Core.Access;
using DeepCurrent.Data.Measuring;
using DeepCurrent.Web.Changes;

namespace DeepCurrent.Web.Readers;

/// <summary>What was left out of a reader's evidence, or stated.</summary>
internal sealed record EvidenceChange(Guid ReaderId, IReadOnlyList<LeftOutBefore> Before, Guid? Stated);

internal sealed class UndoEvidence() : Undoes<EvidenceChange>(Name, Deed.JudgeLevel)
{
    public const string Name = "evidence";

    protected override async Task<string> Undo(UndoAt at, EvidenceChange did)
    {
        var undone = did.Stated is { } stated ? await DepthKeeper.Remove(at.C, at.T, did.ReaderId, stated, at.Yardstick.Year, at.Yardstick.Chart, at.Now)
            : await DepthKeeper.Restore(at.C, at.T, did.ReaderId, did.Before, at.Yardstick.Year, at.Yardstick.Chart, at.Now) > 0;
        return undone ? "The level is worked out as before." : throw UndoAt.BuiltOn("This is no longer there.");
    }
}
