using DeepCurrent.Data.Decks;
using DeepCurrent.Web.Hosting;

namespace DeepCurrent.Web.Decks;

/// <summary>Lists of words to practise.</summary>
public sealed class DecksFeature : IFeature
{
    public void Add(IServiceCollection services, IConfiguration settings) => services.AddSingleton<DeckStore>();

    public void Map(RouteGroupBuilder api) => DeckEndpoints.Map(api);
}
