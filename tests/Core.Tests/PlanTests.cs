using System.Globalization;
using CsCheck;
using DeepCurrent.Core.Assignments;
using DeepCurrent.Core.Plans;
using DeepCurrent.Core.Schools;

namespace Core.Tests;

/// <summary>Plans: saved from a week, laid on another.</summary>
public sealed class PlanTests
{
    private static readonly DateOnly Monday = new(2026, 11, 2);

    /// <summary>Two terms with a week between them, and a single day off.</summary>
    private static readonly SchoolCalendar Calendar = new(
        [(Monday, new(2026, 12, 18)), (new(2026, 12, 28), new(2027, 3, 26))],
        [new(2026, 11, 11)]
    );

    private static PlanItem Item(int week, int day = 0, int? days = 4, string title = "The Ferry Cat") =>
        new(week, day, days, TaskKind.Text, title, TextId.New(), null, 2, true, false, "", "");

    [Fact]
    public void Weeks_without_school_are_skipped()
    {
        Plan.Weeks(new(2026, 12, 16), 3, Calendar).ShouldBe([new(2026, 12, 14), new(2026, 12, 28), new(2027, 1, 4)]);
        Plan.Weeks(new(2028, 1, 3), 2, Calendar).Count.ShouldBe(2, "where the calendar ends, weeks go on");
    }

    [Fact]
    public void Each_task_lies_in_its_week_on_school_days()
    {
        var terms = Plan.Lay([Item(0), Item(1, day: 2), Item(2, days: null)], inOrder: true, Monday, Calendar);
        terms.Select(t => t.VisibleFrom).ShouldBe([Monday, new(2026, 11, 12), new(2026, 11, 16)]);
        terms[0].DueOn.ShouldBe(new DateOnly(2026, 11, 6));
        terms[2].ShouldBe(terms[2] with { DueOn = null, Need = Need.Recommended });
    }

    [Fact]
    public void Free_of_an_order_all_is_seen_at_once_and_due_at_the_end()
    {
        var terms = Plan.Lay([Item(0), Item(2)], inOrder: false, Monday, Calendar);
        terms.ShouldAllBe(t => t.VisibleFrom == Monday && t.DueOn == new DateOnly(2026, 11, 20));
    }

    [Fact]
    public void What_is_saved_from_a_week_lies_as_it_lay_where_nothing_is_in_the_way() =>
        Gen.Select(Gen.Int[0, 3], Gen.Int[0, 4], Gen.Int[0, 8], Gen.Bool)
            .Sample(
                (week, day, days, due) =>
                {
                    var seen = Monday.AddDays(7 * week + day);
                    var terms = new AssignmentTerms(seen, due ? seen.AddDays(days) : null, "Warm-up", "Read twice.");
                    var item = Plan.ItemOf(
                        Monday,
                        terms,
                        TaskKind.Text,
                        "Salt Letters",
                        TextId.New(),
                        null,
                        (2, true, false)
                    );
                    (item.Week, item.Day).ShouldBe((week, day));
                    var open = new SchoolCalendar([(Monday, Monday.AddDays(400))], []);
                    var laid = Plan.Lay([item], inOrder: true, Monday, open).ShouldHaveSingleItem();
                    laid.VisibleFrom.ShouldBe(seen);
                    laid.Heading.ShouldBe("Warm-up");
                    if (laid.DueOn is { } last)
                    {
                        open.IsSchoolDay(last).ShouldBeTrue();
                        last.ShouldBeGreaterThanOrEqualTo(seen);
                    }
                }
            );

    [Theory]
    [InlineData("2026-10-31", 0, 0)]
    [InlineData("2026-11-01", 0, 0)]
    [InlineData("2026-11-07", 1, 0)]
    [InlineData("2026-11-06", 0, 4)]
    public void What_is_seen_from_a_weekend_on_is_the_next_weeks(string seen, int week, int day)
    {
        var from = DateOnly.Parse(seen, CultureInfo.InvariantCulture);
        var terms = new AssignmentTerms(from, from.AddDays(6));
        var item = Plan.ItemOf(Monday, terms, TaskKind.Link, "Tides", null, null, (1, false, false));
        (item.Week, item.Day).ShouldBe((week, day));
        item.Days.ShouldBe(terms.DueOn!.Value.DayNumber - Monday.AddDays(7 * week + day).DayNumber);
    }

    [Fact]
    public void Everything_laid_is_seen_and_due_on_school_days_in_the_order_of_its_weeks() =>
        Gen.Select(Gen.Int[0, 6], Gen.Int[0, 4], Gen.Int[0, 10])
            .Array[1, 12]
            .Sample(all =>
            {
                var items = all.Select(x => Item(x.Item1, x.Item2, x.Item3)).ToList();
                var terms = Plan.Lay(items, inOrder: true, Monday, Calendar);
                foreach (var t in terms)
                {
                    Calendar.IsSchoolDay(t.VisibleFrom).ShouldBeTrue();
                    Calendar.IsSchoolDay(t.DueOn!.Value).ShouldBeTrue();
                }
                var weeks = items.Zip(terms).OrderBy(x => x.First.Week).ThenBy(x => x.First.Day).ToList();
                weeks.Zip(weeks.Skip(1)).ShouldAllBe(p => p.First.Second.VisibleFrom <= p.Second.Second.VisibleFrom);
            });

    [Fact]
    public void A_plan_has_a_name_and_tasks_within_a_year()
    {
        Plan.Faults("", []).Select(f => f.Field).ShouldBe(["name", "items"]);
        Plan.Faults("Autumn", [Item(40)]).Select(f => f.Field).ShouldBe(["items"]);
        Plan.Faults("Autumn", [Item(39, day: 4)]).ShouldBeEmpty();
        Plan.Faults("Autumn", [Item(0, day: 5)]).ShouldNotBeEmpty();
    }
}
