using System.Text.Json.Nodes;
using DeepCurrent.Core.OralReading;

namespace DeepCurrent.Cli;

/// <summary>compute oral: a text and the words that were heard in, the figures of a running record and its marks
/// out.</summary>
public static class ComputeOral
{
    private const int MostWords = 20_000;
    private const double LongestRecording = 86_400;

    public static JsonObject Run(TextReader input)
    {
        var document = Field.Of(input);
        var text = document.Text("text");
        var heard = document.List("heard").Select(Heard).ToList();
        if (heard.Count > MostWords)
            throw new BadInput($"At most {MostWords} heard words are aligned.", "heard");
        for (var i = 1; i < heard.Count; i++)
            if (heard[i].Start < heard[i - 1].Start)
                throw new BadInput("This word begins before the one in front of it.", $"heard[{i}].start");
        OralReading read;
        try
        {
            read = ReadingAligner.Align(text, heard);
        }
        catch (ArgumentException)
        {
            throw new BadInput("There are no words to read.", "text");
        }
        var f = read.Figures;
        return new()
        {
            ["words"] = f.Words,
            ["errors"] = f.Errors,
            ["selfCorrections"] = f.SelfCorrections,
            ["repetitions"] = f.Repetitions,
            ["accuracy"] = f.Accuracy,
            ["wordsCorrectPerMinute"] = f.WordsCorrectPerMinute,
            ["marks"] = new JsonArray([
                .. read.Marks.Select(m => new JsonObject
                {
                    ["index"] = m.Index,
                    ["expected"] = m.Expected,
                    ["heard"] = m.Heard,
                    ["kind"] = Name(m.Kind),
                }),
            ]),
        };
    }

    private static HeardWord Heard(Field f)
    {
        var start = f.Number("start", atLeast: 0, below: LongestRecording);
        var end = f.Number("end", atLeast: 0, below: LongestRecording);
        if (end < start)
            throw new BadInput("This word ends before it begins.", f.At("end"));
        return new(f.Text("word"), start, end, f.Has("told") && f.Truth("told"));
    }

    private static string Name(MarkKind kind) =>
        kind is MarkKind.SelfCorrection ? "selfCorrection" : kind.ToString().ToLowerInvariant();
}
