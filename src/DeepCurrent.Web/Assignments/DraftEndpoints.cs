using DeepCurrent.Core.Access;
using DeepCurrent.Core.Assignments;
using DeepCurrent.Core.Changes;
using DeepCurrent.Core.Schools;
using DeepCurrent.Data.Assignments;
using DeepCurrent.Data.Changes;
using DeepCurrent.Data.Papers;
using DeepCurrent.Data.Readers;
using DeepCurrent.Data.Schools;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.LevelChecks;
using DeepCurrent.Web.SignIn;
using Npgsql;

namespace DeepCurrent.Web.Assignments;

/// <param name="CheckIds">Level checks that are given with them.</param>
public sealed record DraftsRequest(IReadOnlyList<AssignmentId> AssignmentIds, IReadOnlyList<CheckId>? CheckIds = null);

/// <summary>One assignment to be copied as a draft.</summary>
/// <param name="Id">Of the draft, made by the page.</param>
public sealed record CopyOf(AssignmentId AssignmentId, AssignmentId Id);

/// <param name="Days">How many days later.</param>
public sealed record CopyRequest(IReadOnlyList<CopyOf> Copies, int Days);

/// <summary>Preparing a class's reading: drafts are given, copied from another week, and discarded.</summary>
public static class DraftEndpoints
{
    private const int MostAtOnce = 200,
        MostDays = 370;

    public static void Map(RouteGroupBuilder api)
    {
        api.MapPost("/classes/{classId:guid}/drafts/give", Give);
        api.MapPost("/classes/{classId:guid}/drafts/copy", Copy);
        api.MapPost("/classes/{classId:guid}/drafts/discard", Discard);
    }

    /// <summary>Makes a draft something that is given.</summary>
    private static async Task SetGiven(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        AssignmentRow row,
        IReadOnlyList<NewTicket> tickets,
        Desk desk,
        DateOnly today
    )
    {
        if (!await AssignmentWriter.SetDraft(c, t, row.Id, draft: false, desk.Now))
            throw Given();
        var terms = MendEndpoints.TermsOf(row);
        await AssignmentWriter.AddTickets(
            c,
            t,
            row.ClassId,
            row.TaskId,
            tickets,
            terms,
            today,
            desk.Who.Adult,
            desk.Now
        );
    }

    private static async Task<DoneView> Give(
        ClassId classId,
        DraftsRequest request,
        Desk desk,
        Giving giving,
        PlannedChecks planned,
        AssignmentStore assignments,
        WeekStore weeks,
        ChangeStore changes
    )
    {
        var room = await giving.Class(classId, Deed.Assign);
        var today = await desk.Today();
        var checks = await planned.Drafts(classId, request.CheckIds ?? []);
        var rows =
            checks.Count > 0 && request.AssignmentIds is []
                ? []
                : await Drafts(classId, request.AssignmentIds, assignments);
        var meant = await weeks.MeantBy([.. rows.Select(r => r.Id)]);
        var readers = rows.ToDictionary(r => r.Id, r => room.Meant(meant[r.Id].Aims));
        foreach (var row in rows)
            await Holds(row, readers[row.Id], today, giving);
        var fits = await giving.Fits(
            [.. rows.Select(r => r.TextId).OfType<TextId>().Distinct()],
            [.. readers.Values.SelectMany(r => r).DistinctBy(r => r.Id)]
        );
        var tasks = await assignments.Tasks([.. rows.Select(r => r.Id)]);
        var given = rows.Select(row => (Row: row, Tickets: TicketsOf(row, readers[row.Id], fits, tasks[row.Id])))
            .Where(g => g.Tickets.Count > 0)
            .ToList();
        if (given.Count + checks.Count == 0)
        {
            // They have it if somebody else was first.
            _ = await Drafts(classId, request.AssignmentIds, assignments);
            throw Refused.Field("assignmentIds", $"Everyone these drafts are for has had the text, or has left.");
        }
        var made = await changes.DoIn(classId, desk, ChangeKind.DraftsGiven, async (c, t) =>
        {
            foreach (var (row, tickets) in given)
                await SetGiven(c, t, row, tickets, desk, today);
            return new(
                new Assigned([.. given.Select(g => g.Row.Id)])
                {
                    Checks = await PlannedChecks.Give(c, t, checks, desk.Now),
                },
                given.Count == 1 && checks.Count == 0
                    ? $"Assigned {given[0].Row.Title} to {Counted.Readers(given[0].Tickets.Count)}"
                    : (Message)$"Assigned {given.Count + checks.Count:count} drafts"
            );
        });
        return new(made!.Id, made.Summary, given.Count + checks.Count, rows.Count - given.Count);
    }

    private static IReadOnlyList<NewTicket> TicketsOf(
        AssignmentRow row,
        IReadOnlyList<RosterRow> readers,
        ILookup<TextId, FitView> fits,
        NewTask task
    )
    {
        if (row.TextId is not { } textId)
            return Giving.Tickets(readers);
        var theirs = readers.Select(r => r.Id).ToHashSet();
        return Giving.Tickets(fits[textId].Where(f => theirs.Contains(f.ReaderId)), task.Locked, skipGiven: true);
    }

    /// <summary>A draft some days later, and so much later what is single readers' own in it.</summary>
    private static NewAssignment Moved(NewAssignment draft, int days, SchoolCalendar calendar)
    {
        var terms = draft.Terms.Moved(days, calendar);
        var later =
            (terms.DueOn ?? terms.VisibleFrom).DayNumber - (draft.Terms.DueOn ?? draft.Terms.VisibleFrom).DayNumber;
        return draft with
        {
            Terms = terms,
            Task = draft.Task with { Own = draft.Task.Own?.ToDictionary(x => x.Key, x => x.Value.Moved(later)) },
        };
    }

