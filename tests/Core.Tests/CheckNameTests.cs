using CsCheck;
using DeepCurrent.Core.LevelChecks;
using DeepCurrent.Core.OralReading;
using Shouldly;

namespace Core.Tests;

/// <summary>What a level check is called.</summary>
public sealed class CheckNameTests
{
    private static readonly DateOnly Day = new(2026, 11, 24);

    private static string Name(Season? season, int[] grades, params CheckPart[] parts) =>
        CheckName.Of(season, Day, grades, parts).ToString();

    [Fact]
    public void It_says_the_window_the_grades_and_the_parts() =>
        Name(Season.Winter, [4, 4, 4], CheckPart.Passages).ShouldBe("Winter window 2026, grade 4, passages");

    [Fact]
    public void Between_windows_it_says_the_day() =>
        Name(null, [4], CheckPart.WordReading, CheckPart.Passages)
            .ShouldBe("Level check 24 November 2026, grade 4, word reading and passages");

    [Theory]
    [InlineData(new int[0], "")]
    [InlineData(new[] { 0 }, ", grade K")]
    [InlineData(new[] { 5, 4 }, ", grades 4, 5")]
    [InlineData(new[] { 6, 4, 5, 5 }, ", grades 4 to 6")]
    [InlineData(new[] { 0, 1, 2 }, ", grades K to 2")]
    [InlineData(new[] { 2, 4, 6 }, ", grades 2, 4, 6")]
    public void Grades_are_said_once_in_order(int[] grades, string said) =>
        Name(Season.Autumn, grades, CheckPart.Maze).ShouldBe($"Autumn window 2026{said}, maze");

    [Fact]
    public void Many_parts_are_said_short()
    {
        Name(Season.Spring, [1], CheckPart.WordReading, CheckPart.WordMeaning, CheckPart.Maze)
            .ShouldEndWith("word reading, word meaning and maze");
        Name(Season.Spring, [1], Enum.GetValues<CheckPart>()).ShouldEndWith(", all parts");
        Name(Season.Spring, [1]).ShouldBe("Spring window 2026, grade 1");
    }

    [Fact]
    public void Whoever_takes_it_the_name_does_not_depend_on_the_order_of_readers() =>
        Gen.Int[0, 12]
            .Array[1, 30]
            .Sample(grades =>
                Name(Season.Autumn, grades, CheckPart.Maze)
                    .ShouldBe(Name(Season.Autumn, [.. grades.OrderDescending()], CheckPart.Maze))
            );
}
