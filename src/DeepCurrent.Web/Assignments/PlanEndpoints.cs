using DeepCurrent.Core.Access;
using DeepCurrent.Core.Assignments;
using DeepCurrent.Core.Changes;
using DeepCurrent.Core.Tickets;
using DeepCurrent.Data.Assignments;
using DeepCurrent.Data.Changes;
using DeepCurrent.Data.Schools;
using DeepCurrent.Data.Tickets;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Assignments;

/// <param name="Revision">That the page has seen; one that somebody changed since is not written over.</param>
public sealed record TermsRequest(
    DateOnly VisibleFrom,
    DateOnly? DueOn,
    string Heading,
    string Directions,
    string Note,
    int Revision
);

public sealed record DraftsRequest(IReadOnlyList<AssignmentId> AssignmentIds);

/// <summary>One assignment to be copied as a draft.</summary>
/// <param name="Id">Of the draft, made by the page.</param>
public sealed record CopyOf(AssignmentId AssignmentId, AssignmentId Id);

/// <param name="Days">How many days later.</param>
public sealed record CopyRequest(IReadOnlyList<CopyOf> Copies, int Days);

/// <summary>Steps a teacher takes with tickets that are out.</summary>
public enum TicketDeed
{
    TakeBack,
    Restore,
    SendBack,
    GiveAgain,
}

/// <param name="Comment">To the readers, where a round begins.</param>
public sealed record TicketsRequest(IReadOnlyList<TicketId> TicketIds, TicketDeed Deed, string? Comment);

/// <param name="TaskId">Of the text that comes in, made by the page.</param>
/// <param name="BegunToo">Also for those who have begun; what they did is kept.</param>
public sealed record SwapRequest(TaskId TaskId, TextId TextId, bool BegunToo);

/// <param name="Done">How many it was done to.</param>
/// <param name="Left">How many it could not be done to, and why nobody was asked: their state does not allow it.</param>
public sealed record DoneView(ChangeId? ChangeId, Message Summary, int Done, int Left);

/// <summary>Planning, and mending what was given: drafts, copies, dates, taking back, other rounds, another text.</summary>
public static class PlanEndpoints
{
    private const int MostAtOnce = 200,
        MostTickets = 2000,
        MostDays = 370,
        LongestComment = 500;

    public static void Map(RouteGroupBuilder api)
    {
        api.MapPut("/assignments/{assignmentId:guid}", Change);
        api.MapPost("/assignments/{assignmentId:guid}/swap", Swap);
        api.MapPost("/classes/{classId:guid}/drafts/give", Give);
        api.MapPost("/classes/{classId:guid}/drafts/copy", Copy);
        api.MapPost("/classes/{classId:guid}/drafts/discard", Discard);
        api.MapPost("/classes/{classId:guid}/tickets", Tickets);
    }

    private static async Task<DoneView> Change(
        AssignmentId assignmentId,
        TermsRequest request,
        Desk desk,
        AssignmentStore assignments,
        ChangeStore changes
    )
    {
        var row = await Mine(assignmentId, desk, assignments);
        var today = await desk.Today();
        var before = TermsOf(row);
        var after = new AssignmentTerms(
            request.VisibleFrom,
            request.DueOn,
            request.Heading,
            request.Directions,
            request.Note
        ).Tidy();
        new Faults().Of(after.Faults(today, before)).Refuse();
        if (after == before)
            return new(null, $"Nothing changed", 0, 0);
        var made = await changes.Do(By(desk, row.ClassId), ChangeKind.AssignmentChanged, async (c, t) =>
        {
            if (!await AssignmentWriter.SetTerms(c, t, assignmentId, after, request.Revision, today, desk.Now))
                throw Refused.Conflict(
                    "changed",
                    $"Someone changed this meanwhile. Nothing was saved. Reload to see it."
                );
            return new(new TermsChanged(assignmentId, before, after), $"Changed “{row.Title}”");
        });
        return new(made!.Id, made.Summary, row.Tickets, 0);
    }

