using DeepCurrent.Data.Assignments;
using DeepCurrent.Web.Hosting;

namespace DeepCurrent.Web.Assignments;

/// <summary>Giving texts to readers.</summary>
public sealed class AssignmentsFeature : IFeature
{
    public void Add(IServiceCollection services, IConfiguration settings) =>
        services
            .AddSingleton<AssignmentStore>()
            .AddSingleton<GivenStore>()
            .AddSingleton<WeekStore>()
            .AddSingleton<AssignmentPages>()
            .AddSingleton<CalendarStore>()
            .AddScoped<Giving>()
            .AddScoped<TasksToGive>()
            .AddScoped<Following>()
            .AddWork<Showing>()
            .AddWork<Closing>()
            .AddWork<Releasing>()
            .AddUndo<UndoAssigned>()
            .AddUndo<UndoAssignedIn>()
            .AddUndo<UndoDraftsGiven>()
            .AddUndo<UndoDrafted>()
            .AddUndo<UndoDiscarded>()
            .AddUndo<UndoTerms>()
            .AddUndo<UndoTickets>()
            .AddUndo<UndoOwnDay>()
            .AddUndo<UndoReminded>()
            .AddUndo<UndoVersion>()
            .AddUndo<UndoSwapped>();

    public void Map(RouteGroupBuilder api)
    {
        AssignEndpoints.Map(api);
        AssignmentEndpoints.Map(api);
        WeekEndpoints.Map(api);
        DraftEndpoints.Map(api);
        MendEndpoints.Map(api);
        TicketDayEndpoints.Map(api);
        AsReaderEndpoints.Map(api);
        CalendarEndpoints.Map(api);
        SuggestEndpoints.Map(api);
        VersionEndpoints.Map(api);
        ClassesEndpoints.Map(api);
    }
}
