using System.Text.Json.Serialization;
using DeepCurrent.Core.Access;
using DeepCurrent.Core.Roster;
using DeepCurrent.Data.Adults;
using DeepCurrent.Data.Roster;
using DeepCurrent.Formats.Print;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.Print;
using DeepCurrent.Web.Roster;
using DeepCurrent.Web.SignIn;
using static DeepCurrent.Web.Adults.PassEndpoints;

namespace DeepCurrent.Web.Adults;

/// <param name="Here">The one that asks.</param>
public sealed record SessionPlace(Guid Id, string Device, DateTimeOffset MadeAt, DateTimeOffset SeenAt, bool Here);

/// <param name="Post">Teacher or Assistant; a teacher if it is not said.</param>
/// <param name="Id">Made by the client: the same request again is the same person, who gets no second mail.</param>
public sealed record InviteRequest(string Name, string? Mail, bool Lead, Post? Post = null, AdultId? Id = null);

/// <param name="Link">To be given to the one who is invited; it works once.</param>
public sealed record InvitedView(
    AdultId AdultId,
    string Name,
    string UserName,
    string Link,
    bool Mailed,
    DateTimeOffset Until,
    ChangeId? ChangeId
);

/// <param name="Id">Made by the client: who is invited already is not invited twice.</param>
public sealed record Invitee(AdultId Id, string Name, string? Mail);

/// <param name="People">At most 200.</param>
public sealed record InviteSeveralRequest(IReadOnlyList<Invitee> People, [property: JsonRequired] Post Post);

/// <param name="ChangeId">Null where everybody had been invited before by the same request.</param>
public sealed record InvitedSeveral(IReadOnlyList<InvitedView> Invited, ChangeId? ChangeId);

/// <param name="Post">Teacher or Assistant; as before if it is not said.</param>
public sealed record StaffRequest(string Name, string? Mail, bool Lead, bool Left, Post? Post = null);

public sealed record PasswordRequest(string Old, string New);

