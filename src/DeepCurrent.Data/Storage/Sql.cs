using Dapper;
using Npgsql;

namespace DeepCurrent.Data.Storage;

/// <summary>One command on a connection of its own. What takes several commands opens one and a transaction.</summary>
internal static class Sql
{
    /// <summary>Every row there is; the query itself says how many there can be.</summary>
    public static async Task<IReadOnlyList<T>> All<T>(this NpgsqlDataSource db, string sql, object? with = null)
    {
        await using var c = await db.OpenConnectionAsync();
        return (await c.QueryAsync<T>(sql, with)).AsList();
    }

    /// <summary>The one row there can be; the default where there is none.</summary>
    public static async Task<T?> One<T>(this NpgsqlDataSource db, string sql, object? with = null)
    {
        await using var c = await db.OpenConnectionAsync();
        return await c.QuerySingleOrDefaultAsync<T>(sql, with);
    }

    /// <summary>The first row in the query's order; the default where there is none.</summary>
    public static async Task<T?> First<T>(this NpgsqlDataSource db, string sql, object? with = null)
    {
        await using var c = await db.OpenConnectionAsync();
        return await c.QueryFirstOrDefaultAsync<T>(sql, with);
    }

    /// <summary>The one row there has to be.</summary>
    /// <exception cref="InvalidOperationException">There is none, or there are several.</exception>
    public static async Task<T> Single<T>(this NpgsqlDataSource db, string sql, object? with = null)
    {
        await using var c = await db.OpenConnectionAsync();
        return await c.QuerySingleAsync<T>(sql, with);
    }

    /// <summary>The first value of the first row; the default where there is none.</summary>
    public static async Task<T?> Value<T>(this NpgsqlDataSource db, string sql, object? with = null)
    {
        await using var c = await db.OpenConnectionAsync();
        return await c.ExecuteScalarAsync<T>(sql, with);
    }

    /// <returns>How many rows it was done to.</returns>
    public static async Task<int> Run(this NpgsqlDataSource db, string sql, object? with = null)
    {
        await using var c = await db.OpenConnectionAsync();
        return await c.ExecuteAsync(sql, with);
    }

    /// <summary>Tells every instance of something, with the transaction or at once.</summary>
    /// <param name="payload">What it is about, such as an id.</param>
    public static Task Tell(this NpgsqlConnection c, NpgsqlTransaction? t, string channel, object payload) =>
        c.ExecuteAsync("select pg_notify(@channel, @payload)", new { channel, payload = payload.ToString() }, t);
}
