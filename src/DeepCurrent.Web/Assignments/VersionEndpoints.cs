using DeepCurrent.Core.Access;
using DeepCurrent.Core.Changes;
using DeepCurrent.Data.Assignments;
using DeepCurrent.Data.Changes;
using DeepCurrent.Data.Tickets;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Assignments;

public sealed record VersionRequest(VersionId VersionId);

/// <summary>Another version of a text for a reader who has it already.</summary>
public static class VersionEndpoints
{
    public static void Map(RouteGroupBuilder api) => api.MapPost("/tickets/{ticketId:guid}/version", Change);

    private static async Task<DoneView> Change(
        TicketId ticketId,
        VersionRequest request,
        Desk desk,
        Giving giving,
        AssignmentStore assignments,
        ChangeStore changes
    )
    {
        var placed = await assignments.Ticket(ticketId, desk.Who.SchoolId) ?? throw Refused.NotFound();
        var room = await giving.Class(placed.ClassId, Deed.Assign);
        if (placed.TextId is not { } textId)
            throw Refused.Field("versionId", $"There is no text in this.");
        var fit = (await giving.Fits([textId], Giving.Chosen(room, [placed.Ticket.ReaderId])))[textId].Single();
        var version = fit.Versions.FirstOrDefault(v => v.VersionId == request.VersionId) ?? throw Refused.NotFound();
        var to = new HadVersion(ticketId, version.VersionId, new(version.Forecast / 100.0));
        var name = placed.Ticket.GivenName;
        var made = await changes.DoIn(placed.ClassId, desk, ChangeKind.VersionChanged, async (c, t) =>
            await TicketVersions.Set(c, t, to, placed.ClassId, desk.Now) is { } had
                ? new(new VersionSet(had, to), $"Changed the version of “{placed.Title}” for {name}")
                : null
        );
        return made is null
            ? throw Refused.Conflict("begun", $"{name} has this version, or has answered or recorded it already.")
            : new(made.Id, made.Summary, 1, 0);
    }
}
