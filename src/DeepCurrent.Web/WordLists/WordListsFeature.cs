using DeepCurrent.Data.WordLists;
using DeepCurrent.Web.Hosting;

namespace DeepCurrent.Web.WordLists;

/// <summary>Lists of words to practise.</summary>
public sealed class WordListsFeature : IFeature
{
    public void Add(IServiceCollection services, IConfiguration settings) => services.AddSingleton<WordListStore>();

    public void Map(RouteGroupBuilder api) => WordListEndpoints.Map(api);
}
