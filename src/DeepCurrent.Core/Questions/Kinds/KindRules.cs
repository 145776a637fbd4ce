namespace DeepCurrent.Core.Questions.Kinds;

/// <summary>A question as a reader sees it: nothing here says what is right.</summary>
/// <param name="Choices">What can be chosen or put in order, or stands on the left of a match.</param>
/// <param name="Rights">What stands on the right of a match.</param>
/// <param name="Places">For each place the reader picks from, the place the quiz keeps it in; none where the two are
/// the same.</param>
public sealed record Shown(IReadOnlyList<string> Choices, IReadOnlyList<string> Rights, IReadOnlyList<int> Places);

/// <summary>What one kind of question is: how it is shown, answered and scored, and what can be wrong with it. Places
/// are the quiz's own, from 0.</summary>
public abstract class KindRules
{
    /// <summary>Answered in the reader's own words, which a person marks.</summary>
    public virtual bool Written => false;

    /// <summary>Answered by picking a sentence of the text.</summary>
    public virtual bool PicksSentences => false;

    /// <summary>Can be asked aloud and judged by ear.</summary>
    public virtual bool Spoken => false;

    /// <summary>Has choices that can each have a reason.</summary>
    public virtual bool GivesReasons => false;

    /// <summary>Picks an answer has.</summary>
    public virtual int Wanted(Question q) => 1;

    /// <summary>Picks an answer has, where so many picks are right.</summary>
    public virtual int Wanted(int rights) => rights;

    /// <summary>Chance to be right by guessing, 0 to 1.</summary>
    /// <param name="sentences">Sentences of the text.</param>
    public abstract double Guess(Question q, int sentences);

    /// <summary>How it is shown to one reader.</summary>
    /// <param name="copy">Whose copy it is, by which things are mixed.</param>
    public virtual Shown Shown(Question q, Guid copy) => new([.. q.Choices.Select(c => c.Text)], [], []);

    /// <summary>What can be picked at all.</summary>
    public virtual IEnumerable<int> Offered(Question q, IReadOnlyList<string> sentences) =>
        Enumerable.Range(0, q.Choices.Count);

    /// <summary>True if it is an answer to this question at all: what there is to pick, each once, as many as are asked
    /// for.</summary>
    public virtual bool Answers(Question q, Response r, IReadOnlyList<string> sentences) =>
        r.Picks.Count == Wanted(q)
        && r.Picks.Distinct().Count() == r.Picks.Count
        && r.Picks.All(Offered(q, sentences).ToHashSet().Contains);

    /// <summary>The picks that are right, in their order; none where a person decides or the proof is not in the
    /// version.</summary>
    public abstract IEnumerable<int> Right(Question q, IReadOnlyList<string> sentences, string version);

    /// <summary>How many picks of an answer are right.</summary>
    public abstract int Fitting(Question q, Response r, IReadOnlyList<string> sentences, string version);

    /// <summary>True if all of an answer is right, as it was shown; things that read the same may stand for each
    /// other.</summary>
    /// <param name="things">What was there to pick from.</param>
    public virtual bool IsRight(IReadOnlyList<string> things, IReadOnlyList<int> right, IReadOnlyList<int> picks) =>
        picks.Order().SequenceEqual(right.Order());

    /// <summary>An answer in words.</summary>
    public virtual string Said(Question q, Response r) => string.Join("; ", r.Picks.Select(p => At(q, p)?.Text));

    /// <summary>Why an answer was right, or what went wrong, as its writer says it; empty where the writer says nothing
    /// about that.</summary>
    public virtual string Reason(Question q, Response r, bool right) => "";

    /// <summary>A choice with what this kind keeps of it; null where this kind has no choices.</summary>
    public virtual Choice? Kept(Choice c) => c with { Right = false, Match = null };

    /// <summary>What keeps it from being asked, as the ends of sentences that begin with the question.</summary>
    public abstract IEnumerable<Message> Lacks(Question q);

    /// <summary>What makes it worse than it could be, likewise.</summary>
    /// <param name="words">Words of all versions, and how often each stands there.</param>
    public virtual IEnumerable<Message> Faults(Question q, IReadOnlyDictionary<string, int> words) => [];

    /// <summary>What stands in a place; null where nothing does.</summary>
    protected static Choice? At(Question q, int pick) => pick >= 0 && pick < q.Choices.Count ? q.Choices[pick] : null;

    /// <summary>The question with another key.</summary>
    public virtual Question Rekeyed(Question q, QuestionCorrection by) => q with { Key = by.Right };

    /// <summary>Why its key cannot be that; null where it can.</summary>
    /// <param name="versions">Sentences of the text, by version label.</param>
    public virtual Message? KeyFault(
        Question q,
        QuestionCorrection by,
        IReadOnlyDictionary<string, IReadOnlyList<string>> versions
    )
    {
        var right = by.Right ?? [];
        if (!Answers(q, new(right), []))
            return $"Use each thing once.";
        return IsRight([.. q.Choices.Select(c => Half(c))], [.. Right(q, [], "")], right) ? Same : null;
    }

    /// <summary>Said where a key is what it was.</summary>
    protected static Message Same => $"This is right already.";

    /// <summary>What of a choice is picked.</summary>
    protected virtual string Half(Choice c) => c.Text;

    /// <summary>Ways to lay <paramref name="k"/> of <paramref name="n"/> things in a row; at least 1.</summary>
    protected static double Ways(int n, int k)
    {
        var ways = 1.0;
        for (var i = 0; i < k; i++)
            ways *= Math.Max(1, n - i);
        return ways;
    }

    /// <summary>True if each pick reads as the one that is right in its place.</summary>
    protected static bool ReadsAs(IReadOnlyList<string> things, IReadOnlyList<int> right, IReadOnlyList<int> picks) =>
        picks.Zip(right).All(x => things[x.First] == things[x.Second]);

    private protected static IEnumerable<Message> Empty(Question q) =>
        q.Choices.Any(c => string.IsNullOrWhiteSpace(c.Text)) ? [$"has an empty choice."] : [];
}
