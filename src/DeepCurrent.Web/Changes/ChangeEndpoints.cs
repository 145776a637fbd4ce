using DeepCurrent.Core.Access;
using DeepCurrent.Core.Changes;
using DeepCurrent.Data.Changes;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.Roster;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Changes;

public sealed record UndoneView(Message Sentence);

/// <summary>The history of a class and of the school, and undo.</summary>
public static class ChangeEndpoints
{
    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/classes/{classId:guid}/changes", async (ClassId classId, Desk desk, ChangeStore changes) =>
        {
            await desk.Class(classId, Deed.SeeClass);
            return await changes.Of(classId);
        });
        api.MapGet("/school/changes", async (Desk desk, ChangeStore changes) =>
        {
            await desk.Lead();
            return await changes.OfSchool(desk.Who.SchoolId);
        });
        api.MapPost("/changes/{changeId:guid}/undo", Undo);
    }

    private static async Task<UndoneView> Undo(
        ChangeId changeId,
        Desk desk,
        ChangeStore changes,
        RosterDesk roster,
        IEnumerable<IUndo> kinds
    )
    {
        if (desk.Who.Role != Role.Teacher)
            throw Refused.NotFound();
        var change = await changes.Find(changeId, desk.Who.SchoolId) ?? throw Refused.NotFound();
        var undo = kinds.FirstOrDefault(k => k.Kind == change.Kind);
        await Allow(change, undo, desk);
        if (change.UndoneAt is not null)
            throw Undone();
        if (change.At < desk.Now - Tidying.Kept)
            throw Refused.Conflict("too-late", $"This is over {Tidying.Kept.Days} days old and cannot be undone.");
        // A roster's steps are packed, and compared with what is there before one is taken back.
        if (change.Kind is ChangeKind.Roster)
        {
            await roster.Undo(changeId);
            return new($"Undone.");
        }
        if (undo is null)
            throw Refused.Conflict("cannot-undo", $"This cannot be undone.");
        var yardstick = await roster.Yardstick();
        return new(
            await changes.Undo(changeId, desk.Now, (c, t) => undo.Undo(new(c, t, change, yardstick, desk.Now)))
                ?? throw Undone()
        );
    }

    private static Refused Undone() => Refused.Conflict("undone", $"This is already undone.");

    /// <summary>What one may do, one may take back; what belongs to the school, whoever did it and whoever leads
    /// it.</summary>
    private static async Task Allow(ChangeDetail change, IUndo? undo, Desk desk)
    {
        var deed = undo?.Deed ?? Deed.ChangeRoster;
        if (change.ClassId is { } classId)
            await desk.Class(classId, deed);
        else if (change.AdultId != desk.Who.Adult)
            await desk.Lead();
        foreach (var other in undo?.Elsewhere(change) ?? [])
            await desk.Class(other, deed);
    }
}