    private static async Task<DoneView> Give(
        ClassId classId,
        DraftsRequest request,
        Desk desk,
        Giving giving,
        AssignmentStore assignments,
        WeekStore weeks,
        ChangeStore changes
    )
    {
        var room = await giving.Class(classId, Deed.Assign);
        var today = await desk.Today();
        var rows = await Drafts(classId, request.AssignmentIds, assignments);
        var meant = await weeks.MeantBy([.. rows.Select(r => r.Id)]);
        var given = new List<(AssignmentRow Row, TaskId Task, IReadOnlyList<NewTicket> Tickets)>();
        foreach (var row in rows)
        {
            if (row.DueOn < today)
                throw Refused.Field(
                    "assignmentIds",
                    $"“{row.Title}” was due on a day that has passed. Change its dates first."
                );
            await giving.TitleOf(row.TextId);
            var readers = room.Meant(meant[row.Id].Aims);
            if (readers.Count == 0)
                throw Refused.Field(
                    "assignmentIds",
                    $"Nobody “{row.Title}” is for is in the class any more, or their group is gone. Discard the draft."
                );
            var tickets = await giving.Tickets(row.TextId, readers, null, skipGiven: true);
            if (tickets.Count > 0)
                given.Add((row, await assignments.TaskOf(row.Id), tickets));
        }
        if (given.Count == 0)
            throw Refused.Field("assignmentIds", $"Everyone these drafts are for has had the text, or has left.");
        var tickets_ = given.Sum(g => g.Tickets.Count);
        var made = await changes.Do(By(desk, classId), ChangeKind.DraftsGiven, async (c, t) =>
        {
            foreach (var (row, task, tickets) in given)
            {
                await AssignmentWriter.SetDraft(c, t, row.Id, draft: false, desk.Now);
                await AssignmentWriter.AddTickets(
                    c,
                    t,
                    classId,
                    task,
                    tickets,
                    TermsOf(row).Begins(today),
                    desk.Who.Adult,
                    desk.Now
                );
            }
            return new(
                new Assigned([.. given.Select(g => g.Row.Id)]),
                given.Count == 1
                    ? $"Assigned {given[0].Row.Title} to {Counted.Readers(tickets_)}"
                    : (Message)$"Assigned {given.Count:count} drafts"
            );
        });
        await assignments.Tell(classId);
        return new(made!.Id, made.Summary, given.Count, rows.Count - given.Count);
    }

    private static async Task<DoneView> Copy(
        ClassId classId,
        CopyRequest request,
        Desk desk,
        Giving giving,
        SchoolStore schools,
        AssignmentStore assignments,
        WeekStore weeks,
        ChangeStore changes
    )
    {
        var room = await giving.Class(classId, Deed.Assign);
        new Faults()
            .If(
                request.Copies is not { Count: > 0 and <= MostAtOnce },
                "copies",
                $"Choose 1 to {MostAtOnce} assignments."
            )
            .If(Math.Abs(request.Days) > MostDays, "days", $"Choose a day within a year.")
            .Refuse();
        var today = await desk.Today();
        var calendar = (await schools.Year(room.Place.SchoolYearId)).Calendar;
        var meant = await weeks.MeantBy([.. request.Copies.Select(x => x.AssignmentId)]);
        var drafts = new List<NewAssignment>();
        foreach (var copy in request.Copies)
        {
            var row = await Of(classId, copy.AssignmentId, assignments);
            drafts.Add(
                new()
                {
                    Id = copy.Id,
                    ClassId = classId,
                    AssignedBy = desk.Who.Adult,
                    AssignedAt = desk.Now,
                    Terms = TermsOf(row).Moved(request.Days, calendar),
                    Task = new(TaskId.New(), row.TextId, row.Attempts, row.OnTheWay, row.Aloud),
                    Aims = meant[row.Id].Aims,
                }
            );
        }
        var made = await changes.Do(By(desk, classId), ChangeKind.Drafted, async (c, t) =>
        {
            var added = 0;
            foreach (var draft in drafts)
                added += await AssignmentWriter.Add(c, t, draft, today) ? 1 : 0;
            return added == 0
                ? null
                : new(new Assigned([.. drafts.Select(d => d.Id)]), $"Copied {added:count} assignments as drafts");
        });
        return new(made?.Id, made?.Summary ?? $"Nothing changed", drafts.Count, 0);
    }

