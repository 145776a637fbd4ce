using System.Collections.Concurrent;
using System.Threading.Channels;

namespace DeepCurrent.Data.Storage;

/// <summary>Gathers what is said in a short while: the first is passed on at once, what follows within the while
/// together and once.</summary>
public sealed class Gathered<T>(TimeSpan every, Func<IReadOnlyCollection<T>, CancellationToken, Task> tell)
    where T : notnull
{
    private readonly ConcurrentDictionary<T, byte> waiting = [];
    private readonly Channel<bool> bell = Channel.CreateBounded<bool>(
        new BoundedChannelOptions(1) { FullMode = BoundedChannelFullMode.DropWrite }
    );

    public void Add(T said)
    {
        if (waiting.TryAdd(said, 0))
            bell.Writer.TryWrite(true);
    }

    /// <summary>Passes on what is said until it is stopped. What could not be passed on stays and is tried again with
    /// the next.</summary>
    public async Task Run(CancellationToken stop)
    {
        await foreach (var _ in bell.Reader.ReadAllAsync(stop))
        {
            var taken = waiting.Keys.ToList();
            foreach (var said in taken)
                waiting.TryRemove(said, out var _);
            try
            {
                await tell(taken, stop);
            }
            catch
            {
                foreach (var said in taken)
                    waiting.TryAdd(said, 0);
                bell.Writer.TryWrite(true);
                throw;
            }
            await Task.Delay(every, stop);
        }
    }
}
