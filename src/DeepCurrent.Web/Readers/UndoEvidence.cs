using DeepCurrent.Core.Access;
using DeepCurrent.Core.Changes;
using DeepCurrent.Data.Measuring;
using DeepCurrent.Web.Changes;

namespace DeepCurrent.Web.Readers;

/// <summary>What was left out of a reader's evidence, or stated; or a level that was set, or ended.</summary>
internal sealed record EvidenceChange(
    ReaderId ReaderId,
    IReadOnlyList<LeftOutBefore> Before,
    EvidenceId? Stated,
    LevelWasSet? Set = null,
    LevelSetId? Ended = null
);

/// <param name="Before">The level that stood before it.</param>
internal sealed record LevelWasSet(LevelSetId Id, LevelSetId? Before);

internal sealed class UndoEvidence() : Undoes<EvidenceChange>(ChangeKind.Evidence, Deed.JudgeLevel)
{
    protected override async Task<Message> Undo(UndoAt at, EvidenceChange did)
    {
        if (did.Set is not null || did.Ended is not null)
        {
            var back = did.Set is { } set
                ? await SetLevels.TakeBack(at.C, at.T, did.ReaderId, set.Id, set.Before)
                : await SetLevels.StandAgain(at.C, at.T, did.ReaderId, did.Ended!.Value);
            if (!back)
                throw UndoAt.BuiltOn(
                    did.Set is null
                        ? (Message)$"Another level was set since."
                        : $"This level no longer counts: another was set, or a level check ended it."
                );
            await DepthKeeper.Recompute(at.C, at.T, did.ReaderId, at.Yardstick.Year, at.Yardstick.Chart, at.Now);
            return did.Set is null ? (Message)$"The set level counts again." : $"Restored the earlier level.";
        }
        var undone = did.Stated is { } stated
            ? await EvidenceWriter.Remove(
                at.C,
                at.T,
                did.ReaderId,
                stated,
                at.Yardstick.Year,
                at.Yardstick.Chart,
                at.Now
            )
            : await EvidenceWriter.Restore(
                at.C,
                at.T,
                did.ReaderId,
                did.Before,
                at.Yardstick.Year,
                at.Yardstick.Chart,
                at.Now
            ) > 0;
        return undone ? (Message)$"Restored the evidence." : throw UndoAt.BuiltOn($"This no longer exists.");
    }
}
