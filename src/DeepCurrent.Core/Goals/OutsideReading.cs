using DeepCurrent.Core.Depth;

namespace DeepCurrent.Core.Goals;

/// <summary>Which reading outside Deep Current counts for the word goals of a class.</summary>
public enum OutsideCounts
{
    None,

    /// <summary>What a teacher has confirmed.</summary>
    Confirmed,

    /// <summary>Whatever readers tell.</summary>
    All,
}

/// <summary>Something that was read elsewhere, for so long.</summary>
/// <param name="Depth">Of the reader.</param>
public sealed record OutsideReading(ReaderId ReaderId, DateOnly Day, int Minutes, Fathoms Depth)
{
    /// <summary>Its words, reckoned from its minutes at the reader's silent rate: nobody counts the words of a
    /// book.</summary>
    public double Words(LevelChart chart) => Minutes * GoalRules.SilentRate(Depth, chart);

    /// <summary>As a reading of the middle of its day, without a score.</summary>
    /// <param name="noon">Of that day, at the school.</param>
    public ReadingDone Done(DateTimeOffset noon, LevelChart chart) => new(noon, null, Words(chart));
}
