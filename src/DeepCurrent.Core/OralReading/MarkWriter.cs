namespace DeepCurrent.Core.OralReading;

/// <summary>What one step of an alignment says.</summary>
internal enum EventKind { Right, Wrong, PutRight, Told, Two, Extra, Again }

/// <param name="At">The text word; of two, the second; for a word that was put in, the one it follows.</param>
/// <param name="Furthest">The furthest text word that was tried before.</param>
/// <param name="Said">Places of the heard words.</param>
internal readonly record struct ReadingEvent(EventKind Kind, int At, int Furthest, IReadOnlyList<int> Said);

/// <summary>Writes the events of an alignment as marks, one outcome for each text word: what is read again and right puts right what was wrong.</summary>
internal sealed class MarkWriter(IReadOnlyList<PassageWord> passage, IReadOnlyList<HeardWord> said)
{
    private readonly List<ReadingMark> marks = [];
    private readonly int[] markOf = [.. Enumerable.Repeat(-1, passage.Count)];

    public IReadOnlyList<ReadingMark> Write(IEnumerable<ReadingEvent> events)
    {
        foreach (var e in events) Write(e);
        for (var i = 0; i < passage.Count; i++) if (markOf[i] < 0) Outcome(i, "", MarkKind.Omission);
        return marks;
    }

    private void Write(ReadingEvent e)
    {
        var words = string.Join(' ', e.Said.Select(i => said[i].Word));
        if (e.Kind is EventKind.Extra) { marks.Add(new(e.At, "", words, MarkKind.Insertion)); return; }
        if (e.Kind is EventKind.Again) { marks.Add(new(Math.Max(e.At, e.Furthest), e.At < 0 ? "" : passage[e.At].Shown, words, MarkKind.Repetition)); return; }
        var first = e.Kind is EventKind.Two ? e.At - 1 : e.At;
        for (var i = e.Furthest + 1; i < first; i++) Outcome(i, "", MarkKind.Omission);
        if (markOf[e.At] >= 0) { Reread(e, words); return; }
        switch (e.Kind)
        {
            case EventKind.Two:
                marks.Add(new(first, $"{passage[first].Shown} {passage[e.At].Shown}", words, MarkKind.Substitution, Span: 2));
                (markOf[first], markOf[e.At]) = (marks.Count - 1, marks.Count - 1);
                break;
            case EventKind.PutRight: Outcome(e.At, Attempts(e), MarkKind.SelfCorrection); break;
            case EventKind.Told: Outcome(e.At, e.Said.Count > 1 ? Attempts(e) : words, MarkKind.Told); break;
            default: Outcome(e.At, words, e.Kind is EventKind.Right ? MarkKind.Correct : MarkKind.Substitution); break;
        }
    }

    /// <summary>What was said before the word itself.</summary>
    private string Attempts(ReadingEvent e) => string.Join(' ', e.Said.SkipLast(1).Select(i => said[i].Word));

    private void Reread(ReadingEvent e, string words)
    {
        var before = marks[markOf[e.At]];
        if (e.Kind is EventKind.Right or EventKind.PutRight && before.Kind is MarkKind.Substitution or MarkKind.Omission && before.Span == 1) marks[markOf[e.At]] = before with { Kind = MarkKind.SelfCorrection };
        else marks.Add(new(e.Furthest, e.Kind is EventKind.Right ? passage[e.At].Shown : "", words, e.Kind is EventKind.Right ? MarkKind.Repetition : MarkKind.Insertion));
    }

    private void Outcome(int word, string heard, MarkKind kind)
    {
        markOf[word] = marks.Count;
        marks.Add(new(word, passage[word].Shown, heard, kind));
    }
}
