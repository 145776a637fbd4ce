using System.Data;
using Dapper;

namespace DeepCurrent.Data.Storage;

/// <summary>Several things of one kind as JSON in one row: gathered by a query, or kept in a column.</summary>
internal sealed class GatheredHandler<T> : SqlMapper.TypeHandler<IReadOnlyList<T>>
{
    public override IReadOnlyList<T> Parse(object value) => Database.FromJson<List<T>>((string)value);

    public override void SetValue(IDbDataParameter parameter, IReadOnlyList<T>? value) =>
        parameter.Value = Database.ToJson(value ?? []);
}
