using Google.OrTools.Sat;

namespace DeepCurrent.Core.Grouping;

/// <summary>What would free a conflict.</summary>
/// <param name="Figure">The figure the rule would need; null where it would have to be dropped.</param>
public sealed record GroupFix(GroupRule Rule, int? Figure);

/// <summary>Says which rules cannot all be kept.</summary>
public static class GroupConflicts
{
    private const int MostTries = 300;

    /// <summary>The fewest rules that cannot be kept together.</summary>
    /// <returns>None where all can be kept. Dropping any one of them frees the others.</returns>
    /// <remarks>Smallest minimal unsatisfiable subset by implicit hitting sets: Ignatiev, A., Previti, A., Liffiton, M.
    /// and Marques-Silva, J. (2015), Smallest MUS extraction with minimal hitting set dualization.</remarks>
    public static IReadOnlyList<GroupRule> Smallest(IReadOnlyList<GroupCandidate> readers, GroupRules rules)
    {
        var all = GroupRule.Of(rules).Distinct().ToList();
        var feasible = new GroupFeasible(readers);
        if (feasible.Find(all) is not null)
            return [];
        var corrections = new List<IReadOnlyList<int>>();
        for (var tries = 0; tries < MostTries; tries++)
        {
            var chosen = HittingSet(all.Count, corrections);
            var kept = new HashSet<int>(chosen);
            if (feasible.Find([.. chosen.Select(i => all[i])]) is not { } found)
                return [.. chosen.Order().Select(i => all[i])];
            corrections.Add(Left(all, feasible, kept, found));
        }
        return Reduced(all, feasible);
    }

    /// <summary>Keeps as many more rules as can be kept beside those that are.</summary>
    /// <returns>Those that are left.</returns>
    private static List<int> Left(List<GroupRule> all, GroupFeasible feasible, HashSet<int> kept, int[] found)
    {
        var left = new List<int>();
        for (var i = 0; i < all.Count; i++)
        {
            if (kept.Contains(i))
                continue;
            kept.Add(i);
            if (feasible.Kept(all[i], found))
                continue;
            if (feasible.Find([.. kept.Select(k => all[k])]) is { } other)
                found = other;
            else
            {
                kept.Remove(i);
                left.Add(i);
            }
        }
        return left;
    }

    /// <summary>The fewest things of which each set has one.</summary>
    private static List<int> HittingSet(int count, List<IReadOnlyList<int>> sets)
    {
        if (sets.Count == 0)
            return [];
        var model = new CpModel();
        var chosen = Enumerable.Range(0, count).Select(_ => model.NewBoolVar("")).ToArray();
        foreach (var set in sets)
            model.AddBoolOr(set.Select(i => chosen[i]));
        model.Minimize(LinearExpr.Sum(chosen));
        var solver = new CpSolver { StringParameters = "num_workers:1,random_seed:7" };
        solver.Solve(model);
        return [.. Enumerable.Range(0, count).Where(i => solver.BooleanValue(chosen[i]))];
    }

    /// <summary>A set none of which can be dropped, if not the smallest.</summary>
    private static List<GroupRule> Reduced(List<GroupRule> all, GroupFeasible feasible)
    {
        var left = all.ToList();
        foreach (var rule in all)
        {
            var without = left.Where(r => r != rule).ToList();
            if (feasible.Find(without) is null)
                left = without;
        }
        return left;
    }

    /// <summary>The single changes each of which makes all rules possible: another figure, the nearest that does, or
    /// dropping the rule.</summary>
    /// <param name="conflict">The rules that are looked at.</param>
    public static IReadOnlyList<GroupFix> Fixes(
        IReadOnlyList<GroupCandidate> readers,
        GroupRules rules,
        IReadOnlyList<GroupRule> conflict
    )
    {
        var all = GroupRule.Of(rules).Distinct().ToList();
        var feasible = new GroupFeasible(readers);
        var fixes = new List<GroupFix>();
        foreach (var rule in conflict)
        {
            var others = all.Where(r => r != rule).ToList();
            if (feasible.Find(others) is null)
                continue;
            var figure = rule.Kind is GroupRuleKind.Number or GroupRuleKind.Smallest or GroupRuleKind.Largest
                ? Figures(rule, readers.Count)
                    .Select(f => (int?)f)
                    .FirstOrDefault(f => feasible.Find([.. others, rule with { Figure = f!.Value }]) is not null)
                : null;
            fixes.Add(new(rule, figure));
        }
        return fixes;
    }

    /// <summary>Other figures of a rule, nearest first.</summary>
    private static IEnumerable<int> Figures(GroupRule rule, int readers) =>
        rule.Kind switch
        {
            GroupRuleKind.Smallest => Enumerable.Range(1, Math.Max(0, rule.Figure - 1)).Reverse(),
            GroupRuleKind.Largest => Enumerable.Range(rule.Figure + 1, Math.Max(0, readers - rule.Figure)),
            _ => Enumerable
                .Range(1, readers)
                .Where(f => f != rule.Figure)
                .OrderBy(f => Math.Abs(f - rule.Figure))
                .ThenByDescending(f => f),
        };
}
