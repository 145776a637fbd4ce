using DeepCurrent.Core.Access;
using DeepCurrent.Core.Ratings;
using DeepCurrent.Data.Ratings;
using DeepCurrent.Data.Storage;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Ratings;

/// <param name="Words">What the reader says to others; empty for nothing.</param>
/// <param name="At">By the device's clock.</param>
public sealed record RatingRequest(Liking Liking, string? Words, DateTimeOffset At);

/// <param name="Shown">Whether others see it.</param>
public sealed record ApprovalRequest(bool Shown);

/// <summary>What readers think of texts. What they say of them, others see when a teacher has approved it.</summary>
public static class RatingEndpoints
{
    private const int LongestWords = 300;

    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/my/ratings", (Desk desk, RatingStore ratings) => ratings.Of(desk.Self()));
        api.MapPut("/my/ratings/{textId:guid}", Put);
        api.MapGet("/classes/{classId:guid}/recommendations", OfClass);
        api.MapPut("/classes/{classId:guid}/recommendations/{readerId:guid}/{textId:guid}", Approve);
    }

    private static async Task<IReadOnlyList<Rating>> Put(
        TextId textId,
        RatingRequest request,
        Desk desk,
        RatingStore ratings
    )
    {
        var reader = desk.Self();
        var words = request.Words?.Trim() ?? "";
        new Faults().If(words.Length > LongestWords, "words", $"Use {LongestWords} letters or fewer.").Refuse();
        if (!await ratings.Put(reader, textId, request.Liking, words, desk.Given(request.At)))
            throw Refused.NotFound();
        return await ratings.Of(reader);
    }

    private static async Task<IReadOnlyList<RecommendationRow>> OfClass(ClassId classId, Desk desk, RatingStore ratings)
    {
        await desk.Class(classId, Deed.SeeClass);
        return await ratings.OfClass(classId, await desk.Today());
    }

    private static async Task<IReadOnlyList<RecommendationRow>> Approve(
        ClassId classId,
        ReaderId readerId,
        TextId textId,
        ApprovalRequest request,
        Desk desk,
        RatingStore ratings,
        Notices notices
    )
    {
        await desk.Class(classId, Deed.Mark);
        var today = await desk.Today();
        if (!await ratings.Approve(classId, today, (readerId, textId), request.Shown, desk.Who.Adult, desk.Now))
            throw Refused.NotFound();
        notices.Changed(classId);
        return await ratings.OfClass(classId, today);
    }
}
