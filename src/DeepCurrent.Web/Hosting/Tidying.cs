using DeepCurrent.Data.Storage;
using Npgsql;

namespace DeepCurrent.Web.Hosting;

/// <summary>Tidies a few times a day. It does not matter which instance does it, or if several do.</summary>
public sealed class Tidying(TidyStore store, TimeProvider clock, ILogger<Tidying> log) : BackgroundService
{
    /// <summary>How long a change can be undone, and so how long what that takes is kept.</summary>
    public static readonly TimeSpan Kept = TimeSpan.FromDays(30);
    private static readonly TimeSpan Between = TimeSpan.FromHours(6);

    protected override async Task ExecuteAsync(CancellationToken stop)
    {
        using var timer = new PeriodicTimer(Between, clock);
        do
        {
            try
            {
                await store.Forget(clock.GetUtcNow() - Kept);
            }
            catch (NpgsqlException)
            {
                log.LogWarning("The database did not answer; tidying waits");
            }
        } while (
            await timer
                .WaitForNextTickAsync(stop)
                .AsTask()
                .ContinueWith(t => t.IsCompletedSuccessfully && t.Result, CancellationToken.None)
        );
    }
}