    private static async Task<DoneView> Discard(
        ClassId classId,
        DraftsRequest request,
        Desk desk,
        AssignmentStore assignments,
        WeekStore weeks,
        ChangeStore changes
    )
    {
        await desk.Class(classId, Deed.Assign);
        var rows = await Drafts(classId, request.AssignmentIds, assignments);
        var meant = await weeks.MeantBy([.. rows.Select(r => r.Id)]);
        var kept = rows.Select(row => new NewAssignment
            {
                Id = row.Id,
                ClassId = classId,
                AssignedBy = desk.Who.Adult,
                AssignedAt = row.AssignedAt,
                Terms = TermsOf(row),
                Task = new(TaskId.New(), row.TextId, row.Attempts, row.OnTheWay, row.Aloud),
                Aims = meant[row.Id].Aims,
            })
            .ToList();
        var made = await changes.Do(By(desk, classId), ChangeKind.DraftDiscarded, async (c, t) =>
        {
            var n = await AssignmentWriter.Discard(c, t, [.. kept.Select(k => k.Id)], classId);
            return n == 0 ? null : new(new Discarded(kept), $"Discarded {n:count} drafts");
        });
        await assignments.Tell(classId);
        return new(made?.Id, made?.Summary ?? $"Nothing changed", kept.Count, 0);
    }

    private static async Task<DoneView> Tickets(ClassId classId, TicketsRequest request, Desk desk, ChangeStore changes)
    {
        await desk.Class(classId, Deed.Assign);
        var comment = request.Comment?.Trim() ?? "";
        new Faults()
            .If(request.TicketIds is not { Count: > 0 and <= MostTickets }, "ticketIds", $"Choose at least one reader.")
            .If(comment.Length > LongestComment, "comment", $"Use {LongestComment} letters or fewer.")
            .If(
                request.Deed is TicketDeed.SendBack && comment.Length == 0,
                "comment",
                $"Say what the reader should do now."
            )
            .Refuse();
        var act = new TicketAct(StepOf(request.Deed), desk.Who.Adult, desk.Now, await desk.Today(), comment);
        var done = 0;
        var made = await changes.Do(By(desk, classId), ChangeKind.Tickets, async (c, t) =>
        {
            var moved = await TicketMover.Move(c, t, [.. request.TicketIds], classId, act);
            done = moved.Count;
            return done == 0 ? null : new(new TicketsMoved(act.Step, moved), Said(request.Deed, done));
        });
        return made is null
            ? throw Refused.Conflict("state", $"Where these readers are, this cannot be done. Nothing changed.")
            : new(made.Id, made.Summary, done, request.TicketIds.Distinct().Count() - done);
    }

    private static Message Said(TicketDeed deed, int n) =>
        deed switch
        {
            TicketDeed.TakeBack => $"Took back from {Counted.Readers(n)}",
            TicketDeed.Restore => $"Restored for {Counted.Readers(n)}",
            TicketDeed.SendBack => $"Sent back to {Counted.Readers(n)}",
            TicketDeed.GiveAgain => $"Assigned again to {Counted.Readers(n)}",
            _ => throw new ArgumentOutOfRangeException(nameof(deed), deed, "There is no such deed."),
        };

    private static TicketStep StepOf(TicketDeed deed) =>
        deed switch
        {
            TicketDeed.TakeBack => TicketStep.TakenBack,
            TicketDeed.Restore => TicketStep.Restored,
            TicketDeed.SendBack => TicketStep.SentBack,
            TicketDeed.GiveAgain => TicketStep.GivenAgain,
            _ => throw new ArgumentOutOfRangeException(nameof(deed), deed, "There is no such deed."),
        };

