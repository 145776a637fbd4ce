using System.Text.Json.Nodes;
using DeepCurrent.Core.Texts;

namespace DeepCurrent.Cli;

/// <summary>compute text: plain UTF-8 text in, its counts, formulas and depth out.</summary>
public static class ComputeText
{
    public static JsonObject Run(TextReader text)
    {
        TextMeasure m;
        try
        {
            m = TextMeasurer.Measure(TextCounter.Count(text));
        }
        catch (ArgumentException)
        {
            throw new BadInput("There are no words to measure.", "text");
        }
        return new()
        {
            ["words"] = m.Words,
            ["sentences"] = m.Sentences,
            ["syllables"] = m.Syllables,
            ["letters"] = m.Letters,
            ["distinctWords"] = m.DistinctWords,
            ["fleschReadingEase"] = m.FleschReadingEase,
            ["fleschKincaidGrade"] = m.FleschKincaidGrade,
            ["automatedReadabilityIndex"] = m.AutomatedReadabilityIndex,
            ["colemanLiauIndex"] = m.ColemanLiauIndex,
            ["gunningFog"] = m.GunningFog,
            ["smog"] = m.Smog,
            ["spache"] = m.Spache,
            ["daleChall"] = m.DaleChall,
            ["gradeEquivalent"] = m.GradeEquivalent,
            ["depth"] = m.Depth.Value,
            ["depthError"] = m.DepthError,
        };
    }
}
