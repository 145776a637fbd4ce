using System.Text.Json;
using DeepCurrent.Core.OralReading;
using DeepCurrent.Data.OralReading;
using DeepCurrent.Data.Texts;
using DeepCurrent.Web.Hosting;

namespace DeepCurrent.Web.OralReading;

/// <summary>The listening device did not give timed words; the message says why, for a teacher.</summary>
public sealed class NotHeard(Message message) : Exception(message.ToString())
{
    public Message Said { get; } = message;
}

/// <summary>Turns speech into timed words.</summary>
public interface IListener
{
    /// <summary>Whether there is a device.</summary>
    bool Ready { get; }

    /// <exception cref="NotHeard">The device is away, too slow, has failed, or has said what cannot be.</exception>
    Task<IReadOnlyList<HeardWord>> Listen(ToHear recording, CancellationToken stop);

    /// <summary>What somebody says freely, as words.</summary>
    /// <param name="seconds">How long it is.</param>
    /// <exception cref="NotHeard">As for a recording of a reading.</exception>
    Task<string> Dictate(Sound sound, double seconds, CancellationToken stop);
}

/// <param name="Address">Of the device; empty for none.</param>
/// <param name="Seconds">It is waited for so long.</param>
public sealed record ListenerSettings(string Address = "", double Seconds = 60);

/// <summary>A listening device that is asked over HTTP.</summary>
public sealed class HttpListening(ListenerSettings settings, HttpClient http) : IListener
{
    private const int MostWords = 20_000;
    private const double Slack = 5;

    private const int LongestDictation = 1000;

    private sealed record Answer(List<HeardWord>? Words);

    private sealed record Dictated(string? Words);

    public bool Ready => settings.Address.Length > 0;

    public async Task<IReadOnlyList<HeardWord>> Listen(ToHear recording, CancellationToken stop)
    {
        var answer = await Ask<Answer>(
            "listen",
            new
            {
                text = recording.Body,
                recording = recording.Id.ToString(),
                seconds = recording.Seconds,
                type = recording.Type,
                sound = recording.Sound,
            },
            stop
        );
        return Checked(answer?.Words, recording.Seconds);
    }

    public async Task<string> Dictate(Sound sound, double seconds, CancellationToken stop)
    {
        var answer = await Ask<Dictated>(
            "dictate",
            new
            {
                seconds,
                type = sound.Type,
                sound = sound.Bytes,
            },
            stop
        );
        return answer?.Words?.Trim() switch
        {
            null or { Length: > LongestDictation } => throw Unusable(),
            "" => throw new NotHeard($"The listening device heard no words."),
            var words => words,
        };
    }

    private async Task<T?> Ask<T>(string what, object sent, CancellationToken stop)
    {
        using var limit = CancellationTokenSource.CreateLinkedTokenSource(stop);
        limit.CancelAfter(TimeSpan.FromSeconds(settings.Seconds));
        try
        {
            using var response = await http.PostAsJsonAsync($"{settings.Address}/{what}", sent, limit.Token);
            if (!response.IsSuccessStatusCode)
                throw new NotHeard($"The listening device has failed.");
            return await response.Content.ReadFromJsonAsync<T>(limit.Token);
        }
        catch (OperationCanceledException) when (!stop.IsCancellationRequested)
        {
            throw new NotHeard($"The listening device took too long.");
        }
        catch (HttpRequestException)
        {
            throw new NotHeard($"The listening device cannot be reached.");
        }
        catch (Exception e) when (e is JsonException or NotSupportedException)
        {
            throw Unusable();
        }
    }

    private static NotHeard Unusable() => new($"The listening device gave an unusable answer.");

    /// <summary>Words whose times can be: in order, within the recording.</summary>
    internal static IReadOnlyList<HeardWord> Checked(List<HeardWord>? words, double seconds)
    {
        if (words is null or { Count: > MostWords })
            throw Unusable();
        var last = 0.0;
        foreach (var w in words)
        {
            if (
                string.IsNullOrWhiteSpace(w.Word)
                || w.Word.Length > RecordSheet.LongestHeard
                || !(w.Start >= last)
                || !(w.End >= w.Start)
                || !(w.End <= seconds + Slack)
                || !(w.Confidence is >= 0 and <= 1)
            )
                throw Unusable();
            last = w.Start;
        }
        return words.Count > 0 ? words : throw new NotHeard($"The listening device heard no words.");
    }
}

/// <summary>Has recordings listened to, one after the other, on whichever instance is free.</summary>
public sealed class ListeningWork(RecordingStore recordings, IListener listener, TimeProvider clock) : IWork
{
    public string Name => "recordings";

    public TimeSpan Every => TimeSpan.FromSeconds(1.5);

    public bool Alone => false;

    public async Task<bool> Do(CancellationToken stop)
    {
        if (!listener.Ready || await recordings.Take(clock.GetUtcNow()) is not { } recording)
            return false;
        try
        {
            await recordings.Heard(recording.Id, await listener.Listen(recording, stop), null);
        }
        catch (NotHeard no)
        {
            await recordings.Heard(recording.Id, null, no.Said);
        }
        return true;
    }
}
