using DeepCurrent.Core.Questions;
using Shouldly;

namespace Core.Tests;

/// <summary>The faults of quizzes: each is found where it is, and not where it is not.</summary>
public sealed class QuizCheckTests
{
    private static readonly CheckedVersion Text = new(
        "a",
        [
            "# The mill",
            "The mill on the estuary waits for the tide. When the tide falls, water turns the wheel.",
            "Jo grinds barley there. She sleeps when the sea rises, because the wheel stands still.",
        ],
        24
    );

    private static Question Ask(string stem, params (string Text, bool Right)[] choices) =>
        new(
            QuestionId.New(),
            0,
            Strand.Infer,
            stem,
            [.. choices.Select(c => new Choice(c.Text, c.Right, "The text says so."))],
            new Dictionary<string, string> { ["all"] = "When the tide falls, water turns the wheel." }
        );

    private static readonly Question Good = Ask(
        "When does the wheel turn?",
        ("when the tide falls", true),
        ("when the sea rises", false),
        ("when Jo grinds barley", false)
    );

    private static IEnumerable<string> Of(params Question[] questions) =>
        QuizCheck.Faults(questions, [Text]).Where(f => f.At is not null).Select(f => f.Sentence.ToString());

    [Fact]
    public void A_good_question_has_none() => Of(Good).ShouldBeEmpty();

    [Theory]
    [InlineData("Which of these is not true of the mill?", "asks a negative")]
    [InlineData("Jo does everything except what?", "asks a negative")]
    [InlineData("", "has no question yet")]
    [InlineData("Why does the consortium deliberate?", "harder than the text")]
    public void Of_the_stem(string stem, string fault) =>
        Of(Good with { Stem = stem }).ShouldContain(f => f.Contains(fault));

    [Fact]
    public void Of_two_right_choices()
    {
        Of(
                Ask(
                    "When does the wheel turn?",
                    ("when the tide falls", true),
                    ("in the evening", true),
                    ("at noon", false)
                )
            )
            .ShouldContain(f => f.Contains("2 right choices"));
        Of(
                Ask(
                    "When does the wheel turn?",
                    ("when the tide falls", true),
                    ("when the tide falls and Jo sleeps", false),
                    ("at noon", false)
                )
            )
            .ShouldContain(f => f.Contains("two choices that can be right"));
        Of(Ask("How many sacks are there?", ("2 to 4", true), ("3 to 6", false), ("9 to 12", false)))
            .ShouldContain(f => f.Contains("two choices that can be right"));
        Of(Ask("How many sacks are there?", ("2 to 4", true), ("5 to 8", false), ("9 to 12", false)))
            .ShouldNotContain(f => f.Contains("overlap"));
        Of(Ask("How many sacks are there?", ("4 sacks", true), ("8 sacks", false), ("8 sacks", false)))
            .ShouldContain(f => f.Contains("same choice twice"));
        Of(Ask("How many sacks are there?", ("4 sacks", true), ("8 sacks", false), ("9 sacks", false)))
            .ShouldNotContain(f => f.Contains("same choice twice"));
    }

    [Theory]
    [InlineData("all of the above"), InlineData("None of these."), InlineData("both A and B"), InlineData("B and C")]
    public void Of_choices_that_sum_up(string choice)
    {
        var faults = Of(
            Ask(
                "When does the wheel turn?",
                ("when the tide falls", true),
                ("when the sea rises", false),
                (choice, false)
            )
        );
        faults.ShouldContain(f => f.Contains("not a choice of its own"));
    }

    [Fact]
    public void All_of_them_is_a_choice_like_any_other() =>
        Of(
                Ask(
                    "Who sleeps when the sea rises?",
                    ("all of them sleep there", false),
                    ("Jo sleeps alone", true),
                    ("the sea sleeps", false)
                )
            )
            .ShouldNotContain(f => f.Contains("not a choice of its own"));

    [Fact]
    public void Of_answers_that_need_no_text()
    {
        Of(Ask("What makes the barley quiet?", ("quiet water", true), ("the wheel", false), ("the sea", false)))
            .ShouldContain(f => f.Contains("can be answered without the text"));
        Of(Ask("The wheel is turned by an", ("ebbing tide", true), ("barley sack", false), ("sleeping Jo", false)))
            .ShouldContain(f => f.Contains("fits only the right choice"));
        Of(
                Ask(
                    "When does Jo sleep?",
                    ("when the wheel stands still", true),
                    ("always at night", false),
                    ("never at the mill", false)
                )
            )
            .ShouldContain(f => f.Contains("“always”, “never”"));
        Of(
                Ask(
                    "Where is the mill?",
                    ("on the estuary", true),
                    ("beside a volcano crater", false),
                    ("inside a jungle temple", false)
                )
            )
            .ShouldContain(f => f.Contains("at a glance"));
    }

