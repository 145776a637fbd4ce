using DeepCurrent.Core.Schools;
using DeepCurrent.Data.LevelChecks;
using DeepCurrent.Data.Schools;
using DeepCurrent.Web.Hosting;

namespace DeepCurrent.Web.LevelChecks;

/// <summary>Ends checks whose last day has passed, so that what readers were in the middle of counts.</summary>
public sealed class ChecksClosing(
    SittingStore sittings,
    CheckStore checks,
    SchoolStore schools,
    TimeProvider clock,
    ILogger<ChecksClosing> log
) : IWork
{
    public string Name => "ending level checks";

    public TimeSpan First => TimeSpan.FromMinutes(2);

    public TimeSpan Every => TimeSpan.FromMinutes(30);

    public async Task<bool> Do(CancellationToken stop)
    {
        if (await Close() is > 0 and var ended)
            log.LogInformation("{Checks} level checks have ended", ended);
        return false;
    }

    /// <returns>How many have ended.</returns>
    public async Task<int> Close()
    {
        var now = clock.GetUtcNow();
        var ended = 0;
        // Where the day is still on, a check stays open until the school's own midnight.
        foreach (var (id, schoolId) in await sittings.ToClose(DateOnly.FromDateTime(now.UtcDateTime.AddDays(1))))
        {
            var school = await schools.Get(schoolId);
            var today = new SchoolClock(school.TimeZone).DayOf(now);
            if (
                await checks.Find(id, schoolId) is not { } check
                || !(check.ClosesOn < today)
                || await schools.CurrentYear(schoolId, today) is not { } year
            )
                continue;
            await sittings.Close(check, new(school.Chart, year), now);
            ended++;
        }
        return ended;
    }
}
