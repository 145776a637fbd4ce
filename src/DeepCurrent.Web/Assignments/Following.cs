using DeepCurrent.Core.Access;
using DeepCurrent.Core.Assignments;
using DeepCurrent.Core.Tickets;
using DeepCurrent.Data.Assignments;
using DeepCurrent.Data.Groups;
using DeepCurrent.Data.Readers;
using DeepCurrent.Data.Tickets;
using DeepCurrent.Web.SignIn;
using Npgsql;

namespace DeepCurrent.Web.Assignments;

/// <summary>What a regrouping does to one assignment.</summary>
/// <param name="Given">Who comes and has had nothing of it.</param>
/// <param name="Restored">Tickets of who comes back.</param>
/// <param name="TakenBack">Tickets of who goes and has not begun.</param>
public sealed record Follow(
    AssignmentRow Row,
    IReadOnlyList<NewTicket> Given,
    IReadOnlyList<TicketId> Restored,
    IReadOnlyList<TicketId> TakenBack
);

/// <summary>What is given to a group follows its readers: who comes gets it, from who goes and has not begun it is taken
/// back. What a group had that is gone stays as it is, and so does what was due before.</summary>
public sealed class Following(Desk desk, Giving giving, AssignmentStore assignments, WeekStore weeks)
{
    /// <summary>What would follow in a class from groups that take the place of those there are in one
    /// grouping.</summary>
    /// <param name="grouping">Null for guided reading.</param>
    public async Task<IReadOnlyList<Follow>> Plan(
        ClassId classId,
        IReadOnlyList<NewGroup> groups,
        GroupingId? grouping = null
    )
    {
        var room = await giving.Class(classId, Deed.FormGroups);
        var rows = await assignments.GivenToGroups(classId, await desk.Today());
        var meant = await weeks.MeantBy([.. rows.Select(r => r.Id)]);
        var after = room
            .InOrder.Select(g =>
                (
                    g.Id,
                    Readers: g.Grouping == grouping
                        ? groups.FirstOrDefault(n => GoesOnAs(n, g))?.ReaderIds
                        : g.ReaderIds
                )
            )
            .Where(g => g.Readers is not null)
            .ToDictionary(g => g.Id, g => g.Readers!);
        var roster = room.Roster.Select(r => r.Id).ToList();
        var moved = rows.Where(r => Stays(meant[r.Id].Aims, after))
            .Select(row => new Moved(
                row,
                [.. room.Meant(meant[row.Id].Aims).Select(r => r.Id)],
                [.. Aims.Readers(meant[row.Id].Aims, room.Place.Id, roster, after)]
            ))
            .Where(m => !m.Was.SetEquals(m.Now))
            .ToList();
        var tasks = await assignments.Tasks([.. moved.Select(m => m.Row.Id)]);
        var plan = new List<Follow>();
        foreach (var m in moved)
            plan.Add(await Of(m, room, tasks[m.Row.Id]));
        return [.. plan.Where(f => f.Given.Count + f.Restored.Count + f.TakenBack.Count > 0)];
    }

    private static bool GoesOnAs(NewGroup next, GroupRow now) =>
        next.Id is { } id ? id == now.Id : next.Name == now.Name;

    private static bool Stays(IReadOnlyList<Aim> aims, Dictionary<GroupId, IReadOnlyList<ReaderId>> after) =>
        aims.All(a => a.GroupId is not { } group || after.ContainsKey(group));

    /// <summary>Whom an assignment meant, and whom it means.</summary>
    private sealed record Moved(AssignmentRow Row, HashSet<ReaderId> Was, HashSet<ReaderId> Now);

    private async Task<Follow> Of(Moved moved, GivingClass room, NewTask task)
    {
        var (row, was, now) = moved;
        var tickets = (await assignments.Tickets(row.Id)).ToLookup(k => k.ReaderId);
        var come = room.Roster.Where(r => now.Contains(r.Id) && !was.Contains(r.Id)).ToList();
        var fresh = come.Where(r => !tickets[r.Id].Any()).ToList();
        return new(
            row,
            await Tickets(row, task, fresh),
            [.. Those(come.Select(r => r.Id), k => k.State is TicketState.TakenBack)],
            [.. Those(was.Except(now), k => k is { OpenedAt: null, State: TicketState.Planned or TicketState.Waiting })]
        );

        IEnumerable<TicketId> Those(IEnumerable<ReaderId> readers, Func<TicketRow, bool> which) =>
            readers.SelectMany(r => tickets[r]).Where(which).Select(k => k.Id);
    }

    private async Task<IReadOnlyList<NewTicket>> Tickets(
        AssignmentRow row,
        NewTask task,
        IReadOnlyList<RosterRow> readers
    )
    {
        if (readers.Count == 0)
            return [];
        if (row.TextId is not { } textId)
            return Giving.Tickets(readers);
        return Giving.Tickets((await giving.Fits([textId], readers))[textId], task.Locked, skipGiven: true);
    }

    /// <summary>Lets it follow, inside the transaction that regroups.</summary>
    public async Task<Followed> Do(NpgsqlConnection c, NpgsqlTransaction t, ClassId classId, IReadOnlyList<Follow> plan)
    {
        var today = await desk.Today();
        foreach (var f in plan.Where(f => f.Given.Count > 0))
            await AssignmentWriter.AddTickets(
                c,
                t,
                classId,
                f.Row.TaskId,
                f.Given,
                MendEndpoints.TermsOf(f.Row),
                today,
                desk.Who.Adult,
                desk.Now
            );
        var restored = await Move(TicketStep.Restored, [.. plan.SelectMany(f => f.Restored)]);
        var takenBack = await Move(TicketStep.TakenBack, [.. plan.SelectMany(f => f.TakenBack)]);
        if (plan.Count > 0)
            await AssignmentWriter.Tell(c, t, classId);
        return new([.. plan.SelectMany(f => f.Given).Select(k => k.Id)], restored, takenBack);

        async Task<IReadOnlyList<TicketMoved>> Move(TicketStep step, IReadOnlyList<TicketId> ids)
        {
            if (ids.Count == 0)
                return [];
            var act = new TicketAct(step, desk.Who.Adult, desk.Now, today);
            var moved = await TicketMover.Move(c, t, ids, classId, act);
            await TicketMover.ShowNext(c, t, moved, act);
            return moved;
        }
    }

    /// <summary>Takes back what followed, except what has been begun since.</summary>
    public static async Task Undo(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        ClassId classId,
        Followed did,
        DateTimeOffset now
    )
    {
        await AssignmentWriter.DeleteUnopened(c, t, did.Given);
        await TicketMover.Back(c, t, did.Restored, TicketStep.Restored, classId, now);
        await TicketMover.Back(c, t, did.TakenBack, TicketStep.TakenBack, classId, now);
        await AssignmentWriter.Tell(c, t, classId);
    }
}
