using DeepCurrent.Core.Access;
using DeepCurrent.Core.Assignments;
using DeepCurrent.Core.Changes;
using DeepCurrent.Core.Plans;
using DeepCurrent.Data.Assignments;
using DeepCurrent.Data.Changes;
using DeepCurrent.Data.Papers;
using DeepCurrent.Data.Plans;
using DeepCurrent.Data.Readers;
using DeepCurrent.Data.Schools;
using DeepCurrent.Data.Texts;
using DeepCurrent.Web.Assignments;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.LevelChecks;
using DeepCurrent.Web.SignIn;
using Npgsql;

namespace DeepCurrent.Web.Plans;

/// <summary>Lays a plan on the days of a class: says what would become of each task, and gives or drafts all of
/// it.</summary>
internal sealed class PlanLaying(
    Desk desk,
    Giving giving,
    PlannedChecks planned,
    PlanStore plans,
    SchoolStore schools,
    TextStore texts,
    AssignmentStore assignments,
    ChangeStore changes
)
{
    private sealed record Laid(PlanItem Item, AssignmentTerms Terms, IReadOnlyList<FitView> Fits, bool Gone)
    {
        /// <summary>A ticket for each who has not had it; a level check has none.</summary>
        public IReadOnlyList<NewTicket> Tickets(IReadOnlyList<RosterRow> readers) =>
            Item.Check is not null ? []
            : Item.TextId is null ? Giving.Tickets(readers)
            : Giving.Tickets(Fits, null, skipGiven: true);
    }

    /// <summary>One task of a plan with the name of what it becomes.</summary>
    private sealed record Named(AssignmentId Id, Laid Laid, IReadOnlyList<NewTicket> Tickets)
    {
        public bool Comes(DateOnly today) =>
            !Laid.Gone && (Laid.Item.Check is not null || Tickets.Count > 0) && !(Laid.Terms.DueOn < today);
    }

    public async Task<IReadOnlyList<LaidItem>> Look(ClassId classId, PlanId planId, LookRequest request)
    {
        var room = await giving.Class(classId, Deed.Assign);
        var readers = Giving.Chosen(room, request.ReaderIds);
        return
        [
            .. (await Of(await Found(planId), readers, request.From, room)).Select(l => new LaidItem(
                l.Item.Kind,
                l.Item.Title,
                l.Terms.VisibleFrom,
                l.Terms.DueOn,
                l.Fits.Count(f => f.Before is not null),
                l.Gone
            )),
        ];
    }

    private async Task<PlanRow> Found(PlanId id) =>
        await plans.Find(id, desk.Who.SchoolId, desk.Who.Adult) ?? throw Refused.NotFound();

    private async Task<IReadOnlyList<Laid>> Of(
        PlanRow plan,
        IReadOnlyList<RosterRow> readers,
        DateOnly from,
        GivingClass room
    )
    {
        var calendar = (await schools.Year(room.Place.SchoolYearId)).Calendar;
        var terms = Plan.Lay(plan.Items, plan.InOrder, from, calendar);
        var wanted = plan.Items.Select(i => i.TextId).OfType<TextId>().Distinct().ToList();
        var there = (await texts.Some(wanted, desk.Who.SchoolId, desk.Who.Adult, null)).ToDictionary(t => t.Id);
        var fits = await giving.Fits([.. there.Keys], readers);
        var passages = plan.Items.Any(i => i.Check?.Parts.Form.Count > 0) ? await planned.Passages() : null;
        return [.. plan.Items.Zip(terms, (item, when) => new Laid(item, when, FitsOf(item), Gone(item)))];

        IReadOnlyList<FitView> FitsOf(PlanItem item) =>
            item.TextId is { } id && there.ContainsKey(id) ? [.. fits[id]] : [];

        bool Gone(PlanItem item) =>
            item.Check is { } check
                ? passages is not null && check.Parts.Form.Any(v => !passages.Contains(v))
                : item.TextId is { } id
                    && (
                        !there.TryGetValue(id, out var text)
                        || (text.Questions == 0 && item.Kind is not TaskKind.Recording)
                    );
    }

    private static Message Words(bool draft, int tasks, string plan) =>
        draft ? (Message)$"Drafted {tasks:count} tasks of “{plan}”" : $"Assigned {tasks:count} tasks of “{plan}”";

    public async Task<DoneView> Lay(ClassId classId, PlanId planId, LayRequest request)
    {
        var room = await giving.Class(classId, Deed.Assign);
        var readers = Giving.Chosen(room, request.ReaderIds);
        var plan = await Found(planId);
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
        var laid = (await Of(plan, readers, request.From, room))
            .Zip(request.Ids, (l, id) => new Named(id, l, l.Tickets(readers)))
            .Where(x => x.Comes(today))
            .ToList();
        if (laid.Count == 0)
            throw Refused.Field("readerIds", $"Everyone selected has had all of this plan, or its texts are gone.");
        var checks = await Checks(classId, laid, readers, request.Draft, today);
        var works = Works([.. laid.Where(x => x.Laid.Item.Check is null)], room, readers, request, today);
        var made = await changes.DoIn(
            classId,
            desk,
            request.Draft ? ChangeKind.Drafted : ChangeKind.Assigned,
            async (c, t) =>
                new(await Add(c, t, laid, works, checks, today), Words(request.Draft, laid.Count, plan.Name))
        );
        return new(made!.Id, made.Summary, laid.Count, plan.Items.Count - laid.Count);
    }

    private async Task<Assigned> Add(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        List<Named> laid,
        List<NewAssignment> works,
        List<PreparedCheck> checks,
        DateOnly today
    )
    {
        foreach (var work in works)
            await AssignmentWriter.Add(c, t, work, today);
        var papers = laid.SelectMany(x => x.Laid.Item.Papers.Select(p => (p, x.Id)));
        await PaperStore.Place(c, t, desk.Who.SchoolId, [.. papers]);
        var given = new List<CheckGiven>();
        foreach (var check in checks)
            given.Add(await PlannedChecks.Add(c, t, check));
        return new([.. works.Select(w => w.Id)]) { Checks = given };
    }

    private async Task<List<PreparedCheck>> Checks(
        ClassId classId,
        List<Named> laid,
        IReadOnlyList<RosterRow> readers,
        bool draft,
        DateOnly today
    )
    {
        var those = laid.Where(x => x.Laid.Item.Check is not null).ToList();
        if (those.Count == 0)
            return [];
        var takers = await planned.Of(classId, readers.Select(r => r.Id));
        return those.ConvertAll(x =>
            planned.Prepare(CheckId.From(x.Id.Value), x.Laid.Item.Check!, From(x.Laid.Terms, today), takers, draft)
        );
    }

    private List<NewAssignment> Works(
        List<Named> laid,
        GivingClass room,
        IReadOnlyList<RosterRow> readers,
        LayRequest request,
        DateOnly today
    )
    {
        var turns = request.OneByOne ? Turn.Each([.. laid.Select(x => x.Id)]) : null;
        // What comes on the same days is one act.
        var acts = laid.GroupBy(x => (x.Laid.Terms.VisibleFrom, x.Laid.Terms.DueOn))
            .SelectMany(g => g.Select(x => (x.Id, Act: g.First().Id)))
            .ToDictionary(x => x.Id, x => x.Act);
        return laid.ConvertAll(x => new NewAssignment
        {
            Id = x.Id,
            ClassId = room.Place.Id,
            AssignedBy = desk.Who.Adult,
            AssignedAt = desk.Now,
            Terms = From(x.Laid.Terms, today),
            Task = TaskOf(x.Laid.Item),
            Aims = room.AimsOf(readers),
            Tickets = request.Draft ? [] : x.Tickets,
            Turn = turns?[x.Id],
            Act = acts[x.Id],
        });
    }

    /// <summary>What would have been seen before today is seen today.</summary>
    private static AssignmentTerms From(AssignmentTerms terms, DateOnly today) =>
        terms.VisibleFrom < today ? terms with { VisibleFrom = today } : terms;

    private static NewTask TaskOf(PlanItem item) =>
        new(TaskId.New(), item.TextId, item.Attempts, item.OnTheWay, item.Aloud, null, item.Kind, item.Content);
}
