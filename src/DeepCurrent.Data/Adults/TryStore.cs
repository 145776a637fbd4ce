using Dapper;
using Npgsql;

namespace DeepCurrent.Data.Adults;

/// <summary>Failed sign-ins, counted for all instances together.</summary>
public sealed class TryStore(NpgsqlDataSource db)
{
    /// <summary>Failures of a key since a time, and the last of them.</summary>
    public async Task<(int Count, DateTimeOffset? Last)> Since(string key, DateTimeOffset since)
    {
        await using var c = await db.OpenConnectionAsync();
        return await c.QuerySingleAsync<(int, DateTimeOffset?)>("select count(*)::int, max(at) from sign_in_try where key = @key and at > @since", new { key, since });
    }

    /// <summary>Counts a failure, and forgets what is old.</summary>
    public async Task Failed(IReadOnlyList<string> keys, DateTimeOffset at, DateTimeOffset old)
    {
        await using var c = await db.OpenConnectionAsync();
        await c.ExecuteAsync("delete from sign_in_try where key = any(@keys) and at < @old; insert into sign_in_try (key, at) select k, @at from unnest(@keys) k", new { keys = keys.ToArray(), at, old });
    }

    public async Task Forget(string key)
    {
        await using var c = await db.OpenConnectionAsync();
        await c.ExecuteAsync("delete from sign_in_try where key = @key", new { key });
    }
}
