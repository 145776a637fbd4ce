using System.Security.Cryptography;
using System.Text;
using DeepCurrent.Core.Readings;
using DeepCurrent.Data.Voices;

namespace DeepCurrent.Web.Voices;

/// <summary>Has things said, and keeps what was said.</summary>
public sealed class Speaker(IVoice voice, VoiceSettings settings, SpokenStore store, TimeProvider clock)
{
    public bool Ready => voice.Ready;

    /// <summary>Under what it is kept: what is said and how.</summary>
    public string KeyOf(string text, string language) =>
        Convert.ToHexStringLower(
            SHA256.HashData(Encoding.UTF8.GetBytes($"1 {language} {settings.WordsPerMinute} {text}"))
        );

    /// <summary>Says something, or finds what was said before.</summary>
    /// <exception cref="NotSaid">The voice is away, or cannot say this.</exception>
    public async Task<(string Key, IReadOnlyList<SpokenWord> Words)> Say(
        string text,
        string language,
        CancellationToken stop
    )
    {
        var key = KeyOf(text, language);
        if (await store.Words(key) is { } kept)
            return (key, kept);
        var (sound, words) = await voice.Say(text, language, stop);
        await store.Keep(key, sound, words, clock.GetUtcNow());
        return (key, words);
    }
}
