using System.Text.Json;
using DeepCurrent.Core.Access;
using DeepCurrent.Core.Readers;
using DeepCurrent.Core.Readings;
using DeepCurrent.Core.Roster;
using DeepCurrent.Core.Schools;
using DeepCurrent.Data.Adults;
using DeepCurrent.Data.Choosing;
using DeepCurrent.Data.Guardians;
using DeepCurrent.Data.Readers;
using DeepCurrent.Data.Roster;
using DeepCurrent.Data.Schools;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.Voices;
using Microsoft.AspNetCore.Antiforgery;
using Microsoft.AspNetCore.Authentication;
using Microsoft.AspNetCore.DataProtection;

namespace DeepCurrent.Web.SignIn;

/// <summary>Sessions: who is signed in, signing in and out, handing the device over, and the first run.</summary>
public static class SignInEndpoints
{
    private const int LongestName = 120;

    private const string HandedCookie = "dc-handed";
    private static readonly TimeSpan HandedFor = TimeSpan.FromHours(12);

    private sealed record Handed(AdultId AdultId, SchoolId SchoolId, string TeacherName, string ClassName, string Code);

    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/session", Session).AllowAnonymous();
        api.MapDelete("/session", (Delegate)Who.SignOut).AllowAnonymous();
        api.MapPost("/session/adult", Adult).AllowAnonymous();
        api.MapGet("/session/class/{code}", Code).AllowAnonymous();
        api.MapPost("/session/reader", Reader).AllowAnonymous();
        api.MapPost("/session/hand-over", HandOver);
        api.MapPost("/session/return", Return).AllowAnonymous();
        api.MapPost("/first-run", FirstRun).AllowAnonymous();
    }

    private static async Task<SessionView> Session(
        Desk desk,
        SchoolStore schools,
        RosterStore rosters,
        GuardianStore guardians,
        IAntiforgery antiforgery,
        IDataProtectionProvider protection,
        IVoice voice,
        ChoosingStore choosing,
        HttpContext http
    )
    {
        var token = antiforgery.GetAndStoreTokens(http).RequestToken!;
        var who = desk.Who;
        var handed = ReadHanded(http, protection);
        var reader = who.Role == Role.Reader ? await rosters.Reader(who.Reader, who.SchoolId) : null;
        var home =
            who.Role == Role.Guardian
                ? await guardians.HomeLanguage(who.Adult)
                : reader?.Details[ReaderDetail.HomeLanguage];
        return new(
            who.Role == Role.Nobody ? null : who.Id,
            who.Role,
            who.Name,
            who.Lead,
            who.Post is Post.Assistant,
            who.Role == Role.Nobody && !await schools.Any(),
            token,
            who.Role == Role.Teacher ? await schools.Classes(who.Adult) : [],
            handed is null ? null : new(handed.TeacherName, handed.ClassName, handed.Code),
            reader?.Supports,
            home is { Length: > 0 } ? Languages.Of(home) : null,
            reader is null ? null : HomeLooks.For(reader.Grade, (await choosing.Own(who.Reader)).Home)
        )
        {
            Voice = voice.Ready,
        };
    }

    private static async Task Adult(
        AdultSignIn request,
        AdultStore adults,
        Secrets secrets,
        SignInLimits limits,
        HttpContext http
    )
    {
        var adult = await adults.Find((request.UserName ?? "").Trim());
        if (
            !await limits.Account(
                http,
                $"adult {request.UserName?.Trim()}",
                adult is null ? null : new(adult.SchoolId, AdultId: adult.Id),
                async () => await secrets.Matches(adult, request.Password ?? "") && adult is { LeftSchool: false }
            )
        )
            throw new Refused(401, "wrong-sign-in", $"Wrong user name or password.");
        if (adult is { Kind: AdultKind.Guardian, ConfirmedAt: null })
            throw new Refused(
                403,
                "not-confirmed",
                $"First open the link in the email we sent you. It confirms your address."
            );
        http.Response.Cookies.Delete(HandedCookie);
        await Who.Of(adult!).SignIn(http);
    }

    private static async Task<CodeView> Code(
        string code,
        SchoolStore schools,
        ReaderStore readers,
        PictureStore pictures,
        SignInLimits limits,
        HttpContext http
    )
    {
        (ClassId Id, string Name)? found = null;
        if (!await limits.Code(http, "code", async () => (found = await schools.ClassByCode(code.Trim())) is not null))
            throw new Refused(404, "no-such-code", $"No class has this code. Ask your teacher to show it again.");
        var (id, name) = found!.Value;
        return new(name, await readers.Tiles(id, await pictures.Of(id)), SignInRules.Pictures);
    }

    private static async Task Reader(
        ReaderSignIn request,
        ReaderStore readers,
        Secrets secrets,
        SignInLimits limits,
        HttpContext http
    )
    {
        var reader = await readers.InClass(request.ReaderId, (request.Code ?? "").Trim());
        var kind = reader is null ? SecretKind.Pictures : reader.SecretKind;
        var door = reader is null
            ? null
            : new DoorSubject(reader.SchoolId, ReaderId: reader.Id, ClassId: reader.ClassId);
        if (
            !await limits.Account(http, $"reader {request.ReaderId}", door, () =>
                Task.FromResult(reader is not null && secrets.Matches(kind, reader.Secret, request.Secret ?? ""))
            )
        )
            throw new Refused(
                401,
                "wrong-secret",
                kind switch
                {
                    SecretKind.Pictures => (Message)$"Those are not your pictures. Try again.",
                    SecretKind.Code => $"That is not your code. Try again.",
                    _ => $"That is not your password. Try again.",
                }
            );
        await Who.Of(reader!).SignIn(http);
    }

    /// <summary>Makes the teacher's device the class's sign-in page. The session ends here and now; coming back takes
    /// the password.</summary>
    private static async Task<HandedOver> HandOver(
        HandOverRequest request,
        Desk desk,
        IDataProtectionProvider protection,
        HttpContext http
    )
    {
        var place = await desk.Class(request.ClassId, Deed.SeeClass);
        var handed = new Handed(desk.Who.Adult, desk.Who.SchoolId, desk.Who.Name, place.Name, place.Code);
        await Who.SignOut(http);
        http.Response.Cookies.Append(
            HandedCookie,
            Protector(protection).Protect(JsonSerializer.Serialize(handed), HandedFor),
            new()
            {
                HttpOnly = true,
                SameSite = SameSiteMode.Strict,
                Secure = http.Request.IsHttps,
                MaxAge = HandedFor,
                IsEssential = true,
            }
        );
        return new(handed.TeacherName, handed.ClassName, handed.Code);
    }

    private static async Task Return(
        ReturnRequest request,
        AdultStore adults,
        Secrets secrets,
        SignInLimits limits,
        IDataProtectionProvider protection,
        HttpContext http
    )
    {
        var handed = ReadHanded(http, protection)
            ?? throw Refused.Conflict(
                "not-handed",
                $"This device is no longer handed over. Sign in with your user name."
            );
        var adult = await adults.Find(handed.AdultId, handed.SchoolId);
        if (
            !await limits.Account(
                http,
                $"adult {adult?.UserName}",
                adult is null ? null : new(adult.SchoolId, AdultId: adult.Id),
                async () => await secrets.Matches(adult, request.Password ?? "") && adult is { LeftSchool: false }
            )
        )
            throw new Refused(401, "wrong-sign-in", $"Wrong password.");
        http.Response.Cookies.Delete(HandedCookie);
        await Who.Of(adult!).SignIn(http);
    }

    private static Handed? ReadHanded(HttpContext http, IDataProtectionProvider protection)
    {
        if (http.Request.Cookies[HandedCookie] is not { } kept)
            return null;
        try
        {
            return JsonSerializer.Deserialize<Handed>(Protector(protection).Unprotect(kept));
        }
        catch (System.Security.Cryptography.CryptographicException)
        {
            return null;
        }
    }

    private static ITimeLimitedDataProtector Protector(IDataProtectionProvider protection) =>
        protection.CreateProtector("handed-over").ToTimeLimitedDataProtector();

    private static void Check(FirstRunRequest r) =>
        new Faults()
            .If(string.IsNullOrWhiteSpace(r.SchoolName), "schoolName", $"Enter a school name.")
            .If(r.SchoolName?.Length > LongestName, "schoolName", $"This name is too long.")
            .If(!SchoolClock.Knows(r.TimeZone), "timeZone", $"This is not a time zone, such as Europe/London.")
            .If(string.IsNullOrWhiteSpace(r.Name), "name", $"Enter your name.")
            .If(r.Name?.Length > LongestName, "name", $"This name is too long.")
            .If(!PasswordRules.IsUserName(r.UserName), "userName", PasswordRules.UserNameSentence)
            .If(!PasswordRules.Holds(r.Password), "password", PasswordRules.Sentence)
            .If(
                r.YearLastDay <= r.YearFirstDay.AddDays(60) || r.YearLastDay >= r.YearFirstDay.AddDays(400),
                "yearLastDay",
                $"The school year must end two to thirteen months after it starts."
            )
            .Refuse();

    private static async Task FirstRun(
        FirstRunRequest request,
        SchoolStore schools,
        Secrets secrets,
        Desk desk,
        HttpContext http
    )
    {
        Check(request);
        var school = new School
        {
            Id = SchoolId.New(),
            Name = request.SchoolName.Trim(),
            TimeZone = request.TimeZone,
            UnderstoodFrom = 0.6,
            ZoneLow = 0.7,
            ZoneHigh = 0.9,
            MinutesADay = 15,
        };
        var adult = new Adult(
            AdultId.New(),
            school.Id,
            request.Name.Trim(),
            request.UserName.Trim(),
            secrets.Hash(request.Password),
            Lead: true,
            ConfirmedAt: desk.Now
        );
        var yearId = YearId.New();
        var year = new YearCalendar(
            yearId,
            "",
            request.YearFirstDay,
            request.YearLastDay,
            YearCalendar.Thirds(yearId, request.YearFirstDay, request.YearLastDay),
            [],
            new(school.TimeZone)
        );
        if (!await schools.Create(school, adult, year, desk.Now, onlyIfNone: true))
            throw Refused.Conflict("school-exists", $"A school already exists. Sign in instead.");
        await Who.Of(adult).SignIn(http);
    }
}
