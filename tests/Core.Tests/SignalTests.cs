using DeepCurrent.Core;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Goals;
using DeepCurrent.Core.Measuring;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Schools;
using DeepCurrent.Core.Signals;

namespace Core.Tests;

public sealed class SignalTests
{
    private const int Questions = 8;
    private static readonly DateOnly First = new(2026, 9, 7);
    private static readonly DateOnly Today = new(2026, 11, 27);
    private static readonly SchoolCalendar Calendar = new([(First, new(2026, 12, 18))], [new DateOnly(2026, 10, 26)]);
    private static readonly double Ease = AnswerModel.Ease(Forecast.AtSameDepth, 0.25);

    /// <summary>A text at the reader's own level, so that 80 % of it is forecast.</summary>
    private static AnsweredReading Reading(
        int right,
        int daysAgo,
        double deeper = 0,
        double seconds = 300,
        int fast = 0,
        bool looked = true,
        Strand? strand = null
    )
    {
        var day = Today.AddDays(-daysAgo);
        var at = new DateTimeOffset(day.ToDateTime(new TimeOnly(10, 0)), TimeSpan.Zero);
        return new()
        {
            Ticket = TicketId.New(),
            Title = "T",
            At = at,
            Day = day,
            TextDepth = new(30 + deeper),
            Level = new(30),
            Sd = 2,
            Seconds = seconds,
            Words = 600,
            Tries =
            [
                .. Enumerable
                    .Range(0, Questions - fast)
                    .Select(i => new FirstTry(
                        QuestionId.New(),
                        strand ?? Strand.Retrieve,
                        new(new(30 + deeper - Ease), 0.25),
                        i < right
                    )),
            ],
            TooFast = fast,
            ReleasedAt = at,
            LookedAt = looked ? at.AddHours(1) : null,
        };
    }

    private static ReaderFacts Facts(params AnsweredReading[] readings) =>
        new()
        {
            Reader = ReaderId.New(),
            Readings = readings,
            Level = new(30),
            Sd = 2,
            Growth = 0.2,
            Rate = 120,
            Since = First,
            LastRead = readings.Length == 0 ? Today : readings[^1].Day,
            Waiting = 1,
        };

    private static IReadOnlyList<Signal> Find(ReaderFacts facts) => SignalRules.For(facts, Calendar, Today);

    private static IReadOnlyList<SignalKind> Kinds(ReaderFacts facts) => [.. Find(facts).Select(s => s.Kind)];

    [Fact]
    public void Texts_are_too_hard_three_times_below_the_forecast_in_a_row()
    {
        var found = Find(Facts(Reading(4, 6), Reading(3, 4), Reading(3, 2))).ShouldHaveSingleItem();
        found.Kind.ShouldBe(SignalKind.OutOfDepth);
        (found.First, found.Last).ShouldBe((Today.AddDays(-6), Today.AddDays(-2)));
        found.Points.Select(p => p.Value).ShouldBe([50, 37.5, 37.5]);
        found.Points.ShouldAllBe(p => p.Value < p.Low);
        Kinds(Facts(Reading(4, 6), Reading(3, 4))).ShouldBeEmpty();
        Kinds(Facts(Reading(4, 6), Reading(8, 4), Reading(3, 2))).ShouldBeEmpty();
    }

    [Fact]
    public void Texts_beyond_reach_are_too_hard_even_where_that_was_foretold()
    {
        Kinds(Facts(Reading(4, 6, 12), Reading(4, 4, 12), Reading(4, 2, 12))).ShouldBe([SignalKind.OutOfDepth]);
        Kinds(Facts(Reading(6, 6, 12), Reading(6, 4, 12), Reading(6, 2, 12))).ShouldBeEmpty();
    }

    [Fact]
    public void Deeper_texts_wait_where_readings_stand_above_the_forecast_again_and_again()
    {
        var three = new[] { Reading(8, 6, 4), Reading(8, 4, 4), Reading(8, 2, 4) };
        Kinds(Facts(three)).ShouldBe([SignalKind.ReadyToMoveDeeper]);
        Kinds(Facts([.. three[1..]])).ShouldBeEmpty();
        Kinds(Facts(Reading(7, 6), Reading(7, 4), Reading(7, 2))).ShouldBeEmpty();
    }

    [Fact]
    public void A_text_is_flicked_through_in_a_quarter_of_its_time()
    {
        // 600 words take 300 s at 120 words a minute.
        var found = Find(Facts(Reading(6, 3), Reading(6, 2, seconds: 70), Reading(6, 1, seconds: 48)))
            .ShouldHaveSingleItem();
        found.Kind.ShouldBe(SignalKind.FlickedThrough);
        found.Figures.ShouldBe([48, 5, 600]);
        found.First.ShouldBe(Today.AddDays(-2));
        Kinds(Facts(Reading(6, 2, seconds: 48), Reading(6, 1, seconds: 80))).ShouldBeEmpty();
    }

