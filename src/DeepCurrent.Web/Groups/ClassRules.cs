using DeepCurrent.Core.Grouping;
using DeepCurrent.Data.Groups;
using DeepCurrent.Web.Hosting;

namespace DeepCurrent.Web.Groups;

/// <summary>A class's rules as the planner takes them, with what stands in the way said in the class's own
/// names.</summary>
internal sealed class ClassRules
{
    public const int MostGroups = 12;
    private const int MostRules = 60;
    private const double MostCost = 50,
        MostWeight = 5;

    private readonly GroupClass of;
    private readonly GroupRulesBody body;

    /// <summary>Those of the class who are to be in groups.</summary>
    public IReadOnlyList<GroupCandidate> Readers { get; }

    public GroupRules Rules { get; }

    public ClassRules(GroupClass of, GroupRulesBody body)
    {
        (this.of, this.body) = (of, body);
        Check(body);
        var absent = (body.LeftOut ?? []).Select(r => r.ToString()).ToHashSet();
        Readers = [.. of.Candidates.Where(c => !absent.Contains(c.Key))];
        var here = Readers.Select(r => r.Key).ToHashSet();
        Rules = new(body.Groups, body.Smallest, body.Largest)
        {
            Together = [.. Pairs(body.Together, here)],
            Apart = [.. Pairs(body.Apart, here).Union(NoDay(here))],
            Fixed = [.. Places(body.Stays, here)],
            Barred = [.. Places(body.NotIn, here)],
            Current =
            [
                .. of
                    .Now.SelectMany((g, i) => g.ReaderIds.Select(r => new InGroup(r.ToString(), i)))
                    .Where(x => here.Contains(x.Reader))
                    .DistinctBy(x => x.Reader),
            ],
            MoveCost = body.MoveCost ?? 1,
            Weights = new(
                Strands: body.Strands ?? GroupWeights.Usual.Strands,
                Rate: body.Rate ?? GroupWeights.Usual.Rate
            ),
        };
    }

    private static void Check(GroupRulesBody body) =>
        new Faults()
            .If(body.Groups is < 1 or > MostGroups, "groups", $"Ask for 1 to {MostGroups} groups.")
            .If(
                body.Smallest < 1 || body.Largest < body.Smallest,
                "groups",
                $"Group sizes from {body.Smallest} to {body.Largest} do not fit. Set the smallest below the largest."
            )
            .If(body.MoveCost is < 0 or > MostCost, "moveCost", $"Enter 0 to {(int)MostCost} fm.")
            .If(body.Strands is < 0 or > MostWeight || body.Rate is < 0 or > MostWeight, "weights", $"Enter 0 to 5.")
            .If(
                (body.Together?.Count ?? 0)
                    + (body.Apart?.Count ?? 0)
                    + (body.Stays?.Count ?? 0)
                    + (body.NotIn?.Count ?? 0)
                    + (body.Cannot?.Count ?? 0)
                    > MostRules,
                "rules",
                $"Use {MostRules} rules or fewer."
            )
            .If(
                (body.Cannot ?? []).Any(c => c.Days is not { Count: > 0 and <= 7 }),
                "cannot",
                $"Choose the days on which the reader cannot come."
            )
            .If(body.Shut is { Count: > 7 }, "shut", $"Choose the days without meetings.")
            .Refuse();

    /// <summary>Rules about readers who have left the class rest.</summary>
    private static IEnumerable<ReaderPair> Pairs(IReadOnlyList<PairBody>? pairs, HashSet<string> here) =>
        (pairs ?? [])
            .Select(p => new ReaderPair(p.One.ToString(), p.Other.ToString()))
            .Where(p => p.One != p.Other && here.Contains(p.One) && here.Contains(p.Other))
            .Distinct();

    private IEnumerable<ReaderPair> NoDay(HashSet<string> here) =>
        SharedDays.None([
            .. (body.Cannot ?? [])
                .Select(c => (Reader: c.ReaderId.ToString(), c.Days))
                .Where(c => here.Contains(c.Reader))
                .Select(c => (c.Reader, (IReadOnlyCollection<DayOfWeek>)c.Days)),
        ]);

    /// <summary>Rules about groups that are gone, or would be, rest.</summary>
    private IEnumerable<InGroup> Places(IReadOnlyList<PlaceBody>? places, HashSet<string> here)
    {
        var number = of.Now.Select((g, i) => (g.Id, i)).ToDictionary(x => x.Id, x => x.i);
        return (places ?? [])
            .Where(p => number.ContainsKey(p.GroupId) && here.Contains(p.ReaderId.ToString()))
            .Select(p => new InGroup(p.ReaderId.ToString(), number[p.GroupId]))
            .Where(p => p.Group < body.Groups)
            .Distinct();
    }

    public Message Said(GroupRule rule) => rule.Said(of.NameOf, g => g < of.Now.Count ? of.Now[g].Name : $"{g + 1}");

    /// <summary>Each single change that would make a proposal possible.</summary>
    public IReadOnlyList<GroupFixView> Fixes(IReadOnlyList<GroupRule> conflict) =>
        [
            .. GroupConflicts
                .Fixes(Readers, Rules, conflict)
                .Select(f =>
                    f.Figure is { } figure
                        ? new GroupFixView(Said(f.Rule with { Figure = figure }), With(f.Rule.Kind, figure))
                        : new GroupFixView($"Without: {Said(f.Rule)}", Without(f.Rule))
                ),
        ];

    private GroupRulesBody With(GroupRuleKind kind, int figure) =>
        kind switch
        {
            GroupRuleKind.Number => body with { Groups = figure },
            GroupRuleKind.Smallest => body with { Smallest = figure },
            _ => body with { Largest = figure },
        };

    private GroupRulesBody Without(GroupRule rule)
    {
        bool Pair(PairBody p) => p.One.ToString() == rule.One && p.Other.ToString() == rule.Other;
        bool Place(PlaceBody p) => p.ReaderId.ToString() == rule.One && of.Now[rule.Figure].Id == p.GroupId;
        return rule.Kind switch
        {
            GroupRuleKind.Together => body with { Together = [.. (body.Together ?? []).Where(p => !Pair(p))] },
            GroupRuleKind.Apart when !(body.Apart ?? []).Any(p => Pair(p) || Pair(new(p.Other, p.One))) => body with
            {
                Cannot = [.. (body.Cannot ?? []).Where(c => c.ReaderId.ToString() != rule.One)],
            },
            GroupRuleKind.Apart => body with { Apart = [.. (body.Apart ?? []).Where(p => !Pair(p))] },
            GroupRuleKind.Fixed => body with { Stays = [.. (body.Stays ?? []).Where(p => !Place(p))] },
            GroupRuleKind.Barred => body with { NotIn = [.. (body.NotIn ?? []).Where(p => !Place(p))] },
            _ => body,
        };
    }
}
