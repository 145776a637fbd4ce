using DeepCurrent.Data.Groups;
using DeepCurrent.Web.Hosting;

namespace DeepCurrent.Web.Groups;

/// <summary>Guided reading groups, and whatever else readers are grouped for.</summary>
public sealed class GroupsFeature : IFeature
{
    public void Add(IServiceCollection services, IConfiguration settings) =>
        services
            .AddScoped<GroupDesk>()
            .AddScoped<GroupSaving>()
            .AddSingleton<GroupStore>()
            .AddSingleton<GroupingStore>()
            .AddUndo<UndoGroups>();

    public void Map(RouteGroupBuilder api)
    {
        GroupEndpoints.Map(api);
        GroupingEndpoints.Map(api);
        AgainEndpoints.Map(api);
        PastEndpoints.Map(api);
    }
}
