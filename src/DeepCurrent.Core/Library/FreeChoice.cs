using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Ratings;
using DeepCurrent.Core.Readings;
using DeepCurrent.Core.Roster;

namespace DeepCurrent.Core.Library;

/// <summary>How deep a text may be that a reader chooses.</summary>
public enum ChoiceDepth
{
    WithinReach,
    OrEasier,
    Any,
}

/// <summary>In which form a text is that a reader chooses.</summary>
public enum ChoiceFormat
{
    Any,

    /// <summary>Somebody of the school has read it aloud.</summary>
    WithRecording,

    /// <summary>At most <see cref="FreeChoice.ShortWords"/> words in the version that fits.</summary>
    Short,
}

/// <summary>Which texts a reader may choose from.</summary>
public enum ChoiceSort
{
    Both,
    Stories,
    Others,
}

/// <summary>What one reader may choose otherwise than their class; what is null is as in the class.</summary>
/// <param name="Pool">The tide pools the reader sees.</param>
/// <param name="Home">How the reader's home looks; null where it goes by grade.</param>
public sealed record OwnChoice(
    bool? Open = null,
    ChoiceDepth? Depth = null,
    ChoiceSort? Sort = null,
    ChoiceFormat? Format = null,
    int? MostOpen = null,
    PoolShown? Pool = null,
    HomeLook? Home = null
);

/// <summary>What the readers of a class may choose for themselves.</summary>
/// <param name="Open">Whether they may choose at all.</param>
/// <param name="Fiction">Only stories (true), only what is not (false), both (null).</param>
/// <param name="Without">Topics that are left out.</param>
/// <param name="MostOpen">How many chosen texts a reader may have open at once; 1 to 9.</param>
/// <param name="Format">In which form.</param>
public sealed record ChoiceRules(
    bool Open = false,
    ChoiceDepth Depth = ChoiceDepth.WithinReach,
    bool? Fiction = null,
    IReadOnlyList<string>? Without = null,
    int MostOpen = 2,
    ChoiceFormat Format = ChoiceFormat.Any
)
{
    public const int MostOpenEver = 9;

    /// <summary>The rules for one reader.</summary>
    public ChoiceRules For(OwnChoice own) =>
        this with
        {
            Open = own.Open ?? Open,
            Depth = own.Depth ?? Depth,
            Fiction = own.Sort switch
            {
                ChoiceSort.Both => null,
                ChoiceSort.Stories => true,
                ChoiceSort.Others => false,
                _ => Fiction,
            },
            MostOpen = own.MostOpen ?? MostOpen,
            Format = own.Format ?? Format,
        };
}

/// <summary>A text that one reader may choose, in the version that fits best.</summary>
/// <param name="Because">A text the reader liked, as others did who liked this one; null where it is offered for
/// another reason.</param>
public sealed record Offer(Card Card, CardVersion Version, Probability Forecast, Zone Zone, TextId? Because = null);

/// <summary>What a reader may choose to read, and in which order it is offered.</summary>
public static class FreeChoice
{
    /// <summary>The texts a reader may choose: shared with the school, with a quiz, not had before, and allowed by the
    /// class's rules.</summary>
    /// <param name="had">Texts the reader has or had a ticket for.</param>
    /// <param name="liked">What others liked who like the same, strongest first; it is offered first, in this
    /// order.</param>
    /// <param name="interests">How much of the reader's finished reading was about each topic; topics that are missing
    /// count nothing.</param>
    /// <returns>Taken in turn from the topics, the most liked topic first, within a topic the forecast nearest to 80 %
    /// first; so that the first few are about different things.</returns>
    public static IReadOnlyList<Offer> Offers(
        IEnumerable<Card> cards,
        SchoolId schoolId,
        Fathoms reader,
        ZoneCuts cuts,
        ChoiceRules rules,
        IReadOnlySet<TextId> had,
        IReadOnlyDictionary<string, int> interests,
        IReadOnlyList<LikedToo>? liked = null
    )
    {
        if (!rules.Open)
            return [];
        var topics = cards
            .Where(c => Offered(c, schoolId) && !had.Contains(c.Id) && Allowed(c, rules))
            .Select(c => Best(c, reader, cuts))
            .Where(o => Allowed(o.Zone, rules.Depth) && Allowed(o, rules.Format, schoolId))
            .GroupBy(o => o.Card.Topic)
            .OrderByDescending(g => interests.GetValueOrDefault(g.Key))
            .ThenByName(g => g.Key)
            .Select(g =>
                g.OrderBy(o => Math.Abs(o.Forecast.Value - Forecast.AtSameDepth)).ThenByName(o => o.Card.Title).ToList()
            )
            .ToList();
        var inTurn = Enumerable
            .Range(0, topics.Select(t => t.Count).DefaultIfEmpty(0).Max())
            .SelectMany(turn => topics.Where(t => t.Count > turn).Select(t => t[turn]))
            .ToList();
        var because = (liked ?? []).Take(MostLiked).ToDictionary(l => l.Text);
        return
        [
            .. inTurn
                .Select(o => o with { Because = because.GetValueOrDefault(o.Card.Id)?.Because })
                .OrderByDescending(o => because.GetValueOrDefault(o.Card.Id)?.Strength ?? 0),
        ];
    }

    /// <summary>So many stand first because others liked them; what readers find by themselves comes after.</summary>
    private const int MostLiked = 6;

    private static bool Offered(Card card, SchoolId schoolId) =>
        !card.Retired
        && !card.Mine
        && card.Questions > 0
        && card.Versions.Count > 0
        && (card.SchoolId is null || card.SchoolId == schoolId);

    private static bool Allowed(Card card, ChoiceRules rules) =>
        (rules.Fiction is not { } fiction || card.Fiction == fiction) && rules.Without?.Contains(card.Topic) != true;

    /// <summary>Most words of a short text.</summary>
    public const int ShortWords = 250;

    private static bool Allowed(Offer offer, ChoiceFormat format, SchoolId schoolId) =>
        format switch
        {
            ChoiceFormat.WithRecording => offer.Card.HeardIn.Contains(schoolId),
            ChoiceFormat.Short => offer.Version.Words <= ShortWords,
            _ => true,
        };

    private static bool Allowed(Zone zone, ChoiceDepth depth) =>
        depth switch
        {
            ChoiceDepth.WithinReach => zone is Zone.Instructional,
            ChoiceDepth.OrEasier => zone is not Zone.Frustration,
            _ => true,
        };

    private static Offer Best(Card card, Fathoms reader, ZoneCuts cuts)
    {
        var version = card.Versions[Forecast.BestVersion(reader, [.. card.Versions.Select(v => new Fathoms(v.Depth))])];
        var forecast = Forecast.Comprehension(reader, new(version.Depth));
        return new(card, version, forecast, Forecast.ZoneOf(forecast, cuts));
    }
}
