using CsCheck;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.LevelChecks;
using DeepCurrent.Core.Measuring;
using DeepCurrent.Core.Texts;

namespace Core.Tests;

/// <summary>Parts of level checks: their words, who is spared them, what they are worth, what they say of a
/// level.</summary>
public sealed class CheckPartTests
{
    private static readonly HashSet<string> Nothing = [];

    private static readonly MeaningWord[] Words =
    [
        new("harbour", "noun", "a place where boats lie safely"),
        new("tide", "noun", "the sea coming in and going out"),
        new("lantern", "noun", "a lamp that can be carried"),
        new("barley", "noun", "a grain for soup and bread"),
        new("rope", "noun", "a thick strong string"),
        new("drift", "verb", "to be moved slowly by water"),
        new("haul", "verb", "to pull something heavy"),
        new("whisper", "verb", "to speak very quietly"),
        new("gather", "verb", "to bring together"),
        new("vanish", "verb", "to be gone all at once"),
    ];

    private static CheckPlan Plan(params PartPlan[] parts) =>
        new(parts.Length == 0 ? CheckPlan.Usual : parts, CheckStart.OwnLevel, 0, 60, true, 4, 2.5, false, []);

    [Fact]
    public void Misspelt_words_are_no_words()
    {
        string[] words = ["boat", "night", "because", "station", "kitchen"];
        foreach (var word in words)
        {
            var wrong = WordItems.Misspellings(word);
            wrong.Count.ShouldBeGreaterThan(1, word);
            wrong.ShouldAllBe(w => Lexicon.Find(w) == null && w != word);
        }
        WordItems.Misspellings("rain").ShouldContain("rayn");
    }

    [Fact]
    public void Words_to_read_lie_where_they_are_wanted_and_do_not_come_twice() =>
        Gen.Select(Gen.Double[-10, 45], Gen.Int)
            .Sample(
                (at, seed) =>
                {
                    var items = WordItems.Reading(at, Nothing, 5, seed);
                    items.Count.ShouldBe(5);
                    items.Select(i => i.Key).Distinct().Count().ShouldBe(5);
                    foreach (var item in items)
                    {
                        item.Choices[item.Right[0]].ShouldBe(item.Key);
                        item.Choices.Distinct().Count().ShouldBe(3);
                        item.Choices.Where((_, i) => i != item.Right[0]).ShouldAllBe(w => Lexicon.Find(w) == null);
                    }
                    var next = WordItems.Reading(at, items.Select(i => i.Key).ToHashSet(), 5, seed);
                    next.Select(i => i.Key).ShouldNotContain(k => items.Any(i => i.Key == k));
                    string.Join(' ', WordItems.Reading(at, Nothing, 5, seed).SelectMany(i => i.Choices))
                        .ShouldBe(string.Join(' ', items.SelectMany(i => i.Choices)), "the same seed, the same words");
                },
                iter: 200
            );

    [Fact]
    public void Harder_readers_have_harder_words()
    {
        double Mean(double at) => WordItems.Reading(at, Nothing, 5, 7).Average(i => i.Difficulty);
        Mean(0).ShouldBeLessThan(Mean(15));
        Mean(15).ShouldBeLessThan(Mean(35));
    }

    [Fact]
    public void Meanings_are_those_of_words_of_the_same_kind_and_one_is_right() =>
        Gen.Select(Gen.Double[0, 60], Gen.Int)
            .Sample(
                (at, seed) =>
                {
                    var items = WordItems.Meaning(Words, at, Nothing, 4, seed);
                    items.Count.ShouldBe(4);
                    foreach (var item in items)
                    {
                        var word = Words.Single(w => w.Word == item.Key);
                        item.Choices[item.Right[0]].ShouldBe(word.Meaning);
                        item.Choices.ShouldAllBe(c => Words.Single(w => w.Meaning == c).Part == word.Part);
                        item.Choices.Distinct().Count().ShouldBe(4);
                    }
                },
                iter: 100
            );

    [Fact]
    public void Words_that_are_shown_alone_are_for_children() =>
        Lexicon
            .Common.Select(w => w.Word)
            .Concat(Lexicon.Familiar.Select(w => w.Word))
            .ShouldNotContain(w => w == "murder" || w == "killed" || w == "gun");