    private static async Task<DoneView> Swap(
        AssignmentId assignmentId,
        SwapRequest request,
        Desk desk,
        Giving giving,
        AssignmentStore assignments,
        WeekStore weeks,
        ChangeStore changes
    )
    {
        var row = await Mine(assignmentId, desk, assignments);
        var room = await giving.Class(row.ClassId, Deed.Assign);
        if (row.TextId == request.TextId)
            throw Refused.Field("textId", $"This is the text they have. Choose another.");
        var title = await giving.TitleOf(request.TextId);
        var open = (await assignments.Tickets(assignmentId))
            .Where(k =>
                k.State is TicketState.Planned or TicketState.Waiting
                || (request.BegunToo && k.State is TicketState.UnderWay or TicketState.SentBack)
            )
            .ToList();
        var who = open.Select(k => k.ReaderId).ToHashSet();
        var readers = row.Draft
            ? room.Meant((await weeks.MeantBy([assignmentId]))[assignmentId].Aims)
            : [.. room.Roster.Where(r => who.Contains(r.Id))];
        if (readers.Count == 0)
            throw Refused.Field("textId", $"Everyone has begun or handed this in. Nothing was swapped.");
        var today = await desk.Today();
        var task = new NewTask(request.TaskId, request.TextId, row.Attempts, row.OnTheWay, row.Aloud);
        var tickets = await giving.Tickets(request.TextId, readers, null, skipGiven: false);
        var made = await changes.Do(By(desk, row.ClassId), ChangeKind.TextSwapped, async (c, t) =>
        {
            var moved = await TicketMover.Move(
                c,
                t,
                [.. open.Select(k => k.Id)],
                row.ClassId,
                new(TicketStep.TakenBack, desk.Who.Adult, desk.Now, today)
            );
            await AssignmentWriter.AddTask(c, t, assignmentId, task);
            if (!row.Draft)
                await AssignmentWriter.AddTickets(
                    c,
                    t,
                    row.ClassId,
                    task.Id,
                    tickets,
                    TermsOf(row).Begins(today),
                    desk.Who.Adult,
                    desk.Now
                );
            return new(
                new Swapped(assignmentId, task.Id, moved),
                $"Swapped “{row.Title}” for “{title}” for {Counted.Readers(readers.Count)}"
            );
        });
        await assignments.Tell(row.ClassId);
        return new(made!.Id, made.Summary, readers.Count, row.Tickets - readers.Count);
    }

    private static ChangeBy By(Desk desk, ClassId classId) => new(desk.Who.SchoolId, classId, desk.Who.Adult, desk.Now);

    internal static AssignmentTerms TermsOf(AssignmentRow row) =>
        new(row.VisibleFrom, row.DueOn, row.Heading, row.Directions, row.Note);

    /// <summary>An assignment that the asker may change; what readers chose themselves is nobody's to change.</summary>
    private static async Task<AssignmentRow> Mine(AssignmentId id, Desk desk, AssignmentStore assignments)
    {
        var row = await assignments.Find(id, desk.Who.SchoolId) ?? throw Refused.NotFound();
        await desk.Class(row.ClassId, Deed.Assign);
        return row.Chosen ? throw Refused.NotFound() : row;
    }

    private static async Task<AssignmentRow> Of(ClassId classId, AssignmentId id, AssignmentStore assignments) =>
        await assignments.InClass(id, classId) is { Chosen: false } row ? row : throw Refused.NotFound();

    private static async Task<IReadOnlyList<AssignmentRow>> Drafts(
        ClassId classId,
        IReadOnlyList<AssignmentId> ids,
        AssignmentStore assignments
    )
    {
        new Faults()
            .If(ids is not { Count: > 0 and <= MostAtOnce }, "assignmentIds", $"Choose 1 to {MostAtOnce} assignments.")
            .Refuse();
        var rows = new List<AssignmentRow>();
        foreach (var id in ids.Distinct())
            rows.Add(await Of(classId, id, assignments));
        return rows.TrueForAll(r => r.Draft)
            ? rows
            : throw Refused.Conflict("given", $"One of these has been assigned already. Reload to see it.");
    }
}
