using CsCheck;
using DeepCurrent.Core.Texts;

namespace Core.Tests;

/// <summary>Why a text is as deep as it is, what cannot be measured, and letter–sound patterns.</summary>
public sealed class TextReasonTests
{
    private const string Story =
        "The ferry left at nine. Nobody on the quay noticed that the harbourmaster, who usually waved, was "
        + "standing quite still with a telegram in his hand. He read it twice. Then he ran. “Stop the boat!” he "
        + "shouted. The gulls flew up. The boat was far out by then, and the wind took his words away. He sat "
        + "down on a coil of rope and thought about the barometer. It had fallen all night long, and he had told "
        + "no one at all.";

    [Fact]
    public void The_longest_sentence_and_the_rarest_word_add_depth_and_a_short_sentence_takes_some_away()
    {
        var why = TextReasons.Explain(Story);
        var longest = why.Sentences.MaxBy(s => s.Words)!;
        longest.Adds.ShouldBe(why.Sentences.Max(s => s.Adds));
        longest.Adds.ShouldBeGreaterThan(1);
        Story[longest.Start..longest.End].ShouldStartWith("Nobody on the quay");
        why.Sentences.Single(s => Story[s.Start..s.End] == "Then he ran").Adds.ShouldBeLessThan(0);
        why.Words.Select(w => w.Word).ShouldContain("barometer");
        why.Words.ShouldAllBe(w => w.Adds >= 0);
    }

    [Fact]
    public void Every_place_of_a_word_is_that_word() =>
        Some.Of(Story.Split(" "))
            .Array[1, 60]
            .Sample(
                words =>
                {
                    var text = string.Join(' ', words);
                    foreach (var w in TextReasons.Explain(text + " The end.").Words)
                    {
                        w.At.Count.ShouldBe(2 * w.Times);
                        for (var i = 0; i < w.At.Count; i += 2)
                            TextCounter
                                .Key((text + " The end.").AsSpan(w.At[i], w.At[i + 1] - w.At[i]))
                                .ShouldBe(w.Word);
                    }
                },
                iter: 200
            );

    [Theory]
    [InlineData("“Stop!” he said.", 0.3333)]
    [InlineData("He said nothing.", 0)]
    [InlineData("“All of it is spoken.”", 1)]
    [InlineData("‘Don’t go,’ she said.", 0.5)]
    public void Dialogue(string text, double share) => TextReasons.DialogueShare(text).ShouldBe(share, 0.001);

    [Fact]
    public void Longer_sentences_and_more_unfamiliar_words_go_deeper_and_leaving_all_as_it_is_changes_nothing()
    {
        var counts = TextCounter.Count(Story);
        var now = TextMeasurer.Measure(Story).Depth.Value;
        TextReasons.WhatIf(counts, 1, 1).Value.ShouldBe(now, 1e-9);
        TextReasons.WhatIf(counts, 2, 1).Value.ShouldBeGreaterThan(now + 2);
        TextReasons.WhatIf(counts, 1, 0).Value.ShouldBeLessThan(now);
        Should.Throw<ArgumentOutOfRangeException>(() => TextReasons.WhatIf(counts, 0, 1));
        Should.Throw<ArgumentOutOfRangeException>(() => TextReasons.WhatIf(counts, 1, double.NaN));
    }

    [Theory]
    [InlineData("", TextDoubt.Empty, true)]
    [InlineData("… 12 !", TextDoubt.Short, false)]
    [InlineData("We ran all day.", TextDoubt.Short, false)]
    [InlineData(
        "Der alte Fährmann wartete am Ufer, bis die Flut kam, und dann ruderte er über den Fluss zu seiner "
            + "Frau und den Kindern, die auf ihn warteten.",
        TextDoubt.OtherLanguage,
        true
    )]
    [InlineData(
        "El viejo barquero esperaba en la orilla hasta que subía la marea, y luego remaba por el río hacia su "
            + "mujer y los niños que lo esperaban.",
        TextDoubt.OtherLanguage,
        true
    )]
    [InlineData("Старый паромщик ждал на берегу, пока не поднимется вода.", TextDoubt.OtherScript, true)]
    [InlineData("The ferry waits. Старый паромщик ждал на берегу. The tide comes in.", TextDoubt.OtherScript, true)]
    [InlineData(
        "the ferry left at nine and nobody saw it go because the fog had come in from the sea and it lay on "
            + "the quay all day",
        TextDoubt.NoSentenceMarks,
        false
    )]
    [InlineData(
        "The tide comes in\nand takes the sand\nand every castle\nbuilt by hand\nthe tide goes out\nand leaves "
            + "a shell\nfor us to find\nand keep as well",
        TextDoubt.Verse,
        false
    )]
    [InlineData("Port | High | Low\nEllery | 4.2 | 0.8\nSkerry | 4.0 | 0.9\nQuay | 3.9 | 1.0", TextDoubt.Table, false)]
    public void What_is_no_English_prose_is_said(string text, TextDoubt doubt, bool stops) =>
        TextSense.Remarks(text).ShouldContain(r => r.Doubt == doubt && r.Stops == stops);