    private static void Check(CopyRequest request) =>
        new Faults()
            .If(
                request.Copies is not { Count: > 0 and <= MostAtOnce },
                "copies",
                $"Choose 1 to {MostAtOnce} assignments."
            )
            .If(Math.Abs(request.Days) > MostDays, "days", $"Choose a day within a year.")
            .Refuse();

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
        Check(request);
        var today = await desk.Today();
        var calendar = (await schools.Year(room.Place.SchoolYearId)).Calendar;
        var meant = await weeks.MeantBy([.. request.Copies.Select(x => x.AssignmentId)]);
        var rows = (await Of(classId, [.. request.Copies.Select(x => x.AssignmentId)], assignments)).ToDictionary(r =>
            r.Id
        );
        var tasks = await assignments.Tasks([.. rows.Keys]);
        var turns = Turn.OfCopies(request.Copies.Select(x => (rows[x.AssignmentId].InTurn, x.Id)));
        // What was given together is together in its copies.
        var acts = request.Copies.GroupBy(x => rows[x.AssignmentId].Act).ToDictionary(g => g.Key, g => g.First().Id);
        var drafts = request
            .Copies.Select(copy =>
            {
                var (row, aims) = (rows[copy.AssignmentId], meant[copy.AssignmentId].Aims);
                var draft = DraftOf(row, aims, tasks[copy.AssignmentId], desk);
                return Moved(draft, request.Days, calendar) with
                {
                    Id = copy.Id,
                    Turn = turns.GetValueOrDefault(copy.Id),
                    Act = acts[row.Act],
                };
            })
            .ToList();
        var made = await changes.DoIn(classId, desk, ChangeKind.Drafted, async (c, t) =>
        {
            var added = 0;
            foreach (var draft in drafts)
                added += await AssignmentWriter.Add(c, t, draft, today) ? 1 : 0;
            if (added == 0)
                return null;
            await PaperStore.Copy(c, t, [.. request.Copies.Select(x => (x.AssignmentId, x.Id))]);
            return new(new Assigned([.. drafts.Select(d => d.Id)]), $"Copied {added:count} assignments as drafts");
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
        var tasks = await assignments.Tasks([.. rows.Select(r => r.Id)]);
        var kept = rows.Select(r => DraftOf(r, meant[r.Id].Aims, tasks[r.Id], desk) with { AssignedAt = r.AssignedAt })
            .ToList();
        var made = await changes.DoIn(classId, desk, ChangeKind.DraftDiscarded, async (c, t) =>
        {
            var n = await AssignmentWriter.Discard(c, t, [.. kept.Select(k => k.Id)], classId);
            return n == 0 ? null : new(new Discarded(kept), $"Discarded {n:count} drafts");
        });
        return new(made?.Id, made?.Summary ?? $"Nothing changed", kept.Count, 0);
    }

    /// <summary>Assignments of a class; one that is not there, or that readers chose themselves, is as unknown as any
    /// other.</summary>
    private static async Task<IReadOnlyList<AssignmentRow>> Of(
        ClassId classId,
        IReadOnlyCollection<AssignmentId> ids,
        AssignmentStore assignments
    )
    {
        var rows = await assignments.InClass(ids, classId);
        return rows.Count == ids.Distinct().Count() && rows.All(r => !r.Chosen) ? rows : throw Refused.NotFound();
    }

    private static async Task<IReadOnlyList<AssignmentRow>> Drafts(
        ClassId classId,
        IReadOnlyList<AssignmentId> ids,
        AssignmentStore assignments
    )
    {
        new Faults()
            .If(ids is not { Count: > 0 and <= MostAtOnce }, "assignmentIds", $"Choose 1 to {MostAtOnce} assignments.")
            .Refuse();
        var rows = await Of(classId, ids, assignments);
        return rows.All(r => r.Draft) ? rows : throw Given();
    }

    private static Refused Given() =>
        Refused.Conflict("given", $"One of these has been assigned already. Reload to see it.");

    /// <summary>Refuses a draft that cannot be given as it is.</summary>
    private static async Task Holds(AssignmentRow row, IReadOnlyList<RosterRow> readers, DateOnly today, Giving giving)
    {
        if (row is { TextId: { } textId, Kind: not TaskKind.Recording })
            await giving.Asks(textId, row.Title);
        if (row.DueOn < today || row.ClosesOn < today)
            throw Refused.Field("assignmentIds", $"The last day of “{row.Title}” has passed. Change its dates first.");
        if (readers.Count == 0)
            throw Refused.Field(
                "assignmentIds",
                $"Nobody “{row.Title}” is for is in the class any more, or their group is gone. Discard the draft."
            );
    }

    /// <summary>The same as a draft of the asker's.</summary>
    private static NewAssignment DraftOf(AssignmentRow row, IReadOnlyList<Aim> aims, NewTask task, Desk desk) =>
        new()
        {
            Id = row.Id,
            ClassId = row.ClassId,
            AssignedBy = desk.Who.Adult,
            AssignedAt = desk.Now,
            Terms = MendEndpoints.TermsOf(row),
            Task = task with { Id = TaskId.New() },
            Aims = aims,
            Turn = row.InTurn,
            Act = row.Act,
        };
}
