using CsCheck;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Measuring;
using DeepCurrent.Core.Questions;

namespace Core.Tests;

public sealed class MeasuringTests
{
    private static readonly DateTimeOffset Start = new(2026, 9, 1, 0, 0, 0, TimeSpan.Zero);
    private static readonly Prior Prior = new(new(30), 8, Start);
    private static readonly Movement Still = Movement.Constant(0, 0);

    private static DepthEstimate Run(params Evidence[] evidence) =>
        ReaderEstimator.Run(Prior, evidence, Still, Start.AddDays(60)).Now;

    [Fact]
    public void A_normal_prior_and_a_stated_level_combine_as_normals_do()
    {
        var e = Run(new LevelEvidence(Start, new(38), 4));
        e.Mean.Value.ShouldBe((30.0 / 64 + 38.0 / 16) / (1.0 / 64 + 1.0 / 16), 0.001);
        e.Sd.ShouldBe(Math.Sqrt(1 / (1.0 / 64 + 1.0 / 16)), 0.001);
        e.Low.Value.ShouldBe(e.Mean.Value - 1.645 * e.Sd, 0.02);
        e.High.Value.ShouldBe(e.Mean.Value + 1.645 * e.Sd, 0.02);
    }

    [Fact]
    public void One_answer_moves_the_estimate_as_bayes_says()
    {
        // Against a direct integration of prior × likelihood on a far finer grid.
        double sum = 0,
            mass = 0;
        for (var d = -20.0; d <= 80; d += 0.01)
        {
            var weight = Math.Exp(-Math.Pow((d - 30) / 8, 2) / 2) * (0.25 + 0.73 / (1 + Math.Exp(-(d - 24.6) / 10)));
            sum += d * weight;
            mass += weight;
        }
        Run(new AnswerEvidence(Start, new(24.6), 0.25, true)).Mean.Value.ShouldBe(sum / mass, 0.002);
    }

    [Fact]
    public void What_each_piece_did_adds_up_to_the_level() =>
        Gen.Select(Gen.Double[10, 50], Gen.Bool, Gen.Int[0, 50])
            .Array[1, 12]
            .Sample(answers =>
            {
                var evidence = answers
                    .Select(a => (Evidence)new AnswerEvidence(Start.AddDays(a.Item3), new(a.Item1), 0.25, a.Item2))
                    .ToList();
                var effects = EvidenceAccount.Effects(Prior, evidence, Still);
                effects.Select(e => e.Piece.At).ShouldBeInOrder();
                effects[^1].After.Mean.Value.ShouldBe(Run([.. evidence]).Mean.Value, 1e-9);
                (effects[0].Before.Mean.Value + effects.Sum(e => e.Moved)).ShouldBe(effects[^1].After.Mean.Value, 1e-6);
                effects.ShouldAllBe(e => e.Moved > 0 == ((AnswerEvidence)e.Piece).Correct);
            });

    [Theory]
    [InlineData(2), InlineData(5), InlineData(9)]
    public void More_evidence_is_said_to_make_a_level_surer_by_what_it_does(double sd)
    {
        var surer = EvidenceAccount.Surer(sd);
        surer.ShouldAllBe(s => s.Sd < sd);
        // A running record is a normal likelihood, so what is promised can be reckoned: the level as it is, joined with
        // one of 5 fm.
        surer
            .Single(s => s.What is EvidenceSource.RunningRecord)
            .Sd.ShouldBe(1 / Math.Sqrt(1 / (sd * sd) + 1 / 25.0), 1e-12);
        var check = surer.Single(s => s.What is EvidenceSource.LevelCheck).Sd;
        check.ShouldBeLessThan(surer.Single(s => s.What is EvidenceSource.Quiz).Sd);
        Should.Throw<ArgumentOutOfRangeException>(() => EvidenceAccount.Surer(0));
    }

    [Theory]
    [InlineData(0, 26.5, "26.5"), InlineData(1, 26.5, "2.5"), InlineData(2, 26.5, "Year 4"), InlineData(3, 26.5, "8–9")]
    public void A_depth_is_written_in_every_label_system(int system, double depth, string label) =>
        LevelLabels
            .Write(new(depth), LevelLabels.Systems(LevelChart.Default)[system], LevelChart.Default)
            .ShouldBe(label);

    [Fact]
    public void Whatever_is_shown_is_taken() =>
        Gen.Double[3, 61]
            .Sample(d =>
            {
                var chart = new LevelChart(
                    [.. LevelChart.Default.Rows.Select((r, i) => r with { Own = [$"Step {i}"] })],
                    ["Pier steps"]
                );
                foreach (var system in LevelLabels.Systems(chart))
                {
                    var shown = LevelLabels.Write(new(d), system, chart);
                    LevelLabels.Read(shown, system, chart).ShouldNotBeNull($"{shown} in {system}");
                }
            });

