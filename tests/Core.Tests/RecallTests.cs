using CsCheck;
using DeepCurrent.Core.KeptWords;

namespace Core.Tests;

/// <summary>When a kept word is asked again.</summary>
public sealed class RecallTests
{
    private static readonly DateOnly Kept = new(2026, 11, 2);

    private static DateOnly DayOf(DateTimeOffset at) => DateOnly.FromDateTime(at.UtcDateTime);

    private static WordTry On(int day, bool right, int minute = 0) =>
        new(new DateTimeOffset(Kept.AddDays(day), new TimeOnly(9, minute), TimeSpan.Zero), right);

    private static Recalled After(params WordTry[] tries) => Recall.After(Kept, tries, DayOf);

    [Fact]
    public void A_new_word_can_be_asked_at_once() => After().ShouldBe(new(0, Kept));

    [Fact]
    public void Pauses_grow_while_it_is_known()
    {
        After(On(0, true)).ShouldBe(new(1, Kept.AddDays(1)));
        After(On(0, true), On(1, true)).ShouldBe(new(2, Kept.AddDays(3)));
        After(On(0, true), On(1, true), On(3, true)).ShouldBe(new(3, Kept.AddDays(7)));
    }

    [Fact]
    public void A_missed_word_comes_the_next_day_and_begins_anew() =>
        After(On(0, true), On(1, true), On(3, false)).ShouldBe(new(0, Kept.AddDays(4)));

    [Fact]
    public void Right_after_having_been_shown_is_not_known()
    {
        After(On(0, false), On(0, true, 5)).ShouldBe(new(0, Kept.AddDays(1)));
        After(On(0, true), On(0, true, 5), On(0, true, 9)).ShouldBe(new(1, Kept.AddDays(1)));
    }

    [Fact]
    public void Asked_before_its_day_it_stays_where_it_is() =>
        After(On(0, true), On(1, true), On(2, true)).ShouldBe(new(2, Kept.AddDays(3)));

    [Fact]
    public void After_every_pause_it_is_known()
    {
        var day = 0;
        var tries = Recall.Pauses.Select(pause => On((day += pause) - pause, true)).ToArray();
        After(tries).Known.ShouldBeTrue();
        After(tries[..^1]).Known.ShouldBeFalse();
    }

    [Fact]
    public void The_order_in_which_tries_are_told_changes_nothing_and_a_miss_never_helps() =>
        Gen.Select(Gen.Int[0, 60], Gen.Bool, Gen.Int[0, 59])
            .Array[0, 12]
            .Sample(drawn =>
            {
                var tries = drawn.Select(d => On(d.Item1, d.Item2, d.Item3)).DistinctBy(t => t.At).ToArray();
                var now = After(tries);
                After([.. tries.Reverse()]).ShouldBe(now);
                now.Step.ShouldBeInRange(0, tries.Length);
                After([.. tries, On(61, false)]).ShouldBe(new(0, Kept.AddDays(62)));
            });
}
