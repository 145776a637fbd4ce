using DeepCurrent.Data.Tickets;
using DeepCurrent.Web.Hosting;

namespace DeepCurrent.Web.Tickets;

/// <summary>Reading, answering, handing in and marking.</summary>
public sealed class TicketsFeature : IFeature
{
    public void Add(IServiceCollection services, IConfiguration settings) =>
        services
            .AddSingleton<TicketStore>()
            .AddSingleton<ReplyStore>()
            .AddSingleton<ReplyMarker>()
            .AddSingleton<JointReplies>()
            .AddSingleton<MarkingStore>()
            .AddSingleton<SetAsideStore>()
            .AddSingleton<AnswerWriter>()
            .AddSingleton<MissedQuestions>()
            .AddSingleton<WorkSheet>();

    public void Map(RouteGroupBuilder api)
    {
        MyEndpoints.Map(api);
        MyVersionEndpoints.Map(api);
        TaskEndpoints.Map(api);
        MarkingEndpoints.Map(api);
        SetAsideEndpoints.Map(api);
    }
}
