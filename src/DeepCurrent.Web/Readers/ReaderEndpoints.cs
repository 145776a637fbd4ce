using DeepCurrent.Core.Access;
using DeepCurrent.Core.Assignments;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Goals;
using DeepCurrent.Core.Measuring;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Roster;
using DeepCurrent.Data.Assignments;
using DeepCurrent.Data.Looks;
using DeepCurrent.Data.Measuring;
using DeepCurrent.Data.Readers;
using DeepCurrent.Data.Roster;
using DeepCurrent.Data.Schools;
using DeepCurrent.Formats.Tables;
using DeepCurrent.Web.Goals;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.Roster;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Readers;

/// <summary>One reader: adding, signing in, and everything known.</summary>
public static class ReaderEndpoints
{
    private static readonly Message NameFault = $"Use 60 letters or fewer, without signs such as < and >.";

    public static void Map(RouteGroupBuilder api)
    {
        api.MapPost("/classes/{classId:guid}/readers", Add);
        api.MapGet("/classes/{classId:guid}/readers.csv", Export).Produces<string>(contentType: "text/csv");
        api.MapGet("/readers/{readerId:guid}", View);
        api.MapGet("/readers/{readerId:guid}/sign-in", SignIn);
        api.MapGet("/readers/{readerId:guid}/history.csv", History).Produces<string>(contentType: "text/csv");
    }

    private static void Check(NewReaderRequest r) =>
        new Faults()
            .If(string.IsNullOrWhiteSpace(r.GivenName), "givenName", $"Enter the given name.")
            .If(Names.Fault(Names.Tidy(r.GivenName)) is not null, "givenName", NameFault)
            .If(Names.Fault(Names.Tidy(r.FamilyName)) is not null, "familyName", NameFault)
            .If(r.Grade is < Grades.Lowest or > Grades.Highest, "grade", $"Choose a grade from K to 12.")
            .If(!r.Level.OnScale, "level", $"Enter a level from −20 to 100 fm.")
            .If(
                !string.IsNullOrWhiteSpace(r.GuardianMail) && !Mail.HoldsSeveral(r.GuardianMail),
                "guardianMail",
                $"Enter an email address: name@school.org"
            )
            .Refuse();

    private static async Task<AddedReader> Add(
        ClassId classId,
        NewReaderRequest request,
        Desk desk,
        RosterDesk roster,
        RosterStore rosters,
        Secrets secrets
    )
    {
        var place = await desk.Class(classId, Deed.ChangeRoster);
        Check(request);
        if (
            request.Id is { } again
            && (await rosters.OpenEnrolments([again], place.SchoolId)).Any(e => e.ClassId == classId)
            && await rosters.Reader(again, place.SchoolId) is { } there
        )
            return new(there.Id, there.UserName, there.SecretKind, secrets.Open(there.Secret), null);
        var makers = await roster.Makers();
        string given = Names.Tidy(request.GivenName),
            family = Names.Tidy(request.FamilyName);
        var reader = Admission.Of(makers, given, family, request.Grade, request.Id) with
        {
            GuardianMail = Mail.Several(request.GuardianMail),
        };
        var steps = ChangeSet.Nothing with
        {
            Readers = [new(null, reader)],
            Enrolments =
            [
                new(null, new Enrolment(makers.New<EnrolmentId>(), null, classId, reader.Id, await desk.Today(), null)),
            ],
            Levels =
            [
                new(null, new StatedLevel(makers.New<StatedLevelId>(), reader.Id, request.Level.Value, desk.Now)),
            ],
        };
        var change = await roster.Apply(steps, classId, $"Added {reader.FullName} to {place.Name}");
        return new(reader.Id, reader.UserName, reader.SecretKind, secrets.Open(reader.Secret), change);
    }

    private static async Task<SignInView> SignIn(ReaderId readerId, Desk desk, Secrets secrets)
    {
        var reader = await desk.Reader(readerId, Deed.PrintOneSecret);
        if (!desk.MayPrintOne(reader.Part, reader.AssistantsPrint))
            throw Refused.NotFound();
        return new(reader.GivenName, reader.UserName, reader.SecretKind, secrets.Open(reader.Secret));
    }

    private static async Task<ReaderView> View(
        ReaderId readerId,
        Desk desk,
        DepthKeeper keeper,
        GivenStore earlier,
        GoalBook goals,
        LookStore looks
    )
    {
        var r = await desk.Reader(readerId, Deed.SeeReader);
        await looks.Seen(r.SchoolId, desk.Who.Adult, desk.Now, readerId);
        var school = await desk.School();
        var evidence = await keeper.Evidence(readerId);
        var history = await earlier.History(readerId);
        var reach = Forecast.Reach(r.Depth, new(school.ZoneLow, school.ZoneHigh));
        var readings = history.Select(Reading).ToList();
        return new()
        {
            Id = r.Id,
            GivenName = r.GivenName,
            FamilyName = r.FamilyName,
            UserName = r.UserName,
            Grade = r.Grade,
            Group = r.Group,
            Depth = r.Depth,
            Sd = r.Sd,
            Low = r.Low,
            High = r.High,
            ReachFrom = reach.From,
            ReachTo = reach.To,
            LevelName = school.LevelName(r.Depth),
            SilentRate = new(GoalRules.SilentRate(r.Depth, school.Chart)),
            Trail = await keeper.Days(readerId),
            Marks = Marks(evidence, readings),
            Strands = Strands(evidence, desk.Now),
            Readings = readings,
            Goals = await goals.OfReader(r.Id, school),
            Set = SetLevelView.Of(await keeper.Set(readerId, desk.Now), await desk.Clock()),
        };
    }

