using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Roster;

namespace DeepCurrent.Core.Library;

/// <summary>The library's cards, ready to be searched: one pass over them gives the texts, their order and all counts
/// beside the filters.</summary>
/// <remarks>Counts beside a filter are those of the texts that fail nothing, or that filter alone.</remarks>
public sealed class Shelf
{
    // In order of title, so that a card's place settles what is otherwise alike.
    private readonly Card[] cards;
    private readonly Codes codes;
    private readonly Dictionary<TextId, int> places;
    private readonly int[] placeOfNumber;

    public Shelf(IEnumerable<Card> cards)
    {
        this.cards = [.. cards.OrderByName(c => c.Title).ThenBy(c => c.Id)];
        codes = new(this.cards);
        places = this.cards.Select((c, i) => (c.Id, i)).ToDictionary(x => x.Id, x => x.i);
        placeOfNumber = new int[this.cards.Select(c => c.Number).DefaultIfEmpty(0).Max() + 1];
        Array.Fill(placeOfNumber, -1);
        for (var i = 0; i < this.cards.Length; i++)
            placeOfNumber[this.cards[i].Number] = i;
    }

    public int Count => cards.Length;

    /// <summary>Searches.</summary>
    /// <param name="from">Rows to leave out at the beginning.</param>
    /// <param name="most">Rows to give; 1 to 200.</param>
    /// <exception cref="ArgumentOutOfRangeException"><paramref name="from"/> or <paramref name="most"/> lies outside
    /// its range.</exception>
    public ShelfAnswer Search(ShelfQuery query, ShelfAsker asker, int from = 0, int most = 50)
    {
        ArgumentOutOfRangeException.ThrowIfNegative(from);
        if (most is < 1 or > 200)
            throw new ArgumentOutOfRangeException(nameof(most), most, "1 to 200 rows can be asked for at once.");
        var ranks = Ranks(query.Found);
        var read = Read(asker);
        var fits = new FitTable(asker.Readers, asker.Cuts);
        var filters = new Filters(query, asker, codes, read);
        var best = new Best(from + most);
        var all = 0;
        for (var i = 0; i < cards.Length; i++)
        {
            if (
                codes.Retired[i] != query.Retired
                || (ranks is not null && float.IsNaN(ranks[i]))
                || (codes.School[i] is not null && !cards[i].SeenBy(asker.SchoolId, asker.AdultId))
            )
                continue;
            var failed = filters.Failed(cards, i);
            if ((failed & (failed - 1)) != 0)
                continue;
            filters.Count(cards, i, failed);
            if (failed != 0)
                continue;
            all++;
            best.Add(Key(query, asker, cards[i], i, ranks, fits), i);
        }
        return new(all, [.. best.InOrder().Skip(from).Select(i => Row(i, asker, fits))], filters.Facets());
    }

    private ShelfRow Row(int i, ShelfAsker asker, FitTable fits) =>
        new(
            cards[i],
            fits.Of(codes, i),
            asker.ReadHere.GetValueOrDefault(cards[i].Id),
            asker.Used.GetValueOrDefault(cards[i].Id)
        );

    private bool[] Read(ShelfAsker asker)
    {
        var read = new bool[cards.Length];
        foreach (var id in asker.ReadHere.Keys)
            if (places.TryGetValue(id, out var at))
                read[at] = true;
        return read;
    }

    /// <summary>How well each card holds the words, NaN where it does not; null where no words were asked
    /// for.</summary>
    private float[]? Ranks(FoundWords? found)
    {
        if (found is null)
            return null;
        var ranks = new float[cards.Length];
        Array.Fill(ranks, float.NaN);
        for (var k = 0; k < found.Numbers.Count; k++)
            if (
                found.Numbers[k] is var number
                && number >= 0
                && number < placeOfNumber.Length
                && placeOfNumber[number] is var at and >= 0
            )
                ranks[at] = found.Ranks is { } known ? known[k] : 0;
        return ranks;
    }

    /// <summary>What a card is sorted by: less is earlier.</summary>
    private double Key(ShelfQuery q, ShelfAsker asker, Card card, int place, float[]? ranks, FitTable fits)
    {
        var key = q.Sort switch
        {
            ShelfSort.Match when ranks is not null => -ranks[place],
            ShelfSort.Depth => codes.Shallowest[place],
            ShelfSort.Title => place,
            ShelfSort.Newest => -card.ChangedAt.UtcTicks,
            ShelfSort.Use => -(1e6 * asker.ReadHere.GetValueOrDefault(card.Id) + asker.Used.GetValueOrDefault(card.Id)),
            _ => -fits.Of(codes, place),
        };
        return q.Down ? -key : key;
    }

    /// <summary>Keeps the first few of many, by key and then by place.</summary>
    private sealed class Best(int most)
    {
        private readonly PriorityQueue<int, (double, int)> worstFirst = new(
            Comparer<(double Key, int Place)>.Create((a, b) => b.CompareTo(a))
        );

        public void Add(double key, int place)
        {
            if (worstFirst.Count < most)
                worstFirst.Enqueue(place, (key, place));
            else if (worstFirst.TryPeek(out _, out var worst) && (key, place).CompareTo(worst) < 0)
                worstFirst.EnqueueDequeue(place, (key, place));
        }

        public IEnumerable<int> InOrder() =>
            worstFirst.UnorderedItems.OrderBy(x => x.Priority).Select(x => x.Element).ToList();
    }
}
