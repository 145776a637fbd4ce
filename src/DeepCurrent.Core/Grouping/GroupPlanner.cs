using Google.OrTools.Sat;

namespace DeepCurrent.Core.Grouping;

/// <summary>Forms groups whose readers need the same teaching.</summary>
public static class GroupPlanner
{
    private const double StrandWeight = 0.2;
    private const int Scale = 100;

    /// <summary>Distance between two readers in fathoms: depth, and a fifth of a fathom for each percent of mean
    /// difference in strand mastery.</summary>
    public static double Distance(GroupCandidate a, GroupCandidate b)
    {
        var strands = Math.Min(a.Mastery.Count, b.Mastery.Count);
        var apart = strands == 0 ? 0 : Enumerable.Range(0, strands).Average(i => Math.Abs(a.Mastery[i] - b.Mastery[i]));
        return Math.Abs(a.Depth - b.Depth) + StrandWeight * apart;
    }

    /// <summary>The plan with the least cost.</summary>
    /// <param name="seconds">Time limit; the best plan found by then is returned with its gap.</param>
    /// <exception cref="ArgumentException">The rules cannot be met; the message says why.</exception>
    /// <remarks>Capacitated k-median, solved with CP-SAT. ReVelle, C. S. and Swain, R. W. (1970), Central facilities
    /// location.</remarks>
    public static GroupProposal Propose(IReadOnlyList<GroupCandidate> readers, GroupRules rules, double seconds = 8)
    {
        if (rules.Conflict(readers.Count) is { } conflict)
            throw new ArgumentException(conflict.ToString(), nameof(rules));
        var (model, leads, joins) = Model(readers, rules);
        // One worker and a fixed seed: the same class always gets the same proposal.
        var solver = new CpSolver
        {
            StringParameters = FormattableString.Invariant(
                $"max_time_in_seconds:{seconds},num_workers:1,random_seed:7"
            ),
        };
        var status = solver.Solve(model);
        if (status is not (CpSolverStatus.Optimal or CpSolverStatus.Feasible))
            throw new ArgumentException("No grouping meets these rules.", nameof(rules));
        var all = Enumerable.Range(0, readers.Count).ToList();
        var groups = all.Where(j => solver.BooleanValue(leads[j]))
            .Select(j => new PlannedGroup(
                [
                    .. all.Where(i => solver.BooleanValue(joins[i, j]))
                        .Select(i => readers[i])
                        .OrderBy(r => r.Depth.Value),
                ],
                readers[j]
            ))
            .OrderBy(g => g.Readers.Average(r => r.Depth.Value))
            .ToList();
        var gap =
            solver.ObjectiveValue <= 0
                ? 0
                : Math.Max(0, (solver.ObjectiveValue - solver.BestObjectiveBound) / solver.ObjectiveValue);
        return new(groups, solver.ObjectiveValue / Scale, status == CpSolverStatus.Optimal ? 0 : gap);
    }

    /// <summary>Who leads a group (whose middle it is), and who joins whom: each reader one leader, groups of the sizes
    /// that are wanted, at the least distance.</summary>
    private static (CpModel Model, BoolVar[] Leads, BoolVar[,] Joins) Model(
        IReadOnlyList<GroupCandidate> readers,
        GroupRules rules
    )
    {
        var n = readers.Count;
        var model = new CpModel();
        var leads = Enumerable.Range(0, n).Select(j => model.NewBoolVar($"leads{j}")).ToArray();
        var joins = new BoolVar[n, n];
        var cost = LinearExpr.NewBuilder();
        for (var i = 0; i < n; i++)
        for (var j = 0; j < n; j++)
        {
            joins[i, j] = i == j ? leads[j] : model.NewBoolVar($"joins{i}_{j}");
            if (i != j)
                model.AddImplication(joins[i, j], leads[j]);
            cost.AddTerm(joins[i, j], (long)Math.Round(Distance(readers[i], readers[j]) * Scale));
        }
        for (var i = 0; i < n; i++)
            model.AddExactlyOne(Enumerable.Range(0, n).Select(j => joins[i, j]));
        model.Add(LinearExpr.Sum(leads) == rules.Groups);
        for (var j = 0; j < n; j++)
        {
            var size = LinearExpr.Sum(Enumerable.Range(0, n).Select(i => joins[i, j]));
            model.Add(size <= rules.Largest * leads[j]);
            model.Add(size >= rules.Smallest * leads[j]);
        }
        model.Minimize(cost);
        return (model, leads, joins);
    }

    /// <summary>Why a reader is in a group: the distance to its middle, and to the next nearest group's.</summary>
    /// <returns>Distance to the own representative, index of the nearest other group and the distance to its
    /// representative (−1 and 0 with a single group).</returns>
    public static (double Own, int Other, double OtherDistance) Reason(
        GroupProposal plan,
        int group,
        GroupCandidate reader
    )
    {
        var own = Distance(reader, plan.Groups[group].Representative);
        var others = Enumerable
            .Range(0, plan.Groups.Count)
            .Where(g => g != group)
            .Select(g => (Group: g, Away: Distance(reader, plan.Groups[g].Representative)))
            .OrderBy(x => x.Away)
            .ToList();
        return others.Count == 0 ? (own, -1, 0) : (own, others[0].Group, others[0].Away);
    }
}
