using DeepCurrent.Core.Access;
using DeepCurrent.Core.Streams;
using DeepCurrent.Data.Assignments;
using DeepCurrent.Data.Schools;
using DeepCurrent.Data.Streams;
using DeepCurrent.Formats.Streams;
using DeepCurrent.Web.Assignments;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.Print;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Streams;

/// <summary>A class's stream and what is shared in it.</summary>
/// <param name="Name">What the school's platform is called; empty where there is none.</param>
/// <param name="Course">Its name there; null where the class has no stream yet.</param>
public sealed record StreamView(
    string Name,
    string? Course,
    DateTimeOffset? LinkedAt,
    string? LinkedBy,
    IReadOnlyList<SharedRow> Shared
);

public sealed record StreamRequest(string Course);

/// <summary>The class that has a stream.</summary>
public sealed record StreamClass(ClassId ClassId);

/// <summary>The class stream of the school's own platform: which one a class has, and what stands in it.</summary>
public static class StreamEndpoints
{
    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/classes/{classId:guid}/stream", View);
        api.MapPut("/classes/{classId:guid}/stream", Link);
        api.MapDelete("/classes/{classId:guid}/stream", Unlink);
        api.MapPut("/assignments/{assignmentId:guid}/stream", Share);
        api.MapDelete("/assignments/{assignmentId:guid}/stream", StopSharing);
        api.MapGet("/stream-class", ClassOf);
    }

    private static async Task<StreamView> View(ClassId classId, Desk desk, StreamStore streams, IClassStream stream)
    {
        await desk.Class(classId, Deed.SeeClass);
        var found = await streams.Find(classId);
        return new(
            stream.Available ? stream.Name : "",
            found?.Course,
            found?.LinkedAt,
            found?.By,
            await streams.Shared(classId)
        );
    }

    private static async Task<StreamView> Link(
        ClassId classId,
        StreamRequest request,
        HttpContext http,
        Desk desk,
        StreamStore streams,
        IClassStream stream
    )
    {
        await desk.Class(classId, Deed.Assign);
        var course = request.Course?.Trim() ?? "";
        new Faults()
            .If(course.Length == 0, "course", $"Enter the name of the course in your platform.")
            .If(
                course.Length > StreamRules.LongestCourse,
                "course",
                $"Use {StreamRules.LongestCourse} letters or fewer."
            )
            .If(!stream.Available, "course", $"No class stream is set up for this school. Ask who runs the server.")
            .Refuse();
        if (!await streams.Link(classId, course, PrintRoom.Address(http), desk.Who.Adult, desk.Now))
            throw Refused.Conflict("linked", $"This class has another stream. Disconnect it first.");
        return await View(classId, desk, streams, stream);
    }

    private static async Task Unlink(ClassId classId, Desk desk, StreamStore streams)
    {
        await desk.Class(classId, Deed.Assign);
        await streams.Unlink(classId, desk.Now);
    }

    private static Task Share(AssignmentId assignmentId, Desk desk, AssignmentStore assignments, StreamStore streams) =>
        Ask(assignmentId, wanted: true, desk, assignments, streams);

    private static Task StopSharing(
        AssignmentId assignmentId,
        Desk desk,
        AssignmentStore assignments,
        StreamStore streams
    ) => Ask(assignmentId, wanted: false, desk, assignments, streams);

    private static async Task Ask(
        AssignmentId id,
        bool wanted,
        Desk desk,
        AssignmentStore assignments,
        StreamStore streams
    )
    {
        var (row, _) = await desk.Assignment(assignments, id, Deed.Assign);
        if (row.Chosen)
            throw Refused.NotFound();
        if (await streams.Find(row.ClassId) is null)
            throw Refused.Conflict("no-stream", $"This class has no stream yet. Set it up first.");
        await streams.Ask(id, row.ClassId, wanted, desk.Who.Adult, desk.Now);
    }

    /// <summary>The class of a stream, for who comes from there to choose something.</summary>
    private static async Task<StreamClass> ClassOf(string? course, Desk desk, StreamStore streams, SchoolStore schools)
    {
        desk.Library(Deed.SeeLibrary);
        foreach (var classId in await streams.ClassesOf(course ?? "", desk.Who.SchoolId))
            if (
                await schools.Place(classId, desk.Who.SchoolId, desk.Who.Adult) is { } place
                && desk.May(Deed.Assign, place)
            )
                return new(classId);
        throw Refused.NotFound();
    }
}
