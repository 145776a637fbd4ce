using DeepCurrent.Data.Talks;
using DeepCurrent.Web.Hosting;

namespace DeepCurrent.Web.Talks;

/// <summary>Written answers that readers talk about.</summary>
public sealed class TalksFeature : IFeature
{
    public void Add(IServiceCollection services, IConfiguration settings) => services.AddSingleton<TalkStore>();

    public void Map(RouteGroupBuilder api) => TalkEndpoints.Map(api);
}
