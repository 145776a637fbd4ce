using DeepCurrent.Core.Access;
using DeepCurrent.Core.Roster;
using DeepCurrent.Data.Conferences;
using DeepCurrent.Formats.Print;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Conferences;

/// <summary>What a teacher writes for the conference page.</summary>
/// <param name="Words">Nothing takes away what was written.</param>
public sealed record WordsRequest(string? Words);

/// <summary>Pages for conferences with families.</summary>
public static class ConferenceEndpoints
{
    private const int LongestWords = 1200;

    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/classes/{classId:guid}/conference.pdf", Print).Produces<byte[]>(contentType: "application/pdf");
        api.MapGet("/classes/{classId:guid}/conference", Words);
        api.MapPut("/classes/{classId:guid}/conference/{readerId:guid}", Write);
    }

    private static async Task<IReadOnlyList<ConferenceWords>> Words(
        ClassId classId,
        Desk desk,
        ConferenceStore conferences
    )
    {
        await desk.Class(classId, Deed.SeeGuardians);
        return await conferences.Words(classId);
    }

    private static async Task<IResult> Write(
        ClassId classId,
        ReaderId readerId,
        WordsRequest request,
        Desk desk,
        ConferenceStore conferences
    )
    {
        await desk.Class(classId, Deed.SeeGuardians);
        await desk.Reader(readerId, Deed.SeeGuardians);
        if (!(await conferences.Readers(classId, await desk.Today())).Any(r => r.Id == readerId))
            throw Refused.NotFound();
        var words = request.Words?.Trim() ?? "";
        new Faults().If(words.Length > LongestWords, "words", $"Use {LongestWords} letters or fewer.").Refuse();
        await conferences.Write(classId, readerId, words, desk.Who.Adult, desk.Now);
        return Results.NoContent();
    }

    /// <param name="readers">Ids of some readers, with commas between; all of the class where it is left out.</param>
    /// <param name="language">A language's code; each reader's home language where it is left out.</param>
    private static async Task<IResult> Print(
        ClassId classId,
        string? readers,
        string? language,
        string? paper,
        Desk desk,
        ConferenceRoom room
    )
    {
        var place = await desk.Class(classId, Deed.SeeClass);
        var wanted = readers
            ?.Split(',', StringSplitOptions.RemoveEmptyEntries)
            .Select(text => Ids.TryParse<ReaderId>(text, out var id) ? id : throw Refused.NotFound())
            .ToHashSet();
        var pages = await room.Pages(place, wanted, language);
        if (pages.Count == 0)
            throw Refused.Conflict("nobody", $"No readers to print for. Add readers to the class first.");
        var size = string.Equals(paper, "letter", StringComparison.OrdinalIgnoreCase) ? PaperSize.Letter : PaperSize.A4;
        using var body = new MemoryStream();
        ConferencePrint.Write(body, size, pages);
        return Results.File(body.ToArray(), "application/pdf", $"{place.Name} conferences.pdf");
    }
}
