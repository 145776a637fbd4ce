using DeepCurrent.Core.Access;
using DeepCurrent.Core.Conferences;
using DeepCurrent.Core.Goals;
using DeepCurrent.Core.Library;
using DeepCurrent.Core.Roster;
using DeepCurrent.Core.Schools;
using DeepCurrent.Data.Adults;
using DeepCurrent.Data.Guardians;
using DeepCurrent.Data.Looks;
using DeepCurrent.Data.Readers;
using DeepCurrent.Data.Readings;
using DeepCurrent.Data.Roster;
using DeepCurrent.Data.Schools;
using DeepCurrent.Web.Goals;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.Print;
using DeepCurrent.Web.Readings;
using DeepCurrent.Web.SignIn;
using DeepCurrent.Web.Tickets;

namespace DeepCurrent.Web.Guardians;

/// <param name="Code">The code in the letter.</param>
public sealed record RegisterRequest(string Code, string Name, string Mail, string Password);

/// <param name="Confirm">A mail was sent whose link confirms the address.</param>
public sealed record RegisteredView(bool Confirm, Message Sentence);

public sealed record ConfirmRequest(string Token);

/// <summary>A text to read together this week.</summary>
/// <param name="Picture">What its picture shows; null where it has none.</param>
public sealed record TogetherView(TextId TextId, string Title, string Blurb, int Words, string? Picture);

/// <summary>A text as it is read at home.</summary>
/// <param name="WordsToKnow">With what they mean in the language of the home, where somebody has said it.</param>
/// <param name="Ask">Null where the text has nothing to ask about.</param>
public sealed record HomeTextView(
    string Title,
    IReadOnlyList<IReadOnlyList<string>> Pages,
    IReadOnlyList<MyWord> WordsToKnow,
    AskAtHome? Ask
);

public sealed record TakeBackRequest(bool Guardians);

public sealed record InviteGuardiansRequest(IReadOnlyList<ReaderId> ReaderIds);

/// <param name="Sent">Letters that went out, one to each address.</param>
public sealed record GuardiansInvited(int Sent);

/// <summary>Guardians: registering with a letter's code, and what they see of their own children.</summary>
public static class GuardianEndpoints
{
    private static readonly TimeSpan ConfirmWithin = TimeSpan.FromDays(3);

    public static void Map(RouteGroupBuilder api)
    {
        api.MapPost("/guardian/register", Register).AllowAnonymous();
        api.MapPost("/guardian/confirm", Confirm).AllowAnonymous();
        api.MapGet("/guardian/children", Children);
        api.MapGet("/guardian/children/{readerId:guid}/together", HomeText);
        api.MapGet("/guardian/children/{readerId:guid}/weeks/{monday}", Week);
        api.MapGet("/classes/{classId:guid}/guardians", async (ClassId classId, Desk desk, GuardianStore guardians) =>
        {
            await desk.Class(classId, Deed.ChangeRoster);
            return await guardians.Of(classId);
        });
        api.MapPost("/classes/{classId:guid}/guardians/invite", Invite);
        api.MapPost("/readers/{readerId:guid}/guardian-code/take-back", TakeBack);
    }

    /// <summary>Invites the guardians whose addresses are on the roster: the letter with its code goes to
    /// them.</summary>
    private static async Task<GuardiansInvited> Invite(
        ClassId classId,
        InviteGuardiansRequest request,
        Desk desk,
        RosterStore rosters,
        MemberStore members,
        PrintRoom room,
        IMailer mailer
    )
    {
        var place = await desk.Class(classId, Deed.ChangeRoster);
        var wanted = (request.ReaderIds ?? []).ToHashSet();
        var ids = (await members.Of(classId)).Where(m => m.Until is null && wanted.Contains(m.Id)).Select(m => m.Id);
        var readers = await rosters.Readers([.. ids], place.SchoolId);
        return new(await room.SendLetters([.. readers.Select(r => (place.Name, place.Code, r))], mailer));
    }

    private static async Task<RegisteredView> Register(
        RegisterRequest request,
        GuardianStore guardians,
        AdultStore adults,
        Secrets secrets,
        SignInLimits limits,
        IMailer mailer,
        RosterStore rosters,
        Desk desk,
        HttpContext http
    )
    {
        string name = Names.Tidy(request.Name),
            mail = (request.Mail ?? "").Trim().ToLowerInvariant();
        new Faults()
            .If(name.Length is 0 or > 120, "name", $"Enter your name.")
            .If(!Mail.Holds(mail), "mail", $"Enter an email address: name@school.org")
            .Of("password", PasswordRules.FaultOf(request.Password, name, mail))
            .Refuse();
        var code = await CodeOf(request.Code, guardians, limits, desk, http);
        if (await adults.Find(mail) is { } known)
        {
            if (!await IsThem(known, code, request.Password, secrets, limits, http))
                throw Refused.Field(
                    "password",
                    $"This email is already registered. If it is yours, enter the password you chose."
                );
            await guardians.Link(known.Id, code, desk.Now);
            return new(Confirm: false, $"Added. Sign in with your email and password.");
        }
        var adult = new Adult(
            AdultId.New(),
            code.SchoolId,
            name,
            mail,
            secrets.Hash(request.Password),
            AdultKind.Guardian,
            Mail: mail
        );
        await adults.Add(adult);
        await guardians.Link(adult.Id, code, desk.Now);
        var child = await rosters.Reader(code.ReaderId, code.SchoolId);
        var language = Languages.Of(child?.Details[ReaderDetail.HomeLanguage]);
        await AskToConfirm(adult, adults, mailer, desk.Now, PrintRoom.Address(http), language);
        return new(Confirm: true, $"We sent you an email. Open its link, then sign in with your email and password.");
    }

