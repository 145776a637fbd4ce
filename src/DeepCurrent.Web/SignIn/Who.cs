using System.Security.Claims;
using DeepCurrent.Core.Access;
using DeepCurrent.Data.Adults;
using DeepCurrent.Data.Readers;
using DeepCurrent.Data.Schools;
using DeepCurrent.Web.Hosting;
using Microsoft.AspNetCore.Authentication;
using Microsoft.AspNetCore.Authentication.Cookies;

namespace DeepCurrent.Web.SignIn;

/// <summary>Who is asking, from the cookie. Whether they lead the school is looked up anew for every request.</summary>
public sealed record Who(Role Role, Guid Id, Guid SchoolId, string Name, Guid Stamp, bool Lead = false)
{
    public static readonly Who Nobody = new(Role.Nobody, Guid.Empty, Guid.Empty, "", Guid.Empty);

    public static Who Of(Adult adult) => new(adult.Kind == "guardian" ? Role.Guardian : Role.Teacher, adult.Id, adult.SchoolId, adult.Name, adult.Stamp, adult.Lead);

    public static Who Of(SignInReader reader) => new(Role.Reader, reader.Id, reader.SchoolId, reader.GivenName, reader.Stamp);

    public static Who From(ClaimsPrincipal user) =>
        user.Identity?.IsAuthenticated == true && Enum.TryParse<Role>(user.FindFirstValue(ClaimTypes.Role), out var role) && Guid.TryParse(user.FindFirstValue("stamp"), out var stamp)
            ? new(role, Guid.Parse(user.FindFirstValue(ClaimTypes.NameIdentifier)!), Guid.Parse(user.FindFirstValue("school")!), user.FindFirstValue(ClaimTypes.Name)!, stamp, user.HasClaim("lead", "yes"))
            : Nobody;

    public ClaimsPrincipal Principal() => new(new ClaimsIdentity(
    [
        new(ClaimTypes.Role, Role.ToString()), new(ClaimTypes.NameIdentifier, Id.ToString()), new("school", SchoolId.ToString()), new(ClaimTypes.Name, Name), new("stamp", Stamp.ToString()),
    ], "DeepCurrent"));

    public Task SignIn(HttpContext http) => http.SignInAsync(CookieAuthenticationDefaults.AuthenticationScheme, Principal());

    /// <summary>Ends a session whose stamp has changed, or whose owner has left; gives a lead's session its claim.</summary>
    public static async Task Validate(CookieValidatePrincipalContext context)
    {
        // Pages and health need no session, and must answer when the database does not.
        if (!context.HttpContext.Request.Path.StartsWithSegments("/api")) return;
        var who = From(context.Principal!);
        var stands = who.Role == Role.Nobody ? null : await context.HttpContext.RequestServices.GetRequiredService<AdultStore>().Stands(who.Id, who.Role == Role.Reader);
        if (stands is null || stands.LeftSchool || stands.Stamp != who.Stamp)
        {
            context.RejectPrincipal();
            await context.HttpContext.SignOutAsync();
            return;
        }
        if (stands.Lead) ((ClaimsIdentity)context.Principal!.Identity!).AddClaim(new("lead", "yes"));
    }
}
