using CsCheck;
using DeepCurrent.Core.AssignmentResults;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Measuring;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Tickets;
using Shouldly;

namespace Core.Tests;

/// <summary>What an assignment's quiz came to: forecasts, rows, questions, and what next.</summary>
public sealed class QuizResultsTests
{
    private static readonly Fathoms Middle = new(30);

    private static readonly IReadOnlyList<Question> Quiz = [.. Enumerable.Range(1, 6).Select(Ask)];

    private static Question Ask(int position) =>
        new(
            QuestionId.New(),
            position,
            Strand.Infer,
            "Why?",
            [new("because", true, ""), new("so", false, ""), new("and", false, ""), new("but", false, "")],
            new Dictionary<string, string>()
        );

    /// <summary>A reader whose first tries went so: 1 right, 0 wrong, 2 right at the second try, – unanswered, h too
    /// fast, ? to be marked.</summary>
    private static ResultReader Reader(string tries, double depth = 30, bool read = true, bool closed = false) =>
        new()
        {
            TicketId = TicketId.New(),
            ReaderId = ReaderId.New(),
            HandedIn = true,
            Read = read,
            Closed = closed,
            Depth = new(depth),
            DepthSd = 3,
            Version = Middle,
            Sentences = 20,
            Tries = [.. tries.SelectMany((c, i) => Tries(Quiz[i].Id, c))],
        };

    private static IEnumerable<ResultTry> Tries(QuestionId q, char said) =>
        said switch
        {
            '1' => [new(q, 1, 1, true, null, false, [0])],
            '0' => [new(q, 1, 1, false, null, false, [1])],
            '2' => [new(q, 1, 2, true, null, false, [0]), new(q, 1, 1, false, null, false, [2])],
            'h' => [new(q, 1, 1, false, null, true, [1])],
            '?' => [new(q, 1, 1, null, null, false, [])],
            _ => [],
        };

    private static QuizResults Of(params ResultReader[] readers) => new(Quiz, readers);

    [Fact]
    public void A_reader_at_the_texts_depth_is_forecast_four_of_five_right()
    {
        var asked = Quiz.Select(q => new AskedQuestion(q.Difficulty(Middle, 20) - 3, q.Guess(20))).ToList();
        ScoreForecast.For(Middle, 0.01, asked).Share.Value.ShouldBe(0.8, 0.02);
    }

    [Fact]
    public void Eight_of_ten_scores_or_more_lie_in_the_interval_in_simulation()
    {
        var random = new Random(17);
        var asked = Enumerable.Range(0, 8).Select(i => new AskedQuestion(new(20 + 2 * i), 0.25)).ToList();
        int within = 0,
            below = 0;
        const int times = 4000;
        double Noise(double sd) =>
            sd * Math.Sqrt(-2 * Math.Log(1 - random.NextDouble())) * Math.Cos(2 * Math.PI * random.NextDouble());
        for (var i = 0; i < times; i++)
        {
            var believed = new Fathoms(20 + 20 * random.NextDouble());
            var forecast = ScoreForecast.For(believed, 4, asked);
            var depth = believed + Noise(4) + Noise(2.5);
            var right = asked.Count(a => random.NextDouble() < AnswerModel.Right(depth - a.Difficulty, a.Guess));
            within += right >= forecast.Low && right <= forecast.High ? 1 : 0;
            below += right < forecast.Low ? 1 : 0;
        }
        (within / (double)times).ShouldBeInRange(0.8, 0.97);
        (below / (double)times).ShouldBeLessThan(0.1);
    }

    [Fact]
    public void Whatever_is_asked_the_forecast_lies_between_none_and_all() =>
        (
            from depth in Gen.Double[-20, 100]
            from sd in Gen.Double[0, 10]
            from hard in Gen.Double[-20, 100].Array[0, 12]
            select (depth, sd, hard)
        ).Sample(x =>
        {
            var f = ScoreForecast.For(new(x.depth), x.sd, [.. x.hard.Select(h => new AskedQuestion(new(h), 0.2))]);
            f.Low.ShouldBeInRange(0, f.High);
            f.High.ShouldBeLessThanOrEqualTo(x.hard.Length);
            f.Expected.ShouldBeInRange(0, x.hard.Length + 1e-9);
        });

