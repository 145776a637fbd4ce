using DeepCurrent.Core.Depth;

namespace DeepCurrent.Core.Measuring;

/// <summary>One thing that says something about a reader's depth.</summary>
/// <param name="At">When it happened.</param>
public abstract record Evidence(DateTimeOffset At);

/// <summary>The first attempt at a question.</summary>
/// <param name="Difficulty">The question's difficulty.</param>
/// <param name="Guess">Chance to be right without reading: 1/choices for single choice, 0 for a written answer; 0 to
/// below 1.</param>
public sealed record AnswerEvidence(DateTimeOffset At, Fathoms Difficulty, double Guess, bool Correct) : Evidence(At);

/// <summary>A level stated by a teacher or an outside test.</summary>
/// <param name="Sd">How sure it is, in fathoms, above 0; default 4, a starting level 6.</param>
public sealed record LevelEvidence(DateTimeOffset At, Fathoms Value, double Sd = 4) : Evidence(At);

/// <summary>An oral reading recorded by a teacher.</summary>
/// <param name="Words">Words of the passage, at least 1.</param>
/// <param name="Errors">Miscues that count, at least 0.</param>
public sealed record RunningRecordEvidence(DateTimeOffset At, Fathoms TextDepth, int Words, int Errors) : Evidence(At);

/// <summary>Where the estimate starts.</summary>
/// <param name="Sd">Fathoms, above 0; default 8.</param>
public sealed record Prior(Fathoms Mean, double Sd, DateTimeOffset At);

/// <summary>What is known of a reader's depth at one time.</summary>
/// <param name="Low">5th percentile.</param>
/// <param name="High">95th percentile.</param>
public sealed record DepthEstimate(DateTimeOffset At, Fathoms Mean, double Sd, Fathoms Low, Fathoms High);

/// <summary>An estimate, and how it came about: one step for each piece of evidence, in order of time.</summary>
public sealed record DepthTrail(DepthEstimate Now, IReadOnlyList<DepthEstimate> Steps);

/// <summary>How depth moves between pieces of evidence.</summary>
/// <param name="GrowthPerWeek">Expected fathoms a week at a depth.</param>
/// <param name="DriftPerWeek">Variance added a week, fm², at least 0.</param>
/// <param name="SchoolWeeks">School weeks between two times; growth happens in these only, drift in all.</param>
public sealed record Movement(
    Func<Fathoms, double> GrowthPerWeek,
    double DriftPerWeek,
    Func<DateTimeOffset, DateTimeOffset, double> SchoolWeeks
)
{
    /// <summary>The same growth every week of the calendar.</summary>
    public static Movement Constant(double growthPerWeek, double driftPerWeek) =>
        new(_ => growthPerWeek, driftPerWeek, (from, to) => (to - from).TotalDays / 7);
}
