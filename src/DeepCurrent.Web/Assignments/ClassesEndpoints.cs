using DeepCurrent.Core.Access;
using DeepCurrent.Data.Assignments;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Assignments;

/// <summary>An assignment among those of several classes.</summary>
/// <param name="Late">Readers who have not handed it in though it was due.</param>
public sealed record ClassPlate(AssignmentRow Assignment, int Late);

/// <summary>What one class has in a stretch of days.</summary>
public sealed record ClassDays(ClassId ClassId, IReadOnlyList<ClassPlate> Plates);

/// <summary>Several classes side by side.</summary>
public static class ClassesEndpoints
{
    private const int MostClasses = 12;

    public static void Map(RouteGroupBuilder api) => api.MapGet("/assignments/classes", Side);

    /// <param name="classId">Classes the asker sees, in the order they are to stand in.</param>
    private static async Task<IReadOnlyList<ClassDays>> Side(
        ClassId[] classId,
        DateOnly? from,
        DateOnly? to,
        Desk desk,
        WeekStore weeks
    )
    {
        desk.Library();
        new Faults()
            .If(classId.Length is 0 or > MostClasses, "classId", $"Choose 1 to {MostClasses} classes.")
            .Refuse();
        foreach (var id in classId)
            await desk.Class(id, Deed.SeeClass);
        var today = await desk.Today();
        var (first, last) = WeekEndpoints.Span(from, to, today);
        var rows = await weeks.Between(classId, first, last);
        var late = await weeks.Late([.. rows.Select(r => r.Id)], today);
        var plates = rows.ToLookup(r => r.ClassId, r => new ClassPlate(r, late.GetValueOrDefault(r.Id)));
        return [.. classId.Distinct().Select(id => new ClassDays(id, [.. plates[id]]))];
    }
}
