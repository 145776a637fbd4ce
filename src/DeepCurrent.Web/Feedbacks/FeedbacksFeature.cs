using DeepCurrent.Data.Feedbacks;
using DeepCurrent.Web.Hosting;

namespace DeepCurrent.Web.Feedbacks;

/// <summary>What becomes of feedback.</summary>
public sealed class FeedbacksFeature : IFeature
{
    public void Add(IServiceCollection services, IConfiguration settings) => services.AddSingleton<FeedbackStore>();

    public void Map(RouteGroupBuilder api) => FeedbackEndpoints.Map(api);
}
