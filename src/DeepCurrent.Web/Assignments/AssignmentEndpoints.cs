using DeepCurrent.Core.Access;
using DeepCurrent.Core.Assignments;
using DeepCurrent.Core.Changes;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Schools;
using DeepCurrent.Core.Tickets;
using DeepCurrent.Data.Assignments;
using DeepCurrent.Data.Changes;
using DeepCurrent.Data.Readers;
using DeepCurrent.Data.Schools;
using DeepCurrent.Data.Texts;
using DeepCurrent.Data.Tickets;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;
using DeepCurrent.Web.Tickets;

namespace DeepCurrent.Web.Assignments;

public sealed record FitRequest(IReadOnlyList<ReaderId> ReaderIds, IReadOnlyList<TextId> TextIds);

/// <param name="Forecast">Whole percent, as it is shown.</param>
/// <param name="Zone">Independent, Instructional or Frustration.</param>
/// <param name="Before">How the reader had this text already; null if they did not.</param>
public sealed record FitView(
    TextId TextId,
    ReaderId ReaderId,
    VersionId VersionId,
    string Version,
    Fathoms VersionDepth,
    int Forecast,
    Zone Zone,
    EarlierReading? Before,
    IReadOnlyList<VersionFit> Versions
);

/// <summary>What is forecast of one version for one reader.</summary>
public sealed record VersionFit(VersionId VersionId, int Forecast, Zone Zone);

/// <summary>Texts, for readers, from a day to a day.</summary>
/// <param name="SkipGiven">Leave out readers who already have or had this text.</param>
/// <param name="Aloud">To be read aloud and recorded.</param>
/// <param name="OnTheWay">Whether readers see the questions between the paragraphs; yes if it is not said.</param>
/// <param name="Versions">Versions fixed by the teacher, by reader; the others get the one that fits.</param>
/// <param name="Texts">Several texts at once; <paramref name="TextId"/> is for one.</param>
/// <param name="VisibleFrom">Today if it is not said.</param>
/// <param name="Draft">Kept, and given later.</param>
public sealed record AssignRequest(
    IReadOnlyList<ReaderId> ReaderIds,
    TextId? TextId,
    DateOnly? DueOn,
    int Attempts,
    string? Directions,
    bool SkipGiven,
    IReadOnlyDictionary<ReaderId, VersionId>? Versions,
    bool? OnTheWay,
    bool? Aloud,
    IReadOnlyList<TextToGive>? Texts = null,
    DateOnly? VisibleFrom = null,
    string? Heading = null,
    string? Note = null,
    bool? Draft = null,
    DateOnly? ClosesOn = null,
    Need? Need = null,
    WorkPlace? Place = null
);

/// <summary>One text of an assignment.</summary>
/// <param name="Id">Of the assignment, made by the page: the same request again is the same assignment.</param>
/// <param name="Versions">Versions fixed by the teacher, by reader.</param>
public sealed record TextToGive(AssignmentId Id, TextId TextId, IReadOnlyDictionary<ReaderId, VersionId>? Versions);

public sealed record AssignedView(
    AssignmentId AssignmentId,
    ChangeId ChangeId,
    Message Summary,
    int Tickets,
    int Texts
);

/// <param name="Correct">Null for a written answer that nobody has marked.</param>
/// <param name="Mark">0 to 3, of a written answer.</param>
public sealed record TryView(
    AnswerId Id,
    IReadOnlyList<int> Picks,
    string Words,
    bool? Correct,
    int? Mark,
    string Comment
);

public sealed record AnswerView(QuestionId QuestionId, IReadOnlyList<TryView> Tries, AttemptMark Mark, bool TooFast);

/// <param name="Late">Answers given before the text was due and heard of after it.</param>
/// <param name="SetAside">What the reader did and could not be taken.</param>
public sealed record TicketView(
    TicketRow Ticket,
    ClassId ClassId,
    string Title,
    bool MayMark,
    IReadOnlyList<Texts.QuestionView> Questions,
    IReadOnlyList<AnswerView> Answers,
    int Late,
    IReadOnlyList<SetAsideView> SetAside
);

public sealed record AssignmentView(AssignmentRow Assignment, IReadOnlyList<TicketRow> Tickets);

/// <summary>Giving texts to readers, and what became of them.</summary>
public static class AssignmentEndpoints
{
    private const int MostTexts = 20;

