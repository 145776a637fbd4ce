using System.Net;
using DeepCurrent.Core.Readings;
using DeepCurrent.Data.Voices;

namespace DeepCurrent.Web.Voices;

/// <summary>The voice is away, or cannot say this.</summary>
public sealed class NotSaid(string why, Exception? inner = null) : Exception(why, inner);

/// <summary>A voice that ships, so that texts can be heard on a tablet that has none.</summary>
public interface IVoice
{
    bool Ready { get; }

    /// <exception cref="NotSaid">The voice is away, or cannot say this.</exception>
    Task<(Sound Sound, IReadOnlyList<SpokenWord> Words)> Say(string text, string language, CancellationToken stop);
}

/// <param name="Address">Of the voice service; empty for none.</param>
/// <param name="WordsPerMinute">How fast it speaks.</param>
/// <param name="Ahead">Whether every text is said beforehand.</param>
public sealed record VoiceSettings(
    string Address = "",
    int WordsPerMinute = 130,
    double Seconds = 20,
    bool Ahead = true
);

/// <summary>A voice that is asked over HTTP.</summary>
public sealed class HttpVoice(VoiceSettings settings, HttpClient http) : IVoice
{
    private sealed record Answer(string? Type, byte[]? Sound, List<SpokenWord>? Words);

    public bool Ready => settings.Address.Length > 0;

    public async Task<(Sound Sound, IReadOnlyList<SpokenWord> Words)> Say(
        string text,
        string language,
        CancellationToken stop
    )
    {
        using var limit = CancellationTokenSource.CreateLinkedTokenSource(stop);
        limit.CancelAfter(TimeSpan.FromSeconds(settings.Seconds));
        try
        {
            using var response = await http.PostAsJsonAsync(
                $"{settings.Address.TrimEnd('/')}/speak",
                new
                {
                    text,
                    language,
                    settings.WordsPerMinute,
                },
                limit.Token
            );
            if (response.StatusCode is not HttpStatusCode.OK)
                throw new NotSaid($"the voice answered {(int)response.StatusCode}");
            var said = await response.Content.ReadFromJsonAsync<Answer>(limit.Token);
            return said is { Type: "audio/mpeg", Sound.Length: > 0, Words: { } words }
                ? (new(said.Type, said.Sound), words)
                : throw new NotSaid("the voice said nothing");
        }
        catch (Exception e)
            when (e is HttpRequestException or OperationCanceledException or System.Text.Json.JsonException)
        {
            throw new NotSaid("the voice does not answer", e);
        }
    }
}
