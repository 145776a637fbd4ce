using Npgsql;

namespace DeepCurrent.Web.Hosting;

/// <summary>Work that goes on as long as the application does.</summary>
public static class Repeated
{
    private static readonly TimeSpan Pause = TimeSpan.FromSeconds(2);

    /// <summary>Begins again after a pause where the database was away.</summary>
    /// <param name="waits">What waits meanwhile, for the log.</param>
    public static async Task Until(
        Func<CancellationToken, Task> work,
        ILogger log,
        string waits,
        CancellationToken stop
    )
    {
        while (!stop.IsCancellationRequested)
        {
            try
            {
                await work(stop);
            }
            catch (OperationCanceledException)
            {
                return;
            }
            catch (Exception e) when (e is NpgsqlException or IOException or TimeoutException)
            {
                log.LogWarning("The database did not answer; {What} wait", waits);
                await Task.Delay(Pause, stop).ContinueWith(_ => { }, CancellationToken.None);
            }
        }
    }
}
