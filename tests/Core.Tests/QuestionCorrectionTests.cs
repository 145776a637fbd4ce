using CsCheck;
using DeepCurrent.Core;
using DeepCurrent.Core.Questions;

namespace Core.Tests;

public sealed class QuestionCorrectionTests
{
    private static Question Asked(QuestionKind kind, params bool[] right) =>
        new(
            QuestionId.New(),
            0,
            Strand.Retrieve,
            "Where is the cat?",
            [.. right.Select((r, i) => new Choice($"Place {i}", r, $"Reason {i}"))],
            new Dictionary<string, string>(),
            kind
        );

    [Fact]
    public void A_question_taken_out_is_gone_and_the_others_stay_in_their_order()
    {
        var quiz = Enumerable.Range(0, 4).Select(_ => Asked(QuestionKind.Single, true, false)).ToList();
        QuestionCorrection
            .Apply(quiz, [new(quiz[2].Id, null)])
            .Select(q => q.Id)
            .ShouldBe([quiz[0].Id, quiz[1].Id, quiz[3].Id]);
        QuestionCorrection.Apply(quiz, [new(QuestionId.New(), null)]).ShouldBe(quiz);
    }

    [Fact]
    public void Another_key_scores_by_it_and_forgets_only_the_reasons_that_are_not_so_any_more()
    {
        var q = Asked(QuestionKind.Single, true, false, false);
        var now = QuestionCorrection.Apply([q], [new(q.Id, [0, 2])])[0];
        now.Choices.Select(c => c.Right).ShouldBe([true, false, true]);
        now.Choices.Select(c => c.Reason).ShouldBe(["Reason 0", "Reason 1", ""]);
        foreach (var pick in new[] { 0, 2 })
            Scoring.Score(now, new([pick]), [], "a").Right.ShouldBe(true);
        Scoring.Score(now, new([1]), [], "a").Right.ShouldBe(false);
    }

    private static readonly Dictionary<string, IReadOnlyList<string>> Sentences = new()
    {
        ["a"] = ["The ferry left at six.", "Nobody saw the cat.", "It slept on a coil of rope."],
        ["b"] = ["The ferry left early.", "The cat slept on a rope."],
    };

    private static string? Fault(Question q, int[]? right, Dictionary<string, string>? proofs = null) =>
        new QuestionCorrection(q.Id, right, proofs).Fault(q, Sentences)?.ToString();

    [Fact]
    public void A_key_has_to_be_one()
    {
        var one = Asked(QuestionKind.Single, true, false, false);
        var two = Asked(QuestionKind.Multiple, true, true, false, false);
        string? Of(Question q, params int[] right) => Fault(q, right);
        Of(one, 1).ShouldBeNull();
        Of(one, 0, 1).ShouldBeNull();
        Of(one, 0).ShouldBe("This is right already.");
        Of(one).ShouldBe("Choose at least one right answer.");
        Of(one, 0, 1, 2).ShouldBe("Leave at least one choice wrong.");
        Of(one, 7).ShouldBe("Leave at least one choice wrong.");
        Of(two, 0, 2).ShouldBeNull();
        Of(two, 2).ShouldBe("Readers chose 2 answers. Mark as many right.");
        Of(Asked(QuestionKind.Short), 0).ShouldNotBeNull();
        Fault(Asked(QuestionKind.Order, true, true), null).ShouldBeNull();
    }

    [Fact]
    public void Things_in_order_are_right_in_another_order()
    {
        var q = Asked(QuestionKind.Order, false, false, false);
        Fault(q, [0, 1, 2]).ShouldBe("This is right already.");
        Fault(q, [0, 1]).ShouldBe("Use each thing once.");
        Fault(q, [0, 1, 1]).ShouldBe("Use each thing once.");
        Fault(q, [0, 1, 3]).ShouldBe("Use each thing once.");
        Fault(q, [1, 0, 2]).ShouldBeNull();
        var now = QuestionCorrection.Apply([q], [new(q.Id, [1, 0, 2])])[0];
        Scoring.Score(now, new([1, 0, 2]), [], "a").Right.ShouldBe(true);
        var was = Scoring.Score(now, new([0, 1, 2]), [], "a");
        (was.Right, was.Fitting).ShouldBe((false, 1));
        Scoring.RightOne(now, [], "a")!.Picks.ShouldBe([1, 0, 2]);
    }

