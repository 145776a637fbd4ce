using DeepCurrent.Core.Goals;
using DeepCurrent.Core.Schools;

namespace Core.Tests;

/// <summary>A term as it stands on a day, and the goals that are set for it.</summary>
public sealed class TermSoFarTests
{
    // A Monday to a Friday, eight weeks later; the second Monday is off.
    private static readonly DateOnly First = new(2026, 9, 7);
    private static readonly Term Term = new(TermId.New(), YearId.New(), "Autumn", First, First.AddDays(53));
    private static readonly YearCalendar Year = new(
        Term.SchoolYearId,
        "2026/27",
        First,
        First.AddDays(300),
        [Term],
        [First.AddDays(7)],
        new("Europe/London")
    );

    private static TermSoFar On(int day) => new(Year, Term, First.AddDays(day));

    private static ReadingDone Read(int day, double score, double words = 100) =>
        new(Year.Clock.Begin(First.AddDays(day)).AddHours(10), score, words);

    [Fact]
    public void Weeks_gather_what_was_read_and_words_count_from_the_score_they_are_understood_from()
    {
        var weeks = On(16).Weeks([Read(0, 0.9), Read(4, 0.5), Read(15, 0.6), Read(-3, 1)], understoodFrom: 0.6);
        weeks.Select(w => w.Words).ShouldBe([100, 0, 100]);
        weeks.Select(w => w.Scores.Count).ShouldBe([2, 0, 1]);
        On(0).Weeks([], 0.6).ShouldHaveSingleItem();
        On(90).Weeks([], 0.6).Count.ShouldBe(8, "no week is counted after the term");
    }

    [Fact]
    public void The_days_that_are_left_leave_out_days_off()
    {
        On(4).DaysLeft.ShouldBe(34);
        On(53).DaysLeft.ShouldBe(0);
        On(-10).DaysLeft.ShouldBe(39);
    }

    [Fact]
    public void What_a_day_is_called_is_for_the_school_to_say()
    {
        var auckland = Year with { Clock = new("Pacific/Auckland") };
        var late = new ReadingDone(new(2026, 9, 13, 14, 0, 0, TimeSpan.Zero), 1, 100);
        On(10).Weeks([late], 0.6).Select(w => w.Words).ShouldBe([100, 0]);
        new TermSoFar(auckland, Term, First.AddDays(10)).Weeks([late], 0.6).Select(w => w.Words).ShouldBe([0, 100]);
    }

    [Theory]
    [InlineData(GoalKind.Comprehension, 85)]
    [InlineData(GoalKind.Words, 400)]
    public void So_far_is_in_the_kinds_own_unit(GoalKind kind, double soFar)
    {
        var weeks = On(16).Weeks([Read(0, 0.9, 150), Read(9, 0.8, 250)], 0.6);
        TermSoFar.SoFar(kind, weeks)!.Value.ShouldBe(soFar, 1e-9);
        On(16).Standing(kind, 50, weeks).Done.ShouldBe(soFar, 1e-9);
    }

    [Fact]
    public void Nothing_read_is_no_comprehension_of_nothing()
    {
        TermSoFar.SoFar(GoalKind.Comprehension, On(3).Weeks([], 0.6)).ShouldBeNull();
        TermSoFar.SoFar(GoalKind.Words, On(3).Weeks([], 0.6)).ShouldBe(0);
    }

    [Fact]
    public void Words_to_suggest_follow_the_reader_and_where_there_is_nothing_the_class()
    {
        var term = On(13);
        var own = term.Weeks([Read(0, 1, 500), Read(9, 1, 500)], 0.6);
        var weeksLeft = term.DaysLeft / 5.0;
        term.Suggest(GoalKind.Words, new(own, 9999, 9999)).ShouldBe(GoalRules.SuggestWords(1000, 500, 9999, weeksLeft));
        term.Suggest(GoalKind.Words, new(term.Weeks([], 0.6), 300, 9999))
            .ShouldBe(GoalRules.SuggestWords(0, 150, 9999, weeksLeft));
        term.Suggest(GoalKind.Comprehension, new(own, 0, 0)).ShouldBe(90);
    }

    [Fact]
    public void Every_kind_has_bounds_says_when_they_are_left_and_can_be_reckoned_with()
    {
        var weeks = On(16).Weeks([Read(0, 0.9, 150)], 0.6);
        foreach (var kind in Enum.GetValues<GoalKind>())
        {
            var (least, most) = kind.Bounds();
            least.ShouldBeLessThan(most);
            kind.Fault().ToString().ShouldContain(most.ToString("N0"));
            var suggested = On(16).Suggest(kind, new(weeks, 100, 1000));
            suggested.ShouldBeInRange(least, most);
            On(16).Standing(kind, suggested, weeks).Target.ShouldBe(suggested);
            TermSoFar.SoFar(kind, weeks).ShouldNotBeNull();
        }
    }
}
