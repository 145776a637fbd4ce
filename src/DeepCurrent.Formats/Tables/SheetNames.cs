namespace DeepCurrent.Formats.Tables;

/// <summary>Names for sheets and files that have to differ.</summary>
public static class SheetNames
{
    /// <summary>Letters a spreadsheet's sheet name may have.</summary>
    public const int Longest = 31;

    /// <summary>A name as a spreadsheet takes it.</summary>
    public static string Of(string name)
    {
        var plain = string.Concat(name.Select(c => c is '[' or ']' or ':' or '*' or '?' or '/' or '\\' ? '-' : c))
            .Trim('\'', ' ');
        return plain.Length == 0 ? "-" : plain;
    }

    /// <summary>The names, cut where they are too long, and numbered where two would be one.</summary>
    public static IReadOnlyList<string> Apart(IReadOnlyList<string> names, int longest = Longest)
    {
        var taken = new HashSet<string>(StringComparer.OrdinalIgnoreCase);
        var apart = new List<string>();
        foreach (var name in names)
        {
            var now = Cut(name, longest);
            for (var n = 2; !taken.Add(now); n++)
                now = $"{Cut(name, longest - $" {n}".Length)} {n}";
            apart.Add(now);
        }
        return apart;
    }

    private static string Cut(string name, int longest) => name.Length > longest ? name[..longest] : name;
}
