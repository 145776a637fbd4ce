using DeepCurrent.Data.Conferences;
using DeepCurrent.Web.Hosting;

namespace DeepCurrent.Web.Conferences;

/// <summary>Pages for conferences with families.</summary>
public sealed class ConferencesFeature : IFeature
{
    public void Add(IServiceCollection services, IConfiguration settings) =>
        services.AddSingleton<ConferenceStore>().AddScoped<ConferenceRoom>();

    public void Map(RouteGroupBuilder api) => ConferenceEndpoints.Map(api);
}
