namespace DeepCurrent.Core.Depth;

/// <summary>One row of a level chart: what is typically read at the end of a grade, and what that grade is called
/// elsewhere.</summary>
/// <param name="Grade">Grade as a number; kindergarten is 0.</param>
/// <param name="GradeLabel">Grade as it is written.</param>
/// <param name="SchoolYear">The same school year where children start school at five.</param>
/// <param name="Ages">Usual ages, in years.</param>
/// <param name="Depth">Typical depth at the end of the grade.</param>
/// <param name="Own">The school's own labels for this row, one for each of its own columns; empty where there is
/// none.</param>
public sealed record LevelRow(
    double Grade,
    string GradeLabel,
    string SchoolYear,
    string Ages,
    Fathoms Depth,
    IReadOnlyList<string> Own
)
{
    public LevelRow(double grade, string gradeLabel, string schoolYear, string ages, Fathoms depth)
        : this(grade, gradeLabel, schoolYear, ages, depth, []) { }
}

/// <summary>Turns grade into depth and back, over a monotone piecewise-cubic curve through the chart's rows.</summary>
/// <remarks>Fritsch, F. N. and Butland, J. (1984), A method for constructing local monotone piecewise cubic
/// interpolants. Beyond the first and last row the curve goes on straight.</remarks>
public sealed class LevelChart
{
    private readonly double[] grades;
    private readonly double[] depths;
    private readonly double[] slopes;

    /// <param name="rows">At least two rows, grades and depths both strictly rising.</param>
    /// <param name="ownColumns">Names of the school's own label columns; every row has a label or an empty text for
    /// each.</param>
    /// <exception cref="ArgumentException">Fewer than two rows, grades or depths that do not rise, or a row with
    /// another number of own labels.</exception>
    public LevelChart(IReadOnlyList<LevelRow> rows, IReadOnlyList<string>? ownColumns = null)
    {
        OwnColumns = ownColumns ?? [];
        if (rows.FirstOrDefault(r => r.Own.Count != OwnColumns.Count) is { } odd)
            throw new ArgumentException(
                $"Grade {odd.GradeLabel} has {odd.Own.Count} own labels for {OwnColumns.Count} columns.",
                nameof(rows)
            );
        if (rows.Count < 2)
            throw new ArgumentException("A level chart needs at least two rows.", nameof(rows));
        for (var i = 1; i < rows.Count; i++)
            if (rows[i].Grade <= rows[i - 1].Grade || rows[i].Depth.Value <= rows[i - 1].Depth.Value)
                throw new ArgumentException($"Row {i + 1} of the level chart does not rise.", nameof(rows));
        Rows = rows;
        grades = [.. rows.Select(r => r.Grade)];
        depths = [.. rows.Select(r => r.Depth.Value)];
        slopes = Slopes(grades, depths);
    }

    public IReadOnlyList<LevelRow> Rows { get; }

    public IReadOnlyList<string> OwnColumns { get; }

    /// <summary>The chart every school starts with.</summary>
    public static LevelChart Default { get; } =
        new([
            Row(0, "K", 2),
            Row(1, "1", 13),
            Row(2, "2", 23),
            Row(3, "3", 30),
            Row(4, "4", 36),
            Row(5, "5", 41),
            Row(6, "6", 45),
            Row(7, "7", 49),
            Row(8, "8", 52),
            Row(9, "9", 55),
            Row(10, "10", 57.5),
            Row(11, "11", 60),
            Row(12, "12", 62),
        ]);

    private static LevelRow Row(int grade, string label, double depth) =>
        new(grade, label, $"Year {grade + 1}", $"{grade + 5}–{grade + 6}", new(depth));

    /// <summary>Typical depth for a grade; 3.5 is halfway between the ends of grades 3 and 4.</summary>
    /// <param name="grade">Any finite number; beyond the chart the curve goes on straight.</param>
    public Fathoms DepthAt(double grade)
    {
        if (grade <= grades[0])
            return new(depths[0] + (grade - grades[0]) * slopes[0]);
        if (grade >= grades[^1])
            return new(depths[^1] + (grade - grades[^1]) * slopes[^1]);
        var i = Array.BinarySearch(grades, grade) is var at && at >= 0 ? Math.Min(at, grades.Length - 2) : ~at - 1;
        return new(Cubic(i, (grade - grades[i]) / (grades[i + 1] - grades[i])));
    }

    /// <summary>The grade at whose end this depth is typical; the inverse of <see cref="DepthAt"/>, exact to 0.0001 of
    /// a grade.</summary>
    public double GradeAt(Fathoms depth)
    {
        if (depth.Value <= depths[0])
            return grades[0] + (depth.Value - depths[0]) / slopes[0];
        if (depth.Value >= depths[^1])
            return grades[^1] + (depth.Value - depths[^1]) / slopes[^1];
        double low = grades[0],
            high = grades[^1];
        while (high - low > 1e-5)
        {
            var middle = (low + high) / 2;
            if (DepthAt(middle).Value < depth.Value)
                low = middle;
            else
                high = middle;
        }
        return (low + high) / 2;
    }

    /// <summary>Typical growth at a depth, in fathoms per school week.</summary>
    /// <param name="schoolWeeksPerYear">School weeks in a year, above 0.</param>
    public double GrowthPerWeek(Fathoms depth, double schoolWeeksPerYear = 38)
    {
        var grade = GradeAt(depth);
        return Math.Max(0, (DepthAt(grade + 0.05) - DepthAt(grade - 0.05)) / 0.1 / schoolWeeksPerYear);
    }

    /// <summary>Typical depth of a reader of a grade, part of the way through the school year.</summary>
    /// <param name="yearGone">Share of the school year gone, 0 to 1.</param>
    public Fathoms Typical(int grade, double yearGone) => DepthAt(grade - 1 + Math.Clamp(yearGone, 0, 1));

    /// <summary>The row a depth falls in: the first that is at least as deep, so 26 fm is grade 3; beyond the chart its
    /// last.</summary>
    public LevelRow RowOf(Fathoms depth) => Rows.FirstOrDefault(r => depth.Value <= r.Depth.Value) ?? Rows[^1];

    /// <summary>The grade label of the row a depth falls in.</summary>
    public string GradeLabel(Fathoms depth) => RowOf(depth).GradeLabel;

    private double Cubic(int i, double t)
    {
        var width = grades[i + 1] - grades[i];
        double t2 = t * t,
            t3 = t2 * t;
        return (2 * t3 - 3 * t2 + 1) * depths[i]
            + (t3 - 2 * t2 + t) * width * slopes[i]
            + (3 * t2 - 2 * t3) * depths[i + 1]
            + (t3 - t2) * width * slopes[i + 1];
    }

    private static double[] Slopes(double[] x, double[] y)
    {
        var n = x.Length;
        var step = new double[n - 1];
        for (var i = 0; i < n - 1; i++)
            step[i] = (y[i + 1] - y[i]) / (x[i + 1] - x[i]);
        var slope = new double[n];
        slope[0] = step[0];
        slope[^1] = step[^1];
        for (var i = 1; i < n - 1; i++)
        {
            double before = x[i] - x[i - 1],
                after = x[i + 1] - x[i],
                share = (before + 2 * after) / (3 * (before + after));
            slope[i] = step[i - 1] * step[i] / (share * step[i] + (1 - share) * step[i - 1]);
        }
        return slope;
    }
}
