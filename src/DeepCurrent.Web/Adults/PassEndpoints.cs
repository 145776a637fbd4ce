using DeepCurrent.Core.Access;
using DeepCurrent.Core.Roster;
using DeepCurrent.Data.Adults;
using DeepCurrent.Data.Roster;
using DeepCurrent.Formats.Print;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.Print;
using DeepCurrent.Web.Roster;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Adults;

public sealed record PassesRequest(IReadOnlyList<AdultId> AdultIds);

/// <param name="Rules">What a password must be.</param>
public sealed record PassView(PassPurpose Purpose, string Name, string UserName, Message Rules);

public sealed record PassRequest(string Token, string? UserName, string? Password);

/// <summary>The letters and links by which adults come in for the first time, or again.</summary>
public static class PassEndpoints
{
    private static readonly TimeSpan InvitedFor = TimeSpan.FromDays(14),
        ResetFor = TimeSpan.FromDays(2);

    public static void Map(RouteGroupBuilder api)
    {
        api.MapPost("/school/adults/{adultId:guid}/pass", NewPass);
        api.MapPost("/school/adults/passes.pdf", Sheets).Produces<byte[]>(contentType: "application/pdf");
        api.MapPost("/pass/look", Look).AllowAnonymous();
        api.MapPost("/pass", Use).AllowAnonymous();
    }

    private static async Task<InvitedView> NewPass(
        AdultId adultId,
        Desk desk,
        AdultStore adults,
        IMailer mailer,
        HttpContext http
    )
    {
        var adult = await AdultEndpoints.Staff(adultId, desk, adults);
        return await Pass(
            adult.Id,
            adult.Name,
            adult.UserName,
            adult.Mail,
            adult.PasswordHash is not null,
            desk,
            adults,
            mailer,
            http
        );
    }

    internal static async Task<InvitedView> Pass(
        AdultId adultId,
        string name,
        string userName,
        string? mail,
        bool hasPassword,
        Desk desk,
        AdultStore adults,
        IMailer mailer,
        HttpContext http
    )
    {
        var (token, hash) = Secrets.NewToken();
        var until = desk.Now + (hasPassword ? ResetFor : InvitedFor);
        await adults.AddPass(
            Guid.CreateVersion7(),
            desk.Who.SchoolId,
            adultId,
            hasPassword ? PassPurpose.Reset : PassPurpose.Invitation,
            hash,
            desk.Now,
            until
        );
        var link = $"{PrintRoom.Address(http)}/welcome#{token}";
        var school = await desk.School();
        if (mail is not null)
            await mailer.Send(
                school.Id,
                mail,
                Language.English,
                hasPassword ? (Message)$"New password" : $"You are invited to {school.Name}",
                $"Hello {name},",
                hasPassword
                    ? (Message)$"Open this link to choose a new password:"
                    : $"Open this link to choose your password:",
                $"{link}",
                $"The link works once, until {until}. Your user name is {userName}."
            );
        return new(adultId, name, userName, link, mail is not null, until, null);
    }

    /// <summary>One sheet each, with a new link: for whoever has no mail.</summary>
    private static async Task<IResult> Sheets(PassesRequest request, Desk desk, AdultStore adults, HttpContext http)
    {
        var school = await desk.Lead();
        var letters = new List<Letter>();
        foreach (var id in (request.AdultIds ?? []).Distinct().Take(500))
        {
            var adult = await AdultEndpoints.Staff(id, desk, adults);
            var (token, hash) = Secrets.NewToken(12);
            var until = desk.Now + InvitedFor;
            await adults.AddPass(
                Guid.CreateVersion7(),
                school.Id,
                id,
                adult.PasswordHash is null ? PassPurpose.Invitation : PassPurpose.Reset,
                hash,
                desk.Now,
                until
            );
            letters.Add(SheetOf(adult, school.Name, PrintRoom.Address(http), token, until));
        }
        if (letters.Count == 0)
            throw Refused.Field("adultIds", $"Choose someone to print a sheet for.");
        using var body = new MemoryStream();
        LetterPrint.Write(body, PaperSize.A4, letters);
        return Results.File(body.ToArray(), "application/pdf", "Invitations.pdf");
    }

    private static Letter SheetOf(Adult adult, string school, string address, string token, DateTimeOffset until)
    {
        var words = Catalogue.English;
        return new(
            school,
            new(
                words.Say($"Your account at {school}"),
                words.Letter(
                    $"Hello {adult.Name},",
                    $"Open {address}/welcome and type the code below, or point a camera at the square. Choose "
                        + $"a password there.",
                    $"Your user name is {adult.UserName}. {PasswordRules.Sentence}",
                    $"The code works once, until {until}. Keep it private, and destroy this sheet after use."
                )
            ),
            token,
            $"{address}/welcome#{token}",
            words.Language
        );
    }

    private static async Task<PassView> Look(
        PassRequest request,
        AdultStore adults,
        SignInLimits limits,
        Desk desk,
        HttpContext http
    )
    {
        var pass = await Open(request.Token, adults, limits, desk, http);
        return new(pass.Purpose, pass.Name, pass.UserName, PasswordRules.Sentence);
    }

    private static async Task Use(
        PassRequest request,
        AdultStore adults,
        Secrets secrets,
        SignInLimits limits,
        Desk desk,
        HttpContext http
    )
    {
        var pass = await Open(request.Token, adults, limits, desk, http);
        var userName = string.IsNullOrWhiteSpace(request.UserName) ? pass.UserName : request.UserName.Trim();
        new Faults()
            .If(!PasswordRules.IsUserName(userName), "userName", PasswordRules.UserNameSentence)
            .Of("password", PasswordRules.FaultOf(request.Password, userName, pass.Name))
            .If(
                !userName.Equals(pass.UserName, StringComparison.OrdinalIgnoreCase)
                    && await adults.NameIsTaken(userName),
                "userName",
                $"This user name is taken. Choose another."
            )
            .Refuse();
        if (!await adults.SetPassword(pass, userName, secrets.Hash(request.Password!), desk.Now))
            throw NoPass();
        await Who.Of((await adults.Find(pass.AdultId, pass.SchoolId))!).SignIn(http);
    }

    private static async Task<Pass> Open(
        string? token,
        AdultStore adults,
        SignInLimits limits,
        Desk desk,
        HttpContext http
    )
    {
        Pass? pass = null;
        return await limits.Code(http, "pass", async () =>
            (pass = await adults.OpenPass(Secrets.HashOf(token ?? ""), desk.Now))
                is { Purpose: PassPurpose.Invitation or PassPurpose.Reset }
        )
            ? pass!
            : throw NoPass();
    }

    private static Refused NoPass() =>
        Refused.Conflict(
            "no-such-pass",
            $"This link or code was used or has expired. Ask the school lead for a new one."
        );
}
