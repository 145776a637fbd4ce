using System.Buffers;
using System.Text;

namespace DeepCurrent.Core.Roster;

/// <summary>Names compared as people compare them: case, spaces and the kind of apostrophe do not matter; accents
/// do.</summary>
public static class Names
{
    /// <summary>The form of a name that is compared.</summary>
    public static string Key(string givenName, string familyName) => $"{Folded(givenName)}|{Folded(familyName)}";

    /// <summary>A name without space around it, without doubled space and without control signs or such as turn the
    /// direction of writing round.</summary>
    public static string Tidy(string? name)
    {
        var tidy = new StringBuilder();
        foreach (var rune in (name ?? "").EnumerateRunes())
        {
            if (Rune.IsWhiteSpace(rune))
            {
                if (tidy.Length > 0 && tidy[^1] != ' ')
                    tidy.Append(' ');
            }
            else if (!Rune.IsControl(rune) && !Hidden(rune.Value))
                tidy.Append(rune);
        }
        return tidy.ToString().TrimEnd();
    }

    // Marks nobody sees: direction overrides and isolates (a name that reads as another), zero-width space, word
    // joiner, byte order mark.
    private static bool Hidden(int sign) =>
        sign
            is 0x061C
                or 0x200B
                or 0x200E
                or 0x200F
                or (>= 0x202A and <= 0x202E)
                or (>= 0x2060 and <= 0x2069)
                or 0xFEFF
                or 0xFFFD;

    private static readonly SearchValues<char> Signs = SearchValues.Create("<>{}=\\|");

    /// <summary>The longest given or family name that is kept.</summary>
    public const int Longest = 60;

    /// <summary>What keeps this from being a name; null if nothing does. It may be empty.</summary>
    public static Message? Fault(string name) =>
        name.Length > Longest ? (Message)$"Use {Longest} letters or fewer."
        : name.AsSpan().ContainsAny(Signs) ? (Message)$"Remove signs such as < and >."
        : null;

    /// <summary>Gives a whole name its two parts: the last word is the family name; "Family, Given" is turned round;
    /// one word is a given name.</summary>
    public static (string Given, string Family) Split(string name)
    {
        var tidy = Tidy(name);
        if (tidy.IndexOf(',') is var comma and > 0)
            return (tidy[(comma + 1)..].Trim(), tidy[..comma].Trim());
        return tidy.LastIndexOf(' ') is var space and > 0 ? (tidy[..space], tidy[(space + 1)..]) : (tidy, "");
    }

    private static string Folded(string name) =>
        Tidy(name).ToLowerInvariant().Replace('’', '\'').Replace('ʼ', '\'').Replace('‐', '-');
}
