using DeepCurrent.Data.HomeMessages;
using DeepCurrent.Web.Hosting;

namespace DeepCurrent.Web.HomeMessages;

/// <summary>Messages between school and home.</summary>
public sealed class HomeMessagesFeature : IFeature
{
    public void Add(IServiceCollection services, IConfiguration settings) => services.AddSingleton<HomeMessageStore>();

    public void Map(RouteGroupBuilder api) => HomeMessageEndpoints.Map(api);
}
