using DeepCurrent.Core.Access;
using DeepCurrent.Data.Schools;
using DeepCurrent.Web.SignIn;
using Microsoft.AspNetCore.Authorization;
using Microsoft.AspNetCore.SignalR;
using Npgsql;

namespace DeepCurrent.Web.Live;

/// <summary>Tells teachers' pages that something in a class has changed; the page then asks for what it shows.</summary>
[Authorize(Roles = nameof(Role.Teacher))]
public sealed class LiveHub(SchoolStore schools) : Hub
{
    public async Task Watch(Guid classId)
    {
        var who = Who.From(Context.User!);
        if (await schools.Place(classId, who.SchoolId, who.Id) is not { } place || !AccessRules.May(who.Role, Deed.SeeClass, new(SameSchool: true, AccessRules.PartOf(place.Part), Self: false, who.Lead))) throw new HubException("This class is not yours.");
        await Groups.AddToGroupAsync(Context.ConnectionId, classId.ToString());
    }
}

/// <summary>Carries the database's notices of work to the pages that watch.</summary>
public sealed class NoticeListener(NpgsqlDataSource db, IHubContext<LiveHub> hub, ILogger<NoticeListener> log) : ChannelListener(db, "ticket", log)
{
    protected override Task Heard(string payload, CancellationToken stop) => hub.Clients.Group(payload).SendAsync("tickets", stop);
}
