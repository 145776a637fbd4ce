using System.Globalization;
using DeepCurrent.Core.OralReading;

namespace DeepCurrent.Core.LevelChecks;

/// <summary>What colleagues call a level check. Nobody types it, so that all checks of a school are called alike.</summary>
public static class CheckName
{
    /// <summary>The window or the day, the grades that take it and its parts: Winter window 2026, grade 4, passages.</summary>
    /// <param name="season">Of a benchmark window; null for a check in between, which is called by its day.</param>
    /// <param name="day">The day it opens.</param>
    /// <param name="grades">Of those who take it, 0 (kindergarten) to 12, in any order.</param>
    /// <param name="parts">In the order they are taken in.</param>
    public static Message Of(
        Season? season,
        DateOnly day,
        IEnumerable<int> grades,
        IReadOnlyCollection<CheckPart> parts
    )
    {
        Message name = season switch
        {
            Season.Autumn => $"Autumn window {Text(day.Year)}",
            Season.Winter => $"Winter window {Text(day.Year)}",
            Season.Spring => $"Spring window {Text(day.Year)}",
            _ => $"Level check {day}",
        };
        if (Grades([.. grades.Distinct().Order()]) is { } who)
            name = $"{name}, {who}";
        return Parts([.. parts]) is { } what ? $"{name}, {what}" : name;
    }

    private static Message? Grades(int[] grades) =>
        grades switch
        {
            [] => null,
            [var only] => $"grade {Grade(only)}",
            _ when grades[^1] - grades[0] == grades.Length - 1 && grades.Length > 2 =>
                $"grades {Grade(grades[0])} to {Grade(grades[^1])}",
            _ => $"grades {string.Join(", ", grades.Select(Grade))}",
        };

    private static Message? Parts(CheckPart[] parts) =>
        parts switch
        {
            [] => null,
            [var a] => Part(a),
            [var a, var b] => $"{Part(a)} and {Part(b)}",
            _ when parts.Length == Enum.GetValues<CheckPart>().Length => $"all parts",
            [var a, var b, .. var rest] => $"{Part(a)}, {Part(b)} and {Part(rest[0])}",
        };

    private static Message Part(CheckPart part) =>
        part switch
        {
            CheckPart.WordReading => $"word reading",
            CheckPart.WordMeaning => $"word meaning",
            CheckPart.Maze => $"maze",
            _ => $"passages",
        };

    private static string Grade(int grade) => grade == 0 ? "K" : Text(grade);

    private static string Text(int number) => number.ToString(CultureInfo.InvariantCulture);
}
