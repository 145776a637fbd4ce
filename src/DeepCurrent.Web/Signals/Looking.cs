using DeepCurrent.Data.Schools;
using DeepCurrent.Data.Signals;
using DeepCurrent.Web.Hosting;

namespace DeepCurrent.Web.Signals;

/// <summary>Looks through classes that nobody opens, so that signals begin and end when they do.</summary>
public sealed class Looking(SignalStore signals, SignalBook book, SchoolStore schools, TimeProvider clock) : IWork
{
    private static readonly TimeSpan Often = TimeSpan.FromHours(6);

    public string Name => "looking for signals";

    public TimeSpan First => TimeSpan.FromMinutes(2);

    public TimeSpan Every => TimeSpan.FromMinutes(5);

    public async Task<bool> Do(CancellationToken stop)
    {
        var now = clock.GetUtcNow();
        var classes = await signals.NotSince(now - Often);
        foreach (var k in classes)
        {
            stop.ThrowIfCancellationRequested();
            var school = await schools.Get(k.SchoolId);
            var there = (await schools.Year(k.YearId)).Clock;
            await book.Look(k.ClassId, school, k.YearId, there.At(now));
        }
        return classes.Count > 0;
    }
}
