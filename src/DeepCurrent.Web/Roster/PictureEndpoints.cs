using DeepCurrent.Core.Access;
using DeepCurrent.Core.Roster;
using DeepCurrent.Data.Roster;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Roster;

public sealed record PictureRequest(string Picture);

/// <summary>Choosing the picture by which a reader finds their name.</summary>
public static class PictureEndpoints
{
    public static void Map(RouteGroupBuilder api) =>
        api.MapPut("/classes/{classId:guid}/readers/{readerId:guid}/picture", Choose);

    private static async Task Choose(
        ClassId classId,
        ReaderId readerId,
        PictureRequest request,
        Desk desk,
        MemberStore members,
        PictureStore pictures
    )
    {
        await desk.Class(classId, Deed.ChangeRoster);
        if (!ClassPictures.All.Contains(request.Picture))
            throw Refused.Field("picture", $"Choose one of the pictures.");
        var here = (await members.Of(classId)).Where(m => m.Until is null).ToList();
        if (!here.Exists(m => m.Id == readerId))
            throw Refused.NotFound();
        var shown = await pictures.Of(classId);
        if (here.Find(m => m.Id != readerId && shown[m.Id] == request.Picture) is { } other)
            throw Refused.Field("picture", $"{other.GivenName} has this picture. Choose another.");
        // What is free now must not go to somebody who knows their own: everybody's picture is kept.
        var kept = here.ToDictionary(m => m.Id, m => m.Id == readerId ? request.Picture : shown[m.Id]);
        await pictures.Keep(classId, kept);
    }
}
