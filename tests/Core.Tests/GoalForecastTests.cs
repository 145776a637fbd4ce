using System.Text;
using System.Text.Json.Nodes;
using CsCheck;
using DeepCurrent.Cli;
using DeepCurrent.Core.Goals;
using Shouldly;

namespace Core.Tests;

/// <summary>Chances of goals, and whether they come true.</summary>
public sealed class GoalForecastTests
{
    private static readonly ClassWeek Class = new(520, 300);

    private static IReadOnlyList<WeekRead> Weeks(params double[] words) => [.. words.Select(w => new WeekRead(5, w))];

    [Fact]
    public void A_goal_that_is_reached_is_certain_and_nothing_is_left_where_the_term_is_over()
    {
        GoalForecast.Words(900, Weeks(300), Class, 20).Reaches(900).ShouldBe(1);
        var over = GoalForecast.Words(900, Weeks(300), Class, 0);
        (over.Low, over.High, over.Reaches(901)).ShouldBe((900, 900, 0));
    }

    [Fact]
    public void What_is_suggested_is_reached_with_the_chance_that_was_asked() =>
        (
            from words in Gen.Double[0, 3000].Array[0, 14]
            from left in Gen.Double[1, 60]
            from likely in Gen.Double[0.05, 0.95]
            select (words, left, likely)
        ).Sample(x =>
        {
            var end = GoalForecast.Words(x.words.Sum(), Weeks(x.words), Class, x.left);
            var suggested = end.At(x.likely);
            // Of whoever hardly reads any more nothing is sure but what is read already, and that is reached.
            end.Reaches(suggested).ShouldBe(suggested > x.words.Sum() ? x.likely : 1, 0.01);
            end.Low.ShouldBeLessThanOrEqualTo(end.Middle);
            end.Middle.ShouldBeLessThanOrEqualTo(end.High);
            end.Low.ShouldBeGreaterThanOrEqualTo(x.words.Sum());
        });

    [Fact]
    public void Of_whoever_hardly_reads_any_more_no_more_than_what_is_read_is_likely()
    {
        double[] words = [114, 153, 15, 0.6, 169, 0.1, 0, 7, 55, 0];
        var end = GoalForecast.Words(words.Sum(), Weeks(words), Class, 1);
        end.At(0.95).ShouldBe(words.Sum());
        end.Reaches(end.At(0.95)).ShouldBe(1);
        end.Reaches(words.Sum() + 500).ShouldBeLessThan(0.2);
    }

    [Fact]
    public void More_is_less_likely_and_who_reads_more_will_have_read_more()
    {
        var end = GoalForecast.Words(3000, Weeks(400, 500, 300, 450), Class, 20);
        end.Reaches(4000).ShouldBeGreaterThan(end.Reaches(6000));
        GoalForecast.Words(3000, Weeks(900, 1000, 800, 950), Class, 20).Middle.ShouldBeGreaterThan(end.Middle);
        // Of a new reader nothing is known but the class.
        GoalForecast.Words(0, [], Class, 25).Middle.ShouldBeInRange(2000, 2700);
    }

    /// <summary>Readers whose habits differ, who are ill now and then, whose weeks vary and whose habits change.</summary>
    private static (IReadOnlyList<WeekRead> Past, double ToCome) Reader(Random random, int past, int left)
    {
        double Normal() =>
            Math.Sqrt(-2 * Math.Log(1 - random.NextDouble())) * Math.Cos(2 * Math.PI * random.NextDouble());
        var habit = Math.Max(40, 520 + 210 * Normal());
        var weeks = new List<WeekRead>();
        for (var w = 0; w < past + left; w++)
        {
            habit = Math.Max(20, habit * (1 + 0.06 * Normal()));
            var days = random.NextDouble() < 0.08 ? 2 : 5;
            weeks.Add(new(days, Math.Max(0, habit + 210 * Normal()) * days / 5));
        }
        return ([.. weeks.Take(past)], weeks.Skip(past).Sum(w => w.Words));
    }

