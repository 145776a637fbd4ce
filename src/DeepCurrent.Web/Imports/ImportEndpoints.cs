using DeepCurrent.Core.Access;
using DeepCurrent.Core.Roster;
using DeepCurrent.Data.Imports;
using DeepCurrent.Data.Looks;
using DeepCurrent.Data.Roster;
using DeepCurrent.Data.Schools;
using DeepCurrent.Data.Storage;
using DeepCurrent.Formats.OneRoster;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Imports;

public sealed record ImportView(
    ImportId Id,
    string Name,
    DateTimeOffset MadeAt,
    string? Org,
    ImportState State,
    double Progress,
    ImportStage? Stage,
    ImportPreview? Preview,
    Message? Error,
    ChangeId? ChangeId,
    IReadOnlyList<MendRow> Mends
);

public sealed record ImportRow(ImportId Id, string Name, DateTimeOffset MadeAt, ImportState State, ChangeId? ChangeId);

/// <param name="Source">Name of the district's roster server; null where none is set up.</param>
public sealed record ImportsView(IReadOnlyList<ImportRow> Imports, string? Source);

public sealed record MadeImport(ImportId Id);

/// <param name="Org">Only what belongs to this org; * for all; null leaves it open.</param>
/// <param name="Mends">All that has been put right so far.</param>
public sealed record ImportWish(string? Org, IReadOnlyList<MendRow> Mends);

/// <param name="Typed">The number that is asked for where more than a tenth would be ended.</param>
public sealed record ImportConsent(int? Typed);

/// <summary>A whole school's roster, in and out.</summary>
public static class ImportEndpoints
{
    private const long LargestFile = 60L << 20;

    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/school/imports", All);
        api.MapPost("/school/imports", Upload).TakesFile(LargestFile);
        api.MapPost("/school/imports/source", FromSource);
        api.MapGet("/school/imports/{importId:guid}", View);
        api.MapPost(
            "/school/imports/{importId:guid}/preview",
            (ImportId importId, ImportWish wish, Desk desk, ImportStore imports) =>
                Want(importId, ImportTask.Preview, wish, desk, imports)
        );
        api.MapPost("/school/imports/{importId:guid}/apply", Apply);
        api.MapDelete("/school/imports/{importId:guid}", async (ImportId importId, Desk desk, ImportStore imports) =>
        {
            await desk.Lead();
            if (!await imports.Discard(importId, desk.Who.SchoolId))
                throw Refused.NotFound();
        });
        api.MapGet("/school/roster.zip", Export).Produces<byte[]>(contentType: "application/zip");
    }

    private static async Task<ImportsView> All(Desk desk, ImportStore imports, IRosterSource source)
    {
        await desk.Lead();
        return new(
            [
                .. (await imports.Of(desk.Who.SchoolId)).Select(i => new ImportRow(
                    i.Id,
                    i.Name,
                    i.MadeAt,
                    i.State,
                    i.ChangeId
                )),
            ],
            source.Name
        );
    }

    private static async Task<MadeImport> Upload(
        string? name,
        ImportId? id,
        HttpRequest request,
        Desk desk,
        ImportStore imports
    )
    {
        await desk.Lead();
        using var body = new MemoryStream();
        await request.Body.CopyToAsync(body);
        if (body.Length == 0)
            throw Refused.Field("file", $"This file is empty.");
        return await Add(
            id,
            name is { Length: > 0 and <= 120 } ? name : "OneRoster file",
            body.ToArray(),
            desk,
            imports
        );
    }

    private static async Task<MadeImport> FromSource(
        ImportId? id,
        Desk desk,
        ImportStore imports,
        IRosterSource source,
        CancellationToken stop
    )
    {
        await desk.Lead();
        return await Add(id, source.Name ?? "", await source.Fetch(stop), desk, imports);
    }

    /// <param name="asked">Made by the page: the same file sent again is the same import.</param>
    private static async Task<MadeImport> Add(ImportId? asked, string name, byte[] body, Desk desk, ImportStore imports)
    {
        var id = asked ?? ImportId.New();
        if (!await imports.Add(id, desk.Who.SchoolId, desk.Who.Adult, name, body, desk.Now))
            throw Refused.Taken();
        return new(id);
    }

    private static async Task<ImportView> View(ImportId importId, Desk desk, ImportStore imports)
    {
        await desk.Lead();
        var i = await imports.Find(importId, desk.Who.SchoolId) ?? throw Refused.NotFound();
        return new(
            i.Id,
            i.Name,
            i.MadeAt,
            i.Org,
            i.State,
            i.Progress,
            i.Stage,
            i.Preview is null ? null : Database.FromJson<ImportPreview>(i.Preview),
            i.Error,
            i.ChangeId,
            Database.FromJson<List<MendRow>>(i.Mends)
        );
    }

    private static async Task Apply(ImportId importId, ImportConsent consent, Desk desk, ImportStore imports)
    {
        await desk.Lead();
        var found = await imports.Find(importId, desk.Who.SchoolId) ?? throw Refused.NotFound();
        if (found.State is not ImportState.Ready || found.Preview is null)
            throw Refused.Conflict("not-looked-at", $"Check this file first. Nothing was imported.");
        var preview = Database.FromJson<ImportPreview>(found.Preview);
        var number = preview.Endings.Type;
        new Faults()
            .If(preview.AsksOrg, "org", $"Choose your school in the file.")
            .If(number is not null && consent.Typed != number, "typed", $"Type {number ?? 0} to confirm what ends.")
            .Refuse();
        await Want(importId, ImportTask.Apply, null, desk, imports);
    }

    private static async Task Want(
        ImportId importId,
        ImportTask wanted,
        ImportWish? wish,
        Desk desk,
        ImportStore imports
    )
    {
        await desk.Lead();
        var found = await imports.Find(importId, desk.Who.SchoolId) ?? throw Refused.NotFound();
        if (wish?.Mends.Count > 10_000)
            throw Refused.Field("mends", $"Too many to fix here. Fix the file and choose it again.");
        if (!await imports.Want(importId, desk.Who.SchoolId, wanted, wish is null ? found.Org : wish.Org, wish?.Mends))
            throw Refused.Conflict("working", $"This import is running. Wait until it is done.");
    }

    private static async Task<IResult> Export(Desk desk, RosterStore rosters, SchoolStore schools, LookStore looks)
    {
        var school = await desk.Lead();
        var year = await schools.CurrentYear(school.Id, await desk.Today())
            ?? throw Refused.Conflict("no-school-year", $"No school year has started yet.");
        var state = await rosters.Load(school.Id);
        await looks.Add(
            school.Id,
            desk.Who.Adult,
            desk.Now,
            LookKind.RosterExported,
            null,
            Counted.Readers(state.Readers.Values.Count(r => !r.Left))
        );
        var name = $"{school.Name} {await desk.Today():yyyy-MM-dd}.zip";
        using var body = new MemoryStream();
        OneRosterWriter.Write(
            body,
            new(
                school.Id,
                school.Name,
                [
                    (year.Id.Value, year.Name, year.FirstDay, year.LastDay),
                    .. year.Terms.Select(t => (t.Id.Value, t.Name, t.FirstDay, t.LastDay)),
                ]
            ),
            state
        );
        return Results.File(body.ToArray(), "application/zip", name);
    }
}
