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

/// <summary>Carries the database's notices to the pages that watch, so that it does not matter which instance wrote.</summary>
public sealed class NoticeListener(NpgsqlDataSource db, IHubContext<LiveHub> hub, ILogger<NoticeListener> log) : BackgroundService
{
    private static readonly TimeSpan Pause = TimeSpan.FromSeconds(2);

    protected override async Task ExecuteAsync(CancellationToken stop)
    {
        while (!stop.IsCancellationRequested)
        {
            try { await Listen(stop); }
            catch (OperationCanceledException) { return; }
            catch (Exception e) when (e is NpgsqlException or IOException)
            {
                log.LogWarning("Lost the database's notices; trying again");
                await Task.Delay(Pause, stop);
            }
        }
    }

    private async Task Listen(CancellationToken stop)
    {
        await using var c = await db.OpenConnectionAsync(stop);
        c.Notification += (_, notice) => _ = hub.Clients.Group(notice.Payload).SendAsync("tickets", stop);
        await using (var listen = new NpgsqlCommand("listen ticket", c)) await listen.ExecuteNonQueryAsync(stop);
        while (true) await c.WaitAsync(stop);
    }
}
