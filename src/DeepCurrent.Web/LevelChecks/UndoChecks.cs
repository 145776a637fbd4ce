using DeepCurrent.Core.Access;
using DeepCurrent.Data.LevelChecks;
using DeepCurrent.Web.Changes;

namespace DeepCurrent.Web.LevelChecks;

/// <summary>Readers who were given a check by this change, and nobody else.</summary>
internal sealed record CheckGiven(Guid CheckId, IReadOnlyList<Guid> ReaderIds);

internal sealed record CheckAgain(IReadOnlyList<Guid> Parts);

internal sealed class UndoCheckGiven : IUndo
{
    public const string Name = "check-given";

    public string Kind => Name;

    public Deed Deed => Deed.GiveCheck;

    public async Task<string> Undo(UndoAt at)
    {
        var given = at.Detail<CheckGiven>();
        var taken = await CheckStore.Withdraw(at.C, at.T, given.CheckId, given.ReaderIds, at.Now);
        if (taken == 0) throw UndoAt.BuiltOn("It was taken back from them already.");
        await CheckStore.DiscardEmpty(at.C, at.T, given.CheckId, at.Now);
        return $"The level check is taken back from {taken} {(taken == 1 ? "reader" : "readers")}. What was done is kept.";
    }
}

internal sealed class UndoCheckAgain : IUndo
{
    public const string Name = "check-again";

    public string Kind => Name;

    public Deed Deed => Deed.GiveCheck;

    public async Task<string> Undo(UndoAt at) =>
        await CheckStore.UndoAgain(at.C, at.T, at.Detail<CheckAgain>().Parts) > 0 ? "Those parts are not given again. What was begun is kept." : throw UndoAt.BuiltOn("Everybody has begun already, so nothing is taken back.");
}

internal sealed class UndoCheckWithdrawn : IUndo
{
    public const string Name = "check-withdrawn";

    public string Kind => Name;

    public Deed Deed => Deed.GiveCheck;

    public async Task<string> Undo(UndoAt at) =>
        await CheckStore.GiveBack(at.C, at.T, at.Detail<CheckWithdrawn>(), at.Now) ? "They have it again, as far as they were." : throw UndoAt.BuiltOn("Nothing is left to give back.");
}
