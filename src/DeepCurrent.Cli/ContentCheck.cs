using System.Globalization;
using DeepCurrent.Core.Texts;
using DeepCurrent.Formats.Content;

namespace DeepCurrent.Cli;

/// <summary>content check: prints, for each text that ships, target against measured depth and what its quiz
/// lacks.</summary>
public static class ContentCheck
{
    public static int Run(string folder, TextWriter output)
    {
        if (!Directory.Exists(folder))
        {
            Console.Error.WriteLine($"There is no folder {folder}.");
            return 2;
        }
        var faults = 0;
        var misses = new List<double>();
        foreach (var path in Directory.EnumerateDirectories(folder).Order())
        {
            if (Read(path, output) is not { } text)
            {
                faults++;
                continue;
            }
            Tell(text, misses, output);
            foreach (var fault in ContentRules.Faults(text))
            {
                output.WriteLine($"{"", -28} FAULT {fault}");
                faults++;
            }
        }
        var mean = misses.DefaultIfEmpty().Average();
        output.WriteLine(
            string.Create(
                CultureInfo.InvariantCulture,
                $"measured − target: mean {mean:0.0}, sd "
                    + $"{Math.Sqrt(misses.Sum(x => (x - mean) * (x - mean)) / Math.Max(1, misses.Count - 1)):0.0} fm "
                    + $"over {misses.Count} versions; {faults} faults"
            )
        );
        return faults == 0 ? 0 : 1;
    }

    private static TextFolder? Read(string path, TextWriter output)
    {
        try
        {
            return ContentReader.Read(path);
        }
        catch (ContentFault fault)
        {
            output.WriteLine($"{Path.GetFileName(path)}: {fault.Message}");
            return null;
        }
    }

    /// <summary>Says how deep each version is and what its quiz is made of.</summary>
    private static void Tell(TextFolder text, List<double> misses, TextWriter output)
    {
        foreach (var v in text.Versions)
        {
            var m = TextMeasurer.Measure(v.Prose);
            misses.Add(m.Depth.Value - v.Target);
            output.WriteLine(
                string.Create(
                    CultureInfo.InvariantCulture,
                    $"{text.Slug, -28} {v.Label, -12} {m.Words, 4} words  target {v.Target, 4:0}  measured "
                        + $"{m.Depth.Value, 5:0.0} ± {m.DepthError:0.0}"
                )
            );
        }
        var strands = text.Questions.GroupBy(q => q.Strand).Select(g => $"{g.Key} {g.Count()}");
        var rights = text
            .Questions.Where(q => q.Kind is Core.Questions.QuestionKind.Single)
            .Select(q => "ABCDEF"[q.Choices.ToList().FindIndex(c => c.Right)]);
        output.WriteLine(
            $"{"", -28} {text.Questions.Count(q => !q.OnTheWay)} questions and "
                + $"{text.Questions.Count(q => q.OnTheWay)} on the way, strands {string.Join(", ", strands)}; "
                + $"right at {string.Concat(rights)}"
        );
    }
}
