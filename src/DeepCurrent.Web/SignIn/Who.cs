using System.Security.Claims;
using DeepCurrent.Core.Access;
using DeepCurrent.Data.Readers;
using DeepCurrent.Data.Schools;
using DeepCurrent.Web.Hosting;

namespace DeepCurrent.Web.SignIn;

/// <summary>Who is asking, from the cookie.</summary>
public sealed record Who(Role Role, Guid Id, Guid SchoolId, string Name)
{
    public static readonly Who Nobody = new(Role.Nobody, Guid.Empty, Guid.Empty, "");

    public static Who From(ClaimsPrincipal user) =>
        user.Identity?.IsAuthenticated == true && Enum.TryParse<Role>(user.FindFirstValue(ClaimTypes.Role), out var role)
            ? new(role, Guid.Parse(user.FindFirstValue(ClaimTypes.NameIdentifier)!), Guid.Parse(user.FindFirstValue("school")!), user.FindFirstValue(ClaimTypes.Name)!)
            : Nobody;

    public ClaimsPrincipal Principal() => new(new ClaimsIdentity(
    [
        new(ClaimTypes.Role, Role.ToString()), new(ClaimTypes.NameIdentifier, Id.ToString()), new("school", SchoolId.ToString()), new(ClaimTypes.Name, Name),
    ], "DeepCurrent"));
}

/// <summary>Finds what is asked for and decides whether the one who asks may have it. What may not be had is not found.</summary>
public sealed class Desk(IHttpContextAccessor http, SchoolStore schools, ReaderStore readers, TimeProvider clock)
{
    public Who Who { get; } = Who.From(http.HttpContext?.User ?? new());

    public DateTimeOffset Now => clock.GetUtcNow();

    public async Task<ClassPlace> Class(Guid classId, Deed deed)
    {
        var place = Who.Role == Role.Teacher ? await schools.Place(classId, Who.SchoolId, Who.Id) : null;
        return place is not null && AccessRules.May(Who.Role, deed, new(SameSchool: true, place.OwnClass, Self: false)) ? place : throw Refused.NotFound();
    }

    public async Task<ReaderHead> Reader(Guid readerId, Deed deed)
    {
        var reader = Who.Role == Role.Teacher ? await readers.Find(readerId, Who.SchoolId, Who.Id) : null;
        return reader is not null && AccessRules.May(Who.Role, deed, new(SameSchool: true, reader.OwnClass, Self: false)) ? reader : throw Refused.NotFound();
    }

    public void Library(Deed deed = Deed.SeeLibrary)
    {
        if (!AccessRules.May(Who.Role, deed, new(SameSchool: true, OwnClass: false, Self: false))) throw Refused.NotFound();
    }

    /// <summary>The reader who asks, for their own work.</summary>
    public Guid Self() => AccessRules.May(Who.Role, Deed.DoOwnTicket, new(SameSchool: true, OwnClass: false, Self: true)) ? Who.Id : throw Refused.NotFound();

    /// <summary>Today where the school is.</summary>
    public async Task<DateOnly> Today()
    {
        var school = await schools.Get(Who.SchoolId);
        return DateOnly.FromDateTime(TimeZoneInfo.ConvertTime(Now, TimeZoneInfo.FindSystemTimeZoneById(school.TimeZone)).DateTime);
    }
}
