using DeepCurrent.Core.Marking;
using DeepCurrent.Formats.Content;
using Shouldly;
using Xunit.Abstractions;

namespace Formats.Tests;

/// <summary>Proposed marks against those that people gave, on the answers that ship.</summary>
public sealed class MarkedAnswerTests(ITestOutputHelper output)
{
    private static readonly IReadOnlyList<MarkedQuestion> All = MarkedAnswers.Read(
        File.ReadAllText(Path.Combine(Shipped.Content, "marked-answers.yaml"))
    );

    [Fact]
    public void Every_mark_is_one_of_its_rubric() =>
        All.ShouldAllBe(q => q.Answers.All(a => q.Key.Rubric.Mark(a.Points) != null));

    [Theory]
    [InlineData(true)]
    [InlineData(false)]
    public void On_questions_the_method_has_not_seen_proposals_agree_with_people(bool byRow)
    {
        var these = All.Where(q => !q.Seen && q.Key.Rubric.Criteria.Count > 1 == byRow).ToList();
        var kappa = Agreement.Kappa(
            [.. these.SelectMany(q => q.Answers.Select(a => (a.Points.Sum(), ProposedMark.For(q.Key, a.Words).Sum)))],
            these.Max(q => q.Key.Rubric.Most)
        );
        output.WriteLine($"{these.Sum(q => q.Answers.Count)} answers, kappa {kappa:0.00}");
        kappa.ShouldBeGreaterThanOrEqualTo(0.6);
    }
}
