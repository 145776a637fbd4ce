namespace DeepCurrent.Core.OralReading;

/// <summary>How hard a text was for a reader who read it aloud.</summary>
public enum AccuracyZone
{
    Independent,
    Instructional,
    Frustration,
}

public static class AccuracyZones
{
    public static Message Name(this AccuracyZone zone) =>
        zone switch
        {
            AccuracyZone.Independent => $"independent",
            AccuracyZone.Instructional => $"instructional",
            AccuracyZone.Frustration => $"frustration",
            _ => throw new ArgumentOutOfRangeException(nameof(zone), zone, "There is no such zone."),
        };
}

/// <summary>Where the zones of accuracy meet.</summary>
/// <param name="Independent">At least this accuracy, 0 to 1.</param>
/// <param name="Instructional">At least this, and below the other.</param>
/// <remarks>Clay, M. M. (2000), Running Records for Classroom Teachers: 95 and 90 %.</remarks>
public sealed record AccuracyCuts(double Independent = 0.95, double Instructional = 0.90)
{
    /// <summary>The zone of an accuracy; it is rounded to whole percent first, as it is shown.</summary>
    public AccuracyZone Of(double accuracy)
    {
        var shown = Math.Round(accuracy, 2, MidpointRounding.AwayFromZero);
        return shown >= Independent ? AccuracyZone.Independent
            : shown >= Instructional ? AccuracyZone.Instructional
            : AccuracyZone.Frustration;
    }
}
