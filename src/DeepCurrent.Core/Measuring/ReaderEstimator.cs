using DeepCurrent.Core.Depth;

namespace DeepCurrent.Core.Measuring;

/// <summary>Turns evidence into a reader's depth.</summary>
public static class ReaderEstimator
{
    /// <summary>Default sd of the prior, of a stated level, of a starting level, and about that of a running record of
    /// 100 words near the reader, in fathoms.</summary>
    public const double PriorSd = 8,
        JudgementSd = 4,
        StartingLevelSd = 6,
        RunningRecordSd = 5;

    /// <summary>Default drift, fm² a week.</summary>
    public const double DriftPerWeek = 0.4;

    /// <summary>The estimate at a time, with a step for each piece of evidence. Evidence later than
    /// <paramref name="asOf"/> has not happened yet and is left out.</summary>
    /// <param name="evidence">In any order; it is taken in order of time, and of this list where times are
    /// equal.</param>
    /// <exception cref="ArgumentException">A piece of evidence is older than the prior, or its figures are out of
    /// range.</exception>
    /// <remarks>Exact Bayes on a grid: Mislevy, R. J. and Bock, R. D. (1982), Biweight/EAP estimates of latent ability;
    /// movement between pieces as in a hidden Markov model.</remarks>
    public static DepthTrail Run(Prior prior, IEnumerable<Evidence> evidence, Movement movement, DateTimeOffset asOf)
    {
        var steps = new List<DepthEstimate>();
        return new(Walk(prior, evidence, movement, asOf, (_, _, after) => steps.Add(after), withBefore: false), steps);
    }

    /// <summary>Goes through the evidence in order of time and tells of each piece.</summary>
    /// <param name="withBefore">Whether what was known before a piece is worked out, too; else it is told the same as
    /// after.</param>
    /// <returns>The estimate at <paramref name="asOf"/>, or after the last piece where that is not a time to reckon
    /// to.</returns>
    internal static DepthEstimate Walk(
        Prior prior,
        IEnumerable<Evidence> evidence,
        Movement movement,
        DateTimeOffset asOf,
        Action<Evidence, DepthEstimate, DepthEstimate> tell,
        bool withBefore
    )
    {
        var depth = DepthDistribution.Normal(prior.Mean.Value, prior.Sd);
        var at = prior.At;
        foreach (var piece in evidence.OrderBy(e => e.At))
        {
            if (piece.At > asOf)
                break;
            if (piece.At < prior.At)
                throw new ArgumentException("A piece of evidence is older than the prior.", nameof(evidence));
            Pass(depth, movement, at, piece.At);
            at = piece.At;
            var before = withBefore ? depth.Estimate(at) : null;
            Weigh(depth, piece);
            var after = depth.Estimate(at);
            tell(piece, before ?? after, after);
        }
        if (asOf > at && asOf < DateTimeOffset.MaxValue)
        {
            Pass(depth, movement, at, asOf);
            at = asOf;
        }
        return depth.Estimate(at);
    }

    private static void Pass(DepthDistribution depth, Movement movement, DateTimeOffset from, DateTimeOffset to)
    {
        if (to <= from)
            return;
        var growth = movement.GrowthPerWeek(new(depth.Mean)) * movement.SchoolWeeks(from, to);
        depth.Move(growth, movement.DriftPerWeek * (to - from).TotalDays / 7);
    }

    private static void Weigh(DepthDistribution depth, Evidence piece)
    {
        switch (piece)
        {
            case AnswerEvidence { Guess: >= 0 and < 1 } a:
                depth.TimesAnswer(a.Difficulty.Value, a.Guess, a.Correct);
                break;
            case LevelEvidence { Sd: > 0 } l:
                depth.TimesNormal(l.Value.Value, l.Sd);
                break;
            case RunningRecordEvidence { Words: >= 1, Errors: >= 0 } r:
                depth.Times(RunningRecordModel.LogLikelihood(r.TextDepth, r.Words, r.Errors));
                break;
            default:
                throw new ArgumentException($"Evidence out of range: {piece}.", nameof(piece));
        }
    }
}
