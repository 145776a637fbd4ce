using DeepCurrent.Core.Readers;

namespace DeepCurrent.Core.Roster;

/// <summary>The pictures by which readers find themselves among the names of their class.</summary>
public static class ClassPictures
{
    private static readonly string[] Drawings =
    [
        "anchor",
        "apple",
        "bell",
        "boat",
        "bread",
        "cloud",
        "crab",
        "cup",
        "drum",
        "fish",
        "flag",
        "gull",
        "hat",
        "key",
        "kite",
        "lamp",
        "leaf",
        "moon",
        "mountain",
        "shell",
        "star",
        "sun",
        "tree",
        "wheel",
    ];

    /// <summary>What follows the name of a drawing that stands in a ring.</summary>
    public const string Ring = "-ring";

    /// <summary>Every picture there is: each drawing by itself, then each in a ring.</summary>
    public static readonly IReadOnlyList<string> All = [.. Drawings, .. Drawings.Select(d => d + Ring)];

    /// <summary>A picture for each; no two have the same while there are enough.</summary>
    /// <param name="readers">Everybody who ever was in the class, in the order in which they came, with the picture that
    /// was chosen for them or null. Who comes or leaves later changes nobody's picture.</param>
    /// <returns>By ID. A chosen picture goes to whoever is first to have chosen it; all others get one that is free,
    /// found from their ID.</returns>
    public static IReadOnlyDictionary<ReaderId, string> Of(IReadOnlyList<(ReaderId Id, string? Chosen)> readers)
    {
        var pictures = new Dictionary<ReaderId, string>();
        var taken = new HashSet<string>();
        foreach (var (id, chosen) in readers)
            if (chosen is not null && All.Contains(chosen) && taken.Add(chosen))
                pictures[id] = chosen;
        foreach (var (id, _) in readers.Where(r => !pictures.ContainsKey(r.Id)))
        {
            if (taken.Count == All.Count)
                taken.Clear();
            var at = First(id);
            while (!taken.Add(All[at]))
                at = (at + 1) % All.Count;
            pictures[id] = All[at];
        }
        return pictures;
    }

    // Plain drawings first: they are told apart most easily.
    private static int First(ReaderId id) =>
        (int)(id.Value.ToByteArray().Aggregate(17u, (sum, b) => (sum * 31) + b) % (uint)Drawings.Length);
}
