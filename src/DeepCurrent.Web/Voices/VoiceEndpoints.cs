using DeepCurrent.Core.Access;
using DeepCurrent.Core.Messages;
using DeepCurrent.Core.Readings;
using DeepCurrent.Data.Voices;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Voices;

/// <param name="Text">A page, a question, a line.</param>
public sealed record SayRequest(string? Text, Language? Language);

/// <param name="Key">Under which the sound is found.</param>
public sealed record SaidView(string Key, IReadOnlyList<SpokenWord> Words);

/// <summary>The voice that reads to readers.</summary>
public static class VoiceEndpoints
{
    private const int LongestText = 6000;

    public static void Map(RouteGroupBuilder api)
    {
        api.MapPost("/voice", Say);
        api.MapGet("/voice/{key}", Hear);
    }

    private static async Task<SaidView> Say(SayRequest request, Desk desk, Speaker speaker, CancellationToken stop)
    {
        ForReaders(desk);
        var text = request.Text?.Trim() ?? "";
        new Faults().If(text.Length is 0 or > LongestText, "text", $"Choose a shorter passage.").Refuse();
        if (!speaker.Ready)
            throw NoVoice();
        try
        {
            var (key, words) = await speaker.Say(text, request.Language is Language.Spanish ? "es" : "en-GB", stop);
            return new(key, words);
        }
        catch (NotSaid)
        {
            throw NoVoice();
        }
    }

    private static async Task<IResult> Hear(string key, Desk desk, SpokenStore spoken, HttpContext http)
    {
        ForReaders(desk);
        var sound = await spoken.Of(key) ?? throw Refused.NotFound();
        // What is kept under a key never changes.
        http.Response.Headers.CacheControl = "private, max-age=31536000, immutable";
        return Results.File(sound.Bytes, sound.Type, enableRangeProcessing: true);
    }

    private static void ForReaders(Desk desk)
    {
        if (desk.Who.Role is not (Role.Reader or Role.Teacher))
            throw Refused.NotFound();
    }

    private static Refused NoVoice() =>
        new(StatusCodes.Status503ServiceUnavailable, "no-voice", $"The voice cannot speak now. Try again later.");
}
