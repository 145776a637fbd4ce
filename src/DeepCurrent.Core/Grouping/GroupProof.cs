using System.Buffers;

namespace DeepCurrent.Core.Grouping;

/// <summary>Looks for anything better than a grouping that is known, among all groups that the bound has not ruled out,
/// and so finds the best or proves that it is known.</summary>
/// <remarks>Exact cover, the block with the fewest groups left first (Knuth, D. E. 2000, Dancing links), cut off by the
/// prices of the bound.</remarks>
internal sealed class GroupProof
{
    /// <summary>More groups than that are not looked through, nor groupings of more blocks.</summary>
    private const int MostChoices = 300_000,
        MostBlocks = 128,
        Look = 1024;

    private const double Eps = 1e-7;

    private readonly Arrangement a;
    private readonly IReadOnlyList<GroupChoice> choices;
    private readonly UInt128[] masks;
    private readonly double[] prices;
    private readonly Func<bool> until;
    private readonly UInt128 all;
    private readonly int[] path;
    private int[]? best;
    private double least;
    private readonly double fixedPart;
    private int steps;
    private bool stopped;

    private GroupProof(
        Arrangement a,
        IReadOnlyList<GroupChoice> choices,
        GroupBound bound,
        double known,
        Func<bool> until
    )
    {
        (this.a, this.choices, this.until) = (a, choices, until);
        all = (UInt128.One << a.Blocks.Length) - 1;
        masks = [.. choices.Select(c => c.Blocks.Aggregate(UInt128.Zero, (m, b) => m | (UInt128.One << b)))];
        // What a middle spares is taken off once, and for all of them beforehand: none is the middle of two groups.
        prices = [.. choices.Select(c => Price(c, bound))];
        fixedPart =
            Enumerable.Range(0, a.Blocks.Length).Sum(bound.Price)
            + Enumerable.Range(0, a.Readers.Count).Sum(bound.Spared);
        least = known;
        path = new int[a.Groups];
    }

    /// <returns>A better grouping or null, a bound, and whether nothing better than what is returned, or known, is
    /// left.</returns>
    public static (int[]? GroupOf, double Bound, bool Proven) Better(
        Arrangement a,
        GroupBound bound,
        double known,
        Func<bool> until
    )
    {
        if (known - bound.Bound <= Eps)
            return (null, known, true);
        if (a.Blocks.Length > MostBlocks || GroupChoices.All(a, bound, known, MostChoices) is not { } found)
            return (null, bound.Bound, false);
        var ordered = found.OrderBy(c => Price(c, bound)).ToList();
        var proof = new GroupProof(a, ordered, bound, known, until);
        proof.Cover(0, UInt128.Zero, 0, [.. Enumerable.Range(0, ordered.Count)]);
        return (proof.best, bound.Bound, !proof.stopped);
    }

    private static double Price(GroupChoice c, GroupBound bound) =>
        c.Cost - c.Blocks.Sum(bound.Price) - bound.Spared(c.Middle);

    /// <summary>Covers what is not covered yet in all ways that cost little enough.</summary>
    /// <param name="open">Groups that are still possible, cheapest first.</param>
    private void Cover(int depth, UInt128 covered, double sum, ReadOnlySpan<int> open)
    {
        if (depth == a.Groups)
        {
            var cost = path.Sum(i => choices[i].Cost);
            if (covered == all && cost < least - Eps)
                (least, best) = (cost, Read());
            return;
        }
        if (stopped || (++steps % Look == 0 && (stopped = until())))
            return;
        Span<double> shares = stackalloc double[a.Blocks.Length];
        Span<double> cheapest = stackalloc double[a.Groups];
        var (of, kind, rest) = Fewest(depth, covered, open, shares, cheapest);
        var slack = least - Eps - fixedPart - sum - rest;
        if (slack <= 0)
            return;
        var kept = ArrayPool<int>.Shared.Rent(open.Length);
        var room = ArrayPool<int>.Shared.Rent(open.Length);
        var n = Affordable(open, shares, cheapest, slack, kept);
        for (var k = 0; k < n && !stopped; k++)
        {
            var i = kept[k];
            if (kind >= 0 ? choices[i].Kind != kind : (masks[i] & of) == 0)
                continue;
            path[depth] = i;
            var still = Beside(i, kept.AsSpan(0, n), room);
            Cover(depth + 1, covered | masks[i], sum + prices[i], room.AsSpan(0, still));
        }
        ArrayPool<int>.Shared.Return(room);
        ArrayPool<int>.Shared.Return(kept);
    }

