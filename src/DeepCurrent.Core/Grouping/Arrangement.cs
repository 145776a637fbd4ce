namespace DeepCurrent.Core.Grouping;

/// <summary>The task in figures: readers who have to be together are one block, which is placed as a whole.</summary>
internal sealed class Arrangement
{
    public IReadOnlyList<GroupCandidate> Readers { get; }

    public GroupRules Rules { get; }

    /// <summary>Distances between readers, fm.</summary>
    public double[,] Distance { get; }

    /// <summary>Readers of each block.</summary>
    public int[][] Blocks { get; }

    /// <summary>The block of each reader.</summary>
    public int[] BlockOf { get; }

    /// <summary>What it costs to move a block's readers to a group.</summary>
    public double[,] Moving { get; }

    /// <summary>Whether a block may be in a group.</summary>
    public bool[,] May { get; }

    /// <summary>Whether two blocks must not be in one group.</summary>
    public bool[,] Apart { get; }

    /// <summary>Sum of distances of a block's readers to one reader.</summary>
    public double[,] To { get; }

    public int Groups => Rules.Groups;

    public Arrangement(IReadOnlyList<GroupCandidate> readers, GroupRules rules)
    {
        (Readers, Rules) = (readers, rules);
        var at = readers.Select((r, i) => (r.Key, i)).ToDictionary(x => x.Key, x => x.i);
        var n = readers.Count;
        Distance = new double[n, n];
        for (var i = 0; i < n; i++)
        for (var j = 0; j < i; j++)
            Distance[i, j] = Distance[j, i] = Apartness.Of(readers[i], readers[j], rules.Weights).Sum;
        BlockOf = Joined(n, rules.Together.Select(p => (at[p.One], at[p.Other])));
        Blocks = [.. Enumerable.Range(0, n).GroupBy(i => BlockOf[i]).OrderBy(g => g.Key).Select(g => g.ToArray())];
        To = new double[Blocks.Length, n];
        for (var b = 0; b < Blocks.Length; b++)
        for (var j = 0; j < n; j++)
            To[b, j] = Sum(Blocks[b], Blocks[b].Length, j);
        (Moving, May, Apart) = (
            new double[Blocks.Length, Groups],
            new bool[Blocks.Length, Groups],
            new bool[Blocks.Length, Blocks.Length]
        );
        foreach (var pair in rules.Apart)
        {
            var (one, other) = (BlockOf[at[pair.One]], BlockOf[at[pair.Other]]);
            Apart[one, other] = Apart[other, one] = true;
        }
        for (var b = 0; b < Blocks.Length; b++)
        for (var g = 0; g < Groups; g++)
            May[b, g] = true;
        foreach (var (reader, group) in rules.Fixed)
            for (var g = 0; g < Groups; g++)
                May[BlockOf[at[reader]], g] &= g == group;
        foreach (var (reader, group) in rules.Barred.Where(x => x.Group < Groups))
            May[BlockOf[at[reader]], group] = false;
        foreach (var (reader, group) in rules.Current)
            for (var g = 0; g < Groups; g++)
                Moving[BlockOf[at[reader]], g] += g == group ? 0 : rules.MoveCost;
    }

    /// <summary>Sum of distances of some readers, the first so many that are named, to one reader.</summary>
    public double Sum(int[] readers, int count, int middle)
    {
        double sum = 0;
        for (var i = 0; i < count; i++)
            sum += Distance[readers[i], middle];
        return sum;
    }

    /// <summary>What a group of some readers costs without moves.</summary>
    public double Least(int[] readers, int count) => count == 0 ? 0 : Sum(readers, count, Middle(readers, count));

    /// <summary>The reader in the middle of a group: the lowest of those that are as near.</summary>
    public int Middle(int[] readers, int count)
    {
        var (best, least) = (-1, double.PositiveInfinity);
        for (var k = 0; k < count; k++)
        {
            var sum = Sum(readers, count, readers[k]);
            if (sum < least || (sum == least && readers[k] < best))
                (best, least) = (readers[k], sum);
        }
        return best;
    }

    public List<int>[] Members(int[] groupOf)
    {
        var members = Enumerable.Range(0, Groups).Select(_ => new List<int>()).ToArray();
        for (var b = 0; b < groupOf.Length; b++)
            members[groupOf[b]].AddRange(Blocks[b]);
        return members;
    }

    public double Cost(int[] groupOf) =>
        Members(groupOf).Sum(m => Least([.. m], m.Count)) + groupOf.Select((g, b) => Moving[b, g]).Sum();

    /// <summary>For each of n things the lowest thing it is joined to by pairs, numbered without gaps.</summary>
    private static int[] Joined(int n, IEnumerable<(int One, int Other)> pairs)
    {
        var root = Enumerable.Range(0, n).ToArray();
        int Root(int i)
        {
            while (root[i] != i)
                i = root[i];
            return i;
        }
        foreach (var (one, other) in pairs)
        {
            var (a, b) = (Root(one), Root(other));
            root[Math.Max(a, b)] = Math.Min(a, b);
        }
        var roots = Enumerable.Range(0, n).Select(Root).ToArray();
        var numbers = roots.Distinct().Order().Select((r, i) => (r, i)).ToDictionary(x => x.r, x => x.i);
        return [.. roots.Select(r => numbers[r])];
    }
}
