using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Roster;

namespace DeepCurrent.Core.Library;

/// <summary>A reader of a group for whom texts are sought.</summary>
/// <param name="Had">Texts the reader has or had.</param>
public sealed record GroupReader(Fathoms Depth, IReadOnlySet<TextId> Had);

/// <summary>A text for a group, with what it comes to for its readers.</summary>
/// <param name="Within">Readers who have not had it and have a version within their reach.</param>
/// <param name="Had">Readers who have had it; they do not get it again.</param>
/// <param name="TooDeep">Readers for whom every version is too deep.</param>
public sealed record GroupText(Card Card, int Within, int Had, int TooDeep);

/// <summary>Texts for the groups of a class: for each those that serve most of its readers, no text for two groups, and
/// within a group different kinds and topics before the same again.</summary>
public static class GroupTexts
{
    /// <summary>A text of which more of a group than this share have had is none for it.</summary>
    private const double MostHad = 0.25;

    /// <param name="groups">Their readers.</param>
    /// <param name="taken">Texts that are planned already.</param>
    /// <param name="each">How many for each group.</param>
    /// <returns>For each group, best first; fewer where the library has no more that serve at least half of
    /// it.</returns>
    public static IReadOnlyList<IReadOnlyList<GroupText>> For(
        IReadOnlyList<IReadOnlyList<GroupReader>> groups,
        IEnumerable<Card> cards,
        IReadOnlySet<TextId> taken,
        ZoneCuts cuts,
        int each
    )
    {
        var free = cards.Where(c => !taken.Contains(c.Id) && c.Versions.Count > 0).ToList();
        var ranked = groups.Select(g => Ranked(g, free, cuts)).ToList();
        var chosen = groups.Select(_ => new List<GroupText>()).ToList();
        var gone = new HashSet<TextId>();
        for (var turn = 0; turn < each; turn++)
        {
            // Who has the fewest to choose from chooses first.
            var waiting = Enumerable.Range(0, groups.Count).ToHashSet();
            while (waiting.Count > 0)
            {
                var g = waiting.MinBy(i => (ranked[i].Count(t => !gone.Contains(t.Card.Id)), i));
                waiting.Remove(g);
                var next = ranked[g]
                    .Where(t => !gone.Contains(t.Card.Id))
                    // What is like one of the group's own comes after what serves nearly as many.
                    .MinBy(t => Alike(t, chosen[g]) - t.Within);
                if (next is null)
                    continue;
                chosen[g].Add(next);
                gone.Add(next.Card.Id);
            }
        }
        return chosen;
    }

    /// <summary>How much a text is like those a group has: a reader's worth for the same side of fact and fiction, and one
    /// for the same topic.</summary>
    private static int Alike(GroupText text, IReadOnlyList<GroupText> mine) =>
        mine.Count(m => m.Card.Fiction == text.Card.Fiction) + mine.Count(m => m.Card.Topic == text.Card.Topic);

    private static IReadOnlyList<GroupText> Ranked(
        IReadOnlyList<GroupReader> readers,
        IEnumerable<Card> cards,
        ZoneCuts cuts
    ) =>
        [
            .. cards
                .Select(c => (Text: Of(c, readers, cuts), Miss: Miss(c, readers)))
                .Where(x => 2 * x.Text.Within >= readers.Count && x.Text.Had <= MostHad * readers.Count)
                .OrderByDescending(x => x.Text.Within)
                .ThenBy(x => x.Text.TooDeep)
                .ThenBy(x => x.Miss)
                .ThenByName(x => x.Text.Card.Title)
                .Select(x => x.Text),
        ];

    private static GroupText Of(Card card, IReadOnlyList<GroupReader> readers, ZoneCuts cuts)
    {
        var zones = readers
            .Where(r => !r.Had.Contains(card.Id))
            .Select(r => Forecast.ZoneOf(Best(card, r.Depth), cuts))
            .ToList();
        return new(
            card,
            zones.Count(z => z is Zone.Instructional),
            readers.Count - zones.Count,
            zones.Count(z => z is Zone.Frustration)
        );
    }

    /// <summary>How far the forecasts lie from what a text of the reader's own depth gives, on average.</summary>
    private static double Miss(Card card, IReadOnlyList<GroupReader> readers) =>
        readers.Select(r => Math.Abs(Best(card, r.Depth).Value - Forecast.AtSameDepth)).DefaultIfEmpty(0).Average();

    private static Probability Best(Card card, Fathoms reader)
    {
        var depths = card.Versions.Select(v => new Fathoms(v.Depth)).ToList();
        return Forecast.Comprehension(reader, depths[Forecast.BestVersion(reader, depths)]);
    }
}
