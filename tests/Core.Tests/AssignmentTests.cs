using CsCheck;
using DeepCurrent.Core.Assignments;
using DeepCurrent.Core.Schools;
using DeepCurrent.Core.Tickets;

namespace Core.Tests;

public sealed class AssignmentTests
{
    private static readonly ClassId Tern = ClassId.New();
    private static readonly GroupId Kelp = GroupId.New(),
        Mill = GroupId.New();
    private static readonly ReaderId[] Roster = [.. Enumerable.Range(0, 8).Select(_ => ReaderId.New())];
    private static readonly Dictionary<GroupId, IReadOnlyList<ReaderId>> Groups = new()
    {
        [Kelp] = Roster[..3],
        [Mill] = Roster[3..6],
    };

    private static readonly DateOnly Monday = new(2026, 11, 23);
    private static readonly SchoolCalendar Calendar = new(
        [(new(2026, 9, 1), new(2026, 12, 18))],
        [Monday.AddDays(7)] // The Monday after is a staff day.
    );

    private static IReadOnlyList<ReaderId> Meant(params Aim[] aims) => Aims.Readers(aims, Tern, Roster, Groups);

    [Fact]
    public void Results_have_a_day_that_moves_with_the_work_and_points_within_reason()
    {
        var terms = new AssignmentTerms(Monday, Monday.AddDays(2), ReleasesOn: Monday.AddDays(4));
        terms.Faults(Monday).ShouldBeEmpty();
        (terms with { ReleasesOn = Monday.AddDays(-1) }).Faults(Monday).Single().Field.ShouldBe("releasesOn");
        (terms with { Worth = 1001 }).Faults(Monday).Single().Field.ShouldBe("worth");
        (terms with { Worth = -1 }).Faults(Monday).Single().Field.ShouldBe("worth");
        var moved = terms.Moved(7, Calendar);
        (moved.ReleasesOn!.Value.DayNumber - moved.VisibleFrom.DayNumber).ShouldBe(4);
    }

    [Fact]
    public void Aims_mean_a_class_its_groups_and_its_readers_each_once()
    {
        Meant(new Aim(Tern)).ShouldBe(Roster);
        Meant(new Aim(Tern, Mill), new(Tern, ReaderId: Roster[3]), new(Tern, ReaderId: Roster[7]))
            .ShouldBe([.. Roster[3..6], Roster[7]]);
        Meant(new Aim(Tern, GroupId.New())).ShouldBeEmpty("a group that is gone is nobody");
        Meant(new Aim(ClassId.New())).ShouldBeEmpty("another class is another matter");
        Meant(new Aim(Tern, ReaderId: ReaderId.New())).ShouldBeEmpty("who has left is left out");
    }

    [Fact]
    public void Who_is_chosen_is_meant_again_whatever_aims_that_comes_to() =>
        Gen.Int[0, 255]
            .Sample(bits =>
            {
                var chosen = Roster.Where((_, i) => (bits & (1 << i)) != 0).ToList();
                Aims.Readers(Aims.Of(Tern, chosen, Roster, Groups), Tern, Roster, Groups).ShouldBe(chosen);
            });

    [Fact]
    public void A_whole_class_and_a_whole_group_are_meant_as_such()
    {
        Aims.Of(Tern, Roster, Roster, Groups).ShouldBe([new(Tern)]);
        Aims.Of(Tern, Roster[3..6], Roster, Groups).ShouldBe([new(Tern, Mill)]);
        Aims.Of(Tern, Roster[3..5], Roster, Groups).Count.ShouldBe(2);
    }

    [Fact]
    public void An_assignment_lies_in_the_row_of_those_it_is_for()
    {
        WeekRow Row(params ReaderId[] readers) =>
            WeekRow.Of([.. readers.Select(r => new Aim(Tern, ReaderId: r))], readers, Groups, Roster.Length);

        WeekRow.Of([new(Tern)], [], Groups, Roster.Length).Kind.ShouldBe(WeekRowKind.Everybody);
        WeekRow.Of([new(Tern, Mill)], [], Groups, Roster.Length).ShouldBe(new(WeekRowKind.Group, Mill));
        Row(Roster[0], Roster[2]).ShouldBe(new(WeekRowKind.Group, Kelp));
        Row(Roster[0]).Kind.ShouldBe(WeekRowKind.Single);
        Row(Roster[0], Roster[4]).Kind.ShouldBe(WeekRowKind.Single);
        Row([.. Roster.Take(5)]).Kind.ShouldBe(WeekRowKind.Everybody);
    }

