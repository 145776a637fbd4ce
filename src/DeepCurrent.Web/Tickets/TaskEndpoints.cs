using DeepCurrent.Core.Access;
using DeepCurrent.Core.Assignments;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Messages;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Roster;
using DeepCurrent.Core.Tickets;
using DeepCurrent.Data.Assignments;
using DeepCurrent.Data.Readers;
using DeepCurrent.Data.Texts;
using DeepCurrent.Data.Tickets;
using DeepCurrent.Web.Assignments;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Tickets;

/// <summary>A task without a text, as its reader does it.</summary>
public sealed record MyTask
{
    public required TicketId Id { get; init; }

    public required TaskKind Kind { get; init; }

    public required TicketState State { get; init; }

    public required string Title { get; init; }

    public required string Directions { get; init; }

    public required string HomeDirections { get; init; }

    public required string HomeLanguage { get; init; }

    /// <summary>Of the teacher, who sent it back; empty where it is the first round.</summary>
    public required string Comment { get; init; }

    public required string Prompt { get; init; }

    public required string Url { get; init; }

    public required IReadOnlyList<MyWord> Words { get; init; }

    public required int AtOnce { get; init; }

    public required WordPractice By { get; init; }

    public required string Written { get; init; }

    public required IReadOnlyList<PractisedWord> Practised { get; init; }

    public required Probability? Score { get; init; }

    /// <summary>Of what was written, once the teacher has released it.</summary>
    public required GivenMark? Mark { get; init; }

    /// <summary>What the teacher wrote to the answer, once it is released.</summary>
    public required string Said { get; init; }

    /// <summary>Others' answers are seen once this one is handed in.</summary>
    public required bool Talk { get; init; }

    /// <summary>Several may hand in one answer.</summary>
    public required bool Together { get; init; }

    /// <summary>Tickets of those whom the reader has named.</summary>
    public required IReadOnlyList<TicketId> Partners { get; init; }

    /// <summary>What is done for the reader in this task.</summary>
    public required Supports Supports { get; init; }
}

/// <summary>Somebody who can hand in the same answer.</summary>
/// <param name="TicketId">Theirs.</param>
/// <param name="Name">As the class calls them.</param>
public sealed record PartnerView(TicketId TicketId, string Name);

/// <param name="MayJoin">Those with whom the answer can still be handed in.</param>
/// <param name="WroteIt">Those who have handed in the same answer.</param>
public sealed record PartnersView(IReadOnlyList<PartnerView> MayJoin, IReadOnlyList<string> WroteIt);

/// <param name="Words">Written so far.</param>
/// <param name="Practised">Words practised so far.</param>
/// <param name="At">By the device's clock.</param>
/// <param name="Partners">Tickets of those who hand in the same answer; null where nothing is said of it.</param>
public sealed record ReplyRequest(
    string? Words,
    IReadOnlyList<PractisedWord>? Practised,
    DateTimeOffset At,
    IReadOnlyList<TicketId>? Partners = null
);

