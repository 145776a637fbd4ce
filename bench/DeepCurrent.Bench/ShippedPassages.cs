using DeepCurrent.Core.LevelChecks;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Texts;
using DeepCurrent.Formats.Content;

/// <summary>The texts that ship, as a level check can give them.</summary>
internal static class ShippedPassages
{
    private const int FewestQuestions = 4;

    public static IReadOnlyList<CheckPassage> In(string content) =>
        [.. Directory.EnumerateDirectories(content).Order().Select(ContentReader.Read).SelectMany(Of)];

    private static IEnumerable<CheckPassage> Of(TextFolder text)
    {
        // Versions share the id of their text: who has read one has read it.
        var id = VersionId.New();
        return text.Questions.Count(CheckItem.Asks) < FewestQuestions
            ? []
            : text.Versions.Select(v =>
            {
                var depth = TextMeasurer.Measure(v.Prose).Depth;
                var sentences = Scoring.SentencesOf(v.Pages);
                return new CheckPassage(
                    id,
                    depth.Value,
                    [
                        .. text
                            .Questions.Select(q => CheckItem.Of(q, depth, sentences, v.Label, id.Value))
                            .OfType<CheckItem>()
                            .Select(i => new PassageQuestion(i.Difficulty, i.Guess)),
                    ],
                    0
                );
            });
    }
}
