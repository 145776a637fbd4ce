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

/// <param name="Q">Words; in quotation marks, side by side.</param>
/// <param name="Kind">Kinds with commas between.</param>
/// <param name="Topic">Topics with bars between.</param>
/// <param name="MinutesTo">For the middle reader of those the texts are for.</param>
/// <param name="Readers">Ids with commas between; the class where they are left out.</param>
/// <param name="From">Rows that have been shown already.</param>
public sealed record LibraryRequest(
    ClassId? ClassId,
    string? Readers,
    string? Q,
    string? Kind,
    string? Topic,
    bool? Fiction,
    double? DepthFrom,
    double? DepthTo,
    int? WordsFrom,
    int? WordsTo,
    double? MinutesTo,
    string? Pattern,
    bool? Quiz,
    bool? Deck,
    bool? Audio,
    bool? Read,
    Whose? Whose,
    bool? Retired,
    string? Season,
    ShelfSort? Sort,
    bool? Down,
    int? From
);

public sealed record LibraryVersion(VersionId Id, string Label, int Words, double Depth, double DepthError);

/// <param name="Fits">Readers, of those the texts are for, who have a version within their reach.</param>
/// <param name="Minutes">The middle reader's time for the version that fits them best.</param>
public sealed record LibraryRow(
    TextId Id,
    string Title,
    string Kind,
    string Topic,
    bool Fiction,
    string Blurb,
    int Questions,
    int Deck,
    string Whose,
    bool Mine,
    int Fits,
    int ReadHere,
    int Used,
    double Minutes,
    IReadOnlyList<LibraryVersion> Versions
);

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

    private static async Task<LibraryAnswer> Search(
        [AsParameters] LibraryRequest q,
        Desk desk,
        LibraryShelf library,
        ShelfStore store,
        ReaderStore readers
    )
    {
        desk.Library();
        if (q.Q?.Length > LongestQuestion)
            throw Refused.Field("q", $"Look for at most {LongestQuestion} letters.");
        if (q.From is < 0)
            throw Refused.Field("from", "This cannot be less than 0.");
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
        var wordsTo = q.MinutesTo is { } minutes
            ? Math.Min(q.WordsTo ?? int.MaxValue, (int)(minutes * GoalRules.SilentRate(middle, school.Chart)))
            : q.WordsTo;
        var query = new ShelfQuery(
            found?.Words,
            Set(q.Kind, ','),
            Set(q.Topic, '|'),
            q.Fiction,
            q.DepthFrom,
            q.DepthTo,
            q.WordsFrom,
            wordsTo,
            q.Pattern,
            q.Quiz == true,
            q.Deck == true,
            q.Audio == true,
            q.Read,
            q.Whose ?? Whose.Any,
            q.Retired == true,
            q.Season,
            q.Sort ?? (found is null ? ShelfSort.Fit : ShelfSort.Match),
            q.Down == true
        );
        var asker = new ShelfAsker(
            school.Id,
            desk.Who.Adult,
            await readHere,
            await used,
            whom,
            new ZoneCuts(school.ZoneLow, school.ZoneHigh)
        );
        var answer = (await shelf).Search(query, asker, q.From ?? 0, Page);
        return new(
            answer.All,
            whom.Count,
            [.. answer.Rows.Select(r => Row(r, desk.Who.Adult, middle, school.Chart))],
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
                .Select(r => new Fathoms(r.Depth)),
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
        return new(
            c.Id,
            c.Title,
            c.Kind,
            c.Topic,
            c.Fiction,
            c.Blurb,
            c.Questions,
            c.Deck,
            (
                c.SchoolId is null ? Whose.Shipped
                : c.OwnerId == adultId ? Whose.Mine
                : Whose.School
            ).ToString(),
            c.Mine,
            r.Fits,
            r.ReadHere,
            r.Used,
            words / GoalRules.SilentRate(middle, chart),
            [.. c.Versions.Select(v => new LibraryVersion(v.Id, v.Label, v.Words, v.Depth, v.DepthError))]
        );
    }

    private static async Task<SavedSearch> Save(SavedSearchRequest request, Desk desk, ShelfStore store)
    {
        desk.Library();
        var name = request.Name?.Trim() ?? "";
        if (name.Length is 0 or > 60)
            throw Refused.Field("name", "Give it a name of at most 60 letters.");
        if (request.Query is null or { Length: > 1000 })
            throw Refused.Field("query", "This search is too long to keep.");
        return await store.Save(desk.Who.Adult, name, request.Query, desk.Now);
    }
}
