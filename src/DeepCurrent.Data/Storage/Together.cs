using System.Collections.Concurrent;
using Npgsql;

namespace DeepCurrent.Data.Storage;

/// <summary>Carries out together what many ask for at once. Whoever asks alone is answered at once; what is asked
/// meanwhile waits for the next turn, so that a school at work costs few trips to the database.</summary>
/// <param name="turns">How many may be under way at a time.</param>
/// <param name="most">How many asks go into one turn at most.</param>
/// <param name="work">Answers some asks, in their order. It begins after each of them was asked, so no answer is older
/// than its ask.</param>
public sealed class Together<TAsk, TAnswer>(
    int turns,
    int most,
    Func<IReadOnlyList<TAsk>, Task<IReadOnlyList<TAnswer>>> work
)
{
    private readonly ConcurrentQueue<Waiting> queue = [];
    private readonly SemaphoreSlim places = new(turns);

    private sealed record Waiting(TAsk Ask)
    {
        public TaskCompletionSource<TAnswer> Done { get; } = new(TaskCreationOptions.RunContinuationsAsynchronously);
    }

    /// <exception cref="Exception">Whatever the work throws for this ask alone.</exception>
    public async Task<TAnswer> Do(TAsk ask)
    {
        var mine = new Waiting(ask);
        queue.Enqueue(mine);
        // Whoever gets a place works off what waits; the others find theirs done when their turn comes.
        while (!mine.Done.Task.IsCompleted)
        {
            await places.WaitAsync();
            try
            {
                var taken = new List<Waiting>();
                while (!mine.Done.Task.IsCompleted && taken.Count < most && queue.TryDequeue(out var next))
                    taken.Add(next);
                if (taken.Count == 0)
                    break;
                await Answer(taken);
            }
            finally
            {
                places.Release();
            }
        }
        return await mine.Done.Task;
    }

    private async Task Answer(IReadOnlyList<Waiting> taken)
    {
        try
        {
            var answers = await work([.. taken.Select(w => w.Ask)]);
            for (var i = 0; i < taken.Count; i++)
                taken[i].Done.SetResult(answers[i]);
        }
        catch (Exception e)
            when (taken.Count > 1 && e is PostgresException or not (NpgsqlException or TimeoutException or IOException))
        {
            // Something is wrong with one of them, not with the line to the database: nobody else loses by it.
            foreach (var one in taken)
                await Answer([one]);
        }
        catch (Exception e)
        {
            foreach (var one in taken)
                one.Done.TrySetException(e);
        }
    }
}
