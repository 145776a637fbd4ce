using System.Text;

namespace DeepCurrent.Core.Readers;

/// <summary>User names and picture secrets.</summary>
public static class SignInRules
{
    /// <summary>The pictures a secret is made from, in the order they are shown.</summary>
    public static readonly IReadOnlyList<string> Pictures = ["anchor", "bell", "boat", "bread", "cloud", "crab", "fish", "flag", "gull", "key", "lamp", "shell"];

    /// <summary>Pictures in a secret.</summary>
    public const int SecretLength = 3;

    // Written out, since the runtime's own decomposition needs a system library that small servers lack.
    private static readonly Dictionary<char, string> Spelled = new (string Letters, string Plain)[]
    {
        ("àáâãäåāăąǎạảấầẩẫậắằẳẵặ", "a"), ("çćĉċč", "c"), ("ďđð", "d"), ("èéêëēĕėęěẹẻẽếềểễệ", "e"), ("ĝğġģ", "g"), ("ĥħ", "h"), ("ìíîïĩīĭįıǐỉị", "i"), ("ĵ", "j"), ("ķ", "k"), ("ĺļľŀł", "l"),
        ("ñńņňŋ", "n"), ("òóôõöøōŏőơǒọỏốồổỗộớờởỡợ", "o"), ("ŕŗř", "r"), ("śŝşšș", "s"), ("ţťŧț", "t"), ("ùúûüũūŭůűųưǔụủứừửữự", "u"), ("ŵẁẃẅ", "w"), ("ýÿŷỳỵỷỹ", "y"), ("źżž", "z"),
        ("æ", "ae"), ("œ", "oe"), ("ß", "ss"), ("þ", "th"),
    }.SelectMany(row => row.Letters.Select(letter => (letter, row.Plain))).ToDictionary(x => x.letter, x => x.Plain);

    /// <summary>A user name from a name: given name, a point, and the first letter of the family name; a number is added where it is taken.</summary>
    /// <param name="taken">True for names that are in use.</param>
    /// <remarks>Accents are dropped; a name with no Latin letters becomes "reader".</remarks>
    public static string UserName(string givenName, string familyName, Func<string, bool> taken)
    {
        string given = Plain(givenName), family = Plain(familyName);
        var name = (given, family) switch
        {
            ("", "") => "reader",
            ("", _) => family,
            (_, "") => given,
            _ => $"{given}.{family[0]}",
        };
        if (!taken(name)) return name;
        for (var n = 2; ; n++) if (!taken($"{name}{n}")) return $"{name}{n}";
    }

    /// <summary>A secret of different pictures.</summary>
    public static IReadOnlyList<string> NewSecret(Random random) => [.. Pictures.OrderBy(_ => random.Next()).Take(SecretLength)];

    /// <summary>True if the text is a secret these pictures could make.</summary>
    public static bool IsSecret(IReadOnlyList<string> pictures) => pictures.Count == SecretLength && pictures.All(Pictures.Contains);

    private static string Plain(string name)
    {
        var plain = new StringBuilder();
        foreach (var c in name.ToLowerInvariant())
        {
            if (char.IsAsciiLetter(c)) plain.Append(c);
            else if (Spelled.TryGetValue(c, out var letters)) plain.Append(letters);
        }
        return plain.Length > 20 ? plain.ToString(0, 20) : plain.ToString();
    }
}
