using System.Security.Claims;
using DeepCurrent.Core.Access;
using DeepCurrent.Data.Adults;
using DeepCurrent.Data.Readers;
using Microsoft.AspNetCore.Authentication;
using Microsoft.AspNetCore.Authentication.Cookies;

namespace DeepCurrent.Web.SignIn;

/// <summary>Who is asking, from the cookie. Whether the session stands, whether they lead the school and what they are
/// there is looked up anew for every request.</summary>
public sealed record Who(
    Role Role,
    Guid Id,
    SchoolId SchoolId,
    string Name,
    Guid Session,
    bool Lead = false,
    Post Post = Post.Teacher
)
{
    /// <summary>Over after so long without a sign of life.</summary>
    public static readonly TimeSpan Idle = TimeSpan.FromHours(3);

    /// <summary>The adult who asks.</summary>
    /// <exception cref="InvalidOperationException">A reader asks.</exception>
    public AdultId Adult =>
        Role == Role.Reader ? throw new InvalidOperationException("A reader is no adult.") : AdultId.From(Id);

    /// <summary>The reader who asks.</summary>
    /// <exception cref="InvalidOperationException">Somebody else asks.</exception>
    public ReaderId Reader =>
        Role == Role.Reader ? ReaderId.From(Id) : throw new InvalidOperationException("No reader asks.");

    /// <summary>Whether they may do something.</summary>
    /// <param name="self">It is their own, their own child, or a level check they were let in to.</param>
    public bool May(Deed deed, Part part, bool self = false) =>
        AccessRules.May(Role, deed, new(SameSchool: true, part, self, Lead, Post));

    private static readonly TimeSpan SeenEvery = TimeSpan.FromMinutes(1);

    public static readonly Who Nobody = new(Role.Nobody, Guid.Empty, default, "", Guid.Empty);

    public static Who Of(Adult adult) =>
        new(
            adult.Kind is AdultKind.Guardian ? Role.Guardian : Role.Teacher,
            adult.Id.Value,
            adult.SchoolId,
            adult.Name,
            Guid.CreateVersion7(),
            adult.Lead
        );

    public static Who Of(SignInReader reader) =>
        new(Role.Reader, reader.Id.Value, reader.SchoolId, reader.GivenName, Guid.CreateVersion7());

    public static Who From(ClaimsPrincipal user) =>
        user.Identity?.IsAuthenticated == true
        && Enum.TryParse<Role>(user.FindFirstValue(ClaimTypes.Role), out var role)
        && Guid.TryParse(user.FindFirstValue("session"), out var session)
            ? new(
                role,
                Guid.Parse(user.FindFirstValue(ClaimTypes.NameIdentifier)!),
                SchoolId.From(Guid.Parse(user.FindFirstValue("school")!)),
                user.FindFirstValue(ClaimTypes.Name)!,
                session,
                user.HasClaim("lead", "yes"),
                user.HasClaim("post", nameof(Post.Assistant)) ? Post.Assistant : Post.Teacher
            )
            : Nobody;

    private ClaimsPrincipal Principal() =>
        new(
            new ClaimsIdentity(
                [
                    new(ClaimTypes.Role, Role.ToString()),
                    new(ClaimTypes.NameIdentifier, Id.ToString()),
                    new("school", SchoolId.ToString()),
                    new(ClaimTypes.Name, Name),
                    new("session", Session.ToString()),
                ],
                "DeepCurrent"
            )
        );

    private DoorSubject Door => Role == Role.Reader ? new(SchoolId, ReaderId: Reader) : new(SchoolId, AdultId: Adult);

    /// <summary>Begins a session here.</summary>
    public async Task SignIn(HttpContext http)
    {
        var services = http.RequestServices;
        var now = services.GetRequiredService<TimeProvider>().GetUtcNow();
        var sessions = services.GetRequiredService<SessionStore>();
        await sessions.Begin(Session, Id, Role == Role.Reader, Devices.Name(http), now);
        await sessions.Note(Door, SignInEvent.SignedIn, Devices.Name(http), now);
        await http.SignInAsync(CookieAuthenticationDefaults.AuthenticationScheme, Principal());
    }

    /// <summary>Ends the session here, on the server and on the device.</summary>
    public static async Task SignOut(HttpContext http)
    {
        var who = From(http.User);
        if (who.Role != Role.Nobody)
        {
            var now = http.RequestServices.GetRequiredService<TimeProvider>().GetUtcNow();
            var sessions = http.RequestServices.GetRequiredService<SessionStore>();
            await sessions.End(who.Session, who.Id, now);
            await sessions.Note(who.Door, SignInEvent.SignedOut, Devices.Name(http), now);
        }
        await http.SignOutAsync();
    }

    /// <summary>Refuses a session that has ended, has been idle too long, or whose owner has left; says who leads and
    /// who assists.</summary>
    public static async Task Validate(CookieValidatePrincipalContext context)
    {
        // Pages and health need no session, and must answer when the database does not.
        if (!context.HttpContext.Request.Path.StartsWithSegments("/api"))
            return;
        var who = From(context.Principal!);
        var services = context.HttpContext.RequestServices;
        var now = services.GetRequiredService<TimeProvider>().GetUtcNow();
        var sessions = services.GetRequiredService<SessionStore>();
        if (
            who.Role == Role.Nobody
            || await sessions.Find(who.Session, who.Id, who.Role == Role.Reader, now - Idle) is not { } open
        )
        {
            context.RejectPrincipal();
            await context.HttpContext.SignOutAsync();
            return;
        }
        if (now - open.SeenAt > SeenEvery)
            await sessions.Seen(who.Session, now);
        var claims = (ClaimsIdentity)context.Principal!.Identity!;
        if (open.Lead)
            claims.AddClaim(new("lead", "yes"));
        if (open.Post is Post.Assistant)
            claims.AddClaim(new("post", nameof(Post.Assistant)));
    }
}
