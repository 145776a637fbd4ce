using DeepCurrent.Core.Access;
using DeepCurrent.Core.Assignments;
using DeepCurrent.Core.Changes;
using DeepCurrent.Core.Plans;
using DeepCurrent.Data.Assignments;
using DeepCurrent.Data.Changes;
using DeepCurrent.Data.Plans;
using DeepCurrent.Data.Readers;
using DeepCurrent.Data.Schools;
using DeepCurrent.Data.Texts;
using DeepCurrent.Web.Assignments;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Plans;

/// <param name="From">Of the first week; any day of it.</param>
public sealed record LookRequest(IReadOnlyList<ReaderId> ReaderIds, DateOnly From);

/// <summary>What becomes of one task of a plan on the days of a class.</summary>
/// <param name="Had">How many of the readers have had it: they do not get it again.</param>
/// <param name="Gone">Its text is not there any more, or has no quiz: it is left out.</param>
public sealed record LaidItem(TaskKind Kind, string Title, DateOnly VisibleFrom, DateOnly? DueOn, int Had, bool Gone);

/// <param name="Revision">Of the plan that was looked at.</param>
/// <param name="Ids">Of the assignments, one for each task of the plan, made by the page.</param>
/// <param name="Draft">Kept, and given later; else each comes on its day.</param>
/// <param name="OneByOne">Each opens when the one before is handed in, and on its day at the earliest.</param>
public sealed record LayRequest(
    int Revision,
    IReadOnlyList<ReaderId> ReaderIds,
    DateOnly From,
    IReadOnlyList<AssignmentId> Ids,
    bool Draft,
    bool OneByOne = false
);

/// <summary>Laying a plan on the days of a class.</summary>
public static class LayEndpoints
{
    public static void Map(RouteGroupBuilder api)
    {
        api.MapPost("/classes/{classId:guid}/plans/{planId:guid}/look", Look);
        api.MapPost("/classes/{classId:guid}/plans/{planId:guid}/lay", Lay);
    }

    private sealed record Laid(PlanItem Item, AssignmentTerms Terms, IReadOnlyList<FitView> Fits, bool Gone)
    {
        /// <summary>A ticket for each who has not had it.</summary>
        public IReadOnlyList<NewTicket> Tickets(IReadOnlyList<RosterRow> readers) =>
            Item.TextId is null ? Giving.Tickets(readers) : Giving.Tickets(Fits, null, skipGiven: true);
    }

    private static async Task<IReadOnlyList<LaidItem>> Look(
        ClassId classId,
        PlanId planId,
        LookRequest request,
        Desk desk,
        Giving giving,
        PlanStore plans,
        SchoolStore schools,
        TextStore texts
    )
    {
        var room = await giving.Class(classId, Deed.Assign);
        var readers = Giving.Chosen(room, request.ReaderIds);
        var plan = await plans.Find(planId, desk.Who.SchoolId, desk.Who.Adult) ?? throw Refused.NotFound();
        return
        [
            .. (await Of(plan, readers, request.From, room, desk, giving, schools, texts)).Select(l => new LaidItem(
                l.Item.Kind,
                l.Item.Title,
                l.Terms.VisibleFrom,
                l.Terms.DueOn,
                l.Fits.Count(f => f.Before is not null),
                l.Gone
            )),
        ];
    }

    private static async Task<IReadOnlyList<Laid>> Of(
        PlanRow plan,
        IReadOnlyList<RosterRow> readers,
        DateOnly from,
        GivingClass room,
        Desk desk,
        Giving giving,
        SchoolStore schools,
        TextStore texts
    )
    {
        var calendar = (await schools.Year(room.Place.SchoolYearId)).Calendar;
        var terms = Plan.Lay(plan.Items, plan.InOrder, from, calendar);
        var wanted = plan.Items.Select(i => i.TextId).OfType<TextId>().Distinct().ToList();
        var there = (await texts.Some(wanted, desk.Who.SchoolId, desk.Who.Adult, null)).ToDictionary(t => t.Id);
        var fits = await giving.Fits([.. there.Keys], readers);
        return
        [
            .. plan.Items.Zip(terms, (item, when) =>
                item.TextId is not { } id
                    ? new Laid(item, when, [], Gone: false)
                    : new Laid(
                        item,
                        when,
                        there.ContainsKey(id) ? [.. fits[id]] : [],
                        !there.TryGetValue(id, out var text)
                            || (text.Questions == 0 && item.Kind is not TaskKind.Recording)
                    )
            ),
        ];
    }

