using System.Diagnostics;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Grouping;
using Google.OrTools.LinearSolver;

/// <summary>Groups of simulated classes: how fast the best is proven, how near the best large schools come, what an
/// independent solver finds, and whether conflicts are as small as can be.</summary>
internal static class GroupBench
{
    public static void Run(Action<string, string, string> row)
    {
        var (seconds, proven) = (new List<double>(), 0);
        Timed(Simulated(new(1), 36), Rules(new(1), 36, 6, now: true), 8, out _);
        for (var seed = 0; seed < 50; seed++)
        {
            var random = new Random(100 + seed);
            var readers = Simulated(random, 36);
            GroupRules rules;
            // Rules drawn at random can conflict; then there is nothing to prove.
            do rules = Rules(random, 36, 6, now: seed % 2 == 1);
            while (GroupConflicts.Smallest(readers, rules).Count > 0);
            var plan = Timed(readers, rules, 8, out var took)!;
            seconds.Add(took);
            proven += plan.Proven ? 1 : 0;
        }
        seconds.Sort();
        row(
            "Groups of 36 readers by depth, strands and rate under ten rules, 50 simulated classes, half with groups now",
            $"{proven} of 50 proven best, median {seconds[25]:0.00} s, slowest {seconds[^1]:0.0} s",
            "proven best, median at most 1 s"
        );
        Large(row);
        Independent(row);
        Conflicts(row);
    }

    private static GroupProposal? Timed(
        IReadOnlyList<GroupCandidate> readers,
        GroupRules rules,
        double limit,
        out double seconds
    )
    {
        var from = Stopwatch.GetTimestamp();
        var plan = GroupPlanner.Propose(readers, rules, limit).Proposal;
        seconds = Stopwatch.GetElapsedTime(from).TotalSeconds;
        return plan;
    }

    private static void Large(Action<string, string, string> row)
    {
        foreach (var now in new[] { false, true })
        {
            var random = new Random(7);
            var readers = Simulated(random, 150);
            var plan = Timed(readers, Rules(random, 150, 28, now), 28, out var took)!;
            row(
                $"Groups of 150 readers under ten rules, 28 groups{(now ? ", with groups now" : "")}",
                $"within {plan.Gap:P1} of the best, {took:0} s",
                "within 1 %, 30 s"
            );
        }
    }

    private static void Independent(Action<string, string, string> row)
    {
        var (worst, compared) = (double.NegativeInfinity, 0);
        for (var seed = 0; seed < 10; seed++)
        {
            var random = new Random(300 + seed);
            var readers = Simulated(random, 20);
            var rules = new GroupRules(4, 3, 6);
            if (Milp(readers, rules) is not { } other)
                continue;
            compared++;
            worst = Math.Max(worst, GroupPlanner.Propose(readers, rules).Proposal!.Cost - other);
        }
        row(
            $"Cost beside an independent mixed-integer solver, {compared} classes of 20",
            $"at most {worst:0.000000} fm above it",
            "never above"
        );
    }

    /// <summary>The textbook model of capacitated k-median, left to a general solver.</summary>
    private static double? Milp(List<GroupCandidate> readers, GroupRules rules)
    {
        using var solver = Solver.CreateSolver("SCIP");
        if (solver is null)
            return null;
        var n = readers.Count;
        var joins = solver.MakeBoolVarMatrix(n, n);
        solver.Add(LinearExprArrayHelper.Sum([.. Enumerable.Range(0, n).Select(j => joins[j, j])]) == rules.Groups);
        for (var i = 0; i < n; i++)
        {
            solver.Add(LinearExprArrayHelper.Sum([.. Enumerable.Range(0, n).Select(j => joins[i, j])]) == 1);
            var size = LinearExprArrayHelper.Sum([.. Enumerable.Range(0, n).Select(k => joins[k, i])]);
            solver.Add(size <= rules.Largest * joins[i, i]);
            solver.Add(size >= rules.Smallest * joins[i, i]);
            for (var j = 0; j < n; j++)
            {
                solver.Add(joins[i, j] <= joins[j, j]);
                solver.Objective().SetCoefficient(joins[i, j], Apartness.Of(readers[i], readers[j], rules.Weights).Sum);
            }
        }
        solver.Objective().SetMinimization();
        solver.SetTimeLimit(60_000);
        return solver.Solve() is Solver.ResultStatus.OPTIMAL ? solver.Objective().Value() : null;
    }

    private static void Conflicts(Action<string, string, string> row)
    {
        var (tried, minimal, slowest) = (0, 0, 0.0);
        for (var seed = 0; tried < 200; seed++)
        {
            var random = new Random(1000 + seed);
            var readers = Simulated(random, 12);
            var rules = Rules(random, 12, random.Next(2, 5), now: false, count: 18);
            var from = Stopwatch.GetTimestamp();
            var conflict = GroupConflicts.Smallest(readers, rules);
            if (conflict.Count == 0)
                continue;
            tried++;
            slowest = Math.Max(slowest, Stopwatch.GetElapsedTime(from).TotalSeconds);
            bool Possible(IEnumerable<GroupRule> some) => new Placing([.. some], readers).Possible;
            if (!Possible(conflict) && conflict.All(r => Possible(conflict.Where(o => o != r))))
                minimal++;
        }
        row(
            "Conflicts of which no rule can be dropped, random impossible rules for 12 readers, checked by trying placements",
            $"{minimal} of {tried}, slowest {slowest:0.0} s",
            "200 of 200"
        );
    }

