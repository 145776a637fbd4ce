using DeepCurrent.Data.Storage;

namespace DeepCurrent.Web.Hosting;

/// <summary>Forgets a few times a day what is kept for a time only.</summary>
public sealed class Tidying(TidyStore store, TimeProvider clock) : IWork
{
    /// <summary>How long a change can be undone, and so how long what that takes is kept.</summary>
    public static readonly TimeSpan Kept = TimeSpan.FromDays(30);

    public string Name => "tidying";

    public TimeSpan Every => TimeSpan.FromHours(6);

    public async Task<bool> Do(CancellationToken stop)
    {
        await store.Forget(clock.GetUtcNow() - Kept);
        return false;
    }
}
