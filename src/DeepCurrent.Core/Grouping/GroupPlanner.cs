using System.Diagnostics;
using MathNet.Numerics.Distributions;

namespace DeepCurrent.Core.Grouping;

/// <summary>Forms groups whose readers need the same teaching.</summary>
public static class GroupPlanner
{
    private const int Seed = 7,
        Rounds = 150,
        LargeRounds = 1500,
        Steps = 2000,
        Large = 64;
    private const double FirstShare = 0.15,
        BoundShare = 0.2,
        AroundShare = 0.1,
        SearchShare = 0.8;

    /// <summary>The grouping with the least cost, or why there is none.</summary>
    /// <param name="readers">Each key once; all that the rules name are among them.</param>
    /// <param name="seconds">Time limit; the best found by then is returned with its bound.</param>
    /// <returns>The same for the same readers and rules, as long as time allows.</returns>
    /// <exception cref="ArgumentException">A key stands twice, a rule names nobody here, or a figure is below 1.</exception>
    /// <remarks>Capacitated k-median (ReVelle, C. S. and Swain, R. W. 1970, Central facilities location): a local search
    /// finds a good grouping, a Lagrangian bound rules most groups out, and the rest is looked through. The
    /// bound also says where to search once more: around the middles that it opens.</remarks>
    public static GroupAnswer Propose(IReadOnlyList<GroupCandidate> readers, GroupRules rules, double seconds = 8)
    {
        Check(readers, rules);
        var from = Stopwatch.GetTimestamp();
        double Gone() => Stopwatch.GetElapsedTime(from).TotalSeconds;
        if (Start(readers, rules) is not { } start)
            return new(null, GroupConflicts.Smallest(readers, rules));
        var a = new Arrangement(readers, rules);
        var begin = a.Blocks.Select(b => start[b[0]]).ToArray();
        var large = readers.Count > Large;
        var (best, cost) = new GroupSearch(a, Seed).From(begin, Rounds, () => Gone() > seconds * FirstShare);
        var bound = new GroupBound(a);
        bound.Raise(cost, Steps, () => Gone() > seconds * (FirstShare + BoundShare));
        if (GroupAround.Of(a, bound.Middles(), seconds * AroundShare) is { } around)
        {
            var enough = seconds * SearchShare;
            var found = new GroupSearch(a, Seed).From(around, large ? LargeRounds : Rounds, () => Gone() > enough);
            (best, cost) = found.Cost < cost ? found : (best, cost);
        }
        var (better, least, proven) = GroupProof.Better(a, bound, cost, () => Gone() > seconds);
        if (better is not null)
            (best, cost) = (better, a.Cost(better));
        return new(Proposal(a, best, cost, proven ? cost : Math.Min(cost, least), proven), []);
    }

    /// <summary>What a grouping by hand comes to under some rules: its cost, who moves, and what it breaks. Groups are
    /// numbered as they are given.</summary>
    /// <param name="groups">Keys of their readers; none is empty, nobody is in two.</param>
    /// <exception cref="ArgumentException">As for <see cref="Propose"/>; or a group is empty.</exception>
    public static (GroupProposal Plan, IReadOnlyList<GroupRule> Broken) Judge(
        IReadOnlyList<GroupCandidate> readers,
        GroupRules rules,
        IReadOnlyList<IReadOnlyList<string>> groups
    )
    {
        if (groups.Any(g => g.Count == 0))
            throw new ArgumentException("A group has at least one reader.", nameof(groups));
        var of = groups.SelectMany((g, i) => g.Select(key => (key, i))).ToDictionary(x => x.key, x => x.i);
        var here = readers.Where(r => of.ContainsKey(r.Key)).ToList();
        Check(here, rules);
        var groupOf = here.Select(r => of[r.Key]).ToArray();
        var feasible = new GroupFeasible(here);
        // How many there are is what is judged.
        var broken = GroupRule
            .Of(rules)
            .Where(r => r.Kind is not GroupRuleKind.Number && !feasible.Kept(r, groupOf))
            .ToList();
        var loose = rules with { Groups = groups.Count, Together = [], Fixed = [] };
        var a = new Arrangement(here, loose);
        var cost = a.Cost(groupOf);
        var planned = Planned(a, a.Members(groupOf), [.. Enumerable.Range(0, groups.Count)]);
        return (new(planned, cost, 0, false, Moves(a, planned)), broken);
    }

