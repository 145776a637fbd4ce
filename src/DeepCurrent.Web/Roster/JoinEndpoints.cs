using DeepCurrent.Core.Access;
using DeepCurrent.Core.Roster;
using DeepCurrent.Data.Roster;
using DeepCurrent.Data.Schools;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Roster;

/// <param name="Id">Made by the one who asks, so that asking twice is asking once.</param>
public sealed record JoinRequest(JoiningId Id, string Code, string GivenName, string? FamilyName);

/// <param name="Accept">Take them in; otherwise the request is set aside.</param>
/// <param name="SameAs">A reader of the school who this is; null for a new reader.</param>
public sealed record JoinDecision(bool Accept, ReaderId? SameAs, int Grade);

/// <summary>Joining a class by its code, with the teacher's approval.</summary>
public static class JoinEndpoints
{
    private const int MostWaiting = 60;

    public static void Map(RouteGroupBuilder api)
    {
        api.MapPost("/session/join", Ask).AllowAnonymous();
        api.MapPost("/classes/{classId:guid}/joinings/{joiningId:guid}", Decide);
    }

    private static async Task Ask(
        JoinRequest request,
        SchoolStore schools,
        MemberStore members,
        SignInLimits limits,
        Desk desk,
        HttpContext http
    )
    {
        string given = Names.Tidy(request.GivenName),
            family = Names.Tidy(request.FamilyName);
        if (given.Length == 0 || (Names.Fault(given) ?? Names.Fault(family)) is not null)
            throw Refused.Field("givenName", $"Enter your name in letters.");
        (ClassId Id, string Name)? found = null;
        if (
            !await limits.Code(http, "join", async () =>
                (found = await schools.ClassByCode((request.Code ?? "").Trim())) is not null
            )
        )
            throw new Refused(404, "no-such-code", $"No class has this code. Ask your teacher to show it again.");
        await limits.Ask(http, "join");
        if (!await members.Ask(request.Id, found!.Value.Id, given, family, desk.Now, MostWaiting))
            throw Refused.Conflict("too-many-waiting", $"Your teacher has many requests. Tell them you want to join.");
    }

    /// <summary>Whoever asked as a new reader of the school, in the class.</summary>
    private static (ChangeSet Steps, ReaderId ReaderId) Added(
        JoiningRow asked,
        int grade,
        ClassId classId,
        Makers makers,
        DateOnly today
    )
    {
        var reader = Admission.Of(makers, asked.GivenName, asked.FamilyName, grade);
        var stay = new Enrolment(makers.New<EnrolmentId>(), null, classId, reader.Id, today, null);
        return (ChangeSet.Nothing with { Readers = [new(null, reader)], Enrolments = [new(null, stay)] }, reader.Id);
    }

    private static async Task<RosterChanged> Decide(
        ClassId classId,
        JoiningId joiningId,
        JoinDecision decision,
        Desk desk,
        RosterDesk roster,
        RosterStore rosters,
        MemberStore members
    )
    {
        var place = await desk.Class(classId, Deed.ChangeRoster);
        var asked = (await members.Joinings(classId)).FirstOrDefault(j => j.Id == joiningId)
            ?? throw Refused.NotFound();
        if (!decision.Accept)
        {
            await members.Decide(joiningId, classId, null, desk.Now);
            return new(null, $"Declined {asked.GivenName}");
        }
        if (decision.Grade is < Grades.Lowest or > Grades.Highest)
            throw Refused.Field("grade", $"Choose a grade from K to 12.");
        ChangeSet steps;
        ReaderId readerId;
        if (decision.SameAs is { } known)
        {
            if (await rosters.Readers([known], place.SchoolId) is not [var reader])
                throw Refused.NotFound();
            readerId = known;
            (steps, var others) = await roster.AskFor(await Joined(reader, classId, desk, rosters), classId);
            if (others > 0)
            {
                await members.Decide(joiningId, classId, known, desk.Now);
                return new(null, $"Requested {reader.FullName}", others);
            }
        }
        else
        {
            (steps, readerId) = Added(asked, decision.Grade, classId, await roster.Makers(), await desk.Today());
        }
        var done = await MemberEndpoints.Done(
            roster,
            steps,
            classId,
            $"Approved {$"{asked.GivenName} {asked.FamilyName}".TrimEnd()}, who joined with the class code"
        );
        await members.Decide(joiningId, classId, readerId, desk.Now);
        return done;
    }

    private static async Task<ChangeSet> Joined(RosterReader reader, ClassId classId, Desk desk, RosterStore rosters) =>
        RosterMoves.Enrol(
            [reader],
            await rosters.Enrolments([reader.Id]),
            classId,
            await desk.Today(),
            EnrolmentId.New
        );
}
