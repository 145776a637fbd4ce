using DeepCurrent.Core.Access;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Tickets;
using DeepCurrent.Data.Assignments;
using DeepCurrent.Data.Schools;
using DeepCurrent.Data.Tickets;
using DeepCurrent.Web.Assignments;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Tickets;

/// <param name="Points">Row by row of the rubric.</param>
public sealed record MarkRequest(IReadOnlyList<int> Points, string? Comment);

public sealed record MarkedView(TicketState State);

/// <summary>Answers that need a person.</summary>
public static class MarkingEndpoints
{
    private const int LongestComment = 500;

    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/classes/{classId:guid}/marking", Waiting);
        api.MapPut("/tickets/{ticketId:guid}/marks/{answerId:guid}", Mark);
        api.MapDelete("/tickets/{ticketId:guid}/marks/{answerId:guid}", Unmark);
        api.MapPost("/tickets/{ticketId:guid}/release", Release);
    }

    private static async Task<IReadOnlyList<ToMarkRow>> Waiting(ClassId classId, Desk desk, MarkingStore marking)
    {
        await desk.Class(classId, Deed.SeeClass);
        return await marking.Waiting(classId);
    }

    private static async Task<MarkedView> Mark(
        TicketId ticketId,
        AnswerId answerId,
        MarkRequest request,
        Desk desk,
        AssignmentStore assignments,
        SchoolStore schools,
        MarkingStore marking
    )
    {
        var (placed, place) = await desk.Ticket(assignments, ticketId, Deed.Mark);
        var rubric = await marking.RubricOf(ticketId, answerId) ?? throw NothingToMark();
        var given = Given(request, rubric);
        var year = await schools.Year(place.SchoolYearId);
        var state = await marking.Mark(
            ticketId,
            placed.Ticket.ReaderId,
            answerId,
            given,
            request.Comment?.Trim() ?? "",
            desk.Who.Adult,
            year,
            (await desk.School()).Chart,
            desk.Now
        );
        return new(state ?? throw NothingToMark());
    }

    private static async Task<MarkedView> Unmark(
        TicketId ticketId,
        AnswerId answerId,
        Desk desk,
        AssignmentStore assignments,
        SchoolStore schools,
        MarkingStore marking
    )
    {
        var (placed, place) = await desk.Ticket(assignments, ticketId, Deed.Mark);
        var state = await marking.Unmark(
            ticketId,
            placed.Ticket.ReaderId,
            answerId,
            await schools.Year(place.SchoolYearId),
            (await desk.School()).Chart,
            desk.Now
        );
        return new(
            state ?? throw Refused.Conflict("not-to-unmark", $"Its reader has seen this mark. Change it instead.")
        );
    }

    internal static Refused NothingToMark() => Refused.Conflict("not-to-mark", $"No written answer to mark here.");

    /// <summary>The mark that is asked for; refuses one that is none by its rubric.</summary>
    internal static GivenMark Given(MarkRequest request, Rubric rubric)
    {
        var mark = rubric.Mark(request.Points ?? []);
        new Faults()
            .If(
                mark is null,
                "points",
                $"These are not points of this rubric. It may have changed: reload, and mark by it as it is now."
            )
            .If(request.Comment?.Length > LongestComment, "comment", $"Use {LongestComment} letters or fewer.")
            .Refuse();
        return mark!;
    }

    private static async Task<MarkedView> Release(
        TicketId ticketId,
        Desk desk,
        AssignmentStore assignments,
        MarkingStore marking
    )
    {
        var (placed, _) = await desk.Ticket(assignments, ticketId, Deed.Mark);
        return await marking.Release(ticketId, placed.ClassId, desk.Now)
            ? new(TicketState.Released)
            : throw Refused.Conflict("not-marked", $"Mark every answer before releasing.");
    }
}
