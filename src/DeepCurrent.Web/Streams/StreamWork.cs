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

    public async Task<bool> Do(CancellationToken stop)
    {
        if (!stream.Available)
            return false;
        foreach (var post in await streams.ToKeep(clock.GetUtcNow()))
            await Keep(post, stop);
        return false;
    }

    private async Task Keep(PostToKeep p, CancellationToken stop)
    {
        var now = p.Post?.Fingerprint();
        try
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
                    if (!p.Shared)
                        await streams.Forget(p.Id);
                    break;
                case StreamStep.Forget:
                    await streams.Forget(p.Id);
                    break;
                default:
                    break;
            }
        }
        catch (StreamUnreachable e)
        {
            log.LogWarning(e, "A class stream could not be reached");
            await streams.Failed(p.Id, clock.GetUtcNow() + StreamRules.Pause(p.Failures + 1));
        }
    }

    private static StreamMessage Message(StreamPost post, string home) =>
        new(post.Id.Value, post.Heading, post.Title, post.DueOn, new Uri($"{home}/task/{post.Id}"), post.Readers);
}
