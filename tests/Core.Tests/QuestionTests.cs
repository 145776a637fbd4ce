using CsCheck;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Measuring;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Texts;
using Shouldly;

namespace Core.Tests;

/// <summary>Questions of every kind: scoring, guessing, mixing, and the faults of quizzes.</summary>
public sealed class QuestionTests
{
    private static readonly IReadOnlyDictionary<string, string> Proof = new Dictionary<string, string>
    {
        ["all"] = "The lamp went out.",
    };
    private static readonly string[] Sentences = ["It was night.", "The lamp went out.", "“Who is there?” asked Ana."];

    private static readonly Gen<QuestionKind> Kinds = Of(
        QuestionKind.Single,
        QuestionKind.Multiple,
        QuestionKind.Order,
        QuestionKind.Match
    );

    private static Gen<T> Of<T>(params T[] values) => Gen.Int[0, values.Length - 1].Select(i => values[i]);

    private static Question Make(QuestionKind kind, params Choice[] choices) =>
        new(QuestionId.New(), 0, Strand.Infer, "Why was it dark?", choices, Proof, kind);

    private static Choice Right(string text) => new(text, true, "Yes.");

    private static Choice Wrong(string text) => new(text, false, "No.");

    private static bool? Score(Question q, params int[] picks) => Scoring.Score(q, new(picks), Sentences, "a").Right;

    [Fact]
    public void Every_kind_has_rules_and_asks_for_what_it_lacks()
    {
        foreach (var kind in Enum.GetValues<QuestionKind>())
        {
            var rules = kind.Rules();
            rules.Lacks(Make(kind) with { Proofs = new Dictionary<string, string>() }).ShouldNotBeEmpty($"{kind}");
            // What a person marks, or finds in the text, has no choices of its own.
            (rules.Kept(Right("a")) is null).ShouldBe(rules.Written || rules.PicksSentences, $"{kind}");
            rules.Kept(Right("a") with { Match = "b" })?.Match.ShouldBe(kind is QuestionKind.Match ? "b" : null);
        }
        Should.Throw<ArgumentOutOfRangeException>(() => ((QuestionKind)99).Rules());
    }

    [Fact]
    public void One_choice_is_right_or_wrong()
    {
        var q = Make(QuestionKind.Single, Wrong("a"), Right("b"));
        Score(q, 1).ShouldBe(true);
        Score(q, 0).ShouldBe(false);
        Scoring.Reason(q, new([0]), false).ShouldBe("No.");
    }

    [Fact]
    public void Several_choices_are_right_only_all_together()
    {
        var q = Make(QuestionKind.Multiple, Right("a"), Wrong("b"), Right("c"), Wrong("d"));
        Score(q, 2, 0).ShouldBe(true);
        Score(q, 0, 1).ShouldBe(false);
        Scoring.Score(q, new([0, 1]), Sentences, "a").Fitting.ShouldBe(1);
        Scoring.Answers(q, new([0]), Sentences).ShouldBeFalse("two are asked for");
        Scoring.Answers(q, new([0, 0]), Sentences).ShouldBeFalse("each once");
    }

    [Fact]
    public void An_order_counts_the_places_that_fit()
    {
        var q = Make(QuestionKind.Order, Wrong("first"), Wrong("second"), Wrong("third"));
        Score(q, 0, 1, 2).ShouldBe(true);
        Scoring.Score(q, new([0, 2, 1]), Sentences, "a").ShouldBe(new(false, 1, 3));
    }

    [Fact]
    public void A_match_may_leave_a_half_over()
    {
        var q = Make(
            QuestionKind.Match,
            new Choice("gull", false, "", "bird"),
            new Choice("kelp", false, "", "plant"),
            new Choice("", false, "", "fish")
        );
        Score(q, 0, 1).ShouldBe(true);
        Score(q, 0, 2).ShouldBe(false);
        Scoring.Answers(q, new([0]), Sentences).ShouldBeFalse();
        q.Guess(0).ShouldBe(1.0 / 6, 1e-12);
    }

    [Theory]
    [InlineData(1, true), InlineData(0, false), InlineData(2, false)]
    public void The_sentence_that_proves_it_is_right(int pick, bool right) =>
        Score(Make(QuestionKind.Sentence), pick).ShouldBe(right);

    [Fact]
    public void A_proof_of_two_sentences_is_met_by_either()
    {
        var q = Make(QuestionKind.Sentence) with
        {
            Proofs = new Dictionary<string, string> { ["all"] = "It was night. The lamp went out." },
        };
        Score(q, 0).ShouldBe(true);
        Score(q, 1).ShouldBe(true);
        Score(q, 2).ShouldBe(false);
    }

    [Fact]
    public void What_is_written_waits_for_a_person()
    {
        var q = Make(QuestionKind.Short);
        Scoring.Score(q, new([], "Because."), Sentences, "a").Right.ShouldBeNull();
        Scoring.Answers(q, new([], "  "), Sentences).ShouldBeFalse();
        Scoring.Answers(q, new([], new string('x', Response.LongestWords + 1)), Sentences).ShouldBeFalse();
        Should.Throw<ArgumentException>(() => Scoring.Score(q, new([0]), Sentences, "a"));
    }

