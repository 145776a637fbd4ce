using DeepCurrent.Core.Access;
using DeepCurrent.Data.Guardians;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Guardians;

/// <summary>A guardian's own child, or nothing.</summary>
internal static class ChildDesk
{
    /// <exception cref="Refused">404: not theirs, or they are no guardian.</exception>
    public static async Task<Child> Child(this Desk desk, GuardianStore guardians, ReaderId readerId)
    {
        if (!desk.May(Deed.SeeOwnChild, own: true))
            throw Refused.NotFound();
        var mine = await guardians.Children(desk.Who.Adult, desk.Who.SchoolId, await desk.Moment());
        return mine.FirstOrDefault(c => c.Id == readerId) ?? throw Refused.NotFound();
    }
}
