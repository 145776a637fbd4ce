namespace DeepCurrent.Core.OralReading;

/// <summary>What a retelling is listened to for. Each part earns 0 (not told), 1 (partly) or 2 (told).</summary>
public static class Retelling
{
    public const int MostPoints = 2;

    private static readonly string[] OfStory =
    [
        "people-and-place",
        "what-goes-wrong",
        "events-in-order",
        "how-it-ends",
        "own-words",
    ];
    private static readonly string[] OfFacts =
    [
        "what-it-is-about",
        "main-points",
        "how-they-hang-together",
        "details",
        "own-words",
    ];

    /// <summary>The parts a text is listened to for.</summary>
    public static IReadOnlyList<string> Parts(bool fiction) => fiction ? OfStory : OfFacts;

    /// <summary>Share of the points that were told.</summary>
    /// <param name="points">By part; what is not there was not listened for.</param>
    /// <returns>0 to 1; null where nothing was listened for.</returns>
    /// <exception cref="ArgumentOutOfRangeException">A part has other points than 0, 1 or 2.</exception>
    public static double? Score(IReadOnlyDictionary<string, int> points)
    {
        if (points.Values.Any(p => p is < 0 or > MostPoints))
            throw new ArgumentOutOfRangeException(nameof(points), "A part of a retelling has 0, 1 or 2 points.");
        return points.Count == 0 ? null : points.Values.Sum() / (double)(MostPoints * points.Count);
    }
}
