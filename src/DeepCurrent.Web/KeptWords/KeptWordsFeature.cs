using DeepCurrent.Data.KeptWords;
using DeepCurrent.Web.Hosting;

namespace DeepCurrent.Web.KeptWords;

/// <summary>Words that readers keep.</summary>
public sealed class KeptWordsFeature : IFeature
{
    public void Add(IServiceCollection services, IConfiguration settings) => services.AddSingleton<KeptWordStore>();

    public void Map(RouteGroupBuilder api) => KeptWordEndpoints.Map(api);
}
