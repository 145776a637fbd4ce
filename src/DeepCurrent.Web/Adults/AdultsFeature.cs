using DeepCurrent.Data.Adults;
using DeepCurrent.Web.Hosting;

namespace DeepCurrent.Web.Adults;

/// <summary>Who works at a school, and how they come in.</summary>
public sealed class AdultsFeature : IFeature
{
    public void Add(IServiceCollection services, IConfiguration settings) => services.AddSingleton<AdultStore>();

    public void Map(RouteGroupBuilder api)
    {
        AdultEndpoints.Map(api);
        PassEndpoints.Map(api);
    }
}
