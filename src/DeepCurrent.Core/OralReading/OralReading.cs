using DeepCurrent.Core.Texts;

namespace DeepCurrent.Core.OralReading;

/// <summary>A word as it was heard.</summary>
/// <param name="Start">Seconds from the beginning of the recording.</param>
/// <param name="End">Seconds; not before <paramref name="Start"/>.</param>
/// <param name="Told">Said by the teacher, for the reader.</param>
/// <param name="Confidence">How sure the listener is of the word, 0 to 1.</param>
public sealed record HeardWord(string Word, double Start, double End, bool Told = false, double Confidence = 1);

/// <summary>What happened to a word, in the terms of running records.</summary>
public enum MarkKind
{
    Correct,
    Substitution,
    Omission,
    Insertion,
    Repetition,
    SelfCorrection,
    Told,
}

/// <summary>One event of an oral reading.</summary>
/// <param name="Index">The text word, from 0; for an insertion or a repetition the text word it follows, −1 before the
/// first.</param>
/// <param name="Expected">What stands in the text; empty for an insertion.</param>
/// <param name="Heard">What was said in its place; empty for an omission.</param>
/// <param name="Span">Text words it stands for: 1 for most, 2 for "I am" read as "I'm".</param>
public sealed record ReadingMark(int Index, string Expected, string Heard, MarkKind Kind, int Span = 1);

/// <summary>The figures of an oral reading.</summary>
/// <param name="Words">Words of the passage.</param>
/// <param name="Errors">Miscues that count.</param>
/// <param name="Accuracy">0 to 1.</param>
/// <param name="WordsCorrectPerMinute">0 where no time passed.</param>
/// <param name="Pauses">Pauses over three seconds.</param>
public sealed record OralFigures(
    int Words,
    int Errors,
    int SelfCorrections,
    int Repetitions,
    double Accuracy,
    double WordsCorrectPerMinute,
    int Pauses
)
{
    /// <summary>Sounds made while thinking (um, er, mm); they are counted and are no errors.</summary>
    public int Hesitations { get; init; }

    /// <summary>One error in this many words; null without an error.</summary>
    public double? WordsPerError => Errors == 0 ? null : (double)Words / Errors;

    /// <summary>One self-correction in this many errors and self-corrections; null without a self-correction.</summary>
    public double? SelfCorrectionRatio =>
        SelfCorrections == 0 ? null : (double)(Errors + SelfCorrections) / SelfCorrections;
}

/// <summary>An oral reading that was aligned to its text.</summary>
/// <param name="Said">For each mark, the places of the heard words it rests on.</param>
public sealed record OralReading(
    OralFigures Figures,
    IReadOnlyList<ReadingMark> Marks,
    IReadOnlyList<IReadOnlyList<int>> Said
);

/// <summary>Counts what running records count.</summary>
public static class RunningRecords
{
    /// <summary>A pause of more seconds than this is one that counts.</summary>
    public const double LongPause = 3;

    /// <summary>Share of the text's words read correctly, as running records count it.</summary>
    /// <param name="words">Words in the passage that was read; at least 1.</param>
    /// <param name="errors">Miscues that count: substitutions, omissions, insertions, told words.</param>
    /// <returns>0 to 1. Insertions can make errors exceed words; the result is then 0.</returns>
    /// <exception cref="ArgumentOutOfRangeException"><paramref name="words"/> is below 1 or <paramref name="errors"/>
    /// below 0.</exception>
    /// <remarks>Clay, M. M. (2000), Running Records for Classroom Teachers.</remarks>
    public static double Accuracy(int words, int errors)
    {
        ArgumentOutOfRangeException.ThrowIfLessThan(words, 1);
        ArgumentOutOfRangeException.ThrowIfNegative(errors);
        return Math.Max(0, (words - errors) / (double)words);
    }

    /// <summary>The marks that count as errors: each substitution, omission, insertion and told word; a proper noun
    /// that is misread the same way counts once; self-corrections and repetitions do not.</summary>
    public static int Errors(IEnumerable<ReadingMark> marks, IReadOnlyList<PassageWord> passage)
    {
        var names = ProperNouns(passage);
        var misread = new HashSet<(string, string)>();
        return marks.Count(m =>
            m.Kind switch
            {
                MarkKind.Omission or MarkKind.Insertion or MarkKind.Told => true,
                MarkKind.Substitution => m.Index < 0
                    || m.Index >= passage.Count
                    || !names.Contains(passage[m.Index].Key)
                    || misread.Add((passage[m.Index].Key, string.Join(' ', SpokenForms.Heard(m.Heard)))),
                _ => false,
            }
        );
    }

    /// <summary>The figures of a marked reading.</summary>
    /// <param name="seconds">From the first word to the last; 0 if it was not timed.</param>
    /// <exception cref="ArgumentException">The passage has no words.</exception>
    public static OralFigures Figures(
        IReadOnlyList<ReadingMark> marks,
        IReadOnlyList<PassageWord> passage,
        double seconds,
        int pauses = 0
    )
    {
        if (passage.Count == 0)
            throw new ArgumentException("The passage has no words.", nameof(passage));
        var errors = Errors(marks, passage);
        var lost = marks
            .Where(m => m.Kind is MarkKind.Substitution or MarkKind.Omission or MarkKind.Told)
            .Sum(m => m.Span);
        return new(
            passage.Count,
            errors,
            marks.Count(m => m.Kind == MarkKind.SelfCorrection),
            marks.Count(m => m.Kind == MarkKind.Repetition),
            Accuracy(passage.Count, errors),
            seconds > 0 ? Math.Max(0, passage.Count - lost) / seconds * 60 : 0,
            pauses
        );
    }

    /// <summary>Words that are names: nowhere without a capital, and with one where no sentence begins or in no word
    /// list.</summary>
    public static IReadOnlySet<string> ProperNouns(IReadOnlyList<PassageWord> passage)
    {
        var small = passage.Where(w => char.IsLower(w.Shown[0])).Select(w => w.Key).ToHashSet();
        return passage
            .Where(w =>
                char.IsUpper(w.Shown[0])
                && w.Key is not "i"
                && !w.Key.StartsWith("i'", StringComparison.Ordinal)
                && !small.Contains(w.Key)
                && (!w.Begins || Lexicon.Find(w.Key) is null)
            )
            .Select(w => w.Key)
            .ToHashSet();
    }
}
