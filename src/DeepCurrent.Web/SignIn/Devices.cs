using System.Security.Cryptography;
using Microsoft.AspNetCore.DataProtection;

namespace DeepCurrent.Web.SignIn;

/// <summary>Tells devices apart on which somebody has signed in. A device carries an id that only the server can
/// make.</summary>
public sealed class Devices(IDataProtectionProvider protection)
{
    private const string Cookie = "dc-device";
    private static readonly TimeSpan Lasts = TimeSpan.FromDays(400);
    private readonly IDataProtector protector = protection.CreateProtector("device");

    /// <summary>The device's id; null for one that nobody has signed in on.</summary>
    public Guid? Find(HttpContext http)
    {
        if (http.Request.Cookies[Cookie] is not { Length: > 0 and < 400 } kept)
            return null;
        try
        {
            return Guid.TryParse(protector.Unprotect(kept), out var id) ? id : null;
        }
        catch (CryptographicException)
        {
            return null;
        }
    }

    /// <summary>The device's id, which it is given now if it has none.</summary>
    public Guid Give(HttpContext http)
    {
        var id = Find(http) ?? Guid.NewGuid();
        http.Response.Cookies.Append(
            Cookie,
            protector.Protect(id.ToString()),
            new()
            {
                HttpOnly = true,
                SameSite = SameSiteMode.Lax,
                Secure = http.Request.IsHttps,
                MaxAge = Lasts,
                IsEssential = true,
            }
        );
        return id;
    }

    /// <summary>What a browser says it is, in a few words: enough to tell one's own devices apart.</summary>
    public static string Name(HttpContext http)
    {
        var agent = http.Request.Headers.UserAgent.ToString();
        string First(params (string Mark, string Name)[] of) =>
            of.FirstOrDefault(o => agent.Contains(o.Mark, StringComparison.Ordinal)).Name ?? "";
        var browser = First(("Edg/", "Edge"), ("Firefox/", "Firefox"), ("Chrome/", "Chrome"), ("Safari/", "Safari"));
        var system = First(
            ("CrOS", "Chromebook"),
            ("iPad", "iPad"),
            ("iPhone", "iPhone"),
            ("Android", "Android"),
            ("Windows", "Windows"),
            ("Mac OS", "Mac"),
            ("Linux", "Linux")
        );
        return $"{(browser.Length > 0 ? browser : "A browser")}{(system.Length > 0 ? $", {system}" : "")}";
    }
}
