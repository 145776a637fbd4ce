using DeepCurrent.Data.Imports;
using DeepCurrent.Web.Hosting;
using Npgsql;

namespace DeepCurrent.Web.Imports;

/// <summary>Works through waiting imports, one at a time in each instance. An import whose process died in the middle
/// is begun again: nothing of it was written.</summary>
public sealed class ImportRunner(NpgsqlDataSource db, ImportStore imports, ImportWork work, ILogger<ImportRunner> log)
    : BackgroundService
{
    private static readonly TimeSpan Glance = TimeSpan.FromSeconds(20);

    protected override Task ExecuteAsync(CancellationToken stop) => Repeated.Until(stop, Run, log, "imports");

    private async Task Run(CancellationToken stop)
    {
        await using var c = await db.OpenConnectionAsync(stop);
        await using (var listen = new NpgsqlCommand("listen import", c))
            await listen.ExecuteNonQueryAsync(stop);
        while (true)
        {
            while (await imports.Next(stop) is { } hold)
            {
                await using (hold)
                {
                    try
                    {
                        await work.Do(hold.Head, stop);
                    }
                    catch (Exception e)
                        when (e is not OperationCanceledException and not NpgsqlException { IsTransient: true })
                    {
                        log.LogError(e, "An import failed");
                        await imports.Failed(
                            hold.Head.Id,
                            "Something went wrong on the server. Nothing of the import was written."
                        );
                    }
                }
            }
            await c.WaitAsync(Glance, stop);
        }
    }
}