    private static Message Words(bool draft, int tasks, string plan) =>
        draft ? (Message)$"Drafted {tasks:count} tasks of “{plan}”" : $"Assigned {tasks:count} tasks of “{plan}”";

    private static async Task<DoneView> Lay(
        ClassId classId,
        PlanId planId,
        LayRequest request,
        Desk desk,
        Giving giving,
        PlanStore plans,
        SchoolStore schools,
        TextStore texts,
        AssignmentStore assignments,
        ChangeStore changes
    )
    {
        var room = await giving.Class(classId, Deed.Assign);
        var readers = Giving.Chosen(room, request.ReaderIds);
        var plan = await plans.Find(planId, desk.Who.SchoolId, desk.Who.Adult) ?? throw Refused.NotFound();
        var today = await desk.Today();
        new Faults()
            .If(
                request.Revision != plan.Revision || request.Ids.Distinct().Count() != plan.Items.Count,
                "ids",
                $"This plan has changed. Look at it again."
            )
            .If(request.From < today.AddDays(-6), "from", $"This day has passed. Choose today or a later day.")
            .Refuse();
        // The same request again, after a lost answer, is what it was.
        if (await assignments.Given(request.Ids, [classId]) is { } before)
            return new(before.ChangeId, before.Summary, before.Texts, plan.Items.Count - before.Texts);
        var laid = (await Of(plan, readers, request.From, room, desk, giving, schools, texts))
            .Zip(request.Ids, (l, id) => (Id: id, Laid: l, Tickets: l.Tickets(readers)))
            .Where(x => !x.Laid.Gone && x.Tickets.Count > 0 && !(x.Laid.Terms.DueOn < today))
            .ToList();
        var turns = request.OneByOne ? Turn.Each([.. laid.Select(x => x.Id)]) : null;
        if (laid.Count == 0)
            throw Refused.Field("readerIds", $"Everyone selected has had all of this plan, or its texts are gone.");
        var made = await changes.DoIn(
            classId,
            desk,
            request.Draft ? ChangeKind.Drafted : ChangeKind.Assigned,
            async (c, t) =>
            {
                foreach (var (id, l, tickets) in laid)
                {
                    var made = Assignment(id, l, room, readers, request.Draft ? [] : tickets, desk, today);
                    await AssignmentWriter.Add(c, t, made with { Turn = turns?[id] }, today);
                }
                return new(new Assigned([.. laid.Select(x => x.Id)]), Words(request.Draft, laid.Count, plan.Name));
            }
        );
        return new(made!.Id, made.Summary, laid.Count, plan.Items.Count - laid.Count);
    }

    private static NewAssignment Assignment(
        AssignmentId id,
        Laid laid,
        GivingClass room,
        IReadOnlyList<RosterRow> readers,
        IReadOnlyList<NewTicket> tickets,
        Desk desk,
        DateOnly today
    ) =>
        new()
        {
            Id = id,
            ClassId = room.Place.Id,
            AssignedBy = desk.Who.Adult,
            AssignedAt = desk.Now,
            // What would have been seen before today is seen today.
            Terms = laid.Terms with { VisibleFrom = laid.Terms.VisibleFrom < today ? today : laid.Terms.VisibleFrom },
            Task = new(
                TaskId.New(),
                laid.Item.TextId,
                laid.Item.Attempts,
                laid.Item.OnTheWay,
                laid.Item.Aloud,
                null,
                laid.Item.Kind,
                laid.Item.Content
            ),
            Aims = room.AimsOf(readers),
            Tickets = tickets,
        };
}
