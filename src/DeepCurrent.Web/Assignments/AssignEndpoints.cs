using DeepCurrent.Core.Access;
using DeepCurrent.Core.Assignments;
using DeepCurrent.Core.Changes;
using DeepCurrent.Core.Papers;
using DeepCurrent.Data.Assignments;
using DeepCurrent.Data.Changes;
using DeepCurrent.Data.Papers;
using DeepCurrent.Data.Readers;
using DeepCurrent.Data.Schools;
using DeepCurrent.Data.Streams;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;
using Npgsql;
using static DeepCurrent.Web.Assignments.AssignAsked;

namespace DeepCurrent.Web.Assignments;

/// <summary>Giving texts to readers of a class, or of several at once.</summary>
public static class AssignEndpoints
{
    public static void Map(RouteGroupBuilder api)
    {
        api.MapPost("/classes/{classId:guid}/fit", Fit);
        api.MapPost("/classes/{classId:guid}/assignments", Assign);
        api.MapPost("/classes/{classId:guid}/assignments/notes", Notes);
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
        TasksToGive tasks,
        AssignmentStore assignments,
        PaperStore papers,
        ChangeStore changes
    )
    {
        var today = await desk.Today();
        var terms = TermsOf(request, today);
        var rooms = await Rooms(classId, request, giving, await tasks.Contents(request.Tasks ?? []));
        new Faults()
            .If(request.Attempts is < 1 or > 3, "attempts", $"Choose 1 to 3 tries.")
            .If(KindOf(request) is { } kind && !kind.OfText(), "kind", $"Choose what readers do with the text.")
            .Of(terms.Faults(today))
            .Refuse();
        var ways = WaysOf(request, terms);
        // The same request again, after a lost answer, is what it was.
        if (await assignments.Given([.. rooms.SelectMany(r => r.Ids)], Keys(rooms)) is { } b)
            return new(b.AssignmentId, b.ChangeId, b.Summary, b.Tickets, b.Texts);
        await CheckPapers(request, desk, papers);
        var titles = await TitlesOf(rooms, request, giving);
        var given = new List<Prepared>();
        foreach (var room in rooms)
            given.AddRange(await Prepare(room, titles, request, terms, ways, desk, giving));
        if (given.Count == 0)
            throw Refused.Field("readerIds", $"Everyone selected has had this text. Choose others.");
        given = InOneAct(given, rooms[0].Ids.First());
        var ids = given.Select(g => g.Assignment.Id).ToList();
        var change = await Keep(
            rooms,
            request,
            desk,
            changes,
            async (c, t) =>
            {
                await Add(c, t, given, request, desk, today);
                return Summary(given, rooms.Sum(r => r.Chosen.Count));
            },
            ids
        );
        return new(
            ids[0],
            change.Id,
            change.Summary,
            given.Sum(g => g.Assignment.Tickets.Count),
            given.Select(g => g.Assignment.Task.TextId?.Value ?? g.Assignment.Id.Value).Distinct().Count()
        );
    }

    private static List<Prepared> InOneAct(List<Prepared> given, AssignmentId act) =>
        given.ConvertAll(g => g with { Assignment = g.Assignment with { Act = act } });

    private static async Task<IReadOnlyDictionary<TextId, string>> TitlesOf(
        IReadOnlyList<GivenIn> rooms,
        AssignRequest request,
        Giving giving
    )
    {
        var ids = rooms.SelectMany(r => r.Texts).Select(w => w.TextId).Distinct().ToList();
        var titles = await giving.Titles(ids, KindOf(request));
        if (request.Questions is not { } chosen)
            return titles;
        if (ids is not [var only])
            throw Refused.Field("questions", $"Choose questions of one text only.");
        await giving.Has(only, chosen);
        return titles;
    }

    private static List<(PaperId Paper, AssignmentId To)> PlacesOf(
        AssignRequest request,
        IReadOnlyList<Prepared> given
    ) =>
        [
            .. (request.Papers ?? []).SelectMany(p =>
                given
                    .Where(g => p.TextId is null || g.Assignment.Task.TextId == p.TextId)
                    .Select(g => (p.Id, g.Assignment.Id))
            ),
        ];

    /// <summary>Adds what is given with its papers, and asks for it on the class stream where that is wanted.</summary>
    private static async Task Add(
        NpgsqlConnection c,
        NpgsqlTransaction t,
        IReadOnlyList<Prepared> given,
        AssignRequest request,
        Desk desk,
        DateOnly today
    )
    {
        foreach (var (_, g) in given)
            if (!await AssignmentWriter.Add(c, t, g, today))
                throw Refused.Conflict("given", $"This has been assigned already.");
        await PaperStore.Place(c, t, desk.Who.SchoolId, PlacesOf(request, given));
        await PaperStore.Forget(c, t, desk.Who.SchoolId, [.. (request.Papers ?? []).Select(p => p.Id)]);
        if (request.Share != true)
            return;
        foreach (var room in given.GroupBy(g => g.Assignment.ClassId))
            await StreamStore.Ask(
                c,
                t,
                [.. room.Select(g => g.Assignment.Id)],
                room.Key,
                wanted: true,
                desk.Who.Adult,
                desk.Now
            );
    }

