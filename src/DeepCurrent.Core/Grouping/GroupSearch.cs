namespace DeepCurrent.Core.Grouping;

/// <summary>Looks for a good grouping from one that keeps to the rules: moves single blocks and swaps pairs while that
/// helps, is shaken, and starts again from the best.</summary>
/// <remarks>Iterated local search: Lourenço, H. R., Martin, O. C. and Stützle, T. (2003), in Handbook of
/// Metaheuristics.</remarks>
internal sealed class GroupSearch
{
    private const double Better = 1e-9;
    private readonly Arrangement a;
    private readonly Random random;
    private readonly int[] groupOf;
    private readonly int[,] members;
    private readonly int[] sizes;
    private readonly double[] costs;
    private readonly int[] one,
        other;
    private readonly (int One, int Other)[] apart;

    public GroupSearch(Arrangement a, int seed)
    {
        (this.a, random) = (a, new Random(seed));
        var n = a.Readers.Count;
        (groupOf, members, sizes) = (new int[a.Blocks.Length], new int[a.Groups, n], new int[a.Groups]);
        (costs, one, other) = (new double[a.Groups], new int[n], new int[n]);
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
        costs[group] = a.Least(one, sizes[group]);
    }

    private double Total()
    {
        var sum = costs.Sum();
        for (var b = 0; b < groupOf.Length; b++)
            sum += a.Moving[b, groupOf[b]];
        return sum;
    }

    private void Improve(Func<bool> until)
    {
        for (var again = true; again && !until(); )
        {
            again = false;
            for (var b = 0; b < groupOf.Length; b++)
            {
                for (var g = 0; g < a.Groups; g++)
                    again |= g != groupOf[b] && Try(b, g, -1, Better);
                for (var o = 0; o < b; o++)
                    again |= groupOf[o] != groupOf[b] && Try(b, groupOf[o], o, Better);
            }
        }
    }

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

    private void Shake()
    {
        for (var tries = 0; tries < 20; tries++)
        {
            var (x, y) = (random.Next(groupOf.Length), random.Next(groupOf.Length));
            if (groupOf[x] != groupOf[y] && Try(x, groupOf[y], y, double.NegativeInfinity))
                return;
        }
    }
}
