using DeepCurrent.Core.Measuring;
using DeepCurrent.Core.Texts;
using DeepCurrent.Data.Texts;
using DeepCurrent.Formats.Sounds;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Texts;

/// <param name="Kept">The school has accepted this one.</param>
public sealed record MazeView(int Draft, IReadOnlyList<MazePiece> Pieces, bool Kept, string? By, DateTimeOffset? At);

public sealed record KeepMazeRequest(int Draft);

/// <summary>What a school adds to a version: a reading of it as sound, and a maze passage.</summary>
public static class ReadingEndpoints
{
    private const long LargestSound = 30 << 20;
    private const int MostDrafts = 10_000;

    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/texts/{textId:guid}/versions/{versionId:guid}/sound", Play);
        api.MapPost("/texts/{textId:guid}/versions/{versionId:guid}/sound", Record).TakesFile(LargestSound);
        api.MapDelete("/texts/{textId:guid}/versions/{versionId:guid}/sound", Forget);
        api.MapGet("/texts/{textId:guid}/versions/{versionId:guid}/maze", MazeOf);
        api.MapPut("/texts/{textId:guid}/versions/{versionId:guid}/maze", KeepMaze);
        api.MapDelete("/texts/{textId:guid}/versions/{versionId:guid}/maze", DropMaze);
    }

    private static async Task<VersionBody> Version(TextId textId, VersionId versionId, Desk desk, TextStore texts)
    {
        desk.Library();
        _ = await texts.Find(textId, desk.Who.SchoolId, desk.Who.Adult) ?? throw Refused.NotFound();
        return (await texts.Bodies(textId)).FirstOrDefault(v => v.Id == versionId) ?? throw Refused.NotFound();
    }

    private static async Task<IResult> Play(
        TextId textId,
        VersionId versionId,
        Desk desk,
        TextStore texts,
        ReadingStore readings
    )
    {
        await Version(textId, versionId, desk, texts);
        var sound = await readings.SoundOf(versionId, desk.Who.SchoolId) ?? throw Refused.NotFound();
        return Results.File(sound.Bytes, sound.Type, enableRangeProcessing: true);
    }

    private static async Task Record(
        TextId textId,
        VersionId versionId,
        HttpRequest request,
        Desk desk,
        TextStore texts,
        ReadingStore readings
    )
    {
        await Version(textId, versionId, desk, texts);
        await readings.KeepSound(versionId, desk.Who.SchoolId, desk.Who.Adult, await Sent(request), desk.Now);
    }

    /// <summary>A sound in a request's body.</summary>
    internal static async Task<Sound> Sent(HttpRequest request)
    {
        using var body = new MemoryStream();
        await request.Body.CopyToAsync(body);
        return SoundFile.TypeOf(body.GetBuffer().AsSpan(0, (int)body.Length)) is { } type
            ? new(type, body.ToArray())
            : throw Refused.Field("file", $"Browsers cannot play this sound. Use WAV, MP3, M4A, OGG or WebM.");
    }

    private static async Task Forget(
        TextId textId,
        VersionId versionId,
        Desk desk,
        TextStore texts,
        ReadingStore readings
    )
    {
        await Version(textId, versionId, desk, texts);
        if (!await readings.DropSound(versionId, desk.Who.SchoolId))
            throw Refused.NotFound();
    }

    /// <summary>The maze passage the school has accepted, or a draft of one.</summary>
    /// <param name="draft">Another number makes another draft; without one the accepted passage is given where there is
    /// one.</param>
    private static async Task<MazeView> MazeOf(
        TextId textId,
        VersionId versionId,
        int? draft,
        Desk desk,
        TextStore texts,
        ReadingStore readings
    )
    {
        var version = await Version(textId, versionId, desk, texts);
        if (draft is null && await readings.MazeOf(versionId, desk.Who.SchoolId) is { } kept)
            return new(kept.Draft, kept.Pieces, true, kept.By, kept.At);
        return new(draft ?? 0, Pieces(version, draft ?? 0), false, null, null);
    }

    private static async Task<MazeView> KeepMaze(
        TextId textId,
        VersionId versionId,
        KeepMazeRequest request,
        Desk desk,
        TextStore texts,
        ReadingStore readings
    )
    {
        var version = await Version(textId, versionId, desk, texts);
        var pieces = Pieces(version, request.Draft);
        if (!pieces.Any(p => p.Choices.Count > 0))
            throw Refused.Field("draft", $"The text is too short for a maze passage.");
        await readings.KeepMaze(versionId, desk.Who.SchoolId, desk.Who.Adult, request.Draft, pieces, desk.Now);
        return await MazeOf(textId, versionId, null, desk, texts, readings);
    }

    private static async Task DropMaze(
        TextId textId,
        VersionId versionId,
        Desk desk,
        TextStore texts,
        ReadingStore readings
    )
    {
        await Version(textId, versionId, desk, texts);
        if (!await readings.DropMaze(versionId, desk.Who.SchoolId))
            throw Refused.NotFound();
    }

    private static IReadOnlyList<MazePiece> Pieces(VersionBody version, int draft) =>
        draft is >= 0 and < MostDrafts
            ? Maze.Of(Paragraphs.Running(version.Pages), draft)
            : throw Refused.Field("draft", $"Draft not found.");
}
