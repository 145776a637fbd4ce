using DeepCurrent.Core.Access;
using DeepCurrent.Core.Changes;
using DeepCurrent.Data.LevelChecks;
using DeepCurrent.Web.Changes;

namespace DeepCurrent.Web.LevelChecks;

/// <summary>Readers who were given a check by this change, and nobody else.</summary>
internal sealed record CheckGiven(CheckId CheckId, IReadOnlyList<ReaderId> ReaderIds);

internal sealed record CheckAgain(IReadOnlyList<CheckPartId> Parts);

internal sealed class UndoCheckGiven() : Undoes<CheckGiven>(ChangeKind.CheckGiven, Deed.GiveCheck)
{
    protected override async Task<Message> Undo(UndoAt at, CheckGiven did)
    {
        var taken = await CheckWriter.TakeBack(at.C, at.T, did.CheckId, did.ReaderIds, at.Now);
        if (taken == 0)
            throw UndoAt.BuiltOn($"It was already taken back from them.");
        await CheckWriter.DiscardEmpty(at.C, at.T, did.CheckId, at.Now);
        return $"Took back the level check from {Counted.Readers(taken)}. Answers are kept.";
    }
}

internal sealed class UndoCheckAgain() : Undoes<CheckAgain>(ChangeKind.CheckAgain, Deed.GiveCheck)
{
    protected override async Task<Message> Undo(UndoAt at, CheckAgain did) =>
        await CheckWriter.UndoAgain(at.C, at.T, did.Parts) > 0
            ? (Message)$"Took back the parts. Answers given are kept."
            : throw UndoAt.BuiltOn($"Everyone has started, so nothing was taken back.");
}

internal sealed class UndoCheckTakenBack() : Undoes<CheckTakenBack>(ChangeKind.CheckTakenBack, Deed.GiveCheck)
{
    protected override async Task<Message> Undo(UndoAt at, CheckTakenBack did) =>
        await CheckWriter.GiveBack(at.C, at.T, did, at.Now)
            ? (Message)$"They have it again, where they stopped."
            : throw UndoAt.BuiltOn($"There is nothing to give back.");
}
