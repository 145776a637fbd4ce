using DeepCurrent.Data.Marking;
using DeepCurrent.Web.Hosting;

namespace DeepCurrent.Web.Marking;

/// <summary>The queue of what a person has to mark.</summary>
public sealed class MarkingFeature : IFeature
{
    public void Add(IServiceCollection services, IConfiguration settings) => services.AddSingleton<QueueStore>();

    public void Map(RouteGroupBuilder api) => QueueEndpoints.Map(api);
}
