using DeepCurrent.Core.Readers;

namespace DeepCurrent.Core.Roster;

/// <summary>The order people look names up in: letters by what they are beneath their accents, numbers by what they
/// count, capitals like small letters. The database's collation <c>names</c> and the pages' <c>byName</c> give the same
/// order for names in Latin letters.</summary>
/// <remarks>Accents and capitals settle what is otherwise alike, so that the order is always the same. The programs run
/// without the system's tables of languages (decision 0019).</remarks>
public sealed class NameOrder : IComparer<string>
{
    public static readonly NameOrder Comparer = new();

    private enum Sign
    {
        Space,
        Mark,
        Digit,
        Letter,
    }

    private NameOrder() { }

    public int Compare(string? x, string? y)
    {
        x ??= "";
        y ??= "";
        int i = 0,
            j = 0;
        while (i < x.Length && j < y.Length)
        {
            var order =
                char.IsAsciiDigit(x[i]) && char.IsAsciiDigit(y[j])
                    ? Number(x, ref i).CompareTo(Number(y, ref j))
                    : Key(x[i++]).CompareTo(Key(y[j++]));
            if (order != 0)
                return order;
        }
        var rest = (x.Length - i).CompareTo(y.Length - j);
        return rest != 0 ? rest : string.CompareOrdinal(x, y);
    }

    private static decimal Number(string text, ref int at)
    {
        // Longer runs than a decimal holds are no numbers anybody counts with; they end where it is full.
        decimal n = 0;
        for (var most = at + 27; at < text.Length && at < most && char.IsAsciiDigit(text[at]); at++)
            n = n * 10 + (text[at] - '0');
        return n;
    }

    private static (Sign, string) Key(char c) =>
        char.IsWhiteSpace(c) ? (Sign.Space, "")
        : char.IsDigit(c) ? (Sign.Digit, c.ToString())
        : char.IsLetter(c) ? (Sign.Letter, Letters.Bare(char.ToLowerInvariant(c)))
        : (Sign.Mark, c.ToString());
}