    [Fact]
    public void Answers_are_too_fast_where_many_were_of_the_last_three()
    {
        Kinds(Facts(Reading(3, 3, fast: 4), Reading(3, 2, fast: 4), Reading(3, 1, fast: 4)))
            .ShouldContain(SignalKind.TooFast);
        Kinds(Facts(Reading(6, 3, fast: 1), Reading(6, 2, fast: 1), Reading(6, 1, fast: 1))).ShouldBeEmpty();
    }

    [Fact]
    public void Turning_back_three_times_without_progress_is_a_signal_and_with_progress_none()
    {
        var pairs = Enumerable
            .Range(0, 3)
            .SelectMany(i => new[] { Reading(4, 30 - 6 * i, 2), Reading(7, 28 - 6 * i, -1) });
        AnsweredReading[] readings = [.. pairs];
        var found = Find(Facts(readings)).Single(s => s.Kind is SignalKind.BackAndForth);
        found.Figures[0].ShouldBe(3);
        found.Points.Count(p => p.Low is not null).ShouldBe(3);
        Kinds(Facts(readings[2..])).ShouldNotContain(SignalKind.BackAndForth);
        // Twice is enough where it was missed by far.
        Kinds(Facts(Reading(2, 20, 2), Reading(7, 18, -1), Reading(2, 14, 2), Reading(7, 12, -1)))
            .ShouldContain(SignalKind.BackAndForth);
        Kinds(Facts(readings) with { Level = new(33) }).ShouldNotContain(SignalKind.BackAndForth);
    }

    [Fact]
    public void A_strand_is_missed_again_only_after_its_feedback_was_read_and_only_if_others_are_not()
    {
        AnsweredReading Infer(int daysAgo, bool looked = true) =>
            Reading(2, daysAgo, strand: Strand.Infer, looked: looked);
        AnsweredReading Others(int daysAgo) => Reading(7, daysAgo);
        var found = Find(Facts(Infer(12), Others(9), Infer(6), Others(2)))
            .Single(s => s.Kind is SignalKind.SameStrandMissed);
        found.Strand.ShouldBe(Strand.Infer);
        found.Figures.ShouldBe([4, 16, 14, 16, 6]);
        Kinds(Facts(Infer(12, false), Others(9), Infer(6, false), Others(2)))
            .ShouldNotContain(SignalKind.SameStrandMissed);
        Kinds(Facts(Infer(12), Reading(2, 9), Infer(6), Reading(2, 2))).ShouldNotContain(SignalKind.SameStrandMissed);
    }

    [Fact]
    public void Feedback_left_alone_three_times_is_a_signal_once_there_was_time_to_read_it()
    {
        AnsweredReading[] Unread(int lastDaysAgo) =>
            [Reading(5, 12, looked: false), Reading(5, 10, looked: false), Reading(5, lastDaysAgo, looked: false)];
        Kinds(Facts(Unread(7))).ShouldBe([SignalKind.FeedbackUnread]);
        Kinds(Facts(Unread(1))).ShouldBeEmpty();
        Kinds(Facts(Unread(7)[1..])).ShouldBeEmpty();
    }

    [Fact]
    public void Silence_is_counted_in_school_days_and_begins_when_a_reader_comes()
    {
        Find(Facts() with { LastRead = new(2026, 11, 13) }).ShouldHaveSingleItem().Figures.ShouldBe([10, 1, 0]);
        Kinds(Facts() with { LastRead = new(2026, 11, 16) }).ShouldBeEmpty();
        var never = Find(Facts() with { LastRead = null, Since = new(2026, 11, 2) }).ShouldHaveSingleItem();
        never.Figures.ShouldBe([20, 1, 1]);
        never.Points.Count.ShouldBe(15);
        Kinds(Facts() with { LastRead = null, Since = new(2026, 11, 23) }).ShouldBeEmpty();
    }

    [Fact]
    public void Evidence_is_thin_after_three_weeks_only()
    {
        Kinds(Facts() with { Sd = 6 }).ShouldBe([SignalKind.ThinEvidence]);
        Kinds(Facts() with { Sd = 6, Since = Today.AddDays(-10) }).ShouldBeEmpty();
        Kinds(Facts() with { Sd = 4 }).ShouldBeEmpty();
    }

    [Fact]
    public void A_goal_out_of_sight_is_a_signal_while_there_is_time_to_change_it()
    {
        GoalAhead Goal(double chance, int since, int left) =>
            new(GoalId.New(), GoalKind.Words, 30000, 12000, 21000, chance, First, since, left);
        Kinds(Facts() with { Goals = [Goal(0.1, 20, 20)] }).ShouldBe([SignalKind.UnlikelyGoal]);
        Kinds(Facts() with { Goals = [Goal(0.4, 20, 20), Goal(0.1, 5, 20), Goal(0.1, 20, 5)] }).ShouldBeEmpty();
    }

