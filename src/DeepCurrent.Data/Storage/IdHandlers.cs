using System.Data;
using System.Reflection;
using Dapper;
using Npgsql;
using NpgsqlTypes;

namespace DeepCurrent.Data.Storage;

/// <summary>Ids in the database: a uuid, or an array of them.</summary>
internal static class IdHandlers
{
    public static void Add()
    {
        var add = typeof(IdHandlers).GetMethod(nameof(AddFor), BindingFlags.NonPublic | BindingFlags.Static)!;
        foreach (var kind in IId.Kinds)
            add.MakeGenericMethod(kind).Invoke(null, null);
    }

    // A list is handed over under the type it is declared with.
    private static void AddFor<T>()
        where T : struct, IId<T>
    {
        SqlMapper.AddTypeHandler(typeof(T), new One<T>());
        SqlMapper.AddTypeHandler(typeof(T?[]), new Many<T>(ids => ids));
        SqlMapper.AddTypeHandler(typeof(T[]), new Many<T>(Whole));
        SqlMapper.AddTypeHandler(typeof(List<T>), new Many<T>(ids => Whole(ids).ToList()));
        SqlMapper.AddTypeHandler(typeof(HashSet<T>), new Many<T>(ids => Whole(ids).ToHashSet()));
        SqlMapper.AddTypeHandler(typeof(IReadOnlyList<T>), new Many<T>(Whole));
        SqlMapper.AddTypeHandler(typeof(IReadOnlyCollection<T>), new Many<T>(Whole));
        SqlMapper.AddTypeHandler(typeof(IReadOnlySet<T>), new Many<T>(ids => Whole(ids).ToHashSet()));
        SqlMapper.AddTypeHandler(typeof(IEnumerable<T>), new Many<T>(Whole));

        static T[] Whole(T?[] ids) => [.. ids.Select(id => id!.Value)];
    }

    private sealed class One<T> : SqlMapper.ITypeHandler
        where T : struct, IId<T>
    {
        public object Parse(Type destinationType, object value) => T.From((Guid)value);

        // One that is missing has its type all the same: the database asks.
        public void SetValue(IDbDataParameter parameter, object value)
        {
            parameter.DbType = DbType.Guid;
            parameter.Value = value is T id ? id.Value : DBNull.Value;
        }
    }

    private sealed class Many<T>(Func<T?[], object> made) : SqlMapper.ITypeHandler
        where T : struct, IId<T>
    {
        public object Parse(Type destinationType, object value) =>
            made([.. ((Guid[])value).Select(id => (T?)T.From(id))]);

        public void SetValue(IDbDataParameter parameter, object value)
        {
            ((NpgsqlParameter)parameter).NpgsqlDbType = NpgsqlDbType.Array | NpgsqlDbType.Uuid;
            parameter.Value = value switch
            {
                IEnumerable<T> ids => ids.Select(id => id.Value).ToArray(),
                IEnumerable<T?> some => some.Select(id => id?.Value).ToArray(),
                _ => DBNull.Value,
            };
        }
    }
}