    [Fact]
    public void Too_few_words_make_no_question() =>
        WordItems.Meaning([.. Words.Take(3)], 30, Nothing, 5, 1).ShouldBeEmpty();

    [Fact]
    public void A_part_is_judged_by_the_shares_of_too_fast_and_of_answered()
    {
        PartAnswer[] Answers(int n, int tooFast) =>
            [.. Enumerable.Range(0, n).Select(i => new PartAnswer(true, i < tooFast))];
        PartRules.Judge(20, Answers(20, 5)).ShouldBe(PartFlag.Fine, "a quarter is not more than a quarter");
        PartRules.Judge(20, Answers(20, 6)).ShouldBe(PartFlag.TooFast);
        PartRules.Judge(20, Answers(6, 0)).ShouldBe(PartFlag.Fine);
        PartRules.Judge(20, Answers(5, 0)).ShouldBe(PartFlag.Thin);
        PartRules.Judge(0, []).ShouldBe(PartFlag.Thin);
        Should.Throw<ArgumentOutOfRangeException>(() => PartRules.Judge(1, Answers(2, 0)));
    }

    [Fact]
    public void Who_is_given_what_again()
    {
        PartRules.Again(PartState.Done, PartFlag.Fine, over: true).ShouldBeFalse();
        PartRules.Again(PartState.Done, PartFlag.TooFast, over: false).ShouldBeTrue();
        PartRules.Again(PartState.Waiting, PartFlag.Fine, over: false).ShouldBeFalse("there is still time");
        PartRules.Again(PartState.Waiting, PartFlag.Fine, over: true).ShouldBeTrue();
        PartRules.Again(PartState.Skipped, PartFlag.Fine, over: true).ShouldBeFalse();
        PartRules.FlagOf(PartState.UnderWay, PartFlag.Fine, over: true).ShouldBe(PartFlag.Missing);
        PartRules.FlagOf(PartState.Done, PartFlag.Thin, over: true).ShouldBe(PartFlag.Thin);
    }

    [Fact]
    public void Readers_are_spared_by_depth_by_mastery_and_while_they_do_not_decode()
    {
        PartPlan passages = new(
            CheckPart.Passages,
            30,
            SkipBelow: 10,
            SkipAbove: 55,
            SkipMastered: true,
            SkipUndecoding: true
        );
        PartRules.Spared(passages, new(30, false, 0.8)).ShouldBeNull();
        PartRules.Spared(passages, new(30, false, null)).ShouldBeNull("nothing is known of the words");
        PartRules.Spared(passages, new(9, false, 0.8)).ShouldBe("shallower:10");
        PartRules.Spared(passages, new(56, false, 0.8)).ShouldBe("deeper:55");
        PartRules.Spared(passages, new(30, true, 0.8)).ShouldBe("mastered");
        PartRules.Spared(passages, new(30, false, 0.5)).ShouldBe("undecoding");
        PartRules.Said("deeper:55").ToString().ShouldBe("deeper than 55 fm");
        PartRules.Said("undecoding").ToString().ShouldBe("not yet decoding");
        PartRules.Mastered(PartFlag.Fine, 0.9).ShouldBeTrue();
        PartRules.Mastered(PartFlag.TooFast, 1).ShouldBeFalse();
    }

    [Fact]
    public void A_plan_says_what_is_wrong_with_it()
    {
        Plan().Fault().ShouldBeNull();
        (Plan() with { Parts = [] }).Fault()!.ToString().ShouldContain("at least one");
        Plan(new PartPlan(CheckPart.Maze, 3), new PartPlan(CheckPart.Maze, 3))
            .Fault()!
            .ToString()
            .ShouldContain("once");
        Plan(new PartPlan(CheckPart.Maze, 0)).Fault()!.ToString().ShouldContain("minutes");
        Plan(new PartPlan(CheckPart.Passages, 30, SkipUndecoding: true))
            .Fault()!
            .ToString()
            .ShouldContain("word reading");
        Plan(new PartPlan(CheckPart.Passages, 30, SkipBelow: 40, SkipAbove: 20)).Fault().ShouldNotBeNull();
        (Plan() with { From = 40, To = 20 }).Fault()!.ToString().ShouldContain("band");
        (Plan() with { MostPassages = 9 }).Fault().ShouldNotBeNull();
        (Plan() with { SureAt = double.NaN }).Fault().ShouldNotBeNull();
    }

