using DeepCurrent.Data.Imports;
using DeepCurrent.Formats.OneRoster;
using DeepCurrent.Web.Hosting;

namespace DeepCurrent.Web.Imports;

/// <summary>A whole school's roster, in and out.</summary>
public sealed class ImportsFeature : IFeature
{
    public void Add(IServiceCollection services, IConfiguration settings)
    {
        services.AddSingleton<ImportStore>().AddSingleton<ImportWork>().AddWork<ImportRunner>();
        services.AddSingleton(
            settings.GetSection("RosterSource").Get<RosterSourceSettings>() ?? new("District roster", "", "", "", "")
        );
        services.AddHttpClient<IRosterSource, HttpRosterSource>(c => c.Timeout = TimeSpan.FromMinutes(2));
    }

    public void Map(RouteGroupBuilder api) => ImportEndpoints.Map(api);
}
