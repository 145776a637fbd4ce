using CsCheck;
using DeepCurrent.Core;
using DeepCurrent.Core.Grouping;
using DeepCurrent.Core.Meetings;
using DeepCurrent.Core.Questions;

namespace Core.Tests;

public sealed class MeetingTests
{
    private static readonly DateOnly Monday = new(2026, 11, 23);
    private static readonly DateOnly[] Week = [.. Enumerable.Range(0, 5).Select(d => Monday.AddDays(d))];

    private static PointEvidence Reader(int inferRight, int inferAsked, int? pace = null, int words = 0) =>
        new(
            ReaderId.New(),
            new Dictionary<Strand, (int, int)>
            {
                [Strand.Infer] = (inferRight, inferAsked),
                [Strand.Retrieve] = (9, 10),
            },
            pace,
            words
        );

    [Fact]
    public void The_point_is_what_most_of_the_group_need()
    {
        var points = TeachingPoints.For([Reader(2, 9), Reader(3, 9), Reader(9, 9, pace: 20), Reader(8, 9)]);
        points
            .Select(p => (p.Kind, p.Strand, p.Readers.Count))
            .ShouldBe([(PointKind.Strand, Strand.Infer, 2), (PointKind.Fluency, (Strand?)null, 1)]);
        points[0].Why.ToString().ShouldNotBeNull();
        TeachingPoints.For([Reader(9, 9, words: 4)]).Select(p => p.Kind).ShouldBe([PointKind.Words]);
        TeachingPoints.For([Reader(0, 2)]).ShouldBeEmpty();
        TeachingPoints.For([]).ShouldBeEmpty();
    }

    [Fact]
    public void Every_kind_of_point_has_phrases_and_no_phrase_is_for_two()
    {
        var all = Enum.GetValues<PointKind>().SelectMany(TeachingPoints.Phrases).ToList();
        all.Order().ShouldBe(Enum.GetValues<Observation>());
    }

    [Theory]
    [InlineData(0, 0, 1, null)]
    [InlineData(1, 1, 4, NextMove.Another)]
    [InlineData(4, 1, 1, NextMove.Easier)]
    [InlineData(1, 1, 2, NextMove.Again)]
    public void The_next_meeting_follows_from_what_was_seen(int notYet, int withHelp, int alone, NextMove? expected)
    {
        SeenMark[] seen =
        [
            .. Enumerable.Repeat(SeenMark.NotYet, notYet),
            .. Enumerable.Repeat(SeenMark.WithHelp, withHelp),
            .. Enumerable.Repeat(SeenMark.Alone, alone),
        ];
        NextMeeting.After(seen)?.Move.ShouldBe(expected!.Value);
        (NextMeeting.After(seen) is null).ShouldBe(expected is null);
    }

    [Fact]
    public void Every_group_meets_before_any_meets_twice_and_need_says_who_meets_more()
    {
        GroupToMeet[] groups = [new(GroupId.New(), 1, []), new(GroupId.New(), 6, []), new(GroupId.New(), 1, [])];
        var plan = MeetingWeek.Plan(groups, Week, 5, 2);
        plan.Count.ShouldBe(5);
        plan.Count(m => m.Group == groups[1].Group).ShouldBe(3);
        // Monday, Wednesday, Friday, or as far apart as there is room.
        plan.Where(m => m.Group == groups[1].Group).Select(m => m.Day).Distinct().Count().ShouldBe(3);
    }

    [Fact]
    public void Two_without_a_day_in_common_are_in_no_group_together_and_a_weekend_is_no_day()
    {
        DayOfWeek[] early = [DayOfWeek.Monday, DayOfWeek.Tuesday, DayOfWeek.Wednesday];
        DayOfWeek[] late = [DayOfWeek.Thursday, DayOfWeek.Friday];
        SharedDays.None([("a", early), ("b", late), ("c", early)]).ShouldBe([new("a", "b"), new("b", "c")]);
        SharedDays.None([("a", early), ("b", [DayOfWeek.Thursday, DayOfWeek.Saturday])]).ShouldBeEmpty();
        SharedDays.None([("a", [.. early, .. late])]).ShouldBeEmpty();
    }

    [Fact]
    public void A_group_meets_on_the_days_when_most_can_come()
    {
        GroupToMeet group = new(GroupId.New(), 1, [])
        {
            Missing = new Dictionary<DateOnly, int>
            {
                [Week[0]] = 2,
                [Week[1]] = 1,
                [Week[2]] = 1,
            },
        };
        MeetingWeek.Plan([group], Week, 2, 2).Select(m => m.Day).ShouldBe([Week[3], Week[4]]);
        // Where nobody can be spared, it meets all the same.
        MeetingWeek.Plan([group], [Week[0]], 1, 2).ShouldHaveSingleItem().Day.ShouldBe(Week[0]);
    }

    [Fact]
    public void What_is_held_already_counts_and_full_days_stay_as_they_are()
    {
        GroupToMeet[] groups = [new(GroupId.New(), 1, [Monday]), new(GroupId.New(), 1, [Monday])];
        MeetingWeek.Plan(groups, [Monday], 4, 2).ShouldBeEmpty();
        MeetingWeek.Plan(groups, Week, 2, 2).ShouldBeEmpty();
        MeetingWeek.Plan(groups, [], 4, 2).ShouldBeEmpty();
        MeetingWeek.Plan([], Week, 4, 2).ShouldBeEmpty();
        Should.Throw<ArgumentOutOfRangeException>(() => MeetingWeek.Plan(groups, Week, -1, 2));
    }

    [Fact]
    public void A_plan_never_breaks_what_was_asked() =>
        Gen.Select(Gen.Int[0, 6], Gen.Int[0, 5], Gen.Int[0, 20], Gen.Int[0, 4])
            .Sample(
                (groups, days, wanted, aDay) =>
                {
                    GroupToMeet[] all =
                    [
                        .. Enumerable.Range(0, groups).Select(i => new GroupToMeet(GroupId.New(), i, [])),
                    ];
                    var plan = MeetingWeek.Plan(all, Week[..days], wanted, aDay);
                    plan.Count.ShouldBe(Math.Min(wanted, Math.Min(days * aDay, groups * days)));
                    plan.GroupBy(m => m.Day).ShouldAllBe(d => d.Count() <= aDay);
                    plan.Distinct().Count().ShouldBe(plan.Count);
                    var counts = all.Select(g => plan.Count(m => m.Group == g.Group)).ToList();
                    if (counts.Contains(0))
                        counts.ShouldAllBe(c => c <= 1);
                }
            );
}
