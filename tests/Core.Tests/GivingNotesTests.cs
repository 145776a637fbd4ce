using DeepCurrent.Core.Assignments;
using DeepCurrent.Core.Schools;

namespace Core.Tests;

/// <summary>What is said before something is given.</summary>
public sealed class GivingNotesTests
{
    private static readonly DateOnly Monday = new(2026, 11, 23);
    private static readonly SchoolCalendar Calendar = new([(new(2026, 9, 1), new(2026, 12, 18))], [Monday.AddDays(3)]);

    private static IReadOnlyList<string> Days(int from, int? due) =>
        [
            .. GivingNotes
                .Days(new(Monday.AddDays(from), due is { } d ? Monday.AddDays(d) : null), Monday, Calendar)
                .Select(m => m.ToString()),
        ];

    [Fact]
    public void An_ordinary_week_says_nothing()
    {
        Days(0, 4).ShouldBeEmpty();
        Days(1, 2).ShouldBeEmpty();
        Days(0, null).ShouldBeEmpty();
    }

    [Theory]
    [InlineData(0, 3)] // A day off.
    [InlineData(0, 5)] // A Saturday.
    [InlineData(5, 7)] // Seen from a Saturday.
    [InlineData(0, 0)] // Due the day it is seen.
    [InlineData(0, 22)] // More than three weeks.
    public void What_is_unusual_is_said_once(int from, int due) => Days(from, due).Count.ShouldBe(1);

    [Fact]
    public void A_day_off_today_is_nothing_to_say_of_today() =>
        GivingNotes.Days(new(Monday.AddDays(5), null), Monday.AddDays(5), Calendar).ShouldBeEmpty();

    [Fact]
    public void A_group_that_goes_without_some_is_named_and_one_that_stays_is_not()
    {
        ReaderId[] readers = [.. Enumerable.Range(0, 8).Select(_ => ReaderId.New())];
        NamedGroup kelp = new("Kelp", readers[..5]),
            mill = new("Mill", readers[5..]);
        GivingNotes.Incomplete(readers[..5], [kelp, mill]).ShouldBeEmpty();
        GivingNotes.Incomplete(readers[..4], [kelp, mill]).ShouldHaveSingleItem();
        GivingNotes.Incomplete(readers[..2], [kelp, mill]).ShouldBeEmpty("two of five were meant by name");
        GivingNotes.Incomplete(readers, [kelp, mill]).ShouldBeEmpty();
    }

    [Theory]
    [InlineData("Read to page 4, then stop.", false)]
    [InlineData("The Level Crossing", false)]
    [InlineData("Great depths of the sea", false)]
    [InlineData("Room 12", false)]
    [InlineData("This is the level 3 text", true)]
    [InlineData("For Grade 2 readers", true)]
    [InlineData("the 25.5 fm version", true)]
    [InlineData("30 fathoms", true)]
    public void A_level_in_words_is_noticed(string words, bool says) => GivingNotes.SaysLevel(words).ShouldBe(says);

    [Fact]
    public void Levels_are_looked_for_in_titles_and_in_what_is_said()
    {
        var plain = new AssignmentTerms(Monday, null, Directions: "Have fun.");
        GivingNotes.LevelsSaid(["Heron"], plain).ShouldBeEmpty();
        GivingNotes.LevelsSaid(["Level 2: Heron"], plain with { Heading = "Depth 20" }).Count().ShouldBe(2);
    }
}
