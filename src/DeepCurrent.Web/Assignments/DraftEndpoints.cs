using DeepCurrent.Core.Access;
using DeepCurrent.Core.Changes;
using DeepCurrent.Data.Assignments;
using DeepCurrent.Data.Changes;
using DeepCurrent.Data.Schools;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Assignments;

public sealed record DraftsRequest(IReadOnlyList<AssignmentId> AssignmentIds);

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
        var made = await changes.Do(MendEndpoints.By(desk, classId), ChangeKind.DraftsGiven, async (c, t) =>
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
                    MendEndpoints.TermsOf(row).Begins(today),
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
                    Terms = MendEndpoints.TermsOf(row).Moved(request.Days, calendar),
                    Task = new(TaskId.New(), row.TextId, row.Attempts, row.OnTheWay, row.Aloud),
                    Aims = meant[row.Id].Aims,
                }
            );
        }
        var made = await changes.Do(MendEndpoints.By(desk, classId), ChangeKind.Drafted, async (c, t) =>
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
                Terms = MendEndpoints.TermsOf(row),
                Task = new(TaskId.New(), row.TextId, row.Attempts, row.OnTheWay, row.Aloud),
                Aims = meant[row.Id].Aims,
            })
            .ToList();
        var made = await changes.Do(MendEndpoints.By(desk, classId), ChangeKind.DraftDiscarded, async (c, t) =>
        {
            var n = await AssignmentWriter.Discard(c, t, [.. kept.Select(k => k.Id)], classId);
            return n == 0 ? null : new(new Discarded(kept), $"Discarded {n:count} drafts");
        });
        await assignments.Tell(classId);
        return new(made?.Id, made?.Summary ?? $"Nothing changed", kept.Count, 0);
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
