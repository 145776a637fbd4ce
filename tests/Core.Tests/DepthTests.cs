using CsCheck;
using DeepCurrent.Core.Depth;

namespace Core.Tests;

public sealed class DepthTests
{
    private static readonly LevelChart Chart = LevelChart.Default;

    [Theory]
    [InlineData(0, 2)]
    [InlineData(1, 13)]
    [InlineData(3, 30)]
    [InlineData(10, 57.5)]
    [InlineData(12, 62)]
    public void The_chart_passes_through_its_rows(double grade, double depth) =>
        Chart.DepthAt(grade).Value.ShouldBe(depth, 1e-9);

    [Fact]
    public void The_inverse_is_exact_to_a_hundredth() =>
        Gen.Double[-1.5, 15].Sample(grade => Math.Abs(Chart.GradeAt(Chart.DepthAt(grade)) - grade) < 0.01);

    [Theory]
    [InlineData(-20, true)]
    [InlineData(100, true)]
    [InlineData(-20.01, false)]
    [InlineData(100.01, false)]
    [InlineData(double.NaN, false)]
    [InlineData(double.NegativeInfinity, false)]
    public void The_scale_has_two_ends_and_holds_numbers_only(double fathoms, bool on) =>
        new Fathoms(fathoms).OnScale.ShouldBe(on);

    [Fact]
    public void The_curve_only_rises() =>
        Gen.Double[-2, 15]
            .Select(Gen.Double[0.001, 3])
            .Sample((grade, more) => Chart.DepthAt(grade + more).Value > Chart.DepthAt(grade).Value);

    [Fact]
    public void A_chart_that_does_not_rise_is_refused() =>
        Should
            .Throw<ArgumentException>(() =>
                new LevelChart([new(1, "1", "", "", new(10)), new(2, "2", "", "", new(10))])
            )
            .Message.ShouldContain("Row 2");

    [Theory]
    [InlineData(30, "3")]
    [InlineData(30.1, "4")]
    [InlineData(-5, "K")]
    [InlineData(80, "12")]
    public void A_depth_falls_in_a_grade(double depth, string grade) => Chart.GradeLabel(new(depth)).ShouldBe(grade);

    [Fact]
    public void Growth_slows_with_depth() =>
        Chart.GrowthPerWeek(new(10)).ShouldBeGreaterThan(Chart.GrowthPerWeek(new(50)));

    [Fact]
    public void At_the_same_depth_four_in_five_questions_are_right() =>
        Forecast.Comprehension(new(33), new(33)).Value.ShouldBe(0.8, 1e-12);

    [Fact]
    public void Reach_ends_where_the_zones_change()
    {
        var reach = Forecast.Reach(new(34));
        reach.From.Value.ShouldBe(34 - 8.109, 0.01);
        reach.To.Value.ShouldBe(34 + 5.390, 0.01);
        Forecast.Comprehension(new(34), reach.From).Value.ShouldBe(0.9, 1e-9);
        Forecast.Comprehension(new(34), reach.To).Value.ShouldBe(0.7, 1e-9);
    }

    [Theory]
    [InlineData(0.695, Zone.Instructional)]
    [InlineData(0.694, Zone.Frustration)]
    [InlineData(0.895, Zone.Independent)]
    [InlineData(0.894, Zone.Instructional)]
    public void Zones_are_decided_by_what_is_shown(double forecast, Zone zone) =>
        Forecast.ZoneOf(new(forecast)).ShouldBe(zone);

    [Fact]
    public void The_best_version_is_the_one_nearest_to_four_in_five() =>
        Gen.Double[0, 60]
            .Select(Gen.Double[0, 60].Array[1, 4])
            .Sample(
                (reader, depths) =>
                {
                    var versions = depths.Select(d => new Fathoms(d)).ToList();
                    var best = Forecast.BestVersion(new(reader), versions);
                    double Miss(Fathoms v) => Math.Abs(Forecast.Comprehension(new(reader), v).Value - 0.8);
                    return versions.All(v => Miss(versions[best]) <= Miss(v) + 1e-12);
                }
            );

    [Fact]
    public void A_probability_is_between_nothing_and_one()
    {
        Should.Throw<ArgumentOutOfRangeException>(() => new Probability(1.01));
        Should.Throw<ArgumentOutOfRangeException>(() => new Probability(double.NaN));
    }
}
