using CsCheck;
using DeepCurrent.Core.Measuring;
using DeepCurrent.Core.Texts;
using Shouldly;

namespace Core.Tests;

/// <summary>Maze passages.</summary>
public sealed class MazeTests
{
    private const string Text =
        "The keeper climbed the stairs at dusk. He lit the lamp and wound the clock, and then he sat by the "
        + "window and listened. Far out, a ship from Port Ellery turned its bow towards the harbour. In the "
        + "morning it lay safe beside the quay, and 12 gulls stood on the roof.";

    [Fact]
    public void The_first_sentence_is_whole_and_then_every_seventh_word_is_a_choice()
    {
        var pieces = Maze.Of(Text);
        pieces[0].Text.ShouldStartWith("The keeper climbed the stairs at dusk. He lit the lamp and wound ");
        pieces[0].Choices[pieces[0].Right].ShouldBe("the");
        TextCounter.Count(pieces[1].Text).Words.ShouldBe(6);
        pieces.Where(p => p.Choices.Count > 0).SelectMany(p => p.Choices).ShouldNotContain("Port");
    }

    [Fact]
    public void No_choice_is_a_word_that_is_never_used_or_talk_of_films()
    {
        Lexicon.NeverUsed.ShouldContain("whisky");
        Lexicon.NeverUsed.Count.ShouldBeGreaterThan(150);
        Lexicon.Familiar.Select(w => w.Word).Intersect(Lexicon.NeverUsed).ShouldBeEmpty();
        Lexicon.Common.Select(w => w.Word).Intersect(Lexicon.NeverUsed).ShouldBeEmpty();
        // What a text says itself stays what it says; only what is put beside it is chosen.
        Gen.Int[0, 5000]
            .Sample(
                seed =>
                    Maze.Of(Text, seed)
                        .Where(p => p.Choices.Count > 0)
                        .SelectMany(p => p.Choices.Where((_, i) => i != p.Right))
                        .Select(w => w.ToLowerInvariant())
                        .Intersect(Lexicon.NeverUsed)
                        .ShouldBeEmpty(),
                iter: 300
            );
    }

    [Fact]
    public void The_right_choices_give_the_text_back_and_the_others_are_familiar_words_from_elsewhere() =>
        Gen.Int[0, 500]
            .Sample(
                seed =>
                {
                    var pieces = Maze.Of(Text, seed);
                    string.Concat(pieces.Select(p => p.Text + (p.Choices.Count > 0 ? p.Choices[p.Right] : "")))
                        .ShouldBe(Text);
                    foreach (var p in pieces.Where(p => p.Choices.Count > 0))
                    {
                        p.Choices.Distinct().Count().ShouldBe(3);
                        foreach (var wrong in p.Choices.Where((_, i) => i != p.Right))
                        {
                            Familiarity.DaleChall(wrong.ToLowerInvariant()).ShouldBeTrue();
                            Text.Split(' ', ',', '.').ShouldNotContain(wrong);
                            Math.Abs(wrong.Length - p.Choices[p.Right].Length).ShouldBeLessThan(4);
                        }
                    }
                    Maze.Of(Text, seed)
                        .Select(p => string.Join('/', p.Choices))
                        .ShouldBe(pieces.Select(p => string.Join('/', p.Choices)));
                },
                iter: 100
            );

    [Fact]
    public void The_right_one_stands_in_each_place_about_as_often()
    {
        var places = Enumerable
            .Range(0, 200)
            .SelectMany(s => Maze.Of(Text, s))
            .Where(p => p.Choices.Count > 0)
            .CountBy(p => p.Right)
            .ToDictionary();
        places.Count.ShouldBe(3);
        (places.Values.Min() / (double)places.Values.Max()).ShouldBeGreaterThan(0.75);
    }

    [Theory]
    [
        InlineData(""),
        InlineData("One sentence only, whatever its length may be in words and in marks."),
        InlineData("Short. Too short for it.")
    ]
    public void What_is_too_short_has_no_choices(string text) => Maze.Of(text).ShouldAllBe(p => p.Choices.Count == 0);

    [Fact]
    public void The_score_takes_half_of_each_wrong_choice_away()
    {
        Maze.Score(20, 4, TimeSpan.FromMinutes(3)).ShouldBe(6, 1e-12);
        Should.Throw<ArgumentOutOfRangeException>(() => Maze.Score(1, 0, TimeSpan.Zero));
    }
}
