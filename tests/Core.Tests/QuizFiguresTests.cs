using System.Text;
using CsCheck;
using DeepCurrent.Cli;
using DeepCurrent.Core.AssignmentResults;
using Shouldly;

namespace Core.Tests;

/// <summary>Classical figures of questions and quizzes.</summary>
public sealed class QuizFiguresTests
{
    private const double Close = 1e-9;

    private static readonly Gen<bool?> Answer = Gen.Int[0, 9].Select(n => n == 0 ? (bool?)null : n < 7);

    private static readonly Gen<bool?[][]> Answers =
        from readers in Gen.Int[0, 40]
        from questions in Gen.Int[1, 12]
        from all in Answer.Array[questions].Array[readers]
        select all;

    private static bool?[] Row(string answers) =>
        [
            .. answers.Select(c =>
                c is '1' ? true
                : c is '0' ? false
                : (bool?)null
            ),
        ];

    private static QuizFigures Of(params string[] rows) => QuizFigures.Of([.. rows.Select(Row)]);

    /// <summary>The same figures by sums alone, in another way than the core's.</summary>
    private static (double? Point, double? Kr20) BySums(bool?[][] answers, int q)
    {
        var rows = answers.Where(r => r.Any(a => a is not null)).ToList();
        double n = 0,
            sx = 0,
            sy = 0,
            sxx = 0,
            syy = 0,
            sxy = 0;
        foreach (var row in rows.Where(r => r[q] is not null))
        {
            double x = row[q] is true ? 1 : 0,
                y = row.Where((_, i) => i != q).Count(a => a is true);
            n++;
            sx += x;
            sy += y;
            sxx += x * x;
            syy += y * y;
            sxy += x * y;
        }
        double down = (n * sxx - sx * sx) * (n * syy - sy * sy);
        double? point = down <= 0 ? null : (n * sxy - sx * sy) / Math.Sqrt(down);
        double k = answers.Length == 0 ? 0 : answers[0].Length,
            m = rows.Count;
        var totals = rows.Select(r => (double)r.Count(a => a is true)).ToList();
        var squares = m * totals.Sum(t => t * t) - totals.Sum() * totals.Sum();
        if (k < 2 || squares <= 0)
            return (point, null);
        var pq = Enumerable
            .Range(0, (int)k)
            .Sum(i => (double)rows.Count(r => r[i] is true) * rows.Count(r => r[i] is not true));
        return (point, k / (k - 1) * (1 - pq / squares));
    }

    [Fact]
    public void A_small_quiz_comes_to_what_it_comes_to_by_hand()
    {
        // Scores 3, 2, 1, 0: variance 1.25; p·q of the questions 3/16 + 4/16 + 3/16.
        var f = Of("111", "110", "100", "000");
        f.Mean.ShouldBe(1.5);
        f.Sd!.Value.ShouldBe(Math.Sqrt(1.25), Close);
        f.Kr20!.Value.ShouldBe(1.5 * (1 - 0.625 / 1.25), Close);
        f.StandardError!.Value.ShouldBe(Math.Sqrt(1.25) * 0.5, Close);
        f.Questions.Select(q => q.Proportion).ShouldBe([0.75, 0.5, 0.25]);
        f.Reliability.ShouldBe(Reliability.NotClaimed);
    }

    [Fact]
    public void What_was_not_answered_is_not_wrong_for_its_question()
    {
        var f = Of("1-1", "10-", "---");
        f.Readers.ShouldBe(2);
        f.Questions.Select(q => (q.Answered, q.Proportion)).ShouldBe([(2, 1.0), (1, 0.0), (1, 1.0)]);
        f.Questions[0].PointBiserial.ShouldBeNull();
    }

    [Fact]
    public void Every_figure_is_that_of_another_way_to_reckon() =>
        Answers.Sample(answers =>
        {
            var f = QuizFigures.Of(answers);
            for (var q = 0; q < f.Questions.Count; q++)
            {
                var (point, kr) = BySums(answers, q);
                Same(f.Questions[q].PointBiserial, point);
                Same(f.Kr20, kr);
            }
        });

    private static void Same(double? one, double? other)
    {
        one.HasValue.ShouldBe(other.HasValue);
        if (one is { } a && other is { } b)
            a.ShouldBe(b, Close);
    }

    [Fact]
    public void The_order_of_readers_changes_nothing() =>
        Answers.Sample(answers =>
        {
            var (there, back) = (QuizFigures.Of(answers), QuizFigures.Of([.. answers.Reverse()]));
            Same(there.Kr20, back.Kr20);
            Same(there.Sd, back.Sd);
        });

    [Fact]
    public void Rows_of_other_lengths_are_refused() => Should.Throw<ArgumentException>(() => Of("11", "1"));

    [Theory]
    [InlineData(0.9, Reliability.Well)]
    [InlineData(0.5, Reliability.ALittle)]
    [InlineData(0.1, Reliability.Hardly)]
    public void It_is_said_in_words_how_well_a_quiz_tells_readers_apart(double kr, Reliability said) =>
        new QuizFigures
        {
            Readers = QuizFigures.FewestReaders,
            Questions = [],
            Mean = 3,
            Sd = 1,
            Kr20 = kr,
        }.Reliability.ShouldBe(said);

    [Fact]
    public void The_most_common_wrong_choice_is_the_first_of_those_taken_alike()
    {
        QuizFigures.CommonWrong([0, 2, 1, 2, 1, 0, 0], c => c == 0).ShouldBe(1);
        QuizFigures.CommonWrong([0, 0], c => c == 0).ShouldBeNull();
    }

    private static (int Exit, string Out, string Error) Compute(string input)
    {
        using var stream = new MemoryStream(Encoding.UTF8.GetBytes(input));
        StringWriter output = new(),
            error = new();
        return (
            DeepCurrent.Cli.Compute.Run(ComputeQuestions.Run, stream, output, error),
            output.ToString(),
            error.ToString()
        );
    }

    [Fact]
    public void The_command_answers_with_the_contract()
    {
        var (exit, said, _) = Compute(
            """{"answers":[[1,0],[1,1],[0,null],[0,0]],"choices":[[0,2],[0,1],[3,null],[3,2]],"keys":[0,1]}"""
        );
        exit.ShouldBe(0);
        said.ShouldStartWith("""{"questions":[{"proportion":0.5,"pointBiserial":""");
        said.ShouldContain("\"commonWrong\":3}");
        said.ShouldContain("\"commonWrong\":2}");
        foreach (var name in new[] { "mean", "sd", "kr20", "standardError" })
            said.ShouldContain($"\"{name}\":");
        // Without keys, what was wrong is known by the answers.
        Compute("""{"answers":[[0],[0],[1]],"choices":[[2],[2],[0]]}""").Out.ShouldContain("\"commonWrong\":2}");
    }

    [Theory]
    [InlineData("""{"answers":[[1,2]]}""", "answers[0][1]")]
    [InlineData("""{"answers":[[1],[1,0]]}""", "answers[1]")]
    [InlineData("""{"answers":[1]}""", "answers[0]")]
    [InlineData("""{"answers":[[1]],"choices":[[0,1]]}""", "choices")]
    [InlineData("""{"answers":[[1]],"choices":[[0]],"keys":[]}""", "keys")]
    [InlineData("""{}""", "answers")]
    public void What_cannot_be_used_is_named(string input, string path)
    {
        var (exit, _, error) = Compute(input);
        exit.ShouldBe(DeepCurrent.Cli.Compute.BadInputExit);
        error.ShouldContain($"\"path\":\"{path}\"");
    }
}
