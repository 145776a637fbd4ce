using DeepCurrent.Core.Access;
using DeepCurrent.Core.Decks;
using DeepCurrent.Data.Decks;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Decks;

/// <param name="Rounds">How many words each round of practising has.</param>
public sealed record DeckView(
    DeckId Id,
    string Name,
    string? Owner,
    bool Own,
    bool Mine,
    bool MayChange,
    int Revision,
    DateTimeOffset ChangedAt,
    IReadOnlyList<DeckWord> Words,
    IReadOnlyList<int> Rounds
);

/// <param name="Revision">The one the change began from; 0 for a new deck.</param>
/// <param name="Mine">Only its owner sees it.</param>
public sealed record DeckRequest(int Revision, string Name, bool Mine, IReadOnlyList<DeckWord> Words);

/// <summary>Word decks of one's own.</summary>
public static class DeckEndpoints
{
    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/decks", async (Desk desk, DeckStore decks) =>
        {
            desk.Library();
            return (await decks.All(desk.Who.SchoolId, desk.Who.Adult)).Select(d => View(d, desk)).ToList();
        });
        api.MapPut("/decks/{deckId:guid}", Put);
        api.MapDelete("/decks/{deckId:guid}", Remove).Produces(StatusCodes.Status204NoContent);
    }

    private static async Task<DeckView> Put(DeckId deckId, DeckRequest request, Desk desk, DeckStore decks)
    {
        desk.Library();
        var before = await decks.Find(deckId, desk.Who.SchoolId, desk.Who.Adult);
        if (before is null ? request.Revision != 0 : !MayChange(before, desk))
            throw Refused.NotFound();
        var name = request.Name?.Trim() ?? "";
        if (name.Length is 0 or > 80)
            throw Refused.Field("name", $"Enter a name of 80 letters or fewer.");
        var words = WordsOf(request);
        var owner = before?.OwnerId ?? desk.Who.Adult;
        // Whoever leads the school may put a colleague's deck right, but not hide it.
        if (
            await decks.Keep(
                deckId,
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
        return View(await decks.Find(deckId, desk.Who.SchoolId, desk.Who.Adult) ?? throw Refused.NotFound(), desk);
    }

    private static List<DeckWord> WordsOf(DeckRequest request)
    {
        var words = (request.Words ?? [])
            .Select(w => new DeckWord(
                w.Text?.Trim() ?? "",
                w.Part?.Trim() ?? "",
                w.Meaning?.Trim() ?? "",
                w.Example?.Trim() ?? ""
            ))
            .ToList();
        if (WordDecks.Fault(words) is { } fault)
            throw Refused.Field($"words[{fault.At}]", fault.Sentence);
        return words;
    }

    private static async Task<IResult> Remove(DeckId deckId, Desk desk, DeckStore decks)
    {
        desk.Library();
        var deck = await decks.Find(deckId, desk.Who.SchoolId, desk.Who.Adult);
        if (deck is null || !MayChange(deck, desk))
            throw Refused.NotFound();
        await decks.Remove(deckId, desk.Who.SchoolId);
        return Results.NoContent();
    }

    private static bool MayChange(DeckRow deck, Desk desk) => desk.May(Deed.ChangeText, deck.OwnerId == desk.Who.Adult);

    private static DeckView View(DeckRow d, Desk desk) =>
        new(
            d.Id,
            d.Name,
            d.Owner,
            d.OwnerId == desk.Who.Adult,
            d.Mine,
            MayChange(d, desk),
            d.Revision,
            d.ChangedAt,
            d.Words,
            [.. WordDecks.Rounds(d.Words).Select(r => r.Count)]
        );
}
