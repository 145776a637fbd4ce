using DeepCurrent.Core.Texts;

namespace DeepCurrent.Core.OralReading;

/// <summary>What a reader went by at a miscue.</summary>
[Flags]
public enum Sources
{
    None = 0,
    Meaning = 1,
    Structure = 2,
    Visual = 4,
}

/// <summary>A mark on a running record; a word without one was read right.</summary>
/// <param name="Index">The text word, from 0; for an insertion or a repetition the text word it follows, −1 before the
/// first.</param>
/// <param name="Heard">What was said in its place, as far as it was written down.</param>
/// <param name="Used">What the reader went by, as the teacher judges afterwards.</param>
/// <param name="Span">Text words it stands for.</param>
/// <param name="Doubt">A draft's mark that the listener was not sure of.</param>
public sealed record SheetMark(
    int Index,
    MarkKind Kind,
    string Heard = "",
    Sources Used = Sources.None,
    int Span = 1,
    bool Doubt = false
);

/// <summary>How often each source of information was used, at errors and where the reader put an error right.</summary>
public sealed record SourceTotals(
    int ErrorsMeaning,
    int ErrorsStructure,
    int ErrorsVisual,
    int CorrectedMeaning,
    int CorrectedStructure,
    int CorrectedVisual
);

/// <summary>A listener's draft of a running record.</summary>
/// <param name="LastWord">The last word that was read, where the reader stopped early.</param>
/// <param name="Times">When each text word was said, in seconds; null for one that was not.</param>
/// <param name="Sure">How sure the listener was on the whole, 0 to 1.</param>
public sealed record SheetDraft(
    IReadOnlyList<SheetMark> Marks,
    int? LastWord,
    double Seconds,
    int Pauses,
    IReadOnlyList<(double Start, double End)?> Times,
    double Sure
);

/// <summary>A running record as it is marked by hand: few marks on a text whose other words were read right.</summary>
public static class RecordSheet
{
    public const int MostMarks = 4000,
        LongestHeard = 60;

    /// <summary>Below this a listener's word is taken for doubtful.</summary>
    public const double DoubtBelow = 0.65;

    /// <summary>Fewer words than this left unread at the end are omissions; more, and the reader stopped.</summary>
    private const int StoppedAfter = 4;

    /// <summary>The words of a text as they are read aloud: its running text, without marks for bold and
    /// slanted.</summary>
    public static string Body(IEnumerable<IReadOnlyList<string>> pages) => Paragraphs.Running(pages).Replace("*", "");

    /// <summary>What is wrong with marks, in a sentence; null where they can be counted.</summary>
    /// <param name="words">Words of the text.</param>
    public static Message? Fault(IReadOnlyList<SheetMark> marks, int words, int? lastWord)
    {
        if (marks.Count > MostMarks)
            return $"A running record has at most {MostMarks} marks.";
        if (lastWord is < 0 || lastWord >= words)
            return $"The reading ends at a word that is not in the text.";
        var taken = new HashSet<int>();
        foreach (var m in marks)
        {
            if (Fault(m, words) is { } fault)
                return fault;
            if (!Between(m.Kind) && Enumerable.Range(m.Index, m.Span).Any(i => !taken.Add(i)))
                return $"A word has two marks.";
        }
        return null;
    }

    private static Message? Fault(SheetMark m, int words)
    {
        if (
            !Enum.IsDefined(m.Kind)
            || m.Used is < Sources.None or > (Sources.Meaning | Sources.Structure | Sources.Visual)
        )
            return $"There is no such mark.";
        if (m.Heard is null || m.Heard.Length > LongestHeard)
            return $"Use {LongestHeard} letters or fewer for what was said.";
        return
            m.Index < (Between(m.Kind) ? -1 : 0) || m.Index >= words || m.Span is < 1 or > 4 || m.Index + m.Span > words
            ? (Message)$"A mark is at a word that is not in the text."
            : null;
    }

    /// <summary>Whether a mark stands between words and not on one.</summary>
    private static bool Between(MarkKind kind) => kind is MarkKind.Insertion or MarkKind.Repetition;

