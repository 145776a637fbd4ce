using DeepCurrent.Data.Texts;
using DeepCurrent.Web.Hosting;

namespace DeepCurrent.Web.Texts;

/// <summary>The library: texts, their quizzes and sounds, and what readers show of them.</summary>
public sealed class TextsFeature : IFeature
{
    public void Add(IServiceCollection services, IConfiguration settings) =>
        services
            .AddSingleton<TextStore>()
            .AddSingleton<TextKeeper>()
            .AddSingleton<ShelfStore>()
            .AddSingleton<LibraryShelf>()
            .AddSingleton<PictureStore>()
            .AddSingleton<TextPictureStore>()
            .AddSingleton<MeaningStore>()
            .AddSingleton<UseStore>()
            .AddSingleton<CopyStore>()
            .AddSingleton<ReadingStore>()
            .AddSingleton<AnsweredDepths>()
            .AddSingleton<ContentLoader>()
            .AddHostedService<ShelfListener>()
            .AddWork<DepthsFromAnswers>();

    public void Map(RouteGroupBuilder api)
    {
        TextEndpoints.Map(api);
        LibraryEndpoints.Map(api);
        MeasureEndpoints.Map(api);
        OwnTextEndpoints.Map(api);
        ReadingEndpoints.Map(api);
        BringEndpoints.Map(api);
        TextFileEndpoints.Map(api);
        TextPictureEndpoints.Map(api);
        CopyEndpoints.Map(api);
        QuizEndpoints.Map(api);
    }
}
