using DeepCurrent.Data.Notes;
using DeepCurrent.Web.Hosting;

namespace DeepCurrent.Web.Notes;

/// <summary>Readers' notes in texts.</summary>
public sealed class NotesFeature : IFeature
{
    public void Add(IServiceCollection services, IConfiguration settings) => services.AddSingleton<NoteStore>();

    public void Map(RouteGroupBuilder api) => NoteEndpoints.Map(api);
}