    /// <summary>The part of a text that was read.</summary>
    public static IReadOnlyList<PassageWord> Read(IReadOnlyList<PassageWord> passage, int? lastWord) =>
        lastWord is { } last && last + 1 < passage.Count ? [.. passage.Take(last + 1)] : passage;

    /// <summary>One mark for each event of the reading, in its order, with the words that were right; marks after the
    /// end are left away.</summary>
    /// <param name="passage">The part that was read.</param>
    public static IReadOnlyList<ReadingMark> Whole(IReadOnlyList<SheetMark> marks, IReadOnlyList<PassageWord> passage)
    {
        var at = marks.ToLookup(m => m.Index);
        var whole = new List<ReadingMark>(Between(at[-1]));
        for (var i = 0; i < passage.Count; )
        {
            var mark = at[i].FirstOrDefault(m => m.Kind is not (MarkKind.Insertion or MarkKind.Repetition));
            var span = Math.Min(mark?.Span ?? 1, passage.Count - i);
            var expected = string.Join(' ', passage.Skip(i).Take(span).Select(w => w.Shown));
            whole.Add(
                mark is null
                    ? new(i, expected, expected, MarkKind.Correct)
                    : new(i, expected, mark.Heard, mark.Kind, span)
            );
            for (var k = i; k < i + span; k++)
                whole.AddRange(Between(at[k]));
            i += span;
        }
        return whole;
    }

    private static IEnumerable<ReadingMark> Between(IEnumerable<SheetMark> marks) =>
        marks
            .Where(m => m.Kind is MarkKind.Insertion or MarkKind.Repetition)
            .Select(m => new ReadingMark(m.Index, "", m.Heard, m.Kind));

    /// <summary>The figures of a record as it stands.</summary>
    /// <param name="seconds">0 if it was not timed.</param>
    /// <exception cref="ArgumentException">The text has no words.</exception>
    public static OralFigures Figures(
        IReadOnlyList<SheetMark> marks,
        IReadOnlyList<PassageWord> passage,
        int? lastWord,
        double seconds,
        int pauses = 0
    )
    {
        var read = Read(passage, lastWord);
        return RunningRecords.Figures(Whole(marks, read), read, seconds, pauses);
    }

    public static SourceTotals Totals(IReadOnlyList<SheetMark> marks)
    {
        int Of(Sources source, bool corrected) =>
            marks.Count(m => m.Used.HasFlag(source) && corrected == (m.Kind is MarkKind.SelfCorrection));
        return new(
            Of(Sources.Meaning, false),
            Of(Sources.Structure, false),
            Of(Sources.Visual, false),
            Of(Sources.Meaning, true),
            Of(Sources.Structure, true),
            Of(Sources.Visual, true)
        );
    }

    /// <summary>A draft from a reading that was aligned: its marks without the words that were right, where the reader
    /// stopped, when each word was said.</summary>
    public static SheetDraft Draft(OralReading reading, IReadOnlyList<HeardWord> heard)
    {
        var marks = new List<SheetMark>();
        var times = new (double, double)?[reading.Figures.Words];
        foreach (var (m, said) in reading.Marks.Zip(reading.Said))
        {
            if (m.Kind is not (MarkKind.Insertion or MarkKind.Repetition) && said.Count > 0)
                for (var i = m.Index; i < m.Index + m.Span; i++)
                    times[i] = (said.Min(s => heard[s].Start), said.Max(s => heard[s].End));
            if (m.Kind is MarkKind.Correct)
                continue;
            var words = m.Heard.Length > LongestHeard ? m.Heard[..LongestHeard] : m.Heard;
            marks.Add(
                new(m.Index, m.Kind, words, Span: m.Span, Doubt: said.Any(s => heard[s].Confidence < DoubtBelow))
            );
        }
        var last = Array.FindLastIndex(times, t => t is not null);
        int? stopped = last >= 0 && times.Length - 1 - last > StoppedAfter ? last : null;
        if (stopped is { } end)
            marks.RemoveAll(m => m.Index > end);
        return new(
            marks,
            stopped,
            heard.Count == 0 ? 0 : heard.Max(h => h.End) - heard[0].Start,
            reading.Figures.Pauses,
            times,
            heard.Count == 0 ? 0 : heard.Average(h => h.Confidence)
        );
    }
}
