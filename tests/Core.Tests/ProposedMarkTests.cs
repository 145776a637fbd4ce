using CsCheck;
using DeepCurrent.Core.Marking;
using DeepCurrent.Core.Questions;
using Shouldly;

namespace Core.Tests;

/// <summary>Marks that an answer's own words speak for, and how far markers agree.</summary>
public sealed class ProposedMarkTests
{
    private static readonly AnswerKey Key = new(
        "Why does the mill wait?",
        Rubric.OneRow(
            [
                "Nothing about the sea.",
                "Says that it waits for the tide.",
                "Says that the pond must stand higher than the sea.",
                "Says that the water only moves when the pond stands higher than the sea.",
            ],
            [
                "For the tide.",
                "The pond must stand higher than the sea, because only then does the water turn the wheel.",
            ]
        ),
        "The pond would stand no higher than the sea."
    );

    [Theory]
    [InlineData("", 0)]
    [InlineData("idk", 0)]
    [InlineData("why does the mill wait", 0)]
    [InlineData("For the tide.", 1)]
    [InlineData("the pond is higher", 2)]
    [InlineData(
        "It waits till the pond stands higher than the sea, because then the water moves and turns the wheel.",
        3
    )]
    public void Words_of_the_key_speak_for_a_mark(string answer, int mark) =>
        ProposedMark.For(Key, answer).Sum.ShouldBe(mark);

    [Fact]
    public void It_says_which_words_it_went_by_and_whether_a_reason_is_given()
    {
        var proposal = ProposedMark.For(Key, "Ponds stand HIGH, so the wheel turned.");
        proposal.Words.ShouldBe(["Ponds", "stand", "HIGH", "wheel", "turned"]);
        proposal.Reason.ShouldBeTrue();
        ProposedMark.For(Key, "The tide.").Reason.ShouldBeFalse();
    }

    [Theory]
    [InlineData("🐟🐟🐟")]
    [InlineData("<script>alert('sea')</script>")]
    [InlineData("Море ждёт, потому что вода стоит")]
    [InlineData("海が引くのを待っています")]
    public void Any_script_is_read_and_none_breaks_it(string answer) =>
        ProposedMark.For(Key, answer).Sum.ShouldBeInRange(0, 1);

    [Fact]
    public void Whatever_is_written_the_mark_is_one_and_its_words_stand_in_the_answer() =>
        Gen.String[0, 400]
            .Sample(answer =>
            {
                var proposal = ProposedMark.For(Key, answer);
                proposal.Sum.ShouldBeInRange(0, Rubric.Usual.Most);
                proposal.Words.ShouldAllBe(w => answer.Contains(w, StringComparison.Ordinal));
            });

    [Fact]
    public void A_very_long_answer_is_marked_by_its_beginning() =>
        ProposedMark
            .For(Key, string.Concat(Enumerable.Repeat("pond higher sea wheel ", 5000)))
            .Sum.ShouldBeGreaterThan(1);

    [Fact]
    public void Saying_more_of_the_key_never_lowers_the_mark()
    {
        string[] words = ["pond", "stands", "higher", "sea", "because", "water", "wheel", "turns"];
        var marks = Enumerable
            .Range(0, words.Length + 1)
            .Select(n => ProposedMark.For(Key, string.Join(' ', words.Take(n))).Sum)
            .ToList();
        marks.ShouldBe(marks.Order());
    }

    [Theory]
    [InlineData("turned", "turns")]
    [InlineData("carries", "carry")]
    [InlineData("stopping", "stop")]
    [InlineData("quietly", "quiet")]
    [InlineData("stones", "stone")]
    public void Forms_of_one_word_meet(string one, string other) =>
        AnswerWords.Stem(one).ShouldBe(AnswerWords.Stem(other));

    [Fact]
    public void Kappa_is_that_of_the_literature()
    {
        // Cohen (1968): full agreement 1; independent marks 0; full contradiction of two marks −1.
        Agreement.Kappa([(0, 0), (3, 3), (1, 1)], 3).ShouldBe(1);
        Agreement.Kappa([(0, 0), (0, 3), (3, 0), (3, 3)], 3).ShouldBe(0, 1e-12);
        Agreement.Kappa([(0, 3), (3, 0)], 3).ShouldBe(-1);
        Should.Throw<ArgumentException>(() => Agreement.Kappa([], 3));
        Should.Throw<ArgumentException>(() => Agreement.Kappa([(0, 4)], 3));
    }
}