    [Fact]
    public void What_is_due_is_due_after_it_is_seen_and_not_in_the_past()
    {
        string[] Wrong(AssignmentTerms terms, AssignmentTerms? before = null) =>
            [.. terms.Faults(Monday, before).Select(f => f.Field)];

        Wrong(new(Monday, Monday.AddDays(4))).ShouldBeEmpty();
        Wrong(new(Monday, null)).ShouldBeEmpty();
        Wrong(new(Monday.AddDays(2), Monday.AddDays(1))).ShouldBe(["dueOn"]);
        Wrong(new(Monday.AddDays(-9), Monday.AddDays(-1))).ShouldBe(["dueOn"]);
        var late = new AssignmentTerms(Monday.AddDays(-9), Monday.AddDays(-1));
        Wrong(late with { Directions = "Read it twice." }, late).ShouldBeEmpty("what was due stays due");
        Wrong(new(Monday, null, new string('h', 61), new string('d', 501), new string('n', 501)))
            .ShouldBe(["heading", "directions", "note"]);
        new AssignmentTerms(Monday, null, " Mill ", " d ", " n ").Tidy().ShouldBe(new(Monday, null, "Mill", "d", "n"));
    }

    [Fact]
    public void What_is_not_seen_yet_is_planned()
    {
        new AssignmentTerms(Monday, null).Begins(Monday).ShouldBe(TicketState.Waiting);
        new AssignmentTerms(Monday.AddDays(1), null).Begins(Monday).ShouldBe(TicketState.Planned);
    }

    [Fact]
    public void A_week_later_means_the_same_school_days()
    {
        // Monday to Tuesday, and the Monday after is off: Tuesday to Wednesday.
        new AssignmentTerms(Monday, Monday.AddDays(1))
            .Moved(7, Calendar)
            .ShouldBe(new(Monday.AddDays(8), Monday.AddDays(9)));
        new AssignmentTerms(Monday.AddDays(2), Monday.AddDays(4))
            .Moved(7, Calendar)
            .ShouldBe(new(Monday.AddDays(9), Monday.AddDays(11)));
        new AssignmentTerms(Monday, null).Moved(7, Calendar).ShouldBe(new(Monday.AddDays(8), null));
    }

    [Fact]
    public void Wherever_it_is_moved_it_is_due_after_it_is_seen_and_on_a_school_day_where_one_is_near() =>
        Gen.Select(Gen.Int[-60, 10], Gen.Int[0, 20], Gen.Int[-40, 40])
            .Sample(
                (from, length, days) =>
                {
                    var before = new AssignmentTerms(Monday.AddDays(from), Monday.AddDays(from + length));
                    var after = before.Moved(days, Calendar);
                    after.DueOn!.Value.ShouldBeGreaterThanOrEqualTo(after.VisibleFrom);
                    if (after.VisibleFrom < new DateOnly(2026, 12, 18) && after.VisibleFrom > new DateOnly(2026, 9, 1))
                        Calendar.IsSchoolDay(after.VisibleFrom).ShouldBeTrue();
                }
            );

    [Fact]
    public void An_assignment_closes_after_its_last_day_and_for_nobody_before_their_own()
    {
        var terms = new AssignmentTerms(Monday, Monday.AddDays(2), ClosesOn: Monday.AddDays(4));
        terms.Closed(Monday.AddDays(4)).ShouldBeFalse();
        terms.Closed(Monday.AddDays(5)).ShouldBeTrue();
        terms.Closed(Monday.AddDays(5), own: Monday.AddDays(5)).ShouldBeFalse();
        terms.Closed(Monday.AddDays(5), own: Monday.AddDays(1)).ShouldBeTrue();
        (terms with { ClosesOn = null }).Closed(Monday.AddDays(300)).ShouldBeFalse();
    }

    [Fact]
    public void Moved_terms_close_as_long_after_they_are_due_as_before_and_have_no_new_faults() =>
        Gen.Select(Gen.Int[0, 11], Gen.Int[0, 4], Gen.Int[0, 6], Gen.Int[-7, 14])
            .Sample(x =>
            {
                var (from, length, open, days) = x;
                var due = Monday.AddDays(from + length);
                var terms = new AssignmentTerms(Monday.AddDays(from), due, ClosesOn: due.AddDays(open));
                var moved = terms.Moved(days, Calendar);
                (moved.ClosesOn!.Value.DayNumber - moved.DueOn!.Value.DayNumber).ShouldBe(open);
                moved.Faults(Monday.AddDays(-30)).ShouldBeEmpty();
            });

