using DeepCurrent.Core.Absences;
using DeepCurrent.Core.Access;
using DeepCurrent.Data.Absences;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Absences;

/// <param name="From">The first day away.</param>
/// <param name="To">The last; it counts.</param>
public sealed record AbsenceRequest(DateOnly From, DateOnly To, string? Reason);

/// <summary>Days a reader is not at school: goals and signals go by the days that were there.</summary>
public static class AbsenceEndpoints
{
    private const int LongestReason = 200,
        MostOfReader = 100;

    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/readers/{readerId:guid}/absences", Of);
        api.MapPut("/readers/{readerId:guid}/absences/{absenceId:guid}", Put);
        api.MapDelete("/readers/{readerId:guid}/absences/{absenceId:guid}", Remove);
    }

    private static async Task<IReadOnlyList<AbsenceRow>> Of(ReaderId readerId, Desk desk, AbsenceStore absences)
    {
        await desk.Reader(readerId, Deed.SeeReader);
        return await absences.Of(readerId);
    }

    private static async Task<IReadOnlyList<AbsenceRow>> Put(
        ReaderId readerId,
        AbsenceId absenceId,
        AbsenceRequest request,
        Desk desk,
        AbsenceStore absences
    )
    {
        await desk.Reader(readerId, Deed.SetGoals);
        Absence absence = new(absenceId, request.From, request.To, request.Reason?.Trim() ?? "");
        new Faults()
            .If(absence.Fault is not null, "to", absence.Fault ?? Message.Nothing)
            .If(absence.Reason.Length > LongestReason, "reason", $"Use {LongestReason} letters or fewer.")
            .Refuse();
        var before = await absences.Of(readerId);
        if (before.Count >= MostOfReader && before.All(b => b.Id != absenceId))
            throw Refused.Conflict("too-many", $"This reader has {MostOfReader} absences already. Remove some first.");
        if (!await absences.Put(readerId, absence, desk.Who.Adult, desk.Now))
            throw Refused.NotFound();
        return await absences.Of(readerId);
    }

    private static async Task<IReadOnlyList<AbsenceRow>> Remove(
        ReaderId readerId,
        AbsenceId absenceId,
        Desk desk,
        AbsenceStore absences
    )
    {
        await desk.Reader(readerId, Deed.SetGoals);
        if (!await absences.Remove(readerId, absenceId, desk.Now))
            throw Refused.NotFound();
        return await absences.Of(readerId);
    }
}