    [Theory]
    [InlineData("8–9"), InlineData("8-9"), InlineData("8 - 9"), InlineData("age 8–9"), InlineData("Age 8-9")]
    public void A_span_of_ages_is_the_middle_of_its_year(string typed) =>
        LevelLabels
            .Write(
                LevelLabels.Read(typed, LevelLabels.InFathoms, LevelChart.Default)!.Value,
                LevelLabels.InAges,
                LevelChart.Default
            )
            .ShouldBe("8–9");

    [Fact]
    public void A_level_written_in_fathoms_or_grades_is_read_back() =>
        Gen.Double[3, 61]
            .Sample(d =>
            {
                foreach (var system in new[] { LevelLabels.InFathoms, LevelLabels.InGrades })
                    LevelLabels
                        .Read(LevelLabels.Write(new(d), system, LevelChart.Default), system, LevelChart.Default)!
                        .Value.Value.ShouldBe(d, system == LevelLabels.InFathoms ? 0.051 : 0.7);
            });

    [Fact]
    public void Evidence_may_come_in_any_order() =>
        Gen.Select(Gen.Double[10, 50], Gen.Bool, Gen.Int[0, 50])
            .Select(x => (Evidence)new AnswerEvidence(Start.AddDays(x.Item3), new(x.Item1), 0.25, x.Item2))
            .Array[2, 12]
            .Sample(evidence =>
            {
                var movement = Movement.Constant(0.2, 0.4);
                var there = ReaderEstimator.Run(Prior, evidence, movement, Start.AddDays(60)).Now;
                var back = ReaderEstimator
                    .Run(Prior, evidence.OrderBy(e => e.At).Reverse(), movement, Start.AddDays(60))
                    .Now;
                return Math.Abs(there.Mean.Value - back.Mean.Value) < 1e-6 && Math.Abs(there.Sd - back.Sd) < 1e-6;
            });

    [Fact]
    public void A_right_answer_never_lowers_and_a_wrong_one_never_raises_the_level() =>
        Gen.Double[-10, 80]
            .Select(Gen.Double[0, 0.5])
            .Sample(
                (difficulty, guess) =>
                    Run(new AnswerEvidence(Start, new(difficulty), guess, true)).Mean.Value >= 30 - 1e-9
                    && Run(new AnswerEvidence(Start, new(difficulty), guess, false)).Mean.Value <= 30 + 1e-9
            );

    [Fact]
    public void Growth_moves_and_drift_widens_by_just_what_was_asked_in_many_small_steps()
    {
        var many = Enumerable
            .Range(0, 200)
            .Select(i => (Evidence)new LevelEvidence(Start.AddHours(i * 5), new(30), 1e6))
            .ToList();
        var e = ReaderEstimator.Run(Prior, many, Movement.Constant(0.3, 0.4), Start.AddDays(70)).Now;
        e.Mean.Value.ShouldBe(30 + 0.3 * 10, 0.01);
        e.Sd.ShouldBe(Math.Sqrt(64 + 0.4 * 10), 0.01);
    }

    [Fact]
    public void Ninety_five_words_of_a_hundred_are_read_right_at_the_texts_depth_and_say_so_to_about_five_fathoms()
    {
        RunningRecordModel.WordRight(0).ShouldBe(0.95, 1e-3);
        var e = ReaderEstimator
            .Run(
                new(new(40), 400, Start),
                [new RunningRecordEvidence(Start, new(40), 100, 5)],
                Movement.Constant(0, 0),
                Start
            )
            .Now;
        e.Mean.Value.ShouldBe(40, 2);
        e.Sd.ShouldBeInRange(4, 6.5);
        var short_ = ReaderEstimator
            .Run(
                new(new(40), 400, Start),
                [new RunningRecordEvidence(Start, new(40), 40, 2)],
                Movement.Constant(0, 0),
                Start
            )
            .Now;
        short_.Sd.ShouldBeGreaterThan(e.Sd + 1);
    }

    [Fact]
    public void A_faultless_easy_reading_never_lowers_a_level_and_a_poor_hard_one_never_raises_it() =>
        Gen.Select(Gen.Double[0, 70], Gen.Double[1, 60], Gen.Int[30, 300], Gen.Double[0, 0.899])
            .Sample(
                (reader, away, words, accuracy) =>
                {
                    DepthEstimate After(double text, int errors) =>
                        ReaderEstimator
                            .Run(
                                new(new(reader), 6, Start),
                                [new RunningRecordEvidence(Start, new(text), words, errors)],
                                Movement.Constant(0, 0),
                                Start
                            )
                            .Now;
                    var before = ReaderEstimator
                        .Run(new(new(reader), 6, Start), [], Movement.Constant(0, 0), Start)
                        .Now.Mean.Value;
                    return After(reader - away, 0).Mean.Value >= before - 1e-9
                        && After(reader + away, (int)Math.Ceiling(words * (1 - accuracy))).Mean.Value <= before + 1e-9;
                },
                iter: 300
            );

