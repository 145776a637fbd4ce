namespace DeepCurrent.Core.Tickets;

/// <summary>What may be said about one question afterwards, in words.</summary>
/// <param name="Said">Words of what is always said: the question, the answer given, the right one.</param>
/// <param name="Reason">Words of why; 0 for none.</param>
/// <param name="Proof">Words of the sentence in the text; 0 for none.</param>
public sealed record FeedbackLine(AttemptMark Mark, int Said, int Reason, int Proof);

/// <summary>Which parts of one line are said at once. What is not said at once is a tap away.</summary>
public sealed record FeedbackShown(bool Reason, bool Proof);

/// <summary>Keeps feedback shorter than the text it is about: what is longer goes unread.</summary>
/// <remarks>Short feedback that points at one thing is used more than long feedback: Shute, V. J. (2008), Focus on
/// formative feedback. Review of Educational Research 78, 153–189.</remarks>
public static class Feedback
{
    /// <summary>Chooses what is said of each line: missed questions first, the place in the text before the reason.
    /// What was right at once says nothing but that.</summary>
    /// <param name="textWords">Words of the text that was read; the feedback has no more.</param>
    /// <returns>In the order of the lines.</returns>
    public static IReadOnlyList<FeedbackShown> Within(int textWords, IReadOnlyList<FeedbackLine> lines)
    {
        var shown = lines.Select(_ => new FeedbackShown(false, false)).ToArray();
        var left = textWords - lines.Where(Opened).Sum(l => l.Said);
        var order = Enumerable
            .Range(0, lines.Count)
            .Where(i => Opened(lines[i]))
            .OrderBy(i => lines[i].Mark is not AttemptMark.NotYet)
            .ToList();
        foreach (var i in order)
            if (lines[i].Proof > 0 && lines[i].Proof <= left)
            {
                shown[i] = shown[i] with { Proof = true };
                left -= lines[i].Proof;
            }
        foreach (var i in order)
            if (lines[i].Reason > 0 && lines[i].Reason <= left)
            {
                shown[i] = shown[i] with { Reason = true };
                left -= lines[i].Reason;
            }
        return shown;
    }

    /// <summary>Whether a line stands open on the result; the others are folded together.</summary>
    public static bool Opened(FeedbackLine line) => line.Mark is not AttemptMark.RightAtOnce;
}
