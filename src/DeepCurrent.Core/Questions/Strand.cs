using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Measuring;

namespace DeepCurrent.Core.Questions;

/// <summary>The kind of comprehension a question asks for.</summary>
public enum Strand
{
    Retrieve,
    Infer,
    WordMeaning,
    Summarise,
    Structure,
    AuthorsCraft,
    Connect,
}

/// <summary>The names strands have in files.</summary>
public static class Strands
{
    /// <summary>"author's craft" for <see cref="Strand.AuthorsCraft"/>.</summary>
    public static string Name(Strand strand) =>
        strand switch
        {
            Strand.WordMeaning => "word meaning",
            Strand.AuthorsCraft => "author's craft",
            _ => strand.ToString().ToLowerInvariant(),
        };

    /// <summary>The strand of a name, or null.</summary>
    public static Strand? Parse(string? name) =>
        Enum.GetValues<Strand>()
            .Cast<Strand?>()
            .FirstOrDefault(s =>
                string.Equals(Name(s!.Value), name?.Trim().Replace('’', '\''), StringComparison.OrdinalIgnoreCase)
            );
}

/// <summary>How hard a question is before anybody has answered it.</summary>
public static class QuestionDifficulty
{
    /// <summary>Default offset of a strand in fathoms: above 0 is harder than the text's average question.</summary>
    public static double Offset(Strand strand) =>
        strand switch
        {
            Strand.Retrieve => -4,
            Strand.WordMeaning => -1,
            Strand.Structure => 0,
            Strand.Summarise => 1,
            Strand.Infer => 3,
            Strand.AuthorsCraft => 4,
            _ => 4,
        };

    /// <summary>Chance to be right by guessing.</summary>
    /// <param name="choices">Choices of a single-choice question, at least 2; 0 for a written answer.</param>
    /// <exception cref="ArgumentOutOfRangeException"><paramref name="choices"/> is 1 or negative.</exception>
    public static double Guess(int choices) =>
        choices switch
        {
            0 => 0,
            >= 2 => 1.0 / choices,
            _ => throw new ArgumentOutOfRangeException(
                nameof(choices),
                choices,
                "A question has no choices (written) or at least two."
            ),
        };

    /// <summary>Default difficulty: a reader at the text's depth answers 80 % of ordinary questions, guessing
    /// included.</summary>
    /// <param name="guess">Chance to be right by guessing, 0 to below 0.8.</param>
    /// <param name="offset">Fathoms by which it is harder than its strand.</param>
    /// <exception cref="ArgumentOutOfRangeException"><paramref name="guess"/> lies outside its range.</exception>
    public static Fathoms Default(Fathoms text, double guess, Strand strand, double offset = 0)
    {
        if (!(guess >= 0 && guess < Forecast.AtSameDepth))
            throw new ArgumentOutOfRangeException(
                nameof(guess),
                guess,
                "Guessing succeeds less often than 80 % of the time."
            );
        return text + (Offset(strand) + offset - AnswerModel.Ease(Forecast.AtSameDepth, guess));
    }
}
