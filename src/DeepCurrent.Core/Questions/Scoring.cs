using DeepCurrent.Core.Texts;

namespace DeepCurrent.Core.Questions;

/// <summary>What a reader answered.</summary>
/// <param name="Picks">Single and multiple: the choices chosen. Order: the choices in the reader's order. Match: for
/// each thing on the left, the choice whose other half was put to it. Sentence: the sentence's number in the
/// text.</param>
/// <param name="Words">A written answer, or the sentence that was picked; else empty.</param>
public sealed record Response(IReadOnlyList<int> Picks, string Words = "")
{
    /// <summary>Letters a written answer may have.</summary>
    public const int LongestWords = 4000;
}

/// <summary>How an answer was.</summary>
/// <param name="Right">Null until a person has marked it.</param>
/// <param name="Fitting">Parts of it that are right: choices, places, pairs.</param>
/// <param name="Of">Parts it has.</param>
public sealed record Scored(bool? Right, int Fitting, int Of);

/// <summary>Scores answers. An answer of several parts is right only when all of it is.</summary>
public static class Scoring
{
    /// <summary>The sentences of a version that a reader can pick from; headings are none.</summary>
    public static IReadOnlyList<string> SentencesOf(IEnumerable<IReadOnlyList<string>> pages) =>
        [.. pages.SelectMany(p => p).Where(Paragraphs.IsProse).SelectMany(p => Sentences.Of(p))];

    /// <summary>A version paragraph by paragraph as its sentences, numbered on in this order; what is no prose stands
    /// as it is and has no number.</summary>
    public static IReadOnlyList<IReadOnlyList<string>> ParagraphsOf(IEnumerable<IReadOnlyList<string>> pages) =>
        [.. pages.SelectMany(p => p).Select(p => Paragraphs.IsProse(p) ? Sentences.Of(p) : [p])];

    /// <summary>True if it is an answer to this question at all: choices that there are, each once, as many as are
    /// asked for.</summary>
    /// <param name="sentences">Sentences of the version that was read.</param>
    public static bool Answers(Question q, Response r, IReadOnlyList<string> sentences) =>
        q.Rules.Answers(q, r, sentences);

    /// <param name="version">Label of the version that was read.</param>
    /// <exception cref="ArgumentException">It is no answer to this question.</exception>
    public static Scored Score(Question q, Response r, IReadOnlyList<string> sentences, string version)
    {
        if (!Answers(q, r, sentences))
            throw new ArgumentException("This answer does not fit the question. Reload and try again.", nameof(r));
        if (q.Written)
            return new(null, 0, 0);
        var fitting = q.Rules.Fitting(q, r, sentences, version);
        return new(fitting == r.Picks.Count, fitting, r.Picks.Count);
    }

    /// <summary>The response that is right; null where a person decides or the proof is not in the version.</summary>
    public static Response? RightOne(Question q, IReadOnlyList<string> sentences, string version)
    {
        int[] right = [.. q.Rules.Right(q, sentences, version).Take(q.Wanted)];
        return right is [] ? null
            : q.Rules.PicksSentences ? new(right, sentences[right[0]])
            : new(right);
    }

    /// <summary>True if a sentence is the proof, or part of a proof of several sentences.</summary>
    public static bool Proves(string sentence, string? proof)
    {
        if (string.IsNullOrWhiteSpace(proof))
            return false;
        string s = Plain(sentence),
            p = Plain(proof);
        return p.Contains(s, StringComparison.Ordinal) || s.Contains(p, StringComparison.Ordinal);
    }

    /// <summary>Why an answer was right, or what went wrong, as its writer says it; empty where the writer says nothing
    /// about that.</summary>
    public static string Reason(Question q, Response r, bool right) => q.Rules.Reason(q, r, right);

    /// <summary>The order in which things are shown that are not to be shown in their right order: the same each time
    /// for one ticket and question, and never the right one.</summary>
    /// <param name="ticket">Whose copy it is.</param>
    /// <returns>For each place, what is shown there.</returns>
    public static int[] Shuffled(Guid ticket, QuestionId question, int count)
    {
        var order = Enumerable.Range(0, count).ToArray();
        if (count < 2)
            return order;
        Span<byte> bytes = stackalloc byte[32];
        ticket.TryWriteBytes(bytes);
        question.Value.TryWriteBytes(bytes[16..]);
        var state = 0x9E3779B97F4A7C15UL;
        foreach (var b in bytes)
            state = (state ^ b) * 0x100000001B3UL;
        for (var i = count - 1; i > 0; i--)
        {
            state ^= state << 13;
            state ^= state >> 7;
            state ^= state << 17;
            var k = (int)(state % (ulong)(i + 1));
            (order[i], order[k]) = (order[k], order[i]);
        }
        return order.Where((x, i) => x == i).Count() == count ? [.. order.Skip(1), order[0]] : order;
    }

    private static string Plain(string text) =>
        string.Join(
                ' ',
                text.Replace('“', '"')
                    .Replace('”', '"')
                    .Replace('’', '\'')
                    .Replace("*", "")
                    .Split((char[]?)null, StringSplitOptions.RemoveEmptyEntries)
            )
            .Trim('"', ' ');
}
