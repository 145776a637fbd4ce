using DeepCurrent.Core.Access;
using DeepCurrent.Data.Assignments;
using DeepCurrent.Data.Changes;
using DeepCurrent.Data.Goals;
using DeepCurrent.Data.Groups;
using DeepCurrent.Data.LevelChecks;
using DeepCurrent.Data.Measuring;
using DeepCurrent.Data.Roster;
using DeepCurrent.Data.Storage;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.LevelChecks;
using DeepCurrent.Web.Readers;
using DeepCurrent.Web.Roster;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Changes;

public sealed record UndoneView(string Sentence);

/// <summary>The history of a class and of the school, and undo.</summary>
public static class ChangeEndpoints
{
    private sealed record AssignedDetail(Guid AssignmentId);

    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/classes/{classId:guid}/changes", async (Guid classId, Desk desk, ChangeStore changes) => { await desk.Class(classId, Deed.SeeClass); return await changes.Of(classId); });
        api.MapGet("/school/changes", async (Desk desk, ChangeStore changes) => { await desk.Lead(); return await changes.OfSchool(desk.Who.SchoolId); });
        api.MapPost("/changes/{changeId:guid}/undo", Undo);
    }

    private static async Task<UndoneView> Undo(Guid changeId, Desk desk, ChangeStore changes, AssignmentStore assignments, GoalStore goals, GroupStore groups, RosterDesk roster, MergeStore merges, DepthKeeper keeper, CheckStore checks)
    {
        var change = await Allowed(changeId, desk, changes);
        if (change.UndoneAt is not null) throw Refused.Conflict("undone", "This has been undone already.");
        if (change.At < desk.Now - Tidying.Kept) throw Refused.Conflict("too-late", $"This was done more than {Tidying.Kept.Days} days ago and stays.");
        if (change.Kind == "roster")
        {
            await roster.Undo(changeId);
            return new("That is as it was before.");
        }
        var sentence = change.Kind switch
        {
            "assigned" => Taken(await assignments.Withdraw(Database.FromJson<AssignedDetail>(change.Detail).AssignmentId, change.ClassId!.Value, desk.Now)),
            "goals" => Changed(await goals.Undo(Database.FromJson<List<GoalChange>>(change.Detail))),
            "groups" => await groups.Undo(change.ClassId!.Value, Database.FromJson<Regrouping>(change.Detail)) ? "The groups are as they were before." : throw Refused.Conflict("built-on", "The groups have been changed again since. Undo that first."),
            "merged" => await merges.Undo(Database.FromJson<Merged>(change.Detail), await roster.Yardstick(), desk.Now) ? "They are two readers again." : throw Refused.Conflict("built-on", "One of the two has been merged again since. Undo that first."),
            "evidence" => await EvidenceEndpoints.Undo(Database.FromJson<EvidenceChange>(change.Detail), keeper, roster, desk.Now) ? "The level is worked out as before." : throw Refused.Conflict("built-on", "This is no longer there."),
            "check-given" => await TakeBack(Database.FromJson<CheckGiven>(change.Detail).CheckId, checks, desk.Now),
            "check-again" => await checks.UndoAgain(Database.FromJson<CheckAgain>(change.Detail).Parts) > 0 ? "Those parts are not given again. What was begun is kept." : throw Refused.Conflict("built-on", "Everybody has begun already, so nothing is taken back."),
            "check-withdrawn" => await checks.GiveBack(Database.FromJson<CheckWithdrawn>(change.Detail), desk.Now) ? "They have it again, as far as they were." : throw Refused.Conflict("built-on", "Nothing is left to give back."),
            _ => throw Refused.Conflict("cannot-undo", "This cannot be undone."),
        };
        await changes.MarkUndone(changeId, desk.Now);
        return new(sentence);
    }

    /// <summary>What one may do, one may take back; what belongs to the school, whoever did it and whoever leads it.</summary>
    private static async Task<ChangeDetail> Allowed(Guid changeId, Desk desk, ChangeStore changes)
    {
        if (desk.Who.Role != Role.Teacher) throw Refused.NotFound();
        var change = await changes.Find(changeId, desk.Who.SchoolId) ?? throw Refused.NotFound();
        if (change.ClassId is { } classId) await desk.Class(classId, change.Kind switch { "assigned" => Deed.Assign, "goals" => Deed.SetGoals, "groups" => Deed.FormGroups, "evidence" => Deed.JudgeLevel, "check-given" or "check-again" or "check-withdrawn" => Deed.GiveCheck, _ => Deed.ChangeRoster });
        else if (change.AdultId != desk.Who.Id) await desk.Lead();
        return change;
    }

    private static async Task<string> TakeBack(Guid checkId, CheckStore checks, DateTimeOffset now)
    {
        await checks.Discard(checkId, gone: true, now);
        return "The level check is taken back from everybody. What was done is kept.";
    }

    private static string Taken(int tickets) => tickets == 0 ? throw Refused.Conflict("built-on", "Everybody has handed this in already, so nothing is taken back.")
        : $"Taken back from {tickets} {(tickets == 1 ? "reader" : "readers")}. What was handed in is kept.";

    private static string Changed(int goals) => goals == 0 ? throw Refused.Conflict("built-on", "These goals have been changed again since.") : "The goals are as they were before.";
}
