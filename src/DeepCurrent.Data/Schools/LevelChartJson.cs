using DeepCurrent.Core.Depth;
using DeepCurrent.Data.Storage;

namespace DeepCurrent.Data.Schools;

/// <summary>A school's level chart as it is kept; a school without one has the chart every school starts
/// with.</summary>
public sealed record LevelChartJson(IReadOnlyList<string> OwnColumns, IReadOnlyList<LevelChartJson.Row> Rows)
{
    public sealed record Row(
        double Grade,
        string Label,
        string SchoolYear,
        string Ages,
        double Depth,
        IReadOnlyList<string> Own
    );

    public static LevelChart Read(string? json)
    {
        if (json is null)
            return LevelChart.Default;
        var kept = Database.FromJson<LevelChartJson>(json);
        return new(
            [.. kept.Rows.Select(r => new LevelRow(r.Grade, r.Label, r.SchoolYear, r.Ages, new(r.Depth), r.Own))],
            kept.OwnColumns
        );
    }

    public static string Write(LevelChart chart) =>
        Database.ToJson(
            new LevelChartJson(
                chart.OwnColumns,
                [.. chart.Rows.Select(r => new Row(r.Grade, r.GradeLabel, r.SchoolYear, r.Ages, r.Depth.Value, r.Own))]
            )
        );
}
