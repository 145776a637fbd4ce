using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Tickets;
using DeepCurrent.Data.Choosing;
using DeepCurrent.Data.Texts;
using DeepCurrent.Data.Tickets;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Tickets;

/// <summary>Another version of a text, within the reader's reach. No depth is said: a reader chooses easier or
/// harder.</summary>
public sealed record MyVersion(VersionId VersionId, bool Harder);

public sealed record MyVersionRequest(VersionId VersionId);

/// <summary>A reader changes to another version within reach, where the teacher lets them.</summary>
public static class MyVersionEndpoints
{
    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/my/tickets/{ticketId:guid}/versions", Others);
        api.MapPost("/my/tickets/{ticketId:guid}/version", Change);
    }

    private static async Task<IReadOnlyList<MyVersion>> Others(
        TicketId ticketId,
        Desk desk,
        TicketStore tickets,
        TextStore texts,
        ChoosingStore choosing
    )
    {
        var ticket = await MyEndpoints.Mine(ticketId, desk, tickets);
        return
        [
            .. (await InReach(ticket, desk, texts, choosing)).Select(v => new MyVersion(
                v.Head.Id,
                v.Head.Depth > ticket.VersionDepth
            )),
        ];
    }

    private static async Task<IReadOnlyList<(VersionHead Head, Probability Forecast)>> InReach(
        OpenTicket ticket,
        Desk desk,
        TextStore texts,
        ChoosingStore choosing
    )
    {
        if (!ticket.MayChange || !TicketLife.Open(ticket.State))
            return [];
        var school = await desk.School();
        var depth = (await choosing.Past(ticket.ReaderId)).Depth;
        var cuts = new ZoneCuts(school.ZoneLow, school.ZoneHigh);
        return
        [
            .. (await texts.Versions([ticket.TextId], desk.Who.SchoolId))[ticket.TextId]
                .Where(v => v.Id != ticket.VersionId && Forecast.InReach(depth, v.Depth, cuts))
                .OrderBy(v => v.Depth.Value)
                .Select(v => (v, Forecast.Comprehension(depth, v.Depth))),
        ];
    }

    private static async Task<MyWork> Change(
        TicketId ticketId,
        MyVersionRequest request,
        Desk desk,
        TicketStore tickets,
        TextStore texts,
        ChoosingStore choosing,
        WorkSheet sheets
    )
    {
        var ticket = await MyEndpoints.Mine(ticketId, desk, tickets);
        // Sent twice it is done once.
        if (ticket.VersionId == request.VersionId)
            return await sheets.Of(ticket, desk.Who.SchoolId);
        var wanted = (await InReach(ticket, desk, texts, choosing)).Where(v => v.Head.Id == request.VersionId).ToList();
        if (wanted is not [var (head, forecast)])
            throw Refused.NotFound();
        if (!await tickets.ChangeVersion(ticket, head.Id, forecast, desk.Now))
            throw Refused.Conflict("begun", $"You have answered already. This version stays.");
        return await sheets.Of(await MyEndpoints.Mine(ticketId, desk, tickets), desk.Who.SchoolId);
    }
}
