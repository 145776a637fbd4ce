using DeepCurrent.Core.Access;
using DeepCurrent.Core.Changes;
using DeepCurrent.Data.Assignments;
using DeepCurrent.Data.Changes;
using DeepCurrent.Web.Changes;
using DeepCurrent.Web.SignIn;
using Npgsql;

namespace DeepCurrent.Web.Assignments;

/// <summary>Changes to a class's assignments: one transaction each, with the change that lists it and the notice to
/// whoever looks.</summary>
internal static class AssignmentChanges
{
    public static Task<Made?> DoIn(
        this ChangeStore changes,
        ClassId classId,
        Desk desk,
        ChangeKind kind,
        Func<NpgsqlConnection, NpgsqlTransaction, Task<Listed?>> command
    ) => changes.Do(new(desk.Who.SchoolId, classId, desk.Who.Adult, desk.Now), kind, async (c, t) =>
        {
            var done = await command(c, t);
            if (done is not null)
                await AssignmentWriter.Tell(c, t, classId);
            return done;
        });
}

/// <summary>Takes a change to assignments back, and tells whoever looks.</summary>
internal abstract class UndoesAssigning<TDetail>(ChangeKind kind) : Undoes<TDetail>(kind, Deed.Assign)
{
    protected sealed override async Task<Message> Undo(UndoAt at, TDetail did)
    {
        var classId = at.Change.ClassId!.Value;
        var said = await TakeBack(at, did, classId, at.Yardstick.Year.Clock.DayOf(at.Now));
        await AssignmentWriter.Tell(at.C, at.T, classId);
        return said;
    }

    /// <param name="today">The school's.</param>
    protected abstract Task<Message> TakeBack(UndoAt at, TDetail did, ClassId classId, DateOnly today);
}
