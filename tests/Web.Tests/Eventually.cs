using System.Diagnostics;

namespace Web.Tests;

/// <summary>Waits for what work in the background brings about, by asking again as a page would.</summary>
internal static class Eventually
{
    private static readonly TimeSpan Between = TimeSpan.FromMilliseconds(50),
        Longest = TimeSpan.FromSeconds(60);

    /// <summary>What is there once it is so.</summary>
    /// <param name="ask">Null where nothing can be said yet.</param>
    /// <exception cref="TimeoutException">It did not come about.</exception>
    public static async Task<T> Is<T>(Func<Task<T?>> ask, Func<T, bool> so, string what)
        where T : class
    {
        var from = Stopwatch.GetTimestamp();
        while (Stopwatch.GetElapsedTime(from) < Longest)
        {
            if (await ask() is { } found && so(found))
                return found;
            await Task.Delay(Between);
        }
        throw new TimeoutException($"It did not come about: {what}");
    }
}
