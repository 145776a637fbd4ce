namespace DeepCurrent.Core.OralReading;

/// <summary>One oral reading as words to practise are gathered from it.</summary>
/// <param name="Marks">Of every word, as <see cref="RecordSheet.Whole"/> gives them.</param>
public sealed record PracticeReading(
    DateTimeOffset At,
    IReadOnlyList<PassageWord> Passage,
    IReadOnlyList<ReadingMark> Marks
);

/// <summary>A word a reader has not yet got.</summary>
/// <param name="Missed">How often it was misread, left out or told.</param>
/// <param name="Met">How often it stood in what was read.</param>
/// <param name="Corrected">How often the reader put it right.</param>
/// <param name="Said">What was said instead, the most frequent first.</param>
public sealed record PracticeWord(
    string Word,
    int Missed,
    int Met,
    int Corrected,
    DateTimeOffset LastMissed,
    IReadOnlyList<string> Said
);

/// <summary>Gathers from a reader's miscues the words worth practising.</summary>
public static class PracticeWords
{
    /// <summary>A word is known again when it was read right this often in a row.</summary>
    public const int RightInARow = 2;

    /// <summary>So many words left out one after the other are a line that was skipped, and say nothing of the
    /// words.</summary>
    private const int SkippedLine = 4;

    /// <summary>Words missed at least once and not since read right twice in a row; names are left out. The most missed
    /// first, then the latest.</summary>
    /// <param name="readings">In any order.</param>
    public static IReadOnlyList<PracticeWord> Of(IEnumerable<PracticeReading> readings)
    {
        var meetings = new Dictionary<string, List<(DateTimeOffset At, MarkKind Kind, string Said, string Shown)>>();
        foreach (var r in readings.OrderBy(r => r.At))
        {
            var names = RunningRecords.ProperNouns(r.Passage);
            foreach (var m in OfWords(r.Marks))
                for (var i = m.Index; i < m.Index + m.Span && i < r.Passage.Count; i++)
                {
                    var word = r.Passage[i];
                    if (names.Contains(word.Key) || !word.Key.Any(char.IsLetter))
                        continue;
                    if (!meetings.TryGetValue(word.Key, out var all))
                        meetings[word.Key] = all = [];
                    all.Add((r.At, m.Kind, m.Heard, word.Shown));
                }
        }
        return
        [
            .. meetings
                .Select(m => Word(m.Key, m.Value))
                .OfType<PracticeWord>()
                .OrderByDescending(w => w.Missed)
                .ThenByDescending(w => w.LastMissed)
                .ThenBy(w => w.Word, StringComparer.Ordinal),
        ];
    }

    private static PracticeWord? Word(
        string key,
        List<(DateTimeOffset At, MarkKind Kind, string Said, string Shown)> all
    )
    {
        var missed = all.Where(m => Missed(m.Kind)).ToList();
        if (
            missed.Count == 0
            || all.AsEnumerable().Reverse().TakeWhile(m => m.Kind is MarkKind.Correct).Count() >= RightInARow
        )
            return null;
        var said = missed
            .Where(m => m.Said.Length > 0 && m.Kind is MarkKind.Substitution)
            .GroupBy(m => m.Said.ToLowerInvariant())
            .OrderByDescending(g => g.Count())
            .Select(g => g.Key);
        return new(
            key,
            missed.Count,
            all.Count,
            all.Count(m => m.Kind is MarkKind.SelfCorrection),
            missed[^1].At,
            [.. said.Take(3)]
        );
    }

    private static bool Missed(MarkKind kind) => kind is MarkKind.Substitution or MarkKind.Omission or MarkKind.Told;

    /// <summary>Marks of text words, without lines that were skipped.</summary>
    private static IEnumerable<ReadingMark> OfWords(IReadOnlyList<ReadingMark> marks)
    {
        var words = marks.Where(m => m.Kind is not (MarkKind.Insertion or MarkKind.Repetition)).ToList();
        for (var i = 0; i < words.Count; )
        {
            var end = i;
            while (end < words.Count && words[end].Kind is MarkKind.Omission)
                end++;
            if (end - i < SkippedLine)
                for (; i < end; i++)
                    yield return words[i];
            i = end;
            if (i < words.Count)
                yield return words[i++];
        }
    }
}