    [Fact]
    public void Three_faultless_readings_of_a_text_thirty_fathoms_too_easy_say_next_to_nothing()
    {
        var easy = Enumerable
            .Range(0, 3)
            .Select(i => (Evidence)new RunningRecordEvidence(Start.AddDays(i), new(13.6), 126, 0));
        ReaderEstimator
            .Run(new(new(45), 5, Start), easy, Movement.Constant(0, 0), Start.AddDays(5))
            .Now.Mean.Value.ShouldBeInRange(45, 45.6);
    }

    [Fact]
    public void Everybody_slips_so_one_wrong_answer_far_below_a_level_costs_little()
    {
        AnswerModel.Right(200, 0.25).ShouldBe(0.98, 1e-6);
        var level = new LevelEvidence(Start, new(60), 3);
        var with = Run(level, new AnswerEvidence(Start.AddMinutes(1), new(5), 0.25, false)).Mean.Value;
        (Run(level).Mean.Value - with).ShouldBeInRange(0, 1.5);
    }

    [Fact]
    public void A_short_running_record_counts_less()
    {
        var longer = Run(new RunningRecordEvidence(Start, new(40), 100, 5));
        var shorter = Run(new RunningRecordEvidence(Start, new(40), 40, 2));
        longer.Mean.Value.ShouldBeGreaterThan(shorter.Mean.Value);
        longer.Sd.ShouldBeLessThan(shorter.Sd);
    }

    [Fact]
    public void A_level_far_off_the_scale_does_not_break_the_estimate()
    {
        var e = Run(new LevelEvidence(Start, new(600), 2));
        e.Mean.Value.ShouldBeInRange(95, 100);
        double.IsFinite(e.Sd).ShouldBeTrue();
    }

    [Fact]
    public void Evidence_older_than_the_prior_is_refused() =>
        Should.Throw<ArgumentException>(() => Run(new LevelEvidence(Start.AddDays(-1), new(30))));

    [Fact]
    public void Evidence_after_the_day_asked_about_has_not_happened_yet() =>
        ReaderEstimator
            .Run(Prior, [new LevelEvidence(Start.AddDays(30), new(50), 1)], Still, Start.AddDays(10))
            .Now.Mean.Value.ShouldBe(30, 0.001);

    [Theory]
    [InlineData(4)]
    [InlineData(3)]
    [InlineData(0)]
    public void A_reader_at_the_texts_depth_answers_four_in_five(int choices)
    {
        var guess = QuestionDifficulty.Guess(choices);
        var b = QuestionDifficulty.Default(new(33), QuestionDifficulty.Guess(choices), Strand.Structure).Value;
        AnswerModel.Right(33 - b, guess).ShouldBe(0.8, 1e-9);
    }

    [Theory]
    [InlineData(20, 2.4, true)]
    [InlineData(20, 2.6, false)]
    [InlineData(2, 0.9, true)]
    [InlineData(2, 1.1, false)]
    public void An_answer_faster_than_reading_is_too_fast(int words, double seconds, bool tooFast) =>
        Answering.TooFast(words, TimeSpan.FromSeconds(seconds)).ShouldBe(tooFast);

    [Fact]
    public void Simulated_readers_are_found_where_they_are()
    {
        // 400 readers drawn from the prior answer 40 questions each: the 90 % interval must hold the truth about nine
        // times in ten.
        var random = new Random(41);
        var held = 0;
        double bias = 0;
        for (var i = 0; i < 400; i++)
        {
            var truth =
                30
                + 8 * Math.Sqrt(-2 * Math.Log(1 - random.NextDouble())) * Math.Cos(2 * Math.PI * random.NextDouble());
            var evidence = Enumerable
                .Range(0, 40)
                .Select(q =>
                {
                    var b = truth - 12 + random.NextDouble() * 14;
                    return (Evidence)
                        new AnswerEvidence(
                            Start.AddMinutes(q),
                            new(b),
                            0.25,
                            random.NextDouble() < AnswerModel.Right(truth - b, 0.25)
                        );
                });
            var e = ReaderEstimator.Run(Prior, evidence, Still, Start.AddDays(1)).Now;
            if (e.Low.Value <= truth && truth <= e.High.Value)
                held++;
            bias += (e.Mean.Value - truth) / 400;
        }
        held.ShouldBeInRange(345, 378);
        Math.Abs(bias).ShouldBeLessThan(0.6);
    }

    [Fact]
    public void Mastery_pulls_few_answers_towards_what_is_usual()
    {
        Mastery.Estimate(0, 0).Mean.ShouldBe(0.75, 1e-9);
        Mastery.Estimate(1, 4).Mean.ShouldBe(0.5, 1e-9);
        var m = Mastery.Estimate(30, 40);
        (m.High - m.Low).ShouldBeLessThan(Mastery.Estimate(3, 4).High - Mastery.Estimate(3, 4).Low);
        Should.Throw<ArgumentOutOfRangeException>(() => Mastery.Estimate(3, 2));
    }
}
