namespace DeepCurrent.Core.Reports;

/// <summary>A mean over readers with its 90 % range.</summary>
/// <param name="Mean">In the unit of what was measured.</param>
/// <param name="Half">Half of the 90 % range of that mean.</param>
/// <param name="Readers">Whose figure is known.</param>
public sealed record MeanRange(double Mean, double Half, int Readers)
{
    private const double Z = 1.645;

    /// <returns>Null for fewer than two readers: of one, no range can be told.</returns>
    public static MeanRange? Of(IReadOnlyCollection<double> figures)
    {
        if (figures.Count < 2)
            return null;
        var mean = figures.Average();
        var variance = figures.Sum(f => (f - mean) * (f - mean)) / (figures.Count - 1);
        return new(mean, Z * Math.Sqrt(variance / figures.Count), figures.Count);
    }

    /// <summary>How far this mean is from another's, of other readers.</summary>
    public MeanRange Less(MeanRange other) =>
        new(Mean - other.Mean, Math.Sqrt(Half * Half + other.Half * other.Half), Math.Min(Readers, other.Readers));
}
