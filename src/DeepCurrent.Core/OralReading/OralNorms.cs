namespace DeepCurrent.Core.OralReading;

/// <summary>A season of the school year, as benchmark windows have it.</summary>
public enum Season
{
    Autumn,
    Winter,
    Spring,
}

public static class Seasons
{
    public static Message Name(this Season season) =>
        season switch
        {
            Season.Autumn => $"autumn",
            Season.Winter => $"winter",
            Season.Spring => $"spring",
            _ => throw new ArgumentOutOfRangeException(nameof(season), season, "There is no such season."),
        };
}

/// <summary>Where a rate stands among readers of the same grade and season.</summary>
/// <param name="Percentile">1 to 99; readers of a hundred who read at this rate or slower.</param>
/// <param name="Middle">The rate of the middle reader, words correct per minute.</param>
public sealed record RatePlace(int Percentile, int Middle);

/// <summary>Oral reading rates that are usual, by grade and season.</summary>
/// <remarks>Hasbrouck, J. and Tindal, G. (2017), An update to compiled ORF norms, technical report 1702, University of
/// Oregon.</remarks>
public static class OralNorms
{
    private static readonly int[] Percentiles = [10, 25, 50, 75, 90];

    // Words correct per minute at those percentiles.
    private static readonly Dictionary<(int Grade, Season Season), int[]> Rates = new()
    {
        [(1, Season.Winter)] = [9, 16, 29, 59, 97],
        [(1, Season.Spring)] = [18, 34, 60, 91, 116],
        [(2, Season.Autumn)] = [23, 36, 50, 84, 111],
        [(2, Season.Winter)] = [35, 59, 84, 109, 131],
        [(2, Season.Spring)] = [43, 72, 100, 124, 148],
        [(3, Season.Autumn)] = [40, 59, 83, 104, 134],
        [(3, Season.Winter)] = [62, 79, 97, 137, 161],
        [(3, Season.Spring)] = [63, 91, 112, 139, 166],
        [(4, Season.Autumn)] = [60, 75, 94, 125, 153],
        [(4, Season.Winter)] = [71, 95, 120, 143, 168],
        [(4, Season.Spring)] = [83, 105, 133, 160, 184],
        [(5, Season.Autumn)] = [64, 87, 121, 153, 179],
        [(5, Season.Winter)] = [84, 109, 133, 160, 183],
        [(5, Season.Spring)] = [102, 119, 146, 169, 195],
        [(6, Season.Autumn)] = [89, 112, 132, 159, 185],
        [(6, Season.Winter)] = [91, 116, 145, 166, 195],
        [(6, Season.Spring)] = [91, 122, 146, 173, 204],
    };

    /// <summary>The season of a day in a school year: its first, second or last third.</summary>
    public static Season SeasonOf(DateOnly day, DateOnly firstDay, DateOnly lastDay)
    {
        var gone = (day.DayNumber - firstDay.DayNumber) / (double)Math.Max(1, lastDay.DayNumber - firstDay.DayNumber);
        return gone < 1 / 3.0 ? Season.Autumn
            : gone < 2 / 3.0 ? Season.Winter
            : Season.Spring;
    }

    /// <summary>Where a rate stands; straight lines between the published percentiles, and towards 1 and 99 beyond
    /// them.</summary>
    /// <param name="rate">Words correct per minute, at least 0.</param>
    /// <returns>Null where there is no norm: below grade 1, in autumn of grade 1, above grade 6.</returns>
    /// <exception cref="ArgumentOutOfRangeException"><paramref name="rate"/> is negative or no number.</exception>
    public static RatePlace? Place(int grade, Season season, double rate)
    {
        if (!(rate >= 0))
            throw new ArgumentOutOfRangeException(nameof(rate), rate, "A rate is 0 or more.");
        if (!Rates.TryGetValue((grade, season), out var rates))
            return null;
        double percentile;
        if (rate <= rates[0])
            percentile = Percentiles[0] * rate / rates[0];
        else if (rate >= rates[^1])
            percentile = 90 + 9 * (rate - rates[^1]) / (rates[^1] - rates[2]);
        else
        {
            var i = Array.FindIndex(rates, r => rate < r);
            percentile =
                Percentiles[i - 1]
                + (Percentiles[i] - Percentiles[i - 1]) * (rate - rates[i - 1]) / (rates[i] - rates[i - 1]);
        }
        return new((int)Math.Clamp(Math.Round(percentile, MidpointRounding.AwayFromZero), 1, 99), rates[2]);
    }
}
