using System.Text.Json;
using DeepCurrent.Core.OralReading;

namespace DeepCurrent.Listener;

/// <param name="Text">What was to be read.</param>
/// <param name="Recording">A name for the recording: the same recording is heard the same way. Known ones are answered
/// with what was prepared.</param>
/// <param name="Traits">How the simulated reader reads; ordinary where it is left out.</param>
/// <param name="Seconds">How long the recording is: the simulated reader reads at the pace that fills it.</param>
public sealed record ListenRequest(string Text, string Recording, VoiceTraits? Traits, double? Seconds = null);

/// <param name="Seconds">How long it is: a longer one says more.</param>
public sealed record DictateRequest(byte[]? Sound, double? Seconds);

/// <summary>A simulated listening device: text and recording in, timed words out, over HTTP. It ships so that listening
/// can be tried and tested; it hears nothing.</summary>
/// <remarks>The setting Listener:Mood makes it slow, failing, or full of nonsense.</remarks>
public static class ListenerServer
{
    private const int LongestText = 100_000;

    public static WebApplication Build(string[] args)
    {
        var builder = WebApplication.CreateBuilder(args);
        builder.Logging.SetMinimumLevel(LogLevel.Warning);
        var settings = builder.Configuration;
        var folder = settings["Listener:Known"];
        var app = builder.Build();
        app.MapGet("/health", () => "listening");
        app.MapPost("/listen", async (ListenRequest request) =>
        {
            if (string.IsNullOrWhiteSpace(request.Text) || request.Text.Length > LongestText)
                return Results.Json(
                    new { error = $"A text of 1 to {LongestText:N0} letters is listened to." },
                    statusCode: 422
                );
            switch (Mood(request.Recording ?? "", settings["Listener:Mood"]))
            {
                case "slow":
                    await Task.Delay(TimeSpan.FromSeconds(settings.GetValue("Listener:SlowSeconds", 120.0)));
                    break;
                case "failing":
                    return Results.Json(new { error = "The device has failed." }, statusCode: 500);
                case "nonsense":
                    return Results.Text("{\"words\":[{\"word\":\"\",\"start\":9,\"end\":-1}", "application/json");
            }
            if (Known(folder, request.Recording ?? "") is { } prepared)
                return Results.Json(new { words = prepared });
            var seed = Seed($"{request.Recording} {request.Text}");
            var heard = new SimulatedVoice(request.Traits ?? Traits(request, seed), seed).Read(request.Text).Heard;
            return Results.Json(
                new { words = request.Seconds is { } seconds ? heard.Where(w => w.End <= seconds) : heard }
            );
        });
        app.MapPost("/dictate", (DictateRequest request) =>
            request.Sound is { Length: > 0 } sound
                ? Results.Json(new { words = Dictation.Of(sound, request.Seconds ?? 0) })
                : Results.Json(new { error = "Nothing was sent." }, statusCode: 422)
        );
        return app;
    }

    /// <summary>A reader nobody has described: the recording says how fast, its name how surely.</summary>
    private static VoiceTraits Traits(ListenRequest request, int seed)
    {
        var words = SpokenForms.Of(request.Text).Count;
        var pace = request.Seconds is > 0 and var seconds ? Math.Clamp(words / seconds * 60 * 1.15, 40, 240) : 110;
        return new(pace, Substitutions: 0.01 + (seed & 7) * 0.008, SelfCorrections: 0.01 + (seed >> 3 & 3) * 0.01);
    }

    /// <summary>A recording whose name begins with a mood has it; so that one device can be tried in all of
    /// them.</summary>
    private static string? Mood(string recording, string? set) =>
        Array.Find(["slow", "failing", "nonsense"], m => recording.StartsWith(m, StringComparison.Ordinal)) ?? set;

    private static List<HeardWord>? Known(string? folder, string recording)
    {
        if (
            folder is null
            || recording.Length == 0
            || recording.Any(c => !char.IsLetterOrDigit(c) && c is not '-' and not '_')
        )
            return null;
        var file = Path.Combine(folder, recording + ".json");
        return File.Exists(file)
            ? JsonSerializer.Deserialize<List<HeardWord>>(File.ReadAllText(file), JsonSerializerOptions.Web)
            : null;
    }

    private static int Seed(string name) => unchecked((int)name.Aggregate(2166136261u, (h, c) => (h ^ c) * 16777619u));
}
