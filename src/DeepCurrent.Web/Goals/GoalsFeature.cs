using DeepCurrent.Data.Goals;
using DeepCurrent.Web.Hosting;

namespace DeepCurrent.Web.Goals;

/// <summary>Goals of a term and their chances.</summary>
public sealed class GoalsFeature : IFeature
{
    public void Add(IServiceCollection services, IConfiguration settings) =>
        services
            .AddSingleton<GoalStore>()
            .AddSingleton<GoalTerms>()
            .AddScoped<GoalBook>()
            .AddUndo<UndoGoals>()
            .AddUndo<UndoGoalMet>();

    public void Map(RouteGroupBuilder api)
    {
        GoalEndpoints.Map(api);
        MetEndpoints.Map(api);
    }
}
