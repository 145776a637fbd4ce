using DeepCurrent.Core.Access;
using DeepCurrent.Core.Changes;
using DeepCurrent.Data.Changes;
using DeepCurrent.Data.Tickets;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Assignments;

/// <param name="DueOn">Null for the assignment's day again.</param>
public sealed record OwnDayRequest(IReadOnlyList<TicketId> TicketIds, DateOnly? DueOn);

public sealed record RemindRequest(IReadOnlyList<TicketId> TicketIds);

/// <summary>Readers who need longer, and readers who need to be reminded.</summary>
public static class TicketDayEndpoints
{
    private const int MostTickets = 2000;

    public static void Map(RouteGroupBuilder api)
    {
        api.MapPost("/classes/{classId:guid}/tickets/day", SetDay);
        api.MapPost("/classes/{classId:guid}/tickets/remind", Remind);
    }

    private static async Task<DoneView> SetDay(ClassId classId, OwnDayRequest request, Desk desk, ChangeStore changes)
    {
        await desk.Class(classId, Deed.Assign);
        var today = await desk.Today();
        Some(request.TicketIds)
            .If(request.DueOn < today, "dueOn", $"This day has passed. Choose today or a later day.")
            .Refuse();
        var done = 0;
        var made = await changes.DoIn(classId, desk, ChangeKind.OwnDay, async (c, t) =>
        {
            var moved = await TicketDays.Set(c, t, request.TicketIds, classId, request.DueOn, desk.Now);
            done = moved.Count;
            return done == 0
                ? null
                : new(new DaySet(moved, request.DueOn), $"Changed the due day of {Counted.Readers(done)}");
        });
        return new(made?.Id, made?.Summary ?? $"Nothing changed", done, request.TicketIds.Distinct().Count() - done);
    }

    private static async Task<DoneView> Remind(ClassId classId, RemindRequest request, Desk desk, ChangeStore changes)
    {
        await desk.Class(classId, Deed.Assign);
        Some(request.TicketIds).Refuse();
        var done = 0;
        var made = await changes.DoIn(classId, desk, ChangeKind.Reminded, async (c, t) =>
        {
            var reminded = await TicketDays.Remind(c, t, request.TicketIds, classId, desk.Now);
            done = reminded.Count;
            return done == 0 ? null : new(new Reminded(reminded), $"Reminded {Counted.Readers(done)}");
        });
        return made is null
            ? throw Refused.Conflict("reminded", $"These readers have been reminded, or have handed it in.")
            : new(made.Id, made.Summary, done, request.TicketIds.Distinct().Count() - done);
    }

    private static Faults Some(IReadOnlyList<TicketId> ids) =>
        new Faults().If(ids is not { Count: > 0 and <= MostTickets }, "ticketIds", $"Choose at least one reader.");
}
