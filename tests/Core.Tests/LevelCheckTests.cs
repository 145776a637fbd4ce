using CsCheck;
using DeepCurrent.Core.LevelChecks;
using DeepCurrent.Core.Measuring;
using DeepCurrent.Core.OralReading;
using Shouldly;

namespace Core.Tests;

/// <summary>Passages of level checks, and the norms of oral reading.</summary>
public sealed class LevelCheckTests
{
    private static readonly HashSet<VersionId> None = [];

    private static CheckPassage Passage(double depth, int given = 0, int questions = 8) =>
        new(
            VersionId.New(),
            depth,
            [.. Enumerable.Range(0, questions).Select(q => new PassageQuestion(depth - 10 + q % 3, 0.25))],
            given
        );

    [Fact]
    public void The_passage_that_says_most_is_near_what_is_known()
    {
        CheckPassage[] all = [Passage(5), Passage(20), Passage(38), Passage(60)];
        PassageChoice
            .Next(DepthDistribution.Normal(30, 4), all, None, new())!
            .Depth.ShouldBe(
                38,
                "questions are most telling where a reader has about 60 % right, so a little deeper than the reader"
            );
        PassageChoice.Next(DepthDistribution.Normal(12, 4), all, None, new())!.Depth.ShouldBe(20);
        PassageChoice.Next(DepthDistribution.Normal(55, 4), all, None, new())!.Depth.ShouldBe(60);
    }

    [Fact]
    public void What_was_seen_or_lies_beyond_the_limits_is_not_given()
    {
        CheckPassage[] all = [Passage(20), Passage(38), Passage(60)];
        PassageChoice
            .Next(DepthDistribution.Normal(30, 4), all, new HashSet<VersionId> { all[1].Id }, new())!
            .Id.ShouldBe(all[0].Id);
        PassageChoice.Next(DepthDistribution.Normal(30, 4), all, None, new(From: 50))!.Id.ShouldBe(all[2].Id);
        PassageChoice.Next(DepthDistribution.Normal(30, 4), all, None, new(From: 61)).ShouldBeNull();
    }

    [Fact]
    public void Passages_that_are_nearly_as_good_take_turns()
    {
        var given = Enumerable.Range(0, 5).Select(i => Passage(35 + 0.2 * i)).ToList();
        for (var k = 0; k < 50; k++)
        {
            var next = PassageChoice.Next(DepthDistribution.Normal(30, 4), given, None, new())!;
            given[given.FindIndex(p => p.Id == next.Id)] = next with { Given = next.Given + 1 };
        }
        given.ShouldAllBe(p => p.Given == 10);
    }

    [Fact]
    public void What_is_expected_is_no_less_than_nothing_and_grows_with_questions() =>
        Gen.Select(Gen.Double[-10, 80], Gen.Double[1, 15], Gen.Double[0, 60], Gen.Int[1, 12])
            .Sample(
                (mean, sd, depth, n) =>
                {
                    var known = DepthDistribution.Normal(mean, sd);
                    var few = PassageChoice.Information(known, Passage(depth, 0, n).Questions);
                    few.ShouldBeGreaterThan(0);
                    PassageChoice.Information(known, Passage(depth, 0, n + 1).Questions).ShouldBeGreaterThan(few);
                    // No question of four choices says more than one that cannot be guessed says at best.
                    few.ShouldBeLessThan(n * 0.25 / 100);
                }
            );

    [Theory]
    [
        InlineData(2.4, 1, null, CheckEnd.Sure),
        InlineData(2.4, 0, null, CheckEnd.GoesOn),
        InlineData(5, 4, null, CheckEnd.MostPassages),
        InlineData(5, 2, 0.0, CheckEnd.NoTimeLeft),
        InlineData(5, 2, 3.0, CheckEnd.GoesOn)
    ]
    public void A_check_ends_when_it_is_sure_long_enough_or_out_of_time(
        double sd,
        int given,
        double? minutes,
        CheckEnd end
    ) => PassageChoice.End(sd, given, minutes is { } m ? TimeSpan.FromMinutes(m) : null, new()).ShouldBe(end);

    [Theory]
    [
        InlineData(3, Season.Spring, 112, 50, 112),
        InlineData(3, Season.Spring, 91, 25, 112),
        InlineData(1, Season.Winter, 97, 90, 29),
        InlineData(6, Season.Autumn, 89, 10, 132),
        InlineData(4, Season.Winter, 131.5, 63, 120),
        InlineData(2, Season.Autumn, 0, 1, 50),
        InlineData(2, Season.Autumn, 400, 99, 50)
    ]
    public void A_rate_is_placed_against_the_published_norms(
        int grade,
        Season season,
        double rate,
        int percentile,
        int middle
    )
    {
        var place = OralNorms.Place(grade, season, rate);
        place.ShouldBe(new RatePlace(percentile, middle));
    }

    [Fact]
    public void Where_there_is_no_norm_nothing_is_said()
    {
        OralNorms.Place(0, Season.Spring, 20).ShouldBeNull();
        OralNorms.Place(1, Season.Autumn, 20).ShouldBeNull();
        OralNorms.Place(7, Season.Spring, 150).ShouldBeNull();
        Should.Throw<ArgumentOutOfRangeException>(() => OralNorms.Place(3, Season.Spring, double.NaN));
    }

    [Fact]
    public void Faster_is_never_placed_lower() =>
        Gen.Select(Gen.Int[1, 6], Gen.Double[0, 260], Gen.Double[0, 40])
            .Sample(
                (grade, rate, more) =>
                    (
                        OralNorms.Place(grade, Season.Spring, rate + more)!.Percentile
                        >= OralNorms.Place(grade, Season.Spring, rate)!.Percentile
                    ).ShouldBeTrue()
            );

    [Fact]
    public void A_school_year_has_three_seasons()
    {
        var (first, last) = (new DateOnly(2026, 9, 1), new DateOnly(2027, 6, 30));
        OralNorms.SeasonOf(new(2026, 10, 1), first, last).ShouldBe(Season.Autumn);
        OralNorms.SeasonOf(new(2027, 1, 15), first, last).ShouldBe(Season.Winter);
        OralNorms.SeasonOf(new(2027, 5, 15), first, last).ShouldBe(Season.Spring);
    }
}
