using DeepCurrent.Data.Signals;
using DeepCurrent.Web.Hosting;

namespace DeepCurrent.Web.Signals;

/// <summary>What the data say a teacher should look at.</summary>
public sealed class SignalsFeature : IFeature
{
    public void Add(IServiceCollection services, IConfiguration settings) =>
        services
            .AddSingleton<SignalStore>()
            .AddSingleton<SignalFactStore>()
            .AddSingleton<SignalBook>()
            .AddWork<Looking>();

    public void Map(RouteGroupBuilder api) => SignalEndpoints.Map(api);
}