    [Fact]
    public void A_check_disagrees_beyond_what_both_leave_open()
    {
        CheckDone Check(double found, int daysAgo = 3) =>
            new(SittingId.New(), CheckId.New(), "Winter", Today.AddDays(-daysAgo), new(30), 2, new(found), 3);
        Kinds(Facts() with { Checks = [Check(40)] }).ShouldBe([SignalKind.CheckDisagrees]);
        Kinds(Facts() with { Checks = [Check(39), Check(40, 40)] }).ShouldBeEmpty();
    }

    [Fact]
    public void A_question_most_missed_is_one_that_the_rest_of_the_quiz_does_not_explain()
    {
        QuestionAnswered Asked(int missed, double others) =>
            new(
                AssignmentId.New(),
                QuestionId.New(),
                5,
                "Salt Letters",
                [.. Enumerable.Range(0, 8).Select(i => new AnswerInQuiz(Today, i >= missed, others))]
            );
        var found = QuestionRules.For([Asked(7, 0.8)]).ShouldHaveSingleItem();
        found.Figures.ShouldBe([7, 8, 4, 4, 5]);
        found.Reader.ShouldBeNull();
        QuestionRules.For([Asked(7, 0.3), Asked(3, 0.8)]).ShouldBeEmpty();
    }

    [Fact]
    public void A_signal_comes_back_only_with_new_evidence_or_on_its_day()
    {
        var found = Find(Facts(Reading(6, 2, seconds: 40))).Single();
        KeptSignal Kept(SignalState state, DateOnly? until = null) =>
            new(SignalId.New(), found, state, until, null, default);
        var same = SignalLife.Look([Kept(SignalState.Done)], [found], Today);
        (same.Opened.Count + same.Changed.Count + same.Ended.Count).ShouldBe(0);
        var more = found with { Mark = "more" };
        SignalLife.Look([Kept(SignalState.Done)], [more], Today).Changed.Single().State.ShouldBe(SignalState.New);
        SignalLife.Look([Kept(SignalState.Seen)], [more], Today).Changed.Single().State.ShouldBe(SignalState.New);
        var put = Kept(SignalState.PutOff, Today.AddDays(1));
        SignalLife.Look([put], [more], Today).Changed.Single().State.ShouldBe(SignalState.PutOff);
        SignalLife.Look([put], [found], Today.AddDays(1)).Changed.Single().State.ShouldBe(SignalState.New);
    }

    [Fact]
    public void What_the_evidence_says_no_more_ends_and_says_how()
    {
        var found = Find(Facts(Reading(6, 2, seconds: 40))).Single();
        SignalEnd End(SignalState state, DateTimeOffset? step = null) =>
            SignalLife.Look([new(SignalId.New(), found, state, null, step, default)], [], Today).Ended.Single().How;
        End(SignalState.New).ShouldBe(SignalEnd.Evidence);
        End(SignalState.Seen, DateTimeOffset.UtcNow).ShouldBe(SignalEnd.Step);
        End(SignalState.Done).ShouldBe(SignalEnd.Done);
        SignalLife.Look([], [found], Today).Opened.ShouldBe([found]);
    }

    [Fact]
    public void One_that_was_over_comes_back_as_it_was_and_on_something_new_as_another()
    {
        var found = Find(Facts(Reading(6, 2, seconds: 40))).Single();
        KeptSignal over = new(SignalId.New(), found, SignalState.Seen, null, null, default, Over: true);
        var back = SignalLife.Look([over], [found], Today);
        back.Changed.ShouldHaveSingleItem().ShouldBe(over with { Over = false });
        back.Opened.ShouldBeEmpty();
        var more = found with { Mark = "more" };
        SignalLife.Look([over], [more], Today).Opened.ShouldBe([more]);
        var stands = over with { Id = SignalId.New(), Signal = more, Over = false };
        SignalLife.Look([over, stands], [found], Today).Changed.ShouldHaveSingleItem().Id.ShouldBe(stands.Id);
        SignalLife.Look([over], [], Today).Ended.ShouldBeEmpty();
    }

    [Fact]
    public void Every_kind_suggests_a_step() =>
        Enum.GetValues<SignalKind>().Select(SignalSteps.Of).ShouldAllBe(s => Enum.IsDefined(s));

    [Fact]
    public void Ordinary_classes_give_at_most_one_new_signal_for_ten_readers_and_week()
    {
        var runs = Enumerable.Range(0, 6).Select(s => SimulatedClass.Run(s, Trouble.None)).ToList();
        (10.0 * runs.Sum(r => r.New) / runs.Sum(r => r.Weeks)).ShouldBeLessThanOrEqualTo(1);
    }

    [Theory]
    [InlineData(Trouble.Stuck)]
    [InlineData(Trouble.Guessing)]
    [InlineData(Trouble.OutOfDepth)]
    [InlineData(Trouble.Silent)]
    [InlineData(Trouble.NeverBegun)]
    public void Nine_in_ten_readers_in_trouble_are_found_within_three_weeks(Trouble trouble) =>
        Enumerable
            .Range(1000, 20)
            .Count(s => SimulatedClass.Run(s, trouble).Found is true)
            .ShouldBeGreaterThanOrEqualTo(18);
}
