using System.Text.Json.Nodes;
using DeepCurrent.Core.Goals;

namespace DeepCurrent.Cli;

/// <summary>compute goal: a reader's weeks and a target in, the chance, the range of the end and a suggestion out.</summary>
public static class ComputeGoal
{
    private const double UsualLikely = 0.7,
        UsualQuestions = 8,
        MostDays = 400;

    public static JsonObject Run(TextReader input)
    {
        var f = Field.Of(input);
        var left = f.Number("schoolDaysLeft", atLeast: 0, below: MostDays);
        var likely = f.Number("likely", above: 0, below: 1, fallback: UsualLikely);
        var end = f.Text("kind") switch
        {
            "words" => Words(f, left),
            "comprehension" => Comprehension(f, left),
            "depth" => GoalForecast.Depth(
                f.Depth("mean"),
                f.Number("sd", atLeast: 0),
                f.Number("growth", fallback: 0),
                f.Number("drift", atLeast: 0, fallback: 0),
                left
            ),
            _ => throw new BadInput("This should be words, comprehension or depth.", "kind"),
        };
        return new()
        {
            ["chance"] = end.Reaches(f.Number("target")),
            ["low"] = end.Low,
            ["middle"] = end.Middle,
            ["high"] = end.High,
            ["suggested"] = end.At(likely),
        };
    }

    private static EndForecast Words(Field f, double left)
    {
        var weeks = f.List("weeks").Select(w => new WeekRead(Days(w), w.Number("words", atLeast: 0))).ToList();
        var own = weeks.Count == 0 ? 0 : weeks.Average(w => w.Words);
        var usual = f.Has("classWeek") ? f.Object("classWeek") : null;
        var classWeek = usual is null
            ? new ClassWeek(own, Math.Max(1, own / 2))
            : new(usual.Number("words", atLeast: 0), usual.Number("sd", atLeast: 0));
        return GoalForecast.Words(
            f.Number("soFar", atLeast: 0, fallback: weeks.Sum(w => w.Words)),
            weeks,
            classWeek,
            left
        );
    }

    private static EndForecast Comprehension(Field f, double left) =>
        GoalForecast.Comprehension(
            [.. f.List("weeks").Select(w => new WeekScored(Days(w), [.. w.Shares("scores")]))],
            f.Number("questions", above: 0, fallback: UsualQuestions),
            left
        );

    private static double Days(Field week) => week.Number("days", above: 0, below: 8, fallback: 5);
}
