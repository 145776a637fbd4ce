using DeepCurrent.Data.Voices;
using DeepCurrent.Web.Hosting;

namespace DeepCurrent.Web.Voices;

/// <summary>The voice that ships.</summary>
public sealed class VoicesFeature : IFeature
{
    public void Add(IServiceCollection services, IConfiguration settings)
    {
        services.AddSingleton(settings.GetSection("Voice").Get<VoiceSettings>() ?? new());
        services.AddHttpClient<IVoice, HttpVoice>(c => c.Timeout = Timeout.InfiniteTimeSpan);
        services.AddSingleton<SpokenStore>().AddTransient<Speaker>().AddWork<VoicesAhead>();
    }

    public void Map(RouteGroupBuilder api) => VoiceEndpoints.Map(api);
}
