using System.Collections.Concurrent;
using DeepCurrent.Core.Access;
using DeepCurrent.Data.Adults;
using DeepCurrent.Data.Schools;
using DeepCurrent.Data.Storage;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;
using Microsoft.AspNetCore.Authorization;
using Microsoft.AspNetCore.SignalR;
using Npgsql;

namespace DeepCurrent.Web.Live;

/// <summary>Tells teachers' pages that something in a class has changed; the page then asks for what it
/// shows.</summary>
/// <remarks>Pages come by WebSocket at once, without negotiating first: nothing is kept between two requests, so it
/// does not matter which instance a balancer sends them to.</remarks>
[Authorize(Roles = nameof(Role.Teacher))]
public sealed class LiveHub(SchoolStore schools, LiveLines lines) : Hub
{
    public override Task OnConnectedAsync()
    {
        lines.Open(Who.From(Context.User!), Context);
        return base.OnConnectedAsync();
    }

    public override Task OnDisconnectedAsync(Exception? exception)
    {
        lines.Closed(Context);
        return base.OnDisconnectedAsync(exception);
    }

    public async Task Watch(ClassId classId)
    {
        var who = Who.From(Context.User!);
        if (
            await schools.Place(classId, who.SchoolId, who.Adult) is not { } place
            || !who.May(Deed.SeeClass, place.Part)
        )
            throw new HubException("This class is not yours.");
        await Groups.AddToGroupAsync(Context.ConnectionId, classId.ToString());
    }
}

/// <summary>The live connections of this instance, and whose they are.</summary>
public sealed class LiveLines
{
    private readonly ConcurrentDictionary<string, (Who Who, HubCallerContext Line)> open = [];

    public void Open(Who who, HubCallerContext line) => open[line.ConnectionId] = (who, line);

    public void Closed(HubCallerContext line) => open.TryRemove(line.ConnectionId, out _);

    public IReadOnlyList<(Who Who, HubCallerContext Line)> Of(Guid personId) =>
        [.. open.Values.Where(l => l.Who.Id == personId)];
}

/// <summary>Carries the database's notices of work to the pages that watch: a page hears of its class at most twice a
/// second.</summary>
public sealed class NoticeListener(
    NpgsqlDataSource db,
    Channels channels,
    IHubContext<LiveHub> hub,
    ILogger<NoticeListener> log
) : ChannelListener(db, channels, Notices.Channel, log)
{
    private readonly Gathered<string> classes = new(TimeSpan.FromSeconds(0.5), (ids, stop) =>
        Task.WhenAll(ids.Select(id => hub.Clients.Group(id).SendAsync("tickets", stop)))
    );

    // What was told while the line was away is not known.
    protected override Task Begun() => hub.Clients.All.SendAsync("tickets");

    protected override Task Heard(string payload, CancellationToken stop)
    {
        classes.Add(payload);
        return Task.CompletedTask;
    }

    protected override Task ExecuteAsync(CancellationToken stop) =>
        Task.WhenAll(base.ExecuteAsync(stop), Repeated.Until(classes.Run, log, "notices", stop));
}

/// <summary>Tells the other instances, and this one's pages, of readers' work.</summary>
public sealed class NoticeSender(Notices notices, ILogger<NoticeSender> log) : BackgroundService
{
    protected override Task ExecuteAsync(CancellationToken stop) => Repeated.Until(notices.Run, log, "notices", stop);
}

/// <summary>Cuts the live connections of sessions that have ended, on whichever instance they ended.</summary>
public sealed class EndedSessions(
    NpgsqlDataSource db,
    Channels channels,
    SessionStore sessions,
    LiveLines lines,
    TimeProvider clock,
    ILogger<EndedSessions> log
) : ChannelListener(db, channels, SessionStore.Channel, log)
{
    protected override async Task Heard(string payload, CancellationToken stop)
    {
        if (!Guid.TryParse(payload, out var personId))
            return;
        foreach (var (who, line) in lines.Of(personId))
            if (await sessions.Find(who.Session, who.Id, reader: false, clock.GetUtcNow() - Who.Idle) is null)
                line.Abort();
    }
}
