using DeepCurrent.Data.Storage;
using DeepCurrent.Web.Hosting;

namespace DeepCurrent.Web.Live;

/// <summary>Live updates: pages hear that something in their class has changed.</summary>
public sealed class LiveFeature : IFeature
{
    public void Add(IServiceCollection services, IConfiguration settings) =>
        services
            .AddSingleton<Notices>()
            .AddSingleton<LiveLines>()
            .AddSingleton<Channels>()
            .AddHostedService<NoticeSender>()
            .AddHostedService<NoticeListener>()
            .AddHostedService<EndedSessions>();

    public void Map(RouteGroupBuilder api) => api.MapHub<LiveHub>("/live");
}
