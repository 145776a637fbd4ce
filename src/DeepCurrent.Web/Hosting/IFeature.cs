using DeepCurrent.Web.Changes;

namespace DeepCurrent.Web.Hosting;

/// <summary>One subject of the application: its services, its undo, its work in the background, its
/// endpoints.</summary>
/// <remarks>It lives in its subject's folder; <see cref="Application"/> lists the subjects and knows nothing
/// else.</remarks>
public interface IFeature
{
    void Add(IServiceCollection services, IConfiguration settings) { }

    /// <param name="api">Everything under /api; only who is signed in gets there, unless an endpoint says
    /// otherwise.</param>
    void Map(RouteGroupBuilder api) { }
}

public static class Features
{
    /// <summary>Adds what takes one kind of change back.</summary>
    public static IServiceCollection AddUndo<T>(this IServiceCollection services)
        where T : class, IUndo => services.AddSingleton<IUndo, T>();

    /// <summary>Adds work that is done in the background, for as long as the application runs.</summary>
    public static IServiceCollection AddWork<T>(this IServiceCollection services)
        where T : class, IWork => services.AddSingleton<T>().AddHostedService<WorkRunner<T>>();
}
