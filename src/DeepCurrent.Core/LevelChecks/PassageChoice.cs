using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Measuring;

namespace DeepCurrent.Core.LevelChecks;

/// <summary>One question of a passage, as it informs about a reader.</summary>
/// <param name="Difficulty">Fathoms.</param>
/// <param name="Guess">Chance to be right without reading, 0 to below 1.</param>
public readonly record struct PassageQuestion(double Difficulty, double Guess);

/// <summary>A passage that a level check may give.</summary>
/// <param name="Given">How often it has been given, to whomever; near-equal passages take turns by it.</param>
public sealed record CheckPassage(VersionId Id, double Depth, IReadOnlyList<PassageQuestion> Questions, int Given);

/// <summary>The teacher's limits of a level check.</summary>
/// <param name="From">No passage shallower than this, fm.</param>
/// <param name="To">No passage deeper than this, fm.</param>
/// <param name="MostPassages">1 to 10.</param>
/// <param name="SureAt">The check ends when the level is this sure (standard deviation, fm).</param>
public sealed record CheckLimits(
    double From = Fathoms.Shallowest,
    double To = Fathoms.Deepest,
    int MostPassages = 4,
    double SureAt = 2.5
);

/// <summary>Why a level check gives no further passage.</summary>
public enum CheckEnd
{
    GoesOn,
    Sure,
    MostPassages,
    NoTimeLeft,
    NoPassageLeft,
}

/// <summary>Chooses the passages of a level check, one after the other, each for what is known by then.</summary>
/// <remarks>Maximum expected information over the current distribution (van der Linden 1998, Bayesian item selection
/// criteria for adaptive testing, Psychometrika 63), whole passages at a time (Wainer and Kiely 1987,
/// testlets).</remarks>
public static class PassageChoice
{
    /// <summary>Passages whose information is at least this share of the best are as good as the best.</summary>
    public const double NearlyAsGood = 0.95;

    /// <summary>Whether a check ends, and why.</summary>
    /// <param name="left">Time that is left; null where there is no limit.</param>
    public static CheckEnd End(double sd, int given, TimeSpan? left, CheckLimits limits) =>
        sd <= limits.SureAt && given > 0 ? CheckEnd.Sure
        : given >= limits.MostPassages ? CheckEnd.MostPassages
        : left <= TimeSpan.Zero ? CheckEnd.NoTimeLeft
        : CheckEnd.GoesOn;

    /// <summary>The next passage: of those not seen and within the limits, the one whose questions are expected to say
    /// most; among those nearly as good, the one that was given least.</summary>
    /// <param name="seen">Passages the reader has had, in this check or before.</param>
    /// <returns>Null where none is left.</returns>
    public static CheckPassage? Next(
        DepthDistribution known,
        IEnumerable<CheckPassage> passages,
        IReadOnlySet<VersionId> seen,
        CheckLimits limits
    )
    {
        var open = passages
            .Where(p => !seen.Contains(p.Id) && p.Depth >= limits.From && p.Depth <= limits.To && p.Questions.Count > 0)
            .Select(p => (Passage: p, Says: Information(known, p.Questions)))
            .ToList();
        if (open.Count == 0)
            return null;
        var best = open.Max(p => p.Says);
        return open.Where(p => p.Says >= NearlyAsGood * best)
            .OrderBy(p => p.Passage.Given)
            .ThenByDescending(p => p.Says)
            .ThenBy(p => p.Passage.Id)
            .First()
            .Passage;
    }

    /// <summary>Information about a reader's depth that questions are expected to give, 1/fm², over what is known of
    /// the reader.</summary>
    public static double Information(DepthDistribution known, IReadOnlyList<PassageQuestion> questions)
    {
        var sum = 0.0;
        for (var cell = 0; cell < DepthDistribution.Cells; cell++)
        {
            var share = known.ShareOf(cell);
            if (share < 1e-6)
                continue;
            var depth = DepthDistribution.DepthOf(cell);
            var here = 0.0;
            foreach (var q in questions)
                here += AnswerModel.Information(AnswerModel.Right(depth - q.Difficulty, q.Guess), q.Guess);
            sum += share * here;
        }
        return sum;
    }
}
