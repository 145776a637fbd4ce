using DeepCurrent.Data.Readings;
using DeepCurrent.Web.Hosting;

namespace DeepCurrent.Web.Readings;

/// <summary>What a reader has read, and their home.</summary>
public sealed class ReadingsFeature : IFeature
{
    public void Add(IServiceCollection services, IConfiguration settings) =>
        services.AddSingleton<OwnReadingStore>().AddSingleton<HomeStore>().AddScoped<HomeSheet>();

    public void Map(RouteGroupBuilder api) => OwnReadingEndpoints.Map(api);
}