    [Fact]
    public void Time_grows_with_passages_and_never_beyond_the_limit()
    {
        var plan = Plan();
        var passages = plan.Of(CheckPart.Passages)!;
        double Minutes(CheckPlan p, double depth) =>
            p.Expected(p.Of(CheckPart.Passages)!, new(depth), LevelChart.Default);
        Minutes(plan with { MostPassages = 1 }, 30).ShouldBeLessThan(Minutes(plan with { MostPassages = 2 }, 30));
        Minutes(plan with { MostPassages = 8 }, 60).ShouldBe(passages.Minutes);
        plan.Expected(plan.Of(CheckPart.Maze)!, new(10), LevelChart.Default).ShouldBe(3);
        PartRules.Limit(passages, 150).TotalMinutes.ShouldBe(45);
    }

    [Fact]
    public void A_band_is_where_a_check_starts_from_and_too_fast_answers_say_nothing()
    {
        var band = CheckMeasure
            .Begin(Plan() with { Start = CheckStart.Band, From = 20, To = 40 }, new(55), 3)
            .Estimate(default);
        band.Mean.Value.ShouldBe(30, 0.2);
        (band.Low.Value, band.High.Value).ShouldSatisfyAllConditions(
            b => b.Item1.ShouldBe(20, 1),
            b => b.Item2.ShouldBe(40, 1)
        );
        CheckMeasure.Begin(Plan(), new(55), 3).Estimate(default).Mean.Value.ShouldBe(55, 0.1);
        var tooFast = CheckMeasure
            .After(DepthDistribution.Normal(30, 8), Enumerable.Repeat(new CheckAnswer(20, 0.25, false, true), 20))
            .Estimate(default);
        tooFast.Mean.Value.ShouldBe(30, 0.01);
        CheckMeasure
            .After(DepthDistribution.Normal(30, 8), Enumerable.Repeat(new CheckAnswer(20, 0.25, false, false), 20))
            .Estimate(default)
            .Mean.Value.ShouldBeLessThan(15);
    }

    [Fact]
    public void Word_reading_finds_where_a_simulated_reader_reads_words_within_what_it_says_of_its_error()
    {
        var random = new Random(11);
        var within = 0;
        const int Readers = 400;
        for (var r = 0; r < Readers; r++)
        {
            double truth = random.NextDouble() * 45 - 5,
                thought = truth + 12 * (random.NextDouble() - 0.5);
            var answers = new List<CheckAnswer>();
            var seen = new HashSet<string>();
            for (var stage = 0; stage < CheckPlan.WordStages; stage++)
            {
                var at = CheckMeasure.After(DepthDistribution.Normal(thought, 8), answers).Mean;
                foreach (var item in WordItems.Reading(at, seen, CheckPlan.WordsAStage, r * 10 + stage))
                {
                    seen.Add(item.Key);
                    answers.Add(
                        new(
                            item.Difficulty,
                            item.Guess,
                            random.NextDouble()
                                < item.Guess
                                    + (1 - item.Guess) / (1 + Math.Exp(-(truth - item.Difficulty) / Fathoms.PerLogit)),
                            false
                        )
                    );
                }
            }
            var (value, sd) = CheckMeasure.WordReading(new(thought), answers);
            if (Math.Abs(value.Value - truth) < 1.645 * sd)
                within++;
        }
        (within / (double)Readers).ShouldBeGreaterThan(0.88);
    }

    private static DepthSpread Spread(params double[] depths) =>
        WindowPicture.Spread([.. depths.Select(d => new Fathoms(d))]);

