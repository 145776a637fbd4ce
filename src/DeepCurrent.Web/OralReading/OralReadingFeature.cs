using DeepCurrent.Data.OralReading;
using DeepCurrent.Web.Hosting;

namespace DeepCurrent.Web.OralReading;

/// <summary>Running records, and the device that listens.</summary>
public sealed class OralReadingFeature : IFeature
{
    public void Add(IServiceCollection services, IConfiguration settings)
    {
        services.AddSingleton<RunningRecordStore>().AddSingleton<RecordingStore>().AddScoped<RecordDesk>();
        services.AddSingleton(settings.GetSection("Listener").Get<ListenerSettings>() ?? new());
        services.AddHttpClient<IListener, HttpListening>(c => c.Timeout = Timeout.InfiniteTimeSpan);
        services.AddWork<ListeningWork>();
    }

    public void Map(RouteGroupBuilder api)
    {
        RunningRecordEndpoints.Map(api);
        RecordingEndpoints.Map(api);
    }
}
