using System.Text.Json.Nodes;
using DeepCurrent.Core.Access;
using DeepCurrent.Core.Readers;
using DeepCurrent.Core.Roster;
using DeepCurrent.Data.Looks;
using DeepCurrent.Data.Roster;
using DeepCurrent.Data.Schools;
using DeepCurrent.Formats;
using DeepCurrent.Formats.OneRoster;
using DeepCurrent.Formats.Print;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.Roster;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Schools;

public sealed record MergeRequest(ReaderId OtherId);

/// <param name="Name">The reader's whole name, typed to be sure.</param>
public sealed record DeleteRequest(string Name);

public sealed record TransferRequest(ReaderId ReaderId, SchoolId ToSchoolId);

public sealed record TransferDecision(bool Take);

public sealed record OtherSchoolView(SchoolId Id, string Name);

public sealed record TransfersView(
    IReadOnlyList<Transfer> Coming,
    IReadOnlyList<Transfer> Going,
    IReadOnlyList<OtherSchoolView> Schools
);

/// <summary>One reader's whole record: taken out, merged with a twin's, handed to another school, deleted.</summary>
public static class RecordEndpoints
{
    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/readers/{readerId:guid}/record.json", Json).Produces<string>(contentType: "application/json");
        api.MapGet("/readers/{readerId:guid}/record.pdf", Pdf).Produces<byte[]>(contentType: "application/pdf");
        api.MapPost("/readers/{readerId:guid}/merge", Merge);
        api.MapGet("/readers/{readerId:guid}/delete", async (ReaderId readerId, Desk desk, RecordStore records) =>
        {
            await desk.Lead();
            await desk.Reader(readerId, Deed.SeeReader);
            return await records.Counted(readerId);
        });
        api.MapPost("/readers/{readerId:guid}/delete", Delete);
        api.MapGet("/school/transfers", Transfers);
        api.MapPost("/school/transfers", Ask);
        api.MapPost("/school/transfers/{transferId:guid}", Decide);
    }

    private static async Task<IResult> Json(ReaderId readerId, Desk desk, RecordStore records, LookStore looks)
    {
        var (reader, record) = await Record(readerId, desk, records, looks);
        return Results.File(
            System.Text.Encoding.UTF8.GetBytes(
                record.ToJsonString(
                    new()
                    {
                        WriteIndented = true,
                        Encoder = System.Text.Encodings.Web.JavaScriptEncoder.UnsafeRelaxedJsonEscaping,
                    }
                )
            ),
            "application/json",
            $"{reader.UserName}.json"
        );
    }

    private static async Task<IResult> Pdf(ReaderId readerId, Desk desk, RecordStore records, LookStore looks)
    {
        var (reader, record) = await Record(readerId, desk, records, looks);
        using var body = new MemoryStream();
        RecordPrint.Write(
            body,
            (await desk.School()).Name,
            $"{reader.GivenName} {reader.FamilyName}".Trim(),
            record,
            desk.Now
        );
        return Results.File(body.ToArray(), "application/pdf", $"{reader.UserName}.pdf");
    }

    private static async Task<(Data.Readers.ReaderHead Reader, JsonNode Record)> Record(
        ReaderId readerId,
        Desk desk,
        RecordStore records,
        LookStore looks
    )
    {
        await desk.Lead();
        var reader = await desk.Reader(readerId, Deed.SeeReader);
        await looks.Add(
            desk.Who.SchoolId,
            desk.Who.Adult,
            desk.Now,
            LookKind.RecordExported,
            readerId,
            Message.Nothing
        );
        return (reader, await records.Whole(readerId, desk.Who.SchoolId));
    }

    private static async Task<RosterChanged> Merge(
        ReaderId readerId,
        MergeRequest request,
        Desk desk,
        RosterDesk roster,
        MergeStore merges
    )
    {
        var kept = await desk.Reader(readerId, Deed.ChangeRoster);
        var other = await desk.Reader(request.OtherId, Deed.ChangeRoster);
        if (kept.Id == other.Id)
            throw Refused.Field("otherId", $"Choose two different readers.");
        Message sentence = $"Merged {other.UserName} into {$"{kept.GivenName} {kept.FamilyName}".TrimEnd()}";
        return new(
            await merges.Merge(
                kept.Id,
                other.Id,
                new(desk.Who.SchoolId, null, desk.Who.Adult, sentence, desk.Now),
                await roster.Yardstick(),
                await desk.Today()
            ),
            sentence
        );
    }

    private static async Task Delete(
        ReaderId readerId,
        DeleteRequest request,
        Desk desk,
        RosterStore rosters,
        RecordStore records
    )
    {
        await desk.Lead();
        var reader = await rosters.Reader(readerId, desk.Who.SchoolId) ?? throw Refused.NotFound();
        if (Names.Key(request.Name ?? "", "") != Names.Key(reader.FullName, ""))
            throw Refused.Field("name", $"Type the reader’s full name as shown above.");
        var files = new Dictionary<ImportId, byte[]>();
        foreach (var (id, body) in await records.RosterFiles(desk.Who.SchoolId))
        {
            // Nobody can say who is in a file that cannot be read, and nothing can come of it any more.
            try
            {
                if (OneRosterZip.Without(body, reader.SourceId ?? reader.Id.ToString()) is { } without)
                    files[id] = without;
            }
            catch (Unreadable)
            {
                files[id] = [];
            }
        }
        if (!await records.Delete(reader, desk.Who.SchoolId, desk.Who.Adult, files, desk.Now))
            throw Refused.NotFound();
    }

    private static async Task<TransfersView> Transfers(Desk desk, TransferStore transfers)
    {
        var school = await desk.Lead();
        var open = await transfers.Open(school.Id);
        return new(
            [.. open.Where(t => t.ToSchoolId == school.Id)],
            [.. open.Where(t => t.FromSchoolId == school.Id)],
            [.. (await transfers.OtherSchools(school.Id)).Select(s => new OtherSchoolView(s.Id, s.Name))]
        );
    }

    private static async Task Ask(TransferRequest request, Desk desk, TransferStore transfers)
    {
        await desk.Lead();
        await desk.Reader(request.ReaderId, Deed.ChangeRoster);
        if (
            !await transfers.Ask(
                TransferId.New(),
                request.ReaderId,
                desk.Who.SchoolId,
                request.ToSchoolId,
                desk.Who.Adult,
                desk.Now
            )
        )
            throw Refused.Conflict("cannot-offer", $"This reader is already offered, or the school was not found.");
    }

    private static async Task Decide(
        TransferId transferId,
        TransferDecision decision,
        Desk desk,
        TransferStore transfers
    )
    {
        await desk.Lead();
        if (
            !await transfers.Decide(
                transferId,
                desk.Who.SchoolId,
                desk.Who.Adult,
                decision.Take,
                (taken, wanted) => new UserNames(taken.ToHashSet()).Take(wanted),
                await desk.Today(),
                desk.Now
            )
        )
            throw Refused.NotFound();
    }
}
