using CsCheck;
using DeepCurrent.Core.Texts;

namespace Core.Tests;

public sealed class TextTests
{
    [Theory]
    [InlineData("The cat sat. The dog ran.", 6, 2)]
    [InlineData("Mr. J. R. Moss met Dr. Lind at 3.30 p.m. on Main St. in town.", 15, 1)]
    [InlineData("\"Stop!\" Mara said. \"Why?\" asked Ben.", 6, 2)]
    [InlineData("She waited… and waited. Then she left.", 7, 2)]
    [InlineData("It's a well-known rule: don't run!", 6, 1)]
    [InlineData("It cost 3.50 in all. He had 2,000 more.", 9, 2)]
    [InlineData("A heading\n\nOne line here. Another.", 6, 3)]
    [InlineData("Bring:\n- a coat\n- some bread\n- a lamp", 7, 4)]
    [InlineData("no marks at all here", 5, 1)]
    [InlineData("It was I. Then we left.", 6, 2)]
    public void Words_and_sentences_are_counted_as_readers_count_them(string text, int words, int sentences)
    {
        var counts = TextCounter.Count(text);
        counts.Words.ShouldBe(words);
        counts.Sentences.ShouldBe(sentences);
    }

    [Theory]
    [InlineData("cat", 1)]
    [InlineData("water", 2)]
    [InlineData("beautiful", 3)]
    [InlineData("readability", 5)]
    [InlineData("don't", 1)]
    [InlineData("well-known", 2)]
    [InlineData("horse's", 2)]
    [InlineData("7", 2)]
    [InlineData("42", 3)]
    [InlineData("113", 5)]
    // Not in the dictionary: by rule.
    [InlineData("frabbled", 2)]
    [InlineData("splinkets", 2)]
    [InlineData("zorbination", 4)]
    [InlineData("glimbles", 2)]
    public void Syllables(string word, int syllables) =>
        DeepCurrent.Core.Texts.Syllables.Count(word).ShouldBe(syllables);

    [Theory]
    [InlineData("walked", true)]
    [InlineData("running", true)]
    [InlineData("cities", true)]
    [InlineData("happily", true)]
    [InlineData("making", true)]
    [InlineData("sluice", false)]
    [InlineData("barometer", false)]
    public void Inflections_of_listed_words_are_familiar(string word, bool familiar) =>
        Familiarity.DaleChall(word).ShouldBe(familiar);

    [Fact]
    public void Adverbs_in_ly_are_familiar_to_one_formula_and_not_to_the_other()
    {
        Familiarity.DaleChall("loudly").ShouldBeTrue();
        Familiarity.Spache("loudly").ShouldBeFalse();
    }

    // Counts made up so that each formula can be worked out by hand: 100 words, 5 sentences, 150 syllables, 450
    // letters.
    private static readonly TextCounts Hundred = new(100, 5, 150, 450, 460, 70, 12, 10, 8, 9, [], []);

    [Fact]
    public void The_published_formulas()
    {
        Readability.FleschReadingEase(Hundred).ShouldBe(206.835 - 20.3 - 126.9, 1e-9);
        Readability.FleschKincaidGrade(Hundred).ShouldBe(7.8 + 17.7 - 15.59, 1e-9);
        Readability.AutomatedReadabilityIndex(Hundred).ShouldBe(4.71 * 4.6 + 10 - 21.43, 1e-9);
        Readability.ColemanLiauIndex(Hundred).ShouldBe(0.0588 * 450 - 0.296 * 5 - 15.8, 1e-9);
        Readability.GunningFog(Hundred).ShouldBe(0.4 * (20 + 10), 1e-9);
        Readability.Smog(Hundred).ShouldBe(1.0430 * Math.Sqrt(72) + 3.1291, 1e-9);
        Readability.Spache(Hundred).ShouldBe(2.42 + 0.738 + 0.659, 1e-9);
        Readability.DaleChall(Hundred).ShouldBe(0.1579 * 8 + 0.992 + 3.6365, 1e-9);
    }

    [Fact]
    public void The_first_sentence_of_the_fog_example_knows_names_and_verb_endings()
    {
        // "Elizabeth" is a name inside the sentence, "created" gets its third syllable from -ed: neither is complex;
        // "barometer" is.
        TextCounter.Count("Then Elizabeth created a barometer.").FogComplex.ShouldBe(1);
    }

    [Theory]
    [InlineData("Pip is a pig. Pip ran. Pip sat.", 0, "a name may stand only where sentences open")]
    [InlineData("\"Pip ran,\" said the hen. Pip's hat is wet.", 0, "also in speech, and as an owner")]
    [InlineData("However, it ran. Barnacles cling.", 2, "a word that opens sentences is no name for that")]
    [InlineData("Rose, pip and hull.", 2, "what is set off by a comma, or has a small letter, is none")]
    public void Names_are_known_where_they_open_sentences(string text, int unfamiliar, string why) =>
        TextCounter.Count(text).DaleChallUnfamiliar.ShouldBe(unfamiliar, why);

