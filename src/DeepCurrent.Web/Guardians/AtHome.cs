using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Library;
using DeepCurrent.Core.Messages;
using DeepCurrent.Core.Schools;
using DeepCurrent.Data.Choosing;
using DeepCurrent.Data.Texts;
using DeepCurrent.Web.SignIn;
using DeepCurrent.Web.Texts;
using DeepCurrent.Web.Tickets;

namespace DeepCurrent.Web.Guardians;

/// <summary>What is read together at home: an easy text that the child has not had, another each week.</summary>
public sealed class AtHome(
    ChoosingStore choosing,
    LibraryShelf library,
    TextStore texts,
    TextPictureStore pictures,
    MeaningStore meanings,
    Desk desk
)
{
    private static readonly ChoiceRules EasyOnes = new(Open: true, ChoiceDepth.OrEasier);

    public async Task<TogetherView?> ThisWeek(ReaderId child)
    {
        if (await Offered(child) is not { Card: var card, Version: var version })
            return null;
        var shown = await pictures.Shown([card.Id]);
        return new(card.Id, card.Title, card.Blurb, version.Words, shown.GetValueOrDefault(card.Id));
    }

    /// <summary>This week's text itself, with what its words mean at home.</summary>
    public async Task<HomeTextView?> Text(ReaderId child, Language home)
    {
        if (await Offered(child) is not { } offer)
            return null;
        var body = await texts.Body(offer.Version.Id);
        var words = await texts.Words(offer.Card.Id);
        var ask = AskAtHome.Of(await texts.Questions(offer.Card.Id), offer.Version.Label);
        return new(body.Title, body.Pages, await HomeWords.Of(words, home, meanings), ask);
    }

    /// <summary>The title of a text of about a depth; null where the library has none.</summary>
    public async Task<string?> TitleAt(Fathoms depth)
    {
        var school = await desk.School();
        return (await library.Cards())
            .Where(c => (c.SchoolId is null || c.SchoolId == school.Id) && !c.Mine && !c.Retired)
            .SelectMany(c => c.Versions.Select(v => (c.Title, Away: Math.Abs(v.Depth - depth.Value))))
            .OrderBy(x => x.Away)
            .Select(x => x.Title)
            .FirstOrDefault();
    }

    private async Task<Offer?> Offered(ReaderId child)
    {
        var school = await desk.School();
        var past = await choosing.Past(child);
        var offers = FreeChoice.Offers(
            await library.Cards(),
            school.Id,
            past.Depth,
            new(school.ZoneLow, school.ZoneHigh),
            EasyOnes,
            past.Had,
            past.Interests
        );
        return ReadTogether.For(offers, SchoolWeek.Monday(await desk.Today()));
    }
}
