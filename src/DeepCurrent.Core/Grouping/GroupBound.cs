namespace DeepCurrent.Core.Grouping;

/// <summary>A bound on what any grouping costs: readers may be in several groups or in none, at a price for each that is
/// raised and lowered until they hardly are.</summary>
/// <remarks>Lagrangian relaxation of the capacitated p-median problem: Mulvey, J. M. and Beck, M. P. (1984), Solving
/// capacitated clustering problems; the step follows Held, M., Wolfe, P. and Crowder, H. P. (1974).</remarks>
internal sealed class GroupBound
{
    private const int Patience = 20;
    private const double Eps = 1e-7;

    private readonly Arrangement a;
    private readonly int least,
        most;
    private readonly double[,] values;
    private readonly double[] costs;
    private readonly int[] blocks;
    private readonly double[] table;
    private readonly int[] several;
    private readonly int[][] orders;
    private readonly double[][] bases;
    private readonly LeastMatching middles;
    private double[] prices;
    private double? rival;

    /// <summary>The best bound found, fm.</summary>
    public double Bound { get; private set; } = double.NegativeInfinity;

    /// <summary>Kinds of groups: each its own where they have numbers, else one.</summary>
    public int Kinds { get; }

    public GroupBound(Arrangement a)
    {
        this.a = a;
        Kinds = a.Rules.Numbered ? a.Groups : 1;
        (least, most) = (a.Rules.Smallest, Math.Min(a.Rules.Largest, a.Readers.Count));
        prices = [.. a.Blocks.Select((_, b) => Nearest(b))];
        values = new double[a.Readers.Count, Kinds];
        middles = new(Kinds, a.Readers.Count);
        several = [.. Enumerable.Range(0, a.Blocks.Length).Where(b => a.Blocks[b].Length > 1)];
        var single = Enumerable.Range(0, a.Blocks.Length).Where(b => a.Blocks[b].Length == 1).ToArray();
        orders = [.. a.Readers.Select(_ => (int[])single.Clone())];
        bases = [.. a.Readers.Select(_ => new double[single.Length])];
        (costs, blocks, table) = (new double[a.Blocks.Length], new int[a.Blocks.Length], new double[most + 1]);
    }

    private double Nearest(int block)
    {
        var of = Enumerable.Range(0, a.Readers.Count).Where(j => a.BlockOf[j] != block).Select(j => a.To[block, j]);
        return of.DefaultIfEmpty(0).Min();
    }

    /// <summary>Raises the bound.</summary>
    /// <param name="known">Cost of a grouping that is known.</param>
    public void Raise(double known, int rounds, Func<bool> until)
    {
        var best = (double[])prices.Clone();
        var (scale, since) = (1.5, 0);
        var counts = new int[a.Blocks.Length];
        for (var round = 0; round < rounds && scale > 1e-3 && !until(); round++)
        {
            Array.Clear(counts);
            var value = Value(counts);
            since++;
            if (value > Bound + Eps)
            {
                if (value > Bound + 1e-4 * Math.Abs(value))
                    since = 0;
                Bound = value;
                prices.CopyTo(best, 0);
            }
            double norm = counts.Sum(c => (1.0 - c) * (1.0 - c));
            if (known - Bound <= Eps || norm == 0)
                break;
            if (since > Patience)
                (scale, since) = (scale * 0.7, 0);
            var step = scale * Math.Max(known - value, Eps) / norm;
            for (var b = 0; b < prices.Length; b++)
                prices[b] += step * (1 - counts[b]);
        }
        prices = best;
        Bound = Value(counts);
    }

    /// <summary>What the relaxed task costs at the prices of now.</summary>
    /// <param name="counts">Counts up in how many groups each block is.</param>
    private double Value(int[] counts)
    {
        for (var j = 0; j < a.Readers.Count; j++)
        {
            for (var k = 0; k < orders[j].Length; k++)
                bases[j][k] = a.To[orders[j][k], j] - prices[orders[j][k]];
            Array.Sort(bases[j], orders[j]);
        }
        for (var g = 0; g < Kinds; g++)
        for (var j = 0; j < a.Readers.Count; j++)
            values[j, g] = Cluster(j, g, null);
        var sum = prices.Sum();
        foreach (var (j, g) in Open())
        {
            sum += values[j, g];
            Cluster(j, g, counts);
        }
        return sum;
    }

    /// <summary>The middles that the relaxed task opens at the prices of now: each reader is the middle of one group at
    /// most.</summary>
    private IEnumerable<(int J, int G)> Open() =>
        a.Rules.Numbered
            ? middles.Find(values)
            : Enumerable.Range(0, a.Readers.Count).OrderBy(j => values[j, 0]).Take(a.Groups).Select(j => (j, 0));

    /// <summary>A middle for each group, as the relaxed task opens them.</summary>
    public IReadOnlyList<(int Reader, int Group)> Middles() =>
        a.Rules.Numbered ? [.. Open()] : [.. Open().Select((x, g) => (x.J, g))];

    /// <summary>What a block pays for being in a group.</summary>
    public double Price(int block) => prices[block];

