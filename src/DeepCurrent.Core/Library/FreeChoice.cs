using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Roster;

namespace DeepCurrent.Core.Library;

/// <summary>How deep a text may be that a reader chooses.</summary>
public enum ChoiceDepth
{
    WithinReach,
    OrEasier,
    Any,
}

/// <summary>What the readers of a class may choose for themselves.</summary>
/// <param name="Open">Whether they may choose at all.</param>
/// <param name="Fiction">Only stories (true), only what is not (false), both (null).</param>
/// <param name="Without">Topics that are left out.</param>
/// <param name="MostOpen">How many chosen texts a reader may have open at once; 1 to 9.</param>
public sealed record ChoiceRules(
    bool Open = false,
    ChoiceDepth Depth = ChoiceDepth.WithinReach,
    bool? Fiction = null,
    IReadOnlyList<string>? Without = null,
    int MostOpen = 2
)
{
    public const int MostOpenEver = 9;
}

/// <summary>A text that one reader may choose, in the version that fits best.</summary>
public sealed record Offer(Card Card, CardVersion Version, Probability Forecast, Zone Zone);

/// <summary>What a reader may choose to read, and in which order it is offered.</summary>
public static class FreeChoice
{
    /// <summary>The texts a reader may choose: shared with the school, with a quiz, not had before, and allowed by the
    /// class's rules.</summary>
    /// <param name="had">Texts the reader has or had a ticket for.</param>
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
        IReadOnlyDictionary<string, int> interests
    )
    {
        if (!rules.Open)
            return [];
        var topics = cards
            .Where(c =>
                !c.Retired
                && !c.Mine
                && c.Questions > 0
                && c.Versions.Count > 0
                && (c.SchoolId is null || c.SchoolId == schoolId)
                && !had.Contains(c.Id)
            )
            .Where(c =>
                (rules.Fiction is not { } fiction || c.Fiction == fiction) && rules.Without?.Contains(c.Topic) != true
            )
            .Select(c => Best(c, reader, cuts))
            .Where(o => Allowed(o.Zone, rules.Depth))
            .GroupBy(o => o.Card.Topic)
            .OrderByDescending(g => interests.GetValueOrDefault(g.Key))
            .ThenByName(g => g.Key)
            .Select(g =>
                g.OrderBy(o => Math.Abs(o.Forecast.Value - Forecast.AtSameDepth)).ThenByName(o => o.Card.Title).ToList()
            )
            .ToList();
        return
        [
            .. Enumerable
                .Range(0, topics.Select(t => t.Count).DefaultIfEmpty(0).Max())
                .SelectMany(turn => topics.Where(t => t.Count > turn).Select(t => t[turn])),
        ];
    }

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
