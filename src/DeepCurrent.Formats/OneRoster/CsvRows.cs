using CsvHelper;
using DeepCurrent.Core.Roster;

namespace DeepCurrent.Formats.OneRoster;

/// <summary>A line of a file.</summary>
internal record CsvRow(RowPlace At, Dictionary<string, int> Columns, string[] Cells) : ISourceRow
{
    public virtual string Get(string field) =>
        Columns.TryGetValue(field, out var i) && i < Cells.Length ? Cells[i] : "";
}

internal sealed record MendedRow(RowPlace At, Dictionary<string, int> Columns, string[] Cells, Mends Mends)
    : CsvRow(At, Columns, Cells)
{
    public override string Get(string field) =>
        Mends.Cells.TryGetValue((At.File, At.Line, field), out var put) ? put : base.Get(field);
}
