using CsCheck;
using DeepCurrent.Core.Schools;
using DeepCurrent.Core.Tickets;

namespace Core.Tests;

public sealed class TimeTests
{
    [Fact]
    public void A_school_day_begins_and_ends_where_the_school_is()
    {
        var auckland = new SchoolClock("Pacific/Auckland");
        var noon = new DateTimeOffset(2026, 11, 27, 12, 0, 0, TimeSpan.Zero);
        auckland.DayOf(noon).ShouldBe(new DateOnly(2026, 11, 28));
        auckland.At(noon).DayBegan.ShouldBe(new DateTimeOffset(2026, 11, 27, 11, 0, 0, TimeSpan.Zero));
        // Clocks go back: the day has 25 hours.
        var london = new SchoolClock("Europe/London");
        (london.End(new(2026, 10, 25)) - london.Begin(new(2026, 10, 25))).TotalHours.ShouldBe(25);
        // Midnight is skipped: the day begins at one.
        var santiago = new SchoolClock("America/Santiago");
        santiago.DayOf(santiago.Begin(new(2026, 9, 6))).ShouldBe(new DateOnly(2026, 9, 6));
        Should.Throw<TimeZoneNotFoundException>(() => new SchoolClock("Nowhere/Else"));
    }

    private static readonly string[] Zones =
    [
        "Europe/London",
        "Pacific/Auckland",
        "America/Santiago",
        "Asia/Kolkata",
        "America/St_Johns",
    ];

    [Fact]
    public void Any_day_holds_its_own_beginning_and_not_its_end() =>
        Gen.Select(Gen.Int[0, Zones.Length - 1], Gen.Int[0, 3000])
            .Sample(x =>
            {
                var clock = new SchoolClock(Zones[x.Item1]);
                var day = new DateOnly(2020, 1, 1).AddDays(x.Item2);
                return clock.DayOf(clock.Begin(day)) == day
                    && clock.DayOf(clock.End(day)) == day.AddDays(1)
                    && clock.DayOf(clock.End(day).AddTicks(-1)) == day;
            });

    [Fact]
    public void What_was_given_is_placed_by_how_long_ago_it_was_and_never_in_the_future()
    {
        var now = new DateTimeOffset(2026, 11, 27, 12, 0, 0, TimeSpan.Zero);
        GivenTime.Of(now.AddHours(7), now.AddHours(8), now).ShouldBe(now.AddHours(-1));
        GivenTime.Of(now.AddHours(1), null, now).ShouldBe(now);
        GivenTime.Of(now.AddYears(-3), null, now).ShouldBe(now.AddDays(-60));
        GivenTime.After(now.AddHours(-2), now.AddHours(-1)).ShouldBe(now.AddHours(-1));
        GivenTime.Late(now, now.AddHours(2), now.AddHours(1)).ShouldBeTrue();
        GivenTime.Late(now, now.AddHours(2), null).ShouldBeFalse();
    }
}
