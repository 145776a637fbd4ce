using DeepCurrent.Web.Hosting;
using Npgsql;

namespace DeepCurrent.Web.Live;

/// <summary>Listens to one channel of the database's notices, so that it does not matter which instance wrote; a lost
/// line is taken up again.</summary>
public abstract class ChannelListener(NpgsqlDataSource db, Channels channels, string channel, ILogger log)
    : BackgroundService
{
    /// <summary>The line is there; what was said before it was is not known.</summary>
    protected virtual Task Begun() => Task.CompletedTask;

    protected abstract Task Heard(string payload, CancellationToken stop);

    public override Task StartAsync(CancellationToken cancellationToken)
    {
        channels.Set(channel, listening: false);
        return base.StartAsync(cancellationToken);
    }

    protected override Task ExecuteAsync(CancellationToken stop) =>
        Repeated.Until(Listen, log, $"notices of {channel}", stop);

    private async Task Listen(CancellationToken stop)
    {
        await using var c = await db.OpenConnectionAsync(stop);
        var waiting = new Queue<string>();
        c.Notification += (_, notice) => waiting.Enqueue(notice.Payload);
        await using (var listen = new NpgsqlCommand($"listen {channel}", c))
            await listen.ExecuteNonQueryAsync(stop);
        await Begun();
        channels.Set(channel, listening: true);
        try
        {
            while (true)
            {
                await c.WaitAsync(stop);
                while (waiting.TryDequeue(out var payload))
                    await Heard(payload, stop);
            }
        }
        finally
        {
            channels.Set(channel, listening: false);
        }
    }
}
