using DeepCurrent.Data.Assignments;
using DeepCurrent.Web.Hosting;

namespace DeepCurrent.Web.Assignments;

/// <summary>Releases marked work once its day has come where its school is.</summary>
public sealed class Releasing(WeekStore weeks, TimeProvider clock) : IWork
{
    public string Name => "releasing results";

    public TimeSpan Every => TimeSpan.FromSeconds(20);

    public async Task<bool> Do(CancellationToken stop)
    {
        var now = clock.GetUtcNow();
        foreach (var (school, there) in await weeks.Releasing())
            await weeks.Release(school, there.DayOf(now), now);
        return false;
    }
}
