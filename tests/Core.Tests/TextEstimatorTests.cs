using CsCheck;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Measuring;
using Shouldly;

namespace Core.Tests;

/// <summary>A text's depth from readers' answers.</summary>
public sealed class TextEstimatorTests
{
    /// <summary>Readings of a text of a true depth by simulated readers whose depth is known as well as
    /// <paramref name="sd"/>.</summary>
    private static List<TextReading> Read(
        Random random,
        double truth,
        int readers,
        double sd,
        double liking = TextEstimator.LikingSd
    )
    {
        double Normal() =>
            Math.Sqrt(-2 * Math.Log(1 - random.NextDouble())) * Math.Cos(2 * Math.PI * random.NextDouble());
        return
        [
            .. Enumerable
                .Range(0, readers)
                .Select(_ =>
                {
                    var depth = truth + 8 * Normal();
                    var today = depth + liking * Normal();
                    return new TextReading(
                        depth + sd * Normal(),
                        sd,
                        [
                            .. Enumerable
                                .Range(0, 7)
                                .Select(q =>
                                {
                                    double offset = -12 + 2 * q,
                                        guess = 0.25,
                                        p = AnswerModel.Right(today - truth - offset, guess);
                                    return new TextAnswer(offset, guess, random.NextDouble() < p);
                                }),
                        ]
                    );
                }),
        ];
    }

    [Fact]
    public void Without_answers_the_formulas_stand()
    {
        var e = TextEstimator.Estimate(new(30), 4, []);
        e.Mean.ShouldBe(30, 1e-6);
        e.Sd.ShouldBe(4, 0.01);
        e.AnswersAlone.ShouldBeNull();
        e.Weight.ShouldBe(0, 0.01);
    }

    /// <summary>Over 160 texts the truth lies in the 90 % interval as often as it should, and answers come closer than
    /// formulas.</summary>
    [Theory]
    [InlineData(10), InlineData(40)]
    public void Answers_move_the_depth_towards_the_truth_and_say_how_sure_they_are(int readers)
    {
        var random = new Random(7);
        int inside = 0;
        double before = 0,
            after = 0;
        const int texts = 160;
        for (var i = 0; i < texts; i++)
        {
            double truth = 20 + 40 * random.NextDouble(),
                formulas =
                    truth
                    + 5
                        * Math.Sqrt(-2 * Math.Log(1 - random.NextDouble()))
                        * Math.Cos(2 * Math.PI * random.NextDouble());
            var e = TextEstimator.Estimate(new(formulas), 5, Read(random, truth, readers, 3));
            if (Math.Abs(e.Mean - truth) <= 1.645 * e.Sd)
                inside++;
            before += (formulas - truth) * (formulas - truth);
            after += (e.Mean - truth) * (e.Mean - truth);
        }
        (inside / (double)texts).ShouldBeInRange(0.84, 0.96);
        (after / before).ShouldBeLessThan(readers == 10 ? 0.45 : 0.17);
    }

    [Fact]
    public void More_answers_weigh_more_and_the_parts_add_up() =>
        Gen.Select(Gen.Int[0, 1 << 20], Gen.Int[3, 25], Gen.Double[15, 50])
            .Sample(
                (seed, readers, truth) =>
                {
                    var all = Read(new Random(seed), truth, readers, 3);
                    var few = TextEstimator.Estimate(new(30), 4, [.. all.Take(readers / 2)]);
                    var many = TextEstimator.Estimate(new(30), 4, all);
                    many.Weight.ShouldBeGreaterThan(few.Weight - 0.1);
                    many.Weight.ShouldBeInRange(0, 1);
                    if (many.AnswersAlone is { } alone)
                        (alone * many.Weight + 30 * (1 - many.Weight)).ShouldBe(many.Mean, 1e-6);
                    (many.Readers, many.Answers).ShouldBe((readers, 7 * readers));
                },
                iter: 40
            );

    [Fact]
    public void Right_answers_make_a_text_shallower_and_wrong_ones_deeper()
    {
        TextReading All(bool right) =>
            new(30, 3, [.. Enumerable.Range(0, 7).Select(_ => new TextAnswer(-10, 0.25, right))]);
        var readers = 6;
        TextEstimator.Estimate(new(30), 4, [.. Enumerable.Repeat(All(true), readers)]).Mean.ShouldBeLessThan(29);
        TextEstimator.Estimate(new(30), 4, [.. Enumerable.Repeat(All(false), readers)]).Mean.ShouldBeGreaterThan(33);
    }

    [Fact]
    public void A_shift_that_all_share_is_taken_out()
    {
        TextEstimator.CommonShift([(3, 0.5), (3, 0.9)]).ShouldBe(3, 1e-12);
        TextEstimator.CommonShift([(4, 1), (-4, 1)]).ShouldBe(0, 1e-12);
        TextEstimator.CommonShift([]).ShouldBe(0);
    }

    [Fact]
    public void Nonsense_is_refused()
    {
        Should.Throw<ArgumentOutOfRangeException>(() => TextEstimator.Estimate(new(30), 0, []));
        Should.Throw<ArgumentOutOfRangeException>(() => TextEstimator.Estimate(new(30), 4, [new(30, -1, [])]));
    }
}
