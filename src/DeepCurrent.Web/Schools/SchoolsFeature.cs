using DeepCurrent.Data.Looks;
using DeepCurrent.Data.Roster;
using DeepCurrent.Data.Schools;
using DeepCurrent.Web.Hosting;

namespace DeepCurrent.Web.Schools;

/// <summary>Schools, their years and charts, and their records of readers.</summary>
public sealed class SchoolsFeature : IFeature
{
    public void Add(IServiceCollection services, IConfiguration settings) =>
        services
            .AddSingleton<SchoolStore>()
            .AddSingleton<YearStore>()
            .AddSingleton<ClassListStore>()
            .AddSingleton<TransferStore>()
            .AddSingleton<RecordStore>()
            .AddSingleton<MergeStore>()
            .AddSingleton<LookStore>()
            .AddUndo<UndoMerged>();

    public void Map(RouteGroupBuilder api)
    {
        SchoolEndpoints.Map(api);
        YearEndpoints.Map(api);
        RecordEndpoints.Map(api);
    }
}
