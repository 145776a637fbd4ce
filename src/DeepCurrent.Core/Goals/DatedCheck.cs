using DeepCurrent.Core.Depth;

namespace DeepCurrent.Core.Goals;

/// <summary>A level check that goals of a level can start from.</summary>
/// <param name="Found">What the check alone says, on its day.</param>
/// <param name="Sd">How sure that is, fm; above 0.</param>
/// <param name="SchoolWeeks">School weeks since, in which readers grow.</param>
/// <param name="Weeks">Weeks since, in which the level drifts.</param>
public sealed record DatedCheck(Fathoms Found, double Sd, double SchoolWeeks, double Weeks)
{
    /// <summary>Apart by more than chance would in nineteen of twenty cases.</summary>
    private const double Beyond = 1.96;

    /// <summary>What goals are foretold from, with the check in place of the estimate: run on to today by growth and
    /// drift.</summary>
    public GoalFacts In(GoalFacts facts) =>
        facts with
        {
            Depth = new(Found.Value + facts.Growth * SchoolWeeks),
            Sd = Math.Sqrt(Sd * Sd + facts.Drift * Weeks),
        };

    /// <summary>Whether it says something else than today's estimate, by more than chance.</summary>
    public bool Contradicts(GoalFacts facts)
    {
        var now = In(facts);
        return Math.Abs(now.Depth - facts.Depth) > Beyond * Math.Sqrt(now.Sd * now.Sd + facts.Sd * facts.Sd);
    }
}
