using DeepCurrent.Data.Meetings;
using DeepCurrent.Web.Hosting;

namespace DeepCurrent.Web.Meetings;

/// <summary>Meetings of groups.</summary>
public sealed class MeetingsFeature : IFeature
{
    public void Add(IServiceCollection services, IConfiguration settings) =>
        services.AddSingleton<MeetingStore>().AddScoped<MeetingDesk>();

    public void Map(RouteGroupBuilder api) => MeetingEndpoints.Map(api);
}
