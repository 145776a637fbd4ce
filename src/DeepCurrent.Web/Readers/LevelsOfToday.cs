using DeepCurrent.Core.Schools;
using DeepCurrent.Data.Measuring;
using DeepCurrent.Data.Schools;

namespace DeepCurrent.Web.Readers;

/// <summary>Keeps every level as of today: growth and drift run on from the last evidence, by the one rule of the
/// estimator, when a school's day begins. Lists, chart, sheets, groups, goals and forecasts all show what is kept
/// here.</summary>
public sealed class LevelsOfToday(
    DepthKeeper keeper,
    SchoolStore schools,
    TimeProvider clock,
    ILogger<LevelsOfToday> log
) : BackgroundService
{
    private const int AtOnce = 500;
    private static readonly TimeSpan Every = TimeSpan.FromMinutes(10),
        Rest = TimeSpan.FromSeconds(1);

    protected override async Task ExecuteAsync(CancellationToken stop)
    {
        while (!stop.IsCancellationRequested)
        {
            try
            {
                while (await RunOn(stop) > 0)
                    await Task.Delay(Rest, clock, stop);
                await Task.Delay(Every, clock, stop);
            }
            catch (OperationCanceledException)
            {
                return;
            }
            catch (Exception e)
            {
                log.LogError(e, "Levels could not be run on to today");
                await Task.Delay(Every, clock, stop);
            }
        }
    }

    /// <summary>Runs on the levels that are behind, some of each school at a time.</summary>
    /// <returns>How many there were.</returns>
    public async Task<int> RunOn(CancellationToken stop)
    {
        var now = clock.GetUtcNow();
        var done = 0;
        foreach (var school in await schools.All())
        {
            var at = new SchoolClock(school.TimeZone).At(now);
            if (await schools.CurrentYear(school.Id, at.Today) is not { } year)
                continue;
            foreach (var reader in await keeper.Behind(school.Id, at.DayBegan, AtOnce))
            {
                stop.ThrowIfCancellationRequested();
                await keeper.RunOn(reader, year, school.Chart, now);
                done++;
            }
        }
        return done;
    }
}
