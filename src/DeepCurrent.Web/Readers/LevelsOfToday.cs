using DeepCurrent.Core.Schools;
using DeepCurrent.Data.Measuring;
using DeepCurrent.Data.Schools;
using DeepCurrent.Web.Hosting;

namespace DeepCurrent.Web.Readers;

/// <summary>Keeps every level as of today: growth and drift run on from the last evidence, by the one rule of the
/// estimator, when a school's day begins. Lists, chart, sheets, groups, goals and forecasts all show what is kept
/// here.</summary>
public sealed class LevelsOfToday(DepthKeeper keeper, SchoolStore schools, TimeProvider clock) : IWork
{
    private const int AtOnce = 500;

    public string Name => "levels of today";

    public TimeSpan Every => TimeSpan.FromMinutes(10);

    public async Task<bool> Do(CancellationToken stop) => await RunOn(stop) > 0;

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
