using System.Data;
using System.Globalization;
using System.Reflection;
using Dapper;
using Npgsql;
using NpgsqlTypes;

namespace DeepCurrent.Data.Storage;

/// <summary>Quantities in the database: a number.</summary>
internal static class UnitHandlers
{
    public static void Add()
    {
        var add = typeof(UnitHandlers).GetMethod(nameof(AddFor), BindingFlags.NonPublic | BindingFlags.Static)!;
        foreach (var kind in IUnit.Kinds)
            add.MakeGenericMethod(kind).Invoke(null, null);
    }

    private static void AddFor<T>()
        where T : struct, IUnit<T>
    {
        SqlMapper.AddTypeHandler(typeof(T), new One<T>());
        SqlMapper.AddTypeHandler(typeof(T[]), new Many<T>());
    }

    private sealed class One<T> : SqlMapper.ITypeHandler
        where T : struct, IUnit<T>
    {
        public object Parse(Type destinationType, object value) =>
            T.From(Convert.ToDouble(value, CultureInfo.InvariantCulture));

        // One that is missing has its type all the same: the database asks.
        public void SetValue(IDbDataParameter parameter, object value)
        {
            parameter.DbType = DbType.Double;
            parameter.Value = value is T quantity ? quantity.Value : DBNull.Value;
        }
    }

    private sealed class Many<T> : SqlMapper.ITypeHandler
        where T : struct, IUnit<T>
    {
        public object Parse(Type destinationType, object value) => ((double[])value).Select(T.From).ToArray();

        public void SetValue(IDbDataParameter parameter, object value)
        {
            ((NpgsqlParameter)parameter).NpgsqlDbType = NpgsqlDbType.Array | NpgsqlDbType.Double;
            parameter.Value = ((T[])value).Select(q => q.Value).ToArray();
        }
    }
}
