using DeepCurrent.Data.Roster;
using DeepCurrent.Web.Hosting;

namespace DeepCurrent.Web.Roster;

/// <summary>Who is in which class, and every way in and out.</summary>
public sealed class RosterFeature : IFeature
{
    public void Add(IServiceCollection services, IConfiguration settings) =>
        services
            .AddSingleton<RosterStore>()
            .AddSingleton<RosterWriter>()
            .AddSingleton<MemberStore>()
            .AddSingleton<PictureStore>()
            .AddSingleton<TakingInStore>()
            .AddScoped<RosterDesk>();

    public void Map(RouteGroupBuilder api)
    {
        MemberEndpoints.Map(api);
        MemberChanges.Map(api);
        PictureEndpoints.Map(api);
        ListEndpoints.Map(api);
        JoinEndpoints.Map(api);
        TakingInEndpoints.Map(api);
    }
}
