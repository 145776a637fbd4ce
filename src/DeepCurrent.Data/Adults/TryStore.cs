using Dapper;
using DeepCurrent.Core.Access;
using DeepCurrent.Data.Storage;
using Npgsql;

namespace DeepCurrent.Data.Adults;

/// <summary>A count of wrong tries and the rule it is held to.</summary>
public sealed record Guessed(string Key, GuessRule Rule);

/// <summary>Whether a try may be made.</summary>
/// <param name="Wait">How long to wait first; zero if it may be made.</param>
/// <param name="Tries">The try as it was counted, to be taken off again if it is right.</param>
/// <param name="Counts">How many wrong tries there are by key, this one among them.</param>
public sealed record Entry(TimeSpan Wait, IReadOnlyList<long> Tries, IReadOnlyDictionary<string, int> Counts);

/// <summary>Tries at signing in, counted for all instances together before anything is looked up; and the devices that
/// are known to an account.</summary>
public sealed class TryStore(NpgsqlDataSource db)
{
    private readonly SemaphoreSlim turns = new(4);

    /// <summary>Counts a try as wrong, unless it has to wait. Of many at once each is counted before the next may
    /// begin.</summary>
    public async Task<Entry> Enter(IReadOnlyList<Guessed> guesses, DateTimeOffset now)
    {
        // Whoever waits here holds no connection: a flood of guesses takes none from readers at work.
        await turns.WaitAsync();
        try
        {
            return await Counted(guesses, now);
        }
        finally
        {
            turns.Release();
        }
    }

    private async Task<Entry> Counted(IReadOnlyList<Guessed> guesses, DateTimeOffset now)
    {
        await using var c = await db.OpenConnectionAsync();
        await using var t = await c.BeginTransactionAsync();
        var counts = new Dictionary<string, int>();
        var wait = TimeSpan.Zero;
        // Always in the same order, so that two never wait for one another.
        foreach (var g in guesses.OrderBy(g => g.Key, StringComparer.Ordinal))
        {
            await c.ExecuteAsync("select pg_advisory_xact_lock(hashtextextended(@Key, 1))", new { g.Key }, t);
            var (count, last) = await c.QuerySingleAsync<(int, DateTimeOffset?)>(
                "select count(*)::int, max(at) from sign_in_try where key = @Key and at > @since",
                new { g.Key, since = now - g.Rule.Window },
                t
            );
            counts[g.Key] = count + 1;
            if (g.Rule.Left(count, last, now) is var left && left > wait)
                wait = left;
        }
        if (wait > TimeSpan.Zero)
            return new(wait, [], counts);
        var tries = (
            await c.QueryAsync<long>(
                "insert into sign_in_try (key, at) select k, @now from unnest(@keys) k returning id",
                new { keys = counts.Keys.ToArray(), now },
                t
            )
        ).ToList();
        await t.CommitAsync();
        return new(TimeSpan.Zero, tries, counts);
    }

    /// <summary>A try that was right is no wrong one; what went before it in the account is forgiven, what went before
    /// elsewhere is not.</summary>
    public async Task Right(IReadOnlyList<long> tries, string? account)
    {
        await db.Run(
            "delete from sign_in_try where id = any(@tries) or key = @account",
            new { tries = tries.ToArray(), account }
        );
    }

    public async Task<bool> Knows(Guid deviceId, string key)
    {
        return await db.Value<bool>(
            "select exists (select 1 from known_device where device_id = @deviceId and key = @key)",
            new { deviceId, key }
        );
    }

    public async Task Know(Guid deviceId, IReadOnlyList<string> keys, DateTimeOffset now)
    {
        await db.Run(
            """
            insert into known_device (device_id, key, at)
            select @deviceId, k, @now
            from unnest(@keys) k
            on conflict (device_id, key) do update
            set at = excluded.at
            """,
            new
            {
                deviceId,
                keys = keys.ToArray(),
                now,
            }
        );
    }
}
