using System.Threading.RateLimiting;
using DeepCurrent.Web.Hosting;

namespace DeepCurrent.Web.SignIn;

/// <summary>Slows down guessing: so many tries a minute for one account, and for one address (a whole class may share one).</summary>
public sealed class SignInLimits(IConfiguration configuration) : IDisposable
{
    private readonly PartitionedRateLimiter<string> accounts = PerMinute(configuration.GetValue("SignIn:PerAccountPerMinute", 8));
    private readonly PartitionedRateLimiter<string> addresses = PerMinute(configuration.GetValue("SignIn:PerAddressPerMinute", 120));

    public void Take(HttpContext http, string account)
    {
        using var a = accounts.AttemptAcquire(account.ToLowerInvariant());
        using var b = addresses.AttemptAcquire(http.Connection.RemoteIpAddress?.ToString() ?? "");
        if (!a.IsAcquired || !b.IsAcquired) throw new Refused(StatusCodes.Status429TooManyRequests, "too-many-tries", "That was tried too often. Wait a minute, then try again.");
    }

    private static PartitionedRateLimiter<string> PerMinute(int most) =>
        PartitionedRateLimiter.Create<string, string>(key => RateLimitPartition.GetFixedWindowLimiter(key, _ => new() { PermitLimit = most, Window = TimeSpan.FromMinutes(1) }));

    public void Dispose()
    {
        accounts.Dispose();
        addresses.Dispose();
    }
}
