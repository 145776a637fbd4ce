using CsCheck;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.LevelChecks;
using DeepCurrent.Core.Questions;

namespace Core.Tests;

/// <summary>Questions of a text as a level check puts them to a reader.</summary>
public sealed class CheckItemTests
{
    private static readonly QuestionKind[] Kinds =
    [
        QuestionKind.Single,
        QuestionKind.Multiple,
        QuestionKind.Order,
        QuestionKind.Match,
        QuestionKind.Sentence,
    ];
    private static readonly string[] Text =
    [
        "The mill stood still.",
        "Its wheel waited for the tide.",
        "By noon the water had turned.",
    ];

    private static Question Make(
        QuestionKind kind,
        Choice[] choices,
        string proof = "Its wheel waited for the tide."
    ) =>
        new(
            QuestionId.New(),
            0,
            Strand.Infer,
            "Why did it stand still?",
            choices,
            new Dictionary<string, string> { ["all"] = proof },
            kind
        );

    private static Choice Thing(string text, bool right = false, string? match = null) => new(text, right, "", match);

    private static CheckItem Item(Question q, Guid copy = default) => CheckItem.Of(q, new(30), Text, "A", copy)!;

    /// <summary>For what a reader taps, the answer in the places that the quiz keeps.</summary>
    private static Response AsKept(Question q, CheckItem item, int[] picks) =>
        new(
            q.Kind switch
            {
                QuestionKind.Order =>
                [
                    .. picks.Select(p => q.Choices.ToList().FindIndex(c => c.Text == item.Choices[p])),
                ],
                QuestionKind.Match =>
                [
                    .. picks.Select(p => q.Choices.ToList().FindIndex(c => c.Match == item.Rights![p])),
                ],
                _ => picks,
            }
        );

    [Fact]
    public void An_answer_is_right_exactly_when_the_quiz_says_so() =>
        Gen.Select(Gen.Int[0, 4].Select(i => Kinds[i]), Gen.Int[3, 6], Gen.Int, Gen.Guid)
            .Sample(
                (kind, n, seed, copy) =>
                {
                    var random = new Random(seed);
                    var rights = kind is QuestionKind.Multiple ? 2 : 1;
                    var q = Make(
                        kind,
                        kind is QuestionKind.Sentence
                            ? []
                            :
                            [
                                .. Enumerable
                                    .Range(0, n)
                                    .Select(i =>
                                        Thing($"thing {i}", i < rights, kind is QuestionKind.Match ? $"half {i}" : null)
                                    ),
                            ]
                    );
                    var item = Item(q, copy);
                    var places = Enumerable.Range(0, kind is QuestionKind.Sentence ? Text.Length : n).ToArray();
                    random.Shuffle(places);
                    var picks = places[..item.Wanted];
                    item.Answers(picks, Text.Length).ShouldBeTrue();
                    item.IsRight(picks).ShouldBe(Scoring.Score(q, AsKept(q, item, picks), Text, "A").Right!.Value);
                    item.IsRight([.. item.Right.Take(item.Wanted)]).ShouldBeTrue();
                },
                iter: 2000
            );

    [Fact]
    public void What_is_to_be_put_in_order_never_stands_in_its_order() =>
        Gen.Select(Gen.Int[2, 6], Gen.Guid)
            .Sample(
                (n, copy) =>
                {
                    var item = Item(
                        Make(QuestionKind.Order, [.. Enumerable.Range(0, n).Select(i => Thing($"thing {i}"))]),
                        copy
                    );
                    item.IsRight([.. Enumerable.Range(0, n)]).ShouldBeFalse();
                    item.Choices.Order().ShouldBe(Enumerable.Range(0, n).Select(i => $"thing {i}"));
                }
            );

    [Fact]
    public void Things_that_read_the_same_stand_for_each_other()
    {
        var item = Item(
            Make(
                QuestionKind.Match,
                [
                    Thing("gull", match: "bird"),
                    Thing("heron", match: "bird"),
                    Thing("kelp", match: "plant"),
                    Thing("", match: "fish"),
                ]
            )
        );
        item.Wanted.ShouldBe(3);
        item.Rights!.Count.ShouldBe(4);
        int[] right = [.. item.Right];
        item.IsRight([right[1], right[0], right[2]]).ShouldBeTrue("both are birds");
        item.IsRight([right[0], right[2], right[1]]).ShouldBeFalse();
    }

    [Fact]
    public void What_is_no_answer_is_none()
    {
        var order = Item(Make(QuestionKind.Order, [Thing("first"), Thing("second"), Thing("third")]));
        foreach (int[] picks in new int[][] { [], [0], [0, 1], [0, 1, 1], [0, 1, 3], [-1, 0, 1], [0, 1, 2, 0] })
            order.Answers(picks, Text.Length).ShouldBeFalse(string.Join(',', picks));
        var sentence = Item(Make(QuestionKind.Sentence, []));
        sentence.Answers([Text.Length], Text.Length).ShouldBeFalse();
        sentence.Answers([1], Text.Length).ShouldBeTrue();
    }

    [Fact]
    public void Each_of_several_sentences_that_prove_it_is_enough()
    {
        var item = Item(
            Make(QuestionKind.Sentence, [], "Its wheel waited for the tide. By noon the water had turned.")
        );
        item.Right.ShouldBe([1, 2]);
        item.Wanted.ShouldBe(1);
        item.IsRight([2]).ShouldBeTrue();
        item.IsRight([0]).ShouldBeFalse();
    }

    [Fact]
    public void What_needs_a_person_or_helps_on_the_way_is_not_asked()
    {
        Choice[] two = [Thing("yes", true), Thing("no")];
        CheckItem.Of(Make(QuestionKind.Short, []), new(30), Text, "A", default).ShouldBeNull();
        CheckItem
            .Of(Make(QuestionKind.Single, two) with { Evidence = true }, new(30), Text, "A", default)
            .ShouldBeNull();
        CheckItem
            .Of(
                Make(QuestionKind.Single, two) with
                {
                    After = new Dictionary<string, int> { ["all"] = 1 },
                },
                new(30),
                Text,
                "A",
                default
            )
            .ShouldBeNull();
        CheckItem
            .Of(Make(QuestionKind.Sentence, [], "This stands nowhere."), new(30), Text, "A", default)
            .ShouldBeNull("no sentence proves it");
        Item(Make(QuestionKind.Single, two)).Right.ShouldBe([0]);
    }

    [Fact]
    public void Guessing_and_difficulty_are_those_of_the_quiz()
    {
        var q = Make(QuestionKind.Order, [Thing("first"), Thing("second"), Thing("third")]) with { Offset = 2 };
        var item = Item(q);
        (item.Guess, item.Difficulty).ShouldBe((q.Guess(Text.Length), q.Difficulty(new(30), Text.Length).Value));
        item.Words.ShouldBe(8);
    }
}
