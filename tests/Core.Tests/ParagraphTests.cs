using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Texts;

namespace Core.Tests;

/// <summary>Verse keeps its lines, tables are tables, and neither is a long sentence.</summary>
public sealed class ParagraphTests
{
    private const string Table = "Dropped from | rubber ball\n--- | ---\n50 cm | 40 **cm**\n100 cm | 80 cm";

    [Fact]
    public void A_paragraph_with_bars_in_every_line_is_a_table()
    {
        Paragraphs.IsTable(Table).ShouldBeTrue();
        Paragraphs.IsTable("This | that\nand no bar").ShouldBeFalse();
        Paragraphs.IsTable("# A | B").ShouldBeFalse();
        Paragraphs
            .Rows(Table)
            .ShouldBe([
                ["Dropped from", "rubber ball"],
                ["50 cm", "40 **cm**"],
                ["100 cm", "80 cm"],
            ]);
        Paragraphs.HasHead(Paragraphs.Rows(Table)).ShouldBeTrue();
        Paragraphs.HasHead(Paragraphs.Rows("Monday | 212\nTuesday | 198")).ShouldBeFalse();
        Paragraphs.Said("| 50 cm | 40 **cm** |").ShouldBe("50 cm, 40 cm");
    }

    [Fact]
    public void Each_row_of_a_table_is_something_to_pick_and_none_is_a_sentence_of_forty_words()
    {
        Scoring
            .SentencesOf([
                ["Here it is.", "Monday | 212 people | dry\nTuesday | 198 people | dry"],
            ])
            .ShouldBe(["Here it is.", "Monday | 212 people | dry", "Tuesday | 198 people | dry"]);
        var rows = string.Join(
            '\n',
            Enumerable.Range(1, 12).Select(i => $"Day {i} | {i} people came to the quay | dry")
        );
        TextCounter.Count(rows).PerSentence.Max(s => s.Words).ShouldBeLessThan(12);
    }

    [Fact]
    public void A_sentence_of_verse_runs_over_its_lines_and_a_quotation_is_found_over_them()
    {
        const string verse =
            "At the edge of the mud, where the low water bends,\nan old grey coat has been left by some "
            + "friend.\nIt hangs on a stick.";
        Sentences.Of(verse).Count.ShouldBe(2);
        Paragraphs.Holds(verse, "the low water bends, an old grey coat").ShouldBeTrue();
        Paragraphs.Holds(verse, "the low water. An old").ShouldBeFalse();
    }

    [Fact]
    public void Depth_ends_where_the_scale_does_and_it_is_said()
    {
        var endless =
            string.Join(
                ' ',
                Enumerable.Repeat(
                    "incomprehensibility notwithstanding internationalisation of the "
                        + "antidisestablishmentarianism and the characterisation",
                    60
                )
            ) + ".";
        TextMeasurer.Measure(endless).Depth.Value.ShouldBe(Fathoms.Deepest);
        TextSense
            .Remarks(endless)
            .ShouldContain(r => r.Doubt == TextDoubt.Beyond && !r.Stops && r.Sentence.Key.Contains("100 fm"));
    }
}
