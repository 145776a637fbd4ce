using System.Globalization;
using System.Numerics;

namespace DeepCurrent.Core.Library;

/// <summary>What cards are filtered and counted by, as numbers: names are looked up once, not for each card and
/// search.</summary>
internal sealed class Codes
{
    public const byte Quiz = 1,
        WordsToKnow = 2,
        Audio = 4;
    public const int Bands = 13,
        BandWidth = 10,
        FirstBand = -20;

    public Codes(Card[] cards)
    {
        Kinds = [.. cards.Select(c => c.Kind).Distinct()];
        Topics = [.. cards.Select(c => c.Topic).Distinct()];
        Patterns = [.. cards.SelectMany(c => c.Patterns).Distinct().Take(64)];
        Seasons = [.. cards.Select(c => c.Season).Distinct()];
        Kind = Of(cards, Kinds, c => c.Kind);
        Topic = Of(cards, Topics, c => c.Topic);
        Season = Of(cards, Seasons, c => c.Season);
        Pattern =
        [
            .. cards.Select(c =>
                c.Patterns.Aggregate(0UL, (mask, p) =>
                    Array.IndexOf(Patterns, p) is var at and >= 0 ? mask | 1UL << at : mask
                )
            ),
        ];
        Band =
        [
            .. cards.Select(c =>
                c.Versions.Aggregate(0u, (mask, v) =>
                    mask | 1u << Math.Clamp((int)Math.Floor((v.Depth - FirstBand) / BandWidth), 0, Bands - 1)
                )
            ),
        ];
        First = new int[cards.Length + 1];
        for (var i = 0; i < cards.Length; i++)
            First[i + 1] = First[i] + cards[i].Versions.Count;
        Depth = [.. cards.SelectMany(c => c.Versions).Select(v => v.Depth)];
        Words = [.. cards.SelectMany(c => c.Versions).Select(v => v.Words)];
        Cell = [.. Depth.Select(FitTable.CellOf)];
        School = [.. cards.Select(c => c.SchoolId)];
        Fiction = [.. cards.Select(c => c.Fiction)];
        Retired = [.. cards.Select(c => c.Retired)];
        Has = [.. cards.Select(c => (byte)((c.Questions > 0 ? Quiz : 0) | (c.WordsToKnow > 0 ? WordsToKnow : 0)))];
        HeardIn = [.. cards.Select(c => c.HeardIn)];
        Shallowest = [.. cards.Select(c => c.Versions.Count == 0 ? 0 : c.Versions.Min(v => v.Depth))];
    }

    public string[] Kinds { get; }
    public string[] Topics { get; }
    public string[] Patterns { get; }
    public string[] Seasons { get; }
    public int[] Kind { get; }
    public int[] Topic { get; }
    public int[] Season { get; }
    public ulong[] Pattern { get; }
    public uint[] Band { get; }
    public double[] Shallowest { get; }
    public SchoolId?[] School { get; }
    public bool[] Fiction { get; }
    public bool[] Retired { get; }
    public byte[] Has { get; }
    public IReadOnlyList<SchoolId>[] HeardIn { get; }

    /// <summary>What a text has, for somebody of a school: sound belongs to schools.</summary>
    public uint HasFor(SchoolId schoolId, int i) =>
        HeardIn[i].Count > 0 && HeardIn[i].Contains(schoolId) ? (uint)(Has[i] | Audio) : Has[i];

    /// <summary>Where each card's versions begin in the three lists of versions that follow.</summary>
    public int[] First { get; }
    public double[] Depth { get; }
    public int[] Words { get; }
    public int[] Cell { get; }

    private static int[] Of(Card[] cards, string[] names, Func<Card, string> name)
    {
        var codes = names.Select((n, i) => (n, i)).ToDictionary(x => x.n, x => x.i);
        return [.. cards.Select(c => codes[name(c)])];
    }
}

/// <summary>One search's filters, and the counts beside them.</summary>
internal sealed class Filters
{
    private const int Kind = 0,
        Topic = 1,
        Fiction = 2,
        Depth = 3,
        Words = 4,
        Pattern = 5,
        Has = 6,
        Read = 7,
        Owner = 8,
        Season = 9;
    private readonly ShelfQuery q;
    private readonly ShelfAsker asker;
    private readonly Codes codes;
    private readonly bool[] read;
    private readonly bool[]? kinds,
        topics;
    private readonly ulong pattern;
    private readonly int season;
    private readonly uint has;
    private readonly int[] kindCounts,
        topicCounts,
        fictionCounts = new int[2],
        bandCounts = new int[Codes.Bands],
        patternCounts,
        hasCounts = new int[3],
        readCounts = new int[2],
        ownerCounts = new int[3],
        seasonCounts;

