using DeepCurrent.Data.Reports;
using DeepCurrent.Web.Hosting;

namespace DeepCurrent.Web.Reports;

/// <summary>Classes over days, weeks, months and terms.</summary>
public sealed class ReportsFeature : IFeature
{
    public void Add(IServiceCollection services, IConfiguration settings) =>
        services
            .AddSingleton<ReportStore>()
            .AddSingleton<LogStore>()
            .AddSingleton<TriesStore>()
            .AddSingleton<SchoolReportStore>()
            .AddScoped<ReportDesk>();

    public void Map(RouteGroupBuilder api)
    {
        ReportEndpoints.Map(api);
        SchoolReportEndpoints.Map(api);
    }
}
