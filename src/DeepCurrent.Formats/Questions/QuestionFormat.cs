using System.Xml.Linq;
using DeepCurrent.Core.Questions;
using DeepCurrent.Formats.Content;
using DeepCurrent.Formats.Qti;

namespace DeepCurrent.Formats.Questions;

/// <summary>A question and the version it is written for.</summary>
/// <param name="Sentences">Sentences of the version.</param>
internal sealed record Asked(Question Question, QtiVersion Version, IReadOnlyList<string> Sentences)
{
    /// <summary>What stands where, so that the right order is not the order of the file.</summary>
    public int[] Mixed() =>
        Scoring.Shuffled(new(Question.Stem.Length, 0, 0, new byte[8]), default, Question.Choices.Count);
}

/// <summary>How questions of one kind are written in a quiz.yaml and in QTI 3.0, and read from them.</summary>
internal abstract class QuestionFormat(QuestionKind kind, string name)
{
    private static readonly QuestionFormat[] All =
    [
        new ChoosingFormat(QuestionKind.Single, "choose one"),
        new ChoosingFormat(QuestionKind.Multiple, "choose several"),
        new OrderingFormat(),
        new MatchingFormat(),
        new PickingSentenceFormat(),
        new WritingFormat(QuestionKind.Short, "short answer"),
        new WritingFormat(QuestionKind.Long, "long answer"),
    ];

    public QuestionKind Kind => kind;

    /// <summary>As a quiz.yaml calls it.</summary>
    public string Name => name;

    /// <exception cref="InvalidOperationException">There is no such kind.</exception>
    public static QuestionFormat Of(QuestionKind kind) => All.First(f => f.Kind == kind);

    /// <returns>Null where there is no kind of that name.</returns>
    public static QuestionFormat? Named(string name) => Array.Find(All, f => f.Name == name);

    /// <returns>Null for an interaction that is of no kind of ours.</returns>
    public static QuestionFormat? Reading(QtiItem item) => Array.Find(All, f => f.Reads(item));

    /// <summary>A choice as a quiz.yaml has it; the reason is written by whoever asks.</summary>
    public virtual ChoiceEntry Entry(Choice c) =>
        new() { Right = c.Right ? c.Text : null, Wrong = c.Right ? null : c.Text };

    /// <summary>A choice without its reason.</summary>
    /// <returns>Null where the entry is no choice of this kind.</returns>
    public virtual Choice? Choice(ChoiceEntry e) =>
        e.Right is not null ? new(e.Right, true, "")
        : e.Wrong is not null ? new(e.Wrong, false, "")
        : null;

    /// <summary>Cardinality and base type of a QTI response.</summary>
    public virtual (string Cardinality, string Type) Response => ("single", "identifier");

    /// <summary>Whether items give out a reason for each choice.</summary>
    public bool HasReasons(Question q) => kind.Rules().GivesReasons && q.Choices.Any(c => c.Reason.Length > 0);

    /// <summary>Values of the correct response.</summary>
    public abstract IEnumerable<string> Correct(Asked a);

    /// <summary>What each of several right responses is worth; null where there is but one.</summary>
    public virtual XElement? Mapping(Asked a) => null;

    /// <summary>What an item says of its kind beyond its interaction; null where that says it all.</summary>
    public virtual XAttribute? Sign => null;

    /// <summary>What asks the question, in the body of an item.</summary>
    /// <param name="prompt">The question itself.</param>
    public abstract IEnumerable<XElement> Body(Asked a, XElement prompt);

    /// <summary>Whether an item's interaction asks for this kind.</summary>
    protected abstract bool Reads(QtiItem item);

    /// <summary>The choices of an item.</summary>
    public virtual IReadOnlyList<Choice> Choices(QtiItem item) => [];

    /// <summary>The proof that an item's own response says; null where it says none.</summary>
    public virtual string? Proof(QtiItem item) => null;

    /// <summary>The rubric of an item; null where a kind has none.</summary>
    public virtual Rubric? Rubric(QtiItem item) => null;
}
