using CsCheck;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Goals;
using DeepCurrent.Core.Grouping;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Readers;
using DeepCurrent.Core.Schools;
using DeepCurrent.Core.Signals;
using DeepCurrent.Core.Tickets;

namespace Core.Tests;

public sealed class TicketTests
{
    [Fact]
    public void A_ticket_goes_its_way()
    {
        var state = TicketState.Planned;
        foreach (
            var (step, next) in new[]
            {
                (TicketStep.BecomesVisible, TicketState.Waiting),
                (TicketStep.Opened, TicketState.UnderWay),
                (TicketStep.HandedIn, TicketState.HandedIn),
                (TicketStep.ScoredWhole, TicketState.Released),
                (TicketStep.SentBack, TicketState.SentBack),
                (TicketStep.Opened, TicketState.UnderWay),
                (TicketStep.TakenBack, TicketState.TakenBack),
            }
        )
        {
            state = TicketLife.After(state, step) ?? throw new Xunit.Sdk.XunitException($"{state} refuses {step}");
            state.ShouldBe(next);
        }
    }

    [Theory]
    [InlineData(TicketState.Waiting, TicketStep.HandedIn)]
    [InlineData(TicketState.Released, TicketStep.Opened)]
    [InlineData(TicketState.TakenBack, TicketStep.Opened)]
    [InlineData(TicketState.Planned, TicketStep.Opened)]
    public void What_makes_no_sense_does_not_happen(TicketState state, TicketStep step) =>
        TicketLife.After(state, step).ShouldBeNull();

    [Fact]
    public void A_step_leads_on_from_the_states_that_are_named_for_it_and_from_no_other()
    {
        foreach (var step in Enum.GetValues<TicketStep>())
            Enum.GetValues<TicketState>()
                .Where(s => TicketLife.After(s, step) is not null)
                .ShouldBe(TicketLife.From(step), $"{step}");
        TicketLife
            .From(TicketStep.TakenBack)
            .ShouldBe(
                [TicketState.Planned, TicketState.Waiting, TicketState.UnderWay],
                "what was handed in is not taken back"
            );
    }

    [Fact]
    public void A_ticket_is_hidden_open_or_done_and_only_one_of_them()
    {
        foreach (var state in Enum.GetValues<TicketState>())
        {
            bool[] one = [!TicketLife.Seen(state), TicketLife.Open(state), TicketLife.Done(state)];
            one.Count(x => x).ShouldBe(1, $"{state}");
            if (TicketLife.AtMarking(state))
                TicketLife.Done(state).ShouldBeTrue($"{state}");
            if (TicketLife.Open(state))
                TicketLife.After(state, TicketStep.Opened).ShouldBe(TicketState.UnderWay);
        }
    }

    [Theory]
    [InlineData(TicketState.Waiting, EarlierReading.Given)]
    [InlineData(TicketState.UnderWay, EarlierReading.UnderWay)]
    [InlineData(TicketState.ToMark, EarlierReading.Read)]
    [InlineData(TicketState.Released, EarlierReading.Read)]
    public void A_text_was_had_before_as_its_ticket_stands(TicketState state, EarlierReading before) =>
        EarlierReadings.Of(state).ShouldBe(before);

    [Fact]
    public void Attempts_become_tide_marks_and_a_score()
    {
        AttemptMark[] marks =
        [
            TicketLife.MarkOf([true]),
            TicketLife.MarkOf([false, true]),
            TicketLife.MarkOf([false, false]),
            TicketLife.MarkOf([]),
        ];
        marks.ShouldBe([
            AttemptMark.RightAtOnce,
            AttemptMark.AfterAnotherTry,
            AttemptMark.NotYet,
            AttemptMark.Unanswered,
        ]);
        TicketLife.Score(marks).ShouldBe(0.25);
        TicketLife.MayTry([false], 2).ShouldBeTrue();
        TicketLife.MayTry([true], 2).ShouldBeFalse();
        TicketLife.MayTry([false, false], 2).ShouldBeFalse();
    }
}

public sealed class GoalTests
{
    private static readonly SchoolCalendar Calendar = new(
        [(new(2026, 9, 7), new(2026, 12, 18))],
        [new DateOnly(2026, 10, 26)]
    );

    [Fact]
    public void School_days_leave_out_weekends_holidays_and_days_off()
    {
        Calendar.SchoolDays(new(2026, 10, 19), new(2026, 10, 30)).ShouldBe(9);
        Calendar.SchoolDays(new(2026, 12, 19), new(2027, 1, 10)).ShouldBe(0);
        Calendar.SchoolWeeks(new(2026, 9, 7), new(2026, 9, 21)).ShouldBe(2, 1e-9);
    }

    [Fact]
    public void Silent_rate_follows_the_published_rates()
    {
        GoalRules.SilentRate(LevelChart.Default.DepthAt(3), LevelChart.Default).ShouldBe(138, 0.1);
        GoalRules.SilentRate(LevelChart.Default.DepthAt(12), LevelChart.Default).ShouldBe(250, 0.1);
        GoalRules.SilentRate(new(-20), LevelChart.Default).ShouldBe(50, 0.1);
    }

