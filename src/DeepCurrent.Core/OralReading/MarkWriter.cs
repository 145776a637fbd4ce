namespace DeepCurrent.Core.OralReading;

/// <summary>What one step of an alignment says.</summary>
internal enum EventKind
{
    Right,
    Wrong,
    PutRight,
    Told,
    Two,
    Extra,
    Again,
}

/// <param name="At">The text word; of two, the second; for a word that was put in, the one it follows.</param>
/// <param name="Furthest">The furthest text word that was tried before.</param>
/// <param name="Said">Places of the heard words.</param>
internal readonly record struct ReadingEvent(EventKind Kind, int At, int Furthest, IReadOnlyList<int> Said);

/// <summary>Writes the events of an alignment as marks, one outcome for each text word: what is read again and right
/// puts right what was wrong.</summary>
internal sealed class MarkWriter(IReadOnlyList<PassageWord> passage, IReadOnlyList<HeardWord> said)
{
    private readonly List<ReadingMark> marks = [];
    private readonly List<IReadOnlyList<int>> places = [];
    private readonly int[] markOf = [.. Enumerable.Repeat(-1, passage.Count)];

    /// <returns>The marks, and for each the heard words it rests on.</returns>
    public (IReadOnlyList<ReadingMark> Marks, IReadOnlyList<IReadOnlyList<int>> Said) Write(
        IEnumerable<ReadingEvent> events
    )
    {
        foreach (var e in events)
            Write(e);
        for (var i = 0; i < passage.Count; i++)
            if (markOf[i] < 0)
                Outcome(i, "", MarkKind.Omission, []);
        return (marks, places);
    }

    private void Write(ReadingEvent e)
    {
        var words = string.Join(' ', e.Said.Select(i => said[i].Word));
        if (e.Kind is EventKind.Extra)
        {
            Add(new(e.At, "", words, MarkKind.Insertion), e.Said);
            return;
        }
        if (e.Kind is EventKind.Again)
        {
            Add(
                new(Math.Max(e.At, e.Furthest), e.At < 0 ? "" : passage[e.At].Shown, words, MarkKind.Repetition),
                e.Said
            );
            return;
        }
        var first = e.Kind is EventKind.Two ? e.At - 1 : e.At;
        for (var i = e.Furthest + 1; i < first; i++)
            Outcome(i, "", MarkKind.Omission, []);
        if (markOf[e.At] >= 0)
        {
            Reread(e, words);
            return;
        }
        Outcome(e, first, words);
    }

    private void Outcome(ReadingEvent e, int first, string words)
    {
        switch (e.Kind)
        {
            case EventKind.Two:
                Add(
                    new(first, $"{passage[first].Shown} {passage[e.At].Shown}", words, MarkKind.Substitution, Span: 2),
                    e.Said
                );
                (markOf[first], markOf[e.At]) = (marks.Count - 1, marks.Count - 1);
                break;
            case EventKind.PutRight:
                Outcome(e.At, Attempts(e), MarkKind.SelfCorrection, e.Said);
                break;
            case EventKind.Told:
                Outcome(e.At, e.Said.Count > 1 ? Attempts(e) : words, MarkKind.Told, e.Said);
                break;
            default:
                Outcome(e.At, words, e.Kind is EventKind.Right ? MarkKind.Correct : MarkKind.Substitution, e.Said);
                break;
        }
    }

    /// <summary>What was said before the word itself.</summary>
    private string Attempts(ReadingEvent e) => string.Join(' ', e.Said.SkipLast(1).Select(i => said[i].Word));

    private void Reread(ReadingEvent e, string words)
    {
        var before = marks[markOf[e.At]];
        if (
            e.Kind is EventKind.Right or EventKind.PutRight
            && before.Kind is MarkKind.Substitution or MarkKind.Omission
            && before.Span == 1
        )
            marks[markOf[e.At]] = before with { Kind = MarkKind.SelfCorrection };
        else
            Add(
                new(
                    e.Furthest,
                    e.Kind is EventKind.Right ? passage[e.At].Shown : "",
                    words,
                    e.Kind is EventKind.Right ? MarkKind.Repetition : MarkKind.Insertion
                ),
                e.Said
            );
    }

    private void Outcome(int word, string heard, MarkKind kind, IReadOnlyList<int> said)
    {
        markOf[word] = marks.Count;
        Add(new(word, passage[word].Shown, heard, kind), said);
    }

    private void Add(ReadingMark mark, IReadOnlyList<int> said)
    {
        marks.Add(mark);
        places.Add(said);
    }
}
