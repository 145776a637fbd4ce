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
using Npgsql;

namespace DeepCurrent.Web.Assignments;

/// <param name="Revision">That the page has seen; one that somebody changed since is not written over.</param>
public sealed record TermsRequest(
    DateOnly VisibleFrom,
    DateOnly? DueOn,
    string Heading,
    string Directions,
    string Note,
    int Revision,
    DateOnly? ClosesOn = null,
    Need Need = Need.Required,
    WorkPlace Place = WorkPlace.Anywhere,
    ResultsShown Results = ResultsShown.AtOnce,
    bool MayChange = false,
    bool Talk = false
)
{
    public string? HomeDirections { get; init; }

    public string? HomeLanguage { get; init; }

    public DateOnly? ReleasesOn { get; init; }

    public int? Worth { get; init; }

    /// <summary>What is changed is changed for all that was given in the same act in the class, too.</summary>
    public bool? Together { get; init; }
}

/// <summary>Steps a teacher takes with tickets that are out.</summary>
public enum TicketDeed
{
    TakeBack,
    Restore,
    SendBack,
    GiveAgain,

    /// <summary>Lets readers see how it went.</summary>
    Release,
}

/// <param name="Comment">To the readers, where a round begins.</param>
/// <param name="OnlyMissed">The round that begins asks what was never right, and nothing else.</param>
public sealed record TicketsRequest(
    IReadOnlyList<TicketId> TicketIds,
    TicketDeed Deed,
    string? Comment,
    bool OnlyMissed = false
);

/// <param name="TaskId">Of the text that comes in, made by the page.</param>
/// <param name="BegunToo">Also for those who have begun; what they did is kept.</param>
public sealed record SwapRequest(TaskId TaskId, TextId TextId, bool BegunToo);

/// <param name="Done">How many it was done to.</param>
/// <param name="Left">How many it was not done to: where they are, it cannot be.</param>
public sealed record DoneView(ChangeId? ChangeId, Message Summary, int Done, int Left);

/// <summary>Mending what was given: other days, another text, taking back, other rounds.</summary>
public static class MendEndpoints
{
    private const int MostTickets = 2000,
        LongestComment = 500;

    public static void Map(RouteGroupBuilder api)
    {
        api.MapPut("/assignments/{assignmentId:guid}", Change);
        api.MapPost("/assignments/{assignmentId:guid}/swap", Swap);
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
        var after = Wanted(request, before);
        var with = request.Together == true ? await assignments.Together(row) : [];
        var changed = with.Select(r => new TermsOfOne(r, TermsOf(r), TermsOf(r).Changed(before, after)))
            .Where(x => x.After != x.Before)
            .Prepend(new(row, before, after))
            .ToList();
        new Faults().Of(changed.SelectMany(x => x.After.Faults(today, x.Before)).Distinct()).Refuse();
        if (after == before)
            return new(null, $"Nothing changed", 0, 0);
        var made = await changes.DoIn(row.ClassId, desk, ChangeKind.AssignmentChanged, async (c, t) =>
        {
            foreach (var one in changed)
                await Write(c, t, one, one.Row == row ? request.Revision : one.Row.Revision, today, desk);
            return new(
                new TermsChanged(assignmentId, before, after)
                {
                    With = [.. changed.Skip(1).Select(x => new TermsChanged(x.Row.Id, x.Before, x.After))],
                },
                changed.Count == 1
                    ? (Message)$"Changed “{row.Title}”"
                    : $"Changed “{row.Title}” and {changed.Count - 1:count} assigned with it"
            );
        });
        return new(made!.Id, made.Summary, changed.Sum(x => x.Row.Tickets), 0);
    }

    /// <summary>An assignment with its terms before a change and after.</summary>
    private sealed record TermsOfOne(AssignmentRow Row, AssignmentTerms Before, AssignmentTerms After);

    private static async Task Write(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        TermsOfOne one,
        int revision,
        DateOnly today,
        Desk desk
    )
    {
        if (!await AssignmentWriter.SetTerms(c, t, one.Row.Id, one.After, revision, today, desk.Now))
            throw Refused.Conflict("changed", $"Someone changed this meanwhile. Nothing was saved. Reload to see it.");
    }

    private static AssignmentTerms Wanted(TermsRequest request, AssignmentTerms before) =>
        new AssignmentTerms(
            request.VisibleFrom,
            request.DueOn,
            request.Heading,
            request.Directions,
            request.Note,
            request.ClosesOn,
            request.Need,
            request.Place,
            request.Results,
            request.MayChange,
            request.Talk,
            request.ReleasesOn
        )
        {
            HomeDirections = request.HomeDirections ?? before.HomeDirections,
            HomeLanguage = request.HomeLanguage ?? before.HomeLanguage,
            Worth = request.Worth ?? before.Worth,
        }.Tidy();

