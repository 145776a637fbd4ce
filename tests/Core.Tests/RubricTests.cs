using CsCheck;
using DeepCurrent.Core.Marking;
using DeepCurrent.Core.Questions;
using Shouldly;

namespace Core.Tests;

/// <summary>Rubrics of one row and of several, marks by them, and points that are proposed row by row.</summary>
public sealed class RubricTests
{
    private static readonly Rubric Mill = new(
        [
            new("Says what it waits for", ["Nothing, or not the sea.", "The tide, or the sea going down."]),
            new("Gives a because", ["No because, or not one from the text.", "A because from the text."]),
            new("Compares pond and sea", ["Speaks of one of them.", "The pond must stand higher than the sea."]),
        ],
        ["It waits for the tide, because only then does the water in the pond turn the wheel.", "For the tide."]
    );

    private static readonly Gen<Rubric> Rubrics = Gen.Int[1, Rubric.MostPoints]
        .List[1, Rubric.MostCriteria]
        .Select(rows => new Rubric(
            [
                .. rows.Select(
                    (most, i) => new Criterion($"Row {i}", [.. Enumerable.Range(0, most + 1).Select(n => $"{n}")])
                ),
            ],
            []
        ));

    [Theory]
    [InlineData(3, 2)]
    [InlineData(1, 1)]
    [InlineData(4, 3)]
    [InlineData(6, 4)]
    public void Two_thirds_of_all_points_count_as_right(int most, int right)
    {
        var rubric = Rubric.OneRow([.. Enumerable.Range(0, most + 1).Select(n => $"{n}")], []);
        rubric.Right.ShouldBe(right);
        rubric.Mark([right])!.Right.ShouldBeTrue();
        rubric.Mark([right - 1])!.Right.ShouldBeFalse();
    }

    [Fact]
    public void A_mark_has_a_figure_for_each_row_and_none_beyond_it() =>
        Gen.Select(Rubrics, Gen.Int[-1, Rubric.MostPoints + 1].List[0, Rubric.MostCriteria + 1])
            .Sample(
                (rubric, points) =>
                {
                    var fits =
                        points.Count == rubric.Criteria.Count
                        && points.Zip(rubric.Criteria).All(p => p.First >= 0 && p.First < p.Second.Marks.Count);
                    var mark = rubric.Mark(points);
                    (mark is not null).ShouldBe(fits);
                    mark?.Sum.ShouldBe(points.Sum());
                    mark?.Of.ShouldBe(rubric.Criteria.Sum(c => c.Marks.Count - 1));
                }
            );

    [Fact]
    public void A_rubric_says_what_it_lacks()
    {
        Mill.Lacks.ShouldBeNull();
        Rubric.OneRow(["No.", "Yes."], []).Lacks.ShouldBeNull();
        Lack(new([], [])).ShouldContain("rows");
        Lack(Rubric.OneRow(["Only this."], [])).ShouldContain("points");
        Lack(Rubric.OneRow(["No.", " "], [])).ShouldContain("what earns");
        Lack(new([new("", ["No.", "Yes."]), new("Why", ["No.", "Yes."])], [])).ShouldContain("a name");
    }

    private static string Lack(Rubric rubric) => rubric.Lacks!.ToString();

    [Theory]
    [InlineData("I do not know.", 0, 0, 0)]
    [InlineData("the tide", 1, 0, 0)]
    [InlineData("Because I like mills.", 0, 0, 0)]
    [InlineData("It waits for the tide to go down, because the pond must be higher than the sea.", 1, 1, 1)]
    [InlineData("The pond has to stand higher.", 0, 0, 1)]
    public void Points_are_proposed_row_by_row(string answer, params int[] points) =>
        ProposedMark.For(new("What does the mill wait for, and why?", Mill, null), answer).Points.ShouldBe(points);

    [Fact]
    public void Two_reasons_are_more_than_one()
    {
        AnswerKey key = new(
            "Should the goat pay?",
            new([new("Reasons", ["No reason.", "One reason.", "Two reasons: she led the bus in the snow."])], []),
            null
        );
        ProposedMark.For(key, "No, because she led the bus.").Points.ShouldBe([1]);
        ProposedMark.For(key, "No, because she led the bus, and since it was snow.").Points.ShouldBe([2]);
    }

    [Fact]
    public void Whatever_is_written_the_proposal_is_a_mark_of_its_rubric() =>
        Gen.Select(Rubrics, Gen.String[0, 200])
            .Sample(
                (rubric, answer) => rubric.Mark(ProposedMark.For(new("Why?", rubric, null), answer).Points) != null
            );
}