/// <summary>Staff: inviting, changing, resetting, signing out everywhere; and what they do for themselves.</summary>
public static class AdultEndpoints
{
    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/school/adults", async (Desk desk, AdultStore adults) =>
        {
            await desk.Lead();
            return await adults.Staff(desk.Who.SchoolId, desk.Now);
        });
        api.MapPost("/school/adults", Invite);
        api.MapPost("/school/adults/several", InviteSeveral);
        api.MapPut("/school/adults/{adultId:guid}", Change);
        api.MapPost(
            "/school/adults/{adultId:guid}/sign-out",
            async (AdultId adultId, Desk desk, AdultStore adults, SessionStore sessions) =>
            {
                await Staff(adultId, desk, adults);
                await sessions.EndAll([adultId.Value], desk.Now);
            }
        );
        api.MapGet("/school/sign-ins", async (Desk desk, SessionStore sessions) =>
        {
            await desk.Lead();
            return await sessions.Events(desk.Who.SchoolId);
        });
        MapOwn(api);
    }

    /// <summary>What everybody does with their own sign-in.</summary>
    private static void MapOwn(RouteGroupBuilder api)
    {
        api.MapPut("/me/password", OwnPassword);
        api.MapPost("/me/sign-out", async (Desk desk, SessionStore sessions) =>
        {
            Me(desk);
            await sessions.EndAll([desk.Who.Id], desk.Now);
        });
        api.MapGet("/me/sessions", async (Desk desk, SessionStore sessions) =>
        {
            Me(desk);
            return (await sessions.Of(desk.Who.Id, desk.Now - Who.Idle))
                .Select(s => new SessionPlace(s.Id, s.Device, s.MadeAt, s.SeenAt, s.Id == desk.Who.Session))
                .ToList();
        });
        api.MapDelete("/me/sessions/{sessionId:guid}", async (Guid sessionId, Desk desk, SessionStore sessions) =>
        {
            Me(desk);
            if (!await sessions.End(sessionId, desk.Who.Id, desk.Now))
                throw Refused.NotFound();
        });
    }

    private static async Task<InvitedView> Invite(
        InviteRequest request,
        Desk desk,
        RosterDesk roster,
        RosterStore rosters,
        AdultStore adults,
        IMailer mailer,
        HttpContext http
    )
    {
        await desk.Lead();
        if (request.Id is { } again && await rosters.Adult(again, desk.Who.SchoolId) is { } there)
            return await Pass(
                there.Id,
                there.Name,
                there.UserName,
                null,
                hasPassword: false,
                desk,
                adults,
                mailer,
                http
            );
        var (name, mail) = Checked(request.Name, request.Mail);
        var makers = await roster.Makers();
        var adult = new RosterAdult(
            request.Id ?? AdultId.New(),
            null,
            name,
            makers.AdultName(mail ?? name),
            mail,
            request.Lead,
            Left: false,
            request.Post ?? Post.Teacher
        );
        var change = await roster.Apply(
            ChangeSet.Nothing with
            {
                Adults = [new(null, adult)],
            },
            null,
            $"Invited {name}"
        );
        return await Pass(adult.Id, name, adult.UserName, mail, hasPassword: false, desk, adults, mailer, http) with
        {
            ChangeId = change,
        };
    }

    private const int AtOnce = 200;

    /// <summary>Everybody or nobody: with one person wrong, all that is wrong is said and no one is invited.</summary>
    private static async Task<InvitedSeveral> InviteSeveral(
        InviteSeveralRequest request,
        Desk desk,
        RosterDesk roster,
        AdultStore adults,
        IMailer mailer,
        HttpContext http
    )
    {
        await desk.Lead();
        var people = request.People ?? [];
        if (people.Count is 0 or > AtOnce)
            throw Refused.Field("people", $"Invite 1 to {AtOnce} people at a time.");
        var staff = await adults.Staff(desk.Who.SchoolId, desk.Now);
        var there = staff.Select(a => a.Id).ToHashSet();
        var fresh = people.DistinctBy(p => p.Id).Where(p => !there.Contains(p.Id)).ToList();
        CheckSeveral(fresh, staff);
        if (fresh.Count == 0)
            return new([], null);
        var makers = await roster.Makers();
        var made = fresh
            .Select(p => new RosterAdult(
                p.Id,
                null,
                Names.Tidy(p.Name),
                makers.AdultName(Address(p) ?? Names.Tidy(p.Name)),
                Address(p),
                Lead: false,
                Left: false,
                request.Post
            ))
            .ToList();
        var change = await roster.Apply(
            ChangeSet.Nothing with
            {
                Adults = [.. made.Select(a => new Step<RosterAdult>(null, a))],
            },
            null,
            $"Invited {made.Count:count} people"
        );
        var invited = new List<InvitedView>();
        foreach (var a in made)
            invited.Add(await Pass(a.Id, a.Name, a.UserName, a.Mail, hasPassword: false, desk, adults, mailer, http));
        return new(invited, change);
    }

    private static string? Address(Invitee person) =>
        string.IsNullOrWhiteSpace(person.Mail) ? null : person.Mail.Trim();

    private static void CheckSeveral(IReadOnlyList<Invitee> people, IReadOnlyList<StaffRow> staff)
    {
        var taken = staff
            .Where(a => a.Mail is not null)
            .Select(a => a.Mail!)
            .ToHashSet(StringComparer.OrdinalIgnoreCase);
        var faults = new Faults();
        foreach (var (i, person) in people.Index())
        {
            var (name, mail) = (Names.Tidy(person.Name), Address(person));
            faults
                .If(
                    name.Length is 0 or > 120,
                    $"people[{i}]",
                    $"Use 120 letters or fewer for the name of {mail ?? name}."
                )
                .If(mail is not null && !Mail.Holds(mail), $"people[{i}]", $"{mail} is not an email address.")
                .If(mail is not null && !taken.Add(mail), $"people[{i}]", $"{mail} is listed already.");
        }
        faults.Refuse();
    }

    private static async Task<RosterChanged> Change(
        AdultId adultId,
        StaffRequest request,
        Desk desk,
        RosterDesk roster,
        RosterStore rosters
    )
    {
        await desk.Lead();
        var (name, mail) = Checked(request.Name, request.Mail);
        var known = await rosters.Adult(adultId, desk.Who.SchoolId) ?? throw Refused.NotFound();
        if (adultId == desk.Who.Adult && (request.Left || !request.Lead))
            throw Refused.Conflict(
                "yourself",
                $"You cannot end your own role as school lead. Another school lead can."
            );
        var next = known with
        {
            Name = name,
            Mail = mail,
            Lead = request.Lead,
            Left = request.Left,
            Post = request.Post ?? known.Post,
        };
        var done = await MemberEndpoints.Done(
            roster,
            next == known ? ChangeSet.Nothing : ChangeSet.Nothing with { Adults = [new(known, next)] },
            null,
            next.Left && !known.Left ? (Message)$"Marked {name} as left" : $"Changed {name}"
        );
        return done;
    }

    private static async Task OwnPassword(
        PasswordRequest request,
        Desk desk,
        AdultStore adults,
        Secrets secrets,
        SignInLimits limits,
        HttpContext http
    )
    {
        Me(desk);
        var adult = (await adults.Find(desk.Who.Adult, desk.Who.SchoolId))!;
        new Faults()
            .If(
                !await limits.Account(http, $"adult {adult.UserName}", new(adult.SchoolId, AdultId: adult.Id), () =>
                    secrets.Matches(adult, request.Old ?? "")
                ),
                "old",
                $"This is not your current password."
            )
            .Of("new", PasswordRules.FaultOf(request.New, adult.UserName, adult.Name))
            .Refuse();
        // Everywhere else is signed out; here the session goes on.
        await adults.ChangePassword(adult.Id, secrets.Hash(request.New), desk.Who.Session, desk.Now);
    }

    private static void Me(Desk desk)
    {
        if (desk.Who.Role is not (Core.Access.Role.Teacher or Core.Access.Role.Guardian))
            throw Refused.NotFound();
    }

    internal static async Task<Adult> Staff(AdultId adultId, Desk desk, AdultStore adults)
    {
        await desk.Lead();
        return await adults.Find(adultId, desk.Who.SchoolId) is { Kind: AdultKind.Staff } adult
            ? adult
            : throw Refused.NotFound();
    }

    private static (string Name, string? Mail) Checked(string? asked, string? address)
    {
        var name = Names.Tidy(asked);
        var mail = string.IsNullOrWhiteSpace(address) ? null : address.Trim();
        new Faults()
            .If(name.Length is 0 or > 120, "name", $"Enter a name of 120 letters or fewer.")
            .If(mail is not null && !Mail.Holds(mail), "mail", $"Enter an email address: name@school.org")
            .Refuse();
        return (name, mail);
    }
}
