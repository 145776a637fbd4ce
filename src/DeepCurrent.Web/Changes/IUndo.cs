using DeepCurrent.Core.Access;
using DeepCurrent.Core.Changes;
using DeepCurrent.Data.Changes;
using DeepCurrent.Data.Roster;
using DeepCurrent.Data.Storage;
using DeepCurrent.Web.Hosting;
using Npgsql;

namespace DeepCurrent.Web.Changes;

/// <summary>What an undo works in: one transaction, which also marks the change as undone.</summary>
public sealed record UndoAt(
    NpgsqlConnection C,
    NpgsqlTransaction T,
    ChangeDetail Change,
    Yardstick Yardstick,
    DateTimeOffset Now
)
{
    public static Refused BuiltOn(Message message) => Refused.Conflict("built-on", message);
}

/// <summary>Takes changes of one kind back: exactly what the change did, and nothing else. Lives with its
/// subject.</summary>
public interface IUndo
{
    /// <summary>The kind of change, as the history lists it.</summary>
    ChangeKind Kind { get; }

    /// <summary>What one must be allowed to do in the class to take it back.</summary>
    Deed Deed { get; }

    /// <summary>Other classes that it changed, in which one must be allowed to do that, too.</summary>
    IReadOnlyList<ClassId> Elsewhere(ChangeDetail change) => [];

    /// <returns>What is so now, in a sentence.</returns>
    /// <exception cref="Refused">Somebody has built on it, with who and what where that is known.</exception>
    Task<Message> Undo(UndoAt at);
}

/// <summary>An undo of changes that keep one kind of detail.</summary>
public abstract class Undoes<TDetail>(ChangeKind kind, Deed deed) : IUndo
{
    public ChangeKind Kind => kind;

    public Deed Deed => deed;

    public IReadOnlyList<ClassId> Elsewhere(ChangeDetail change) =>
        Elsewhere(Database.FromJson<TDetail>(change.Detail));

    public Task<Message> Undo(UndoAt at) => Undo(at, Database.FromJson<TDetail>(at.Change.Detail));

    protected virtual IReadOnlyList<ClassId> Elsewhere(TDetail did) => [];

    protected abstract Task<Message> Undo(UndoAt at, TDetail did);
}
