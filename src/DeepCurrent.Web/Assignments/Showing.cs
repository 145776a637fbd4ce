using DeepCurrent.Data.Assignments;
using DeepCurrent.Web.Hosting;

namespace DeepCurrent.Web.Assignments;

/// <summary>Shows readers what was planned for them once its day has come where their school is.</summary>
public sealed class Showing(WeekStore weeks, TimeProvider clock) : IWork
{
    public string Name => "showing what was planned";

    public TimeSpan Every => TimeSpan.FromSeconds(20);

    public async Task<bool> Do(CancellationToken stop)
    {
        var now = clock.GetUtcNow();
        foreach (var (school, there) in await weeks.Planning())
            await weeks.Show(school, there.DayOf(now), now);
        return false;
    }
}
