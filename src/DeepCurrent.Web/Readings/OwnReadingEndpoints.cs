using DeepCurrent.Core.Access;
using DeepCurrent.Data.Readings;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Readings;

/// <param name="Day">On which it was read.</param>
/// <param name="Removed">Whether the reader takes it back.</param>
public sealed record OwnReadingRequest(
    string? Title,
    string? Author,
    DateOnly Day,
    int? Minutes,
    int? Pages,
    bool Finished,
    string? Said,
    bool Removed
);

public sealed record ReadingConfirmed(bool Confirmed);

/// <summary>A reader's home, and what they read elsewhere.</summary>
public static class OwnReadingEndpoints
{
    private const int LongestTitle = 120;
    private const int LongestAuthor = 80;
    private const int LongestSaid = 500;
    private const int LongestBack = 366;
    private const int MostMinutes = 600;
    private const int MostPages = 3000;

    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/my/home", (Desk desk, HomeSheet sheet) => sheet.Of(desk.Self()));
        api.MapGet("/my/readings", (Desk desk, OwnReadingStore readings) => readings.Of(desk.Self()));
        api.MapPut("/my/readings/{ownReadingId:guid}", Put);
        api.MapGet("/readers/{readerId:guid}/own-readings", Of);
        api.MapPut("/readers/{readerId:guid}/own-readings/{ownReadingId:guid}/confirmed", Confirm);
    }

    private static async Task Put(
        OwnReadingId ownReadingId,
        OwnReadingRequest request,
        Desk desk,
        OwnReadingStore readings
    )
    {
        var reader = desk.Self();
        var today = await desk.Today();
        var title = request.Title?.Trim() ?? "";
        var author = request.Author?.Trim() ?? "";
        var said = request.Said?.Trim() ?? "";
        new Faults()
            .If(
                title.Length is 0 or > LongestTitle,
                "title",
                $"Enter what you read, in {LongestTitle} letters or fewer."
            )
            .If(author.Length > LongestAuthor, "author", $"Use {LongestAuthor} letters or fewer.")
            .If(said.Length > LongestSaid, "said", $"Use {LongestSaid} letters or fewer.")
            .If(
                request.Day > today.AddDays(1) || request.Day < today.AddDays(-LongestBack),
                "day",
                $"Choose today or a day of the last year."
            )
            .If(
                request.Minutes is < 1 or > MostMinutes,
                "minutes",
                $"Enter minutes from 1 to {MostMinutes}, or leave it empty."
            )
            .If(request.Pages is < 1 or > MostPages, "pages", $"Enter pages from 1 to {MostPages}, or leave it empty.")
            .Refuse();
        var told = new OwnReading(
            ownReadingId,
            title,
            author,
            request.Day,
            request.Minutes,
            request.Pages,
            request.Finished,
            said,
            null,
            null
        );
        if (!await readings.Put(reader, told, desk.Now, request.Removed))
            throw Refused.Conflict("confirmed", $"Your teacher has confirmed this. Ask your teacher to change it.");
    }

    private static async Task<IReadOnlyList<OwnReading>> Of(ReaderId readerId, Desk desk, OwnReadingStore readings)
    {
        await desk.Reader(readerId, Deed.SeeReader);
        return await readings.Of(readerId);
    }

    private static async Task<IReadOnlyList<OwnReading>> Confirm(
        ReaderId readerId,
        OwnReadingId ownReadingId,
        ReadingConfirmed request,
        Desk desk,
        OwnReadingStore readings
    )
    {
        await desk.Reader(readerId, Deed.Mark);
        if (!await readings.Confirm(readerId, ownReadingId, desk.Who.Adult, request.Confirmed ? desk.Now : null))
            throw Refused.NotFound();
        return await readings.Of(readerId);
    }
}
