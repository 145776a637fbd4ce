namespace DeepCurrent.Core.Depth;

/// <summary>How hard a text is for one reader.</summary>
public enum Zone
{
    Independent,
    Instructional,
    Frustration,
}

/// <summary>A range of text depths, shallow to deep.</summary>
public sealed record DepthRange(Fathoms From, Fathoms To);

/// <summary>A school's cut points between the zones, as forecast comprehension.</summary>
/// <param name="Low">Below this a text is frustration; default 0.70.</param>
/// <param name="High">At or above this a text is independent; default 0.90.</param>
public sealed record ZoneCuts(double Low = 0.70, double High = 0.90);

/// <summary>Fit: forecast comprehension of one reader on one text.</summary>
/// <remarks>One-parameter logistic model (Rasch 1960), set so that a reader at the text's own depth answers 80 % of
/// ordinary questions.</remarks>
public static class Forecast
{
    /// <summary>Share of ordinary questions forecast right where reader and text have the same depth.</summary>
    public const double AtSameDepth = 0.80;

    private static readonly double Ease = Fathoms.PerLogit * Math.Log(AtSameDepth / (1 - AtSameDepth));

    /// <summary>Forecast comprehension of a reader on a text.</summary>
    public static Probability Comprehension(Fathoms reader, Fathoms text) =>
        new(1 / (1 + Math.Exp(-(reader - text + Ease) / Fathoms.PerLogit)));

    /// <summary>The text depth at which a reader is forecast to understand a given share.</summary>
    /// <param name="share">Above 0 and below 1.</param>
    /// <exception cref="ArgumentOutOfRangeException"><paramref name="share"/> is not strictly between 0 and
    /// 1.</exception>
    public static Fathoms TextDepthFor(Fathoms reader, double share)
    {
        if (!(share > 0 && share < 1))
            throw new ArgumentOutOfRangeException(nameof(share), share, "The share must lie between 0 and 1.");
        return reader + (Ease - Fathoms.PerLogit * Math.Log(share / (1 - share)));
    }

    /// <summary>Reach: the depths of text that are instructional for a reader.</summary>
    public static DepthRange Reach(Fathoms reader, ZoneCuts? cuts = null)
    {
        cuts ??= new();
        return new(TextDepthFor(reader, cuts.High), TextDepthFor(reader, cuts.Low));
    }

    /// <summary>Whether a text's depth lies in a reader's reach.</summary>
    public static bool InReach(Fathoms reader, Fathoms text, ZoneCuts? cuts = null) =>
        ZoneOf(Comprehension(reader, text), cuts) is Zone.Instructional;

    /// <summary>The zone of a forecast. The forecast is rounded to whole percent first, so that what is shown as 70 %
    /// is never called too deep.</summary>
    public static Zone ZoneOf(Probability forecast, ZoneCuts? cuts = null)
    {
        cuts ??= new();
        var shown = forecast.Percent / 100.0;
        return shown >= cuts.High ? Zone.Independent
            : shown >= cuts.Low ? Zone.Instructional
            : Zone.Frustration;
    }

    /// <summary>Which of several versions fits a reader best: the one whose forecast is nearest to 80 %.</summary>
    /// <param name="versions">Depths of the versions; at least one.</param>
    /// <returns>Index of the best version.</returns>
    /// <exception cref="ArgumentException">There is no version.</exception>
    public static int BestVersion(Fathoms reader, IReadOnlyList<Fathoms> versions)
    {
        if (versions.Count == 0)
            throw new ArgumentException("A text needs at least one version.", nameof(versions));
        return Enumerable
            .Range(0, versions.Count)
            .MinBy(i => Math.Abs(Comprehension(reader, versions[i]).Value - AtSameDepth));
    }
}
