using DeepCurrent.Core.Access;
using DeepCurrent.Core.Changes;
using DeepCurrent.Data.LevelChecks;
using DeepCurrent.Web.Changes;
using DeepCurrent.Web.Hosting;

namespace DeepCurrent.Web.LevelChecks;

/// <summary>Readers who were given a check by this change, and nobody else.</summary>
internal sealed record CheckGiven(CheckId CheckId, IReadOnlyList<ReaderId> ReaderIds);

internal sealed record CheckAgain(IReadOnlyList<CheckPartId> Parts);

internal sealed class UndoCheckGiven() : Undoes<CheckGiven>(ChangeKind.CheckGiven, Deed.GiveCheck)
{
    protected override async Task<string> Undo(UndoAt at, CheckGiven did)
    {
        var taken = await CheckStore.Withdraw(at.C, at.T, did.CheckId, did.ReaderIds, at.Now);
        if (taken == 0)
            throw UndoAt.BuiltOn("It was taken back from them already.");
        await CheckStore.DiscardEmpty(at.C, at.T, did.CheckId, at.Now);
        return $"The level check is taken back from {Counted.Readers(taken)}. What was done is kept.";
    }
}

internal sealed class UndoCheckAgain() : Undoes<CheckAgain>(ChangeKind.CheckAgain, Deed.GiveCheck)
{
    protected override async Task<string> Undo(UndoAt at, CheckAgain did) =>
        await CheckStore.UndoAgain(at.C, at.T, did.Parts) > 0
            ? "Those parts are not given again. What was begun is kept."
            : throw UndoAt.BuiltOn("Everybody has begun already, so nothing is taken back.");
}

internal sealed class UndoCheckWithdrawn() : Undoes<CheckWithdrawn>(ChangeKind.CheckWithdrawn, Deed.GiveCheck)
{
    protected override async Task<string> Undo(UndoAt at, CheckWithdrawn did) =>
        await CheckStore.GiveBack(at.C, at.T, did, at.Now)
            ? "They have it again, as far as they were."
            : throw UndoAt.BuiltOn("Nothing is left to give back.");
}
