using DeepCurrent.Core.Access;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Library;
using DeepCurrent.Core.Ratings;
using DeepCurrent.Core.Roster;
using DeepCurrent.Data.Choosing;
using DeepCurrent.Data.Ratings;
using DeepCurrent.Data.Readers;
using DeepCurrent.Data.Texts;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;
using DeepCurrent.Web.Texts;

namespace DeepCurrent.Web.Choosing;

/// <param name="Depth">WithinReach, OrEasier or Any.</param>
/// <param name="Format">Any, WithRecording or Short.</param>
/// <param name="Without">Topics that are left out.</param>
public sealed record ChoiceRulesRequest(
    bool Open,
    ChoiceDepth? Depth,
    bool? Fiction,
    IReadOnlyList<string>? Without,
    int? MostOpen,
    ChoiceFormat? Format = null
);

/// <param name="Topics">Every topic there is to leave out.</param>
/// <param name="Fewest">Texts that the reader with the fewest may choose from, whatever was read before.</param>
/// <param name="Most">Texts that the reader with the most may choose from.</param>
public sealed record ChoiceRulesView(
    bool Open,
    ChoiceDepth Depth,
    bool? Fiction,
    IReadOnlyList<string> Without,
    int MostOpen,
    ChoiceFormat Format,
    IReadOnlyList<string> Topics,
    int Fewest,
    int Most
);

/// <param name="Zone">Independent, Instructional or Frustration.</param>
/// <param name="Picture">What the text's picture shows; null where it has none.</param>
/// <param name="Because">The title of a text the reader liked, as others did who liked this one.</param>
public sealed record OfferView(
    TextId TextId,
    string Title,
    string Kind,
    string Topic,
    string Blurb,
    int Words,
    int Questions,
    Zone Zone,
    string? Picture,
    string? Because,
    IReadOnlyList<RecommendedView> Said
);

/// <summary>What a classmate says of a text.</summary>
/// <param name="Name">As the class calls them.</param>
public sealed record RecommendedView(string Name, string Words);

/// <param name="Open">Whether the reader may choose at all.</param>
/// <param name="Left">How many more texts the reader may take now.</param>
public sealed record ChoicesView(bool Open, int Left, IReadOnlyList<OfferView> Offers);

public sealed record ChosenView(TicketId TicketId);

