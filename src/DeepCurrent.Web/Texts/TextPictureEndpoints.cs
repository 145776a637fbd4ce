using DeepCurrent.Core.Access;
using DeepCurrent.Data.Texts;
using DeepCurrent.Formats.Texts;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Texts;

/// <summary>The picture that stands for a text: those that ship are drawn, a teacher can add one to a text of their
/// own.</summary>
public static class TextPictureEndpoints
{
    private const int LargestFile = 4 << 20;
    private const int LongestDescription = 300;

    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/texts/{textId:guid}/picture", Shown);
        api.MapPut("/texts/{textId:guid}/picture", Put).TakesFile(LargestFile);
        api.MapDelete("/texts/{textId:guid}/picture", Remove);
    }

    private static async Task<IResult> Shown(TextId textId, Desk desk, TextPictureStore pictures, HttpContext http)
    {
        if (desk.Who.Role is not (Role.Teacher or Role.Reader or Role.Guardian))
            throw Refused.NotFound();
        var picture = await pictures.Of(textId, desk.Who.SchoolId) ?? throw Refused.NotFound();
        // A drawing runs nothing and loads nothing, wherever it is opened.
        http.Response.Headers.ContentSecurityPolicy = "default-src 'none'; style-src 'unsafe-inline'; sandbox";
        return Results.File(picture.Bytes, picture.Type);
    }

    /// <param name="shows">What it shows, for those who do not see it.</param>
    private static async Task Put(
        TextId textId,
        string? shows,
        HttpRequest request,
        Desk desk,
        TextStore texts,
        TextPictureStore pictures
    )
    {
        await TextChanges.Changeable(textId, desk, texts);
        using var body = new MemoryStream();
        await request.Body.CopyToAsync(body);
        var clean = PictureCleaner.Clean(body.ToArray());
        var description = shows?.Trim() ?? "";
        new Faults()
            .If(clean is null, "file", $"Choose a PNG or JPEG file.")
            .If(
                description.Length is 0 or > LongestDescription,
                "shows",
                $"Say what the picture shows, in {LongestDescription} letters or fewer."
            )
            .Refuse();
        await pictures.Put(textId, new(clean!.Value.Type, clean.Value.Bytes, description));
    }

    private static async Task Remove(TextId textId, Desk desk, TextStore texts, TextPictureStore pictures)
    {
        await TextChanges.Changeable(textId, desk, texts);
        await pictures.Remove(textId);
    }
}
