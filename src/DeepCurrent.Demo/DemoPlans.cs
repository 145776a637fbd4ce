using DeepCurrent.Core.Assignments;
using DeepCurrent.Core.Changes;
using DeepCurrent.Core.Depth;
using DeepCurrent.Data.Adults;
using DeepCurrent.Data.Assignments;
using DeepCurrent.Data.Changes;
using DeepCurrent.Data.Schools;

namespace DeepCurrent.Demo;

/// <summary>Who reads what: by group once there are groups, and what is prepared for the coming week.</summary>
internal sealed class DemoPlans(ChangeStore changes)
{
    private const int Tries = 2;

    private readonly Dictionary<ReaderId, GroupId> groupOf = [];

    /// <summary>From now on those readers read with their group.</summary>
    public void Formed(GroupId id, IEnumerable<ReaderId> readers)
    {
        foreach (var reader in readers)
            groupOf[reader] = id;
    }

    /// <summary>The text of each: a group reads the one that fits its middle reader; who knows that one already, or is in
    /// no group, reads what fits them best.</summary>
    /// <param name="kept">The text of the reader whom whoever tries the application can be, and of their group; null in
    /// other weeks.</param>
    public IReadOnlyList<IGrouping<SimulatedText, SimulatedReader>> Texts(
        IReadOnlyList<SimulatedReader> people,
        IReadOnlyList<SimulatedText> library,
        IReadOnlyDictionary<ReaderId, Fathoms> depths,
        SimulatedText? kept
    )
    {
        var others = library.Where(t => t != kept).ToList();
        var ofGroup = new Dictionary<GroupId, SimulatedText?>();
        foreach (var group in people.Where(p => groupOf.ContainsKey(p.Id)).GroupBy(p => groupOf[p.Id]))
        {
            var middle = Middle(people, group.Key, depths);
            // Few of a group may know its text.
            var fresh = others.Where(t => 4 * group.Count(p => p.Seen.Contains(t.Row.Id)) <= group.Count());
            ofGroup[group.Key] =
                kept is not null && group.Any(p => p.Name == DemoWorld.KnownReader)
                    ? kept
                    : middle.NextText(fresh, depths[middle.Id]);
        }
        return
        [
            .. people
                .Select(p => (Reader: p, Text: TextOf(p)))
                .Where(x => x.Text is not null)
                .GroupBy(x => x.Text!, x => x.Reader),
        ];

        SimulatedText? TextOf(SimulatedReader p) =>
            groupOf.TryGetValue(p.Id, out var id) && ofGroup[id] is { } text && !p.Seen.Contains(text.Row.Id) ? text
            : p.Name == DemoWorld.KnownReader && kept is not null ? kept
            : p.NextText(others, depths[p.Id]);
    }

    private SimulatedReader Middle(
        IEnumerable<SimulatedReader> people,
        GroupId group,
        IReadOnlyDictionary<ReaderId, Fathoms> depths
    )
    {
        var members = people.Where(p => groupOf.GetValueOrDefault(p.Id) == group).OrderBy(p => depths[p.Id]).ToList();
        return members[members.Count / 2];
    }

    /// <summary>A text that as few of some readers as possible have read.</summary>
    private static SimulatedText? FewestRead(
        IEnumerable<SimulatedText> library,
        IReadOnlyList<SimulatedReader> members,
        SimulatedReader middle,
        Fathoms depth
    ) =>
        library
            .GroupBy(t => members.Count(p => p.Seen.Contains(t.Row.Id)))
            .OrderBy(g => g.Key)
            .Select(g => middle.NextText(g, depth))
            .FirstOrDefault(t => t is not null);

    /// <summary>What the teacher has prepared for the coming week: one text for everybody, and for each group two, one
    /// after the other.</summary>
    public async Task Prepare(
        DemoClass room,
        IReadOnlyList<SimulatedText> library,
        IReadOnlyDictionary<ReaderId, Fathoms> depths,
        DateOnly monday,
        DateTimeOffset at
    )
    {
        var people = room.People;
        var used = new HashSet<TextId>();
        var groups = people.Select(p => groupOf[p.Id]).Distinct().ToList();
        foreach (var (from, to) in new[] { (0, 1), (2, 4) })
        foreach (var group in groups)
        {
            var members = people.Where(p => groupOf[p.Id] == group).ToList();
            if (Fresh(members, Middle(people, group, depths)) is { } text)
                await Draft(text, new(room.Id, group), from, to);
        }
        var all = people.OrderBy(p => depths[p.Id]).ElementAt(people.Count / 2);
        if (Fresh(people, all) is { } warmUp)
            await Draft(warmUp, new(room.Id), 0, 4);

        SimulatedText? Fresh(IReadOnlyList<SimulatedReader> members, SimulatedReader middle) =>
            FewestRead(library.Where(t => !used.Contains(t.Row.Id)), members, middle, depths[middle.Id]);

        Task Draft(SimulatedText text, Aim aim, int from, int to)
        {
            used.Add(text.Row.Id);
            var draft = new NewAssignment
            {
                Id = AssignmentId.New(),
                ClassId = room.Id,
                AssignedBy = room.Teacher.Id,
                AssignedAt = at,
                Terms = new AssignmentTerms(monday.AddDays(from), monday.AddDays(to)).Moved(0, room.Year.Calendar),
                Task = new(TaskId.New(), text.Row.Id, Tries),
                Aims = [aim],
            };
            return changes.Do(room.By(at), ChangeKind.Drafted, async (c, t) =>
            {
                await AssignmentWriter.Add(c, t, draft, room.Year.Clock.DayOf(at));
                return new(new { assignmentIds = new[] { draft.Id } }, $"Drafted {text.Row.Title}");
            });
        }
    }
}
