namespace DeepCurrent.Voice;

/// <param name="Language">Such as en-GB.</param>
/// <param name="WordsPerMinute">How fast it is said.</param>
public sealed record SpeakRequest(string? Text, string? Language, int? WordsPerMinute);

/// <summary>A voice over HTTP: text in, sound and the time of each word out. It keeps nothing.</summary>
/// <remarks>Speaks with Debian's espeak-ng and packs the sound with Debian's lame. The setting Voice:Mood makes it fail,
/// for tests.</remarks>
public static class VoiceServer
{
    private const int LongestText = 6000;
    private const int Slowest = 60;
    private const int Fastest = 300;
    private const int Usual = 130;

    public static WebApplication Build(string[] args)
    {
        var builder = WebApplication.CreateBuilder(args);
        builder.Logging.SetMinimumLevel(LogLevel.Warning);
        var failing = builder.Configuration["Voice:Mood"] == "failing";
        var app = builder.Build();
        app.MapGet("/health", () => "speaking");
        app.MapPost("/speak", async (SpeakRequest request, CancellationToken stop) =>
        {
            if (failing)
                return Results.Json(new { error = "The voice has failed." }, statusCode: 500);
            if (string.IsNullOrWhiteSpace(request.Text) || request.Text.Length > LongestText)
                return Results.Json(new { error = $"A text of 1 to {LongestText} letters is said." }, statusCode: 422);
            var rate = Math.Clamp(request.WordsPerMinute ?? Usual, Slowest, Fastest);
            var said = Speech.Say(request.Text, Speech.VoiceOf(request.Language), rate);
            return Results.Json(
                new
                {
                    type = "audio/mpeg",
                    sound = await Packing.Mp3(said.Samples, said.Rate, stop),
                    words = said.Words,
                }
            );
        });
        return app;
    }
}
