using DeepCurrent.Data.Lists;
using DeepCurrent.Web.Hosting;

namespace DeepCurrent.Web.Lists;

/// <summary>Lists of readers, kept by hand or by a filter.</summary>
public sealed class ListsFeature : IFeature
{
    public void Add(IServiceCollection services, IConfiguration settings) => services.AddSingleton<ListStore>();

    public void Map(RouteGroupBuilder api) => ReaderListEndpoints.Map(api);
}
