using DeepCurrent.Core.LevelChecks;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Texts;
using DeepCurrent.Formats.Content;

/// <summary>The texts that ship, as a level check can give them.</summary>
internal static class ShippedPassages
{
    private const int FewestQuestions = 4;

    public static IReadOnlyList<CheckPassage> In(string content) => [.. Directory.EnumerateDirectories(content).Order().Select(ContentReader.Read).SelectMany(Of)];

    private static IEnumerable<CheckPassage> Of(TextFolder text)
    {
        // Versions share the id of their text: who has read one has read it.
        var id = Guid.NewGuid();
        var questions = text.Questions.Where(q => q is { Kind: QuestionKind.Single, Guided: false, Evidence: false }).ToList();
        return questions.Count < FewestQuestions ? [] : text.Versions.Select(v => TextMeasurer.Measure(v.Prose).Depth).Select(depth => new CheckPassage(id, depth.Value, [.. questions.Select(q => new PassageQuestion(q.Difficulty(depth, 0).Value, q.Guess(0)))], 0));
    }
}
