using DeepCurrent.Core.Access;
using DeepCurrent.Core.OralReading;
using DeepCurrent.Data.OralReading;
using DeepCurrent.Data.Texts;
using DeepCurrent.Formats.Print;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;
using DeepCurrent.Web.Texts;

namespace DeepCurrent.Web.OralReading;

/// <summary>Readings that were recorded: kept, heard again, listened to by a device, waiting to be marked.</summary>
public static class RecordingEndpoints
{
    internal const long LargestSound = 20 << 20;
    private const double ShortestSound = 1,
        LongestSound = 30 * 60;

    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/classes/{classId:guid}/recordings", ToMark);
        api.MapGet("/readers/{readerId:guid}/records/{recordId:guid}/sound", Play);
        api.MapPut("/readers/{readerId:guid}/records/{recordId:guid}/sound", Record).TakesFile(LargestSound);
        api.MapPost("/readers/{readerId:guid}/records/{recordId:guid}/listen", Listen);
    }

    private static async Task<IReadOnlyList<RecordingRow>> ToMark(ClassId classId, Desk desk, RecordingStore recordings)
    {
        await desk.Class(classId, Deed.SeeClass);
        return await recordings.ToMark(classId);
    }

    private static async Task<IResult> Play(
        ReaderId readerId,
        RecordId recordId,
        RecordDesk at,
        RecordingStore recordings
    )
    {
        await at.Find(readerId, recordId);
        var sound = await recordings.SoundOf(recordId, readerId) ?? throw Refused.NotFound();
        return Results.File(sound.Bytes, sound.Type, enableRangeProcessing: true);
    }

    /// <param name="seconds">How long it is, as the recorder says.</param>
    private static async Task<RecordView> Record(
        ReaderId readerId,
        RecordId recordId,
        double? seconds,
        HttpRequest request,
        RecordDesk at,
        RecordingStore recordings,
        RunningRecordStore records,
        IListener listener
    )
    {
        var (reader, _) = await at.Find(readerId, recordId);
        await KeepSound(recordId, readerId, seconds, request, recordings, listener);
        return await at.View(reader, (await records.Find(recordId, readerId))!);
    }

    /// <summary>Keeps a recording that was sent.</summary>
    internal static async Task KeepSound(
        RecordId recordId,
        ReaderId readerId,
        double? seconds,
        HttpRequest request,
        RecordingStore recordings,
        IListener listener
    )
    {
        new Faults()
            .If(
                !(seconds >= ShortestSound),
                "seconds",
                $"Nothing was recorded. Try again, and wait for the clock to start."
            )
            .If(!(seconds <= LongestSound), "seconds", $"A recording can have {LongestSound / 60:0} minutes at most.")
            .Refuse();
        if (
            !await recordings.KeepSound(
                recordId,
                readerId,
                await ReadingEndpoints.Sent(request),
                seconds ?? 0,
                listener.Ready
            )
        )
            throw Refused.Conflict("done", $"This reading is already marked, so its recording cannot change.");
    }

    private static async Task<RecordView> Listen(
        ReaderId readerId,
        RecordId recordId,
        RecordDesk at,
        RecordingStore recordings,
        RunningRecordStore records,
        IListener listener
    )
    {
        var (reader, _) = await at.Find(readerId, recordId);
        if (!listener.Ready)
            throw Refused.Conflict("no-device", $"No listening device is set up. Mark by hand.");
        await recordings.ListenAgain(recordId, readerId);
        return await at.View(reader, (await records.Find(recordId, readerId))!);
    }
}
