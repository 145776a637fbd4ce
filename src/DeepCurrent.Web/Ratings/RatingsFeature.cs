using DeepCurrent.Data.Ratings;
using DeepCurrent.Web.Hosting;

namespace DeepCurrent.Web.Ratings;

/// <summary>What readers think of texts, and recommend.</summary>
public sealed class RatingsFeature : IFeature
{
    public void Add(IServiceCollection services, IConfiguration settings) => services.AddSingleton<RatingStore>();

    public void Map(RouteGroupBuilder api) => RatingEndpoints.Map(api);
}