    /// <summary>A class as one finds it: depths and rates that go together, strands that do a little.</summary>
    private static List<GroupCandidate> Simulated(Random random, int n)
    {
        double Normal(double mean, double sd) =>
            mean + sd * Math.Sqrt(-2 * Math.Log(1 - random.NextDouble())) * Math.Cos(2 * Math.PI * random.NextDouble());
        return
        [
            .. Enumerable
                .Range(0, n)
                .Select(i =>
                {
                    var depth = Normal(35, 9);
                    return new GroupCandidate(
                        $"{i}",
                        new(Math.Round(depth, 1)),
                        [
                            .. Enumerable
                                .Range(0, 7)
                                .Select(_ =>
                                    random.NextDouble() < 0.15
                                        ? (double?)null
                                        : Math.Clamp(Normal(65 + (depth - 35) / 2, 14), 5, 100)
                                ),
                        ],
                        2.5,
                        random.NextDouble() < 0.1 ? null : new(Math.Max(20, Normal(95 + 2 * (depth - 35), 22)))
                    );
                }),
        ];
    }

    private static GroupRules Rules(Random random, int n, int groups, bool now, int count = 10)
    {
        var (together, apart, stays) = (new List<ReaderPair>(), new List<ReaderPair>(), new List<InGroup>());
        for (var k = 0; k < count; k++)
        {
            var one = random.Next(n);
            var other = (one + 1 + random.Next(n - 1)) % n;
            if (k % 3 == 0)
                apart.Add(new($"{one}", $"{other}"));
            else if (k % 3 == 1)
                together.Add(new($"{one}", $"{other}"));
            else
                stays.Add(new($"{one}", random.Next(groups)));
        }
        return new(groups, Math.Max(1, n / groups - 2), n / groups + 1)
        {
            Together = together,
            Apart = apart,
            Fixed = stays,
            Current = now ? [.. Enumerable.Range(0, n).Select(i => new InGroup($"{i}", i * groups / n))] : [],
        };
    }
}

/// <summary>Whether some rules can be kept, by trying readers one after the other.</summary>
internal sealed class Placing
{
    private readonly IReadOnlyList<GroupRule> rules;
    private readonly Dictionary<string, int> at;
    private readonly int[] of;
    private readonly int[] sizes;
    private readonly bool[] named;
    private readonly int least,
        most;
    private readonly bool all;

    public Placing(IReadOnlyList<GroupRule> rules, IReadOnlyList<GroupCandidate> readers)
    {
        this.rules = rules;
        int? Figure(GroupRuleKind kind) => rules.FirstOrDefault(r => r.Kind == kind)?.Figure;
        at = readers.Select((r, i) => (r.Key, i)).ToDictionary(x => x.Key, x => x.i);
        all = Figure(GroupRuleKind.Number) is not null;
        (least, most) = (
            Math.Max(1, Figure(GroupRuleKind.Smallest) ?? 1),
            Figure(GroupRuleKind.Largest) ?? readers.Count
        );
        (of, sizes) = (new int[readers.Count], new int[Figure(GroupRuleKind.Number) ?? readers.Count]);
        named = new bool[sizes.Length];
        foreach (var rule in rules.Where(r => r.Kind is GroupRuleKind.Fixed && r.Figure < sizes.Length))
            named[rule.Figure] = true;
        Possible = Try(0);
    }

    public bool Possible { get; }

    private bool Try(int i)
    {
        if (i == of.Length)
            return sizes.All(s => (s == 0 && !all) || s >= least);
        if (sizes.Where(s => all || s > 0).Sum(s => Math.Max(0, least - s)) > of.Length - i)
            return false;
        var empty = false;
        for (var g = 0; g < sizes.Length; g++)
        {
            // Empty groups that no rule names are all alike.
            if (sizes[g] == 0 && !named[g])
            {
                if (empty)
                    continue;
                empty = true;
            }
            if (sizes[g] == most || !rules.All(r => Fits(r, i, g)))
                continue;
            (of[i], sizes[g]) = (g, sizes[g] + 1);
            if (Try(i + 1))
                return true;
            sizes[g]--;
        }
        return false;
    }

    private bool Fits(GroupRule rule, int reader, int group)
    {
        if (rule.Kind is GroupRuleKind.Fixed)
            return at[rule.One] != reader || rule.Figure == group;
        if (rule.Kind is not (GroupRuleKind.Together or GroupRuleKind.Apart))
            return true;
        var (one, other) = (at[rule.One], at[rule.Other]);
        if (one != reader && other != reader)
            return true;
        var with = one == reader ? other : one;
        return with >= reader || (of[with] == group) == rule.Kind is GroupRuleKind.Together;
    }
}
