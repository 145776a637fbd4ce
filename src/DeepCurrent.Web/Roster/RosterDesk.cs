using DeepCurrent.Core.Readers;
using DeepCurrent.Core.Roster;
using DeepCurrent.Data.Roster;
using DeepCurrent.Data.Schools;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Roster;

/// <summary>Makes roster changes for the one who asks: gives the rules what they need, and lists what was done.</summary>
public sealed class RosterDesk(Desk desk, RosterStore rosters, RosterWriter writer, SchoolStore schools, Secrets secrets)
{
    public async Task<YearCalendar> Year() => await schools.CurrentYear(desk.Who.SchoolId, await desk.Today()) ?? throw Refused.Conflict("no-school-year", "No school year has begun yet. A school lead can add one.");

    /// <summary>Free names, new secrets and codes. With <paramref name="pretend"/>, secrets are not made: they cost time and a preview shows none.</summary>
    public async Task<Makers> Makers(bool pretend = false)
    {
        var (readers, adults, codes) = await rosters.Taken(desk.Who.SchoolId);
        var school = await desk.School();
        return For(readers, adults, codes, school, secrets, pretend);
    }

    public static Makers For(HashSet<string> readers, HashSet<string> adults, HashSet<string> codes, School school, Secrets secrets, bool pretend)
    {
        var chance = Secrets.Chance();
        var readerNames = new UserNames(readers);
        var adultNames = new UserNames(adults);
        return new(Guid.CreateVersion7, (given, family) => readerNames.Take(SignInRules.UserName(given, family)), wanted => adultNames.Take(AdultName(wanted)), grade =>
        {
            var kind = SignInRules.KindFor(grade, school.PicturesTo, school.CodesTo);
            return (kind, pretend ? "" : secrets.Seal(SignInRules.NewSecret(kind, chance)));
        }, () =>
        {
            string code;
            do code = SignInRules.NewClassCode(chance); while (!codes.Add(code));
            return code;
        });
    }

    /// <summary>Does a change and gives the id to take it back by; null if there is nothing to do.</summary>
    public async Task<Guid?> Apply(ChangeSet steps, Guid? classId, string summary)
    {
        if (steps.Steps == 0) return null;
        return await writer.Apply(steps, new(desk.Who.SchoolId, classId, desk.Who.Id, summary, desk.Now), await Yardstick());
    }

    public async Task Undo(Guid changeId) => await writer.Undo(changeId, desk.Who.SchoolId, await Yardstick(), desk.Now);

    public async Task<Yardstick> Yardstick() => new((await desk.School()).Chart, await Year());

    public static string Count(int n, string one, string many) => n == 1 ? $"1 {one}" : $"{n:N0} {many}";

    // A user name or the part of an address before the @; otherwise made from the name.
    private static string AdultName(string wanted)
    {
        var bare = wanted.Split('@')[0].Trim();
        if (System.Text.RegularExpressions.Regex.IsMatch(bare, PasswordRules.UserName)) return bare;
        var (given, family) = Names.Split(wanted);
        return SignInRules.UserName(given, family) is var name && name == "reader" ? "teacher" : name;
    }
}
