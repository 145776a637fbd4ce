using DeepCurrent.Core.Streams;
using DeepCurrent.Data.Streams;
using DeepCurrent.Formats.Streams;
using DeepCurrent.Web.Hosting;

namespace DeepCurrent.Web.Streams;

/// <summary>Keeps class streams as they should be: posts what is shared once its readers see it, follows its title, day
/// and readers, and takes it back.</summary>
public sealed class StreamWork(StreamStore streams, IClassStream stream, TimeProvider clock, ILogger<StreamWork> log)
    : IWork
{
    public string Name => "class streams";

    public TimeSpan Every => TimeSpan.FromSeconds(20);

    public string WokenBy => StreamStore.Channel;

    /// <summary>A stream that fails so often in a row does not answer: the rest waits for the next round.</summary>
    private const int MostFailures = 3;

    public async Task<bool> Do(CancellationToken stop)
    {
        if (!stream.Available)
            return false;
        var now = clock.GetUtcNow();
        var posts = await streams.ToKeep(now);
        await streams.Looked([.. posts.Select(p => p.Id)], now + Every);
        var failed = 0;
        foreach (var post in posts)
        {
            failed = await Kept(post, stop) ? 0 : failed + 1;
            if (failed == MostFailures)
                return false;
        }
        return posts.Count == StreamStore.Most;
    }

    /// <returns>False where the stream did not answer.</returns>
    private async Task<bool> Kept(PostToKeep p, CancellationToken stop)
    {
        try
        {
            await Keep(p, p.Post?.Fingerprint(), stop);
            return true;
        }
        catch (StreamUnreachable e)
        {
            log.LogWarning(e, "A class stream could not be reached");
            await streams.Failed(p.Id, clock.GetUtcNow() + StreamRules.Pause(p.Failures + 1));
            return false;
        }
    }

    private async Task Keep(PostToKeep p, string? now, CancellationToken stop)
    {
        switch (StreamRules.Next(p.Seen, p.Shared, now, p.Sent))
        {
            case StreamStep.Send:
                await stream.Put(p.Course, Message(p.Post!, p.Home), stop);
                await streams.Kept(p.Id, now, clock.GetUtcNow());
                break;
            case StreamStep.TakeBack:
                await stream.Remove(p.Course, p.Id.Value, stop);
                await streams.Kept(p.Id, null, clock.GetUtcNow());
                break;
            case StreamStep.Forget:
                await streams.Forget(p.Id);
                break;
            case StreamStep.Nothing:
                break;
        }
    }

    private static StreamMessage Message(StreamPost post, string home) =>
        new(post.Id.Value, post.Heading, post.Title, post.DueOn, new Uri($"{home}/task/{post.Id}"), post.Readers);
}
