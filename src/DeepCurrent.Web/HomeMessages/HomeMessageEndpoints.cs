using DeepCurrent.Core.Access;
using DeepCurrent.Core.HomeMessages;
using DeepCurrent.Data.Guardians;
using DeepCurrent.Data.HomeMessages;
using DeepCurrent.Web.Guardians;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.HomeMessages;

public sealed record HomeWordsRequest(string? Words);

/// <summary>What a teacher writes to a reader's family, and what guardians answer.</summary>
public static class HomeMessageEndpoints
{
    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/readers/{readerId:guid}/home-messages", Of);
        api.MapPut("/readers/{readerId:guid}/home-messages/{messageId:guid}", Put);
        api.MapDelete("/readers/{readerId:guid}/home-messages/{messageId:guid}", Remove);
        api.MapPost("/readers/{readerId:guid}/home-messages/seen", Seen);
        api.MapPut("/guardian/children/{readerId:guid}/messages/{messageId:guid}/answers/{homeAnswerId:guid}", Answer);
    }

    private static async Task<IReadOnlyList<HomeMessage>> Of(ReaderId readerId, Desk desk, HomeMessageStore messages)
    {
        await desk.Reader(readerId, Deed.WriteHome);
        return await messages.Of(readerId);
    }

    private static async Task<IReadOnlyList<HomeMessage>> Put(
        ReaderId readerId,
        HomeMessageId messageId,
        HomeWordsRequest request,
        Desk desk,
        HomeMessageStore messages
    )
    {
        await desk.Reader(readerId, Deed.WriteHome);
        if (!await messages.Put(readerId, messageId, Words(request), desk.Who.Adult, desk.Now))
            throw Refused.Conflict(
                "answered",
                $"The family has answered this message, so it stays as it was. Write a new one."
            );
        return await messages.Of(readerId);
    }

    private static async Task<IReadOnlyList<HomeMessage>> Remove(
        ReaderId readerId,
        HomeMessageId messageId,
        Desk desk,
        HomeMessageStore messages
    )
    {
        await desk.Reader(readerId, Deed.WriteHome);
        if (!await messages.Remove(readerId, messageId, desk.Now))
            throw Refused.NotFound();
        return await messages.Of(readerId);
    }

    private static async Task Seen(ReaderId readerId, Desk desk, HomeMessageStore messages)
    {
        await desk.Reader(readerId, Deed.WriteHome);
        await messages.Seen(readerId, desk.Now);
    }

    private static async Task<IReadOnlyList<HomeMessage>> Answer(
        ReaderId readerId,
        HomeMessageId messageId,
        HomeAnswerId homeAnswerId,
        HomeWordsRequest request,
        Desk desk,
        GuardianStore guardians,
        HomeMessageStore messages
    )
    {
        await desk.Child(guardians, readerId);
        var words = Words(request);
        var kept = await messages.Answer(readerId, (messageId, homeAnswerId), words, desk.Who.Adult, desk.Now);
        var standing = await messages.Of(readerId, desk.Who.Adult);
        if (kept)
            return standing;
        throw standing.All(m => m.Id != messageId)
            ? Refused.Conflict("no-such-message", $"The school has removed this message.")
            : Refused.Conflict(
                "too-many",
                $"You have sent {HomeMessageStore.MostAnswers} answers to this message. Ask the school to write again."
            );
    }

    private static string Words(HomeWordsRequest request)
    {
        var words = HomeMessageWords.Tidy(request.Words);
        new Faults().Of("words", HomeMessageWords.Fault(words)).Refuse();
        return words;
    }
}
