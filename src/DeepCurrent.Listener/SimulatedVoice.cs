using DeepCurrent.Core.OralReading;
using DeepCurrent.Core.Texts;

namespace DeepCurrent.Listener;

/// <summary>How a simulated reader reads aloud. Each share is of words, 0 to 1.</summary>
/// <param name="WordsPerMinute">While nothing goes wrong.</param>
/// <param name="Told">Of the words the reader cannot say, the share a teacher says.</param>
/// <param name="SkippedLines">How many lines of about ten words are skipped in a thousand words.</param>
/// <param name="Unsure">The listener's own doubt: shares of words heard with low confidence.</param>
public sealed record VoiceTraits(
    double WordsPerMinute = 110,
    double Substitutions = 0.03,
    double Omissions = 0.01,
    double Insertions = 0.01,
    double SelfCorrections = 0.02,
    double Repetitions = 0.02,
    double Told = 0.1,
    double Hesitations = 0.04,
    double SkippedLines = 0.3,
    double Unsure = 0.03
);

/// <summary>A reading that was made up, and what truly happened in it.</summary>
public sealed record MadeReading(IReadOnlyList<HeardWord> Heard, IReadOnlyList<ReadingMark> Truth);

/// <summary>Makes oral readings of a text by a reader with given traits, the same for the same seed.</summary>
public sealed class SimulatedVoice(VoiceTraits traits, int seed)
{
    private static readonly string[] PutIn =
    [
        "the",
        "a",
        "and",
        "very",
        "so",
        "just",
        "then",
        "little",
        "that",
        "big",
        "all",
        "now",
    ];
    private static readonly Lazy<ILookup<char, string>> Familiar = new(() =>
        Lexicon.Familiar.Where(w => w.Word.Length > 1).ToLookup(w => w.Word[0], w => w.Word)
    );

    private readonly Random random = new(seed);
    private readonly List<HeardWord> heard = [];
    private readonly List<ReadingMark> truth = [];
    private double clock = 0.4;

    public MadeReading Read(string text)
    {
        var passage = SpokenForms.Of(text);
        for (var i = 0; i < passage.Count; i++)
        {
            if (random.NextDouble() < traits.SkippedLines / 1000 && i + 12 < passage.Count)
                for (var last = i + 8 + random.Next(4); i < last; i++)
                    truth.Add(new(i, passage[i].Shown, "", MarkKind.Omission));
            Word(passage, i);
        }
        return new(heard, truth);
    }

    private void Word(IReadOnlyList<PassageWord> passage, int i)
    {
        var word = passage[i];
        var around = passage.Skip(Math.Max(0, i - 3)).Take(8).Select(w => w.Key).ToHashSet();
        if (
            random.NextDouble() < traits.Insertions
            && PutIn[random.Next(PutIn.Length)] is var extra
            && !around.Contains(extra)
        )
        {
            Say(extra);
            truth.Add(new(i - 1, "", extra, MarkKind.Insertion));
        }
        if (random.NextDouble() < traits.Hesitations)
            clock += 0.4 + 2 * random.NextDouble() * random.NextDouble() + (random.NextDouble() < 0.08 ? 3 : 0);
        var draw = random.NextDouble();
        if ((draw -= traits.Omissions) < 0)
        {
            truth.Add(new(i, word.Shown, "", MarkKind.Omission));
            return;
        }
        if ((draw -= traits.Substitutions) < 0 && Misread(word, around) is { } wrong)
        {
            Wrong(word, i, wrong);
            return;
        }
        if ((draw -= traits.SelfCorrections) < 0 && Misread(word, around) is { } first)
        {
            Say(random.NextDouble() < 0.3 && word.Key.Length > 3 ? first = word.Key[..(1 + random.Next(2))] : first);
            clock += 0.2 + 0.5 * random.NextDouble();
            Say(word.Shown);
            truth.Add(new(i, word.Shown, first, MarkKind.SelfCorrection));
            return;
        }
        Say(word.Shown);
        truth.Add(new(i, word.Shown, word.Shown, MarkKind.Correct));
        if ((draw -= traits.Repetitions) < 0)
            Again(passage, i);
    }

    private void Wrong(PassageWord word, int i, string wrong)
    {
        var told = random.NextDouble() < traits.Told;
        Say(wrong);
        if (told)
        {
            clock += 1;
            Say(word.Shown, told: true);
        }
        truth.Add(new(i, word.Shown, wrong, told ? MarkKind.Told : MarkKind.Substitution));
    }

    /// <summary>Goes back one to three words that were read right, and reads them again.</summary>
    private void Again(IReadOnlyList<PassageWord> passage, int i)
    {
        var back = 1 + random.Next(3);
        var run = truth.AsEnumerable().Reverse().TakeWhile(m => m.Kind is MarkKind.Correct).Take(back).Count();
        for (var k = i - run + 1; k <= i; k++)
        {
            Say(passage[k].Shown);
            truth.Add(new(i, passage[k].Shown, passage[k].Shown, MarkKind.Repetition));
        }
    }

    /// <summary>A word that is taken for another: mostly one that looks like it, sometimes one that might have stood
    /// there, sometimes none at all.</summary>
    private string? Misread(PassageWord word, HashSet<string> around)
    {
        var key = word.Key;
        if (!key.All(char.IsAsciiLetterLower))
            return null;
        var kind = random.NextDouble();
        if (kind < 0.2 && key.Length > 3)
        {
            var at = 1 + random.Next(key.Length - 2);
            var changed = key[..at] + "aeioulmnrst"[random.Next(11)] + key[(at + 1)..];
            return changed == key || around.Contains(changed) ? null : changed;
        }
        var like = Familiar
            .Value[key[0]]
            .Where(w => w != key && Math.Abs(w.Length - key.Length) < 3 && !around.Contains(w));
        var near = (
            kind < 0.85
                ? like.OrderByDescending(w =>
                    w.Zip(key, (a, b) => a == b ? 1 : 0).Sum() - Math.Abs(w.Length - key.Length)
                )
                : like.OrderBy(_ => random.Next())
        )
            .Take(4)
            .ToList();
        return near.Count == 0 ? null : near[random.Next(near.Count)];
    }

    private void Say(string word, bool told = false)
    {
        var length =
            0.09
            + 60
                / traits.WordsPerMinute
                * (0.5 + 0.09 * Math.Min(10, word.Length))
                * (0.7 + 0.3 * random.NextDouble())
                * 0.8;
        heard.Add(
            new(
                word.ToLowerInvariant(),
                Math.Round(clock, 2),
                Math.Round(clock + length, 2),
                told,
                random.NextDouble() < traits.Unsure
                    ? Math.Round(0.3 + 0.3 * random.NextDouble(), 2)
                    : Math.Round(0.8 + 0.2 * random.NextDouble(), 2)
            )
        );
        clock += length + 60 / traits.WordsPerMinute * 0.1 * random.NextDouble();
    }
}