/// <summary>What readers may choose for themselves: a class's rules, what they come to for one reader, and
/// choosing.</summary>
public static class ChoosingEndpoints
{
    private const int MostOffers = 60;
    private const int MostSaid = 2;

    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/classes/{classId:guid}/choosing", Rules);
        api.MapPut("/classes/{classId:guid}/choosing", Put);
        api.MapGet("/readers/{readerId:guid}/own-choice", Own);
        api.MapPut("/readers/{readerId:guid}/own-choice", PutOwn);
        api.MapGet("/my/choices", Mine);
        api.MapPut("/my/choices/{textId:guid}", Choose);
        api.MapDelete("/my/choices/{ticketId:guid}", PutBack).Produces(StatusCodes.Status204NoContent);
    }

    private static async Task<ChoiceRulesView> Rules(
        ClassId classId,
        Desk desk,
        ChoosingStore store,
        LibraryShelf library
    )
    {
        await desk.Class(classId, Deed.SeeClass);
        return await View(classId, await store.Rules(classId), desk, store, library);
    }

    private static async Task<ChoiceRulesView> Put(
        ClassId classId,
        ChoiceRulesRequest request,
        Desk desk,
        ChoosingStore store,
        LibraryShelf library
    )
    {
        await desk.Class(classId, Deed.Assign);
        var most = request.MostOpen ?? new ChoiceRules().MostOpen;
        if (most is < 1 or > ChoiceRules.MostOpenEver)
            throw Refused.Field("mostOpen", $"Enter 1 to {ChoiceRules.MostOpenEver} texts.");
        var topics = await library.Topics(desk.Who.SchoolId);
        var rules = new ChoiceRules(
            request.Open,
            request.Depth ?? ChoiceDepth.WithinReach,
            request.Fiction,
            [.. (request.Without ?? []).Intersect(topics).OrderByName(t => t)],
            most,
            request.Format ?? ChoiceFormat.Any
        );
        await store.Put(classId, rules);
        return await View(classId, rules, desk, store, library);
    }

    private static async Task<ChoiceRulesView> View(
        ClassId classId,
        ChoiceRules rules,
        Desk desk,
        ChoosingStore store,
        LibraryShelf library
    )
    {
        var cards = await library.Cards();
        var school = await desk.School();
        var counts = (await store.Depths(classId))
            .Select(r => Math.Round(r.Depth.Value))
            .Distinct()
            .Select(d =>
                FreeChoice
                    .Offers(
                        cards,
                        school.Id,
                        new(d),
                        new(school.ZoneLow, school.ZoneHigh),
                        rules with
                        {
                            Open = true,
                        },
                        new HashSet<TextId>(),
                        new Dictionary<string, int>()
                    )
                    .Count
            )
            .ToList();
        return new(
            rules.Open,
            rules.Depth,
            rules.Fiction,
            rules.Without ?? [],
            rules.MostOpen,
            rules.Format,
            [.. (await library.Topics(school.Id)).OrderByName(t => t)],
            counts.DefaultIfEmpty(0).Min(),
            counts.DefaultIfEmpty(0).Max()
        );
    }

    private static async Task<OwnChoice> Own(ReaderId readerId, Desk desk, ChoosingStore store)
    {
        await desk.Reader(readerId, Deed.SeeReader);
        return await store.Own(readerId);
    }

    private static async Task<OwnChoice> PutOwn(ReaderId readerId, OwnChoice request, Desk desk, ChoosingStore store)
    {
        await desk.Reader(readerId, Deed.Assign);
        if (request.MostOpen is < 1 or > ChoiceRules.MostOpenEver)
            throw Refused.Field("mostOpen", $"Enter 1 to {ChoiceRules.MostOpenEver} texts.");
        await store.PutOwn(readerId, request);
        return await store.Own(readerId);
    }

    private static async Task<ChoicesView> Mine(
        Desk desk,
        ChoosingStore store,
        LibraryShelf library,
        TextPictureStore pictures,
        RatingStore ratings,
        ClassmateNames names
    )
    {
        var reader = desk.Self();
        var classes = await store.Classes(reader, await desk.Today());
        if (classes.Count == 0)
            return new(Open: false, 0, []);
        var past = await store.Past(reader);
        var liked = Likings.For(await ratings.Together(reader, desk.Who.SchoolId));
        var offers = (await Offers(classes, past, desk, library, liked)).Take(MostOffers).Select(o => o.Offer).ToList();
        var ids = offers.Select(o => o.Card.Id).ToList();
        var shown = await pictures.Shown(ids);
        var because = offers.Select(o => o.Because).OfType<TextId>().ToHashSet();
        var titles = (await library.Cards()).Where(c => because.Contains(c.Id)).ToDictionary(c => c.Id, c => c.Title);
        var said = await Said(reader, ids, desk, ratings, names);
        return new(
            Open: true,
            Math.Max(0, classes.Max(c => c.Rules.MostOpen) - past.OpenChosen),
            [
                .. offers.Select(o => new OfferView(
                    o.Card.Id,
                    o.Card.Title,
                    o.Card.Kind,
                    o.Card.Topic,
                    o.Card.Blurb,
                    o.Version.Words,
                    o.Card.Questions,
                    o.Zone,
                    shown.GetValueOrDefault(o.Card.Id),
                    o.Because is { } liking ? titles.GetValueOrDefault(liking) : null,
                    [.. said[o.Card.Id].Take(MostSaid)]
                )),
            ]
        );
    }

    /// <summary>What classmates say of some texts, by text.</summary>
    private static async Task<ILookup<TextId, RecommendedView>> Said(
        ReaderId reader,
        IReadOnlyList<TextId> texts,
        Desk desk,
        RatingStore ratings,
        ClassmateNames names
    )
    {
        var today = await desk.Today();
        var said = await ratings.ByClassmates(reader, texts, today);
        var called = said.Count == 0 ? null : await names.Of(reader, today);
        return said.Where(s => called!.ContainsKey(s.ReaderId))
            .ToLookup(s => s.TextId, s => new RecommendedView(called![s.ReaderId], s.Words));
    }

    /// <summary>What the reader's classes allow together; each text by the first class that allows it.</summary>
    private static async Task<IReadOnlyList<(Offer Offer, ChoosingClass Class)>> Offers(
        IReadOnlyList<ChoosingClass> classes,
        ReadingPast past,
        Desk desk,
        LibraryShelf library,
        IReadOnlyList<LikedToo>? liked = null
    )
    {
        var school = await desk.School();
        var cards = await library.Cards();
        return
        [
            .. classes
                .SelectMany(c =>
                    FreeChoice
                        .Offers(
                            cards,
                            school.Id,
                            past.Depth,
                            new(school.ZoneLow, school.ZoneHigh),
                            c.Rules,
                            past.Had,
                            past.Interests,
                            liked
                        )
                        .Select(o => (o, c))
                )
                .DistinctBy(x => x.o.Card.Id),
        ];
    }

    private static async Task<ChosenView> Choose(TextId textId, Desk desk, ChoosingStore store, LibraryShelf library)
    {
        var reader = desk.Self();
        // Asked twice, the second answer is the first.
        if (await store.Chosen(reader, textId) is { } before)
            return new(before);
        var classes = await store.Classes(reader, await desk.Today());
        var past = await store.Past(reader);
        var (offer, from) = (await Offers(classes, past, desk, library)).FirstOrDefault(o => o.Offer.Card.Id == textId);
        if (offer is null)
            throw Refused.NotFound();
        return new(
            await store.Choose(
                new(TicketId.New(), reader, from.ClassId, textId, offer.Version.Id, offer.Forecast, desk.Now),
                from.Rules.MostOpen
            )
                ?? throw Refused.Conflict(
                    "enough-open",
                    $"Finish a text you chose, or put one back. Then choose another."
                )
        );
    }

    private static async Task<IResult> PutBack(TicketId ticketId, Desk desk, ChoosingStore store) =>
        await store.PutBack(ticketId, desk.Self(), desk.Now) ? Results.NoContent() : throw Refused.NotFound();
}
