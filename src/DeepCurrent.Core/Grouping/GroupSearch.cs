namespace DeepCurrent.Core.Grouping;

/// <summary>Looks for a good grouping from one that keeps to the rules: moves single blocks and swaps pairs while that
/// helps, is shaken, and starts again from the best.</summary>
/// <remarks>Iterated local search: Lourenço, H. R., Martin, O. C. and Stützle, T. (2003), in Handbook of
/// Metaheuristics.</remarks>
internal sealed class GroupSearch
{
    private const double Better = 1e-9;
    private const int Neighbours = 8;
    private readonly Arrangement a;
    private readonly Random random;
    private readonly int[] groupOf;
    private readonly int[,] members;
    private readonly int[] sizes;
    private readonly double[] costs;
    private readonly int[] middles;
    private readonly bool[] fresh;
    private readonly int[] one,
        other;
    private readonly (int One, int Other)[] apart;
    private readonly LeastMatching numbers;
    private readonly double[,] numbering;

    public GroupSearch(Arrangement a, int seed)
    {
        (this.a, random) = (a, new Random(seed));
        var n = a.Readers.Count;
        (groupOf, members, sizes) = (new int[a.Blocks.Length], new int[a.Groups, n], new int[a.Groups]);
        (costs, one, other) = (new double[a.Groups], new int[n], new int[n]);
        (middles, fresh) = (new int[a.Groups], new bool[a.Groups]);
        (numbers, numbering) = (new(a.Groups, a.Groups), new double[a.Groups, a.Groups]);
        apart =
        [
            .. from x in Enumerable.Range(0, a.Blocks.Length)
            from y in Enumerable.Range(0, a.Blocks.Length)
            where a.Apart[x, y]
            select (x, y),
        ];
    }

    /// <param name="start">Keeps to the rules.</param>
    /// <param name="rounds">How often to shake without finding better.</param>
    /// <param name="until">Told now and then; true to stop.</param>
    public (int[] GroupOf, double Cost) From(int[] start, int rounds, Func<bool> until)
    {
        Stand(start);
        Improve(until);
        var (best, least) = ((int[])groupOf.Clone(), Total());
        for (var round = 0; round < rounds && !until(); round++)
        {
            Stand(best);
            for (var k = 0; k < 2 + random.Next(3); k++)
                Shake();
            Improve(until);
            if (Total() >= least - Better)
                continue;
            (best, least, round) = ((int[])groupOf.Clone(), Total(), 0);
        }
        return (best, a.Cost(best));
    }

    private void Stand(int[] at)
    {
        at.CopyTo(groupOf, 0);
        for (var g = 0; g < a.Groups; g++)
            Fill(g);
    }

    /// <summary>Writes down who is in a group by now.</summary>
    private void Fill(int group)
    {
        sizes[group] = 0;
        for (var b = 0; b < groupOf.Length; b++)
            if (groupOf[b] == group)
                foreach (var i in a.Blocks[b])
                    members[group, sizes[group]++] = i;
        for (var i = 0; i < sizes[group]; i++)
            one[i] = members[group, i];
        middles[group] = a.Middle(one, sizes[group]);
        costs[group] = a.Sum(one, sizes[group], middles[group]);
        fresh[group] = true;
    }

    private double Total()
    {
        var sum = costs.Sum();
        for (var b = 0; b < groupOf.Length; b++)
            sum += a.Moving[b, groupOf[b]];
        return sum;
    }

    /// <summary>Changes groups that were changed, with groups near them, until nothing helps.</summary>
    private void Improve(Func<bool> until)
    {
        for (var g = Array.IndexOf(fresh, true); g >= 0 && !until(); g = Array.IndexOf(fresh, true))
        {
            fresh[g] = false;
            foreach (var h in Near(g))
                Between(g, h);
            if (a.Rules.Numbered && !fresh.Contains(true))
                Number();
        }
    }

