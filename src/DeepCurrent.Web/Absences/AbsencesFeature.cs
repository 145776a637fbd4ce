using DeepCurrent.Data.Absences;
using DeepCurrent.Web.Hosting;

namespace DeepCurrent.Web.Absences;

/// <summary>Days readers are not at school.</summary>
public sealed class AbsencesFeature : IFeature
{
    public void Add(IServiceCollection services, IConfiguration settings) => services.AddSingleton<AbsenceStore>();

    public void Map(RouteGroupBuilder api) => AbsenceEndpoints.Map(api);
}
