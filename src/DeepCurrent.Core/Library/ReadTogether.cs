using DeepCurrent.Core.Depth;

namespace DeepCurrent.Core.Library;

/// <summary>A text to read together at home: easy for the child, short, and a new one each week.</summary>
public static class ReadTogether
{
    /// <summary>A text that takes turns with so many others.</summary>
    private const int InTurn = 6;

    /// <param name="offers">What the child may read, with its forecast; see <see cref="FreeChoice.Offers"/>.</param>
    /// <param name="monday">Of the week it is for.</param>
    /// <returns>Of the texts that are easy for the child, stories and short ones first, the one whose turn it is; where
    /// none is easy, of those within reach. Null where there is none at all.</returns>
    public static Offer? For(IReadOnlyList<Offer> offers, DateOnly monday)
    {
        var easy = offers.Where(o => o.Zone is Zone.Independent).ToList();
        var some = (easy.Count > 0 ? easy : [.. offers.Where(o => o.Zone is Zone.Instructional)])
            .OrderByDescending(o => o.Card.Fiction)
            .ThenBy(o => o.Version.Words)
            .ThenBy(o => o.Card.Number)
            .Take(InTurn)
            .ToList();
        return some.Count == 0 ? null : some[monday.DayNumber / 7 % some.Count];
    }
}