    [Fact]
    public void Words_are_suggested_from_what_the_reader_reads()
    {
        GoalRules.SuggestWords(1200, 300, 10_500, 4).ShouldBe(2700);
        GoalRules.SuggestWords(0, 0, 10_500, 4).ShouldBe(200, "a goal asks for something");
        GoalRules
            .SuggestWords(1200, 30_000, 5_000, 4)
            .ShouldBe(21_000, "and for no more than the school's minutes come to");
    }

    [Fact]
    public void No_chance_is_nothing_or_certain() =>
        Gen.Select(Gen.Int[0, 8], Gen.Double[1, 90_000], Gen.Double[0, 12])
            .Sample(
                (n, target, left) =>
                {
                    var s = GoalRules.Words(
                        target,
                        [.. Enumerable.Range(0, n).Select(i => new WeekOfReading(100 * i, [0.8]))],
                        left,
                        0.5
                    );
                    return s.Course == Course.Reached || s.Chance is >= 0.05 and <= 0.95;
                }
            );

    [Fact]
    public void Depth_is_suggested_by_pace()
    {
        double Up(Pace p) => GoalRules.SuggestDepth(new(30), p, 10, LevelChart.Default).Value - 30;
        Up(Pace.Brisk).ShouldBe(1.5 * Up(Pace.Steady), 1e-9);
        Up(Pace.Swift).ShouldBe(2 * Up(Pace.Steady), 1e-9);
    }

    [Fact]
    public void A_steady_reader_is_on_course_and_a_stopped_one_is_behind()
    {
        var weeks = Enumerable.Range(0, 8).Select(i => new WeekOfReading(900 + i % 3 * 100, [0.8])).ToList();
        GoalRules.Words(13_000, weeks, 6, 8 / 14.0).Course.ShouldBe(Course.OnCourse);
        var stopped = GoalRules.Words(
            13_000,
            [.. weeks.Take(2), .. Enumerable.Repeat(new WeekOfReading(0, []), 6)],
            6,
            8 / 14.0
        );
        stopped.Course.ShouldBe(Course.Behind);
        stopped.Chance.ShouldBeLessThan(0.1);
    }

    [Fact]
    public void What_is_reached_stays_reached() =>
        GoalRules.Words(1000, [new(1200, [])], 5, 0.3).Course.ShouldBe(Course.Reached);

    [Fact]
    public void The_chance_never_rises_with_the_target() =>
        Gen.Double[0, 2000]
            .Array[1, 10]
            .Select(Gen.Int[100, 20_000])
            .Sample(
                (words, target) =>
                {
                    var weeks = words.Select(w => new WeekOfReading(w, [])).ToList();
                    return GoalRules.Words(target, weeks, 5, 0.5).Chance
                        >= GoalRules.Words(target + 500, weeks, 5, 0.5).Chance;
                },
                iter: 40
            );
}

public sealed class GroupTests
{
    private static GroupCandidate Reader(int i, double depth) => new(i.ToString(), new(depth), []);

    [Fact]
    public void Two_clusters_become_two_groups()
    {
        var readers = new[] { 20.0, 21, 22, 40, 41, 42 }.Select((d, i) => Reader(i, d)).ToList();
        var plan = GroupPlanner.Propose(readers, new(2, 3, 3));
        plan.Groups.Select(g => g.Readers.Select(r => r.Depth.Value))
            .ShouldBe([
                [20, 21, 22],
                [40, 41, 42],
            ]);
        plan.Cost.ShouldBe(4, 0.01);
        plan.Gap.ShouldBe(0);
    }

    [Fact]
    public void Everybody_is_placed_once_and_sizes_are_kept() =>
        Gen.Double[10, 50]
            .Array[6, 14]
            .Sample(
                depths =>
                {
                    var readers = depths.Select((d, i) => Reader(i, d)).ToList();
                    var plan = GroupPlanner.Propose(readers, new(2, 3, 8), 2);
                    return plan.Groups.SelectMany(g => g.Readers)
                            .Select(r => r.Key)
                            .Order()
                            .SequenceEqual(readers.Select(r => r.Key).Order())
                        && plan.Groups.All(g =>
                            g.Readers.Count is >= 3 and <= 8 && g.Readers.Contains(g.Representative)
                        );
                },
                iter: 12,
                threads: 1
            );

    [Fact]
    public void No_better_plan_exists_on_a_small_class()
    {
        var random = new Random(5);
        var readers = Enumerable.Range(0, 8).Select(i => Reader(i, 20 + random.NextDouble() * 20)).ToList();
        double Cost(IEnumerable<GroupCandidate> group) => group.Min(m => group.Sum(r => GroupPlanner.Distance(r, m)));
        var best = Enumerable
            .Range(0, 256)
            .Select(bits =>
                (
                    readers.Where((_, i) => (bits >> i & 1) == 1).ToList(),
                    readers.Where((_, i) => (bits >> i & 1) == 0).ToList()
                )
            )
            .Where(s => s.Item1.Count is >= 3 and <= 5 && s.Item2.Count is >= 3 and <= 5)
            .Min(s => Cost(s.Item1) + Cost(s.Item2));
        GroupPlanner.Propose(readers, new(2, 3, 5)).Cost.ShouldBe(best, 0.1);
    }

