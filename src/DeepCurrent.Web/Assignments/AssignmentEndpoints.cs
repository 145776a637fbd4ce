using DeepCurrent.Core.Access;
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

/// <param name="SkipGiven">Leave out readers who already have or had this text.</param>
/// <param name="Aloud">To be read aloud and recorded.</param>
/// <param name="OnTheWay">Whether readers see the questions between the paragraphs; yes if it is not said.</param>
/// <param name="Versions">Versions fixed by the teacher, by reader; the others get the one that fits.</param>
/// <param name="Texts">Several texts at once; <paramref name="TextId"/> is for one.</param>
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
    IReadOnlyList<TextToGive>? Texts = null
);

/// <summary>One text of an assignment.</summary>
/// <param name="Id">Of the assignment, made by the page: the same request again is the same assignment.</param>
/// <param name="Versions">Versions fixed by the teacher, by reader.</param>
public sealed record TextToGive(AssignmentId Id, TextId TextId, IReadOnlyDictionary<ReaderId, VersionId>? Versions);

public sealed record AssignedView(AssignmentId AssignmentId, ChangeId ChangeId, int Tickets, int Texts = 1);

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
    private const int MostReaders = 500,
        MostTexts = 20;

    public static void Map(RouteGroupBuilder api)
    {
        api.MapPost("/classes/{classId:guid}/fit", Fit);
        api.MapPost("/classes/{classId:guid}/assignments", Assign);
        api.MapGet("/classes/{classId:guid}/assignments", All);
        api.MapGet("/assignments/{assignmentId:guid}", View);
        api.MapGet("/tickets/{ticketId:guid}", Ticket);
    }

    private static async Task<IReadOnlyList<FitView>> Fit(
        ClassId classId,
        FitRequest request,
        Desk desk,
        ReaderStore readers,
        TextStore texts,
        AssignmentStore assignments
    )
    {
        await desk.Class(classId, Deed.SeeClass);
        var school = await desk.School();
        var chosen = await Chosen(classId, request.ReaderIds, readers, desk);
        var fits = new List<FitView>();
        foreach (var textId in request.TextIds.Distinct().Take(20))
            fits.AddRange(await Fits(textId, await texts.Versions(textId, school.Id), chosen, school, assignments));
        return fits;
    }

    private static async Task<AssignedView> Assign(
        ClassId classId,
        AssignRequest request,
        Desk desk,
        ReaderStore readers,
        TextStore texts,
        AssignmentStore assignments,
        ChangeStore changes
    )
    {
        var place = await desk.Class(classId, Deed.Assign);
        new Faults()
            .If(request.Attempts is < 1 or > 3, "attempts", $"Choose 1 to 3 tries.")
            .If(request.Directions?.Length > 500, "directions", $"Use 500 letters or fewer.")
            .If(
                request.DueOn is { } due && due < await desk.Today(),
                "dueOn",
                $"This day has passed. Choose today or a later day."
            )
            .Refuse();
        var school = await desk.School();
        var chosen = await Chosen(classId, request.ReaderIds, readers, desk);
        var wanted = Wanted(request);
        // The same request again, after a lost answer, is what it was.
        if (await assignments.Given([.. wanted.Select(w => w.Id)], classId) is { } b)
            return new(b.AssignmentId, b.ChangeId, b.Tickets, b.Texts);
        var given = new List<(string Title, NewAssignment Assignment)>();
        foreach (var w in wanted)
            if (await ToGive(w, request, place, chosen, school, desk, texts, assignments) is { } one)
                given.Add(one);
        if (given.Count == 0)
            throw Refused.Field("readerIds", $"Everyone selected has had this text. Choose others.");
        var tickets = given.SelectMany(g => g.Assignment.Tickets).ToList();
        var what = given.Count == 1 ? given[0].Title : $"{given.Count} texts";
        var to = Counted.Readers(tickets.Select(k => k.ReaderId).Distinct().Count());
        var change = await changes.Do(
            new(desk.Who.SchoolId, classId, desk.Who.Adult, desk.Now),
            ChangeKind.Assigned,
            async (c, t) =>
            {
                foreach (var (_, g) in given)
                    if (!await AssignmentStore.Add(c, t, g))
                        throw Refused.Conflict("given", $"This has been assigned already.");
                return new(new Assigned([.. given.Select(g => g.Assignment.Id)]), $"Assigned {what} to {to}");
            }
        );
        return new(given[0].Assignment.Id, change!.Id, tickets.Count, given.Count);
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

    /// <summary>One text with a ticket for each who is to have it; null where nobody is left to give it to.</summary>
    private static async Task<(string Title, NewAssignment Assignment)?> ToGive(
        TextToGive wanted,
        AssignRequest request,
        ClassPlace place,
        IReadOnlyList<RosterRow> chosen,
        School school,
        Desk desk,
        TextStore texts,
        AssignmentStore assignments
    )
    {
        var title = (await texts.Find(wanted.TextId, place.SchoolId, desk.Who.Adult) ?? throw Refused.NotFound()).Title;
        if ((await texts.Questions(wanted.TextId)).All(q => q.OnTheWay))
            throw Refused.Field("textIds", $"“{title}” has no quiz yet. Add one, or choose another text.");
        var versions = await texts.Versions(wanted.TextId, place.SchoolId);
        var fits = (await Fits(wanted.TextId, versions, chosen, school, assignments))
            .Where(f => !request.SkipGiven || f.Before is null)
            .ToList();
        if (fits.Count == 0)
            return null;
        return (
            title,
            new(
                wanted.Id,
                place.Id,
                wanted.TextId,
                desk.Who.Adult,
                desk.Now,
                request.DueOn,
                request.Attempts,
                request.Directions?.Trim() ?? "",
                [.. fits.Select(f => Fixed(f, wanted.Versions, versions, chosen))],
                request.OnTheWay ?? true,
                request.Aloud ?? false
            )
        );
    }

    private static NewTicket Fixed(
        FitView fit,
        IReadOnlyDictionary<ReaderId, VersionId>? chosenVersions,
        IReadOnlyList<VersionHead> versions,
        IReadOnlyList<RosterRow> readers
    )
    {
        if (
            chosenVersions?.TryGetValue(fit.ReaderId, out var wanted) != true
            || versions.FirstOrDefault(v => v.Id == wanted) is not { } version
        )
            return new(TicketId.New(), fit.ReaderId, fit.VersionId, new(fit.Forecast / 100.0));
        var reader = readers.First(r => r.Id == fit.ReaderId);
        return new(
            TicketId.New(),
            fit.ReaderId,
            version.Id,
            Core.Depth.Forecast.Comprehension(reader.Depth, version.Depth)
        );
    }

    /// <summary>Those of the class who were chosen; a reader of another class is as unknown as one that does not
    /// exist.</summary>
    private static async Task<IReadOnlyList<RosterRow>> Chosen(
        ClassId classId,
        IReadOnlyList<ReaderId> ids,
        ReaderStore readers,
        Desk desk
    )
    {
        new Faults()
            .If(ids.Count == 0, "readerIds", $"Choose at least one reader.")
            .If(ids.Count > MostReaders, "readerIds", $"Choose at most {MostReaders} readers at a time.")
            .Refuse();
        var roster = (await readers.Roster(classId, await desk.Moment())).ToDictionary(r => r.Id);
        return [.. ids.Distinct().Select(id => roster.GetValueOrDefault(id) ?? throw Refused.NotFound())];
    }

    private static VersionFit FitOf(VersionId versionId, Probability forecast, ZoneCuts cuts) =>
        new(versionId, forecast.Percent, Forecast.ZoneOf(forecast, cuts));

    private static async Task<IReadOnlyList<FitView>> Fits(
        TextId textId,
        IReadOnlyList<VersionHead> versions,
        IReadOnlyList<RosterRow> readers,
        School school,
        AssignmentStore assignments
    )
    {
        if (versions.Count == 0)
            throw Refused.NotFound();
        var depths = versions.Select(v => v.Depth).ToList();
        var given = await assignments.Given(textId, [.. readers.Select(r => r.Id)]);
        var cuts = new ZoneCuts(school.ZoneLow, school.ZoneHigh);
        return
        [
            .. readers.Select(r =>
            {
                var best = Forecast.BestVersion(r.Depth, depths);
                var forecast = Forecast.Comprehension(r.Depth, depths[best]);
                return new FitView(
                    textId,
                    r.Id,
                    versions[best].Id,
                    versions[best].Label,
                    versions[best].Depth,
                    forecast.Percent,
                    Forecast.ZoneOf(forecast, cuts),
                    given.TryGetValue(r.Id, out var before) ? before : null,
                    [.. versions.Select(v => FitOf(v.Id, Forecast.Comprehension(r.Depth, v.Depth), cuts))]
                );
            }),
        ];
    }

    private static async Task<IReadOnlyList<AssignmentRow>> All(ClassId classId, Desk desk, AssignmentStore assignments)
    {
        await desk.Class(classId, Deed.SeeClass);
        return await assignments.Of(classId);
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
