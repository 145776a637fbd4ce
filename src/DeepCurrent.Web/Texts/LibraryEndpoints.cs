using DeepCurrent.Core.Access;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Goals;
using DeepCurrent.Core.Library;
using DeepCurrent.Core.Texts;
using DeepCurrent.Data.Readers;
using DeepCurrent.Data.Texts;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Texts;

public sealed record LibraryRequest
{
    public ClassId? ClassId { get; init; }

    /// <summary>Ids with commas between; the class where they are left out.</summary>
    public string? Readers { get; init; }

    /// <summary>Words; in quotation marks, side by side.</summary>
    public string? Q { get; init; }

    /// <summary>Kinds with commas between.</summary>
    public string? Kind { get; init; }

    /// <summary>Topics with bars between.</summary>
    public string? Topic { get; init; }

    public bool? Fiction { get; init; }

    public double? DepthFrom { get; init; }

    public double? DepthTo { get; init; }

    public int? WordsFrom { get; init; }

    public int? WordsTo { get; init; }

    /// <summary>For the middle reader of those the texts are for.</summary>
    public double? MinutesTo { get; init; }

    public string? Pattern { get; init; }

    public bool? Quiz { get; init; }

    public bool? WordsToKnow { get; init; }

    public bool? Audio { get; init; }

    public bool? Read { get; init; }

    public Whose? Whose { get; init; }

    public bool? Retired { get; init; }

    public string? Season { get; init; }

    public ShelfSort? Sort { get; init; }

    public bool? Down { get; init; }

    /// <summary>Rows that have been shown already.</summary>
    public int? From { get; init; }
}

public sealed record LibraryVersion(VersionId Id, string Label, int Words, Fathoms Depth, double DepthError);

public sealed record LibraryRow
{
    public required TextId Id { get; init; }

    public required string Title { get; init; }

    public required string Kind { get; init; }

    public required string Topic { get; init; }

    public required bool Fiction { get; init; }

    public required string Blurb { get; init; }

    public required int Questions { get; init; }

    public required int WordsToKnow { get; init; }

    public required string Whose { get; init; }

    public required bool Mine { get; init; }

    /// <summary>Readers, of those the texts are for, who have a version within their reach.</summary>
    public required int Fits { get; init; }

    public required int ReadHere { get; init; }

    public required int Used { get; init; }

    /// <summary>The middle reader's time for the version that fits them best.</summary>
    public required double Minutes { get; init; }

    public required IReadOnlyList<LibraryVersion> Versions { get; init; }
}

public sealed record FacetValue(string Value, int Count);

public sealed record FacetView(string Name, IReadOnlyList<FacetValue> Values);

public sealed record InsteadView(string Asked, string Instead);

/// <param name="All">How many there are.</param>
/// <param name="For">How many readers "fits" counts.</param>
/// <param name="Partly">No text has all the words; these have as many of them as any does.</param>
public sealed record LibraryAnswer(
    int All,
    int For,
    IReadOnlyList<LibraryRow> Rows,
    IReadOnlyList<FacetView> Facets,
    IReadOnlyList<InsteadView> Instead,
    bool Partly
);

public sealed record PatternView(string Key, string Name, int Stage, string Example);

public sealed record SavedSearchRequest(string Name, string Query);