    private static async Task<GuardianCode> CodeOf(
        string? written,
        GuardianStore guardians,
        SignInLimits limits,
        Desk desk,
        HttpContext http
    )
    {
        GuardianCode? code = null;
        var typed = Secrets.HashOf(GuardianCodes.Plain(written ?? ""));
        if (
            !await limits.Code(http, "guardian", async () =>
                (code = await guardians.ByHash(typed, desk.Now)) is not null
            )
        )
            throw Refused.Field("code", $"This code is wrong or has expired. Ask the school for a new letter.");
        return code!;
    }

    /// <summary>Somebody who is registered adds another child with the password they have.</summary>
    private static async Task<bool> IsThem(
        Adult known,
        GuardianCode code,
        string password,
        Secrets secrets,
        SignInLimits limits,
        HttpContext http
    ) =>
        known.Kind is AdultKind.Guardian
        && known.SchoolId == code.SchoolId
        && await limits.Account(
            http,
            $"adult {known.UserName.ToLowerInvariant()}",
            new(known.SchoolId, AdultId: known.Id),
            () => secrets.Matches(known, password)
        );

    private static async Task AskToConfirm(
        Adult adult,
        AdultStore adults,
        IMailer mailer,
        DateTimeOffset now,
        string address,
        Language language
    )
    {
        var (token, hash) = Secrets.NewToken();
        await adults.AddPass(
            Guid.CreateVersion7(),
            adult.SchoolId,
            adult.Id,
            PassPurpose.Confirmation,
            hash,
            now,
            now + ConfirmWithin
        );
        await mailer.Send(
            adult.SchoolId,
            adult.UserName,
            language,
            $"Confirm your email address",
            $"Hello {adult.Name},",
            $"Open this link to confirm that this is your email address:",
            $"{address}/guardian/confirm#{token}",
            $"The link works for three days. Not you? Ignore this email."
        );
    }

    private static async Task Confirm(
        ConfirmRequest request,
        AdultStore adults,
        SignInLimits limits,
        Desk desk,
        HttpContext http
    )
    {
        Pass? pass = null;
        if (
            !await limits.Code(http, "pass", async () =>
                (pass = await adults.OpenPass(Secrets.HashOf(request.Token ?? ""), desk.Now))
                    is { Purpose: PassPurpose.Confirmation }
            ) || !await adults.Confirm(pass!, desk.Now)
        )
            throw Refused.Conflict(
                "no-such-pass",
                $"This link was used or has expired. Try to sign in. If that fails, register again."
            );
    }

    private static async Task<IReadOnlyList<ChildView>> Children(
        Desk desk,
        GuardianStore guardians,
        ChildSheet sheet,
        LookStore looks
    )
    {
        if (!desk.May(Deed.SeeOwnChild, own: true))
            throw Refused.NotFound();
        var seen = new List<ChildView>();
        foreach (var child in await guardians.Children(desk.Who.Adult, desk.Who.SchoolId, await desk.Moment()))
        {
            await looks.Seen(desk.Who.SchoolId, desk.Who.Adult, desk.Now, child.Id);
            seen.Add(await sheet.Of(child));
        }
        return seen;
    }

    /// <summary>The text a guardian and their child read together this week.</summary>
    private static async Task<HomeTextView> HomeText(
        ReaderId readerId,
        Desk desk,
        GuardianStore guardians,
        AtHome atHome
    )
    {
        await desk.Child(guardians, readerId);
        return await atHome.Text(readerId, Languages.Of(await guardians.HomeLanguage(desk.Who.Adult)))
            ?? throw Refused.NotFound();
    }

    /// <summary>One of the child's weeks, by its Monday.</summary>
    private static async Task<FinishedWeek> Week(
        ReaderId readerId,
        DateOnly monday,
        Desk desk,
        GuardianStore guardians,
        ChildSheet sheet
    ) => await sheet.Week(await desk.Child(guardians, readerId), monday) ?? throw Refused.NotFound();

    private static async Task<GuardianTakenBack> TakeBack(
        ReaderId readerId,
        TakeBackRequest request,
        Desk desk,
        GuardianStore guardians
    )
    {
        var reader = await desk.Reader(readerId, Deed.ChangeRoster);
        await guardians.TakeBack(readerId, request.Guardians, desk.Now);
        return new(
            request.Guardians
                ? (Message)$"Took back the code and ended guardian access to {reader.GivenName}."
                : $"Took back the code."
        );
    }
}

public sealed record GuardianTakenBack(Message Sentence);
