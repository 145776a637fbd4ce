using System.Text.Json.Serialization;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Questions;

namespace DeepCurrent.Core.LevelChecks;

/// <summary>One question of a level check, as it was put to one reader: everything stands in the places the reader
/// sees.</summary>
/// <param name="Key">What it is about: the word, or the question's id.</param>
/// <param name="Stem">What is asked; empty where the choices say it all.</param>
/// <param name="Choices">What can be chosen or put in order, or stands on the left of a match; none where a sentence of
/// the passage is picked.</param>
/// <param name="Right">The picks that are right. Of sentences: those that prove it, each of them enough.</param>
/// <param name="Difficulty">Fathoms.</param>
/// <param name="Guess">Chance to be right by guessing, 0 to 1.</param>
/// <param name="Strand">Name of the strand; empty for word reading and maze.</param>
/// <param name="Kind">How it is answered; no written kind.</param>
/// <param name="Rights">What stands on the right of a match.</param>
public sealed record CheckItem(
    string Key,
    string Stem,
    IReadOnlyList<string> Choices,
    IReadOnlyList<int> Right,
    double Difficulty,
    double Guess,
    string Strand = "",
    [property: JsonConverter(typeof(JsonStringEnumConverter<QuestionKind>))] QuestionKind Kind = QuestionKind.Single,
    IReadOnlyList<string>? Rights = null
)
{
    /// <summary>Words to be read before it can be answered; the passage is not counted.</summary>
    public int Words =>
        Choices.Concat(Rights ?? []).Append(Stem).Sum(t => t.Split(' ', StringSplitOptions.RemoveEmptyEntries).Length);

    /// <summary>Picks an answer has.</summary>
    public int Wanted => Kind.Rules().Wanted(Right.Count);

    /// <summary>Something to choose one of.</summary>
    /// <param name="right">Which choice is right.</param>
    /// <inheritdoc cref="CheckItem"/>
    public static CheckItem Choosing(
        string key,
        string stem,
        IReadOnlyList<string> choices,
        int right,
        double difficulty,
        double guess,
        string strand = ""
    ) => new(key, stem, choices, [right], difficulty, guess, strand);

    /// <summary>True if a level check may ask it: of the quiz itself, marked without a person, and not the proof of the
    /// question before it.</summary>
    public static bool Asks(Question q) => q is { OnTheWay: false, Evidence: false, Written: false };

    /// <summary>A question of a text as it is put to a reader.</summary>
    /// <param name="depth">Depth of the passage.</param>
    /// <param name="sentences">The passage's sentences, as pick-the-sentence questions number them.</param>
    /// <param name="version">Label of the version that is read.</param>
    /// <param name="copy">Whose copy it is, by which what is to be put in order is mixed.</param>
    /// <returns>Null where the question cannot be asked: its kind is not for level checks, or its proof is not in this
    /// version.</returns>
    public static CheckItem? Of(Question q, Fathoms depth, IReadOnlyList<string> sentences, string version, Guid copy)
    {
        if (!Asks(q))
            return null;
        int[] right = [.. q.Rules.Right(q, sentences, version)];
        if (right is [])
            return null;
        var shown = q.Rules.Shown(q, copy);
        List<int> places = [.. shown.Places];
        return new(
            q.Id.ToString(),
            q.Stem,
            shown.Choices,
            places is [] ? right : [.. right.Select(p => places.IndexOf(p))],
            q.Difficulty(depth, sentences.Count).Value,
            q.Guess(sentences.Count),
            q.Strand.ToString(),
            q.Kind,
            shown.Rights is [] ? null : shown.Rights
        );
    }

    /// <summary>How many things there are to pick from.</summary>
    /// <param name="sentences">Sentences of the passage.</param>
    public int Offered(int sentences) => Kind.PicksSentences() ? sentences : Things.Count;

    /// <summary>True if it is an answer to this at all: as many picks as are wanted, each there and each
    /// once.</summary>
    /// <param name="sentences">Sentences of the passage.</param>
    public bool Answers(IReadOnlyList<int> picks, int sentences) =>
        picks.Count == Wanted
        && picks.All(p => p >= 0 && p < Offered(sentences))
        && picks.Distinct().Count() == picks.Count;

    /// <summary>True if all of an answer is right; things that read the same may stand for each other.</summary>
    public bool IsRight(IReadOnlyList<int> picks) => Kind.Rules().IsRight(Things, Right, picks);

    private IReadOnlyList<string> Things => Rights ?? Choices;
}
