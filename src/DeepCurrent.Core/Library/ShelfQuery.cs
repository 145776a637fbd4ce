using DeepCurrent.Core.Depth;

namespace DeepCurrent.Core.Library;

/// <summary>What texts are sorted by.</summary>
public enum ShelfSort
{
    Match,
    Fit,
    Depth,
    Title,
    Newest,
    Use,
}

/// <summary>Whose texts are asked for.</summary>
public enum Whose
{
    Any,
    Mine,
    School,
    Shipped,
}

/// <summary>Texts that hold the words that were asked for.</summary>
/// <param name="Numbers">The cards' numbers.</param>
/// <param name="Ranks">How well each holds them; null where there are too many to tell.</param>
public sealed record FoundWords(IReadOnlyList<int> Numbers, IReadOnlyList<float>? Ranks);

/// <summary>What is asked of the library. What is null or empty does not matter.</summary>
public sealed record ShelfQuery
{
    /// <summary>Null where no words were asked for.</summary>
    public FoundWords? Found { get; init; }

    public IReadOnlySet<string>? Kinds { get; init; }

    public IReadOnlySet<string>? Topics { get; init; }

    public bool? Fiction { get; init; }

    /// <summary>Fathoms; a text counts if any of its versions lies between.</summary>
    public double? DepthFrom { get; init; }

    public double? DepthTo { get; init; }

    /// <summary>Length in words; a text counts if any of its versions lies between.</summary>
    public int? WordsFrom { get; init; }

    public int? WordsTo { get; init; }

    public string? Pattern { get; init; }

    public bool Quiz { get; init; }

    public bool WordsToKnow { get; init; }

    public bool Audio { get; init; }

    /// <summary>True: texts the class has read; false: texts it has not.</summary>
    public bool? Read { get; init; }

    public Whose Whose { get; init; } = Whose.Any;

    public bool Retired { get; init; }

    public string? Season { get; init; }

    public ShelfSort Sort { get; init; } = ShelfSort.Fit;

    public bool Down { get; init; }
}

/// <summary>For whom texts are sought.</summary>
/// <param name="ReadHere">Texts the class has read, with how many times.</param>
/// <param name="Used">Texts the school has given, with how many times.</param>
/// <param name="Readers">Depths of the readers the texts are for, in fathoms.</param>
public sealed record ShelfAsker(
    SchoolId SchoolId,
    AdultId AdultId,
    IReadOnlyDictionary<TextId, int> ReadHere,
    IReadOnlyDictionary<TextId, int> Used,
    IReadOnlyList<Fathoms> Readers,
    ZoneCuts Cuts
);

/// <param name="Fits">Readers who have a version within their reach.</param>
public sealed record ShelfRow(Card Card, int Fits, int ReadHere, int Used);

/// <summary>How many texts there would be for each value, with everything else as asked.</summary>
public sealed record Facet(string Name, IReadOnlyList<(string Value, int Count)> Values);

public sealed record ShelfAnswer(int All, IReadOnlyList<ShelfRow> Rows, IReadOnlyList<Facet> Facets);
