using System.Globalization;
using System.Text;

namespace DeepCurrent.Core.Readers;

/// <summary>User names and picture secrets.</summary>
public static class SignInRules
{
    /// <summary>The pictures a secret is made from, in the order they are shown.</summary>
    public static readonly IReadOnlyList<string> Pictures = ["anchor", "bell", "boat", "bread", "cloud", "crab", "fish", "flag", "gull", "key", "lamp", "shell"];

    /// <summary>Pictures in a secret.</summary>
    public const int SecretLength = 3;

    private static readonly Dictionary<char, string> Spelled = new()
    {
        ['ø'] = "o", ['æ'] = "ae", ['œ'] = "oe", ['ß'] = "ss", ['ł'] = "l", ['đ'] = "d", ['ð'] = "d", ['þ'] = "th", ['ı'] = "i",
    };

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
        foreach (var c in name.Normalize(NormalizationForm.FormD).ToLowerInvariant())
        {
            if (char.IsAsciiLetter(c)) plain.Append(c);
            else if (Spelled.TryGetValue(c, out var letters)) plain.Append(letters);
        }
        return plain.Length > 20 ? plain.ToString(0, 20) : plain.ToString();
    }
}
