using System.Text.Json.Nodes;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Measuring;

namespace DeepCurrent.Cli;

/// <summary>compute reader: a prior and evidence in, the reader's depth and its trail out.</summary>
public static class ComputeReader
{
    public static JsonObject Run(TextReader input) => Run(Field.Of(input));

    private static JsonObject Run(Field input)
    {
        var p = input.Object("prior");
        var prior = new Prior(new(p.Depth("mean")), p.Number("sd", above: 0), p.Time("at"));
        var asOf = input.Time("asOf");
        if (asOf < prior.At)
            throw new BadInput("This is earlier than the prior.", "asOf");
        var movement = Movement.Constant(
            input.Number("growthPerWeek", fallback: 0),
            input.Number("driftPerWeek", atLeast: 0, fallback: 0)
        );
        var pieces = input
            .List("evidence")
            .Select(f => (Evidence: Piece(f, prior), Said: f.Text("at")))
            .OrderBy(x => x.Evidence.At)
            .ToList();
        var trail = Estimate(prior, pieces.Select(x => x.Evidence), movement, asOf);
        return new()
        {
            ["mean"] = trail.Now.Mean.Value,
            ["sd"] = trail.Now.Sd,
            ["low"] = trail.Now.Low.Value,
            ["high"] = trail.Now.High.Value,
            ["trail"] = new JsonArray([
                .. trail.Steps.Select(
                    (s, i) =>
                        new JsonObject
                        {
                            ["at"] = pieces[i].Said,
                            ["mean"] = s.Mean.Value,
                            ["sd"] = s.Sd,
                        }
                ),
            ]),
        };
    }

    private static DepthTrail Estimate(
        Prior prior,
        IEnumerable<Evidence> pieces,
        Movement movement,
        DateTimeOffset asOf
    )
    {
        try
        {
            return ReaderEstimator.Run(prior, pieces, movement, asOf);
        }
        catch (InvalidOperationException e)
        {
            throw new BadInput(e.Message, "evidence");
        }
    }

    private static Evidence Piece(Field f, Prior prior)
    {
        var at = f.Time("at");
        if (at < prior.At)
            throw new BadInput("This is earlier than the prior.", f.At("at"));
        return f.Text("kind") switch
        {
            "answer" => new AnswerEvidence(
                at,
                new(f.Depth("difficulty")),
                f.Number("guess", atLeast: 0, below: 1),
                f.Truth("correct")
            ),
            "level" => new LevelEvidence(
                at,
                new(f.Depth("value")),
                f.Number("sd", above: 0, fallback: ReaderEstimator.JudgementSd)
            ),
            "runningRecord" => new RunningRecordEvidence(
                at,
                new(f.Depth("textDepth")),
                f.Whole("words", 1),
                f.Whole("errors", 0)
            ),
            var kind => throw new BadInput($"There is no kind of evidence called {kind}.", f.At("kind")),
        };
    }
}