    [Fact]
    public void Other_halves_belong_together_and_one_may_be_left_over()
    {
        var q = Asked(QuestionKind.Match) with
        {
            Choices = [new("Cat", false, "", "mews"), new("Dog", false, "", "barks"), new("", false, "", "sings")],
        };
        Fault(q, [0, 1]).ShouldBe("This is right already.");
        Fault(q, [0, 0]).ShouldBe("Use each thing once.");
        Fault(q, [0, 2]).ShouldBeNull();
        var now = QuestionCorrection.Apply([q], [new(q.Id, [0, 2])])[0];
        Scoring.Score(now, new([0, 2]), [], "a").Right.ShouldBe(true);
        Scoring.Score(now, new([0, 1]), [], "a").Fitting.ShouldBe(1);
        q.Rules.Said(now, Scoring.RightOne(now, [], "a")!).ShouldBe("Cat – mews; Dog – sings");
    }

    [Fact]
    public void Another_sentence_is_right_in_the_versions_that_are_named()
    {
        var q = Asked(QuestionKind.Sentence) with
        {
            Proofs = new Dictionary<string, string>
            {
                ["a"] = "Nobody saw the cat.",
                ["b"] = "The cat slept on a rope.",
            },
        };
        Fault(q, [], new() { ["a"] = "Nobody saw the cat." }).ShouldBe("This is right already.");
        Fault(q, [], new() { ["a"] = "The cat sang." }).ShouldBe("Choose a sentence of the text.");
        Fault(q, [], new() { ["z"] = "Nobody saw the cat." }).ShouldBe("Choose a sentence of the text.");
        Fault(q, []).ShouldBe("Choose a sentence of the text.");
        var proofs = new Dictionary<string, string> { ["a"] = "It slept on a coil of rope." };
        Fault(q, [], proofs).ShouldBeNull();
        var now = QuestionCorrection.Apply([q], [new(q.Id, [], proofs)])[0];
        Scoring.Score(now, new([2]), Sentences["a"], "a").Right.ShouldBe(true);
        Scoring.Score(now, new([1]), Sentences["a"], "a").Right.ShouldBe(false);
        Scoring.Score(now, new([1]), Sentences["b"], "b").Right.ShouldBe(true);
    }

    /// <summary>Whatever its key becomes, the answer that is said to be right is scored as right, and as before every
    /// answer has as many fitting parts as it shares with it.</summary>
    [Fact]
    public void The_right_answer_of_a_corrected_question_scores_as_right() =>
        Gen.Select(Gen.Bool, Gen.Int[2, 6], Gen.Int, Gen.Int)
            .Sample(
                (order, count, one, other) =>
                {
                    int[] Mixed(int seed) => [.. Enumerable.Range(0, count).OrderBy(i => new Random(seed + i).Next())];
                    var q = Asked(order ? QuestionKind.Order : QuestionKind.Match) with
                    {
                        Choices = [.. Enumerable.Range(0, count).Select(i => new Choice($"l{i}", false, "", $"r{i}"))],
                    };
                    var now = QuestionCorrection.Apply([q], [new(q.Id, Mixed(one))])[0];
                    var right = Scoring.RightOne(now, [], "a")!;
                    Scoring.Score(now, right, [], "a").Right.ShouldBe(true);
                    var answer = Mixed(other);
                    Scoring
                        .Score(now, new(answer), [], "a")
                        .Fitting.ShouldBe(answer.Zip(right.Picks).Count(x => x.First == x.Second));
                }
            );

    [Fact]
    public void What_is_missed_is_what_was_never_right_with_the_question_that_a_missed_proof_proves()
    {
        var right = Asked(QuestionKind.Single, true, false);
        var later = Asked(QuestionKind.Single, true, false);
        var never = Asked(QuestionKind.Single, true, false);
        var unanswered = Asked(QuestionKind.Single, true, false);
        var waits = Asked(QuestionKind.Short);
        var proved = Asked(QuestionKind.Single, true, false);
        var proof = Asked(QuestionKind.Single, true, false) with { Evidence = true };
        var onTheWay = Asked(QuestionKind.Single, true, false) with
        {
            After = new Dictionary<string, int> { ["all"] = 1 },
        };
        var answers = new (Question Of, bool? Right)[]
        {
            (right, true),
            (later, false),
            (later, true),
            (never, false),
            (never, false),
            (waits, null),
            (proved, true),
            (proof, false),
            (onTheWay, false),
        }.ToLookup(a => a.Of.Id, a => a.Right);
        QuestionCorrection
            .Missed([right, later, never, onTheWay, unanswered, waits, proved, proof], answers)
            .ShouldBe([never.Id, unanswered.Id, proved.Id, proof.Id]);
    }
}
