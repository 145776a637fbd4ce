using DeepCurrent.Core.Access;
using DeepCurrent.Core.Readers;
using DeepCurrent.Core.Roster;
using DeepCurrent.Core.Schools;
using DeepCurrent.Data.Roster;
using DeepCurrent.Data.Schools;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;
using Npgsql;

namespace DeepCurrent.Web.Roster;

/// <summary>Makes roster changes for the one who asks: gives the rules what they need, and lists what was
/// done.</summary>
public sealed class RosterDesk(
    Desk desk,
    RosterStore rosters,
    RosterWriter writer,
    SchoolStore schools,
    TakingInStore requests,
    Secrets secrets
)
{
    private IReadOnlySet<ClassId>? own;

    public async Task<YearCalendar> Year() =>
        await schools.CurrentYear(desk.Who.SchoolId, await desk.Today())
        ?? throw Refused.Conflict("no-school-year", $"No school year has started yet. A school lead can add one.");

    /// <summary>Free names, new secrets and codes. With <paramref name="pretend"/>, secrets are not made: they cost
    /// time and a preview shows none.</summary>
    public async Task<Makers> Makers(bool pretend = false)
    {
        var (readers, adults, codes) = await rosters.Taken(desk.Who.SchoolId);
        var school = await desk.School();
        return For(readers, adults, codes, school, secrets, pretend);
    }

    public static Makers For(
        HashSet<string> readers,
        HashSet<string> adults,
        HashSet<string> codes,
        School school,
        Secrets secrets,
        bool pretend
    )
    {
        var chance = Secrets.Chance();
        var readerNames = new UserNames(readers);
        var adultNames = new UserNames(adults);
        return new(
            Guid.CreateVersion7,
            (given, family) => readerNames.Take(SignInRules.UserName(given, family)),
            wanted => adultNames.Take(AdultName(wanted)),
            grade =>
            {
                var kind = SignInRules.KindFor(grade, school.PicturesTo, school.CodesTo);
                return (kind, pretend ? "" : secrets.Seal(SignInRules.NewSecret(kind, chance)));
            },
            () =>
            {
                string code;
                do code = SignInRules.NewClassCode(chance);
                while (!codes.Add(code));
                return code;
            }
        );
    }

    /// <summary>Does a change and gives the id to take it back by; null if there is nothing to do.</summary>
    /// <param name="with">What else belongs to it, in the same transaction.</param>
    public async Task<ChangeId?> Apply(
        ChangeSet steps,
        ClassId? classId,
        Message summary,
        Func<NpgsqlConnection, NpgsqlTransaction, ChangeId, Task>? with = null
    )
    {
        if (steps.Steps == 0)
            return null;
        await Allow(steps);
        return await writer.Apply(
            steps,
            new(desk.Who.SchoolId, classId, desk.Who.Adult, summary, desk.Now),
            await Yardstick(),
            with
        );
    }

    public async Task Undo(ChangeId changeId) =>
        await writer.Undo(changeId, desk.Who.SchoolId, await Yardstick(), desk.Now, Allow);

    /// <summary>Classes in which the asker may change the roster.</summary>
    public async Task<IReadOnlySet<ClassId>> OwnClasses() =>
        own ??= (await schools.Classes(desk.Who.Adult)).Where(c => Parts.Teaches(c.Role)).Select(c => c.Id).ToHashSet();

    /// <summary>Readers a change touches who are in other hands than the asker's: it may not touch them, whoever leads
    /// the school excepted.</summary>
    public async Task<IReadOnlySet<ReaderId>> InOtherHands(ChangeSet steps)
    {
        if (desk.Who.Lead)
            return new HashSet<ReaderId>();
        var made = steps.Readers.Where(r => r.Before is null).Select(r => r.Thing.Id).ToHashSet();
        var touched = steps.TouchedReaders().Where(id => !made.Contains(id)).ToList();
        return touched.Count == 0
            ? new HashSet<ReaderId>()
            : Consent.Missing(steps, await rosters.OpenEnrolments(touched, desk.Who.SchoolId), await OwnClasses());
    }

    /// <summary>Leaves out of a change whoever is in other hands, and asks their teachers for those it would have taken
    /// into a class.</summary>
    /// <returns>The change that may be done, and how many readers are asked for.</returns>
    public async Task<(ChangeSet Steps, int Asked)> AskFor(ChangeSet steps, ClassId classId)
    {
        var others = await InOtherHands(steps);
        var asked = Consent.TakenIn(steps, others);
        if (asked.Count > 0)
            await requests.Ask(asked, classId, desk.Who.Adult, desk.Now);
        return (Consent.Without(steps, others), asked.Count);
    }

    private async Task Allow(ChangeSet steps)
    {
        if (await InOtherHands(steps) is not { Count: > 0 } others)
            return;
        var names = (await rosters.Readers([.. others.Take(3)], desk.Who.SchoolId)).Select(r => r.FullName);
        throw Refused.Conflict(
            "in-other-hands",
            $"{string.Join(", ", names)}: in someone else's class now. Their teacher or a school lead can do this."
        );
    }

    public async Task<Yardstick> Yardstick() => new((await desk.School()).Chart, await Year());

    // A user name or the part of an address before the @; otherwise made from the name.
    private static string AdultName(string wanted)
    {
        var bare = wanted.Split('@')[0].Trim();
        if (PasswordRules.IsUserName(bare))
            return bare;
        var (given, family) = Names.Split(wanted);
        return SignInRules.UserName(given, family) is var name && name == "reader" ? "teacher" : name;
    }
}
