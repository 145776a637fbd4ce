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

    internal static Message People(IReadOnlyList<RosterReader> readers) =>
        readers.Count switch
        {
            1 => $"{readers[0].FullName}",
            2 => $"{readers[0].FullName} and {readers[1].FullName}",
            _ => $"{readers[0].FullName} and {readers.Count - 1:count} others",
        };
}
