using DeepCurrent.Core.Access;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Roster;
using DeepCurrent.Core.WordLists;
using DeepCurrent.Data.WordLists;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.WordLists;

/// <param name="Rounds">How many words each round of practising has.</param>
/// <param name="Topics">Of the library's texts that have its words, the most common first.</param>
/// <param name="Depth">The middle of those texts' depths; null where no text has its words.</param>
public sealed record WordListView(
    WordListId Id,
    string Name,
    string? Owner,
    bool Own,
    bool Mine,
    bool MayChange,
    int Revision,
    DateTimeOffset ChangedAt,
    IReadOnlyList<ListedWord> Words,
    IReadOnlyList<int> Rounds,
    IReadOnlyList<string> Topics,
    Fathoms? Depth
);

/// <param name="Revision">The one the change began from; 0 for a new list.</param>
/// <param name="Mine">Only its owner sees it.</param>
public sealed record WordListRequest(int Revision, string Name, bool Mine, IReadOnlyList<ListedWord> Words);

/// <summary>Word wordLists of one's own.</summary>
public static class WordListEndpoints
{
    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/word-lists", async (Desk desk, WordListStore wordLists) =>
        {
            desk.Library();
            var all = await wordLists.All(desk.Who.SchoolId, desk.Who.Adult);
            var places = await wordLists.Places(
                desk.Who.SchoolId,
                [.. all.SelectMany(d => d.Words).Select(w => w.Text)]
            );
            return all.Select(d => View(d, desk, places)).ToList();
        });
        api.MapPut("/word-lists/{wordListId:guid}", Put);
        api.MapDelete("/word-lists/{wordListId:guid}", Remove).Produces(StatusCodes.Status204NoContent);
    }

    private static async Task<WordListView> Put(
        WordListId wordListId,
        WordListRequest request,
        Desk desk,
        WordListStore wordLists
    )
    {
        desk.Library();
        var before = await wordLists.Find(wordListId, desk.Who.SchoolId, desk.Who.Adult);
        if (before is null ? request.Revision != 0 : !MayChange(before, desk))
            throw Refused.NotFound();
        var name = request.Name?.Trim() ?? "";
        if (name.Length is 0 or > 80)
            throw Refused.Field("name", $"Enter a name of 80 letters or fewer.");
        var words = WordsOf(request);
        var owner = before?.OwnerId ?? desk.Who.Adult;
        // Whoever leads the school may put a colleague’s list right, but not hide it.
        if (
            await wordLists.Keep(
                wordListId,
                desk.Who.SchoolId,
                owner,
                name,
                request.Mine && owner == desk.Who.Adult,
                words,
                request.Revision,
                desk.Now
            )
            is null
        )
            throw Refused.Conflict("stale", $"Someone else changed this word list. Reload it to see the changes.");
        return View(
            await wordLists.Find(wordListId, desk.Who.SchoolId, desk.Who.Adult) ?? throw Refused.NotFound(),
            desk,
            await wordLists.Places(desk.Who.SchoolId, [.. words.Select(w => w.Text)])
        );
    }

    private static List<ListedWord> WordsOf(WordListRequest request)
    {
        var words = (request.Words ?? [])
            .Select(w => new ListedWord(
                w.Text?.Trim() ?? "",
                w.Part?.Trim() ?? "",
                w.Meaning?.Trim() ?? "",
                w.Example?.Trim() ?? ""
            ))
            .ToList();
        if (WordListRules.Fault(words) is { } fault)
            throw Refused.Field($"words[{fault.At}]", fault.Sentence);
        return words;
    }

    private static async Task<IResult> Remove(WordListId wordListId, Desk desk, WordListStore wordLists)
    {
        desk.Library();
        var list = await wordLists.Find(wordListId, desk.Who.SchoolId, desk.Who.Adult);
        if (list is null || !MayChange(list, desk))
            throw Refused.NotFound();
        await wordLists.Remove(wordListId, desk.Who.SchoolId);
        return Results.NoContent();
    }

    private static bool MayChange(WordListRow list, Desk desk) =>
        desk.May(Deed.ChangeText, list.OwnerId == desk.Who.Adult);

    private const int MostTopics = 3;

    private static WordListView View(WordListRow d, Desk desk, ILookup<string, WordPlace> places)
    {
        var there = d.Words.SelectMany(w => places[w.Text.ToLowerInvariant()]).ToList();
        var depths = there.Select(p => p.Depth.Value).Order().ToList();
        return new(
            d.Id,
            d.Name,
            d.Owner,
            d.OwnerId == desk.Who.Adult,
            d.Mine,
            MayChange(d, desk),
            d.Revision,
            d.ChangedAt,
            d.Words,
            [.. WordListRules.Rounds(d.Words).Select(r => r.Count)],
            [
                .. there
                    .GroupBy(p => p.Topic)
                    .OrderByDescending(g => g.Count())
                    .ThenByName(g => g.Key)
                    .Select(g => g.Key)
                    .Take(MostTopics),
            ],
            depths.Count == 0 ? null : new(depths[depths.Count / 2])
        );
    }
}
