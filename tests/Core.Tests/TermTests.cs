using DeepCurrent.Core.Absences;
using DeepCurrent.Core.Depth;
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
    public void Days_away_are_days_off_for_who_was_away()
    {
        var away = Absence.DaysOf([
            new(AbsenceId.New(), First.AddDays(14), First.AddDays(18), "flu"),
            new(AbsenceId.New(), First.AddDays(18), First.AddDays(22), "flu again"),
        ]);
        away.Count.ShouldBe(9);
        var own = new TermSoFar(Year.Without(away), Term, First.AddDays(16));
        // Monday to Wednesday of the third week are gone and were away; the rest of it, and two days more, are to come.
        own.Weeks([], 0.6).Select(w => w.Days).ShouldBe([5, 4, 0]);
        own.DaysLeft.ShouldBe(On(16).DaysLeft - 4);
        Year.Without(new HashSet<DateOnly>()).ShouldBeSameAs(Year);
        new Absence(AbsenceId.New(), First, First.AddDays(-1), "").Fault.ShouldNotBeNull();
        new Absence(AbsenceId.New(), First, First.AddDays(Absence.Longest), "").Fault.ShouldNotBeNull();
        new Absence(AbsenceId.New(), First, First, "").Fault.ShouldBeNull();
    }

    [Theory]
    [InlineData(GoalKind.Words, 950, 1000, true)]
    [InlineData(GoalKind.Words, 899, 1000, false)]
    [InlineData(GoalKind.Words, 1000, 1000, false)]
    [InlineData(GoalKind.Comprehension, 77, 80, true)]
    [InlineData(GoalKind.Comprehension, 76, 80, false)]
    [InlineData(GoalKind.Depth, 29, 30, true)]
    [InlineData(GoalKind.Depth, 28.9, 30, false)]
    public void A_near_miss_may_be_called_met_for_two_weeks(GoalKind kind, double done, double target, bool near)
    {
        bool On(int days) => GoalRules.MayCallMet(kind, done, target, Term.LastDay, Term.LastDay.AddDays(days));
        On(1).ShouldBe(near);
        On(14).ShouldBe(near);
        On(15).ShouldBeFalse();
        On(0).ShouldBeFalse();
    }

    [Fact]
    public void A_level_goal_can_start_from_a_check_that_is_run_on_to_today()
    {
        var facts = Facts(On(16));
        DatedCheck check = new(new(36), 2, SchoolWeeks: 5, Weeks: 6);
        var based = check.In(facts);
        based.Depth.Value.ShouldBe(37, 1e-9);
        based.Sd.ShouldBe(Math.Sqrt(4 + 0.4 * 6), 1e-9);
        // Seven fathoms apart, with a joint sd of 3.9, is less than 1.96 of them.
        check.Contradicts(facts).ShouldBeFalse();
        new DatedCheck(new(40), 2, 0, 0).Contradicts(facts).ShouldBeTrue();
        On(16).Suggest(GoalKind.Depth, based).ShouldBeGreaterThan(On(16).Suggest(GoalKind.Depth, facts));
    }

    [Fact]
    public void What_a_day_is_called_is_for_the_school_to_say()
    {
        var auckland = Year with { Clock = new("Pacific/Auckland") };
        var late = new ReadingDone(new(2026, 9, 13, 14, 0, 0, TimeSpan.Zero), 1, 100);
        On(10).Weeks([late], 0.6).Select(w => w.Words).ShouldBe([100, 0]);
        new TermSoFar(auckland, Term, First.AddDays(10)).Weeks([late], 0.6).Select(w => w.Words).ShouldBe([0, 100]);
    }

    [Fact]
    public void What_was_read_elsewhere_counts_its_words_and_no_score()
    {
        var elsewhere = new OutsideReading(ReaderId.New(), First.AddDays(3), 20, new(30));
        elsewhere.Words(LevelChart.Default).ShouldBe(20 * GoalRules.SilentRate(new(30), LevelChart.Default));
        var done = elsewhere.Done(new(2026, 9, 10, 12, 0, 0, TimeSpan.Zero), LevelChart.Default);
        var quiz = new ReadingDone(new(2026, 9, 10, 14, 0, 0, TimeSpan.Zero), 0.4, 500);
        var week = On(16).Weeks([done, quiz], 0.67)[0];
        week.Words.ShouldBe(done.Words);
        week.Scores.ShouldBe([0.4]);
    }

    private static GoalFacts Facts(TermSoFar term, params ReadingDone[] readings) =>
        new(term.Weeks(readings, 0.6), term.Recent(readings, 0.6, First), new(300, 200), 8, new(30), 3, 0.2, 0.4);

    [Theory]
    [InlineData(GoalKind.Comprehension, 85)]
    [InlineData(GoalKind.Words, 400)]
    [InlineData(GoalKind.Depth, 30)]
    public void So_far_is_in_the_kinds_own_unit(GoalKind kind, double soFar)
    {
        var facts = Facts(On(16), Read(0, 0.9, 150), Read(9, 0.8, 250));
        TermSoFar.SoFar(kind, facts)!.Value.ShouldBe(soFar, 1e-9);
        On(16).Standing(kind, 50, facts).Done.ShouldBe(soFar, 1e-9);
    }

    [Fact]
    public void Nothing_read_is_no_comprehension_of_nothing()
    {
        TermSoFar.SoFar(GoalKind.Comprehension, Facts(On(3))).ShouldBeNull();
        TermSoFar.SoFar(GoalKind.Words, Facts(On(3))).ShouldBe(0);
    }

    [Fact]
    public void Weeks_lately_have_the_days_they_had_and_a_week_without_school_is_none()
    {
        On(16).Recent([], 0.6, First).Select(w => w.Days).ShouldBe([5, 4, 3]);
        On(16).Recent([], 0.6, First.AddDays(9)).Sum(w => w.Days).ShouldBe(6);
        On(16).Recent([], 0.6, First.AddDays(20)).ShouldBeEmpty();
        new TermSoFar(Year, Term, First.AddDays(70)).Recent([], 0.6, First.AddDays(56)).ShouldBeEmpty();
    }

    [Fact]
    public void A_safer_goal_asks_for_less_and_more_is_asked_of_who_reads_more()
    {
        foreach (var kind in Enum.GetValues<GoalKind>())
        {
            var term = On(13);
            var facts = Facts(term, Read(0, 0.8, 500), Read(9, 0.9, 700));
            var goals = GoalRules.Ambitions.Select(a => term.Suggest(kind, facts, a)).ToList();
            goals.ShouldBe(goals.Order());
            goals[0].ShouldBeLessThan(goals[^1]);
        }
        double Words(double each) => On(13).Suggest(GoalKind.Words, Facts(On(13), Read(0, 1, each), Read(9, 1, each)));
        Words(900).ShouldBeGreaterThan(Words(400));
    }

    [Fact]
    public void A_goal_that_is_suggested_is_as_likely_as_was_asked()
    {
        var term = On(20);
        var facts = Facts(term, Read(0, 0.8, 900), Read(9, 0.9, 1100), Read(16, 0.7, 1000));
        foreach (var kind in Enum.GetValues<GoalKind>())
        foreach (var likely in GoalRules.Ambitions)
            term.Standing(kind, term.Suggest(kind, facts, likely), facts).Chance.ShouldBeInRange(likely - 0.01, 0.95);
    }

    [Fact]
    public void What_is_reached_stays_reached_and_a_mean_is_only_when_the_term_is_over()
    {
        var facts = Facts(On(20), Read(0, 0.9, 1200));
        On(20).Standing(GoalKind.Words, 1000, facts).Course.ShouldBe(Course.Reached);
        On(20).Standing(GoalKind.Comprehension, 80, facts).Course.ShouldNotBe(Course.Reached);
        On(60).Standing(GoalKind.Comprehension, 80, facts).Course.ShouldBe(Course.Reached);
        On(60).Standing(GoalKind.Words, 5000, facts).Course.ShouldBe(Course.Behind);
    }

    [Fact]
    public void Who_has_stopped_is_behind()
    {
        var facts = Facts(On(41), Read(0, 0.9, 900), Read(8, 0.9, 900));
        On(41).Standing(GoalKind.Words, 6000, facts).Course.ShouldBe(Course.Behind);
    }

    [Fact]
    public void A_class_of_which_nothing_is_known_is_thought_to_read_a_little()
    {
        ClassWeek.Of([], 4000).Words.ShouldBe(1000);
        var known = ClassWeek.Of([new(400, [], 4), new(1500, [], 5), new(0, [], 0)], 4000);
        known.Words.ShouldBe(1000);
        known.Sd.ShouldBe(500, 1e-9);
    }

    [Fact]
    public void Every_kind_has_bounds_says_when_they_are_left_and_can_be_reckoned_with()
    {
        var facts = Facts(On(16), Read(0, 0.9, 150));
        foreach (var kind in Enum.GetValues<GoalKind>())
        {
            var (least, most) = kind.Bounds();
            least.ShouldBeLessThan(most);
            kind.Fault().ToString().ShouldContain(most.ToString("N0"));
            var suggested = On(16).Suggest(kind, facts);
            suggested.ShouldBeInRange(least, most);
            On(16).Standing(kind, suggested, facts).Target.ShouldBe(suggested);
            TermSoFar.SoFar(kind, facts).ShouldNotBeNull();
        }
    }
}