    /// <summary>What a block adds to a group with a reader in the middle, less its price.</summary>
    public double Reduced(int block, int j, int g) =>
        a.To[block, j] + (a.Rules.Numbered ? a.Moving[block, g] : 0) - prices[block];

    /// <summary>Whether a block may be in a group of a kind with a reader in the middle.</summary>
    public bool Joins(int block, int j, int g) =>
        (!a.Rules.Numbered || a.May[block, g]) && !a.Apart[block, a.BlockOf[j]];

    /// <summary>The cheapest readers around a middle, whose own block is among them: some blocks of several, and then
    /// single readers, cheapest first.</summary>
    /// <param name="counts">Counts up who they are; null where only the cost is asked.</param>
    private double Cluster(int j, int g, int[]? counts)
    {
        var own = a.BlockOf[j];
        var size = a.Blocks[own].Length;
        if (size > most || !Joins(own, j, g))
            return double.PositiveInfinity;
        var alone = Singles(j, g, most - size);
        var joined = several.Count(b => Several(b, j, g));
        Array.Fill(table, double.PositiveInfinity, 0, most - size + 1);
        table[0] = Reduced(own, j, g);
        var took = counts is null || joined == 0 ? null : new bool[several.Length, most + 1];
        for (var k = 0; joined > 0 && k < several.Length; k++)
            if (Several(several[k], j, g))
                Take(k, Reduced(several[k], j, g), most - size, took);
        var (best, weight, singles) = Filled(size, joined == 0 ? 0 : most - size, alone);
        if (counts is not null && !double.IsInfinity(best))
            Count(own, weight, singles, took, counts);
        return best;
    }

    /// <summary>The cheapest way to fill a group up: blocks of several of some weight, then single readers.</summary>
    private (double Cost, int Weight, int Singles) Filled(int size, int heaviest, int alone)
    {
        var best = (Cost: double.PositiveInfinity, Weight: 0, Singles: 0);
        for (var w = 0; w <= heaviest; w++)
        {
            var sum = table[w];
            for (var k = 0; k <= alone && size + w + k <= most; k++)
            {
                if (size + w + k >= least && sum < best.Cost)
                    best = (sum, w, k);
                if (k < alone)
                    sum += costs[k];
            }
        }
        return best;
    }

    private bool Several(int block, int j, int g) => block != a.BlockOf[j] && Joins(block, j, g);

    private void Take(int at, double cost, int room, bool[,]? took)
    {
        var size = a.Blocks[several[at]].Length;
        for (var w = room; w >= size; w--)
            if (table[w - size] + cost < table[w])
            {
                table[w] = table[w - size] + cost;
                if (took is not null)
                    took[at, w] = true;
            }
    }

    private void Count(int own, int weight, int singles, bool[,]? took, int[] counts)
    {
        counts[own]++;
        for (var k = 0; k < singles; k++)
            counts[blocks[k]]++;
        for (var k = several.Length - 1; took is not null && k >= 0; k--)
            if (took[k, weight])
            {
                counts[several[k]]++;
                weight -= a.Blocks[several[k]].Length;
            }
    }

    /// <summary>The cheapest single readers around a middle, in order. They stand by what they cost without moving, which
    /// is never less with it, so that the first few decide.</summary>
    private int Singles(int j, int g, int room)
    {
        var n = 0;
        for (var k = 0; k < orders[j].Length && room > 0; k++)
        {
            var b = orders[j][k];
            if (n == room && bases[j][k] >= costs[n - 1])
                break;
            if (b == a.BlockOf[j] || !Joins(b, j, g))
                continue;
            var cost = bases[j][k] + (a.Rules.Numbered ? a.Moving[b, g] : 0);
            if (n == room && cost >= costs[n - 1])
                continue;
            var at = n < room ? n++ : n - 1;
            for (; at > 0 && costs[at - 1] > cost; at--)
                (costs[at], blocks[at]) = (costs[at - 1], blocks[at - 1]);
            (costs[at], blocks[at]) = (cost, b);
        }
        return n;
    }

    /// <summary>How much a group with a reader in the middle may cost at these prices, if a grouping with it is to cost
    /// less than one that is known.</summary>
    public double Allowed(int j, int g, double known) =>
        known - Bound + (a.Rules.Numbered ? middles.Part(g, j) : Math.Min(values[j, g], Rival));

    /// <summary>What the cheapest group costs at these prices that has a reader in the middle.</summary>
    public double Cheapest(int j, int g) => values[j, g];

    /// <summary>By how much a middle is cheaper than it would have to be: as a reader is the middle of one group at most,
    /// that is saved once. Never above 0.</summary>
    public double Spared(int j) => a.Rules.Numbered ? middles.PartOf(j) : Math.Min(0, values[j, 0] - Rival);

    /// <summary>What the dearest middle costs that the relaxed task opens.</summary>
    private double Rival =>
        rival ??= Enumerable.Range(0, a.Readers.Count).Select(j => values[j, 0]).Order().ElementAt(a.Groups - 1);
}
