using System.Data;
using Dapper;

namespace DeepCurrent.Data.Storage;

/// <summary>What a query gathers as JSON for one row: several things of one kind.</summary>
internal sealed class GatheredHandler<T> : SqlMapper.TypeHandler<IReadOnlyList<T>>
{
    public override IReadOnlyList<T> Parse(object value) => Database.FromJson<List<T>>((string)value);

    public override void SetValue(IDbDataParameter parameter, IReadOnlyList<T>? value) =>
        throw new NotSupportedException("What is gathered from several rows is read only.");
}
