using DeepCurrent.Data.Texts;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Texts;

/// <param name="Reader">Null while it is here, and for a reader whom the asker may not see.</param>
/// <param name="Late">It should have been back before today.</param>
public sealed record CopyView(
    CopyId Id,
    string Code,
    string Title,
    TextId? TextId,
    ReaderId? ReaderId,
    string? Reader,
    DateTimeOffset? LentAt,
    DateOnly? DueOn,
    bool Late
);

/// <param name="Codes">A code for each copy.</param>
public sealed record NewCopiesRequest(TextId? TextId, string Title, IReadOnlyList<string> Codes);

public sealed record CopiesMade(int Made, IReadOnlyList<string> Taken);

/// <param name="Typed">A copy's code, or the user name of whoever takes the next copy.</param>
/// <param name="ReaderId">Whoever was named before.</param>
/// <param name="Days">For how long a copy is lent.</param>
public sealed record DeskRequest(string Typed, ReaderId? ReaderId, int Days);

/// <summary>What typing something at the desk came to.</summary>
public enum DeskStep
{
    /// <summary>A reader, who takes the next copy.</summary>
    Reader,
    Lent,
    Returned,
}

public sealed record DeskAnswer(DeskStep What, ReaderId? ReaderId, string? Reader, CopyView? Copy);

/// <summary>Copies on paper: lent with two entries, a user name and a code, and taken back with one.</summary>
public static class CopyEndpoints
{
    private const int MostAtOnce = 200,
        MostDays = 200;

    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/copies", All);
        api.MapPost("/copies", Add);
        api.MapPost("/copies/desk", Typed);
        api.MapDelete("/copies/{copyId:guid}", Remove);
    }

    private static async Task<IReadOnlyList<CopyView>> All(Desk desk, CopyStore copies)
    {
        desk.Library();
        var today = await desk.Today();
        return [.. (await copies.All(desk.Who.SchoolId, desk.Who.Adult, desk.Who.Lead)).Select(c => View(c, today))];
    }

    private static async Task<CopiesMade> Add(NewCopiesRequest request, Desk desk, CopyStore copies, TextStore texts)
    {
        desk.Library();
        var codes = (request.Codes ?? [])
            .Select(c => c.Trim())
            .Where(c => c.Length > 0)
            .Distinct(StringComparer.OrdinalIgnoreCase)
            .ToList();
        new Faults()
            .If(codes.Count is 0 or > MostAtOnce, "codes", $"Enter 1 to {MostAtOnce} codes, one per copy.")
            .Of(
                "codes",
                codes.Find(c => c.Length > 40) is { } c
                    ? (Message)$"The code {c[..40]}… has more than 40 letters."
                    : null
            )
            .Refuse();
        var title = request.TextId is { } id
            ? (await texts.Find(id, desk.Who.SchoolId, desk.Who.Adult) ?? throw Refused.NotFound()).Title
            : request.Title?.Trim() ?? "";
        if (title.Length is 0 or > 120)
            throw Refused.Field("title", $"Enter a title of 120 letters or fewer.");
        var taken = new List<string>();
        foreach (var code in codes)
            if (!await copies.Add(CopyId.New(), desk.Who.SchoolId, request.TextId, title, code, desk.Now))
                taken.Add(code);
        return new(codes.Count - taken.Count, taken);
    }

    /// <summary>What was typed or scanned: a copy comes back, or goes to the reader who was named before; a user name
    /// says who takes the next one.</summary>
    private static async Task<DeskAnswer> Typed(DeskRequest request, Desk desk, CopyStore copies)
    {
        desk.Library();
        var typed = request.Typed?.Trim() ?? "";
        new Faults()
            .If(typed.Length == 0, "typed", $"Type or scan a user name or a copy’s code.")
            .If(request.Days is < 1 or > MostDays, "days", $"Enter 1 to {MostDays} days.")
            .Refuse();
        var today = await desk.Today();
        if (await copies.Find(typed, desk.Who.SchoolId, desk.Who.Adult, desk.Who.Lead) is { } copy)
        {
            if (request.ReaderId is not { } readerId)
            {
                if (copy.ReaderId is null)
                    throw Refused.Field(
                        "typed",
                        $"“{copy.Title}” is not lent. To lend it, enter the reader’s user name first."
                    );
                await copies.Return(copy.Id, desk.Now);
                return new(
                    DeskStep.Returned,
                    copy.ReaderId,
                    Name(copy),
                    View((await copies.Find(typed, desk.Who.SchoolId, desk.Who.Adult, desk.Who.Lead))!, today)
                );
            }
            _ = await desk.Reader(readerId, Core.Access.Deed.SeeReader);
            await copies.Lend(copy.Id, readerId, desk.Who.Adult, today.AddDays(request.Days), desk.Now);
            var lent = (await copies.Find(typed, desk.Who.SchoolId, desk.Who.Adult, desk.Who.Lead))!;
            return new(DeskStep.Lent, readerId, Name(lent), View(lent, today));
        }
        if (await copies.Reader(typed, desk.Who.SchoolId) is not { } reader)
            throw Refused.Field("typed", $"No copy or reader matches “{typed}”.");
        _ = await desk.Reader(reader.Id, Core.Access.Deed.SeeReader);
        return new(DeskStep.Reader, reader.Id, $"{reader.GivenName} {reader.FamilyName}".Trim(), null);
    }

    private static async Task<IResult> Remove(CopyId copyId, Desk desk, CopyStore copies)
    {
        desk.Library();
        return await copies.Remove(copyId, desk.Who.SchoolId, desk.Now)
            ? Results.NoContent()
            : throw Refused.NotFound();
    }

    private static string? Name(CopyRow c) => c.GivenName is null ? null : $"{c.GivenName} {c.FamilyName}".Trim();

    private static CopyView View(CopyRow c, DateOnly today) =>
        new(c.Id, c.Code, c.Title, c.TextId, c.ReaderId, Name(c), c.LentAt, c.DueOn, c.DueOn is { } due && due < today);
}
