using DeepCurrent.Core.Questions.Kinds;

namespace DeepCurrent.Core.Questions;

/// <summary>How a question is answered.</summary>
public enum QuestionKind
{
    /// <summary>Choose one.</summary>
    Single,

    /// <summary>Choose several; how many is said.</summary>
    Multiple,

    /// <summary>Put in order. The choices are kept in the right order.</summary>
    Order,

    /// <summary>Put together what belongs together.</summary>
    Match,

    /// <summary>Pick the sentence of the text that shows it.</summary>
    Sentence,

    /// <summary>Write a sentence or two.</summary>
    Short,

    /// <summary>Write a paragraph or more.</summary>
    Long,
}

/// <summary>The rules of each kind.</summary>
public static class QuestionKindRules
{
    private static readonly KindRules One = new Choosing(several: false),
        Several = new Choosing(several: true),
        Order = new Ordering(),
        Match = new Matching(),
        Sentence = new PickingSentence(),
        Words = new Writing();

    /// <exception cref="ArgumentOutOfRangeException">There is no such kind.</exception>
    public static KindRules Rules(this QuestionKind kind) =>
        kind switch
        {
            QuestionKind.Single => One,
            QuestionKind.Multiple => Several,
            QuestionKind.Order => Order,
            QuestionKind.Match => Match,
            QuestionKind.Sentence => Sentence,
            QuestionKind.Short or QuestionKind.Long => Words,
            _ => throw new ArgumentOutOfRangeException(nameof(kind)),
        };

    /// <summary>Answered in the reader's own words, which a person marks.</summary>
    public static bool Written(this QuestionKind kind) => kind.Rules().Written;

    /// <summary>Answered by picking a sentence of the text.</summary>
    public static bool PicksSentences(this QuestionKind kind) => kind.Rules().PicksSentences;
}