    [Fact]
    public void Within_one_question_a_score_is_as_forecast_however_sure_it_was()
    {
        var sure = new ScoreForecast(6, 5.2, 5, 5);
        sure.Place(6).ShouldBe(AgainstForecast.As);
        sure.Place(3).ShouldBe(AgainstForecast.Below);
        new ScoreForecast(6, 3, 2, 4).Place(5).ShouldBe(AgainstForecast.Above);
    }

    [Fact]
    public void Rows_go_from_most_right_and_cells_say_how_it_went()
    {
        var results = Of(Reader("100000"), Reader("111120"), Reader("11111–"));
        results.Rows.Select(r => (r.Right, r.Asked)).ShouldBe([(5, 6), (4, 6), (1, 6)]);
        results
            .Rows[1]
            .Cells.Select(c => c.Mark)
            .ShouldBe([
                AttemptMark.RightAtOnce,
                AttemptMark.RightAtOnce,
                AttemptMark.RightAtOnce,
                AttemptMark.RightAtOnce,
                AttemptMark.AfterAnotherTry,
                AttemptMark.NotYet,
            ]);
        results.ByQuestion[4].Later.ShouldBe(1);
        results.FirstTry!.Value.Value.ShouldBe(10 / 18.0);
    }

    [Fact]
    public void What_waits_for_a_person_or_was_closed_unanswered_is_not_wrong()
    {
        Of(Reader("11?1––")).Rows[0].Asked.ShouldBe(5);
        Of(Reader("11?1––", closed: true)).Rows[0].Asked.ShouldBe(3);
    }

    [Fact]
    public void Openings_and_hasty_tries_stand_there_and_count_nothing()
    {
        var results = Of(Reader("111111", read: false), Reader("hhh000"), Reader("110000"), Reader("––––––"));
        results.Rows.Count.ShouldBe(4);
        results.Counted.ShouldHaveSingleItem().Right.ShouldBe(2);
        results.Figures.Readers.ShouldBe(1);
        WhatNext.After(results).Single(s => s.Kind is NextStepKind.ReadAgain).Readers.Count.ShouldBe(3);
    }

    [Fact]
    public void Each_choice_shows_whom_it_drew()
    {
        var results = Of(Reader("111111"), Reader("111110"), Reader("000010"), Reader("000000"));
        var last = results.ByQuestion[5];
        last.Drew[0].ShouldBe(new("because", true, "", 1, 0));
        last.Drew[1].ShouldBe(new("so", false, "", 1, 2));
        last.CommonWrong!.Said.ShouldBe("so");
    }

    [Fact]
    public void What_next_names_who_needs_more_less_and_what_is_to_teach_again()
    {
        var results = Of([
            Reader("111111", depth: 10),
            Reader("100000", depth: 42),
            .. Enumerable.Range(0, 7).Select(_ => Reader("111120")),
        ]);
        var steps = WhatNext.After(results);
        steps
            .Select(s => s.Kind)
            .ShouldBe([
                NextStepKind.Harder,
                NextStepKind.TeachAgain,
                NextStepKind.TeachAgain,
                NextStepKind.EasierFirst,
            ]);
        steps[0].Readers.ShouldBe([results.Rows[0].Reader.ReaderId]);
        steps[1].Question.ShouldBe(Quiz[5].Id);
        steps[1].Readers.Count.ShouldBe(8);
        steps[1].Why.ToString().ShouldBe("8 readers missed it at the first try; none found it later.");
        steps[2].Why.ToString().ShouldBe("8 readers missed it at the first try; 7 found it later.");
        steps[3].Readers.ShouldHaveSingleItem().ShouldBe(results.Rows[^1].Reader.ReaderId);
    }

    [Fact]
    public void A_question_that_goes_against_the_rest_is_to_be_looked_at_and_not_taught()
    {
        var results = Of([
            .. Enumerable.Range(0, 6).Select(_ => Reader("111110")),
            .. Enumerable.Range(0, 4).Select(_ => Reader("100001")),
        ]);
        var step = WhatNext.After(results).Single(s => s.Question == Quiz[5].Id);
        step.Kind.ShouldBe(NextStepKind.CheckQuestion);
        step.Readers.Count.ShouldBe(6);
    }

    [Fact]
    public void Where_all_goes_as_forecast_nothing_is_suggested()
    {
        string Missing(int i) => new([.. Enumerable.Range(0, 6).Select(q => q == i % 6 || q == i / 6 ? '0' : '1')]);
        WhatNext.After(Of([.. Enumerable.Range(0, 24).Select(i => Reader(Missing(i)))])).ShouldBeEmpty();
    }
}