    /// <summary>Gives the groups the numbers under which the fewest readers move.</summary>
    private void Number()
    {
        for (var g = 0; g < a.Groups; g++)
        for (var n = 0; n < a.Groups; n++)
            numbering[n, g] = 0;
        for (var b = 0; b < groupOf.Length; b++)
        for (var n = 0; n < a.Groups; n++)
            numbering[n, groupOf[b]] += a.May[b, n] ? a.Moving[b, n] : double.PositiveInfinity;
        var now = Enumerable.Range(0, a.Groups).Sum(g => numbering[g, g]);
        var next = numbers.Find(numbering);
        if (next.Sum(x => numbering[x.Column, x.Row]) > now - Better)
            return;
        var of = next.ToDictionary(x => x.Row, x => x.Column);
        Stand([.. groupOf.Select(g => of[g])]);
    }

    /// <summary>The groups whose middles are nearest to that of one.</summary>
    private int[] Near(int group) =>
        [
            .. Enumerable
                .Range(0, a.Groups)
                .Where(h => h != group)
                .OrderBy(h => a.Distance[middles[group], middles[h]])
                .Take(Neighbours),
        ];

    private void Between(int g, int h)
    {
        int[] here = BlocksIn(g),
            there = BlocksIn(h);
        foreach (var b in here)
            if (groupOf[b] == g)
                Try(b, h, -1, Better);
        foreach (var o in there)
            if (groupOf[o] == h)
                Try(o, g, -1, Better);
        foreach (var b in here)
        foreach (var o in there)
            if (groupOf[b] == g && groupOf[o] == h)
                Try(b, h, o, Better);
    }

    private int[] BlocksIn(int group) =>
        [.. Enumerable.Range(0, sizes[group]).Select(i => a.BlockOf[members[group, i]]).Distinct()];

    private bool Fits(int block, int group, int leaves)
    {
        if (!a.May[block, group])
            return false;
        foreach (var (x, y) in apart)
            if (x == block && y != leaves && groupOf[y] == group)
                return false;
        return true;
    }

    /// <summary>Moves a block to a group, in exchange for a block of it, where that helps.</summary>
    /// <param name="with">The block that goes the other way; −1 for none.</param>
    /// <param name="least">By how much it has to help; below 0 it may harm.</param>
    private bool Try(int block, int to, int with, double least)
    {
        var from = groupOf[block];
        var more = a.Blocks[block].Length - (with < 0 ? 0 : a.Blocks[with].Length);
        if (
            sizes[from] - more < a.Rules.Smallest
            || sizes[to] + more < a.Rules.Smallest
            || sizes[to] + more > a.Rules.Largest
            || sizes[from] - more > a.Rules.Largest
            || !Fits(block, to, with)
            || (with >= 0 && !Fits(with, from, block))
        )
            return false;
        var moving = a.Moving[block, to] - a.Moving[block, from];
        if (with >= 0)
            moving += a.Moving[with, from] - a.Moving[with, to];
        var change =
            a.Least(one, Without(from, block, with, one))
            + a.Least(other, Without(to, with, block, other))
            - costs[from]
            - costs[to]
            + moving;
        if (change > -least)
            return false;
        groupOf[block] = to;
        if (with >= 0)
            groupOf[with] = from;
        Fill(from);
        Fill(to);
        return true;
    }

    /// <summary>Writes a group down without one block and with another.</summary>
    /// <returns>How many readers that makes.</returns>
    private int Without(int group, int leaves, int comes, int[] into)
    {
        var n = 0;
        for (var i = 0; i < sizes[group]; i++)
            if (leaves < 0 || a.BlockOf[members[group, i]] != leaves)
                into[n++] = members[group, i];
        if (comes >= 0)
            foreach (var i in a.Blocks[comes])
                into[n++] = i;
        return n;
    }

    /// <summary>Swaps blocks of groups that are near each other, whether that helps or not.</summary>
    private void Shake()
    {
        for (var tries = 0; tries < 20; tries++)
        {
            var x = random.Next(groupOf.Length);
            var near = Near(groupOf[x]);
            if (near.Length == 0)
                return;
            var others = BlocksIn(near[random.Next(near.Length)]);
            var y = others[random.Next(others.Length)];
            if (Try(x, groupOf[y], y, double.NegativeInfinity))
                return;
        }
    }
}
