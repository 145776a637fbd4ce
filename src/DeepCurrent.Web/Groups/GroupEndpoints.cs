using DeepCurrent.Core.Access;
using DeepCurrent.Core.Changes;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Grouping;
using DeepCurrent.Core.Questions;
using DeepCurrent.Data.Assignments;
using DeepCurrent.Data.Changes;
using DeepCurrent.Data.Groups;
using DeepCurrent.Data.Readers;
using DeepCurrent.Web.Assignments;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Groups;

public sealed record ProposalRequest(int Groups, int Smallest, int Largest);

/// <param name="Away">Distance to the middle of the group, fm.</param>
/// <param name="NearestOther">Index of the next nearest group, or −1.</param>
/// <param name="Need">The strand with the lowest mastery, if any was asked often enough.</param>
public sealed record PlacementView(
    ReaderId ReaderId,
    Fathoms Depth,
    double Away,
    int NearestOther,
    double OtherAway,
    Strand? Need
);

public sealed record ProposedGroup(
    string Name,
    ReaderId MiddleReaderId,
    Fathoms Shallowest,
    Fathoms Deepest,
    IReadOnlyList<PlacementView> Readers
);

public sealed record ProposalView(IReadOnlyList<ProposedGroup> Groups, double Cost, bool ProvenBest, double Gap);

public sealed record SaveGroupsRequest(IReadOnlyList<NewGroup> Groups);

public sealed record SavedGroups(ChangeId? ChangeId, Message Summary);

/// <summary>Guided reading groups: proposing, and saving what the teacher decided.</summary>
public static class GroupEndpoints
{
    private const int EnoughAsked = 3,
        MostGroups = 12;
    private static readonly string[] Names =
    [
        "Kelp",
        "Ferry",
        "Mill",
        "Beacon",
        "Harbour",
        "Estuary",
        "Lantern",
        "Compass",
        "Barnacle",
        "Heron",
        "Sluice",
        "Anchor",
    ];

    public static void Map(RouteGroupBuilder api)
    {
        api.MapPost("/classes/{classId:guid}/groups/proposal", Propose);
        api.MapPut("/classes/{classId:guid}/groups", Save);
    }

    private static async Task<ProposalView> Propose(
        ClassId classId,
        ProposalRequest request,
        Desk desk,
        ReaderStore readers,
        AssignmentStore assignments
    )
    {
        await desk.Class(classId, Deed.FormGroups);
        if (request.Groups is < 1 or > MostGroups)
            throw Refused.Field("groups", $"Ask for 1 to {MostGroups} groups.");
        var strands = (await assignments.Strands(classId, desk.Now - Mastery.Span)).ToLookup(s => s.ReaderId);
        var candidates = (await readers.Roster(classId, await desk.Moment()))
            .Select(r => new GroupCandidate(r.Id.ToString(), r.Depth, Masteries(strands[r.Id])))
            .ToList();
        var rules = new GroupRules(request.Groups, request.Smallest, request.Largest);
        if (rules.Conflict(candidates.Count) is { } conflict)
            throw Refused.Field("groups", conflict);
        var plan = await Task.Run(() => GroupPlanner.Propose(candidates, rules));
        return new(
            [
                .. plan.Groups.Select(
                    (g, i) =>
                        new ProposedGroup(
                            Names[i],
                            IdOf(g.Representative),
                            g.Readers[0].Depth,
                            g.Readers[^1].Depth,
                            [.. g.Readers.Select(r => Place(plan, i, r, strands[IdOf(r)]))]
                        )
                ),
            ],
            plan.Cost,
            plan.Gap == 0,
            plan.Gap
        );
    }

    private static PlacementView Place(
        GroupProposal plan,
        int group,
        GroupCandidate r,
        IEnumerable<StrandCount> strands
    )
    {
        var (own, other, away) = GroupPlanner.Reason(plan, group, r);
        var need = strands
            .Where(s => s.Asked >= EnoughAsked)
            .OrderBy(s => Mastery.Estimate(s.Right, s.Asked).Mean)
            .Select(s => (Strand?)s.Strand)
            .FirstOrDefault();
        return new(IdOf(r), r.Depth, own, other, away, need);
    }

    private static ReaderId IdOf(GroupCandidate r) => ReaderId.From(Guid.Parse(r.Key));

    private static double[] Masteries(IEnumerable<StrandCount> strands)
    {
        var asked = strands.ToDictionary(s => s.Strand, s => (s.Right, s.Asked));
        return
        [
            .. Enum.GetValues<Strand>()
                .Select(s => asked.GetValueOrDefault(s) is var (right, n) ? Mastery.Estimate(right, n).Mean * 100 : 0),
        ];
    }

    private static async Task<SavedGroups> Save(
        ClassId classId,
        SaveGroupsRequest request,
        Desk desk,
        ReaderStore readers,
        Following following,
        ChangeStore changes
    )
    {
        await desk.Class(classId, Deed.FormGroups);
        new Faults()
            .If(request.Groups.Count is 0 or > MostGroups, "groups", $"Save 1 to {MostGroups} groups.")
            .If(
                request.Groups.Any(g => string.IsNullOrWhiteSpace(g.Name) || g.Name.Length > 40),
                "groups",
                $"Enter a name of 40 letters or fewer for each group."
            )
            .If(
                request.Groups.Select(g => Core.Roster.Names.Tidy(g.Name).ToLowerInvariant()).Distinct().Count()
                    != request.Groups.Count,
                "groups",
                $"Two groups have the same name."
            )
            .Refuse();
        var roster = (await readers.Roster(classId, await desk.Moment())).Select(r => r.Id).ToHashSet();
        var placed = request.Groups.SelectMany(g => g.ReaderIds).ToList();
        if (placed.Any(id => !roster.Contains(id)))
            throw Refused.NotFound();
        if (placed.Distinct().Count() != placed.Count)
            throw Refused.Field("groups", $"A reader is in two of these groups.");
        var groups = request.Groups.Select(g => g with { Name = g.Name.Trim() }).ToList();
        var follow = await following.Plan(classId, groups);
        var made = await changes.Do(
            new(desk.Who.SchoolId, classId, desk.Who.Adult, desk.Now),
            ChangeKind.Groups,
            async (c, t) =>
            {
                var regrouping = await GroupStore.Replace(c, t, classId, groups, desk.Now);
                var followed = await following.Do(c, t, classId, follow);
                return new(regrouping with { Followed = followed }, Said(groups.Count, followed));
            }
        );
        return new(made?.Id, made?.Summary ?? $"Nothing changed");
    }

    private static Message Said(int count, Followed followed)
    {
        if (!followed.Any)
            return $"Saved {count:count} groups";
        var came = followed.Given.Count + followed.Restored.Count;
        return $"Saved {count:count} groups. Work not begun followed: {came} given, {followed.TakenBack.Count} taken back.";
    }
}