    [Fact]
    public void One_endless_sentence_is_said() =>
        TextSense
            .Remarks(string.Join(" and ", Enumerable.Repeat("the boat went on over the water", 1500)) + ".")
            .ShouldContain(r => r.Doubt == TextDoubt.EndlessSentence && r.Sentence.ToString().Contains("11,999"));

    [Fact]
    public void Ordinary_prose_has_nothing_to_be_said_of_it() => TextSense.Remarks(Story + " " + Story).ShouldBeEmpty();

    [Theory]
    [InlineData("cat", "a")]
    [InlineData("duck", "u,ck")]
    [InlineData("shell", "e,ll,sh")]
    [InlineData("lake", "a-e")]
    [InlineData("tides", "i-e")]
    [InlineData("stop", "o,cluster-first")]
    [InlineData("hand", "a,cluster-last")]
    [InlineData("night", "igh")]
    [InlineData("boats", "oa")]
    [InlineData("knot", "o,kn")]
    [InlineData("cage", "a-e,soft-g")]
    [InlineData("go", "open")]
    [InlineData("running", "u,i,ng,two-syllables")]
    [InlineData("pink", "i,ng")]
    [InlineData("crab's", "a,cluster-first")]
    [InlineData("little", "i,le,two-syllables")]
    public void Patterns_of_a_word(string word, string keys) =>
        LetterSounds.Of(word).Select(p => p.Key).ShouldBe(keys.Split(','), ignoreOrder: true);

    [Fact]
    public void Words_that_break_what_was_taught_are_named_with_what_they_need()
    {
        var breaks = LetterSounds.Breaks(
            "The duck sat in the mud. The boat said no.",
            new HashSet<string> { "a", "i", "u", "ck" }
        );
        breaks.Select(b => b.Word).ShouldBe(["boat"]);
        breaks[0].Needs.ShouldBe(["oa"]);
        LetterSounds
            .Breaks("The boat sank.", new HashSet<string> { "a", "ng" }, new HashSet<string> { "boat" })
            .ShouldBeEmpty();
        Should.Throw<ArgumentException>(() => LetterSounds.Breaks("x", new HashSet<string> { "zh" }));
    }

    [Fact]
    public void With_all_patterns_taught_no_word_breaks_them() =>
        Gen.String[Gen.Char.AlphaNumeric, 1, 12]
            .Array[1, 20]
            .Sample(words =>
                LetterSounds
                    .Breaks(string.Join(' ', words), LetterSounds.All.Select(p => p.Key).ToHashSet())
                    .ShouldBeEmpty()
            );

    [Fact]
    public void A_long_text_counts_the_same_when_it_is_read_bit_by_bit()
    {
        var text = string.Join("\n\n", Enumerable.Repeat(Story, 6_000));
        TextCounts whole = TextCounter.Count(text),
            read = TextCounter.Count(new StringReader(text));
        (
            read.Words,
            read.Sentences,
            read.Syllables,
            read.Letters,
            read.DaleChallUnfamiliar,
            read.SpacheUnfamiliar,
            read.DistinctWords
        ).ShouldBe(
            (
                whole.Words,
                whole.Sentences,
                whole.Syllables,
                whole.Letters,
                whole.DaleChallUnfamiliar,
                whole.SpacheUnfamiliar,
                whole.DistinctWords
            )
        );
        read.PerSentence.Count.ShouldBeLessThan(1 << 17);
        read.PerSentence.Sum(s => s.Words).ShouldBe(read.Words);
        TextCounter.Count(new StringReader(new string('x', 5_000_000))).Words.ShouldBeInRange(1, 10);
    }
}

public sealed class PagerTests
{
    private static readonly Gen<string[]> Paragraphs = Gen.Select(Gen.Int[1, 120], Gen.Int[0, 4])
        .Select((n, heading) => heading == 0 ? "# Heading" : string.Join(' ', Enumerable.Repeat("word", n)))
        .Array[0, 20];

    [Fact]
    public void Pages_hold_every_paragraph_once_and_no_heading_stands_alone_at_a_pages_end() =>
        Gen.Select(Paragraphs, Gen.Double[-10, 70])
            .Sample(
                (paragraphs, depth) =>
                {
                    var pages = Pager.Pages(paragraphs, new(depth));
                    pages.SelectMany(p => p).ShouldBe(paragraphs);
                    pages.ShouldAllBe(p => p.Count > 0);
                    foreach (var page in pages.SkipLast(1))
                        if (page.Count > 1)
                            page[^1].ShouldNotStartWith("#");
                }
            );

    [Fact]
    public void New_readers_get_less_on_a_page()
    {
        var story = Enumerable.Repeat(string.Join(' ', Enumerable.Repeat("word", 40)), 12).ToList();
        Pager.Pages(story, new(8)).Count.ShouldBeGreaterThan(Pager.Pages(story, new(35)).Count);
    }
}
