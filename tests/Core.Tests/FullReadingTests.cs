using CsCheck;
using DeepCurrent.Core.Readings;

namespace Core.Tests;

/// <summary>What is a reading and what only an opening.</summary>
public sealed class FullReadingTests
{
    private const double Rate = 120;
    private static readonly DateTimeOffset At = new(2026, 11, 2, 9, 0, 0, TimeSpan.Zero);
    private static readonly int[] Pages = [120, 60];

    private static ReadingJudged Judge(QuizTried quiz, params (int Page, double Seconds)[] spells) =>
        FullReading.Judge(
            Pages,
            [.. spells.Select((s, i) => new PageSpell(s.Page, s.Seconds, At.AddMinutes(30 * i)))],
            Rate,
            quiz
        );

    [Fact]
    public void A_text_that_was_open_for_seconds_was_opened_and_not_read()
    {
        var judged = Judge(QuizTried.None, (0, 3), (1, 2));
        judged.Full.ShouldBeFalse();
        judged.ActiveSeconds.ShouldBe(5);
    }

    [Fact]
    public void Twice_the_readers_rate_is_still_reading_and_faster_is_not()
    {
        Judge(QuizTried.None, (0, 30), (1, 15)).ShouldBe(new(45, 1, true));
        Judge(QuizTried.None, (0, 20), (1, 10)).Full.ShouldBeFalse();
    }

    [Fact]
    public void A_page_that_stood_still_counts_up_to_three_times_what_it_takes_and_a_minute_at_least()
    {
        FullReading.StandsStillAfter(120, Rate).ShouldBe(180);
        FullReading.StandsStillAfter(10, Rate).ShouldBe(60);
        Judge(QuizTried.None, (0, 7200)).ActiveSeconds.ShouldBe(180);
    }

    [Fact]
    public void What_is_left_open_is_read_only_where_its_reader_comes_back()
    {
        Judge(QuizTried.None, (1, 30), (0, 7200)).Full.ShouldBeFalse();
        Judge(QuizTried.None, (0, 7200), (1, 30)).Full.ShouldBeTrue();
        Judge(new(4, 2, 0, At.AddHours(3)), (1, 30), (0, 7200)).Full.ShouldBeTrue();
    }

    [Fact]
    public void A_quiz_that_was_passed_with_real_tries_shows_that_a_text_was_read()
    {
        Judge(new(6, 5, 1, At), (0, 15), (1, 8)).Full.ShouldBeTrue();
        Judge(new(6, 5, 4, At), (0, 15), (1, 8)).Full.ShouldBeFalse("answers that came too fast are no real tries");
        Judge(new(6, 3, 0, At), (0, 15), (1, 8)).Full.ShouldBeFalse();
        Judge(new(6, 6, 0, At), (0, 2)).Full.ShouldBeFalse("nobody has seen the text");
    }

    [Fact]
    public void More_time_never_makes_a_reading_an_opening() =>
        Gen.Select(Gen.Int[0, 1], Gen.Double[0, 400])
            .Array[1, 6]
            .Select(Gen.Double[1, 60])
            .Sample(
                (spells, more) =>
                {
                    var before = Judge(QuizTried.None, spells);
                    var later = Judge(QuizTried.None, [.. spells, (0, 1), (1, more), (0, 1)]);
                    later.Share.ShouldBeGreaterThanOrEqualTo(before.Share - 1e-12);
                    later.ActiveSeconds.ShouldBeGreaterThan(before.ActiveSeconds);
                    (before.Full && !later.Full).ShouldBeFalse();
                }
            );

    [Fact]
    public void A_page_that_is_not_there_and_a_text_without_words_count_nothing()
    {
        Judge(QuizTried.None, (7, 100), (-1, 100)).ShouldBe(new(0, 0, false));
        FullReading.Judge([], [new(0, 100, At)], Rate, QuizTried.None).ShouldBe(new(0, 0, false));
        Should.Throw<ArgumentOutOfRangeException>(() => FullReading.Judge(Pages, [], 0, QuizTried.None));
    }

    [Fact]
    public void Sittings_of_known_truth_are_told_apart()
    {
        var told = SimulatedSittings.ToldApart(SimulatedSittings.Many(2000, seed: 16));
        told.Values.Average().ShouldBeGreaterThanOrEqualTo(0.95);
        told.Values.Min().ShouldBeGreaterThanOrEqualTo(0.88);
    }
}
