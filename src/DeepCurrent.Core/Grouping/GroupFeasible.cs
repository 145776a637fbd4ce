using Google.OrTools.Sat;

namespace DeepCurrent.Core.Grouping;

/// <summary>Whether some rules can be kept at all, and by which grouping.</summary>
internal sealed class GroupFeasible(IReadOnlyList<GroupCandidate> readers)
{
    private readonly Dictionary<string, int> at = readers
        .Select((r, i) => (r.Key, i))
        .ToDictionary(x => x.Key, x => x.i);

    // Neighbours in depth are tried together first.
    private readonly int[] rank =
    [
        .. readers
            .Select((r, i) => (r.Depth, i))
            .OrderBy(x => x.Depth.Value)
            .Select((x, place) => (x.i, place))
            .OrderBy(x => x.i)
            .Select(x => x.place),
    ];

    /// <param name="near">Where readers would best be, by their place; null for by depth.</param>
    /// <returns>The group of each reader; null where no grouping keeps to all of these rules.</returns>
    public int[]? Find(IReadOnlyCollection<GroupRule> rules, IReadOnlyDictionary<int, int>? near = null)
    {
        int? Figure(GroupRuleKind kind) => rules.FirstOrDefault(r => r.Kind == kind)?.Figure;
        var n = readers.Count;
        if (n == 0)
            return null;
        var number = Figure(GroupRuleKind.Number);
        int Named(params GroupRuleKind[] kinds) =>
            rules.Where(r => kinds.Contains(r.Kind)).Select(r => r.Figure + 1).DefaultIfEmpty(0).Max();
        var sizes = (Smallest: Figure(GroupRuleKind.Smallest) ?? 1, Largest: Figure(GroupRuleKind.Largest) ?? n);
        // That nine readers are no fours is reckoned: a search would try every way to put them.
        var (fewest, most) = ((n + sizes.Largest - 1) / sizes.Largest, n / Math.Max(1, sizes.Smallest));
        if (fewest > most || number < fewest || number > most || Named(GroupRuleKind.Fixed) > number)
            return null;
        // Where nothing says how many there are, those that no rule names are all the same.
        var named = Named(GroupRuleKind.Fixed, GroupRuleKind.Barred);
        var groups = number ?? named + most;
        var model = new CpModel();
        var places = Places(model, groups, near);
        if (number is null)
            Some(model, places, sizes, (fewest, most), named);
        else
            for (var g = 0; g < groups; g++)
                model.AddLinearConstraint(Size(places, g), Math.Max(1, sizes.Smallest), sizes.Largest);
        foreach (var rule in rules)
            Keep(model, places, rule);
        return Solved(model, places);
    }

    private BoolVar[,] Places(CpModel model, int groups, IReadOnlyDictionary<int, int>? near)
    {
        var n = readers.Count;
        var places = new BoolVar[n, groups];
        for (var i = 0; i < n; i++)
        {
            for (var g = 0; g < groups; g++)
                places[i, g] = model.NewBoolVar("");
            model.AddExactlyOne(Enumerable.Range(0, groups).Select(g => places[i, g]));
            var best = near?.GetValueOrDefault(i, -1) ?? -1;
            var hint = best >= 0 && best < groups ? best : rank[i] * groups / n;
            for (var g = 0; g < groups; g++)
                model.AddHint(places[i, g], g == hint ? 1 : 0);
        }
        return places;
    }

    private static int[]? Solved(CpModel model, BoolVar[,] places)
    {
        var solver = new CpSolver { StringParameters = "max_time_in_seconds:20,num_workers:1,random_seed:7" };
        if (solver.Solve(model) is not (CpSolverStatus.Optimal or CpSolverStatus.Feasible))
            return null;
        var groups = Enumerable.Range(0, places.GetLength(1)).ToList();
        return
        [
            .. Enumerable
                .Range(0, places.GetLength(0))
                .Select(i => groups.First(g => solver.BooleanValue(places[i, g]))),
        ];
    }

    private static LinearExpr Size(BoolVar[,] places, int group) =>
        LinearExpr.Sum(Enumerable.Range(0, places.GetLength(0)).Select(i => places[i, group]));

    /// <summary>As many groups as are needed, each of a size that is allowed; of those that are all the same, the first
    /// ones.</summary>
    private static void Some(
        CpModel model,
        BoolVar[,] places,
        (int Smallest, int Largest) sizes,
        (int Fewest, int Most) number,
        int named
    )
    {
        var used = Enumerable.Range(0, places.GetLength(1)).Select(_ => model.NewBoolVar("")).ToArray();
        for (var g = 0; g < used.Length; g++)
        {
            model.Add(Size(places, g) <= sizes.Largest * used[g]);
            model.Add(Size(places, g) >= Math.Max(1, sizes.Smallest) * used[g]);
            if (g > named)
                model.AddImplication(used[g], used[g - 1]);
        }
        model.AddLinearConstraint(LinearExpr.Sum(used), number.Fewest, number.Most);
    }

    private void Keep(CpModel model, BoolVar[,] places, GroupRule rule)
    {
        var groups = places.GetLength(1);
        switch (rule.Kind)
        {
            case GroupRuleKind.Together:
                for (var g = 0; g < groups; g++)
                    model.Add(places[at[rule.One], g] == places[at[rule.Other], g]);
                break;
            case GroupRuleKind.Apart:
                for (var g = 0; g < groups; g++)
                    model.AddAtMostOne([places[at[rule.One], g], places[at[rule.Other], g]]);
                break;
            case GroupRuleKind.Fixed:
                model.Add(places[at[rule.One], rule.Figure] == 1);
                break;
            case GroupRuleKind.Barred when rule.Figure < groups:
                model.Add(places[at[rule.One], rule.Figure] == 0);
                break;
        }
    }

    /// <summary>Whether a grouping keeps to a rule.</summary>
    public bool Kept(GroupRule rule, int[] groupOf)
    {
        var sizes = groupOf.GroupBy(g => g).Select(g => g.Count()).ToList();
        return rule.Kind switch
        {
            GroupRuleKind.Number => sizes.Count == rule.Figure && groupOf.Max() < rule.Figure,
            GroupRuleKind.Smallest => sizes.TrueForAll(s => s >= rule.Figure),
            GroupRuleKind.Largest => sizes.TrueForAll(s => s <= rule.Figure),
            GroupRuleKind.Together => groupOf[at[rule.One]] == groupOf[at[rule.Other]],
            GroupRuleKind.Apart => groupOf[at[rule.One]] != groupOf[at[rule.Other]],
            GroupRuleKind.Fixed => groupOf[at[rule.One]] == rule.Figure,
            GroupRuleKind.Barred => groupOf[at[rule.One]] != rule.Figure,
            _ => throw new ArgumentOutOfRangeException(nameof(rule), rule.Kind, "There is no such rule."),
        };
    }
}