    private static async Task<DoneView> Tickets(
        ClassId classId,
        TicketsRequest request,
        Desk desk,
        ChangeStore changes,
        MissedQuestions missed
    )
    {
        await desk.Class(classId, Deed.Assign);
        var comment = request.Comment?.Trim() ?? "";
        new Faults()
            .If(request.TicketIds is not { Count: > 0 and <= MostTickets }, "ticketIds", $"Choose at least one reader.")
            .If(comment.Length > LongestComment, "comment", $"Use {LongestComment} letters or fewer.")
            .If(
                request is { Deed: TicketDeed.SendBack, OnlyMissed: false } && comment.Length == 0,
                "comment",
                $"Say what the reader should do now."
            )
            .If(
                request.OnlyMissed && request.Deed is not TicketDeed.SendBack,
                "onlyMissed",
                $"Only work that is sent back can ask missed questions again."
            )
            .Refuse();
        var act = new TicketAct(StepOf(request.Deed), desk.Who.Adult, desk.Now, await desk.Today(), comment);
        var done = 0;
        var made = await changes.DoIn(classId, desk, ChangeKind.Tickets, async (c, t) =>
        {
            if (request.OnlyMissed)
                act = act with { Only = await missed.Of(c, t, request.TicketIds, classId) };
            var moved = await TicketMover.Move(c, t, [.. request.TicketIds], classId, act);
            done = moved.Count;
            if (act.Step is TicketStep.TakenBack or TicketStep.Restored)
                await TicketMover.ShowNext(c, t, moved, act);
            return done == 0 ? null : new(new TicketsMoved(act.Step, moved), Said(request.Deed, done));
        });
        return made is null
            ? throw Refused.Conflict(
                "state",
                request.OnlyMissed
                    ? (Message)$"No one has missed a question that can be tried again. Nothing changed."
                    : $"Where these readers are, this cannot be done. Nothing changed."
            )
            : new(made.Id, made.Summary, done, request.TicketIds.Distinct().Count() - done);
    }

    private static Message Said(TicketDeed deed, int n) =>
        deed switch
        {
            TicketDeed.TakeBack => $"Took back from {Counted.Readers(n)}",
            TicketDeed.Restore => $"Restored for {Counted.Readers(n)}",
            TicketDeed.SendBack => $"Sent back to {Counted.Readers(n)}",
            TicketDeed.GiveAgain => $"Assigned again to {Counted.Readers(n)}",
            TicketDeed.Release => $"Released to {Counted.Readers(n)}",
            _ => throw new ArgumentOutOfRangeException(nameof(deed), deed, "There is no such deed."),
        };

    private static TicketStep StepOf(TicketDeed deed) =>
        deed switch
        {
            TicketDeed.TakeBack => TicketStep.TakenBack,
            TicketDeed.Restore => TicketStep.Restored,
            TicketDeed.SendBack => TicketStep.SentBack,
            TicketDeed.GiveAgain => TicketStep.GivenAgain,
            TicketDeed.Release => TicketStep.Released,
            _ => throw new ArgumentOutOfRangeException(nameof(deed), deed, "There is no such deed."),
        };

    private static NewTask WithText(NewTask task, SwapRequest request) =>
        task with
        {
            Id = request.TaskId,
            TextId = request.TextId,
            Locked = null,
            Questions = null,
        };

    private static bool Swaps(TicketState state, bool begunToo) =>
        state is TicketState.Planned or TicketState.Waiting
        || (begunToo && state is TicketState.UnderWay or TicketState.SentBack);

    private static Task AddTickets(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        AssignmentRow row,
        TaskId task,
        IReadOnlyList<NewTicket> tickets,
        Desk desk,
        DateOnly today
    ) => AssignmentWriter.AddTickets(c, t, row.ClassId, task, tickets, TermsOf(row), today, desk.Who.Adult, desk.Now);

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
        new Faults()
            .If(row.TextId is null, "textId", $"There is no text in this to swap.")
            .If(row.TextId == request.TextId, "textId", $"This is the text they have. Choose another.")
            .Refuse();
        var title = (await giving.Titles([request.TextId], row.Kind))[request.TextId];
        var open = (await assignments.Tickets(assignmentId)).Where(k => Swaps(k.State, request.BegunToo)).ToList();
        var who = open.Select(k => k.ReaderId).ToHashSet();
        var readers = row.Draft
            ? room.Meant((await weeks.MeantBy([assignmentId]))[assignmentId].Aims)
            : [.. room.Roster.Where(r => who.Contains(r.Id))];
        if (readers.Count == 0)
            throw Refused.Field("textId", $"Everyone has begun or handed this in. Nothing was swapped.");
        var today = await desk.Today();
        var task = WithText((await assignments.Tasks([assignmentId]))[assignmentId], request);
        var fits = await giving.Fits([request.TextId], readers);
        var made = await changes.DoIn(row.ClassId, desk, ChangeKind.TextSwapped, async (c, t) =>
        {
            var moved = await TicketMover.Move(
                c,
                t,
                [.. open.Select(k => k.Id)],
                row.ClassId,
                new(TicketStep.TakenBack, desk.Who.Adult, desk.Now, today)
            );
            await AssignmentWriter.AddTask(c, t, assignmentId, task);
            // Who had handed it in by then keeps what they have, and that alone.
            var those = fits[request.TextId].Where(f => moved.Any(m => m.ReaderId == f.ReaderId));
            if (!row.Draft)
                await AddTickets(c, t, row, task.Id, Giving.Tickets(those, null, false), desk, today);
            return new(
                new Swapped(assignmentId, task.Id, moved),
                $"Swapped “{row.Title}” for “{title}” for {Counted.Readers(readers.Count)}"
            );
        });
        return new(made!.Id, made.Summary, readers.Count, row.Tickets - readers.Count);
    }

    internal static AssignmentTerms TermsOf(AssignmentRow row) =>
        new(
            row.VisibleFrom,
            row.DueOn,
            row.Heading,
            row.Directions,
            row.Note,
            row.ClosesOn,
            row.Need,
            row.Place,
            row.Results,
            row.MayChange,
            row.Talk,
            row.ReleasesOn
        )
        {
            HomeDirections = row.HomeDirections,
            HomeLanguage = row.HomeLanguage,
            Worth = row.Worth,
        };

    /// <summary>An assignment that the asker may change; what readers chose themselves is nobody's to change.</summary>
    private static async Task<AssignmentRow> Mine(AssignmentId id, Desk desk, AssignmentStore assignments)
    {
        var (row, _) = await desk.Assignment(assignments, id, Deed.Assign);
        return row.Chosen ? throw Refused.NotFound() : row;
    }
}
