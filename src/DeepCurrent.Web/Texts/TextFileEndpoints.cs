using DeepCurrent.Core.Texts;
using DeepCurrent.Data.Texts;
using DeepCurrent.Formats;
using DeepCurrent.Formats.Content;
using DeepCurrent.Formats.Qti;
using DeepCurrent.Formats.Texts;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;
using Microsoft.AspNetCore.Mvc;

namespace DeepCurrent.Web.Texts;

public sealed record QuizFileView(IReadOnlyList<QuestionView> Questions, IReadOnlyList<Message> LeftOut);

/// <summary>Texts and questions as files, to be taken elsewhere, and the pictures in them.</summary>
public static class TextFileEndpoints
{
    public static void Map(RouteGroupBuilder api)
    {
        api.MapPost("/texts/{textId:guid}/quiz/read", Questions)
            .WithMetadata(new RequestSizeLimitAttribute(BringEndpoints.LargestRequest));
        api.MapGet("/texts/{textId:guid}/file", File);
        api.MapGet("/pictures/{pictureId:guid}", Shown);
    }

    /// <summary>The questions of a QTI package, for the quiz of a text that is being written.</summary>
    private static async Task<QuizFileView> Questions(
        TextId textId,
        FileRequest request,
        Desk desk,
        TextStore texts,
        CancellationToken stop
    )
    {
        desk.Library();
        _ = await texts.Find(textId, desk.Who.SchoolId, desk.Who.Adult) ?? throw Refused.NotFound();
        try
        {
            var package = await Untrusted.Read(() => QtiReader.Read(new MemoryStream(request.File ?? [])), stop);
            return new([.. package.Texts.SelectMany(t => t.Questions).Select(QuestionView.Of)], package.LeftOut);
        }
        catch (Unreadable e)
        {
            throw Refused.Field("file", e.Said);
        }
    }

    /// <param name="format">txt, md, html, docx, epub, zip or qti.</param>
    /// <param name="version">Label of the version, for formats that hold one; the first if it is not said.</param>
    private static async Task<IResult> File(
        TextId textId,
        string? format,
        string? version,
        Desk desk,
        TextStore texts,
        PictureStore pictures,
        TextPictureStore textPictures
    )
    {
        desk.Library();
        var whole = await texts.Whole(textId, desk.Who.SchoolId, desk.Who.Adult) ?? throw Refused.NotFound();
        if (format is null || !TextWriters.Formats.Contains(format))
            throw Refused.Field("format", $"This format is not known.");
        var shown = await PicturesIn(whole, pictures, desk.Who.SchoolId);
        var folder = Folder(whole, shown);
        var label = version ?? folder.Versions[0].Label;
        if (folder.Versions.All(v => v.Label != label))
            throw Refused.NotFound();
        var changed = (await texts.Owning(textId, desk.Who.SchoolId, desk.Who.Adult))!.ChangedAt;
        var lead = await textPictures.Of(textId, desk.Who.SchoolId) is { } picture
            ? new DraftPicture($"picture{TextWriters.EndingOf(picture.Type)}", picture.Bytes, picture.Description)
            : null;
        var file = TextWriters.Write(folder, [.. shown.Values], lead, format, label, textId.Value, changed);
        return Results.File(file.Bytes, file.Type, file.Name);
    }

    /// <summary>The pictures of a text by the names they have in it, each with the name of its file.</summary>
    private static async Task<Dictionary<string, DraftPicture>> PicturesIn(
        NewText whole,
        PictureStore pictures,
        SchoolId schoolId
    )
    {
        var shown = new Dictionary<string, DraftPicture>();
        foreach (var p in whole.Versions.SelectMany(v => v.Pages).SelectMany(p => p))
            if (
                Paragraphs.PictureOf(p) is { } at
                && Ids.TryParse<PictureId>(at.Name, out var id)
                && !shown.ContainsKey(at.Name)
                && await pictures.Find(id, schoolId) is { } found
            )
                shown[at.Name] = new(
                    $"picture-{shown.Count + 1}{(found.Type == "image/png" ? ".png" : ".jpg")}",
                    found.Bytes,
                    at.Alt
                );
        return shown;
    }

    private static TextFolder Folder(NewText whole, Dictionary<string, DraftPicture> shown)
    {
        string Named(string body) =>
            shown.Aggregate(body, (text, p) =>
                text.Replace($"]({p.Key})", $"]({p.Value.Name})", StringComparison.Ordinal)
            );
        return new TextFolder(
            whole.Slug,
            whole.Title,
            whole.Kind,
            whole.Topic,
            whole.Fiction,
            whole.Spelling,
            whole.Blurb,
            whole.Season,
            [
                .. whole.Versions.Select(v => new VersionFile(
                    v.Label,
                    Math.Round(v.Depth.Value, 1),
                    Named(TextFiles.Body(v.Pages))
                )),
            ],
            whole.Questions,
            [.. whole.Words.Select(w => new WordFile(w.Text, w.Part, w.Meaning, w.Example))]
        );
    }

    private static async Task<IResult> Shown(PictureId pictureId, Desk desk, PictureStore pictures)
    {
        if (desk.Who.Role is not (Core.Access.Role.Teacher or Core.Access.Role.Reader))
            throw Refused.NotFound();
        var picture = await pictures.Find(pictureId, desk.Who.SchoolId) ?? throw Refused.NotFound();
        return Results.File(picture.Bytes, picture.Type);
    }
}
