using DeepCurrent.Data.Changes;
using DeepCurrent.Web.Hosting;

namespace DeepCurrent.Web.Changes;

/// <summary>What was done, by whom, and taking it back.</summary>
public sealed class ChangesFeature : IFeature
{
    public void Add(IServiceCollection services, IConfiguration settings) => services.AddSingleton<ChangeStore>();

    public void Map(RouteGroupBuilder api) => ChangeEndpoints.Map(api);
}
