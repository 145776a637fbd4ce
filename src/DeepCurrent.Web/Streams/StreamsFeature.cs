using DeepCurrent.Data.Streams;
using DeepCurrent.Formats.Streams;
using DeepCurrent.Web.Hosting;

namespace DeepCurrent.Web.Streams;

/// <summary>Assignments in the class stream of the school's own platform.</summary>
public sealed class StreamsFeature : IFeature
{
    public void Add(IServiceCollection services, IConfiguration settings)
    {
        services.AddSingleton<StreamStore>().AddWork<StreamWork>();
        services.AddSingleton(settings.GetSection("ClassStream").Get<ClassStreamSettings>() ?? new("", "", "", "", ""));
        services.AddHttpClient<IClassStream, HttpClassStream>(c => c.Timeout = TimeSpan.FromSeconds(10));
    }

    public void Map(RouteGroupBuilder api) => StreamEndpoints.Map(api);
}
