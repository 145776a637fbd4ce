using DeepCurrent.Core.Access;
using DeepCurrent.Data.Assignments;
using DeepCurrent.Data.Changes;
using DeepCurrent.Data.Goals;
using DeepCurrent.Data.Groups;
using DeepCurrent.Data.Readers;
using DeepCurrent.Data.Storage;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Changes;

public sealed record UndoneView(string Sentence);

/// <summary>The class's history and undo.</summary>
public static class ChangeEndpoints
{
    private sealed record AssignedDetail(Guid AssignmentId);

    private sealed record ReaderDetail(Guid ReaderId);

    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/classes/{classId:guid}/changes", async (Guid classId, Desk desk, ChangeStore changes) => { await desk.Class(classId, Deed.SeeClass); return await changes.Of(classId); });
        api.MapPost("/classes/{classId:guid}/changes/{changeId:guid}/undo", Undo);
    }

    private static async Task<UndoneView> Undo(Guid classId, Guid changeId, Desk desk, ChangeStore changes, AssignmentStore assignments, GoalStore goals, GroupStore groups, ReaderStore readers)
    {
        await desk.Class(classId, Deed.ChangeRoster);
        var change = await changes.Find(changeId, classId) ?? throw Refused.NotFound();
        if (change.UndoneAt is not null) throw Refused.Conflict("undone", "This has been undone already.");
        var sentence = change.Kind switch
        {
            "assigned" => Taken(await assignments.Withdraw(Database.FromJson<AssignedDetail>(change.Detail).AssignmentId, classId, desk.Now)),
            "goals" => Changed(await goals.Undo(Database.FromJson<List<GoalChange>>(change.Detail))),
            "groups" => await groups.Undo(classId, Database.FromJson<Regrouping>(change.Detail)) ? "The groups are as they were before." : throw Refused.Conflict("built-on", "The groups have been changed again since. Undo that first."),
            "reader-added" => await readers.RemoveUntouched(Database.FromJson<ReaderDetail>(change.Detail).ReaderId) ? "The reader has been taken off the roster." : throw Refused.Conflict("built-on", "This reader has been given work since. Undo that first."),
            _ => throw Refused.Conflict("cannot-undo", "This cannot be undone."),
        };
        await changes.MarkUndone(changeId, desk.Now);
        return new(sentence);
    }

    private static string Taken(int tickets) => tickets == 0 ? throw Refused.Conflict("built-on", "Everybody has handed this in already, so nothing is taken back.")
        : $"Taken back from {tickets} {(tickets == 1 ? "reader" : "readers")}. What was handed in is kept.";

    private static string Changed(int goals) => goals == 0 ? throw Refused.Conflict("built-on", "These goals have been changed again since.") : "The goals are as they were before.";
}
