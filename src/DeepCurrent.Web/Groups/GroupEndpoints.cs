using DeepCurrent.Core.Access;
using DeepCurrent.Core.Changes;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Grouping;
using DeepCurrent.Core.Questions;
using DeepCurrent.Data.Changes;
using DeepCurrent.Data.Groups;
using DeepCurrent.Data.Readers;
using DeepCurrent.Data.Storage;
using DeepCurrent.Web.Assignments;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Groups;

/// <summary>Guided reading groups: the rules they keep to, proposals, what a plan comes to, and saving what the teacher
/// decided.</summary>
public static class GroupEndpoints
{
    private const int EnoughAsked = 3,
        MostGroups = ClassRules.MostGroups;
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
        "Slipway",
        "Rudder",
        "Cove",
        "Dune",
        "Shoal",
        "Reef",
        "Jetty",
        "Limpet",
        "Tiller",
        "Cormorant",
        "Spindrift",
        "Breakwater",
    ];

    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/classes/{classId:guid}/groups/rules", Rules);
        api.MapPut("/classes/{classId:guid}/groups/rules", KeepRules);
        api.MapPost("/classes/{classId:guid}/groups/proposal", Propose);
        api.MapPost("/classes/{classId:guid}/groups/judgement", Judge);
        api.MapGet("/classes/{classId:guid}/groups/leaders", Leaders);
        api.MapPut("/classes/{classId:guid}/groups/{groupId:guid}/leader", Lead);
    }

    private static async Task<GroupRulesBody> Rules(ClassId classId, GroupingId? grouping, GroupDesk groups) =>
        await groups.Rules(classId, await groups.Of(classId, Deed.SeeClass, grouping), grouping);

    private static async Task<GroupRulesBody> KeepRules(
        ClassId classId,
        GroupingId? grouping,
        GroupRulesBody request,
        GroupDesk groups,
        GroupStore store,
        GroupingStore groupings
    )
    {
        // Whatever cannot be a rule is refused; rules that conflict are kept, and said when groups are proposed.
        _ = new ClassRules(await groups.Of(classId, grouping: grouping), request);
        var kept = Database.ToJson(request);
        await (grouping is { } id ? groupings.KeepRules(id, kept) : store.KeepRules(classId, kept));
        return request;
    }

    private static async Task<IReadOnlyList<GroupLeader>> Leaders(ClassId classId, Desk desk, GroupStore store)
    {
        await desk.Class(classId, Deed.FormGroups);
        return await store.Leaders(classId);
    }

    private static async Task<IResult> Lead(
        ClassId classId,
        GroupId groupId,
        LeadRequest request,
        Desk desk,
        GroupStore store
    )
    {
        await desk.Class(classId, Deed.FormGroups);
        return await store.Lead(classId, groupId, request.AdultId) ? Results.NoContent() : throw Refused.NotFound();
    }

    private static async Task<ProposalView> Propose(
        ClassId classId,
        GroupingId? grouping,
        GroupRulesBody request,
        GroupDesk groups
    )
    {
        var of = await groups.Of(classId, grouping: grouping);
        return (await Proposed(of, new(of, request))).View;
    }

    /// <summary>The best plan under some rules, and who moves in it; no moves where the rules conflict.</summary>
    internal static async Task<(ProposalView View, IReadOnlyList<ProposedMove> Moves)> Proposed(
        GroupClass of,
        ClassRules rules
    )
    {
        var answer = await Task.Run(() => GroupPlanner.Propose(rules.Readers, rules.Rules));
        return answer.Proposal is { } plan
            ? (View(of, plan), plan.Moves)
            : (
                new(
                    [],
                    0,
                    false,
                    0,
                    [.. answer.Conflict.Select(rules.Said)],
                    await Task.Run(() => rules.Fixes(answer.Conflict))
                ),
                []
            );
    }

    private static ProposalView View(GroupClass of, GroupProposal plan)
    {
        // Whatever is taken, there is a name for each.
        var spare = Enumerable.Range(1, MostGroups + of.Taken.Count).Select(n => $"{n}");
        var names = new Queue<string>(
            Names.Concat(spare).Except(of.Now.Select(g => g.Name).Concat(of.Taken), StringComparer.OrdinalIgnoreCase)
        );
        return new(
            [
                .. plan.Groups.Select(
                    (g, i) =>
                        new NextGroup(
                            i < of.Now.Count ? of.Now[i].Id : null,
                            i < of.Now.Count ? of.Now[i].Name : names.Dequeue(),
                            [.. g.Readers.Select(IdOf)]
                        )
                ),
            ],
            plan.Cost,
            plan.Proven,
            plan.Gap,
            [],
            []
        );
    }

    /// <summary>What a plan comes to, proposed or made by hand, reader by reader.</summary>
    private static async Task<JudgedView> Judge(
        ClassId classId,
        GroupingId? grouping,
        JudgeRequest request,
        GroupDesk groups
    )
    {
        var of = await groups.Of(classId, grouping: grouping);
        var rules = new ClassRules(of, request.Rules ?? throw Refused.Field("rules", $"Say what groups keep to."));
        var here = rules.Readers.Select(IdOf).ToHashSet();
        var wanted = (request.Groups ?? [])
            .Select(
                (g, i) =>
                    (Group: g, At: i, Readers: (g.ReaderIds ?? []).Where(here.Contains).Select(r => $"{r}").ToList())
            )
            .Where(g => g.Readers.Count > 0)
            .ToList();
        new Faults()
            .If(wanted.Count is 0 or > MostGroups, "groups", $"Place someone in 1 to {MostGroups} groups.")
            .If(
                wanted.SelectMany(g => g.Readers).GroupBy(r => r).Any(g => g.Count() > 1),
                "groups",
                $"A reader is in two of these groups."
            )
            .Refuse();
        var (plan, broken) = Judged(of, rules, [.. wanted.Select(w => (w.Group.Id, w.Readers))]);
        var now = of.Now.Where(g => g.ReaderIds.Any(here.Contains)).ToList();
        return new(
            plan.Cost,
            now.Count == 0
                ? null
                : Judged(
                    of,
                    rules,
                    [
                        .. now.Select(g =>
                            ((GroupId?)g.Id, g.ReaderIds.Where(here.Contains).Select(r => $"{r}").ToList())
                        ),
                    ]
                ).Plan.Cost,
            [
                .. plan.Groups.SelectMany(
                    (g, i) => g.Readers.Select(r => Place(of, rules, plan, i, r, [.. wanted.Select(w => w.At)]))
                ),
            ],
            [.. broken.Select(rules.Said)]
        );
    }

    /// <summary>Groups keep their numbers where they go on; the planner judges by the place in the plan.</summary>
    private static (GroupProposal Plan, IReadOnlyList<GroupRule> Broken) Judged(
        GroupClass of,
        ClassRules rules,
        IReadOnlyList<(GroupId? Id, List<string> Readers)> groups
    )
    {
        var placed = groups.SelectMany(g => g.Readers).ToHashSet();
        var at = of
            .Now.Select((g, i) => (g.Id, i))
            .ToDictionary(x => x.i, x => groups.ToList().FindIndex(g => g.Id == x.Id));
        int Number(int group) => at.TryGetValue(group, out var place) && place >= 0 ? place : groups.Count + group;
        InGroup Moved(InGroup x) => new(x.Reader, Number(x.Group));
        return GroupPlanner.Judge(
            rules.Readers,
            rules.Rules with
            {
                Together = [.. rules.Rules.Together.Where(p => placed.Contains(p.One) && placed.Contains(p.Other))],
                Apart = [.. rules.Rules.Apart.Where(p => placed.Contains(p.One) && placed.Contains(p.Other))],
                Fixed = [.. rules.Rules.Fixed.Where(f => placed.Contains(f.Reader)).Select(Moved).Where(Fits)],
                Barred = [.. rules.Rules.Barred.Where(f => placed.Contains(f.Reader)).Select(Moved)],
                Current = [.. rules.Rules.Current.Where(c => placed.Contains(c.Reader)).Select(Moved)],
                Groups = Math.Max(rules.Rules.Groups, groups.Count),
            },
            [.. groups.Select(g => g.Readers)]
        );

        bool Fits(InGroup x) => x.Group < Math.Max(rules.Rules.Groups, groups.Count);
    }

    private static PlacementView Place(
        GroupClass of,
        ClassRules rules,
        GroupProposal plan,
        int group,
        GroupCandidate reader,
        IReadOnlyList<int> places
    )
    {
        var reason = PlacementReason.Of(plan.Groups, group, reader, rules.Rules.Weights);
        var move = plan.Moves.FirstOrDefault(m => m.Reader == reader.Key);
        var need = of.Strands[IdOf(reader)]
            .Where(s => s.Asked >= EnoughAsked)
            .OrderBy(s => Mastery.Estimate(s.Right, s.Asked).Mean)
            .Select(s => (Strand?)s.Strand)
            .FirstOrDefault();
        return new(
            IdOf(reader),
            places[group],
            ApartView.Of(reason.Own),
            reason.Other < 0 ? -1 : places[reason.Other],
            ApartView.Of(reason.OtherAway),
            reason.Turning,
            reason.AtEdge,
            move is not null,
            move is null ? null : new Probability(move.Likely),
            need,
            reader.Rate
        );
    }

    private static ReaderId IdOf(GroupCandidate r) => ReaderId.From(Guid.Parse(r.Key));
}