    private static ReadingView Reading(HistoryRow h) =>
        new()
        {
            TicketId = h.Ticket.Id,
            Kind = h.Ticket.Kind,
            Title = h.Title,
            Version = h.Ticket.Version,
            VersionDepth = h.Ticket.VersionDepth,
            State = h.Ticket.State,
            Forecast = h.Ticket.Forecast,
            Score = h.Ticket.Score,
            Seconds = h.Ticket.Seconds,
            AssignedAt = h.AssignedAt,
            DueOn = h.DueOn,
            OpenedAt = h.Ticket.OpenedAt,
            HandedInAt = h.Ticket.HandedInAt,
            BeforeMean = h.Ticket.BeforeMean,
            AfterMean = h.Ticket.AfterMean,
        };

    /// <summary>Evidence as marks on the trail: quizzes and parts of level checks as one mark each, levels and running
    /// records by themselves.</summary>
    private static List<MarkView> Marks(IReadOnlyList<EvidenceRow> evidence, IReadOnlyList<ReadingView> readings)
    {
        var quizzes = readings
            .Where(r => r is { HandedInAt: not null, Score: not null, VersionDepth: not null })
            .Select(r => new MarkView(
                r.HandedInAt!.Value,
                EvidenceSource.Quiz,
                Placement.OfScore(r.VersionDepth!.Value, r.Score!.Value.Value),
                $"{r.Title}, {r.Score!.Value.Value * 100:0}%",
                r.TicketId,
                r.AfterMean - r.BeforeMean,
                LeftOut: false
            ));
        var others = evidence
            .Where(e => e.Kind is not EvidenceKind.Answer && e.PartId is null)
            .Select(e => Mark([e], e.Note));
        var checks = evidence
            .Where(e => e.PartId is not null)
            .GroupBy(e => e.PartId)
            .Select(g => Mark([.. g], g.First().NotedCheck));
        return [.. quizzes.Concat(others).Concat(checks).OrderBy(m => m.At)];
    }

    private static MarkView Mark(IReadOnlyList<EvidenceRow> rows, Message note) =>
        new(
            rows[^1].At,
            rows[0].Kind.SourceOf(rows[0].PartId is not null),
            Placement.Of([.. rows.Select(r => r.Piece())]),
            note,
            null,
            null,
            rows.All(r => r.LeftOut is not null)
        );

    /// <summary>The same figures that groups are proposed by: first attempts of the last twelve weeks.</summary>
    private static List<StrandView> Strands(IReadOnlyList<EvidenceRow> evidence, DateTimeOffset now) =>
        [
            .. Mastery
                .OfStrands(
                    evidence
                        .Where(e => e is { Kind: EvidenceKind.Answer, LeftOut: null, Strand: not null })
                        .Where(e => e.At >= now - Mastery.Span)
                        .Select(e => (e.Strand!.Value, e.Correct == true))
                )
                .Select(x => new StrandView(
                    x.Strand,
                    x.Mastery.Right,
                    x.Mastery.Asked,
                    new(x.Mastery.Mean),
                    new(x.Mastery.Low),
                    new(x.Mastery.High)
                )),
        ];

    private static async Task<IResult> Export(ClassId classId, Desk desk, ReaderStore readers)
    {
        var place = await desk.Class(classId, Deed.SeeClass);
        var rows = (await readers.Roster(classId, await desk.Moment())).Select(r => new RosterLine(
            r.GivenName,
            r.FamilyName,
            r.Grade,
            r.Group ?? "",
            Math.Round(r.Depth.Value, 1),
            Math.Round(r.Low.Value, 1),
            Math.Round(r.High.Value, 1),
            r.LevelSet ? "yes" : "",
            r.FirstTry?.Percent,
            r.LastRead,
            r.Readings
        ));
        return Results.Text(CsvFiles.Write(rows), "text/csv");
    }

    private static async Task<IResult> History(ReaderId readerId, Desk desk, GivenStore earlier)
    {
        await desk.Reader(readerId, Deed.SeeReader);
        var rows = (await earlier.History(readerId)).Select(h => new HistoryLine(
            h.Title,
            h.Ticket.Version ?? "",
            h.Ticket.VersionDepth is { } depth ? Math.Round(depth.Value, 1) : null,
            CsvFiles.Word(h.Ticket.State),
            h.AssignedAt,
            h.Ticket.HandedInAt,
            Math.Round(h.Ticket.Seconds / 60, 1),
            h.Ticket.Score?.Percent,
            h.Ticket.BeforeMean is { } b ? Math.Round(b.Value, 1) : null,
            h.Ticket.AfterMean is { } a ? Math.Round(a.Value, 1) : null
        ));
        return Results.Text(CsvFiles.Write(rows), "text/csv");
    }
}
