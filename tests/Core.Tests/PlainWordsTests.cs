using DeepCurrent.Core.Conferences;
using DeepCurrent.Core.Messages;
using DeepCurrent.Core.OralReading;
using DeepCurrent.Core.Questions;
using Shouldly;

namespace Core.Tests;

/// <summary>What is said to families.</summary>
public sealed class PlainWordsTests
{
    private static MasteryOf Of(Strand strand, int right, int asked) => new(strand, right, asked);

    [Fact]
    public void Strands_part_into_what_goes_well_and_what_comes_next()
    {
        var (well, next) = PlainWords.Parted([
            Of(Strand.Retrieve, 19, 20),
            Of(Strand.Infer, 8, 20),
            Of(Strand.Structure, 1, 2),
            Of(Strand.Connect, 6, 10),
            Of(Strand.Summarise, 9, 10),
        ]);
        next.Select(s => s.Strand).ShouldBe([Strand.Infer, Strand.Connect]);
        well.Select(s => s.Strand).ShouldBe([Strand.Retrieve, Strand.Summarise]);
    }

    [Fact]
    public void There_is_always_something_next_where_anything_was_asked()
    {
        PlainWords.Parted([Of(Strand.Infer, 20, 20), Of(Strand.Retrieve, 20, 20)]).Next.ShouldHaveSingleItem();
        PlainWords.Parted([Of(Strand.Infer, 2, 2)]).Next.ShouldBeEmpty();
    }

    [Fact]
    public void Every_strand_has_words_and_something_that_helps_in_every_language()
    {
        foreach (var strand in Enum.GetValues<Strand>())
        foreach (var language in Enum.GetValues<Language>())
        {
            Catalogue.Of(language).Say(PlainWords.Strand(strand)).ShouldNotBeEmpty();
            Catalogue.Of(language).Say(PlainWords.AtHome(strand)).ShouldNotBeEmpty();
        }
    }

    [Theory]
    [InlineData(MarkKind.SelfCorrection, "“leaned” read as “learned”, then corrected.")]
    [InlineData(MarkKind.Omission, "“leaned” left out.")]
    [InlineData(MarkKind.Correct, null)]
    public void A_word_read_otherwise_is_a_sentence(MarkKind kind, string? said) =>
        PlainWords.Miscue(new(3, "leaned", "learned", kind))?.ToString().ShouldBe(said);

    [Theory]
    [InlineData(9000, 4200, 20, 1200)]
    [InlineData(9000, 4200, 19, 1300)]
    [InlineData(9000, 8990, 3, 50)]
    [InlineData(9000, 9000, 20, null)]
    [InlineData(9000, 100, 0, null)]
    public void What_a_goal_asks_a_week_is_round_and_enough(double target, double done, int days, int? words) =>
        PlainWords.AWeek(target, done, days).ShouldBe(words);

    [Fact]
    public void A_line_from_easy_to_hard_has_the_level_in_its_middle_and_ends()
    {
        PlainWords.OnLine(new(33), new(33)).ShouldBe(0.5);
        PlainWords.OnLine(new(40.5), new(33)).ShouldBe(0.75);
        PlainWords.OnLine(new(90), new(33)).ShouldBe(1);
        PlainWords.OnLine(new(-20), new(33)).ShouldBe(0);
    }

    [Fact]
    public void Levels_that_moved_little_are_about_the_same()
    {
        PlainWords.Trend("Mina", null).ToString().ShouldBe("Not enough reading yet to compare.");
        PlainWords.Trend("Mina", 0.5).ToString().ShouldBe("Mina reads about the same texts as six weeks ago.");
        PlainWords.Trend("Mina", 1.5).ToString().ShouldBe("Mina reads harder texts than six weeks ago.");
        PlainWords.Trend("Mina", -1.5).ToString().ShouldBe("Mina reads slightly easier texts than six weeks ago.");
    }
}