    [Fact]
    public void A_shared_need_outweighs_a_little_depth() =>
        GroupPlanner.Distance(new("a", new(30), [50, 90]), new("b", new(30), [90, 90])).ShouldBe(4, 1e-9);

    [Theory]
    [InlineData(9, 3, 8, 24, "9 groups of at least 3 need 27 readers. There are 24.")]
    [InlineData(2, 3, 8, 24, "2 groups of at most 8 hold 16 readers. There are 24.")]
    [InlineData(0, 3, 8, 24, "Ask for at least one group.")]
    [InlineData(2, 5, 3, 8, "Group sizes from 5 to 3 do not fit. Set the smallest below the largest.")]
    public void Rules_that_cannot_be_met_say_why(int groups, int smallest, int largest, int readers, string why) =>
        new GroupRules(groups, smallest, largest).Conflict(readers)!.ToString().ShouldBe(why);
}

public sealed class SignalTests
{
    private static readonly DateTimeOffset Now = new(2026, 11, 23, 9, 0, 0, TimeSpan.Zero);

    private static FinishedReading Reading(double score, double seconds = 300) =>
        new("T", Now, score, 0.8, seconds, 600);

    private static IReadOnlyList<SignalKind> Kinds(
        IReadOnlyList<FinishedReading> readings,
        int right = 0,
        int asked = 0,
        int quiet = 0
    ) =>
        [
            .. SignalRules
                .For(readings, new Dictionary<Strand, (int, int)> { [Strand.Infer] = (right, asked) }, 120, quiet, Now)
                .Select(s => s.Kind),
        ];

    [Fact]
    public void The_strand_most_missed_comes_first_whatever_order_they_came_in()
    {
        (Strand Strand, (int, int) Counts)[] missed =
        [
            (Strand.Retrieve, (2, 6)),
            (Strand.Infer, (1, 6)),
            (Strand.Structure, (4, 12)),
            (Strand.Connect, (6, 6)),
        ];
        foreach (var order in new[] { missed, [.. missed.Reverse()] })
            SignalRules
                .For([], order.ToDictionary(m => m.Strand, m => m.Counts), 120, 0, Now)
                .Select(s => s.Strand!.Value)
                .ShouldBe([Strand.Infer, .. new[] { Strand.Retrieve, Strand.Structure }.Order()]);
    }

    [Fact]
    public void Each_rule_fires_on_its_own_evidence_and_on_nothing_less()
    {
        Kinds([Reading(.55), Reading(.5), Reading(.42)]).ShouldBe([SignalKind.OutOfDepth]);
        Kinds([Reading(.55), Reading(.5), Reading(.6)]).ShouldBeEmpty();
        Kinds([Reading(1), Reading(.9), Reading(.86)]).ShouldBe([SignalKind.ReadyToMoveDeeper]);
        Kinds([Reading(1), Reading(.9)]).ShouldBeEmpty();
        Kinds([Reading(.8, seconds: 48)]).ShouldBe([SignalKind.FlickedThrough]);
        Kinds([], right: 2, asked: 5).ShouldBe([SignalKind.SameStrandMissed]);
        Kinds([], right: 2, asked: 4).ShouldBeEmpty();
        Kinds([], quiet: 10).ShouldBe([SignalKind.NothingRead]);
    }
}

public sealed class PeopleTests
{
    [Theory]
    [InlineData("Siân", "Bowen", "sian.b")]
    [InlineData("Bjørn", "Haugland", "bjorn.h")]
    [InlineData("Mary-Jane", "O’Hara", "maryjane.o")]
    [InlineData("Yıldız", "", "yildiz")]
    [InlineData("小明", "王", "reader")]
    [InlineData("Дмитро", "Їжак", "dmitro.y")]
    [InlineData("Ελένη", "Ψαρρά", "eleni.p")]
    public void User_names_are_plain(string given, string family, string expected) =>
        SignInRules.UserName(given, family).ShouldBe(expected);

    [Fact]
    public void Twin_names_get_a_number()
    {
        var taken = new HashSet<string> { "ana.c", "ana.c2" };
        var names = new UserNames(taken);
        names.Take(SignInRules.UserName("Ana", "Cruz")).ShouldBe("ana.c3");
        names.Take(SignInRules.UserName("Ana", "Castro")).ShouldBe("ana.c4");
    }

    [Fact]
    public void Secrets_are_three_different_pictures() =>
        Gen.Int.Sample(seed =>
        {
            var s = SignInRules.NewPictures(new Random(seed));
            return SignInRules.IsSecret(s) && s.Distinct().Count() == 3;
        });
}
