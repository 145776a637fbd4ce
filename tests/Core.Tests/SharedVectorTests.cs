using System.Text.Json;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.OralReading;
using DeepCurrent.Core.Roster;
using DeepCurrent.Core.Texts;

namespace Core.Tests;

/// <summary>What the core and the pages both work out, from the same examples: the pages' tests read these files,
/// too.</summary>
public sealed class SharedVectorTests
{
    private sealed record Forecasts(IReadOnlyList<ForecastCase> Cases, IReadOnlyList<ZoneCase> Zones);

    private sealed record ForecastCase(double Reader, double Text, int Percent);

    private sealed record ZoneCase(int Percent, double Low, double High, string Zone);

    private sealed record Records(string Body, IReadOnlyList<string> Names, IReadOnlyList<RecordCase> Cases);

    private sealed record RecordCase(
        string Of,
        IReadOnlyList<MarkOf> Marks,
        int? LastWord,
        int Words,
        int Errors,
        int Corrections,
        int Repetitions
    );

    private sealed record MarkOf(int Index, string Kind, string? Heard);

    private static T Read<T>(string name) =>
        JsonSerializer.Deserialize<T>(
            File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "vectors", name)),
            JsonSerializerOptions.Web
        )!;

    private sealed record Said(IReadOnlyList<SaidCase> Cases);

    private sealed record SaidCase(string Paragraph, string Said);

    [Fact]
    public void What_is_read_aloud_is_what_the_pages_mark_word_by_word()
    {
        var cases = Read<Said>("said.json").Cases;
        foreach (var c in cases)
            Paragraphs.Aloud([c.Paragraph]).ShouldBe(c.Said);
        Paragraphs.Aloud(cases.Select(c => c.Paragraph)).ShouldBe(string.Join(' ', cases.Select(c => c.Said)));
    }

    [Fact]
    public void Forecasts_are_what_the_pages_draw()
    {
        var all = Read<Forecasts>("forecast.json");
        all.Cases.Count.ShouldBeGreaterThan(10);
        foreach (var c in all.Cases)
            Forecast.Comprehension(new(c.Reader), new(c.Text)).Percent.ShouldBe(c.Percent, $"{c}");
        foreach (var z in all.Zones)
            Forecast.ZoneOf(new(z.Percent / 100.0), new(z.Low, z.High)).ToString().ShouldBe(z.Zone, $"{z}");
    }

    private sealed record Names(IReadOnlyList<string> InOrder);

    [Fact]
    public void Names_stand_in_the_order_of_the_pages_and_the_database()
    {
        var names = Read<Names>("names.json").InOrder;
        names.Reverse().OrderByName(n => n).ShouldBe(names);
    }

    [Fact]
    public void Marks_are_counted_as_the_pages_count_them()
    {
        var all = Read<Records>("record-marks.json");
        var passage = SpokenForms.Of(all.Body);
        passage
            .Where(w => RunningRecords.ProperNouns(passage).Contains(w.Key))
            .Select(w => w.Shown)
            .Distinct()
            .ShouldBe(all.Names);
        foreach (var c in all.Cases)
        {
            SheetMark[] marks =
            [
                .. c.Marks.Select(m => new SheetMark(m.Index, Enum.Parse<MarkKind>(m.Kind), m.Heard ?? "")),
            ];
            var f = RecordSheet.Figures(marks, passage, c.LastWord, 0);
            (f.Words, f.Errors, f.SelfCorrections, f.Repetitions).ShouldBe(
                (c.Words, c.Errors, c.Corrections, c.Repetitions),
                c.Of
            );
            f.Accuracy.ShouldBe(Math.Max(0, (c.Words - c.Errors) / (double)c.Words), 1e-12, c.Of);
        }
    }
}
