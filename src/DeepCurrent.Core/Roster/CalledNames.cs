using DeepCurrent.Core.Readers;

namespace DeepCurrent.Core.Roster;

/// <summary>What readers who are shown together are called: the given name, and as much of the family name as tells two
/// of one name apart.</summary>
public static class CalledNames
{
    /// <summary>A name for each, different from all others.</summary>
    /// <param name="readers">Readers of one class, in any order.</param>
    /// <returns>By ID: Mina; of two Minas, Mina R. and Mina S.; of two Mina Rivas, Mina Rivas 1 and Mina Rivas 2 in the
    /// order in which they came to the school.</returns>
    public static IReadOnlyDictionary<ReaderId, string> Of(
        IEnumerable<(ReaderId Id, string GivenName, string FamilyName)> readers
    )
    {
        var called = new Dictionary<ReaderId, string>();
        foreach (var one in readers.GroupBy(r => r.GivenName.Trim(), StringComparer.OrdinalIgnoreCase))
        {
            var twins = one.OrderBy(r => r.Id.Value).ToList();
            foreach (var (r, at) in twins.Select((r, at) => (r, at)))
                called[r.Id] =
                    twins.Count == 1 ? r.GivenName : Apart(r.GivenName, at, [.. twins.Select(t => t.FamilyName)]);
        }
        return called;
    }

    private static string Apart(string given, int at, string[] families)
    {
        var mine = families[at].Trim();
        var others = families.Where((_, i) => i != at).Select(f => f.Trim()).ToList();
        bool Alike(string other) => other.Equals(mine, StringComparison.OrdinalIgnoreCase);
        if (mine.Length == 0 || others.Exists(Alike))
        {
            var alike = families[..at].Count(f => Alike(f.Trim())) + 1;
            return mine.Length == 0 && !others.Exists(Alike) ? given : $"{given} {mine}".TrimEnd() + $" {alike}";
        }
        for (var letters = 1; letters < mine.Length; letters++)
            if (!others.Exists(o => o.StartsWith(mine[..letters], StringComparison.OrdinalIgnoreCase)))
                return $"{given} {mine[..letters]}.";
        return $"{given} {mine}";
    }
}
