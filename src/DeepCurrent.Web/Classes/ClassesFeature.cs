using DeepCurrent.Web.Hosting;

namespace DeepCurrent.Web.Classes;

/// <summary>Classes and how each is set up.</summary>
public sealed class ClassesFeature : IFeature
{
    public void Map(RouteGroupBuilder api)
    {
        ClassEndpoints.Map(api);
        ClassSettings.Map(api);
    }
}
