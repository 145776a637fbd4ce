namespace DeepCurrent.Core.Ratings;

/// <summary>How much a reader liked a text, from least to most.</summary>
public enum Liking
{
    NotForMe,
    AllRight,
    Good,
    Favourite,
}

/// <summary>Whether others see what a reader says of a text.</summary>
public enum Approval
{
    /// <summary>Nothing is said.</summary>
    None,

    /// <summary>A teacher has not looked at it yet.</summary>
    Waiting,

    Approved,

    /// <summary>Only its reader and their teachers see it.</summary>
    Kept,
}

/// <summary>How many others of a school like two texts together.</summary>
/// <param name="Known">A text the reader likes.</param>
/// <param name="Other">One they have not rated.</param>
/// <param name="Both">Others who like the two of them.</param>
/// <param name="OfKnown">Others who like the known one.</param>
/// <param name="OfOther">Others who like the other one.</param>
public sealed record LikedTogether(TextId Known, TextId Other, int Both, int OfKnown, int OfOther);

/// <summary>A text that others liked who like what this reader likes.</summary>
/// <param name="Strength">0 to 1; more is more.</param>
/// <param name="Because">The text they have in common.</param>
public sealed record LikedToo(TextId Text, double Strength, TextId Because);

/// <summary>Suggestions from what readers like alike.</summary>
public static class Likings
{
    /// <summary>So many others at least must like two texts together: one alone would tell who it is.</summary>
    public const int FewestOthers = 2;

    /// <summary>What others liked who like the same texts, by cosine similarity of the sets of readers who liked each of
    /// two texts (Sarwar et al. 2001, item-based filtering over likes).</summary>
    /// <param name="pairs">Every text the reader likes beside every text that others like with it.</param>
    /// <returns>Each text with the liked one that speaks most for it, strongest first.</returns>
    public static IReadOnlyList<LikedToo> For(IEnumerable<LikedTogether> pairs) =>
        [
            .. pairs
                .Where(p => p.Both >= FewestOthers)
                .Select(p => new LikedToo(p.Other, p.Both / Math.Sqrt((double)p.OfKnown * p.OfOther), p.Known))
                .OrderByDescending(l => l.Strength)
                .ThenBy(l => l.Text.Value)
                .ThenBy(l => l.Because.Value)
                .DistinctBy(l => l.Text),
        ];

    /// <summary>Likings that count as having liked a text.</summary>
    public static bool Liked(Liking liking) => liking is Liking.Good or Liking.Favourite;
}