    public static void Map(RouteGroupBuilder api)
    {
        api.MapPost("/classes/{classId:guid}/fit", Fit);
        api.MapPost("/classes/{classId:guid}/assignments", Assign);
        api.MapPost("/classes/{classId:guid}/assignments/notes", Notes);
        api.MapGet("/classes/{classId:guid}/assignments", All);
        api.MapGet("/assignments/{assignmentId:guid}", View);
        api.MapGet("/tickets/{ticketId:guid}", Ticket);
    }

    private static async Task<IReadOnlyList<FitView>> Fit(ClassId classId, FitRequest request, Giving giving)
    {
        var room = await giving.Class(classId, Deed.SeeClass);
        var chosen = Giving.Chosen(room, request.ReaderIds);
        var fits = await giving.Fits([.. request.TextIds.Distinct().Take(MostTexts)], chosen);
        return [.. fits.SelectMany(f => f)];
    }

    private static async Task<AssignedView> Assign(
        ClassId classId,
        AssignRequest request,
        Desk desk,
        Giving giving,
        AssignmentStore assignments,
        ChangeStore changes
    )
    {
        var room = await giving.Class(classId, Deed.Assign);
        var today = await desk.Today();
        var terms = TermsOf(request, today);
        new Faults()
            .If(request.Attempts is < 1 or > 3, "attempts", $"Choose 1 to 3 tries.")
            .Of(terms.Faults(today))
            .Refuse();
        var chosen = Giving.Chosen(room, request.ReaderIds);
        var wanted = Wanted(request);
        // The same request again, after a lost answer, is what it was.
        if (await assignments.Given([.. wanted.Select(w => w.Id)], classId) is { } b)
            return new(b.AssignmentId, b.ChangeId, b.Summary, b.Tickets, b.Texts);
        var fits = await giving.Fits([.. wanted.Select(w => w.TextId).Distinct()], chosen);
        var given = new List<(string Title, NewAssignment Assignment)>();
        foreach (var w in wanted)
        {
            var title = await giving.TitleOf(w.TextId);
            var tickets = Giving.Tickets(fits[w.TextId], w.Versions, request.SkipGiven);
            if (tickets.Count == 0)
                continue;
            var assignment = new NewAssignment
            {
                Id = w.Id,
                ClassId = classId,
                AssignedBy = desk.Who.Adult,
                AssignedAt = desk.Now,
                Terms = terms,
                Task = new(
                    TaskId.New(),
                    w.TextId,
                    request.Attempts,
                    request.OnTheWay ?? true,
                    request.Aloud ?? false,
                    w.Versions
                ),
                Aims = room.AimsOf(chosen),
                Tickets = request.Draft == true ? [] : tickets,
            };
            given.Add((title, assignment));
        }
        if (given.Count == 0)
            throw Refused.Field("readerIds", $"Everyone selected has had this text. Choose others.");
        var kind = request.Draft == true ? ChangeKind.Drafted : ChangeKind.Assigned;
        var change = await changes.DoIn(classId, desk, kind, async (c, t) =>
        {
            foreach (var (_, g) in given)
                if (!await AssignmentWriter.Add(c, t, g, today))
                    throw Refused.Conflict("given", $"This has been assigned already.");
            return new(new Assigned([.. given.Select(g => g.Assignment.Id)]), Summary(given, chosen.Count));
        });
        return new(
            given[0].Assignment.Id,
            change!.Id,
            change.Summary,
            given.Sum(g => g.Assignment.Tickets.Count),
            given.Count
        );
    }

    private static AssignmentTerms TermsOf(AssignRequest request, DateOnly today) =>
        new AssignmentTerms(
            request.VisibleFrom ?? today,
            request.DueOn,
            request.Heading ?? "",
            request.Directions ?? "",
            request.Note ?? "",
            request.ClosesOn,
            request.Need ?? Need.Required,
            request.Place ?? WorkPlace.Anywhere
        ).Tidy();

    private static Message Summary(IReadOnlyList<(string Title, NewAssignment Assignment)> given, int chosen)
    {
        var what = given.Count == 1 ? given[0].Title : $"{given.Count} texts";
        if (given[0].Assignment.Tickets.Count == 0)
            return $"Drafted {what} for {Counted.Readers(chosen)}";
        var readers = given.SelectMany(g => g.Assignment.Tickets).Select(k => k.ReaderId).Distinct().Count();
        return $"Assigned {what} to {Counted.Readers(readers)}";
    }

    private static IReadOnlyList<TextToGive> Wanted(AssignRequest request)
    {
        var wanted = request.Texts
            ??
            [
                new(
                    AssignmentId.New(),
                    request.TextId ?? throw Refused.Field("textIds", $"Choose a text."),
                    request.Versions
                ),
            ];
        if (wanted.Count is 0 or > MostTexts || wanted.Select(w => w.Id).Distinct().Count() < wanted.Count)
            throw Refused.Field("texts", $"Choose 1 to {MostTexts} texts.");
        return wanted;
    }

