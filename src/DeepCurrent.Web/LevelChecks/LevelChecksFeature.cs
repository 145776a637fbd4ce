using DeepCurrent.Data.LevelChecks;
using DeepCurrent.Web.Hosting;

namespace DeepCurrent.Web.LevelChecks;

/// <summary>Level checks: giving, doing and reading them.</summary>
public sealed class LevelChecksFeature : IFeature
{
    public void Add(IServiceCollection services, IConfiguration settings) =>
        services
            .AddSingleton<CheckStore>()
            .AddSingleton<SittingStore>()
            .AddSingleton<SatCheckStore>()
            .AddSingleton<WindowStore>()
            .AddScoped<CheckDesk>()
            .AddScoped<PlannedChecks>()
            .AddUndo<UndoCheckGiven>()
            .AddUndo<UndoCheckAgain>()
            .AddUndo<UndoCheckTakenBack>()
            .AddWork<ChecksClosing>();

    public void Map(RouteGroupBuilder api)
    {
        CheckEndpoints.Map(api);
        MyCheckEndpoints.Map(api);
        WindowEndpoints.Map(api);
    }
}
