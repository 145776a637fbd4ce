using DeepCurrent.Core.Access;
using DeepCurrent.Data.Assignments;
using DeepCurrent.Data.Tickets;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;
using DeepCurrent.Web.Tickets;

namespace DeepCurrent.Web.Assignments;

/// <summary>What a reader sees, for those who teach them. Looking leaves no trace: nothing is opened, timed or
/// kept.</summary>
public static class AsReaderEndpoints
{
    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/classes/{classId:guid}/readers/{readerId:guid}/home", Home);
        api.MapGet("/tickets/{ticketId:guid}/work", Work);
    }

    private static async Task<IReadOnlyList<MyTicket>> Home(
        ClassId classId,
        ReaderId readerId,
        Giving giving,
        TicketStore tickets
    )
    {
        var room = await giving.Class(classId, Deed.SeeClass);
        _ = Giving.Chosen(room, [readerId]);
        return await tickets.Mine(readerId);
    }

    private static async Task<MyWork> Work(
        TicketId ticketId,
        Desk desk,
        AssignmentStore assignments,
        TicketStore tickets,
        WorkSheet sheets
    )
    {
        var (placed, _) = await desk.Ticket(assignments, ticketId, Deed.SeeClass);
        var ticket = await tickets.Find(ticketId, placed.Ticket.ReaderId) ?? throw Refused.NotFound();
        return await sheets.Of(ticket, desk.Who.SchoolId);
    }
}
