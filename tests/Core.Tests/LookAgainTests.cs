using DeepCurrent.Core.Grouping;
using Shouldly;

namespace Core.Tests;

/// <summary>When groups are looked at again, and what is worth moving then.</summary>
public sealed class LookAgainTests
{
    private static readonly DateOnly Monday = new(2026, 10, 5);

    [Fact]
    public void Groups_are_looked_at_again_three_weeks_after_the_last_change_in_any_of_them()
    {
        LookAgain.Standing([], Monday).ShouldBeNull();
        LookAgain.Standing([Monday, Monday.AddDays(35)], Monday.AddDays(55)).ShouldBeNull();
        LookAgain.Standing([Monday, Monday.AddDays(35)], Monday.AddDays(56)).ShouldBe(3);
        LookAgain.Standing([Monday], Monday.AddDays(56)).ShouldBe(8);
    }

    [Fact]
    public void Moves_worth_making_are_likely_right_and_the_surest_comes_first() =>
        LookAgain
            .WorthMaking([new("a", 0, 1, 0.61), new("b", 0, 1, 0.59), new("c", 1, 0, 0.9)])
            .Select(m => m.Reader)
            .ShouldBe(["c", "a"]);
}