    [Fact]
    public void A_first_reader_about_somebody_with_a_name_stays_a_first_reader()
    {
        const string Story =
            "NAME is a pig. NAME is big. NAME has a hat. It is a red hat.\n\nNAME ran. The hat fell. It fell "
            + "in the mud. NAME sat in the mud. NAME dug and dug.\n\nA hen got the hat. The hen sat in it. The "
            + "hen is hot in the hat. NAME is wet in the mud. NAME is glad.";
        var (named, plain) = (
            TextMeasurer.Measure(Story.Replace("NAME", "Pip")),
            TextMeasurer.Measure(Story.Replace("NAME", "Dog"))
        );
        named.Depth.Value.ShouldBe(plain.Depth.Value, 1.5);
        named.Depth.Value.ShouldBeLessThan(13);
        named.DepthError.ShouldBeLessThan(7);
    }

    [Fact]
    public void An_owner_is_as_rare_as_the_word_and_a_joined_word_as_its_rarer_part()
    {
        double Zipf(string word) =>
            TextCounter.Count($"We saw a {word} there.").Vocabulary.Single(w => w.Word == word).Zipf;
        Zipf("barometer's").ShouldBe(Zipf("barometer"));
        Zipf("barometer-house").ShouldBe(Zipf("barometer"));
        Zipf("qzx-house").ShouldBe(0, "nothing is known of one of its parts");
    }

    [Fact]
    public void Names_are_not_unfamiliar_words() =>
        TextCounter.Count("We met Oluchi and Bjørn.").DaleChallUnfamiliar.ShouldBe(0);

    private const string Easy =
        "The cat sat on the mat. The dog ran to the cat. The cat ran up the tree. The dog sat by the tree. It "
        + "was a big tree. The cat did not come down. The sun was hot. The dog went home to eat. Then the cat "
        + "came down. It ran home too. It had some milk. It was glad to be home. The day was over. The cat and "
        + "the dog went to bed. They were friends again by then and they had a good sleep all night long in the "
        + "big red house on the hill by the sea.";
    private const string Hard =
        "Atmospheric pressure fluctuates continuously, and meteorologists consequently evaluate its tendency "
        + "rather than any individual observation. Approaching depressions characteristically produce "
        + "accelerating decreases, whereas anticyclonic conditions establish themselves gradually. "
        + "Instrumentation must nevertheless be calibrated periodically, because mechanical components "
        + "deteriorate imperceptibly and introduce systematic discrepancies that statistical procedures cannot "
        + "distinguish from genuine variability. Independent instruments, preferably operating according to "
        + "dissimilar principles, therefore constitute an indispensable precaution against consistent but "
        + "misleading measurements, particularly where subsequent decisions influence public safety.";

    [Fact]
    public void Harder_texts_are_deeper()
    {
        TextMeasure easy = TextMeasurer.Measure(Easy),
            hard = TextMeasurer.Measure(Hard);
        easy.Depth.Value.ShouldBeLessThan(22);
        hard.Depth.Value.ShouldBeGreaterThan(58);
        hard.Short.ShouldBeTrue();
        easy.Short.ShouldBeFalse();
    }

    [Fact]
    public void The_same_text_always_measures_the_same() =>
        TextMeasurer
            .Measure(Easy)
            .ShouldBe(
                TextMeasurer.Measure(Easy) with
                {
                    Formulas = TextMeasurer.Measure(Easy).Formulas,
                },
                new SameFigures()
            );

    [Fact]
    public void A_short_text_says_that_it_is_less_sure() =>
        TextMeasurer
            .Measure("The tide came in. We ran up the steps.")
            .DepthError.ShouldBeGreaterThan(TextMeasurer.Measure(Easy).DepthError);

    [Fact]
    public void A_text_without_words_is_refused() =>
        Should.Throw<ArgumentException>(() => TextMeasurer.Measure(" … !? "));

    [Fact]
    public void Any_text_can_be_counted_and_the_parts_add_up() =>
        Gen.String.Sample(text =>
        {
            var c = TextCounter.Count(text);
            return c.Words == c.PerSentence.Sum(s => s.Words)
                && c.Syllables == c.PerSentence.Sum(s => s.Syllables)
                && c.Words == c.Vocabulary.Sum(w => w.Times)
                && c.Sentences <= c.Words
                && c.Syllables >= c.Words
                && c.DistinctWords <= c.Words;
        });

    [Fact]
    public void Reading_a_text_twice_over_doubles_the_counts()
    {
        TextCounts once = TextCounter.Count(Easy),
            twice = TextCounter.Count(Easy + "\n\n" + Easy);
        twice.Words.ShouldBe(2 * once.Words);
        twice.Sentences.ShouldBe(2 * once.Sentences);
        twice.DistinctWords.ShouldBe(once.DistinctWords);
    }

    private sealed class SameFigures : IEqualityComparer<TextMeasure>
    {
        public bool Equals(TextMeasure? x, TextMeasure? y) =>
            x!.Depth == y!.Depth && x.DepthError == y.DepthError && x.GradeEquivalent == y.GradeEquivalent;

        public int GetHashCode(TextMeasure obj) => 0;
    }
}
