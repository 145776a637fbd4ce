using DeepCurrent.Data.Plans;
using DeepCurrent.Web.Hosting;

namespace DeepCurrent.Web.Plans;

/// <summary>Saved lists of tasks.</summary>
public sealed class PlansFeature : IFeature
{
    public void Add(IServiceCollection services, IConfiguration settings) =>
        services.AddSingleton<PlanStore>().AddScoped<PlanLaying>();

    public void Map(RouteGroupBuilder api)
    {
        PlanEndpoints.Map(api);
        LayEndpoints.Map(api);
    }
}
