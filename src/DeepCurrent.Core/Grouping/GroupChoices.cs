namespace DeepCurrent.Core.Grouping;

/// <summary>A group as it could be.</summary>
/// <param name="Kind">Its number, or 0 where groups have none.</param>
/// <param name="Middle">The reader in the middle.</param>
/// <param name="Blocks">Who is in it.</param>
/// <param name="Cost">Distances to its middle, and what moving its readers there costs.</param>
internal sealed record GroupChoice(int Kind, int Middle, int[] Blocks, double Cost);

/// <summary>All groups that can be part of a grouping that costs less than one that is known.</summary>
/// <remarks>Enumeration of columns within the gap of a bound: Baldacci, R., Christofides, N. and Mingozzi, A. (2008), An
/// exact algorithm for the vehicle routing problem based on the set partitioning formulation.</remarks>
internal sealed class GroupChoices
{
    private const double Eps = 1e-7;
    private readonly Arrangement a;
    private readonly GroupBound bound;
    private readonly double known;
    private readonly int limit;
    private readonly int[] chosen;
    private readonly int[] readers;
    private readonly List<GroupChoice> found = [];

    private GroupChoices(Arrangement a, GroupBound bound, double known, int limit)
    {
        (this.a, this.bound, this.known, this.limit) = (a, bound, known, limit);
        (chosen, readers) = (new int[a.Blocks.Length], new int[a.Readers.Count]);
    }

    /// <returns>Null where there are more than the limit.</returns>
    public static IReadOnlyList<GroupChoice>? All(Arrangement a, GroupBound bound, double known, int limit)
    {
        var all = new GroupChoices(a, bound, known, limit);
        for (var g = 0; g < bound.Kinds; g++)
        for (var j = 0; j < a.Readers.Count; j++)
            if (!all.Around(j, g))
                return null;
        return all.found;
    }

    private sealed record Middle(int J, int G, double Allowed, int[] Others, double[] Costs, int[] Sizes);

    private bool Around(int j, int g)
    {
        var allowed = bound.Allowed(j, g, known) - Eps;
        if (bound.Cheapest(j, g) >= allowed)
            return true;
        var own = a.BlockOf[j];
        var others = Enumerable
            .Range(0, a.Blocks.Length)
            .Where(b => b != own && bound.Joins(b, j, g))
            .OrderBy(b => bound.Reduced(b, j, g) / a.Blocks[b].Length)
            .ToArray();
        chosen[0] = own;
        return Grow(
            new(
                j,
                g,
                allowed,
                others,
                [.. others.Select(b => bound.Reduced(b, j, g))],
                [.. others.Select(b => a.Blocks[b].Length)]
            ),
            0,
            1,
            a.Blocks[own].Length,
            bound.Reduced(own, j, g)
        );
    }

    /// <summary>Adds what comes later in the order, as long as it can come to a group that is allowed.</summary>
    /// <returns>False where there are too many.</returns>
    private bool Grow(Middle of, int from, int count, int size, double sum)
    {
        if (size >= a.Rules.Smallest && sum < of.Allowed && !Add(of, count, size))
            return false;
        for (var k = from; k < of.Others.Length && size < a.Rules.Largest; k++)
        {
            if (Reach(of, k, size, sum) >= of.Allowed)
                return true;
            if (size + of.Sizes[k] > a.Rules.Largest || Clashes(of.Others[k], count))
                continue;
            chosen[count] = of.Others[k];
            if (!Grow(of, k + 1, count + 1, size + of.Sizes[k], sum + of.Costs[k]))
                return false;
        }
        return true;
    }

    /// <summary>The least that a group can come to that has at least one more, from a place in the order on; each reader
    /// of a block counts as its share.</summary>
    private double Reach(Middle of, int from, int size, double sum)
    {
        var best = double.PositiveInfinity;
        for (var k = from; k < of.Others.Length; k++)
        {
            var part = Math.Min(of.Sizes[k], a.Rules.Largest - size);
            var each = of.Costs[k] / of.Sizes[k];
            // Something smaller may just make the group large enough.
            if (size < a.Rules.Smallest && size + part >= a.Rules.Smallest)
                best = Math.Min(best, sum + each * (a.Rules.Smallest - size));
            sum += each * part;
            size += part;
            if (size >= a.Rules.Smallest)
                best = Math.Min(best, sum);
            if (size >= a.Rules.Largest || (of.Costs[k] > 0 && size >= a.Rules.Smallest))
                break;
        }
        return best;
    }

    private bool Clashes(int block, int count)
    {
        for (var i = 0; i < count; i++)
            if (a.Apart[block, chosen[i]])
                return true;
        return false;
    }

    private bool Add(Middle of, int count, int size)
    {
        var n = 0;
        for (var i = 0; i < count; i++)
            foreach (var reader in a.Blocks[chosen[i]])
                readers[n++] = reader;
        var cost = 0.0;
        for (var i = 0; i < n; i++)
            cost += a.Distance[readers[i], of.J];
        // The same readers around another middle that costs less are found there.
        var middle = a.Middle(readers, n);
        if (
            middle != of.J && a.Sum(readers, n, middle) < cost - Eps
            || (middle < of.J && a.Sum(readers, n, middle) <= cost)
        )
            return true;
        if (bound.Kinds > 1 || a.Rules.Numbered)
            for (var i = 0; i < count; i++)
                cost += a.Moving[chosen[i], of.G];
        found.Add(new(of.G, of.J, chosen[..count], cost));
        return found.Count <= limit && size > 0;
    }
}
