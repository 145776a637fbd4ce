using DeepCurrent.Data.Assignments;
using DeepCurrent.Web.Hosting;

namespace DeepCurrent.Web.Assignments;

/// <summary>Giving texts to readers.</summary>
public sealed class AssignmentsFeature : IFeature
{
    public void Add(IServiceCollection services, IConfiguration settings) =>
        services.AddSingleton<AssignmentStore>().AddUndo<UndoAssigned>();

    public void Map(RouteGroupBuilder api) => AssignmentEndpoints.Map(api);
}
