using DeepCurrent.Data.AssignmentResults;
using DeepCurrent.Data.Corrections;
using DeepCurrent.Web.Changes;
using DeepCurrent.Web.Hosting;

namespace DeepCurrent.Web.AssignmentResults;

/// <summary>What assignments came to.</summary>
public sealed class ResultsFeature : IFeature
{
    public void Add(IServiceCollection services, IConfiguration settings) =>
        services
            .AddSingleton<ResultStore>()
            .AddSingleton<CorrectionStore>()
            .AddSingleton<TypedResultStore>()
            .AddSingleton<IUndo, UndoCorrection>()
            .AddSingleton<IUndo, UndoTyped>()
            .AddScoped<StepTexts>();

    public void Map(RouteGroupBuilder api)
    {
        ResultEndpoints.Map(api);
        CorrectionEndpoints.Map(api);
        TypedResultEndpoints.Map(api);
    }
}
