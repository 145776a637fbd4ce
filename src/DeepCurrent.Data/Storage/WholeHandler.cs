using System.Data;
using Dapper;

namespace DeepCurrent.Data.Storage;

/// <summary>Something kept whole as JSON.</summary>
internal sealed class WholeHandler<T> : SqlMapper.TypeHandler<T>
    where T : class
{
    public override T Parse(object value) => Database.FromJson<T>((string)value);

    public override void SetValue(IDbDataParameter parameter, T? value) =>
        parameter.Value = value is null ? DBNull.Value : Database.ToJson(value);
}
