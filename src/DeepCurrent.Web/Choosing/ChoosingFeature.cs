using DeepCurrent.Data.Choosing;
using DeepCurrent.Web.Hosting;

namespace DeepCurrent.Web.Choosing;

/// <summary>Texts of a reader’s own choosing.</summary>
public sealed class ChoosingFeature : IFeature
{
    public void Add(IServiceCollection services, IConfiguration settings) => services.AddSingleton<ChoosingStore>();

    public void Map(RouteGroupBuilder api) => ChoosingEndpoints.Map(api);
}
