using System.Text.Json.Serialization;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Questions.Kinds;

namespace DeepCurrent.Core.Questions;

/// <summary>One choice, one thing to put in order, or one half of a pair.</summary>
/// <param name="Text">Empty for a second half that belongs to nothing, which is there to be left over.</param>
/// <param name="Right">Of single and multiple choice only.</param>
/// <param name="Reason">Why it is right, or what went wrong.</param>
/// <param name="Match">What belongs to it, in a match.</param>
public sealed record Choice(string Text, bool Right, string Reason, string? Match = null);

/// <summary>A question about a text.</summary>
/// <param name="Proofs">The sentence or sentences that prove the answer, by version label; "all" where the versions
/// share it.</param>
/// <param name="Evidence">Asks for the proof of the question before it.</param>
/// <param name="Offset">Fathoms by which it is harder than its strand, as its writer thinks.</param>
/// <param name="After">For a question on the way: the paragraph (from 1, headings counted) it comes after, by version label
/// or "all". Null for a question of the quiz.</param>
/// <param name="Rubric">Of written answers only.</param>
public sealed record Question(
    QuestionId Id,
    int Position,
    Strand Strand,
    string Stem,
    IReadOnlyList<Choice> Choices,
    IReadOnlyDictionary<string, string> Proofs,
    QuestionKind Kind = QuestionKind.Single,
    bool Evidence = false,
    double Offset = 0,
    IReadOnlyDictionary<string, int>? After = null,
    Rubric? Rubric = null
)
{
    /// <summary>Fathoms by which readers' answers show it to be harder than was thought; no part of the question as it
    /// is written, kept or given out.</summary>
    [JsonIgnore]
    public double Shown { get; init; }

    /// <summary>The picks that are right since its key was corrected, where things are put in order or together; null for
    /// what its writer says. No part of the question as it is written.</summary>
    [JsonIgnore]
    public IReadOnlyList<int>? Key { get; init; }

    /// <summary>Stands between paragraphs: it helps while reading and counts neither for the score nor for the
    /// level.</summary>
    public bool OnTheWay => After is { Count: > 0 };

    /// <summary>Needs a person to mark it.</summary>
    public bool Written => Rules.Written;

    /// <summary>What its kind is.</summary>
    [JsonIgnore]
    public KindRules Rules => Kind.Rules();

    public string? Proof(string version) => Proofs.GetValueOrDefault(version) ?? Proofs.GetValueOrDefault("all");

    /// <summary>The paragraph of a version that a question on the way comes after.</summary>
    public int? Place(string version) =>
        After is null ? null
        : After.TryGetValue(version, out var at) || After.TryGetValue("all", out at) ? at
        : null;

    /// <summary>Words a reader has to read before answering.</summary>
    public int Words =>
        Choices
            .Select(c => c.Text)
            .Concat(Choices.Select(c => c.Match ?? ""))
            .Append(Stem)
            .Sum(t => t.Split(' ', StringSplitOptions.RemoveEmptyEntries).Length);

    /// <summary>Things on the right-hand side of a match.</summary>
    public int Rights => Choices.Count(c => !string.IsNullOrEmpty(c.Match));

    /// <summary>Things on the left-hand side of a match.</summary>
    public int Lefts => Choices.Count(c => c.Text.Length > 0);

    /// <summary>Picks an answer has.</summary>
    public int Wanted => Rules.Wanted(this);

    /// <summary>Chance to be right by guessing, 0 to 1.</summary>
    /// <param name="sentences">Sentences of the text, which a pick-the-sentence question offers.</param>
    public double Guess(int sentences) => Rules.Guess(this, sentences);

    /// <summary>How hard it is on a text of that depth: its strand's default, what its writer thinks, and what answers
    /// have shown.</summary>
    /// <param name="sentences">Sentences of the text.</param>
    public Fathoms Difficulty(Fathoms text, int sentences) =>
        QuestionDifficulty.Default(text, Guess(sentences), Strand, Offset + Shown);
}