    private static NewTask TaskOf(
        TextId text,
        IReadOnlyDictionary<ReaderId, VersionId>? versions,
        AssignRequest request,
        IReadOnlyDictionary<ReaderId, OwnWay> ways
    ) =>
        new(
            TaskId.New(),
            text,
            request.Attempts,
            request.OnTheWay ?? true,
            request.Aloud ?? false,
            versions,
            KindOf(request),
            null,
            request.Questions,
            ways
        );

    /// <summary>What is given in one class: a text a piece, to those who have not had it.</summary>
    private static async Task<IReadOnlyList<Prepared>> Prepare(
        GivenIn at,
        IReadOnlyDictionary<TextId, string> titles,
        AssignRequest request,
        AssignmentTerms terms,
        IReadOnlyDictionary<ReaderId, OwnWay> ways,
        Desk desk,
        Giving giving
    )
    {
        var turns = request.InOrder == true ? Turn.Each([.. at.Ids]) : null;
        var fits = await giving.Fits([.. at.Texts.Select(w => w.TextId).Distinct()], at.Chosen);
        var prepared = new List<Prepared>();
        foreach (var w in at.Texts)
        {
            var tickets = Giving.Tickets(fits[w.TextId], w.Versions, request.SkipGiven);
            if (tickets.Count == 0)
                continue;
            prepared.Add(new(titles[w.TextId], Made(w.Id, TaskOf(w.TextId, w.Versions, request, ways), tickets)));
        }
        foreach (var (id, kind, content) in at.Tasks)
        {
            var task = new NewTask(TaskId.New(), null, 1, false, Kind: kind, Content: content, Own: ways);
            prepared.Add(new(content.Title, Made(id, task, Giving.Tickets(at.Chosen))));
        }
        return prepared;

        NewAssignment Made(AssignmentId id, NewTask task, IReadOnlyList<NewTicket> tickets) =>
            new()
            {
                Id = id,
                ClassId = at.Room.Place.Id,
                AssignedBy = desk.Who.Adult,
                AssignedAt = desk.Now,
                Terms = terms,
                Task = task,
                Aims = at.Room.AimsOf(at.Chosen),
                Turn = turns?[id],
                Tickets = request.Draft == true ? [] : tickets,
            };
    }

    /// <summary>One transaction and one change, whether it is in one class or in several.</summary>
    private static async Task<Made> Keep(
        IReadOnlyList<GivenIn> rooms,
        AssignRequest request,
        Desk desk,
        ChangeStore changes,
        Func<NpgsqlConnection, NpgsqlTransaction, Task<Message>> command,
        IReadOnlyList<AssignmentId> ids
    )
    {
        if (rooms is [var only])
        {
            var kind = request.Draft == true ? ChangeKind.Drafted : ChangeKind.Assigned;
            return (
                await changes.DoIn(only.Room.Place.Id, desk, kind, async (c, t) =>
                    new(new Assigned(ids), await command(c, t))
                )
            )!;
        }
        return (
            await changes.Do(
                new(desk.Who.SchoolId, null, desk.Who.Adult, desk.Now),
                ChangeKind.AssignedInClasses,
                async (c, t) =>
                {
                    var said = await command(c, t);
                    foreach (var classId in Keys(rooms))
                        await AssignmentWriter.Tell(c, t, classId);
                    return new(new AssignedIn(ids, [.. Keys(rooms)]), said);
                }
            )
        )!;
    }

    private static Message Summary(IReadOnlyList<Prepared> given, int chosen)
    {
        var titles = given.Select(g => g.Title).Distinct().ToList();
        var what = titles is [var only] ? only : $"{titles.Count} texts";
        if (given[0].Assignment.Tickets.Count == 0)
            return $"Drafted {what} for {Counted.Readers(chosen)}";
        var readers = given.SelectMany(g => g.Assignment.Tickets).Select(k => k.ReaderId).Distinct().Count();
        return $"Assigned {what} to {Counted.Readers(readers)}";
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
        var titles = (await giving.Titles(texts, KindOf(request)))
            .Values.Concat((request.Tasks ?? []).Select(k => k.Title ?? ""))
            .ToList();
        return
        [
            .. GivingNotes.Days(terms, today, (await schools.Year(room.Place.SchoolYearId)).Calendar),
            .. GivingNotes.Incomplete(chosen, room.Guided.Select(g => new NamedGroup(g.Name, g.ReaderIds))),
            .. GivingNotes.Planned(elsewhere.Select(d => (d.Title, room.Said(d.Readers)))),
            .. GivingNotes.LevelsSaid(titles, terms),
        ];
    }
}