/// <summary>Tasks without a text: what a reader does for them, and what a teacher sees and marks of it.</summary>
public static class TaskEndpoints
{
    private const int MostPartners = 5;

    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/my/tasks/{ticketId:guid}", Mine);
        api.MapGet("/my/tasks/{ticketId:guid}/partners", Partners);
        api.MapPut("/my/tickets/{ticketId:guid}/reply", Keep);
        api.MapGet("/tickets/{ticketId:guid}/task", AsReader);
        api.MapPut("/tickets/{ticketId:guid}/reply/mark", Mark);
        api.MapDelete("/tickets/{ticketId:guid}/reply/mark", Unmark);
    }

    private static async Task<MyTask> Mine(TicketId ticketId, Desk desk, ReplyStore replies, MeaningStore meanings) =>
        await View(await replies.Find(ticketId, desk.Self()) ?? throw Refused.NotFound(), meanings);

    /// <summary>Who can hand in the same answer, and who has.</summary>
    private static async Task<PartnersView> Partners(
        TicketId ticketId,
        Desk desk,
        ReplyStore replies,
        JointReplies joint,
        ClassmateNames names
    )
    {
        var reader = desk.Self();
        var task = await replies.Find(ticketId, reader) ?? throw Refused.NotFound();
        if (!task.Content.Together)
            return new([], []);
        var called = await names.Of(reader, await desk.Today());
        var mayJoin = TicketLife.Open(task.State) ? await joint.MayJoin(ticketId, reader) : [];
        return new(
            [
                .. mayJoin
                    .Where(k => called.ContainsKey(k.ReaderId))
                    .Select(k => new PartnerView(k.Id, called[k.ReaderId]))
                    .OrderByName(p => p.Name),
            ],
            [
                .. (await joint.WroteWith(ticketId))
                    .Select(r => called.GetValueOrDefault(r))
                    .OfType<string>()
                    .OrderByName(n => n),
            ]
        );
    }

    /// <summary>Keeps what the reader has done so far; it is safe to send twice.</summary>
    private static async Task<MyTask> Keep(
        TicketId ticketId,
        ReplyRequest request,
        Desk desk,
        ReplyStore replies,
        MeaningStore meanings
    )
    {
        var reader = desk.Self();
        var task = await replies.Find(ticketId, reader) ?? throw Refused.NotFound();
        var words = request.Words?.Trim() ?? "";
        var practised = request.Practised ?? [];
        new Faults()
            .If(words.Length > Response.LongestWords, "words", $"Use {Response.LongestWords} letters or fewer.")
            .If(words.Length > 0 && task.Kind is not TaskKind.Written, "words", $"There is nothing to write here.")
            .If(
                practised.Any(p => p is null) || !Practice.Fits(practised, task.Words),
                "practised",
                $"These are not the words of this list."
            )
            .If(request.Partners?.Count > MostPartners, "partners", $"Choose {MostPartners} others or fewer.")
            .Refuse();
        var kept = await replies.Keep(
            ticketId,
            reader,
            words,
            practised,
            request.Partners,
            desk.Given(request.At),
            desk.Now
        );
        return await View(
            kept ?? throw Refused.Conflict("not-open", $"This is closed. It may be handed in already."),
            meanings
        );
    }

    /// <summary>What the reader sees, for those who teach them; looking leaves no trace.</summary>
    private static async Task<MyTask> AsReader(
        TicketId ticketId,
        Desk desk,
        AssignmentStore assignments,
        ReplyStore replies,
        MeaningStore meanings
    )
    {
        var (placed, _) = await desk.Ticket(assignments, ticketId, Deed.SeeClass);
        return await View(await replies.Find(ticketId, placed.Ticket.ReaderId) ?? throw Refused.NotFound(), meanings);
    }

    private static async Task<MarkedView> Mark(
        TicketId ticketId,
        MarkRequest request,
        Desk desk,
        AssignmentStore assignments,
        ReplyStore replies,
        ReplyMarker marker
    )
    {
        var (placed, _) = await desk.Ticket(assignments, ticketId, Deed.Mark);
        var task = await replies.Find(ticketId, placed.Ticket.ReaderId) ?? throw MarkingEndpoints.NothingToMark();
        var given = MarkingEndpoints.Given(request, task.Content.Rubric ?? Rubric.Usual);
        var state = await marker.Mark(
            ticketId,
            placed.Ticket.ReaderId,
            given,
            request.Comment?.Trim() ?? "",
            desk.Who.Adult,
            desk.Now
        );
        return new(state ?? throw MarkingEndpoints.NothingToMark());
    }

    private static async Task<MarkedView> Unmark(
        TicketId ticketId,
        Desk desk,
        AssignmentStore assignments,
        ReplyMarker marker
    )
    {
        var (placed, _) = await desk.Ticket(assignments, ticketId, Deed.Mark);
        var state = await marker.Unmark(ticketId, placed.Ticket.ReaderId, desk.Now);
        return new(
            state ?? throw Refused.Conflict("not-to-unmark", $"Its reader has seen this mark. Change it instead.")
        );
    }

    private static async Task<MyTask> View(OpenTask task, MeaningStore meanings)
    {
        var released = task.State is TicketState.Released;
        return new()
        {
            Id = task.Id,
            Kind = task.Kind,
            State = task.State,
            Title = task.Content.Title,
            Directions = task.Directions,
            HomeDirections = task.HomeDirections,
            HomeLanguage = task.HomeLanguage,
            Comment = task.Comment,
            Prompt = task.Content.Prompt,
            Url = task.Content.Url,
            Words = await HomeWords.Of(
                [.. (task.Content.Words ?? []).Select(w => new Word(w.Text, w.Part, w.Meaning, w.Example))],
                Languages.Of(task.SpokenAtHome),
                meanings
            ),
            AtOnce = task.Content.AtOnce,
            By = task.Content.By,
            Written = task.Reply.Words,
            Practised = task.Reply.Practised,
            Score = released ? task.Reply.Score(task.Kind) : null,
            Mark = released ? task.Reply.Mark : null,
            Said = released ? task.Reply.Comment : "",
            Talk = task.Talk,
            Together = task.Content.Together,
            Partners = task.Partners,
            Supports = task.Supports,
        };
    }
}
