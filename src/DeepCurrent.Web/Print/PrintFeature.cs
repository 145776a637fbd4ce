using DeepCurrent.Web.Hosting;

namespace DeepCurrent.Web.Print;

/// <summary>What goes on paper.</summary>
public sealed class PrintFeature : IFeature
{
    public void Add(IServiceCollection services, IConfiguration settings) => services.AddScoped<PrintRoom>();

    public void Map(RouteGroupBuilder api) => PrintEndpoints.Map(api);
}
