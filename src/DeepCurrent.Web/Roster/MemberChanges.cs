using DeepCurrent.Core.Access;
using DeepCurrent.Core.Goals;
using DeepCurrent.Core.Roster;
using DeepCurrent.Data.Adults;
using DeepCurrent.Data.Roster;
using DeepCurrent.Data.Schools;
using DeepCurrent.Data.Storage;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Roster;

/// <summary>What is changed of readers: of one by name, of several at once, and how they sign in.</summary>
internal static class MemberChanges
{
    public static void Map(RouteGroupBuilder api)
    {
        api.MapPost("/classes/{classId:guid}/bulk", Bulk);
        api.MapPut("/classes/{classId:guid}/readers/{readerId:guid}", Details);
        api.MapPost("/classes/{classId:guid}/readers/{readerId:guid}/secret", Secret);
    }

    private static async Task<RosterChanged> Bulk(
        ClassId classId,
        BulkRequest request,
        Desk desk,
        RosterDesk roster,
        RosterStore rosters,
        Secrets secrets
    )
    {
        var place = await desk.Class(classId, Deed.ChangeRoster);
        var school = await desk.School();
        var readers = await rosters.Readers(request.ReaderIds ?? [], place.SchoolId);
        var enrolments = await rosters.Enrolments([.. readers.Select(r => r.Id)]);
        readers =
        [
            .. readers.Where(r => enrolments.Any(e => e.ReaderId == r.Id && e.ClassId == classId && e.To is null)),
        ];
        new Faults()
            .If(readers.Count == 0, "readerIds", $"Choose at least one reader of this class.")
            .If(request.Grade is < Grades.Lowest or > Grades.Highest, "grade", $"Choose a grade from K to 12.")
            .If(request.Supports is { Holds: false }, "supports", $"Enter 100 to 300%.")
            .Refuse();
        var level = LevelOf(request, school.Chart);
        var chance = Secrets.Chance();
        var steps = ChangeSet.Nothing with
        {
            Readers =
            [
                .. readers
                    .Select(r => new Step<RosterReader>(r, Changed(r, request, secrets, chance)))
                    .Where(s => s.Before != s.After),
            ],
            Levels = level is { } depth ? [.. readers.Select(r => Stated(r.Id, depth, desk.Now))] : [],
        };
        var what = new (bool, Message)[]
        {
            (request.Grade is not null, $"grade"),
            (level is not null, $"level"),
            (request.Supports is not null, $"supports"),
            (request.SecretKind is not null || request.NewSecrets, $"secret"),
        }
            .Where(x => x.Item1)
            .Select(x => x.Item2);
        return await MemberEndpoints.Done(
            roster,
            steps,
            classId,
            $"Changed {what} of {MemberEndpoints.People(readers)}"
        );
    }

    private static Step<StatedLevel> Stated(ReaderId reader, Core.Depth.Fathoms depth, DateTimeOffset now) =>
        new(null, new StatedLevel(StatedLevelId.New(), reader, depth.Value, now));

    private static Core.Depth.Fathoms? LevelOf(BulkRequest request, Core.Depth.LevelChart chart)
    {
        if (string.IsNullOrWhiteSpace(request.Level))
            return null;
        var system = request.LevelSystem ?? Core.Depth.LevelLabels.InFathoms;
        return Core.Depth.LevelLabels.Read(request.Level, system, chart) is { OnScale: true } level
            ? level
            : throw Refused.Field("level", $"Enter a level in fathoms or one of the school’s labels.");
    }

    private static RosterReader Changed(RosterReader r, BulkRequest request, Secrets secrets, Random chance)
    {
        var kind = request.SecretKind ?? r.SecretKind;
        return r with
        {
            Grade = request.Grade ?? r.Grade,
            Supports = request.Supports ?? r.Supports,
            SecretKind = kind,
            Secret =
                request.NewSecrets || kind != r.SecretKind
                    ? secrets.Seal(Core.Readers.SignInRules.NewSecret(kind, chance))
                    : r.Secret,
        };
    }

    private static async Task<RosterChanged> Details(
        ClassId classId,
        ReaderId readerId,
        DetailsRequest request,
        Desk desk,
        RosterDesk roster,
        RosterStore rosters
    )
    {
        await desk.Class(classId, Deed.ChangeRoster);
        var (reader, _) = await MemberEndpoints.Member(classId, readerId, desk, rosters);
        string given = Names.Tidy(request.GivenName),
            family = Names.Tidy(request.FamilyName);
        var mail = Mail.Several(request.GuardianMail);
        var details = request.Details ?? ReaderDetails.None;
        new Faults()
            .If(given.Length == 0, "givenName", $"Enter the given name.")
            .Of("givenName", Names.Fault(given))
            .Of("familyName", Names.Fault(family))
            .If(request.Grade is < Grades.Lowest or > Grades.Highest, "grade", $"Choose a grade from K to 12.")
            .If(
                mail is not null && !Mail.HoldsSeveral(mail),
                "guardianMail",
                $"Enter an email address: name@school.org"
            )
            .If(!request.Supports.Holds, "moreTime", $"Enter 100 to 300%.")
            .Of(details.Faults().Select(f => ($"details.{f.Detail}", f.Reason)))
            .Refuse();
        Unchanged(reader, request.Before);
        var next = reader with
        {
            GivenName = given,
            FamilyName = family,
            Grade = request.Grade,
            Details = details,
            GuardianMail = mail,
            Supports = request.Supports == Supports.None ? Supports.None : request.Supports,
        };
        var steps = next == reader ? ChangeSet.Nothing : ChangeSet.Nothing with { Readers = [new(reader, next)] };
        return await MemberEndpoints.Done(roster, steps, classId, $"Changed the details of {next.FullName}");
    }

    /// <summary>Refuses where somebody has changed the reader since they were looked at.</summary>
    private static void Unchanged(RosterReader reader, SeenDetails? before)
    {
        if (
            before is { } seen
            && seen with
            {
                Details = seen.Details ?? ReaderDetails.None,
            } != new SeenDetails(reader.GivenName, reader.FamilyName, reader.Grade, reader.Details, reader.GuardianMail)
        )
            throw Refused.Conflict(
                "stale",
                $"Someone else changed this reader: now {reader.FullName}, grade {reader.Grade}. Close this and open it again."
            );
    }

    private static async Task<RosterChanged> Secret(
        ClassId classId,
        ReaderId readerId,
        SecretRequest request,
        Desk desk,
        RosterDesk roster,
        RosterStore rosters,
        Secrets secrets
    )
    {
        await desk.Class(classId, Deed.ChangeRoster);
        var (reader, _) = await MemberEndpoints.Member(classId, readerId, desk, rosters);
        if (request.Kind is not { } kind)
            throw Refused.Field("kind", $"Choose pictures, a code or a password.");
        var secret = string.IsNullOrWhiteSpace(request.Secret)
            ? Core.Readers.SignInRules.NewSecret(kind, Secrets.Chance())
            : Core.Readers.SignInRules.Typed(kind, request.Secret);
        if (Core.Readers.SignInRules.Fault(kind, secret) is { } fault)
            throw Refused.Field("secret", fault);
        var steps = ChangeSet.Nothing with
        {
            Readers = [new(reader, reader with { SecretKind = kind, Secret = secrets.Seal(secret) })],
        };
        return await MemberEndpoints.Done(roster, steps, classId, $"Gave {reader.FullName} a new secret");
    }
}