    /// <summary>What stands out before something is given; nothing is given by asking.</summary>
    private static async Task<IReadOnlyList<Message>> Notes(
        ClassId classId,
        AssignRequest request,
        Desk desk,
        Giving giving,
        SchoolStore schools,
        WeekStore weeks,
        AssignmentStore assignments
    )
    {
        var room = await giving.Class(classId, Deed.Assign);
        var today = await desk.Today();
        var terms = TermsOf(request, today);
        var chosen = Giving.Chosen(room, request.ReaderIds).Select(r => r.Id).ToHashSet();
        var texts = Wanted(request).Select(w => w.TextId).Distinct().ToList();
        var drafts = await assignments.DraftsOf(texts, classId);
        var meant = await weeks.MeantBy([.. drafts.Select(d => d.Id)]);
        var elsewhere = drafts
            .Select(d => (d.Title, Readers: room.Meant(meant[d.Id].Aims)))
            .Where(d => d.Readers.Any(r => !chosen.Contains(r.Id)));
        var titles = await giving.Titles(texts);
        return
        [
            .. GivingNotes.Days(terms, today, (await schools.Year(room.Place.SchoolYearId)).Calendar),
            .. GivingNotes.Incomplete(chosen, room.InOrder.Select(g => new NamedGroup(g.Name, g.ReaderIds))),
            .. GivingNotes.Planned(elsewhere.Select(d => (d.Title, room.Said(d.Readers)))),
            .. GivingNotes.LevelsSaid(titles, terms),
        ];
    }

    /// <param name="q">Part of the title or the heading.</param>
    /// <param name="from">How many to leave out first.</param>
    private static async Task<AssignmentPage> All(
        ClassId classId,
        string? q,
        AssignmentsShown? shown,
        AssignmentsOrder? order,
        int? from,
        Desk desk,
        AssignmentPages pages
    )
    {
        await desk.Class(classId, Deed.SeeClass);
        return await pages.Of(
            classId,
            new(
                q?.Trim() ?? "",
                shown ?? AssignmentsShown.Everything,
                order ?? AssignmentsOrder.Latest,
                Math.Max(0, from ?? 0)
            )
        );
    }

    private static async Task<AssignmentView> View(AssignmentId assignmentId, Desk desk, AssignmentStore assignments)
    {
        var assignment = await assignments.Find(assignmentId, desk.Who.SchoolId) ?? throw Refused.NotFound();
        await desk.Class(assignment.ClassId, Deed.SeeClass);
        return new(assignment, await assignments.Tickets(assignmentId));
    }

    private static async Task<TicketView> Ticket(
        TicketId ticketId,
        Desk desk,
        AssignmentStore assignments,
        TextStore texts,
        TicketStore tickets,
        SetAsideStore aside
    )
    {
        var (ticket, classId, textId, title, due) = await assignments.Ticket(ticketId, desk.Who.SchoolId)
            ?? throw Refused.NotFound();
        var place = await desk.Class(classId, Deed.SeeClass);
        var given = await tickets.Answers(ticketId);
        var answers = given.ToLookup(a => a.QuestionId);
        DateTimeOffset? end = due is { } last ? (await desk.Clock()).End(last) : null;
        // Questions on the way are shown where they were answered; the quiz is shown whole.
        var questions = (await texts.Questions(textId)).Where(q => !q.OnTheWay || answers[q.Id].Any()).ToList();
        var mayMark = desk.May(Deed.Mark, place);
        return new(
            ticket,
            classId,
            title,
            mayMark,
            [.. questions.Select(Texts.QuestionView.Of)],
            [.. questions.Select(q => Shown(q, [.. answers[q.Id].OrderBy(a => a.Attempt)]))],
            given.Count(a => GivenTime.Late(a.At, a.ReceivedAt, end)),
            [.. (await aside.Of(ticketId.Value)).Select(SetAsideView.Of)]
        );
    }

    private static AnswerView Shown(Question q, IReadOnlyList<AnswerRow> attempts) =>
        new(
            q.Id,
            [
                .. attempts.Select(a => new TryView(
                    a.Id,
                    a.Response.Picks,
                    a.Response.Words,
                    a.Correct,
                    a.Mark,
                    a.Comment
                )),
            ],
            TicketLife.MarkOf([.. attempts.Select(a => a.Right)]),
            attempts.Count > 0 && attempts[0].TooFast
        );
}
