using DeepCurrent.Data.Texts;

namespace DeepCurrent.Web.Texts;

/// <summary>Now and then works out anew how deep readers' answers show the texts to be.</summary>
public sealed class DepthsFromAnswers(AnsweredDepths depths, TimeProvider clock, ILogger<DepthsFromAnswers> log)
    : BackgroundService
{
    private static readonly TimeSpan First = TimeSpan.FromMinutes(10),
        Every = TimeSpan.FromHours(6);

    protected override async Task ExecuteAsync(CancellationToken stop)
    {
        for (var wait = First; !stop.IsCancellationRequested; wait = Every)
        {
            try
            {
                await Task.Delay(wait, clock, stop);
                log.LogInformation("{Versions} versions have a depth from answers", await depths.Recompute());
            }
            catch (OperationCanceledException)
            {
                return;
            }
            catch (Exception e)
            {
                log.LogError(e, "Depths from answers could not be worked out");
            }
        }
    }
}
