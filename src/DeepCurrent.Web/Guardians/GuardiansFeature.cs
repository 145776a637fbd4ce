using DeepCurrent.Data.Guardians;
using DeepCurrent.Web.Hosting;

namespace DeepCurrent.Web.Guardians;

/// <summary>Guardians: their codes, their accounts, and what they see of their own children.</summary>
public sealed class GuardiansFeature : IFeature
{
    public void Add(IServiceCollection services, IConfiguration settings) =>
        services.AddSingleton<GuardianStore>().AddScoped<GuardianCodes>().AddScoped<AtHome>().AddScoped<ChildSheet>();

    public void Map(RouteGroupBuilder api) => GuardianEndpoints.Map(api);
}