/// <summary>Finding texts.</summary>
public static class LibraryEndpoints
{
    private const int Page = 50,
        LongestQuestion = 200;

    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/library", Search);
        api.MapGet("/library/patterns", (Desk desk) =>
        {
            desk.Library();
            return LetterSounds.All.Select(p => new PatternView(p.Key, p.Name, p.Stage, p.Example)).ToList();
        });
        api.MapGet("/library/searches", async (Desk desk, ShelfStore store) =>
        {
            desk.Library();
            return await store.Saved(desk.Who.Adult);
        });
        api.MapPost("/library/searches", Save);
        api.MapDelete(
                "/library/searches/{searchId:guid}",
                async (SavedSearchId searchId, Desk desk, ShelfStore store) =>
                {
                    desk.Library();
                    if (!await store.Forget(searchId, desk.Who.Adult))
                        throw Refused.NotFound();
                    return Results.NoContent();
                }
            )
            .Produces(StatusCodes.Status204NoContent);
    }

    /// <param name="rate">Words a minute, by which minutes are words.</param>
    private static ShelfQuery QueryOf(LibraryRequest q, FoundTexts? found, double rate) =>
        new()
        {
            Found = found?.Words,
            Kinds = Set(q.Kind, ','),
            Topics = Set(q.Topic, '|'),
            Fiction = q.Fiction,
            DepthFrom = q.DepthFrom,
            DepthTo = q.DepthTo,
            WordsFrom = q.WordsFrom,
            WordsTo = q.MinutesTo is { } minutes
                ? Math.Min(q.WordsTo ?? int.MaxValue, (int)(minutes * rate))
                : q.WordsTo,
            Pattern = q.Pattern,
            Quiz = q.Quiz == true,
            WordsToKnow = q.WordsToKnow == true,
            Audio = q.Audio == true,
            Read = q.Read,
            Whose = q.Whose ?? Whose.Any,
            Retired = q.Retired == true,
            Season = q.Season,
            Sort = q.Sort ?? (found is null ? ShelfSort.Fit : ShelfSort.Match),
            Down = q.Down == true,
        };

    private static async Task<LibraryAnswer> Search(
        [AsParameters] LibraryRequest q,
        Desk desk,
        LibraryShelf library,
        ShelfStore store,
        ReaderStore readers
    )
    {
        desk.Library();
        new Faults()
            .If(q.Q?.Length > LongestQuestion, "q", $"Search for {LongestQuestion} letters or fewer.")
            .If(q.From is < 0, "from", $"Enter 0 or more.")
            .Refuse();
        var school = await desk.School();
        if (q.ClassId is { } place)
            await desk.Class(place, Deed.SeeClass);
        // What the answer needs from the database does not wait for one another.
        var shelf = library.Now();
        var wordsFound = string.IsNullOrWhiteSpace(q.Q) ? Task.FromResult<FoundTexts?>(null) : store.Find(q.Q);
        var readHere = q.ClassId is { } room
            ? store.ReadHere(room)
            : Task.FromResult<IReadOnlyDictionary<TextId, int>>(new Dictionary<TextId, int>());
        var used = store.Used(school.Id);
        var whom = await Whom(q, desk, readers);
        var found = await wordsFound;
        var middle = whom.Count == 0 ? new Fathoms(30) : whom.OrderBy(d => d.Value).ElementAt(whom.Count / 2);
        var rate = GoalRules.SilentRate(middle, school.Chart);
        var asker = new ShelfAsker(
            school.Id,
            desk.Who.Adult,
            await readHere,
            await used,
            whom,
            new ZoneCuts(school.ZoneLow, school.ZoneHigh)
        );
        var answer = (await shelf).Search(QueryOf(q, found, rate), asker, q.From ?? 0, Page);
        return Answer(answer, whom.Count, found, r => Row(r, desk.Who.Adult, middle, school.Chart));
    }

    private static LibraryAnswer Answer(
        ShelfAnswer answer,
        int readers,
        FoundTexts? found,
        Func<ShelfRow, LibraryRow> row
    )
    {
        return new(
            answer.All,
            readers,
            [.. answer.Rows.Select(r => row(r))],
            [
                .. answer.Facets.Select(f => new FacetView(
                    f.Name,
                    [.. f.Values.Take(40).Select(v => new FacetValue(v.Value, v.Count))]
                )),
            ],
            [.. (found?.Instead ?? []).Select(i => new InsteadView(i.Asked, i.Instead))],
            found?.Partly == true
        );
    }

    /// <summary>Depths of those the texts are for: chosen readers of the class, or all of it.</summary>
    private static async Task<IReadOnlyList<Fathoms>> Whom(LibraryRequest q, Desk desk, ReaderStore readers)
    {
        if (q.ClassId is not { } classId)
            return [];
        var wanted = Set(q.Readers, ',');
        return
        [
            .. (await readers.Roster(classId, await desk.Moment()))
                .Where(r => wanted is null || wanted.Contains(r.Id.ToString()))
                .Select(r => r.Depth),
        ];
    }

    private static HashSet<string>? Set(string? list, char between) =>
        string.IsNullOrWhiteSpace(list)
            ? null
            : [.. list.Split(between, StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries)];

    private static LibraryRow Row(ShelfRow r, AdultId adultId, Fathoms middle, LevelChart chart)
    {
        var c = r.Card;
        var words =
            c.Versions.Count == 0
                ? 0
                : c.Versions[Forecast.BestVersion(middle, [.. c.Versions.Select(v => new Fathoms(v.Depth))])].Words;
        return new()
        {
            Id = c.Id,
            Title = c.Title,
            Kind = c.Kind,
            Topic = c.Topic,
            Fiction = c.Fiction,
            Blurb = c.Blurb,
            Questions = c.Questions,
            WordsToKnow = c.WordsToKnow,
            Whose = (
                c.SchoolId is null ? Whose.Shipped
                : c.OwnerId == adultId ? Whose.Mine
                : Whose.School
            ).ToString(),
            Mine = c.Mine,
            Fits = r.Fits,
            ReadHere = r.ReadHere,
            Used = r.Used,
            Minutes = words / GoalRules.SilentRate(middle, chart),
            Versions =
            [
                .. c.Versions.Select(v => new LibraryVersion(v.Id, v.Label, v.Words, new(v.Depth), v.DepthError)),
            ],
        };
    }

    private static async Task<SavedSearch> Save(SavedSearchRequest request, Desk desk, ShelfStore store)
    {
        desk.Library();
        var name = request.Name?.Trim() ?? "";
        new Faults()
            .If(name.Length is 0 or > 60, "name", $"Enter a name of 60 letters or fewer.")
            .If(request.Query is null or { Length: > 1000 }, "query", $"This search is too long to save.")
            .Refuse();
        return await store.Save(desk.Who.Adult, name, request.Query!, desk.Now);
    }
}
