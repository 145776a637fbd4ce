using DeepCurrent.Core.Access;
using DeepCurrent.Data.LevelChecks;
using DeepCurrent.Data.Roster;
using DeepCurrent.Data.Schools;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.Roster;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.LevelChecks;

/// <summary>A check as the asker may have it.</summary>
/// <param name="Classes">The classes whose readers they see; null for all.</param>
/// <param name="MayChange">It is theirs, or they lead the school.</param>
public sealed record OpenCheck(LevelCheck Check, IReadOnlyCollection<ClassId>? Classes, bool MayChange);

/// <summary>Finds a level check and decides what of it the asker may have. Its maker, a lead, and a colleague who was
/// let in see it whole; others see the readers of their own classes.</summary>
public sealed class CheckDesk(Desk desk, CheckStore checks, SchoolStore schools, RosterDesk roster)
{
    public Task<Yardstick> Yardstick() => roster.Yardstick();

    public async Task<OpenCheck> Find(CheckId checkId, Deed deed)
    {
        if (desk.Who.Role != Role.Teacher || await checks.Find(checkId, desk.Who.SchoolId) is not { } check)
            throw Refused.NotFound();
        var maker = check.MadeBy == desk.Who.Adult;
        var letIn = maker || (await checks.Colleagues(checkId)).Any(c => c.Id == desk.Who.Adult);
        var own = (await schools.Classes(desk.Who.Adult)).ToDictionary(c => c.Id, c => c.Role);
        var part = (await checks.Classes(checkId)).Select(own.GetValueOrDefault).DefaultIfEmpty(Part.None).Max();
        bool May(Deed d) => desk.Who.May(d, part, d is Deed.ChangeCheck ? maker : letIn);
        return May(deed)
            ? new(check, letIn || desk.Who.Lead ? null : own.Keys, May(Deed.ChangeCheck))
            : throw Refused.NotFound();
    }

    /// <summary>Every aim must be somebody's whom the asker may give a check to.</summary>
    public async Task Allow(AimView aims)
    {
        if (aims.Grades.Count > 0)
            await desk.Lead();
        foreach (var id in aims.ClassIds)
            await desk.Class(id, Deed.GiveCheck);
        foreach (var id in aims.GroupIds)
            await desk.Class(await checks.ClassOfGroup(id) ?? throw Refused.NotFound(), Deed.GiveCheck);
        foreach (var id in aims.ReaderIds)
            await desk.Reader(id, Deed.GiveCheck);
    }
}
