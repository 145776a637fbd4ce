using System.Globalization;

namespace DeepCurrent.Core.Depth;

/// <summary>Reads a level that somebody typed, in any of the school's label systems.</summary>
public static class LevelLabels
{
    /// <summary>Nobody has said what a bare number means; none is read then.</summary>
    public const string Unsaid = "";

    public const string InFathoms = "fm",
        InGrades = "grade",
        InSchoolYears = "school year",
        InAges = "age";

    /// <summary>The systems a level may be written in: fathoms, grade, school year, age, then the school's own
    /// columns.</summary>
    public static IReadOnlyList<string> Systems(LevelChart chart) =>
        [InFathoms, InGrades, InSchoolYears, InAges, .. chart.OwnColumns];

    /// <summary>A depth from a typed level; null if it cannot be read.</summary>
    /// <param name="system">The system a bare number is in. A label that only one system has is read whatever the
    /// system.</param>
    /// <remarks>A number in fathoms stands for itself. A grade (3.5 is the middle of the fourth year) goes over the
    /// chart's curve. A label stands for the end of its grade, an age for the middle of the year in which it is
    /// usual.</remarks>
    public static Fathoms? Read(string text, string system, LevelChart chart)
    {
        var asked = text.Trim().Replace('−', '-');
        if (asked.EndsWith("fm", StringComparison.OrdinalIgnoreCase))
            return Number(asked[..^2]) is { } fathoms ? new Fathoms(fathoms) : null;
        var own = chart.OwnColumns.ToList().IndexOf(system);
        if (own >= 0 && chart.Rows.FirstOrDefault(r => Same(r.Own[own], asked)) is { } labelled)
            return labelled.Depth;
        if (Number(asked) is { } number)
            return Numbered(number, asked, system, chart);
        // Whatever is shown is taken: "9–10" is an age, "8-9" the same with another dash.
        var ages = Dashed(asked.StartsWith("age ", StringComparison.OrdinalIgnoreCase) ? asked[4..] : asked);
        if (chart.Rows.FirstOrDefault(r => Same(Dashed(r.Ages), ages)) is { } aged)
            return chart.DepthAt(aged.Grade - 0.5);
        if (chart.Rows.FirstOrDefault(r => Named(r, asked)) is { } row)
            return row.Depth;
        if (asked.StartsWith("age ", StringComparison.OrdinalIgnoreCase) && Number(asked[4..]) is { } age)
            return AtAge(age, chart);
        return asked.StartsWith("grade ", StringComparison.OrdinalIgnoreCase) && Number(asked[6..]) is { } grade
            ? chart.DepthAt(grade)
            : null;
    }

    private static Fathoms? Numbered(double number, string asked, string system, LevelChart chart) =>
        system switch
        {
            InFathoms => new Fathoms(number),
            InGrades => number is >= -1 and <= 13 ? chart.DepthAt(number) : null,
            InSchoolYears => chart.Rows.FirstOrDefault(r => Same(Digits(r.SchoolYear), asked))?.Depth,
            InAges => AtAge(number, chart),
            _ => null,
        };

    /// <summary>Whether a row of the chart goes by what was written, in any of its columns.</summary>
    private static bool Named(LevelRow row, string asked) =>
        Same(row.SchoolYear, asked)
        || Same($"grade {row.GradeLabel}", asked)
        || (Number(row.GradeLabel) is null && Same(row.GradeLabel, asked))
        || row.Own.Any(o => o.Length > 0 && Same(o, asked));

    /// <summary>A depth as it is written in a label system: fathoms and grades with one decimal, else the label of the
    /// row it falls in.</summary>
    /// <returns>Empty where a school's own column has no label for that row, or does not exist.</returns>
    public static string Write(Fathoms depth, string system, LevelChart chart)
    {
        var row = chart.RowOf(depth);
        var own = chart.OwnColumns.ToList().IndexOf(system);
        return system switch
        {
            InFathoms => FormattableString.Invariant($"{depth.Value:0.0}"),
            InGrades => FormattableString.Invariant(
                $"{Math.Clamp(chart.GradeAt(depth), chart.Rows[0].Grade - 1, chart.Rows[^1].Grade):0.0}"
            ),
            InSchoolYears => row.SchoolYear,
            InAges => row.Ages,
            _ => own >= 0 ? row.Own[own] : "",
        };
    }

    /// <summary>What a depth is called in a sentence: the label of the row it falls in, with the word that goes with it
    /// ("grade 3", "Year 4", "age 8–9", a school's own label, "31.4 fm").</summary>
    /// <returns>The grade where the system has no label for that row.</returns>
    public static Message Name(Fathoms depth, string system, LevelChart chart)
    {
        var row = chart.RowOf(depth);
        return system switch
        {
            InFathoms => $"{depth.Value:0.0} fm",
            InAges => $"age {row.Ages}",
            not InGrades when Write(depth, system, chart) is { Length: > 0 } label => $"{label}",
            _ => $"grade {row.GradeLabel}",
        };
    }

    /// <summary>Whether a level is a number without a unit, which says nothing until its system is known.</summary>
    public static bool IsBare(string text) => Number(text.Trim().Replace('−', '-')) is not null;

    private static Fathoms? AtAge(double age, LevelChart chart)
    {
        foreach (var row in chart.Rows)
            if (
                row.Ages.Split('–', '-') is [var from, var to]
                && Number(from) is { } a
                && Number(to) is { } b
                && age >= a
                && age < b
            )
                return chart.DepthAt(row.Grade - 1 + (age - a) / (b - a));
        return null;
    }

    private static string Dashed(string text) =>
        text.Replace('–', '-').Replace('—', '-').Replace(" ", "", StringComparison.Ordinal);

    private static double? Number(string text) =>
        double.TryParse(text.Trim().Replace(',', '.'), NumberStyles.Float, CultureInfo.InvariantCulture, out var n)
        && double.IsFinite(n)
            ? n
            : null;

    private static string Digits(string text) => new([.. text.Where(char.IsDigit)]);

    private static bool Same(string label, string asked) =>
        label.Length > 0 && string.Equals(label, asked, StringComparison.OrdinalIgnoreCase);
}
