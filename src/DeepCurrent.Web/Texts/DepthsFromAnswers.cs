using DeepCurrent.Data.Texts;
using DeepCurrent.Web.Hosting;

namespace DeepCurrent.Web.Texts;

/// <summary>Now and then works out anew how deep readers' answers show the texts to be.</summary>
public sealed class DepthsFromAnswers(AnsweredDepths depths, ILogger<DepthsFromAnswers> log) : IWork
{
    public string Name => "depths from answers";

    public TimeSpan First => TimeSpan.FromMinutes(10);

    public TimeSpan Every => TimeSpan.FromHours(6);

    public async Task<bool> Do(CancellationToken stop)
    {
        log.LogInformation("{Versions} versions have a depth from answers", await depths.Recompute());
        return false;
    }
}
