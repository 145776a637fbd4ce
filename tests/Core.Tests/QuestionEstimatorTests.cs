using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Measuring;

namespace Core.Tests;

/// <summary>How hard single questions show themselves to be.</summary>
public sealed class QuestionEstimatorTests
{
    private static List<QuestionAnswer> Answers(double harder, int n, Random random, double sd = 3) =>
        [
            .. Enumerable
                .Range(0, n)
                .Select(_ =>
                {
                    double truth = 25 + 20 * random.NextDouble(),
                        thought = 22,
                        guess = 0.25;
                    var right = random.NextDouble() < AnswerModel.Right(truth - thought - harder, guess);
                    return new QuestionAnswer(
                        truth + sd * (random.NextDouble() + random.NextDouble() + random.NextDouble() - 1.5) * 2,
                        sd,
                        thought,
                        guess,
                        right
                    );
                }),
        ];

    [Fact]
    public void Too_few_answers_say_nothing()
    {
        QuestionEstimator.Estimate(Answers(0, 29, new(1))).ShouldBeNull();
        QuestionEstimator.Estimate(Answers(0, 30, new(1))).ShouldNotBeNull();
    }

    [Theory]
    [InlineData(-8)]
    [InlineData(0)]
    [InlineData(8)]
    public void Many_answers_find_how_hard_it_is(double harder)
    {
        var found = QuestionEstimator.Estimate(Answers(harder, 1500, new(3)))!;
        found.Harder.ShouldBe(harder, 2.5 * found.Sd + 0.5);
        found.Sd.ShouldBeLessThan(1);
    }

    [Fact]
    public void Few_answers_move_it_less_than_they_say_and_simulated_questions_are_found_within_their_error()
    {
        var random = new Random(9);
        double before = 0,
            after = 0;
        var within = 0;
        const int Questions = 200;
        for (var q = 0; q < Questions; q++)
        {
            var truth = QuestionEstimator.StrandSd * (Enumerable.Range(0, 12).Sum(_ => random.NextDouble()) - 6);
            var found = QuestionEstimator.Estimate(Answers(truth, 40, random))!;
            before += truth * truth;
            after += (found.Harder - truth) * (found.Harder - truth);
            if (Math.Abs(found.Harder - truth) < 1.645 * found.Sd)
                within++;
        }
        (after / before).ShouldBeLessThan(0.6, "the default's squared error is cut");
        (within / (double)Questions).ShouldBeInRange(0.84, 0.97);
    }

    [Fact]
    public void What_all_questions_of_a_text_share_is_taken_out_so_that_the_scale_stays()
    {
        var left = QuestionEstimator.WithoutCommon([new(6, 1, 50), new(4, 1, 50), new(5, 1, 50)]);
        left.Select(q => q.Harder).ShouldBe([1, -1, 0]);
        QuestionEstimator.WithoutCommon([]).ShouldBeEmpty();
        var sure = QuestionEstimator.WithoutCommon([new(10, 1, 50), new(0, 100, 50)]);
        sure[0].Harder.ShouldBe(0, 0.01, "what is surer counts more");
    }
}
