using DeepCurrent.Data.Imports;
using Npgsql;

namespace DeepCurrent.Web.Imports;

/// <summary>Works through waiting imports, one at a time in each instance. An import whose process died in the middle is begun again: nothing of it was written.</summary>
public sealed class ImportRunner(NpgsqlDataSource db, ImportStore imports, ImportWork work, ILogger<ImportRunner> log) : BackgroundService
{
    private static readonly TimeSpan Glance = TimeSpan.FromSeconds(20), Pause = TimeSpan.FromSeconds(2);

    protected override async Task ExecuteAsync(CancellationToken stop)
    {
        while (!stop.IsCancellationRequested)
        {
            try { await Run(stop); }
            catch (OperationCanceledException) { return; }
            catch (Exception e) when (e is NpgsqlException or IOException or TimeoutException)
            {
                log.LogWarning("The database did not answer; imports wait");
                await Task.Delay(Pause, stop).ContinueWith(_ => { }, CancellationToken.None);
            }
        }
    }

    private async Task Run(CancellationToken stop)
    {
        await using var c = await db.OpenConnectionAsync(stop);
        await using (var listen = new NpgsqlCommand("listen import", c)) await listen.ExecuteNonQueryAsync(stop);
        while (true)
        {
            while (await imports.Next(stop) is { } hold)
            {
                await using (hold)
                {
                    try { await work.Do(hold.Head, stop); }
                    catch (Exception e) when (e is not OperationCanceledException and not NpgsqlException { IsTransient: true })
                    {
                        log.LogError(e, "An import failed");
                        await imports.Failed(hold.Head.Id, "Something went wrong on the server. Nothing of the import was written.");
                    }
                }
            }
            await c.WaitAsync(Glance, stop);
        }
    }
}
