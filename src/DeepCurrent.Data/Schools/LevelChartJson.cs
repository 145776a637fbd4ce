using System.Data;
using Dapper;
using DeepCurrent.Core.Depth;
using DeepCurrent.Data.Storage;

namespace DeepCurrent.Data.Schools;

/// <summary>A school's own level chart as it is kept.</summary>
public sealed record LevelChartJson(IReadOnlyList<string> OwnColumns, IReadOnlyList<LevelChartJson.Row> Rows)
{
    public sealed record Row(
        double Grade,
        string Label,
        string SchoolYear,
        string Ages,
        Fathoms Depth,
        IReadOnlyList<string> Own
    );

    private static LevelChart Read(string json)
    {
        var kept = Database.FromJson<LevelChartJson>(json);
        return new(
            [.. kept.Rows.Select(r => new LevelRow(r.Grade, r.Label, r.SchoolYear, r.Ages, r.Depth, r.Own))],
            kept.OwnColumns
        );
    }

    private static string Write(LevelChart chart) =>
        Database.ToJson(
            new LevelChartJson(
                chart.OwnColumns,
                [.. chart.Rows.Select(r => new Row(r.Grade, r.GradeLabel, r.SchoolYear, r.Ages, r.Depth, r.Own))]
            )
        );

    /// <summary>A chart in the database.</summary>
    internal sealed class Handler : SqlMapper.TypeHandler<LevelChart>
    {
        public override LevelChart? Parse(object value) => Read((string)value);

        public override void SetValue(IDbDataParameter parameter, LevelChart? value) =>
            parameter.Value = value is null ? DBNull.Value : Write(value);
    }
}