    [Fact]
    public void Extra_work_waits_for_the_rest()
    {
        new AssignmentTerms(Monday, null).Begins(Monday).ShouldBe(TicketState.Waiting);
        new AssignmentTerms(Monday, null, Need: Need.Extra).Begins(Monday).ShouldBe(TicketState.Planned);
    }

    [Fact]
    public void Any_order_of_steps_ends_where_a_life_allows_and_loses_no_round() =>
        Gen.Enum<TicketStep>()
            .Array[0, 40]
            .Sample(steps =>
            {
                var (state, round, done) = (TicketState.Waiting, 1, 0);
                foreach (var step in steps)
                {
                    if (TicketLife.After(state, step, round, marked: true) is not { } next)
                        continue;
                    if (step is TicketStep.HandedIn)
                        done = round;
                    if (TicketLife.Begun(step) is not null)
                    {
                        TicketLife.Done(state).ShouldBeTrue("a round begins after one that was handed in");
                        round++;
                    }
                    // What was handed in is never gone: taking back and closing only end what was not.
                    if (step is TicketStep.TakenBack or TicketStep.Closed && done > 0)
                    {
                        TicketLife.Done(next).ShouldBeTrue($"{state} {step}");
                        round = done;
                    }
                    state = next;
                }
                if (state is TicketState.TakenBack or TicketState.Closed)
                    done.ShouldBe(0);
            });
}

public sealed class RoundTests
{
    [Fact]
    public void Sent_back_and_given_again_begin_rounds_and_nothing_else_does()
    {
        foreach (var step in Enum.GetValues<TicketStep>())
            (TicketLife.Begun(step) is not null).ShouldBe(step is TicketStep.SentBack or TicketStep.GivenAgain);
        TicketLife.After(TicketState.Released, TicketStep.GivenAgain).ShouldBe(TicketState.Waiting);
        TicketLife.After(TicketState.Waiting, TicketStep.GivenAgain).ShouldBeNull("it is there already");
    }

    [Fact]
    public void Taking_back_a_later_round_ends_that_round_only()
    {
        TicketLife.After(TicketState.Waiting, TicketStep.TakenBack, 1, true).ShouldBe(TicketState.TakenBack);
        TicketLife.After(TicketState.Waiting, TicketStep.TakenBack, 2, true).ShouldBe(TicketState.Released);
        TicketLife.After(TicketState.SentBack, TicketStep.TakenBack, 2, false).ShouldBe(TicketState.ToMark);
        TicketLife.After(TicketState.Released, TicketStep.TakenBack, 2, true).ShouldBeNull();
    }

    [Fact]
    public void Whatever_happens_in_whatever_order_a_ticket_that_was_handed_in_is_never_lost() =>
        Gen.Enum<TicketStep>()
            .Array[0, 40]
            .Sample(steps =>
            {
                var (state, round, handedIn) = (TicketState.Planned, 1, false);
                foreach (var step in steps)
                {
                    if (TicketLife.After(state, step, round, marked: handedIn) is not { } next)
                        continue;
                    handedIn |= step is TicketStep.HandedIn;
                    round += TicketLife.Begun(step) is null ? 0 : 1;
                    state = next;
                    if (handedIn)
                        state.ShouldNotBe(TicketState.TakenBack);
                    if (round > 1)
                        handedIn.ShouldBeTrue("a round follows work that was handed in");
                }
            });

    [Fact]
    public void A_change_is_taken_over_in_what_it_changed_and_in_nothing_else()
    {
        var day = new DateOnly(2026, 11, 23);
        var before = new AssignmentTerms(day, day.AddDays(4), "Storms", "Read it.", Note: "Both groups");
        var after = before with { DueOn = day.AddDays(6), Directions = "Read it twice.", Worth = 50 };
        var other = before with { Heading = "Mills", Note = "Only one", Talk = true, Worth = 10 };
        other
            .Changed(before, after)
            .ShouldBe(other with { DueOn = day.AddDays(6), Directions = "Read it twice.", Worth = 50 });
        other.Changed(before, before).ShouldBe(other);
        before.Changed(before, after).ShouldBe(after);
    }
}