    [Fact]
    public void Of_reasons_and_proofs()
    {
        Of(Good with { Choices = [.. Good.Choices.Select(c => c with { Reason = "" })] })
            .Count(f => f.Contains("has no reason"))
            .ShouldBe(3);
        Of(
                Good with
                {
                    Choices =
                    [
                        Good.Choices[0] with
                        {
                            Reason = string.Join(' ', Enumerable.Repeat("so", 21)),
                        },
                        .. Good.Choices.Skip(1),
                    ],
                }
            )
            .ShouldContain(f => f.Contains("over 20 words"));
        Of(Good with { Proofs = new Dictionary<string, string>() }).ShouldContain(f => f.Contains("has no proof"));
        Of(Good with { Proofs = new Dictionary<string, string> { ["a"] = "The mill sings." } })
            .ShouldContain(f => f.Contains("not in version a"));
    }

    [Fact]
    public void Of_kinds_that_lack_things_to_order_or_to_match()
    {
        Stops(
                new(
                    default,
                    0,
                    Strand.Retrieve,
                    "Put in order?",
                    [new("a", false, ""), new("b", false, "")],
                    Good.Proofs,
                    QuestionKind.Order
                )
            )
            .ShouldContain(f => f.Contains("three things"));
        Stops(
                new(
                    default,
                    0,
                    Strand.Retrieve,
                    "Put in order?",
                    [new("a", false, ""), new(" ", false, ""), new("c", false, "")],
                    Good.Proofs,
                    QuestionKind.Order
                )
            )
            .ShouldContain(f => f.Contains("empty choice"));
        Stops(
                new(
                    default,
                    0,
                    Strand.Retrieve,
                    "Match?",
                    [new("a", false, "", "x"), new("b", false, "", "")],
                    Good.Proofs,
                    QuestionKind.Match
                )
            )
            .ShouldContain(f => f.Contains("pairs"));
    }

    [Fact]
    public void Of_kinds_that_lack_a_proof_a_rubric_or_a_right_choice()
    {
        Stops(new(default, 0, Strand.Retrieve, "Where?", [], new Dictionary<string, string>(), QuestionKind.Sentence))
            .ShouldContain(f => f.Contains("its right sentence"));
        Stops(new(default, 0, Strand.Retrieve, "Why?", [], Good.Proofs, QuestionKind.Long))
            .ShouldContain(f => f.Contains("rubric"));
        Stops(Good with { Kind = QuestionKind.Multiple })
            .ShouldContain(f => f.Contains("two right choices and one wrong"));
        Stops(Good with { Evidence = true }).ShouldContain(f => f.Contains("but there is none"));
        QuizCheck
            .Faults(
                [
                    Good,
                    Good with
                    {
                        Kind = QuestionKind.Sentence,
                        Choices = [],
                        Evidence = true,
                        Stem = "Which sentence shows it?",
                    },
                ],
                [Text]
            )
            .ShouldNotContain(f => f.Stops);
    }

    private static IEnumerable<string> Stops(Question q) =>
        QuizCheck.Faults([q], [Text]).Where(f => f.Stops).Select(f => f.Sentence.ToString());

    [Fact]
    public void A_question_on_the_way_stands_where_the_text_has_a_paragraph()
    {
        Of(Good with { After = new Dictionary<string, int> { ["all"] = 3 } }).ShouldBeEmpty();
        Of(Good with { After = new Dictionary<string, int> { ["a"] = 4 } })
            .ShouldContain(f => f.Contains("after paragraph 4"));
    }

    [Fact]
    public void Of_the_whole()
    {
        string[] Whole(int n, Func<int, Question, Question> change) =>
            [
                .. QuizCheck
                    .Faults([.. Enumerable.Range(0, n).Select(i => change(i, Good))], [Text])
                    .Where(f => f.At is null)
                    .Select(f => f.Sentence.ToString()),
            ];
        Whole(7, (_, q) => q)
            .ShouldBe([
                "The questions cover fewer than four strands.",
                "More than half of the right choices are in the same place.",
            ]);
        Whole(3, (i, q) => q with { Strand = (Strand)i }).ShouldContain("The quiz has 3 questions. Use 6 to 10.");
        Whole(6, (i, q) => q with { Strand = i < 3 ? Strand.Retrieve : (Strand)i })
            .ShouldContain("More than a third of the questions are retrieve questions.");
        Whole(7, (i, q) =>
                q with
                {
                    Strand = (Strand)i,
                    Choices = [.. q.Choices.Skip(i % 3), .. q.Choices.Take(i % 3)],
                }
            )
            .ShouldBeEmpty();
        Whole(6, (i, q) =>
                q with
                {
                    Choices =
                    [
                        q.Choices[0] with
                        {
                            Text = "when the tide falls away from the estuary and water turns it",
                        },
                        .. q.Choices.Skip(1),
                    ],
                }
            )
            .ShouldContain(f => f.Contains("clearly the longest"));
    }
}
