using DeepCurrent.Core.Assignments;
using DeepCurrent.Core.LevelChecks;
using DeepCurrent.Core.OralReading;
using DeepCurrent.Core.Papers;
using DeepCurrent.Core.Schools;

namespace DeepCurrent.Core.Plans;

/// <summary>One task of a plan, and where in it.</summary>
/// <param name="Week">From 0.</param>
/// <param name="Day">The day it is seen, from 0 for Monday to 4 for Friday.</param>
/// <param name="Days">How many days later it is due; null where it never is.</param>
/// <param name="Title">Of the text as it was, or of the task.</param>
/// <param name="TextId">Null where the task is about no text.</param>
/// <param name="Content">What it is about then.</param>
public sealed record PlanItem(
    int Week,
    int Day,
    int? Days,
    TaskKind Kind,
    string Title,
    TextId? TextId,
    TaskContent? Content,
    int Attempts,
    bool OnTheWay,
    bool Aloud,
    string Heading,
    string Directions
)
{
    /// <summary>Papers that go with it, kept for the plan.</summary>
    public IReadOnlyList<PaperId> Papers { get; init; } = [];

    /// <summary>The level check that it is; null for every other task.</summary>
    public PlannedCheck? Check { get; init; }
}

/// <summary>A level check as a plan holds it.</summary>
/// <param name="Season">Of a benchmark window; null for a check in between.</param>
public sealed record PlannedCheck(Season? Season, string ReaderTitle, string Directions, CheckPlan Parts);

/// <summary>A saved list of tasks, and how it is laid on the days of a class.</summary>
public static class Plan
{
    public const int LongestName = 80,
        MostItems = 60,
        MostWeeks = 40;

    private const int WeekDays = 7,
        Friday = 4;

    /// <summary>What is wrong with a plan, by field.</summary>
    public static IEnumerable<(string Field, Message Sentence)> Faults(string name, IReadOnlyList<PlanItem> items)
    {
        if (name.Length is 0 or > LongestName)
            yield return ("name", $"Enter a name of {LongestName} letters or fewer.");
        if (items.Count is 0 or > MostItems)
            yield return ("items", $"Choose 1 to {MostItems} tasks.");
        if (items.Any(i => i.Week is < 0 or >= MostWeeks || i.Day is < 0 or > Friday || i.Days is < 0 or > MostDays))
            yield return ("items", $"A plan is {MostWeeks} weeks long at most.");
    }

    private const int MostDays = 60;

    /// <summary>A task that was given or drafted, as an item. What is seen from a weekend on is the next week's.</summary>
    /// <param name="monday">Of the plan's first week.</param>
    public static PlanItem ItemOf(
        DateOnly monday,
        AssignmentTerms terms,
        TaskKind kind,
        string title,
        TextId? textId,
        TaskContent? content,
        (int Attempts, bool OnTheWay, bool Aloud) how
    )
    {
        var first = SchoolWeek.FirstWeekday(terms.VisibleFrom);
        var at = first.DayNumber - monday.DayNumber;
        return new(
            at / WeekDays,
            at % WeekDays,
            terms.DueOn is { } due ? Math.Max(0, due.DayNumber - first.DayNumber) : null,
            kind,
            title,
            textId,
            content,
            how.Attempts,
            how.OnTheWay,
            how.Aloud,
            terms.Heading,
            terms.Directions
        );
    }

    /// <summary>A level check, as an item.</summary>
    /// <param name="monday">Of the plan's first week.</param>
    public static PlanItem OfCheck(DateOnly monday, DateOnly opens, DateOnly? closes, PlannedCheck check) =>
        ItemOf(
            monday,
            new AssignmentTerms(opens, closes),
            TaskKind.LevelCheck,
            check.ReaderTitle,
            null,
            null,
            (1, false, false)
        ) with
        {
            Check = check,
        };

    /// <summary>The Mondays of the weeks from a day on that have school days; weeks without any are skipped. Where the
    /// calendar knows no more, the weeks simply go on.</summary>
    /// <param name="from">Of the first week; any day of it.</param>
    public static IReadOnlyList<DateOnly> Weeks(DateOnly from, int count, SchoolCalendar calendar)
    {
        var monday = SchoolWeek.Monday(from);
        var weeks = new List<DateOnly>();
        for (var looked = 0; weeks.Count < count; monday = monday.AddDays(WeekDays), looked++)
            if (looked >= MostLooked || calendar.SchoolDays(monday, monday.AddDays(Friday)) > 0)
                weeks.Add(monday);
        return weeks;
    }

    /// <summary>A school year and its long holidays.</summary>
    private const int MostLooked = 60;

    /// <summary>When each item is seen and due.</summary>
    /// <param name="inOrder">Each in its week; else all are seen from the first day and due at the end.</param>
    /// <param name="from">Of the first week; any day of it.</param>
    public static IReadOnlyList<AssignmentTerms> Lay(
        IReadOnlyList<PlanItem> items,
        bool inOrder,
        DateOnly from,
        SchoolCalendar calendar
    )
    {
        if (items.Count == 0)
            return [];
        var weeks = Weeks(from, items.Max(i => i.Week) + 1, calendar);
        var end = weeks[^1].AddDays(Friday);
        return
        [
            .. items.Select(i =>
            {
                var seen = inOrder ? weeks[i.Week].AddDays(i.Day) : weeks[0];
                var due = inOrder
                    ? i.Days is { } days
                        ? seen.AddDays(days)
                        : (DateOnly?)null
                    : end;
                var need = due is null ? Need.Recommended : Need.Required;
                return new AssignmentTerms(seen, due, i.Heading, i.Directions, Need: need).Moved(0, calendar);
            }),
        ];
    }
}
