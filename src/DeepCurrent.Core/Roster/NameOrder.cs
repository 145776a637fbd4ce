using System.Text;
using DeepCurrent.Core.Readers;

namespace DeepCurrent.Core.Roster;

/// <summary>The order people look names up in: letters by what they are beneath their accents, numbers by what they
/// count, capitals like small letters. The database's collation <c>names</c> and the pages' <c>byName</c> give the same
/// order for names in Latin letters.</summary>
/// <remarks>The programs run without the system's tables of languages (decision 0019).</remarks>
public static class NameOrder
{
    // Before all letters, in this order: what has no sign, spaces, marks, numbers.
    private const char Space = '\u0001',
        Mark = '\u0002',
        Number = '\u0003';

    /// <summary>In order of name. Accents and capitals settle what is otherwise alike, so that the order is always the
    /// same; each name is looked at once.</summary>
    public static IOrderedEnumerable<T> OrderByName<T>(this IEnumerable<T> things, Func<T, string> name) =>
        things.OrderBy(t => Key(name(t)), StringComparer.Ordinal).ThenBy(name, StringComparer.Ordinal);

    /// <summary>Among what is otherwise alike, in order of name.</summary>
    public static IOrderedEnumerable<T> ThenByName<T>(this IOrderedEnumerable<T> things, Func<T, string> name) =>
        things.ThenBy(t => Key(name(t)), StringComparer.Ordinal).ThenBy(name, StringComparer.Ordinal);

    /// <summary>What a name is sorted by, sign by sign.</summary>
    private static string Key(string name)
    {
        var key = new StringBuilder(name.Length + 4);
        for (var i = 0; i < name.Length; i++)
        {
            var c = name[i];
            if (char.IsAsciiDigit(c))
                i = PutNumber(key, name, i);
            else if (char.IsLetter(c))
                key.Append(Letters.Bare(char.ToLowerInvariant(c)));
            else if (char.IsWhiteSpace(c))
                key.Append(Space);
            else
                key.Append(Mark).Append(c);
        }
        return key.ToString();
    }

    /// <summary>A run of digits by what it counts: how long it is, then the digits.</summary>
    /// <returns>Its last place.</returns>
    private static int PutNumber(StringBuilder key, string name, int at)
    {
        while (at + 1 < name.Length && name[at] == '0' && char.IsAsciiDigit(name[at + 1]))
            at++;
        var end = at;
        while (end + 1 < name.Length && char.IsAsciiDigit(name[end + 1]))
            end++;
        key.Append(Number).Append((char)(end - at + 1)).Append(name, at, end - at + 1);
        return end;
    }
}
