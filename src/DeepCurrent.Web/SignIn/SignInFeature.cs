using DeepCurrent.Data.Adults;
using DeepCurrent.Web.Hosting;
using Microsoft.AspNetCore.Authentication.Cookies;

namespace DeepCurrent.Web.SignIn;

/// <summary>Who is asking: doors, sessions, and what each may do.</summary>
public sealed class SignInFeature : IFeature
{
    private static readonly TimeSpan SignedInFor = TimeSpan.FromHours(12);

    public void Add(IServiceCollection services, IConfiguration settings)
    {
        services.AddSingleton<SessionStore>().AddSingleton<TryStore>();
        services.AddSingleton<Secrets>().AddSingleton<SignInLimits>().AddSingleton<Devices>();
        services.AddScoped<Desk>().AddHttpContextAccessor();
        services.AddAuthentication(CookieAuthenticationDefaults.AuthenticationScheme).AddCookie(Session);
        services.AddAuthorizationBuilder().SetFallbackPolicy(null);
        services.AddAntiforgery(o =>
        {
            o.HeaderName = "X-XSRF-TOKEN";
            o.Cookie.Name = "dc-guard";
            o.Cookie.SameSite = SameSiteMode.Strict;
            o.Cookie.SecurePolicy = CookieSecurePolicy.SameAsRequest;
        });
    }

    public void Map(RouteGroupBuilder api) => SignInEndpoints.Map(api);

    private static void Session(CookieAuthenticationOptions o)
    {
        o.Cookie.Name = "dc-session";
        o.Cookie.HttpOnly = true;
        o.Cookie.SameSite = SameSiteMode.Lax;
        o.Cookie.SecurePolicy = CookieSecurePolicy.SameAsRequest;
        o.ExpireTimeSpan = SignedInFor;
        o.SlidingExpiration = true;
        o.Events.OnValidatePrincipal = Who.Validate;
        // An API says 401 or 404; it does not send a program to a sign-in page.
        o.Events.OnRedirectToLogin = c =>
            Problems.Write(
                c.HttpContext,
                StatusCodes.Status401Unauthorized,
                "signed-out",
                $"You were signed out. Sign in again to continue."
            );
        o.Events.OnRedirectToAccessDenied = c =>
        {
            c.Response.StatusCode = StatusCodes.Status404NotFound;
            return Task.CompletedTask;
        };
    }
}
