using DeepCurrent.Core.Texts;
using DeepCurrent.Data.Storage;
using DeepCurrent.Data.Texts;
using DeepCurrent.Formats.Content;

namespace DeepCurrent.Web.Texts;

/// <summary>Puts the texts that ship into the library; those that are there already are left alone.</summary>
public sealed class ContentLoader(TextStore texts, TimeProvider clock, ILogger<ContentLoader> log)
{
    public async Task<int> Load(string folder)
    {
        var known = await texts.ShippedSlugs();
        var added = 0;
        foreach (var path in Directory.EnumerateDirectories(folder).Order())
        {
            if (known.Contains(Path.GetFileName(path))) continue;
            var text = ContentReader.Read(path);
            await texts.Add(Measured(text), clock.GetUtcNow());
            added++;
        }
        log.LogInformation("{Added} texts added to the library", added);
        return added;
    }

    private static NewText Measured(TextFolder text) => new(Guid.CreateVersion7(), null, text.Slug, text.Title, text.Kind, text.Topic, text.Fiction, text.Spelling, text.Blurb,
        [.. text.Versions.Select((v, i) => Measured(v, i))],
        [.. text.Questions.Select((q, i) => new Question(Guid.CreateVersion7(), i, q.Strand, q.Stem, [.. q.Choices.Select(c => new Choice(c.Text, c.Right, c.Reason))], q.Proof))],
        [.. text.Words.Select(w => new Word(w.Word, w.PartOfSpeech, w.Meaning, w.Example))]);

    private static NewVersion Measured(VersionFile v, int position)
    {
        var plain = v.Prose;
        var m = TextMeasurer.Measure(plain);
        var view = new MeasureView(m.Words, m.Sentences, m.Syllables, m.DistinctWords, m.FleschKincaidGrade, m.Spache, m.DaleChall, m.GradeEquivalent, m.RarityGrades, m.Short,
            [.. m.Formulas.Select(f => new FormulaView(f.Formula, f.Grade, f.Weight))], TextMeasurer.RarestWords(plain), TextMeasurer.LongestSentences(plain));
        return new(Guid.CreateVersion7(), v.Label, position, v.Pages, m.Words, m.Depth.Value, m.DepthError, Database.ToJson(view));
    }
}