    /// <summary>Leaves out what costs more than its blocks' parts by more than is left.</summary>
    private int Affordable(
        ReadOnlySpan<int> open,
        ReadOnlySpan<double> shares,
        ReadOnlySpan<double> cheapest,
        double slack,
        int[] kept
    )
    {
        var n = 0;
        foreach (var i in open)
        {
            var over = prices[i] - cheapest[choices[i].Kind];
            foreach (var b in choices[i].Blocks)
                over -= shares[b];
            if (over < slack)
                kept[n++] = i;
        }
        return n;
    }

    /// <summary>What can be taken beside a group.</summary>
    private int Beside(int taken, ReadOnlySpan<int> of, int[] room)
    {
        var n = 0;
        foreach (var o in of)
            if ((masks[o] & masks[taken]) == 0 && (!a.Rules.Numbered || choices[o].Kind != choices[taken].Kind))
                room[n++] = o;
        return n;
    }

    /// <summary>Counts the groups that are open, by block and by kind, with the least that each kind costs and the least
    /// that each block's part costs above it.</summary>
    private void Count(
        ReadOnlySpan<int> open,
        Span<double> shares,
        Span<double> cheapest,
        Span<int> counts,
        Span<int> kinds
    )
    {
        shares.Fill(double.PositiveInfinity);
        foreach (var i in open)
        {
            var c = choices[i];
            // Cheapest first: the first of a kind is its cheapest.
            if (kinds[c.Kind]++ == 0)
                cheapest[c.Kind] = prices[i];
            var share = (prices[i] - cheapest[c.Kind]) / c.Blocks.Length;
            foreach (var b in c.Blocks)
            {
                counts[b]++;
                shares[b] = Math.Min(shares[b], share);
            }
        }
    }

    /// <summary>The block, or the kind of group, that has the fewest groups left, and the least that what is open can
    /// come to: the cheapest group of each kind, and for each block its part of what the cheapest with it costs
    /// more.</summary>
    private (UInt128 Block, int Kind, double Least) Fewest(
        int depth,
        UInt128 covered,
        ReadOnlySpan<int> open,
        Span<double> shares,
        Span<double> cheapest
    )
    {
        Span<int> counts = stackalloc int[a.Blocks.Length];
        Span<int> kinds = stackalloc int[a.Groups];
        Count(open, shares, cheapest, counts, kinds);
        var (block, kind, least) = (-1, -1, int.MaxValue);
        double rest = 0;
        for (var b = 0; b < counts.Length; b++)
        {
            if ((covered & (UInt128.One << b)) != 0)
                continue;
            rest += shares[b];
            if (counts[b] < least)
                (block, least) = (b, counts[b]);
        }
        if (!a.Rules.Numbered)
            return (block < 0 ? UInt128.Zero : UInt128.One << block, -1, rest + (a.Groups - depth) * cheapest[0]);
        var kindsOpen = 0;
        for (var g = 0; g < kinds.Length; g++)
        {
            if (kinds[g] == 0)
                continue;
            kindsOpen++;
            rest += cheapest[g];
            if (kinds[g] < least)
                (kind, least) = (g, kinds[g]);
        }
        return (
            block < 0 ? UInt128.Zero : UInt128.One << block,
            kind,
            kindsOpen < a.Groups - depth ? double.PositiveInfinity : rest
        );
    }

    private int[] Read()
    {
        var groupOf = new int[a.Blocks.Length];
        for (var d = 0; d < path.Length; d++)
            foreach (var b in choices[path[d]].Blocks)
                groupOf[b] = a.Rules.Numbered ? choices[path[d]].Kind : d;
        return groupOf;
    }
}
