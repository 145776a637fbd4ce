using DeepCurrent.Data.Gradebooks;
using DeepCurrent.Web.Hosting;

namespace DeepCurrent.Web.Gradebooks;

/// <summary>Scores as files for other gradebooks.</summary>
public sealed class GradebooksFeature : IFeature
{
    public void Add(IServiceCollection services, IConfiguration settings) => services.AddSingleton<GradebookStore>();

    public void Map(RouteGroupBuilder api) => GradebookEndpoints.Map(api);
}
