using DeepCurrent.Core.Access;
using DeepCurrent.Core.Readers;
using DeepCurrent.Data.Readers;
using DeepCurrent.Data.Schools;
using DeepCurrent.Web.Hosting;
using FluentValidation;
using Microsoft.AspNetCore.Antiforgery;
using Microsoft.AspNetCore.Authentication;
using Microsoft.AspNetCore.Authentication.Cookies;

namespace DeepCurrent.Web.SignIn;

/// <param name="Role">nobody, reader or teacher.</param>
/// <param name="FirstRun">There is no school yet.</param>
/// <param name="Token">To be sent as X-XSRF-TOKEN with everything that changes something.</param>
public sealed record SessionView(string Role, string Name, bool FirstRun, string Token, IReadOnlyList<ClassHead> Classes);

public sealed record AdultSignIn(string UserName, string Password);

public sealed record ReaderSignIn(string Code, Guid ReaderId, IReadOnlyList<string> Pictures);

public sealed record CodeView(string ClassName, IReadOnlyList<Tile> Tiles, IReadOnlyList<string> Pictures);

public sealed record FirstRunRequest(string SchoolName, string TimeZone, string Name, string UserName, string Password, DateOnly YearFirstDay, DateOnly YearLastDay);

public sealed class FirstRunRules : AbstractValidator<FirstRunRequest>
{
    public FirstRunRules()
    {
        RuleFor(r => r.SchoolName).NotEmpty().WithMessage("Give the school a name.").MaximumLength(120).WithMessage("This name is too long.");
        RuleFor(r => r.TimeZone).Must(z => TimeZoneInfo.TryFindSystemTimeZoneById(z, out _)).WithMessage("This is not a time zone, such as Europe/London.");
        RuleFor(r => r.Name).NotEmpty().WithMessage("Write your name.").MaximumLength(120).WithMessage("This name is too long.");
        RuleFor(r => r.UserName).Matches("^[A-Za-z0-9._@-]{2,60}$").WithMessage("Use 2 to 60 letters, digits, points or dashes.");
        RuleFor(r => r.Password).MinimumLength(10).WithMessage("Use at least 10 characters.").MaximumLength(200).WithMessage("This password is too long.");
        RuleFor(r => r.YearLastDay).Must((r, last) => last > r.YearFirstDay.AddDays(60) && last < r.YearFirstDay.AddDays(400)).WithMessage("The school year must end two to thirteen months after it begins.");
    }
}

/// <summary>Sessions: who is signed in, signing in and out, and the first run.</summary>
public static class SignInEndpoints
{
    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/session", Session).AllowAnonymous();
        api.MapDelete("/session", (HttpContext http) => http.SignOutAsync()).AllowAnonymous();
        api.MapPost("/session/adult", Adult).AllowAnonymous();
        api.MapGet("/session/class/{code}", Code).AllowAnonymous();
        api.MapPost("/session/reader", Reader).AllowAnonymous();
        api.MapPost("/first-run", FirstRun).AllowAnonymous();
    }

    private static async Task<SessionView> Session(Desk desk, SchoolStore schools, IAntiforgery antiforgery, HttpContext http)
    {
        var token = antiforgery.GetAndStoreTokens(http).RequestToken!;
        var who = desk.Who;
        return new(who.Role.ToString().ToLowerInvariant(), who.Name, who.Role == Role.Nobody && !await schools.Any(), token,
            who.Role == Role.Teacher ? await schools.Classes(who.Id) : []);
    }

    private static async Task Adult(AdultSignIn request, SchoolStore schools, Secrets secrets, SignInLimits limits, HttpContext http)
    {
        limits.Take(http, $"adult {request.UserName}");
        var adult = await schools.FindAdult(request.UserName.Trim());
        if (adult is null || !secrets.Matches(adult, request.Password)) throw new Refused(401, "wrong-sign-in", "The user name or the password is not right.");
        await http.SignInAsync(CookieAuthenticationDefaults.AuthenticationScheme, new Who(Role.Teacher, adult.Id, adult.SchoolId, adult.Name).Principal());
    }

    private static async Task<CodeView> Code(string code, SchoolStore schools, ReaderStore readers, SignInLimits limits, HttpContext http)
    {
        limits.Take(http, $"code {http.Connection.RemoteIpAddress} {code}");
        var found = await schools.ClassByCode(code.Trim()) ?? throw new Refused(404, "no-such-code", "No class has this code. Ask your teacher to show it again.");
        return new(found.Name, await readers.Tiles(found.Id), SignInRules.Pictures);
    }

    private static async Task Reader(ReaderSignIn request, ReaderStore readers, Secrets secrets, SignInLimits limits, HttpContext http)
    {
        limits.Take(http, $"reader {request.ReaderId}");
        var reader = await readers.InClass(request.ReaderId, request.Code.Trim());
        if (reader is null || !secrets.Matches(reader.Secret, request.Pictures)) throw new Refused(401, "wrong-pictures", "Those are not your pictures. Try again.");
        await http.SignInAsync(CookieAuthenticationDefaults.AuthenticationScheme, new Who(Role.Reader, reader.Id, reader.SchoolId, reader.GivenName).Principal());
    }

    private static async Task FirstRun(FirstRunRequest request, IValidator<FirstRunRequest> rules, SchoolStore schools, Secrets secrets, Desk desk, HttpContext http)
    {
        rules.Check(request);
        var school = new School(Guid.CreateVersion7(), request.SchoolName.Trim(), request.TimeZone, 0.6, 0.7, 0.9, 15);
        var adult = new Adult(Guid.CreateVersion7(), school.Id, request.Name.Trim(), request.UserName.Trim(), secrets.Hash(request.Password), Guid.NewGuid());
        var yearId = Guid.CreateVersion7();
        var year = new YearCalendar(yearId, request.YearFirstDay, request.YearLastDay, Thirds(yearId, request.YearFirstDay, request.YearLastDay), []);
        if (!await schools.Create(school, adult, year, desk.Now, onlyIfNone: true)) throw Refused.Conflict("school-exists", "There is a school already. Sign in instead.");
        await http.SignInAsync(CookieAuthenticationDefaults.AuthenticationScheme, new Who(Role.Teacher, adult.Id, school.Id, adult.Name).Principal());
    }

    /// <summary>Three terms of equal length, until the school sets its own.</summary>
    private static IReadOnlyList<Term> Thirds(Guid yearId, DateOnly first, DateOnly last)
    {
        var days = last.DayNumber - first.DayNumber + 1;
        return [.. Enumerable.Range(0, 3).Select(i => new Term(Guid.CreateVersion7(), yearId, $"Term {i + 1}", first.AddDays(days * i / 3), first.AddDays(days * (i + 1) / 3 - 1)))];
    }
}
