using System.Data;
using Dapper;
using DeepCurrent.Core.Questions;

namespace DeepCurrent.Data.Storage;

/// <summary>A mark as the database has it: points row by row, and the most there were.</summary>
internal sealed class MarkHandler : SqlMapper.TypeHandler<GivenMark>
{
    public override GivenMark Parse(object value) => Database.FromJson<GivenMark>((string)value);

    public override void SetValue(IDbDataParameter parameter, GivenMark? value) =>
        parameter.Value = value is null ? DBNull.Value : Database.ToJson(value);
}
