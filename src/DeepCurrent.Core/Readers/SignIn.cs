using System.Text;
using DeepCurrent.Core.Roster;

namespace DeepCurrent.Core.Readers;

/// <summary>User names and picture secrets.</summary>
public static class SignInRules
{
    /// <summary>The pictures a secret is made from, in the order they are shown.</summary>
    public static readonly IReadOnlyList<string> Pictures =
    [
        "anchor",
        "bell",
        "boat",
        "bread",
        "cloud",
        "crab",
        "fish",
        "flag",
        "gull",
        "key",
        "lamp",
        "shell",
    ];

    /// <summary>Pictures in a secret.</summary>
    public const int SecretLength = 3;

    // Letters and digits that are not mistaken for one another.
    private const string CodeSigns = "ABCDEFGHJKMNPQRTUVWXY346789";
    private const string SmallCodeSigns = "abcdefghjkmnpqrtuvwxy346789";

    /// <summary>Signs in a short code.</summary>
    public const int CodeLength = 4;

    /// <summary>A user name from a name: given name, a point, and the first letter of the family name.</summary>
    /// <remarks>Accents are dropped, Cyrillic and Greek letters are written in Latin ones; a name in another script
    /// becomes "reader". <see cref="UserNames"/> adds a number where it is taken.</remarks>
    public static string UserName(string givenName, string familyName)
    {
        string given = Plain(givenName),
            family = Plain(familyName);
        return (given, family) switch
        {
            ("", "") => "reader",
            ("", _) => family,
            (_, "") => given,
            _ => $"{given}.{family[0]}",
        };
    }

    /// <summary>Six signs that lead to a class's name tiles.</summary>
    public static string NewClassCode(Random random) => new(random.GetItems<char>(CodeSigns, 6));

    /// <summary>The kind of secret for a grade under a school's policy.</summary>
    /// <param name="picturesTo">Last grade that signs in with pictures.</param>
    /// <param name="codesTo">Last grade that signs in with a short code; passwords from there on.</param>
    public static SecretKind KindFor(int grade, int picturesTo, int codesTo) =>
        grade <= picturesTo ? SecretKind.Pictures
        : grade <= codesTo ? SecretKind.Code
        : SecretKind.Password;

    /// <summary>A new secret: three different pictures, four signs, or two words with two digits between
    /// them.</summary>
    public static string NewSecret(SecretKind kind, Random random) =>
        kind switch
        {
            SecretKind.Pictures => string.Join(' ', NewPictures(random)),
            SecretKind.Code => new(random.GetItems<char>(SmallCodeSigns, CodeLength)),
            _ =>
                $"{Pictures[random.Next(Pictures.Count)]}{random.Next(10, 100)}{Pictures[random.Next(Pictures.Count)]}",
        };

    /// <summary>A picture secret of different pictures.</summary>
    public static IReadOnlyList<string> NewPictures(Random random) =>
        [.. Pictures.OrderBy(_ => random.Next()).Take(SecretLength)];

    /// <summary>What somebody typed or tapped, in the form a secret is kept in: codes and passwords do not mind case or
    /// space around them.</summary>
    public static string Typed(SecretKind kind, string secret) =>
        kind == SecretKind.Pictures
            ? string.Join(' ', secret.Split(' ', StringSplitOptions.RemoveEmptyEntries))
            : secret.Trim().ToLowerInvariant();

    /// <summary>What is wrong with a secret that somebody chose; null if it will do.</summary>
    public static Message? Fault(SecretKind kind, string secret) =>
        kind switch
        {
            SecretKind.Pictures => IsSecret(secret.Split(' ')) ? null : (Message)$"Choose {SecretLength} pictures.",
            SecretKind.Code => secret.Length is >= 4 and <= 12 && secret.All(char.IsAsciiLetterOrDigit)
                ? null
                : (Message)$"Use 4 to 12 letters and digits.",
            _ => secret.Length is >= 6 and <= 60 ? null : (Message)$"Use 6 to 60 characters.",
        };

    /// <summary>True if the text is a secret these pictures could make.</summary>
    public static bool IsSecret(IReadOnlyList<string> pictures) =>
        pictures.Count == SecretLength && pictures.All(Pictures.Contains);

    private static string Plain(string name)
    {
        var plain = new StringBuilder();
        foreach (var c in name.ToLowerInvariant())
        {
            if (char.IsAsciiLetter(c))
                plain.Append(c);
            else if (Letters.TryLatin(c, out var letters))
                plain.Append(letters);
        }
        return plain.Length > 20 ? plain.ToString(0, 20) : plain.ToString();
    }
}

/// <summary>Gives out user names without clashes.</summary>
/// <param name="taken">Names in use; those given out are added to it.</param>
public sealed class UserNames(ISet<string> taken)
{
    private readonly Dictionary<string, int> next = [];

    /// <summary>The wanted name, or the name with the first free number from 2.</summary>
    public string Take(string wanted)
    {
        var name = wanted.ToLowerInvariant();
        if (taken.Add(name))
            return name;
        for (var n = next.GetValueOrDefault(name, 2); ; n++)
        {
            if (!taken.Add($"{name}{n}"))
                continue;
            next[name] = n + 1;
            return $"{name}{n}";
        }
    }
}
