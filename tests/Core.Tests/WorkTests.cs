using CsCheck;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Goals;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Readers;
using DeepCurrent.Core.Schools;
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