    [Theory]
    [InlineData(0.3)]
    [InlineData(0.5)]
    [InlineData(0.7)]
    [InlineData(0.9)]
    public void Of_goals_called_so_likely_so_many_are_reached(double likely)
    {
        var random = new Random(11);
        const int readers = 4000;
        var reached = 0;
        for (var i = 0; i < readers; i++)
        {
            var (past, toCome) = Reader(random, 2 + i % 9, 3 + i % 6);
            var end = GoalForecast.Words(0, past, Class, 5 * (3 + i % 6));
            reached += toCome >= end.At(likely) ? 1 : 0;
        }
        (reached / (double)readers).ShouldBeInRange(likely - 0.08, likely + 0.08);
    }

    [Fact]
    public void Few_quizzes_leave_comprehension_wide_and_many_settle_it()
    {
        var few = GoalForecast.Comprehension([new(5, [0.75])], 8, 30);
        var many = GoalForecast.Comprehension(
            [.. Enumerable.Range(0, 10).Select(_ => new WeekScored(5, [0.75, 0.75]))],
            8,
            5
        );
        (few.High - few.Low).ShouldBeGreaterThan(3 * (many.High - many.Low));
        many.Middle.ShouldBeInRange(74, 76);
    }

    [Fact]
    public void Depth_grows_and_drifts()
    {
        var end = GoalForecast.Depth(30, 3, 0.2, 0.8, 25);
        end.Middle.ShouldBe(31, 1e-9);
        (end.High - end.Low).ShouldBe(2 * 1.6449 * Math.Sqrt(9 + 4), 0.01);
    }

    private static (int Exit, JsonObject? Out, string Error) Compute(string input)
    {
        using var stream = new MemoryStream(Encoding.UTF8.GetBytes(input));
        StringWriter output = new(),
            error = new();
        var exit = DeepCurrent.Cli.Compute.Run(ComputeGoal.Run, stream, output, error);
        return (exit, exit == 0 ? JsonNode.Parse(output.ToString())!.AsObject() : null, error.ToString());
    }

    [Theory]
    [InlineData(
        """
            {"kind":"words","target":9000,"soFar":4200,"weeks":[{"days":5,"words":610}],
            "classWeek":{"words":520,"sd":240},"schoolDaysLeft":18,"likely":0.7}
            """
    )]
    [InlineData(
        """{"kind":"comprehension","target":80,"weeks":[{"days":5,"scores":[0.8,0.7]}],"questions":8,"schoolDaysLeft":18}"""
    )]
    [InlineData("""{"kind":"depth","target":33,"mean":31,"sd":2.4,"growth":0.15,"drift":0.4,"schoolDaysLeft":18}""")]
    public void The_command_answers_with_the_contract(string input)
    {
        var (exit, o, _) = Compute(input);
        exit.ShouldBe(0);
        o.ShouldNotBeNull();
        o.Select(p => p.Key).ShouldBe(["chance", "low", "middle", "high", "suggested"]);
        ((double)o["chance"]!).ShouldBeInRange(0, 1);
        ((double)o["suggested"]!).ShouldBeLessThan((double)o["middle"]!);
    }

    [Theory]
    [InlineData("""{"kind":"speed","schoolDaysLeft":1}""", "kind")]
    [InlineData("""{"kind":"words","target":1,"weeks":[{"days":0,"words":1}],"schoolDaysLeft":1}""", "weeks[0].days")]
    [InlineData("""{"kind":"words","target":1,"weeks":[],"schoolDaysLeft":-1}""", "schoolDaysLeft")]
    [InlineData(
        """{"kind":"comprehension","target":1,"weeks":[{"scores":[1.2]}],"schoolDaysLeft":1}""",
        "weeks[0].scores[0]"
    )]
    public void What_cannot_be_used_is_named(string input, string path)
    {
        var (exit, _, error) = Compute(input);
        exit.ShouldBe(DeepCurrent.Cli.Compute.BadInputExit);
        error.ShouldContain($"\"path\":\"{path}\"");
    }
}
