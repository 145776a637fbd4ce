using DeepCurrent.Core.Texts;
using DeepCurrent.Data.Storage;
using DeepCurrent.Data.Texts;
using DeepCurrent.Formats.Content;

namespace DeepCurrent.Web.Texts;

/// <summary>Measures what is put into the library, the same for texts that ship and texts that teachers
/// bring.</summary>
public static class TextMeasuring
{
    /// <param name="pages">The version's pages; without page marks they are made here.</param>
    public static NewVersion Version(VersionId id, string label, int position, VersionFile file, bool paged)
    {
        var plain = file.Prose;
        var m = TextMeasurer.Measure(plain);
        var pages = paged ? file.Pages : Pager.Pages([.. file.Pages.SelectMany(p => p)], m.Depth);
        return new(id, label, position, pages, m.Words, m.Depth, m.DepthError, Database.ToJson(View(plain, m)));
    }

    public static MeasureView View(string plain, TextMeasure m) =>
        new()
        {
            Words = m.Words,
            Sentences = m.Sentences,
            Syllables = m.Syllables,
            DistinctWords = m.DistinctWords,
            FleschKincaidGrade = m.FleschKincaidGrade,
            Spache = m.Spache,
            DaleChall = m.DaleChall,
            GradeEquivalent = m.GradeEquivalent,
            RarityGrades = m.RarityGrades,
            Short = m.Short,
            Formulas = [.. m.Formulas.Select(f => new FormulaView(f.Formula, f.Grade, f.Weight))],
            RarestWords = TextMeasurer.RarestWords(plain),
            LongestSentences = TextMeasurer.LongestSentences(plain),
        };
}
