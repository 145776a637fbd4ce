using DeepCurrent.Core.Access;
using DeepCurrent.Core.Assignments;
using DeepCurrent.Core.Papers;
using DeepCurrent.Data.Assignments;
using DeepCurrent.Data.Papers;
using DeepCurrent.Data.Readers;
using DeepCurrent.Data.Schools;
using DeepCurrent.Data.Streams;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Assignments;

/// <summary>What a request to give asks for, read and checked: texts and tasks, classes, terms, readers who do it
/// otherwise.</summary>
internal static class AssignAsked
{
    internal const int MostTexts = 20;
    private const int MostClasses = 12;

    /// <summary>How single readers do it otherwise.</summary>
    internal static IReadOnlyDictionary<ReaderId, OwnWay> WaysOf(AssignRequest request, AssignmentTerms terms)
    {
        var sent = request.Ways ?? [];
        if (sent.Any(w => w is not { ReaderIds: not null, Way: not null }))
            throw Refused.Field("ways", $"Choose at least one reader.");
        new Faults().Of(sent.SelectMany(w => w.Way.Faults(terms))).Refuse();
        var ways = new Dictionary<ReaderId, OwnWay>();
        foreach (var (reader, way) in sent.SelectMany(w => w.ReaderIds.Select(r => (r, w.Way))))
            if (!ways.TryAdd(reader, way))
                throw Refused.Field("ways", $"A reader stands in two of these. Choose one.");
        return ways.Keys.Except(request.ReaderIds).Any() ? throw Refused.NotFound() : ways;
    }

    internal static TaskKind KindOf(AssignRequest request) => request.Kind ?? TaskKind.Text;

    internal static IReadOnlyCollection<ClassId> Keys(IReadOnlyList<GivenIn> rooms) =>
        [.. rooms.Select(r => r.Room.Place.Id)];

    /// <summary>The class, and the others in which everybody gets the same; the asker has to be allowed to in each of
    /// them.</summary>
    internal static async Task<IReadOnlyList<GivenIn>> Rooms(
        ClassId classId,
        AssignRequest request,
        Giving giving,
        IReadOnlyList<TaskContent> contents
    )
    {
        var room = await giving.Class(classId, Deed.Assign);
        var tasks = (request.Tasks ?? []).Zip(contents, (k, c) => new NamedTask(k.Id, k.Kind, c)).ToList();
        var rooms = new List<GivenIn> { new(room, Giving.Chosen(room, request.ReaderIds), Wanted(request), tasks) };
        var others = request.AlsoIn ?? [];
        if (others.Count > MostClasses || others.Any(o => o.ClassId == classId))
            throw Refused.Field("alsoIn", $"Choose up to {MostClasses} other classes.");
        foreach (var other in others.DistinctBy(o => o.ClassId))
        {
            var there = await giving.Class(other.ClassId, Deed.Assign);
            if (there.Roster.Count == 0)
                throw Refused.Field("alsoIn", $"{there.Place.Name} has no readers yet.");
            var ids = other.TaskIds ?? [];
            if (ids.Count != tasks.Count)
                throw Refused.Field("alsoIn", $"Choose up to {MostClasses} other classes.");
            rooms.Add(
                new(
                    there,
                    there.Roster,
                    Wanted(request with { Texts = other.Texts }),
                    [.. tasks.Zip(ids, (k, id) => k with { Id = id })]
                )
            );
        }
        return rooms;
    }

    /// <summary>Refuses papers that are not the asker's, or too many.</summary>
    internal static async Task CheckPapers(AssignRequest request, Desk desk, PaperStore papers)
    {
        var ids = (request.Papers ?? []).Select(p => p.Id).ToList();
        new Faults()
            .If(
                ids.Count > Paper.MostOfAssignment || ids.Distinct().Count() < ids.Count,
                "papers",
                $"An assignment can have {Paper.MostOfAssignment} papers. Remove one first."
            )
            .Refuse();
        if (ids.Count > 0 && (await papers.Beforehand(ids, desk.Who.SchoolId, desk.Who.Adult)).Count < ids.Count)
            throw Refused.NotFound();
    }

    internal static AssignmentTerms TermsOf(AssignRequest request, DateOnly today) =>
        new AssignmentTerms(
            request.VisibleFrom ?? today,
            request.DueOn,
            request.Heading ?? "",
            request.Directions ?? "",
            request.Note ?? "",
            request.ClosesOn,
            request.Need ?? Need.Required,
            request.Place ?? WorkPlace.Anywhere,
            request.Results ?? ResultsShown.AtOnce,
            request.MayChange ?? false,
            request.Talk ?? false,
            request.ReleasesOn
        )
        {
            HomeDirections = request.HomeDirections ?? "",
            HomeLanguage = request.HomeLanguage ?? "",
            Worth = request.Worth ?? AssignmentTerms.UsualWorth,
        }.Tidy();

    internal static IReadOnlyList<TextToGive> Wanted(AssignRequest request)
    {
        var tasks = request.Tasks ?? [];
        if (tasks.Count > 0 && request is { Texts: null or [], TextId: null })
            return [];
        var wanted = request.Texts
            ??
            [
                new(
                    AssignmentId.New(),
                    request.TextId ?? throw Refused.Field("textIds", $"Choose a text."),
                    request.Versions
                ),
            ];
        if (
            wanted.Count is 0 or > MostTexts
            || tasks.Count > MostTexts
            || wanted.Select(w => w.Id).Distinct().Count() < wanted.Count
        )
            throw Refused.Field("texts", $"Choose 1 to {MostTexts} texts.");
        return wanted;
    }
}
