using DeepCurrent.Data.Measuring;
using DeepCurrent.Data.Readers;
using DeepCurrent.Web.Hosting;

namespace DeepCurrent.Web.Readers;

/// <summary>Readers, their levels and the evidence for them.</summary>
public sealed class ReadersFeature : IFeature
{
    public void Add(IServiceCollection services, IConfiguration settings) =>
        services
            .AddSingleton<ReaderStore>()
            .AddSingleton<ClassmateNames>()
            .AddSingleton<DepthKeeper>()
            .AddUndo<UndoEvidence>()
            .AddWork<LevelsOfToday>();

    public void Map(RouteGroupBuilder api)
    {
        ReaderEndpoints.Map(api);
        EvidenceEndpoints.Map(api);
    }
}
