using DeepCurrent.Core.Questions;

namespace DeepCurrent.Formats.Content;

/// <summary>What a text that ships must keep to, beyond what any quiz must.</summary>
public static class ContentRules
{
    private const double VersionsApart = 5;
    private const int FewestWords = 6;

    /// <summary>Faults of a text, each a sentence for its writer; none if it is clean.</summary>
    public static IEnumerable<Message> Faults(TextFolder text)
    {
        var versions = text.Versions.Select(v => v.Checked()).ToList();
        foreach (var fault in QuizCheck.Faults(text.Questions, versions))
            yield return fault.At is { } at ? $"Question {at + 1}: {fault.Sentence}" : fault.Sentence;
        foreach (var (q, i) in text.Questions.Select((q, i) => (q, i + 1)))
            if (q.Kind is QuestionKind.Single && q.Choices.Count < 3)
                yield return $"Question {i}: has fewer than three choices.";
        for (var i = 1; i < versions.Count; i++)
            if (versions[i].Depth - versions[i - 1].Depth is < VersionsApart and var apart)
                yield return $"Version {versions[i].Label} is only {apart:0.0} fm deeper than {versions[i - 1].Label}.";
        if (text.Words.Count < FewestWords)
            yield return $"There are only {text.Words.Count:count} words to know.";
        foreach (var word in text.Words)
            if (!text.Versions.Any(v => v.PlainText.Contains(word.Word, StringComparison.OrdinalIgnoreCase)))
                yield return $"The word {word.Word} is not in the text.";
    }
}
