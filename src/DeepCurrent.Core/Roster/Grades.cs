using DeepCurrent.Core.Depth;

namespace DeepCurrent.Core.Roster;

/// <summary>Grades as lists and rosters write them.</summary>
public static class Grades
{
    public const int Lowest = 0,
        Highest = 12;

    /// <summary>A grade from "K", "KG", "4", "04", "Grade 4", "4th grade", or a label of the school's own chart such as
    /// "Year 5"; null if it is none.</summary>
    public static int? Parse(string? text, LevelChart chart)
    {
        var asked = Names.Tidy(text).ToLowerInvariant();
        if (asked.Length == 0)
            return null;
        foreach (var row in chart.Rows)
            if (
                row.Grade == Math.Floor(row.Grade)
                && (Same(row.SchoolYear, asked) || row.Own.Any(o => !IsNumber(o) && Same(o, asked)))
            )
                return Within((int)row.Grade);
        if (asked is "k" or "kg" or "kindergarten" or "grade k")
            return 0;
        var bare = asked.Replace("grade", "").Trim();
        foreach (var ending in (string[])["st", "nd", "rd", "th"])
            if (bare.EndsWith(ending, StringComparison.Ordinal))
                bare = bare[..^2];
        return int.TryParse(bare.Trim(), out var grade) ? Within(grade) : null;
    }

    /// <summary>The grade as OneRoster (CEDS) writes it: KG, 01 to 12.</summary>
    public static string Code(int grade) => grade == 0 ? "KG" : grade.ToString("00");

    private static int? Within(int grade) => grade is >= Lowest and <= Highest ? grade : null;

    private static bool Same(string label, string asked) =>
        string.Equals(label, asked, StringComparison.OrdinalIgnoreCase);

    private static bool IsNumber(string text) => double.TryParse(text, out _);
}
