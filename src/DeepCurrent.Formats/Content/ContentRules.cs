using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Texts;

namespace DeepCurrent.Formats.Content;

/// <summary>What a text that ships must keep to.</summary>
public static class ContentRules
{
    private const int LongestReason = 20;
    private const double VersionsApart = 5;

    /// <summary>Faults of a text, each a sentence for its writer; none if it is clean.</summary>
    public static IEnumerable<string> Faults(TextFolder text)
    {
        if (text.Questions.Count is < 6 or > 10) yield return $"The quiz has {text.Questions.Count} questions, not 6 to 10.";
        if (text.Questions.Select(q => q.Strand).Distinct().Count() < 4) yield return "The questions cover fewer than four strands.";
        if (text.Questions.Count(q => q.Strand == Strand.Retrieve) * 3 > text.Questions.Count) yield return "More than a third of the questions only retrieve.";
        if (text.Questions.Count > 0 && text.Questions.Count(GivenAway) * 4 > text.Questions.Count) yield return "The right choice is much the longest in more than a quarter of the questions.";
        if (text.Questions.GroupBy(q => q.Choices.ToList().FindIndex(c => c.Right)).Any(g => g.Count() * 2 > text.Questions.Count)) yield return "More than half of the right choices stand in the same place.";
        foreach (var (q, i) in text.Questions.Select((q, i) => (q, i + 1)))
            foreach (var fault in Faults(q, text)) yield return $"Question {i}: {fault}";
        var depths = text.Versions.Select(v => TextMeasurer.Measure(v.Prose).Depth.Value).ToList();
        for (var i = 1; i < depths.Count; i++)
            if (depths[i] - depths[i - 1] < VersionsApart) yield return $"Version {text.Versions[i].Label} is only {depths[i] - depths[i - 1]:0.0} fm deeper than {text.Versions[i - 1].Label}.";
        foreach (var word in text.Words)
            if (!text.Versions.Any(v => v.PlainText.Contains(word.Word, StringComparison.OrdinalIgnoreCase))) yield return $"The word {word.Word} is not in the text.";
    }

    /// <summary>The right choice is longer than every other by more than a fifth.</summary>
    private static bool GivenAway(QuestionFile q) =>
        q.Choices.Where(c => c.Right).Select(c => c.Text.Length).DefaultIfEmpty().Max() > 1.2 * q.Choices.Where(c => !c.Right).Select(c => c.Text.Length).DefaultIfEmpty().Max();

    private static IEnumerable<string> Faults(QuestionFile q, TextFolder text)
    {
        if (q.Choices.Count(c => c.Right) != 1) yield return "needs exactly one right choice.";
        if (q.Choices.Count < 3) yield return "has fewer than three choices.";
        if (q.Choices.Select(c => c.Text.ToLowerInvariant()).Distinct().Count() != q.Choices.Count) yield return "has the same choice twice.";
        foreach (var c in q.Choices)
            if (c.Reason.Length == 0) yield return $"choice “{c.Text}” has no reason.";
            else if (c.Reason.Split(' ').Length > LongestReason) yield return $"the reason of “{c.Text}” is over {LongestReason} words.";
        foreach (var v in text.Versions)
            if (Proof(q, v) is not { } proof || !v.PlainText.Contains(proof, StringComparison.Ordinal)) yield return $"its proof is not a sentence of version {v.Label}.";
    }

    /// <summary>The sentence of a version that proves a question's answer.</summary>
    public static string? Proof(QuestionFile question, VersionFile version) => question.Proof.GetValueOrDefault(version.Label) ?? question.Proof.GetValueOrDefault("all");
}