    [Fact]
    public void A_spread_is_shown_from_five_readers_on()
    {
        Spread(1, 2, 3, 4).ShouldBe(new DepthSpread(4, null, null, null, null, null));
        var five = Spread(50, 10, 20, 40, 30);
        (five.Readers, five.Low, five.Quarter, five.Middle, five.ThreeQuarters, five.High).ShouldBe(
            (5, new(14), new(20), new(30), new(40), new(46))
        );
    }

    [Fact]
    public void A_spread_does_not_depend_on_the_order_and_lies_within_its_readers() =>
        Gen.Double[0, 60]
            .Array[5, 60]
            .Sample(depths =>
            {
                var s = Spread(depths);
                s.ShouldBe(Spread([.. depths.Reverse()]));
                Fathoms?[] all =
                [
                    new(depths.Min()),
                    s.Low,
                    s.Quarter,
                    s.Middle,
                    s.ThreeQuarters,
                    s.High,
                    new(depths.Max()),
                ];
                all.ShouldBe(all.Order());
            });

    [Fact]
    public void Words_lie_where_answers_show_them_to_lie() =>
        Gen.Select(Gen.Double[5, 40], Gen.Int)
            .Sample(
                (at, seed) =>
                {
                    var word = WordItems.Reading(at, Nothing, 1, seed)[0];
                    var harder = new Dictionary<string, double> { [word.Key] = 500 };
                    WordItems
                        .Reading(at, Nothing, 40, seed, harder)
                        .ShouldAllBe(i => i.Key != word.Key, "it lies far below what this reader is asked");
                    harder[word.Key] = 2;
                    var moved = Enumerable
                        .Range(0, 60)
                        .SelectMany(k => WordItems.Reading(at, Nothing, 5, k, harder))
                        .FirstOrDefault(i => i.Key == word.Key);
                    if (moved is not null)
                        moved.Difficulty.ShouldBe(word.Difficulty + 2, 1e-9);
                    word.Difficulty.ShouldBe(WordItems.Thought(CheckPart.WordReading, word.Key), 1e-9);
                },
                iter: 60
            );

    [Fact]
    public void Words_of_meaning_are_thought_to_be_as_hard_as_they_are_asked()
    {
        foreach (var item in WordItems.Meaning(Words, 30, Nothing, 4, 1))
            item.Difficulty.ShouldBe(WordItems.Thought(CheckPart.WordMeaning, item.Key), 1e-9);
        Should.Throw<ArgumentOutOfRangeException>(() => WordItems.Thought(CheckPart.Passages, "tide"));
    }

    /// <summary>Eighty words that lie off their lines by 6 fm (sd), answered by 150 readers each: what answers show is
    /// far nearer to the truth, and the scale as a whole stays.</summary>
    [Fact]
    public void Answers_find_words_that_lie_off_their_line()
    {
        var random = new Random(12);
        double Normal() =>
            Math.Sqrt(-2 * Math.Log(1 - random.NextDouble())) * Math.Cos(2 * Math.PI * random.NextDouble());
        double before = 0,
            after = 0;
        List<(double True, QuestionEstimate Found)> words = [];
        for (var w = 0; w < 80; w++)
        {
            var off = 6 * Normal();
            List<QuestionAnswer> answers = [];
            for (var r = 0; r < 150; r++)
            {
                var (depth, thought) = (30 + 8 * Normal(), 30.0);
                answers.Add(
                    new(
                        depth + 4 * Normal(),
                        4,
                        thought,
                        1.0 / 3,
                        random.NextDouble() < 1.0 / 3 + 2.0 / 3 / (1 + Math.Exp(-(depth - thought - off) / 10))
                    )
                );
            }
            words.Add((off, QuestionEstimator.Estimate(answers, WordItems.LineSd)!));
        }
        var found = QuestionEstimator.WithoutCommon([.. words.Select(w => w.Found)]);
        var mean = words.Average(w => w.True);
        foreach (var (word, estimate) in words.Zip(found))
        {
            before += Math.Pow(word.True - mean, 2);
            after += Math.Pow(estimate.Harder - (word.True - mean), 2);
        }
        Math.Sqrt(after / before).ShouldBeLessThan(0.5);
        found.Average(f => f.Harder).ShouldBe(0, 0.5);
    }
}
