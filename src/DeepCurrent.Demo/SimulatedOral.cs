using DeepCurrent.Core.OralReading;
using DeepCurrent.Data.OralReading;

namespace DeepCurrent.Demo;

/// <summary>How a simulated reader reads aloud, as a teacher would mark it.</summary>
internal static class SimulatedOral
{
    private static readonly (MarkKind Kind, double Share)[] Kinds =
    [
        (MarkKind.Substitution, 0.62),
        (MarkKind.Omission, 0.16),
        (MarkKind.Told, 0.12),
        (MarkKind.Insertion, 0.10),
    ];

    /// <param name="depth">Of the text, fm.</param>
    public static SheetData Sheet(
        SimulatedReader reader,
        double depth,
        IReadOnlyList<PassageWord> passage,
        int? last,
        Random random
    )
    {
        var count = (last ?? passage.Count - 1) + 1;
        var missed = Math.Clamp(0.05 - (reader.Depth - depth) * 0.005 + 0.012 * Normal.Draw(random), 0, 0.2);
        var marks = new List<SheetMark>();
        for (var i = 0; i < count; i++)
        {
            // Numbers are read right, and longer words are missed more.
            if (!passage[i].Shown.Any(char.IsLetter))
                continue;
            var share = missed * passage[i].Key.Length / 4.5;
            if (random.NextDouble() < share)
                marks.Add(Error(passage[i].Key, i, random));
            else if (random.NextDouble() < share * 0.5)
                marks.Add(new(i, MarkKind.SelfCorrection, Near(passage[i].Key, random), Sources.Visual));
            else if (random.NextDouble() < 0.015)
                marks.Add(new(i, MarkKind.Repetition));
        }
        var rate = Math.Max(20, reader.Rate * 0.72 * (1 - 2 * missed));
        return SheetData.Blank with { Marks = marks, LastWord = last, Seconds = Math.Round(count / rate * 60) };
    }

    private static SheetMark Error(string word, int at, Random random)
    {
        var draw = random.NextDouble();
        var kind = Kinds.First(k => (draw -= k.Share) < 0 || k == Kinds[^1]).Kind;
        var used =
            Sources.Visual
            | (random.NextDouble() < 0.5 ? Sources.Meaning : Sources.None)
            | (random.NextDouble() < 0.6 ? Sources.Structure : Sources.None);
        return kind switch
        {
            MarkKind.Substitution => new(at, kind, Near(word, random), used),
            MarkKind.Insertion => new(at, kind, "and"),
            _ => new(at, kind),
        };
    }

    /// <summary>A misreading: the beginning of the word with another end.</summary>
    private static string Near(string word, Random random) =>
        word.Length < 4
            ? word[..1] + "a"
            : word[..(word.Length / 2 + 1)] + new[] { "er", "ing", "t", "ed", "le" }[random.Next(5)];
}
