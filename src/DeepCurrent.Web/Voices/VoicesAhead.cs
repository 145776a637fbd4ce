using System.Text.Json;
using DeepCurrent.Core.Texts;
using DeepCurrent.Data.Voices;
using DeepCurrent.Web.Hosting;

namespace DeepCurrent.Web.Voices;

/// <summary>Has every page of every text said beforehand, a few at a time; what is there is left alone, so it goes on
/// where it stopped.</summary>
public sealed class VoicesAhead(Speaker speaker, VoiceSettings settings, SpokenStore spoken) : IWork
{
    private const int AtOnce = 10;

    public string Name => "voices ahead";

    public TimeSpan First => TimeSpan.FromMinutes(1);

    public TimeSpan Every => TimeSpan.FromMinutes(10);

    public async Task<bool> Do(CancellationToken stop)
    {
        if (!speaker.Ready || !settings.Ahead)
            return false;
        var pages = new Dictionary<string, string>();
        foreach (var version in await spoken.Pages())
        foreach (var page in JsonSerializer.Deserialize<List<List<string>>>(version)!)
            if (Paragraphs.Aloud(page).Trim() is { Length: > 0 } said)
                pages[speaker.KeyOf(said, "en-GB")] = said;
        var missing = await spoken.Missing(pages.Keys);
        foreach (var key in missing.Take(AtOnce))
            try
            {
                await speaker.Say(pages[key], "en-GB", stop);
            }
            catch (NotSaid)
            {
                return false;
            }

        return missing.Count > AtOnce;
    }
}
