using DeepCurrent.Core.Access;
using DeepCurrent.Data.Storage;
using DeepCurrent.Data.Texts;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Texts;

/// <summary>Texts that teachers bring and change.</summary>
public static class OwnTextEndpoints
{
    internal const long LargestText = 2 << 20;

    public static void Map(RouteGroupBuilder api)
    {
        api.MapPost("/texts", Make).WithMetadata(new Microsoft.AspNetCore.Mvc.RequestSizeLimitAttribute(LargestText));
        api.MapPut(
                "/texts/{textId:guid}",
                (
                    TextId textId,
                    OwnTextRequest request,
                    Desk desk,
                    TextStore texts,
                    TextKeeper keeper,
                    LibraryShelf shelf
                ) => Save(textId, request, desk, texts, keeper, shelf)
            )
            .WithMetadata(new Microsoft.AspNetCore.Mvc.RequestSizeLimitAttribute(LargestText));
        api.MapPost("/texts/{textId:guid}/copy", Copy);
        api.MapPost("/texts/{textId:guid}/retire", Retire);
        api.MapPut("/texts/{textId:guid}/versions/{versionId:guid}/depth", State);
        api.MapGet("/texts/{textId:guid}/revisions", Revisions);
        api.MapPost("/texts/{textId:guid}/revisions/{revision:int}/restore", Restore);
    }

    /// <summary>A new text. Sent again before anybody has changed it, it is the same text, as it is written by
    /// now.</summary>
    private static async Task<SavedTextView> Make(
        OwnTextRequest request,
        Desk desk,
        TextStore texts,
        TextKeeper keeper,
        LibraryShelf shelf
    ) =>
        await TextChanges.Mine(request.Id, desk, texts) is { Revision: 1 } there
            ? await Save(there.Id, request with { Revision = 1 }, desk, texts, keeper, shelf)
            : await Save(null, request, desk, texts, keeper, shelf);

    private static async Task<SavedTextView> Save(
        TextId? textId,
        OwnTextRequest r,
        Desk desk,
        TextStore texts,
        TextKeeper keeper,
        LibraryShelf shelf
    )
    {
        desk.Library();
        var before = textId is { } id ? await TextChanges.Changeable(id, desk, texts) : null;
        OwnTextRequests.Check(r);
        var bodies = before is null ? [] : await texts.Bodies(before.Id);
        var versions = OwnTextRequests.VersionsOf(r, bodies);
        var questions = before is null ? [] : TextChanges.Renamed(await texts.Questions(before.Id), bodies, versions);
        var made = OwnTextRequests.Made(r, before, versions, questions, desk);
        if (
            before?.Revision == r.Revision
            && string.IsNullOrWhiteSpace(r.Note)
            && TextChanges.Same(made, (await texts.Whole(made.Id, desk.Who.SchoolId, desk.Who.Adult))!)
        )
            return new(made.Id, r.Revision, [.. TextChanges.Lost(made)]);
        var revision = await TextChanges.Keep(
            made,
            r.Revision,
            TextChanges.Noted(r.Note, before is null ? $"Created" : (Message)$"Edited"),
            desk,
            keeper,
            shelf
        );
        return new(made.Id, revision, [.. TextChanges.Lost(made)]);
    }

    private static async Task<SavedTextView> Copy(
        TextId textId,
        CopyTextRequest? request,
        Desk desk,
        TextStore texts,
        TextKeeper keeper,
        TextPictureStore pictures,
        LibraryShelf shelf
    )
    {
        desk.Library();
        if (await TextChanges.Mine(request?.Id, desk, texts) is { } there)
            return new(there.Id, there.Revision, []);
        var whole = await texts.Whole(textId, desk.Who.SchoolId, desk.Who.Adult) ?? throw Refused.NotFound();
        var copy = whole with
        {
            Id = request?.Id ?? TextId.New(),
            SchoolId = desk.Who.SchoolId,
            OwnerId = desk.Who.Adult,
            Mine = true,
            CopiedFrom = whole.Id,
            Slug = $"{whole.Slug[..Math.Min(50, whole.Slug.Length)]}-{Guid.NewGuid().ToString("N")[..8]}",
            Versions = [.. whole.Versions.Select(v => v with { Id = VersionId.New() })],
            Questions = [.. whole.Questions.Select(q => q with { Id = QuestionId.New() })],
        };
        var revision = await TextChanges.Keep(copy, 0, $"Duplicated from {whole.Title}", desk, keeper, shelf);
        if (await pictures.Of(whole.Id, desk.Who.SchoolId) is { } picture)
            await pictures.Put(copy.Id, picture);
        return new(copy.Id, revision, []);
    }

    private static async Task<IResult> Retire(
        TextId textId,
        RetireRequest request,
        Desk desk,
        TextStore texts,
        TextKeeper keeper,
        LibraryShelf shelf
    )
    {
        await TextChanges.Changeable(textId, desk, texts);
        await keeper.Retire(textId, request.Retired, desk.Now);
        await shelf.Refresh(textId);
        return Results.NoContent();
    }

    private static async Task<IResult> State(
        TextId textId,
        VersionId versionId,
        StateDepthRequest request,
        Desk desk,
        TextStore texts,
        TextKeeper keeper,
        LibraryShelf shelf
    )
    {
        await TextChanges.Changeable(textId, desk, texts);
        if (!(await texts.Bodies(textId)).Any(v => v.Id == versionId))
            throw Refused.NotFound();
        new Faults()
            .If(request.Depth is { } d && !d.OnScale, "depth", $"Enter a depth from −20 to 100 fm.")
            .If(
                request.Depth is not null && string.IsNullOrWhiteSpace(request.Reason),
                "reason",
                $"Enter a reason for colleagues."
            )
            .If(request.Reason?.Length > 300, "reason", $"Use 300 letters or fewer.")
            .Refuse();
        await keeper.State(
            textId,
            versionId,
            request.Depth?.Value,
            request.Depth is null ? null : request.Reason!.Trim(),
            desk.Who.Adult,
            desk.Now
        );
        await shelf.Refresh(textId);
        return Results.NoContent();
    }

    private static async Task<IReadOnlyList<RevisionView>> Revisions(TextId textId, Desk desk, TextStore texts)
    {
        desk.Library();
        _ = await texts.Find(textId, desk.Who.SchoolId, desk.Who.Adult) ?? throw Refused.NotFound();
        return
        [
            .. (await texts.Revisions(textId)).Select(r => new RevisionView(
                r.Revision,
                r.At,
                r.By,
                r.Note,
                [.. r.Text.Versions.Select(v => new TextVersionBody(v.Label, v.Pages))]
            )),
        ];
    }

    private static async Task<SavedTextView> Restore(
        TextId textId,
        int revision,
        Desk desk,
        TextStore texts,
        TextKeeper keeper,
        LibraryShelf shelf
    )
    {
        var now = await TextChanges.Changeable(textId, desk, texts);
        var then = (await texts.Revisions(textId)).FirstOrDefault(r => r.Revision == revision)
            ?? throw Refused.NotFound();
        // Who sees it is a choice of today, not part of what it says.
        var text = then.Text with { Mine = now.Mine, OwnerId = now.OwnerId };
        return new(
            textId,
            await TextChanges.Keep(text, now.Revision, $"Restored revision {revision}", desk, keeper, shelf),
            [.. TextChanges.Lost(text)]
        );
    }
}
