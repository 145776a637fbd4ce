using DeepCurrent.Data.Papers;
using DeepCurrent.Web.Hosting;

namespace DeepCurrent.Web.Papers;

/// <summary>Papers that go with assignments.</summary>
public sealed class PapersFeature : IFeature
{
    public void Add(IServiceCollection services, IConfiguration settings) => services.AddSingleton<PaperStore>();

    public void Map(RouteGroupBuilder api) => PaperEndpoints.Map(api);
}
