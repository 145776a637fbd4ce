using DeepCurrent.Core.Access;
using DeepCurrent.Data.Assignments;
using DeepCurrent.Data.Schools;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Assignments;

/// <summary>What is asked for by its id, with the class it is in, where the asker may do something there; everything
/// else is as unknown as what does not exist.</summary>
internal static class Placed
{
    public static async Task<(AssignmentRow Row, ClassPlace Place)> Assignment(
        this Desk desk,
        AssignmentStore assignments,
        AssignmentId id,
        Deed deed
    )
    {
        var row = await assignments.Find(id, desk.Who.SchoolId) ?? throw Refused.NotFound();
        return (row, await desk.Class(row.ClassId, deed));
    }

    public static async Task<(PlacedTicket Ticket, ClassPlace Place)> Ticket(
        this Desk desk,
        AssignmentStore assignments,
        TicketId id,
        Deed deed
    )
    {
        var placed = await assignments.Ticket(id, desk.Who.SchoolId) ?? throw Refused.NotFound();
        return (placed, await desk.Class(placed.ClassId, deed));
    }
}