    public Filters(ShelfQuery query, ShelfAsker asker, Codes codes, bool[] read)
    {
        (q, this.asker, this.codes, this.read) = (query, asker, codes, read);
        kinds = q.Kinds is { Count: > 0 } k ? [.. codes.Kinds.Select(k.Contains)] : null;
        topics = q.Topics is { Count: > 0 } t ? [.. codes.Topics.Select(t.Contains)] : null;
        pattern = q.Pattern is { } p
            ? (Array.IndexOf(codes.Patterns, p) is var at and >= 0 ? 1UL << at : 0)
            : ulong.MaxValue;
        has = (uint)((q.Quiz ? Codes.Quiz : 0) | (q.WordsToKnow ? Codes.WordsToKnow : 0) | (q.Audio ? Codes.Audio : 0));
        season = q.Season is { } s ? Array.IndexOf(codes.Seasons, s) : -1;
        (kindCounts, topicCounts, patternCounts, seasonCounts) = (
            new int[codes.Kinds.Length],
            new int[codes.Topics.Length],
            new int[codes.Patterns.Length],
            new int[codes.Seasons.Length]
        );
    }

    /// <summary>The filters a card fails, one bit each.</summary>
    public int Failed(Card[] cards, int i) =>
        Bit(Kind, kinds is not null && !kinds[codes.Kind[i]])
        | Bit(Topic, topics is not null && !topics[codes.Topic[i]])
        | Bit(Fiction, q.Fiction is { } fiction && codes.Fiction[i] != fiction)
        | Bit(Depth, !Deep(i))
        | Bit(Words, !Long(i))
        | Bit(Pattern, q.Pattern is not null && (codes.Pattern[i] & pattern) == 0)
        | Bit(Has, (codes.HasFor(asker.SchoolId, i) & has) != has)
        | Bit(Read, q.Read is { } wanted && read[i] != wanted)
        | Bit(Owner, q.Whose != Whose.Any && OwnerOf(cards, i) != (int)q.Whose - 1)
        | Bit(Season, q.Season is not null && codes.Season[i] != season);

    private static int Bit(int filter, bool failed) => failed ? 1 << filter : 0;

    private bool Deep(int i)
    {
        if (q.DepthFrom is null && q.DepthTo is null)
            return true;
        for (var v = codes.First[i]; v < codes.First[i + 1]; v++)
            if (codes.Depth[v] >= (q.DepthFrom ?? double.MinValue) && codes.Depth[v] <= (q.DepthTo ?? double.MaxValue))
                return true;
        return false;
    }

    private bool Long(int i)
    {
        if (q.WordsFrom is null && q.WordsTo is null)
            return true;
        for (var v = codes.First[i]; v < codes.First[i + 1]; v++)
            if (codes.Words[v] >= (q.WordsFrom ?? 0) && codes.Words[v] <= (q.WordsTo ?? int.MaxValue))
                return true;
        return false;
    }

    private int OwnerOf(Card[] cards, int i) =>
        (int)(
            codes.School[i] is null ? Whose.Shipped
            : cards[i].OwnerId == asker.AdultId ? Whose.Mine
            : Whose.School
        ) - 1;

    /// <summary>Counts a card beside all filters if it fails none, beside the one it fails if it fails one.</summary>
    /// <param name="failed">No filter, or one.</param>
    public void Count(Card[] cards, int i, int failed)
    {
        bool At(int filter) => failed == 0 || failed == 1 << filter;
        if (At(Kind))
            kindCounts[codes.Kind[i]]++;
        if (At(Topic))
            topicCounts[codes.Topic[i]]++;
        if (At(Fiction))
            fictionCounts[codes.Fiction[i] ? 1 : 0]++;
        if (At(Depth))
            CountBits(codes.Band[i], bandCounts);
        if (At(Pattern))
            CountBits(codes.Pattern[i], patternCounts);
        if (At(Has))
            CountBits(codes.HasFor(asker.SchoolId, i), hasCounts);
        if (At(Read))
            readCounts[read[i] ? 1 : 0]++;
        if (At(Owner))
            ownerCounts[OwnerOf(cards, i)]++;
        if (At(Season))
            seasonCounts[codes.Season[i]]++;
    }

    private static void CountBits(ulong bits, int[] counts)
    {
        for (; bits != 0; bits &= bits - 1)
            counts[BitOperations.TrailingZeroCount(bits)]++;
    }

    public IReadOnlyList<Facet> Facets() =>
        [
            Facet("kind", codes.Kinds, kindCounts),
            Facet("topic", codes.Topics, topicCounts),
            Facet("fiction", ["false", "true"], fictionCounts),
            Facet(
                "depth",
                [
                    .. Enumerable
                        .Range(0, Codes.Bands)
                        .Select(b => (Codes.FirstBand + b * Codes.BandWidth).ToString(CultureInfo.InvariantCulture)),
                ],
                bandCounts
            ),
            Facet("pattern", codes.Patterns, patternCounts),
            Facet("has", ["quiz", "wordsToKnow", "audio"], hasCounts),
            Facet("read", ["false", "true"], readCounts),
            Facet("whose", [nameof(Whose.Mine), nameof(Whose.School), nameof(Whose.Shipped)], ownerCounts),
            Facet("season", codes.Seasons, seasonCounts),
        ];

    private static Facet Facet(string name, IReadOnlyList<string> values, int[] counts) =>
        new(
            name,
            [
                .. values
                    .Zip(counts)
                    .Where(v => v.Second > 0 && v.First.Length > 0)
                    .OrderByDescending(v => v.Second)
                    .ThenBy(v => v.First, StringComparer.Ordinal)
                    .Select(v => (v.First, v.Second)),
            ]
        );
}