    [Fact]
    public void The_right_answer_is_right_and_every_other_is_not() =>
        Gen.Select(Kinds, Gen.Int[3, 6], Gen.Int[0, 1 << 20])
            .Sample(
                (kind, n, seed) =>
                {
                    var random = new Random(seed);
                    var rights = kind is QuestionKind.Multiple ? random.Next(2, n) : 1;
                    var q = Make(
                        kind,
                        [
                            .. Enumerable
                                .Range(0, n)
                                .Select(i => new Choice(
                                    $"c{i}",
                                    i < rights,
                                    "",
                                    kind is QuestionKind.Match ? $"m{i}" : null
                                )),
                        ]
                    );
                    var best = Scoring.RightOne(q, Sentences, "a")!;
                    Score(q, [.. best.Picks]).ShouldBe(true);
                    var order = Enumerable.Range(0, n).ToArray();
                    random.Shuffle(order);
                    int[] other = [.. order.Take(best.Picks.Count)];
                    var same = kind is QuestionKind.Single or QuestionKind.Multiple
                        ? other.Order().SequenceEqual(best.Picks.Order())
                        : other.SequenceEqual(best.Picks);
                    Score(q, other).ShouldBe(same);
                }
            );

    /// <summary>The chance of guessing is the share of possible answers that are right.</summary>
    [Fact]
    public void Guessing_succeeds_as_often_as_it_is_said_to() =>
        Gen.Select(Kinds, Gen.Int[3, 5])
            .Sample(
                (kind, n) =>
                {
                    var q = Make(
                        kind,
                        [
                            .. Enumerable
                                .Range(0, n)
                                .Select(i => new Choice(
                                    $"c{i}",
                                    kind is QuestionKind.Multiple ? i < 2 : i == 0,
                                    "",
                                    kind is QuestionKind.Match ? $"m{i}" : null
                                )),
                        ]
                    );
                    var all = Orders(
                            n,
                            kind switch
                            {
                                QuestionKind.Single => 1,
                                QuestionKind.Multiple => 2,
                                _ => n,
                            }
                        )
                        .ToList();
                    q.Guess(0).ShouldBe(all.Count(p => Score(q, p) == true) / (double)all.Count, 1e-12);
                    Forecast.Comprehension(new(30), new(30)).Value.ShouldBe(0.8, 0.01);
                    var difficulty = (q with { Strand = Strand.Structure }).Difficulty(new(30), 0).Value;
                    var c = q.Guess(0);
                    AnswerModel
                        .Right(30 - difficulty, c)
                        .ShouldBe(0.8, 1e-9, "a reader at the text's depth answers 80 %");
                },
                iter: 20
            );

    private static IEnumerable<int[]> Orders(int n, int k) =>
        k == 0
            ?
            [
                [],
            ]
            : Orders(n, k - 1)
                .SelectMany(p => Enumerable.Range(0, n).Where(i => !p.Contains(i)).Select(i => (int[])[.. p, i]));

    [Fact]
    public void Things_are_shown_mixed_but_always_the_same_way() =>
        Gen.Select(Gen.Guid, Gen.Guid.Select(QuestionId.From), Gen.Int[2, 9])
            .Sample(
                (ticket, question, n) =>
                {
                    var order = Scoring.Shuffled(ticket, question, n);
                    order.Order().ShouldBe(Enumerable.Range(0, n));
                    order.ShouldNotBe(Enumerable.Range(0, n));
                    Scoring.Shuffled(ticket, question, n).ShouldBe(order);
                }
            );

    [Fact]
    public void Every_order_is_about_as_frequent()
    {
        var times = Enumerable
            .Range(0, 6000)
            .Select(i => string.Join("", Scoring.Shuffled(new Guid(i, 1, 2, 3, 4, 5, 6, 7, 8, 9, 10), default, 3)))
            .CountBy(x => x)
            .ToDictionary();
        times.Count.ShouldBe(5);
        // The right order's share goes to one other.
        times.Values.Min().ShouldBeGreaterThan(800);
        times.Values.Max().ShouldBeLessThan(2200);
    }

    [Theory]
    [InlineData(
        "“Stop!” cried Mr. Ode. He ran. It was 3.5 m away!",
        "“Stop!” cried Mr. Ode.|He ran.|It was 3.5 m away!"
    )]
    [InlineData("No end", "No end"), InlineData("…", ""), InlineData("", "")]
    public void A_text_falls_into_its_sentences(string text, string expected) =>
        string.Join('|', DeepCurrent.Core.Texts.Sentences.Of(text)).ShouldBe(expected);

    [Fact]
    public void Sentences_are_as_many_as_are_counted_and_lose_no_word() =>
        Of(
            "It was 9.30 a.m. when Dr. Oso came. ",
            "“Where?” he said. ",
            "Why not? ",
            "Yes… maybe. ",
            "A list: one, two. ",
            "I. J. Moss slept! "
        )
            .Array[0, 12]
            .Sample(parts =>
            {
                var text = string.Concat(parts);
                var found = DeepCurrent.Core.Texts.Sentences.Of(text);
                found.Count.ShouldBe(TextCounter.Count(text).Sentences);
                string.Concat(found).Replace(" ", "").ShouldBe(text.Replace(" ", ""));
            });
}
