using DeepCurrent.Data.Imports;
using DeepCurrent.Web.Hosting;
using Npgsql;

namespace DeepCurrent.Web.Imports;

/// <summary>Works through waiting imports, one at a time in each instance. An import whose process died in the middle
/// is begun again: nothing of it was written.</summary>
public sealed class ImportRunner(ImportStore imports, ImportWork work, ILogger<ImportRunner> log) : IWork
{
    public string Name => "imports";

    public TimeSpan Every => TimeSpan.FromSeconds(20);

    public bool Alone => false;

    public string WokenBy => ImportStore.Channel;

    public async Task<bool> Do(CancellationToken stop)
    {
        if (await imports.Next(stop) is not { } hold)
            return false;
        await using (hold)
        {
            try
            {
                await work.Do(hold.Head, stop);
            }
            catch (Exception e) when (e is not OperationCanceledException and not NpgsqlException { IsTransient: true })
            {
                log.LogError(e, "An import failed");
                await imports.Failed(
                    hold.Head.Id,
                    $"Something went wrong on the server. Nothing was imported. Try again."
                );
            }
        }
        return true;
    }
}
