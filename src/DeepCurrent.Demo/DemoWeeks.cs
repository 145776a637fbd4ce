using DeepCurrent.Core.Assignments;
using DeepCurrent.Core.Changes;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Goals;
using DeepCurrent.Core.Grouping;
using DeepCurrent.Data.Adults;
using DeepCurrent.Data.Assignments;
using DeepCurrent.Data.Changes;
using DeepCurrent.Data.Goals;
using DeepCurrent.Data.Groups;
using DeepCurrent.Data.Readers;
using DeepCurrent.Data.Schools;

namespace DeepCurrent.Demo;

/// <summary>The weeks of a class since its year began: what is given and read in each, records, level checks, goals,
/// groups.</summary>
internal sealed class DemoWeeks(
    ReaderStore readers,
    ChangeStore changes,
    DemoReading reading,
    DemoPlans plans,
    DemoChecks windows,
    LevelChart chart
)
{
    private const string KeptForThisWeek = "the-mill-that-waits",
        KeptForTrying = "how-a-barometer-listens";
    private static readonly string[] GroupNames = ["Kelp", "Ferry", "Mill", "Beacon"];

    public async Task Live(
        DemoClass room,
        List<SimulatedText> library,
        DateTimeOffset now,
        bool known,
        Action<int> week
    )
    {
        for (var w = 0; w <= DemoWorld.WeeksGone; w++)
        {
            var monday = room.Year.FirstDay.AddDays(7 * w);
            week(w + 1);
            if (!room.Year.Calendar.IsSchoolDay(monday))
                continue;
            foreach (var p in room.People)
                p.Grow(chart);
            await Apart(w, room, library, known, now);
            var thisWeek = w == DemoWorld.WeeksGone;
            // Two texts are kept back, so that there is something new to give: one for this week, one for whoever tries
            // the application.
            var open = library
                .Where(t => t.Row.Slug != KeptForTrying && (thisWeek || t.Row.Slug != KeptForThisWeek))
                .ToList();
            var at =
                thisWeek && now.AddHours(-2) < DemoClass.Hour(monday, 6) ? now.AddHours(-2) : DemoClass.Hour(monday, 6);
            if (w % 4 != 3 || thisWeek)
                await Assign(room, open, at, monday.AddDays(4), thisWeek, now);
        }
        if (known)
            await Prepare(room, library, now);
    }

    private async Task Prepare(DemoClass room, List<SimulatedText> library, DateTimeOffset now)
    {
        var depths = (await readers.Roster(room.Id, room.Year.Clock.At(now))).ToDictionary(r => r.Id, r => r.Depth);
        var free = library.Where(t => t.Row.Slug is not (KeptForTrying or KeptForThisWeek)).ToList();
        var monday = room.Year.FirstDay.AddDays(7 * (DemoWorld.WeeksGone + 1));
        await plans.Prepare(room, free, depths, monday, now.AddMinutes(-30));
    }

    /// <summary>What happens in some weeks only: records, level checks, goals, groups.</summary>
    private async Task Apart(int w, DemoClass room, List<SimulatedText> library, bool known, DateTimeOffset now)
    {
        var monday = room.Year.FirstDay.AddDays(7 * w);
        if (w is 0 or 6)
            foreach (var p in room.People)
                await reading.Record(p, room, library, DemoClass.Hour(monday, 10).AddMinutes(p.Dice.Next(180)));
        if (w == 1)
            await windows.Autumn(room, DemoClass.Hour(monday.AddDays(2), 9));
        if (w == DemoWorld.WeeksGone && known)
            await windows.Winter(room, now);
        if (w == 2)
            await SetGoals(room, DemoClass.Hour(monday, 15));
        if (w == 4)
            await Form(room, DemoClass.Hour(monday, 16));
    }

    /// <summary>Each reader gets the unread text that fits best; those who get the same one share an assignment. This
    /// week's work is left in all its states.</summary>
    private async Task Assign(
        DemoClass room,
        List<SimulatedText> library,
        DateTimeOffset at,
        DateOnly due,
        bool thisWeek,
        DateTimeOffset now
    )
    {
        var depths = (await readers.Roster(room.Id, room.Year.Clock.At(at))).ToDictionary(r => r.Id, r => r.Depth);
        // Whoever tries the application as a reader finds the same text, whatever else there is in the library.
        var kept = thisWeek ? library.Find(t => t.Row.Slug == KeptForThisWeek) : null;
        foreach (var same in plans.Texts(room.People, library, depths, kept))
        {
            var given = same.Select(p => (Reader: p, Version: same.Key.Best(depths[p.Id]), Ticket: TicketId.New()))
                .ToList();
            var assignment = new NewAssignment
            {
                Id = AssignmentId.New(),
                ClassId = room.Id,
                AssignedBy = room.Teacher.Id,
                AssignedAt = at,
                Terms = new(room.Year.Clock.DayOf(at), due),
                Task = new(TaskId.New(), same.Key.Row.Id, 2),
                Aims = [.. given.Select(g => new Aim(room.Id, ReaderId: g.Reader.Id))],
                Tickets =
                [
                    .. given.Select(g => new NewTicket(
                        g.Ticket,
                        g.Reader.Id,
                        g.Version.Id,
                        Forecast.Comprehension(depths[g.Reader.Id], g.Version.Depth)
                    )),
                ],
            };
            await changes.Do(room.By(at), ChangeKind.Assigned, async (c, t) =>
            {
                await AssignmentWriter.Add(c, t, assignment, room.Year.Clock.DayOf(at));
                return new(
                    new { assignmentIds = new[] { assignment.Id } },
                    $"Assigned {same.Key.Row.Title} to {given.Count:count} readers"
                );
            });
            foreach (var (reader, version, ticket) in given)
                await reading.Read(reader, same.Key, version, ticket, at, thisWeek, now, room);
        }
    }

    private async Task SetGoals(DemoClass room, DateTimeOffset at)
    {
        var term = room.Year.Terms[0];
        var people = room.People;
        var targets = people
            .Take(people.Count - 2)
            .SelectMany(p =>
                new[]
                {
                    (p.Id, GoalKind.Comprehension, 75.0),
                    (p.Id, GoalKind.Words, Math.Round((1500 + 30 * p.Depth) / 250) * 250),
                    (p.Id, GoalKind.Depth, Math.Round(2 * p.Depth + 1) / 2),
                }
            );
        await changes.Do(room.By(at), ChangeKind.Goals, async (c, t) =>
            new(
                await GoalStore.Set(c, t, term.Id, targets, "", room.Teacher.Id, at),
                $"Set goals for {people.Count - 2:count} readers"
            )
        );
    }

    private async Task Form(DemoClass room, DateTimeOffset at)
    {
        var candidates = (await readers.Roster(room.Id, room.Year.Clock.At(at)))
            .Select(r => new GroupCandidate(r.Id.ToString(), r.Depth, []))
            .ToList();
        var count = Math.Max(1, room.People.Count / 6);
        var plan = GroupPlanner.Propose(candidates, new(count, Math.Min(3, room.People.Count), 8)).Proposal!;
        var groups = plan
            .Groups.Select(
                (g, i) => new NewGroup(GroupNames[i], [.. g.Readers.Select(r => ReaderId.From(Guid.Parse(r.Key)))])
            )
            .ToList();
        await changes.Do(room.By(at), ChangeKind.Groups, async (c, t) =>
        {
            var formed = await GroupWriter.Replace(c, t, room.Id, groups, at);
            foreach (var (id, group) in formed.Opened.Zip(groups))
                plans.Formed(id, group.ReaderIds);
            return new(formed, $"Saved {count:count} groups");
        });
    }
}
