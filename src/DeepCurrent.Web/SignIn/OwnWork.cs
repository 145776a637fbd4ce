using DeepCurrent.Web.Hosting;

namespace DeepCurrent.Web.SignIn;

/// <summary>A device says whose work it sends. On a shared device somebody else may have signed in meanwhile: then
/// nothing is taken as theirs.</summary>
public sealed class OwnWork(RequestDelegate next)
{
    public const string Header = "X-Work-Of";

    public Task InvokeAsync(HttpContext http) =>
        http.Request.Headers[Header].ToString() is { Length: > 0 } whose && whose != Who.From(http.User).Id.ToString()
            ? throw new Refused(
                StatusCodes.Status401Unauthorized,
                "signed-out",
                $"Someone else is signed in on this device. Sign in again to continue."
            )
            : next(http);
}