    private static int[]? Start(IReadOnlyList<GroupCandidate> readers, GroupRules rules)
    {
        var at = readers.Select((r, i) => (r.Key, i)).ToDictionary(x => x.Key, x => x.i);
        var now = rules.Current.ToDictionary(c => at[c.Reader], c => c.Group);
        return new GroupFeasible(readers).Find(GroupRule.Of(rules), now);
    }

    private static void Check(IReadOnlyList<GroupCandidate> readers, GroupRules rules)
    {
        var keys = readers.Select(r => r.Key).ToHashSet();
        var named = rules
            .Together.Concat(rules.Apart)
            .SelectMany(p => new[] { p.One, p.Other })
            .Concat(rules.Fixed.Concat(rules.Barred).Concat(rules.Current).Select(x => x.Reader));
        if (keys.Count != readers.Count || named.Any(k => !keys.Contains(k)))
            throw new ArgumentException(
                "Every reader stands once, and rules name readers who are here.",
                nameof(rules)
            );
        if (rules.Groups < 1 || rules.Smallest < 1 || rules.Largest < 1)
            throw new ArgumentException("Groups and their sizes are at least 1.", nameof(rules));
        if (rules.Current.Select(c => c.Reader).Distinct().Count() != rules.Current.Count)
            throw new ArgumentException("A reader is in one group now.", nameof(rules));
        if (rules.Fixed.Any(f => f.Group < 0 || f.Group >= rules.Groups))
            throw new ArgumentException("Readers are fixed to groups that there are.", nameof(rules));
    }

    private static GroupProposal Proposal(Arrangement a, int[] groupOf, double cost, double bound, bool proven)
    {
        var members = a.Members(groupOf);
        var groups = Planned(a, members, Order(a, members));
        return new(groups, cost, bound, proven, Moves(a, groups));
    }

    private static List<PlannedGroup> Planned(Arrangement a, List<int>[] members, int[] order) =>
        [
            .. order.Select(g => new PlannedGroup(
                [
                    .. members[g]
                        .Select(i => a.Readers[i])
                        .OrderBy(r => r.Depth.Value)
                        .ThenBy(r => r.Key, StringComparer.Ordinal),
                ],
                a.Readers[a.Middle([.. members[g]], members[g].Count)]
            )),
        ];

    private static List<ProposedMove> Moves(Arrangement a, List<PlannedGroup> groups)
    {
        var of = groups.SelectMany((g, i) => g.Readers.Select(r => (r.Key, i))).ToDictionary(x => x.Key, x => x.i);
        return
        [
            .. a
                .Rules.Current.Where(c => of[c.Reader] != c.Group)
                .Select(c => new ProposedMove(
                    c.Reader,
                    c.Group,
                    of[c.Reader],
                    Likely(groups, c.Reader, c.Group, of[c.Reader], a.Rules.Weights)
                )),
        ];
    }

    /// <summary>Groups that nothing numbers stand by depth; so do those to which nobody is fixed, where no one is in a
    /// group yet.</summary>
    private static int[] Order(Arrangement a, List<int>[] members)
    {
        double Depth(int g) => members[g].Average(i => a.Readers[i].Depth.Value);
        if (a.Rules.Current.Count > 0 || a.Rules.Barred.Count > 0)
            return [.. Enumerable.Range(0, members.Length)];
        var held = a.Rules.Fixed.Select(f => f.Group).ToHashSet();
        var free = new Queue<int>(Enumerable.Range(0, members.Length).Where(g => !held.Contains(g)).OrderBy(Depth));
        return [.. Enumerable.Range(0, members.Length).Select(g => held.Contains(g) ? g : free.Dequeue())];
    }

    private const int Slices = 400;

    private static double Likely(List<PlannedGroup> groups, string reader, int from, int to, GroupWeights weights)
    {
        if (from < 0 || from >= groups.Count)
            return 1;
        var who = groups[to].Readers.First(r => r.Key == reader);
        var slices = who.Sd <= 0 ? [who.Depth.Value] : Slice(who.Depth.Value, who.Sd);
        return slices.Count(d =>
            {
                var moved = who with { Depth = new(d) };
                return Apartness.Of(moved, groups[to].Representative, weights).Sum
                    <= Apartness.Of(moved, groups[from].Representative, weights).Sum;
            }) / (double)slices.Count;
    }

    /// <summary>Equally likely values of a normal distribution.</summary>
    private static List<double> Slice(double mean, double sd) =>
        [.. Enumerable.Range(0, Slices).Select(i => Normal.InvCDF(mean, sd, (i + 0.5) / Slices))];
}
