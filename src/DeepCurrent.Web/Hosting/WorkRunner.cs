using System.Diagnostics;
using System.Diagnostics.Metrics;
using Npgsql;

namespace DeepCurrent.Web.Hosting;

/// <summary>Work that comes round again and again. It belongs to its subject; <see cref="WorkRunner{T}"/> runs
/// it.</summary>
public interface IWork
{
    /// <summary>For the log, the metrics and the lease.</summary>
    string Name { get; }

    /// <summary>Until the first round.</summary>
    TimeSpan First => TimeSpan.Zero;

    /// <summary>From the end of one round to the next.</summary>
    TimeSpan Every { get; }

    /// <summary>One instance at a time does it; false where rows are held one by one.</summary>
    bool Alone => true;

    /// <summary>A channel of the database that says there is something to do before the time is up.</summary>
    string? WokenBy => null;

    /// <returns>Whether there is more to do at once.</returns>
    Task<bool> Do(CancellationToken stop);
}

/// <summary>How a round went.</summary>
public enum Round
{
    Done,
    More,
    Elsewhere,
    Failed,
}

/// <summary>Runs one kind of work: on its interval or when woken, under its lease, more slowly the more often it
/// fails, counted and timed.</summary>
public sealed class WorkRunner<T>(T work, NpgsqlDataSource db, TimeProvider clock, ILogger<T> log) : BackgroundService
    where T : IWork
{
    /// <summary>Takes the work if no other instance has it; lets it go with the connection.</summary>
    private const string Take = "select pg_try_advisory_lock(hashtextextended($1, 2))";

    private NpgsqlConnection? line;

    protected override async Task ExecuteAsync(CancellationToken stop)
    {
        var failures = 0;
        var wait = work.First;
        try
        {
            while (true)
            {
                await Rest(wait, stop);
                var round = await Once(stop);
                failures = round is Round.Failed ? failures + 1 : 0;
                wait = WorkPace.After(round, failures, work.Every);
            }
        }
        catch (OperationCanceledException) when (stop.IsCancellationRequested) { }
        finally
        {
            await HangUp();
        }
    }

    /// <summary>One round, and what came of it.</summary>
    public async Task<Round> Once(CancellationToken stop)
    {
        var began = Stopwatch.GetTimestamp();
        var round = Round.Failed;
        try
        {
            round = await UnderLease(stop);
        }
        catch (OperationCanceledException) when (stop.IsCancellationRequested)
        {
            throw;
        }
        catch (Exception e) when (e is NpgsqlException or IOException or TimeoutException)
        {
            log.LogWarning("The database did not answer; {Work} waits", work.Name);
        }
        catch (Exception e)
        {
            log.LogError(e, "{Work} failed", work.Name);
        }
        WorkPace.Count(work.Name, round, Stopwatch.GetElapsedTime(began));
        return round;
    }

    private async Task<Round> UnderLease(CancellationToken stop)
    {
        if (!work.Alone)
            return await Do(stop);
        await using var c = await db.OpenConnectionAsync(stop);
        await using var take = new NpgsqlCommand(Take, c) { Parameters = { new() { Value = work.Name } } };
        if (await take.ExecuteScalarAsync(stop) is not true)
            return Round.Elsewhere;
        try
        {
            return await Do(stop);
        }
        finally
        {
            // A connection that goes back to the pool would keep the lease.
            await using var release = new NpgsqlCommand("select pg_advisory_unlock_all()", c);
            await release.ExecuteNonQueryAsync(CancellationToken.None);
        }
    }

    private async Task<Round> Do(CancellationToken stop) => await work.Do(stop) ? Round.More : Round.Done;

    private async Task Rest(TimeSpan wait, CancellationToken stop)
    {
        if (work.WokenBy is not { } channel)
        {
            await Task.Delay(wait, clock, stop);
            return;
        }
        try
        {
            if (line is null)
            {
                line = await db.OpenConnectionAsync(stop);
                await using var listen = new NpgsqlCommand($"listen {channel}", line);
                await listen.ExecuteNonQueryAsync(stop);
                return; // What was said before the line was there is looked for at once.
            }
            await line.WaitAsync(wait > TimeSpan.Zero ? wait : TimeSpan.FromMilliseconds(1), stop);
        }
        catch (Exception e) when (e is NpgsqlException or IOException or TimeoutException)
        {
            await HangUp();
            await Task.Delay(WorkPace.Pause, clock, stop);
        }
    }

    private async Task HangUp()
    {
        if (line is not null)
            await line.DisposeAsync();
        line = null;
    }
}

/// <summary>When work comes round again, and how often it did.</summary>
public static class WorkPace
{
    /// <summary>After a first failure; it doubles with each more.</summary>
    public static readonly TimeSpan Pause = TimeSpan.FromSeconds(2);

    /// <summary>Between two rounds where there is more to do: others want the database, too.</summary>
    private static readonly TimeSpan Breath = TimeSpan.FromMilliseconds(200);
    private static readonly TimeSpan LongestPause = TimeSpan.FromMinutes(10);
    private const int MostDoublings = 12;

    private static readonly Meter Meter = new("DeepCurrent.Work");
    private static readonly Counter<long> Rounds = Meter.CreateCounter<long>("deepcurrent.work.rounds");
    private static readonly Histogram<double> Seconds = Meter.CreateHistogram<double>("deepcurrent.work.duration", "s");

    /// <param name="failures">How often it has failed in a row.</param>
    /// <param name="every">The work's own interval; a pause after a failure is never longer than this or ten
    /// minutes, whichever is less, and never shorter than two seconds.</param>
    public static TimeSpan After(Round round, int failures, TimeSpan every)
    {
        if (round is Round.More)
            return Breath;
        if (round is not Round.Failed)
            return every;
        var pause = Pause * Math.Pow(2, Math.Min(failures - 1, MostDoublings));
        var longest = every < LongestPause ? every : LongestPause;
        return pause < longest ? pause
            : longest < Pause ? Pause
            : longest;
    }

    public static void Count(string work, Round round, TimeSpan took)
    {
        KeyValuePair<string, object?> of = new("work", work);
        Rounds.Add(1, of, new("round", round.ToString()));
        if (round is not Round.Elsewhere)
            Seconds.Record(took.TotalSeconds, of);
    }
}
