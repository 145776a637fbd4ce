using DeepCurrent.Data.Adults;
using DeepCurrent.Web.Hosting;

namespace DeepCurrent.Web.SignIn;

/// <summary>Slows guessing down. After a few failures an account has to wait longer and longer; an address (a whole class may share one) has far more room and is only ever slowed for a short while. What succeeds is never counted.</summary>
public sealed class SignInLimits(TryStore tries, TimeProvider clock, IConfiguration configuration)
{
    private static readonly TimeSpan Remembered = TimeSpan.FromMinutes(15), LongestWait = TimeSpan.FromMinutes(2), AddressWait = TimeSpan.FromSeconds(20);
    private readonly int accountFree = configuration.GetValue("SignIn:FreeTries", 5);
    private readonly int addressFree = configuration.GetValue("SignIn:FreeTriesOfAnAddress", 150);

    /// <summary>Carries a sign-in out unless it has to wait; counts it if it fails.</summary>
    /// <param name="attempt">Tries, and says whether it was right.</param>
    public async Task<bool> Try(HttpContext http, string account, Func<Task<bool>> attempt)
    {
        string accountKey = $"account {account.ToLowerInvariant()}", addressKey = $"address {http.Connection.RemoteIpAddress}";
        var now = clock.GetUtcNow();
        await Wait(accountKey, accountFree, n => TimeSpan.FromSeconds(Math.Min(LongestWait.TotalSeconds, 5 * Math.Pow(2, n))), now);
        await Wait(addressKey, addressFree, _ => AddressWait, now);
        if (await attempt()) { await tries.Forget(accountKey); return true; }
        await tries.Failed([accountKey, addressKey], now, now - Remembered);
        return false;
    }

    private async Task Wait(string key, int free, Func<int, TimeSpan> wait, DateTimeOffset now)
    {
        var (count, last) = await tries.Since(key, now - Remembered);
        if (count < free || last is null) return;
        var left = last.Value + wait(count - free) - now;
        if (left > TimeSpan.Zero) throw new Refused(StatusCodes.Status429TooManyRequests, "too-many-tries", $"That was tried too often. Wait {Math.Ceiling(left.TotalSeconds)} seconds, then try again.");
    }
}
