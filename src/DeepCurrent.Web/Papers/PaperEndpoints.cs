using DeepCurrent.Core.Access;
using DeepCurrent.Core.Papers;
using DeepCurrent.Data.Assignments;
using DeepCurrent.Data.Papers;
using DeepCurrent.Data.Storage;
using DeepCurrent.Web.Assignments;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Papers;

public sealed record StrokesRequest(IReadOnlyList<Stroke> Strokes);

/// <summary>Papers of a teacher's own that go with an assignment: to look at, or a copy each to write on.</summary>
public static class PaperEndpoints
{
    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/assignments/{assignmentId:guid}/papers", Of);
        api.MapPut("/assignments/{assignmentId:guid}/papers/{paperId:guid}", Add).TakesFile(Paper.LargestFile);
        api.MapPut("/classes/{classId:guid}/papers/{paperId:guid}", AddBeforehand)
            .TakesFile(Paper.LargestFile)
            .Produces(StatusCodes.Status204NoContent);
        api.MapDelete("/papers/{paperId:guid}", Remove);
        api.MapPost("/papers/{paperId:guid}/restore", Restore);
        api.MapGet("/papers/{paperId:guid}/file", File);
        api.MapGet("/tickets/{ticketId:guid}/papers", OfTicket);
        api.MapGet("/my/tickets/{ticketId:guid}/papers", Mine);
        api.MapGet("/my/tickets/{ticketId:guid}/papers/{paperId:guid}/file", MyFile);
        api.MapPut("/my/tickets/{ticketId:guid}/papers/{paperId:guid}/strokes", Draw);
    }

    private static async Task<IReadOnlyList<PaperRow>> Of(
        AssignmentId assignmentId,
        Desk desk,
        AssignmentStore assignments,
        PaperStore papers
    )
    {
        await desk.Assignment(assignments, assignmentId, Deed.SeeClass);
        return await papers.Of(assignmentId, desk.Who.SchoolId);
    }

    /// <summary>A paper that is to go with what is being given; it is forgotten where nothing is.</summary>
    /// <param name="name">What readers see it called.</param>
    /// <param name="each">Each reader writes on a copy of their own.</param>
    private static async Task<IResult> AddBeforehand(
        ClassId classId,
        PaperId paperId,
        string? name,
        bool? each,
        HttpRequest request,
        Desk desk,
        PaperStore papers
    )
    {
        await desk.Class(classId, Deed.Assign);
        var (bytes, called, kind) = await Read(request, name);
        var waiting = await papers.ForgetBeforehand(desk.Who.Adult, desk.Now - Paper.KeptBeforehand);
        Wrong(called, kind)
            .If(
                waiting >= Paper.MostBeforehand,
                "file",
                $"You have {Paper.MostBeforehand} papers that go with nothing yet. Assign one first."
            )
            .Refuse();
        await papers.Add(New(paperId, null, called, kind, bytes, each, desk));
        return Results.NoContent();
    }

    private static async Task<(byte[] Bytes, string Called, PaperKind? Kind)> Read(HttpRequest request, string? name)
    {
        using var body = new MemoryStream();
        await request.Body.CopyToAsync(body);
        var bytes = body.ToArray();
        return (bytes, name?.Trim() ?? "", Paper.KindOf(bytes));
    }

    private static Faults Wrong(string called, PaperKind? kind) =>
        new Faults()
            .If(
                called.Length is 0 or > Paper.LongestName,
                "name",
                $"Enter a name of {Paper.LongestName} letters or fewer."
            )
            .If(kind is null, "file", $"Choose a PDF, PNG or JPEG file.");

    private static NewPaper New(
        PaperId id,
        AssignmentId? assignmentId,
        string name,
        PaperKind? kind,
        byte[] bytes,
        bool? each,
        Desk desk
    ) =>
        new(
            id,
            desk.Who.SchoolId,
            assignmentId,
            name,
            kind ?? PaperKind.Pdf,
            bytes,
            each ?? false,
            desk.Who.Adult,
            desk.Now
        );

    /// <param name="name">What readers see it called.</param>
    /// <param name="each">Each reader writes on a copy of their own.</param>
    private static async Task<IReadOnlyList<PaperRow>> Add(
        AssignmentId assignmentId,
        PaperId paperId,
        string? name,
        bool? each,
        HttpRequest request,
        Desk desk,
        AssignmentStore assignments,
        PaperStore papers,
        Notices notices
    )
    {
        var (row, _) = await desk.Assignment(assignments, assignmentId, Deed.Assign);
        var (bytes, called, kind) = await Read(request, name);
        var there = await papers.Of(assignmentId, desk.Who.SchoolId);
        Wrong(called, kind)
            .If(
                there.Count >= Paper.MostOfAssignment && there.All(p => p.Id != paperId),
                "file",
                $"An assignment can have {Paper.MostOfAssignment} papers. Remove one first."
            )
            .Refuse();
        await papers.Add(New(paperId, assignmentId, called, kind, bytes, each, desk));
        notices.Changed(row.ClassId);
        return await papers.Of(assignmentId, desk.Who.SchoolId);
    }

    private static Task Remove(
        PaperId paperId,
        Desk desk,
        AssignmentStore assignments,
        PaperStore papers,
        Notices notices
    ) => SetRemoved(paperId, desk.Now, desk, assignments, papers, notices);

    private static Task Restore(
        PaperId paperId,
        Desk desk,
        AssignmentStore assignments,
        PaperStore papers,
        Notices notices
    ) => SetRemoved(paperId, null, desk, assignments, papers, notices);

    private static async Task SetRemoved(
        PaperId id,
        DateTimeOffset? at,
        Desk desk,
        AssignmentStore assignments,
        PaperStore papers,
        Notices notices
    )
    {
        var paper = await papers.Find(id, desk.Who.SchoolId) ?? throw Refused.NotFound();
        var (row, _) = await desk.Assignment(assignments, paper.AssignmentId, Deed.Assign);
        await papers.SetRemoved(id, at);
        notices.Changed(row.ClassId);
    }

    private static async Task<IResult> File(PaperId paperId, Desk desk, AssignmentStore assignments, PaperStore papers)
    {
        var paper = await papers.Find(paperId, desk.Who.SchoolId) ?? throw Refused.NotFound();
        await desk.Assignment(assignments, paper.AssignmentId, Deed.SeeClass);
        return await Sent(paperId, papers);
    }

    private static async Task<IResult> Sent(PaperId id, PaperStore papers)
    {
        var file = await papers.File(id) ?? throw Refused.NotFound();
        return Results.File(file.Bytes, Paper.TypeOf(file.Kind));
    }

    private static async Task<IReadOnlyList<PaperCopy>> OfTicket(
        TicketId ticketId,
        Desk desk,
        AssignmentStore assignments,
        PaperStore papers
    )
    {
        await desk.Ticket(assignments, ticketId, Deed.SeeClass);
        return await papers.Copies(ticketId);
    }

    private static async Task<IReadOnlyList<PaperCopy>> Mine(TicketId ticketId, Desk desk, PaperStore papers)
    {
        var reader = desk.Self();
        return await papers.Sees(reader, ticketId) ? await papers.Copies(ticketId) : throw Refused.NotFound();
    }

    private static async Task<IResult> MyFile(TicketId ticketId, PaperId paperId, Desk desk, PaperStore papers) =>
        await papers.Has(desk.Self(), ticketId, paperId) ? await Sent(paperId, papers) : throw Refused.NotFound();

    private static async Task<IReadOnlyList<Stroke>> Draw(
        TicketId ticketId,
        PaperId paperId,
        StrokesRequest request,
        Desk desk,
        PaperStore papers
    )
    {
        var reader = desk.Self();
        if (!await papers.Has(reader, ticketId, paperId))
            throw Refused.NotFound();
        new Faults()
            .If(!Paper.Fits(request.Strokes ?? []), "strokes", $"This is too much for one paper. Rub something out.")
            .Refuse();
        return await papers.Draw(ticketId, reader, paperId, request.Strokes ?? [], desk.Now)
            ?? throw Refused.Conflict("not-open", $"This is closed. It may be handed in already.");
    }
}
