using DeepCurrent.Data.AssignmentResults;
using DeepCurrent.Web.Hosting;

namespace DeepCurrent.Web.AssignmentResults;

/// <summary>What assignments came to.</summary>
public sealed class ResultsFeature : IFeature
{
    public void Add(IServiceCollection services, IConfiguration settings) =>
        services.AddSingleton<ResultStore>().AddScoped<StepTexts>();

    public void Map(RouteGroupBuilder api) => ResultEndpoints.Map(api);
}
