using DeepCurrent.Core.Access;
using DeepCurrent.Core.Changes;
using DeepCurrent.Data.Changes;
using DeepCurrent.Data.Groups;
using DeepCurrent.Data.Readers;
using DeepCurrent.Web.Assignments;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Groups;

/// <summary>Saves groups as a teacher decided them, with the work that follows in each class they take in.</summary>
public sealed class GroupSaving(
    Desk desk,
    ReaderStore readers,
    GroupStore groups,
    GroupingStore groupings,
    Following following,
    ChangeStore changes
)
{
    private const int LongestName = 40;

    /// <param name="groupingId">Null for guided reading.</param>
    public async Task<SavedGroups> Save(ClassId classId, GroupingId? groupingId, SaveGroupsRequest request)
    {
        await desk.Class(classId, Deed.FormGroups);
        var grouping = groupingId is { } id ? await Found(classId, id) : null;
        List<ClassId> classes = [.. grouping?.Classes ?? [classId]];
        var others = (await groups.Every(classId)).Where(g => g.Grouping != groupingId).Select(g => g.Name);
        Check(request.Groups, [.. others]);
        await CheckReaders(classes, request.Groups);
        var next = request.Groups.Select(g => g with { Name = g.Name.Trim() }).ToList();
        var plans = new List<(ClassId Class, IReadOnlyList<Follow> Plan)>();
        foreach (var one in classes)
            plans.Add((one, await following.Plan(one, next, groupingId)));
        var made = await changes.Do(
            new(desk.Who.SchoolId, classId, desk.Who.Adult, desk.Now),
            ChangeKind.Groups,
            async (c, t) =>
            {
                var regrouping = await GroupWriter.Replace(c, t, classId, next, desk.Now, groupingId);
                var followed = new List<FollowedIn>();
                foreach (var (one, plan) in plans)
                    followed.Add(new(one, await following.Do(c, t, one, plan)));
                return new(
                    regrouping with
                    {
                        Followed = followed[0].Followed,
                        Elsewhere = [.. followed.Skip(1)],
                    },
                    Said(next.Count, grouping?.Name, [.. followed.Select(f => f.Followed)])
                );
            }
        );
        return new(made?.Id, made?.Summary ?? $"Nothing changed");
    }

    /// <summary>Ends a grouping with its groups; what they were given stays with their readers.</summary>
    public async Task<SavedGroups> End(ClassId classId, GroupingId groupingId)
    {
        await desk.Class(classId, Deed.FormGroups);
        var grouping = await Found(classId, groupingId);
        var made = await changes.Do(
            new(desk.Who.SchoolId, classId, desk.Who.Adult, desk.Now),
            ChangeKind.Groups,
            async (c, t) =>
                new(
                    await GroupWriter.End(c, t, classId, groupingId, desk.Now) with
                    {
                        Elsewhere = [.. grouping.Others.Select(o => new FollowedIn(o, Followed.None))],
                    },
                    $"Ended the groups of {grouping.Name}"
                )
        );
        return new(made?.Id, made?.Summary ?? $"Nothing changed");
    }

    /// <summary>A grouping, if one may form groups in every class it takes in.</summary>
    private async Task<GroupingRow> Found(ClassId classId, GroupingId id)
    {
        var grouping = await groupings.Find(classId, id) ?? throw Refused.NotFound();
        foreach (var other in grouping.Others)
            await desk.Class(other, Deed.FormGroups);
        return grouping;
    }

    private static void Check(IReadOnlyList<NewGroup> wanted, IReadOnlyCollection<string> others)
    {
        static string Key(string name) => Core.Roster.Names.Tidy(name).ToLowerInvariant();
        var taken = others.Select(Key).ToHashSet();
        new Faults()
            .If(wanted.Count is 0 or > ClassRules.MostGroups, "groups", $"Save 1 to {ClassRules.MostGroups} groups.")
            .If(
                wanted.Any(g => string.IsNullOrWhiteSpace(g.Name) || g.Name.Length > LongestName),
                "groups",
                $"Enter a name of 40 letters or fewer for each group."
            )
            .If(
                wanted.Select(g => Key(g.Name)).Distinct().Count() != wanted.Count,
                "groups",
                $"Two groups have the same name."
            )
            .If(
                wanted.Any(g => taken.Contains(Key(g.Name))),
                "groups",
                $"A group of another grouping has this name. Choose another."
            )
            .Refuse();
    }

    private async Task CheckReaders(IEnumerable<ClassId> classes, IReadOnlyList<NewGroup> wanted)
    {
        var here = new HashSet<ReaderId>();
        foreach (var one in classes)
            here.UnionWith((await readers.Roster(one, await desk.Moment())).Select(r => r.Id));
        var placed = wanted.SelectMany(g => g.ReaderIds).ToList();
        if (placed.Exists(id => !here.Contains(id)))
            throw Refused.NotFound();
        if (placed.Distinct().Count() != placed.Count)
            throw Refused.Field("groups", $"A reader is in two of these groups.");
    }

    private static Message Said(int count, string? grouping, IReadOnlyList<Followed> followed)
    {
        if (!followed.Any(f => f.Any))
            return grouping is null
                ? (Message)$"Saved {count:count} groups"
                : $"Saved {count:count} groups of {grouping}";
        var came = followed.Sum(f => f.Given.Count + f.Restored.Count);
        var went = followed.Sum(f => f.TakenBack.Count);
        return $"Saved {count:count} groups. Work not begun followed: {came} given, {went} taken back.";
    }
}
