using DeepCurrent.Core.Access;
using DeepCurrent.Core.Goals;
using DeepCurrent.Core.Roster;
using DeepCurrent.Data.Adults;
using DeepCurrent.Data.Roster;
using DeepCurrent.Data.Schools;
using DeepCurrent.Data.Storage;
using DeepCurrent.Formats.Tables;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Roster;

/// <summary>The readers of a class: who is in it, and whatever happens to them during the year.</summary>
public static class MemberEndpoints
{
    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/classes/{classId:guid}/roster", Roster);
        api.MapGet("/classes/{classId:guid}/roster.{form}", Export).Produces<byte[]>(contentType: "text/csv");
        api.MapGet("/school/find", Find);
        api.MapPost("/classes/{classId:guid}/enrol", Enrol);
        api.MapPost("/classes/{classId:guid}/remove", Remove);
        api.MapPost("/classes/{classId:guid}/move", Move);
        api.MapPost("/classes/{classId:guid}/bulk", Bulk);
        api.MapPut("/classes/{classId:guid}/readers/{readerId:guid}", Details);
        api.MapPost("/classes/{classId:guid}/readers/{readerId:guid}/secret", Secret);
        api.MapPost("/classes/{classId:guid}/readers/{readerId:guid}/leave", Leave);
        api.MapGet("/readers/{readerId:guid}/stays", async (ReaderId readerId, Desk desk, MemberStore members) =>
        {
            await desk.Reader(readerId, Deed.SeeReader);
            return await members.Stays(readerId);
        });
    }

    private static async Task<ClassRosterView> Roster(
        ClassId classId,
        Desk desk,
        MemberStore members,
        PictureStore pictures,
        RosterStore rosters,
        SchoolStore schools,
        TakingInStore requests,
        SessionStore sessions
    )
    {
        var place = await desk.Class(classId, Deed.SeeClass);
        var c = (await rosters.Class(classId, place.SchoolId))!;
        var may = desk.May(Deed.ChangeRoster, place);
        var shown = await pictures.Of(classId);
        var all = (await members.Of(classId))
            .Select(m => View(m, shown[m.Id], desk.May(Deed.SeeGuardians, place)))
            .ToList();
        return new()
        {
            Id = c.Id,
            Name = c.Name,
            Code = c.Code,
            Grade = c.Grade,
            FirstDay = c.FirstDay,
            LastDay = c.LastDay,
            Closed = c.Closed,
            YearName = (await schools.Year(c.YearId)).Name,
            MayChange = may,
            Systems = Core.Depth.LevelLabels.Systems((await desk.School()).Chart),
            Pictures = ClassPictures.All,
            Members = [.. all.Where(m => m.Until is null)],
            Former = [.. all.Where(m => m.Until is not null)],
            Adults = await members.Adults(classId),
            Joinings = may ? await members.Joinings(classId) : [],
            AskedOfUs = may ? await requests.ForReadersOf(classId) : [],
            WeAsked = may ? await requests.Of(classId) : [],
            Guessing = may ? await sessions.Guessing(classId, desk.Now - GuessRule.Class.Window) : null,
            AssistantsPrint = place.AssistantsPrint,
            Outside = place.Outside,
            Pool = place.Pool,
        };
    }

    private static MemberView View(Member m, string picture, bool guardians) =>
        new()
        {
            Id = m.Id,
            GivenName = m.GivenName,
            FamilyName = m.FamilyName,
            UserName = m.UserName,
            Grade = m.Grade,
            Details = m.Details,
            GuardianMail = guardians ? m.GuardianMail : null,
            SecretKind = m.SecretKind,
            Supports = Database.FromJson<Supports>(m.Supports),
            FromSource = m.FromSource,
            SignedInAt = m.SignedInAt,
            Since = m.Since,
            Until = m.Until,
            Guardians = guardians ? m.Guardians : 0,
            Picture = picture,
        };

    private static async Task<IResult> Export(ClassId classId, string form, Desk desk, MemberStore members)
    {
        var place = await desk.Class(classId, Deed.SeeClass);
        var guardians = desk.May(Deed.SeeGuardians, place);
        string[] heading =
        [
            .. ListColumns.Template.Where(t => t.Field != ListField.Level).Select(t => t.Heading),
            "User name",
        ];
        var rows = (await members.Of(classId))
            .Where(m => m.Until is null)
            .Select(m =>
                (IReadOnlyList<object?>)
                    [
                        m.GivenName,
                        m.FamilyName,
                        m.Grade == 0 ? "K" : m.Grade.ToString(),
                        place.Name,
                        guardians ? m.GuardianMail : null,
                        .. Enum.GetValues<ReaderDetail>().Select(d => m.Details[d]),
                        "",
                        m.UserName,
                    ]
            );
        return form switch
        {
            "csv" => Results.File(
                System
                    .Text.Encoding.UTF8.GetPreamble()
                    .Concat(System.Text.Encoding.UTF8.GetBytes(CsvFiles.Write(heading, rows)))
                    .ToArray(),
                "text/csv",
                $"{place.Name}.csv"
            ),
            "xlsx" => Results.File(
                TableFile.WriteXlsx(place.Name, heading, rows),
                ListEndpoints.Xlsx,
                $"{place.Name}.xlsx"
            ),
            _ => throw Refused.NotFound(),
        };
    }

    /// <summary>Readers of the school by name: any teacher may find them to put them into a class.</summary>
    private static async Task<IReadOnlyList<Found>> Find(
        string? name,
        int? grade,
        ClassId? classId,
        ClassId? notIn,
        Desk desk,
        RosterDesk roster,
        MemberStore members
    )
    {
        desk.Library(Deed.FindReaders);
        return await members.Find(
            desk.Who.SchoolId,
            name ?? "",
            grade,
            classId,
            notIn,
            desk.Who.Lead ? null : await roster.OwnClasses()
        );
    }

    private static async Task<RosterChanged> Enrol(
        ClassId classId,
        ReadersRequest request,
        Desk desk,
        RosterDesk roster,
        RosterStore rosters
    )
    {
        var place = await desk.Class(classId, Deed.ChangeRoster);
        var readers = await rosters.Readers(request.ReaderIds ?? [], place.SchoolId);
        if (readers.Count == 0)
            throw Refused.Field("readerIds", $"Choose at least one reader of the school.");
        var (steps, asked) = await roster.AskFor(
            RosterMoves.Enrol(
                readers,
                await rosters.Enrolments([.. readers.Select(r => r.Id)]),
                classId,
                await desk.Today(),
                EnrolmentId.New
            ),
            classId
        );
        var taken = readers.Where(r => steps.TouchedReaders().Contains(r.Id)).ToList();
        return await Done(
            roster,
            steps,
            classId,
            taken.Count == 0 ? (Message)$"Requested {Counted.Readers(asked)}" : $"Added {People(taken)} to {place.Name}"
        ) with
        {
            Asked = asked,
        };
    }

    private static async Task<RosterChanged> Remove(
        ClassId classId,
        ReadersRequest request,
        Desk desk,
        RosterDesk roster,
        RosterStore rosters
    )
    {
        var place = await desk.Class(classId, Deed.ChangeRoster);
        var readers = await rosters.Readers(request.ReaderIds ?? [], place.SchoolId);
        var steps = RosterMoves.End(
            await rosters.Enrolments([.. readers.Select(r => r.Id)]),
            e => e.ClassId == classId,
            await desk.Today()
        );
        return await Done(roster, steps, classId, $"Removed {People(readers)} from {place.Name}");
    }

    private static async Task<RosterChanged> Move(
        ClassId classId,
        MoveRequest request,
        Desk desk,
        RosterDesk roster,
        RosterStore rosters,
        SchoolStore schools
    )
    {
        var place = await desk.Class(classId, Deed.ChangeRoster);
        // Readers may be handed to a colleague's class: who receives them sees it in the history.
        var to = await schools.Place(request.ToClassId, place.SchoolId, desk.Who.Adult) ?? throw Refused.NotFound();
        var readers = await rosters.Readers(request.ReaderIds ?? [], place.SchoolId);
        var enrolments = await rosters.Enrolments([.. readers.Select(r => r.Id)]);
        if (
            readers.Count == 0
            || to.Id == classId
            || readers.Any(r => !enrolments.Any(e => e.ReaderId == r.Id && e.ClassId == classId && e.To is null))
        )
            throw Refused.Field("readerIds", $"Choose readers in this class and another class.");
        var steps = RosterMoves.Move(readers, enrolments, classId, to.Id, await desk.Today(), EnrolmentId.New);
        return await Done(roster, steps, classId, $"Moved {People(readers)} from {place.Name} to {to.Name}");
    }

    private static async Task<RosterChanged> Leave(
        ClassId classId,
        ReaderId readerId,
        Desk desk,
        RosterDesk roster,
        RosterStore rosters
    )
    {
        await desk.Class(classId, Deed.ChangeRoster);
        var (reader, enrolments) = await Member(classId, readerId, desk, rosters);
        var steps = RosterMoves.End(enrolments, _ => true, await desk.Today()) with
        {
            Readers = [new(reader, reader with { Left = true })],
        };
        return await Done(roster, steps, classId, $"Marked {reader.FullName} as left");
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
        return await Done(roster, steps, classId, $"Changed {what} of {People(readers)}");
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
        var (reader, _) = await Member(classId, readerId, desk, rosters);
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
        return await Done(roster, steps, classId, $"Changed the details of {next.FullName}");
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
        var (reader, _) = await Member(classId, readerId, desk, rosters);
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
        return await Done(roster, steps, classId, $"Gave {reader.FullName} a new secret");
    }

    /// <summary>A reader who is in the class now; anybody else is not found.</summary>
    internal static async Task<(RosterReader Reader, IReadOnlyList<Enrolment> Enrolments)> Member(
        ClassId classId,
        ReaderId readerId,
        Desk desk,
        RosterStore rosters
    )
    {
        var reader = await rosters.Reader(readerId, desk.Who.SchoolId) ?? throw Refused.NotFound();
        var enrolments = await rosters.Enrolments([readerId]);
        return enrolments.Any(e => e.ClassId == classId && e.To is null)
            ? (reader, enrolments)
            : throw Refused.NotFound();
    }

    internal static async Task<RosterChanged> Done(
        RosterDesk roster,
        ChangeSet steps,
        ClassId? classId,
        Message sentence
    ) => new(await roster.Apply(steps, classId, sentence), sentence);

    private static Message People(IReadOnlyList<RosterReader> readers) =>
        readers.Count switch
        {
            1 => $"{readers[0].FullName}",
            2 => $"{readers[0].FullName} and {readers[1].FullName}",
            _ => $"{readers[0].FullName} and {readers.Count - 1:count} others",
        };
}
