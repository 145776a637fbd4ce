using DeepCurrent.Data.Groups;
using DeepCurrent.Web.Hosting;

namespace DeepCurrent.Web.Groups;

/// <summary>Guided reading groups.</summary>
public sealed class GroupsFeature : IFeature
{
    public void Add(IServiceCollection services, IConfiguration settings) =>
        services.AddSingleton<GroupStore>().AddUndo<UndoGroups>();

    public void Map(RouteGroupBuilder api) => GroupEndpoints.Map(api);
}
