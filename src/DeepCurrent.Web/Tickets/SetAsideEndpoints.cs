using System.Text.Json;
using DeepCurrent.Data.Tickets;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Tickets;

/// <param name="About">The ticket or the sitting of a level check it was done for.</param>
/// <param name="Kind">Answer, Reading, Recording or HandIn.</param>
/// <param name="Answers">How many answers it holds.</param>
/// <param name="Code">The code of the refusal.</param>
/// <param name="Body">As it was sent.</param>
/// <param name="At">When it was done, by the device's clock.</param>
public sealed record SetAsideRequest(
    Guid About,
    SetAsideKind? Kind,
    int Answers,
    string? Code,
    JsonElement Body,
    DateTimeOffset At
);

/// <param name="Kind">Answer, Reading, Recording or HandIn.</param>
/// <param name="Code">Why it could not be taken.</param>
public sealed record SetAsideView(SetAsideKind Kind, string Code, int Answers, DateTimeOffset GivenAt)
{
    public static SetAsideView Of(SetAside s) => new(s.Kind, s.Code, s.Answers, s.GivenAt);
}

/// <summary>What a reader did and the server could not take, told by the reader's device, so that their teacher knows
/// of it.</summary>
public static class SetAsideEndpoints
{
    private const int LongestBody = 40_000,
        LongestCode = 40,
        MostAnswers = 300;

    public static void Map(RouteGroupBuilder api) => api.MapPut("/my/set-aside/{asideId:guid}", Add);

    private static async Task Add(Guid asideId, SetAsideRequest r, Desk desk, SetAsideStore aside)
    {
        var readerId = desk.Self();
        if (r.Kind is not { } kind)
            throw Refused.Field("kind", $"This is no kind of work.");
        var body = r.Body.ValueKind is JsonValueKind.Undefined ? "{}" : r.Body.GetRawText();
        if (
            body.Length > LongestBody
            || r.Code is not { Length: > 0 and <= LongestCode }
            || r.Answers is < 0 or > MostAnswers
        )
            throw Refused.Field("body", $"This is more than can be set aside.");
        // PostgreSQL keeps no NUL in a document.
        body = body.Replace("\\u0000", "", StringComparison.Ordinal);
        if (
            !await aside.Add(new(asideId, readerId, r.About, kind, r.Answers, r.Code, body, desk.Given(r.At), desk.Now))
        )
            throw Refused.NotFound();
    }
}
